import type { AnyPath } from '../../powerpath/anyPath.js';
import { dcLinks } from './dcLinks.js';
import type { Judged, Link } from './link.js';
import { servoLinks } from './servoLinks.js';
import { stepLinks } from './stepLinks.js';

/** The links of a path as the strip draws them, pack first, load last. */
export function linksOf(path: AnyPath, by: Judged): readonly Link[] {
  switch (path.machine) {
    case 'dc':
      return dcLinks(path, by);
    case 'step':
      return stepLinks(path, by);
    case 'servo':
      return servoLinks(path, by);
  }
}
