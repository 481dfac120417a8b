import type { Act } from '../act/act'
import { isRead, owing, type Standing } from '../act/standing'
import { wholly } from '../act/unfold'
import type { Choices } from '../choices'
import { exact, sign } from '../number/exact'
import { ladderOf, pairPieces, type Units } from '../number/units'
import type { Sort } from '../problem/fit'
import type { Problem } from '../problem/problem'
import { WAY_IDS, type Way, type WayId } from './way'

/** What has been introduced so far (core/introduce.ts). */
const here: Partial<Record<WayId, Way>> = {}

/** Makes ways known. The same one twice is one. */
export function introduceWays(ways: Iterable<Way>): void {
  for (const w of ways) here[w.id] = w
}

const WAYS = here as Readonly<Record<WayId, Way>>

/** Every way introduced, in the order in which a teacher is offered them; the first that suits is the one to start with. */
const introduced = (): readonly Way[] => WAY_IDS.flatMap((id) => here[id] ?? [])

/** Whether a way has been introduced. */
export const isWayHere = (id: WayId): boolean => here[id] !== undefined

/** Whether there is a way of this name at all. */
export const isWay = (id: string): id is WayId => (WAY_IDS as readonly string[]).includes(id)
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
export function nextOf(working: Working, s: Standing): Act | null {
  const known = nexts.get(s)
  const { way, worked, choices } = working
  if (known && known.way === way && known.worked === worked && known.choices === choices) return known.act
  const act = nextAct(working, s)
  nexts.set(s, { way, worked, choices, act })
  return act
}
/** What came of it last: at every move the next act is asked for several times from the same standing. */
const nexts = new WeakMap<Standing, Working & { readonly act: Act | null }>()

function nextAct({ way, worked, choices }: Working, s: Standing): Act | null {
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
  division: (units) => ladderOf(units) !== undefined,
  groups: () => true,
  products: () => true,
  coins: () => true,
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
  return introduced()
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
