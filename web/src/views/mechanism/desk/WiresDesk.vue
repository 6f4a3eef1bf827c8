<script setup lang="ts">
import { WIRE_ROLES, wiresOfMechanism, type Wire, type WireRole } from '@rough-gear/core';
import { computed } from 'vue';
import { useDisplay } from '../../../composables/useDisplay.js';
import { useMechanism } from '../../../composables/useMechanism.js';

/** Each wire of this mechanism: which terminal to which, what is in it, in the team's own colours. */
const { plan, mechanism, path, commit } = useMechanism();
const { show, say } = useDisplay();

const wires = computed(() => wiresOfMechanism(plan.value, path.value));
const ROLE_NAMES: Readonly<Record<WireRole, string>> = {
  plus: 'supply, plus',
  minus: 'supply, minus',
  motor: 'motor leads',
  signal: 'signals',
  ground: 'signal ground',
  sensor: 'sensors, alarms',
};
const used = computed(() => WIRE_ROLES.filter((role) => wires.value.some((wire) => wire.role === role)));
const colourOf = ({ role }: Wire): string => plan.value.wireColours?.[role] ?? '';

function setColour(role: WireRole, text: string): void {
  commit([{ at: ['wireColours', role], to: text.trim() || undefined }]);
}
const thickness = ({ gauge, length }: Wire): string =>
  [...(gauge === undefined ? [] : [`${gauge} AWG`]), ...(length === undefined ? [] : [show(length, 'length', 2)])].join(
    ', ',
  );
</script>

<template>
  <div>
    <h2 class="mb-1 text-lg">Wires of {{ mechanism.name }}</h2>
    <p class="mb-2 max-w-4xl text-sm text-second">
      Pack unplugged while you wire. The supply goes past its breaker first; signals and their ground come last. Thin
      wires have no gauge here. Local codes and event rules come first.
    </p>
    <div class="mb-3 flex flex-wrap gap-x-4 gap-y-1 text-sm" role="group" aria-label="The team’s colours">
      <label v-for="role in used" :key="role" class="flex items-baseline gap-1.5">
        <span class="whitespace-nowrap text-second">{{ ROLE_NAMES[role] }}</span>
        <input
          class="w-24 border-b border-ink bg-transparent py-0.5"
          maxlength="30"
          placeholder="colour"
          :value="plan.wireColours?.[role] ?? ''"
          @change="setColour(role, ($event.target as HTMLInputElement).value)"
        />
      </label>
    </div>
    <div class="overflow-x-auto">
      <table class="w-full text-sm" data-testid="wires">
        <thead>
          <tr class="border-b border-ink text-left">
            <th scope="col">from</th>
            <th scope="col" class="pl-3">to</th>
            <th scope="col" class="pl-3">carries</th>
            <th scope="col" class="pl-3">wire</th>
            <th scope="col" class="pl-3">colour</th>
            <th scope="col" class="pl-3">in or on it</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="(wire, i) in wires" :key="i" class="border-b border-hair align-top">
            <td class="py-0.5">{{ wire.from }}</td>
            <td class="py-0.5 pl-3">{{ wire.to }}</td>
            <td class="py-0.5 pl-3 text-second">{{ ROLE_NAMES[wire.role] }}</td>
            <td class="figures py-0.5 pl-3 whitespace-nowrap">{{ thickness(wire) }}</td>
            <td class="py-0.5 pl-3">{{ colourOf(wire) }}</td>
            <td class="py-0.5 pl-3">{{ wire.with === undefined ? '' : say(wire.with) }}</td>
          </tr>
        </tbody>
      </table>
    </div>
  </div>
</template>
