import '../../core/index'
import {
  countProblems,
  planLesson,
  setProblems,
  standingsOf,
  STEPS,
  type Done,
  type Limits,
} from '../../core/course/index'
import { kitFor } from '../../core/kit/index'
import { layOut } from '../../core/paper/index'
import { FONTS, item, PLAIN, TOOLS } from '../../tests/core/press'
import { pdfOf } from '../../workers/pdf'
import type { Figure } from './all'

/** The median of some runs, in milliseconds. */
function median(work: () => unknown, runs = 9): number {
  const times = Array.from({ length: runs }, () => {
    const began = performance.now()
    work()
    return performance.now() - began
  }).sort((a, b) => a - b)
  return times[runs >> 1]!
}

const WIDE: readonly (readonly [string, Limits])[] = [
  [
    'nine digits taken from nine, across a nought',
    { operation: 'subtract', digits: [9, 9], exchanges: [2, 5], acrossNought: true, below: 123_456_789, nearTen: 2 },
  ],
  ['nine digits added to nine', { operation: 'add', digits: [9, 9], carries: [2, 5], below: 999_999_999, nearTen: 2 }],
  [
    'eight numbers of nine digits',
    {
      operation: 'add',
      addends: 8,
      digits: new Array<number>(8).fill(9),
      carries: [2, 5],
      below: 999_999_999,
      nearTen: 2,
    },
  ],
  ['nine digits by three', { operation: 'multiply', digits: [9, 3], below: 999_999_999 }],
]

/** Counting problems, where a learner stands, a lesson, a kit, its sheets. */
export async function courses(): Promise<Figure[]> {
  const ms = (n: number): string => `${n.toFixed(1)} ms`
  const step = STEPS.find((s) => s.id === 'take-2-2-ten')!
  const problems = setProblems({ step, count: 40, seed: 1 })
  const done = Array.from({ length: 600 }, (_, i): Done => {
    const of = STEPS[i % STEPS.length]!
    const [problem] = setProblems({ step: of, count: 1, seed: i })
    const startedAt = new Date(Date.UTC(2026, 0, 1 + (i % 200))).toISOString()
    return { problem: problem!, startedAt, day: startedAt.slice(0, 10), alone: i % 3 > 0 }
  })
  const learners = Array.from({ length: 8 }, (_, i) => ({ id: String(i), step: STEPS[i * 8]! }))
  const names = Array.from({ length: 26 }, (_, i) => `Learner ${i + 1}`)
  const sheets = [
    item({ kind: 'problems', problems, layout: 'squares', shown: 'blank' }, { names, code: 'KDT0-MPR0-0' }),
    item({ kind: 'problems', problems, layout: 'squares', shown: 'key' }),
    item({ kind: 'steps', problem: problems[0]!, material: 'blocks' }),
  ]
  const { pages } = layOut(PLAIN, sheets, TOOLS)
  const began = performance.now()
  const file = await pdfOf(pages, 'Sheets', FONTS)
  const written = performance.now() - began
  return [
    ...WIDE.map(([what, limits]) => ({
      what: `counted: ${what}`,
      value: ms(median(() => countProblems(limits))),
      beside: '50 ms wanted',
    })),
    {
      what: '600 pieces of work put to their steps',
      value: ms(median(() => standingsOf(STEPS, done), 5)),
      beside: 'in slices on the server',
    },
    {
      what: 'a lesson for eight planned',
      value: ms(median(() => planLesson({ learners, minutes: 30, seed: 1 }))),
      beside: '',
    },
    {
      what: 'a kit for 26 learners from 40 problems',
      value: ms(median(() => kitFor({ problems, representation: 'blocks', learners: 26 }))),
      beside: '300 ms wanted',
    },
    {
      what: `sheets of 40 problems for 26 learners laid out, ${pages.length} pages`,
      value: ms(median(() => layOut(PLAIN, sheets, TOOLS), 3)),
      beside: 'in a worker',
    },
    {
      what: `the same written as PDF, ${Math.round(file.length / 1000)} kB`,
      value: ms(written),
      beside: 'in a worker, can be stopped',
    },
  ]
}
