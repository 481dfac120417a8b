import { listed } from '../../core/number/trail'
import fc from 'fast-check'
import { evaluate } from 'mathjs'
import { ahead, nextMoves } from '../../core/record/ahead'
import { enter, openBench } from '../../core/record/bench'
import { outcome, slipsOf } from '../../core/record/outcome'
import type { Bench, Mode } from '../../core/record/moment'
import { onPage } from '../../core/plan/lines'
import { plan } from '../../core/plan/plan'
import { REPRESENTATIONS } from '../../core/representation/index'
import type { RepresentationId } from '../../core/representation/representation'
import { SLIPS } from '../../core/record/slips'
import type { WayId } from '../../core/way/way'
import { ragged } from './worlds'

/** What is said and written is so: answers given early, corrections while setting out, sums by columns, digits on their way. */

const open = (problem: string, on: RepresentationId, mode: Mode = 'together', way?: WayId): Bench =>
  openBench({ problem, representation: on, also: ['equations'], ...(way ? { way } : {}) }, mode)
const work = (bench: Bench, ...moves: string[]): Bench =>
  moves.reduce((b, move) => enter(b, { at: b.log.length, on: b.setup.representation, move }), bench)
const lines = (b: Bench): string[] =>
  onPage(listed(b.now.stones)).map((l) => (l.rule ? `${l.text} | ${l.rule}` : l.text))
const labels = (b: Bench): string[] => listed(b.now.stones).map((s) => s.label)
const said = (b: Bench): string => b.now.stones.last!.say

describe('the answer is an answer', () => {
  test('right is right while the mat still shows something else, and no slip', () => {
    const b = work(open('52 - 37', 'blocks'), 'lay 52', 'read 15')
    expect(said(b)).toBe('Fifteen is right. The mat still shows fifty-two.')
    expect(outcome(b)).toEqual({ finished: true, right: true, read: '15' })
    expect(slipsOf(b)).toEqual([])
  })
  test('a wrong one given early is told as an answer, not as a misreading', () => {
    const b = work(open('52 - 37', 'columns'), 'write 52', 'under - 37', 'read 25')
    expect(said(b)).toBe('Twenty-five is not the answer. The page shows fifty-two.')
    expect(outcome(b).right).toBe(false)
    expect(slipsOf(b)).toEqual([])
  })
  test('once the work is done another number is a misreading', () => {
    const b = work(open('52 - 37', 'blocks'), 'lay 52', 'break ten', 'take 7 ones', 'take 3 tens', 'read 51')
    expect(said(b)).toBe('Read as fifty-one: thirty-six more than is there.')
    expect(slipsOf(b)).toEqual([SLIPS.misread])
  })
})

describe('setting out the first number', () => {
  test.each<[RepresentationId, string[], string[]]>([
    ['blocks', ['lay 6 tens', 'lay 2 ones'], ['return 1 ten']],
    ['blocks', ['lay 5 ones'], ['return 5 ones', 'lay 5 tens', 'lay 2 ones']],
    ['chips', ['lay 53'], ['return 1 one']],
    ['drawn', ['draw 62'], ['cross 1 ten']],
  ])('on %s, %j and then %j is a correction', (id, over, back) => {
    const b = work(open('52 - 37', id), ...over, ...back)
    expect(b.now.standing.value).toBe('52')
    expect(lines(b)[0]).toBe('52 = 50 + 2')
    expect(lines(b).join()).not.toMatch(/62|53|− 5/)
    expect(labels(b)).toEqual([`${REPRESENTATIONS[id].verbs?.lay ?? 'lay'} 52`, '− 37'])
    expect(REPRESENTATIONS[id].shows(b.now.states[id])).toBe('52')
  })
  test('too much is told at once, and counters go back as a correction', () => {
    let b = work(open('9 - 4', 'counters'), 'put 12')
    expect(said(b)).toBe('Twelve is there now; the problem starts with nine.')
    expect(b.now.stones.last!.owedKind).toBe('laid')
    b = work(b, 'return 3')
    expect(labels(b)).toEqual(['put 9', '− 4'])
    expect(lines(b)).toEqual(['9', '9 − 4'])
  })
  test('taking from another number than was asked is a slip with a name', () => {
    const b = work(open('52 - 37', 'blocks'), 'lay 42', 'take 1 ten')
    expect(slipsOf(b)).toEqual([SLIPS.wrongStart])
    expect(said(b)).toBe('Take away one ten. Thirty-two left. The problem starts with fifty-two.')
    const set = work(open('52 + 9', 'blocks'), 'lay 42', 'set 9')
    expect(said(set)).toBe('Add nine. The problem starts with fifty-two.')
  })
})

