<script setup lang="ts">
import { onMounted, ref } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import { useAccess } from '../../stores/access.js';

/** Lets in whoever knows a passphrase of this server; then back to where they wanted to be. */
const access = useAccess();
const route = useRoute();
const router = useRouter();
const passphrase = ref('');
const failure = ref('');
const busy = ref(false);
const field = ref<HTMLInputElement>();

onMounted(() => {
  document.title = 'Sign in · Rough Gear';
  field.value?.focus();
});

/** Only a place of this very application. */
function back(): string {
  const asked = String(route.query['back'] ?? '');
  return asked.startsWith('/') && !asked.startsWith('//') ? asked : '/robots';
}

async function signIn(): Promise<void> {
  busy.value = true;
  failure.value = '';
  try {
    await access.signIn(passphrase.value);
    await router.replace(back());
  } catch (problem) {
    failure.value = (problem as Error).message;
    passphrase.value = '';
    field.value?.focus();
  } finally {
    busy.value = false;
  }
}
</script>

<template>
  <div class="grid grow place-items-center p-4">
    <form class="squared w-full max-w-sm border border-ink p-6" @submit.prevent="signIn">
      <h1 class="mb-1 text-xl">Sign in</h1>
      <p class="mb-4 text-second">
        Others can reach this server. One passphrase lets you change, another lets you look; whoever runs it knows both.
        What you have not saved is kept in this browser.
      </p>
      <label for="passphrase" class="text-second">passphrase</label>
      <input
        id="passphrase"
        ref="field"
        v-model="passphrase"
        type="password"
        autocomplete="current-password"
        maxlength="200"
        class="mb-1 w-full border-b bg-transparent py-1"
        :class="failure ? 'border-gives' : 'border-ink'"
        :aria-invalid="failure !== ''"
        aria-describedby="passphrase-said"
      />
      <p id="passphrase-said" role="alert" class="mb-3 min-h-5 text-sm text-gives">{{ failure }}</p>
      <div class="flex justify-end">
        <button type="submit" class="button main disabled:opacity-50" :disabled="busy || passphrase === ''">
          Sign in
        </button>
      </div>
    </form>
  </div>
</template>
