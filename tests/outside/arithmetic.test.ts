import fc from 'fast-check'
import { create, all } from 'mathjs'
import { add, compare, divide, exact, multiply, subtract } from '../../core/number/exact'
import { plan } from '../../core/index'

const math = create(all!, { number: 'Fraction' })
const fraction = fc.tuple(fc.bigInt(-999999999n, 999999999n), fc.bigInt(1n, 9999n)).map(([n, d]) => exact(`${n}/${d}`))
test('exact sums, differences, products and quotients are mathjs’s', () => {
  fc.assert(
    fc.property(fraction, fraction, (a, b) => {
      const frac = (op: 'add' | 'subtract' | 'multiply' | 'divide') =>
        math.fraction(math[op](math.fraction(a), math.fraction(b)) as never).toFraction()
      expect(add(a, b)).toBe(frac('add'))
      expect(subtract(a, b)).toBe(frac('subtract'))
      expect(multiply(a, b)).toBe(frac('multiply'))
      if (b !== '0') expect(divide(a, b)).toBe(frac('divide'))
      expect(Math.sign(compare(a, b))).toBe(Number(math.compare(math.fraction(a), math.fraction(b)) as never))
    }),
  )
})

test('0.1 + 0.2 is 0.3, which floating point would not say', () => {
  expect(add(exact('0.1'), exact('0.2'))).toBe(exact('0.3'))
  expect(math.fraction(math.add(math.fraction('0.1'), math.fraction('0.2')) as never).toFraction()).toBe(exact('0.3'))
  expect(0.1 + 0.2).not.toBe(0.3)
})

/**
 * Worked subtractions and additions with their marks as primary-school handbooks set them out
 * (expanded and compact column methods; from memory, common practice, no single source).
 */
test.each([
  ['874 - 523', []],
  ['932 - 457', ['932 = 900 + 20 + 12', '932 = 800 + 120 + 12']],
  ['503 - 278', ['503 = 400 + 100 + 3', '503 = 400 + 90 + 13']],
])('%s is renamed as the expanded method does', (problem, renamings) => {
  const { steps } = plan({ problem, representation: 'blocks', way: 'exchanges-first' })
  const lines = steps.filter((s) => s.act.kind === 'exchange').flatMap((s) => s.lines.map((l) => l.text))
  expect(lines).toEqual(renamings)
})
