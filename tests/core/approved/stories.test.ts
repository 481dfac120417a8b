import {
  barsOfSteps,
  cellById,
  CELL_IDS,
  cellsFor,
  firstOf,
  judged,
  keyWordsIn,
  leftOut,
  LENGTHS,
  misleads,
  numbersFound,
  ownStory,
  pageSays,
  printAmount,
  problemFor,
  readAsked,
  readStoryLine,
  rolesOf,
  SCENES,
  scenesFor,
  sentenceIn,
  sentenceOf,
  STAGES,
  storiesFrom,
  storyLine,
  suggests,
  tellStory,
  toldFrom,
  toldNumbers,
  toldOf,
  understood,
  valueOfSum,
  whyNotIn,
  type Cell,
  type Role,
  type ToldPlan,
  type StoryWish,
} from '../../../core/story/index'
import { answerIn, storyOutcome, workable, type StoryEntry } from '../../../core/story/work'
import { DEFAULT_CHOICES, exact, packOf } from '../../../core/index'
import { approved, saidOf } from './approve'

/** Stories of every kind in every scene, the bars for them, and what is said of answers. */

const TYPED = [
  ...['15 - 8', '7 + 8', '24 / 6', '6 * 7', '9 + 4 - 5', '3 * 4 + 5', '1/2 + 1/4', '-3 + 8', '4 - 9', '2.50 + 1.75'],
  ...['17 / 5', '100 - 37', '3/4 * 8', '12 - 5 - 3', '52', '1000 * 30', '0 + 5', '6 - 6', '20 / 4 + 3'],
]
const ids = CELL_IDS.map((id) => cellById(id)!)

test('what each kind of story tells and asks', () => {
  approved('stories/kinds', [
    ...ids.map((cell) => {
      const first = firstOf(cell)
      return `${CELL_IDS[ids.indexOf(cell)]}: tells ${toldOf(cell).join(', ')}; suggests ${suggests(cell)}${misleads(cell) ? ', misleads' : ''}; after ${first ? first.situation : 'nothing'}; roles ${rolesOf(
        cell,
      )
        .map((r) => r.join(' '))
        .join(', ')}`
    }),
    ...TYPED.map(
      (typed) =>
        `${typed}: ${saidOf(() =>
          cellsFor(typed)
            .map((c) => CELL_IDS[ids.findIndex((i) => i === c)])
            .join(', '),
        )}`,
    ),
    ...['heap', '', '7 +', '1/0 + 2'].map((typed) => saidOf(() => JSON.stringify(readAsked(typed)))),
  ])
})

test('stories told', () => {
  const lines: string[] = []
  for (const typed of TYPED)
    for (const [i, cell] of attemptCells(typed).entries()) {
      const told = toldFrom(cell, readAsked(typed))!
      const fits = scenesFor(cell, told)
      const wish: StoryWish = {
        problem: typed,
        cell,
        seed: i + 1,
        length: LENGTHS[i % LENGTHS.length]!,
        scene: fits[i % fits.length]!,
        ...(i % 3 === 1 ? { words: packOf(DEFAULT_CHOICES.words) } : {}),
        ...(i % 4 === 2 ? { extra: true } : {}),
      }
      lines.push(
        `## ${typed} · ${CELL_IDS[ids.indexOf(cell)]} · ${wish.length}${wish.extra ? ' · one number more' : ''}`,
      )
      lines.push(
        saidOf(() => {
          const story = tellStory(wish)
          const bars = barsOfSteps(story).map((step) => step.map((bar) => JSON.stringify(bar)).join(' '))
          return [
            story.text,
            `asks ${story.asks}; ${sentenceOf(cell, story.roles, story.before)}; ${problemFor(cell, story.roles)}; told ${toldNumbers(story).join(' ')}`,
            ...(i % 3 === 0 ? bars : []),
          ].join('\n')
        }),
      )
      // And in a scene of every other kind that it happens in, with each length of sentence.
      for (const [k, scene] of SCENES.filter((sc) => fits.includes(sc) && sc !== wish.scene).entries())
        lines.push(saidOf(() => tellStory({ ...wish, scene, seed: i + k, length: LENGTHS[k % LENGTHS.length]! }).text))
      const closed = SCENES.map((scene) => whyNotIn(cell, told, scene)).filter((why) => why !== '')
      lines.push(`${fits.length} scenes; ${[...new Set(closed)].slice(0, 2).join(' | ')}`)
      const left = leftOut(cell, wish.scene!)
      if (left.length > 0)
        lines.push(`without ${left[0]}: ${saidOf(() => tellStory({ ...wish, extra: false, missing: left[0]! }).text)}`)
    }
  approved('stories/told', lines)
})

