<script setup lang="ts">
import { leadsFor, type LeadRow } from '@rough-gear/core';
import { computed, ref } from 'vue';
import MeasureField from '../../../components/fields/MeasureField.vue';
import { useDisplay } from '../../../composables/useDisplay.js';
import { useMechanism } from '../../../composables/useMechanism.js';
import FirstToGive from './FirstToGive.vue';
import TryTable from './TryTable.vue';

/** The carriage's speed first, the screw's lead from it: how fast motor and screw turn, and what gives first. */
const { plan, path, mechanism, jobId, commit } = useMechanism();
const { show } = useDisplay();

const wanted = ref(path.value.asked.speed);
const rows = computed(() => leadsFor(plan.value, mechanism.value.id, jobId.value, wanted.value));
const pulses = computed(() => path.value.machine === 'step');

const headings = computed(() => [
  { text: 'screw turns' },
  { text: 'motor turns' },
  ...(pulses.value ? [{ text: 'pulses of those there' }] : []),
  { text: 'stays by itself', words: true },
  { text: 'gives first', words: true },
]);

function take(row: LeadRow): void {
  commit(row.changes);
}
</script>

<template>
  <div class="mb-2 flex flex-wrap items-end gap-x-6 gap-y-1">
    <MeasureField
      :value="wanted"
      dimension="velocity"
      label="the carriage is to run at"
      class="w-44"
      @read="wanted = $event"
    />
    <p class="max-w-3xl text-sm text-second">
      More lead turns slower for the same speed, and asks more torque; a steep one does not stay by itself. Rows are
      judged at this speed; the job keeps its own.
    </p>
  </div>
  <TryTable
    :rows="rows"
    first="lead, a turn"
    :headings="headings"
    :key-of="({ lead }) => String(lead)"
    :is-own="({ own }) => own"
    data-testid="leads"
    @take="take"
  >
    <template #name="{ row }">
      <span class="figures"
        >{{ show(row.lead, 'length', 3)
        }}{{ row.tpi ? ` (${row.tpi} tpi${row.starts > 1 ? `, ${row.starts} starts` : ''})` : ''
        }}{{ row.own ? ', as it is' : '' }}</span
      >
    </template>
    <template #cells="{ row }">
      <td class="figures py-1 pl-3 text-right">{{ show(row.screwSpeed, 'speed', 3) }}</td>
      <td class="figures py-1 pl-3 text-right">{{ show(row.motorSpeed, 'speed', 3) }}</td>
      <td v-if="pulses" class="figures py-1 pl-3 text-right">
        {{ row.rate === undefined ? '—' : `${show(row.rate, 'rate', 3)} of ${show(row.mostRate!, 'rate', 3)}` }}
      </td>
      <td class="py-1 pl-3">{{ row.stays ? 'yes' : 'no' }}</td>
      <td class="py-1 pl-3"><FirstToGive :headline="row.headline" /></td>
    </template>
  </TryTable>
</template>
