import { valueOf, type Numeral } from '../number/numeral'
import { compare, isWhole, sign, ZERO, type Exact } from '../number/exact'
import { heapOf, heapProblem } from '../problem/heap'
import { features, featuresOf, sameFeatures } from '../problem/features'
import {
  asksMore,
  decimalsIn,
  printProblem,
  totals,
  WORKED,
  writesFractions,
  type Problem,
  type Term,
} from '../problem/problem'
import { sameParts } from './sameParts'
import { seeded, between, type Random } from './random'

/** How many problems are begun, and how many numbers are tried for each of their terms. */
const BEGINNINGS = 400
const TRIES = 60

/** A number written with as many digits, before and after the point, as `like`, chosen by chance. */
function sized(like: Numeral, random: Random): Numeral {
  if (like.form === 'fraction') return like
  const digits = like.digits.replace(/^0+(?=.)/, '')
  if (digits === '0') return like
  const lowest = digits.length === 1 ? 1 : 10 ** (digits.length - 1)
  const chosen = String(between(random, lowest, 10 ** digits.length - 1))
  return { ...like, digits: chosen.padStart(like.decimals + 1, '0') }
}

/** Another heap of the same kinds, each as often as not to be seen as another sort of heap: one where there was one, else two to nine. */
function sameHeap(
  problem: Problem,
  seed: number,
  avoid: readonly string[],
  suits: (problem: Problem) => boolean,
): Problem | undefined {
  const random = seeded(seed)
  const heap = heapOf(problem)!
  const used = new Set([printProblem(problem), ...avoid])
  for (let tried = 0; tried < BEGINNINGS; tried++) {
    const made = heapProblem(
      heap.map((k) => ({ value: k.value, count: k.count < 2 ? k.count : between(random, 2, 9) })),
    )
    if (!used.has(printProblem(made)) && suits(made)) return made
  }
  return undefined
}

/**
 * Another problem that asks the same of the learner: as many numbers of as many digits, the same operations, and
 * exchanges at the same places. The same seed gives the same problem. `avoid` holds problems (as text) not to set again; `suits` says
 * what the material on the mat can hold; `soFar` is asked of the problem as far as it has come, number by number, where more than
 * the exchanges has to be alike.
 * Undefined where none was found, which happens when the kind has hardly any members.
 */
export function sameKind(
  problem: Problem,
  seed: number,
  avoid: readonly string[] = [],
  suits: (problem: Problem) => boolean = () => true,
  soFar: (part: Problem) => boolean = () => true,
): Problem | undefined {
  if (writesFractions(problem) || asksMore(problem)) return sameParts(problem, seed, avoid, suits)
  if (problem.groups) return sameHeap(problem, seed, avoid, suits)
  const decimals = decimalsIn(problem)
  const wanted = features(problem)
  const random = seeded(seed)
  const used = new Set([printProblem(problem), ...avoid])
  const reached = totals(problem)
  const below = reached.some((t) => sign(t) < 0)

  /** A term that asks the same as the original's does, after a part whose total is known; undefined where none comes by chance. */
  function termLike(part: Problem, total: Exact): { readonly term: Term; readonly total: Exact } | undefined {
    const i = part.terms.length
    const { operation, number } = problem.terms[i]!
    // A division that leaves something over is another kind than one that comes out.
    const comesOut = isWhole(reached[i + 1]!)
    for (let n = 0; n < TRIES; n++) {
      const term = { operation, number: sized(number, random) }
      const value = valueOf(term.number)
      if (operation === '/' && value === ZERO) continue
      const next = WORKED[operation](total, value)
      if ((compare(next, ZERO) < 0 && !below) || (operation === '/' && isWhole(next) !== comesOut)) continue
      if (!sameFeatures(featuresOf(total, term, decimals), wanted[i]!)) continue
      if (soFar({ ...part, terms: [...part.terms, term] })) return { term, total: next }
    }
    return undefined
  }

  for (let begun = 0; begun < BEGINNINGS; begun++) {
    const first = sized(problem.first, random)
    const terms: Term[] = []
    let total = valueOf(first)
    while (terms.length < problem.terms.length) {
      const found = termLike({ first, terms }, total)
      if (!found) break
      terms.push(found.term)
      total = found.total
    }
    const made: Problem = { first, terms, ...(problem.pairs ? { pairs: problem.pairs } : {}) }
    if (terms.length === problem.terms.length && !used.has(printProblem(made)) && suits(made)) return made
  }
  return undefined
}
