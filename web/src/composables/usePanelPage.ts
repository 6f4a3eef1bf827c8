import { ref, toValue, type MaybeRefOrGetter, type Ref } from 'vue';
import { useAsked } from './useAsked.js';

/** Which page of a panel is open: the first, until another is chosen or the address asks for it. */
export function usePanelPage<P extends string>(pages: MaybeRefOrGetter<readonly { readonly value: P }[]>): Ref<P> {
  const page = ref(toValue(pages)[0]!.value) as Ref<P>;
  useAsked('page', (asked) => {
    const found = toValue(pages).find(({ value }) => value === asked);
    if (found) page.value = found.value;
    return found !== undefined;
  });
  return page;
}
