<script setup lang="ts">
import { quantityOf } from '@rough-gear/core';
import ChoiceField from '../../components/fields/ChoiceField.vue';
import MeasureField from '../../components/fields/MeasureField.vue';
import { useDisplay } from '../../composables/useDisplay.js';
import SetUpDrawing from './SetUpDrawing.vue';
import { useTrial } from './useTrial.js';

/** What to connect, drawn; what to set; what to mind at this very trial; and what stands beside the readings. */
const { trial, sheet, closed, change } = useTrial();
const { show } = useDisplay();
/** Where it comes from, as long as nobody has measured it. */
const SAID: Readonly<Record<string, string>> = { sheet: 'off its sheet; ', estimated: 'an estimate; ' };
const LEAST = -1e12;
const give = (key: string, si: number, dimension: Parameters<typeof show>[1]): void =>
  change({ given: { ...trial.value.given, [key]: quantityOf(si, show(si, dimension, 5)) } });
</script>

<template>
  <section aria-label="Set up">
    <h2 class="mb-1">1 Set up</h2>
    <SetUpDrawing :kind="trial.kind" />
    <p class="mt-1 text-sm">{{ [...sheet.connect, ...sheet.set].join(' ') }}</p>
    <p class="mt-2 border-l-3 border-tight pl-2 text-sm text-tight" data-testid="cautions">
      {{ sheet.cautions.join(' ') }}
    </p>
    <div v-if="sheet.given.length + sheet.said.length > 0" class="mt-2 grid gap-2 text-sm">
      <template v-for="one in sheet.given" :key="one.key">
        <p v-if="closed">
          {{ one.label }}:
          <span class="figures">{{
            trial.given[one.key] ? show(trial.given[one.key]!.si, one.dimension, 4) : '—'
          }}</span>
        </p>
        <p v-else class="flex flex-wrap items-baseline gap-x-2">
          <MeasureField
            :label="one.label"
            :dimension="one.dimension"
            :value="trial.given[one.key]?.si ?? NaN"
            :least="one.dimension === 'temperature' ? LEAST : 0"
            @read="give(one.key, $event, one.dimension)"
          />
          <span class="text-xs text-second">{{ SAID[trial.given[one.key]?.source ?? ''] ?? '' }}{{ one.how }}</span>
        </p>
      </template>
      <template v-for="one in sheet.said" :key="one.key">
        <p v-if="closed">{{ one.label }}: {{ trial.said[one.key] }}</p>
        <ChoiceField
          v-else
          class="max-w-xs"
          :label="one.label"
          :value="trial.said[one.key] ?? one.options[0]"
          :options="one.options.map((option) => ({ value: option, text: one.names?.[option] ?? option }))"
          @change="change({ said: { ...trial.said, [one.key]: $event } })"
        />
      </template>
    </div>
  </section>
</template>
