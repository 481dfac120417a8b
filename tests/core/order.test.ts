import fc from 'fast-check'
import {
  enter,
  isWorkedOut,
  listed,
  nextAct,
  nextMoves,
  openBench,
  outcome,
  recordOf,
  replay,
  REPRESENTATIONS,
  silentAct,
  slipsOf,
  type Bench,
  type Mode,
} from '../../core/index'

const MODES: readonly Mode[] = ['show', 'together', 'alone']
const opened = (mode: Mode): Bench =>
  openBench({ problem: '52 - 37', representation: 'blocks', way: 'ones-first' }, mode)
const made = (bench: Bench, ...moves: readonly string[]): Bench =>
  moves.reduce((b, move, at) => enter(b, { at: b.log.length + at, on: 'blocks', move }), bench)

/** What Sett does itself until nothing is left to be done, as by pressing Step. */
function stepped(bench: Bench): Bench {
  let b = bench
  for (let presses = 0; nextAct(b) && presses < 40; presses++) {
    if (silentAct(b.setup, b.now)) b = enter(b, { at: 0, on: 'bench', move: 'ask' })
    else for (const move of nextMoves(b)) b = made(b, REPRESENTATIONS.blocks.print(move))
  }
  return b
}

/** 7 ones and 3 tens taken away a few at a time, in any order; a ten is broken where there are too few ones. */
const inAnyOrder = fc.tuple(fc.array(fc.boolean(), { minLength: 10, maxLength: 10 })).map(([choices]) => {
  const moves = ['lay 52']
  const [owed, there] = [
    { one: 7, ten: 3 },
    { one: 2, ten: 5 },
  ]
  for (const tens of choices) {
    const kind = (tens && owed.ten > 0) || owed.one === 0 ? 'ten' : 'one'
    if (kind === 'one' && there.one === 0) {
      moves.push('break 1 ten')
      there.one += 10
      there.ten -= 1
    }
    moves.push(`take 1 ${kind}`)
    owed[kind] -= 1
    there[kind] -= 1
  }
  return moves
})

describe('working by hand in an order of one’s own', () => {
  test.each(MODES)('is right in %s: nothing is told as a mistake, and only the answer is left to read', (mode) =>
    fc.assert(
      fc.property(inAnyOrder, (moves) => {
        const bench = made(opened(mode), ...moves)
        expect(listed(bench.now.stones).filter((s) => s.strays || s.owed)).toEqual([])
        expect(slipsOf(bench)).toEqual([])
        expect(
          listed(bench.now.stones)
            .map((s) => s.say)
            .join(' '),
        ).not.toContain('The problem starts with')
        expect(nextAct(bench)).toMatchObject({ kind: 'read', value: '15' })
        expect(outcome(bench).finished).toBe(false)
        expect(isWorkedOut(bench)).toBe(true)
        expect(outcome(made(bench, 'read 15'))).toMatchObject({ finished: true, right: true })
      }),
      { numRuns: 60 },
    ),
  )

  test('Step goes on from wherever the hands are', () =>
    fc.assert(
      fc.property(inAnyOrder, fc.nat(11), fc.constantFrom(...MODES), (moves, count, mode) => {
        const bench = stepped(made(opened(mode), ...moves.slice(0, count)))
        expect(outcome(bench)).toMatchObject({ finished: true, right: true, read: '15' })
        expect(listed(bench.now.stones).filter((s) => s.strays)).toEqual([])
      }),
      { numRuns: 60 },
    ))

  test('the second number stands on the page before the first move that is made of it, and goes when that is taken back', () => {
    const laid = made(opened('show'), 'lay 52')
    expect(nextAct(laid)).toMatchObject({ kind: 'pose', amount: '37' })
    const taken = made(laid, 'take 1 one')
    expect(listed(taken.now.stones).map((s) => s.label)).toEqual(['lay 52', '− 37', 'take 1 one'])
    const back = enter(taken, { at: 9, on: 'bench', move: 'undo' })
    expect(nextAct(back)).toMatchObject({ kind: 'pose', amount: '37' })
    const again = enter(back, { at: 9, on: 'bench', move: 'redo' })
    expect(listed(again.now.stones)).toHaveLength(3)
  })

  test('a record in which the second number was only asked after a move can be worked again', () => {
    const bench = enter(made(opened('show'), 'lay 52', 'take 1 one', 'lay 1 one'), { at: 9, on: 'bench', move: 'ask' })
    expect(replay(recordOf(bench))).toMatchObject({ finished: false, bench: { log: { length: 4 } } })
    expect(outcome(stepped(bench))).toMatchObject({ right: true })
  })

  test.each([
    ['more laid on than is there', 'lay 1 ten'],
    ['more taken than was asked', 'take 4 tens'],
  ])('%s leads away from the answer', (_, move) => {
    const bench = made(opened('together'), 'lay 52', move)
    expect(bench.now.stones.last!.strays).toBe(true)
    expect(isWorkedOut(bench)).toBe(false)
  })
})
