import { computed } from 'vue';
import { useRoute, useRouter } from 'vue-router';

const CHOOSING_TABS = ['shortlist', 'ratio', 'speed', 'side', 'reasons'] as const;
export type ChoosingTab = (typeof CHOOSING_TABS)[number];

const isTab = (text: unknown): text is ChoosingTab => CHOOSING_TABS.some((tab) => tab === text);

/** Which page of the choosing desk is open; the address follows, so that it can be shared. */
export function useChoosingTab() {
  const route = useRoute();
  const router = useRouter();
  return computed<ChoosingTab | undefined>({
    get: () => (isTab(route.query['choose']) ? route.query['choose'] : undefined),
    set: (tab) => {
      const { choose: _closed, train: _train, ...rest } = route.query;
      void router.replace({ params: route.params, query: tab ? { ...rest, choose: tab } : rest });
    },
  });
}
