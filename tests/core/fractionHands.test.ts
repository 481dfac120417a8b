import fc from 'fast-check'
import { enter, openBench, outcome, slipsOf, type Bench } from '../../core/index'
import { withDefaults, DEFAULT_CHOICES } from '../../core/choices'
import { PROCEDURES } from '../../core/mistakes/index'
import { answersOf } from '../../core/mistakes/procedure'
import { listed } from '../../core/number/trail'
import { parseProblem } from '../../core/problem/parse'
import { answer } from '../../core/problem/problem'
import { recordOf, reopen } from '../../core/record/record'
import type { RepresentationId } from '../../core/representation/representation'
import { holdsOutside } from './fractionWorlds'
import { tried } from './worlds'

/** Parts of a whole as hands really work them: astray, half done, put right, and in another order than planned. */

const open = (problem: string, on: RepresentationId = 'strips', way?: Parameters<typeof openBench>[0]['way']): Bench =>
  openBench({ problem, representation: on, ...(way ? { way } : {}) }, 'alone')
const make = (b: Bench, on: RepresentationId, ...moves: string[]): Bench =>
  moves.reduce((now, move) => enter(now, { at: 0, on, move }), b)
const lines = (b: Bench): readonly string[] => listed(b.now.stones).flatMap((s) => s.lines.map((l) => l.text))
const steps = (b: Bench): readonly string[] => listed(b.now.stones).map((s) => s.step)

describe('strips by hand', () => {
  test('laid one by one, set beside, pushed together, read', () => {
    const b = make(
      open('3/10 + 4/10'),
      'strips',
      ...['lay 1 tenth', 'lay 2 tenths', 'set 4 tenths', 'push 3 tenths', 'push', 'read 7/10'],
    )
    expect(lines(b)).toEqual(['3/10', '3/10 + 4/10', '3/10 + 4/10 = 7/10', '3/10 + 4/10 = 7/10'])
    expect(outcome(b)).toMatchObject({ finished: true, right: true })
    expect(slipsOf(b)).toEqual([])
  })

  test('what is put in without having been set beside is asked and put in at once', () => {
    const b = make(open('3/10 + 4/10'), 'strips', 'lay 3/10', 'lay 4 tenths', 'read 7/10')
    expect(lines(b)).toContain('3/10 + 4/10 = 7/10')
    expect(steps(b)).toEqual(['planned', 'planned', 'planned'])
    const c = make(open('5/8 - 2/8'), 'strips', 'lay 5/8', 'take 2 eighths', 'read 3/8')
    expect(outcome(c).right).toBe(true)
  })

  test('what went back and what came for it is cut anew by hand', () => {
    const b = make(
      open('1/2 + 1/4', 'strips', 'common-parts'),
      'strips',
      'lay 1 half',
      'return 1 half',
      'lay 2 quarters',
    )
    expect(lines(b).at(-1)).toBe('1/2 = 2/4')
    const c = make(
      open('1/2 + 1/4', 'strips', 'common-parts'),
      'strips',
      ...['lay 1/2', 'set 1/4', 'return 1 half', 'lay 2 quarters'],
    )
    expect(lines(c).at(-1)).toBe('1/2 = 2/4')
    expect(outcome(make(c, 'strips', 'push', 'read 3/4')).right).toBe(true)
  })

  test('parts of different sizes pushed together without common ones are true all the same', () => {
    const b = make(open('1/2 + 1/3'), 'strips', 'lay 1/2', 'set 1/3', 'push')
    expect(lines(b).at(-1)).toBe('1/2 + 1/3 = 5/6')
    expect(steps(b).at(-1)).toBe('other')
    const cut = make(b, 'strips', 'recut 1 half as 3 sixths', 'recut 1 third as 2 sixths')
    expect(cut.now.standing.held).toEqual([{ count: 5, unit: '1/6' }])
  })

  test('a whole is broken for parts that are wanted, and one is made of parts', () => {
    const b = make(
      open('3 1/5 - 1 2/5', 'strips', 'wholes-apart'),
      'strips',
      ...['lay 3 1/5', 'set 1 2/5', 'take 1 whole', 'recut 1 whole as 5 fifths', 'take 2 fifths', 'read 1 4/5'],
    )
    expect(lines(b).slice(2)).toEqual([
      '3 1/5 − 1 = 2 1/5',
      '2 1/5 = 1 6/5',
      '1 6/5 − 2/5 = 1 4/5',
      '3 1/5 − 1 2/5 = 1 4/5',
    ])
    expect(steps(b)).not.toContain('other')
  })

  test('a product by the material of parts: laid part by part', () => {
    const b = make(open('3 * 2/5'), 'strips', 'lay 2 fifths', 'lay 1 fifth', 'lay 1 fifth', 'lay 2/5', 'read 6/5')
    expect(lines(b)).toEqual(['2/5', '2/5 + 2/5 = 4/5', '4/5 + 2/5 = 6/5', '3 × 2/5 = 6/5'])
    expect(outcome(b).right).toBe(true)
  })

  test('a wrong reading laid beside shows what it is: “why not 7/20?”', () => {
    const b = make(open('3/10 + 4/10'), 'strips', 'lay 3/10', 'set 4/10', 'push', 'read 7/20', 'row 2 7/20')
    expect(slipsOf(b)).toEqual(['added tops and bottoms'])
    expect(make(b, 'strips', 'compare 7/10 > 7/20').now.stones.last?.say).toBe(
      'Seven tenths is more than seven twentieths: seven twentieths left.',
    )
  })

  test('records of such work open again to the same', () => {
    const b = make(
      open('2 2/5 + 1 3/4', 'strips', 'wholes-apart'),
      'strips',
      ...['lay 2 2/5', 'set 1 3/4', 'recut 2 fifths as 8 twentieths', 'push 1 whole', 'read 3 5/9'],
    )
    const again = reopen(JSON.parse(JSON.stringify(recordOf(b))))
    expect(JSON.stringify(again.now.standing)).toBe(JSON.stringify(b.now.standing))
    expect(slipsOf(again)).toEqual(['added tops and bottoms'])
  })

  test('moves said in everyday words', () => {
    expect(make(open('1/2 + 1/3'), 'strips', 'lay 1/2').now.standing.value).toBe('1/2')
    const r = (move: string): unknown => make(open('1/2 + 1/3', 'vessel'), 'vessel', move).now.standing.value
    expect(r('pour in 1 half')).toBe('1/2')
  })
})

