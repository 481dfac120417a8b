import {
  adviseWays,
  afterwards,
  answerCards,
  askedAs,
  before,
  checkLimits,
  checkRules,
  conflictIn,
  countProblems,
  COURSES,
  dealCards,
  dropHeap,
  featuresIn,
  HEAP_RULES,
  LESSONS,
  lessonId,
  parseMissing,
  placement,
  planLesson,
  printMissing,
  sameKind,
  saidAs,
  sayMissing,
  sentenceCards,
  setChains,
  setProblems,
  shownSteps,
  solveMissing,
  spin,
  standingsOf,
  nextStep,
  laidSteps,
  stepById,
  STEPS,
  STRANDS,
  troublesOf,
  wayFor,
  whichCoins,
  whyNot,
  type ChainWish,
  type Done,
  type Limits,
  type SpinnerRules,
  type Placed,
  type Step,
} from '../../../core/course/index'
import { add, DEFAULT_CHOICES, exact, packOf, parseProblem, printProblem, waysFor } from '../../../core/index'
import { rightOf } from '../../../core/mistakes/procedure'
import { approved, saidOf } from './approve'

/** Courses, and what they set: read as a teacher would read them. */

const pack = packOf(DEFAULT_CHOICES.words)

/** What comes after a step with its last material, and what if it goes badly. */
function thenTo(step: Step): string {
  const { well, badly } = afterwards(STEPS, step, step.materials.at(-1)!)
  const ids = (steps: readonly Step[]): string => steps.map((s) => s.id).join(', ') || 'nothing'
  return `${ids(well)}; badly: ${badly.material}, ${ids(badly.steps)}`
}
/** Data as text, whole numbers of any size among it. */
const asText = (data: unknown): string =>
  JSON.stringify(data, (_, value: unknown) => (typeof value === 'bigint' ? String(value) : value))

test('every step, its problems, and what differs between them', () => {
  approved(
    'courses/steps',
    STEPS.flatMap((step) => [
      `## ${step.id} · ${step.title} · ${step.strand}`,
      `limits ${JSON.stringify(step.limits)}; rests on ${step.restsOn.join(', ') || 'nothing'}`,
      `with ${step.materials.join(', ')}; by ${step.ways.join(', ')}; usual ${step.usual.join(', ')}; serves ${step.serves.join(', ')}`,
      ...step.say.map((text) => `says: ${saidAs(text, pack)}`),
      ...step.ask.map((text) => `asks: ${askedAs(text, pack)}`),
      `${saidOf(() => String(countProblems(step.limits)))} problems`,
      ...saidOf(() => setProblems({ step, count: 8, seed: 3, hardestLast: true }).join('\n'))
        .split('\n')
        .map((text) => {
          const { kind, hardness, exchanges, acrossNought, ragged, remainder } = featuresIn(text)
          const again = sameKind(parseProblem(text), 5)
          const way = wayFor(step, text, step.materials[0]!)
          return `${text} · ${kind} · ${hardness} · ${exchanges}${acrossNought ? ' across nought' : ''}${ragged ? ' ragged' : ''}${remainder ? ' left over' : ''} · alike ${again ? printProblem(again) : 'none'} · ${way}`
        }),
      `then ${thenTo(step)}`,
    ]),
  )
})

