import { add, compare, divide, negate, sign, sizeOf, subtract, toCount, ZERO, type Exact } from '../number/exact'
import { valueOf, type Numeral } from '../number/numeral'
import {
  addPieces,
  opposite,
  pairPieces,
  piecesFor,
  piecesOfNumeral,
  worthOf,
  type Pieces,
  type Units,
} from '../number/units'
import type { Part } from '../problem/product'
import { answer, quotientOf, type Problem, type Sign } from '../problem/problem'
import { change, goalOf, inUnits, type Act, type BeginAct, type CompareAct, type RewriteRule, type Sum } from './act'

/** What the work is after. Each says by itself how much is still owed. */
export type Aim =
  /** The total of a chain: one number after another is worked in. */
  | { readonly kind: 'total' }
  /** A count begun in equal steps: where it leads, or how many steps that takes. */
  | { readonly kind: 'steps'; readonly begun: BeginAct }
  /** So many groups of a size, all at once: `goal` in all. */
  | { readonly kind: 'groups'; readonly goal: Exact }
  /** The number laid, dealt out to `among`; `dealt` is what has gone to all of them together. */
  | { readonly kind: 'share'; readonly among: Exact; readonly dealt: readonly Pieces[] }

/**
 * How far a problem has come, told from its acts alone, in the pieces of one material. A way decides the next act from this and
 * nothing else.
 */
export interface Standing {
  readonly units: Units
  readonly value: Exact
  /** What stands there, kind by kind, the greatest first. */
  readonly held: readonly Pieces[]
  readonly aim: Aim
  /** How many numbers of the chain have been begun, the first included. */
  readonly begun: number
  /** What is being done with the number begun last; the first number is laid. */
  readonly doing: 'lay' | Sign
  /** Whether the first number has been laid at all; a first number of nought is laid too. */
  readonly laid: boolean
  /** Of the number begun last: what has not been posed yet, and what has not been laid, joined or taken yet. */
  readonly unposed: Exact
  readonly left: readonly Pieces[]
  /** How many of the numbers begun have been parted, and whether what stands has been gathered into one number again. */
  readonly parted: number
  readonly gathered: boolean
  /** By which rules what is asked was written another way, since a number was last asked or worked in. */
  readonly rewritten: readonly RewriteRule[]
  /** Into which parts a product was split last, and which parts have been worked. */
  readonly split: Sum | null
  readonly grouped: readonly Part[]
  /** The last reading, until something changes after it; of a sharing, how many each has, and what was said to be left over. */
  readonly read: Exact | null
  readonly remainder: Exact | null
  /** How the number read was written, where that was said. */
  readonly as: string | null
  /** What has been set beside, to be held against what stands there, and the comparison made last. */
  readonly others: readonly (readonly Pieces[])[]
  readonly compared: CompareAct | null
}

/** A number in the pieces of a material; one that they do not make is one piece of its own worth, which is worked whole. */
function inPieces(value: Exact, units: Units, numeral?: Numeral): readonly Pieces[] {
  const pieces = numeral ? piecesOfNumeral(numeral, value, units) : piecesFor(value, units)
  if (pieces) return pieces
  return sign(value) < 0 ? opposite(inPieces(negate(value), units)) : [{ count: 1, unit: value }]
}

/** The zero pairs that are asked for with the first number, where a material has pieces of both signs. */
const pairsOf = ({ pairs }: Problem, units: Units): readonly Pieces[] => (pairs ? pairPieces(pairs, units) : [])

export function standingAtStart(problem: Problem, units: Units): Standing {
  return {
    units,
    value: ZERO,
    held: [],
    aim: { kind: 'total' },
    begun: 1,
    doing: 'lay',
    laid: false,
    unposed: ZERO,
    left: addPieces(inPieces(valueOf(problem.first), units, problem.first), pairsOf(problem, units)),
    parted: 0,
    gathered: true,
    rewritten: [],
    split: null,
    grouped: [],
    read: null,
    remainder: null,
    as: null,
    others: [],
    compared: null,
  }
}

/** What is still owed, as one amount; below nought where too much was done. Of a sharing nothing is owed: it is dealt as far as it goes. */
export function owing({ aim, left, value }: Pick<Standing, 'aim' | 'left' | 'value'>): Exact {
  switch (aim.kind) {
    case 'total':
      return worthOf(left)
    case 'steps':
      return subtract(goalOf(aim.begun), value)
    case 'groups':
      return subtract(aim.goal, value)
    case 'share':
      return ZERO
  }
}

/** Whether work has come further from what is asked: more is owed than before, or too much was done. */
export function leadsAway(before: Standing, after: Standing): boolean {
  const [was, is] = [owing(before), owing(after)]
  return sign(is) === -sign(was) || compare(sizeOf(is), sizeOf(was)) > 0
}

/** Whether what was begun last has been worked in wholly. */
export const termDone = (s: Standing): boolean => s.laid && sign(owing(s)) === 0 && compare(s.unposed, ZERO) <= 0

/** Whether all that the problem asks has been worked in, so that only reading is left. */
export const allDone = (problem: Problem, s: Standing): boolean =>
  termDone(s) && (s.aim.kind !== 'total' || s.begun > problem.terms.length)

/** The count in steps that was begun, if the work is after one. */
export const stepsOf = ({ aim }: Standing): BeginAct | null => (aim.kind === 'steps' ? aim.begun : null)

/** What each has of a sharing so far, where all have the same. */
export const shareOf = ({ aim }: Standing): Exact =>
  aim.kind === 'share' ? divide(worthOf(aim.dealt), aim.among) : ZERO

/** Whether the last reading is just what stands there. */
export const isRead = ({ read, value }: Standing): boolean => read === value

