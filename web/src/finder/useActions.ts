import { usePlan } from '../stores/plan.js';
import { usePreferences } from '../stores/preferences.js';

/** What the finder can do by itself, by the name behind the `#`. */
export function useActions(help: () => void): Readonly<Record<string, () => void>> {
  const plan = usePlan();
  const preferences = usePreferences();
  return {
    help,
    undo: () => plan.undo(),
    redo: () => plan.redo(),
    print: () => print(),
    units: () => (preferences.units = preferences.units === 'metric' ? 'inch' : 'metric'),
    theme: () => (preferences.theme = preferences.theme === 'dark' ? 'light' : 'dark'),
    everything: () => (preferences.everything = !preferences.everything),
    // The menu under the robot's name has them; it is opened as a person opens it.
    robot: () => document.querySelector<HTMLElement>('[data-robot-menu] button')?.click(),
  };
}
