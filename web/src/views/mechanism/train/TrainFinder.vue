<script setup lang="ts">
import { until } from '@vueuse/core';
import {
  adoptTrain,
  compareVerdicts,
  digits,
  showMultiple,
  torqueToCarry,
  trainWords,
  type PairKind,
  type Quantity,
  type TrainQuery,
  type TrainWish,
} from '@rough-gear/core';
import { proxy } from 'comlink';
import { computed, onUnmounted, reactive, ref, shallowRef, toRaw } from 'vue';
import { useRoute } from 'vue-router';
import { toast } from 'vue-sonner';
import ChoiceField from '../../../components/fields/ChoiceField.vue';
import CountField from '../../../components/fields/CountField.vue';
import VerdictRing from '../../../components/verdict/VerdictRing.vue';
import { useDisplay } from '../../../composables/useDisplay.js';
import { coreWorker } from '../../../workers/core.js';
import type { TrainProgress } from '../../../workers/questions.js';
import WishField from '../adding/WishField.vue';
import { useTrain, useTrainTab } from './useTrain.js';

/** From a wanted total to trains that exist: searched in the worker, judged on this very mechanism. */
const { plan, mechanism, path, stock, shelf, commit, link } = useTrain();
const tab = useTrainTab();
const { show } = useDisplay();
const route = useRoute();

/** So many are judged on the mechanism; so many of them are shown. */
const JUDGED = 120;
const SHOWN = 24;
const asked = reactive({
  // Another page may have come here with a total.
  wanted: /^[\d.]{1,8}$/.exec(String(route.query['total'] ?? ''))?.[0] ?? digits(path.value.train.total, 3),
  within: 3,
  kinds: { teeth: true, chain: true, belt: true, planetary: false } as Record<PairKind, boolean>,
  mostStages: 2 as TrainQuery['mostStages'],
  sense: 'either' as TrainQuery['sense'],
  leastTeeth: 16,
  by: 'nearest' as TrainWish,
  holding: true,
});
/** Most it may reach and weigh; any where empty. */
const longest = ref<Quantity>();
const heaviest = ref<Quantity>();
const KINDS: readonly { kind: PairKind; text: string }[] = [
  { kind: 'teeth', text: 'gears' },
  { kind: 'chain', text: 'chain' },
  { kind: 'belt', text: 'belt' },
  { kind: 'planetary', text: 'planetary' },
];
const WISHES: readonly { value: TrainWish; text: string }[] = [
  { value: 'nearest', text: 'nearest to it' },
  { value: 'lightest', text: 'lightest' },
  { value: 'cheapest', text: 'cheapest' },
  { value: 'shortest', text: 'shortest' },
  { value: 'least loss', text: 'least lost' },
  { value: 'most teeth', text: 'most teeth on the smallest' },
];
const SENSES: readonly { value: TrainQuery['sense']; text: string }[] = [
  { value: 'either', text: 'either way' },
  { value: 'same', text: 'as the motor' },
  { value: 'opposite', text: 'against the motor' },
];
const STAGES = ([1, 2, 3] as const).map((value) => ({
  value: String(value),
  text: value === 1 ? 'one' : value === 2 ? 'up to two' : 'up to three',
}));

/** "9.4", "9.4:1", "9 to 10": one total, or a range. */
const range = computed(() => {
  const numbers = asked.wanted
    .replaceAll(',', '.')
    .replace(/:1\b/g, '')
    .match(/\d+(\.\d+)?/g)
    ?.map(Number);
  if (!numbers || numbers.length > 2 || numbers.some((value) => !(value > 0) || value > 5000)) return undefined;
  const [a, b] = numbers as [number, number?];
  if (b !== undefined) return { from: Math.min(a, b), to: Math.max(a, b), wanted: Math.sqrt(a * b) };
  const share = asked.within / 100;
  return { from: a * (1 - share), to: a * (1 + share), wanted: a };
});

/** What holds stands before what does not; among equals the order asked for. */
const rows = computed(() =>
  [...(found.value?.trains ?? [])]
    .sort((a, b) => compareVerdicts(a.judged?.verdict ?? 'gives way', b.judged?.verdict ?? 'gives way'))
    .slice(0, SHOWN),
);

const torque = computed(() => torqueToCarry(plan.value, mechanism.value, path.value.stages.length));

const found = shallowRef<TrainProgress>();
const running = shallowRef(false);

async function search(): Promise<void> {
  if (!range.value) return;
  const query: TrainQuery = {
    ...range.value,
    kinds: KINDS.filter(({ kind }) => asked.kinds[kind]).map(({ kind }) => kind),
    mostStages: asked.mostStages,
    sense: asked.sense,
    leastTeeth: asked.leastTeeth,
    by: asked.by,
    most: JUDGED,
    mostLength: longest.value?.si,
    mostMass: heaviest.value?.si,
    carry: asked.holding ? torque.value : undefined,
    motors: asked.holding ? path.value.motors : undefined,
  };
  running.value = true;
  found.value = undefined;
  const all = await coreWorker().trains(
    toRaw(plan.value),
    mechanism.value.id,
    toRaw(stock.value),
    query,
    proxy((now: TrainProgress) => (found.value = now)),
  );
  // Another search was started meanwhile: that one speaks now.
  if (!all) return;
  found.value = all;
  running.value = false;
}

function stop(): void {
  void coreWorker().stop('trains');
  running.value = false;
}
onUnmounted(stop);
// What the shelf has for today's total is looked for at once.
void until(() => stock.value.length > 0)
  .toBe(true)
  .then(search);

function take(row: TrainProgress['trains'][number]): void {
  commit(adoptTrain(plan.value, mechanism.value, row.train));
  link.value = 's1';
  toast(`${trainWords(row.train)} is in place. Undo brings the old train back.`);
  tab.value = 'stages';
}
</script>

