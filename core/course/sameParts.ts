import { compare, exact, isWhole, sign, type Exact } from '../number/exact'
import { gcd, wholeAndRest } from '../number/fractions'
import { valueOf, type Numeral } from '../number/numeral'
import { amountsOf, printProblem, totals, type Amount, type Problem } from '../problem/problem'
import { between, seeded, type Random } from './random'

const TRIES = 400

const lowest = (n: Numeral): boolean => n.form === 'fraction' && gcd(BigInt(n.numerator), BigInt(n.denominator)) === 1n

/** A number of the same make: the same denominator, as many digits before it, in lowest terms or not. */
function alike(n: Numeral, random: Random): Numeral {
  const digits = (text: string): string => {
    const size = text.replace(/^0+(?=.)/, '').length
    return String(between(random, size === 1 ? 1 : 10 ** (size - 1), 10 ** size - 1))
  }
  if (n.form === 'places') return { ...n, digits: digits(n.digits).padStart(n.decimals + 1, '0') }
  const bottom = Number(n.denominator)
  const improper = Number(n.numerator) >= bottom
  const top = improper ? between(random, bottom, 2 * bottom) : between(random, 1, bottom - 1)
  return { ...n, whole: n.whole === '' ? '' : digits(n.whole), numerator: String(top) }
}

const amountLike = ({ first, terms }: Amount, random: Random): Amount => ({
  first: alike(first, random),
  terms: terms.map((t) => ({ ...t, number: alike(t.number, random) })),
})

/** What a sum asks besides its denominators: whether its parts make a whole, or a whole has to be broken for them. */
function crossings(amount: Amount): string {
  const reached = totals(amount)
  return amount.terms
    .map(({ operation, number }, i) => {
      const [before, after] = [wholeAndRest(reached[i]!).whole, wholeAndRest(reached[i + 1]!).whole]
      const by = wholeAndRest(valueOf(number)).whole
      const straight = operation === '-' ? exact(BigInt(before) - BigInt(by)) : exact(BigInt(before) + BigInt(by))
      return after === straight ? 'straight' : 'across'
    })
    .join()
}

const signsOf = (values: readonly Exact[]): string => values.map(sign).join()

/**
 * Another problem with parts of a whole that asks the same of the learner: the same denominators and operations, wholes crossed at the
 * same places, amounts that differ or are equal as before. The same seed gives the same problem. Undefined where none was found.
 */
export function sameParts(
  problem: Problem,
  seed: number,
  avoid: readonly string[] = [],
  suits: (problem: Problem) => boolean = () => true,
): Problem | undefined {
  const random = seeded(seed)
  const used = new Set([printProblem(problem), ...avoid])
  const { others, named, terms } = problem
  const product = terms[0]?.operation === '*'
  const wantsLowest = named !== undefined && lowest(problem.first)
  const equal = (p: Problem): boolean => new Set(amountsOf(p)).size < amountsOf(p).length
  for (let i = 0; i < TRIES; i++) {
    const own = amountLike(problem, random)
    // A part repeated once is no repeating.
    const first = product && valueOf(own.first) === '1' ? { ...own, first: problem.first } : own
    const made: Problem = {
      ...first,
      ...(others ? { others: others.map((o) => amountLike(o, random)) } : {}),
      ...(named ? { named } : {}),
    }
    if (used.has(printProblem(made)) || !suits(made)) continue
    if (named && lowest(made.first) !== wantsLowest) continue
    if (!product && crossings(made) !== crossings(problem)) continue
    if (signsOf(totals(made)) !== signsOf(totals(problem)) || equal(made) !== equal(problem)) continue
    if (isWhole(totals(made).at(-1)!) !== isWhole(totals(problem).at(-1)!)) continue
    if (others && compare(amountsOf(made)[0]!, exact(0)) < 0) continue
    return made
  }
  return undefined
}
