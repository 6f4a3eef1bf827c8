import type { Page } from '@playwright/test';

/** Waits until a page has changed nothing for a while, ms: what was on its way has come. */
export const settled = (page: Page, quiet = 400): Promise<void> =>
  page.evaluate(
    (still) =>
      new Promise<void>((resolve) => {
        const done = () => {
          observer.disconnect();
          resolve();
        };
        let timer = setTimeout(done, still);
        const observer = new MutationObserver(() => {
          clearTimeout(timer);
          timer = setTimeout(done, still);
        });
        observer.observe(document, { subtree: true, childList: true, attributes: true, characterData: true });
      }),
    quiet,
  );
