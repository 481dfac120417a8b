import fc from 'fast-check'
import { byRule, grid } from '../../core/rehearse/grid'
import {
  digitItems,
  firstFinger,
  frameFor,
  isRight,
  KINDS,
  parseItem,
  printItem,
  ruleFor,
  type Item,
} from '../../core/rehearse/items'
import { cardsOf, nextItem, type Answer, type Rehearsal } from '../../core/rehearse/schedule'
import { abacus } from '../../core/representation/abacus/abacus'
import { shows } from '../../core/representation/abacus/frame'
import { workDigit } from '../../core/representation/abacus/work'
import { RULES } from '../../core/representation/abacus/rules'

const DAY = 86_400_000
const START = Date.UTC(2026, 10, 25, 9)
const digit = fc.record({
  kind: fc.constantFrom('rule' as const, 'finger' as const, 'beads' as const),
  shown: fc.nat(9),
  digit: fc.integer({ min: 1, max: 9 }),
  way: fc.constantFrom(1 as const, -1 as const),
})
const whole = fc.record({ kind: fc.constantFrom('read' as const, 'set' as const), number: fc.nat(99_999) })
const item: fc.Arbitrary<Item> = fc.oneof(digit, whole)

describe('items', () => {
  test('print and parse are inverse; anything else is refused', () => {
    fc.assert(fc.property(item, (i) => expect(parseItem(printItem(i))).toEqual(i)))
    for (const bad of ['rule 6+0', 'rule 12+3', 'read 123456', 'read', 'dance 4', ''])
      expect(() => parseItem(bad)).toThrow('is nothing to rehearse')
  })

  test('every digit on every setting, adding and taking away: 180 of each kind, and the rules part them', () => {
    expect(digitItems('rule')).toHaveLength(180)
    expect(RULES.map((r) => digitItems('rule', [r]).length).reduce((a, b) => a + b)).toBe(180)
  })

  test('moving the beads as the planner does is right; leaving them is not', () => {
    fc.assert(
      fc.property(digit, (i) => {
        const beads: Item = { ...i, kind: 'beads' }
        const { moves } = workDigit(frameFor(beads), 0, i.digit, i.way)
        expect(isRight(beads, moves.map(abacus.print).join('; '))).toBe(true)
        expect(isRight(beads, moves.slice(0, -1).map(abacus.print).join('; '))).toBe(moves.length === 0)
        expect(isRight(beads, '')).toBe(false)
        expect(isRight(beads, 'ones lower 9 to bar')).toBe(false)
      }),
    )
  })

  test('rule, finger, reading and setting', () => {
    expect(isRight(parseItem('rule 6+7'), 'mixed')).toBe(true)
    expect(isRight(parseItem('rule 6+7'), 'ten')).toBe(false)
    // Thumb sets, index clears and works the upper bead, both together pinch (practice, section 9).
    expect(
      ['finger 1+2', 'finger 3-1', 'finger 1+5', 'finger 1+6', 'finger 8+7', 'finger 6+7'].map((t) =>
        firstFinger(parseItem(t)),
      ),
    ).toEqual(['thumb', 'index', 'index', 'pinch', 'index', 'thumb'])
    expect(isRight(parseItem('read 407'), ' 407 ')).toBe(true)
    expect(isRight(parseItem('read 407'), '470')).toBe(false)
    expect(shows(frameFor(parseItem('read 407')))).toBe('407')
    expect(isRight(parseItem('set 62'), 'tens pinch 1 to bar; ones lower 2 to bar')).toBe(true)
  })
})

