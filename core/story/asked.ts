import { isWhole, type Exact } from '../number/exact'
import { valueOf } from '../number/numeral'
import { parseProblem } from '../problem/parse'
import type { Amount, Problem } from '../problem/problem'
import { attempt, Refusal } from '../refusal'
import {
  completed,
  firstOf,
  handedOn,
  SITUATIONS,
  solvingOf,
  WORK,
  type Amounts,
  type Cell,
  type Operation,
} from './situation'

/** What a story is told from: one step of work, two of them one after the other, or what is wanted held against what there is. */

interface Step {
  /** `?` where an amount is held against another: the left is wanted, the right is there. */
  readonly operation: Operation | '?'
  readonly left: Exact
  readonly right: Exact
}
/** Two steps have a first; its result is the left of the last, or the right where something is taken away from what there is. */
export interface Asked {
  readonly first?: Step
  readonly last: Step
}

const WANTED = 'A story is told of two numbers, or of three in two steps.'
const TRY = 'Give it as 15 - 8, 12 + 8 - 5, 4 * 6 - 5 or 3 * 12 ? 40.'

function stepsOf({ first, terms }: Amount): Asked {
  const [one, two] = terms
  if (!one || terms.length > 2) throw new Refusal(WANTED, TRY)
  const step = (left: Exact, t: typeof one): Step => ({ operation: t.operation, left, right: valueOf(t.number) })
  const last = step(valueOf(first), one)
  if (!two) return { last }
  return { first: last, last: step(WORK[one.operation](valueOf(first), valueOf(one.number)), two) }
}

/** A product with something added, taken away, or taken from something: `4 * 6 - 5`, `40 - 3 * 12`. */
const PRODUCT_FIRST = /^\s*([^-+*×?]+[*×][^-+*×?]+)([-+−])([^-+*×?]+)$/u
const PRODUCT_LAST = /^\s*([^-+*×?]+)[-−]([^-+*×?]+[*×][^-+*×?]+)$/u

/** @throws Refusal where it is no story's work, or what `parseProblem` says of it. */
export function readAsked(typed: string | Problem): Asked {
  if (typeof typed === 'string') {
    const product = PRODUCT_FIRST.exec(typed)
    if (product) {
      const { last: first } = readAsked(product[1]!)
      const left = WORK['*'](first.left, first.right)
      return { first, last: { operation: product[2] === '+' ? '+' : '-', left, right: only(product[3]!) } }
    }
    const taken = PRODUCT_LAST.exec(typed)
    if (taken) {
      const { last: first } = readAsked(taken[2]!)
      return { first, last: { operation: '?', left: WORK['*'](first.left, first.right), right: only(taken[1]!) } }
    }
  }
  const problem = typeof typed === 'string' ? parseProblem(typed) : typed
  if (problem.named || problem.pairs || problem.without) throw new Refusal(WANTED, TRY)
  if (problem.groups && !problem.others) throw new Refusal(WANTED, TRY)
  if (!problem.others) return stepsOf(problem)
  const [other] = problem.others
  if (problem.others.length > 1 || other!.terms.length > 0 || problem.terms.length > 0) throw new Refusal(WANTED, TRY)
  const right = valueOf(other!.first)
  const [group] = problem.groups ?? []
  if (!group) return { last: { operation: '?', left: valueOf(problem.first), right } }
  const first: Step = { operation: '*', left: valueOf(group.count), right: valueOf(group.size) }
  return { first, last: { operation: '?', left: WORK['*'](first.left, first.right), right } }
}
/** One number by itself. */
const only = (text: string): Exact => {
  const { first, terms } = parseProblem(text)
  if (terms.length > 0) throw new Refusal(WANTED, TRY)
  return valueOf(first)
}

/** The amounts of one situation from the step that is worked in it; undefined where it is worked otherwise. */
function amountsOf(cell: Cell, { operation, left, right }: Step): Amounts | undefined {
  const solving = solvingOf(cell)
  if (!solving) return undefined
  if (operation === '?')
    return cell.situation === 'enough' ? completed(cell, { wanted: left, there: right }) : undefined
  if (operation !== solving.operation) return undefined
  // A product is told with its number of groups first, and a part with its whole first, however it was written.
  const turned =
    operation === '*' &&
    ((solving.left === 'number' && !isWhole(left) && isWhole(right)) ||
      (solving.right === 'share' && isWhole(right) && !isWhole(left)))
  const [a, b] = turned ? [right, left] : [left, right]
  return completed(cell, { [solving.left]: a, [solving.right]: b })
}

/** All amounts of a story, those of its first step apart. */
export interface Told {
  readonly roles: Amounts
  readonly before?: Amounts
}

/** The amounts of a kind of story from what is worked in it; undefined where that is worked otherwise. */
export function toldFrom(cell: Cell, asked: Asked): Told | undefined {
  const first = firstOf(cell)
  if ((first === undefined) !== (asked.first === undefined)) return undefined
  const roles = amountsOf(cell, asked.last)
  if (!roles || !first || !asked.first) return roles && { roles }
  const before = amountsOf(first, asked.first)
  const made = before?.[SITUATIONS[first.situation].roles[2]]
  return before && made === roles[handedOn(cell)] ? { roles, before } : undefined
}

/** As `readAsked`, undefined where it cannot be read. */
export const askedIn = (typed: string | Problem): Asked | undefined => {
  const read = attempt(() => readAsked(typed))
  return 'ok' in read ? read.ok : undefined
}
