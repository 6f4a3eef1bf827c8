import type { Change, SeriesPart, Stage, StageParts, Stock } from '@rough-gear/core';
import { computed, onMounted } from 'vue';
import { useRouter } from 'vue-router';
import { useMechanism } from '../../../composables/useMechanism.js';
import { useShelf } from '../../../composables/useShelf.js';
import { useDesk } from '../../../composables/useDesk.js';

const TRAIN_TABS = ['stages', 'find', 'lengths', 'ways', 'layout'] as const;
export type TrainTab = (typeof TRAIN_TABS)[number];

const isTab = (text: unknown): text is TrainTab => TRAIN_TABS.some((tab) => tab === text);

/** Which page of the desk *Teeth* is open. */
export function useTrainTab() {
  const { page, deskAt } = useDesk();
  const router = useRouter();
  return computed<TrainTab>({
    get: () => (isTab(page.value) ? page.value : 'stages'),
    set: (tab) => void router.replace(deskAt('teeth', tab)),
  });
}

/** The train of the open mechanism, the stage in hand, and the stock it is built from. */
export function useTrain() {
  const context = useMechanism();
  const { choice, choiceAt, path, link, commit } = context;
  const { shelf, load } = useShelf('series');
  onMounted(load);

  const stages = computed(() => choice.value.stages);
  const index = computed(() =>
    Math.max(
      0,
      stages.value.findIndex(({ id }) => id === link.value),
    ),
  );
  const stage = computed<Stage | undefined>(() => stages.value[index.value]);
  const parts = computed<StageParts | undefined>(() => path.value.stageParts[index.value]);
  const stageAt = (i: number = index.value) => [...choiceAt.value, 'stages', i];
  const stock = computed<readonly Stock[]>(() =>
    shelf.value.parts.map(({ id, part }) => ({ id, part: part as SeriesPart })),
  );

  /** Belts sold of a stage's pitch and width, in teeth. */
  function beltsFor(of: StageParts | undefined): readonly number[] {
    if (of?.kind !== 'belt') return [];
    const sizes = stock.value
      .filter(({ part }) => part.of === 'belts' && Math.abs((part.pitch?.si ?? 0) - of.pitch) < 1e-6)
      .filter(({ part }) => !(of.width > 0) || Math.abs((part.face?.si ?? 0) - of.width) < 0.0006)
      .flatMap(({ part }) => part.sizes);
    return [...new Set(sizes)].sort((a, b) => a - b);
  }

  function set(changes: Readonly<Record<string, unknown>>, i: number = index.value): void {
    commit(
      Object.entries(changes).map(([key, to]): Change => ({
        at: [...stageAt(i), key],
        to,
      })),
    );
  }

  return { ...context, shelf, stages, index, stage, parts, stageAt, stock, beltsFor, set };
}

/** How the output turns against the motor: every pair of gears without an idler turns it round. */
export function reversesAfter(stages: readonly Stage[], count: number): boolean {
  return stages.slice(0, count).filter((stage) => stage.kind === 'teeth' && stage.idler === undefined).length % 2 === 1;
}
