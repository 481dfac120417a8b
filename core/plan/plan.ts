import type { Act } from '../act/act'
import { stand, standingAtStart, type Standing } from '../act/standing'
import type { Exact } from '../number/exact'
import { answer, printProblem, quotientOf, type Problem } from '../problem/problem'
import { REPRESENTATIONS } from '../representation/index'
import { equations, type EquationsState } from '../representation/equations/equations'
import { performIn, type RepresentationId } from '../representation/representation'
import type { BeadDetail } from '../speech/beads'
import { sayAct } from '../speech/index'
import { storyOf } from '../speech/story'
import { nextOf } from '../way/index'
import type { WayId } from '../way/way'
import { follow, type Here } from './follow'
import { columnLines, linesOf, styleOf, type WrittenLine } from './lines'
import { tellingOf, withRule } from './telling'
import { besideOf, columnAloud, packFor, setUp, type PlanRequest, type Setup } from './setup'

export interface PlanStep {
  readonly act: Act
  readonly say: string
  /** What the mat is worth after the step. */
  readonly shows: Exact
  /** The moves that do it, by representation. */
  readonly moves: Readonly<Partial<Record<RepresentationId, readonly unknown[]>>>
  /** Representations beside it that cannot show this, or not yet, with the reason. */
  readonly waiting: Readonly<Partial<Record<RepresentationId, string>>>
  readonly lines: readonly WrittenLine[]
  /** On beads: by which rules the digits went, why by no earlier ones, and what hands and fingers do. */
  readonly detail?: BeadDetail
}

export interface Plan {
  readonly problem: Problem
  readonly representation: RepresentationId
  readonly way: WayId
  /** The exact answer. */
  readonly answer: Exact
  /** Of a division of whole numbers: how many each, and how many are left over. */
  readonly quotient?: Exact
  readonly remainder?: Exact
  readonly steps: readonly PlanStep[]
}

/** More acts than any problem here can need; a way that goes on longer is broken. */
const MOST_ACTS = 500
/** And how many more for each further number of a chain. */
const MOST_ACTS_A_NUMBER = 100

/** The acts that a way still has before it, from a standing; no more than `most` of them. */
export function actsAhead(setup: Setup, standing: Standing, most = Infinity): readonly Act[] {
  const acts: Act[] = []
  let s = standing
  const next = (): Act | null => nextOf(setup, s)
  for (let act = next(); act && acts.length < most; act = next()) {
    acts.push(act)
    if (acts.length > MOST_ACTS + MOST_ACTS_A_NUMBER * setup.problem.terms.length)
      throw new Error(`the way ${setup.way} does not end for ${printProblem(setup.problem)}`)
    s = stand(setup.worked, s, act)
  }
  return acts
}

/** Where a problem stands before anything is done, in the pieces of the main material. */
export const standingFor = ({ worked, units }: Setup): Standing => standingAtStart(worked, units)

/**
 * Plans a problem step by step: for each act its moves in every representation asked for, its words, the value shown
 * and the lines it writes. @throws Refusal when the problem cannot be read or does not fit.
 */
export function plan(request: PlanRequest): Plan {
  const setup = setUp(request)
  const { problem, choices } = setup
  const beside = besideOf(setup)
  let here: Here = {
    states: Object.fromEntries(setup.all.map((id) => [id, REPRESENTATIONS[id].start(setup.worked, choices, beside)])),
    followers: {},
  }
  let page = equations.start(setup.worked, choices, beside)
  let standing = standingFor(setup)
  const paged = setup.all.slice(1).includes('equations')
  const main = REPRESENTATIONS[setup.representation]
  const steps = actsAhead(setup, standing).map((planned): PlanStep => {
    const { act, say: how, detail } = withRule(setup, here.states[main.id], planned)
    const before = here.states[main.id]
    const own = performIn(main, before, act)
    const followed = follow(setup, here, [act], { on: main.id, moves: own })
    here = followed
    const said = [
      columnAloud(setup, act),
      sayAct(act, standing.value, tellingOf(setup, standing, act)),
      storyOf(act, standing.value, choices.signed.story, packFor(setup)),
      how,
    ]
      .filter((t) => t !== '')
      .join(' ')
    // Where the page goes in step anyway, it is not written twice.
    const next = paged ? (here.states.equations as EquationsState) : equations.write(page, act)
    const written = linesOf(next, page, act, styleOf(setup))
    const lines = columnLines(setup, before, act, written)
    page = next
    standing = stand(setup.worked, standing, act)
    const shows = main.shows(here.states[main.id])
    return {
      act,
      say: said,
      shows,
      moves: followed.moves,
      waiting: followed.waiting,
      lines,
      ...(detail ? { detail } : {}),
    }
  })
  const quotient = quotientOf(problem)
  return {
    problem,
    representation: setup.representation,
    way: setup.way,
    answer: answer(problem),
    ...(quotient ? { quotient: quotient.value, remainder: quotient.remainder } : {}),
    steps,
  }
}
