import type { Exact } from '../../number/exact'
import { placeName } from '../../number/places'
import { MAX_DIGITS, printExact } from '../../number/numeral'
import { Refusal } from '../../refusal'
import { nothingAfter, numberAt, placeAt, spanOf, wordsOf } from '../text'
import type { ProductMove } from './state'

const KNOWS = 'It knows write, carry, sum and read. Like: write 8 ones, carry 2 tens, write 0 ones row 2.'

export function printMove(move: ProductMove): string {
  if (move.kind === 'read') return move.value === null ? 'unread' : `read ${printExact(move.value)}`
  const row = 'row' in move && move.row > 1 ? ` row ${move.row}` : ''
  return `${move.kind} ${move.digit} ${placeName(move.place, 2)}${row}`
}

/** Reads `write 8 ones`, `carry 2 tens row 2`, `sum 8 tens`, `read 888`. @throws Refusal with the place in the text. */
export function parseMove(text: string): ProductMove {
  const words = wordsOf(text)
  const [verb] = words
  const only = (n: number): void => nothingAfter(words, n)
  switch (verb?.text) {
    case 'unread':
      only(1)
      return { kind: 'read', value: null }
    case 'read':
      only(2)
      return { kind: 'read', value: numberAt(words[1], text) as Exact }
    case 'write':
    case 'carry':
    case 'sum': {
      const digit = Number(numberAt(words[1], text))
      if (digit > 9)
        throw new Refusal(`${digit} does not go into one square.`, 'A square takes a digit.', spanOf(words[1]!))
      const place = placeAt(words[2], text, MAX_DIGITS)
      if (verb.text === 'sum') {
        only(3)
        return { kind: 'sum', digit, place }
      }
      if (words.length > 3 && words[3]!.text !== 'row') throw new Refusal('Which row is it?', KNOWS, spanOf(words[3]!))
      only(5)
      return { kind: verb.text, digit, place, row: words.length > 3 ? Number(numberAt(words[4], text)) : 1 }
    }
  }
  throw new Refusal(
    verb ? `The sheet has no mark “${verb.text}”.` : 'There is no mark yet.',
    KNOWS,
    verb && spanOf(verb),
  )
}
