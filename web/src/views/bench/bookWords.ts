import { format, isToday } from 'date-fns';

/** "today", "27 Nov", "27 Nov 2025". */
export function dayText(iso: string, now = new Date()): string {
  const day = new Date(iso);
  if (isToday(day)) return 'today';
  return format(day, day.getFullYear() === now.getFullYear() ? 'd MMM' : 'd MMM yyyy');
}
