import type { Words } from '../../choices'
import type { SpanishMaterial } from '../../language'
import { SPANISH_NAMES, beforeNoun, type Gender } from '../../number/spanish'
import type { Exact } from '../../number/exact'
import type { Pieces } from '../../number/units'
import { unitOf, type Place } from '../../number/places'
import type { Operation } from '../../problem/problem'
import type { WordPack } from '../pack'

/** The words of the Bench in Spanish: addressed to one learner, in the forms of Spain (practice, section 1; common practice, no source). */

const EXCHANGES: Readonly<Record<Words['exchange'], WordPack['exchange']>> = {
  exchange: { verb: 'cambia', breaks: 'cambia', link: 'por', noun: 'cambio', done: 'cambiada', doing: 'cambiando' },
  regroup: {
    verb: 'reagrupa',
    breaks: 'reagrupa',
    link: 'como',
    noun: 'reagrupamiento',
    done: 'reagrupada',
    doing: 'reagrupando',
  },
  trade: { verb: 'canjea', breaks: 'canjea', link: 'por', noun: 'canje', done: 'canjeada', doing: 'canjeando' },
  swap: {
    verb: 'intercambia',
    breaks: 'intercambia',
    link: 'por',
    noun: 'intercambio',
    done: 'intercambiada',
    doing: 'intercambiando',
  },
  rename: {
    verb: 'renombra',
    breaks: 'renombra',
    link: 'como',
    noun: 'cambio de nombre',
    done: 'renombrada',
    doing: 'renombrando',
  },
  bundle: { verb: 'ata', breaks: 'desata', link: 'en', noun: 'atado', done: 'desatada', doing: 'desatando' },
}
const EQUALS: Readonly<Record<Words['equals'], string>> = {
  equals: 'es igual a',
  makes: 'son',
  'is the same as': 'es lo mismo que',
}

/** A class's words in Spanish. */
export const spanishPack = (chosen: Words): WordPack => ({
  language: 'es',
  exchange: EXCHANGES[chosen.exchange],
  ones: ['unidad', 'unidades'],
  plus: 'más',
  minus: 'menos',
  add: chosen.plus === 'plus' ? 'suma' : 'añade',
  take: chosen.minus === 'take away' ? 'quita' : 'resta',
  equals: EQUALS[chosen.equals],
  sentence: 'igualdad',
  and: 'y',
  place: placeInSpanish,
  numbers: { and: false, zero: 'cero', negative: 'menos', fourth: 'cuarto', own: SPANISH_NAMES },
})

type Noun = readonly [one: string, several: string, gender: Gender]
/** Pieces by what one of them is worth. */
const PIECES: Readonly<Record<string, Noun>> = {
  1: ['unidad', 'unidades', 'feminine'],
  10: ['decena', 'decenas', 'feminine'],
  100: ['centena', 'centenas', 'feminine'],
  1000: ['unidad de millar', 'unidades de millar', 'feminine'],
  10000: ['decena de millar', 'decenas de millar', 'feminine'],
  100000: ['centena de millar', 'centenas de millar', 'feminine'],
  1000000: ['unidad de millón', 'unidades de millón', 'feminine'],
  10000000: ['decena de millón', 'decenas de millón', 'feminine'],
  100000000: ['centena de millón', 'centenas de millón', 'feminine'],
  '1/10': ['décima', 'décimas', 'feminine'],
  '1/100': ['centésima', 'centésimas', 'feminine'],
  '1/1000': ['milésima', 'milésimas', 'feminine'],
}
const nounOf = (unit: Exact): Noun => PIECES[unit] ?? [unit, unit, 'masculine']

/** One piece of a worth, or several: “decena”, “decenas”. */
export const pieceInSpanish = (unit: Exact, count: number): string => nounOf(unit)[Math.abs(count) === 1 ? 0 : 1]
/** One of a place, or several. */
export const placeInSpanish = (place: Place, count: number): string => pieceInSpanish(unitOf(place), count)

const LIST = new Intl.ListFormat('es', { style: 'long', type: 'conjunction' })
export const listInSpanish = (said: readonly string[]): string => LIST.format(said)

/** “Cinco decenas y dos unidades”; “una unidad”. */
export function piecesInSpanish(pieces: readonly Pieces[]): string {
  if (pieces.length === 0) return 'cero'
  return listInSpanish(
    pieces.map(({ unit, count }) => {
      const [, , gender] = nounOf(unit)
      return `${beforeNoun(BigInt(Math.abs(count)), gender)} ${pieceInSpanish(unit, count)}`
    }),
  )
}
/** In figures: “10 unidades”. */
export const figuresInSpanish = (pieces: readonly Pieces[]): string =>
  pieces.map((p) => `${p.count} ${pieceInSpanish(p.unit, p.count)}`).join(' ')

export const operationInSpanish = (operation: Operation): string =>
  ({ '+': 'más', '-': 'menos', '*': 'por', '/': 'entre' })[operation]

/** What materials are called, with their article where a sentence wants one. */
export const TITLES: Readonly<Record<SpanishMaterial, string>> = {
  blocks: 'bloques de base diez',
  chips: 'fichas de valor posicional',
  drawn: 'decenas dibujadas',
  counters: 'fichas sueltas',
  fingers: 'dedos',
  columns: 'hoja de columnas',
  openline: 'recta abierta',
}

/** What hands do, by the word of each material in English. */
export const VERBS: Readonly<Record<string, string>> = {
  lay: 'pon',
  put: 'pon',
  push: 'junta',
  set: 'aparta',
  return: 'devuelve',
  raise: 'levanta',
  fold: 'dobla',
  'start at': 'empieza en',
  hop: 'salta',
  'hop back': 'salta atrás',
}

/** What hands move, one and several, by its English name. */
export const THINGS: Readonly<Record<string, readonly [string, string]>> = {
  counter: ['ficha', 'fichas'],
  finger: ['dedo', 'dedos'],
}

/** How each material sets out a number; `{number}` and `{pieces}` are filled in. */
export const OPENINGS: Readonly<Record<string, string>> = {
  'lay {number}: drag {pieces} from the store': 'pon {number}: arrastra {pieces} desde el almacén',
  'draw {number}: {pieces}, a tap in its column for each':
    'dibuja {number}: {pieces}, un toque en su columna por cada pieza',
  'put {number} counters, one tap for each': 'pon {number} fichas, un toque por cada una',
  'raise {number} fingers, one tap for each': 'levanta {number} dedos, un toque por cada uno',
  'write {number} down': 'escribe {number}',
  'start the line at {number}': 'empieza la recta en {number}',
}
