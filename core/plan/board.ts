import type { Choices } from '../choices'
import type { Exact } from '../number/exact'
import { toProblem } from '../problem/parse'
import type { Problem } from '../problem/problem'
import { REPRESENTATIONS } from '../representation/index'
import { applyAll, type RepresentationId } from '../representation/representation'
import { wayById } from '../way/index'
import type { WayId } from '../way/way'
import { plan, type Plan } from './plan'
import { besideOf, setUp } from './setup'

/** One way on the board: the whole plan, and what stands on the mat at its end. */
export interface BoardPanel {
  readonly representation: RepresentationId
  readonly way: WayId
  readonly title: string
  readonly wayTitle: string
  readonly plan: Plan
  readonly state: unknown
  /** What was read at the end. */
  readonly reads: Exact
}

export interface Board {
  readonly panels: readonly BoardPanel[]
  /** Whether all ways come to the same. */
  readonly agree: boolean
}

/** The most ways that stand side by side. */
export const MOST_PANELS = 4

/** The same problem by several ways, each worked to its end. @throws Refusal where one of them does not fit. */
export function board(
  asked: Problem | string,
  ways: readonly { readonly representation: RepresentationId; readonly way?: WayId }[],
  choices?: Partial<Choices>,
): Board {
  const problem = toProblem(asked)
  const panels = ways.slice(0, MOST_PANELS).map(({ representation, way }): BoardPanel => {
    const request = { problem, representation, ...(way ? { way } : {}), ...(choices ? { choices } : {}) }
    const setup = setUp(request)
    const planned = plan(request)
    const r = REPRESENTATIONS[representation]
    const moves = planned.steps.flatMap((s) => s.moves[representation] ?? [])
    const state = applyAll(r, r.start(setup.worked, setup.choices, besideOf(setup)), moves)
    return {
      representation,
      way: planned.way,
      title: r.title,
      wayTitle: wayById(planned.way).title,
      plan: planned,
      state,
      reads: r.shows(state),
    }
  })
  return { panels, agree: panels.every((p) => p.reads === panels[0]?.reads) }
}
