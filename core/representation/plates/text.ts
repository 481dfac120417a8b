import { placeName } from '../../number/places'
import { Refusal } from '../../refusal'
import { countsIn, nothingAfter, numberAt, placeAt, printCounts, quotientIn, spanOf, wordsOf, type Word } from '../text'
import { MOST_FILLED, UNITS, WIDTH, type PlatesMove } from './state'

const KNOWS = 'Plates know lay, return, break, tie, deal, collect, put, pick, fill, empty and read.'

/** `lay 612`, `break hundred`, `deal 8 tens`, `put 1 ten on 3`, `pick 1 ten from 3`, `fill plate`, `collect 1 one`, `read 87 r 3`. */
export function printMove(move: PlatesMove): string {
  switch (move.kind) {
    case 'lay':
    case 'return':
    case 'deal':
    case 'collect':
      return `${move.kind} ${printCounts(move.counts, UNITS)}`
    case 'put':
      return `put ${printCounts(move.counts, UNITS)} on ${move.plate}`
    case 'pick':
      return `pick ${printCounts(move.counts, UNITS)} from ${move.plate}`
    case 'break':
    case 'tie':
      return `${move.kind} ${move.times === 1 ? '' : `${move.times} `}${placeName(move.place, move.times)}`
    case 'fill':
    case 'empty':
      return `${move.kind} plate`
    case 'read':
      if (move.value === null) return 'unread'
      return `read ${move.value}${move.remainder === null ? '' : ` r ${move.remainder}`}`
  }
}

/** Reads a typed move. @throws Refusal with the place in the text. */
export function parseMove(text: string): PlatesMove {
  const words = wordsOf(text)
  const [verb, ...rest] = words
  if (!verb) throw new Refusal('There is no move yet.', 'Type one, like: deal 8 tens.', { at: 0, length: 0 })
  switch (verb.text) {
    case 'unread':
      nothingAfter(rest, 0)
      return { kind: 'read', value: null, remainder: null }
    case 'fill':
    case 'empty':
      nothingAfter(rest, rest[0]?.text === 'plate' ? 1 : 0)
      return { kind: verb.text }
    case 'read':
      return { kind: 'read', ...quotientIn(rest, text) }
    case 'lay':
    case 'return':
    case 'deal':
    case 'collect':
      return { kind: verb.text, counts: countsIn(rest, text, UNITS) }
    case 'break':
    case 'tie':
      return exchange(verb.text, rest, text)
    case 'put':
    case 'pick': {
      const at = rest.findLastIndex((w) => w.text === (verb.text === 'put' ? 'on' : 'from'))
      if (at < 0)
        throw new Refusal(`“${verb.text}” needs the plate.`, 'Like: put 1 ten on 3.', { at: text.length, length: 0 })
      const named = rest[at + 1]
      const plate = Number(numberAt(named, text))
      nothingAfter(rest, at + 2)
      if (plate < 1 || plate > MOST_FILLED) throw new Refusal(`There is no plate ${plate}.`, '', named && spanOf(named))
      return { kind: verb.text, counts: countsIn(rest.slice(0, at), text, UNITS), plate }
    }
  }
  throw new Refusal(`Plates have no move “${verb.text}”.`, KNOWS, spanOf(verb))
}

function exchange(kind: 'break' | 'tie', rest: readonly Word[], text: string): PlatesMove {
  const counted = rest[0] !== undefined && /^\d/.test(rest[0].text)
  const times = counted ? Number(numberAt(rest[0], text)) : 1
  if (times < 1 || times > 99) throw new Refusal(`${times} is no number of pieces to ${kind}.`, '', spanOf(rest[0]!))
  const word = rest[counted ? 1 : 0]
  const place = placeAt(word, text, WIDTH)
  nothingAfter(rest, counted ? 2 : 1)
  if (place === 0)
    throw new Refusal('Ones are not made of anything smaller here.', 'Say ten or hundred.', word && spanOf(word))
  return { kind, place, times }
}
