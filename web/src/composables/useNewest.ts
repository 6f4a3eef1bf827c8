import { onUnmounted, ref } from 'vue';

/** A question to a worker of which only the newest counts: whether it runs, was stopped, or failed; gone with its screen. */
export function useNewest(cancel: () => void) {
  const running = ref(false);
  const stopped = ref(false);
  const failure = ref('');
  let newest = 0;

  /** `isOn` tells what comes in between whether it still counts: progress comes by another way, and may be late. */
  async function ask<T>(question: (isOn: () => boolean) => Promise<T>, take: (answer: T) => void): Promise<void> {
    const mine = ++newest;
    const isNewest = () => mine === newest;
    running.value = true;
    stopped.value = false;
    failure.value = '';
    try {
      const answer = await question(() => isNewest() && running.value);
      if (isNewest()) take(answer);
    } catch (failed) {
      if (isNewest()) failure.value = (failed as Error).message;
    }
    if (isNewest()) running.value = false;
  }
  function stop(): void {
    if (!running.value) return;
    newest++;
    running.value = false;
    stopped.value = true;
    cancel();
  }
  onUnmounted(stop);

  return { running, stopped, failure, ask, stop };
}
