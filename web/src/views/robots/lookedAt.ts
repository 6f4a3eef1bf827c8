import type { PlanSummary } from '@rough-gear/contract/api';

/** Whether more is about to be known of a robot in the list: its mechanisms, or the whole of it. */
export const isLookedAt = ({ judged, robot, mechanisms, unjudged, unreadable, deletedAt }: PlanSummary): boolean =>
  !judged ||
  (mechanisms.length > 0 &&
    robot === undefined &&
    [unjudged, unreadable, deletedAt].every((reason) => reason === undefined));
