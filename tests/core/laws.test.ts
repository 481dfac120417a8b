import fc from 'fast-check'
import { evaluate } from 'mathjs'
import { DEFAULT_CHOICES } from '../../core/choices'
import { change, type Act } from '../../core/act/act'
import { add, ZERO } from '../../core/number/exact'
import { plan } from '../../core/plan/plan'
import { answer, printProblem, type Problem } from '../../core/problem/problem'
import { REPRESENTATIONS } from '../../core/representation/index'
import { applyAll } from '../../core/representation/representation'
import type { WayId } from '../../core/way/way'
import { chains, HARD, PLACED, WAYS } from './worlds'

const each = (law: (problem: Problem, way: WayId) => void): void => {
  for (const way of WAYS) {
    HARD.forEach((p) => law(p, way))
    fc.assert(
      fc.property(chains(), (problem) => law(problem, way)),
      { numRuns: 90 },
    )
  }
}

describe('every way on every representation keeps the three promises', () => {
  test('each equation holds under an outside evaluator', () => {
    each((problem, way) => {
      const { steps } = plan({ problem, representation: 'blocks', way })
      const stated = steps.flatMap((s) => s.lines).flatMap((l) => (l.equation ? [l.equation] : []))
      for (const equation of stated) expect([equation, evaluate(equation.replace('=', '=='))]).toEqual([equation, true])
    })
  })

  test.each(PLACED)('the last thing %s shows is the answer, and the final sentence states it', (representation) => {
    each((problem, way) => {
      const planned = plan({ problem, representation, way })
      const last = planned.steps.at(-1)!
      expect(last.shows).toBe(String(evaluate(printProblem(problem))))
      expect(planned.answer).toBe(last.shows)
      if (problem.terms.length > 0) expect(last.lines.at(-1)?.equation).toBe(`${printProblem(problem)} = ${last.shows}`)
    })
  })

  test('blocks, sheet and page show the same after every act, and each act changes by its change', () => {
    each((problem, way) => {
      const { steps } = plan({ problem, representation: 'blocks', way, also: PLACED.slice(1) })
      const states = new Map(PLACED.map((id) => [id, REPRESENTATIONS[id].start(problem, DEFAULT_CHOICES)]))
      let value = ZERO
      for (const step of steps) {
        value = add(value, change(step.act))
        for (const id of PLACED) {
          const r = REPRESENTATIONS[id]
          states.set(id, applyAll(r, states.get(id), step.moves[id]!))
          expect([id, r.shows(states.get(id))]).toEqual([id, value])
        }
        expect(step.shows).toBe(value)
      }
    })
  })

  test('an exchange changes nothing and moves ten for one', () => {
    each((problem, way) => {
      for (const { act } of plan({ problem, representation: 'blocks', way }).steps) {
        if (act.kind !== 'exchange') continue
        const [from, to] = [act.from[0]!, act.to[0]!]
        expect([act.from.length, act.to.length]).toEqual([1, 1])
        const [small, large] = BigInt(from.unit) < BigInt(to.unit) ? [from, to] : [to, from]
        expect(small.count).toBe(10 * large.count)
        expect(BigInt(small.unit) * 10n).toBe(BigInt(large.unit))
        expect(change(act)).toBe('0')
      }
    })
  })
})

describe.each(PLACED)('%s', (id) => {
  const r = REPRESENTATIONS[id]

  /** Calls `law` with each act of a plan, the state before it and the moves that do it. */
  const walk = (law: (act: Act, before: unknown, moves: readonly unknown[]) => void): void =>
    each((problem, way) => {
      let state = r.start(problem, DEFAULT_CHOICES)
      for (const { act, moves } of plan({ problem, representation: id, way }).steps) {
        law(act, state, moves[id]!)
        state = applyAll(r, state, moves[id]!)
      }
    })

  test('a move leaves the state that it is made on as it was', () =>
    walk((_, before, moves) => {
      let state = before
      for (const move of moves) {
        const was = JSON.stringify(state)
        const after = r.apply(state, move)
        expect(JSON.stringify(state)).toBe(was)
        state = after
      }
    }))

  test('what is performed is recognised again', () =>
    walk((act, before, moves) => {
      // The words said with a column are the hand's own and come besides; and with nothing there yet, joining is laying.
      const first = r.shows(before) === ZERO
      const bare = (a: Act): Act =>
        ({ ...a, said: undefined, kind: first && a.kind === 'lay' ? 'join' : a.kind }) as Act
      if (moves.length > 0) expect((r.recognise(before, moves) as readonly Act[]).map(bare)).toEqual([bare(act)])
    }))

  test('a move is printed and read back the same', () =>
    walk((_, __, moves) => {
      for (const move of moves) expect(r.parse(r.print(move))).toEqual(move)
    }))

  test('states and moves are plain JSON', () =>
    walk((_, before, moves) => {
      expect(JSON.parse(JSON.stringify(before))).toEqual(before)
      expect(JSON.parse(JSON.stringify(moves))).toEqual(moves)
    }))
})

test('the answer is the outside answer over the whole range', () => {
  fc.assert(fc.property(chains(), (p) => expect(answer(p)).toBe(String(evaluate(printProblem(p))))))
})
