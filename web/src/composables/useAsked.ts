import { watch } from 'vue';
import { useRoute, useRouter } from 'vue-router';

/**
 * What an address asks for once, such as a chart or a page of a panel: `take` is told it and says whether it could do that.
 * Then the address lets go of it, so that it can be asked for again.
 */
export function useAsked(key: string, take: (value: string) => boolean | Promise<boolean>): void {
  const route = useRoute();
  const router = useRouter();
  watch(
    () => route.query[key],
    async (value) => {
      if (typeof value !== 'string' || !(await take(value)) || route.query[key] !== value) return;
      await router.replace({ params: route.params, query: { ...route.query, [key]: undefined } });
    },
    { immediate: true },
  );
}
