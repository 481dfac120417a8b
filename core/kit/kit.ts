import type { Choices } from '../choices'
import { plan } from '../plan/plan'
import { besideOf, setUp } from '../plan/setup'
import { parseProblem } from '../problem/parse'
import { attempt, Refusal } from '../refusal'
import type { Exact } from '../number/exact'
import { pieceName, type Name, type Units } from '../number/units'
import { REPRESENTATIONS } from '../representation/index'
import type { OutPieces, RepresentationId } from '../representation/representation'
import type { WayId } from '../way/way'

/**
 * How many pieces a lesson needs: of each kind as many as the planned moves have out of the store at one moment at most, over all
 * problems; that many sets, and some to spare (practice, section 16; common practice, no source).
 */

/** What is to be counted out. */
export interface KitWish {
  /** Problems, or problems each with the way it is worked. */
  readonly problems: readonly (string | { readonly problem: string; readonly way: WayId | null })[]
  readonly representation: RepresentationId
  /** The way of all that have none of their own; the material's usual one where this is left out. */
  readonly way?: WayId
  readonly choices?: Partial<Choices>
  readonly learners: number
  /** How many learners share a set; 1 where each has one. */
  readonly sharing?: number
  /** What is added for pieces that get lost, as a share: 0.05 is one in twenty. */
  readonly spare?: number
  /** Packs to be bought, by name. */
  readonly packs?: readonly Pack[]
  /** What is in the cupboard, by kind. */
  readonly have?: Readonly<Record<string, number>>
}

/** A pack that one can buy: so many pieces, of one kind or of several in equal numbers. */
export interface Pack {
  readonly name: string
  readonly kinds: readonly string[]
  readonly size: number
}

/** One kind of piece in a kit. */
export interface KitItem {
  /** The kind by its material's own name, in the singular: `ten`, `plus`, `25`, `plate`. */
  readonly kind: string
  readonly name: Name
  /** What one is worth; nought for what pieces lie on. */
  readonly unit: Exact
  /** The most that lie out at one moment, in one set, and in which problem that is. */
  readonly atOnce: number
  readonly problem: string
  /** For all sets, with spares. */
  readonly total: number
  /** Of frames: how many rods each must have. */
  readonly rods?: number
}

export interface Kit {
  readonly items: readonly KitItem[]
  readonly sets: number
  /** How many of each pack are to be bought, for what the cupboard lacks where that is known. */
  readonly packs: readonly { readonly name: string; readonly count: number }[]
  /** Kinds of which the cupboard has too few. */
  readonly short: readonly { readonly kind: string; readonly wanted: number; readonly have: number }[]
  /** Problems that cannot be worked with it, and why. */
  readonly cannot: readonly { readonly problem: string; readonly why: string }[]
}

export const MOST_KIT_PROBLEMS = 200
export const MOST_KIT_LEARNERS = 400

/** What lies out after every planned move of a problem, the start included. @throws Refusal where it cannot be worked. */
export function momentsOf(
  wish: Pick<KitWish, 'representation' | 'way' | 'choices'>,
  problem: string,
): readonly (readonly OutPieces[])[] {
  const r = REPRESENTATIONS[wish.representation]
  if (!r.out) return []
  const request = {
    problem,
    representation: wish.representation,
    ...(wish.way ? { way: wish.way } : {}),
    ...(wish.choices ? { choices: wish.choices } : {}),
  }
  const setup = setUp(request)
  let state = r.start(setup.worked, setup.choices, besideOf(setup))
  const moments = [r.out(state)]
  for (const step of plan(request).steps)
    for (const move of step.moves[wish.representation] ?? []) {
      state = r.apply(state, move)
      moments.push(r.out(state))
    }
  return moments
}

/** Pieces with their name. */
type Named = OutPieces & { readonly thing: Name }

