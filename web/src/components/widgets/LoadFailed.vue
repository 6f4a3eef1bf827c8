<script setup lang="ts">
/** In place of a part of the application that did not come. */
</script>

<template>
  <p role="alert" class="text-sm">
    This part could not be loaded: the server does not answer. Start it again, then reload the page; what you typed is
    kept.
  </p>
</template>
