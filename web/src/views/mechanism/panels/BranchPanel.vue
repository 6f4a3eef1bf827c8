<script setup lang="ts">
import { branchOf, supplyAt, wireLossOf, type Part, type ProtectedNode, type WorkingRef } from '@rough-gear/core';
import { computed } from 'vue';
import { useDisplay } from '../../../composables/useDisplay.js';
import FigureField from '../../../components/fields/FigureField.vue';
import { useFold } from '../../../composables/useFold.js';
import { useMechanism } from '../../../composables/useMechanism.js';
import PanelHead from './PanelHead.vue';
import PartPicker from './PartPicker.vue';

const emit = defineEmits<{ working: [ref: WorkingRef, title: string] }>();
const { plan, path, choice, commit } = useMechanism();
const { show } = useDisplay();

const branch = computed(() => branchOf(plan.value, choice.value.drive.node));
const main = computed(() => plan.value.supply.find((node): node is ProtectedNode => node.kind === 'main'));
const at = (node: ProtectedNode, key: string) => [...supplyAt(plan.value, node.id), key];
const breakerName = (node: ProtectedNode): string =>
  node.breaker ? plan.value.parts[node.breaker]!.part.name : 'no breaker';
const more = useFold();
/** What the branch's wire loses while working. */
const wireSaid = computed(() => {
  const loss = wireLossOf(path.value);
  return loss
    ? `While working the branch wire drops ${show(loss.drop, 'voltage')} and gives off ${show(loss.heat, 'power')}.`
    : '';
});
/** Of a wire the plan keeps the gauge, and where it came from. */
const wireOf = (node: ProtectedNode) => (part: Part) =>
  part.kind === 'wire' && part.gauge
    ? [{ at: [...at(node, 'wire'), 'gauge'], to: { ...part.gauge, from: part.name } }]
    : [];
const several = computed(() => path.value.motors > 1);
</script>

<template>
  <PanelHead
    title="Branch"
    :detail="
      branch
        ? `${breakerName(branch)}${several ? (branch.together ? ', all motors together' : ', one for each motor') : ''}`
        : 'straight on the pack'
    "
  >
    <PartPicker v-if="branch" kind="breaker" :at="at(branch, 'breaker')" title="A breaker for this branch" />
    <PartPicker v-if="main" kind="breaker" :at="at(main, 'breaker')" title="The main breaker" label="Change the main" />
    <PartPicker v-if="branch" kind="wire" :take="wireOf(branch)" title="A wire for this branch" label="Wire" />
    <button type="button" class="act min-h-6" :aria-expanded="more" @click="more = !more">
      {{ more ? 'Less' : 'Plugs, main breaker' }}
    </button>
    <button
      type="button"
      class="act min-h-6"
      @click="emit('working', { of: 'term', term: 'supplyCurrent' }, 'Supply current while working')"
    >
      Working
    </button>
  </PanelHead>
  <div class="grid grid-cols-2 gap-x-4 gap-y-1 sm:grid-cols-4">
    <FigureField figure="branch.rated" label="breaker" />
    <FigureField figure="branch.holdMultiple" />
    <FigureField figure="branch.timeConstant" />
    <FigureField figure="branch.gauge" label="wire" allow="not negative" />
    <FigureField figure="branch.length" label="one way" allow="not negative" />
    <FigureField figure="main.rated" />
    <FigureField figure="main.gauge" allow="not negative" />
    <FigureField figure="main.length" label="main, one way" allow="not negative" />
  </div>
  <div v-if="more" class="mt-1 grid grid-cols-2 gap-x-4 gap-y-1 sm:grid-cols-3">
    <FigureField figure="branch.connectors" allow="not negative" />
    <FigureField figure="branch.connectorResistance" allow="not negative" />
    <FigureField figure="branch.connectorRated" />
    <FigureField figure="main.holdMultiple" />
    <FigureField figure="main.timeConstant" />
    <FigureField figure="main.connectors" allow="not negative" />
    <FigureField figure="main.connectorResistance" allow="not negative" />
    <FigureField figure="main.connectorRated" />
  </div>
  <p class="mt-1 flex flex-wrap gap-x-4 text-xs text-second">
    <span v-if="wireSaid">{{ wireSaid }}</span>
    <label v-if="branch && several" class="flex items-center gap-1.5">
      <input
        type="checkbox"
        class="size-4"
        :checked="branch.together ?? false"
        @change="commit([{ at: at(branch, 'together'), to: ($event.target as HTMLInputElement).checked }])"
      />
      all {{ path.motors }} motors behind this one breaker
    </label>
    <span>Your event’s rules and local electrical codes decide over breaker and wire.</span>
  </p>
</template>
