<script setup lang="ts">
import { worstVerdict, type JobResult, type Link, type LinkKind } from '@rough-gear/core';
import { computed } from 'vue';
import { useDesk } from '../../composables/useDesk.js';
import { useMechanism } from '../../composables/useMechanism.js';
import { NO_STAGE } from './noStage.js';
import { drawingOf } from './drawingOf.js';
import StripLink, { type LinkMark } from './StripLink.vue';

/** The power path, pack to load: picture and navigation in one. */
const { path, job, situation, link: open, mechanism } = useMechanism();
const { desk, openLink } = useDesk();

const MOST_LINKS = 9;

const links = computed<readonly Link[]>(() => {
  const all = job.value.links;
  if (!all.some(({ kind }) => kind === 'stage') && path.value.machine !== 'servo') return withoutReduction(all);
  return all.length > MOST_LINKS ? collapsed(all) : all;
});

/** A motor that turns the output straight has a place where a stage would be: one is added there. */
const withoutReduction = (all: readonly Link[]): readonly Link[] =>
  all.flatMap((link) =>
    link.kind === 'output' ? [{ id: NO_STAGE, kind: 'stage', title: 'No reduction', detail: '1:1' }, link] : [link],
  );

/** More stages than fit are one link: "3 stages, 27:1". */
function collapsed(all: readonly Link[]): readonly Link[] {
  const stages = all.filter(({ kind }) => kind === 'stage');
  const last = stages.at(-1)!;
  const whole: Link = {
    ...last,
    id: stages[0]!.id,
    title: `${stages.length} stages`,
    detail: `${Number(path.value.train.total.toPrecision(3))}:1`,
    verdict: worstVerdict(stages.flatMap(({ verdict }) => (verdict ? [verdict] : []))),
    used: Math.max(...stages.map(({ used }) => used ?? 0)),
  };
  return all.flatMap((link) => (link.kind !== 'stage' ? [link] : link === stages[0] ? [whole] : []));
}

/** Of several stages the one it is about; where they are one link, that one. */
const speaksOf = (of: { link: LinkKind; stage?: string }, link: Link): boolean =>
  of.link === link.kind &&
  (of.link !== 'stage' ||
    of.stage === undefined ||
    of.stage === link.id ||
    !links.value.some(({ id }) => id === of.stage));

/** What is marked over a link: a check that fails outright, else what gives first in the open situation. */
function markOn(link: Link, result: JobResult): LinkMark | undefined {
  const { first } = result.ladders[situation.value];
  const failing = result.checks.find((check) => check.verdict === 'gives way');
  if (failing && first?.verdict !== 'gives way') {
    return speaksOf(failing, link) ? { text: 'gives way', verdict: 'gives way' } : undefined;
  }
  return first && speaksOf(first, link)
    ? { text: first.verdict === 'enough' ? 'weakest, still enough' : 'gives first', verdict: first.verdict }
    : undefined;
}
</script>

<template>
  <nav aria-label="Power path" class="squared shrink-0 overflow-x-auto border-b border-ink">
    <ol
      class="grid max-lg:flex max-lg:flex-col sm:max-lg:flex-row sm:max-lg:flex-wrap"
      :style="{ gridTemplateColumns: `repeat(${links.length}, minmax(120px, 1fr))` }"
    >
      <StripLink
        v-for="(link, i) in links"
        :key="link.id"
        :link="link"
        :drawing="drawingOf(link, mechanism, path)"
        :open="open === link.id && (desk === 'figures' || desk === 'teeth')"
        :mark="markOn(link, job)"
        :last="i === links.length - 1"
        @choose="openLink(link.id)"
      />
    </ol>
  </nav>
</template>
