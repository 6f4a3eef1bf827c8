<script setup lang="ts">
import { counted, type Trial } from '@rough-gear/core';
import { computed } from 'vue';
import { useRouter } from 'vue-router';
import { useBench } from '../../stores/bench.js';

/** The trial was closed on another device while something was written here: it is kept, and a person decides. */
const { apart } = defineProps<{ apart: { readonly mine: Trial; readonly rows: number } }>();
const bench = useBench();
const router = useRouter();
const what = computed(() => {
  if (apart.rows === 0) return 'Changes that you wrote here are not in it.';
  return `${counted(apart.rows, 'row')} that you wrote here ${apart.rows === 1 ? 'is' : 'are'} not in it.`;
});

async function begin(): Promise<void> {
  const id = await bench.beginApart();
  if (id !== undefined) await router.push({ name: 'bench', params: { trialId: id } });
}
</script>

<template>
  <div role="alert" class="mb-3 border border-gives bg-sheet p-3">
    <p>
      <b>This trial was closed on another device. {{ what }}</b>
      They are kept in this browser. What shall become of them?
    </p>
    <p class="mt-1 flex flex-wrap gap-x-5">
      <button type="button" class="act min-h-6" @click="begin">A trial of their own</button>
      <button type="button" class="act min-h-6 text-gives" @click="bench.letApartGo()">Let them go</button>
    </p>
  </div>
</template>
