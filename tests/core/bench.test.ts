import { listed } from '../../core/number/trail'
import fc from 'fast-check'
import { nextAct } from '../../core/record/ahead'
import { openBench, enter } from '../../core/record/bench'
import { outcome } from '../../core/record/outcome'
import type { Bench, Mode } from '../../core/record/moment'
import { recordOf, reopen, replay, type WorkRecord } from '../../core/record/record'
import { parseProblem } from '../../core/problem/parse'
import { REPRESENTATIONS } from '../../core/representation/index'
import { Refusal } from '../../core/refusal'
import { blocks } from '../../core/representation/blocks/blocks'
import type { PlacedState } from '../../core/representation/placed/state'
import type { RepresentationId } from '../../core/representation/representation'
import { tried, chains, WAYS } from './worlds'

const open = (problem: string, mode: Mode = 'together'): Bench =>
  openBench({ problem, representation: 'blocks', also: ['columns', 'equations'] }, mode)

/** Types moves one after another; `columns: answer 5 ones` goes to the sheet. */
function work(bench: Bench, ...moves: string[]): Bench {
  return moves.reduce((b, text) => {
    const [, on = 'blocks', move] = /^(?:(columns|bench): )?(.*)$/.exec(text)!
    return enter(b, { at: b.log.length, on: on as RepresentationId, move: move! })
  }, bench)
}
const labels = (b: Bench): string[] => listed(b.now.stones).map((s) => s.label)
const equations = (b: Bench): string[] => listed(b.now.stones).flatMap((s) => s.lines.map((l) => l.text))
const shown = (b: Bench): string[] => b.setup.all.map((id) => REPRESENTATIONS[id].shows(b.now.states[id]))

describe('moves become stones and lines', () => {
  test('52 − 37 by hand writes each line as it is done', () => {
    const b = work(open('52 - 37'), 'lay 52', 'break ten', 'take 7 ones', 'take 3 tens', 'read 15')
    expect(labels(b)).toEqual(['lay 52', '− 37', 'exchange 1 ten', 'take 7 ones', 'take 3 tens', 'read 15'])
    expect(equations(b)).toEqual([
      '52 = 50 + 2',
      '52 − 37',
      '52 = 40 + 12',
      '52 − 7 = 45',
      '45 − 30 = 15',
      '52 − 37 = 15',
    ])
    expect(shown(b)).toEqual(['15', '15', '15'])
    expect(outcome(b)).toEqual({ finished: true, right: true, read: '15' })
  })

  test('pieces carried one at a time grow one stone, and the sheet waits for the whole digit', () => {
    let b = work(open('52 - 37'), 'lay 5 tens', 'lay 2 ones', 'break ten', 'take 3 ones')
    expect(labels(b).at(-1)).toBe('take 3 ones')
    expect(b.now.followers.columns?.why).toContain('all 7')
    b = work(b, 'take 4 ones')
    expect(labels(b)).toEqual(['lay 52', '− 37', 'exchange 1 ten', 'take 7 ones'])
    expect(b.now.followers.columns).toBeUndefined()
    expect(shown(b)).toEqual(['45', '45', '45'])
  })

  test('the slow honest exchange says what is owed until it is even', () => {
    let b = work(open('141 - 26'), 'lay 141', 'return 1 ten')
    const owing = b.now.stones.last!
    expect(owing.say).toBe('That takes 10 away: 131 now. Put back 10 ones to finish the exchange.')
    expect(shown(b)[0]).toBe('131')
    b = work(b, 'lay 4 ones', 'lay 6 ones')
    expect(labels(b).at(-1)).toBe('exchange 1 ten')
    expect(b.now.stones.last!.owed).toBe('')
    expect(equations(b).at(-1)).toBe('141 = 100 + 30 + 11')
    expect(shown(b)).toEqual(['141', '141', '141'])
  })

  test('ten ones carried off one by one and a ten brought back is the same exchange', () => {
    let b = work(open('17 + 5'), 'lay 17', 'set 5', 'push 5 ones')
    for (let i = 0; i < 10; i++) b = work(b, 'return one')
    expect(b.now.stones.last!.owed).toContain('Put back 1 ten')
    b = work(b, 'lay ten')
    expect(labels(b).at(-1)).toBe('exchange 10 ones')
    expect(shown(b)).toEqual(['22', '22', '22'])
  })

  test('a true detour is written, never blocked, and the way finds back', () => {
    let b = work(open('52 - 37'), 'lay 52', 'take 3 tens')
    expect(b.now.stones.last!.step).toBe('other')
    expect(equations(b).at(-1)).toBe('52 − 30 = 22')
    expect(nextAct(b)).toMatchObject({ kind: 'exchange' })
    b = work(b, 'break ten', 'take 7 ones', 'read 15')
    expect(outcome(b).right).toBe(true)
    expect(shown(b)).toEqual(['15', '15', '15'])
  })

  test('too many taken: the sheet waits and comes back into step when they are given back', () => {
    let b = work(open('58 - 35'), 'lay 58', 'take 7 ones')
    expect(b.now.followers.columns).toBeDefined()
    expect(nextAct(b)).toMatchObject({ kind: 'join', amount: '2' })
    b = work(b, 'give 2 ones')
    expect(b.now.followers.columns).toBeUndefined()
    expect(shown(b)).toEqual(['53', '53', '53'])
  })

  test('a wrong reading is kept as read, and is not right', () => {
    const b = work(open('46 + 27', 'alone'), 'lay 46', 'set 27', 'push 7 ones', 'push 2 tens', 'read 613')
    expect(outcome(b)).toEqual({ finished: true, right: false, read: '613' })
    expect(equations(b).at(-1)).toBe('read 613')
  })

  test('what the material cannot do is refused with the reason, and nothing changes', () => {
    const b = work(open('52 - 37'), 'lay 52')
    expect(() => work(b, 'take 7 ones')).toThrow('There are only 2 ones on the mat; 7 are wanted. Break one ten first.')
    expect(() => work(b, 'break one')).toThrow(Refusal)
    expect(() => work(b, 'tie ten')).toThrow('It takes 10 ones')
    expect(() => work(b, 'columns: rub answer 0 ones')).toThrow('Nothing is rubbed out')
    expect(shown(b)).toEqual(['52', '52', '52'])
  })
})

