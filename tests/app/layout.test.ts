import fc from 'fast-check'
import { spread } from '../../core/representation/openline/layout'
import { layColumn, SIGN } from '../../core/representation/drawn/layout'
import { sheetRows } from '../../core/representation/columns/rows'
import { DEFAULT_CHOICES } from '../../core/choices'
import { drawn } from '../../core/representation/drawn/drawn'
import { columns } from '../../core/representation/columns/columns'
import { applyAll } from '../../core/representation/representation'
import { parseProblem } from '../../core/problem/parse'

test('landings stand in order, inside the line, and never too near to be read while there is room', () => {
  fc.assert(
    fc.property(fc.uniqueArray(fc.nat(9999), { minLength: 2, maxLength: 12 }), (values) => {
      const places = spread(values, 900)
      const sorted = [...values].sort((a, b) => a - b).map((v) => places.get(v)!)
      sorted.forEach((x, i) => {
        expect(x).toBeGreaterThanOrEqual(59.9)
        expect(x).toBeLessThanOrEqual(840.1)
        if (i > 0) expect(x - sorted[i - 1]!).toBeGreaterThan(53.9)
      })
    }),
  )
})

test('drawn things of one column never lie on one another, and a ring holds its ten and nothing else that counts', () => {
  const moves = ['draw 27', 'draw 35', 'ring ten', 'break ten', 'cross 4 ones'].map((t) => drawn.parse(t))
  const { things } = applyAll(drawn, drawn.start(parseProblem('27 + 35'), DEFAULT_CHOICES), moves)
  for (const place of [0, 1]) {
    const { spots, rings } = layColumn(place, things)
    for (const [i, a] of spots.entries())
      for (const b of spots.slice(i + 1))
        expect(Math.abs(a.x - b.x) >= SIGN[place]!.w - 1e-9 || Math.abs(a.y - b.y) >= SIGN[place]!.h - 1e-9).toBe(true)
    for (const ring of rings) {
      const within = spots.filter(
        (s) => s.x >= ring.x && s.x < ring.x + ring.w && s.y >= ring.y && s.y < ring.y + ring.h,
      )
      expect(within.filter((s) => s.thing.group === ring.group && s.thing.fate === 'ringed')).toHaveLength(10)
      expect(within.filter((s) => s.thing.fate === 'counts')).toHaveLength(0)
    }
  }
  expect(layColumn(0, things).rings).toHaveLength(1)
})

test('the sheet’s rows: addends under one another, carry marks above or below the rule, squares for the next number', () => {
  const problem = parseProblem('6842 + 593 + 20417')
  const on = (...moves: string[]) =>
    applyAll(
      columns,
      columns.start(problem, DEFAULT_CHOICES),
      moves.map((t) => columns.parse(t)),
    )
  const kinds = (...args: Parameters<typeof sheetRows>): string[] =>
    sheetRows(...args).map((r) => ('rule' in r && r.rule ? `${r.kind} ruled` : r.kind))
  const two = on('write 6842', 'under + 593')
  expect(kinds(two, { carryMarks: 'above' }, true)).toEqual([
    'carry',
    'digits',
    'below',
    'draft',
    'carry ruled',
    'digits',
  ])
  const three = on('write 6842', 'under + 593', 'under + 20417')
  expect(kinds(three, { carryMarks: 'above' }, true)).toEqual([
    'carry',
    'digits',
    'below',
    'below',
    'carry ruled',
    'digits',
  ])
  expect(kinds(three, { carryMarks: 'below' }, false)).toEqual([
    'carry',
    'digits',
    'below',
    'below',
    'carry ruled',
    'digits',
  ])
  expect(
    sheetRows(three, { carryMarks: 'below' }, false)
      .filter((r) => r.kind === 'carry')
      .map((r) => r.band),
  ).toEqual([-1, 0])
})
