/**
 * Lengths on a drawing that shows a hand's breadth and a house alike: a share of the room, 0…1, that is half
 * at `middle`. Turned over for dragging.
 */
export const shareOf = (length: number, middle: number): number => length / (length + middle);

export function lengthAt(share: number, middle: number): number {
  const within = Math.min(0.97, Math.max(0.03, share));
  return (middle * within) / (1 - within);
}