const ODD: readonly Limits[] = [
  { operation: 'add', digits: [2, 2], carries: [1, 2], below: 100 },
  { operation: 'add', digits: [3, 2], carries: 0, ragged: true },
  { operation: 'add', digits: [2, 2], makes: 100 },
  { operation: 'add', addends: 3, digits: [2, 2, 1], carries: 2 },
  { operation: 'add', digits: [2, 2], nearTen: 2, turned: true },
  { operation: 'add', digits: [2, 2], lookAlike: true },
  { operation: 'add', digits: [3, 3], decimals: 1, carries: [1, 3] },
  { operation: 'subtract', digits: [3, 3], exchanges: 2, acrossNought: true },
  { operation: 'subtract', digits: [4, 2], exchanges: [1, 3], below: 2000 },
  { operation: 'subtract', digits: [2, 2], nearTen: 1, makes: 15 },
  { operation: 'subtract', digits: [3, 3], decimals: 2, exchanges: 0 },
  { operation: 'multiply', digits: [2, 1], carries: 1, by: [3, 4] },
  { operation: 'multiply', digits: [2, 2] },
  { operation: 'multiply', digits: [1, 1], by: [9] },
  { operation: 'divide', digits: [3, 1], remainder: true },
  { operation: 'divide', digits: [2, 1], remainder: false, by: [2, 5] },
  { operation: 'divide', digits: [3, 2], below: 20 },
  { operation: 'add', signs: ['+', '-'], upTo: 9 },
  { operation: 'subtract', signs: ['-', '-'], upTo: 12 },
  { operation: 'add', denominators: [2, 4, 8], alike: false },
  { operation: 'subtract', denominators: [5], alike: true },
  { operation: 'count', from: 10, upTo: 40 },
  { operation: 'compare', denominators: [3, 4, 6] },
  { operation: 'rename', denominators: [2, 4, 8] },
  { operation: 'add', digits: [1, 1], rule: { lessons: ['five+3'] } },
  { operation: 'add', digits: [2, 2], rule: { lessons: ['ten+7', 'mixed+6'], order: 'ones' } },
  // What cannot be, and what makes no sense.
  { operation: 'add', digits: [2, 2], carries: 3 },
  { operation: 'subtract', digits: [2, 2], acrossNought: true },
  { operation: 'add', digits: [2, 2], below: 10 },
  { operation: 'add', digits: [0, 2] },
  { operation: 'add', digits: [10, 2] },
  { operation: 'add', addends: 9 },
  { operation: 'divide', digits: [2, 1], exchanges: 1 },
  { operation: 'subtract', digits: [2, 2], carries: 1 },
  { operation: 'add', decimals: 4 },
  { operation: 'add', nearTen: 5 },
  { operation: 'multiply', by: [] },
  { operation: 'add', rule: { lessons: ['nine+9'] } },
  { operation: 'add', signs: ['+'], upTo: 0 },
  { operation: 'add', denominators: [1] },
  { operation: 'add', carries: [2, 1], digits: [2, 2] },
]

test('problems within limits, and limits that cannot be', () => {
  approved(
    'courses/limits',
    ODD.flatMap((limits) => [
      `## ${JSON.stringify(limits)}`,
      `checked: ${saidOf(() => (checkLimits(limits), 'yes'))}; conflict ${saidOf(() => asText(conflictIn(limits)))}`,
      `${saidOf(() => String(countProblems(limits)))}: ${saidOf(() => setProblems({ limits, count: 10, seed: 7 }).join('; '))}`,
      saidOf(() => setProblems({ limits, count: 4, seed: 7, spread: false, without: ['38 + 47'] }).join('; ')),
    ]),
  )
})

const CHAIN: ChainWish = {
  lesson: LESSONS[0]!,
  rod: 'any',
  times: 'some',
  terms: 4,
  digits: 1,
  taught: [],
  signs: 'both',
  undoing: false,
  least: 0,
  greatest: 99,
  order: 'highest',
  beads: { upper: 1, lower: 4 } as ChainWish['beads'],
  names: 'complement',
  count: 4,
  seed: 9,
}

test('chains for every lesson', () => {
  const told = (wish: ChainWish): string =>
    saidOf(() => {
      const { chains, total, counted, why } = setChains(wish)
      return `${total} ${counted} ${why}: ${chains.map((c) => c.join(' ')).join('; ')}`
    })
  approved('courses/chains', [
    ...LESSONS.flatMap((lesson, i) => {
      // The chains are long to count: every third lesson.
      if (i % 3 > 0) return []
      const taught = before(lesson).map(lessonId)
      return [
        `${lessonId(lesson)}: ${told({ ...CHAIN, lesson, taught })}`,
        `${lessonId(lesson)} once, from the ones: ${told({ ...CHAIN, lesson, taught, times: 'once', order: 'ones', digits: 2, rod: 1, greatest: 999, signs: lesson.way > 0 ? '+' : 'both' })}`,
      ]
    }),
    `alone: ${told({ ...CHAIN, lesson: LESSONS.at(-1)! })}`,
    `long: ${told({ ...CHAIN, terms: 13 })}`,
    `wide: ${told({ ...CHAIN, digits: 6 })}`,
    `back: ${told({ ...CHAIN, least: 50, greatest: 10 })}`,
    `many: ${told({ ...CHAIN, count: 501 })}`,
    ...['+', '-'].flatMap((signs) =>
      LESSONS.slice(18, 22).map(
        (lesson) =>
          `${lessonId(lesson)} ${signs}: ${told({ ...CHAIN, lesson, signs: signs as '+', taught: LESSONS.map(lessonId), least: 4, greatest: 9, terms: 2 })}`,
      ),
    ),
    `taking only: ${told({ ...CHAIN, signs: '-', taught: LESSONS.map(lessonId) })}`,
  ])
})