/** A row of what lies beside after pieces went from it and others came. */
const changedRow = (s: Standing, row: number, gone: readonly Pieces[], came: readonly Pieces[]): Standing => {
  const others = [...s.others]
  while (others.length < row) others.push([])
  others[row - 1] = addPieces(addPieces(others[row - 1]!, gone, -1), came)
  return { ...s, others }
}

/** The parts worked, with one more; what is taken back goes off again. */
function regrouped(grouped: readonly Part[], { count, size }: Part): readonly Part[] {
  if (sign(count) > 0) return [...grouped, { count, size }]
  const at = grouped.findIndex((p) => p.size === size && p.count === negate(count))
  return at < 0 ? [...grouped, { count, size }] : grouped.filter((_, i) => i !== at)
}

/** The standing after an act, whatever pieces it names. */
export function stand(problem: Problem, before: Standing, made: Act): Standing {
  const act = inUnits(made, before.units)
  // What was said of it holds no longer, once something changes.
  const s = before.compared && made.kind !== 'compare' ? { ...before, compared: null } : before
  if (!act) return { ...s, read: null }
  switch (act.kind) {
    case 'read':
      return { ...s, read: act.value, remainder: act.remainder ?? null, as: act.as ?? null }
    case 'compare':
      return { ...s, compared: act }
    case 'beside':
      return { ...changedRow(s, act.row, [], act.pieces ?? inPieces(act.amount, s.units)), read: null }
    case 'pose':
      return pose(problem, act.leaves ? settled(s) : s, act)
    case 'begin':
      return { ...s, laid: true, aim: { kind: 'steps', begun: act }, read: null }
    case 'group': {
      const value = add(s.value, change(act))
      const aim: Aim = { kind: 'groups', goal: answer(problem) }
      const held = act.pieces ? addPieces(s.held, act.pieces, toCount(act.count)) : inPieces(value, s.units)
      // The first part is one number already; with a second there is something to be gathered.
      const gathered = s.value === ZERO
      return { ...s, laid: true, aim, value, held, gathered, grouped: regrouped(s.grouped, act), read: null }
    }
    case 'count': {
      const held = addPieces(s.held, inPieces(act.by, s.units))
      const left = addPieces(s.left, inPieces(act.by, s.units), s.doing === '-' ? 1 : -1)
      return { ...s, value: add(s.value, act.by), held, left, read: null }
    }
    case 'exchange':
      if (act.aside === 0) return { ...s, left: addPieces(addPieces(s.left, act.from, -1), act.to), read: null }
      if (act.aside !== undefined) return { ...changedRow(s, act.aside, act.from, act.to), read: null }
      return { ...s, held: addPieces(addPieces(s.held, act.from, -1), act.to), gathered: false, read: null }
    case 'share': {
      const dealt = s.aim.kind === 'share' ? s.aim.dealt : []
      const among = quotientOf(problem)?.by ?? act.among
      return {
        ...s,
        aim: { kind: 'share', among, dealt: addPieces(dealt, act.each, Number(act.among)) },
        value: add(s.value, change(act)),
        held: addPieces(s.held, act.each, -Number(act.among)),
        read: null,
      }
    }
    case 'rewrite':
      return {
        ...s,
        rewritten: [...s.rewritten, act.rule],
        ...(act.rule === 'split-groups' ? { split: act.right } : {}),
        read: null,
      }
    case 'split':
      return { ...s, parted: s.begun }
    case 'gather':
      return act.whole === s.value ? { ...s, held: inPieces(s.value, s.units), gathered: true } : s
    case 'lay':
    case 'join':
    case 'take': {
      const pieces = act.pieces ?? inPieces(act.amount, s.units)
      const way = act.kind === 'take' ? -1 : 1
      // What is wanted shrinks when the act goes the way the term goes, and grows when it goes against it.
      const along = s.doing === '-' ? -way : way
      const value = add(s.value, change(act))
      const [held, left] = [addPieces(s.held, pieces, way), addPieces(s.left, pieces, -along)]
      // A number worked whole leaves whole numbers: how it lies is the material's own affair.
      const whole = (n: Exact, raw: readonly Pieces[]): readonly Pieces[] =>
        act.pieces || sign(n) < 0 ? raw : inPieces(n, s.units)
      return {
        ...s,
        laid: true,
        value,
        held: whole(value, held),
        left: whole(worthOf(left), left),
        gathered: act.kind === 'lay' || !act.pieces,
        rewritten: [],
        read: null,
      }
    }
  }
}

/** The number in hand taken as done, whatever is owed of it. */
const settled = (s: Standing): Standing => ({ ...s, left: [], unposed: ZERO, laid: true })

/** What is set beside before its turn, or against the sign, changes nothing of what is owed. */
function pose(problem: Problem, s: Standing, act: Extract<Act, { kind: 'pose' }>): Standing {
  const { operation, amount } = act
  if (compare(s.unposed, ZERO) > 0)
    return s.doing === operation ? { ...s, unposed: subtract(s.unposed, amount), read: null } : s
  const term = problem.terms[s.begun - 1]
  if (!term || term.operation !== operation || s.aim.kind !== 'total') return s
  const number = valueOf(term.number)
  const pieces = act.pieces && worthOf(act.pieces) === number ? act.pieces : inPieces(number, s.units, term.number)
  // Several addends may be written beneath one another before any is worked in.
  const together = s.doing === '+' && operation === '+' && s.begun > 1 && compare(s.unposed, ZERO) === 0
  if (!termDone(s) && !together) return s
  return {
    ...s,
    begun: s.begun + 1,
    doing: operation,
    unposed: subtract(number, amount),
    left: termDone(s) ? pieces : addPieces(s.left, pieces),
    rewritten: [],
    read: null,
  }
}
