import fc from 'fast-check'
import './nuxt'
import { benchRequest, followed, type BenchSettings } from '../../app/utils/benchRequest'
import { nextProblem } from '../../app/utils/nextProblem'
import { DEFAULT_CHOICES, WORD_SETS } from '../../core/choices'
import { rulesIn } from '../../core/course/sameRules'
import { setUp } from '../../core/plan/setup'
import { features } from '../../core/problem/features'
import { parseProblem } from '../../core/problem/parse'
import { handsSchema } from '../../shared/schemas'

const settings = (over: Partial<BenchSettings> = {}): BenchSettings => ({
  material: 'blocks',
  way: 'ones-first',
  beside: null,
  byHand: false,
  words: WORD_SETS.exchange,
  hands: handsSchema.parse({}),
  abacus: DEFAULT_CHOICES.abacus,
  ...over,
})

describe('what a bench is asked for', () => {
  test('blocks are written along on sheet and equations, everything else on equations', () => {
    expect(benchRequest('52 - 37', settings()).also).toEqual(['columns', 'equations'])
    expect(benchRequest('52 - 37', settings({ material: 'chips' })).also).toEqual(['equations'])
  })

  test('a second material follows, or is worked by hand; in Show it always follows', () => {
    const follows = benchRequest('52 - 37', settings({ beside: 'chips' }))
    expect([follows.also, follows.both]).toEqual([['columns', 'equations', 'chips'], null])
    const byHand = benchRequest('52 - 37', settings({ beside: 'chips', byHand: true }))
    expect([byHand.also, byHand.both]).toEqual([['columns', 'equations'], 'chips'])
    expect(followed(byHand)).toEqual({ ...byHand, also: ['columns', 'equations', 'chips'], both: null })
  })

  test('one that is the same, or cannot hold the problem, is left away', () => {
    for (const beside of ['blocks', 'fingers'] as const)
      for (const byHand of [false, true]) {
        const { also, both } = benchRequest('52 - 37', settings({ beside, byHand }))
        expect([also, both]).toEqual([['columns', 'equations'], null])
      }
  })

  test('a way that does not suit is not asked for', () => {
    expect(benchRequest('52 - 37', settings()).way).toBe('ones-first')
    expect(benchRequest('52 - 37', settings({ material: 'abacus' })).way).toBeUndefined()
  })

  test('it shares nothing with the room, whose choices may change', () => {
    const room = settings()
    const { choices } = benchRequest('52 - 37', room)
    ;(room.hands as { away: string[] }).away.push('left-thumb')
    expect(choices).toMatchObject({ away: [], words: WORD_SETS.exchange })
    expect(choices!.abacus).not.toBe(room.abacus)
  })
})

describe('the next problem', () => {
  test('on blocks it asks the same of a learner, and is none of those used while others are left', () => {
    fc.assert(
      fc.property(fc.nat(99_999), fc.constantFrom('52 - 37', '304 - 178', '27 + 46', '9 + 8 - 5'), (seed, problem) => {
        const setup = setUp({ problem, representation: 'blocks' })
        const next = nextProblem(setup, seed, [problem])
        expect(next).not.toBe(problem)
        expect(features(parseProblem(next))).toEqual(features(parseProblem(problem)))
      }),
      { numRuns: 60 },
    )
  })

  test('on beads it goes by the same rules, number by number', () => {
    fc.assert(
      fc.property(
        fc.nat(99_999),
        fc.constantFrom('4 + 2', '33 + 4 - 6 + 28', '46 + 27', '98 + 7', '312 - 745'),
        (seed, problem) => {
          const setup = setUp({ problem, representation: 'abacus' })
          const next = nextProblem(setup, seed, [problem])
          const rules = (p: string) => rulesIn(parseProblem(p), 'abacus', setup.choices)
          expect(rules(problem)).toHaveLength(parseProblem(problem).terms.length)
          expect([next, rules(next)]).toEqual([next, rules(problem)])
        },
      ),
      { numRuns: 60 },
    )
  })

  test('where there is no other of its kind, it comes again', () => {
    const setup = setUp({ problem: '9 * 9', representation: 'nines' })
    expect(parseProblem(nextProblem(setup, 7, []))).toBeTruthy()
    expect(nextProblem(setUp({ problem: '0 + 0', representation: 'counters' }), 3, ['0 + 0'])).toBe('0 + 0')
  })
})
