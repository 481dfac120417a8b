import { listed } from '../../core/number/trail'
import { enter, openBench } from '../../core/record/bench'
import { leaving } from '../../core/record/asking'
import { matchOf, outcome, slipsOf } from '../../core/record/outcome'
import { nextAct } from '../../core/record/ahead'
import type { Bench, Mode } from '../../core/record/moment'
import { recordOf, reopen, replay } from '../../core/record/record'
import { SLIPS } from '../../core/record/slips'
import type { RepresentationId } from '../../core/representation/representation'

const open = (problem: string, mode: Mode = 'alone', representation: RepresentationId = 'abacus'): Bench =>
  openBench({ problem, representation }, mode)
/** Works bead moves as a hand types them; `go on` and `undo` are the bench's. */
const work = (bench: Bench, moves: string): Bench =>
  moves.split('; ').reduce(
    (b, move) =>
      enter(b, {
        at: b.log.length,
        on: ['go on', 'undo', 'redo'].includes(move) ? 'bench' : b.setup.representation,
        move,
      }),
    bench,
  )
const labels = (b: Bench): string[] => listed(b.now.stones).map((s) => s.label)
const last = (b: Bench) => b.now.stones.last!

describe('whatever beads are moved is recognised', () => {
  test('the right rule, in whatever order its beads move, is one stone with its rule beside the total', () => {
    for (const moves of [
      'tens lower 1 to bar; ones lower 3 away',
      'ones lower 3 away; tens lower 1 to bar',
      'ones lower 1 away; tens lower 1 to bar; ones lower 2 away',
    ]) {
      const b = work(open('8 + 7'), `ones pinch 3 to bar; ${moves}; read 15`)
      expect(labels(b)).toEqual(['lay 8', '+ 7', 'add 7', 'read 15'])
      expect(listed(b.now.stones)[2]).toMatchObject({ step: 'planned', slip: '' })
      expect(listed(b.now.stones)[2]!.lines.map((l) => l.text)).toEqual(['8 + 7 = 15', '+7 = +10 −3'])
      expect(slipsOf(b)).toEqual([])
      expect(outcome(b).right).toBe(true)
    }
  })

  test('a digit on its way says what is still to come', () => {
    const b = work(open('8 + 7', 'together'), 'ones pinch 3 to bar; tens lower 1 to bar')
    expect(last(b)).toMatchObject({ step: 'part', owed: '' })
    expect(last(b).say).toContain('Still to come: Right index clears three lower beads on the ones.')
    expect(last(b).detail!.digits[0]).toMatchObject({
      rule: 'ten',
      formula: '+7 = +10 −3',
      why: ['Not direct: the upper bead is at the bar already.'],
    })
    expect(nextAct(b)).toMatchObject({ kind: 'take', amount: '3' })
  })

  test('another lawful order of digits is no slip', () => {
    const b = work(
      open('46 + 21'),
      'tens lower 4 to bar; ones pinch 1 to bar; ones lower 1 to bar; tens upper 1 to bar; tens lower 3 away; read 67',
    )
    expect(labels(b)).toEqual(['lay 46', '+ 21', 'add 1', 'add 20', 'read 67'])
    expect(slipsOf(b)).toEqual([])
    expect(outcome(b).right).toBe(true)
  })

  test('several digits moved at once on the bead frame count as one lawful way', () => {
    const b = work(open('2 + 5', 'alone', 'frame'), 'ones lower 7 to bar')
    expect(labels(b)).toEqual(['lay 7'])
    expect(
      work(open('2 + 5', 'alone', 'frame'), 'ones lower 2 to bar; ones lower 5 to bar; read 7').now.stones.last!.step,
    ).toBe('planned')
  })

  test('five lower beads for an upper one change nothing that is shown', () => {
    const b = work(
      open('5 + 1', 'together', 'two-five'),
      'ones lower 5 to bar; ones lower 5 away; ones upper 1 to bar; ones lower 1 to bar; read 6',
    )
    expect(outcome(b).right).toBe(true)
  })
})

