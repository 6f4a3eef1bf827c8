import type { JudgedMatch, Plan, RobotMendsFound, RobotRung } from '@rough-gear/core';
import { proxy } from 'comlink';
import { shallowRef, toRaw, watch } from 'vue';
import { useNewest } from '../../composables/useNewest.js';
import { coreWorker } from '../../workers/core.js';
import type { MatchAsked } from '../../workers/questions.js';

/** The search for changes that mend a match; what was found is of one plan, one match and one limit. */
export function useRobotMends(target: () => RobotRung | undefined, match: () => JudgedMatch) {
  const found = shallowRef<RobotMendsFound>();
  const { running, stopped, failure, ask, stop } = useNewest(() => void coreWorker().stop('robotMends'));
  function look(plan: Plan, asked: MatchAsked): void {
    const rung = target();
    if (!rung) return;
    found.value = undefined;
    void ask(
      (isOn) => {
        const told = proxy((now: RobotMendsFound) => {
          if (isOn()) found.value = now;
        });
        return coreWorker().robotMends(toRaw(plan), toRaw(match()), toRaw(rung), { ...asked }, told);
      },
      (all) => (found.value = all ?? found.value),
    );
  }
  watch([match, target], () => {
    stop();
    found.value = undefined;
    stopped.value = false;
  });
  return { found, running, stopped, failure, look, stop };
}
