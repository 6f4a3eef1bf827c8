import { v4 } from 'uuid';

/** Another one each time the page is loaded: no other device has it. */
const OF_THIS_PAGE = v4().slice(0, 8);
let made = 0;

/** Names for rows that are written now: short, since a log has hundreds of thousands. */
export const newRowIds = (count: number): readonly string[] =>
  Array.from({ length: Math.max(0, count) }, () => `${OF_THIS_PAGE}.${(made++).toString(36)}`);
