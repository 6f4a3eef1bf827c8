import { computed, shallowReactive, watch } from 'vue';
import { useRoute } from 'vue-router';
import { useBench } from '../stores/bench.js';
import { usePlan } from '../stores/plan.js';
import { ROOMS, type Room, type RoomId } from '@rough-gear/contract/find';
import { roomOf } from './roomOf.js';

/** The mechanism that was open last, by the robot's id. */
const last = shallowReactive(new Map<string, string>());

/** The robot whose pages these are: that of the address, or the one that an open trial was done on; and its rooms. */
export function useOpenRobot() {
  const route = useRoute();
  const plan = usePlan();
  const bench = useBench();
  const planId = computed(() => {
    if (route.params['planId']) return String(route.params['planId']);
    const { trialId } = route.params;
    return trialId && bench.id === trialId ? bench.trial?.subject.planId : undefined;
  });
  const robot = computed(() => (plan.id === planId.value ? plan.document : undefined));
  watch(
    () => [planId.value, route.params['mechanismId']] as const,
    ([robotId, mechanismId]) => {
      if (robotId && mechanismId) last.set(robotId, String(mechanismId));
    },
    { immediate: true },
  );

  const mechanismId = computed(() => {
    const all = robot.value?.mechanisms ?? [];
    return all.find(({ id }) => id === last.get(planId.value ?? ''))?.id ?? all[0]?.id ?? '';
  });
  const room = computed(() => roomOf(route));
  const placeOf = ({ at }: Room) => at(planId.value ?? '', mechanismId.value);
  /** The room that comes after one. */
  const after = (id: RoomId): Room | undefined => ROOMS[ROOMS.findIndex((one) => one.id === id) + 1];

  return { planId, robot, room, placeOf, after };
}
