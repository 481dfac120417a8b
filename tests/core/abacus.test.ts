import fc from 'fast-check'
import { all, create } from 'mathjs'
import { DEFAULT_CHOICES, type AbacusChoices, type Choices } from '../../core/choices'
import { change, type Act } from '../../core/act/act'
import { printExact, valueOf } from '../../core/number/numeral'
import { plan } from '../../core/plan/plan'
import { besideOf, setUp } from '../../core/plan/setup'
import { parseProblem } from '../../core/problem/parse'
import { printProblem, totals, type Problem } from '../../core/problem/problem'
import { abacus } from '../../core/representation/abacus/abacus'
import { push, type AbacusMove, type AbacusState } from '../../core/representation/abacus/frame'
import { RULES } from '../../core/representation/abacus/rules'
import { workAmount, workDigit } from '../../core/representation/abacus/work'
import { REPRESENTATIONS } from '../../core/representation/index'
import type { Representation, RepresentationId } from '../../core/representation/representation'
import type { WayId } from '../../core/way/way'

const exactMath = create(all!, { number: 'Fraction' })
const FRAMES: readonly RepresentationId[] = ['abacus', 'two-five', 'frame', 'stay-put']
const digits = Array.from({ length: 9 }, (_, i) => i + 1)

const bead = (over: Partial<AbacusChoices> = {}): Choices => ({
  ...DEFAULT_CHOICES,
  abacus: { ...DEFAULT_CHOICES.abacus, ...over },
})
const anyChoices: fc.Arbitrary<Choices> = fc
  .record({
    order: fc.constantFrom('highest' as const, 'ones' as const),
    first: fc.constantFrom('ten' as const, 'complement' as const),
    hands: fc.constantFrom('left' as const, 'right' as const, 'both' as const),
    frameBeads: fc.constantFrom(9 as const, 10 as const),
    rods: fc.constantFrom(0, 13),
  })
  .map(bead)

/** Chains of two to seven numbers of up to nine digits, whole or with up to three decimals; totals may fall below nought. */
const chains: fc.Arbitrary<Problem> = fc
  .tuple(
    fc.nat(3),
    fc.array(fc.tuple(fc.boolean(), fc.oneof(fc.nat(9), fc.nat(999), fc.nat(9_999_999))), {
      minLength: 2,
      maxLength: 7,
    }),
  )
  .map(([decimals, numbers]) => {
    const text = (n: number): string => (decimals === 0 ? String(n) : (n / 10 ** decimals).toFixed(decimals))
    return parseProblem(numbers.map(([up, n], i) => (i === 0 ? text(n) : `${up ? '+' : '-'} ${text(n)}`)).join(' '))
  })

/** Walks a plan: before each act its state, its moves, and after it the state. */
function walk(
  problem: Problem,
  id: RepresentationId,
  way: WayId,
  choices: Choices,
  law: (step: { act: Act; before: AbacusState; after: AbacusState; moves: readonly AbacusMove[] }) => void,
): void {
  const request = { problem, representation: id, way, choices }
  const r = REPRESENTATIONS[id] as Representation<AbacusState, AbacusMove>
  const setup = setUp(request)
  let state = r.start(problem, choices, besideOf(setup))
  for (const { act, moves } of plan(request).steps) {
    const made = moves[id]! as readonly AbacusMove[]
    const after = made.reduce(r.apply, state)
    law({ act, before: state, after, moves: made })
    state = after
  }
}

/** What a law finds wrong is gathered as text, so that thousands of steps cost one comparison. */
type Fault = (...what: readonly unknown[]) => void

const asBigInt = (value: string, decimals: number): bigint => {
  const [top, bottom = '1'] = value.split('/')
  return (BigInt(top!) * 10n ** BigInt(decimals)) / BigInt(bottom)
}