describe('mistakes by name, Alone', () => {
  const READ: readonly (readonly [string, string, string])[] = [
    ['2/5 + 1/5', '3/10', 'added tops and bottoms'],
    ['2 2/5 + 1 3/4', '3 5/9', 'added tops and bottoms'],
    ['1/2 + 1/3', '2/5', 'added tops and bottoms'],
    ['1/2 + 1/3', '2/6', 'renamed the bottom without the top'],
    ['1/2 + 1/3', '2/3', 'kept one denominator for different parts'],
    ['7/8 - 1/4', '6/4', 'added tops and bottoms'],
    ['3 * 2/5', '2/5', 'multiplied the bottom as well as the top'],
    ['8.4 + 3.27', '4.11', 'wrote decimals flush right, without the points under each other'],
    ['1.9 + 0.3', '1.12', 'worked what stands after the point as a number of its own'],
  ]
  test.each(READ)('%s read as %s: %s', (problem, read, name) => {
    const b = make(open(problem), 'strips', `read ${read}`)
    expect(slipsOf(b)).toEqual([name])
    expect(outcome(b).right).toBe(false)
  })

  test.each([
    ['1/3 ? 1/5', '1/3 < 1/5', 'took the larger bottom for the larger part'],
    ['0.34 ? 0.5', '0.34 > 0.5', 'took the longer decimal for the larger'],
    ['3/4 ? 1/4', '3/4 < 1/4', 'compared two amounts wrongly'],
  ])('%s said as %s: %s', (problem, said, name) => {
    const b = make(open(problem), 'strips', `compare ${said}`)
    expect(slipsOf(b)).toEqual([name])
    expect(outcome(b)).toMatchObject({ finished: true, right: false })
    const right = said.replace(/[<>]/, (s) => (s === '<' ? '>' : '<'))
    expect(outcome(make(b, 'strips', `compare ${right}`)).right).toBe(true)
  })

  test('a comparison of other numbers than asked is not the answer', () => {
    expect(outcome(make(open('1/3 ? 1/5'), 'strips', 'compare 1/2 > 1/5')).right).toBe(false)
    expect(outcome(make(open('1/3 ? 1/5'), 'strips', 'compare 2/6 > 1/5')).right).toBe(true)
  })

  test('a number written another way than asked is a slip of its own', () => {
    const b = make(open('6/8 in simplest form'), 'strips', 'lay 6/8', 'read 6/8')
    expect(slipsOf(b)).toEqual(['wrote it another way than was asked'])
    expect(outcome(b).right).toBe(false)
    expect(outcome(make(b, 'strips', 'read 3/4')).right).toBe(true)
    expect(outcome(make(open('1/4 as a decimal'), 'strips', 'read 1/4')).right).toBe(false)
    expect(outcome(make(open('1/4 as a decimal'), 'strips', 'read 0.25')).right).toBe(true)
    expect(outcome(make(open('2/3 = ?/12'), 'strips', 'read 8/12')).right).toBe(true)
    expect(outcome(make(open('2/3 = ?/12'), 'strips', 'read 4/6')).right).toBe(false)
    // Also where everything before it went as planned.
    const cut = make(open('2/3 = ?/12'), 'strips', 'lay 2/3', 'recut 2 thirds as 8 twelfths')
    expect(outcome(make(cut, 'strips', 'read 4/6')).right).toBe(false)
    expect(slipsOf(make(cut, 'strips', 'read 4/6'))).toEqual(['wrote it another way than was asked'])
    expect(outcome(make(cut, 'strips', 'read 8/12')).right).toBe(true)
  })

  test('a false line of the rule is struck, and named where it has a name', () => {
    const b = make(
      open('1/2 + 1/3', 'fraction-rule'),
      'fraction-rule',
      'write 1/2',
      'write 1/2 + 1/3',
      'write 1/2 + 1/3 = 2/5',
    )
    expect(slipsOf(b)).toEqual(['added tops and bottoms'])
    const c = make(b, 'fraction-rule', 'write 1/2 = (1 * 3)/(2 * 3) = 3/6', 'write 1/3 = 2/6', 'write 3/6 + 2/6 = 5/6')
    expect(c.now.standing.value).toBe('5/6')
    expect(() => make(c, 'fraction-rule', 'write 1/4 + 1/4 = 1/2')).toThrow('does not follow')
  })

  test('no mistaken way gives the right answer', () => {
    const number = fc.tuple(fc.nat(2), fc.integer({ min: 1, max: 11 }), fc.integer({ min: 2, max: 12 }))
    fc.assert(
      fc.property(number, number, fc.constantFrom('+', '-'), ([a, b, c], [d, e, f], sign) => {
        const problem = parseProblem(`${a} ${b}/${c} ${sign} ${d} ${e}/${f}`)
        for (const p of PROCEDURES)
          expect([p.id, answersOf(p, problem).includes(answer(problem))]).toEqual([p.id, false])
      }),
      { numRuns: 300 },
    )
  })
})

