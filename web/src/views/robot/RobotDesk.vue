<script setup lang="ts">
import { putScript, type MatchLog, type MatchScript, type PackState, type Plan } from '@rough-gear/core';
import { computed, ref, shallowRef, watch } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import { lazily } from '../../components/widgets/lazily.js';
import { usePlan } from '../../stores/plan.js';
import BatteryLedger from './BatteryLedger.vue';
import BoardStrip from './BoardStrip.vue';
import DayOfMatches from './DayOfMatches.vue';
import GoSheet from './GoSheet.vue';
import MatchChart from './MatchChart.vue';
import MatchLanes from './MatchLanes.vue';
import PackAsked from './PackAsked.vue';
import RealMatch from './log/RealMatch.vue';
import ReplayBar from './ReplayBar.vue';
import RobotCounts from './RobotCounts.vue';
import RobotGauge from './RobotGauge.vue';
import ScriptTabs from './ScriptTabs.vue';
import { useMatch } from './useMatch.js';
import NextRoom from '../../rooms/NextRoom.vue';
import WholeRobotSaid from '../../components/verdict/WholeRobotSaid.vue';

/** The whole robot on its pack: what gives first in a match, who was on, and who takes the battery’s energy. */
const store = usePlan();
const router = useRouter();
// None may be in the store before this page is gone.
const plan = computed<Plan>((last) => store.document ?? last!);
const { scripts, script, scriptId, length, asked, judged, progress, running, stopped, failure, run, stop } =
  useMatch(plan);

/** Room for names beside the chart and the lanes, px. */
const LEFT = 96;
const names = computed(() => new Map(plan.value.mechanisms.map(({ id, name }) => [id, name])));
const jobs = computed(
  () =>
    new Map(plan.value.mechanisms.flatMap((one) => one.jobs.map((job) => [`${one.id} ${job.id}`, job.name] as const))),
);
const chosen = ref<{ mechanism: string; go: string }>();
const mechanism = computed(() => plan.value.mechanisms.find(({ id }) => id === chosen.value?.mechanism));
/** An instant of the match while it is shown as it goes. */
const replay = ref<number>();
watch(judged, () => (replay.value = undefined));
/** The packs of a day are as this one is. */
const state = computed((): PackState => ({
  aged: asked.value.aged,
  capacity: asked.value.capacity,
  celsius: asked.value.celsius,
}));
const log = shallowRef<MatchLog>();
const RobotChoicePage = lazily(() => import('./choose/RobotChoicePage.vue'));
const route = useRoute();
/** The choice for all mechanisms takes the place of the match. */
const choosing = computed({
  get: () => route.query['choose'] === 'all',
  set: (on) => {
    const { choose: _choose, ...query } = route.query;
    void router.replace({ params: route.params, query: on ? { ...query, choose: 'all' } : query });
  },
});
const change = (next: MatchScript) => store.commit(putScript(plan.value, next));
const open = (id: string) => void router.push({ name: 'mechanism', params: { planId: store.id, mechanismId: id } });
</script>

<template>
  <div class="grid min-h-0 min-w-0 lg:grid-cols-[minmax(0,1fr)_296px] lg:grid-rows-[minmax(0,1fr)]">
    <div class="flex min-h-0 min-w-0 flex-col gap-2 px-4 py-2 lg:overflow-y-auto">
      <h1 class="sr-only">{{ plan.name }}, the whole robot</h1>
      <WholeRobotSaid />
      <BoardStrip :plan="plan" :match="judged" />
      <RobotCounts :plan="plan" />
      <RobotChoicePage v-if="choosing" :plan="plan" class="border-t border-hair pt-2" @close="choosing = false" />
      <template v-else>
        <div class="flex flex-wrap items-baseline gap-x-5 border-t border-hair pt-1">
          <ScriptTabs :plan="plan" :scripts="scripts" :script="script" class="grow" @choose="scriptId = $event" />
          <button v-if="judged && replay === undefined" type="button" class="act min-h-6 text-sm" @click="replay = 0">
            Replay
          </button>
          <PackAsked v-model="asked" />
        </div>
        <p v-if="failure" role="alert" class="text-sm text-gives">
          The match could not be gone through: {{ failure }}.
          <button type="button" class="act" @click="run">Try again</button>
        </p>
        <p v-if="running" role="status" class="flex items-baseline gap-3 text-xs text-second">
          going through the match, {{ Math.round(100 * progress) }} %
          <button type="button" class="act min-h-6" @click="stop">stop</button>
        </p>
        <template v-if="judged">
          <ReplayBar v-if="replay !== undefined" v-model:time="replay" :match="judged" @close="replay = undefined" />
          <MatchChart :match="judged" :left="LEFT" :log="log" />
          <MatchLanes
            v-model:chosen="chosen"
            :script="script"
            :match="judged"
            :length="length"
            :left="LEFT"
            :names="names"
            :jobs="jobs"
            :instant="replay"
            @change="change"
          />
          <GoSheet
            v-if="mechanism"
            :script="script"
            :mechanism="mechanism"
            :names="names"
            :jobs="jobs"
            :go-id="chosen?.go"
            :length="length"
            @change="change"
            @choose="chosen = $event === undefined ? undefined : { mechanism: mechanism.id, go: $event }"
          />
          <p v-else class="text-xs text-second">
            Drag a go, or choose a lane by its name and step it with the arrow keys; its length is what the pack allows.
            Hatched: later than wanted, or never there; dashed: never begun.
          </p>
          <RealMatch :plan="plan" :match="judged" @log="log = $event" />
          <BatteryLedger :match="judged" />
          <DayOfMatches :plan="plan" :script="script" :state="state" />
          <NextRoom of="match" />
        </template>
        <p v-else-if="stopped" class="squared p-6 text-center text-second">
          Stopped. <button type="button" class="act" @click="run">Go through the match</button>
        </p>
        <p v-else-if="!running && !failure" class="squared p-6 text-center text-second">
          Nothing is known of the pack yet: a figure of it is missing.
        </p>
      </template>
    </div>
    <RobotGauge
      v-if="judged"
      :plan="plan"
      :match="judged"
      :asked="asked"
      :instant="replay"
      class="min-h-0 border-ink max-lg:border-t lg:overflow-y-auto lg:border-l"
      @mechanism="open"
      @choose="choosing = true"
    />
  </div>
</template>