/** Every promise about one chain on one frame; `fault` is told what is broken. */
function promises(problem: Problem, id: RepresentationId, way: WayId, choices: Choices, fault: Fault): void {
  const r = REPRESENTATIONS[id] as Representation<AbacusState, AbacusMove>
  const decimals = Math.max(
    ...[problem.first, ...problem.terms.map((t) => t.number)].map((n) => ('decimals' in n ? n.decimals : 0)),
  )
  const reached: string[] = []
  let total = 0n
  walk(problem, id, way, choices, ({ act, before, after, moves }) => {
    let state = before
    for (const move of moves) {
      const next = r.apply(state, move)
      const off = next.rods.some(
        ({ upper, lower }) => upper < 0 || lower < 0 || upper > next.beads.upper || lower > next.beads.lower,
      )
      if (off) fault('a bead that is not there', r.print(move))
      if (JSON.stringify(r.parse(r.print(move))) !== JSON.stringify(move)) fault('print and parse', move)
      state = next
    }
    if (act.kind === 'pose' || act.kind === 'read') reached.push(r.shows(after))
    if (act.kind === 'lay' || act.kind === 'join' || act.kind === 'take') {
      total += asBigInt(act.amount, decimals) * (act.kind === 'take' ? -1n : 1n)
      if (asBigInt(r.shows(after), decimals) !== total) fault('value', r.shows(after), total)
    }
    if (act.kind === 'join' || act.kind === 'take') {
      if (!act.rule || !RULES.includes(act.rule)) fault('no rule', act)
      if (!/^[1-9]0*$/.test(asBigInt(act.amount, decimals).toString())) fault('more than a digit', act.amount)
      const sum = (act.parts ?? []).reduce((n, part) => n + asBigInt(change(part), decimals), 0n)
      if (act.parts && sum !== asBigInt(change(act), decimals)) fault('parts', act)
      if (act.rule !== 'direct' && !act.parts) fault('no parts', act)
    }
    if (moves.length === 0) return
    const empty = r.shows(before) === '0' && before.owed === 0
    const expected = empty && act.kind === 'join' ? { ...act, kind: 'lay' } : act
    const [seen] = r.recognise(before, moves) as readonly Act[]
    if (canonical(seen) !== canonical(expected)) fault('recognised', seen, expected)
  })
  if (reached.join() !== totals(problem).join()) fault('totals', reached)
}

const canonical = (value: unknown): string =>
  JSON.stringify(value, (_, v: unknown) =>
    v && typeof v === 'object' && !Array.isArray(v) ? Object.fromEntries(Object.entries(v).sort()) : v,
  )

describe.each(FRAMES)('%s', (id) => {
  const small = chains.filter((p) => printProblem(p).replace(/\D/g, '').length < 14)
  test.each([
    ['compensate', chains],
    ['count-beads', small],
  ] as const)(
    '%s: every bead move is legal, every total right, every act has its rule and is recognised',
    (way, some) => {
      fc.assert(
        fc.property(some, anyChoices, (problem, choices) => {
          if (!REPRESENTATIONS[id].fits(problem, choices).fits) return
          const faults: unknown[] = []
          promises(problem, id, way, choices, (...what) => faults.push(what))
          expect(faults).toEqual([])
        }),
        { numRuns: 120 },
      )
    },
  )

  test('every line that states an equation holds, the rules’ own too', () => {
    fc.assert(
      fc.property(small, anyChoices, (problem, choices) => {
        const { steps } = plan({ problem, representation: id, choices })
        const stated = steps.flatMap((s) => s.lines).flatMap((l) => (l.equation ? [l.equation.replace('=', '==')] : []))
        expect(stated.filter((e) => exactMath.evaluate(e) !== true)).toEqual([])
      }),
      { numRuns: 40 },
    )
  })
})

test('three thousand chains worked digit by digit come to what BigInt and an outside evaluator say', () => {
  const start = (problem: Problem, choices: Choices): AbacusState => abacus.start(problem, choices)
  fc.assert(
    fc.property(chains, anyChoices, (problem, choices) => {
      const done = [problem.first, ...problem.terms.map((t) => t.number)].reduce(
        (s, number, i) =>
          workAmount(s, valueOf(number), problem.terms[i - 1]?.operation === '-' ? -1 : 1).at(-1)?.state ?? s,
        start(problem, choices),
      )
      expect(exactMath.evaluate(`${printProblem(problem)} == ${abacus.shows(done)}`)).toBe(true)
      expect(done.owed > 0).toBe(abacus.shows(done).startsWith('-'))
    }),
    { numRuns: 3000 },
  )
})

