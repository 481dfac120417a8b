import ToastService from 'primevue/toastservice'
import { controlsIn } from '../controls'

export default defineNuxtPlugin(({ vueApp }) => {
  controlsIn(vueApp)
  vueApp.use(ToastService)
})
