import { turnsOf } from '../../app/composables/useLessons'
import { dayInWords } from '../../shared/days'
import { lessonsWithout, printWithout, waitingWithout } from '../../app/utils/forgetLearner'
import { goesOnAt, keepingDone, stateOf, withDone, withoutDone, type Lesson } from '../../shared/lessons'

const turn = (learner: string | null, problem: string): Lesson['turns'][number] => ({
  learner,
  step: 'take-2-2-ten',
  problem,
  material: 'blocks',
  way: learner ? 'ones-first' : null,
  mode: learner ? 'alone' : 'show',
})
const lesson: Lesson = {
  id: 'monday',
  day: '2026-11-23',
  at: '09:30',
  minutes: 12,
  learners: ['wren', 'pip'],
  turns: [turn(null, '52 - 37'), turn('wren', '61 - 25'), turn('pip', '70 - 44'), turn('wren', '83 - 48')],
  words: 'Enough ones?',
  notes: { wren: 'drew the tens', pip: 'asked for help' },
  version: 3,
}

test('a lesson goes to the Bench turn by turn, from where it was left', () => {
  expect(turnsOf(lesson, 2)).toEqual([
    { problem: '70 - 44', learner: 'pip', material: 'blocks', way: 'ones-first', mode: 'alone', lesson: 'monday' },
    { problem: '83 - 48', learner: 'wren', material: 'blocks', way: 'ones-first', mode: 'alone', lesson: 'monday' },
  ])
  // The material's usual way is not asked for by name.
  expect(turnsOf(lesson)[0]).toEqual({
    problem: '52 - 37',
    learner: null,
    material: 'blocks',
    mode: 'show',
    lesson: 'monday',
  })
})

const done = { at: '2026-11-23T09:40:00.000Z', record: null }
const worked = (...places: readonly number[]): Lesson => ({
  ...lesson,
  turns: lesson.turns.map((t, i) => (places.includes(i) ? { ...t, done } : t)),
})

test('a lesson says how far it has come, and is gone on with after the last turn that was worked', () => {
  expect([lesson, worked(0), worked(0, 1, 2, 3)].map(stateOf)).toEqual(['planned', 'under way', 'done'])
  expect([goesOnAt(lesson), goesOnAt(worked(1))]).toEqual([0, 2])
  // What was passed over comes when the end is reached; all of it done, it begins again.
  expect([goesOnAt(worked(0, 3)), goesOnAt(worked(0, 1, 2, 3))]).toEqual([1, 0])
})

test('a turn is done once for each record, and is open again when that is taken back', () => {
  const turns = [turn('wren', '61 - 25'), turn('pip', '61 - 25'), turn('wren', '61 - 25')]
  const of = { learner: 'wren', problem: '61 - 25', mode: 'alone' } as const
  const once = withDone(turns, { ...of, record: 'a' }, 'ten')!
  expect(once.map((t) => t.done?.record)).toEqual(['a', undefined, undefined])
  expect(withDone(once, { ...of, record: 'a' }, 'eleven')).toEqual(once)
  const twice = withDone(once, { ...of, record: 'b' }, 'eleven')!
  expect(twice.map((t) => t.done?.record)).toEqual(['a', undefined, 'b'])
  expect(withDone(twice, { ...of, record: 'c' }, 'noon')).toBeUndefined()
  expect(withDone(turns, { ...of, problem: '1 + 1', record: 'a' }, 'ten')).toBeUndefined()
  expect(withoutDone(twice, 'a')).toEqual([turns[0], turns[1], twice[2]])
  // What is shown to all again has been shown before.
  const shown = withDone(lesson.turns, { learner: null, problem: '52 - 37', mode: 'show', record: null }, 'ten')!
  expect(withDone(shown, { learner: null, problem: '52 - 37', mode: 'show', record: null }, 'noon')).toEqual(shown)
})

test('whoever changes a lesson keeps what was worked in it, in whatever order it is now, and cannot make it up', () => {
  const kept = worked(1).turns
  const sent = [
    turn('pip', '70 - 44'),
    { ...turn('wren', '9 + 9'), done },
    turn('wren', '61 - 25'),
    turn('wren', '61 - 25'),
  ]
  expect(keepingDone(sent, kept).map((t) => t.done)).toEqual([undefined, undefined, done, undefined])
})

test('a learner who is erased goes from what this browser holds of lessons, and nobody else does', () => {
  const alone = { ...lesson, id: 'alone', learners: ['wren'], turns: [turn('wren', '52 - 37')], notes: { wren: 'x' } }
  const left = lessonsWithout({ monday: lesson, alone }, 'wren')
  expect(JSON.stringify(left)).not.toMatch(/wren|drew the tens/)
  expect(left).toEqual({
    monday: {
      ...lesson,
      learners: ['pip'],
      turns: [turn(null, '52 - 37'), turn('pip', '70 - 44')],
      notes: { pip: 'asked for help' },
    },
  })
  expect(waitingWithout(turnsOf(lesson), 'wren').map((w) => w.problem)).toEqual(['52 - 37', '70 - 44'])
  expect(waitingWithout([{ problem: '1 + 1' }], 'wren')).toEqual([{ problem: '1 + 1' }])
  const print = {
    setting: { paper: 'A4', perPage: 1, big: false, tactile: false },
    problems: '1 + 1',
    sheets: [],
    lesson: null,
    learners: ['wren', 'pip'],
    begun: false,
    before: null,
  } as const
  const { learners, before } = printWithout({ ...print, before: print }, 'wren')
  expect([learners, before?.learners]).toEqual([['pip'], ['pip']])
})

test('a day is said as it is in the calendar, wherever the computer stands', () => {
  expect(dayInWords('2026-11-23')).toBe('Monday 23 November')
})
