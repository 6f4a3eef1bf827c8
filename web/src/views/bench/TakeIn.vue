<script setup lang="ts">
import { correctPart, turnedBy } from '@rough-gear/core';
import { computed, ref } from 'vue';
import { toast } from 'vue-sonner';
import { useBench } from '../../stores/bench.js';
import { useWholeShelf } from '../../stores/shelf.js';
import { useTakeInto } from './useTakeInto.js';
import { useTrial } from './useTrial.js';

/** Takes what was found into the part: of the robot's plan in one step that can be undone, or onto the shelf. */
const bench = useBench();
const shelf = useWholeShelf();
const { trial, part, concluded, closed, alone, taking, plan } = useTrial();
const takeInto = useTakeInto();
const busy = ref(false);
const failure = ref('');

const users = computed(() => {
  const { partKey } = trial.value.subject;
  return plan.value && partKey !== undefined ? turnedBy(plan.value, partKey) : [];
});
const onShelf = computed(() => {
  const item = shelf.byId.get(trial.value.subject.shelfId ?? '');
  if (!item || !concluded.value.ok) return undefined;
  const corrected = correctPart(item.part, concluded.value.conclusion, { id: bench.id, trial: trial.value });
  return corrected && { item, corrected };
});
const nothing = computed(() => !taking.value && !onShelf.value);

async function doing(work: () => Promise<void>): Promise<void> {
  busy.value = true;
  failure.value = '';
  try {
    // Figures lead back to readings that do not change any more.
    if (!closed.value) await bench.close(new Date().toISOString());
    // It says why where it is not closed.
    if (closed.value) await work();
  } catch (problem) {
    failure.value = (problem as Error).message;
  } finally {
    busy.value = false;
  }
}

const intoPlan = (): Promise<void> =>
  doing(async () => {
    if (taking.value) await takeInto(taking.value);
  });

const intoShelf = (): Promise<void> =>
  doing(async () => {
    const now = onShelf.value;
    if (!now) return;
    const { item, corrected } = now;
    const name = `${item.part.name}, ${trial.value.subject.specimen ?? 'measured'}`.slice(0, 120);
    const saved = item.own ? await shelf.save(item, corrected.part) : await shelf.add({ ...corrected.part, name });
    toast(`${saved.part.name} is on the shelf with what was measured.`);
    await bench.tookInto({ robot: '', part: saved.part.name, figures: corrected.figures });
  });
</script>

<template>
  <div class="flex flex-wrap items-center gap-3">
    <template v-if="taking">
      <label v-if="users.length > 1" class="text-sm"
        ><span class="text-second">in </span
        ><select v-model="alone" class="min-h-7 border-b border-ink bg-sheet">
          <option value="">all {{ users.length }} mechanisms that have it</option>
          <option v-for="user in users" :key="user.id" :value="user.id">{{ user.name }} alone: this specimen</option>
        </select></label
      >
      <button type="button" class="button main" :disabled="busy" @click="intoPlan">
        {{ closed ? 'Use' : 'Close and use' }} in the plan
      </button>
    </template>
    <button
      v-if="onShelf"
      type="button"
      class="button"
      :class="taking ? '' : 'main'"
      :disabled="busy"
      @click="intoShelf"
    >
      {{ onShelf.item.own ? 'Take into the shelf’s part' : 'Put on the shelf as your own' }}
    </button>
    <p v-if="nothing" class="text-sm text-second">
      {{
        part
          ? 'Its part has no figure for what was found: it stays in the book.'
          : 'Nothing to take it into: it stays in the book.'
      }}
    </p>
    <p v-if="failure" role="alert" class="text-gives">{{ failure }}</p>
  </div>
</template>
