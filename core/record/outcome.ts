import type { Exact } from '../number/exact'
import { listed } from '../number/trail'
import { holds, type CompareAct } from '../act/act'
import { parseNumeral, valueOf } from '../number/numeral'
import { amountsOf, isAnswer, type Problem } from '../problem/problem'
import { REPRESENTATIONS } from '../representation/index'
import { match, type Match, type Side } from '../representation/match'
import type { RepresentationId } from '../representation/representation'
import { nextOf } from '../way/index'
import type { Bench, Moment } from './moment'
import { SLIPS } from './slips'

/** Whether an answer was given, and whether it is right; the answer counts, however far the mat has come. */
export function outcome(bench: Bench): {
  readonly finished: boolean
  readonly right: boolean
  readonly read: Exact | null
  /** What was said to be left over, where a sharing was read. */
  readonly remainder?: Exact
} {
  const { read, remainder, as, compared } = bench.now.standing
  const { problem } = bench.setup
  if (problem.others)
    return { finished: compared !== null, right: compared !== null && isCompared(problem, compared), read: null }
  return {
    finished: read !== null,
    right: read !== null && isAnswer(problem, read, remainder, as),
    read,
    ...(remainder === null ? {} : { remainder }),
  }
}

/** Whether the right answer stands there and only has to be read. */
export function isWorkedOut({ setup, now }: Bench): boolean {
  const next = nextOf(setup, now.standing)
  if (next?.kind !== 'read' || (now.stones.last?.owed ?? '') !== '') return false
  return isAnswer(setup.problem, next.value, next.remainder, next.as)
}

/** Whether a comparison holds, and names just the amounts that were to be compared. */
function isCompared(problem: Problem, compared: Omit<CompareAct, 'kind'>): boolean {
  const named = compared.numbers.map((n) => valueOf(parseNumeral(n)))
  return holds(compared) && [...named].sort().join() === [...amountsOf(problem)].sort().join()
}

/** How the two representations of a bench agree, act by act; null where only one is worked by hand. */
export function matchOf({ setup, now }: Bench): Match | null {
  const side = (id: RepresentationId, { states, standing, stones }: Moment): Side => ({
    id,
    acts: listed(stones).flatMap((s) => s.acts),
    shows: REPRESENTATIONS[id].shows(states[id]),
    value: standing.value,
    read: standing.read,
  })
  if (!setup.both || !now.second) return null
  return match(setup.problem, side(setup.representation, now), side(setup.both, now.second))
}

/** The slips seen so far, by name. */
export function slipsOf(bench: Bench): readonly string[] {
  const seen = (moment: Moment | null): readonly string[] =>
    (moment ? listed(moment.stones) : []).flatMap((s, i) => {
      // What is still on its way may yet be finished: it is a slip only once it has been left so.
      const growing = moment!.open !== null && s.step === 'part' && i === moment!.stones.length - 1
      return s.slip && !growing ? [s.slip] : []
    })
  return [...seen(bench.now), ...seen(bench.now.second), ...(matchOf(bench)?.copied ? [SLIPS.copied] : [])]
}
