<script setup lang="ts">
import { Menu, MenuButton, MenuItem, MenuItems } from '@headlessui/vue';
import { ChevronDown } from '@lucide/vue';
import { unrefElement } from '@vueuse/core';
import type { ComponentPublicInstance } from 'vue';
import type { RouteLocationRaw } from 'vue-router';

/** What can be done with something, or where it leads, under its name. */
export interface MenuEntry {
  readonly text: string;
  readonly to?: RouteLocationRaw;
  readonly act?: () => void;
  /** Begins a group of its own. */
  readonly apart?: boolean;
}
defineProps<{ text: string; label: string; entries: readonly MenuEntry[]; fromLeft?: boolean }>();

/** Opened low on the page it would stand under its end. */
const intoView = (items: unknown): void => {
  const list = unrefElement(items as ComponentPublicInstance | null);
  if (list instanceof HTMLElement) requestAnimationFrame(() => list.scrollIntoView({ block: 'nearest' }));
};
</script>

<template>
  <Menu as="div" class="relative min-w-0">
    <MenuButton class="act flex min-h-8 max-w-56 items-center gap-1" :aria-label="label">
      <span class="truncate">{{ text }}</span><ChevronDown :size="14" class="shrink-0" />
    </MenuButton>
    <MenuItems
      :ref="intoView"
      class="absolute z-40 max-h-[70vh] w-56 overflow-y-auto border border-ink bg-sheet py-1 shadow-none"
      :class="fromLeft ? 'left-0' : 'right-0'"
    >
      <MenuItem v-for="entry in entries" :key="entry.text" v-slot="{ active }" as="template">
        <RouterLink
          v-if="entry.to"
          :to="entry.to"
          class="block px-3 py-1.5 break-words"
          :class="[active ? 'bg-ground font-semibold' : '', entry.apart ? 'mt-1 border-t border-hair' : '']"
          >{{ entry.text }}</RouterLink
        >
        <button
          v-else
          type="button"
          class="block w-full px-3 py-1.5 text-left"
          :class="[active ? 'bg-ground font-semibold' : '', entry.apart ? 'mt-1 border-t border-hair' : '']"
          @click="entry.act?.()"
        >
          {{ entry.text }}
        </button>
      </MenuItem>
    </MenuItems>
  </Menu>
</template>
