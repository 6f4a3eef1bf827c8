<script setup lang="ts">
/** Line drawings of the links in one pen: 1.5 px ink, 44 × 40. */
export type DrawingKind =
  | 'pack'
  | 'branch'
  | 'controller'
  | 'motor'
  | 'gears'
  | 'chain'
  | 'box'
  | 'screw'
  | 'drum'
  | 'wheels'
  | 'lift'
  | 'drive-base';

const { kind, count = 1 } = defineProps<{ kind: DrawingKind; count?: number }>();

/** Motors drawn as many as there are, up to six, packed in two rows. */
function motorPlaces(count: number): { x: number; y: number; r: number }[] {
  if (count === 1) return [{ x: 22, y: 20, r: 13 }];
  const shown = Math.min(6, count);
  const perRow = shown <= 3 ? shown : Math.ceil(shown / 2);
  const r = shown === 2 ? 9.5 : shown <= 4 && perRow === 2 ? 8.5 : 6.8;
  return Array.from({ length: shown }, (_, i) => {
    const row = Math.floor(i / perRow);
    const rows = Math.ceil(shown / perRow);
    return { x: 22 + ((i % perRow) - (perRow - 1) / 2) * (2 * r + 1), y: 20 + (row - (rows - 1) / 2) * (2 * r + 1), r };
  });
}

/** A toothed circle as a path: teeth as a square wave between two radii. */
function toothed(x: number, y: number, r: number, teeth: number): string {
  const points: string[] = [];
  for (let i = 0; i < teeth * 4; i++) {
    const angle = (i / (teeth * 4)) * 2 * Math.PI;
    const radius = i % 4 < 2 ? r + 1.6 : r - 1;
    points.push(`${(x + radius * Math.cos(angle)).toFixed(2)} ${(y + radius * Math.sin(angle)).toFixed(2)}`);
  }
  return `M${points.join('L')}Z`;
}
</script>

<template>
  <svg
    viewBox="0 0 44 40"
    width="44"
    height="40"
    fill="none"
    stroke="currentColor"
    stroke-width="1.5"
    stroke-linejoin="round"
    stroke-linecap="round"
    aria-hidden="true"
  >
    <g v-if="kind === 'pack'"><path d="M4 12h36v22H4zM10 12V8h6v4M28 12V8h6v4M11 23h6M14 20v6M27 23h6" /></g>
    <g v-else-if="kind === 'branch'">
      <path d="M6 26c6-16 26-16 32 0" />
      <circle cx="6" cy="26" r="3" />
      <circle cx="38" cy="26" r="3" />
    </g>
    <g v-else-if="kind === 'controller'"><path d="M5 6h34v28H5zM10 26h4V14h5v12h5V14h5v12h5" /></g>
    <g v-else-if="kind === 'motor'">
      <template v-for="(place, i) in motorPlaces(count)" :key="i">
        <circle :cx="place.x" :cy="place.y" :r="place.r" />
        <circle :cx="place.x" :cy="place.y" r="2" fill="currentColor" stroke="none" />
        <path
          :d="
            [0, 60, 120, 180, 240, 300]
              .map((a) => {
                const [c, s] = [Math.cos((a * Math.PI) / 180), Math.sin((a * Math.PI) / 180)];
                return `M${place.x + c * place.r * 0.42} ${place.y + s * place.r * 0.42}L${place.x + c * place.r * 0.66} ${place.y + s * place.r * 0.66}`;
              })
              .join('')
          "
        />
      </template>
    </g>
    <g v-else-if="kind === 'gears'">
      <path :d="toothed(11, 26, 6, 9)" />
      <path :d="toothed(28, 17, 12, 18)" />
      <circle cx="11" cy="26" r="1.5" />
      <circle cx="28" cy="17" r="2" />
    </g>
    <g v-else-if="kind === 'chain'">
      <circle cx="9" cy="25" r="5" />
      <circle cx="32" cy="18" r="10" />
      <path d="M8 20 29 8.5M11 29.6 34 27.8" stroke-dasharray="3.2 2.2" stroke-width="2" />
      <circle cx="32" cy="18" r="2" />
    </g>
    <g v-else-if="kind === 'box'"><path d="M9 8h22v24H9zM3 20h6M31 17h10v6H31zM14 8v24M26 8v24" /></g>
    <g v-else-if="kind === 'screw'"><path d="M3 16h38v8H3zM9 16l4 8M15 16l4 8M21 16l4 8M27 16l4 8M33 16l4 8" /></g>
    <g v-else-if="kind === 'drum'">
      <path d="M14 6v28M30 6v28M14 10h16M14 30h16M14 15h16M14 20h16M14 25h16M30 25h7v10" />
    </g>
    <g v-else-if="kind === 'wheels'">
      <circle cx="12" cy="26" r="9" />
      <circle cx="12" cy="26" r="2" />
      <circle cx="34" cy="26" r="9" />
      <circle cx="34" cy="26" r="2" />
      <path d="M5 12h34v6" />
    </g>
    <g v-else-if="kind === 'drive-base'">
      <path d="M6 12h28v12H6z" />
      <circle cx="12" cy="29" r="6" />
      <circle cx="28" cy="29" r="6" />
      <path d="M37 18h6M40 15l3 3-3 3" />
    </g>
    <g v-else><path d="M13 4v32M31 4v32M13 20h18v11H13zM22 17V5M18 9l4-4 4 4" /></g>
  </svg>
</template>
