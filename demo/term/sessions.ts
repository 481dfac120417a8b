import { addDays, format } from 'date-fns'
import { seeded, setProblems, stepById, type Random } from '../../core/course/index'
import {
  enter,
  openBench,
  outcome,
  plan,
  recordOf,
  REPRESENTATIONS,
  slipsOf,
  type Bench,
  type RepresentationId,
} from '../../core/index'
import { isUnsound, seenIn } from '../../server/utils/trials'
import type { Store } from '../../server/utils/store'
import type { Help } from '../../shared/levels'
import type { SavedRecord } from '../../shared/schemas'
import type { Trial } from '../../shared/trials'
import { idFor, ROOM } from '../lantern-walk'
import { learnerId, SEED, wrongAnswer } from './answers'
import { WEEKS, type Story, type Stretch } from './stories'

/** What a learner worked in the term, session by session. */

/** School days of a week on which a learner comes: Monday, Tuesday, Thursday. */
const COMES_ON = [1, 2, 4]
/** So many problems a session. */
const PROBLEMS = 5
const HOUR = 9

/** A session: its day, how far its stretch is (0 to 1), and the stretch. */
interface Session {
  readonly day: Date
  readonly far: number
  readonly stretch: Stretch
}

function sessionsOf({ stretches }: Story, today: Date): readonly Session[] {
  const monday = addDays(today, 1 - (today.getDay() || 7) - 7 * WEEKS)
  const sessions: Session[] = []
  for (let week = 0; week <= WEEKS; week++)
    for (const weekday of COMES_ON) {
      const day = addDays(monday, 7 * week + weekday - 1)
      const at = stretches.findLastIndex((s) => s.week <= week)
      const stretch = stretches[at]
      if (!stretch || stretch.away || format(day, 'yyyy-MM-dd') >= format(today, 'yyyy-MM-dd')) continue
      const end = stretches[at + 1]?.week ?? WEEKS
      sessions.push({ day, stretch, far: Math.min(1, (week - stretch.week) / Math.max(1, end - 1 - stretch.week)) })
    }
  return sessions
}

/** A problem worked by its plan; with `said`, that is read as the answer instead of what is there. */
function worked(problem: string, on: RepresentationId, pace: number, said?: string): Bench {
  const also = on === 'columns' ? (['equations'] as const) : (['columns', 'equations'] as const)
  let bench = openBench({ problem, representation: on, also, choices: { words: ROOM.words } }, 'alone')
  let at = 0
  const make = (move: string): void => void (bench = enter(bench, { at: (at += pace), on, move }))
  for (const { moves } of plan({ problem, representation: on }).steps)
    for (const move of moves[on] ?? []) {
      const text = REPRESENTATIONS[on].print(move as never)
      make(said !== undefined && text.startsWith('read ') ? `read ${said}` : text)
    }
  return bench
}

/** The sessions of one learner, some of it at the Bench and the rest noted at the table. */
export function workTerm(store: Store, story: Story, today: Date, index: number): void {
  const random = seeded(SEED + index)
  const id = learnerId(story.who)
  let n = 0
  for (const [s, { day, far, stretch }] of sessionsOf(story, today).entries()) {
    const step = stepById(stretch.step)!
    const problems = setProblems({ step, count: PROBLEMS, seed: SEED * (index + 1) + s })
    const [from, to] = stretch.alone
    const right = Math.round((from + (to - from) * far) * problems.length)
    const sitting = idFor(200 + index, s)
    const order = shuffled(problems, random)
    for (const [k, problem] of order.entries()) {
      const start = new Date(day)
      start.setHours(HOUR, 10 + 12 * (index % 4) + 2 * k, 0, 0)
      const alone = k < right
      const wrong = !alone && stretch.others === 'mistake' ? wrongAnswer(problem, story.mistake) : undefined
      const help: Help = alone || stretch.others === 'mistake' ? 'independent' : stretch.others
      const note = k === 0 ? (story.notes[s % story.notes.length] ?? '') : ''
      const pace = 3000 + Math.round(3000 * random()) + (alone ? 0 : 1500)
      const one = { id, problem, start, help, note, pace, wrong, right: alone || stretch.others !== 'mistake' }
      // The first and the last problem of each session were worked at the Bench, so that both kinds of outcome can be replayed.
      if (k === order.length - 1 || k === 0) keepWork(store, idFor(20 + index, n++), { ...one, on: stretch.with })
      else keepTry(store, idFor(40 + index, n++), { ...one, step: stretch.step, on: stretch.with, sitting })
    }
  }
}

function shuffled<T>(items: readonly T[], random: Random): readonly T[] {
  return items
    .map((item) => [random(), item] as const)
    .sort(([a], [b]) => a - b)
    .map(([, item]) => item)
}

interface One {
  readonly id: string
  readonly problem: string
  readonly start: Date
  readonly help: Help
  readonly note: string
  readonly pace: number
  readonly wrong: string | undefined
  readonly right: boolean
  readonly on: RepresentationId
}

function keepWork(store: Store, id: string, { id: learner, problem, start, help, note, pace, wrong, on }: One): void {
  const bench = worked(problem, on, pace, wrong)
  const record: SavedRecord = {
    id,
    learnerId: learner,
    startedAt: start.toISOString(),
    work: structuredClone(recordOf(bench)) as SavedRecord['work'],
    outcome: { right: outcome(bench).right, help, note },
  }
  store.save(record, slipsOf(bench))
}

function keepTry(
  store: Store,
  id: string,
  {
    id: learner,
    problem,
    start,
    help,
    note,
    pace,
    right,
    step,
    on,
    sitting,
  }: One & { readonly step: string; readonly sitting: string },
): void {
  const trial = {
    id,
    learnerId: learner,
    startedAt: start.toISOString(),
    kind: 'table',
    help,
    right,
    note,
    work: { format: 'sett-trial', version: 1, sitting, step, asked: problem, material: on, ms: 6 * pace },
  } as Trial
  const seen = seenIn(trial)
  if (!isUnsound(seen)) store.keepTrial(trial, seen)
}
