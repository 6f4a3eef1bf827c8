/** A page that shows nothing new for so long, ms, is taken as idle. */
const IDLE_AT_LAST = 1500;

/** Once the page has shown itself: what is large and not needed for its first answer is fetched after it. */
export const whenIdle = (): Promise<void> =>
  new Promise((resolve) => {
    // Not every browser tells when it is idle.
    if ('requestIdleCallback' in window) requestIdleCallback(() => resolve(), { timeout: IDLE_AT_LAST });
    else setTimeout(resolve, IDLE_AT_LAST);
  });
