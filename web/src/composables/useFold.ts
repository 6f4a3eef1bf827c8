import { ref, watch, type Ref } from 'vue';
import { useRoute } from 'vue-router';
import { usePreferences } from '../stores/preferences.js';
import { useAsked } from './useAsked.js';

/**
 * Whether something folded is open. It opens by itself for those who want to see everything, where the address asks for a
 * figure, which may be inside, and where it asks for this `page` of the panel.
 */
export function useFold(page?: string): Ref<boolean> {
  const route = useRoute();
  const preferences = usePreferences();
  const open = ref(preferences.everything);
  watch(
    () => preferences.everything,
    (everything) => (open.value = everything),
  );
  watch(
    () => route.query['figure'] !== undefined,
    (asked) => (open.value ||= asked),
    { immediate: true },
  );
  if (page !== undefined) useAsked('page', (asked) => asked === page && (open.value = true));
  return open;
}
