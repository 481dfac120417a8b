import type { Act, Sum } from '../act/act'
import { isRead, owing, type Standing } from '../act/standing'
import { exact, negate, sign, sum, type Exact } from '../number/exact'
import { easierParts, partsByDigit, placesIn, productOf, topAndBy, worthOfPart, type Part } from '../problem/product'
import { skipCount } from './counting'
import type { Way } from './way'

/** Multiplying: equal groups, and products in parts (practice, section 13; common practice, no source). */

const asSum = (parts: readonly Part[]): Sum =>
  parts.map(({ count, size }) => ({ operation: '+', times: count, number: size }))
const same = (a: Part, b: Part): boolean =>
  (a.count === b.count && a.size === b.size) || (a.count === b.size && a.size === b.count)

/** The parts not worked yet; each that was worked counts once, in whatever order. */
function missing(parts: readonly Part[], worked: readonly Part[]): readonly Part[] {
  const left = [...worked]
  return parts.filter((part) => {
    const at = left.findIndex((w) => same(w, part))
    if (at >= 0) left.splice(at, 1)
    return at < 0
  })
}

/** Part after part, then all of them together, as `gathered` says. */
function inParts(s: Standing, parts: readonly Part[], gathered: readonly Exact[]): Act | null {
  const rest = owing(s)
  const [next] = missing(parts, s.grouped)
  // What belongs to no part is taken back.
  const [stray] = missing(s.grouped, parts)
  if (stray && sign(stray.count) > 0) return { kind: 'group', count: negate(stray.count), size: stray.size }
  if (next) return { kind: 'group', ...next }
  if (sign(rest) !== 0) return { kind: 'group', count: exact(1), size: rest }
  if (gathered.length > 1 && !s.gathered) return { kind: 'gather', whole: s.value, parts: gathered }
  return isRead(s) ? null : { kind: 'read', value: s.value }
}

/** So many equal groups, one after another, with the running total. */
export const equalGroups: Way = {
  ...skipCount,
  id: 'equal-groups',
  title: 'equal groups',
  school: 'One group after another, each added to what is there: 7, 14, 21.',
  at: 'Rings with as many in each, where every group is seen and the total runs along.',
  sort: 'groups',
  suits: (p) => productOf(p) !== undefined,
}

export const splitGroups: Way = {
  id: 'split-groups',
  title: 'split into easier ones',
  school: 'So many groups are five and some more: 7 × 8 is 5 × 8 and 2 × 8.',
  at: 'An array, where the split is a line between two rows and nothing has to be counted anew.',
  sort: 'groups',
  aim: 'groups',
  suits: (p) => Number(productOf(p)?.count ?? 0) > 1,
  next: (problem, s) => {
    const of = productOf(problem)!
    if (!s.split) return { kind: 'rewrite', left: asSum([of]), right: asSum(easierParts(of)), rule: 'split-groups' }
    const parts = s.split.map((t) => ({ count: t.times ?? exact(1), size: t.number }))
    return inParts(s, parts, parts.map(worthOfPart))
  },
}

export const byParts: Way = {
  id: 'by-parts',
  title: 'part by part',
  school: 'Both numbers are parted; each part is multiplied with each, the greatest first, and all are added.',
  at: 'A rectangle split at the tens, where no part can be forgotten.',
  sort: 'products',
  aim: 'groups',
  suits: (p) => productOf(p) !== undefined,
  next: (problem, s) => {
    const of = productOf(problem)!
    const parts = partsByDigit(of, 'greatest')
    if (!s.split && parts.length > 1)
      return { kind: 'rewrite', left: asSum([of]), right: asSum(parts), rule: 'split-groups' }
    return inParts(s, parts, parts.map(worthOfPart))
  },
}

export const byDigit: Way = {
  id: 'by-digit',
  title: 'digit by digit',
  school: 'The ones first, what is too much carried to the next; a second row for the tens, moved over.',
  at: 'Squared paper, where every product of two digits has its square.',
  sort: 'products',
  aim: 'groups',
  suits: (p) => productOf(p) !== undefined,
  next: (problem, s) => {
    const of = productOf(problem)!
    const parts = partsByDigit(of, 'ones')
    const rows = placesIn(topAndBy(of).by).map((by) => sum(parts.filter((p) => p.count === by).map(worthOfPart)))
    return inParts(s, parts, rows.length > 1 ? rows : parts.map(worthOfPart))
  },
}
