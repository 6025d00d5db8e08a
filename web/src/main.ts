import './theme/base.css'
import { createPinia } from 'pinia'
import PrimeVue from 'primevue/config'
import { createApp } from 'vue'
import App from './App.vue'
import { router } from './router'
import { preset } from './theme/preset'
import { dialogs } from './ui/dialogs'

createApp(App)
  .use(createPinia())
  .use(router)
  .use(PrimeVue, { theme: { preset, options: { darkModeSelector: '[data-theme=dark]', cssLayer: false } }, pt: { dialog: dialogs } })
  .mount('#app')