function attemptCells(typed: string) {
  try {
    return cellsFor(typed)
  } catch {
    return []
  }
}

const GIVEN: Readonly<Record<(typeof STAGES)[number], readonly string[]>> = {
  situation: ['add-to', 'take-from', 'compare', 'together', 'groups', 'fall', 'two-steps', 'rubbish'],
  marks: [
    ...['', 'needs=15,8 asked=change', 'needs=8,15 asked=start', 'needs=15 asked=result', 'needs=24,6 asked=size', 'x'],
    ...['needs=9,4,5 asked=result', 'needs=15,8 asked=lesser missing=yes', 'missing=yes', 'needs=4,9 asked=over'],
  ],
  bars: [
    ...[
      '',
      'start=8 change=? result=15',
      'start=? change=8 result=15',
      'start=15 change=8 result=?',
      'whole=15 first=8',
    ],
    ...['lesser=8 difference=? greater=15', 'lesser=? difference=8 greater=15', 'number=6 size=? product=24', 'x=y=z'],
  ],
  sentence: [
    ...[
      '15 - 8 = ?',
      '8 + ? = 15',
      '? + 8 = 15',
      '15 - ? = 8',
      '8 - 15 = ?',
      '15 + 8 = ?',
      '6 * ? = 24',
      '9 + 4 - 5 = ?',
    ],
    ...[
      '15 - 8',
      '15 - 8 = 7',
      'x = ?',
      '? = ?',
      '8 + ? = 15; 15 - 8',
      '; 15 + 8',
      '; x',
      '8 + ? = 15; 8 - 15',
      '4 - 9 = ?',
    ],
    ...['; 24 / 6', '; 9 + 4', '; 15 - 8', '2.50 + 1.75 = ?'],
  ],
  material: ['7', ''],
  answer: [
    '7',
    '7 lanterns',
    '7 reeds',
    '15',
    '8',
    '23',
    'nobody can know',
    '-7',
    '5 below',
    '£7',
    '£4.25',
    '4',
    '3 or 4',
    'many',
  ],
  check: [
    'fits=yes answer=7',
    'fits=no answer=7',
    'fits=yes answer=8',
    'fits=no answer=23',
    'fits=yes',
    '',
    'fits=yes answer=4_rows',
  ],
}

/** A story as Sett tells it, to be worked. */
function planOf(cell: Cell, problem: string, seed: number, extra = false): ToldPlan {
  const { roles, before, scene, people } = tellStory({ problem, cell, seed })
  return {
    cell: CELL_IDS[ids.indexOf(cell)]!,
    amounts: roles,
    ...(before ? { before } : {}),
    scene,
    people,
    seed,
    length: LENGTHS[seed % LENGTHS.length]!,
    extra,
  }
}

