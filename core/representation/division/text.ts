import type { Exact } from '../../number/exact'
import { placeName } from '../../number/places'
import { MAX_DIGITS, printExact } from '../../number/numeral'
import { Refusal } from '../../refusal'
import { nothingAfter, numberAt, placeAt, quotientIn, spanOf, wordsOf } from '../text'
import type { DivisionMove } from './state'

const KNOWS = 'It knows set, quotient, product, difference, bring, say, fold and read.'

/** `set 612`, `quotient 8`, `quotient 0 over tens`, `product 56`, `difference 5`, `bring`, `say 14`, `fold`, `read 87 r 3`. */
export function printMove(move: DivisionMove): string {
  switch (move.kind) {
    case 'set':
      return `set ${printExact(move.number)}`
    case 'quotient':
      return `quotient ${move.digit}${move.over === null ? '' : ` over ${placeName(move.over, 2)}`}`
    case 'product':
    case 'difference':
      return `${move.kind} ${move.number}`
    case 'say':
      return `say ${move.word}`
    case 'bring':
    case 'fold':
      return move.kind
    case 'read':
      if (move.value === null) return 'unread'
      return `read ${printExact(move.value)}${move.remainder === null ? '' : ` r ${printExact(move.remainder)}`}`
  }
}

/** Reads a typed move. @throws Refusal with the place in the text. */
export function parseMove(text: string): DivisionMove {
  const words = wordsOf(text)
  const [verb, first] = words
  if (!verb) throw new Refusal('There is no move yet.', 'Type one, like: quotient 8.', { at: 0, length: 0 })
  const only = (n: number): void => nothingAfter(words, n)
  switch (verb.text) {
    case 'unread':
      only(1)
      return { kind: 'read', value: null, remainder: null }
    case 'bring':
    case 'fold':
      only(1)
      return { kind: verb.text }
    case 'set':
      only(2)
      return { kind: 'set', number: numberAt(first, text) as Exact }
    case 'product':
    case 'difference':
      only(2)
      return { kind: verb.text, number: Number(numberAt(first, text)) }
    case 'say':
      only(2)
      return { kind: 'say', word: Number(numberAt(first, text)) }
    case 'quotient': {
      const digit = Number(numberAt(first, text))
      if (digit > 9)
        throw new Refusal(`${digit} does not go over one digit.`, 'One square takes 0 to 9.', first && spanOf(first))
      if (words.length <= 2) return { kind: 'quotient', digit, over: null }
      if (words[2]!.text !== 'over') throw new Refusal('A digit stands over a place.', 'Like: quotient 0 over tens.')
      only(4)
      return { kind: 'quotient', digit, over: placeAt(words[3], text, MAX_DIGITS) }
    }
    case 'read':
      return { kind: 'read', ...quotientIn(words.slice(1), text) }
  }
  throw new Refusal(`Long division has no move “${verb.text}”.`, KNOWS, spanOf(verb))
}
