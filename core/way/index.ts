import type { Act } from '../act/act'
import { isRead, owing, type Standing } from '../act/standing'
import { wholly } from '../act/unfold'
import type { Choices } from '../choices'
import { exact, sign } from '../number/exact'
import { ladderOf, pairPieces, type Units } from '../number/units'
import type { Sort } from '../problem/fit'
import type { Problem } from '../problem/problem'
import { countAll, countBack, countOn, countOnFromGreater, countUp, skipCount, takeAway } from './counting'
import { arrows, combineOpposites, decompose } from './arrows'
import { compensate, countBeads } from './beads'
import {
  byPlaces,
  commonParts,
  edgeToEdge,
  numberRule,
  otherNames,
  repeatedParts,
  sameParts,
  wholesApart,
} from './fractions'
import { nines } from './nines'
import { oneLess, tenLess } from './nineTricks'
import { zeroPairs } from './pairs'
import { shareOut } from './sharing'
import { signRule } from './signRule'
import { byColumn, exchangesFirst, onesFirst } from './places'
import type { Way, WayId } from './way'
import { apartWay, hops, hopUp, makeFriendly, overAndBack } from './whole'

/** Every way, in the order in which a teacher is offered them; the first that suits is the one to start with. */
const WAYS: Readonly<Record<WayId, Way>> = {
  'ones-first': onesFirst,
  'exchanges-first': exchangesFirst,
  'by-column': byColumn,
  apart: apartWay,
  hops,
  'make-friendly': makeFriendly,
  'over-and-back': overAndBack,
  'hop-up': hopUp,
  'count-all': countAll,
  'count-on': countOn,
  'count-on-from-greater': countOnFromGreater,
  'take-away': takeAway,
  'count-back': countBack,
  'count-up': countUp,
  'skip-count': skipCount,
  'share-out': shareOut,
  'wholes-apart': wholesApart,
  'same-parts': sameParts,
  'common-parts': commonParts,
  'edge-to-edge': edgeToEdge,
  'other-names': otherNames,
  'repeated-parts': repeatedParts,
  'by-places': byPlaces,
  'number-rule': numberRule,
  pairs: zeroPairs,
  arrows,
  'combine-opposites': combineOpposites,
  decompose,
  'sign-rule': signRule,
  nines,
  'one-less': oneLess,
  'ten-less': tenLess,
  compensate,
  'count-beads': countBeads,
}

export const isWay = (id: string): id is WayId => Object.hasOwn(WAYS, id)
export const wayById = (id: WayId): Way => WAYS[id]

/** What a way is worked with. */
interface Working {
  readonly way: WayId
  readonly worked: Problem
  readonly choices: Choices
}

/**
 * The next act of a way from where a problem stands, or null when it is worked and read. Where a hand has begun something that the
 * way is not after (a count in steps, in a way that adds), it is finished in one.
 */
export function nextOf({ way, worked, choices }: Working, s: Standing): Act | null {
  const { aim = 'total', next } = WAYS[way]
  if (s.aim.kind === 'total' || s.aim.kind === aim) return next(worked, s, choices)
  const rest = owing(s)
  if (sign(rest) !== 0) return wholly({ kind: 'join', amount: rest })
  return isRead(s) ? null : { kind: 'read', value: s.value }
}

/** One way a classroom may choose for a problem. */
export interface WayOffer {
  readonly way: WayId
  readonly title: string
  readonly school: string
  /** Which materials it suits, and why. */
  readonly at: string
  readonly default: boolean
}

/** What a material says of ways: its pieces, for which sorts its hands are made, which it cannot do, and which it starts with. */
interface Workable {
  readonly units: Units
  standsIn?(problem: Problem): Units
  readonly sorts: readonly Sort[]
  allows?(way: string, problem: Problem): boolean
  readonly prefers?: readonly string[]
}

/** What each sort of way needs of a material's pieces. */
const NEEDS: Readonly<Record<Sort, (units: Units) => boolean>> = {
  places: (units) => (ladderOf(units)?.length ?? 0) > 0,
  parts: (units) => units.worths.length > 1,
  whole: () => true,
  counting: (units) => units.worths.includes(exact(1)),
  nines: (units) => ladderOf(units)?.[0]?.times === 10,
  beads: (units) => ladderOf(units)?.every((r) => r.times === 10) ?? false,
  sharing: (units) => ladderOf(units) !== undefined,
  pairs: (units) => pairPieces(1, units).length > 0,
  arrows: () => true,
  signs: () => true,
  fractions: (units) => units.worths.includes(exact(1)),
  'nine-tricks': () => true,
  'number-rule': (units) => units.fractions ?? false,
}

/** The ways in which a problem can be worked in a material, the default first. */
export function waysOf(problem: Problem, material: Workable): readonly WayOffer[] {
  const units = material.standsIn?.(problem) ?? material.units
  const rank = (w: Way): number => (material.prefers?.includes(w.id) ? -1 : material.sorts.indexOf(w.sort))
  return Object.values(WAYS)
    .filter(
      (w) =>
        material.sorts.includes(w.sort) &&
        NEEDS[w.sort](units) &&
        w.suits(problem) &&
        (material.allows?.(w.id, problem) ?? true),
    )
    .sort((a, b) => rank(a) - rank(b))
    .map((w, i) => ({ way: w.id, title: w.title, school: w.school, at: w.at, default: i === 0 }))
}
