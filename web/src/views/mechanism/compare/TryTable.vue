<script setup lang="ts" generic="T">
/** Ways side by side, a row each: the one that is there in bold, every other one click away. */
defineProps<{
  rows: readonly T[];
  /** What the first column holds, and the others; those of numbers stand to the right. */
  first: string;
  headings: readonly { readonly text: string; readonly words?: boolean }[];
  keyOf: (row: T) => string;
  /** Whether it is the one that is there. */
  isOwn: (row: T) => boolean;
}>();
defineEmits<{ take: [row: T] }>();
</script>

<template>
  <div class="overflow-x-auto">
    <table class="w-full text-sm">
      <thead>
        <tr class="border-b border-ink text-left">
          <th scope="col">{{ first }}</th>
          <th
            v-for="heading in headings"
            :key="heading.text"
            scope="col"
            class="pl-3"
            :class="heading.words ? '' : 'text-right'"
          >
            {{ heading.text }}
          </th>
          <th scope="col"><span class="sr-only">take it</span></th>
        </tr>
      </thead>
      <tbody>
        <tr
          v-for="row in rows"
          :key="keyOf(row)"
          class="border-b border-hair align-top"
          :class="isOwn(row) ? 'bg-sheet font-semibold' : ''"
        >
          <th scope="row" class="py-1 text-left font-normal"><slot name="name" :row="row" /></th>
          <slot name="cells" :row="row" />
          <td class="pl-3">
            <button v-if="!isOwn(row)" type="button" class="act min-h-6" @click="$emit('take', row)">Try it</button>
          </td>
        </tr>
      </tbody>
    </table>
  </div>
</template>
