<script setup lang="ts">
/** What a doubtful text may have meant, each one click or key away; the field keeps its focus under the mouse. */
defineProps<{ choices: readonly string[] }>();
defineEmits<{ choose: [choice: string] }>();
</script>

<template>
  <button
    v-for="choice in choices"
    :key="choice"
    type="button"
    class="act ml-1 min-h-6 underline"
    @mousedown.prevent
    @click="$emit('choose', choice)"
  >
    {{ choice }}
  </button>
</template>
