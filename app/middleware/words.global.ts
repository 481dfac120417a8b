type Words = Promise<{ readonly default: Readonly<Record<string, string>> }>
const ofToday = (): Words => import('../locales/en/today.json')
/** The words of each place whose words are in files of its own. A lesson is told in one line in Today and in Plan. */
const WORDS: Readonly<Record<string, readonly (() => Words)[]>> = {
  start: [() => import('../locales/en/start.json')],
  today: [ofToday],
  plan: [() => import('../locales/en/plan.json'), ofToday],
  settings: [() => import('../locales/en/settings.json')],
}
const here = new Set<string>()

/** A place opens with its words. */
export default defineNuxtRouteMiddleware(async ({ path }) => {
  const place = path === '/' ? 'start' : placeOf(path)?.id
  if (!place || !WORDS[place] || here.has(place)) return
  const { $addWords } = useNuxtApp()
  for (const { default: words } of await Promise.all(WORDS[place].map((fetchWords) => fetchWords()))) $addWords(words)
  here.add(place)
})
