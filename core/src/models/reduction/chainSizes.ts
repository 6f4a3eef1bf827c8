/** Roller chain by ASME B29.1. */
export interface ChainSize {
  readonly name: string;
  readonly pitch: number;
  /** Least breaking strength, N. */
  readonly strength: number;
  readonly massPerLength: number;
  /** Thickness of a sprocket's plate. */
  readonly plate: number;
  readonly roller: number;
}

export const CHAIN_SIZES: readonly ChainSize[] = [
  { name: 'No. 25', pitch: 0.00635, strength: 3470, massPerLength: 0.14, plate: 0.0028, roller: 0.0033 },
  { name: 'No. 35', pitch: 0.009525, strength: 7830, massPerLength: 0.33, plate: 0.0043, roller: 0.00508 },
  { name: 'No. 40', pitch: 0.0127, strength: 13900, massPerLength: 0.62, plate: 0.0073, roller: 0.00792 },
];

/** The size of a pitch; `undefined` for a pitch that is none of them. */
export const chainSizeOf = (pitch: number): ChainSize | undefined =>
  CHAIN_SIZES.find((size) => Math.abs(size.pitch - pitch) < 1e-5);
