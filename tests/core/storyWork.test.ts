import { exact, type Exact } from '../../core/index'
import {
  answerIn,
  cellId,
  cellById,
  CELLS,
  judged,
  pageSays,
  readStoryLine,
  storiesFrom,
  storyLine,
  toldIn,
  SCENES,
  scenesFor,
  sentenceIn,
  situationOf,
  SITUATIONS,
  storyOutcome,
  tellStory,
  toldNumbers,
  valueOfSum,
  workable,
  type OwnPlan,
  type Story,
  type StoryWork,
  type ToldPlan,
} from '../../core/story/index'

/** A story that is worked stage by stage: what is right at each, and which mistake it is where it is not. */

/** A plan of a story, from what is worked in it. */
function planOf(cell: string, problem: string, more: Partial<ToldPlan> = {}): ToldPlan {
  const { roles, before, scene, people } = tellStory({
    problem,
    cell: cellById(cell)!,
    seed: 4,
    ...(more.scene ? { scene: more.scene } : {}),
  })
  return {
    cell,
    amounts: roles,
    ...(before ? { before } : {}),
    scene,
    people,
    seed: 4,
    length: 'plain',
    extra: false,
    ...more,
  }
}
const MORE = planOf('compare/lesser/more', '15 - 8', { scene: SCENES[0]! })
const says = (plan: ToldPlan | OwnPlan, stage: Parameters<typeof judged>[1], given: string) => {
  const { right, slip } = judged(workable(plan), stage, given)
  return slip ?? right
}

test('a plan tells the same story each time', () => {
  expect(workable(MORE).sentences).toEqual(workable(structuredClone(MORE)).sentences)
  expect(workable(MORE).sentences.join(' ')).toContain('8 more')
})

test('which situation it is; of two steps only that there are two', () => {
  expect(says(MORE, 'situation', 'compare')).toBe(true)
  expect(says(MORE, 'situation', 'add-to')).toBe('took the story for another situation')
  expect(situationOf(workable(planOf('groups>take-from/result', '4 * 6 - 5')))).toBe('two-steps')
})

test('which numbers are needed, and what is asked', () => {
  expect(says(MORE, 'marks', 'needs=8,15 asked=lesser')).toBe(true)
  expect(says(MORE, 'marks', 'needs=15,8 asked=greater')).toBe('marked something else as asked')
  expect(says(MORE, 'marks', 'needs=15 asked=lesser')).toBe(false)
  const extra = { ...MORE, extra: true }
  const number = workable(extra).extra!
  expect(says(extra, 'marks', 'needs=15,8 asked=lesser')).toBe(true)
  expect(says(extra, 'marks', `needs=15,8,${number} asked=lesser`)).toBe('marked a number that is not needed')
  const missing = { ...MORE, missing: 'difference' as const }
  expect(says(missing, 'marks', 'missing=yes')).toBe(false)
  expect(says(missing, 'marks', 'needs=15 missing=yes asked=lesser')).toBe(true)
  expect(says(missing, 'marks', 'needs=15 asked=lesser')).toBe('answered though a number is missing')
  expect(says(MORE, 'marks', 'needs=15,8 missing=yes asked=lesser')).toBe(false)
})

test('bars with each number in its place', () => {
  expect(says(MORE, 'bars', 'lesser=? difference=8 greater=15')).toBe(true)
  expect(says(MORE, 'bars', 'lesser=15 difference=8 greater=?')).toBe('put a number in another place of the bars')
})

test('the sentence of the story and what is worked, in every form that is true', () => {
  for (const given of [
    '? + 8 = 15; 15 - 8',
    '8 + ? = 15',
    '15 = ? + 8',
    '15 - 8 = ?',
    '15 − ? = 8',
    '; 15-8',
    '_ + 8 = 15',
  ])
    expect([given, says(MORE, 'sentence', given)]).toEqual([given, true])
  expect(says(MORE, 'sentence', '? + 8 = 15; 15 + 8')).toBe('chose by a key word')
  expect(says(MORE, 'sentence', '15 + 8 = ?')).toBe('took the story for another situation')
  expect(says(MORE, 'sentence', '; 15 * 8')).toBe('worked the right numbers another way')
  for (const given of ['? + 8', 'fifteen', '7 + 8 = 15', '? + ? = 15', '; 8 ÷ 0', '; '.padEnd(90, '1')])
    expect(() => says(MORE, 'sentence', given)).toThrow()
})

