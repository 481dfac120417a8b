import PrimeVue from 'primevue/config'
import ToastService from 'primevue/toastservice'
import Tooltip from 'primevue/tooltip'
import { settPreset } from '../assets/preset'

/** PrimeVue in Sett's own look. Its controls are known in templates by their own names (nuxt.config.ts). */
export default defineNuxtPlugin(({ vueApp }) => {
  vueApp.use(PrimeVue, {
    theme: { preset: settPreset, options: { darkModeSelector: '[data-theme="dark"]', cssLayer: false } },
  })
  vueApp.use(ToastService)
  vueApp.directive('tooltip', Tooltip)
})
