import { onlyPlace, placeName, placeNamed, unitOf, type Counts, type Place } from '../number/places'
import type { Relation } from '../number/fractions'
import { parseNumeral, printExact, printNumeral, valueOf } from '../number/numeral'
import {
  addPieces,
  asCounts,
  asPieces,
  countOf,
  pieceName,
  piecesFor,
  rungOf,
  samePieces,
  worthOf,
  type Pieces,
  type Units,
} from '../number/units'
import { negate, type Exact } from '../number/exact'
import { Refusal, type Span } from '../refusal'

/** A word of a typed move, and where it stands. */
export interface Word {
  readonly text: string
  readonly at: number
}

/** The words of a typed move, in lower case. */
export function wordsOf(text: string): readonly Word[] {
  return [...text.matchAll(/\S+/g)].map((m) => ({ text: m[0].toLowerCase(), at: m.index }))
}

export const spanOf = (word: Word): { at: number; length: number } => ({ at: word.at, length: word.text.length })

/** Reads a whole number of at most nine digits. @throws Refusal at the word. */
export function numberAt(word: Word | undefined, whole: string): string {
  if (!word) throw new Refusal(`“${whole.trim()}” needs a number.`, '', { at: whole.length, length: 0 })
  if (!/^\d[\d,]*$/.test(word.text))
    throw new Refusal(`“${word.text}” is not a whole number.`, 'Write it in digits, like 52.', spanOf(word))
  return valueOf(parseNumeral(word.text))
}

/** Reads a number that may have decimals, of at most nine digits in all. @throws Refusal at the word. */
export function decimalAt(word: Word | undefined, whole: string): Exact {
  if (!word || !/^\d[\d,]*\.\d+$/.test(word.text)) return numberAt(word, whole) as Exact
  return valueOf(parseNumeral(word.text))
}

/** A line in plain ASCII, with a number's own sign before it and no brackets: `8 − (−4) = 12` is `8 - -4 = 12`. */
export const plainly = (line: string): string =>
  line
    .replace(/[−–⁻]/gu, '-')
    .replace(/×/gu, '*')
    .replace(/\(\s*(-?\s*\d+(?:\.\d+)?)\s*\)/g, (_, number: string) => number.replace(/\s/g, ''))
    .replace(/\s+/g, ' ')
    .trim()

/** Reads a number that may be below nought: `-7.5`, `−3`. @throws Refusal at the word. */
export function signedAt(word: Word | undefined, whole: string): Exact {
  const minus = word !== undefined && /^[-−⁻]/u.test(word.text)
  const size = decimalAt(minus ? { text: word.text.slice(1), at: word.at + 1 } : word, whole)
  return minus ? negate(size) : size
}

/** Reads the name of a place, `width` of them from the ones up and `decimals` below. @throws Refusal at the word. */
export function placeAt(word: Word | undefined, whole: string, width: number, decimals = 0): Place {
  if (!word) throw new Refusal(`“${whole.trim()}” needs a place: ones, tens …`, '', { at: whole.length, length: 0 })
  const place = placeNamed(word.text)
  if (place === undefined || place < -decimals || place >= width)
    throw new Refusal(
      `“${word.text}” is not a place here.`,
      `Places go from ${placeName(-decimals)} to ${placeName(width - 1)}.`,
      spanOf(word),
    )
  return place
}

/** The most pieces one typed move may name. */
export const MOST_AT_ONCE = 999

/** The kind that a word names (`tens`, `sheaf`, `unit`), or undefined. */
export function kindNamed(name: string, units: Units): Exact | undefined {
  const place = placeNamed(name)
  return units.worths.find(
    (unit) =>
      [1, 2].some((n) => pieceName(unit, n, units) === name) ||
      (!units.names?.[unit] && place !== undefined && unitOf(place) === unit),
  )
}

/** Reads the name of a kind. @throws Refusal at the word. */
export function kindAt(word: Word | undefined, whole: string, units: Units): Exact {
  const [greatest, least] = [units.worths[0]!, units.worths.at(-1)!]
  const names = [least, greatest].map((unit) => pieceName(unit, 2, units))
  if (!word)
    throw new Refusal(`“${whole.trim()}” needs a place: ${names.join(', ')} …`, '', { at: whole.length, length: 0 })
  const kind = kindNamed(word.text, units)
  if (!kind)
    throw new Refusal(`“${word.text}” is not a place here.`, `Places go from ${names.join(' to ')}.`, spanOf(word))
  return kind
}