describe('a mark on the sheet moves the blocks', () => {
  const mat = (b: Bench): readonly number[] => (b.now.states.blocks as PlacedState).mat

  test('strike, lessen and small 1 together break the ten', () => {
    let b = work(open('52 - 37'), 'columns: write 52')
    expect(mat(b)).toEqual([2, 5, 0, 0])
    b = work(b, 'columns: strike tens')
    expect(b.now.stones.last!.say).toBe('The tens digit is struck. Write above it what is left.')
    expect(mat(b)).toEqual([2, 5, 0, 0])
    b = work(b, 'columns: above 4 tens', 'columns: one ones')
    expect(labels(b).at(-1)).toBe('exchange 1 ten')
    expect(mat(b)).toEqual([12, 4, 0, 0])
    b = work(b, 'columns: answer 5 ones', 'columns: answer 1 tens', 'columns: read 15')
    expect(shown(b)).toEqual(['15', '15', '15'])
    expect(outcome(b).right).toBe(true)
  })

  test('four written and one carried is a joining and an exchange', () => {
    const b = work(open('476 + 358'), 'columns: write 476', 'columns: under + 358', 'columns: answer 4 ones')
    expect(b.now.stones.last!.say).toContain('Put a carry mark over the tens')
    const done = work(b, 'columns: carry 1 tens')
    expect(labels(done).at(-1)).toBe('add 8 ones · exchange 10 ones')
    expect(mat(done)).toEqual([4, 8, 4, 0])
  })

  test('the smaller taken from the larger is not taken for an act', () => {
    const b = work(open('52 - 34'), 'lay 52', 'columns: answer 2 ones')
    expect(b.now.stones.last!.say).toBe(
      'Look again at the ones: the column says 2 − 4, the square says 2. There are too few to take 4 from: exchange first.',
    )
    expect(mat(b)).toEqual([2, 5, 0, 0])
  })
})

describe('nothing is lost', () => {
  test('undo and redo go all the way back and forth', () => {
    const moves = ['lay 52', 'break ten', 'take 7 ones', 'take 3 tens', 'read 15']
    const done = work(open('52 - 37'), ...moves)
    const back = work(done, ...moves.map(() => 'bench: undo'))
    expect(back.now).toEqual(open('52 - 37').now)
    expect(() => work(back, 'bench: undo')).toThrow('nothing to take back')
    const again = work(back, ...moves.map(() => 'bench: redo'))
    expect(again.now).toEqual(done.now)
    expect(() => work(again, 'bench: redo')).toThrow('nothing to do again')
  })

  test('a record replays to the very same moments, through JSON, undone moves and all', () => {
    fc.assert(
      fc.property(
        chains(),
        fc.constantFrom(...WAYS),
        fc.array(fc.nat(9), { maxLength: 40 }),
        (problem, way, choices) => {
          let b = openBench({ problem, representation: 'blocks', way, also: ['columns', 'equations'] }, 'together')
          for (const choice of choices) {
            // Undoing and doing again are refused where there is nothing; what the way asks for is never refused.
            if (choice < 2) b = tried(b, 'bench', choice === 0 ? 'undo' : 'redo')
            else {
              const act = nextAct(b)
              for (const move of act ? blocks.perform(b.now.states.blocks as PlacedState, act) : [])
                b = work(b, blocks.print(move))
            }
          }
          const record = recordOf(b)
          expect(reopen(JSON.parse(JSON.stringify(record)) as WorkRecord)).toEqual(b)
          for (const moment of replay(record).moments) expect(moment.agree).toBe(true)
        },
      ),
      { numRuns: 60 },
    )
  })

  test('whatever hands do on the mat, the mat and the page agree and the way ends at the answer', () => {
    const move = fc.oneof(
      fc
        .tuple(
          fc.constantFrom('lay', 'return', 'take', 'give', 'set', 'push', 'pull', 'unset', 'tidy'),
          fc.integer({ min: 1, max: 12 }),
          fc.constantFrom('ones', 'tens', 'hundreds'),
        )
        .map((p) => p.join(' ')),
      fc.constantFrom('break ten', 'break hundred', 'tie ten', 'tie hundred', 'read 7'),
    )
    fc.assert(
      fc.property(chains(999), fc.array(move, { maxLength: 25 }), (problem, moves) => {
        let b = openBench({ problem, representation: 'blocks', also: ['columns', 'equations'] }, 'alone')
        for (const text of moves) {
          b = tried(b, 'blocks', text)
          expect(blocks.shows(b.now.states.blocks as PlacedState)).toBe(b.now.standing.value)
          expect(b.now.page.value).toBe(b.now.standing.value)
          if (!b.now.followers.columns)
            expect(REPRESENTATIONS.columns.shows(b.now.states.columns)).toBe(b.now.standing.value)
        }
      }),
      // A ten laid where the sheet has only a ones column.
      { numRuns: 150, examples: [[parseProblem('0 + 0'), ['lay 1 tens']]] },
    )
  })
})
