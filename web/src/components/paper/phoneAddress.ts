import { computed, type ComputedRef } from 'vue';
import { useRouter, type RouteLocationRaw } from 'vue-router';
import { usePreferences } from '../../stores/preferences.js';

const ONLY_HERE = ['localhost', '127.0.0.1', '[::1]'];

/** What a code on paper leads to: the address of a page as a phone finds it. */
export function usePhoneAddress(): {
  readonly addressOf: (to: RouteLocationRaw) => string;
  /** No phone can reach it as it is. */
  readonly onlyHere: ComputedRef<boolean>;
} {
  const preferences = usePreferences();
  const router = useRouter();
  const base = computed(() => preferences.phoneAddress.trim().replace(/\/+$/, '') || location.origin);
  const hostOf = (address: string): string => {
    try {
      return new URL(address).hostname;
    } catch {
      return '';
    }
  };
  return {
    addressOf: (to) => base.value + router.resolve(to).href,
    onlyHere: computed(() => ONLY_HERE.includes(hostOf(base.value)) || hostOf(base.value) === ''),
  };
}
