<script setup lang="ts">
import BaseDialog from './components/widgets/BaseDialog.vue';
import { SHORTCUTS } from './composables/useShortcuts.js';
import { usePreferences } from './stores/preferences.js';

/** What the keys do. Single-key shortcuts can be switched off. */
defineProps<{ open: boolean }>();
defineEmits<{ close: [] }>();
const preferences = usePreferences();
</script>

<template>
  <BaseDialog :open="open" title="Keys" @close="$emit('close')">
    <ul>
      <li v-for="{ keys, does } in SHORTCUTS" :key="does" class="flex justify-between gap-4 border-b border-hair py-1">
        <span>{{ does }}</span><span class="whitespace-nowrap"
          ><kbd v-for="key in keys" :key="key" class="key ml-1">{{ key }}</kbd></span
        >
      </li>
    </ul>
    <label class="mt-3 flex items-center gap-2"
      ><input v-model="preferences.singleKeys" type="checkbox" class="size-4" /> single-key shortcuts are on</label
    >
  </BaseDialog>
</template>
