import fc from 'fast-check'
import { grid } from '../../core/rehearse/grid'
import {
  FACT_KINDS,
  factAnswer,
  factGrid,
  isRightFact,
  nextFact,
  parseFact,
  printFact,
  type FactItem,
  type FactWish,
} from '../../core/rehearse/facts'
import { isRightAnswer } from '../../core/rehearse/answers'
import { nextItem, type Answer } from '../../core/rehearse/schedule'

const START = Date.UTC(2026, 10, 25, 9)
const DAY = 86_400_000
const wish = (over: Partial<FactWish> = {}): FactWish => ({
  kinds: ['fact'],
  tables: [7],
  upTo: 10,
  range: 10,
  seed: 3,
  ...over,
})
/** Everything that a wish ever asks, found by answering each as it comes. */
function asked(w: FactWish): readonly FactItem[] {
  const answers: Answer[] = []
  const found = new Map<string, FactItem>()
  for (let i = 0; i < 700; i++) {
    const item = nextFact(answers, w, START)
    if (!item || found.has(printFact(item))) break
    found.set(printFact(item), item)
    answers.push({ at: START, item: printFact(item), right: true, ms: 3000 })
  }
  return [...found.values()]
}

const every: fc.Arbitrary<FactItem> = fc.oneof(
  ...FACT_KINDS.map((kind) =>
    fc.constantFrom(...asked(wish({ kinds: [kind], tables: [2, 7, 12], upTo: 12, range: 18 }))),
  ),
)

test('facts are printed and read back, and their answers are what arithmetic says', () => {
  fc.assert(
    fc.property(every, (item) => {
      expect(parseFact(printFact(item))).toEqual(item)
      const right = factAnswer(item)
      expect(right).toBeGreaterThanOrEqual(0)
      expect(isRightFact(item, String(right))).toBe(true)
      expect(isRightFact(item, String(right + 1))).toBe(false)
      expect(isRightFact(item, '')).toBe(false)
      expect(isRightAnswer(printFact(item), ` ${right} `)).toBe(true)
    }),
  )
})

test.each([
  ['fact 7*8', 56],
  ['skip 14+7', 21],
  ['skip 35-7', 28],
  ['double 8', 16],
  ['half 16', 8],
  ['to-10 7', 3],
  ['to-100 64', 36],
  ['back 13-4', 9],
])('%s is %i', (text, right) => expect(factAnswer(parseFact(text))).toBe(right))

test.each([
  'fact 7*13',
  'fact 0*3',
  'skip 3-7',
  'skip 7+1',
  'half 7',
  'to-10 11',
  'back 19-4',
  'back 4-5',
  'fact 7',
  'double 8*2',
  'dance 4',
  'rule 6+7',
])('“%s” is nothing to rehearse', (text) => expect(() => parseFact(text)).toThrow('is nothing to rehearse'))

test('what is wished is asked: the tables chosen, both ways of counting, the range counted back from', () => {
  expect(asked(wish()).map(printFact).sort()).toEqual(Array.from({ length: 10 }, (_, i) => `fact ${i + 1}*7`).sort())
  const steps = asked(wish({ kinds: ['skip'] }))
  expect(steps.some((i) => i.b === -7)).toBe(true)
  expect(steps.some((i) => i.a % 7 !== 0)).toBe(true)
  for (const range of [10, 15, 18] as const)
    expect(Math.max(...asked(wish({ kinds: ['back'], range })).map((i) => i.a))).toBe(range)
})

test('what was missed comes back after three others, and the grid shows how each has gone', () => {
  const answers: Answer[] = [{ at: START, item: 'fact 3*7', right: false, ms: 3000 }]
  for (let i = 0; i < 3; i++) {
    const item = nextFact(answers, wish(), START + i)!
    expect(printFact(item)).not.toBe('fact 3*7')
    answers.push({ at: START + i, item: printFact(item), right: true, ms: 3000 })
  }
  expect(printFact(nextFact(answers, wish(), START + 9)!)).toBe('fact 3*7')
  const cells = factGrid(answers, 10, START + 10).flat()
  expect(cells).toHaveLength(100)
  expect(cells.filter((c) => c.state === 'missed').map((c) => printFact(c.item))).toEqual(['fact 3*7'])
  expect(cells.filter((c) => c.tries > 0)).toHaveLength(4)
  expect(
    factGrid(answers, 12, START + 400 * DAY)
      .flat()
      .filter((c) => c.state === 'due'),
  ).toHaveLength(3)
})

test('facts and beads are kept together, and neither asks the other', () => {
  const mixed: Answer[] = [
    { at: START, item: 'fact 3*7', right: false, ms: 3000 },
    { at: START + 1, item: 'rule 6+7', right: false, ms: 3000 },
  ]
  expect(
    grid(mixed, 1, START + 2)
      .flat()
      .filter((c) => c.tries > 0),
  ).toHaveLength(1)
  expect(nextItem(mixed, { kinds: ['rule'], rules: ['mixed'], digits: 2, seed: 1 }, START + 3)!.kind).toBe('rule')
  expect(nextFact(mixed, wish(), START + 3)!.kind).toBe('fact')
})
