import fc from 'fast-check'
import { parseProblem } from '../../core/problem/parse'
import type { Problem } from '../../core/problem/problem'
import { enter } from '../../core/record/bench'
import type { Bench } from '../../core/record/moment'
import { attempt } from '../../core/refusal'
import { REPRESENTATIONS } from '../../core/representation/index'
import type { RepresentationId } from '../../core/representation/representation'
import type { WayId } from '../../core/way/way'

/** Enters a move of a hand. What the bench refuses, the material itself refuses, in a whole sentence, and nothing has changed. */
export function tried(b: Bench, on: RepresentationId | 'bench', move: string): Bench {
  const before = JSON.stringify(b.now)
  const done = attempt(() => enter(b, { at: 0, on, move }))
  if ('ok' in done) return done.ok
  expect(JSON.stringify(b.now)).toBe(before)
  expect(done.refused.reason).toMatch(/[.?!]$/)
  if (on === 'bench') expect(['undo', 'redo', 'go on', 'ask']).toContain(move)
  else {
    const r = REPRESENTATIONS[on]
    const state = b.now.states[on] ?? b.now.second?.states[on]
    expect([move, 'refused' in attempt(() => r.apply(state, r.parse(move)))]).toEqual([move, true])
  }
  return b
}

export const WAYS: readonly WayId[] = ['ones-first', 'exchanges-first']
/** Materials that count one each, with what is asked of them. */
export const COUNTED: readonly RepresentationId[] = ['fingers', 'counters', 'tallies', 'joints', 'touch']
/** Those that also count in steps. */
export const STEPPED: readonly RepresentationId[] = ['fingers', 'touch']
export const PLACED: readonly RepresentationId[] = ['blocks', 'chips', 'drawn', 'columns', 'touch-columns', 'equations']

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

/** Two to eight addends of ragged lengths up to nine digits, whose sum has nine digits at most. */
export const ragged = (): fc.Arbitrary<Problem> =>
  fc
    .array(
      fc.integer({ min: 1, max: 8 }).chain((digits) => fc.nat(10 ** digits - 1)),
      { minLength: 3, maxLength: 8 },
    )
    .map((numbers) => parseProblem(numbers.join(' + ')))

/** Sums and differences of numbers with up to three decimals, not below nought. */
export const decimals = (): fc.Arbitrary<Problem> =>
  fc
    .tuple(fc.nat(99_999), fc.nat({ max: 3 }), fc.nat(99_999), fc.nat({ max: 3 }), fc.boolean())
    .map(([a, da, b, db, plus]) => {
      const text = (n: number, d: number): string => (d === 0 ? String(n) : (n / 10 ** d).toFixed(d))
      const [x, y] = a / 10 ** da >= b / 10 ** db ? [text(a, da), text(b, db)] : [text(b, db), text(a, da)]
      return parseProblem(`${x} ${plus ? '+' : '-'} ${y}`)
    })
