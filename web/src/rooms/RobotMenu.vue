<script setup lang="ts">
import type { PlanSummary } from '@rough-gear/contract/api';
import { eventChecks, type Plan } from '@rough-gear/core';
import { computed, onMounted, ref, shallowRef } from 'vue';
import { useRouter } from 'vue-router';
import { toast } from 'vue-sonner';
import { api } from '../api/client.js';
import ActionMenu, { type MenuEntry } from '../components/widgets/ActionMenu.vue';
import { lazily } from '../components/widgets/lazily.js';
import NameDialog from '../components/widgets/NameDialog.vue';
import { useEver } from '../composables/useEver.js';
import { useAccess } from '../stores/access.js';
import { usePlan } from '../stores/plan.js';
import { downloadPlan } from '../views/robots/planFile.js';
import PlanHistory from './PlanHistory.vue';

/** The open robot's name, and what is done with the whole of it; the other robots are a click away. */
const EventSheetDialog = lazily(() => import('../views/robot/event/EventSheetDialog.vue'));
const store = usePlan();
const access = useAccess();
const router = useRouter();
// None may be in the store before this menu is gone.
const plan = computed<Plan>((last) => store.document ?? last!);
const dialog = ref<'name' | 'revisions' | 'event'>();
const everEvent = useEver(() => dialog.value === 'event');
const close = (): void => void (dialog.value = undefined);

/** So many other robots are named; the list has all. */
const MOST_NAMED = 6;
const others = shallowRef<readonly PlanSummary[]>([]);
onMounted(async () => {
  // Without the server the list of robots still is a click away.
  others.value = await api.plans({ count: MOST_NAMED + 1 }).then(
    ({ plans }) => plans,
    () => [],
  );
});

/** Does something on the server, and says what went wrong. */
const doing = (work: () => Promise<unknown>): void =>
  void work().catch((problem: unknown) => toast.error((problem as Error).message));

async function duplicate(): Promise<void> {
  await store.flush();
  const { id } = await api.duplicate(store.id!);
  await router.push({ name: 'mechanism', params: { planId: id } });
}

async function putAway(): Promise<void> {
  const [id, { name }] = [store.id!, plan.value];
  await store.changeElsewhere(id, () => api.remove(id));
  await router.push({ name: 'robots' });
  toast(`${name} is in the bin, at the end of the list.`);
}

const entries = computed((): readonly MenuEntry[] => {
  const planId = store.id!;
  return [
    { text: 'All robots', to: { name: 'robots' } },
    ...others.value
      .filter(({ id, unreadable }) => id !== planId && unreadable === undefined)
      .slice(0, MOST_NAMED)
      .map(({ id, name }) => ({ text: name, to: { name: 'mechanism', params: { planId: id } } })),
    {
      text: 'Whole book, to print',
      to: { name: 'robot-paper', params: { planId, sheet: 'book' } },
      apart: true,
    },
    { text: 'Event sheet', act: () => (dialog.value = 'event') },
    { text: 'Revisions', act: () => (dialog.value = 'revisions') },
    { text: 'Export', act: () => downloadPlan(plan.value) },
    ...(access.mayChange
      ? [
          { text: 'Rename', act: () => (dialog.value = 'name'), apart: true } as const,
          { text: 'Duplicate', act: () => doing(duplicate) },
          { text: 'Put into the bin', act: () => doing(putAway) },
        ]
      : []),
  ];
});
</script>

<template>
  <div data-robot-menu>
    <ActionMenu
      :text="plan.name"
      :label="`${plan.name}: other robots, book, revisions …`"
      :entries="entries"
      from-left
    />
    <NameDialog
      :open="dialog === 'name'"
      :title="`Rename ${plan.name}`"
      label="name"
      :name="plan.name"
      done="Rename"
      @close="close"
      @named="store.commit([{ at: ['name'], to: $event }])"
    />
    <PlanHistory :open="dialog === 'revisions'" @close="close" />
    <EventSheetDialog
      v-if="everEvent"
      :open="dialog === 'event'"
      :plan="plan"
      :checks="eventChecks(plan)"
      @close="close"
    />
  </div>
</template>
