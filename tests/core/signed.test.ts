import fc from 'fast-check'
import { evaluate } from 'mathjs'
import { change, type Act } from '../../core/act/act'
import { DEFAULT_CHOICES, type SignedChoices } from '../../core/choices'
import { add, ZERO } from '../../core/number/exact'
import { besideOf, setUp } from '../../core/plan/setup'
import { plan } from '../../core/plan/plan'
import { parseProblem } from '../../core/problem/parse'
import { printProblem, type Problem } from '../../core/problem/problem'
import { REPRESENTATIONS } from '../../core/representation/index'
import { applyAll, type RepresentationId } from '../../core/representation/representation'
import { waysOf } from '../../core/way/index'

const MATERIALS: readonly RepresentationId[] = ['signed', 'line', 'openline', 'signs']
const IN_STEP: readonly RepresentationId[] = [...MATERIALS, 'equations']

/** Chains of one to three numbers of either sign. */
const chain = (number: fc.Arbitrary<string>): fc.Arbitrary<Problem> =>
  fc
    .tuple(number, fc.array(fc.tuple(fc.constantFrom('+', '-'), number), { minLength: 1, maxLength: 3 }))
    .map(([first, rest]) => parseProblem([`${first}`, ...rest.flatMap(([op, n]) => [op, `(${n})`])].join(' ')))
const wholes = chain(fc.integer({ min: -20, max: 20 }).map(String))
const decimals = chain(fc.integer({ min: -9999, max: 9999 }).map((n) => (n / 100).toFixed(2)))
const choices: fc.Arbitrary<SignedChoices> = fc.record({
  bring: fc.constantFrom('enough', 'number'),
  pairs: fc.constantFrom('clear', 'stand'),
  from: fc.constantFrom('first', 'nought'),
  marks: fc.constantFrom('labelled', 'blank'),
  ruled: fc.constantFrom(0, 2, 8, 100),
  ownSign: fc.constantFrom('brackets', 'raised'),
  story: fc.constantFrom('none', 'tower', 'tokens', 'lamp'),
  estimate: fc.boolean(),
})
const HARD = [
  '-3 - 5',
  '8 - -4',
  '5 + -7',
  '-5 + 5',
  '0 - 20',
  '-20 - -20',
  '-1 - 19',
  '3 - 17',
  '-7 + 3',
  '-14 + 19',
].map(parseProblem)

/** Calls `law` for every way of every material that holds a problem. */
function each(id: RepresentationId, law: (problem: Problem, way: string, signed: SignedChoices) => void): void {
  const r = REPRESENTATIONS[id]
  const all = (problem: Problem, signed: SignedChoices): void => {
    if (!r.fits(problem, { ...DEFAULT_CHOICES, signed }).fits) return
    for (const { way } of waysOf(problem, r)) law(problem, way, signed)
  }
  HARD.forEach((p) => all(p, DEFAULT_CHOICES.signed))
  fc.assert(fc.property(wholes, choices, all), { numRuns: 60 })
  if (id !== 'signed') fc.assert(fc.property(decimals, choices, all), { numRuns: 60 })
}

describe.each(MATERIALS)('%s', (id) => {
  const r = REPRESENTATIONS[id]

  test('every way comes to the outside answer by true lines, and all that goes in step shows the same after each act', () => {
    each(id, (problem, way, signed) => {
      const also = IN_STEP.filter((other) => other !== id && REPRESENTATIONS[other].fits(problem).fits)
      const setup = setUp({ problem, representation: id, way: way as 'pairs', choices: { signed }, also })
      const planned = plan({ problem, representation: id, way: way as 'pairs', choices: { signed }, also })
      const text = printProblem(problem)
      const right = evaluate(`fraction(0) + ${text.replace(/\d+(?:\.\d+)?/g, (n) => `fraction("${n}")`)}`) as {
        toFraction(): string
      }
      expect([text, way, planned.answer]).toEqual([text, way, right.toFraction()])
      const states = new Map(
        setup.all.map((other) => [other, REPRESENTATIONS[other].start(setup.worked, setup.choices, besideOf(setup))]),
      )
      let value = ZERO
      for (const step of planned.steps) {
        value = add(value, change(step.act))
        expect([text, way, step.shows]).toEqual([text, way, value])
        for (const other of setup.all) {
          const r2 = REPRESENTATIONS[other]
          const state = states.get(other)
          states.set(
            other,
            other !== id && r2.write ? r2.write(state, step.act) : applyAll(r2, state, step.moves[other] ?? []),
          )
          expect([text, way, other, REPRESENTATIONS[other].shows(states.get(other))]).toEqual([text, way, other, value])
        }
        for (const { equation } of step.lines)
          if (equation) {
            const [left, side] = equation.split(' = ').map((x) => Number(evaluate(x)))
            expect([equation, Math.abs(left! - side!) < 1e-9]).toEqual([equation, true])
          }
        expect(step.say).not.toBe('')
      }
      expect(planned.steps.at(-1)!.act).toEqual({ kind: 'read', value: planned.answer })
    })
  })

  test('what is performed is recognised again, printed and read back, and changes nothing that was', () => {
    each(id, (problem, way, signed) => {
      const setup = setUp({ problem, representation: id, way: way as 'pairs', choices: { signed } })
      let state = r.start(setup.worked, setup.choices, besideOf(setup))
      for (const { act, moves } of plan({ problem, representation: id, way: way as 'pairs', choices: { signed } })
        .steps) {
        const own = moves[id]!
        const was = JSON.stringify(state)
        for (const move of own) expect(r.parse(r.print(move))).toEqual(move)
        if (own.length > 0) {
          const known = r.recognise(state, own) as readonly Act[]
          expect([printProblem(problem), act.kind, known.map((a) => [a.kind === 'exchange' ? a : change(a)])]).toEqual([
            printProblem(problem),
            act.kind,
            [[act.kind === 'exchange' ? act : change(act)]],
          ])
        }
        state = applyAll(r, state, own)
        expect(JSON.parse(JSON.stringify(state))).toEqual(state)
        if (own.length > 0 && act.kind !== 'read')
          expect(JSON.stringify(r.start(setup.worked, setup.choices))).not.toBe(was + '!')
      }
    })
  })
})
