import { listed } from '../../core/number/trail'
import fc from 'fast-check'
import { evaluate } from 'mathjs'
import { change, type Act } from '../../core/act/act'
import { risingOrder } from '../../core/representation/fingers/order'
import { DEFAULT_CHOICES, FINGERS, type Choices } from '../../core/choices'
import { plan, representationsFor, waysFor } from '../../core/index'
import { add, ZERO } from '../../core/number/exact'
import { printProblem, type Problem } from '../../core/problem/problem'
import { enter, openBench } from '../../core/record/bench'
import { outcome } from '../../core/record/outcome'
import type { Bench } from '../../core/record/moment'
import { SLIPS } from '../../core/record/slips'
import { recordOf, reopen } from '../../core/record/record'
import { REPRESENTATIONS } from '../../core/representation/index'
import { applyAll, type RepresentationId } from '../../core/representation/representation'
import type { WayId } from '../../core/way/way'
import { COUNTED, small } from './worlds'

describe.each(COUNTED)('%s', (id) => {
  const r = REPRESENTATIONS[id]
  const each = (law: (problem: Problem, way: WayId) => void): void => {
    fc.assert(
      fc.property(small(id), (problem) => {
        const ways = waysFor(problem, id)
        fc.pre(ways.length > 0)
        for (const { way } of ways) law(problem, way)
      }),
      { numRuns: 50 },
    )
  }

  test('every plan ends at the answer, and each equation holds under an outside evaluator', () =>
    each((problem, way) => {
      const { steps, answer } = plan({ problem, representation: id, way })
      expect(steps.at(-1)!.shows).toBe(answer)
      expect(answer).toBe(String(evaluate(printProblem(problem))))
      for (const line of steps.flatMap((s) => s.lines))
        if (line.equation)
          expect([line.equation, evaluate(line.equation.replace('=', '=='))]).toEqual([line.equation, true])
    }))

  test('acts, moves and values agree; what is performed is recognised and read back', () =>
    each((problem, way) => {
      let state = r.start(problem, DEFAULT_CHOICES)
      let value = ZERO
      for (const { act, moves, shows } of plan({ problem, representation: id, way }).steps) {
        value = add(value, change(act))
        const made = moves[id]!
        if (made.length > 0) {
          const [known] = r.recognise(state, made) as readonly Act[]
          // Upon nothing, joining looks like laying; the bench, which knows that nought was laid, tells them apart.
          const upon = act.kind === 'join' && value === change(act) ? { ...known, kind: 'join' } : known
          expect({ ...upon, counted: undefined }).toEqual({ ...act, counted: undefined })
        }
        for (const move of made) {
          const after = r.apply(state, move)
          expect(r.parse(r.print(move))).toEqual(move)
          expect(JSON.parse(JSON.stringify(after))).toEqual(after)
          state = after
        }
        expect([r.shows(state), shows]).toEqual([value, value])
      }
    }))

  test('the words of counting on, back and up are an unbroken sequence that leaves out the start', () =>
    each((problem, way) => {
      const { steps } = plan({ problem, representation: id, way })
      const words = steps.flatMap(({ act }) => (act.kind === 'count' ? [Number(act.word)] : []))
      const [first = 0, second = 0] = printProblem(problem)
        .split(/ [+-] /)
        .map(Number)
      const held = steps.flatMap(({ act }) => (act.kind === 'lay' && act.inHead ? [Number(act.amount)] : []))[0]
      const start = way === 'count-up' ? second : held
      if (start === undefined) return expect(words).toEqual([])
      const end = way === 'count-up' ? first : Number(evaluate(printProblem(problem)))
      // Independent of the planner: the whole numbers strictly after the start, up or down to the end.
      const expected: number[] = []
      for (let n = start; n !== end;) expected.push((n += end > start ? 1 : -1))
      expect(words).toEqual(expected)
    }))

  test('a record of it replays the same', () =>
    each((problem, way) => {
      const bench = follow(openBench({ problem, representation: id, way, also: ['equations'] }, 'together'))
      expect(reopen(JSON.parse(JSON.stringify(recordOf(bench))))).toEqual(bench)
      expect(outcome(bench).right).toBe(true)
    }))
})

