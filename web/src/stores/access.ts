import type { Access } from '@rough-gear/contract/api';
import { defineStore } from 'pinia';
import { computed, ref } from 'vue';
import { api } from '../api/client.js';

/** What may be done from this browser: everything at the machine itself; elsewhere what the passphrase allows. */
export const useAccess = defineStore('access', () => {
  const access = ref<Access>('open');
  const mayChange = computed(() => access.value === 'open' || access.value === 'change');
  /** A passphrase is asked for here. */
  const guarded = computed(() => access.value !== 'open');

  async function load(): Promise<void> {
    // While the server is away nothing is known, and nothing can be done that it would refuse.
    access.value = await api.access().then(
      ({ access: now }) => now,
      () => access.value,
    );
  }

  async function signIn(passphrase: string): Promise<void> {
    access.value = (await api.signIn(passphrase)).access;
  }

  async function signOut(everywhere: boolean): Promise<void> {
    access.value = (await api.signOut(everywhere)).access;
  }

  return { access, mayChange, guarded, load, signIn, signOut };
});
