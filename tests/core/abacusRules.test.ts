import { DEFAULT_CHOICES, type AbacusChoices, type Choices } from '../../core/choices'
import { parseProblem } from '../../core/problem/parse'
import { abacus } from '../../core/representation/abacus/abacus'
import { setting, type Beads } from '../../core/representation/abacus/frame'
import { against, decide, RULES } from '../../core/representation/abacus/rules'
import { workDigit } from '../../core/representation/abacus/work'

const BEADED: readonly Beads[] = [
  { upper: 1, lower: 4 },
  { upper: 2, lower: 5 },
]
const PLAIN: readonly Beads[] = [
  { upper: 0, lower: 9 },
  { upper: 0, lower: 10 },
]
const digits = Array.from({ length: 9 }, (_, i) => i + 1)
const settings = [0, ...digits]

const bead = (over: Partial<AbacusChoices> = {}): Choices => ({
  ...DEFAULT_CHOICES,
  abacus: { ...DEFAULT_CHOICES.abacus, ...over },
})
describe('just one of the rules holds in each position (practice, section 9)', () => {
  const holding = (beads: Beads, shown: number, digit: number, way: 1 | -1): string[] =>
    RULES.filter((rule) => against(rule, setting(shown, beads), digit, way, beads) === undefined)

  test.each([...BEADED, ...PLAIN])('on rods of %o', (beads) => {
    for (const shown of settings)
      for (const digit of digits)
        for (const way of [1, -1] as const) {
          const held = holding(beads, shown, digit, way)
          expect([shown, way * digit, held.length]).toEqual([shown, way * digit, 1])
          expect(held[0]).toBe(decide(setting(shown, beads), digit, way, beads).rule)
        }
  })

  test('a rod without fives knows only direct and ten', () => {
    for (const beads of PLAIN)
      for (const shown of settings)
        for (const digit of digits) expect(['direct', 'ten']).toContain(holding(beads, shown, digit, 1)[0])
  })

  test('what is rejected says which bead is missing', () => {
    const { rule, rejected } = decide({ upper: 1, lower: 1 }, 7, 1, BEADED[0]!)
    expect(rule).toBe('mixed')
    expect(rejected).toEqual([
      { rule: 'direct', side: 'upper', wanted: 1, there: 0 },
      { rule: 'ten', side: 'lower', wanted: 3, there: 1 },
    ])
  })

  test('only the complement’s beads move: with four up, +2 clears three', () => {
    const four = abacus.apply(abacus.start(parseProblem('4 + 2'), bead()), abacus.parse('ones lower 4 to bar'))
    const { moves, state } = workDigit(four, 0, 2, 1)
    expect(moves.map(abacus.print)).toEqual(['rod 0 upper 1 to bar, right index', 'rod 0 lower 3 away, right index'])
    expect(state.rods[0]).toEqual({ upper: 1, lower: 1 })
  })
})