<template>
  <form class="grid grid-cols-2 items-end gap-x-4 gap-y-1 sm:grid-cols-3 xl:grid-cols-6" @submit.prevent="search">
    <div>
      <label for="wanted-total" class="block text-[0.8125rem] text-second">total, or a range</label>
      <input
        id="wanted-total"
        v-model="asked.wanted"
        class="figures min-h-7 w-full border-b border-ink bg-transparent"
        autocomplete="off"
        :aria-invalid="!range"
      />
    </div>
    <CountField :value="asked.within" label="within, %" :least="0" :most="30" @change="asked.within = $event" />
    <ChoiceField
      label="stages"
      :value="String(asked.mostStages)"
      :options="STAGES"
      @change="asked.mostStages = Number($event) as TrainQuery['mostStages']"
    />
    <ChoiceField label="output turns" :value="asked.sense" :options="SENSES" @change="asked.sense = $event" />
    <CountField
      :value="asked.leastTeeth"
      label="least teeth"
      :least="8"
      :most="40"
      @change="asked.leastTeeth = $event"
    />
    <ChoiceField label="first the" :value="asked.by" :options="WISHES" @change="asked.by = $event" />
    <WishField v-model="longest" label="no longer than" dimension="length" hint="any length" />
    <WishField v-model="heaviest" label="no heavier than" dimension="mass" hint="any mass" />
    <fieldset class="col-span-2 sm:col-span-2 xl:col-span-3">
      <legend class="sr-only">Kinds of stage</legend>
      <div class="flex flex-wrap gap-x-4 text-sm">
        <label v-for="{ kind, text } in KINDS" :key="kind" class="flex min-h-6 items-center gap-1"
          ><input v-model="asked.kinds[kind]" type="checkbox" />{{ text }}</label
        >
        <label class="flex min-h-6 items-center gap-1"
          ><input v-model="asked.holding" type="checkbox" />only what carries the load</label
        >
      </div>
    </fieldset>
    <button v-if="running" type="button" class="button" @click="stop">Stop</button>
    <button v-else type="submit" class="button main" :disabled="!range || shelf.state !== 'there'">Find trains</button>
  </form>
  <p v-if="!range" class="text-sm text-gives" role="alert">
    “{{ asked.wanted }}” is no total: write 9.4, or 9 to 10; up to 5000 is allowed.
  </p>
  <p v-if="shelf.state === 'away'" class="text-sm text-gives">
    The shelf is out of reach: nothing can be proposed from it now.
  </p>
  <p class="text-sm text-second" aria-live="polite" data-testid="train-count">
    <template v-if="found">
      <span class="figures">{{ found.decided.toLocaleString('en') }}</span> combinations
      {{ found.done ? 'decided' : running ? 'so far' : 'decided before it was stopped' }}
      <template v-if="found.tooWeak > 0"
        >; <span class="figures">{{ found.tooWeak.toLocaleString('en') }}</span> make the total but would not carry
        {{ show(torque, 'torque', 2) }} at the last shaft</template
      ><template v-if="found.tooLarge > 0"
        >; <span class="figures">{{ found.tooLarge.toLocaleString('en') }}</span> are longer or heavier than they may
        be</template
      >. {{ found.trains.length === 0 && found.done ? 'None is left.' : 'What holds on this mechanism stands first.' }}
    </template>
    <template v-else
      >Trains are put together from what is on the shelf: teeth, belts and gearboxes that are sold.</template
    >
  </p>
  <div v-if="found && found.trains.length > 0" class="overflow-x-auto">
    <table class="figures w-full text-[0.8125rem] whitespace-nowrap" data-testid="trains">
      <thead>
        <tr class="border-b border-ink text-right text-xs">
          <th scope="col" class="pr-3 text-left font-sans">take a train, from the motor</th>
          <th scope="col" class="pr-3 font-normal">total</th>
          <th scope="col" class="pr-3 font-normal">off</th>
          <th scope="col" class="pr-3 text-left font-normal">gives first</th>
          <th scope="col" class="pr-3 font-normal">loses</th>
          <th scope="col" class="pr-3 font-normal">length</th>
          <th scope="col" class="pr-3 font-normal">mass</th>
          <th scope="col" class="pr-3 font-normal">price</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="row in rows" :key="trainWords(row.train) + row.train.price" class="border-b border-hair text-right">
          <th scope="row" class="pr-3 text-left font-normal">
            <button type="button" class="act min-h-6 font-sans" @click="take(row)">{{ trainWords(row.train) }}</button>
          </th>
          <td class="pr-3">{{ digits(row.train.total, 4) }}</td>
          <td class="pr-3">
            {{ row.train.missedBy >= 0 ? '+' : '−' }}{{ Math.abs(100 * row.train.missedBy).toFixed(2) }} %
          </td>
          <td class="pr-3 text-left whitespace-nowrap">
            <span v-if="row.judged" class="inline-flex items-center gap-1.5 font-sans"
              ><VerdictRing :verdict="row.judged.verdict" :size="14" /><span class="sr-only">{{
                row.judged.verdict
              }}</span
              >{{ row.judged.multiple === undefined ? '' : showMultiple(row.judged.multiple) }}
              {{ row.judged.name }}</span
            >
          </td>
          <td class="pr-3">{{ (100 * (1 - row.train.efficiency)).toFixed(0) }} %</td>
          <td class="pr-3">{{ show(row.train.length, 'length', 2) }}</td>
          <td class="pr-3">{{ show(row.train.mass, 'mass', 2) }}</td>
          <td class="pr-3">{{ row.train.price.toFixed(0) }}</td>
        </tr>
      </tbody>
    </table>
  </div>
</template>
