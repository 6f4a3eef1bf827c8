<script setup lang="ts">
import { leadsFor, type LeadRow } from '@rough-gear/core';
import { computed, ref } from 'vue';
import MeasureField from '../../../components/fields/MeasureField.vue';
import { useDisplay } from '../../../composables/useDisplay.js';
import { useMechanism } from '../../../composables/useMechanism.js';
import FirstToGive from './FirstToGive.vue';

/** The carriage's speed first, the screw's lead from it: how fast motor and screw turn, and what gives first. */
const emit = defineEmits<{ done: [] }>();
const { plan, path, mechanism, jobId, commit } = useMechanism();
const { show } = useDisplay();

const wanted = ref(path.value.asked.speed);
const rows = computed(() => leadsFor(plan.value, mechanism.value.id, jobId.value, wanted.value));
const pulses = computed(() => path.value.machine === 'step');

function take(row: LeadRow): void {
  commit(row.changes);
  emit('done');
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
  <div class="overflow-x-auto">
    <table class="w-full text-sm" data-testid="leads">
      <thead>
        <tr class="border-b border-ink text-left">
          <th scope="col">lead, a turn</th>
          <th scope="col" class="pl-3 text-right">screw turns</th>
          <th scope="col" class="pl-3 text-right">motor turns</th>
          <th v-if="pulses" scope="col" class="pl-3 text-right">pulses of those there</th>
          <th scope="col" class="pl-3">stays by itself</th>
          <th scope="col" class="pl-3">gives first</th>
          <th scope="col"><span class="sr-only">take it</span></th>
        </tr>
      </thead>
      <tbody>
        <tr
          v-for="row in rows"
          :key="row.lead"
          class="border-b border-hair align-top"
          :class="row.own ? 'bg-sheet font-semibold' : ''"
        >
          <th scope="row" class="figures py-0.5 text-left font-normal">
            {{ show(row.lead, 'length', 3)
            }}{{ row.tpi ? ` (${row.tpi} tpi${row.starts > 1 ? `, ${row.starts} starts` : ''})` : ''
            }}{{ row.own ? ', as it is' : '' }}
          </th>
          <td class="figures py-0.5 pl-3 text-right">{{ show(row.screwSpeed, 'speed', 3) }}</td>
          <td class="figures py-0.5 pl-3 text-right">{{ show(row.motorSpeed, 'speed', 3) }}</td>
          <td v-if="pulses" class="figures py-0.5 pl-3 text-right">
            {{ row.rate === undefined ? '—' : `${show(row.rate, 'rate', 3)} of ${show(row.mostRate!, 'rate', 3)}` }}
          </td>
          <td class="py-0.5 pl-3">{{ row.stays ? 'yes' : 'no' }}</td>
          <td class="py-0.5 pl-3"><FirstToGive :headline="row.headline" /></td>
          <td class="pl-3">
            <button v-if="!row.own" type="button" class="act min-h-6" @click="take(row)">Try it</button>
          </td>
        </tr>
      </tbody>
    </table>
  </div>
</template>
