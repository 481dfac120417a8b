import fc from 'fast-check'
import { parseProblem, type Problem } from '../../core/problem/problem'
import type { RepresentationId } from '../../core/representation/representation'
import type { WayId } from '../../core/way/way'

export const WAYS: readonly WayId[] = ['ones-first', 'exchanges-first']
/** Materials that count one each, with what is asked of them. */
export const COUNTED: readonly RepresentationId[] = ['fingers', 'counters', 'tallies', 'joints', 'touch']
/** Those that also count in steps. */
export const STEPPED: readonly RepresentationId[] = ['fingers', 'touch']
export const PLACED: readonly RepresentationId[] = ['blocks', 'columns', 'touch-columns', 'equations']

/** Chains of one to four whole numbers whose totals stay from 0 to `greatest`, spread over all lengths of numbers. */
export const chains = (greatest = 9999): fc.Arbitrary<Problem> => {
  const number = fc.oneof(...[9, 99, 999, 9999].filter((n) => n <= greatest).map((n) => fc.nat(n)))
  return fc
    .tuple(number, fc.array(fc.tuple(fc.boolean(), number), { minLength: 1, maxLength: 3 }))
    .map(([first, rest]) => {
      let total = first
      const text = rest.map(([plus, n]) => {
        const fitsUp = total + n <= greatest
        const fitsDown = total - n >= 0
        const up = plus ? fitsUp : !fitsDown && fitsUp
        if (!up && !fitsDown) return ''
        total += up ? n : -n
        return `${up ? '+' : '-'} ${n}`
      })
      return parseProblem([String(first), ...text].join(' '))
    })
}

/** Problems whose exchanges teachers know to be hard, always tried besides the random ones. */
export const HARD = [
  '1000 - 1',
  '304 - 178',
  '9000 - 8999',
  '52 - 37',
  '476 + 358',
  '9 + 1',
  '999 + 9000',
  '10 - 10',
  '0 + 0',
  '5 - 0',
  '4005 - 2006 + 7999',
].map(parseProblem)

/** Sums and differences that every counting material but touch numerals holds; those hold what their notches allow. */
export const small = (id: RepresentationId): fc.Arbitrary<Problem> =>
  fc
    .tuple(fc.nat(id === 'touch' ? 18 : 20), fc.boolean(), fc.nat(id === 'touch' ? 9 : 20))
    .map(([a, plus, b]) =>
      plus ? `${Math.min(a, 20 - Math.min(b, 20))} + ${b}` : `${Math.max(a, b)} - ${Math.min(a, b, 9)}`,
    )
    .map(parseProblem)
