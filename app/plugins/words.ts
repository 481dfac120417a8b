import { createI18n } from 'petite-vue-i18n'
import bench from '../locales/en/bench.json'
import frame from '../locales/en/frame.json'

/**
 * The words of the frame and of the Bench in English. Those of another place come with the place (middleware/words.global.ts), those of
 * another language when a class speaks it (useBenchLanguage).
 */
export default defineNuxtPlugin(({ vueApp }) => {
  const messages = { en: { ...frame, ...bench } }
  const i18n = createI18n({ legacy: false, locale: 'en', fallbackLocale: 'en', messages })
  vueApp.use(i18n)
  const addWords = (words: Readonly<Record<string, string>>): void => i18n.global.mergeLocaleMessage('en', words)
  return { provide: { addWords } }
})
