<script setup lang="ts">
import { freshAmong, MOST, type MatchScript, type Plan } from '@rough-gear/core';
import { ref } from 'vue';
import { save } from '../../components/widgets/save.js';

/** A script as a CSV file, out and in; what is not understood says its line, and nothing is taken. */
const { plan, script, scripts } = defineProps<{
  plan: Plan;
  script: MatchScript;
  scripts: readonly MatchScript[];
}>();
const emit = defineEmits<{ imported: [script: MatchScript] }>();
const problems = ref<readonly string[]>([]);

async function write(): Promise<void> {
  const { exportScript } = await import('@rough-gear/contract/script-file');
  save(`${script.name.toLowerCase().replace(/[^a-z0-9]+/g, '-') || 'match'}.csv`, 'text/csv', exportScript(script));
}
async function read(event: Event): Promise<void> {
  const input = event.target as HTMLInputElement;
  const file = input.files?.[0];
  if (!file) return;
  const { importScript } = await import('@rough-gear/contract/script-file');
  const id = freshAmong(new Set(scripts.map((one) => one.id)), 'match');
  const found = importScript(await file.text(), plan, id);
  input.value = '';
  problems.value = found.ok ? [] : found.problems;
  if (found.ok) emit('imported', found.script);
}
</script>

<template>
  <div class="flex flex-wrap items-baseline gap-x-5">
    <button type="button" class="act min-h-6" @click="write">Export as CSV</button>
    <label v-if="scripts.length < MOST.scripts" class="act min-h-6 cursor-pointer"
      >Import a CSV<input type="file" accept=".csv,text/csv" class="sr-only" @change="read"
    /></label>
    <ul v-if="problems.length > 0" role="alert" class="w-full text-xs text-gives">
      <li v-for="problem in problems.slice(0, 12)" :key="problem">{{ problem }}</li>
    </ul>
  </div>
</template>