test('placing, lessons, standings and courses', () => {
  const answered = (right: (i: number) => boolean): string[] => {
    const asked: Placed[] = []
    const lines: string[] = []
    for (let i = 0; i <= 12; i++) {
      const { next, here } = placement(STEPS, asked, 4)
      const known = here.map((h) => `${h.strand} ${h.step?.id ?? 'all'} ${h.sure.toFixed(3)}`).join('; ')
      if (!next) return [...lines, `known: ${known}`]
      const { value } = rightOf(parseProblem(next.problem))
      const answer = right(i) ? { value } : i % 3 === 0 ? null : { value: add(value, exact(i)) }
      lines.push(`${next.step.id}: ${next.problem} ${right(i) ? 'right' : answer ? 'wrong' : 'nothing'} | ${known}`)
      asked.push({ step: next.step.id, problem: next.problem, answer })
    }
    return lines
  }
  const done = (days: number): Done[] =>
    STEPS.slice(0, 6).flatMap((step, s) =>
      setProblems({ step, count: 5, seed: s }).flatMap((problem, i) =>
        Array.from({ length: days }, (_, day) => ({
          problem,
          startedAt: `2026-10-${String(10 + day).padStart(2, '0')}T09:0${i}:00Z`,
          day: `2026-10-${String(10 + day).padStart(2, '0')}`,
          alone: (s + i + day) % (s + 2) !== 0,
          with: step.materials[0]!,
          ms: 20_000 + 1000 * i,
        })),
      ),
    )
  approved('courses/standings', [
    '## all right',
    ...answered(() => true),
    '## all wrong',
    ...answered(() => false),
    '## every other',
    ...answered((i) => i % 2 === 0),
    ...[1, 3, 4].flatMap((days) => {
      const standings = standingsOf(STEPS, done(days))
      return [
        `## ${days} days`,
        ...standings.filter((s) => s.worked > 0).map((s) => JSON.stringify(s)),
        `next ${nextStep(STEPS, standings)?.id}; laid ${[...laidSteps(STEPS, standings)].join(', ')}`,
      ]
    }),
    '## lessons',
    ...[3, 10, 15, 40, 60, 2, 61].map((minutes) =>
      saidOf(() => {
        const learners = STEPS.slice(8, 11).map((step, i) => ({
          id: `learner ${i}`,
          step,
          ms: i === 1 ? 90_000 : null,
        }))
        const { turns, takes, notes } = planLesson({ learners, minutes, seed: 2 })
        return `${minutes}: ${takes.toFixed(1)} | ${notes.join(' ')} | ${turns.map((t) => `${t.learner ?? 'all'} ${t.mode} ${t.problem} ${t.material} ${t.way}`).join('; ')}`
      }),
    ),
    '## courses',
    ...COURSES.map(
      (c) =>
        `${c.id}: ${shownSteps(c)
          .map((s) => s.id)
          .join(' ')} | ${JSON.stringify(troublesOf(c))}`,
    ),
    ...STRANDS,
    String(stepById('no such step')),
  ])
})

