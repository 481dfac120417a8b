import { add, compare, negate, sign, subtract, toCount, ZERO, type Exact } from '../number/exact'
import { valueOf } from '../number/numeral'
import { addCounts, digitsOf, noCounts, worth, type Counts } from '../number/places'
import { answer, decimalsIn, type Problem, type Sign } from '../problem/problem'
import { change, countsOf, goalOf, type Act, type BeginAct } from './act'

/**
 * How far a problem of whole numbers has come, told from its acts alone, so that it holds for any material with places.
 * A way decides the next act from this and nothing else.
 */
export interface Standing {
  readonly value: Exact
  /** How many places below the ones are kept. */
  readonly decimals: number
  /** How many stand in each place, the lowest first. */
  readonly counts: Counts
  /** How many numbers of the chain have been begun, the first included. */
  readonly begun: number
  /** What is being done with the number begun last; the first number is laid. */
  readonly doing: 'lay' | Sign
  /** Whether the first number has been laid at all; a first number of nought is laid too. */
  readonly laid: boolean
  /** Of the number begun last: what has not been posed yet, and what has not been laid, joined or taken yet. */
  readonly unposed: Exact
  readonly left: Counts
  /** How many of the numbers begun have been parted, and whether what stands has been gathered into one number again. */
  readonly parted: number
  readonly gathered: boolean
  /** The count that was begun in steps, if one was. */
  readonly begunCount: BeginAct | null
  /** The last reading, until something changes after it. */
  readonly read: Exact | null
}

export function standingAtStart(problem: Problem, width: number): Standing {
  const first = valueOf(problem.first)
  const decimals = decimalsIn(problem)
  return {
    value: ZERO,
    decimals,
    counts: noCounts(width + decimals),
    begun: 1,
    doing: 'lay',
    laid: false,
    unposed: ZERO,
    left: digitsOf(first, width + decimals, decimals),
    parted: 0,
    gathered: true,
    begunCount: null,
    read: null,
  }
}

/** What the number begun last still owes, as one amount; below nought where too much was done. */
export const owing = (s: Standing): Exact => worth(s.left, s.decimals)

/** Whether the number begun last has been worked in wholly. */
export const termDone = (s: Standing): boolean => s.laid && sign(owing(s)) === 0 && compare(s.unposed, ZERO) <= 0

/** The standing after an act. */
export function stand(problem: Problem, s: Standing, act: Act): Standing {
  const { decimals } = s
  const width = s.counts.length
  switch (act.kind) {
    case 'read':
      return { ...s, read: act.value }
    case 'pose':
      return pose(problem, act.leaves ? settled(s) : s, act.operation, act.amount)
    case 'begin':
      return {
        ...s,
        laid: true,
        begun: problem.terms.length + 1,
        doing: '+',
        unposed: ZERO,
        left: addCounts(digitsOf(goalOf(act), width, decimals), s.counts, -1),
        begunCount: act,
        read: null,
      }
    case 'group': {
      const [moved, by] = [change(act), sign(act.count)]
      const counts = addCounts(s.counts, digitsOf(by < 0 ? negate(moved) : moved, width, decimals), by)
      return {
        ...s,
        laid: true,
        begun: problem.terms.length + 1,
        doing: '+',
        unposed: ZERO,
        value: add(s.value, moved),
        counts,
        left: addCounts(digitsOf(answer(problem), width, decimals), counts, -1),
        read: null,
      }
    }
    case 'count': {
      const along = (s.doing === '-' ? -1 : 1) * toCount(act.by)
      return {
        ...s,
        value: add(s.value, act.by),
        counts: addCounts(s.counts, [toCount(act.by)]),
        left: addCounts(s.left, [along], -1),
        read: null,
      }
    }
    case 'exchange': {
      const moved = addCounts(countsOf([act.to], width, decimals), countsOf([act.from], width, decimals), -1)
      return { ...s, counts: addCounts(s.counts, moved), gathered: false, read: null }
    }
    case 'split':
      return { ...s, parted: s.begun }
    case 'gather':
      return act.whole === s.value ? { ...s, counts: digitsOf(s.value, width, decimals), gathered: true } : s
    case 'lay':
    case 'join':
    case 'take': {
      const pieces = act.pieces ? countsOf(act.pieces, width, decimals) : digitsOf(act.amount, width, decimals)
      const way = act.kind === 'take' ? -1 : 1
      // What is wanted shrinks when the act goes the way the term goes, and grows when it goes against it.
      const along = s.doing === '-' ? -way : way
      const value = add(s.value, change(act))
      const [counts, left] = [addCounts(s.counts, pieces, way), addCounts(s.left, pieces, -along)]
      // A number worked whole leaves whole numbers: places are the material's own affair.
      const whole = (n: Exact, raw: Counts): Counts => (act.pieces || sign(n) < 0 ? raw : digitsOf(n, width, decimals))
      return {
        ...s,
        laid: true,
        value,
        counts: whole(value, counts),
        left: whole(worth(left, decimals), left),
        gathered: act.kind === 'lay' || !act.pieces,
        read: null,
      }
    }
  }
}

/** The number in hand taken as done, whatever is owed of it. */
const settled = (s: Standing): Standing => ({ ...s, left: noCounts(s.left.length), unposed: ZERO, laid: true })

/** What is set beside before its turn, or against the sign, changes nothing of what is owed. */
function pose(problem: Problem, s: Standing, operation: Sign, amount: Exact): Standing {
  if (compare(s.unposed, ZERO) > 0)
    return s.doing === operation ? { ...s, unposed: subtract(s.unposed, amount), read: null } : s
  const term = problem.terms[s.begun - 1]
  if (!term || term.operation !== operation) return s
  const number = valueOf(term.number)
  const digits = digitsOf(number, s.counts.length, s.decimals)
  // Several addends may be written beneath one another before any is worked in.
  const together = s.doing === '+' && operation === '+' && s.begun > 1 && compare(s.unposed, ZERO) === 0
  if (!termDone(s) && !together) return s
  return {
    ...s,
    begun: s.begun + 1,
    doing: operation,
    unposed: subtract(number, amount),
    left: termDone(s) ? digits : addCounts(s.left, digits),
    read: null,
  }
}
