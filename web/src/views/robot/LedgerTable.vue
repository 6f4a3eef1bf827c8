<script setup lang="ts">
import {
  mechanismAt,
  quantityOf,
  wiresOf,
  type Change,
  type Ledger,
  type Plan,
  type SpreadMass,
} from '@rough-gear/core';
import { computed } from 'vue';
import MeasureField from '../../components/fields/MeasureField.vue';
import { useDisplay } from '../../composables/useDisplay.js';
import { usePlan } from '../../stores/plan.js';

/** Mass by what it is made of, money and counts, mechanism by mechanism; wire by gauge, and parts in common. */
const { plan, ledger } = defineProps<{ plan: Plan; ledger: Ledger }>();
const { show } = useDisplay();
const store = usePlan();
const wires = computed(() => wiresOf(plan));

const structureOf = (id: string) => plan.mechanisms.find((one) => one.id === id)?.structure?.si ?? 0;
const kept = (at: Change['at'], si: number): readonly Change[] => [
  { at, to: si > 0 ? quantityOf(si, show(si, 'mass', 4)) : undefined },
];
const setStructure = (id: string, si: number) => store.commit(kept([...mechanismAt(plan, id), 'structure'], si));
const setFrame = (si: number) => store.commit(kept(['frame'], si));
/** "4.6 kg", and what of it is only estimated is said by a mark. */
const massText = ({ mass, missing }: SpreadMass) =>
  missing.length > 0 ? 'not known' : mass > 0 ? show(mass, 'mass') : '';
const off = ({ spread, mass }: SpreadMass) => (mass > 0 ? `± ${show(spread, 'mass', 2)}` : '');
</script>

<template>
  <div class="overflow-x-auto" tabindex="0" role="region" aria-label="By mechanism">
    <table class="mt-1 w-full text-[0.8125rem]" data-testid="ledger-by-mechanism">
      <thead>
        <tr class="border-b border-ink text-right text-xs">
          <th scope="col" class="text-left font-normal text-second">mechanism</th>
          <th scope="col" class="font-normal text-second">motors</th>
          <th scope="col" class="font-normal text-second">controllers</th>
          <th scope="col" class="font-normal text-second">train</th>
          <th scope="col" class="font-normal text-second">structure</th>
          <th scope="col" class="font-normal text-second">mass</th>
          <th scope="col" class="font-normal text-second">off by</th>
          <th scope="col" class="font-normal text-second">to pay</th>
          <th scope="col" class="font-normal text-second">pieces</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="row in ledger.rows" :key="row.mechanism" class="border-b border-hair text-right">
          <th scope="row" class="text-left font-normal">{{ row.name }}</th>
          <td class="figures">{{ massText(row.mass.motors) }}</td>
          <td class="figures">{{ massText(row.mass.controllers) }}</td>
          <td class="figures">
            <span v-if="row.mass.train.estimated > 0" class="text-second" title="worked out from teeth and width"
              >≈ </span
            >{{ massText(row.mass.train) }}
          </td>
          <td>
            <MeasureField
              :value="structureOf(row.mechanism)"
              dimension="mass"
              :label="`structure of ${row.name}`"
              label-hidden
              :at-least="0"
              :significant="3"
              class="w-16! text-right"
              @read="setStructure(row.mechanism, $event)"
            />
          </td>
          <td class="figures">{{ massText(row.mass.all) }}</td>
          <td class="figures">{{ off(row.mass.all) }}</td>
          <td class="figures">{{ row.price === undefined ? 'not known' : show(row.price, 'number') }}</td>
          <td class="figures">{{ row.motors + row.servos }}</td>
        </tr>
        <tr class="border-b border-hair text-right">
          <th scope="row" class="text-left font-normal" colspan="4">frame, boards, covers</th>
          <td>
            <MeasureField
              :value="plan.frame?.si ?? 0"
              dimension="mass"
              label="frame, boards, covers"
              label-hidden
              :at-least="0"
              :significant="3"
              class="w-16! text-right"
              @read="setFrame($event)"
            />
          </td>
          <td class="figures">{{ massText(ledger.frame) }}</td>
          <td class="figures">{{ off(ledger.frame) }}</td>
          <td colspan="2" />
        </tr>
        <tr class="text-right font-semibold">
          <th scope="row" class="text-left" colspan="5">together, without the pack</th>
          <td class="figures">{{ show(ledger.mass.mass, 'mass') }}</td>
          <td class="figures">{{ off(ledger.mass) }}</td>
          <td class="figures">{{ show(ledger.price, 'number') }}</td>
          <td class="figures">{{ ledger.motors + ledger.servos }}</td>
        </tr>
      </tbody>
    </table>
    <p class="text-xs text-second">
      <template v-if="ledger.mass.estimated > 0"
        >{{ show(ledger.mass.estimated, 'mass') }} of it is only estimated: weigh these first.
      </template>
      <template v-if="ledger.pack.mass > 0">The pack weighs {{ show(ledger.pack.mass, 'mass') }} more. </template>
      <template v-if="wires.length > 0"
        >Wire, both ways: {{ wires.map(({ gauge, length }) => `${gauge} AWG ${show(length, 'length')}`).join(', ') }}.
      </template>
    </p>
    <p v-if="ledger.common.length > 0" class="text-xs text-second">
      In common:
      {{
        ledger.common
          .map(({ name, pieces, mechanisms }) => `${pieces} × ${name} (${mechanisms.join(', ')})`)
          .join('; ')
      }}.
    </p>
  </div>
</template>