test('rods that hold beads in reserve, however they came to be so, are put in order before a digit is worked', () => {
  const reserve = [
    { upper: 0, lower: 5 },
    { upper: 1, lower: 5 },
    { upper: 2, lower: 0 },
    { upper: 2, lower: 3 },
    { upper: 2, lower: 5 },
  ]
  const empty = REPRESENTATIONS['two-five'].start(parseProblem('100 + 100'), bead()) as AbacusState
  for (const ones of reserve)
    for (const tens of [...reserve, { upper: 0, lower: 2 }])
      for (const count of digits)
        for (const way of [1, -1] as const) {
          const held = {
            ...empty,
            rods: empty.rods.map((r, i) => (i === 0 ? ones : i === 1 ? tens : i === 2 ? { upper: 0, lower: 1 } : r)),
          }
          const { state, moves, act } = workDigit(held, 0, count, way)
          expect(Number(abacus.shows(state)) - Number(abacus.shows(held))).toBe(way * count)
          expect(change(act)).toBe(String(way * count))
          expect(moves.reduce(abacus.apply, held)).toEqual(state)
        }
})

describe('below nought', () => {
  const below = fc
    .tuple(fc.nat(99_999), fc.integer({ min: 1, max: 99_999 }))
    .map(([a, more]) => parseProblem(`${a} - ${a + more}`))

  test('what is not set on every rod, and one more, is the size of the answer', () => {
    fc.assert(
      fc.property(below, anyChoices, (problem, choices) => {
        let last: AbacusState | undefined
        walk(problem, 'abacus', 'compensate', choices, ({ after }) => (last = after))
        const not = abacus.notSet!(last!)!
        const [a, b] = printProblem(problem).split(' - ').map(BigInt)
        expect(BigInt([...not].reverse().join('')) + 1n).toBe(b! - a!)
      }),
    )
  })

  test('the teacher’s own example: 312 − 745 is read as 433, negative', () => {
    const { steps, answer } = plan({ problem: '312 - 745', representation: 'abacus' })
    expect(answer).toBe('-433')
    expect(steps.at(-1)!.say).toContain('Not set: four, three, two; and one more: four hundred and thirty-three.')
    expect(steps.at(-1)!.lines[0]!.equation).toBe('312 - 745 = -433')
  })

  test('a total that comes back above nought gives the borrowed one back', () => {
    const moves = plan({ problem: '12 - 45 + 50', representation: 'abacus' }).steps.flatMap((s) =>
      s.moves.abacus!.map((m) => abacus.print(m as AbacusMove)),
    )
    expect(moves.filter((m) => m.includes('beyond'))).toEqual(['borrow from beyond', 'give back beyond'])
  })
})

