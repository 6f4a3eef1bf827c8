<script setup lang="ts">
import { counted as countedWords, railNodeOf, railBudget, supplyAt } from '@rough-gear/core';
import { computed } from 'vue';
import ChoiceField from '../../../../components/fields/ChoiceField.vue';
import FigureField from '../../../../components/fields/FigureField.vue';
import { useDisplay } from '../../../../composables/useDisplay.js';
import { useServoMechanism } from '../../../../composables/useMechanism.js';
import PanelHead from '../PanelHead.vue';
import PartPicker from '../PartPicker.vue';

/** Everything that hangs on this rail, on one budget. */
const { plan, path, drive, driveAt, commit } = useServoMechanism();
const { show } = useDisplay();

const node = computed(() => railNodeOf(plan.value, drive.value.node));
const at = computed(() => supplyAt(plan.value, node.value.id));
const rails = computed(() =>
  plan.value.supply.flatMap((one) => (one.kind === 'rail' ? [{ value: one.id, text: one.name ?? one.id }] : [])),
);
const SOURCES = [
  { value: 'regulator', text: 'a regulator' },
  { value: 'pack', text: 'the pack itself' },
  { value: 'board', text: 'a logic board’s pin' },
] as const;
const GROUNDS = [
  { value: 'common', text: 'joined' },
  { value: 'apart', text: 'apart from the board’s' },
] as const;

/** One line for each mechanism on the rail. */
const lines = computed(() => {
  const groups = new Map<string, { count: number; idle: number; moving: number; stalled: number; highest: number }>();
  for (const one of path.value.rail.servos) {
    const line = groups.get(one.name) ?? { count: 0, idle: 0, moving: 0, stalled: 0, highest: one.highestVoltage };
    groups.set(one.name, {
      count: line.count + 1,
      idle: line.idle + one.idle,
      moving: line.moving + one.moving,
      stalled: line.stalled + one.stalled,
      highest: Math.min(line.highest, one.highestVoltage),
    });
  }
  return [...groups].map(([name, line]) => ({ name, ...line }));
});
const budget = computed(() => railBudget(path.value.rail.servos, path.value.rail));
const counted = computed(() => {
  const names = new Map<string, number>();
  budget.value.mayStall.forEach((name) => names.set(name, (names.get(name) ?? 0) + 1));
  return [...names].map(([name, count]) => (count === 1 ? name : `${count} of ${name}`)).join(', ');
});
</script>

<template>
  <PanelHead
    :title="path.rail.name"
    :detail="`${countedWords(path.rail.servos.length, 'servo')} on it${path.servoBoard ? `, ${path.servoBoard.name}` : ''}`"
  >
    <PartPicker
      kind="board"
      :at="[...at, 'board']"
      title="A board for servos off the shelf"
      :label="path.servoBoard ? 'Change the board' : 'A board for servos'"
    />
    <button
      v-if="path.servoBoard"
      type="button"
      class="act min-h-6"
      @click="commit([{ at: [...at, 'board'], to: undefined }])"
    >
      No board
    </button>
  </PanelHead>
  <div class="flex gap-6 max-sm:flex-col">
    <div class="grid min-w-0 grow grid-cols-2 gap-x-4 gap-y-1 self-start lg:grid-cols-3">
      <ChoiceField
        :value="node.source ?? 'regulator'"
        label="fed from"
        :options="SOURCES"
        @change="commit([{ at: [...at, 'source'], to: $event }])"
      />
      <FigureField figure="rail.voltage" />
      <FigureField figure="rail.continuous" />
      <FigureField figure="rail.burst" />
      <FigureField figure="rail.resistance" allow="not negative" />
      <ChoiceField
        :value="node.ground ?? 'common'"
        label="its ground"
        :options="GROUNDS"
        @change="commit([{ at: [...at, 'ground'], to: $event }])"
      />
      <template v-if="path.servoBoard">
        <FigureField figure="board.servoCurrent" />
        <FigureField figure="board.servoVoltage" />
        <FigureField figure="board.pulseStep" />
      </template>
      <ChoiceField
        v-if="rails.length > 1"
        :value="drive.node"
        label="this servo hangs on"
        :options="rails"
        @change="commit([{ at: [...driveAt, 'node'], to: $event }])"
      />
    </div>
    <table class="figures shrink-0 self-start text-xs" data-testid="rail-budget">
      <thead>
        <tr class="border-b border-ink text-right">
          <th scope="col" class="pr-3 text-left font-sans">on the rail</th>
          <th scope="col" class="pr-3 font-normal">idle</th>
          <th scope="col" class="pr-3 font-normal">moving</th>
          <th scope="col" class="pr-3 font-normal">stalled</th>
          <th scope="col" class="font-normal">stands</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="line in lines" :key="line.name" class="border-b border-hair text-right">
          <th scope="row" class="pr-3 text-left font-sans font-normal">
            {{ line.name }}<template v-if="line.count > 1"> × {{ line.count }}</template>
          </th>
          <td class="pr-3">{{ show(line.idle, 'current', 2) }}</td>
          <td class="pr-3">{{ show(line.moving, 'current', 2) }}</td>
          <td class="pr-3">{{ show(line.stalled, 'current', 2) }}</td>
          <td>{{ show(line.highest, 'voltage', 2) }}</td>
        </tr>
      </tbody>
      <tfoot>
        <tr class="text-right font-semibold">
          <th scope="row" class="pr-3 text-left font-sans">all of them</th>
          <td class="pr-3">{{ show(budget.idle, 'current', 2) }}</td>
          <td class="pr-3">{{ show(budget.moving, 'current', 2) }}</td>
          <td class="pr-3">{{ show(budget.stalled, 'current', 2) }}</td>
          <td></td>
        </tr>
      </tfoot>
    </table>
  </div>
  <p class="mt-1 text-xs text-second">
    <template v-if="budget.stallsAllowed === path.rail.servos.length">All of them may stall at once. </template>
    <template v-else-if="counted">May stall together while the others move: {{ counted }}. </template>
    <template v-else>Not one of them may stall while the others move. </template>
    A servo that turns round at full speed takes about twice its stall current for a moment. Unpowered, it lets go.
  </p>
</template>
