/** Keeps the application itself in the browser, so that a reload works while the server is away. */
export function registerOfflineShell(): void {
  if (!import.meta.env.PROD || !('serviceWorker' in navigator)) return;
  navigator.serviceWorker
    .register('/shell.js')
    .then(() => navigator.serviceWorker.ready)
    .then(({ active }) => {
      const loaded = performance.getEntriesByType('resource').map(({ name }) => name);
      active?.postMessage({ keep: ['/', ...loaded.filter((url) => url.includes('/assets/'))] });
    })
    // Without it everything works but a reload while the server is away.
    .catch(() => undefined);
}
