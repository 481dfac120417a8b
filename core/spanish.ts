import type { Language } from './speech/index'
import * as owed from './speech/spanish/owed'
import { reasonInSpanish } from './speech/spanish/reasons'
import * as acts from './speech/spanish/say'
import { SPANISH_WAYS } from './speech/spanish/ways'
import { listInSpanish, pieceInSpanish, spanishPack, THINGS, TITLES, VERBS } from './speech/spanish/words'

/** The door of Spanish: a browser fetches it when a class speaks it. */
export const SPANISH = {
  id: 'es',
  packOf: spanishPack,
  speech: { ...acts, ...owed },
  titles: TITLES,
  ways: SPANISH_WAYS,
  reason: reasonInSpanish,
  verbs: VERBS,
  things: THINGS,
  list: listInSpanish,
  piece: pieceInSpanish,
} as const satisfies Language & Record<string, unknown>