/** How many of each kind lie out at one moment. */
function counted(moment: readonly OutPieces[], units: Units): ReadonlyMap<string, Named> {
  const kinds = new Map<string, Named>()
  for (const pieces of moment) {
    const thing = pieces.thing ?? ([pieceName(pieces.unit, 1, units), pieceName(pieces.unit, 2, units)] as const)
    const [kind] = thing
    kinds.set(kind, { ...pieces, thing, count: pieces.count + (kinds.get(kind)?.count ?? 0) })
  }
  return kinds
}

/** Each problem in each of its ways, once. */
function workings({
  problems,
  way,
}: KitWish): readonly { readonly problem: string; readonly way: WayId | undefined }[] {
  const all = problems.map((p) =>
    typeof p === 'string' ? { problem: p, way } : { problem: p.problem, way: p.way ?? way },
  )
  return [...new Map(all.map((w) => [`${w.way} ${w.problem}`, w])).values()]
}

/** Counts out a kit. A problem that cannot be worked is told, and the others are counted. @throws Refusal for numbers of learners and problems that are none. */
export function kitFor(wish: KitWish): Kit {
  const { problems, learners, sharing = 1, spare = 0.05, have, packs = [] } = wish
  if (!Number.isInteger(learners) || learners < 1 || learners > MOST_KIT_LEARNERS)
    throw new Refusal(`A kit is for 1 to ${MOST_KIT_LEARNERS} learners.`)
  if (!Number.isInteger(sharing) || sharing < 1) throw new Refusal('A set is shared by one learner or more.')
  if (!(spare >= 0 && spare <= 1)) throw new Refusal('To spare is a share from 0 to 1.')
  if (problems.length > MOST_KIT_PROBLEMS)
    throw new Refusal(`A kit is counted for up to ${MOST_KIT_PROBLEMS} problems.`)
  const units = REPRESENTATIONS[wish.representation].units
  const most = new Map<string, { readonly out: Named; readonly problem: string; readonly rods: number }>()
  const cannot: { problem: string; why: string }[] = []
  for (const { problem, way } of workings(wish)) {
    const here = REPRESENTATIONS[wish.representation].standsIn
    const looked = attempt(() => {
      const read = here ? here(parseProblem(problem)) : units
      return momentsOf({ ...wish, ...(way ? { way } : {}) }, problem).map((moment) => counted(moment, read))
    })
    if ('refused' in looked) {
      cannot.push({ problem, why: looked.refused.message })
      continue
    }
    for (const moment of looked.ok)
      for (const [kind, out] of moment) {
        const there = most.get(kind)
        const rods = Math.max(there?.rods ?? 0, out.rods ?? 0)
        if (!there || out.count > there.out.count) most.set(kind, { out, problem, rods })
        else if (rods > there.rods) most.set(kind, { ...there, rods })
      }
  }
  const sets = Math.ceil(learners / sharing)
  const items = [...most]
    .filter(([, { out }]) => out.count > 0)
    .map(([kind, { out, problem, rods }]): KitItem => ({
      kind,
      name: out.thing,
      unit: out.unit,
      atOnce: out.count,
      problem,
      // A hair less than the whole number above is that number: 312 × 1.05 is 327.6, and 20 × 1.05 just 21.
      total: Math.ceil(out.count * sets * (1 + spare) - 1e-9),
      ...(rods > 0 ? { rods } : {}),
    }))
  const short = have
    ? items.map(({ kind, total }) => ({ kind, wanted: total, have: have[kind] ?? 0 })).filter((s) => s.have < s.wanted)
    : []
  const lacking = new Map(have ? short.map((s) => [s.kind, s.wanted - s.have]) : items.map((i) => [i.kind, i.total]))
  return { items, sets, packs: packs.flatMap((pack) => bought(pack, lacking)), short, cannot }
}

/** How many of a pack have all that is lacking of its kinds; nothing where nothing is. */
function bought({ name, kinds, size }: Pack, lacking: ReadonlyMap<string, number>) {
  const each = size / kinds.length
  const count = Math.max(0, ...kinds.map((kind) => Math.ceil((lacking.get(kind) ?? 0) / each - 1e-9)))
  return count > 0 ? [{ name, count }] : []
}
