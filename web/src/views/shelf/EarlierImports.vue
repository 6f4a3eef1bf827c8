<script setup lang="ts">
import type { ShelfImport, TakenBack } from '@rough-gear/contract/api';
import { KIND_NAMES } from '@rough-gear/contract/shelf';
import { format } from 'date-fns';
import { ref, shallowRef, watch } from 'vue';
import { api } from '../../api/client.js';
import BaseDialog from '../../components/widgets/BaseDialog.vue';
import { useWholeShelf } from '../../stores/shelf.js';

/** The files that were taken in, each to be taken back: what it made goes, what it changed is as it was. */
const { open } = defineProps<{ open: boolean }>();
defineEmits<{ close: [] }>();
const shelf = useWholeShelf();
const imports = shallowRef<readonly ShelfImport[]>();
const back = shallowRef<TakenBack>();
const failure = ref('');
const busy = ref(false);

async function load(): Promise<void> {
  imports.value = await api.shelfImports();
}
async function doing(work: () => Promise<void>): Promise<void> {
  busy.value = true;
  failure.value = '';
  try {
    await work();
  } catch (problem) {
    failure.value = (problem as Error).message;
  } finally {
    busy.value = false;
  }
}
watch(
  () => open,
  (now) => {
    back.value = undefined;
    if (now) void doing(load);
  },
);
const take = ({ id }: ShelfImport) =>
  doing(async () => {
    back.value = await api.takeImportBack(id);
    await load();
    await shelf.reload();
  });
</script>

<template>
  <BaseDialog :open="open" title="Earlier imports" @close="$emit('close')">
    <p class="mb-3 text-second">
      The last twenty files that were taken in. Taken back, the parts one has made go and those it changed are as they
      were; what you have changed since stays. Robots keep their copies either way.
    </p>
    <p v-if="failure" role="alert" class="mb-2 text-gives">{{ failure }}</p>
    <p v-if="back" role="status" class="mb-2">
      {{ back.removed }} taken away, {{ back.restored }} as before.
      <template v-if="back.left.length > 0">Changed since, so left as they are: {{ back.left.join(', ') }}.</template>
    </p>
    <p v-if="imports?.length === 0" class="squared border border-hair p-4 text-center text-second">
      No file was taken in yet.
    </p>
    <ul v-else class="max-h-[50vh] overflow-y-auto">
      <li v-for="one in imports" :key="one.id" class="flex items-baseline gap-4 border-b border-hair py-1.5 text-sm">
        <span class="figures">{{ format(new Date(one.takenAt), 'yyyy-MM-dd HH:mm') }}</span>
        <span class="grow">{{ KIND_NAMES[one.kind] }}: {{ one.made }} new, {{ one.changed }} changed</span>
        <button
          type="button"
          class="act min-h-6"
          :disabled="busy"
          :aria-label="`Take back the import of ${format(new Date(one.takenAt), 'yyyy-MM-dd HH:mm')}`"
          @click="take(one)"
        >
          Take back
        </button>
      </li>
    </ul>
  </BaseDialog>
</template>
