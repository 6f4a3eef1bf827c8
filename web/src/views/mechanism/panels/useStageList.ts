import { addableStages, addStage, orderStages, removeStage, type Stage, type StageKind } from '@rough-gear/core';
import { computed } from 'vue';
import { NO_STAGE } from '../../../components/strip/noStage.js';
import { useMechanism } from '../../../composables/useMechanism.js';

/** The stages of the open mechanism as a list that is added to, taken from and put in another order. */
export function useStageList() {
  const { plan, mechanism, choice, link, commit } = useMechanism();
  const stages = computed(() => choice.value.stages);

  function set(to: readonly Stage[]): void {
    commit(orderStages(plan.value, mechanism.value.id, to));
  }

  function add(kind: StageKind): void {
    const { id, changes } = addStage(plan.value, mechanism.value.id, kind);
    commit(changes);
    link.value = id;
  }

  function remove({ id }: Stage): void {
    commit(removeStage(plan.value, mechanism.value.id, id));
    link.value = stages.value[0]?.id ?? NO_STAGE;
  }

  function move(index: number, by: number): void {
    const order = [...stages.value];
    const [taken] = order.splice(index, 1);
    order.splice(index + by, 0, taken!);
    set(order);
  }

  /** A lead screw stays where it ends in metres: last. */
  const movable = (index: number, by: number): boolean => {
    const next = stages.value[index + by];
    return next !== undefined && next.kind !== 'screw' && stages.value[index]?.kind !== 'screw';
  };

  const addable = computed(() => addableStages(mechanism.value));

  return { stages, set, add, remove, move, movable, addable };
}
