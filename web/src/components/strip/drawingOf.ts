import { currentChoice, type AnyPath, type Link, type Mechanism } from '@rough-gear/core';
import {
  LINK_DRAWINGS,
  LOAD_DRAWINGS,
  MACHINE_DRAWINGS,
  OUTPUT_DRAWINGS,
  STAGE_DRAWINGS,
  type Drawing,
} from './drawings.js';

/** What a link of a mechanism's path is drawn as. */
export function drawingOf(link: Link, mechanism: Mechanism, path: AnyPath): Drawing {
  const { stages, output } = currentChoice(mechanism);
  if (link.kind === 'stage') return STAGE_DRAWINGS[stages.find(({ id }) => id === link.id)?.kind ?? 'ratio'];
  if (link.kind === 'output') return OUTPUT_DRAWINGS[output.kind];
  if (link.kind === 'load') return LOAD_DRAWINGS[mechanism.kind];
  if (link.kind === 'motor') return MACHINE_DRAWINGS[path.machine](path.motors);
  return LINK_DRAWINGS[link.kind];
}
