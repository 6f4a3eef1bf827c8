import type { Stage, StageKind } from '@rough-gear/core';
import { computed } from 'vue';
import { useMechanism } from '../../../composables/useMechanism.js';
import { newStage, STAGE_NAMES } from './stageKinds.js';

/** The stages of the open mechanism as a list that is added to, taken from and put in another order. */
export function useStageList() {
  const { choice, choiceAt, link, commit } = useMechanism();
  const stages = computed(() => choice.value.stages);

  function set(to: readonly Stage[]): void {
    commit([{ at: [...choiceAt.value, 'stages'], to }]);
  }

  function add(kind: StageKind): void {
    const stage = newStage(kind, stages.value);
    commit([
      { at: [...choiceAt.value, 'stages'], to: [...stages.value, stage] },
      ...(stages.value.length === 0 ? [{ at: [...choiceAt.value, 'tuning'], to: stage.id }] : []),
    ]);
    link.value = stage.id;
  }

  /** Where the stage on the ruler goes, the last one takes its place there. */
  function remove(stage: Stage): void {
    const rest = stages.value.filter(({ id }) => id !== stage.id);
    const tuning = rest.some(({ id }) => id === choice.value.tuning) ? choice.value.tuning : rest.at(-1)?.id;
    commit([
      { at: [...choiceAt.value, 'stages'], to: rest },
      { at: [...choiceAt.value, 'tuning'], to: tuning },
    ]);
    link.value = rest[0]?.id ?? 'motor';
  }

  function move(index: number, by: number): void {
    const order = [...stages.value];
    const [taken] = order.splice(index, 1);
    order.splice(index + by, 0, taken!);
    set(order);
  }

  /** A lead screw ends in metres: only a carriage takes one. */
  const addable = computed<readonly { kind: StageKind; name: string }[]>(() =>
    (['teeth', 'chain', 'belt', 'planetary', 'ratio', 'worm', 'screw'] as const)
      .filter((kind) => kind !== 'screw' || choice.value.output.kind === 'carriage')
      .map((kind) => ({ kind, name: STAGE_NAMES[kind] })),
  );

  return { stages, set, add, remove, move, addable };
}
