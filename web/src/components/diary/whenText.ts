import { format, isToday } from 'date-fns';

/** "09:42" of today, "27 Nov 09:42" of another day, with its year where that is not this one. */
export function whenText(iso: string, now = new Date()): string {
  const at = new Date(iso);
  if (isToday(at)) return format(at, 'HH:mm');
  return format(at, at.getFullYear() === now.getFullYear() ? 'd MMM HH:mm' : 'd MMM yyyy HH:mm');
}
