import { FAMILIES, type Family } from '../mistakes/catalogue'
import { checkSign, SIGNS, signsIn, spelt } from '../number/signs'
import type { Problem } from '../problem/problem'
import { Refusal } from '../refusal'
import { problemsOf } from './pool'

/** A set of problems that is printed with a code, from which the same problems come again. */
export interface ProblemSet {
  readonly family: Family
  /** The greatest number, 10 to 9,999. */
  readonly most: number
  /** How many problems, 1 to 30. */
  readonly count: number
  /** Which of the sets, 0 to 32,767. */
  readonly seed: number
}

export const MOST_IN_SET = 30
export const MOST_SEED = 2 ** 15 - 1

/** Where the check of a set's code begins. */
const CHECK = 7

/** The code of a set: `0FK7-S0A3-M`. */
export function codeOf({ family, most, count, seed }: ProblemSet): string {
  let all = BigInt(FAMILIES.indexOf(family))
  for (const [n, bits] of [
    [most, 14n],
    [count, 5n],
    [seed, 15n],
  ] as const)
    all = (all << bits) + BigInt(n)
  return spelt(all, CHECK)
}

/** Reads a code; letters that look alike are taken for each other. @throws Refusal where it is none, or a sign of it is wrong. */
export function setOf(code: string): ProblemSet {
  const plain = signsIn(code)
  if (plain === undefined)
    throw new Refusal('A set’s code has nine letters and digits.', 'It stands at the foot of the printed set.')
  if (checkSign(plain.slice(0, 8), CHECK) !== plain[8])
    throw new Refusal('That is no code of a set: a sign of it is wrong.', 'Look at it once more.')
  let all = Array.from(plain.slice(0, 8)).reduce((n, c) => (n << 5n) + BigInt(SIGNS.indexOf(c)), 0n)
  const take = (bits: bigint): number => {
    const n = Number(all & ((1n << bits) - 1n))
    all >>= bits
    return n
  }
  const [seed, count, most] = [take(15n), take(5n), take(14n)]
  const family = FAMILIES[Number(all)]
  if (!family || count < 1 || count > MOST_IN_SET || most < 10 || most > 9999)
    throw new Refusal('That is no code of a set.', 'It stands at the foot of the printed set.')
  return { family, most, count, seed }
}

/** The problems of a set, always the same ones. */
export const problemsIn = ({ family, most, count, seed }: ProblemSet): readonly Problem[] =>
  problemsOf({ family, most }, count, seed + 1)
