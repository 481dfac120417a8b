import type { Choices } from '../choices'
import type { Exact } from '../number/exact'
import { printProblem } from '../problem/problem'
import { attempt, Refusal } from '../refusal'
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

/** The bench as a record leaves it. @throws Refusal naming the move that cannot be made (`moves/4`). */
export function reopen(record: WorkRecord): Bench {
  let bench = openBench(record, record.mode)
  for (const [i, entry] of record.moves.entries()) {
    const done = attempt(() => enter(bench, entry))
    if ('refused' in done)
      throw new Refusal(`Move ${i + 1}, “${entry.move}”, cannot be made: ${done.refused.reason}`, done.refused.hint, {
        at: i,
        length: 1,
      })
    bench = done.ok
  }
  return bench
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
