import Decimal from 'decimal.js'
import fc from 'fast-check'
import { create, all } from 'mathjs'
import { exact } from '../../core/number/exact'
import { plan } from '../../core/index'
import { procedureFor } from '../../core/mistakes/index'
import { parseProblem } from '../../core/problem/parse'

/** Sums and differences of either sign against two general libraries: mathjs (as fractions) and decimal.js. */
const math = create(all!, { number: 'Fraction' })

test('integers of either sign come to what mathjs says, on counters, line and page', () => {
  const n = fc.integer({ min: -10, max: 10 })
  fc.assert(
    fc.property(n, fc.constantFrom('+', '-'), n, (a, op, b) => {
      const right = math.evaluate(`(${a}) ${op} (${b})`) as { toFraction(): string }
      for (const representation of ['signed', 'line', 'openline'] as const)
        expect([a, op, b, plan({ problem: `${a} ${op} (${b})`, representation }).steps.at(-1)!.shows]).toEqual([
          a,
          op,
          b,
          right.toFraction(),
        ])
    }),
    { numRuns: 150 },
  )
})

test('decimals of either sign come to what decimal.js says, by every way of the line', () => {
  const n = fc.integer({ min: -99_999, max: 99_999 }).map((i) => (i / 1000).toFixed(3))
  fc.assert(
    fc.property(n, fc.constantFrom('+', '-'), n, (a, op, b) => {
      const right = op === '+' ? new Decimal(a).plus(b) : new Decimal(a).minus(b)
      for (const way of ['arrows', 'decompose', 'hops'] as const) {
        if (way === 'decompose' && Number(b) === 0) continue
        const { steps } = plan({ problem: `${a} ${op} (${b})`, representation: 'line', way })
        expect([a, op, b, way, steps.at(-1)!.shows]).toEqual([a, op, b, way, exact(right.toFixed(3))])
      }
    }),
    { numRuns: 150 },
  )
})

/**
 * Worked examples as handbooks on integers set them out, with the counters that lie there after each step (zero pairs; from memory,
 * common practice, no single source).
 */
test.each([
  ['-3 - 5', ['0+3', '5+8', '0+8']],
  ['4 - 7', ['4+0', '7+3', '0+3']],
  ['-2 - -6', ['0+2', '4+6', '4+0']],
  ['5 + -8', ['5+0', '5+8', '0+3']],
])('%s leaves these counters lying: pluses and minuses', (problem, lying) => {
  const shown = plan({ problem, representation: 'signed' }).steps.flatMap(({ moves }) => moves.signed ?? [])
  let [plus, minus] = [0, 0]
  const seen: string[] = []
  for (const move of shown as { kind: string; plus?: number; minus?: number; count?: number }[]) {
    const times =
      move.kind === 'lay' || move.kind === 'bring' ? 1 : move.kind === 'take' || move.kind === 'clear' ? -1 : 0
    if (times === 0) continue
    plus += times * (move.plus ?? move.count!)
    minus += times * (move.minus ?? move.count!)
    seen.push(`${plus}+${minus}`)
  }
  expect(seen).toEqual(lying)
})

test('a mistaken procedure is only named where it gives another number than the answer, as mathjs has it', () => {
  const n = fc.integer({ min: -20, max: 20 })
  fc.assert(
    fc.property(n, fc.constantFrom('+', '-'), n, fc.integer({ min: -40, max: 40 }), (a, op, b, given) => {
      const right = Number(math.evaluate(`(${a}) ${op} (${b})`))
      const found = procedureFor(parseProblem(`${a} ${op} (${b})`), exact(given))
      if (given === right) expect(found).toBeUndefined()
      if (found) expect(Math.abs(given)).toBeLessThanOrEqual(Math.abs(a) + Math.abs(b))
    }),
    { numRuns: 1000 },
  )
})
