import type { LanguageId } from '../../core/door'
import { fetchSpanish } from '../utils/languages'

/** The Bench speaks the language of the class's words; every other place is in English. */
export function useBenchLanguage() {
  const { locale, availableLocales, setLocaleMessage } = useI18n({ useScope: 'global' })
  const classroom = useClassroom()
  const route = useRoute()
  const wanted = computed<LanguageId>(() => (route.path === '/bench' ? (classroom.spoken.language ?? 'en') : 'en'))
  watch(
    wanted,
    async (language) => {
      try {
        if (language === 'es') {
          const [bench, frame] = await Promise.all([
            import('../locales/es/bench.json'),
            import('../locales/es/frame.json'),
            fetchSpanish(),
          ])
          if (!availableLocales.includes('es')) setLocaleMessage('es', { ...frame.default, ...bench.default })
        }
      } catch {
        // Without its words a Bench stays in English; they are asked for again when it is opened the next time.
        return
      }
      // Somebody may have gone on while the words were fetched.
      if (language === wanted.value) locale.value = language
    },
    { immediate: true },
  )
  useHead({ htmlAttrs: { lang: () => (locale.value === 'es' ? 'es' : 'en-GB') } })
}
