import { isDesk, type DeskId } from '@rough-gear/contract/find';
import { computed } from 'vue';
import { useRoute, useRouter, type LocationQueryRaw, type RouteLocationRaw } from 'vue-router';

/** Which desk of the open mechanism is open, and which page of it; the address follows, so that it can be shared. */
export function useDesk() {
  const route = useRoute();
  const router = useRouter();
  const desk = computed<DeskId>(() => (isDesk(route.query['desk']) ? route.query['desk'] : 'figures'));
  const page = computed(() => String(route.query['page'] ?? ''));

  /** Where a desk is, with the open job and situation; `more` is what it is set up with. */
  function deskAt(to: DeskId, page?: string, more: LocationQueryRaw = {}): RouteLocationRaw {
    const { job, at } = route.query;
    const query = { job, at, desk: to === 'figures' ? undefined : to, page, ...more };
    return { name: 'mechanism', params: route.params, query };
  }

  /** Goes to a desk: the way back leads to the one before. */
  const open = (to: DeskId, page?: string, more?: LocationQueryRaw): void => void router.push(deskAt(to, page, more));

  /** Shows the figures of a link, whichever desk is open; from link to link it makes no history. */
  function openLink(link: string): void {
    const { job, at } = route.query;
    const to = { name: 'mechanism', params: { ...route.params, link }, query: { job, at } };
    void (desk.value === 'figures' ? router.replace(to) : router.push(to));
  }

  return { desk, page, deskAt, open, openLink };
}
