<script setup lang="ts">
import { ref, watchEffect } from 'vue';

/** A formula, typeset. Until the typesetter has come, the formula's own text stands there. */
const { tex, display = false } = defineProps<{ tex: string; display?: boolean }>();
const box = ref<HTMLElement>();

watchEffect(async () => {
  const [target, source] = [box.value, tex];
  if (!target) return;
  const [{ default: katex }] = await Promise.all([import('katex'), import('katex/dist/katex.min.css')]);
  // Rendered through the DOM: the content policy allows no style in markup.
  katex.render(source, target, { displayMode: display, throwOnError: false });
});
</script>

<template>
  <span ref="box">{{ tex }}</span>
</template>