describe('a sum by columns is written as it is said', () => {
  test('one stone a column: 2 + 3 + 7 = 12, write 2, carry 1', () => {
    let b = work(open('12 + 23 + 47', 'columns', 'show', 'by-column'), 'write 12', 'under + 23', 'under + 47')
    expect(ahead(b).map((acts) => acts.length)).toEqual([2, 1, 1])
    b = work(b, ...nextMoves(b).map((m) => REPRESENTATIONS.columns.print(m)))
    expect(labels(b).at(-1)).toBe('add 10 ones · exchange 10 ones')
    b = work(b, ...nextMoves(b).map((m) => REPRESENTATIONS.columns.print(m)), 'read 82')
    expect(lines(b).slice(-3)).toEqual(['2 + 3 + 7 = 12 | write 2, carry 1', '1 + 1 + 2 + 4 = 8', '12 + 23 + 47 = 82'])
    expect(lines(b).join()).not.toContain('10 ×')
  })
  test('by hand the same, in the order of a class that looks for tens', () => {
    const b = openBench(
      { problem: '26 + 38 + 14', representation: 'columns', way: 'by-column', choices: { columnSum: 'tens' } },
      'together',
    )
    const done = work(b, 'write 26', 'under + 38', 'under + 14', 'answer 8 ones', 'carry 1 tens')
    expect(lines(done).at(-1)).toBe('6 + 4 + 8 = 18 | write 8, carry 1')
  })
  test('a column in which only a carry is added has its line too', () => {
    const { steps } = plan({ problem: '6842 + 593 + 20417', representation: 'columns', way: 'by-column' })
    expect(onPage(steps).map((l) => l.text)).toEqual([
      '6842 = 6000 + 800 + 40 + 2',
      '6842 + 593 + 20417',
      '2 + 3 + 7 = 12',
      '1 + 4 + 9 + 1 = 15',
      '1 + 8 + 5 + 4 = 18',
      '1 + 6 = 7',
      '0 + 2 = 2',
      '6842 + 593 + 20417 = 27852',
    ])
    const ripple = onPage(plan({ problem: '95 + 7', representation: 'columns' }).steps)
    expect(ripple.map((l) => `${l.text} | ${l.rule}`).slice(-3)).toEqual([
      '5 + 7 = 12 | write 2, carry 1',
      '1 + 9 = 10 | write 0, carry 1',
      '95 + 7 = 102 | ',
    ])
  })
  test('every line of a sum by columns holds, whatever is carried', () => {
    fc.assert(
      fc.property(ragged(), (problem) => {
        const { steps } = plan({ problem, representation: 'columns', way: 'by-column' })
        const stated = steps.flatMap((s) => s.lines).flatMap((l) => (l.equation ? [l.equation] : []))
        for (const equation of stated)
          expect([equation, evaluate(equation.replace('=', '=='))]).toEqual([equation, true])
      }),
      { numRuns: 150 },
    )
  })
  test('in a plan the carrying stands beside the sum', () => {
    const { steps } = plan({ problem: '27 + 35', representation: 'columns' })
    expect(onPage(steps).map((l) => `${l.text} | ${l.rule}`)).toContain('7 + 5 = 12 | write 2, carry 1')
  })
})

test('halfway through a digit on beads its rule is under way, and what is to come stays what it was', () => {
  const laid = work(open('8 + 7 + 6', 'abacus', 'show'), ...nextMovesOf('8 + 7 + 6', 1))
  const b = enter(laid, { at: laid.log.length, on: 'bench', move: 'ask' })
  const before = ahead(b).map((acts) => acts[0])
  const first = nextMoves(b).map((m) => REPRESENTATIONS.abacus.print(m))
  expect(first.length).toBeGreaterThan(1)
  const half = work(b, first[0]!)
  expect(half.now.stones.last!.lines.find((l) => l.beside)?.text).toBe('+7 = +10 −3')
  expect(half.now.stones.last!.detail!.digits[0]!.rule).toBe('ten')
  expect(ahead(half).map((acts) => acts[0])).toEqual(before.slice(1))
  const whole = work(half, ...first.slice(1))
  expect(ahead(whole).map((acts) => acts[0])).toEqual(before.slice(1))
})
/** The moves of the first acts of a chain on the abacus. */
function nextMovesOf(problem: string, acts: number): string[] {
  const { steps } = plan({ problem, representation: 'abacus' })
  return steps.slice(0, acts).flatMap((s) => s.moves.abacus!.map((m) => REPRESENTATIONS.abacus.print(m)))
}

test('a friendly number that goes over shows the middle line', () => {
  const { steps } = plan({ problem: '304 - 178', representation: 'friendly', way: 'over-and-back' })
  const written = steps.flatMap((s) => (s.moves.friendly ?? []).map((m) => REPRESENTATIONS.friendly.print(m)))
  expect(written.join()).toContain('304 - 180 = 124')
  expect(written.join()).toContain('124 + 2 = 126')
})
