import { listed } from '../../core/number/trail'
import fc from 'fast-check'
import { enter, openBench } from '../../core/record/bench'
import { nextAct } from '../../core/record/ahead'
import { outcome } from '../../core/record/outcome'
import type { Bench } from '../../core/record/moment'
import { translate } from '../../core/record/translate'
import { recordOf, reopen } from '../../core/record/record'
import { attempt, Refusal } from '../../core/refusal'
import { columns } from '../../core/representation/columns/columns'
import type { ColumnsState } from '../../core/representation/columns/state'
import { equations } from '../../core/representation/equations/equations'
import { DEFAULT_CHOICES } from '../../core/choices'
import { REPRESENTATIONS } from '../../core/representation/index'
import { parseProblem } from '../../core/problem/parse'
import type { RepresentationId } from '../../core/representation/representation'
import { chains } from './worlds'

const work = (bench: Bench, on: RepresentationId, ...moves: string[]): Bench =>
  moves.reduce((b, move) => enter(b, { at: b.log.length, on, move }), bench)
const onSheet = (problem: string): Bench =>
  openBench({ problem, representation: 'blocks', also: ['columns', 'equations'] }, 'together')
const sheet = (b: Bench): ColumnsState => b.now.states.columns as ColumnsState
const lines = (b: Bench): string[] => listed(b.now.stones).flatMap((s) => s.lines.map((l) => l.text))

describe('writing on the sheet', () => {
  const place = fc.constantFrom('ones', 'tens', 'hundreds')
  const digit = fc.nat(12)
  const mark = fc.oneof(
    fc.tuple(fc.constantFrom('answer', 'above', 'carry'), digit, place).map((p) => p.join(' ')),
    fc.tuple(fc.constantFrom('strike', 'one'), place).map((p) => p.join(' ')),
    fc.constantFrom('read 7', 'under + 3', 'write 12'),
  )

  test('whatever marks are made, blocks and page keep step with what is known, and every move can be undone and replayed', () => {
    fc.assert(
      fc.property(
        chains(999),
        fc.array(fc.oneof({ weight: 3, arbitrary: mark }, fc.constant('next')), { maxLength: 25 }),
        (problem, marks) => {
          let b = openBench({ problem, representation: 'blocks', also: ['columns', 'equations'] }, 'together')
          for (const text of marks) {
            const tried = attempt(() => {
              if (text !== 'next') return work(b, 'columns', text)
              const act = nextAct(b)
              const moves = act ? columns.perform(sheet(b), act) : []
              return work(b, 'columns', ...moves.map(columns.print))
            })
            if ('ok' in tried) b = tried.ok
            const { value } = b.now.standing
            if (!b.now.followers.blocks) expect(REPRESENTATIONS.blocks.shows(b.now.states.blocks)).toBe(value)
            expect(b.now.page.value).toBe(value)
            expect(columns.shows(sheet(b))).toMatch(/^\d+$/)
          }
          expect(reopen(recordOf(b))).toEqual(b)
          let back = b
          while (back.past.length > 0) back = enter(back, { at: 0, on: 'bench', move: 'undo' })
          expect(back.now).toEqual(
            openBench({ problem, representation: 'blocks', also: ['columns', 'equations'] }, 'together').now,
          )
        },
      ),
      { numRuns: 150 },
    )
  })

  test('a mark leaves the sheet that it is made on as it was', () => {
    fc.assert(
      fc.property(chains(999), fc.array(mark, { maxLength: 20 }), (problem, marks) => {
        let state = columns.start(problem, DEFAULT_CHOICES)
        for (const text of ['write 12', 'under + 3', ...marks]) {
          const was = JSON.stringify(state)
          const next = attempt(() => columns.apply(state, columns.parse(text)))
          expect(JSON.stringify(state)).toBe(was)
          if ('ok' in next) state = next.ok
        }
      }),
    )
  })

  test('across a nought: 3 struck, 2; 0 struck, 9; small 1 — two exchanges and the page of both', () => {
    const b = work(
      onSheet('304 - 178'),
      'columns',
      'write 304',
      'strike hundreds',
      'above 2 hundreds',
      'strike tens',
      'above 9 tens',
      'one ones',
    )
    expect(lines(b).slice(-2)).toEqual(['304 = 200 + 100 + 4', '304 = 200 + 90 + 14'])
    expect(b.now.stones.last!.owed).toBe('')
    const done = work(b, 'columns', 'answer 6 ones', 'answer 2 tens', 'answer 1 hundreds', 'read 126')
    expect(outcome(done).right).toBe(true)
  })

  test('each missing mark is asked for by its name', () => {
    const owed = (...moves: string[]): string =>
      work(onSheet('52 - 37'), 'columns', 'write 52', ...moves).now.stones.last!.owed
    expect(owed('strike tens')).toBe('The tens digit is struck. Write above it what is left.')
    expect(owed('strike tens', 'above 4 tens')).toBe(
      'One less is written. Put the small 1 before the ones to finish the exchange.',
    )
    expect(owed('one ones')).toBe(
      'Ten more are used here than the column had. Strike the tens digit and write one less, to finish the exchange.',
    )
    const added = (...moves: string[]): string =>
      work(onSheet('27 + 15'), 'columns', 'write 27', 'under + 15', ...moves).now.stones.last!.owed
    expect(added('answer 2 ones')).toBe('The ten is not written yet. Put a carry mark over the tens.')
    expect(added('carry 1 tens')).toBe('A carry mark stands. Write the ones that stay.')
    expect(added('answer 9 ones')).toContain('Look again at the ones: the column says 7 + 5, the square says 9.')
  })

  test('nine and a carry with nothing beneath is written down before it is exchanged', () => {
    const b = work(
      onSheet('493 + 7'),
      'blocks',
      'lay 493',
      'set 7',
      'push 7 ones',
      'tie ten',
      'tie hundred',
      'read 500',
    )
    expect(outcome(b).right).toBe(true)
    expect(columns.shows(sheet(b))).toBe('500')
    expect(b.now.followers).toEqual({})
  })

  test.each([
    ['strike', 'needs a place'],
    ['answer 5', 'needs a place'],
    ['answer 500 ones', 'does not go into one square'],
    ['under 37', 'needs the sign and the number'],
    ['fly 5 ones', 'has no mark “fly”'],
    ['answer x ones', 'is not a whole number'],
    ['strike tens now', '“now” is one word too many'],
  ])('%j is refused', (text, reason) => expect(() => columns.parse(text)).toThrow(reason))

  test.each([
    ['strike ones', 'There is no ones digit standing.'],
    ['above 4 tens', 'There is no number on the sheet yet.'],
    ['answer 4 ones', 'needs a number written underneath first'],
    ['under + 5', 'no number to write under yet'],
  ])('%j on an empty sheet is refused', (text, reason) =>
    expect(() => columns.apply(columns.start(parseProblem('52 - 37'), DEFAULT_CHOICES), columns.parse(text))).toThrow(
      reason,
    ),
  )
})

