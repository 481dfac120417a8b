import { addDays, format } from 'date-fns'
import { askedAs, planLesson, saidAs, stepById } from '../core/course/index'
import {
  type Bench,
  enter,
  type Mode,
  openBench,
  outcome,
  packOf,
  plan,
  recordOf,
  REPRESENTATIONS,
  slipsOf,
  WORD_SETS,
} from '../core/index'
import { isRight, parseItem } from '../core/rehearse/index'
import { cellById, SCENES, tellStory, type Stage, type StoryWork } from '../core/story/index'
import { isUnsound, seenIn } from '../server/utils/trials'
import type { Help } from '../shared/levels'
import { handsSchema, type Classroom, type SavedRecord } from '../shared/schemas'
import type { Store } from '../server/utils/store'
import type { Trial } from '../shared/trials'

/** The Loft, a resource room at Thornwick Street School, before the lantern walk. All of it is invented. */
export const ROOM: Classroom = {
  name: 'the Loft',
  words: WORD_SETS.exchange,
  hands: handsSchema.parse({}),
}
/** Who comes when, and to which step. */
const LESSONS = [
  { who: ['Wren', 'Pip'], step: ['take-2-2-ten'], daysAhead: 0, at: '09:30', minutes: 12 },
  { who: ['Fen', 'Moth'], step: ['add-2-2-ten', 'add-2-1'], daysAhead: 0, at: '10:15', minutes: 15 },
  { who: ['Ash', 'Teal'], step: ['take-across', 'add-3-3'], daysAhead: 1, at: '09:30', minutes: 15 },
] as const
export const LEARNERS = ['Wren', 'Pip', 'Fen', 'Ash', 'Teal', 'Moth']

const PACK = packOf(WORD_SETS.exchange)

/** One piece of work: who, what, how, days before today, milliseconds a move, help, a note; and what was done instead of the plan. */
interface Work {
  readonly who: string
  readonly problem: string
  readonly mode: Mode
  readonly daysAgo: number
  readonly pace: number
  readonly help: Help
  readonly note: string
  /** Moves typed by hand; the plan's own where absent. */
  readonly moves?: readonly string[]
  /** What it is worked on; blocks where absent. */
  readonly on?: 'blocks' | 'abacus'
}

const WORK: readonly Work[] = [
  {
    who: 'Wren',
    problem: '45 - 18',
    mode: 'show',
    daysAgo: 6,
    pace: 4000,
    help: 'shown',
    note: 'Ribbon lengths cut from a roll of 45.',
  },
  {
    who: 'Wren',
    problem: '63 - 27',
    mode: 'together',
    daysAgo: 4,
    pace: 6200,
    help: 'spoken',
    note: 'Asked “are there enough ones?” by itself the second time.',
  },
  {
    who: 'Wren',
    problem: '52 - 37',
    mode: 'together',
    daysAgo: 1,
    pace: 5100,
    help: 'pointed',
    note: 'Tea-lights left in the boxes of ten.',
  },
  {
    who: 'Pip',
    problem: '34 - 16',
    mode: 'alone',
    daysAgo: 5,
    pace: 3900,
    help: 'independent',
    note: 'Carried the ten to the store and brought ten ones back, counting aloud.',
    moves: ['lay 34', 'return 1 ten', 'lay 10 ones', 'take 6 ones', 'take 1 ten', 'read 18'],
  },
  { who: 'Pip', problem: '81 - 46', mode: 'alone', daysAgo: 2, pace: 3300, help: 'independent', note: '' },
  {
    who: 'Fen',
    problem: '27 + 15',
    mode: 'together',
    daysAgo: 3,
    pace: 5600,
    help: 'pointed',
    note: 'Beads on two lantern strings.',
  },
  {
    who: 'Fen',
    problem: '46 + 27',
    mode: 'alone',
    daysAgo: 1,
    pace: 4700,
    help: 'independent',
    note: 'Left thirteen ones standing and read the tens.',
    moves: ['lay 46', 'set 27', 'push 7 ones', 'push 2 tens', 'read 613'],
  },
  {
    who: 'Ash',
    problem: '304 - 178',
    mode: 'show',
    daysAgo: 3,
    pace: 5200,
    help: 'shown',
    note: 'Across the nought: hundred to tens, ten to ones.',
  },
  { who: 'Ash', problem: '402 - 135', mode: 'together', daysAgo: 1, pace: 7400, help: 'spoken', note: '' },
  {
    who: 'Teal',
    problem: '476 + 358',
    mode: 'alone',
    daysAgo: 2,
    pace: 4100,
    help: 'independent',
    note: 'Stall money, both boxes.',
  },
  {
    who: 'Moth',
    problem: '12 + 6',
    mode: 'together',
    daysAgo: 1,
    pace: 6900,
    help: 'hand-over-hand',
    note: 'Wanted the hand; chose to push the last ones alone.',
  },
  {
    who: 'Fen',
    problem: '33 + 4 - 6 + 2',
    mode: 'together',
    daysAgo: 3,
    pace: 3600,
    help: 'spoken',
    note: 'Beads on the lantern strings, counted on the abacus.',
    on: 'abacus',
  },
  {
    who: 'Fen',
    problem: '8 + 7 + 1',
    mode: 'alone',
    daysAgo: 1,
    pace: 4400,
    help: 'independent',
    note: 'Set the ten and went straight on. Ten complements again tomorrow.',
    on: 'abacus',
    moves: ['ones pinch 3 to bar', 'tens lower 1 to bar', 'go on', 'ones lower 1 to bar', 'read 19'],
  },
]