test('cards, the spinner, missing digits, heaps and advice', () => {
  const PROBLEMS = ['52 - 37', '38 + 47', '9 - 4', '8 + 7', '304 - 178', '612 / 7', '37 * 24', '-3 - -5', '3/8 + 2/8']
  const rules: SpinnerRules = { sectors: [10, -20, 5, 17], least: 10, greatest: 60, exchanges: 'none' }
  approved('courses/tools', [
    ...PROBLEMS.map((p) => `${p}: cards ${saidOf(() => answerCards(parseProblem(p), 3).join(' '))}`),
    ...['9 - 4', '8 + 7', '7 * 8'].map(
      (p) =>
        `${p}: sentences ${saidOf(() =>
          sentenceCards(parseProblem(p), 2, () => true)
            .map(printProblem)
            .join('; '),
        )}`,
    ),
    ...[1, 2, 3].map((seed) => `dealt ${saidOf(() => dealCards(rules, 5, seed).join(' '))}`),
    ...[0, 5, 19, 60].map(
      (card) =>
        `${card}: ${[-20, 5, 10, 17].flatMap((sector) => (['none', 'only', 'any'] as const).map((exchanges) => whyNot({ card, sector }, { ...rules, exchanges }) || 'may')).join(' | ')}`,
    ),
    ...[0, 1, 2].map((many) =>
      asText(
        spin(
          [12, 25, 31],
          rules,
          4,
          [
            { card: 12, sector: 10 },
            { card: 25, sector: 5 },
          ].slice(0, many),
        ),
      ),
    ),
    ...[{ sectors: [1] }, { sectors: [0, 1] }, { least: 5, greatest: 5 }, { least: -1 }, { greatest: 10_000 }].map(
      (odd) => saidOf(() => (checkRules({ ...rules, ...odd }), 'fine')),
    ),
    ...(['any', 'only'] as const).map((exchanges) => dealCards({ ...rules, exchanges }, 30, 2).join(' ')),
    ...[
      '5_ + 3_ = _2',
      '4_2 - _7_ = 2__',
      '__ + __ = 100',
      '_ - _ = 12',
      '1_ + 2',
      '9_ + _ = 1',
      '',
      '_______ + 1 = 2',
    ].flatMap((text) => [
      `## ${text}`,
      saidOf(() => {
        const read = parseMissing(text)
        const { solutions, more } = solveMissing(read)
        return [
          `${printMissing(read)}: ${solutions.length}${more ? ' and more' : ''}`,
          ...solutions.slice(0, 3).map((s) => sayMissing(read, s, pack).join(' ')),
        ].join('\n')
      }),
    ]),
    ...HEAP_RULES.flatMap((rule) =>
      [null, 137, 95].map(
        (total) =>
          `${rule} ${total}: ${saidOf(() => JSON.stringify(dropHeap({ values: [100, 50, 25, 10, 5, 1], rule, total, coins: null, seed: 6 })))}`,
      ),
    ),
    saidOf(() => JSON.stringify(dropHeap({ values: [25, 10], rule: 'tens-and-ones', total: 30, coins: 2, seed: 1 }))),
    saidOf(() => JSON.stringify(dropHeap({ values: [25, 10], rule: 'any', total: 0, coins: 2, seed: 1 }))),
    saidOf(() => JSON.stringify(dropHeap({ values: [25, 10], rule: 'any', total: 35, coins: 1, seed: 1 }))),
    ...[
      [47, 5],
      [30, 3],
      [100, 4],
      [3, 1],
    ].map(
      ([total, coins]) => `${total} in ${coins}: ${JSON.stringify(whichCoins(total!, coins!, [50, 25, 10, 5, 1]))}`,
    ),
    ...[...PROBLEMS, '199 + 46', '1/2 + 1/3', '3 * 25 + 2 * 10', '96 / 4', '9 * 4'].flatMap((p) =>
      [true, false].map(
        (losesTrack) =>
          `${p}${losesTrack ? ', loses track' : ''}: ${adviseWays(parseProblem(p), DEFAULT_CHOICES, { losesTrack })
            .map((a) => `${a.representation} ${a.way}: ${a.why}`)
            .join(' | ')}`,
      ),
    ),
    ...PROBLEMS.map(
      (p) =>
        `${p} on blocks: ${saidOf(() =>
          waysFor(p, 'blocks')
            .map((w) => `${w.title} (${w.school}; ${w.at})`)
            .join(' | '),
        )}`,
    ),
  ])
})
