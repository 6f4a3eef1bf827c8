<script setup lang="ts">
import {
  showMultiple,
  USUAL_DAY,
  windingWords,
  type DayPlan,
  type JudgedDay,
  type MatchScript,
  type PackState,
  type Plan,
} from '@rough-gear/core';
import { proxy } from 'comlink';
import { computed, shallowRef, toRaw, watch } from 'vue';
import MeasureField from '../../components/fields/MeasureField.vue';
import VerdictRing from '../../components/verdict/VerdictRing.vue';
import { usePlan } from '../../stores/plan.js';
import { useDisplay } from '../../composables/useDisplay.js';
import { useNewest } from '../../composables/useNewest.js';
import DayMends from './DayMends.vue';
import { coreWorker } from '../../workers/core.js';

/** A day of matches with packs that take turns: which match fails first, what is still warm, how many packs it takes. */
const { plan, script, state } = defineProps<{ plan: Plan; script: MatchScript; state: PackState }>();
const { show, say } = useDisplay();

const store = usePlan();
/** How the day goes is kept with the robot. */
const asked = computed((): DayPlan => plan.day ?? USUAL_DAY);
const set = (part: Partial<DayPlan>) => store.commit([{ at: ['day'], to: { ...asked.value, ...part } }]);
const fresh = computed(() => asked.value.fresh ?? []);
const day = shallowRef<JudgedDay>();
const { running, failure, ask, stop } = useNewest(() => void coreWorker().stop('day'));

function run(): void {
  day.value = undefined;
  void ask(
    (isOn) => {
      const told = proxy((found: JudgedDay) => {
        if (isOn()) day.value = found;
      });
      return coreWorker().day(toRaw(plan), toRaw(script), { ...toRaw(asked.value), ...state }, told);
    },
    (found) => (day.value = found),
  );
}
// What was found is of the plan and the figures it was asked with.
watch([() => plan, () => script, () => state], () => {
  stop();
  day.value = undefined;
});
</script>

<template>
  <section aria-label="Day of matches" class="text-sm">
    <div class="flex flex-wrap items-baseline gap-x-4 gap-y-1">
      <h2 class="text-lg">Day of matches</h2>
      <MeasureField
        :value="asked.matches"
        dimension="number"
        label="matches"
        :at-least="1"
        :most="40"
        class="w-12!"
        @read="set({ matches: Math.round($event) })"
      />
      <MeasureField
        :value="asked.between"
        dimension="time"
        label="between two"
        :at-least="0"
        :most="86400"
        class="w-20!"
        @read="set({ between: $event })"
      />
      <MeasureField
        :value="asked.packs"
        dimension="number"
        label="packs in turn"
        :at-least="1"
        :most="20"
        class="w-12!"
        @read="set({ packs: Math.round($event) })"
      />
      <MeasureField
        :value="asked.charger"
        dimension="current"
        label="each charged at"
        :at-least="0"
        :most="200"
        class="w-16!"
        @read="set({ charger: $event })"
      />
      <button v-if="running" type="button" class="act min-h-6" @click="stop">stop</button>
      <button v-else type="button" class="act min-h-6" @click="run">Go through the day</button>
    </div>
    <p v-if="failure" role="alert" class="text-gives">The day could not be gone through: {{ failure }}</p>
    <template v-if="day">
      <p role="status" data-testid="day-said">
        <template v-if="running">match {{ day.matches.length }} of {{ asked.matches }} … </template>
        <template v-if="day.failsAt !== undefined"
          ><b>Gives way</b> from match {{ day.failsAt + 1 }} on: {{ day.matches[day.failsAt]!.first?.name }}.
        </template>
        <template v-else><b>No match gives way.</b> </template>
        <template v-if="day.packsWanted !== undefined">
          So that each is full again when its turn comes:
          {{ day.packsWanted === 1 ? 'one pack' : `${day.packsWanted} packs` }}.
        </template>
      </p>
      <p v-if="fresh.length > 0" class="text-xs text-second">
        Begun with a full pack from elsewhere: match {{ fresh.map((n) => n + 1).join(', ') }}.
        <button type="button" class="act" @click="set({ fresh: undefined })">Without</button>
      </p>
      <DayMends
        v-if="day.failsAt !== undefined && !running"
        :plan="plan"
        :script="script"
        :fails-at="day.failsAt"
        :state="state"
      />
      <div class="overflow-x-auto">
        <table class="w-full" data-testid="day">
          <thead>
            <tr class="border-b border-ink text-right text-xs">
              <th scope="col" class="text-left font-normal text-second">match</th>
              <th scope="col" class="font-normal text-second">pack</th>
              <th scope="col" class="font-normal text-second">charge at the start</th>
              <th scope="col" class="font-normal text-second">at the end</th>
              <th scope="col" class="font-normal text-second">least volts</th>
              <th scope="col" class="font-normal text-second">hottest winding</th>
              <th scope="col" class="pl-4 text-left font-normal text-second">what gives first</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="(match, i) in day.matches" :key="i" class="border-b border-hair text-right align-top">
              <th scope="row" class="figures text-left font-normal">{{ i + 1 }}</th>
              <td class="figures">{{ match.pack === undefined ? 'full' : match.pack + 1 }}</td>
              <td class="figures">{{ show(match.start, 'share', 2) }}</td>
              <td class="figures">{{ show(match.end, 'share', 2) }}</td>
              <td class="figures">{{ show(match.leastVolts, 'voltage') }}</td>
              <td>
                <template v-if="match.hottest"
                  ><span class="figures">{{ say(windingWords(match.hottest.winding, match.hottest.limit)) }}</span>
                  <span class="ml-1.5 text-xs text-second">{{ match.hottest.name }}</span></template
                >
              </td>
              <td class="pl-4 text-left">
                <span class="flex gap-1.5"
                  ><VerdictRing :verdict="match.verdict" :size="14" class="mt-0.5 shrink-0" /><span
                    >{{ match.first?.name
                    }}<span v-if="match.first && match.first.multiple > 0" class="figures ml-1.5">{{
                      showMultiple(match.first.multiple)
                    }}</span></span
                  ></span
                >
              </td>
            </tr>
          </tbody>
        </table>
      </div>
    </template>
  </section>
</template>
