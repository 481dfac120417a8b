import PrimeVue from 'primevue/config'
import ToastService from 'primevue/toastservice'
import Tooltip from 'primevue/tooltip'
import { settPreset } from '../assets/preset'

/** What PrimeVue puts at both ends of an open list to keep the focus in it is no stop for the Tab key: the box itself has the focus. */
const noStop = { tabindex: -1 }
const lists = { hiddenFirstFocusableEl: noStop, hiddenLastFocusableEl: noStop }

/** PrimeVue in Sett's own look. Its controls are known in templates by their own names (nuxt.config.ts). */
export default defineNuxtPlugin(({ vueApp }) => {
  vueApp.use(PrimeVue, {
    theme: { preset: settPreset, options: { darkModeSelector: '[data-theme="dark"]', cssLayer: false } },
    pt: {
      select: lists,
      listbox: lists,
      // Steps of a form are buttons: tabs would want their panels beside them, and nothing else in their list.
      stepper: { root: { role: 'group' } },
      step: { header: { role: 'button', 'aria-controls': undefined } },
      steppanel: { root: { role: 'group' } },
    },
  })
  // Weeks begin on Monday, as in Today and among the lessons.
  vueApp.config.globalProperties.$primevue.config.locale!.firstDayOfWeek = 1
  vueApp.use(ToastService)
  vueApp.directive('tooltip', Tooltip)
})
