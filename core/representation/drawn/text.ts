import { placeName } from '../../number/places'
import { decimal } from '../../number/units'
import { Refusal } from '../../refusal'
import { countsIn, numberAt, placeAt, printCounts, spanOf, wordsOf } from '../text'
import { WIDTH, type DrawnMove } from './state'
import type { Exact } from '../../number/exact'

/** `draw 52`, `cross 7 ones`, `ring ten`, `break 2 hundreds`, `read 15`. */
export function printMove(move: DrawnMove): string {
  switch (move.kind) {
    case 'read':
      return move.value === null ? 'unread' : `read ${move.value}`
    case 'draw':
    case 'cross':
      return `${move.kind} ${printCounts(move.counts, decimal(WIDTH))}`
    case 'ring':
    case 'break':
      return `${move.kind} ${move.times === 1 ? '' : `${move.times} `}${placeName(move.place, move.times)}`
  }
}

/** Reads a typed move. @throws Refusal with the place in the text. */
export function parseMove(text: string): DrawnMove {
  const words = wordsOf(text)
  const [verb, ...rest] = words
  const most = (n: number): void => {
    if (rest[n]) throw new Refusal(`“${rest[n]!.text}” is one word too many.`, '', spanOf(rest[n]!))
  }
  if (!verb) throw new Refusal('There is no move yet.', 'Type one, like: cross 7 ones.', { at: 0, length: 0 })
  switch (verb.text) {
    case 'unread':
      most(0)
      return { kind: 'read', value: null }
    case 'read':
      most(1)
      return { kind: 'read', value: numberAt(rest[0], text) as Exact }
    case 'draw':
    case 'cross':
      return { kind: verb.text, counts: countsIn(rest, text, decimal(WIDTH)) }
    case 'ring':
    case 'break': {
      const counted = rest[0] !== undefined && /^\d/.test(rest[0].text)
      const times = counted ? Number(numberAt(rest[0], text)) : 1
      if (times < 1 || times > 99) throw new Refusal(`${times} is no number to ${verb.text}.`, '', spanOf(rest[0]!))
      most(counted ? 2 : 1)
      return { kind: verb.text, place: placeAt(rest[counted ? 1 : 0], text, WIDTH), times }
    }
  }
  throw new Refusal(
    `Drawn tens have no move “${verb.text}”.`,
    'They know draw, cross, ring, break and read.',
    spanOf(verb),
  )
}