/** What the teacher has rehearsed: every few minutes an answer, some of them missed. */
const REHEARSED: readonly (readonly [item: string, given: string])[] = [
  ['rule 4+1', 'five'],
  ['rule 3+2', 'five'],
  ['rule 4+3', 'five'],
  ['rule 2+4', 'direct'],
  ['rule 8+2', 'ten'],
  ['rule 8+7', 'ten'],
  ['rule 6+7', 'ten'],
  ['rule 9+1', 'ten'],
  ['rule 2+4', 'five'],
  ['rule 5+6', 'mixed'],
  ['rule 7+7', 'ten'],
  ['rule 7+9', 'ten'],
  ['rule 6+7', 'mixed'],
  ['rule 4+5', 'direct'],
  ['rule 3+6', 'direct'],
  ['rule 6+8', 'mixed'],
  ['rule 7+7', 'ten'],
  ['rule 5-3', 'five'],
  ['rule 8-6', 'direct'],
  ['rule 3-7', 'ten'],
]

/** An identifier that is the same on every run: the demo's records are told apart by their number. */
export const idFor = (kind: number, n: number): string =>
  `00000000-0000-4000-8000-${String(kind * 1000 + n).padStart(12, '0')}`

function work({ problem, mode, pace, moves, on: main = 'blocks' }: Work): Bench {
  const also = main === 'blocks' ? (['columns', 'equations'] as const) : (['equations'] as const)
  let bench = openBench({ problem, representation: main, also, choices: { words: ROOM.words } }, mode)
  let at = 0
  const make = (on: 'blocks' | 'abacus' | 'bench', move: string): void =>
    void (bench = enter(bench, { at: (at += pace), on, move }))
  if (moves) moves.forEach((m) => make(m === 'go on' ? 'bench' : main, m))
  else
    for (const step of plan({ problem, representation: main }).steps) {
      const made = step.moves[main] ?? []
      if (made.length === 0 && mode === 'show') make('bench', 'ask')
      made.forEach((m) => make(main, REPRESENTATIONS[main].print(m)))
    }
  return bench
}

/** The teacher's own answers, one every twelve seconds on the day before. */
function rehearse(store: Store, today: Date): void {
  const start = new Date(today)
  start.setDate(start.getDate() - 1)
  start.setHours(15, 40, 0, 0)
  for (const [i, [item, given]] of REHEARSED.entries()) {
    const right = isRight(parseItem(item), given)
    const at = start.getTime() + 12_000 * i
    store.keepAnswer({ id: idFor(3, i), learnerId: null, at, item, given, right, ms: 3200 + 150 * (i % 7) })
  }
}

