import type { Choices } from '../choices'
import type { Exact } from '../number/exact'
import type { Problem } from '../problem/problem'
import { answersOf, type Procedure } from './procedure'
import {
  afterPointAsWhole,
  bottomOnly,
  bottomTimes,
  flushRight,
  oneDenominator,
  topsAndBottoms,
  wholesAsOne,
} from './fractions'
import { coinLeftOut, coinTwice, countsCoins, keepsLast, largerForMore } from './coins'
import { notBroughtDown, subtractedUpwards, zeroLeftOut } from './dividing'
import { groupTooFew, groupTooMany } from './groups'
import { addsFactors, carryBefore, carryDropped, leftAsOnes, notMovedOver, oneColumnOnly } from './multiplying'
import { addsSizes, dropsSign, operationAsOwn, ownAsOperation, signOfFirst } from './signed'

/** Every mistaken procedure that is known, the most telling first. */
export const PROCEDURES: readonly Procedure[] = [
  topsAndBottoms,
  bottomOnly,
  oneDenominator,
  bottomTimes,
  wholesAsOne,
  flushRight,
  afterPointAsWhole,
  operationAsOwn,
  ownAsOperation,
  signOfFirst,
  addsSizes,
  dropsSign,
  keepsLast,
  largerForMore,
  countsCoins,
  coinTwice,
  coinLeftOut,
  leftAsOnes,
  notMovedOver,
  carryBefore,
  carryDropped,
  oneColumnOnly,
  zeroLeftOut,
  subtractedUpwards,
  groupTooFew,
  groupTooMany,
  addsFactors,
  notBroughtDown,
]

/** The mistaken procedure that gives an answer, the most telling first; undefined where none does. */
export function procedureFor(problem: Problem, given: Exact, choices?: Choices): Procedure | undefined {
  const of = choices ?? USUAL
  const problems = known.get(of) ?? new WeakMap<Problem, readonly (readonly Exact[])[]>()
  const wrong = problems.get(problem) ?? PROCEDURES.map((p) => answersOf(p, problem, choices))
  known.set(of, problems.set(problem, wrong))
  return PROCEDURES[wrong.findIndex((answers) => answers.includes(given))]
}

/** The wrong answers to each problem as each class works, worked out once. */
const known = new WeakMap<object, WeakMap<Problem, readonly (readonly Exact[])[]>>()
const USUAL = {}