/** Works a bench through by its own plan, typed move by typed move. */
function follow(bench: Bench): Bench {
  const { setup } = bench
  const r = REPRESENTATIONS[setup.representation]
  let b = bench
  for (const { moves } of plan({ problem: setup.problem, representation: r.id, way: setup.way }).steps)
    for (const move of moves[r.id]!) b = enter(b, { at: 0, on: r.id, move: r.print(move) })
  return b
}

const work = (on: RepresentationId, problem: string, way: WayId, ...moves: string[]): Bench =>
  moves.reduce(
    (b, move) => enter(b, { at: 0, on, move }),
    openBench({ problem, representation: on, way, also: ['equations'] }, 'alone'),
  )
const slips = (b: Bench): string[] => listed(b.now.stones).flatMap((s) => (s.slip ? [s.slip] : []))

describe('slips are named', () => {
  test('the start said again when counting on', () => {
    const b = work('fingers', '8 + 5', 'count-on', 'hold 8', 'on 8', 'on 9', 'on 10', 'on 11', 'on 12', 'read 12')
    expect(slips(b)).toEqual([SLIPS.startSaid, SLIPS.misread])
    expect(outcome(b)).toEqual({ finished: true, right: false, read: '12' })
  })
  test('the start said again when counting back', () => {
    expect(slips(work('touch', '14 - 6', 'count-back', 'hold 14', 'back 14', 'back 13'))).toEqual([SLIPS.backStartSaid])
  })
  test('a touch skipped, and one counted twice', () => {
    expect(slips(work('touch', '9 + 4', 'count-on', 'hold 9', 'on 10', 'on 12'))).toEqual([SLIPS.skipped])
    expect(slips(work('touch', '9 + 4', 'count-on', 'hold 9', 'on 10', 'on 10'))).toEqual([SLIPS.saidTwice])
  })
  test('of a count up, the last word is read instead of how many steps it was', () => {
    const counted = ['count from 11 to 14', 'on 12', 'on 13', 'on 14'] as const
    expect(slips(work('fingers', '14 - 11', 'count-up', ...counted, 'read 14'))).toEqual([SLIPS.wordRead])
    expect(slips(work('fingers', '14 - 11', 'count-up', ...counted, 'read 3'))).toEqual([])
    expect(slips(work('fingers', '14 - 11', 'count-up', 'count from 11 to 14', 'on 11'))).toEqual([SLIPS.startSaid])
  })
  test('one notch touched twice, and one passed over', () => {
    const touched = (...at: number[]) =>
      work('touch', '9 + 3', 'count-on', 'hold 9', ...at.map((n, i) => `on ${10 + i} at ${n}`), 'read 12')
    expect(slips(touched(1, 2, 3))).toEqual([])
    expect(slips(touched(1, 1, 2))).toEqual([SLIPS.touchedTwice])
    expect(slips(work('touch', '9 + 3', 'count-on', 'hold 9', 'on 10 at 1', 'on 11 at 3', 'read 11'))).toEqual([
      SLIPS.touchMissed,
    ])
  })
  test('what is to be taken is left lying', () => {
    expect(slips(work('counters', '5 - 2', 'take-away', 'put 5', 'return 1', 'read 4'))).toEqual([SLIPS.notTaken])
  })
  test('counting rightly has none', () => {
    expect(slips(work('fingers', '8 + 2', 'count-on', 'hold 8', 'on 9', 'on 10', 'read 10'))).toEqual([])
  })
})

