import { proxy } from 'comlink';
import { shallowRef, watch, type Ref, type WatchSource } from 'vue';

/** What a worker answers: asked with a listener that is told what is known so far; nothing where it was overtaken. */
export type Asking<T> = (told: (soFar: T) => void) => Promise<T | undefined>;

/**
 * An answer out of a worker, asked anew when a source changes: what is known so far at once, the whole in the end. The last
 * stays until a new one is there, and what was asked before says nothing any more.
 */
export function useTold<T>(sources: readonly WatchSource[], asking: Asking<T>, first: T): Readonly<Ref<T>> {
  const answer = shallowRef(first);
  watch(
    [...sources],
    (_now, _before, onCleanup) => {
      let current = true;
      onCleanup(() => (current = false));
      const take = (found: T | undefined) => {
        if (found !== undefined && current) answer.value = found;
      };
      void asking(proxy(take)).then(take);
    },
    { immediate: true },
  );
  return answer;
}
