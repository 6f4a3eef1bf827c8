import { tuneTotal, type Change } from '@rough-gear/core';
import { computed, ref } from 'vue';
import { usePlan } from '../stores/plan.js';
import { useMechanism } from './useMechanism.js';

/** Keys that step the total: one tooth, or one digit of a ratio, at least; page keys a tenth. */
const KEYS: Readonly<Record<string, number>> = {
  ArrowRight: 1,
  ArrowUp: 1,
  ArrowLeft: -1,
  ArrowDown: -1,
  PageUp: 100,
  PageDown: -100,
};

/**
 * The total as something that is dragged or stepped: one gesture is one undo step, and the whole mechanism follows.
 * `totalAt` says which total lies under the pointer.
 */
export function useTotalDrag(totalAt: (clientX: number) => number) {
  const { path, plan: document, mechanism } = useMechanism();
  const plan = usePlan();
  const dragging = ref(false);

  const total = computed(() => path.value.train.total);
  const changeTo = (wanted: number): Change | undefined =>
    tuneTotal(document.value, mechanism.value, path.value, wanted);
  const canTune = computed(() => Number.isFinite(total.value) && changeTo(total.value) !== undefined);

  // Teeth step from where the gesture began, not from each preview.
  let startPath = path.value;
  let startPlan = document.value;
  let startMechanism = mechanism.value;
  let lastWanted = 0;

  const fromStart = (wanted: number) => tuneTotal(startPlan, startMechanism, startPath, wanted);

  function moveTo(clientX: number): void {
    lastWanted = totalAt(clientX);
    const next = fromStart(lastWanted);
    if (next) plan.preview([next]);
  }

  function down(event: PointerEvent): void {
    if (!canTune.value || event.button !== 0) return;
    (event.currentTarget as HTMLElement).setPointerCapture(event.pointerId);
    [startPath, startPlan, startMechanism] = [path.value, document.value, mechanism.value];
    dragging.value = true;
    plan.begin();
    moveTo(event.clientX);
  }

  function move(event: PointerEvent): void {
    if (dragging.value) moveTo(event.clientX);
  }

  function up(): void {
    if (!dragging.value) return;
    dragging.value = false;
    const next = fromStart(lastWanted);
    if (next) plan.commit([next]);
    else plan.cancel();
  }

  function key(event: KeyboardEvent): void {
    const by = KEYS[event.key];
    if (by === undefined || !canTune.value) return;
    event.preventDefault();
    const rounding = by > 0 ? 'up' : 'down';
    const next = tuneTotal(document.value, mechanism.value, path.value, total.value * (1 + 0.001 * by), rounding);
    if (next) plan.commit([next]);
  }

  return { total, canTune, changeTo, dragging, down, move, up, key };
}