test('what is said of answers at every stage', () => {
  const lines: string[] = []
  for (const problem of ['15 - 8', '24 / 6', '9 + 4 - 5', '4 - 9', '2.50 + 1.75'])
    for (const [k, cell] of cellsFor(problem).slice(0, 5).entries()) {
      const plan = planOf(cell, problem, k + 1, k === 3)
      const made = saidOf(() => workable(plan).sentences.join(' '))
      lines.push(`## ${problem} · ${CELL_IDS[ids.indexOf(cell)]}`, made)
      if (made.startsWith('✗')) continue
      const story = workable(plan)
      for (const stage of STAGES)
        for (const given of GIVEN[stage])
          lines.push(`${stage} “${given}”: ${saidOf(() => JSON.stringify(judged(story, stage, given)))}`)
      for (const value of ['7', '15', '8', '23', '4', '18', '144', '-5', '5', null])
        lines.push(`understood ${value}: ${understood(story, value === null ? null : exact(value))}`)
      const entries: StoryEntry[] = STAGES.map(
        (stage, i) => ({ at: i * 1000, stage, given: GIVEN[stage][k % GIVEN[stage].length]! }) as never,
      )
      lines.push(saidOf(() => JSON.stringify(storyOutcome({ story: plan, entries } as never))))
    }
  approved('stories/judged', lines)
})

const OWN = [
  'Wren has 15 shells. She gives 8 to Pip. How many shells has she left?',
  'There are four boxes with six candles each, and 3 more. How many in all?',
  'Fen has £2.50 and 1 1/2 pies. Altogether 24 people came at 10:30 on day 3.',
  'No numbers here.',
  'Twenty-one birds, twice as many as before; half of them left. 3/4 stayed. −4 degrees.',
]

test('own stories, lists and sentences', () => {
  const lines: string[] = []
  for (const text of OWN) {
    lines.push(
      `## ${text}`,
      `numbers ${JSON.stringify(numbersFound(text))}`,
      `words ${JSON.stringify(keyWordsIn(text))}`,
    )
    for (const cell of ids.slice(0, 14)) {
      const told = toldOf(cell)
      const marks = Object.fromEntries(told.map((role, i) => [role, i])) as Partial<Record<Role, number>>
      lines.push(
        `${CELL_IDS[ids.indexOf(cell)]}: ${saidOf(() => JSON.stringify({ ...ownStory({ text, cell, marks }), cell: 0 }))}`,
      )
      lines.push(saidOf(() => JSON.stringify({ ...ownStory({ text, cell, marks: {} }), cell: 0 })))
    }
  }
  for (const listed of storiesFrom(TYPED, 5)) {
    const line = storyLine(listed)
    lines.push(line, storyLine(readStoryLine(line)))
  }
  lines.push(saidOf(() => JSON.stringify(readStoryLine('story nothing 1: 2 + 3'))))
  const page = storiesFrom(['15 - 8', '7 + 8', '24 / 6', '6 * 7'], 2).map(({ cell, problem, seed }) =>
    workable(planOf(cell, problem, seed)),
  )
  for (const answers of [
    ['7', '15', '4', '42'],
    ['23', '1', '144', '13'],
    ['', 'x', '24', '6'],
    ['8', '15', '', 'nobody'],
  ])
    lines.push(saidOf(() => JSON.stringify(pageSays(page.map((story, i) => ({ story, answer: answers[i]! }))))))
  for (const text of [
    '15 - 8',
    '15 - 8 = 7',
    '8 + ? = 15',
    '? - 8 = 7',
    '2 * (3 + 4)',
    '15 = 8 + 7',
    '7',
    'x',
    '1/0',
    '3 · 4',
    '12 ÷ 4',
    '9'.repeat(70),
  ]) {
    lines.push(
      `${text}: ${saidOf(() => String(valueOfSum(text)))}; ${saidOf(() => JSON.stringify(sentenceIn(text, exact('7'))))}`,
    )
    lines.push(`answer ${saidOf(() => JSON.stringify(answerIn(text)))}`)
  }
  for (const role of ['start', 'number', 'share', 'part', 'over', 'both'] as const)
    lines.push(`${role}: ${['7', '1/2', '-3', '5/2'].map((n) => printAmount(role as never, exact(n))).join(' ')}`)
  approved('stories/own', lines)
})
