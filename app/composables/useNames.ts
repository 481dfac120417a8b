import {
  type Exact,
  formOf,
  inClassWords,
  isToldIn,
  named,
  packOf,
  pieceName,
  REPRESENTATIONS,
  type RepresentationId,
  spokenList,
  type Units,
  wayById,
  type WayId,
} from '../../core/door'
import type { Strand } from '../../core/course/index'
import { spanish as fetched } from '../utils/languages'

/** What things are called at the Bench, in the class's words and language. */
export function useNames() {
  const { locale, t } = useI18n({ useScope: 'global' })
  const classroom = useClassroom()
  /** The language of the page besides English, or null. */
  const own = computed(() => (locale.value === 'es' ? fetched.value : null))
  const spanish = computed(() => own.value !== null)
  const pack = computed(() => packOf(own.value ? classroom.spoken : classroom.words))
  const ownTitle = (id: RepresentationId): string | undefined =>
    (own.value?.titles as Readonly<Partial<Record<RepresentationId, string>>> | undefined)?.[id]
  return {
    pack,
    spanish,
    told: (id: RepresentationId): boolean => !spanish.value || isToldIn('es', id),
    /** One piece of a place, or several: “ten”, “tens”. */
    pieces: (place: number, count: number): string => named(place, count, pack.value),
    /** Pieces of a worth, and several things in one breath. */
    kinds: (unit: Exact, units: Units): string => own.value?.piece(unit, 2) ?? pieceName(unit, 2, units),
    list: (all: readonly string[]): string => own.value?.list(all) ?? spokenList(all),
    /** A material's name, and as a sentence calls it. */
    title: (id: RepresentationId): string => ownTitle(id) ?? REPRESENTATIONS[id].title,
    called: (id: RepresentationId): string => ownTitle(id) ?? REPRESENTATIONS[id].called,
    /** A strand of steps, as a heading. */
    strand: (id: Strand): string => inClassWords(t(`strand.${id}`), pack.value),
    way: (id: WayId): string => own.value?.ways[id]?.[0] ?? inClassWords(wayById(id).title, pack.value),
    school: (id: WayId, inEnglishWords: string): string =>
      own.value?.ways[id]?.[1] ?? inClassWords(inEnglishWords, pack.value),
    /** Why something cannot be, in the language of the page; where it is not told in it, in English, and marked as that. */
    reason: (why: string): { readonly text: string; readonly lang: string | undefined } => {
      if (!own.value) return { text: inClassWords(why, pack.value), lang: undefined }
      const said = own.value.reason(why)
      return { text: said ?? why, lang: said === null && why !== '' ? 'en' : undefined }
    },
    /** What a hand does, and what it is done with, by a material's English words. */
    verb: (word: string): string => own.value?.verbs[word] ?? word,
    thing: (things: readonly [string, string], n: number): string =>
      own.value?.things[things[0]]?.[n === 1 ? 0 : 1] ?? formOf(n, things),
    /** The language of what is not told in the language of the page, for the reader of a screen. */
    foreign: (told: boolean): string | undefined => (spanish.value && !told ? 'en' : undefined),
  }
}