/** Fills an empty store with the demo class, with no work of those who are named. Days are counted back from `today`. */
export function seedDemo(store: Store, today: Date, without: readonly string[] = []): void {
  if (store.classroom()) return
  store.setClassroom(ROOM)
  LEARNERS.forEach((codeName, i) => store.addLearner({ id: idFor(1, i), codeName }))
  store.db.transaction(() =>
    WORK.forEach((w, i) => {
      if (without.includes(w.who)) return
      const bench = work(w)
      const start = new Date(today)
      start.setDate(start.getDate() - w.daysAgo)
      start.setHours(9, 5 + 7 * i, 0, 0)
      const { right } = outcome(bench)
      const record: SavedRecord = {
        id: idFor(2, i),
        learnerId: idFor(1, LEARNERS.indexOf(w.who)),
        startedAt: start.toISOString(),
        work: structuredClone(recordOf(bench)) as SavedRecord['work'],
        outcome: { right, help: w.help, note: w.note },
      }
      store.save(record, slipsOf(bench))
    }),
  )()
  rehearse(store, today)
  teach(store, today)
  tellStories(store, today)
}

/** Lessons of today and of tomorrow, as they are planned. */
function teach(store: Store, today: Date): void {
  for (const [i, { who, step, daysAhead, at, minutes }] of LESSONS.entries()) {
    const learners = who.map((name) => idFor(1, LEARNERS.indexOf(name)))
    const steps = step.map((id) => stepById(id)!)
    const { turns } = planLesson({
      learners: learners.map((id, k) => ({ id, step: steps[k % steps.length]! })),
      minutes,
      seed: 7 + i,
    })
    const words = steps.flatMap((s) => [
      ...s.say.map((t) => saidAs(t, PACK)),
      ...s.ask.map((t) => `Ask: ${askedAs(t, PACK)}`),
    ])
    const day = format(addDays(today, daysAhead), 'yyyy-MM-dd')
    const lesson = {
      id: idFor(3, i),
      day,
      at,
      minutes,
      learners,
      turns: [...turns],
      words: words.join('\n'),
      notes: {},
      version: 0,
    }
    store.keepLesson(lesson)
  }
}

/** Stories that were worked: who, which, what was given at each stage. */
const STORIES: readonly {
  readonly who: string
  readonly cell: string
  readonly problem: string
  readonly daysAgo: number
  readonly note: string
  readonly given: readonly (readonly [Stage, string])[]
}[] = [
  {
    who: 'Wren',
    cell: 'compare/lesser/more',
    problem: '14 - 6',
    daysAgo: 12,
    note: 'Drew the bars when asked who has more.',
    given: [
      ['situation', 'compare'],
      ['answer', '20 lanterns'],
      ['bars', 'lesser=? difference=6 greater=14'],
      ['answer', '8 lanterns'],
      ['check', 'fits=yes answer=8_lanterns'],
    ],
  },
  {
    who: 'Pip',
    cell: 'groups/product',
    problem: '4 * 6',
    daysAgo: 11,
    note: '',
    given: [
      ['situation', 'groups'],
      ['sentence', '4 * 6 = ?; 4 * 6'],
      ['answer', '24 lanterns'],
    ],
  },
]
function tellStories(store: Store, today: Date): void {
  for (const [i, { who, cell, problem, daysAgo, note, given }] of STORIES.entries()) {
    const told = tellStory({ problem, cell: cellById(cell)!, scene: SCENES[0]!, seed: 11 + i })
    const start = new Date(today)
    start.setDate(start.getDate() - daysAgo)
    start.setHours(11, 10 + 9 * i, 0, 0)
    const work: StoryWork = {
      format: 'sett-story',
      version: 1,
      story: {
        cell,
        amounts: told.roles,
        scene: told.scene,
        people: told.people,
        seed: 11 + i,
        length: 'plain',
        extra: false,
      },
      text: told.text,
      mode: 'together',
      entries: given.map(([stage, text], k) => ({ at: 15_000 * (k + 1), stage, given: text })),
    }
    const trial = {
      id: idFor(5, i),
      learnerId: idFor(1, LEARNERS.indexOf(who)),
      startedAt: start.toISOString(),
      kind: 'story',
      help: 'spoken',
      right: true,
      note,
      work: structuredClone(work),
    } as Trial
    const seen = seenIn(trial)
    if (!isUnsound(seen)) store.keepTrial(trial, seen)
  }
}