describe('running equations', () => {
  const page = equations.start(parseProblem('52 - 37'), DEFAULT_CHOICES)
  const write = (...texts: string[]) => texts.reduce((s, t) => equations.apply(s, equations.parse(`write ${t}`)), page)
  test('a line that does not follow is refused, and one that does moves on', () => {
    expect(write('52 = 50 + 2', '52 - 37', '52 = 40 + 12', '52 - 7 = 45').value).toBe('45')
    expect(() => write('52 = 50 + 2', '52 - 7 = 46')).toThrow('does not follow from what stands, 52')
    expect(() => write('52 = 50 + 2', '50 - 7 = 43')).toThrow('A true line starts from 52.')
    expect(() => write('52 = 40 + 12')).toThrow(Refusal)
    expect(() => write('hello')).toThrow('is not a line of this writing')
  })
  test('an equation written by hand moves the blocks', () => {
    const b = work(onSheet('52 - 37'), 'equations', 'write 52 = 50 + 2', 'write 52 = 40 + 12', 'write 52 − 7 = 45')
    expect(b.now.states.blocks).toMatchObject({ mat: [5, 4, 0, 0], taken: [7, 0, 0, 0] })
  })
})

describe('another material', () => {
  test('takes the work along as far as its acts go', () => {
    const b = work(
      openBench({ problem: '9 - 4', representation: 'counters', also: ['equations'] }, 'together'),
      'counters',
      'put 9',
      'return 4',
    )
    const fingers = translate(b, { problem: '9 - 4', representation: 'fingers', also: ['equations'] })
    expect(fingers.now.states.fingers).toMatchObject({ out: 5, taken: 4 })
    expect(lines(fingers)).toEqual(['9', '9 − 4', '9 − 4 = 5'])
    const blocks = translate(b, { problem: '9 - 4', representation: 'blocks', also: ['columns', 'equations'] })
    expect(blocks.now.states.blocks).toMatchObject({ mat: [5, 0, 0, 0] })
    expect(columns.shows(sheet(blocks))).toBe('5')
  })
  test('goes as far as the acts allow, and says kindly what a material has no way for', () => {
    const b = work(onSheet('12 - 5'), 'blocks', 'lay 12', 'break ten', 'take 5 ones')
    const there = translate(b, { problem: '12 - 5', representation: 'counters', also: ['equations'] })
    // Counters have no tens: the exchange goes by, and the five ones are returned.
    expect(there.now.standing.value).toBe('7')
    expect(() => translate(b, { problem: '12 - 5', representation: 'counters', way: 'count-on' })).toThrow(
      'is not a way for 12 - 5 with counters',
    )
  })
})
