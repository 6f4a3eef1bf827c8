import type { UnitSystem } from '@rough-gear/contract/units';
import { useStorage } from '@vueuse/core';
import { defineStore } from 'pinia';
import { watchEffect } from 'vue';

/** What the person likes: units, theme, single-key shortcuts. Kept in the browser, no part of the plan. */
export const usePreferences = defineStore('preferences', () => {
  const units = useStorage<UnitSystem>('rough-gear:units', 'metric');
  const theme = useStorage<'light' | 'dark'>(
    'rough-gear:theme',
    matchMedia('(prefers-color-scheme: dark)').matches ? 'dark' : 'light',
  );
  const singleKeys = useStorage('rough-gear:single-keys', true);
  watchEffect(() => {
    document.documentElement.dataset['theme'] = theme.value;
  });
  return { units, theme, singleKeys };
});
