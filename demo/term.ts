import { addDays, format } from 'date-fns'
import { answersOf, procedureById } from '../core/diagnose/index'
import { planLesson, seeded, setProblems, stepById, type Random } from '../core/course/index'
import {
  answer,
  enter,
  numberText,
  openBench,
  outcome,
  parseProblem,
  plan,
  recordOf,
  REPRESENTATIONS,
  slipsOf,
  type Bench,
  type RepresentationId,
} from '../core/index'
import { isRightAnswer } from '../core/rehearse/index'
import { keepCupboard } from '../server/utils/cupboard'
import { markPage } from '../server/utils/marking'
import { isUnsound, seenIn } from '../server/utils/trials'
import type { Store } from '../server/utils/store'
import { CUPBOARD_AT_FIRST } from '../shared/cupboard'
import type { Help } from '../shared/levels'
import type { SavedRecord } from '../shared/schemas'
import type { Trial } from '../shared/trials'
import { idFor, LEARNERS, ROOM, seedDemo } from './lantern-walk'

/**
 * A term of the demo: twelve weeks of the Loft before today, so that every page has something to show. All of it is invented, made by a
 * seeded generator from the core's own plans and mistaken procedures: the same on every run but for its dates.
 */

const WEEKS = 12
/** School days of a week on which a learner comes: Monday, Tuesday, Thursday. */
const COMES_ON = [1, 2, 4]
/** So many problems a session. */
const PROBLEMS = 5
const SEED = 41

/** Where a learner is in some weeks of the term: what is worked, with what, and how it goes. */
interface Stretch {
  /** From the start of this week of the term on, counted from 0. */
  readonly week: number
  readonly step: string
  readonly with: RepresentationId
  /** The share that comes right without help, at the start of the stretch and at its end. */
  readonly alone: readonly [from: number, to: number]
  /** With which help the others come right; `mistake`: they do not, by the learner's procedure. */
  readonly others: Help | 'mistake'
  /** Whether nobody came in these weeks. */
  readonly away?: true
}
interface Story {
  readonly who: string
  /** The procedure behind what goes wrong. */
  readonly mistake: string
  readonly stretches: readonly Stretch[]
  readonly notes: readonly string[]
}

const STORIES: readonly Story[] = [
  {
    // A steady rise.
    who: 'Wren',
    mistake: 'smaller-from-larger',
    stretches: [
      { week: 0, step: 'take-2-2', with: 'blocks', alone: [0.4, 1], others: 'spoken' },
      { week: 5, step: 'take-2-2-ten', with: 'blocks', alone: [0.2, 0.7], others: 'mistake' },
    ],
    notes: ['Ribbon cut from a roll of 45.', 'Asked “are there enough ones?” without being told.', ''],
  },
  {
    // A plateau, broken by going back to blocks.
    who: 'Pip',
    mistake: 'smaller-from-larger',
    stretches: [
      { week: 0, step: 'take-2-2-ten', with: 'columns', alone: [0.4, 0.4], others: 'mistake' },
      { week: 6, step: 'take-2-2-ten', with: 'blocks', alone: [0.4, 0.9], others: 'pointed' },
    ],
    notes: ['Hurries on the sheet.', 'Back to blocks: says each exchange aloud.', ''],
  },
  {
    // A break, a loss, and found again.
    who: 'Fen',
    mistake: '',
    stretches: [
      { week: 0, step: 'add-2-2-ten', with: 'blocks', alone: [0.4, 0.8], others: 'pointed' },
      { week: 5, step: 'add-2-2-ten', with: 'blocks', alone: [0, 0], others: 'shown', away: true },
      { week: 8, step: 'add-2-2-ten', with: 'blocks', alone: [0.2, 0.6], others: 'spoken' },
    ],
    notes: ['Beads on two lantern strings.', 'Three weeks away; wanted the blocks again.', ''],
  },
  {
    // Fluent with facts, lost with zeros.
    who: 'Ash',
    mistake: 'stops-borrow-at-zero',
    stretches: [
      { week: 0, step: 'take-3-3', with: 'columns', alone: [0.6, 1], others: 'spoken' },
      { week: 6, step: 'take-across', with: 'columns', alone: [0.2, 0.2], others: 'mistake' },
    ],
    notes: ['Knows every fact at once.', 'Stops at the zero and looks up.', ''],
  },
  {
    // Help that fades.
    who: 'Teal',
    mistake: '',
    stretches: [
      { week: 0, step: 'add-3-3', with: 'blocks', alone: [0, 0.2], others: 'hand-over-hand' },
      { week: 3, step: 'add-3-3', with: 'blocks', alone: [0.2, 0.4], others: 'shown' },
      { week: 6, step: 'add-3-3', with: 'blocks', alone: [0.4, 0.6], others: 'spoken' },
      { week: 9, step: 'add-3-3', with: 'blocks', alone: [0.8, 1], others: 'pointed' },
    ],
    notes: ['Stall money, both boxes.', 'Only a glance at the tens was needed.', ''],
  },
  {
    // At the very beginning, with two switches.
    who: 'Moth',
    mistake: '',
    stretches: [
      { week: 4, step: 'count-5', with: 'counters', alone: [0, 0.4], others: 'hand-over-hand' },
      { week: 8, step: 'add-5', with: 'counters', alone: [0.2, 0.4], others: 'shown' },
    ],
    notes: ['Chose with both switches.', 'Wanted the hand; pushed the last one alone.', ''],
  },
]

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

