import type { RoomId } from '@rough-gear/contract/find';
import type { RouteLocationNormalizedLoaded } from 'vue-router';

const SHEETS: Readonly<Record<string, RoomId>> = { order: 'order', wiring: 'wiring', cards: 'setup' };

/** The room an address is in; the whole book is in none, it is of all of them. */
export function roomOf({ name, params }: Pick<RouteLocationNormalizedLoaded, 'name' | 'params'>): RoomId | undefined {
  switch (name) {
    case 'mechanism':
      return params['mechanismId'] ? 'mechanisms' : 'match';
    case 'robot-bench':
    case 'bench':
    case 'trial-paper':
      return 'bench';
    case 'robot-paper':
      return SHEETS[String(params['sheet'])];
    case 'pit':
      return 'pit';
    default:
      return undefined;
  }
}
