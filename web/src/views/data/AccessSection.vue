<script setup lang="ts">
import { useRouter } from 'vue-router';
import { toast } from 'vue-sonner';
import { useAccess } from '../../stores/access.js';

/** Who is signed in, and the ways out. */
const access = useAccess();
const router = useRouter();

async function signOut(everywhere: boolean): Promise<void> {
  try {
    await access.signOut(everywhere);
    await router.push({ name: 'sign-in' });
  } catch (problem) {
    toast.error((problem as Error).message);
  }
}
</script>

<template>
  <section aria-labelledby="access">
    <h2 id="access" class="mb-2 text-lg">Who may come in</h2>
    <p class="mb-2 text-sm text-second">
      Others can reach this server. You are signed in to {{ access.mayChange ? 'change' : 'look only' }}. Passphrases
      are set on the machine itself: <code class="figures text-ink">npm run passphrase</code>.
    </p>
    <div class="flex flex-wrap gap-3">
      <button type="button" class="button" @click="signOut(false)">Sign out here</button>
      <button v-if="access.mayChange" type="button" class="button" @click="signOut(true)">Sign everybody out</button>
    </div>
  </section>
</template>
