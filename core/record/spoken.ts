import { amountAct, exchangeAct, piecesAct, type Act } from '../act/act'
import { EXCHANGE_WORDS } from '../choices'
import { MAX_DIGITS, parseNumeral, printNumeral, valueOf } from '../number/numeral'
import { isEmpty, onlyPlace } from '../number/places'
import { asPieces, decimal, type Pieces, type Units } from '../number/units'
import { Refusal } from '../refusal'
import { REPRESENTATIONS } from '../representation/index'
import { notShown, performIn } from '../representation/representation'
import { countsIn, decimalAt, wordsOf, type Word } from '../representation/text'
import type { Bench } from './moment'

/** How far below the ones a spoken number may go. */
const DECIMALS = 3

/** Words that begin a move in any classroom, longest first, and what is meant. */
const VERBS: readonly (readonly [readonly string[], 'exchange' | 'join' | 'take' | 'lay' | 'keep' | 'read'])[] = [
  [['take', 'away'], 'take'],
  [['keep'], 'keep'],
  [['set', 'out'], 'lay'],
  ...[...EXCHANGE_WORDS, 'unbundle', 'break'].map((word) => [[word], 'exchange'] as const),
  ...['take', 'minus', 'subtract', 'less', '-', '−'].map((word) => [[word], 'take'] as const),
  ...['add', 'plus', 'and', 'join', '+'].map((word) => [[word], 'join'] as const),
  ...['lay', 'put', 'draw', 'write', 'start'].map((word) => [[word], 'lay'] as const),
  ...['read', 'answer', 'equals', '='].map((word) => [[word], 'read'] as const),
]

/**
 * A move typed in the words that Sett itself uses, or that any class does: `exchange 1 ten`, `take away 7`, `add 8 ones`,
 * `regroup 10 ones as 1 ten`. What a material calls its own moves is not read here. Undefined where it begins with none of them.
 * @throws Refusal where the rest will not do.
 */
export function spokenAct(text: string, units: Units = decimal(MAX_DIGITS, DECIMALS)): Act | undefined {
  const words = wordsOf(text.replace(/^([+−-])(?=\d)/, '$1 '))
  const found = VERBS.find(([said]) => said.every((word, i) => words[i]?.text === word))
  if (!found) return undefined
  const [said, meant] = found
  if (meant === 'keep') return { kind: 'lay', amount: decimalAt(words[1], text), inHead: true }
  const rest = words.slice(said.length)
  if (meant === 'read') {
    const written = rest.map((w) => w.text).join(' ')
    if (!written.includes('/')) return { kind: 'read', value: decimalAt(rest[0], text) }
    return { kind: 'read', value: valueOf(parseNumeral(written)), as: printNumeral(parseNumeral(written)) }
  }
  // What it is exchanged for follows from what is exchanged.
  const until = rest.findIndex((w) => ['for', 'as', 'into'].includes(w.text))
  if (units.fractions) return spokenParts(meant, rest, until, text, units)
  const counts = countsIn(withoutOnes(until < 0 ? rest : rest.slice(0, until)), text, decimal(MAX_DIGITS, DECIMALS))
  if (meant !== 'exchange') return amountAct(meant, counts, DECIMALS)
  const place = onlyPlace(counts)
  if (place === undefined || isEmpty(counts))
    throw new Refusal('One kind is exchanged at a time.', 'Like: exchange 1 ten, or exchange 10 ones.')
  const count = counts[place]!
  const making = count % 10 === 0
  return making ? exchangeAct(place + 1 - DECIMALS, true, count / 10) : exchangeAct(place - DECIMALS, false, count)
}

/** The same of parts of a whole: `add 3 eighths`, `exchange 1 half for 4 eighths`. */
function spokenParts(
  meant: 'exchange' | 'join' | 'take' | 'lay',
  words: readonly Word[],
  until: number,
  text: string,
  units: Units,
): Act {
  const named = (some: readonly Word[]): readonly Pieces[] => asPieces(countsIn(withoutOnes(some), text, units), units)
  if (meant !== 'exchange') return piecesAct(meant, named(words))
  if (until < 1) throw new Refusal('It is not said what it is cut into.', 'Like: exchange 1 half for 4 eighths.')
  return { kind: 'exchange', from: named(words.slice(0, until)), to: named(words.slice(until + 1)) }
}

/** `10 ones` and `ones` name a place, a bare number does not; a word like “all” before it says nothing more. */
const withoutOnes = (words: readonly Word[]): readonly Word[] =>
  words.filter((w) => w.text !== 'the' && w.text !== 'all')

/** What is said in everyday words as typed moves of the main material; undefined where it begins with none of them. @throws Refusal where it cannot be done. */
export function spokenMoves({ setup, now }: Bench, text: string): readonly string[] | undefined {
  const own = REPRESENTATIONS[setup.representation].units
  const act = spokenAct(text, own.fractions ? own : undefined)
  if (!act) return undefined
  const main = REPRESENTATIONS[setup.representation]
  const quiet = notShown(main, act)
  if (quiet) throw new Refusal(quiet)
  const moves = performIn(main, now.states[main.id], act)
  if (moves.length === 0) throw new Refusal(`There is nothing to move for “${text}” here.`)
  return moves.map((move) => main.print(move))
}
