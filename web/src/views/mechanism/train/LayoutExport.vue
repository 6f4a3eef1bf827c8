<script setup lang="ts">
import type { Layout, Shape } from '@rough-gear/core';
import { toast } from 'vue-sonner';
import { save } from '../../../components/widgets/save.js';

/** Files that other programs and a printer take. The writers are loaded when one is asked for. */
const { shapes, layout, name, mount } = defineProps<{
  shapes: readonly Shape[];
  layout: Layout;
  name: string;
  mount: string | undefined;
}>();

const file = (extension: string) => `${name.toLowerCase().replace(/[^a-z0-9]+/g, '-')}-layout.${extension}`;

async function svg(): Promise<void> {
  const { layoutSvg } = await import('./files/layoutSvg.js');
  save(file('svg'), 'image/svg+xml', layoutSvg(shapes, name));
}
async function dxf(unit: 'mm' | 'inch'): Promise<void> {
  const { layoutDxf } = await import('./files/layoutDxf.js');
  save(file('dxf'), 'image/vnd.dxf', layoutDxf(shapes, unit));
}
async function template(): Promise<void> {
  const { holeTemplate } = await import('./files/holeTemplate.js');
  const made = await holeTemplate(layout, name, mount);
  save(file('pdf'), 'application/pdf', made.bytes);
  toast(
    made.pages === 1
      ? 'One sheet. Print it at 100 %, and measure its check line before drilling.'
      : `${made.pages} sheets with marks to join them. Print at 100 %, and measure the check line before drilling.`,
  );
}
</script>

<template>
  <div class="flex flex-wrap items-baseline gap-x-4 text-sm" role="group" aria-label="Take the drawing along">
    <button type="button" class="act min-h-6" @click="svg">SVG</button>
    <!-- The unit is the file's, to choose from: no figure on this page is in it. -->
    <button type="button" class="act min-h-6" data-unit-is-a-name @click="dxf('mm')">DXF, mm</button>
    <button type="button" class="act min-h-6" data-unit-is-a-name @click="dxf('inch')">DXF, inches</button>
    <button type="button" class="act min-h-6" @click="template">Hole template, PDF 1:1</button>
  </div>
</template>
