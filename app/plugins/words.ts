import { createI18n } from 'petite-vue-i18n'
import en from '../locales/en.json'

/** The words of the Bench in English; those of another language are fetched when a class speaks it (useBenchLanguage). */
export default defineNuxtPlugin(({ vueApp }) => {
  const i18n = createI18n({ legacy: false, locale: 'en', fallbackLocale: 'en', messages: { en } })
  vueApp.use(i18n)
})
