import { useAsked } from './useAsked.js';

/** A panel may have to be fetched before its fields are there: so many pictures are waited for. */
const PATIENCE = 150;

/** Puts the cursor into the field of the figure that the address asks for. */
export function useAskedFigure(): void {
  useAsked('figure', async (key) => {
    for (let left = PATIENCE; left > 0; left--) {
      await new Promise(requestAnimationFrame);
      const field = document.querySelector<HTMLElement>(`[data-figure="${CSS.escape(key)}"] :is(input, select)`);
      if (!field) continue;
      field.scrollIntoView({ block: 'center' });
      field.focus();
      break;
    }
    return true;
  });
}
