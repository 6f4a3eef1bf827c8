<script setup lang="ts">
import {
  amount,
  creepSpeedOf,
  digits,
  say as phrase,
  topSpeedOf,
  type Quantity,
  type SpeedEnd,
  type VariantResult,
} from '@rough-gear/core';
import { computed, ref, watch } from 'vue';
import { outputUnits } from '../../../components/charts/forceChart.js';
import ChoiceTabs from '../../../components/widgets/ChoiceTabs.vue';
import { useDisplay } from '../../../composables/useDisplay.js';
import { useMechanism } from '../../../composables/useMechanism.js';
import WishField from '../adding/WishField.vue';
import VariantTable from '../compare/VariantTable.vue';
import { useDesk } from '../../../composables/useDesk.js';
import { useGearFor } from './useGearFor.js';

/** From a wanted speed to the total that gives it, what that costs at the other end, its teeth, and other volts that give the same. */
const { path, mechanism, jobId, commit } = useMechanism();
const { show } = useDisplay();
const { open } = useDesk();

const ENDS: readonly { value: SpeedEnd; text: string }[] = [
  { value: 'top', text: 'as fast as' },
  { value: 'creep', text: 'as slow as' },
];
const end = ref<SpeedEnd>('top');
const wish = ref<Quantity>();
const dimension = computed(() => outputUnits(path.value).speed);
// Another end, or another kind of speed, is another wish: the field is empty then, and so is what was read of it.
watch([end, dimension], () => (wish.value = undefined));
/** How fast, or how slow, it runs as it is: what is answered until another speed is typed. */
const today = computed(() => {
  if (path.value.machine !== 'dc') return undefined;
  return end.value === 'top' ? topSpeedOf(path.value) : creepSpeedOf(path.value);
});
const hint = computed(() =>
  today.value === undefined ? 'a speed' : phrase`${amount(today.value, dimension.value)}, as now`,
);
const job = computed(() => mechanism.value.jobs.find(({ id }) => id === jobId.value)?.name ?? 'the open job');
const { found, waiting } = useGearFor(
  computed(() => mechanism.value.id),
  jobId,
  end,
  computed(() => wish.value?.si ?? today.value),
);
const geared = computed(() => found.value?.geared);
const row = (id: string) => found.value?.rows.find((one) => one.id === id);
const now = computed(() => row('now'));
const then = computed(() => row('geared'));
const speeds = (one: VariantResult | undefined) => ({
  top: one?.top === undefined ? 'not known' : show(one.top, dimension.value, 3),
  creep: one?.creep === undefined ? 'not known' : show(one.creep, dimension.value, 2),
});

function toTeeth(total: number): void {
  open('teeth', 'find', { total: digits(total, 4) });
}
</script>

<template>
  <p v-if="path.machine === 'servo'" class="text-second">
    A servo goes as fast as its own gears and its volts let it: <i>Compare</i> in its panel shows the same motor with
    other gears, and a horn or linkage trades way for force.
  </p>
  <p v-else-if="path.machine !== 'dc'" class="text-second">
    What takes pulses goes as fast as it is told: its total is chosen by what it pulls, on the page <i>Ratio</i>.
  </p>
  <template v-else>
    <div class="grid items-start gap-x-6 gap-y-1 sm:grid-cols-[auto_14rem_1fr]">
      <div>
        <span class="block text-second">geared to run</span>
        <ChoiceTabs v-model="end" :options="ENDS" label="Which speed is wanted" />
      </div>
      <WishField
        :key="dimension + end"
        v-model="wish"
        :label="end === 'top' ? 'at full effort, under its load' : 'and keep it steadily'"
        :dimension="dimension"
        :hint="hint"
      />
      <p class="self-center text-xs text-second">
        <span data-unit-is-a-name>m/s, ft/s, mph or km/h</span>, or rpm of what turns. The load is that of {{ job }}; of
        two totals with one speed the deeper is taken, at which the motor need not drag.
      </p>
    </div>
    <p v-if="waiting && !found" role="status" class="text-second">looking …</p>
    <template v-if="geared && !geared.ok">
      <p class="text-gives" role="alert" data-testid="geared">
        <template v-if="geared.nearest === undefined"
          >Not known: a figure of the motor, the pack or the load is missing.</template
        >
        <template v-else
          >No total does it: the fastest it runs under this load is
          <b class="figures">{{ show(geared.nearest, dimension, 3) }}</b>, at
          <b class="figures">{{ digits(geared.at, 3) }}:1</b>. More volts, another winding or more motors go
          faster.</template
        >
      </p>
    </template>
    <template v-else-if="geared">
      <p v-if="!wish" data-testid="as-it-is">
        At <span class="figures">{{ digits(path.train.total, 4) }}:1</span>, as it is, it runs
        <b class="figures">{{ speeds(now).top }}</b> and keeps <b class="figures">{{ speeds(now).creep }}</b> at the
        slowest. Type a speed: the ratio for it, and what that costs at the other end, follow.
      </p>
      <p v-else data-testid="geared">
        Geared <b class="figures">{{ digits(geared.total, 4) }}:1</b>. It is
        <span class="figures">{{ digits(path.train.total, 4) }}:1</span> now and runs
        <span class="figures">{{ speeds(now).top }}</span>.
        <template v-if="then && end === 'top'"
          >At the other end the slowest it keeps is <b class="figures">{{ speeds(then).creep }}</b> in place of
          <span class="figures">{{ speeds(now).creep }}</span>.</template
        >
        <template v-else-if="then"
          >At the other end it runs <b class="figures">{{ speeds(then).top }}</b> in place of
          <span class="figures">{{ speeds(now).top }}</span>.</template
        >
        <button type="button" class="act ml-2 min-h-6" @click="toTeeth(geared.total)">Find its teeth</button>
      </p>
      <VariantTable
        :rows="(found?.rows ?? []).filter(({ id }) => wish || id === 'now')"
        :columns="['total', 'top', 'creep', 'pull', 'time', 'motorCurrent', 'supplyCurrent', 'hottest']"
        current="now"
        @take="commit($event.changes)"
      />
      <h3 class="mt-2 text-sm font-semibold">The same speed on other volts</h3>
      <p class="text-xs text-second">
        Every cell count this controller stands. More volts with more reduction do the same work with fewer amperes and
        creep slower; the pack is the whole robot’s, so that every mechanism sees the change. Above 60 V d.c.: licensed
        practice.
      </p>
      <p v-if="found?.pairs.length === 0" class="text-second">
        None: the pack is missing or has no cells to count, or no stage of this train can be moved.
      </p>
      <VariantTable
        v-else
        :rows="found?.pairs ?? []"
        :columns="[
          'total',
          end === 'top' ? 'creep' : 'top',
          'motorCurrent',
          'supplyCurrent',
          'motorHeat',
          'hottest',
          'runTime',
        ]"
        current=""
        @take="commit($event.changes)"
      />
    </template>
  </template>
</template>
