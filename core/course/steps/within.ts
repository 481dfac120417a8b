import { DEFAULT_CHOICES } from '../../choices'
import { compare, exact, isWhole, sign, sizeOf, toCount } from '../../number/exact'
import { denominatorOf } from '../../number/fractions'
import { valueOf, type Numeral } from '../../number/numeral'
import { answer, numbersIn, quotientOf, type Problem } from '../../problem/problem'
import { featuresIn, type Features } from '../setter/features'
import { lessonsIn } from '../sameRules'
import { taughtWith } from '../setter/ruled'
import { rangeOf, type BeadRuleLimit, type Limits } from '../setter/limits'

/**
 * Whether a problem is within limits, looked at by what it asks of whoever works it, and not by how the setter counts. Whoever asks of
 * many limits gives its features, so that they are found once.
 */
export function isWithin(problem: Problem, limits: Limits, f: Features = featuresIn(problem)): boolean {
  if (limits.operation === 'rename') return isRenamed(problem, limits)
  if (problem.groups || problem.named || problem.pairs || problem.without || f.operation !== limits.operation)
    return false
  if (problem.terms.some((t) => t.operation !== problem.terms[0]!.operation)) return false
  const numbers = numbersIn(problem)
  if (limits.operation === 'compare') return isCompared(problem, numbers, limits)
  const made = quotientOf(problem)?.value ?? answer(problem)
  if (limits.below !== undefined && compare(made, exact(limits.below)) >= 0) return false
  if (limits.makes !== undefined && compare(made, exact(limits.makes)) !== 0) return false
  if (limits.operation === 'count') return isPlain(numbers[0]!, limits)
  if (limits.denominators)
    return limits.operation === 'multiply'
      ? numbers.length === 2 && isPlain(numbers[0]!, { ...limits, from: 2 }) && isOfParts(numbers.slice(1), limits)
      : numbers.length === 2 && isOfParts(numbers, limits)
  if (numbers.some((n) => n.form === 'fraction')) return false
  if (limits.signs)
    return (
      numbers.length === 2 &&
      numbers.every((n, i) => n.negative === (limits.signs![i] === '-') && isUpTo(n, limits.upTo ?? 10))
    )
  if (numbers.some((n) => n.negative) || sign(made) < 0) return false
  if (f.decimals !== (limits.decimals ?? 0)) return false
  if (limits.digits && (f.digits.length !== limits.digits.length || limits.digits.some((d, i) => d !== f.digits[i])))
    return false
  const [least, most] = rangeOf(limits.carries ?? limits.exchanges, 99)
  if (f.exchanges < least || f.exchanges > most) return false
  if (limits.acrossNought !== undefined && f.acrossNought !== limits.acrossNought) return false
  if (limits.remainder !== undefined && f.remainder !== limits.remainder) return false
  if (limits.ragged !== undefined && f.ragged !== limits.ragged) return false
  if (limits.by && !limits.by.includes(toCount(valueOf(numbers[1]!)))) return false
  if (limits.nearTen !== undefined && !nearTen(numbers, limits)) return false
  return limits.rule === undefined || isByRule(problem, limits.rule)
}

/** A whole number from one to another. */
function isPlain(n: Numeral, { from = 1, upTo = 10 }: Limits): boolean {
  if (n.form === 'fraction' || n.decimals > 0) return false
  const value = valueOf(n)
  return isWhole(value) && compare(value, exact(from)) >= 0 && compare(value, exact(upTo)) <= 0
}

/** A proper fraction that is to have another name with a greater bottom of the list. */
function isRenamed({ first, named }: Problem, { denominators = [] }: Limits): boolean {
  if (named?.kind !== 'parts' || first.form !== 'fraction' || first.whole !== '') return false
  const bottom = Number(first.denominator)
  return (
    denominators.includes(bottom) && denominators.includes(named.of) && named.of > bottom && named.of % bottom === 0
  )
}

function isCompared({ terms, others = [] }: Problem, numbers: readonly Numeral[], limits: Limits): boolean {
  if (terms.length > 0 || others.length !== 1 || numbers.length !== 2) return false
  if (limits.denominators) return isOfParts(numbers, limits)
  return numbers.every((n) => isPlain(n, limits)) && compare(valueOf(numbers[0]!), valueOf(numbers[1]!)) !== 0
}

/** By how the beads of the frame go, as the bench would have them move. */
function isByRule(problem: Problem, rule: BeadRuleLimit): boolean {
  const abacus = { ...DEFAULT_CHOICES.abacus, order: rule.order ?? 'highest' } as const
  const lessons = lessonsIn(problem, 'abacus', { ...DEFAULT_CHOICES, abacus })
  const known = taughtWith(rule)
  return (
    lessons !== undefined && rule.lessons.some((l) => lessons.includes(l)) && lessons.every((l) => known.includes(l))
  )
}

const isUpTo = (n: Numeral, most: number): boolean => {
  const size = sizeOf(valueOf(n))
  return isWhole(size) && sign(size) > 0 && compare(size, exact(most)) <= 0
}

function isOfParts(numbers: readonly Numeral[], { denominators, alike }: Limits): boolean {
  const bottoms = numbers.map((n) => (n.form === 'fraction' && n.whole === '' ? Number(n.denominator) : 0))
  if (!bottoms.every((b) => denominators!.includes(b))) return false
  return alike === undefined || (new Set(bottoms).size === 1) === alike
}

/** Of an addition any number, of taking away the one that is taken. */
function nearTen(numbers: readonly Numeral[], { operation, nearTen: near }: Limits): boolean {
  return (operation === 'subtract' ? numbers.slice(1) : numbers).some((n) => {
    const value = valueOf(n)
    const ones = denominatorOf(value) === 1n ? toCount(value) % 10 : 0
    return ones !== 0 && Math.min(ones, 10 - ones) <= near!
  })
}
