<script setup lang="ts">
import { X } from '@lucide/vue';
import { leftAfter, MUST_RULES, type Must, type Part } from '@rough-gear/core';
import { computed, useId } from 'vue';
import MustRange from './MustRange.vue';

/**
 * What parts must be, one after the other: each narrows what the one before has left, and says to how many. One that does
 * not say is left out, since a must is not left to hope.
 */
const { kind, parts } = defineProps<{ kind: 'motor' | 'servo'; parts: readonly Part[] }>();
const musts = defineModel<readonly Must[]>({ required: true });
const id = useId();

const rules = computed(() => MUST_RULES.filter((rule) => rule.kind === kind));
const open = computed(() => rules.value.filter((rule) => !musts.value.some((must) => must.id === rule.id)));
const left = computed(() => leftAfter(parts, musts.value));
const rows = computed(() =>
  musts.value.flatMap((must, i) => {
    const rule = rules.value.find((one) => one.id === must.id);
    return rule ? [{ must, rule, left: left.value[i]! }] : [];
  }),
);

function add(event: Event): void {
  const select = event.target as HTMLSelectElement;
  const rule = rules.value.find((one) => one.id === select.value);
  select.value = '';
  if (!rule) return;
  musts.value = [...musts.value, { id: rule.id, is: rule.options && Object.keys(rule.options)[0] }];
}
const change = (to: Must): void => void (musts.value = musts.value.map((must) => (must.id === to.id ? to : must)));
const drop = (gone: Must): void => void (musts.value = musts.value.filter((must) => must.id !== gone.id));
</script>

<template>
  <div role="group" aria-label="Musts" class="flex flex-wrap items-end gap-x-4 gap-y-1 text-sm" data-testid="musts">
    <div v-for="{ must, rule, left: count } in rows" :key="must.id" class="flex items-end gap-1.5">
      <label v-if="rule.options" :for="`${id}-${must.id}`" class="self-center text-second">{{ rule.name }}</label>
      <span v-else class="self-center text-second">{{ rule.name }}</span>
      <select
        v-if="rule.options"
        :id="`${id}-${must.id}`"
        class="min-h-7 border-b border-ink bg-transparent"
        :value="must.is"
        @change="change({ ...must, is: ($event.target as HTMLSelectElement).value })"
      >
        <option v-for="word in Object.keys(rule.options)" :key="word">{{ word }}</option>
      </select>
      <MustRange
        v-else-if="rule.dimension"
        :must="must"
        :dimension="rule.dimension"
        :name="rule.name"
        @change="change"
      />
      <span class="figures self-center text-xs" :class="count === 0 ? 'text-gives' : ''">{{ count }} left</span>
      <button
        type="button"
        class="act grid min-h-7 w-6 place-items-center"
        :aria-label="`No longer ask for ${rule.name}`"
        @click="drop(must)"
      >
        <X :size="14" />
      </button>
    </div>
    <label v-if="open.length > 0" class="flex min-h-7 items-center gap-1.5"
      ><span class="sr-only">another must</span>
      <select class="min-h-7 border-b border-ink bg-transparent" @change="add">
        <option value="">{{ musts.length === 0 ? 'must be …' : 'and must …' }}</option>
        <option v-for="rule in open" :key="rule.id" :value="rule.id">{{ rule.name }}</option>
      </select>
      <span v-if="musts.length === 0" class="text-xs text-second">of {{ parts.length }}</span></label
    >
  </div>
</template>
