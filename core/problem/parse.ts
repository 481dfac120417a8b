import { sign } from '../number/exact'
import { valueOf } from '../number/numeral'
import { Refusal } from '../refusal'
import { MAX_NUMBERS, MAX_PROBLEM_LENGTH, type Problem } from './problem'
import { comparing, naming, withoutKinds, withPairs } from './special'
import { sumOfGroups } from './sums'
import { isProduct, items, tokens, type Token } from './tokens'

/** “Is 3 × 25 + 2 × 10 enough for 99?” */
const ENOUGH = /^(\s*(?:is\s)?)(.*\d.*?)(\benough\s+for\b)/iu

/** The asking side of what was typed: without `=`, `= ?` or `equals` at its end. */
function askingSide(text: string): string {
  let end = text.length
  while (end > 0 && /[\s?▢_]/u.test(text[end - 1]!)) end -= 1
  return text.slice(0, end).replace(/(?:=|\b(?:equals|makes|is|is the same as))$/iu, '')
}

/** A fraction that stands alone could be a division as well: Sett asks which was meant, and offers both. */
function askWhich(read: readonly Token[]): void {
  const [only] = read
  if (read.length !== 1 || only?.kind !== 'number' || only.bracketed) return
  const [, top, bottom] = /^(\d+)\/(\d+)$/.exec(only.text) ?? []
  if (!top || !bottom || Number(bottom) === 0) return
  throw new Refusal(
    `${only.text} could be ${top} ÷ ${bottom}, or the fraction ${only.text}.`,
    `Say which: ${top} ÷ ${bottom} or (${only.text}).`,
    only,
    [
      { text: `${top} ÷ ${bottom}`, label: `${top} ÷ ${bottom}, a division` },
      { text: `(${only.text})`, label: `${only.text}, a fraction` },
    ],
  )
}

/**
 * Reads a typed problem: numbers joined by signs or words (`52 minus 37`, `3 x 4`, `-3 + (-5)`, `2 2/5 + 1 3/4`), with spaces as one
 * likes and, if wanted, an equals sign at the end.
 * @throws Refusal with the span of the first trouble; where two things could be meant, with both of them to choose from.
 */
export function parseProblem(text: string): Problem {
  // A small raised sign is the number's own.
  // “4 times as many as 6” is a product said in full; what comes after keeps its place in the text.
  const plain = text.replace(/\btimes(\s+as\s+(?:many|much)\s+as)\b/giu, (said: string) => 'times'.padEnd(said.length))
  const said = plain.replace(ENOUGH, (_, is: string, heap: string, words: string) =>
    [' '.repeat(is.length), heap, '?'.padEnd(words.length)].join(''),
  )
  const asking = askingSide(said.replace(/⁻\s*(\d[\d,.]*(?:\/\d+)?)/gu, '(-$1)'))
  if (asking.trim() === '')
    throw new Refusal('There is no problem yet.', 'Type one, like 52 − 37.', { at: 0, length: 0 })
  const digits = text.match(/\d+/g)?.reduce((n, run) => Math.max(n, run.length), 0) ?? 0
  if (text.length > MAX_PROBLEM_LENGTH)
    throw new Refusal(
      digits > 20
        ? `There is a number of ${digits} digits; Sett reads numbers of up to nine.`
        : `That is ${text.length} characters long; a problem may have ${MAX_PROBLEM_LENGTH}.`,
      'Ask a shorter problem.',
      { at: MAX_PROBLEM_LENGTH, length: text.length - MAX_PROBLEM_LENGTH },
    )
  const special = withPairs(asking) ?? naming(asking) ?? comparing(asking)
  if (special) return special
  const short = withoutKinds(asking)
  if (short) return { ...chainIn(short.rest), without: short.without }
  return chainIn(asking)
}

/** A chain, a product, a quotient, or a sum of equal groups. @throws Refusal with the span of the first trouble. */
function chainIn(asking: string): Problem {
  const read = tokens(asking)
  askWhich(read)
  const all = items(read)
  if (all.length > MAX_NUMBERS)
    throw new Refusal(
      `That chain has ${all.length} numbers; up to ${MAX_NUMBERS} fit on a page.`,
      'Ask it in two parts.',
    )
  const [head, ...terms] = all
  const product = terms.find(isProduct)
  if (product && terms.length > 1) return sumOfGroups(all)
  if (product?.operation === '/' && sign(valueOf(product.number)) === 0)
    throw new Refusal('Nothing can be divided by nought.', 'Divide by another number.')
  return { first: head!.number, terms }
}

/** Accepts a problem typed or already read. */
export const toProblem = (problem: Problem | string): Problem =>
  typeof problem === 'string' ? parseProblem(problem) : problem