describe('slips by their names (practice, section 14)', () => {
  test.each([
    ['8 + 7', 'ones pinch 3 to bar; tens lower 1 to bar; read 18', SLIPS.tenNotReturned],
    ['8 + 7', 'ones pinch 3 to bar; ones lower 3 away; read 5', SLIPS.nextForgotten],
    [
      '8 + 7',
      'ones pinch 3 to bar; ones upper 1 away; ones lower 2 away; tens lower 1 to bar; read 11',
      SLIPS.digitReturned,
    ],
    ['4 + 3', 'ones lower 4 to bar; ones upper 1 to bar; read 9', SLIPS.fiveNotReturned],
    ['4 + 3', 'ones lower 4 to bar; ones upper 1 to bar; ones lower 3 away; read 6', SLIPS.digitReturned],
    ['4 + 2', 'ones lower 4 to bar; ones upper 1 to bar; ones lower 4 away; read 5', SLIPS.clearedAll],
    [
      '14 + 8',
      'tens lower 1 to bar; ones lower 4 to bar; tens lower 1 to bar; ones lower 4 away; read 20',
      SLIPS.clearedAll,
    ],
    [
      '21 + 3',
      'tens lower 2 to bar; ones lower 1 to bar; tens upper 1 to bar; tens lower 2 away; read 51',
      SLIPS.wrongRod,
    ],
    [
      '52 - 7',
      'tens upper 1 to bar; ones lower 2 to bar; tens upper 1 away; tens lower 4 to bar; read 42',
      SLIPS.tenNotReturned,
    ],
    ['52 - 7', 'tens upper 1 to bar; ones lower 2 to bar; ones upper 1 to bar; ones lower 1 to bar; read 58', ''],
  ])('%s: %s', (problem, moves, slip) => {
    const b = work(open(problem), moves)
    const named = slipsOf(b).filter((s) => s !== SLIPS.short && s !== SLIPS.over && s !== SLIPS.notTaken)
    expect(named).toEqual(slip ? [slip] : [])
    expect(outcome(b)).toMatchObject({ finished: true, right: false })
  })

  test('a slip put right by the hand is still in the record, and the answer is right', () => {
    const b = work(open('4 + 2', 'together'), 'ones lower 4 to bar; ones upper 1 to bar; ones lower 4 away')
    expect(last(b).say).toBe('All lower beads were cleared; only the complement was to go. Still wanted: +1.')
    const done = work(b, 'ones lower 1 to bar; read 6')
    expect(slipsOf(done)).toEqual([SLIPS.clearedAll])
    expect(outcome(done).right).toBe(true)
  })

  test('what is only on its way is no slip while it grows', () => {
    const b = work(open('8 + 7'), 'ones pinch 3 to bar; tens lower 1 to bar')
    expect(slipsOf(b)).toEqual([])
    expect(slipsOf(work(b, 'ones lower 3 away'))).toEqual([])
  })

  test('after a slip one may go on to the next number, which is judged by itself', () => {
    const b = work(open('12 + 3 + 4'), 'tens lower 1 to bar; ones lower 2 to bar; tens lower 3 to bar')
    expect(leaving(b)).toMatchObject({ kind: 'pose', amount: '4', leaves: true })
    const on = work(b, 'go on; ones upper 1 to bar; ones lower 1 away; read 46')
    expect(slipsOf(on)).toEqual([SLIPS.wrongRod])
    expect(
      listed(on.now.stones)
        .filter((s) => s.step === 'planned')
        .map((s) => s.label),
    ).toContain('add 4')
    expect(outcome(on)).toEqual({ finished: true, right: false, read: '46' })
    expect(labels(work(on, 'undo; undo; undo; undo'))).toEqual(labels(b))
    expect(work(work(b, 'go on; undo'), 'redo').now.standing.begun).toBe(3)
  })

  test('there is nothing to go on to once a number is done, or when it is the last', () => {
    expect(() => work(open('8 + 7'), 'ones pinch 3 to bar; go on')).toThrow('no further number')
  })
})

test('a sentence that is not true is never written: the reading stands by itself', () => {
  const b = work(open('8 + 7'), 'ones pinch 3 to bar; tens lower 1 to bar; read 18')
  expect(last(b).lines).toEqual([{ text: 'read 18' }])
  expect(last(b).say).toBe('Read: eighteen.')
})

test('a record of beads replays to the same stones and slips', () => {
  const b = work(
    open('12 + 3 + 4'),
    'tens lower 1 to bar; ones lower 2 to bar; tens lower 3 to bar; go on; ones upper 1 to bar; ones lower 1 away; undo; redo; read 46',
  )
  const again = reopen(recordOf(b))
  expect(JSON.stringify(again.now.stones)).toBe(JSON.stringify(b.now.stones))
  expect(slipsOf(again)).toEqual(slipsOf(b))
  expect(replay(recordOf(b)).moments.every((m) => m.agree)).toBe(true)
})

test('worked by hand beside blocks, the two are matched', () => {
  let b = openBench({ problem: '8 + 7', representation: 'blocks', both: 'abacus' }, 'together')
  for (const [on, move] of [
    ['blocks', 'lay 8'],
    ['blocks', 'set 7'],
    ['blocks', 'push 7 ones'],
    ['blocks', 'tie ten'],
    ['abacus', 'ones pinch 3 to bar'],
    ['abacus', 'tens lower 1 to bar'],
  ] as const)
    b = enter(b, { at: b.log.length, on, move })
  expect(b.now.second!.stones.last!.step).toBe('part')
  b = enter(b, { at: 9, on: 'abacus', move: 'ones lower 3 away' })
  // The exchange that blocks make with hands is in the abacus's ten already.
  expect(listed(b.now.second!.stones).map((s) => s.label)).toEqual(['lay 8', '+ 7', 'add 7 ones', 'exchange 10 ones'])
  expect(matchOf(b)!.agree).toBe(true)
})
