<script setup lang="ts">
import { FAULT_ASKS, type CheckState, type FaultAsks, type PitCheck } from '@rough-gear/core';
import { computed, ref, watch } from 'vue';
import BaseDialog from '../../components/widgets/BaseDialog.vue';
import ChoiceField from '../../components/fields/ChoiceField.vue';
import TextField from '../../components/fields/TextField.vue';
import { useDiary } from '../../stores/diary.js';

/** What was found wrong, and what it asks for: a part on the order sheet, a trial on the bench, or nothing more. */
const { asked, checks, match } = defineProps<{
  asked: PitCheck | 'any' | undefined;
  checks: readonly PitCheck[];
  match: number;
}>();
const emit = defineEmits<{ close: [] }>();
const diary = useDiary();
const check = ref('');
const note = ref('');
const asks = ref<FaultAsks>('nothing');
watch(
  () => asked,
  (now) => {
    if (!now) return;
    check.value = now === 'any' ? (checks[0]?.id ?? '') : now.id;
    note.value = '';
    asks.value = 'nothing';
  },
);
const options = computed(() =>
  checks.map(({ id, of, mechanismId, ask }) => ({ value: id, text: mechanismId ? `${of}: ${ask}` : ask })),
);
const ASKS: Readonly<Record<FaultAsks, string>> = {
  nothing: 'nothing more',
  'a spare': 'a part: it goes on the order sheet',
  'a trial': 'a trial: it goes into the bench book',
};

function say(state: CheckState): void {
  const about = checks.find(({ id }) => id === check.value);
  // Whoever reads the order sheet or the book does not have the list before them.
  const what = note.value.trim() || (about ? `${about.of}: ${about.ask}` : '');
  diary.write({
    kind: 'checked',
    match,
    check: check.value,
    state,
    asks: state === 'fault' ? asks.value : 'nothing',
    note: what,
  });
  emit('close');
}
</script>

<template>
  <BaseDialog :open="asked !== undefined" title="A fault, or a new part" @close="emit('close')">
    <form class="grid gap-4 text-base" @submit.prevent="say('fault')">
      <ChoiceField label="at what" :value="check" :options="options" @change="check = $event" />
      <TextField v-model="note" label="what is wrong, or new" :most="1000" />
      <ChoiceField
        label="it asks for"
        :value="asks"
        :options="FAULT_ASKS.map((one) => ({ value: one, text: ASKS[one] }))"
        @change="asks = $event"
      />
      <div class="grid grid-cols-2 gap-3">
        <button type="submit" class="button main min-h-11">It is a fault</button>
        <button type="button" class="button min-h-11" @click="say('new part')">A new part is in</button>
      </div>
    </form>
  </BaseDialog>
</template>
