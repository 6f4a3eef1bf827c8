import { ref, watch, type Ref } from 'vue';

/** Whether something has ever been so: what is shown on demand is made on the first one, and then kept. */
export function useEver(now: () => boolean): Readonly<Ref<boolean>> {
  const ever = ref(now());
  watch(now, (is) => (ever.value ||= is), { flush: 'sync' });
  return ever;
}
