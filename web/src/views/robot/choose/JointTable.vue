<script setup lang="ts">
import {
  counted,
  digits,
  showMultiple,
  TODAY,
  type CeilingCost,
  type CeilingId,
  type JointSchool,
  type JointSums,
  type MarchedChoice,
  type Plan,
  type RobotChoice,
  type RobotOptions,
} from '@rough-gear/core';
import { computed } from 'vue';
import VerdictRing from '../../../components/verdict/VerdictRing.vue';
import { useDisplay } from '../../../composables/useDisplay.js';

/** Mechanisms by what is there and what is proposed, what it comes to, what comes next, and what each ceiling costs. */
const { plan, choice, ways, school } = defineProps<{
  plan: Plan;
  choice: RobotChoice;
  ways: RobotOptions;
  school: JointSchool;
}>();
const emit = defineEmits<{ adopt: [marched: MarchedChoice] }>();
const shown = defineModel<number>('shown', { required: true });
const { show, say } = useDisplay();

const marched = computed(() => choice.held[shown.value]);
const rows = computed(() =>
  plan.mechanisms.map(({ id, name }, m) => {
    const [today, taken] = [ways.todays[m], marched.value?.taken[m]];
    return { id, name, today, taken, ways: ways.options[m]?.length ?? 0, changes: taken?.found !== undefined };
  }),
);
const valueText = (value: number): string => {
  switch (school.want) {
    case 'mass':
      return show(value, 'mass');
    case 'price':
      return digits(value);
    case 'kinds':
      return counted(value, 'kind');
    default:
      return showMultiple(value);
  }
};
interface Sum {
  readonly name: string;
  readonly of: (sums: JointSums) => string;
}
const SUMS: readonly Sum[] = [
  { name: 'mass of all mechanisms', of: ({ mass }) => show(mass, 'mass') },
  { name: 'still to spend', of: ({ price }) => digits(price) },
  { name: 'motors', of: ({ motors }) => String(motors) },
  { name: 'slots', of: ({ slots }) => digits(slots) },
  { name: 'kinds', of: ({ kinds }) => String(kinds) },
  { name: 'charge a match', of: ({ charge }) => show(charge, 'charge') },
  { name: 'least margin', of: ({ margin }) => showMultiple(margin) },
  { name: 'least room of a winding', of: ({ coolness }) => showMultiple(coolness) },
];
const STEP_WORDS: Readonly<Record<CeilingId, (step: number) => string>> = {
  mass: (step) => `${show(step, 'mass')} more`,
  price: (step) => `${digits(step)} money more`,
  motors: () => 'one motor more',
  slots: () => 'one slot more',
  kinds: () => 'one kind more',
  charge: (step) => `${show(step, 'charge')} more a match`,
  peak: (step) => `${show(step, 'current')} more at once`,
};
function costText({ ceiling, step, value, helps }: CeilingCost): string {
  const more = STEP_WORDS[ceiling](step);
  if (value === undefined) return `${more} would not be enough`;
  if (!helps) return `${more} changes nothing`;
  const was = choice.paper?.value;
  return was === undefined
    ? `${more} makes it possible: ${valueText(value)}`
    : `${more}: ${valueText(value)} for ${valueText(was)}`;
}
</script>

<template>
  <div class="flex flex-col gap-2" data-testid="joint">
    <p v-if="choice.done && !choice.paper" role="alert" data-testid="joint-impossible">
      <b>No set of designs stays under all ceilings.</b> Raise a limit, or ask less of a job.
    </p>
    <p v-else-if="choice.done && choice.held.length === 0" role="alert">
      <b>None that was tried holds on one pack.</b> {{ counted(choice.ruledOut.length, 'set') }} best on paper,
      {{ choice.ruledOut[0]?.first?.name }} first. Mend the match first, or set a ceiling on motors or charge.
    </p>
    <template v-if="marched">
      <div v-if="choice.held.length > 1" role="group" aria-label="Sets that hold" class="flex flex-wrap gap-x-4">
        <button
          v-for="(one, i) in choice.held"
          :key="i"
          type="button"
          class="min-h-6"
          :class="i === shown ? 'border-b-2 border-ink font-semibold' : 'act'"
          :aria-pressed="i === shown"
          @click="shown = i"
        >
          {{ i === 0 ? 'best' : i === 1 ? 'second' : 'third' }},
          <span class="figures">{{ valueText(one.choice.value) }}</span>
        </button>
      </div>
      <div class="overflow-x-auto" tabindex="0" role="region" aria-label="Set by mechanism">
        <table class="w-full text-[0.8125rem]">
          <thead>
            <tr class="border-b border-ink text-left text-xs">
              <th scope="col" class="font-normal text-second">mechanism</th>
              <th scope="col" class="font-normal text-second">today</th>
              <th scope="col" class="font-normal text-second">proposed</th>
              <th scope="col" class="text-right font-normal text-second">margin</th>
              <th scope="col" class="text-right font-normal text-second">out of</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="row in rows" :key="row.id" class="border-b border-hair align-top">
              <th scope="row" class="pr-3 text-left font-normal">{{ row.name }}</th>
              <td class="pr-3 text-second">{{ row.today?.label }}</td>
              <td :class="row.changes ? 'font-semibold' : 'text-second'">
                {{ row.taken?.key === TODAY ? 'as it is' : row.taken?.label }}
              </td>
              <td class="figures text-right">{{ row.taken ? showMultiple(row.taken.margin) : '' }}</td>
              <td class="figures text-right text-second">{{ row.ways }}</td>
            </tr>
          </tbody>
          <tbody>
            <tr v-for="sum in SUMS" :key="sum.name" class="border-b border-hair">
              <th scope="row" class="text-left font-normal text-second">{{ sum.name }}</th>
              <td class="figures">{{ sum.of(choice.today) }}</td>
              <td class="figures font-semibold" colspan="3">{{ sum.of(marched.choice) }}</td>
            </tr>
          </tbody>
        </table>
      </div>
      <p class="flex flex-wrap items-baseline gap-x-2">
        <VerdictRing :verdict="marched.verdict" :size="14" class="self-center" />
        <span
          >In the match then <b class="font-semibold">{{ marched.verdict }}</b><template v-if="marched.first"
            >, first {{ marched.first.name }}, {{ showMultiple(marched.first.multiple) }}.
            {{ say(marched.first.sentence) }}</template
          ></span
        >
      </p>
      <p v-if="choice.done">
        <button type="button" class="button main" @click="emit('adopt', marched)">
          Adopt for {{ counted(rows.filter(({ changes }) => changes).length, 'mechanism') }}
        </button>
        <span class="ml-3 text-xs text-second"
          >Totals are set as ratios: put them in teeth in each mechanism afterwards. One undo takes all back.</span
        >
      </p>
    </template>
    <p v-if="choice.ruledOut.length > 0" class="text-xs text-second" data-testid="ruled-out">
      Ruled out by the pack they share, though better on paper:
      {{
        choice.ruledOut
          .map(
            ({ choice: sums, first }) =>
              `${valueText(sums.value)} (${first?.name} ${showMultiple(first?.multiple ?? 0)})`,
          )
          .join(', ')
      }}. After each the best was asked of those that draw a tenth less at once.
    </p>
    <ul v-if="choice.costs.length > 0" class="text-xs" aria-label="What each ceiling costs" data-testid="ceiling-costs">
      <li v-for="cost in choice.costs" :key="cost.ceiling">{{ costText(cost) }}</li>
    </ul>
  </div>
</template>
