import fc from 'fast-check'
import { enter, openBench } from '../../core/record/bench'
import { matchOf, outcome, slipsOf } from '../../core/record/outcome'
import { nextAct } from '../../core/record/ahead'
import type { Bench } from '../../core/record/moment'
import { recordOf, reopen } from '../../core/record/record'
import { attempt, Refusal } from '../../core/refusal'
import { REPRESENTATIONS } from '../../core/representation/index'
import { REPRESENTATION_IDS, type RepresentationId } from '../../core/representation/representation'
import { sayMatch } from '../../core/speech/match'
import { packOf } from '../../core/speech/words'
import { waysOf } from '../../core/way/index'
import { chains, tried } from './worlds'

const places = fc.constantFrom('ones', 'tens', 'hundreds')
const few = fc.integer({ min: 1, max: 12 })
const pieces = (...verbs: string[]) => fc.tuple(fc.constantFrom(...verbs), few, places).map((m) => m.join(' '))
const number = fc.oneof(fc.nat(12), fc.nat(120))
const swap = fc.constantFrom('ten', 'hundred').chain((p) => fc.constantFrom(`break ${p}`, `tie ${p}`))

/** What hands may type on each material that works in places, whole or in parts, sense and nonsense. */
const HANDS: Partial<Record<RepresentationId, fc.Arbitrary<string>>> = {
  chips: fc.oneof(
    pieces('lay', 'take', 'give', 'return', 'set', 'push'),
    swap,
    number.map((n) => `read ${n}`),
  ),
  drawn: fc.oneof(
    pieces('draw', 'cross'),
    fc.constantFrom('ring ten', 'ring hundred', 'break ten', 'break hundred'),
    number.map((n) => `read ${n}`),
  ),
  openline: fc.oneof(
    number.map((n) => `start ${n}`),
    fc.tuple(fc.constantFrom('+', '-'), few).map(([s, n]) => `hop ${s}${n}`),
    fc.tuple(number, number).map(([a, b]) => `way ${a} to ${b}`),
    number.map((n) => `read ${n}`),
  ),
  columns: fc.oneof(
    number.map((n) => `write ${n}`),
    fc.tuple(fc.constantFrom('+', '-'), number).map(([s, n]) => `under ${s} ${n}`),
    fc.tuple(fc.constantFrom('answer', 'above', 'carry', 'digit'), fc.nat(12), places).map((m) => m.join(' ')),
    fc.tuple(fc.constantFrom('strike', 'one'), places).map((m) => m.join(' ')),
    fc.constantFrom('pull right 1', 'pull left 1'),
  ),
  ...Object.fromEntries(
    (['partials', 'friendly', 'splits'] as const).map((id) => [
      id,
      fc.oneof(
        number.map((n) => `write ${n}`),
        fc.tuple(number, fc.constantFrom('+', '-'), number).map((m) => `write ${m.join(' ')}`),
        fc
          .tuple(number, fc.constantFrom('+', '-'), number, number)
          .map(([a, s, b, c]) => `write ${a} ${s} ${b} = ${c}`),
        fc.tuple(number, number).map(([a, b]) => `write ${a + b} = ${a} + ${b}`),
        fc.tuple(number, number).map(([a, b]) => `write ${a} + ${b} = ${a + b}`),
      ),
    ]),
  ),
}

const moves = (id: RepresentationId): fc.Arbitrary<string> =>
  fc.oneof({ weight: 4, arbitrary: HANDS[id]! }, { weight: 1, arbitrary: fc.constant('*') })
/** A star is what the way asks for next, so that sense comes about too. */
function one(b: Bench, id: RepresentationId, move: string): Bench {
  if (move !== '*') return tried(b, id, move)
  const asked = nextAct(b)
  if (!asked) return b
  const r = REPRESENTATIONS[id]
  const made = attempt(() => r.perform(b.now.states[id], asked))
  // After odd moves of a hand the material may have no room for what is wanted; then it says so.
  if ('refused' in made) expect(made.refused.reason).toMatch(/[.?!]$/)
  return 'ok' in made ? made.ok.reduce<Bench>((x, m) => tried(x, id, r.print(m)), b) : b
}