/** Reads `7 ones`, `ten`, `2 tens 3 ones` or a bare number `52`, as counts of each kind, the lowest first. @throws Refusal at the word that will not do. */
export function countsIn(words: readonly Word[], whole: string, units: Units): Counts {
  const only = words.length === 1 ? words[0]! : undefined
  if (only && /^\d/.test(only.text)) return bareNumber(only, whole, units)
  if (words.length === 0)
    throw new Refusal(`“${whole.trim()}” does not say how many.`, 'Say, for example, 7 ones.', {
      at: whole.length,
      length: 0,
    })
  let pieces: readonly Pieces[] = []
  for (let i = 0; i < words.length; i++) {
    const word = words[i]!
    if (word.text === 'and') continue
    const counted = /^\d/.test(word.text)
    const count = counted ? Number(numberAt(word, whole)) : 1
    if (count < 1 || count > MOST_AT_ONCE)
      throw new Refusal(
        `${word.text} is no number of pieces to move.`,
        `From 1 to ${MOST_AT_ONCE} at once.`,
        spanOf(word),
      )
    if (counted || word.text === 'a' || word.text === 'one') i += words[i + 1] ? 1 : 0
    const unit = kindAt(words[i] === word && counted ? undefined : words[i], whole, units)
    if (countOf(pieces, unit)) throw new Refusal(`“${words[i]!.text}” is named twice.`, '', spanOf(words[i]!))
    pieces = addPieces(pieces, [{ count, unit }])
  }
  return asCounts(pieces, units)
}

/** Whether there are so many of the greatest kind that they would be one of a still greater one. */
const overflows = (pieces: readonly Pieces[], units: Units): boolean =>
  countOf(pieces, units.worths[0]!) >= (rungOf(units, units.worths[0]!)?.times ?? 10)

/** A bare number as the fewest pieces that make it. @throws Refusal where none do, or more of one kind than a number has of it. */
function bareNumber(word: Word, whole: string, units: Units): Counts {
  const number = decimalAt(word, whole)
  const pieces = piecesFor(number, units)
  if (!pieces) throw new Refusal(`${word.text} goes further after the point than the places here.`, '', spanOf(word))
  if (pieces.length === 0) throw new Refusal('Nought pieces cannot be moved.', '', spanOf(word))
  if (overflows(pieces, units))
    throw new Refusal(`${word.text} is more than the places here can hold.`, '', spanOf(word))
  return asCounts(pieces, units)
}

/** `7 ones` for one kind, the bare number where it is made of just these pieces, else `12 tens 3 ones`. */
export function printCounts(counts: Counts, units: Units): string {
  const pieces = asPieces(counts, units)
  const number = worthOf(pieces)
  const bare = onlyPlace(counts) === undefined && !overflows(pieces, units)
  if (bare && samePieces(piecesFor(number, units) ?? [], pieces)) return printExact(number)
  return pieces.map(({ count, unit }) => `${count} ${pieceName(unit, count, units)}`).join(' ')
}

const RELATIONS: Readonly<Record<string, Relation>> = { '<': '<', '>': '>', '=': '=' }

/** Reads `5/8 > 4/8`, `5/8 < 2/3 < 3/4`. @throws Refusal with the place in the text. */
export function comparisonIn(text: string): {
  readonly numbers: readonly string[]
  readonly relations: readonly Relation[]
} {
  const numbers: string[] = []
  const relations: Relation[] = []
  let at = 0
  for (const part of text.split(/([<>=])/)) {
    const relation = RELATIONS[part]
    if (relation) relations.push(relation)
    else {
      const span: Span = { at, length: part.length }
      if (part.trim() === '') throw new Refusal('A number is missing beside a sign.', 'Like: compare 5/8 > 4/8.', span)
      numbers.push(printNumeral(parseNumeral(part.trim().replace('−', '-'))))
    }
    at += part.length
  }
  if (relations.length === 0)
    throw new Refusal('A comparison has a sign, <, = or >.', 'Like: compare 5/8 > 4/8.', { at: 0, length: text.length })
  return { numbers, relations }
}

/** Refuses whatever stands from a word on. @throws Refusal at that word. */
export function nothingAfter(words: readonly Word[], from: number): void {
  const extra = words[from]
  if (extra) throw new Refusal(`“${extra.text}” is one word too many.`, '', spanOf(extra))
}

/** Reads what comes after `read` of a sharing: `87`, `87 r 3`, `87 and 3 left`. @throws Refusal at the word. */
export function quotientIn(
  rest: readonly Word[],
  text: string,
): { readonly value: Exact; readonly remainder: Exact | null } {
  const value = numberAt(rest[0], text) as Exact
  const more = rest.slice(1).filter((w) => !['r', 'remainder', 'rest', 'and', 'left', 'over'].includes(w.text))
  nothingAfter(more, 1)
  return { value, remainder: rest.length > 1 ? (numberAt(more[0], text) as Exact) : null }
}
