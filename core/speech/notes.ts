import { add, negate, sizeOf, ZERO, type Exact } from '../number/exact'
import { say, type WordPack } from './words'

/** Short remarks beside what is done. */

/** A guess held against what stands there in the end. */
export function sayGuess(guess: Exact, there: Exact, pack: WordPack): string {
  const off = sizeOf(add(guess, negate(there)))
  return off === ZERO
    ? `Just as guessed: ${say(guess, pack)}.`
    : `The guess was ${say(guess, pack)}: ${say(off, pack)} away.`
}

/** Said where a hand begins with another number than the problem. */
export const sayStart = (asked: Exact, pack: WordPack): string => `The problem starts with ${say(asked, pack)}.`

/** A written line with its words, where it has some: `read 15`, `8 in the head`, `from 8 to 14`. */
export const lineInWords = (text: string, _pack: WordPack): string => text

/** The label of a mark that is no act yet, and of an arrow that does not start where the last one ended. */
export const UNDER_WAY = { sheet: 'on the sheet', arrow: 'loose arrow' } as const

/** Beside a column's sum: what is written under it and what is carried. */
export const carryNote = (stays: number, carried: number, _pack: WordPack): string => `write ${stays}, carry ${carried}`
