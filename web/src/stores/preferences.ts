import type { UnitSystem } from '@rough-gear/contract/units';
import { useStorage } from '@vueuse/core';
import { defineStore } from 'pinia';
import { ref, watchEffect } from 'vue';

/** What the person likes: units, theme, single-key shortcuts, whether all is unfolded, the name that is put to what they write down, where phones find it. Kept in the browser, no part of the plan. */
export const usePreferences = defineStore('preferences', () => {
  const units = useStorage<UnitSystem>('rough-gear:units', 'metric');
  const theme = useStorage<'light' | 'dark'>(
    'rough-gear:theme',
    matchMedia('(prefers-color-scheme: dark)').matches ? 'dark' : 'light',
  );
  const singleKeys = useStorage('rough-gear:single-keys', true);
  /** Nothing folded. */
  const everything = useStorage('rough-gear:everything', false);
  const who = useStorage('rough-gear:who', '');
  /** Where a phone finds this program: what the codes on paper lead to. Empty is wherever this page came from. */
  const phoneAddress = useStorage('rough-gear:phone-address', '');
  /** In the pit it is dark, whatever is liked elsewhere. */
  const inPit = ref(false);
  watchEffect(() => {
    document.documentElement.dataset['theme'] = inPit.value ? 'dark' : theme.value;
  });
  return { units, theme, singleKeys, everything, who, phoneAddress, inPit };
});
