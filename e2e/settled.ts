import type { Page } from '@playwright/test';

/** Waits until a page has changed nothing for a while, ms: what was on its way has come. */
export const settled = (page: Page, quiet = 400): Promise<void> =>
  page.evaluate(
    (still) =>
      new Promise<void>((resolve) => {
        let timer = setTimeout(resolve, still);
        new MutationObserver((_changes, observer) => {
          clearTimeout(timer);
          timer = setTimeout(() => (observer.disconnect(), resolve()), still);
        }).observe(document, { subtree: true, childList: true, attributes: true, characterData: true });
      }),
    quiet,
  );
