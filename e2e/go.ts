import type { Page } from '@playwright/test';

/** Goes on without loading the program again, as a click on a link does: by the program's own router. */
export const go = (page: Page, path: string): Promise<void> =>
  page.evaluate(async (to) => {
    const { __vue_app__: app } = document.querySelector('#app') as Element & {
      __vue_app__: { config: { globalProperties: { $router: { push(path: string): Promise<unknown> } } } };
    };
    await app.config.globalProperties.$router.push(to);
  }, path);