describe('schools of working', () => {
  const hands = (problem: string, over: Partial<AbacusChoices>): string[] =>
    plan({ problem, representation: 'abacus', choices: bead(over) }).steps.flatMap((s) => [...(s.detail?.hands ?? [])])

  test('ten first, or the complement first; with both hands the left takes the tens', () => {
    expect(hands('8 + 7', { hands: 'both' }).slice(1)).toEqual([
      'Left thumb sets one lower bead on the tens.',
      'Right index clears three lower beads on the ones.',
    ])
    expect(hands('8 + 7', { first: 'complement' }).slice(1)).toEqual([
      'Right index clears three lower beads on the ones.',
      'Right thumb sets one lower bead on the tens.',
    ])
  })

  test('highest place first, or the ones', () => {
    const worked = (order: 'highest' | 'ones'): string[] =>
      plan({ problem: '40 + 123', representation: 'abacus', choices: bead({ order }) }).steps.flatMap((s) =>
        s.act.kind === 'join' ? [s.act.amount] : [],
      )
    expect(worked('highest')).toEqual(['100', '20', '3'])
    expect(worked('ones')).toEqual(['3', '20', '100'])
  })

  test.each([
    ['complement', 'Both complements: +7 = +10 +2 −5.'],
    ['partner', 'Partners of ten and of five: +7 = +10 +2 −5.'],
    [{ five: 'hand mate', ten: 'rod mate' }, 'Rod mate and hand mate: +7 = +10 +2 −5.'],
  ] as const)('the complements have the class’s own names: %s', (names, said) => {
    const { steps } = plan({ problem: '6 + 7', representation: 'abacus', choices: bead({ names }) })
    expect(steps.at(-2)!.say).toBe(`Add seven. Thirteen now. ${said}`)
  })

  test('a ripple over several rods tells the rule of each, and why no earlier one', () => {
    const { detail } = plan({ problem: '999 + 1', representation: 'abacus' }).steps.at(-2)!
    expect(detail!.digits.map((d) => `${d.rod}: ${d.name}`)).toEqual([
      'ones: ten complement',
      'tens: ten complement',
      'hundreds: ten complement',
      'thousands: direct',
    ])
    expect(detail!.digits[1]!.why).toEqual([
      'Not direct: that needs one lower bead; none is free.',
      'No five complement: the upper bead is at the bar already.',
    ])
    expect(detail!.hands).toHaveLength(4)
  })

  test('the ways agree: bead by bead comes to what complements come to', () => {
    fc.assert(
      fc.property(fc.nat(999), fc.nat(99), fc.boolean(), fc.constantFrom(...FRAMES), (a, b, plus, representation) => {
        const problem = `${a} ${plus ? '+' : '-'} ${b}`
        const [at, by] = (['compensate', 'count-beads'] as const).map((way) => plan({ problem, representation, way }))
        expect(by!.steps.at(-1)!.shows).toBe(at!.steps.at(-1)!.shows)
      }),
      { numRuns: 200 },
    )
  })

  test('a rod of ten beads fills up and is exchanged; the two-and-five frame uses all its beads', () => {
    const tenth = (representation: RepresentationId): string[] =>
      plan({ problem: '9 + 1', representation, way: 'count-beads', choices: bead({ frameBeads: 10 }) })
        .steps.at(-2)!
        .moves[representation]!.map((m) => abacus.print(m as AbacusMove).replace(/,.*/, ''))
    expect(tenth('frame')).toEqual(['rod 0 lower 1 to bar', 'rod 0 lower 10 away', 'rod 1 lower 1 to bar'])
    expect(tenth('two-five')).toEqual([
      'rod 0 lower 1 to bar',
      'rod 0 lower 5 away',
      'rod 0 upper 1 to bar',
      'rod 0 upper 2 away',
      'rod 1 lower 1 to bar',
    ])
  })

  test('a chain of a hundred numbers goes on one setting, where other materials have room for twelve', () => {
    const text = `500 ${Array.from({ length: 99 }, (_, i) => `${i % 2 ? '-' : '+'} ${17 + ((i * 7) % 80)}`).join(' ')}`
    const { steps, answer } = plan({ problem: text, representation: 'abacus' })
    expect(exactMath.evaluate(`${text} == ${answer}`)).toBe(true)
    expect(steps.at(-1)!.shows).toBe(answer)
    for (const id of ['blocks', 'chips', 'columns', 'openline'] as const)
      expect(REPRESENTATIONS[id].fits(parseProblem(text))).toMatchObject({
        fits: false,
        why: expect.stringContaining('up to 12 numbers; this one has 100'),
        instead: ['abacus'],
      })
  })

  test('a frame says how far it goes, and decimals take rods to the right of the unit rod', () => {
    const fit = (problem: string, over: Partial<AbacusChoices>) => abacus.fits(parseProblem(problem), bead(over))
    expect(fit('95 + 7', { rods: 2 })).toMatchObject({ fits: false, why: expect.stringContaining('it has 2 rods') })
    expect(fit('95 + 7', { rods: 3 }).fits).toBe(true)
    expect(fit('9.5 + 0.75', { rods: 4 }).fits).toBe(true)
    expect(fit('9.5 + 0.75', { rods: 3 })).toMatchObject({ fits: false })
    expect(abacus.start(parseProblem('9.5 + 0.75'), bead({ rods: 13, right: 4 })).decimals).toBe(4)
  })
})