describe.each(Object.keys(HANDS) as RepresentationId[])('whatever hands do on %s', (id) => {
  test('mat, page and what is known agree, and the record gives back the same', () => {
    fc.assert(
      fc.property(chains(99), fc.array(moves(id), { maxLength: 16 }), (problem, all) => {
        if (problem.terms.length === 0 || waysOf(problem, REPRESENTATIONS[id]).length === 0) return
        let b = openBench({ problem, representation: id, also: ['equations'] }, 'alone')
        for (const move of all) {
          b = one(b, id, move)
          if (id !== 'columns') expect(REPRESENTATIONS[id].shows(b.now.states[id])).toBe(b.now.standing.value)
          expect(b.now.page.value).toBe(b.now.standing.value)
        }
        expect(reopen(JSON.parse(JSON.stringify(recordOf(b))))).toEqual(b)
        let back = b
        while (back.past.length > 0) back = enter(back, { at: 0, on: 'bench', move: 'undo' })
        expect(back.now).toEqual(openBench({ problem, representation: id, also: ['equations'] }, 'alone').now)
      }),
      { numRuns: 60 },
    )
  })
})

test('whatever two hands do on chips and sheet, what is said of them is whole, and a right reading is not a copy by itself', () => {
  const both = fc.array(
    fc.oneof(
      HANDS.chips!.map((move) => ['chips', move] as const),
      HANDS.columns!.map((move) => ['columns', move] as const),
      fc.constantFrom(['bench', 'undo'] as const, ['bench', 'redo'] as const),
    ),
    { maxLength: 18 },
  )
  fc.assert(
    fc.property(chains(99), both, (problem, all) => {
      if (problem.terms.length === 0) return
      let b = openBench({ problem, representation: 'chips', both: 'columns', also: ['equations'] }, 'alone')
      for (const [on, move] of all) b = tried(b, on, move)
      const match = matchOf(b)!
      expect(match.agree).toBe(match.gaps.length === 0 && match.copied === null)
      for (const line of sayMatch(match, packOf('exchange'))) expect(line).toMatch(/^[A-Z].*\.$/)
      expect(slipsOf(b).length).toBeGreaterThanOrEqual(match.copied ? 1 : 0)
      expect(outcome(b).finished).toBe(b.now.standing.read !== null)
      expect(reopen(JSON.parse(JSON.stringify(recordOf(b))))).toEqual(b)
    }),
    { numRuns: 80 },
  )
})

test.each(REPRESENTATION_IDS)('%s reads typed moves, or refuses them kindly with a place inside the text', (id) => {
  const r = REPRESENTATIONS[id]
  const words = fc.constantFrom(
    'lay',
    'take',
    'write',
    'hop',
    'start',
    'ring',
    'draw',
    'read',
    'break',
    'count',
    'say',
    'way',
    '52',
    '3',
    '0',
    '-4',
    '8.4',
    '1/2',
    '999999999999',
    'ones',
    'tens',
    'tenths',
    'to',
    '+',
    '−',
    '=',
    '·',
    'ten',
    'ZZ',
    '🙂',
  )
  const text = fc.oneof(
    fc.array(words, { maxLength: 6 }).map((w) => w.join(' ')),
    fc.string({ maxLength: 30 }),
  )
  fc.assert(
    fc.property(text, (typed) => {
      try {
        const move = r.parse(typed)
        expect(r.parse(r.print(move))).toEqual(move)
      } catch (error) {
        if (!(error instanceof Refusal)) throw error
        expect(error.reason.length).toBeGreaterThan(3)
        if (error.span) expect(error.span.at + error.span.length).toBeLessThanOrEqual(typed.length + 1)
      }
    }),
    { numRuns: 150 },
  )
})
