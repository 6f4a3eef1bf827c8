<script setup lang="ts">
import { computed } from 'vue';
import ActionMenu from '../components/widgets/ActionMenu.vue';
import RobotMenu from './RobotMenu.vue';
import { ROOMS } from '@rough-gear/contract/find';
import { useOpenRobot } from './useOpenRobot.js';

/** The open robot and its rooms, on all of its pages. Where there is no width for them they are a menu. */
const { robot, room, placeOf } = useOpenRobot();
const entries = computed(() => ROOMS.map((one) => ({ text: one.text, to: placeOf(one) })));
const here = computed(() => ROOMS.find(({ id }) => id === room.value)?.text ?? 'Rooms');
</script>

<template>
  <template v-if="robot">
    <RobotMenu />
    <nav aria-label="Rooms" class="flex self-stretch max-lg:hidden">
      <RouterLink
        v-for="one in ROOMS"
        :key="one.id"
        :to="placeOf(one)"
        class="grid min-h-8 place-items-center px-2.5"
        :class="room === one.id ? 'bg-ink font-semibold text-ground' : 'act'"
        :aria-current="room === one.id ? 'page' : undefined"
        >{{ one.text }}</RouterLink
      >
    </nav>
    <ActionMenu class="lg:hidden" :text="here" label="Rooms" :entries="entries" />
  </template>
</template>
