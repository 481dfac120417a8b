import { createPinia, setActivePinia } from 'pinia'
import * as vue from 'vue'
import en from '../../app/locales/en/bench.json'

/** What Nuxt puts within reach of stores and composables, for tests of them in Node: Vue's own, a browser's storage, the words of the Bench. */

/** The browser's storage: text by key, as it would lie there after a lid is closed. */
export const stored = new Map<string, string>()

interface Options<T> {
  readonly serializer?: { read(text: string): T; write(value: T): string }
}

/** As VueUse's: read once, written at every change. */
function useLocalStorage<T>(key: string, begin: T, { serializer }: Options<T> = {}): vue.Ref<T> {
  const read = serializer?.read ?? ((text: string) => JSON.parse(text) as T)
  const write = serializer?.write ?? ((value: T) => JSON.stringify(value))
  const text = stored.get(key)
  const value = vue.ref(text === undefined ? begin : read(text)) as vue.Ref<T>
  vue.watch(value, (now) => stored.set(key, write(now)), { deep: true, flush: 'sync' })
  return value
}

/** The Bench's words in English, with what is filled in. */
const t = (key: keyof typeof en, filled: Readonly<Record<string, unknown>> = {}): string =>
  en[key].replace(/\{(\w+)\}/g, (_, gap: string) => String(filled[gap]))

Object.assign(globalThis, {
  useI18n: () => ({ t }),
  ref: vue.ref,
  shallowRef: vue.shallowRef,
  computed: vue.computed,
  watch: vue.watch,
  nextTick: vue.nextTick,
  toRaw: vue.toRaw,
  useLocalStorage,
})

/** A window opened anew: the storage stays, everything else begins again. */
export function openWindow(): void {
  setActivePinia(createPinia())
}

/** The next answers of the server, in order; each request is noted. */
export function serverSays(...answers: unknown[]): readonly { readonly url: string; readonly body: unknown }[] {
  const asked: { url: string; body: unknown }[] = []
  globalThis.fetch = ((url: string, options: { body?: string } = {}) => {
    asked.push({ url, body: options.body === undefined ? undefined : JSON.parse(options.body) })
    const answer = answers.shift()
    if (answer instanceof Error) return Promise.reject(answer)
    return Promise.resolve(answer instanceof Response ? answer : new Response(JSON.stringify(answer ?? {})))
  }) as typeof fetch
  return asked
}
