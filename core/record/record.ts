import type { Choices } from '../choices'
import type { Exact } from '../number/exact'
import { printProblem } from '../problem/problem'
import { Refusal } from '../refusal'
import { REPRESENTATIONS } from '../representation/index'
import type { RepresentationId } from '../representation/representation'
import type { WayId } from '../way/way'
import { listed } from '../number/trail'
import { enter, openBench } from './bench'
import { outcome } from './outcome'
import type { Bench, Entry, Mode } from './moment'

/** The file format's version; a reader refuses a later one. */
export const RECORD_VERSION = 1

/**
 * What is kept of a problem worked: the question, the settings and the moves with their times. States, lines, words,
 * totals and the answer are found again by replaying it.
 */
export interface WorkRecord {
  readonly format: 'sett-record'
  readonly version: typeof RECORD_VERSION
  readonly problem: string
  readonly representation: RepresentationId
  readonly also: readonly RepresentationId[]
  /** The representation worked by hand besides, or null. */
  readonly both: RepresentationId | null
  readonly way: WayId
  readonly mode: Mode
  readonly choices: Choices
  readonly moves: readonly Entry[]
}

export function recordOf(bench: Bench): WorkRecord {
  const { setup, mode, log } = bench
  return {
    format: 'sett-record',
    version: RECORD_VERSION,
    problem: printProblem(setup.problem),
    representation: setup.representation,
    also: setup.all.slice(1),
    both: setup.both,
    way: setup.way,
    mode,
    choices: setup.choices,
    moves: listed(log),
  }
}

/** The longest part of a move that is said back in a refusal. */
const MOST_SAID = 40

/**
 * Works a record again, a move at each turn, so that whoever replays it can do other things in between or stop. It tells how many steps a
 * move took: one, and one more for each move of the stone that it is looked at together with. Where its first moves
 * have been worked already, `begun` is the bench as they left it, and only the others are worked.
 * @throws Refusal naming the move that cannot be made (`moves/4`); one that Sett itself fails at has the fault as its cause.
 */
export function* reopening(record: WorkRecord, begun?: Bench): Generator<number, Bench, void> {
  let bench = begun ?? openBench(record, record.mode)
  for (const [i, entry] of record.moves.entries()) {
    if (i < (begun?.log.length ?? 0)) continue
    const move = entry.move.length > MOST_SAID ? `${entry.move.slice(0, MOST_SAID)}…` : entry.move
    const stop = (why: string, hint = '', cause?: unknown): never => {
      const refusal = new Refusal(`Move ${i + 1}, “${move}”, cannot be made: ${why}`, hint, { at: i, length: 1 })
      throw Object.assign(refusal, cause === undefined ? {} : { cause })
    }
    try {
      bench = enter(bench, entry)
    } catch (error) {
      if (error instanceof Refusal) stop(error.reason, error.hint)
      stop('Sett does not know what to do with it.', '', error)
    }
    yield 1 + (bench.now.open?.moves.length ?? 0)
  }
  return bench
}

/** The bench as a record leaves it. @throws Refusal as `reopening` does. */
export function reopen(record: WorkRecord): Bench {
  const steps = reopening(record)
  for (;;) {
    const { done, value } = steps.next()
    if (done) return value
  }
}

/** One moment of a replay. */
export interface Replayed {
  readonly entry: Entry
  readonly shows: Exact
  readonly say: string
  readonly lines: readonly { readonly text: string; readonly equation?: string }[]
  readonly states: Readonly<Partial<Record<RepresentationId, unknown>>>
  /** Whether every representation in step shows the same. */
  readonly agree: boolean
}

/** Every state, line and check of a saved record, move by move. @throws Refusal naming a move that cannot be made. */
export function replay(record: WorkRecord): {
  readonly bench: Bench
  readonly moments: readonly Replayed[]
  readonly finished: boolean
  readonly right: boolean
  readonly read: Exact | null
} {
  const bench = reopen(record)
  // An undo lets go of moments, so they are gathered on a second pass over a record now known to be sound.
  let at = openBench(record, record.mode)
  const moments = record.moves.map((entry): Replayed => {
    at = enter(at, entry)
    const { now } = at
    const stone = now.stones.last
    const shown = at.setup.all.map((id) => REPRESENTATIONS[id].shows(now.states[id]))
    return {
      entry,
      shows: shown[0]!,
      say: stone?.say ?? '',
      lines: listed(now.stones).flatMap((s) => s.lines),
      states: now.states,
      agree: shown.every((v) => v === shown[0]),
    }
  })
  return { bench, moments, ...outcome(bench) }
}
