<script setup lang="ts">
import {
  ceilingsOf,
  JOINT_SCHOOLS,
  MOST,
  reasonsFor,
  type Ceilings,
  type JointWant,
  type MarchedChoice,
  type Plan,
} from '@rough-gear/core';
import { computed, onMounted, reactive, ref, toRaw, watch } from 'vue';
import { toast } from 'vue-sonner';
import { useDisplay } from '../../../composables/useDisplay.js';
import { usePlan } from '../../../stores/plan.js';
import { useWholeShelf } from '../../../stores/shelf.js';
import CeilingFields from './CeilingFields.vue';
import JointTable from './JointTable.vue';
import { useRobotChoice } from './useRobotChoice.js';

/** One choice for all mechanisms at once, within the ceilings of the event and the pack that all share. */
const { plan } = defineProps<{ plan: Plan }>();
const emit = defineEmits<{ close: [] }>();
const store = usePlan();
const { say } = useDisplay();
const shelf = useWholeShelf();
onMounted(() => void shelf.load());

const want = ref<JointWant>('mass');
const school = computed(() => JOINT_SCHOOLS.find((one) => one.want === want.value)!);
const ceilings = ref<Ceilings>(ceilingsOf(plan));
const query = reactive({ mostMotors: 4, ownedOnly: false });
const { ways, choice, doing, share, running, stopped, failure, choose, stop, forget } = useRobotChoice(
  computed(() => plan),
);
// How many motors, and from where, is asked of the searches; the rest only of the choice.
watch(query, forget);
const shown = ref(0);
watch(choice, (now) => (shown.value = Math.min(shown.value, Math.max(0, (now?.held.length ?? 1) - 1))));

function go(): void {
  shown.value = 0;
  const asked = { ...toRaw(ceilings.value), ownedOnly: query.ownedOnly };
  void choose(shelf.offered, { ...query }, { ceilings: asked, want: want.value });
}
function adopt(marched: MarchedChoice): void {
  const writtenAt = new Date().toISOString();
  const reasons = reasonsFor(plan, marched, choice.value!.today, school.value, writtenAt, say);
  store.commit([
    ...marched.changes,
    { at: ['reasons'], to: [...(plan.reasons ?? []), ...reasons].slice(-MOST.reasons) },
  ]);
  toast(`Adopted for ${reasons.length} mechanisms: one undo takes it back`);
  emit('close');
}
</script>

<template>
  <section aria-labelledby="choose-all" class="flex flex-col gap-2 text-sm" data-testid="choose-all">
    <div class="flex items-baseline justify-between gap-4">
      <h2 id="choose-all" class="text-lg">Choose for all mechanisms at once</h2>
      <button type="button" class="act min-h-7" @click="emit('close')">back to the match</button>
    </div>
    <p class="text-second">
      The best set of designs off the shelf, one for each mechanism, that stays under every ceiling and that one pack
      carries through the match. Which is best, practitioners answer differently:
    </p>
    <fieldset class="grid gap-1">
      <legend class="sr-only">What is to be best</legend>
      <label v-for="one in JOINT_SCHOOLS" :key="one.want" class="flex items-baseline gap-2">
        <input v-model="want" type="radio" name="joint-want" :value="one.want" />
        <span
          ><b class="font-semibold">{{ one.name }}</b
          >: <span class="text-second">{{ one.reasons }}</span></span
        >
      </label>
    </fieldset>
    <CeilingFields v-model="ceilings" />
    <div class="flex flex-wrap items-baseline gap-x-5 gap-y-1">
      <label class="flex items-baseline gap-1"
        ><input v-model="query.ownedOnly" type="checkbox" /> only what lies on the shelf</label
      >
      <label class="flex items-baseline gap-1"
        >motors on one mechanism, at most
        <select v-model.number="query.mostMotors" class="min-h-6 border-b border-ink bg-sheet">
          <option v-for="n in 6" :key="n" :value="n">{{ n }}</option>
        </select></label
      >
      <button v-if="running" type="button" class="button" @click="stop">Stop</button>
      <button v-else type="button" class="button main" :disabled="shelf.state !== 'there'" @click="go">
        {{ choice ? 'Choose again' : 'Choose' }}
      </button>
    </div>
    <p v-if="running" role="status" class="flex items-baseline gap-3 text-xs text-second">
      <span class="h-1.5 w-40 border border-line" aria-hidden="true"
        ><span class="block h-full bg-act" :style="{ width: `${100 * share}%` }"
      /></span>
      {{ doing }}, {{ Math.round(100 * share) }} %
    </p>
    <p v-if="shelf.state === 'away'" role="alert" class="text-gives">{{ shelf.failure }}</p>
    <p v-if="failure" role="alert" class="text-gives">It could not be chosen: {{ failure }}.</p>
    <p v-if="stopped" class="text-second">Stopped.</p>
    <JointTable
      v-if="choice && ways"
      v-model:shown="shown"
      :plan="plan"
      :choice="choice"
      :ways="ways"
      :school="school"
      @adopt="adopt"
    />
  </section>
</template>
