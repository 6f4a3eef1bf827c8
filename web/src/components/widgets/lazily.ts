import { defineAsyncComponent, type Component } from 'vue';
import LoadFailed from './LoadFailed.vue';

/** A component whose code is fetched when it is first shown, and which says so where that fails. */
export const lazily = (loader: () => Promise<{ default: Component }>): Component =>
  defineAsyncComponent({ loader, errorComponent: LoadFailed });
