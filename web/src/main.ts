import '@fontsource-variable/atkinson-hyperlegible-next/wght.css';
import '@fontsource-variable/atkinson-hyperlegible-next/wght-italic.css';
import '@fontsource-variable/bitter/wght.css';
import './base/style/tokens.css';
import './base/style/base.css';
import { createPinia } from 'pinia';
import PrimeVue from 'primevue/config';
import { registerSW } from 'virtual:pwa-register';
import { createApp } from 'vue';
import App from './App.vue';
import { router } from './router.ts';
import { listWords } from './base/style/list-words.ts';
import { useMode } from './base/style/mode.ts';
import { fieldNotebook } from './base/style/preset.ts';

// The shell is on the device after the first visit, so that a walk opens without a network.
registerSW({ immediate: true });

const pinia = createPinia();
// The mode is on the page before anything is painted.
useMode(pinia);

createApp(App)
  .use(pinia)
  .use(PrimeVue, {
    theme: { preset: fieldNotebook, options: { darkModeSelector: false } },
    locale: listWords,
  })
  .use(router)
  .mount('#app');
