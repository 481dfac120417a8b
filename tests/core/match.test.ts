import { enter, openBench } from '../../core/record/bench'
import { matchOf, slipsOf } from '../../core/record/outcome'
import { recordOf, reopen, replay } from '../../core/record/record'
import { SLIPS } from '../../core/record/slips'
import type { RepresentationId } from '../../core/representation/representation'
import { sayMatch } from '../../core/speech/match'
import { packOf } from '../../core/speech/words'
import type { Mode, Bench } from '../../core/record/moment'

type Step = readonly [RepresentationId | 'bench', ...string[]]
const work = (
  problem: string,
  [representation, both]: readonly [RepresentationId, RepresentationId],
  steps: readonly Step[],
  mode: Mode = 'alone',
): Bench =>
  steps
    .flatMap(([on, ...moves]) => moves.map((move) => ({ at: 0, on, move })))
    .reduce(enter, openBench({ problem, representation, both, also: ['equations'] }, mode))
const said = (b: Bench, pack = packOf('exchange')): readonly string[] => sayMatch(matchOf(b)!, pack)
const CHIPS: Step = ['chips', 'lay 52', 'break ten', 'take 7 ones', 'take 3 tens']
const SHEET: Step = [
  'columns',
  'write 52',
  'under - 37',
  'strike tens',
  'above 4 tens',
  'one ones',
  'answer 5 ones',
  'answer 1 tens',
]

describe('two materials, both worked by hand', () => {
  test('act by act it is said what the one has and the other has not', () => {
    const b = work(
      '52 - 37',
      ['chips', 'columns'],
      [
        ['chips', 'lay 52', 'break ten'],
        ['columns', 'write 52', 'under - 37'],
      ],
    )
    expect(said(b)).toEqual(['Chips: exchange 1 ten. Column sheet: no mark over the tens yet.'])
    expect(said(b, packOf('regroup'))).toEqual(['Chips: regroup 1 ten. Column sheet: no mark over the tens yet.'])
    expect(matchOf(b)!.copied).toBeNull()
  })

  test('once everything is done in both they agree, in whichever order the hands went', () => {
    for (const order of [
      [CHIPS, SHEET],
      [SHEET, CHIPS],
    ]) {
      const b = work('52 - 37', ['chips', 'columns'], order as Step[])
      expect(said(b)).toEqual(['Both show the same acts.'])
      expect(slipsOf(b)).toEqual([])
    }
  })

  test('an answer copied without its marks is flagged, and the marks mend it', () => {
    const copied = work(
      '52 - 37',
      ['chips', 'columns'],
      [CHIPS, ['columns', 'write 52', 'under - 37', 'answer 5 ones', 'answer 1 tens']],
    )
    expect(matchOf(copied)!.copied).toBe('columns')
    expect(said(copied)[0]).toBe('The answer stands on the column sheet, but what leads to it is missing there.')
    expect(slipsOf(copied)).toContain(SLIPS.copied)
    const mended = (['strike tens', 'above 4 tens', 'one ones'] as const).reduce(
      (b, move) => enter(b, { at: 0, on: 'columns', move }),
      (['undo', 'undo'] as const).reduce((b, move) => enter(b, { at: 0, on: 'bench', move }), copied),
    )
    const done = ['answer 5 ones', 'answer 1 tens'].reduce(
      (b, move) => enter(b, { at: 0, on: 'columns', move }),
      mended,
    )
    expect(matchOf(done)).toMatchObject({ agree: true, copied: null })
  })

  test('chips laid as the answer are a copy too', () => {
    const b = work('52 - 37', ['columns', 'chips'], [SHEET, ['chips', 'lay 15']])
    expect(matchOf(b)!.copied).toBe('chips')
    expect(said(b)).toContain('Column sheet: lay 52. Chips: lay 15. They do not agree.')
  })

  test('what cannot be shown is not asked for: the line needs no exchange', () => {
    const b = work('52 - 37', ['chips', 'openline'], [CHIPS, ['openline', 'start 52', 'hop -30', 'hop -7']])
    expect(matchOf(b)).toMatchObject({ agree: true, gaps: [] })
    const short = work('52 - 37', ['chips', 'openline'], [CHIPS, ['openline', 'start 52', 'hop -30']])
    expect(said(short)).toEqual(['Chips: take 7. Open number line: not yet.'])
  })

  test('an exchange made and made back again is none', () => {
    const b = work(
      '52 - 37',
      ['chips', 'columns'],
      [
        ['chips', 'lay 52', 'break ten', 'tie ten'],
        ['columns', 'write 52', 'under - 37'],
      ],
    )
    expect(said(b)).toEqual(['Both show the same acts.'])
  })

  test('the record keeps both hands, and undo takes back the last of either', () => {
    const b = work('52 - 37', ['chips', 'columns'], [CHIPS, SHEET])
    const again = reopen(recordOf(b))
    expect(again.now).toEqual(b.now)
    expect(replay(recordOf(b)).bench.now.second!.stones.length).toBe(b.now.second!.stones.length)
    const back = enter(b, { at: 0, on: 'bench', move: 'undo' })
    expect(said(back)).toEqual(['Chips: take 3 tens. Column sheet: not yet.'])
    expect(said(enter(back, { at: 0, on: 'bench', move: 'redo' }))).toEqual(['Both show the same acts.'])
  })

  test('the same material twice, or one that does not hold the problem, is refused with the reason', () => {
    expect(() => openBench({ problem: '52 - 37', representation: 'chips', both: 'chips' }, 'alone')).toThrow(
      'Two different materials are needed',
    )
    expect(() => openBench({ problem: '520 - 37', representation: 'chips', both: 'counters' }, 'alone')).toThrow(
      'counters',
    )
  })
})

describe('a second material that follows', () => {
  test('a digit written on the sheet moves the chips, and chips write on the sheet', () => {
    const bench = openBench({ problem: '52 - 37', representation: 'chips', also: ['columns', 'equations'] }, 'together')
    const moved = ['lay 52', 'break ten'].reduce((b, move) => enter(b, { at: 0, on: 'chips', move }), bench)
    expect(moved.now.stones.last!.moves.columns).toHaveLength(3)
    const written = enter(moved, { at: 0, on: 'columns', move: 'answer 5 ones' })
    expect((written.now.states.chips as { taken: number[] }).taken[2]).toBe(7)
    expect(written.now.standing.value).toBe('45')
  })
  test('what it has no way to show is said quietly, and it stays in step', () => {
    const bench = openBench(
      { problem: '52 - 37', representation: 'chips', also: ['openline', 'equations'] },
      'together',
    )
    const b = ['lay 52', 'break ten'].reduce((x, move) => enter(x, { at: 0, on: 'chips', move }), bench)
    expect(b.now.stones.last!.waiting.openline).toBe('The line shows no such thing: the number stays where it is.')
    expect(b.now.followers.openline).toBeUndefined()
  })
})
