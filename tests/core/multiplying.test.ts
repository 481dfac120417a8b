import fc from 'fast-check'
import { evaluate } from 'mathjs'
import { change, type Act } from '../../core/act/act'
import { add, exact, multiply, ZERO, type Exact } from '../../core/number/exact'
import { parseProblem } from '../../core/problem/parse'
import { plan, type Plan } from '../../core/plan/plan'
import { besideOf, setUp } from '../../core/plan/setup'
import { attempt } from '../../core/refusal'
import { procedureFor } from '../../core/mistakes/index'
import { REPRESENTATIONS } from '../../core/representation/index'
import { applyAll, type RepresentationId } from '../../core/representation/representation'
import type { WayId } from '../../core/way/way'

/** Multiplying and dividing: the laws of every material for it, and what fits on none. */

const factor = (most: number): fc.Arbitrary<number> => fc.integer({ min: 1, max: most })
const products = (a: number, b: number): fc.Arbitrary<string> =>
  fc.tuple(factor(a), factor(b)).map(([x, y]) => `${x} * ${y}`)
const quotients = (most: number): fc.Arbitrary<string> =>
  fc.tuple(fc.integer({ min: 0, max: most }), factor(12)).map(([x, y]) => `${x} / ${y}`)
const anyLength = (digits: number): fc.Arbitrary<number> =>
  factor(digits).chain((n) => fc.integer({ min: 10 ** (n - 1), max: 10 ** n - 1 }))
const longProducts = fc.oneof(
  fc
    .tuple(anyLength(9), factor(9))
    .filter(([a, b]) => a * b < 1e9)
    .map(([a, b]) => `${a} * ${b}`),
  fc.tuple(anyLength(4), fc.integer({ min: 10, max: 99 })).map(([a, b]) => `${a} * ${b}`),
)

const WORLDS: readonly (readonly [RepresentationId, WayId, fc.Arbitrary<string>, readonly RepresentationId[]])[] = [
  ['groups', 'equal-groups', products(12, 12), ['openline', 'blocks', 'fingers']],
  [
    'groups',
    'split-groups',
    fc.tuple(fc.integer({ min: 2, max: 12 }), factor(100)).map((p) => p.join(' * ')),
    ['blocks', 'openline'],
  ],
  ['area', 'by-parts', products(99, 99), ['blocks', 'openline']],
  ['area', 'by-digit', products(99, 99), ['product', 'blocks']],
  ['product', 'by-digit', longProducts, []],
  ['product', 'by-digit', products(99, 99), ['area']],
  ['division', 'long-division', quotients(999_999_999), []],
  ['division', 'long-division', quotients(999), ['plates', 'blocks']],
  ['plates', 'share-out', quotients(999), ['division', 'blocks']],
  ['plates', 'deal-rounds', quotients(20), []],
  ['plates', 'fill-plates', quotients(20), []],
]

/** What is asked, worked by BigInt alone. */
function outside(problem: string): { readonly answer: string; readonly rest: string } {
  const [a, operation, b] = problem.split(' ') as [string, string, string]
  if (operation === '*') return { answer: String(BigInt(a) * BigInt(b)), rest: '0' }
  return { answer: String(BigInt(a) / BigInt(b)), rest: String(BigInt(a) % BigInt(b)) }
}

/** Goes through a plan act by act, with what every material shows after it. */
function walk(
  made: Plan,
  also: readonly RepresentationId[],
  law: (act: Act, value: Exact, shown: Exact[]) => void,
): void {
  const setup = setUp({ problem: made.problem, representation: made.representation, way: made.way, also })
  const states = new Map(
    setup.all.map((id) => [id, REPRESENTATIONS[id].start(setup.worked, setup.choices, besideOf(setup))]),
  )
  let value = ZERO
  for (const { act, moves } of made.steps) {
    value = add(value, change(act))
    for (const id of setup.all) states.set(id, applyAll(REPRESENTATIONS[id], states.get(id), moves[id] ?? []))
    law(
      act,
      value,
      setup.all.map((id) => REPRESENTATIONS[id].shows(states.get(id))),
    )
  }
}