test.each(
  CELLS.filter((c) => c.unknown !== 'both').map((c) => [`${c.after ?? ''} ${c.situation} ${c.unknown}`, c] as const),
)('%s: Sett’s own sentence and answer are right at every stage', (_, cell) => {
  const problems = [
    '12 + 8',
    '15 - 8',
    '6 * 4',
    '24 / 6',
    '20 * 3/4',
    '15 / 3/4',
    '15 / 20',
    '-3 + 5',
    '2 - 5',
    '12 + 8 - 5',
    '12 + 3 + 4',
    '12 - 4 + 3',
    '12 - 4 - 3',
    '4 * 6 - 5',
    '4 * 6 + 5',
    '3 * 12 ? 40',
  ]
  const told = problems.flatMap((problem): Story[] => {
    try {
      return SCENES.flatMap((scene) => {
        const story = tellStory({ problem, cell, seed: 3 })
        return scenesFor(cell, story).includes(scene) ? [tellStory({ problem, cell, scene, seed: 3 })] : []
      })
    } catch {
      return []
    }
  })
  expect(told.length).toBeGreaterThan(0)
  for (const story of told) {
    expect(judged(story, 'sentence', `${story.sentence}; ${story.steps.at(-1)}`)).toEqual({ right: true })
    const value = story.unit === '' ? story.answer! : story.answer!.includes('/') ? '' : story.answer!
    if (value !== '') expect(judged(story, 'answer', `${value} ${story.unit}`)).toEqual({ right: true })
    const roles = SITUATIONS[cell.situation].roles
    const placed = roles.map((r) => `${r}=${r === cell.unknown ? '?' : story.roles[r]}`).join(' ')
    expect(judged(story, 'bars', placed)).toEqual({ right: true })
    expect(judged(story, 'marks', `needs=${toldNumbers(story).join()} asked=${cell.unknown}`)).toEqual({ right: true })
  }
})

test('an answer is read with its unit, below nought, with “yes”, and where nobody can know', () => {
  const read = (text: string): readonly [Exact | null, string] => {
    const { value, unit } = answerIn(text)
    return [value, unit]
  }
  expect(read('7 lanterns')).toEqual([exact(7), 'lanterns'])
  expect(read('£1.35')).toEqual([exact('27/20'), '£'])
  expect(read('3 steps below the ground')).toEqual([exact(-3), 'steps below the ground'])
  expect(read('−3 degrees')).toEqual([exact(-3), 'degrees'])
  expect(read('Yes, 4 left over')).toEqual([exact(4), 'left over'])
  expect(read('no: 4 missing')).toEqual([exact(-4), 'missing'])
  expect(read('3/4')).toEqual([exact('3/4'), ''])
  expect(read('nobody can know')).toEqual([null, ''])
  expect(() => read('seven')).toThrow('Write a number')
  expect(says(MORE, 'answer', '7 lanterns')).toBe(true)
  expect(says(MORE, 'answer', '7')).toBe('lost the unit')
  expect(says(MORE, 'answer', '7 beads')).toBe('lost the unit')
  expect(says(MORE, 'answer', '23 lanterns')).toBe('chose by a key word')
  expect(says(MORE, 'answer', '8')).toBe('answered another question: a number that is told')
  expect(says(planOf('groups>take-from/result', '4 * 6 - 5'), 'answer', '24')).toBe('forgot the second step')
})

test('whether an answer fits is seen, right or wrong', () => {
  expect(says(MORE, 'check', 'fits=yes answer=7')).toBe(true)
  expect(says(MORE, 'check', 'fits=no answer=23')).toBe(true)
  expect(says(MORE, 'check', 'fits=yes answer=23')).toBe('did not see whether the answer fits')
})

test('what all stages come to: the last answer counts, slips once each, what was shown', () => {
  const work = (entries: readonly (readonly [StoryWork['entries'][number]['stage'], string])[]): StoryWork => ({
    format: 'sett-story',
    version: 1,
    story: MORE,
    text: workable(MORE).sentences.join(' '),
    mode: 'alone',
    entries: entries.map(([stage, given], i) => ({ at: i * 1000, stage, given })),
  })
  expect(
    storyOutcome(
      work([
        ['situation', 'add-to'],
        ['bars', ''],
        ['answer', '23 lanterns'],
        ['answer', '23'],
        ['answer', '7'],
      ]),
    ),
  ).toEqual({
    right: true,
    slips: ['took the story for another situation', 'chose by a key word', 'lost the unit'],
    shown: ['bars'],
  })
  expect(storyOutcome(work([['situation', 'compare']])).right).toBeNull()
  expect(() => storyOutcome(work([['answer', 'many']]))).toThrow()
})

