import type { TakenIn } from '@rough-gear/core';
import { toast } from 'vue-sonner';
import { useBench } from '../../stores/bench.js';
import { usePlan } from '../../stores/plan.js';

/** Takes a trial into the open plan: one step that can be undone, and a line in the trial's history. */
export function useTakeInto(): (taken: TakenIn) => Promise<void> {
  const bench = useBench();
  const plan = usePlan();
  return async ({ changes, figures, into }) => {
    plan.commit(changes);
    toast(`${into} has what was measured.`, { action: { label: 'Undo', onClick: () => plan.undo() } });
    await bench.tookInto({ robot: plan.document?.name ?? '', part: into, figures });
  };
}
