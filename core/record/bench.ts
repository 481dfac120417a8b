import { parseNumeral, valueOf } from '../number/numeral'
import { extended, START } from '../number/trail'
import { standingFor } from '../plan/plan'
import { besideOf, secondOf, setUp, type PlanRequest, type Setup } from '../plan/setup'
import { Refusal } from '../refusal'
import { equations } from '../representation/equations/equations'
import { REPRESENTATIONS } from '../representation/index'
import type { RepresentationId } from '../representation/representation'
import { ask, askedOn, goOn } from './asking'
import type { Bench, Entry, Mode, Moment } from './moment'
import { moved } from './stone'

/** Lays out an empty bench for a problem, or for one that has been set up already. @throws Refusal when it does not fit. */
export function openBench(request: PlanRequest, mode: Mode, setup: Setup = setUp(request)): Bench {
  const second = setup.both ? emptyMoment(secondOf(setup)) : null
  const now: Moment = { ...emptyMoment(setup), second }
  return { setup, mode, now: mode === 'show' ? now : askedOn(setup, now), past: START, undone: [], log: START }
}

function emptyMoment(setup: Setup): Moment {
  const { worked, choices } = setup
  const beside = besideOf(setup)
  return {
    states: Object.fromEntries(setup.all.map((id) => [id, REPRESENTATIONS[id].start(worked, choices, beside)])),
    followers: {},
    standing: standingFor(setup),
    page: equations.start(worked, choices, beside),
    stones: START,
    second: null,
    guess: null,
    open: null,
  }
}

/**
 * Makes one entry: a move, an ask, an undo or a redo. @throws Refusal when the material cannot do it; the bench given
 * is unharmed.
 */
export function enter(bench: Bench, entry: Entry): Bench {
  if (entry.on === 'bench') {
    if (entry.move === 'undo') return undo(bench, entry)
    if (entry.move === 'redo') return redo(bench, entry)
    return step(bench, entry, onBench(bench, entry.move), [])
  }
  return step(bench, entry, movedByHand(bench, entry.on, entry.move), [])
}

function step(bench: Bench, entry: Entry, moment: Moment, undone: readonly Entry[]): Bench {
  return {
    ...bench,
    now: bench.mode === 'show' ? moment : askedOn(bench.setup, moment),
    past: extended(bench.past, { moment: bench.now, entry }),
    undone,
    log: extended(bench.log, entry),
  }
}

function undo(bench: Bench, entry: Entry): Bench {
  const { last, before } = bench.past
  if (!last || !before) throw new Refusal('There is nothing to take back.')
  return {
    ...bench,
    now: last.moment,
    past: before,
    undone: [...bench.undone, last.entry],
    log: extended(bench.log, entry),
  }
}

function redo(bench: Bench, entry: Entry): Bench {
  const again = bench.undone.at(-1)
  if (!again) throw new Refusal('There is nothing to do again.')
  const moment = again.on === 'bench' ? onBench(bench, again.move) : movedByHand(bench, again.on, again.move)
  const next = step(bench, again, moment, bench.undone.slice(0, -1))
  return { ...next, log: extended(bench.log, entry) }
}

/** Keeps a guess, to be held against the answer once it is read. Another one takes its place until then. */
function guess({ now }: Bench, move: string): Moment {
  if (now.standing.read !== null) throw new Refusal('The answer is read already.', 'A guess comes before it.')
  const value = valueOf(parseNumeral(move.slice('guess'.length).trim().replace(/[−–⁻]/u, '-')))
  return { ...now, guess: value }
}

function onBench(bench: Bench, move: string): Moment {
  if (move === 'ask') return ask(bench)
  if (move === 'go on') return goOn(bench)
  if (/^guess\b/.test(move)) return guess(bench, move)
  throw new Refusal(`The bench has no move “${move}”.`, 'It knows ask, go on, guess, undo and redo.')
}

/** A move on the bench's own representations, or on the second one. What is only asked is asked before it, if it has not been. */
function movedByHand({ setup, now: before }: Bench, on: RepresentationId, text: string): Moment {
  const now = askedOn(setup, before)
  if (on !== setup.both || !now.second) return moved(setup, now, on, text)
  return { ...now, second: moved(secondOf(setup), now.second, on, text) }
}
