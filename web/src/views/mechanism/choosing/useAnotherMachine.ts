import type { AnotherMachine, WishMachine } from '@rough-gear/core';
import { proxy } from 'comlink';
import { onUnmounted, ref, shallowRef, toRaw } from 'vue';
import { api } from '../../../api/client.js';
import { useMechanism } from '../../../composables/useMechanism.js';
import { searchWorker } from '../../../workers/core.js';
import { shelfFor } from '../adding/machines.js';

/** Another kind of machine looked for in a worker: what is asked, how far it is, what is proposed, and a stop. */
export function useAnotherMachine() {
  const { plan, mechanism } = useMechanism();
  const proposed = shallowRef<AnotherMachine>();
  const asking = ref<WishMachine>();
  const share = ref(0);
  const failure = ref('');
  let current = 0;

  async function propose(machine: WishMachine): Promise<void> {
    const mine = ++current;
    asking.value = machine;
    proposed.value = undefined;
    failure.value = '';
    share.value = 0;
    try {
      const shelf = await shelfFor(machine, (kind) => api.shelf(kind));
      const told = proxy((gone: number) => {
        if (mine === current) share.value = gone;
      });
      const found = await searchWorker(0).anotherMachine(
        toRaw(plan.value),
        mechanism.value.id,
        machine,
        shelf.map(toRaw),
        told,
      );
      if (mine === current) proposed.value = found;
    } catch (problem) {
      if (mine === current) failure.value = (problem as Error).message;
    }
  }

  function stop(): void {
    current++;
    if (asking.value && !proposed.value) void searchWorker(0).stop('anotherMachine');
    asking.value = undefined;
    proposed.value = undefined;
    failure.value = '';
  }
  onUnmounted(stop);

  return { proposed, asking, share, failure, propose, stop };
}