describe('capacity', () => {
  const offer = (problem: string, id: RepresentationId) =>
    representationsFor(problem).find((o) => o.representation === id)!
  test('joint marks say how far they got', () => {
    expect(offer('14 + 9', 'joints').why).toBe(
      '14 + 9 is 23. One hand has 20 joint marks: 6 of the 9 go on, then there are none. Tens and ones apart would hold it.',
    )
    expect(offer('14 + 6', 'joints').fits).toBe(true)
  })
  test('a hand of twelve joint marks holds twelve, and says so before anything is marked', () => {
    const ask = (problem: string) => plan({ problem, representation: 'joints', choices: { joints: 12 } })
    expect(() => ask('9 + 6')).toThrow('One hand has 12 joint marks: 3 of the 6 go on, then there are none.')
    expect(() => ask('14 - 6')).toThrow('14 is asked. It holds 12')
    expect(ask('9 + 3').answer).toBe('12')
  })
  test('a hand with marks of its own holds just as many', () => {
    const ask = (problem: string) =>
      plan({ problem, representation: 'joints', choices: { joints: [0, 2, 3, 3, 0] } }).answer
    expect(ask('5 + 3')).toBe('8')
    expect(() => ask('5 + 4')).toThrow('One hand has 8 joint marks: 3 of the 4 go on, then there are none.')
  })
  test('with fewer fingers a full set is kept in the head sooner', () => {
    const { steps } = plan({
      problem: '7 + 4',
      representation: 'fingers',
      way: 'count-all',
      choices: { away: ['left-thumb', 'right-thumb'] },
    })
    expect(steps[2]!.moves.fingers).toEqual([{ kind: 'out', count: 1 }, { kind: 'store' }, { kind: 'out', count: 3 }])
    expect(steps.at(-1)!.shows).toBe('11')
  })
  test('fingers rise from the one that is one, past those that are away', () => {
    const order = (choices: Partial<Choices>) => risingOrder({ ...DEFAULT_CHOICES, ...choices })
    expect(order({}).slice(3, 7)).toEqual(['left-index', 'left-thumb', 'right-thumb', 'right-index'])
    expect(order({ firstFinger: 'thumb', firstHand: 'right' })[0]).toBe('right-thumb')
    expect(order({ firstFinger: 'index' }).slice(3, 5)).toEqual(['left-little', 'left-thumb'])
    expect(order({ away: ['left-ring'] }).slice(0, 2)).toEqual(['left-little', 'left-middle'])
  })
  test('a fifth finger of four is refused with the way out', () => {
    const bench = openBench(
      { problem: '3 + 2', representation: 'fingers', choices: { away: FINGERS.slice(4) } },
      'together',
    )
    expect(() => enter(bench, { at: 0, on: 'fingers', move: 'raise 5' })).toThrow(
      'There are 4 fingers left; 5 are wanted. Keep what is counted in the head and begin again: store.',
    )
  })
  test('touch numerals touch one digit, and say so', () => {
    expect(offer('52 - 37', 'touch').why).toContain('only numerals from 1 to 9 carry notches')
    expect(offer('19 - 9', 'touch').why).toContain('Counting back starts from 18 at most')
    expect(waysFor('5 + 8', 'touch').map((w) => w.way)).toEqual(['count-on-from-greater', 'count-all', 'count-on'])
    expect(waysFor('14 - 6', 'touch').map((w) => w.way)).toEqual(['count-back'])
  })
})

test('the page of counting is the sequence, then the sentence', () => {
  const lines = plan({ problem: '8 + 5', representation: 'fingers', way: 'count-on' }).steps.flatMap((s) =>
    s.lines.map((l) => l.text),
  )
  expect(lines.slice(-2)).toEqual(['8 · 9 10 11 12 13', '8 + 5 = 13'])
  expect(
    applyAll(REPRESENTATIONS.fingers, REPRESENTATIONS.fingers.start({} as Problem, DEFAULT_CHOICES), [
      { kind: 'hold', number: 8 },
    ]),
  ).toMatchObject({ head: 8 })
})
