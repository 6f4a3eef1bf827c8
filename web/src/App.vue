<script setup lang="ts">
import { Toaster } from 'vue-sonner';
import 'vue-sonner/style.css';
import { onMounted, ref } from 'vue';
import { useRouter } from 'vue-router';
import AppHeader from './AppHeader.vue';
import { lazily } from './components/widgets/lazily.js';
import { useEver } from './composables/useEver.js';
import HelpSheet from './HelpSheet.vue';
import { keepsNothing } from './keeping/keeping.js';
import { isOldPage, pieceMissing } from './newVersion.js';
import { useShortcuts } from './composables/useShortcuts.js';
import { useAccess } from './stores/access.js';
import { usePreferences } from './stores/preferences.js';

const preferences = usePreferences();
const sheet = ref(false);
const FinderSheet = lazily(() => import('./finder/FinderSheet.vue'));
const finding = ref(false);
const everFinding = useEver(() => finding.value);
const access = useAccess();
onMounted(() => void access.load());
// A link whose page is gone would do nothing.
useRouter().onError(() => void pieceMissing());
const reload = (): void => location.reload();
useShortcuts({ help: () => (sheet.value = !sheet.value), find: () => (finding.value = true) });
</script>

<template>
  <div class="flex min-h-screen flex-col lg:h-screen">
    <a href="#main" class="sr-only focus:not-sr-only focus:absolute focus:z-50 focus:bg-sheet focus:p-2"
      >To the content</a
    >
    <AppHeader @help="sheet = true" @find="finding = true" />
    <p v-if="isOldPage" role="alert" class="not-printed border-b border-ink bg-sheet px-4 py-2">
      <b>There is a new version of the program.</b> Reload the page to go on with it: what is not saved yet is kept in
      this browser.
      <button type="button" class="act ml-3 min-h-6" @click="reload">Reload</button>
    </p>
    <p v-if="keepsNothing && access.mayChange" role="alert" class="not-printed px-4 py-1 text-sm text-gives">
      {{ keepsNothing }} What you write is on this page alone until it says that it is saved: leave it open.
    </p>
    <main id="main" class="flex min-h-0 grow flex-col lg:overflow-y-auto"><RouterView /></main>
    <FinderSheet v-if="everFinding" :open="finding" @close="finding = false" @help="sheet = true" />
    <HelpSheet :open="sheet" @close="sheet = false" />
    <Toaster :theme="preferences.theme" position="bottom-left" />
  </div>
</template>