test('whatever hands do with parts, the page stays true and nothing is lost', () => {
  const part = fc.tuple(
    fc.integer({ min: 1, max: 6 }),
    fc.constantFrom('wholes', 'halves', 'thirds', 'quarters', 'sixths', 'eighths', 'twelfths'),
  )
  const some = part.map(([n, kind]) => `${n} ${kind}`)
  const move = fc.oneof(
    fc.tuple(fc.constantFrom('lay', 'take', 'return', 'give', 'set', 'unset', 'push'), some).map((m) => m.join(' ')),
    fc.tuple(some, some, fc.constantFrom('', ' beside', ' in row 2')).map(([a, b, row]) => `recut ${a} as ${b}${row}`),
    fc.constantFrom(
      'recut 1 half as 2 quarters',
      'recut 1 third as 2 sixths beside',
      'recut 1 whole as 3 thirds',
      'push',
      'drop',
    ),
    fc.tuple(fc.integer({ min: 2, max: 4 }), some).map(([row, p]) => `row ${row} ${p}`),
    some.map((p) => `less 2 ${p}`),
    fc.constantFrom('read 5/6', 'read 1 1/4', 'compare 1/2 > 1/3', 'compare 1/2 < 1/3', 'whole short'),
  )
  const problems = ['1/2 + 1/3', '2 1/4 - 2/3', '3 * 1/4', '1/2 ? 1/3', '2/3 = ?/12', '0.5 + 0.25']
  fc.assert(
    fc.property(
      fc.constantFrom(...problems),
      fc.constantFrom<RepresentationId>('strips', 'vessel'),
      fc.array(move, { maxLength: 14 }),
      (problem, on, moves) => {
        const start = openBench(
          { problem, representation: on, also: ['line', 'equations'], choices: withDefaults(DEFAULT_CHOICES) },
          'together',
        )
        let b = start
        for (const m of moves) b = tried(b, on, m)
        for (const stone of listed(b.now.stones))
          for (const { equation } of stone.lines)
            if (equation) expect([equation, holdsOutside(equation)]).toEqual([equation, true])
        expect(JSON.stringify(reopen(JSON.parse(JSON.stringify(recordOf(b)))).now)).toBe(JSON.stringify(b.now))
      },
    ),
    { numRuns: 150 },
  )
})
