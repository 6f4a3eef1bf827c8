import { createPinia } from 'pinia';
import { createApp } from 'vue';
import { whenSignedOut } from './api/client.js';
import App from './App.vue';
import { beginKeeping } from './keeping/keeping.js';
import { registerOfflineShell } from './offline.js';
import { router } from './router.js';
import './styles/main.css';

void beginKeeping();
createApp(App).use(createPinia()).use(router).mount('#app');
whenSignedOut(() => {
  const { name, fullPath } = router.currentRoute.value;
  if (name !== 'sign-in') void router.push({ name: 'sign-in', query: { back: fullPath } });
});
registerOfflineShell();
