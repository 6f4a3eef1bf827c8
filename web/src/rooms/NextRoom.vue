<script setup lang="ts">
import { computed } from 'vue';
import { ROOMS, type RoomId } from '@rough-gear/contract/find';
import { useOpenRobot } from './useOpenRobot.js';

/** What comes after a room: the next one, and what it answers. After the last the match begins again. */
const { of } = defineProps<{ of: RoomId }>();
const { robot, placeOf, after } = useOpenRobot();
const next = computed(() => after(of) ?? ROOMS.find(({ id }) => id === 'match')!);
</script>

<template>
  <p v-if="robot" class="not-printed text-sm text-second" data-testid="next-room">
    <slot />Next:
    <RouterLink
      class="act font-semibold"
      :class="of === 'pit' ? 'inline-grid min-h-11 min-w-11 place-items-center' : ''"
      :to="placeOf(next)"
      >{{ next.text }}</RouterLink>.
    {{ next.answers }}
  </p>
</template>
