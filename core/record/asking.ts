import type { Act } from '../act/act'
import { termDone } from '../act/standing'
import { valueOf } from '../number/numeral'
import { secondOf, type Setup } from '../plan/setup'
import { Refusal } from '../refusal'
import { isSilent, REPRESENTATIONS } from '../representation/index'
import { nextOf } from '../way/index'
import type { Bench, Moment } from './moment'
import { laid } from './stone'

/** The next act, when the main material has nothing to do for it. */
export function silentAct(setup: Setup, moment: Moment): Act | null {
  const next = nextOf(setup, moment.standing)
  const main = setup.representation
  return next && isSilent(REPRESENTATIONS[main], moment.states[main], next) ? next : null
}

/** Asks what is only asked and moves nothing: outside Show at once, in Show as soon as a hand works. */
export function askedOn(setup: Setup, moment: Moment): Moment {
  const second = moment.second && askedOn(secondOf(setup), moment.second)
  if (second !== moment.second) return askedOn(setup, { ...moment, second })
  if (isOwing(moment)) return moment
  const act = silentAct(setup, moment)
  return act ? askedOn(setup, laid(setup, moment, [act], { on: null, moves: [] })) : moment
}

const isOwing = (moment: Moment): boolean => (moment.stones.last?.owed ?? '') !== ''

/** The next number of a chain, if what is owed of this one were left as it is; null where there is none. */
export function leaving({ setup, now }: Bench): Act | null {
  const { standing } = now
  const term = setup.worked.terms[standing.begun - 1]
  if (
    !term ||
    !standing.laid ||
    standing.aim.kind !== 'total' ||
    termDone(standing) ||
    (term.operation !== '+' && term.operation !== '-')
  )
    return null
  return { kind: 'pose', operation: term.operation, amount: valueOf(term.number), leaves: true }
}

/** Goes on to the next number although something is owed of this one: a mistake is left, and the work goes on from it. */
export function goOn(bench: Bench): Moment {
  const act = leaving(bench)
  if (!act) throw new Refusal('There is no further number to go on to.')
  return laid(bench.setup, bench.now, [act], { on: null, moves: [] })
}

/** Asks the next number where no hand has anything to do for it. */
export function ask(bench: Bench): Moment {
  const act = silentAct(bench.setup, bench.now)
  // A hand was quicker, and it has been asked with its move.
  if (!act && bench.mode === 'show' && bench.now.standing.begun > 1) return bench.now
  if (!act) throw new Refusal('The next step is for the hand: nothing is only asked here.')
  return laid(bench.setup, bench.now, [act], { on: null, moves: [] })
}
