import { goesOnAt, turnsOf } from '../../app/composables/useLessons'
import { dayInWords } from '../../shared/days'
import { lessonsWithout, printWithout, waitingWithout } from '../../app/utils/forgetLearner'
import type { Lesson } from '../../shared/lessons'
import type { RecordSummary } from '../../shared/listing'

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
  const done = {} as RecordSummary
  expect(goesOnAt([null, null, null])).toBe(0)
  expect(goesOnAt([null, done, null])).toBe(2)
  // What was passed over is not gone back to by itself; all of it done, it begins again.
  expect(goesOnAt([done, null, done])).toBe(0)
  expect(goesOnAt([])).toBe(0)
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
    before: null,
  } as const
  const { learners, before } = printWithout({ ...print, before: print }, 'wren')
  expect([learners, before?.learners]).toEqual([['pip'], ['pip']])
})

test('a day is said as it is in the calendar, wherever the computer stands', () => {
  expect(dayInWords('2026-11-23')).toBe('Monday 23 November')
})
