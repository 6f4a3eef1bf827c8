<script setup lang="ts">
import { PLAN_SORTS, type PlanQuery, type PlanSort, type PlanSummary } from '@rough-gear/contract/api';
import { computedAsync } from '@vueuse/core';
import { computed, onMounted, ref } from 'vue';
import { useRouter } from 'vue-router';
import { toast } from 'vue-sonner';
import { api } from '../../api/client.js';
import NameDialog from '../../components/widgets/NameDialog.vue';
import { useAccess } from '../../stores/access.js';
import { usePlan } from '../../stores/plan.js';
import { listKept } from '../../stores/plan/drafts.js';
import { downloadPlan, readPlanFile } from './planFile.js';
import RobotBin from './RobotBin.vue';
import RobotList from './RobotList.vue';
import { useRobotList } from './useRobotList.js';

/** The start page: the robots, and what is wrong in each at a glance. */
const router = useRouter();
const open = usePlan();
const access = useAccess();
const find = ref('');
const sort = ref<PlanSort>('saved');
const query = computed<PlanQuery>(() => ({ find: find.value, sort: sort.value }));
const { total, binned, rows, state, failure, load, show } = useRobotList(query);
const refusal = ref('');
const naming = ref<{ title: string; name: string; done: (name: string) => Promise<void> }>();
const file = ref<HTMLInputElement>();
const kept = computedAsync(() => (state.value === 'away' ? listKept() : []), []);
/** A handful is seen at once. */
const FEW = 5;
const many = computed(() => total.value > FEW || find.value !== '' || sort.value !== 'saved');
const SORTS: Readonly<Record<PlanSort, string>> = {
  saved: 'last saved first',
  name: 'by name',
  worst: 'most to do first',
};

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
  refusal.value = '';
  const read = await readPlanFile(chosen);
  if (!read.ok) {
    refusal.value = `${chosen.name} was not imported. ${read.reason}`;
    return;
  }
  await doing(() => api.create({ document: read.plan }));
}

async function finishNaming(name: string): Promise<void> {
  const asked = naming.value;
  naming.value = undefined;
  try {
    await asked?.done(name);
  } catch (problem) {
    toast.error((problem as Error).message);
  }
}
</script>

<template>
  <div class="mx-auto flex min-h-0 w-full max-w-5xl grow flex-col px-4 py-6">
    <div class="mb-4 flex flex-wrap items-baseline gap-x-6 gap-y-2">
      <h1 class="text-2xl">Robots</h1>
      <p class="text-second">What gives first on each mechanism, and by how much.</p>
      <nav aria-label="Beside the robots" class="flex gap-x-4">
        <RouterLink class="act" to="/bench">Bench book</RouterLink>
        <RouterLink class="act" to="/data">Data</RouterLink>
      </nav>
      <span v-if="access.mayChange" class="ml-auto flex gap-3">
        <button type="button" class="button" @click="file?.click()">Import a plan</button>
        <button type="button" class="button main" @click="create">New robot</button>
      </span>
      <span v-else class="ml-auto text-second">You may look here, not change.</span>
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
    <div v-if="many" class="mb-3 flex flex-wrap items-end gap-x-6 gap-y-1 text-sm" role="search">
      <label class="min-w-40 grow"
        ><span class="block text-[0.8125rem] text-second">find by the name of a robot or a mechanism</span>
        <input
          v-model="find"
          type="search"
          maxlength="80"
          class="min-h-7 w-full border-b border-ink bg-transparent"
          autocomplete="off"
      /></label>
      <label
        ><span class="block text-[0.8125rem] text-second">order</span>
        <select v-model="sort" class="min-h-7 border-b border-ink bg-sheet">
          <option v-for="one in PLAN_SORTS" :key="one" :value="one">{{ SORTS[one] }}</option>
        </select>
      </label>
      <span role="status" class="figures pb-1 text-second">{{ total }} {{ total === 1 ? 'robot' : 'robots' }}</span>
    </div>
    <p v-if="failure || refusal" role="alert" class="mb-3 border border-gives bg-sheet p-3 whitespace-pre-line">
      {{ failure || refusal
      }}<button v-if="state === 'away'" type="button" class="act ml-3 underline" @click="load">Try again</button>
    </p>
    <p v-if="state === 'loading'" role="status" class="text-second">Fetching the robots …</p>
    <p v-else-if="state === 'there' && total === 0" class="squared border border-line p-8 text-center">
      {{
        find === '' ? 'No robot yet. Make a new one, or import a plan.' : 'No robot and no mechanism is called that.'
      }}
    </p>
    <RobotList
      v-if="rows.length > 0"
      :rows="rows"
      @show="show"
      @rename="rename"
      @duplicate="doing(() => api.duplicate($event.id))"
      @remove="remove"
      @export="exportPlan"
    />
    <section v-if="kept.length > 0" aria-label="Kept in this browser">
      <h2 class="mb-1">Kept in this browser</h2>
      <ul>
        <li v-for="plan in kept" :key="plan.id" class="border-b border-hair py-1.5">
          <RouterLink class="act" :to="{ name: 'mechanism', params: { planId: plan.id } }">{{ plan.name }}</RouterLink>
        </li>
      </ul>
    </section>
    <RobotBin v-if="binned > 0 && access.mayChange" :count="binned" @changed="load" />
    <NameDialog
      :open="naming !== undefined"
      :title="naming?.title ?? ''"
      label="name"
      :name="naming?.name ?? ''"
      done="Done"
      @named="finishNaming"
      @close="naming = undefined"
    />
  </div>
</template>
