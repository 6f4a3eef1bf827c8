<script setup lang="ts">
import {
  leadAngle,
  selfHolding,
  type BeltStage,
  type ChainStage,
  type Change,
  type GearStage,
  type Part,
  type ShaftMaterial,
  type StageShaft,
} from '@rough-gear/core';
import { computed } from 'vue';
import ChoiceField from '../../../components/fields/ChoiceField.vue';
import CountField from '../../../components/fields/CountField.vue';
import FigureField from '../../../components/fields/FigureField.vue';
import { useDisplay } from '../../../composables/useDisplay.js';
import PartPicker from '../panels/PartPicker.vue';
import ShaftFields from './ShaftFields.vue';
import StageStrength from './StageStrength.vue';
import { useTrain } from './useTrain.js';

/** What the stage in hand is made of: pitch, width, material; of a worm or screw the band in which it stays. */
const { stage, parts, path, set, stageAt, index } = useTrain();
const { show } = useDisplay();

const key = (name: string) => `stage.${stage.value!.id}.${name}`;
const GEAR_MATERIALS = [
  'hardened steel',
  'plain steel',
  '7075 aluminium',
  'brass',
  'nylon or acetal',
  'printed',
] as const;
const WHEEL_MATERIALS: readonly ShaftMaterial[] = ['hardened steel', 'mild steel', '7075 aluminium', '6061 aluminium'];
const asOptions = <T extends string>(values: readonly T[]) => values.map((value) => ({ value, text: value }));
const gear = computed(() => stage.value as GearStage);
const chain = computed(() => stage.value as ChainStage);
const belt = computed(() => stage.value as BeltStage);
const form = computed<StageShaft['form'] | 'none'>(() => stage.value?.shaft?.form ?? 'none');

/** Of a chain the plan keeps pitch and strength, and where they came from. */
const chainOf = (part: Part): readonly Change[] =>
  part.kind !== 'chain'
    ? []
    : (['pitch', 'strength'] as const).flatMap((name) => {
        const figure = part[name];
        return figure
          ? [{ at: [...stageAt(index.value), name], to: { ...figure, source: 'sheet', from: part.name } }]
          : [];
      });

/** Over the band of friction: as given, and at seven tenths of it. */
const band = computed(() => {
  const figure = (name: string) => path.value.figures[key(name)]?.value ?? NaN;
  if (stage.value?.kind !== 'worm' && stage.value?.kind !== 'screw') return undefined;
  const friction = figure('friction');
  const angle = stage.value.kind === 'worm' ? figure('leadAngle') : leadAngle(figure('lead'), figure('pitchDiameter'));
  const held = selfHolding(angle, friction, figure('flankAngle'));
  return Number.isNaN(held.staysFrom) ? undefined : { ...held, friction };
});
const ANSWER = {
  stays: 'stays by itself, greased and shaken too',
  'may creep': 'stays dry, but creeps when greased or shaken',
  'runs back': 'the load drives it back',
} as const;
</script>

<template>
  <div v-if="stage && parts" class="grid items-start gap-x-4 gap-y-1 lg:grid-cols-[minmax(0,1fr)_17rem]">
    <div class="grid grid-cols-2 gap-x-3 gap-y-1 md:grid-cols-4" data-testid="stage-more">
      <template v-if="stage.kind === 'teeth'">
        <FigureField :figure="key('module')" />
        <FigureField :figure="key('face')" />
        <ChoiceField
          label="material"
          :value="gear.material ?? 'plain steel'"
          :options="asOptions(GEAR_MATERIALS)"
          @change="set({ material: $event })"
        />
        <CountField
          :value="gear.idler ?? 0"
          label="idler, teeth"
          :least="0"
          @change="set({ idler: $event >= 6 ? $event : gear.idler ? undefined : 20 })"
        />
      </template>
      <template v-else-if="stage.kind === 'chain'">
        <FigureField :figure="key('pitch')" />
        <FigureField :figure="key('strength')" />
        <ChoiceField
          label="sprockets of"
          :value="chain.material ?? 'mild steel'"
          :options="asOptions(WHEEL_MATERIALS)"
          @change="set({ material: $event })"
        />
        <FigureField :figure="key('wear')" allow="not negative" />
        <PartPicker kind="chain" :take="chainOf" title="A chain for this stage" label="A chain off the shelf" />
        <p class="col-span-full text-xs text-second">
          The smallest that holds is the usual one; the largest only where the whole robot hangs from it.
        </p>
      </template>
      <template v-else-if="stage.kind === 'belt'">
        <FigureField :figure="key('pitch')" />
        <FigureField :figure="key('width')" />
        <ChoiceField
          label="teeth of the belt"
          :value="belt.profile ?? 'round'"
          :options="asOptions(['round', 'modified round'] as const)"
          @change="set({ profile: $event })"
        />
        <CountField :value="belt.belts ?? 1" label="belts side by side" :most="4" @change="set({ belts: $event })" />
        <FigureField :figure="key('room')" />
      </template>
      <template v-else-if="stage.kind === 'worm'">
        <FigureField :figure="key('leadAngle')" />
        <FigureField :figure="key('friction')" allow="not negative" />
        <FigureField :figure="key('flankAngle')" />
        <FigureField :figure="key('ratedTorque')" />
      </template>
      <template v-else-if="stage.kind === 'screw'">
        <FigureField :figure="key('lead')" />
        <FigureField :figure="key('pitchDiameter')" />
        <FigureField :figure="key('flankAngle')" />
        <FigureField :figure="key('friction')" allow="not negative" />
      </template>
      <template v-else>
        <FigureField :figure="key('ratio')" />
        <FigureField :figure="key('ratedTorque')" />
        <FigureField :figure="key('across')" />
      </template>
      <FigureField
        v-if="stage.kind !== 'worm' && stage.kind !== 'screw'"
        :figure="key('efficiency')"
        allow="efficiency"
      />
      <ShaftFields :key="form" />
    </div>
    <StageStrength />
    <p v-if="band" class="text-sm lg:col-span-2" data-testid="self-holding">
      It stays by itself from a friction of <b class="figures">{{ show(band.staysFrom, 'number', 2) }}</b> up. Friction
      is never one number: {{ show(0.7 * band.friction, 'number', 2) }} greased and shaken to
      {{ show(band.friction, 'number', 2) }} as given, and there it <b>{{ ANSWER[band.answer] }}</b>.
    </p>
  </div>
</template>
