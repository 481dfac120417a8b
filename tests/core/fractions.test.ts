import fc from 'fast-check'
import { change, type Act } from '../../core/act/act'
import { DEFAULT_CHOICES, withDefaults } from '../../core/choices'
import { waysFor } from '../../core/index'
import { add, ZERO } from '../../core/number/exact'
import { plan } from '../../core/plan/plan'
import { besideOf, setUp } from '../../core/plan/setup'
import { parseProblem } from '../../core/problem/parse'
import { printProblem, type Problem } from '../../core/problem/problem'
import { heldBy, REPRESENTATIONS } from '../../core/representation/index'
import { applyAll, performIn, type RepresentationId } from '../../core/representation/representation'
import { fraction, fractionSteps, holdsOutside, KNOWN, PARTED, signedSteps, worksOutside } from './fractionWorlds'

/** Materials that hold a problem, of those that show parts of a whole. */
const holding = (problem: Problem): readonly RepresentationId[] =>
  PARTED.filter((id) => REPRESENTATIONS[id].fits(problem).fits)

/** Goes through problems, every material that holds them and every way of working them there. */
function each(
  problems: fc.Arbitrary<Problem>,
  law: (problem: Problem, id: RepresentationId, way: ReturnType<typeof waysFor>[number]['way']) => void,
  runs = 60,
): void {
  const all = (problem: Problem): void => {
    for (const id of holding(problem)) for (const { way } of waysFor(problem, id)) law(problem, id, way)
  }
  KNOWN.forEach(all)
  fc.assert(fc.property(problems, all), { numRuns: runs })
}

describe('parts of a whole keep the three promises', () => {
  test.each([
    ['from nought up', fractionSteps()],
    ['of both signs', signedSteps()],
  ])('%s: every line holds under mathjs, and the last thing shown is its answer', (_, problems) => {
    each(problems, (problem, representation, way) => {
      const text = printProblem(problem)
      const planned = plan({ problem, representation, way })
      expect(planned.steps.at(-1)!.shows).toBe(worksOutside(text))
      expect(planned.answer).toBe(planned.steps.at(-1)!.shows)
      const lines = planned.steps.flatMap((s) => s.lines)
      for (const { equation } of lines)
        if (equation) expect([equation, holdsOutside(equation)]).toEqual([equation, true])
      expect(lines.at(-1)!.equation).toBeDefined()
    })
  })

  test('with the product of both denominators as well', () => {
    const choices = withDefaults({ parts: { ...DEFAULT_CHOICES.parts, common: 'product' } })
    fc.assert(
      fc.property(fractionSteps(4, 9), (problem) => {
        if (!REPRESENTATIONS.strips.fits(problem).fits) return
        const { steps } = plan({ problem, representation: 'strips', choices })
        expect(steps.at(-1)!.shows).toBe(worksOutside(printProblem(problem)))
      }),
      { numRuns: 60 },
    )
    const pieces = plan({ problem: '1/4 + 1/6', representation: 'strips', choices }).steps.flatMap(({ act }) =>
      act.kind === 'exchange' ? act.to.map((p) => p.unit) : [],
    )
    expect(new Set(pieces)).toEqual(new Set(['1/24']))
  })

  test('strips, vessel, line and equations go in step: all show the same after every act', () => {
    each(fractionSteps(2, 12), (problem, id, way) => {
      const also = [...holding(problem).filter((other) => other !== id), 'equations' as const]
      const { steps, representation } = plan({ problem, representation: id, way, also })
      const setup = setUp({ problem, representation, way })
      const states = new Map(
        [id, ...also].map((other) => [
          other,
          REPRESENTATIONS[other].start(setup.worked, setup.choices, besideOf(setup)),
        ]),
      )
      let value = ZERO
      for (const step of steps) {
        value = add(value, change(step.act))
        for (const other of [id, ...also]) {
          const r = REPRESENTATIONS[other]
          // A page of rules writes acts down at once; the others are moved.
          const was = states.get(other)
          const written = other === 'fraction-rule' && other !== id
          states.set(other, written ? r.write!(was, step.act) : applyAll(r, was, step.moves[other] ?? []))
          expect([other, r.shows(states.get(other))]).toEqual([other, value])
        }
      }
    })
  })

  test('decimals go in step on chips and strips: 0.3 and 3/10 are one length', () => {
    const cents = fc.tuple(fc.nat(999), fc.nat(999), fc.boolean()).map(([a, b, plus]) => {
      const [x, y] = a >= b ? [a, b] : [b, a]
      return parseProblem(`${(x / 100).toFixed(2)} ${plus ? '+' : '-'} ${(Math.floor(y / 10) / 10).toFixed(1)}`)
    })
    fc.assert(
      fc.property(cents, (problem) => {
        if (!['strips', 'chips'].every((id) => REPRESENTATIONS[id as 'strips'].fits(problem).fits)) return
        for (const { way } of waysFor(problem, 'chips').filter(
          (w) => w.way === 'by-places' || w.way === 'ones-first',
        )) {
          const { steps } = plan({ problem, representation: 'chips', way, also: ['strips', 'columns', 'line'] })
          let strips = REPRESENTATIONS.strips.start(problem, DEFAULT_CHOICES)
          for (const step of steps) {
            strips = applyAll(REPRESENTATIONS.strips, strips, step.moves.strips ?? [])
            expect(REPRESENTATIONS.strips.shows(strips)).toBe(step.shows)
          }
          expect(steps.at(-1)!.shows).toBe(worksOutside(printProblem(problem)))
        }
      }),
      { numRuns: 60 },
    )
    const laid = (text: string): string => {
      const s = REPRESENTATIONS.strips.start(parseProblem('0.3 + 0.1'), DEFAULT_CHOICES)
      return REPRESENTATIONS.strips.shows(applyAll(REPRESENTATIONS.strips, s, [REPRESENTATIONS.strips.parse(text)]))
    }
    expect(laid('lay 0.3')).toBe(laid('lay 3/10'))
  })
})

