<script setup lang="ts">
import 'katex/dist/katex.min.css';
import { computed, nextTick, onMounted, useTemplateRef, watch } from 'vue';
import { useRoute } from 'vue-router';
import text from '../../../../docs/models.md?raw';
import { pageOf, setFormulas } from './page.js';
import { sectionId } from '@rough-gear/contract/find';

/** Every model with its formula, assumptions, range and source: the repository's own page, shipped with the application. */
const route = useRoute();

/** Headings as a list at the side, and as places the workings lead to. */
const sections = computed(() =>
  [...text.matchAll(/^## (.+)$/gm)].map(([, heading]) => ({
    id: sectionId(heading!),
    title: heading!,
  })),
);
const html = pageOf(text);

function go(): void {
  void nextTick(() => document.getElementById(route.hash.slice(1))?.scrollIntoView());
}
const article = useTemplateRef<HTMLElement>('article');
onMounted(() => {
  setFormulas(article.value!);
  go();
});
watch(() => route.hash, go);
</script>

<template>
  <div class="mx-auto grid w-full max-w-6xl gap-8 px-4 py-6 lg:grid-cols-[220px_minmax(0,1fr)]">
    <nav aria-label="Models" class="lg:sticky lg:top-4 lg:self-start">
      <ul>
        <li v-for="section in sections" :key="section.id">
          <RouterLink class="act block py-1" :to="{ hash: `#${section.id}` }">{{ section.title }}</RouterLink>
        </li>
      </ul>
    </nav>
    <!-- eslint-disable-next-line vue/no-v-html -- The repository's own page, rendered from a file of the build. -->
    <article ref="article" class="models" v-html="html" />
  </div>
</template>

<style scoped>
.models :deep(h1) {
  font-size: 1.5rem;
  font-weight: 700;
}
.models :deep(h2) {
  margin: 1.75rem 0 0.25rem;
  border-bottom: 1px solid var(--ink);
  font-size: 1.125rem;
  font-weight: 600;
}
.models :deep(p),
.models :deep(ul) {
  margin: 0.5rem 0;
  max-width: 78ch;
}
.models :deep(ul) {
  list-style: disc;
  padding-left: 1.25rem;
}
/* A formula stands alone, and breaks at an operator where it is wider than a phone. */
.models :deep(.formula) {
  margin: 0.3rem 0 0.3rem 1.25rem;
  max-width: none;
  padding-block: 0.3rem;
  overflow-x: auto;
  overflow-y: hidden;
}
.models :deep(.formula .katex) {
  font-size: 1.12em;
}
.models :deep(code) {
  font-family: var(--font-mono);
  font-size: 0.85em;
  color: var(--second);
}
.models :deep(table) {
  margin: 0.75rem 0;
  font-family: var(--font-mono);
  font-size: 0.8125rem;
}
.models :deep(th),
.models :deep(td) {
  border-bottom: 1px solid var(--hair);
  padding: 0.2rem 0.75rem 0.2rem 0;
  text-align: left;
}
.models :deep(a) {
  color: var(--act);
}
</style>
