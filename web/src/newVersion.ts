import { ref } from 'vue';

/** The server has another version of the program than this page: pieces that this page would fetch are gone. */
export const isOldPage = ref(false);

/** A piece of the program did not come: the server is away, or it has a newer version by now. */
export async function pieceMissing(): Promise<void> {
  try {
    const health = await fetch('/api/health', { cache: 'no-store' });
    // Whoever answers in the place of a server that is away, as a proxy does, is not the server.
    if (health.headers.get('Content-Type')?.includes('json')) isOldPage.value = true;
  } catch {
    // It is away; what did not come says so where it would stand.
  }
}
