<script setup lang="ts">
import { formatDistanceToNow } from 'date-fns';
import { usePlan } from '../../../stores/plan.js';
import type { LeftDraft } from '../../../stores/plan/drafts.js';

/** A window of this browser was closed before all of it was saved: its version is there, and the person decides. */
defineProps<{ draft: LeftDraft }>();
const plan = usePlan();
</script>

<template>
  <div role="alert" class="flex flex-wrap items-center gap-x-5 gap-y-1 border-b border-ink bg-sheet px-4 py-2">
    <p class="basis-full">
      <b
        >Another window was closed before its changes were saved{{
          draft.at ? `, ${formatDistanceToNow(new Date(draft.at), { addSuffix: true })}` : ''
        }}.</b
      >
      They are kept in this browser. What shall become of them?
    </p>
    <button type="button" class="act min-h-6" @click="plan.decideLeft(draft, 'here')">
      Open them here (undo brings this back)
    </button>
    <button type="button" class="act min-h-6" @click="plan.decideLeft(draft, 'apart')">A plan of their own</button>
    <button type="button" class="act min-h-6" @click="plan.decideLeft(draft, 'gone')">Let them go</button>
  </div>
</template>