test('in step with blocks and the column sheet: after each number all three show the same', () => {
  fc.assert(
    fc.property(fc.integer({ min: 100, max: 4999 }), fc.nat(99), fc.nat(99), anyChoices, (a, b, c, choices) => {
      const request = { problem: `${a} + ${b} - ${c}`, representation: 'abacus' as const, choices }
      const also = ['blocks', 'columns', 'chips'] as const
      const { steps } = plan({ ...request, also })
      for (const id of also) {
        const r = REPRESENTATIONS[id]
        let state = r.start(parseProblem(request.problem), choices)
        for (const step of steps) {
          state = (step.moves[id] ?? []).reduce(r.apply, state)
          if (step.act.kind === 'pose' || step.act.kind === 'read')
            expect([id, r.shows(state)]).toEqual([id, step.shows])
        }
      }
    }),
    { numRuns: 60 },
  )
})

test('the abacus follows blocks that exchange', () => {
  const { steps } = plan({ problem: '52 - 37', representation: 'blocks', also: ['abacus'] })
  const state = steps
    .flatMap((s) => s.moves.abacus ?? [])
    .reduce(REPRESENTATIONS.abacus.apply, abacus.start(parseProblem('52 - 37'), bead()) as unknown)
  expect(abacus.shows(state as AbacusState)).toBe('15')
  expect(steps.find((s) => s.act.kind === 'exchange')!.waiting.abacus).toContain('The rods stay as they are')
})

describe('hands on beads', () => {
  const at = (text: string): AbacusState =>
    text
      .split('; ')
      .reduce((s, m) => abacus.apply(s, abacus.parse(m)), abacus.start(parseProblem('1 + 1'), bead({ rods: 4 })))

  test('pushing a bead takes along every bead between it and where it goes', () => {
    const three = at('ones lower 3 to bar')
    expect(push(three, 0, 'lower', 3)).toMatchObject({ count: 1, to: 'bar' })
    expect(push(three, 0, 'lower', 0)).toMatchObject({ count: 3, to: 'away' })
    expect(push(three, 0, 'lower', 2)).toMatchObject({ count: 1, to: 'away' })
    expect(push(at('tens lower 1 to bar'), 0, 'lower', 3)).toMatchObject({ count: 4, to: 'bar' })
    expect(push(three, 0, 'upper', 0)).toMatchObject({ bead: 'upper', count: 1, to: 'bar' })
  })

  test.each([
    ['ones lower 4 to bar; ones lower 1 to bar', 'There are no lower beads away from the bar on the ones rod'],
    ['ones upper 1 away', 'There are no upper beads at the bar'],
    ['rod 7 lower 1 to bar', 'This frame has no ten-million rod. Its rods go from ones to thousands.'],
    ['give back beyond', 'Nothing is owed'],
    ['ones side 1 to bar', '“side” is no bead of a rod'],
    ['ones lower 11 to bar', '“11” is no number of beads'],
    ['ones lower 2 to moon', 'Beads go to the bar'],
    ['ones lower 2', 'Beads go to the bar'],
    ['ones lower', 'does not say how many beads'],
    ['break ten', 'The abacus has no move “break”'],
    ['ones lower 1 to bar, left toe', 'no hand and finger'],
    ['read -', 'is not a whole number'],
  ])('%s is refused with its reason', (text, why) => expect(() => at(text)).toThrow(why))

  test('typed moves may name the rod by its place or its power of ten', () => {
    expect(abacus.parse('tens lower 2 to bar')).toEqual(abacus.parse('rod 1 lower 2 to bar'))
    expect(abacus.parse('rod -1 upper 1 away, left index')).toMatchObject({ rod: -1, hand: 'left', finger: 'index' })
    expect(abacus.parse('read −433')).toEqual({ kind: 'read', value: '-433' })
    expect(printExact(abacus.shows(at('thousands upper 1 to bar; ones lower 2 to bar')))).toBe('5002')
  })
})
