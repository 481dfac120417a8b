import { enter, openBench, type Bench, type Mode } from '../core/record/bench'
import { recordOf } from '../core/record/record'
import { plan } from '../core/plan/plan'
import { REPRESENTATIONS } from '../core/representation/index'
import type { Help } from '../shared/levels'
import { handsSchema, type Classroom, type SavedRecord } from '../shared/schemas'
import type { Store } from '../server/utils/store'

/** The Loft, a resource room at Thornwick Street School, before the lantern walk. All of it is invented. */
export const ROOM: Classroom = {
  name: 'the Loft',
  words: 'exchange',
  hands: handsSchema.parse({}),
}
const LEARNERS = ['Wren', 'Pip', 'Fen', 'Ash', 'Teal', 'Moth']

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
    problem: '38 + 24',
    mode: 'alone',
    daysAgo: 1,
    pace: 4700,
    help: 'independent',
    note: 'Left twelve ones standing and read the tens.',
    moves: ['lay 38', 'set 24', 'push 4 ones', 'push 2 tens', 'read 512'],
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
]

/** An identifier that is the same on every run: the demo's records are told apart by their number. */
const idFor = (kind: number, n: number): string =>
  `00000000-0000-4000-8000-${String(kind * 1000 + n).padStart(12, '0')}`

function work({ problem, mode, pace, moves }: Work): Bench {
  let bench = openBench(
    { problem, representation: 'blocks', also: ['columns', 'equations'], choices: { words: ROOM.words } },
    mode,
  )
  let at = 0
  const make = (on: 'blocks' | 'bench', move: string): void =>
    void (bench = enter(bench, { at: (at += pace), on, move }))
  if (moves) moves.forEach((m) => make('blocks', m))
  else
    for (const step of plan({ problem, representation: 'blocks' }).steps) {
      const made = step.moves.blocks ?? []
      if (made.length === 0 && mode === 'show') make('bench', 'ask')
      made.forEach((m) => make('blocks', REPRESENTATIONS.blocks.print(m)))
    }
  return bench
}

/** Fills an empty store with the demo class. Days are counted back from `today`. */
export function seedDemo(store: Store, today: Date): void {
  if (store.classroom()) return
  store.setClassroom(ROOM)
  LEARNERS.forEach((codeName, i) => store.addLearner({ id: idFor(1, i), codeName }))
  store.saveAll(
    WORK.map((w, i): SavedRecord => {
      const bench = work(w)
      const start = new Date(today)
      start.setDate(start.getDate() - w.daysAgo)
      start.setHours(9, 5 + 7 * i, 0, 0)
      const right = bench.now.standing.read === plan({ problem: w.problem, representation: 'blocks' }).answer
      return {
        id: idFor(2, i),
        learnerId: idFor(1, LEARNERS.indexOf(w.who)),
        startedAt: start.toISOString(),
        work: structuredClone(recordOf(bench)) as SavedRecord['work'],
        outcome: { right, help: w.help, note: w.note },
      }
    }),
  )
}
