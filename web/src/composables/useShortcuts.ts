import { useEventListener } from '@vueuse/core';
import { useRoute, useRouter } from 'vue-router';
import { usePlan } from '../stores/plan.js';
import { usePreferences } from '../stores/preferences.js';

/** What the `?` sheet lists. */
export const SHORTCUTS: readonly { keys: readonly string[]; does: string }[] = [
  { keys: ['Ctrl', 'K'], does: 'find anything; so does /' },
  { keys: ['Ctrl', 'Z'], does: 'undo' },
  { keys: ['Ctrl', 'Shift', 'Z'], does: 'redo' },
  { keys: ['J', 'K'], does: 'next and previous mechanism' },
  { keys: ['1 … 9'], does: 'open a link of the power path' },
  { keys: ['←', '→'], does: 'on the ruler: one step of the ratio; on the tabs: next situation' },
  { keys: ['Page Up', 'Page Down'], does: 'on the ruler: a big step' },
  { keys: ['↑', '↓'], does: 'in a field: step its second digit, with Shift its first' },
  { keys: ['Enter', 'Esc'], does: 'in a field: keep, or give up, what was typed' },
  { keys: ['?'], does: 'this sheet' },
];

/** Keys that work everywhere. Single ones only outside fields, and only while they are switched on. */
export function useShortcuts({ help, find }: Readonly<Record<'help' | 'find', () => void>>): void {
  const plan = usePlan();
  const preferences = usePreferences();
  const router = useRouter();
  const route = useRoute();

  function stepMechanism(by: number): void {
    const all = plan.document?.mechanisms ?? [];
    const index = all.findIndex(({ id }) => id === route.params['mechanismId']);
    const next = all[index + by];
    if (next) void router.push({ name: 'mechanism', params: { planId: plan.id, mechanismId: next.id } });
  }

  function openLink(index: number): void {
    const links = document.querySelectorAll<HTMLButtonElement>('nav[aria-label="Power path"] li > button');
    links[index]?.click();
    links[index]?.focus();
  }

  useEventListener(document, 'keydown', (event) => {
    const target = event.target as HTMLElement;
    const inField = target.matches('input:not([type="checkbox"]):not([type="radio"]), select, textarea');
    const command = event.ctrlKey || event.metaKey;
    if (command && event.key.toLowerCase() === 'z' && route.name === 'mechanism') {
      event.preventDefault();
      if (inField) target.blur();
      if (event.shiftKey) plan.redo();
      else plan.undo();
      return;
    }
    if (command && event.key.toLowerCase() === 'y' && route.name === 'mechanism') {
      event.preventDefault();
      plan.redo();
      return;
    }
    if (command && event.key.toLowerCase() === 'k') {
      event.preventDefault();
      if (!document.querySelector('[role="dialog"]')) find();
      return;
    }
    if (inField || command || event.altKey || !preferences.singleKeys || document.querySelector('[role="dialog"]'))
      return;
    if (event.key === '?') help();
    else if (event.key === '/') {
      event.preventDefault();
      find();
    } else if (event.key === 'j') stepMechanism(1);
    else if (event.key === 'k') stepMechanism(-1);
    else if (/^[1-9]$/.test(event.key)) openLink(Number(event.key) - 1);
  });
}
