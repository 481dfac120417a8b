import { isDeepStrictEqual } from 'node:util'
import {
  type Bench,
  openBench,
  outcome,
  recordOf,
  Refusal,
  reopening,
  slipsOf,
  type WorkRecord,
} from '../../core/index'
import { saveSchema } from '../../shared/schemas'
import { type RecordRow, rowOf } from '../db/records'
import { BROKEN_JSON, type FieldError, fieldErrors } from '../utils/problem'

/** Whether records can be worked as they say, and what is seen in them: found by working them again. */

/** What is found of a record that can be worked as it says. */
export interface Replayed {
  readonly slips: readonly string[]
  /** The answer that was read in it, in the core's own numbers; null where none was. */
  readonly read: { readonly value: string; readonly remainder?: string } | null
}
/** What is found of a record; of one that cannot be worked as it says, at which move and why. */
export type Found = Replayed | FieldError
export const isTrouble = (found: Found): found is FieldError => 'pointer' in found

/** A record to be worked again. One that has an `id` goes on from where the last save of it left off, if that is at hand. */
export interface Asked {
  readonly id: string | null
  readonly work: WorkRecord
}

/** Keeps something under a name, and forgets what was kept longest ago where there is more than so much. */
function keepLatest<T>(kept: Map<string, T>, name: string, thing: T, most: number): void {
  kept.delete(name)
  kept.set(name, thing)
  const [oldest] = kept.keys()
  if (kept.size > most && oldest !== undefined) kept.delete(oldest)
}

/** Benches as the last saves left them, by the record's id; so few, and so short, that they never fill the memory. */
const benches = new Map<string, Bench>()
export const MOST_BENCHES = 8
export const LONGEST_BENCH = 300
/** The records whose benches are at hand. */
export const atHand = (): readonly string[] => [...benches.keys()]

function keepBench(id: string, bench: Bench): void {
  if (bench.log.length > LONGEST_BENCH) benches.delete(id)
  else keepLatest(benches, id, bench, MOST_BENCHES)
}

/** Benches as they were opened of late, nothing worked on them yet: a class works the same problems on the same materials. */
const opened = new Map<string, Bench>()
const MOST_OPENED = 100

/** The bench that a record begins with. @throws Refusal where the problem does not fit. */
function openedFor({ moves: _, ...asked }: WorkRecord): Bench {
  const name = JSON.stringify(asked)
  const bench = opened.get(name) ?? openBench(asked, asked.mode)
  keepLatest(opened, name, bench, MOST_OPENED)
  return bench
}

/** The bench that a newer state of some work goes on from; undefined where it is not at hand, or is no beginning of it. */
function benchOf({ id, work }: Asked): Bench | undefined {
  const bench = id === null ? undefined : benches.get(id)
  if (!bench) return undefined
  const { moves: had, ...before } = recordOf(bench)
  const { moves: has, ...now } = work
  const same = isDeepStrictEqual(had, has.slice(0, had.length))
  return same && isDeepStrictEqual(before, now) ? bench : undefined
}

/**
 * Works a record again, a move at each turn, and tells how many steps it took. Faults of Sett's own are logged; what they befell is told
 * as something that cannot be worked.
 */
export function* replaying(asked: Asked): Generator<number, Found, void> {
  try {
    const { work, id } = asked
    const moves = reopening(work, benchOf(asked) ?? openedFor(work))
    for (;;) {
      const { done, value } = moves.next()
      if (!done) {
        yield value
        continue
      }
      if (id !== null) keepBench(id, value)
      const { read = null, remainder } = outcome(value)
      return {
        slips: slipsOf(value),
        read: read === null ? null : { value: read, ...(remainder ? { remainder } : {}) },
      }
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

/** Goes on with a replay for so many steps at the most; undefined where it is not done by then. */
export function goneOn(replay: Generator<number, Found, void>, most: number): Found | undefined {
  for (let steps = 0; steps < most;) {
    const { done, value } = replay.next()
    if (done) return value
    steps += value
  }
  return undefined
}

/**
 * A record that somebody sends: why it cannot be read (400: it is no JSON, 422: some of it will not do), or its row with what was found;
 * null where finding that takes longer.
 */
export type Sent =
  | { readonly status: 400 | 422; readonly errors: readonly FieldError[] }
  | { readonly row: RecordRow; readonly found: Found | null }

/** Reads a record from the text that was sent, and looks it through as far as so many steps go. */
export function read(text: string, most: number): Sent {
  let json: unknown
  try {
    json = JSON.parse(text)
  } catch {
    return { status: 400, errors: [{ pointer: '', detail: BROKEN_JSON }] }
  }
  const parsed = saveSchema.safeParse(json)
  if (!parsed.success) return { status: 422, errors: fieldErrors(parsed.error) }
  const { id, work } = parsed.data
  return { row: rowOf(parsed.data), found: goneOn(replaying({ id, work }), most) ?? null }
}
