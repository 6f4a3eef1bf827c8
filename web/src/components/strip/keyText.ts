import type { Dimension, Link, Measured } from '@rough-gear/core';

/** The key number of a link in words: what is there, and of how much. */
export function keyText(
  { key }: Pick<Link, 'key'>,
  show: (si: number, dimension: Dimension, significant?: number) => string,
): string | undefined {
  if (!key) return undefined;
  const { there, join, other, word } = key;
  const text = (measured: Measured) => show(measured.value, measured.dimension);
  // "34.6 of 52 A": the unit once.
  if (join === 'of' && other?.dimension === there.dimension) {
    const [whole, part] = [text(other), text(there)];
    return `${part.replace(/ .*/, '')} of ${whole}`;
  }
  // Under one, two digits: there is room for no more beside the volts.
  const beside = other && show(other.value, other.dimension, Math.abs(other.value) < 1 ? 2 : 3);
  return [text(there), join && beside ? `${join} ${beside}` : '', word ?? ''].filter(Boolean).join(' ');
}
