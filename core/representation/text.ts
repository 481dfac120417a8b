import { digitsOf, onlyPlace, placeName, placeNamed, worth, type Counts, type Place } from '../number/places'
import { parseNumeral, printExact, valueOf } from '../number/numeral'
import type { Exact } from '../number/exact'
import { Refusal } from '../refusal'

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

/** Reads `7 ones`, `ten`, `2 tens 3 ones` or a bare number `52`, as counts from the lowest of `width` places up. @throws Refusal at the word that will not do. */
export function countsIn(words: readonly Word[], whole: string, width: number, decimals = 0): Counts {
  const only = words.length === 1 ? words[0]! : undefined
  if (only && /^\d/.test(only.text)) {
    const number = decimalAt(only, whole)
    if ((printExact(number).split('.')[1] ?? '').length > decimals)
      throw new Refusal(`${only.text} goes further after the point than the places here.`, '', spanOf(only))
    const digits = digitsOf(number, width, decimals)
    if (digits.length > width)
      throw new Refusal(`${only.text} is more than the places here can hold.`, '', spanOf(only))
    if (digits.every((d) => d === 0)) throw new Refusal('Nought pieces cannot be moved.', '', spanOf(only))
    return digits
  }
  if (words.length === 0)
    throw new Refusal(`“${whole.trim()}” does not say how many.`, 'Say, for example, 7 ones.', {
      at: whole.length,
      length: 0,
    })
  const counts = new Array<number>(width).fill(0)
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
    const place =
      placeAt(words[i] === word && counted ? undefined : words[i], whole, width - decimals, decimals) + decimals
    if (counts[place]) throw new Refusal(`“${words[i]!.text}” is named twice.`, '', spanOf(words[i]!))
    counts[place] = count
  }
  return counts
}

/** `7 ones` for one place, the bare number where every place holds at most nine, else `12 tens 3 ones`. */
export function printCounts(counts: Counts, decimals = 0): string {
  if (onlyPlace(counts) === undefined && counts.every((c) => c <= 9)) return printExact(worth(counts, decimals))
  return counts
    .flatMap((c, i) => (c ? [`${c} ${placeName(i - decimals, c)}`] : []))
    .reverse()
    .join(' ')
}
