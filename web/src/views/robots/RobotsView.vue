<script setup lang="ts">
import type { PlanSummary } from '@rough-gear/contract/api';
import { computed, onMounted, ref } from 'vue';
import { useRouter } from 'vue-router';
import { toast } from 'vue-sonner';
import { api, Unreachable } from '../../api/client.js';
import BaseDialog from '../../components/widgets/BaseDialog.vue';
import { listKept } from '../../stores/kept.js';
import { usePlan } from '../../stores/plan.js';
import { downloadPlan, readPlanFile } from './planFile.js';
import RobotRow from './RobotRow.vue';

/** The start page: the robots, and what is wrong in each at a glance. */
const router = useRouter();
const open = usePlan();
const plans = ref<readonly PlanSummary[]>([]);
const bin = ref<readonly PlanSummary[]>([]);
const state = ref<'loading' | 'there' | 'away'>('loading');
const failure = ref('');
const showBin = ref(false);
const naming = ref<{ title: string; name: string; done: (name: string) => Promise<void> }>();
const file = ref<HTMLInputElement>();
const kept = computed(() => (state.value === 'away' ? listKept() : []));

async function load(): Promise<void> {
  try {
    await open.flush();
    [plans.value, bin.value] = await Promise.all([api.plans(), api.plans(true)]);
    state.value = 'there';
  } catch (problem) {
    state.value = 'away';
    failure.value =
      problem instanceof Unreachable
        ? 'The server cannot be reached. What you have changed is kept in this browser.'
        : (problem as Error).message;
  }
}

onMounted(() => {
  document.title = 'Robots · Rough Gear';
  void load();
});

/** Does something on the server, says what went wrong, and shows the list afterwards. */
async function doing(work: () => Promise<unknown>): Promise<void> {
  try {
    await work();
  } catch (problem) {
    toast.error((problem as Error).message);
  }
  await load();
}

function create(): void {
  naming.value = {
    title: 'A new robot',
    name: '',
    done: async (name) => {
      const { id } = await api.create({ name });
      await router.push({ name: 'mechanism', params: { planId: id } });
    },
  };
}

function rename({ id, name, revision }: PlanSummary): void {
  naming.value = {
    title: `Rename ${name}`,
    name,
    done: (next) => doing(() => open.changeElsewhere(id, () => api.rename(id, revision, next))),
  };
}

function remove({ id, name }: PlanSummary): void {
  void doing(async () => {
    await open.changeElsewhere(id, () => api.remove(id));
    toast(`${name} is in the bin.`, {
      action: { label: 'Bring back', onClick: () => void doing(() => api.restore(id)) },
    });
  });
}

async function exportPlan({ id }: PlanSummary): Promise<void> {
  await doing(async () => downloadPlan((await api.open(id)).document));
}

async function importPlan(event: Event): Promise<void> {
  const input = event.target as HTMLInputElement;
  const chosen = input.files?.[0];
  input.value = '';
  if (!chosen) return;
  failure.value = '';
  const read = await readPlanFile(chosen);
  if (!read.ok) {
    failure.value = `${chosen.name} was not imported. ${read.reason}`;
    return;
  }
  await doing(() => api.create({ document: read.plan }));
}

async function finishNaming(): Promise<void> {
  const asked = naming.value;
  if (!asked?.name.trim()) return;
  naming.value = undefined;
  try {
    await asked.done(asked.name.trim());
  } catch (problem) {
    toast.error((problem as Error).message);
  }
}
</script>

<template>
  <div class="mx-auto w-full max-w-5xl px-4 py-6">
    <div class="mb-4 flex flex-wrap items-baseline gap-x-6 gap-y-2">
      <h1 class="text-2xl">Robots</h1>
      <p class="text-second">What gives first on each mechanism, and by how much.</p>
      <span class="ml-auto flex gap-3">
        <button type="button" class="button" @click="file?.click()">Import a plan</button>
        <button type="button" class="button main" @click="create">New robot</button>
      </span>
      <input
        ref="file"
        type="file"
        accept=".json,application/json"
        class="sr-only"
        aria-label="Plan file to import"
        tabindex="-1"
        @change="importPlan"
      />
    </div>
    <p v-if="failure" role="alert" class="mb-3 border border-gives bg-sheet p-3 whitespace-pre-line">
      {{ failure
      }}<button v-if="state === 'away'" type="button" class="act ml-3 underline" @click="load">Try again</button>
    </p>
    <p v-if="state === 'loading'" role="status" class="text-second">Fetching the robots …</p>
    <p v-else-if="state === 'there' && plans.length === 0" class="squared border border-line p-8 text-center">
      No robot yet. Make a new one, or import a plan.
    </p>
    <ul>
      <RobotRow
        v-for="plan in plans"
        :key="plan.id"
        :plan="plan"
        @rename="rename(plan)"
        @duplicate="doing(() => api.duplicate(plan.id))"
        @remove="remove(plan)"
        @export="exportPlan(plan)"
      />
    </ul>
    <section v-if="kept.length > 0" aria-label="Kept in this browser">
      <h2 class="mb-1">Kept in this browser</h2>
      <ul>
        <li v-for="plan in kept" :key="plan.id" class="border-b border-hair py-1.5">
          <RouterLink class="act" :to="{ name: 'mechanism', params: { planId: plan.id } }">{{ plan.name }}</RouterLink>
        </li>
      </ul>
    </section>
    <section v-if="bin.length > 0" class="mt-6">
      <button type="button" class="act min-h-6" :aria-expanded="showBin" @click="showBin = !showBin">
        {{ showBin ? 'Close the bin' : `Bin (${bin.length})` }}
      </button>
      <ul v-if="showBin">
        <li v-for="plan in bin" :key="plan.id" class="flex justify-between border-b border-hair py-1.5">
          <span>{{ plan.name }}</span><button
            type="button"
            class="act min-h-6"
            :aria-label="`Bring ${plan.name} back`"
            @click="doing(() => api.restore(plan.id))"
          >
            Bring back
          </button>
        </li>
      </ul>
    </section>
    <BaseDialog :open="naming !== undefined" :title="naming?.title ?? ''" @close="naming = undefined">
      <form v-if="naming" @submit.prevent="finishNaming">
        <label for="robot-name" class="text-second">name</label>
        <input
          id="robot-name"
          v-model="naming.name"
          maxlength="80"
          class="mb-4 w-full border-b border-ink bg-transparent py-1"
        />
        <div class="flex justify-end">
          <button type="submit" class="button main disabled:opacity-50" :disabled="!naming.name.trim()">Done</button>
        </div>
      </form>
    </BaseDialog>
  </div>
</template>
