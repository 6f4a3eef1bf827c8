<script setup lang="ts">
import type { PlanSummary } from '@rough-gear/contract/api';
import { givenOf, TRIALS, trialSheet, type Plan, type TrialKind } from '@rough-gear/core';
import { computed, ref, shallowRef, watch } from 'vue';
import BaseDialog from '../../components/widgets/BaseDialog.vue';
import ChoiceField from '../../components/fields/ChoiceField.vue';
import TextField from '../../components/fields/TextField.vue';
import { api } from '../../api/client.js';
import { useBench } from '../../stores/bench.js';
import { usePlan } from '../../stores/plan.js';
import { useWholeShelf } from '../../stores/shelf.js';
import { subjectsIn, subjectsOnShelf } from './subjects.js';

/** What is to be measured, and on what: the sheet follows. */
const { open, asked = undefined } = defineProps<{ open: boolean; asked?: TrialKind | undefined }>();
const emit = defineEmits<{ close: []; begun: [id: string] }>();
const bench = useBench();
const plan = usePlan();
const shelf = useWholeShelf();

const kind = ref<TrialKind>('free-run');
const robots = shallowRef<readonly PlanSummary[]>([]);
/** Empty is the shelf. */
const planId = ref('');
const document = shallowRef<Plan>();
const chosen = ref('');
const specimen = ref('');
const who = ref('');
const used = ref('');
const failure = ref('');
const busy = ref(false);

const sheet = computed(() => trialSheet(kind.value));
const offered = computed(() => {
  if (planId.value === '') return subjectsOnShelf(kind.value, shelf.offered);
  return document.value ? subjectsIn(kind.value, planId.value, document.value) : [];
});
const subject = computed(() => offered.value.find(({ key }) => key === chosen.value) ?? offered.value[0]);

watch(
  () => open,
  async (now) => {
    if (!now) return;
    failure.value = '';
    if (asked) kind.value = asked;
    const about = bench.trial?.subject ?? { planId: plan.id };
    try {
      robots.value = (await api.plans({})).plans.filter(({ unreadable }) => unreadable === undefined);
      planId.value = about.planId ?? robots.value[0]?.id ?? '';
    } catch (problem) {
      failure.value = (problem as Error).message;
    }
  },
  { immediate: true },
);
watch(planId, async (id) => {
  document.value = undefined;
  if (id === '') return;
  document.value = id === plan.id && plan.document ? plan.document : (await api.open(id)).document;
});

async function begin(): Promise<void> {
  const on = subject.value;
  if (!on) return;
  busy.value = true;
  failure.value = '';
  const tape = specimen.value.trim();
  try {
    const id = await bench.begin({
      kind: kind.value,
      subject: tape === '' ? on.subject : { ...on.subject, specimen: tape },
      startedAt: new Date().toISOString(),
      who: who.value.trim(),
      used: used.value.trim(),
      note: '',
      given: givenOf(kind.value, on.subject, document.value, shelf.byId.get(on.subject.shelfId ?? '')?.part),
      said: Object.fromEntries(sheet.value.said.map(({ key, options }) => [key, options[0]])),
      readings: Object.fromEntries(sheet.value.columns.map(({ key }) => [key, []])),
      struck: [],
    });
    emit('close');
    emit('begun', id);
  } catch (problem) {
    failure.value = (problem as Error).message;
  } finally {
    busy.value = false;
  }
}
</script>

<template>
  <BaseDialog :open="open" title="New trial" wide @close="emit('close')">
    <form class="grid gap-4" @submit.prevent="begin">
      <div class="grid gap-x-5 gap-y-3 sm:grid-cols-2">
        <ChoiceField
          label="what is measured"
          :value="kind"
          :options="TRIALS.map((one) => ({ value: one.kind, text: one.name }))"
          @change="kind = $event"
        />
        <ChoiceField
          label="robot"
          :value="planId"
          :options="[
            ...robots.map(({ id, name }) => ({ value: id, text: name })),
            { value: '', text: 'none: a part of the shelf' },
          ]"
          @change="planId = $event"
        />
      </div>
      <p class="text-sm text-second">
        Gives {{ sheet.gives }}. About {{ sheet.minutes }} minutes,
        {{ sheet.people === 1 ? 'one person' : `${sheet.people} people` }}.
      </p>
      <div v-if="offered.length > 0">
        <ChoiceField
          label="on"
          :value="subject?.key ?? ''"
          :options="offered.map(({ key, text }) => ({ value: key, text }))"
          @change="chosen = $event"
        />
        <p v-if="subject?.turns" class="mt-1 text-sm text-second">turns {{ subject.turns }}</p>
      </div>
      <p v-else-if="planId !== '' && !document" role="status" class="text-second">fetching the robot …</p>
      <p v-else role="status" class="text-tight">There is nothing here that this can be measured on.</p>
      <div class="grid gap-x-5 gap-y-3 sm:grid-cols-3">
        <TextField v-model="specimen" label="serial or tape mark" :most="60" hint="tape 3, or its serial" />
        <TextField v-model="who" label="measured by" :most="120" />
        <TextField v-model="used" label="with" :most="500" hint="instruments, supply" />
      </div>
      <p v-if="failure" role="alert" class="text-gives">{{ failure }}</p>
      <div class="flex gap-3">
        <button type="submit" class="button main" :disabled="busy || !subject">Begin</button>
        <button type="button" class="button" @click="emit('close')">Cancel</button>
      </div>
    </form>
  </BaseDialog>
</template>
