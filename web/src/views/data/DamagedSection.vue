<script setup lang="ts">
import { computedAsync } from '@vueuse/core';
import { ref } from 'vue';
import { damaged, drop } from '../../keeping/keeping.js';
import { save } from '../../components/widgets/save.js';

/** Copies in this browser that could not be read: set aside as they stood, so that somebody may still read them. */
const looked = ref(0);
const copies = computedAsync(() => (looked.value, damaged()), []);

async function letGo(key: string): Promise<void> {
  await drop(key);
  looked.value++;
}
</script>

<template>
  <section v-if="copies.length > 0" aria-label="Damaged copies" class="mb-6 border border-gives bg-sheet p-4">
    <h2 class="mb-1 text-base">Copies in this browser that cannot be read</h2>
    <p class="text-second">
      They were set aside as they stand, and nothing of them is shown anywhere else. What the server has is not touched.
    </p>
    <ul>
      <li v-for="{ key, text } in copies" :key="key" class="mt-1 flex flex-wrap items-baseline gap-x-4">
        <code>{{ key.replace('damaged:', '') }}</code>
        <button
          type="button"
          class="act min-h-6"
          @click="save(`${key.replaceAll(':', '-')}.json`, 'application/json', text)"
        >
          Take it along as a file
        </button>
        <button type="button" class="act min-h-6 text-gives" @click="letGo(key)">Let it go</button>
      </li>
    </ul>
  </section>
</template>
