import { exact, sign } from '../number/exact'
import { parseNumeral, printExact, valueOf } from '../number/numeral'
import type { Worked } from '../mistakes/procedure'
import { parseProblem } from '../problem/parse'
import { quotientOf, type Problem } from '../problem/problem'
import { Refusal } from '../refusal'

/** A problem with what a learner answered to it; null where nothing was written. */
export interface Item {
  readonly problem: Problem
  readonly answer: Worked | null
}

/** The same as text, as it is typed, kept and sent: `{ problem: '52 - 37', answer: '25', above: '5 12' }`. */
export interface ItemText {
  readonly problem: string
  readonly answer: string
  /** What was written above the columns, the highest place first, `-` where nothing was: `4 12` above 52. */
  readonly above?: string
}

/** The longest answer that is read. */
export const MOST_ANSWER = 40

/** Reads what a learner wrote as an answer. @throws Refusal saying what could not be read. */
export function parseAnswer(text: string, problem: Problem): Worked | null {
  const plain = text.trim().replace(/[−–⁻]/gu, '-')
  if (plain === '') return null
  if (plain.length > MOST_ANSWER) throw new Refusal('That answer is too long to be read.', 'Write it as one number.')
  const divided = /^(.+?)\s*(?:r|rem|remainder)\.?\s*(\d{1,9})$/i.exec(plain)
  const value = valueOf(parseNumeral(divided ? divided[1]! : plain))
  if (divided && !quotientOf(problem))
    throw new Refusal('Only a division leaves a remainder.', 'Write the answer as one number.')
  return divided ? { value, remainder: exact(divided[2]!) } : { value }
}

const MOST_READ = 2000
const read = new Map<string, Problem>()
/** A problem of this text, the same object each time, so that what is known of it is found again. @throws Refusal as `parseProblem`. */
export function problemNamed(text: string): Problem {
  const known = read.get(text)
  if (known) return known
  if (read.size >= MOST_READ) read.clear()
  const problem = parseProblem(text)
  read.set(text, problem)
  return problem
}

/** Reads an item, with the marks above the columns where there are any. @throws Refusal saying what could not be read. */
export function parseItem({ problem: asked, answer, above = '' }: ItemText): Item {
  const problem = problemNamed(asked)
  const given = parseAnswer(answer, problem)
  const marks = above.trim() === '' ? undefined : above.trim().split(/\s+/).reverse()
  if (marks?.some((m) => !/^(?:-|\d{1,2})$/.test(m)))
    throw new Refusal('Marks above the columns are numbers, with - where nothing was written.', 'For example: 4 12')
  return { problem, answer: given && marks ? { ...given, marks: marks.map((m) => (m === '-' ? '' : m)) } : given }
}

/** An answer as text that `parseAnswer` reads back. */
export const printAnswer = (answer: Worked | null): string =>
  answer === null
    ? ''
    : answer.remainder !== undefined && sign(answer.remainder) !== 0
      ? `${printExact(answer.value)} r ${printExact(answer.remainder)}`
      : printExact(answer.value)

/** Whether an answer is what a way of working comes to; a remainder counts where both tell one. */
export const comesTo = (given: Worked, way: Worked): boolean =>
  given.value === way.value &&
  (given.remainder === undefined || way.remainder === undefined || given.remainder === way.remainder)
