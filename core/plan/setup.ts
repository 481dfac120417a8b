import type { Act } from '../act/act'
import { placeOfUnit } from '../number/places'
import type { Units } from '../number/units'
import { sayColumn } from '../speech/columnSum'
import { inFractions, packOf, type WordPack } from '../speech/words'
import { withDefaults, type Choices } from '../choices'
import { isToldIn } from '../language'
import { toProblem } from '../problem/parse'
import { decimalsIn, printProblem, type Problem } from '../problem/problem'
import { Refusal } from '../refusal'
import { holdersOf, isHere, isRepresentation, REPRESENTATIONS } from '../representation/index'
import { standsBeside, unitsFor, type Beside, type RepresentationId } from '../representation/representation'
import { isWay, wayById, waysOf } from '../way/index'
import type { WayId } from '../way/way'

export interface PlanRequest {
  readonly problem: Problem | string
  readonly representation: RepresentationId
  readonly way?: WayId
  readonly choices?: Partial<Choices>
  /** Further representations to work in step. */
  readonly also?: readonly RepresentationId[]
  /** A second representation that is worked by hand too, and matched act by act. */
  readonly both?: RepresentationId | null
}

/** What a bench is set up with, checked: the problem fits the material and the way exists. */
export interface Setup {
  readonly problem: Problem
  /** The problem as the way works it: the greater number first, for one. */
  readonly worked: Problem
  readonly representation: RepresentationId
  readonly way: WayId
  readonly choices: Choices
  /** The pieces that the main material works in; what has come of the problem is told in them. */
  readonly units: Units
  /** All representations worked in step, the main one first. */
  readonly all: readonly RepresentationId[]
  /** The representation that is worked by hand besides, or null. */
  readonly both: RepresentationId | null
}

/** Checks a request. @throws Refusal when the problem does not fit, saying what would hold it. */
export function setUp(request: PlanRequest): Setup {
  const problem = toProblem(request.problem)
  const { representation } = request
  for (const id of [representation, ...(request.also ?? []), ...(request.both ? [request.both] : [])]) {
    if (!isRepresentation(id)) throw new Refusal(`There is no material called “${String(id)}”.`)
    if (!isHere(id)) throw new Refusal('That material is still being fetched: try again in a moment.')
  }
  const choices = spokenWith(representation, withDefaults(request.choices))
  const fit = REPRESENTATIONS[representation].fits(problem, choices)
  if (!fit.fits) {
    const titles = holdersOf(problem, representation, choices).map((id) => REPRESENTATIONS[id].title)
    const hint = titles.length > 0 ? `It would fit on: ${titles.join(', ')}.` : 'No material here holds it yet.'
    // Where the reason already says what to ask, that is the way out.
    throw new Refusal(fit.why, fit.why.includes(': ask ') ? '' : hint)
  }
  const offered = waysOf(problem, REPRESENTATIONS[representation])
  if (offered.length === 0)
    throw new Refusal(`There is no way to work ${printProblem(problem)} with ${REPRESENTATIONS[representation].title}.`)
  const way = request.way ?? offered[0]?.way ?? 'ones-first'
  if (!isWay(way)) throw new Refusal(`There is no way called “${String(way)}”.`)
  if (!offered.some((w) => w.way === way))
    throw new Refusal(
      `${wayById(way).title} is not a way for ${printProblem(problem)} with ${REPRESENTATIONS[representation].title}.`,
      offered.length > 0 ? `Ways for it: ${offered.map((w) => w.title).join(', ')}.` : '',
    )
  const both = request.both ?? null
  if (both !== null) {
    const other = REPRESENTATIONS[both].fits(problem, choices)
    if (both === representation) throw new Refusal('Two different materials are needed to work in both.')
    if (!other.fits) throw new Refusal(other.why)
  }
  const also = (request.also ?? []).filter(
    (id) => id !== representation && id !== both && standsBeside(REPRESENTATIONS[id], problem, choices),
  )
  return {
    problem,
    worked: wayById(way).arrange?.(problem, choices) ?? problem,
    representation,
    way,
    choices,
    units: filled(way, unitsFor(REPRESENTATIONS[representation], problem), problem),
    all: [representation, ...new Set(also)],
    both,
  }
}

/** A material that is not told in the class's language is told in English. */
function spokenWith(id: RepresentationId, choices: Choices): Choices {
  const { words } = choices
  if (typeof words === 'string' || isToldIn(words.language ?? 'en', id)) return choices
  const { language: _, ...english } = words
  return { ...choices, words: english }
}

/** The pieces that a way works in: with empty places filled, where it does so. */
const filled = (way: WayId, units: Units, problem: Problem): Units =>
  wayById(way).fillsPlaces ? { ...units, decimals: decimalsIn(problem) } : units

/** The words of the class, as the problem's numbers are said. */
export const packFor = ({ choices, units }: Pick<Setup, 'choices' | 'units'>): WordPack =>
  units.fractions ? inFractions(packOf(choices.words)) : packOf(choices.words)

/** What every representation of a bench is begun beside. */
export const besideOf = (setup: Setup): Beside => ({
  sort: wayById(setup.way).sort,
  units: setup.units,
  way: setup.way,
  asked: setup.problem,
})

/** What is said of a column of several numbers before its act: the digits added one by one. Empty for every other act. */
export function columnAloud({ way, worked, choices }: Setup, act: Act): string {
  const [only, more] = act.kind === 'join' ? (act.pieces ?? []) : []
  if (way !== 'by-column' || !only || more) return ''
  return sayColumn(worked, placeOfUnit(only.unit) ?? 0, choices.columnSum, packOf(choices.words))
}

/** The setup of the second representation, which is worked by itself. */
export const secondOf = (setup: Setup): Setup => ({
  ...setup,
  representation: setup.both!,
  all: [setup.both!],
  both: null,
})
