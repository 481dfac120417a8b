import type { Act } from '../act/act'
import type { Fit } from '../problem/fit'
import type { Choices } from '../choices'
import type { Problem } from '../problem/problem'
import { abacus, beadFrame, stayPut, twoFive } from './abacus/abacus'
import { blocks } from './blocks/blocks'
import { chips } from './chips/chips'
import { columns, touchColumns } from './columns/columns'
import { counters } from './counters/counters'
import { drawn } from './drawn/drawn'
import { equations } from './equations/equations'
import { fingers } from './fingers/fingers'
import { line } from './line/line'
import { nines } from './nines/nines'
import { openline } from './openline/openline'
import { joints } from './joints/joints'
import { signed } from './signed/signed'
import { strips } from './strips/strips'
import { tallies } from './tallies/tallies'
import { plates } from './plates/plates'
import { touch } from './touch/touch'
import { vessel } from './vessel/vessel'
import { friendly, partials, splits } from './writing/pages'
import { nineTricks } from './writing/nineTricks'
import { rule } from './writing/rule'
import { signs } from './writing/signs'
import { REPRESENTATION_IDS, type RepresentationId } from '../materials'
import type { Representation } from './representation'

const ALL: Readonly<Record<RepresentationId, Representation>> = {
  blocks: blocks as Representation,
  chips: chips as Representation,
  drawn: drawn as Representation,
  fingers: fingers as Representation,
  nines: nines as Representation,
  counters: counters as Representation,
  signed: signed as Representation,
  tallies: tallies as Representation,
  plates: plates as Representation,
  strips: strips as Representation,
  vessel: vessel as Representation,
  joints: joints as Representation,
  touch: touch as Representation,
  'touch-columns': touchColumns as Representation,
  columns: columns as Representation,
  line: line as Representation,
  openline: openline as Representation,
  partials: partials as Representation,
  friendly: friendly as Representation,
  splits: splits as Representation,
  'nine-tricks': nineTricks as Representation,
  'fraction-rule': rule as Representation,
  signs: signs as Representation,
  abacus: abacus as Representation,
  'two-five': twoFive as Representation,
  frame: beadFrame as Representation,
  'stay-put': stayPut as Representation,
  equations: equations as Representation,
}

/** Every representation Sett knows, in the order of the one list. */
export const REPRESENTATIONS = Object.fromEntries(REPRESENTATION_IDS.map((id) => [id, ALL[id]])) as typeof ALL

export const isRepresentation = (id: string): id is RepresentationId => Object.hasOwn(REPRESENTATIONS, id)

/** What one representation says to a problem. */
export interface Offer {
  readonly representation: RepresentationId
  readonly title: string
  readonly kind: Representation['kind']
  readonly fits: boolean
  /** Why not, in words; empty where it fits. */
  readonly why: string
  /** Representations that hold it instead. */
  readonly instead: readonly RepresentationId[]
}

/** Which representations can hold a problem, and why the others cannot. */
export function offersFor(problem: Problem, choices?: Choices): readonly Offer[] {
  return Object.values(REPRESENTATIONS).map((r) => {
    const fit: Fit = r.fits(problem, choices)
    return {
      representation: r.id,
      title: r.title,
      kind: r.kind,
      fits: fit.fits,
      why: fit.fits ? '' : fit.why,
      instead: fit.fits ? [] : fit.instead,
    }
  })
}

/** Whether a material lies on a mat of its own; the running equations are the page beside every other. */
export const hasMat = (id: RepresentationId): id is Exclude<RepresentationId, 'equations'> => id !== 'equations'

/** The materials with a mat that hold a problem, in the order in which they are offered. */
export const heldBy = (problem: Problem, choices?: Choices): readonly Exclude<RepresentationId, 'equations'>[] =>
  offersFor(problem, choices).flatMap((o) => (o.fits && hasMat(o.representation) ? [o.representation] : []))

/** What would hold a problem in place of a material, the nearest first: at most three, and only what truly does. */
export function holdersOf(problem: Problem, not: RepresentationId, choices?: Choices): readonly RepresentationId[] {
  const offers = offersFor(problem, choices)
  const nearest = offers.find((o) => o.representation === not)?.instead ?? []
  const holding = offers.filter((o) => o.fits && o.representation !== not && hasMat(o.representation))
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
