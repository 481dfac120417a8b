import type { Act } from '../act/act'
import { stand, standingAtStart, type Standing } from '../act/standing'
import { withDefaults, type Choices } from '../choices'
import type { Exact } from '../number/exact'
import { MAX_DIGITS } from '../number/numeral'
import { answer, printProblem, toProblem, type Problem } from '../problem/problem'
import { Refusal } from '../refusal'
import { REPRESENTATIONS, isRepresentation } from '../representation/index'
import { equations } from '../representation/equations/equations'
import { applyAll, type RepresentationId } from '../representation/representation'
import { sayAct } from '../speech/say'
import { WORD_PACKS } from '../speech/words'
import { isWay, wayById, waysOf } from '../way/index'
import type { WayId } from '../way/way'
import { write, type WrittenLine } from './lines'

export interface PlanRequest {
  readonly problem: Problem | string
  readonly representation: RepresentationId
  readonly way?: WayId
  readonly choices?: Partial<Choices>
  /** Further representations to work in step. */
  readonly also?: readonly RepresentationId[]
}

export interface PlanStep {
  readonly act: Act
  readonly say: string
  /** What the mat is worth after the step. */
  readonly shows: Exact
  /** The moves that do it, by representation. */
  readonly moves: Readonly<Partial<Record<RepresentationId, readonly unknown[]>>>
  readonly lines: readonly WrittenLine[]
}

export interface Plan {
  readonly problem: Problem
  readonly representation: RepresentationId
  readonly way: WayId
  readonly answer: Exact
  readonly steps: readonly PlanStep[]
}

/** What a bench is set up with, checked: the problem fits the material and the way exists. */
export interface Setup {
  readonly problem: Problem
  /** The problem as the way works it: the greater number first, for one. */
  readonly worked: Problem
  readonly representation: RepresentationId
  readonly way: WayId
  readonly choices: Choices
  /** All representations worked in step, the main one first. */
  readonly all: readonly RepresentationId[]
}

/** Checks a request. @throws Refusal when the problem does not fit, saying what would hold it. */
export function setUp(request: PlanRequest): Setup {
  const problem = toProblem(request.problem)
  const { representation } = request
  if (!isRepresentation(representation)) throw new Refusal(`There is no material called “${String(representation)}”.`)
  for (const id of request.also ?? [])
    if (!isRepresentation(id)) throw new Refusal(`There is no material called “${String(id)}”.`)
  const choices = withDefaults(request.choices)
  const fit = REPRESENTATIONS[representation].fits(problem, choices)
  if (!fit.fits) {
    const titles = fit.instead.map((id) => (isRepresentation(id) ? REPRESENTATIONS[id].title : id))
    throw new Refusal(fit.why, titles.length > 0 ? `It would fit on: ${titles.join(', ')}.` : '')
  }
  const offered = waysOf(problem, REPRESENTATIONS[representation])
  const way = request.way ?? offered[0]?.way ?? 'ones-first'
  if (!isWay(way)) throw new Refusal(`There is no way called “${String(way)}”.`)
  if (!offered.some((w) => w.way === way))
    throw new Refusal(
      `${wayById(way).title} is not a way for ${printProblem(problem)} with ${REPRESENTATIONS[representation].title}.`,
      offered.length > 0 ? `Ways for it: ${offered.map((w) => w.title).join(', ')}.` : '',
    )
  const also = (request.also ?? []).filter(
    (id) => id !== representation && REPRESENTATIONS[id].fits(problem, choices).fits,
  )
  return {
    problem,
    worked: wayById(way).arrange?.(problem) ?? problem,
    representation,
    way,
    choices,
    all: [representation, ...new Set(also)],
  }
}

/** More acts than any problem here can need; a way that goes on longer is broken. */
const MOST_ACTS = 500

/** The acts that a way still has before it, from a standing. */
export function actsAhead(setup: Setup, standing: Standing): readonly Act[] {
  const way = wayById(setup.way)
  const acts: Act[] = []
  let s = standing
  for (let act = way.next(setup.worked, s); act; act = way.next(setup.worked, s)) {
    acts.push(act)
    if (acts.length > MOST_ACTS) throw new Error(`the way ${setup.way} does not end for ${printProblem(setup.problem)}`)
    s = stand(setup.worked, s, act)
  }
  return acts
}

/** How wide a standing is kept: every material so far fits in it. */
export const standingFor = (problem: Problem): Standing => standingAtStart(problem, MAX_DIGITS + 1)

/**
 * Plans a problem step by step: for each act its moves in every representation asked for, its words, the value shown
 * and the lines it writes. @throws Refusal when the problem cannot be read or does not fit.
 */
export function plan(request: PlanRequest): Plan {
  const setup = setUp(request)
  const { problem, choices } = setup
  const pack = WORD_PACKS[choices.words]
  const sort = REPRESENTATIONS[setup.representation].works
  const states = new Map(setup.all.map((id) => [id, REPRESENTATIONS[id].start(problem, choices, sort)]))
  let page = equations.start(problem, choices, sort)
  let standing = standingFor(setup.worked)
  const steps = actsAhead(setup, standing).map((act): PlanStep => {
    const moves: Partial<Record<RepresentationId, readonly unknown[]>> = {}
    for (const id of setup.all) {
      const made = REPRESENTATIONS[id].perform(states.get(id), act)
      states.set(id, applyAll(REPRESENTATIONS[id], states.get(id), made))
      moves[id] = made
    }
    const said = sayAct(act, standing.value, problem, pack, REPRESENTATIONS[setup.representation].verbs)
    const written = write(page, act)
    page = written.page
    standing = stand(setup.worked, standing, act)
    const shows = REPRESENTATIONS[setup.representation].shows(states.get(setup.representation))
    return { act, say: said, shows, moves, lines: written.lines }
  })
  return { problem, representation: setup.representation, way: setup.way, answer: answer(problem), steps }
}
