<script setup lang="ts">
import { momentAt, type JudgedMatch } from '@rough-gear/core';
import { Pause, Play } from '@lucide/vue';
import { useRafFn } from '@vueuse/core';
import { computed, ref, watch } from 'vue';
import ChoiceTabs from '../../components/widgets/ChoiceTabs.vue';
import IconButton from '../../components/widgets/IconButton.vue';
import { useDisplay } from '../../composables/useDisplay.js';

/** The match as it goes, for showing to a team: an instant that moves by itself, or by hand. */
const { match } = defineProps<{ match: JudgedMatch }>();
const emit = defineEmits<{ close: [] }>();
/** s; drawn by the lanes and the gauge. */
const time = defineModel<number>('time', { required: true });
const { show } = useDisplay();

const SPEEDS = [1, 5, 20] as const;
const speed = ref<string>('5');
const options = SPEEDS.map((value) => ({ value: String(value), text: `${value}×` }));
const playing = ref(true);
const now = computed(() => {
  const { samples } = match.result;
  const k = momentAt(match, time.value);
  return `${show(time.value, 'time')}: ${show(samples.volts[k] ?? NaN, 'voltage')}, ${show(samples.current[k] ?? NaN, 'current')}`;
});
const { pause, resume } = useRafFn(({ delta }) => {
  if (!playing.value) return;
  const next = time.value + (Number(speed.value) * delta) / 1000;
  time.value = Math.min(match.result.length, next);
  if (next >= match.result.length) playing.value = false;
});
watch(playing, (on) => (on ? resume() : pause()), { immediate: true });
function toggle(): void {
  if (!playing.value && time.value >= match.result.length) time.value = 0;
  playing.value = !playing.value;
}
</script>

<template>
  <section aria-label="Replay" class="flex flex-wrap items-center gap-x-3 text-sm" data-testid="replay">
    <IconButton :label="playing ? 'Hold the replay' : 'Go on'" @click="toggle"
      ><Pause v-if="playing" :size="16" /><Play v-else :size="16"
    /></IconButton>
    <input
      type="range"
      class="min-w-40 grow accent-[var(--act)]"
      aria-label="Instant of the match"
      min="0"
      :max="match.result.length"
      step="0.1"
      :value="time"
      :aria-valuetext="now"
      @input="((playing = false), (time = Number(($event.target as HTMLInputElement).value)))"
    />
    <span class="figures min-w-44">{{ now }}</span>
    <ChoiceTabs v-model="speed" :options="options" label="Speed of the replay" />
    <button type="button" class="act min-h-6" @click="emit('close')">done</button>
  </section>
</template>