describe.each(['strips', 'vessel', 'line'] as const)('%s', (id) => {
  const r = REPRESENTATIONS[id]
  const problems = fc.oneof(
    fractionSteps(3, 12),
    fc
      .tuple(fc.integer({ min: 1, max: 6 }), fraction(1, 12))
      .map(([n, f]) => parseProblem(`${n} * ${f.includes('/') ? f : `${f}/2`}`)),
    fc.uniqueArray(fraction(1, 10), { minLength: 2, maxLength: 4 }).map((all) => parseProblem(all.join(' ? '))),
    fc
      .tuple(fc.integer({ min: 1, max: 8 }), fc.integer({ min: 2, max: 9 }), fc.integer({ min: 1, max: 5 }))
      .map(([top, bottom, times]) => parseProblem(`${top}/${bottom} = ?/${bottom * times}`)),
  )
  const walk = (law: (act: Act, before: unknown, moves: readonly unknown[]) => void): void =>
    fc.assert(
      fc.property(problems, (problem) => {
        if (!r.fits(problem).fits) return
        for (const { way } of waysFor(problem, id)) {
          let state = r.start(problem, DEFAULT_CHOICES)
          for (const { act, moves } of plan({ problem, representation: id, way }).steps) {
            law(act, state, moves[id]!)
            state = applyAll(r, state, moves[id]!)
          }
        }
      }),
      { numRuns: 80 },
    )

  test('what is performed is recognised again', () =>
    walk((act, before, moves) => {
      if (moves.length === 0) return
      // On the line an amount has no pieces, and how a number was written is said by who reads it.
      const bare = (a: Act): unknown => ({
        ...a,
        pieces: undefined,
        as: undefined,
        ...(a.kind === 'group' && a.count === '1' ? {} : {}),
      })
      const known = (r.recognise(before, moves) as readonly Act[]).map((a) =>
        id === 'line' && (a.kind === 'join' || a.kind === 'take') ? { change: change(a) } : bare(a),
      )
      expect(known).toEqual([
        id === 'line' && (act.kind === 'join' || act.kind === 'take') ? { change: change(act) } : bare(act),
      ])
    }))

  test('a move is printed and read back the same, and moves leave the state before as it was', () =>
    walk((_, before, moves) => {
      let state = before
      for (const move of moves) {
        expect(r.parse(r.print(move))).toEqual(move)
        expect(JSON.parse(JSON.stringify(move))).toEqual(move)
        const was = JSON.stringify(state)
        state = r.apply(state, move)
        expect(JSON.stringify(before)).toBe(JSON.stringify(before))
        expect(was).toBe(JSON.stringify(JSON.parse(was)))
      }
    }))
})

