import { asPieces, SIGNED } from '../../number/units'
import { formOf } from '../../number/words'
import { printExact } from '../../number/numeral'
import { isWhole, toCount } from '../../number/exact'
import { Refusal } from '../../refusal'
import { countsIn, numberAt, signedAt, spanOf, wordsOf, type Word } from '../text'
import { signName, signsFor, signsOf, type SignedMove, type Signs } from './state'

/** What Sett says aloud, as it is typed: “bring in 5 zero pairs”, “line up 3 pairs”, “take away 5 pluses”. */
const SAID: Readonly<Record<string, readonly [string, string]>> = {
  bring: ['in', 'bring'],
  put: ['in', 'lay'],
  line: ['up', 'pair'],
  clear: ['away', 'clear'],
  take: ['away', 'take'],
}
function asMoves(words: readonly Word[]): readonly Word[] {
  const [verb, second] = words
  const [more, meant] = (verb && Object.hasOwn(SAID, verb.text) && SAID[verb.text]) || []
  const rest = words
    .slice(second && second.text === more ? 2 : 1)
    .filter((w) => w.text !== 'zero' && w.text !== 'counters')
  return verb && meant && (second?.text === more || verb.text === meant) ? [{ ...verb, text: meant }, ...rest] : words
}

const CARRIES = ['lay', 'return', 'take', 'give'] as const
const PAIRS = ['pair', 'part', 'clear', 'bring'] as const
const isOne = <T extends string>(all: readonly T[], text: string): text is T =>
  (all as readonly string[]).includes(text)

const signsText = (signs: Signs): string =>
  (['plus', 'minus'] as const).flatMap((s) => (signs[s] ? [`${signs[s]} ${signName(s, signs[s])}`] : [])).join(' ')

/** `lay 3 minuses`, `lay 7 pluses 3 minuses`, `take 5 pluses`, `bring 6 pairs`, `pair 3`, `clear 3 pairs`, `read -8`. */
export function printMove(move: SignedMove): string {
  switch (move.kind) {
    case 'read':
      return move.value === null ? 'unread' : `read ${printExact(move.value)}`
    case 'pair':
    case 'part':
    case 'clear':
    case 'bring':
      return `${move.kind} ${move.count} ${formOf(move.count, ['pair', 'pairs'])}`
    default:
      return `${move.kind} ${signsText(move)}`
  }
}

/** Reads a typed move; a bare number is so many of its own sign (`lay -3`). @throws Refusal with the place in the text. */
export function parseMove(text: string): SignedMove {
  const words = asMoves(wordsOf(text))
  const [verb, ...rest] = words
  if (!verb) throw new Refusal('There is no move yet.', 'Type one, like: lay 3 minuses.', { at: 0, length: 0 })
  const most = (n: number): void => {
    const extra = rest[n]
    if (extra) throw new Refusal(`“${extra.text}” is one word too many.`, '', spanOf(extra))
  }
  if (verb.text === 'unread') {
    most(0)
    return { kind: 'read', value: null }
  }
  if (verb.text === 'read') {
    most(1)
    return { kind: 'read', value: signedAt(rest[0], text) }
  }
  if (isOne(PAIRS, verb.text)) {
    most(rest[1] && /^pairs?$/.test(rest[1].text) ? 2 : 1)
    const bare = rest.length === 0 || /^pairs?$/.test(rest[0]!.text)
    return { kind: verb.text, count: bare ? 1 : counted(rest[0]!, text) }
  }
  if (!isOne(CARRIES, verb.text))
    throw new Refusal(
      `Plus and minus counters have no move “${verb.text}”.`,
      'They know lay, return, take, give, pair, part, clear, bring and read.',
      spanOf(verb),
    )
  return { kind: verb.text, ...signsIn(rest, text) }
}

const counted = (word: Word, whole: string): number => {
  const n = Number(numberAt(word, whole))
  if (n < 1 || n > 99) throw new Refusal(`${n} is no number of pairs to move.`, 'From 1 to 99 at once.', spanOf(word))
  return n
}

function signsIn(words: readonly Word[], whole: string): Signs {
  const [only] = words
  if (words.length !== 1 || !only || !/^[-−⁻\d]/u.test(only.text))
    return signsOf(asPieces(countsIn(words, whole, SIGNED), SIGNED))
  const value = signedAt(only, whole)
  if (!isWhole(value) || value === '0' || Math.abs(toCount(value)) > 99)
    throw new Refusal(`“${only.text}” is no number of counters to move.`, 'From 1 to 99 of either sign.', spanOf(only))
  return signsFor(value)
}
