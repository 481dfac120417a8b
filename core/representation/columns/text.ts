import { placeName, type Place } from '../../number/places'
import { MAX_DIGITS, printExact } from '../../number/numeral'
import { Refusal } from '../../refusal'
import { decimalAt, numberAt, placeAt, spanOf, wordsOf } from '../text'
import type { ColumnsMove } from './state'

/** How many places after the point the sheet has. */
export const MAX_DECIMALS = 3

/** `write 52`, `under - 37`, `answer 5 ones`, `strike tens`, `above 4 tens`, `one ones`, `carry 1 tens`, `read 15`. */
export function printMove(move: ColumnsMove): string {
  switch (move.kind) {
    case 'read':
      return move.value === null ? 'unread' : `read ${printExact(move.value)}`
    case 'write':
      return `write ${printExact(move.number)}`
    case 'under':
      return `under ${move.operation} ${printExact(move.number)}`
    case 'pull':
      return `pull ${move.by < 0 ? 'left' : 'right'} ${Math.abs(move.by)}`
    case 'digit':
    case 'answer':
    case 'above':
    case 'carry':
      return `${move.kind} ${move.digit} ${placeName(move.place)}`
    case 'say':
      return `say ${move.word} ${placeName(move.place)}`
    case 'strike':
    case 'one':
      return `${move.kind} ${placeName(move.place)}`
  }
}

/** Reads a typed mark of the column sheet. @throws Refusal with the place in the text. */
export function parseMove(text: string): ColumnsMove {
  const words = wordsOf(text)
  const verb = words[0]
  if (!verb) throw new Refusal('There is no mark yet.', 'Type one, like: answer 5 ones.', { at: 0, length: 0 })
  const only = (n: number): void => {
    const extra = words[n]
    if (extra) throw new Refusal(`“${extra.text}” is one word too many.`, '', spanOf(extra))
  }
  const place = (i: number): Place => placeAt(words[i], text, MAX_DIGITS, MAX_DECIMALS)
  const digit = (i: number): number => {
    const n = Number(numberAt(words[i], text))
    if (n > 99) throw new Refusal(`${n} does not go into one square.`, 'A square takes a digit.', spanOf(words[i]!))
    return n
  }
  switch (verb.text) {
    case 'unread':
      only(1)
      return { kind: 'read', value: null }
    case 'read':
      only(2)
      return { kind: 'read', value: decimalAt(words[1], text) }
    case 'write':
      only(2)
      return { kind: 'write', number: decimalAt(words[1], text) }
    case 'under': {
      const sign = words[1]
      if (sign?.text !== '+' && sign?.text !== '-' && sign?.text !== '−')
        throw new Refusal(
          '“under” needs the sign and the number.',
          'Like: under - 37.',
          sign ? spanOf(sign) : { at: text.length, length: 0 },
        )
      only(3)
      return { kind: 'under', operation: sign.text === '+' ? '+' : '-', number: decimalAt(words[2], text) }
    }
    case 'pull': {
      only(3)
      const way = words[1]?.text
      if (way !== 'left' && way !== 'right')
        throw new Refusal('“pull” needs right or left.', 'Like: pull right 1.', words[1] && spanOf(words[1]))
      const by = words[2] ? digit(2) : 1
      return { kind: 'pull', by: way === 'right' ? by : -by }
    }
    case 'digit':
    case 'answer':
    case 'above':
    case 'carry':
      only(3)
      return { kind: verb.text, digit: digit(1), place: place(2) }
    case 'say':
      only(3)
      return { kind: 'say', word: digit(1), place: place(2) }
    case 'strike':
    case 'one':
      only(2)
      return { kind: verb.text, place: place(1) }
    case 'rub':
      throw new Refusal('Nothing is rubbed out here.', 'Strike it, or undo.', spanOf(verb))
  }
  throw new Refusal(
    `The column sheet has no mark “${verb.text}”.`,
    'It knows write, under, digit, pull, answer, strike, above, one, carry, say and read.',
    spanOf(verb),
  )
}
