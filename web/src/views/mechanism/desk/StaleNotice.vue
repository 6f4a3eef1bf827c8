<script setup lang="ts">
import { formatDistanceToNow } from 'date-fns';
import { usePlan } from '../../../stores/plan.js';

/** Two tabs or two people saved over each other: both versions are there, and the person chooses. */
const plan = usePlan();
</script>

<template>
  <div role="alert" class="flex flex-wrap items-center gap-x-5 gap-y-1 border-b border-ink bg-sheet px-4 py-2">
    <p class="basis-full">
      <b
        >This plan was saved elsewhere
        {{ plan.stored ? formatDistanceToNow(new Date(plan.stored.savedAt), { addSuffix: true }) : '' }}.</b
      >
      Your changes here are kept in this browser. Which one shall go on?
    </p>
    <button type="button" class="act min-h-6" @click="plan.takeTheirs()">
      The stored one (undo brings yours back)
    </button>
    <button type="button" class="act min-h-6" @click="plan.keepMine()">Mine (the stored one stays a revision)</button>
    <button type="button" class="act min-h-6" @click="plan.keepBoth()">Both: mine as a plan of its own</button>
  </div>
</template>
