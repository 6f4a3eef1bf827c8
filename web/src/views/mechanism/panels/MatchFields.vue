<script setup lang="ts">
import FigureField from '../../../components/fields/FigureField.vue';

/** How the day goes: the whole robot's, so that it stands in the plan once. */
</script>

<template>
  <FigureField figure="match.length" />
  <FigureField figure="match.rest" allow="not negative" />
  <FigureField figure="match.rounds" />
</template>