describe('cutting anew', () => {
  test('parts are cut into others just where both are of one length, and nothing changes by it', () => {
    const r = REPRESENTATIONS.strips
    const start = r.start(parseProblem('1/2 + 1/3'), DEFAULT_CHOICES)
    for (let a = 2; a <= 20; a++)
      for (let b = 2; b <= 20; b++)
        for (let top = 1; top <= 3; top++) {
          const from = { count: top, unit: `1/${a}` }
          const lies = r.apply(start, { kind: 'lay', pieces: [from] })
          for (const n of [Math.floor((top * b) / a), Math.ceil((top * b) / a)].filter((k) => k > 0)) {
            const move = { kind: 'recut', from: [from], to: [{ count: n, unit: `1/${b}` }], row: 'main' }
            const even = top * b === n * a
            if (!even) expect(() => r.apply(lies, move)).toThrow(/as long as|too short|too long/)
            else expect(r.shows(r.apply(lies, move))).toBe(r.shows(lies))
          }
        }
  })

  test('another whole is refused on a mat where something lies, with the reason', () => {
    const r = REPRESENTATIONS.strips
    const lies = r.apply(r.start(parseProblem('1/2 + 1/3'), DEFAULT_CHOICES), r.parse('lay 1 half'))
    expect(() => r.apply(lies, r.parse('whole short'))).toThrow('a half of a shorter strip is not a half of this one')
  })
})

describe('held against one another', () => {
  test('the comparison is what cross-multiplication says, on every material and way', () => {
    const three = fc.uniqueArray(fraction(2, 12), { minLength: 2, maxLength: 5 })
    fc.assert(
      fc.property(three, (numbers) => {
        if (!numbers.some((n) => n.includes('/'))) return
        const problem = parseProblem(numbers.join(' ? '))
        for (const id of holding(problem))
          for (const { way } of waysFor(problem, id)) {
            const last = plan({ problem, representation: id, way }).steps.at(-1)!
            const equation = last.lines.at(-1)!.equation!
            const said = equation.split(/ [<>=] /)
            const signs = [...equation.matchAll(/ ([<>=]) /g)].map((m) => m[1])
            expect(said).toHaveLength(numbers.length)
            signs.forEach((sign, i) =>
              expect([equation, holdsOutside(`${said[i]} ${sign} ${said[i + 1]}`)]).toEqual([equation, true]),
            )
          }
      }),
      { numRuns: 60 },
    )
  })

  test('both sides are worked, and what is lacking or left is said', () => {
    const { steps } = plan({ problem: '3/8 + 2/8 ? 4/8', representation: 'strips' })
    expect(steps.map((s) => s.lines.map((l) => l.text)).flat()).toEqual([
      '3/8',
      '3/8 + 2/8',
      '3/8 + 2/8 = 5/8',
      '5/8 ? 4/8',
      '5/8 > 4/8',
    ])
    expect(steps.at(-1)!.say).toBe('Five eighths is more than four eighths: one eighth left.')
    const lacking = plan({ problem: '1/4 + 1/4 ? 3/4', representation: 'strips' })
    expect(lacking.steps.at(-1)!.say).toBe('Two quarters is less than three quarters: one quarter lacking.')
  })
})

test('a number is written as was asked: in parts, simplest, as a decimal, as a fraction', () => {
  const lastLine = (problem: string): string =>
    plan({ problem, representation: 'strips' }).steps.at(-1)!.lines.at(-1)!.text
  expect(lastLine('2/3 = ?/12')).toBe('2/3 = 8/12')
  expect(lastLine('6/8 in simplest form')).toBe('6/8 = 3/4')
  expect(lastLine('1/4 as a decimal')).toBe('1/4 = 0.25')
  expect(lastLine('0.3 as a fraction')).toBe('0.3 = 3/10')
  expect(heldBy(parseProblem('2/3 = ?/12'))).toEqual(['strips', 'vessel'])
})

test('what a follower cannot show waits with a reason, and nothing foreign throws', () => {
  fc.assert(
    fc.property(fractionSteps(2, 12), (problem) => {
      if (!REPRESENTATIONS.strips.fits(problem).fits) return
      for (const { act } of plan({ problem, representation: 'strips' }).steps)
        for (const id of ['line', 'vessel'] as const) {
          const state = REPRESENTATIONS[id].start(problem, DEFAULT_CHOICES)
          try {
            expect(Array.isArray(performIn(REPRESENTATIONS[id], state, act))).toBe(true)
          } catch (error) {
            expect((error as Error).name).toBe('Refusal')
          }
        }
    }),
    { numRuns: 60 },
  )
})
