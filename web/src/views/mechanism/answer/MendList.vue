<script setup lang="ts">
import { showMultiple, type Mend, type Words } from '@rough-gear/core';
import { Check } from '@lucide/vue';
import { computed, ref } from 'vue';
import { useDisplay } from '../../../composables/useDisplay.js';
import type { MendSearch } from '../../../composables/useMends.js';

/** Changes that mend a limit, each with what gives first before and after; one click applies one. */
const { search } = defineProps<{ search: MendSearch; name: string; hint?: Words | undefined; first?: boolean }>();
defineEmits<{ apply: [mend: Mend] }>();

const { say } = useDisplay();
const FEW = 4;
const all = ref(false);
const shown = computed(() => (all.value ? search.mends : search.mends.slice(0, FEW)));
</script>

<template>
  <div>
    <h3 class="flex justify-between gap-2 text-xs font-normal text-second">
      <span class="truncate">mends: {{ name }}</span
      ><span v-if="search.mends.length > 0" class="whitespace-nowrap">{{
        first ? 'first to give' : 'before → after'
      }}</span>
    </h3>
    <ul data-testid="mends">
      <li v-for="mend in shown" :key="mend.lever">
        <button
          type="button"
          class="flex min-h-7 w-full items-baseline gap-2 border-t border-hair py-0.5 text-left hover:bg-ground"
          :title="mend.firstAfter ? `then ${mend.firstAfter} gives first` : ''"
          @click="$emit('apply', mend)"
        >
          <span class="grow"
            ><span class="act">{{ say(mend.label) }}</span
            ><span v-if="mend.more" class="block text-xs text-second"
              >the event’s {{ mend.more.join(', ') }} over by more</span
            ><span v-if="mend.still" class="block text-xs text-second">then still: {{ mend.still }}</span></span
          >
          <span v-if="mend.before !== undefined && mend.after !== undefined" class="figures whitespace-nowrap"
            >{{ showMultiple(mend.before).replace('×', '') }} → {{ showMultiple(mend.after) }}</span
          >
          <Check v-else-if="!mend.still" :size="15" class="self-center text-enough" aria-label="mends it" />
        </button>
      </li>
    </ul>
    <button
      v-if="search.mends.length > FEW"
      type="button"
      class="act min-h-6 text-xs"
      :aria-expanded="all"
      @click="all = !all"
    >
      {{ all ? 'fewer' : `${search.mends.length - FEW} more that do it` }}
    </button>
    <p v-if="!search.done" class="text-xs text-second" role="status">looking for changes that do it …</p>
    <p v-else-if="search.unfinished" data-testid="mends-unfinished">
      {{ search.mends.length > 0 ? 'There may be more' : 'None found so far' }}: the search takes too long here and was
      stopped. Figures far from a real machine do that; look at those first.
    </p>
    <p v-else-if="search.mends.length === 0 && hint">{{ say(hint) }}</p>
    <p v-else-if="search.mends.length === 0">
      No single change does it without making something else give way. Change two things together, or ask less of it.
    </p>
  </div>
</template>
