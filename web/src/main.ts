import { createPinia } from 'pinia';
import { createApp } from 'vue';
import App from './App.vue';
import { registerOfflineShell } from './offline.js';
import { router } from './router.js';
import './styles/main.css';

createApp(App).use(createPinia()).use(router).mount('#app');
registerOfflineShell();
