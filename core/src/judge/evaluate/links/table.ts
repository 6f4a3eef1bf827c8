import type { AnyPath } from '../../../path/powerpath/anyPath.js';
import { dcLinks } from './dcLinks.js';
import { judgedKinds, judgedStage } from './judged.js';
import type { Judged, Link } from './link.js';
import { servoLinks } from './servoLinks.js';
import { stepLinks } from './stepLinks.js';

/** The links of a path as the strip draws them, pack first, load last, each with what is said of it. */
export function linksOf(path: AnyPath, by: Judged): readonly Link[] {
  const spoken = judgedKinds(by);
  return plainLinks(path, by).map((link) => {
    const parts = link.kind === 'stage' ? path.stageParts.find(({ id }) => id === link.id) : undefined;
    const { verdict, used } = parts ? judgedStage(path, parts, by) : spoken(link.kind);
    const { id, kind, title, detail, key, passes } = link;
    return { id, kind, title, detail, key, passes, verdict, used };
  });
}

function plainLinks(path: AnyPath, by: Judged): readonly Link[] {
  switch (path.machine) {
    case 'dc':
      return dcLinks(path, by);
    case 'step':
      return stepLinks(path, by);
    case 'servo':
      return servoLinks(path, by);
  }
}
