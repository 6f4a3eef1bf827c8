<script setup lang="ts">
import { headlineText, type OrderLine, type Shelved, type StandIn, verdictText } from '@rough-gear/core';
import { proxy } from 'comlink';
import { ref, shallowRef } from 'vue';
import VerdictRing from '../../../../components/verdict/VerdictRing.vue';
import { coreWorker } from '../../../../workers/core.js';
import { useOrder } from './useOrder.js';

/** What of the shelf does the same work where a part is not to be had. */
const { line } = defineProps<{ line: OrderLine }>();
const { plan, shelf, moneyText } = useOrder();
const found = shallowRef<readonly StandIn[]>();
const share = ref<number>();
const MOST_SHOWN = 5;

async function look(): Promise<void> {
  found.value = undefined;
  share.value = 0;
  const offered: readonly Shelved[] = shelf.offered.map(({ id, revision, part }) => ({ id, revision, part }));
  const came = await coreWorker().standIns(
    plan(),
    line,
    offered,
    proxy((now: number) => (share.value = now)),
  );
  share.value = undefined;
  if (came) found.value = came;
}
function stop(): void {
  void coreWorker().stop('standIns');
}
</script>

<template>
  <div class="mt-2">
    <p v-if="share !== undefined" role="status" class="flex flex-wrap items-baseline gap-3 text-xs text-second">
      judging what else would do: {{ Math.round(100 * share) }} %
      <button type="button" class="act min-h-6" @click="stop">Stop</button>
    </p>
    <button v-else type="button" class="act min-h-6" :disabled="shelf.state !== 'there'" @click="look">
      not to be had? what else would do
    </button>
    <template v-if="found">
      <p v-if="(found[0]?.worse ?? 1) > 0" class="text-xs text-second">
        Nothing on the shelf does it, geared as it is, without a mechanism being judged worse<template
          v-if="found.length > 0"
          >; the nearest</template
        >:
      </p>
      <ul aria-label="Stand-ins" class="grid gap-1 text-xs">
        <li v-for="one in found.slice(0, MOST_SHOWN)" :key="one.id">
          <span class="font-semibold">{{ one.part.name }}</span>,
          {{ one.part.owned ? `${one.part.owned} owned` : moneyText(one.part.price?.si) }}
          <span v-for="{ name, headline } in one.judged" :key="name" class="block pl-3">
            <VerdictRing :verdict="headline.verdict" :size="14" class="mr-1 inline-block align-[-2px]" />
            {{ name }}, {{ verdictText(headline) }}: {{ headlineText(headline) }}
          </span>
        </li>
        <li v-if="found.length > MOST_SHOWN" class="text-second">and {{ found.length - MOST_SHOWN }} more</li>
      </ul>
    </template>
  </div>
</template>