describe.each(WORLDS)('%s, %s', (representation, way, problems, also) => {
  test('comes to what BigInt says, with true lines', () => {
    fc.assert(
      fc.property(problems, (problem) => {
        const { answer, rest } = outside(problem)
        const made = plan({ problem, representation, way, also: ['equations'] })
        const last = made.steps.at(-1)!
        const read = last.act as Extract<Act, { kind: 'read' }>
        expect([problem, read.value, read.remainder ?? '0']).toEqual([problem, answer, rest])
        if (problem.includes('/')) expect([made.quotient, made.remainder]).toEqual([answer, rest])
        for (const { equation } of made.steps.flatMap((s) => s.lines))
          if (equation) expect([equation, evaluate(equation.replace('=', '=='))]).toEqual([equation, true])
      }),
      { numRuns: 80 },
    )
  })

  test('all in step show the same after every act', () => {
    fc.assert(
      fc.property(problems, (problem) => {
        const made = plan({ problem, representation, way, also })
        walk(made, also, (_, value, shown) => expect([problem, ...shown]).toEqual([problem, ...shown.map(() => value)]))
      }),
      { numRuns: 60 },
    )
  })

  test('moves are printed and read back; what is performed is recognised; states are plain JSON', () => {
    const r = REPRESENTATIONS[representation]
    fc.assert(
      fc.property(problems, (problem) => {
        const setup = setUp({ problem, representation, way })
        let state = r.start(setup.worked, setup.choices, besideOf(setup))
        for (const { act, moves } of plan({ problem, representation, way }).steps) {
          const own = moves[representation]!
          for (const move of own) expect(r.parse(r.print(move))).toEqual(move)
          if (own.length > 0) expect(r.recognise(state, own)).toEqual([act])
          const before = JSON.stringify(state)
          const after = applyAll(r, state, own)
          expect(JSON.stringify(state)).toBe(before)
          expect(JSON.parse(JSON.stringify(after))).toEqual(after)
          state = after
        }
      }),
      { numRuns: 60 },
    )
  })
})

test('20,000 long divisions are what BigInt says, and nothing is lost at any step: what was laid is among times what each has, and the rest', () => {
  let seed = 7
  const next = (most: number): number => (seed = (seed * 48271) % 2147483647) % most
  for (let i = 0; i < 20_000; i++) {
    const [of, by] = [BigInt(next(10 ** (1 + (i % 9)))), BigInt(1 + next(12))]
    const quotient = plan({ problem: `${of} / ${by}`, representation: 'division' })
    expect([of, by, quotient.quotient, quotient.remainder]).toEqual([of, by, String(of / by), String(of % by)])
    let [left, each] = [ZERO, ZERO]
    for (const { act } of quotient.steps) {
      left = add(left, change(act))
      if (act.kind === 'share') each = add(each, multiply(act.each[0]!.unit, exact(act.each[0]!.count)))
      if (act.kind !== 'lay' && act.kind !== 'read') expect(add(left, multiply(each, exact(by)))).toBe(String(of))
    }
  }
})

test('nine times a number comes to the same three ways, and by multiplying', () => {
  for (let n = 1; n <= 9; n++) {
    const right = String(9 * n)
    const read = (representation: RepresentationId, way?: WayId): string =>
      plan({ problem: `9 * ${n}`, representation, ...(way ? { way } : {}) }).steps.at(-1)!.shows
    expect([read('nines'), read('nine-tricks', 'one-less'), read('nine-tricks', 'ten-less'), read('groups')]).toEqual(
      new Array(4).fill(right),
    )
  }
})

test.each([
  ['13 * 8', 'groups', '13 groups of 8 are too many'],
  ['3 * 101', 'groups', 'too many to see at once'],
  ['100 * 3', 'area', 'The sides of the rectangle are 99'],
  ['123 * 456', 'product', 'by one digit, or by two'],
  ['12345 * 67', 'product', '4 digits at the most'],
  ['612 / 13', 'division', '13 is too much to count in steps'],
  ['612 / 0', 'division', 'Nothing can be divided by nought'],
  ['7 / 0.5', 'division', 'not a whole number'],
  ['7 + 8', 'division', 'divides, and nothing else'],
] as const)('%s does not fit on %s, and it says why', (problem, id, why) => {
  const fit = attempt(() => REPRESENTATIONS[id].fits(parseProblem(problem)))
  expect('ok' in fit ? (fit.ok.fits ? 'fits' : fit.ok.why) : fit.refused.message).toContain(why)
})

test('no procedure gives the right answer', () => {
  fc.assert(
    fc.property(fc.oneof(longProducts, quotients(99_999)), (problem) => {
      const { answer } = outside(problem)
      expect([problem, procedureFor(parseProblem(problem), answer as Exact)?.name]).toEqual([problem, undefined])
    }),
  )
})