test('a teacher’s own story is worked by the same stages', () => {
  const own: OwnPlan = {
    cell: 'compare/lesser/more',
    text: 'Wren has 15 tokens. That is 8 more than Pip has. How many tokens does Pip have? The stall opens at ten.',
    marks: { greater: 0, difference: 1 },
  }
  const story = workable(own)
  expect(story.sentences).toHaveLength(4)
  expect([story.answer, story.unit, story.extra]).toEqual(['7', 'tokens', '10'])
  expect(says(own, 'answer', '7 tokens')).toBe(true)
  expect(says(own, 'answer', '23 tokens')).toBe('chose by a key word')
  expect(says(own, 'answer', '5 tokens')).toBe('used what was not needed')
  expect(() => workable({ ...own, cell: 'nothing' })).toThrow('no such kind')
})

test('sums and sentences are worked out as anybody writes them', () => {
  const cases: readonly (readonly [string, string | undefined])[] = [
    ['4 × 6 − 5', '19'],
    ['40 - 3*12', '4'],
    ['20 · 3/4', '15'],
    ['-3 + 5', '2'],
    ['2 - -3', '5'],
    ['7 ÷ 2', '7/2'],
    ['1,5 + 2.25', '15/4'],
    ['3 +', undefined],
    ['3 4', undefined],
    ['3/0', undefined],
    ['', undefined],
    ['x + 1', undefined],
  ]
  for (const [text, value] of cases) expect([text, valueOfSum(text)]).toEqual([text, value])
  expect(sentenceIn('40 - 3 * 12 = ?', exact(4))).toMatchObject({ holds: true, asked: 1 })
  expect(sentenceIn('1 = 2 = 3', exact(4))).toBeUndefined()
})

describe('A page of stories', () => {
  const PROBLEMS = ['15 - 8', '12 - 5', '8 + 7', '14 - 6', '6 * 4']
  test('a list tells the same stories from its lines; kinds that are wanted come where they fit', () => {
    const list = storiesFrom(PROBLEMS, 3)
    expect(list).toHaveLength(5)
    for (const one of list) {
      expect(readStoryLine(storyLine(one))).toEqual(one)
      expect(toldIn(readStoryLine(storyLine(one))).text).toBe(toldIn(one).text)
    }
    const wanted = storiesFrom(PROBLEMS, 3, ['compare/lesser/more'])
    expect(wanted.map((w) => cellId(w.cell)).filter((id) => id === 'compare/lesser/more')).toHaveLength(3)
    for (const bad of ['15 - 8', 'story nothing 3: 15 - 8', 'story compare/lesser/more x: 15 - 8'])
      expect(() => readStoryLine(bad)).toThrow('no line of a list')
  })

  test('a mistake is counted over the stories where it would show, and nothing is said where none would', () => {
    const list = storiesFrom(['15 - 8', '12 - 5', '14 - 6'], 1, ['compare/lesser/more'])
    const easy = storiesFrom(['9 - 4'], 1, ['take-from/result'])
    const page = [...list, ...easy].map((one) => toldIn(one))
    const { unit } = page[0]!
    const says = pageSays([
      { story: page[0]!, answer: `23 ${unit}` },
      { story: page[1]!, answer: `17 ${page[1]!.unit}` },
      { story: page[2]!, answer: `8 ${page[2]!.unit}` },
      { story: page[3]!, answer: '5' },
    ])
    expect(says).toMatchObject({ right: 2, answered: 4 })
    expect(says.slips).toEqual([
      { slip: 'chose by a key word', seen: 2, could: 3 },
      { slip: 'lost the unit', seen: 1, could: 4 },
    ])
    const empty = pageSays(page.map((story) => ({ story, answer: ' ' })))
    expect(empty).toMatchObject({ right: 0, answered: 0, slips: [] })
    expect(pageSays([{ story: page[0]!, answer: 'many' }]).lines[0]!.why).toContain('Write a number')
  })
})
