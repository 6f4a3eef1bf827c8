<script setup lang="ts">
import { LONGEST_PAGE, type PlanSummary } from '@rough-gear/contract/api';
import { ref, shallowRef, watch } from 'vue';
import { toast } from 'vue-sonner';
import { api } from '../../api/client.js';
import BaseDialog from '../../components/widgets/BaseDialog.vue';

/** What is in the bin: brought back one by one, or let go of for good. */
const { count } = defineProps<{ count: number }>();
const emit = defineEmits<{ changed: [] }>();
const open = ref(false);
const asking = ref(false);
const plans = shallowRef<readonly PlanSummary[]>([]);

watch(
  () => [open.value, count] as const,
  async ([shown]) => {
    if (!shown) return;
    try {
      plans.value = (await api.plans({ bin: true, count: LONGEST_PAGE })).plans;
    } catch (problem) {
      toast.error((problem as Error).message);
    }
  },
);

async function doing(work: () => Promise<unknown>): Promise<void> {
  try {
    await work();
  } catch (problem) {
    toast.error((problem as Error).message);
  }
  emit('changed');
}

async function empty(): Promise<void> {
  asking.value = false;
  await doing(async () => {
    const { removed } = await api.emptyBin();
    toast(`${removed} ${removed === 1 ? 'robot is' : 'robots are'} gone from the bin.`);
  });
}
</script>

<template>
  <section class="mt-2 max-h-[40vh] shrink-0 overflow-y-auto" aria-label="Bin">
    <div class="flex gap-4">
      <button type="button" class="act min-h-6" :aria-expanded="open" @click="open = !open">
        {{ open ? 'Close the bin' : `Bin (${count})` }}
      </button>
      <button v-if="open" type="button" class="act min-h-6" @click="asking = true">Empty the bin</button>
    </div>
    <ul v-if="open">
      <li v-for="plan in plans" :key="plan.id" class="flex justify-between border-b border-hair py-1.5">
        <span>{{ plan.name }}</span><button
          type="button"
          class="act min-h-6"
          :aria-label="`Bring ${plan.name} back`"
          @click="doing(() => api.restore(plan.id))"
        >
          Bring back
        </button>
      </li>
      <li v-if="count > plans.length" class="py-1.5 text-second">and {{ count - plans.length }} more</li>
    </ul>
    <BaseDialog :open="asking" title="Empty the bin" @close="asking = false">
      <p class="mb-4">
        {{ count === 1 ? 'One robot goes' : `${count} robots go` }} for good, with every save of
        {{ count === 1 ? 'it' : 'them' }}. Only a backup or an archive still has
        {{ count === 1 ? 'it' : 'them' }} afterwards.
      </p>
      <div class="flex justify-end gap-3">
        <button type="button" class="button" @click="asking = false">Keep them</button>
        <button type="button" class="button main" @click="empty">Empty it</button>
      </div>
    </BaseDialog>
  </section>
</template>