describe('what comes next', () => {
  const rules: Rehearsal = { kinds: ['rule'], rules: ['five'], digits: 2, seed: 5 }
  const answer = (id: string, right: boolean, at: number, ms = 4000): Answer => ({ item: id, right, at, ms })

  /** Rehearses so many in a row, three seconds apart; `right` answers. */
  function rehearse(
    wanted: Rehearsal,
    count: number,
    right: (id: string, i: number) => boolean,
    from = START,
  ): Answer[] {
    const done: Answer[] = []
    for (let i = 0; i < count; i++) {
      const next = nextItem(done, wanted, from + i * 3000)!
      done.push(answer(printItem(next), right(printItem(next), i), from + i * 3000))
    }
    return done
  }

  test('only the rules wanted come, never one twice running, and the same seed goes the same way', () => {
    const done = rehearse(rules, 30, () => true)
    for (const { item: id } of done) {
      const i = parseItem(id)
      expect('digit' in i && ruleFor(i.shown, i.digit, i.way)).toBe('five')
    }
    expect(done.some((a, i) => a.item === done[i - 1]?.item)).toBe(false)
    expect(rehearse(rules, 30, () => true)).toEqual(done)
  })

  test('what was missed comes back after three others, and again until it is right', () => {
    let missed = ''
    let times = 0
    const done = rehearse(rules, 14, (id, i) => {
      if (i === 0) missed = id
      if (id === missed) times += 1
      return id !== missed || times > 2
    })
    const came = done.flatMap((a, i) => (a.item === missed ? [i] : []))
    expect(came.slice(0, 3)).toEqual([0, 4, 8])
  })

  test('what is known well comes back later than what was hard', () => {
    const due = (right: boolean, ms: number): number =>
      cardsOf([answer('rule 4+2', right, START, ms)])
        .get('rule 4+2')!
        .due.getTime()
    expect(due(false, 1000)).toBeLessThanOrEqual(due(true, 9000))
    expect(due(true, 9000)).toBeLessThan(due(true, 4000))
    expect(due(true, 4000)).toBeLessThan(due(true, 1000))
  })

  test('days later what is due comes before anything new', () => {
    const first = rehearse(rules, 6, () => true)
    const next = printItem(nextItem(first, rules, START + 60 * DAY)!)
    expect(first.map((a) => a.item)).toContain(next)
  })

  test('numbers to read have as many digits as wanted, and a missed one comes back', () => {
    const wanted: Rehearsal = { kinds: ['read'], rules: [], digits: 3, seed: 2 }
    const done = rehearse(wanted, 6, (_, i) => i !== 0)
    expect(done.every((a) => /^read \d{3}$/.test(a.item))).toBe(true)
    expect(done[4]!.item).toBe(done[0]!.item)
  })

  test('every kind can come', () => {
    const seen = new Set(
      rehearse({ kinds: KINDS, rules: RULES, digits: 2, seed: 1 }, 80, () => true).map((a) => a.item.split(' ')[0]),
    )
    expect([...seen].sort()).toEqual([...KINDS].sort())
  })
})

describe('the grid', () => {
  const a = (id: string, right: boolean, at: number): Answer => ({ item: id, right, at: START + at, ms: 3000 })
  const answers = [
    a('rule 6+7', false, 0),
    a('beads 6+7', true, 1),
    a('rule 4-2', true, 2),
    a('read 12', true, 3),
    a('rule 4+2', true, 4),
    a('rule 4+2', false, 5),
  ]

  test('nine digits by ten settings, whatever was asked of them, adding and taking away apart', () => {
    const adding = grid(answers, 1, START + 10)
    expect([adding.length, ...new Set(adding.map((row) => row.length))]).toEqual([9, 10])
    expect(adding[6]![6]).toMatchObject({ rule: 'mixed', tries: 2, right: 1, last: [false, true], state: 'sure' })
    expect(adding[1]![4]).toMatchObject({ rule: 'five', tries: 2, right: 1, state: 'missed' })
    expect(adding[1]![5]).toMatchObject({ rule: 'direct', tries: 0, state: 'new' })
    expect(adding.flat().reduce((n, c) => n + c.tries, 0)).toBe(4)
    expect(grid(answers, -1, START + 10)[1]![4]).toMatchObject({ rule: 'direct', tries: 1 })
    expect(grid(answers, 1, START + 400 * DAY)[6]![6]!.state).toBe('due')
  })

  test('and by rule', () =>
    expect(byRule(answers)).toEqual({
      direct: { tries: 1, right: 1 },
      five: { tries: 2, right: 1 },
      ten: { tries: 0, right: 0 },
      mixed: { tries: 2, right: 1 },
    }))
})

test('cards told one answer after another are those told from all at once, whatever was asked in between', () => {
  const answer = fc.record({
    at: fc.integer({ min: START, max: START + 400 * DAY }),
    item: fc.constantFrom('rule 6+7', 'rule 4+1', 'beads 6+7', 'read 407'),
    right: fc.boolean(),
    ms: fc.integer({ min: 500, max: 20_000 }),
  })
  const told = (answers: readonly Answer[]): string => JSON.stringify([...cardsOf(answers)])
  fc.assert(
    fc.property(fc.array(answer, { maxLength: 12 }), fc.array(answer, { maxLength: 5 }), (answers, others) => {
      const inOrder = [...answers].sort((a, b) => a.at - b.at)
      const growing: Answer[] = []
      for (const a of inOrder) {
        growing.push(a)
        cardsOf(growing)
      }
      const grown = told(growing)
      told(others)
      expect(told(inOrder)).toBe(grown)
      expect(told(inOrder.slice(1))).toBe(told(structuredClone(inOrder.slice(1))))
    }),
  )
})
