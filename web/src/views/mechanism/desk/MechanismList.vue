<script setup lang="ts">
import IconButton from '../../../components/widgets/IconButton.vue';
import {
  headlineText,
  robotText,
  showMultiple,
  type Mechanism,
  type MechanismResult,
  type RobotRung,
} from '@rough-gear/core';
import { ArrowDown, ArrowUp, GripVertical } from '@lucide/vue';
import { computed, ref } from 'vue';
import { useDragOrder } from '../../../composables/useDragOrder.js';
import PlanParts from './PlanParts.vue';
import VerdictRing from '../../../components/verdict/VerdictRing.vue';
import VerdictWord from '../../../components/verdict/VerdictWord.vue';
import { inTheMatch, useRobotVerdict } from '../../../composables/useRobotVerdict.js';
import { usePlan } from '../../../stores/plan.js';

/** The robot's mechanisms with verdict and least multiple; dragged, or moved by keys, into an order. */
const { results, current, open } = defineProps<{
  results: ReadonlyMap<string, MechanismResult>;
  current: MechanismResult | undefined;
  /** The whole robot is open. */
  open: boolean;
}>();
defineEmits<{ add: [] }>();

const plan = usePlan();
const { together, whole } = useRobotVerdict();
const times = computed(() => {
  const first = whole.value?.findings[0];
  return first?.multiple === undefined ? '' : showMultiple(first.multiple);
});
const mechanisms = computed({
  get: () => [...(plan.document?.mechanisms ?? [])],
  set: (order: Mechanism[]) => plan.commit([{ at: ['mechanisms'], to: order }]),
});

const list = ref<HTMLElement>();
const { ready } = useDragOrder(list, mechanisms, '.drag');

const resultOf = (id: string): MechanismResult | undefined => (current?.id === id ? current : results.get(id));

function timesText(id: string): string {
  const headline = resultOf(id)?.headline;
  if (!headline) return '…';
  if (headline.verdict === 'not known') return '?';
  return headline.multiple === undefined ? '' : showMultiple(headline.multiple);
}

/** What gives first of it in the matches, where that is not enough. */
function worseInMatch(id: string): RobotRung | undefined {
  const rung = inTheMatch(together.value, id);
  return rung && rung.verdict !== 'enough' ? rung : undefined;
}

/** Beside the verdict's word: what it is, and how much is not known where all that is known is enough. */
function detail(id: string): string {
  const headline = resultOf(id)?.headline;
  if (!headline) return '';
  const { multiple: _, ...words } = headline;
  if (headline.verdict !== 'enough') return `: ${headlineText(words)}`;
  return headline.notKnown > 0 ? `, ${headline.notKnown} not known` : '';
}

function move(index: number, by: number): void {
  const order = [...mechanisms.value];
  const [taken] = order.splice(index, 1);
  if (!taken || index + by < 0 || index + by > order.length) return;
  order.splice(index + by, 0, taken);
  mechanisms.value = order;
}
</script>

<template>
  <nav aria-label="Mechanisms" class="flex min-h-0 flex-col overflow-y-auto" @pointerenter="ready">
    <RouterLink
      v-if="mechanisms.length > 0"
      :to="{ name: 'mechanism', params: { planId: plan.id } }"
      class="relative border-b border-ink py-2 pr-3 pl-4 hover:bg-sheet"
      :class="open ? 'bg-sheet font-semibold' : ''"
      :aria-current="open ? 'page' : undefined"
    >
      <span v-if="open" class="absolute inset-y-0 left-0 w-1 bg-ink" aria-hidden="true" />
      <span class="grid grid-cols-[14px_1fr_auto] items-center gap-x-3">
        <VerdictRing v-if="whole" :verdict="whole.verdict" /><span v-else aria-hidden="true" />
        <span>Whole robot</span>
        <span class="figures">{{ times }}</span>
        <span class="col-start-2 col-end-4 text-xs font-normal text-second">
          <template v-if="whole"><VerdictWord :verdict="whole.verdict" />: {{ robotText(whole) }}</template
          ><template v-else>looking …</template>
        </span>
      </span>
    </RouterLink>
    <ul ref="list">
      <li
        v-for="(mechanism, i) in mechanisms"
        :key="mechanism.id"
        class="group relative border-b border-hair"
        :class="current?.id === mechanism.id ? 'bg-sheet' : ''"
      >
        <span v-if="current?.id === mechanism.id" class="absolute inset-y-0 left-0 w-1 bg-ink" aria-hidden="true" />
        <RouterLink
          :to="{ name: 'mechanism', params: { planId: plan.id, mechanismId: mechanism.id } }"
          class="grid grid-cols-[14px_1fr_auto] items-center gap-x-3 py-2 pr-3 pl-4 hover:bg-sheet"
          :aria-current="current?.id === mechanism.id ? 'page' : undefined"
        >
          <VerdictRing :verdict="resultOf(mechanism.id)?.headline.verdict ?? 'not known'" />
          <span
            class="min-w-0 break-words hyphens-auto"
            :class="current?.id === mechanism.id ? 'font-semibold' : ''"
            lang="en"
            >{{ mechanism.name }}</span
          >
          <span class="figures">{{ timesText(mechanism.id) }}</span>
          <span class="col-start-2 col-end-4 text-xs">
            <template v-if="resultOf(mechanism.id)"
              ><VerdictWord :verdict="resultOf(mechanism.id)!.headline.verdict" /><span
                v-if="current?.id === mechanism.id || plan.document?.mechanisms.length === 1"
                class="text-second"
                >{{ detail(mechanism.id) }}</span
              ></template
            >
            <span v-else class="text-second">looking …</span>
            <span v-if="worseInMatch(mechanism.id)" class="block text-second" data-testid="list-in-match"
              ><VerdictWord :verdict="worseInMatch(mechanism.id)!.verdict" /> in the match<template
                v-if="worseInMatch(mechanism.id)!.multiple > 0"
                >, <span class="figures">{{ showMultiple(worseInMatch(mechanism.id)!.multiple) }}</span></template
              ></span
            >
          </span>
        </RouterLink>
        <span class="absolute right-1 bottom-0.5 hidden bg-sheet group-focus-within:flex group-hover:flex">
          <IconButton :label="`Move ${mechanism.name} up`" :disabled="i === 0" @click="move(i, -1)"
            ><ArrowUp :size="14"
          /></IconButton>
          <IconButton :label="`Move ${mechanism.name} down`" :disabled="i === mechanisms.length - 1" @click="move(i, 1)"
            ><ArrowDown :size="14"
          /></IconButton>
          <span class="drag grid size-6 cursor-grab place-items-center text-second" aria-hidden="true"
            ><GripVertical :size="14"
          /></span>
        </span>
      </li>
    </ul>
    <button type="button" class="act min-h-9 px-4 text-left" @click="$emit('add')">Add a mechanism</button>
    <PlanParts />
  </nav>
</template>
