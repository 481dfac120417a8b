import { isDeepStrictEqual } from 'node:util'
import {
  type Bench,
  openBench,
  recordOf,
  Refusal,
  reopening,
  type Setup,
  setUp,
  slipsOf,
  type WorkRecord,
} from '../../core/index'
import type { SavedRecord } from '../../shared/schemas'
import type { FieldError } from './problem'
import { others } from './progress'

/** Whether records can be worked as they say: found by working them again, a little at a time. */

/** The longest that one record may take to be replayed, in milliseconds of work; the longest made by hand takes a fifth of it. */
const REPLAY_MS = 2000
/** As long as one piece of work may keep others waiting, in milliseconds. */
const SLICE_MS = 12

/** A record that has been replayed: what the Daybook lists of it. */
export interface Replayed {
  readonly slips: readonly string[]
}

/** Keeps something under a name, and forgets what was kept longest ago where there is more than so much. */
function keepLatest<T>(kept: Map<string, T>, name: string, thing: T, most: number): void {
  kept.delete(name)
  kept.set(name, thing)
  const [oldest] = kept.keys()
  if (kept.size > most && oldest !== undefined) kept.delete(oldest)
}

/** Benches as the last saves left them, by the record's id: what is saved again a few moves later goes on from there. */
const benches = new Map<string, Bench>()
/** So few, and so short, that they never fill the memory. */
const MOST_BENCHES = 8
const LONGEST_BENCH = 300

/** Keeps a bench for the next save of the same work. */
function keepBench(id: string, bench: Bench): void {
  if (bench.log.length > LONGEST_BENCH) benches.delete(id)
  else keepLatest(benches, id, bench, MOST_BENCHES)
}

/** What benches were set up with of late: a class works the same problems on the same materials. */
const setups = new Map<string, Setup>()
const MOST_SETUPS = 100

/** What a record's bench is set up with. @throws Refusal where the problem does not fit. */
function setupOf({ moves: _, ...asked }: WorkRecord): Setup {
  const name = JSON.stringify(asked)
  const setup = setups.get(name) ?? setUp(asked)
  keepLatest(setups, name, setup, MOST_SETUPS)
  return setup
}

/** The bench that a newer state of some work goes on from; undefined where it is not at hand, or is no beginning of it. */
function benchOf({ id, work }: SavedRecord): Bench | undefined {
  const bench = benches.get(id)
  if (!bench) return undefined
  const { moves: had, ...before } = recordOf(bench)
  const { moves: has, ...now } = work
  const same = isDeepStrictEqual(had, has.slice(0, had.length))
  return same && isDeepStrictEqual(before, now) ? bench : undefined
}

/** Checks a record that is to be saved, as `replayed` does; one that was saved a few moves ago is worked on from there. */
export async function replayedOn(record: SavedRecord): Promise<Replayed | FieldError> {
  return replayed(record.work, benchOf(record), (bench) => keepBench(record.id, bench))
}

/**
 * Checks by replaying it that a record can be worked as it says; else what is wrong. It is done a few moves at a time, so that nobody
 * waits for it, and within a budget. Faults of Sett's own are logged.
 */
export async function replayed(
  work: WorkRecord,
  begun?: Bench,
  worked: (bench: Bench) => void = () => {},
): Promise<Replayed | FieldError> {
  let spent = 0
  try {
    const steps = reopening(work, begun ?? openBench(work, work.mode, setupOf(work)))
    let made = 0
    for (;;) {
      const from = performance.now()
      do {
        const { done, value } = steps.next()
        if (done) {
          worked(value)
          return { slips: slipsOf(value) }
        }
        made = value + 1
      } while (performance.now() - from < SLICE_MS)
      spent += performance.now() - from
      if (spent > REPLAY_MS)
        return {
          pointer: `/moves/${made}`,
          detail: `Working the moves before move ${made + 1} takes too long. Save the work in shorter parts.`,
        }
      await others()
    }
  } catch (error) {
    if (!(error instanceof Refusal)) {
      console.error(error)
      return { pointer: '/problem', detail: 'Sett cannot lay this problem out as the record says.' }
    }
    if (error.cause) console.error(error.cause)
    const inMoves = /^Move \d/.test(error.reason)
    return { pointer: inMoves ? `/moves/${error.span?.at ?? 0}` : '/problem', detail: error.message }
  }
}

export const isTrouble = (made: Replayed | FieldError): made is FieldError => 'pointer' in made

/** How what is to be saved stands to what is kept under the same id. */
export function standsTo(kept: SavedRecord, sent: SavedRecord): 'same' | 'newer' | 'other' {
  if (kept.learnerId !== sent.learnerId || Date.parse(kept.startedAt) !== Date.parse(sent.startedAt)) return 'other'
  const { moves: had, ...before } = kept.work
  const { moves: has, ...now } = sent.work
  if (!isDeepStrictEqual(before, now) || !isDeepStrictEqual(had, has.slice(0, had.length))) return 'other'
  const alike = has.length === had.length && isDeepStrictEqual(kept.outcome, sent.outcome)
  return alike ? 'same' : 'newer'
}
