<script setup lang="ts">
import {
  applyChanges,
  proposeMechanism,
  type Change,
  type MechanismKind,
  type PackNode,
  type Quantity,
} from '@rough-gear/core';
import { computed, ref, shallowReactive, watch } from 'vue';
import { useRouter } from 'vue-router';
import BaseDialog from '../../components/BaseDialog.vue';
import ChoiceField from '../../components/ChoiceField.vue';
import LinkDrawing from '../../components/LinkDrawing.vue';
import { api } from '../../api/client.js';
import { useDisplay } from '../../composables/useDisplay.js';
import { useShelf } from '../../composables/useShelf.js';
import { usePlan } from '../../stores/plan.js';
import WishField from './WishField.vue';

/** A kind, the numbers that decide and the pack: a first path follows, all marked typical, and the gauge answers. */
const { open } = defineProps<{ open: boolean }>();
const emit = defineEmits<{ close: [] }>();

const plan = usePlan();
const router = useRouter();
const { shelf: packs, load: loadPacks } = useShelf('pack');
const { show } = useDisplay();

const KINDS: { kind: MechanismKind; title: string; says: string; name: string }[] = [
  { kind: 'lift', title: 'Straight lift', says: 'raises a load on a rope or slide', name: 'Lift' },
  { kind: 'drive-base', title: 'Drive base', says: 'the robot on its wheels', name: 'Drive base' },
];
const kind = ref<MechanismKind>('lift');
const name = ref('');
// Shallow: what is typed goes into the plan as it is, and the plan to the worker.
const values = shallowReactive<Partial<Record<'mass' | 'distance' | 'time' | 'every' | 'push', Quantity>>>({});
const pack = ref('keep');
const failure = ref('');
const busy = ref(false);

watch(
  () => open,
  (now) => {
    if (!now) return;
    Object.assign(values, { mass: undefined, distance: undefined, time: undefined, every: undefined, push: undefined });
    [name.value, failure.value, pack.value] = ['', '', 'keep'];
    void loadPacks();
  },
);

const packNode = computed(() => plan.document?.supply.find((node): node is PackNode => node.kind === 'pack'));
const packName = computed(() => (packNode.value ? plan.document?.parts[packNode.value.part]?.part.name : undefined));
const packOptions = computed(() => [
  { value: 'keep', text: `this robot’s: ${packName.value}` },
  ...packs.value.parts
    .filter(({ part }) => part.name !== packName.value)
    .map(({ id, part }) => ({ value: id, text: part.name })),
]);
const ready = computed(() => values.mass && values.distance && values.time);

async function add(): Promise<void> {
  const document = plan.document;
  const { mass, distance, time, every, push } = values;
  if (!document || !mass || !distance || !time) return;
  busy.value = true;
  failure.value = '';
  try {
    const shelf = (await Promise.all(['motor', 'controller', 'breaker'].map((one) => api.shelf(one)))).flat();
    const wanted = {
      kind: kind.value,
      name: name.value.trim() || KINDS.find((one) => one.kind === kind.value)!.name,
      mass,
      distance,
      time,
      ...(every ? { every } : {}),
      ...(push ? { push } : {}),
    };
    const packChanges = packChange();
    const proposed = proposeMechanism(applyChanges(document, packChanges), wanted, shelf);
    plan.commit([...packChanges, ...proposed.changes]);
    emit('close');
    await router.push({ name: 'mechanism', params: { planId: plan.id, mechanismId: proposed.id } });
  } catch (problem) {
    failure.value = (problem as Error).message;
  } finally {
    busy.value = false;
  }
}

function packChange(): readonly Change[] {
  const chosen = packs.value.parts.find(({ id }) => id === pack.value);
  if (!chosen || !packNode.value) return [];
  return [
    {
      at: ['parts', packNode.value.part],
      to: { part: chosen.part, shelfId: chosen.id, shelfRevision: chosen.revision },
    },
  ];
}
</script>

<template>
  <BaseDialog :open="open" title="Add a mechanism" @close="$emit('close')">
    <form class="flex flex-col gap-3" @submit.prevent="add">
      <div role="radiogroup" aria-label="Kind" class="grid grid-cols-2 gap-3">
        <label
          v-for="one in KINDS"
          :key="one.kind"
          class="squared flex cursor-pointer flex-col items-center border p-3 text-center has-focus-visible:outline-2"
          :class="kind === one.kind ? 'border-2 border-ink' : 'border-line'"
        >
          <input v-model="kind" type="radio" name="kind" :value="one.kind" class="sr-only" />
          <LinkDrawing :kind="one.kind" />
          <b>{{ one.title }}</b><span class="text-xs text-second">{{ one.says }}</span>
        </label>
      </div>
      <div class="grid grid-cols-2 gap-x-4 gap-y-2">
        <WishField
          v-model="values.mass"
          :label="kind === 'lift' ? 'what: the load' : 'what: the whole robot'"
          dimension="mass"
          hint="20 kg"
        />
        <WishField
          v-model="values.distance"
          label="how far"
          dimension="length"
          :hint="kind === 'lift' ? '1.35 m' : '6 m'"
        />
        <WishField v-model="values.time" label="in what time" dimension="time" hint="1.6 s" />
        <WishField
          v-model="values.every"
          label="how often: once every"
          dimension="time"
          :hint="`${show(15, 'time')}, typical`"
        />
        <WishField
          v-if="kind === 'drive-base'"
          v-model="values.push"
          label="push with"
          dimension="force"
          hint="0.4 of its weight, typical"
        />
        <ChoiceField :value="pack" label="pack" :options="packOptions" @change="pack = $event" />
        <div>
          <label for="new-name" class="block text-second">called</label>
          <input
            id="new-name"
            v-model="name"
            maxlength="80"
            class="w-full border-b border-ink bg-transparent py-0.5"
            :placeholder="KINDS.find((one) => one.kind === kind)?.name"
          />
        </div>
      </div>
      <p class="text-xs text-second">
        Motor, controller, breaker and ratio are proposed, all marked typical. Each is one click from being replaced.
      </p>
      <p v-if="failure" role="alert" class="text-gives">{{ failure }}</p>
      <div class="flex justify-end gap-3">
        <button type="button" class="button" @click="$emit('close')">Not now</button>
        <button type="submit" class="button main disabled:opacity-50" :disabled="!ready || busy">Add it</button>
      </div>
    </form>
  </BaseDialog>
</template>
