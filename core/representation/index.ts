import type { Act } from '../act/act'
import type { Fit } from '../problem/fit'
import type { Choices } from '../choices'
import type { Problem } from '../problem/problem'
import { REPRESENTATION_IDS, type RepresentationId } from '../materials'
import { remembered } from './remembered'
import { standsBeside, type Representation } from './representation'

/** What has been introduced so far (core/introduce.ts). */
const here: Partial<Record<RepresentationId, Representation>> = {}

/** Makes materials known. The same one twice is one. */
export function introduceMaterials(materials: Iterable<Representation>): void {
  for (const r of materials)
    here[r.id] ??= {
      ...r,
      apply: remembered(r.apply as (state: object, move: object) => object) as Representation['apply'],
    }
}

/** Every representation that has been introduced: in Node all of them, in a browser those whose code has been fetched. */
export const REPRESENTATIONS = here as Readonly<Record<RepresentationId, Representation>>

/** The same, in the order of the one list. */
const introduced = (): readonly Representation[] => REPRESENTATION_IDS.flatMap((id) => here[id] ?? [])

/** Whether there is a material of this name at all. */
export const isRepresentation = (id: string): id is RepresentationId =>
  Object.hasOwn(here, id) || (REPRESENTATION_IDS as readonly string[]).includes(id)

/** Whether a material has been introduced. */
export const isHere = (id: RepresentationId): boolean => here[id] !== undefined

/** What one representation says to a problem. */
export interface Offer {
  readonly representation: RepresentationId
  readonly title: string
  readonly kind: Representation['kind']
  readonly fits: boolean
  /** Whether it holds the problem only just, so that others are offered before it. */
  readonly stretched: boolean
  /** Whether it can stand beside the problem in step, worked on it or not. */
  readonly beside: boolean
  /** Why not, in words; empty where it fits. */
  readonly why: string
  /** Representations that hold it instead. */
  readonly instead: readonly RepresentationId[]
}

/** Which representations can hold a problem, and why the others cannot. */
export function offersFor(problem: Problem, choices?: Choices): readonly Offer[] {
  return introduced().map((r) => {
    const fit: Fit = r.fits(problem, choices)
    return {
      representation: r.id,
      title: r.title,
      kind: r.kind,
      fits: fit.fits,
      stretched: fit.fits && fit.stretched === true,
      beside: standsBeside(r, problem, choices),
      why: fit.fits ? '' : fit.why,
      instead: fit.fits ? [] : fit.instead,
    }
  })
}

/** Whether a material lies on a mat of its own; the running equations are the page beside every other. */
export const hasMat = (id: RepresentationId): id is Exclude<RepresentationId, 'equations'> => id !== 'equations'

/** Offers in their order, but for those that hold the problem only just: they come last. */
const inOrder = (offers: readonly Offer[]): readonly Offer[] =>
  [...offers].sort((a, b) => Number(a.stretched) - Number(b.stretched))

/** The materials with a mat that hold a problem, in the order in which they are offered. */
export const heldBy = (problem: Problem, choices?: Choices): readonly Exclude<RepresentationId, 'equations'>[] =>
  inOrder(offersFor(problem, choices)).flatMap((o) => (o.fits && hasMat(o.representation) ? [o.representation] : []))

/** What would hold a problem in place of a material, the nearest first: at most three, and only what truly does. */
export function holdersOf(problem: Problem, not: RepresentationId, choices?: Choices): readonly RepresentationId[] {
  const offers = offersFor(problem, choices)
  const nearest = offers.find((o) => o.representation === not)?.instead ?? []
  const holding = inOrder(offers).filter((o) => o.fits && o.representation !== not && hasMat(o.representation))
  const near = holding.filter((o) => nearest.includes(o.representation))
  return (near.length > 0 ? near : holding).slice(0, 3).map((o) => o.representation)
}

/** Whether an act leaves a representation nothing to do, so that it goes by without a hand being moved. */
export const isSilent = (r: Representation, state: unknown, act: Act): boolean => {
  try {
    return r.perform(state, act).length === 0
  } catch {
    return false
  }
}
