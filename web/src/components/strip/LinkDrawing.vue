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
  | 'drive-base'
  | 'arm'
  | 'climb'
  | 'shooter'
  | 'roller'
  | 'turntable'
  | 'carriage'
  | 'grip'
  | 'leg'
  | 'stepper'
  | 'servo'
  | 'rail'
  | 'linkage';

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
    <g v-else-if="kind === 'arm'">
      <path d="M8 34h14M15 34V28" />
      <circle cx="15" cy="25" r="3.5" />
      <path d="M17.5 22 34 8M34 8l-5 1M34 8l-1 5" />
      <path d="M31 27a18 18 0 0 0-4-9" stroke-dasharray="2 2.5" />
    </g>
    <g v-else-if="kind === 'climb'">
      <path d="M6 5h32M22 5v9M17 14h10v6H17zM14 20h16v14H14zM36 34V22M33 25l3-3 3 3" />
    </g>
    <g v-else-if="kind === 'shooter'">
      <circle cx="15" cy="25" r="9" />
      <circle cx="15" cy="25" r="2" />
      <path d="M2 25A13 13 0 0 1 15 9h8" />
      <circle cx="28" cy="13" r="4" />
      <path d="M34 13h8M39 10l3 3-3 3" />
    </g>
    <g v-else-if="kind === 'roller'">
      <circle cx="12" cy="14" r="7" />
      <circle cx="32" cy="14" r="7" />
      <path d="M4 24h14v10H4zM22 29h17M36 26l3 3-3 3" />
    </g>
    <g v-else-if="kind === 'turntable'">
      <ellipse cx="22" cy="22" rx="17" ry="8" />
      <path d="M5 22v5c0 4 8 8 17 8s17-4 17-8v-5M22 22l11-4M31 8a12 8 0 0 0-18 0M13 4v5h5" />
    </g>
    <g v-else-if="kind === 'carriage'">
      <path d="M3 24h38M3 30h38M9 24l3 6M27 24l3 6M33 24l3 6M14 16h12v18H14zM30 12h9M36 9l3 3-3 3" />
    </g>
    <g v-else-if="kind === 'leg'">
      <path d="M6 8h14v8H6zM20 12l10 8M30 20l-6 14M20 34h10" />
      <circle cx="20" cy="12" r="2.5" />
      <circle cx="30" cy="20" r="2.5" />
    </g>
    <g v-else-if="kind === 'stepper'">
      <path d="M8 6h28v28H8z" />
      <circle cx="22" cy="20" r="9" />
      <path d="M22 11v4M31 20h-4M22 29v-4M13 20h4M22 20l4.5-4.5" />
    </g>
    <g v-else-if="kind === 'servo'">
      <path d="M6 14h26v18H6zM2 18h4M32 18h4M2 18v4h4M36 18v4h-4" />
      <circle cx="14" cy="14" r="5" />
      <path d="M14 14 34 6M33 3l3 2-2 3" />
    </g>
    <g v-else-if="kind === 'rail'">
      <path
        d="M4 12h36M4 28h36M11 12v6M22 12v6M33 12v6M11 28v-6M22 28v-6M33 28v-6M8 18h6v4H8zM19 18h6v4h-6zM30 18h6v4h-6z"
      />
    </g>
    <g v-else-if="kind === 'linkage'">
      <path d="M10 32 18 10 36 16 32 32M6 35h8M28 35h8" />
      <circle cx="10" cy="32" r="2.5" />
      <circle cx="18" cy="10" r="2.5" />
      <circle cx="36" cy="16" r="2.5" />
      <circle cx="32" cy="32" r="2.5" />
    </g>
    <g v-else-if="kind === 'grip'">
      <path d="M3 14h8v12H3zM11 16l10-8 16 4M11 24l10 8 16-4" />
      <circle cx="31" cy="20" r="5" />
    </g>
    <g v-else><path d="M13 4v32M31 4v32M13 20h18v11H13zM22 17V5M18 9l4-4 4 4" /></g>
  </svg>
</template>