/** The answer that a mistaken procedure gives, if it gives another than the right one. */
function wrongAnswer(problem: string, mistake: string): string | undefined {
  const procedure = procedureById(mistake)
  const [wrong] = procedure ? answersOf(procedure, parseProblem(problem)) : []
  return wrong === undefined ? undefined : numberText(wrong)
}

const learnerId = (who: string): string => idFor(1, LEARNERS.indexOf(who))
const HOUR = 9

/** Fills an empty store with the class, its lessons of today and to come, and the term before. */
export function seedTerm(store: Store, today: Date): void {
  if (store.classroom()) return
  // Moth is at the very beginning here, and has not worked with tens.
  seedDemo(store, today, ['Moth'])
  store.db.transaction(() => {
    for (const [i, story] of STORIES.entries()) workTerm(store, story, sessionsOf(story, today), i)
    setGoals(store, today)
    markPages(store, today)
    rehearseFacts(store, today)
    stock(store)
    suit(store)
  })()
  teachBefore(store, today)
}

/** The sessions of one learner, some of it at the Bench and the rest noted at the table. */
function workTerm(store: Store, story: Story, sessions: readonly Session[], index: number): void {
  const random = seeded(SEED + index)
  const id = learnerId(story.who)
  let n = 0
  for (const [s, { day, far, stretch }] of sessions.entries()) {
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

/** Goals that were met, missed, and are still open. */
const GOALS = [
  {
    who: 'Wren',
    step: 'take-2-2',
    share: 0.8,
    set: -80,
    by: -49,
    words: 'Subtracts two-digit numbers without exchange, 8 of 10.',
  },
  { who: 'Wren', step: 'take-2-2-ten', share: 0.8, set: -40, by: 21, words: 'Subtracts with one exchange, 8 of 10.' },
  { who: 'Pip', step: 'take-2-2-ten', share: 0.8, set: -80, by: -28, words: 'Subtracts with one exchange, 8 of 10.' },
  { who: 'Fen', step: 'add-2-2-ten', share: 0.8, set: -80, by: -30, words: 'Adds with one exchange, 8 of 10.' },
  { who: 'Teal', step: 'add-3-3', share: 0.8, set: -60, by: 14, words: 'Adds three-digit numbers without help.' },
] as const
function setGoals(store: Store, today: Date): void {
  const dayAt = (by: number): string => format(addDays(today, by), 'yyyy-MM-dd')
  for (const [i, { who, step, share, set, by, words }] of GOALS.entries())
    store.keepGoal({
      id: idFor(60, i),
      learnerId: learnerId(who),
      step,
      material: '',
      help: 'independent',
      share,
      set: dayAt(set),
      by: dayAt(by),
      words,
      archived: false,
      version: 0,
    })
}

/** Pages that were marked: whose, how many days ago, and by which procedure they were answered. */
const PAGES = [
  { who: 'Pip', daysAgo: 47, step: 'take-2-2-ten', mistake: 'smaller-from-larger' },
  { who: 'Ash', daysAgo: 12, step: 'take-across', mistake: 'stops-borrow-at-zero' },
  { who: 'Wren', daysAgo: 5, step: 'take-2-2-ten', mistake: '' },
] as const
function markPages(store: Store, today: Date): void {
  for (const [i, { who, daysAgo, step, mistake }] of PAGES.entries()) {
    const items = setProblems({ step: stepById(step)!, count: 8, seed: SEED + i }).map((problem) => ({
      problem,
      answer: wrongAnswer(problem, mistake) ?? numberText(answer(parseProblem(problem))),
    }))
    const at = addDays(today, -daysAgo)
    at.setHours(13, 20, 0, 0)
    const page = {
      id: idFor(61, i),
      learnerId: learnerId(who),
      markedAt: at.toISOString(),
      with: 'paper' as const,
      items,
    }
    const said = markPage(page, store.classroom())
    if (!('pointer' in said)) store.keepMarking({ ...page, said })
  }
}

/** Ash's facts, quick and nearly all right. */
function rehearseFacts(store: Store, today: Date): void {
  const random = seeded(SEED)
  const ash = learnerId('Ash')
  for (let i = 0; i < 90; i++) {
    const [a, b] = [2 + Math.floor(8 * random()), 2 + Math.floor(8 * random())]
    const at = addDays(today, -(1 + Math.floor(i / 15)))
    at.setHours(14, 5, 6 * (i % 15), 0)
    const item = `fact ${a}*${b}`
    const given = String(random() < 0.95 ? a * b : a * b + a)
    const right = isRightAnswer(item, given)
    store.keepAnswer({
      id: idFor(62, i),
      learnerId: ash,
      at: at.getTime(),
      item,
      given,
      right,
      ms: 1400 + Math.round(900 * random()),
    })
  }
}

/** What lies in the store room: tens are short. */
function stock(store: Store): void {
  const plain = { pack: 0, madeOf: 'plain' as const }
  keepCupboard(store, {
    ...CUPBOARD_AT_FIRST,
    stock: {
      'blocks/one': { ...plain, have: 120, shelf: 'A1' },
      'blocks/ten': { ...plain, have: 14, pack: 10, shelf: 'A1' },
      'blocks/hundred': { ...plain, have: 12, shelf: 'A2' },
    },
  })
}

/** Moth works with two switches and large letters. */
function suit(store: Store): void {
  const moth = store.learner(learnerId('Moth'))!
  store.keepLearner({
    ...moth,
    choices: { ...moth.choices, letters: 2, access: { ...moth.choices.access, switches: 2, targets: 60, says: true } },
  })
}

/** Lessons that were taught: one a week, with what was noted. */
const TAUGHT = [
  { who: ['Wren', 'Pip'], step: 'take-2-2-ten', note: 'Both found the exchange themselves at the end.' },
  { who: ['Fen', 'Moth'], step: 'add-2-1', note: 'Fen showed Moth how to push the ones.' },
  { who: ['Ash', 'Teal'], step: 'take-3-3', note: 'Ash was done early; zeros next time.' },
] as const
function teachBefore(store: Store, today: Date): void {
  for (let week = 1; week <= 6; week++) {
    const { who, step, note } = TAUGHT[week % TAUGHT.length]!
    const learners = who.map(learnerId)
    const day = addDays(today, 2 - (today.getDay() || 7) - 7 * week)
    day.setHours(9, 30, 0, 0)
    const { turns } = planLesson({
      learners: learners.map((id) => ({ id, step: stepById(step)! })),
      minutes: 15,
      seed: SEED + week,
    })
    store.keepLesson({
      id: idFor(63, week),
      day: format(day, 'yyyy-MM-dd'),
      at: '09:30',
      minutes: 15,
      learners,
      turns: turns.map((turn) => ({ ...turn, done: { at: day.toISOString(), record: null } })),
      words: '',
      notes: { [learners[0]!]: note },
      version: 0,
    })
  }
}
