<script setup lang="ts">
import { onMounted } from 'vue';
import { isOldPage, pieceMissing } from '../../newVersion.js';

/** In place of a part of the application that did not come. */
onMounted(() => void pieceMissing());
</script>

<template>
  <p role="alert" class="text-sm">
    <template v-if="isOldPage">This part is of another version of the program: reload the page.</template>
    <template v-else>
      This part could not be loaded: the server does not answer. Start it again, then reload the page; what you typed is
      kept.
    </template>
  </p>
</template>
