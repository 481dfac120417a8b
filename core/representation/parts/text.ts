import { printComparison } from '../../act/act'
import type { Exact } from '../../number/exact'
import { parseNumeral, printNumeral, valueOf, type Numeral } from '../../number/numeral'
import { asPieces, pieceName, piecesOfNumeral, type Pieces, PARTS } from '../../number/units'
import { Refusal } from '../../refusal'
import { comparisonIn, countsIn, spanOf, wordsOf, type Word } from '../text'
import { WHOLES, type PartsMove, type Row, type WholeLength } from './state'

const piecesText = (pieces: readonly Pieces[]): string =>
  pieces.map(({ count, unit }) => `${count} ${pieceName(unit, count, PARTS)}`).join(' ')

const rowText = (row: Row): string => (row === 'main' ? '' : row === 'posed' ? ' beside' : ` in row ${row + 1}`)

/** `lay 3 tenths`, `set 1 third`, `recut 1 half as 4 eighths beside`, `row 2 4 eighths`, `compare 5/8 > 4/8`, `read 7/10`. */
export function printMove(move: PartsMove): string {
  switch (move.kind) {
    case 'read':
      return move.value === null ? 'unread' : `read ${move.as}`
    case 'compare':
      return `compare ${printComparison(move)}`
    case 'whole':
      return `whole ${move.length}`
    case 'drop':
      return 'drop'
    case 'push':
      return `push ${piecesText(move.pieces)}`.trim()
    case 'recut':
      return `recut ${piecesText(move.from)} as ${piecesText(move.to)}${rowText(move.row)}`
    case 'beside': {
      const back = move.pieces.every((p) => p.count < 0)
      const pieces = back ? move.pieces.map((p) => ({ ...p, count: -p.count })) : move.pieces
      return `${back ? 'less' : 'row'} ${move.row + 1} ${piecesText(pieces)}`
    }
    default:
      return `${move.kind} ${piecesText(move.pieces)}`
  }
}

const isNumber = (word: Word): boolean => /^\d[\d,]*(?:\.\d+|\/\d+)?$/.test(word.text)

/** A number in one word or two, `2/5`, `2 2/5` or `0.3`; undefined where the words are none. */
function numeralIn(words: readonly Word[]): Numeral | undefined {
  const text = words.map((w) => w.text).join(' ')
  if (words.length === 0 || words.length > 2 || !words.every(isNumber)) return undefined
  return parseNumeral(text)
}

/** Reads `3 tenths`, `1 whole 2 fifths`, `2 2/5` or `0.3` as pieces. @throws Refusal at the word that will not do. */
function piecesIn(words: readonly Word[], whole: string): readonly Pieces[] {
  const numeral = numeralIn(words)
  if (!numeral) return asPieces(countsIn(words, whole, PARTS), PARTS)
  const pieces = piecesOfNumeral(numeral, valueOf(numeral), PARTS)
  if (!pieces || pieces.length === 0)
    throw new Refusal(
      pieces
        ? 'Nought pieces cannot be moved.'
        : `A whole is not cut into ${numeral.form === 'fraction' ? numeral.denominator : 'such'} parts here.`,
      'From halves to hundredths.',
      spanOf(words[0]!),
    )
  return pieces
}

/** Where a move happens, told by its last words: `beside`, `in row 2`. */
function rowAt(words: readonly Word[]): { readonly row: Row; readonly rest: readonly Word[] } {
  const last = words.at(-1)
  if (last?.text === 'beside') return { row: 'posed', rest: words.slice(0, -1) }
  const [a, b] = words.slice(-3)
  const n = Number(last?.text)
  if (a?.text === 'in' && b?.text === 'row' && Number.isInteger(n) && n >= 2)
    return { row: n - 1, rest: words.slice(0, -3) }
  return { row: 'main', rest: words }
}

/** Reads a number with how it is written: `8/12` is two thirds, written in twelfths. @throws Refusal with the place in the text. */
function readingIn(words: readonly Word[], whole: string): { readonly value: Exact; readonly as: string } {
  const text = words
    .map((w) => w.text)
    .join(' ')
    .replace(/^[−⁻]/u, '-')
  if (text === '') throw new Refusal(`“${whole.trim()}” needs a number.`, '', { at: whole.length, length: 0 })
  const numeral = parseNumeral(text)
  return { value: valueOf(numeral), as: printNumeral(numeral) }
}

const CARRIES = ['lay', 'return', 'take', 'give', 'set', 'unset', 'push'] as const
const isOne = <T extends string>(all: readonly T[], text: string): text is T =>
  (all as readonly string[]).includes(text)

/** What is said aloud and means a move here. */
const SAID: readonly (readonly [RegExp, string])[] = [
  [/^pour in\b/i, 'lay'],
  [/^pour (?:out|off)\b/i, 'take'],
  [/^(?:take away|take off)\b/i, 'take'],
  [/^push together$/i, 'push'],
]

/** Reads a typed move. @throws Refusal with the place in the text. */
export function parseMove(text: string): PartsMove {
  const said = SAID.find(([form]) => form.test(text.trim()))
  const meant = said ? text.trim().replace(said[0], said[1]) : text
  const words = wordsOf(meant)
  const [verb, ...rest] = words
  if (!verb) throw new Refusal('There is no move yet.', 'Type one, like: lay 3 tenths.', { at: 0, length: 0 })
  switch (verb.text) {
    case 'unread':
      return { kind: 'read', value: null, as: '' }
    case 'drop':
      return { kind: 'drop' }
    case 'read':
      return { kind: 'read', ...readingIn(rest, meant) }
    case 'compare':
      return { kind: 'compare', ...comparisonIn(meant.slice(verb.at + verb.text.length)) }
    case 'whole': {
      const length = rest[0]?.text ?? ''
      if (!isOne(WHOLES, length))
        throw new Refusal(`“${length}” is no length of a whole.`, 'A whole is short, middle or long.')
      return { kind: 'whole', length: length satisfies WholeLength }
    }
    case 'recut': {
      const { row, rest: said } = rowAt(rest)
      const as = said.findIndex((w) => w.text === 'as' || w.text === 'for' || w.text === 'into')
      if (as < 1) throw new Refusal('It is not said what it is cut into.', 'Like: recut 1 half as 4 eighths.')
      const [from, to] = [said.slice(0, as), said.slice(as + 1)]
      return { kind: 'recut', from: piecesIn(from, meant), to: piecesIn(to, meant), row }
    }
    case 'row':
    case 'less': {
      const row = Number(rest[0]?.text)
      if (!Number.isInteger(row) || row < 2 || row > 9)
        throw new Refusal(
          'The rows to compare with are numbered from 2.',
          'Like: row 2 4 eighths.',
          rest[0] && spanOf(rest[0]),
        )
      const pieces = piecesIn(rest.slice(1), meant)
      const signed = verb.text === 'row' ? pieces : pieces.map((p) => ({ ...p, count: -p.count }))
      return { kind: 'beside', row: row - 1, pieces: signed }
    }
  }
  if (!isOne(CARRIES, verb.text))
    throw new Refusal(
      `There is no move “${verb.text}” here.`,
      'There are lay, take, set, push, recut, return, give, row, less, compare, whole and read.',
      spanOf(verb),
    )
  if (verb.text === 'push' && rest.length === 0) return { kind: 'push', pieces: [] }
  return { kind: verb.text, pieces: piecesIn(rest, meant) }
}
