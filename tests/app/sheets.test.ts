import fc from 'fast-check'
import { exact } from '../../core/index'
import { countedIn, cutOuts, listIn } from '../../app/utils/sheets'
import { sizeIn, sizeText } from '../../app/utils/pieceSize'

/** What is typed for sheets and pieces, and what of a kit is cut out. */

test('so many of each is read however it is written, and what is not says which part', () => {
  expect(countedIn('25 × 4, 10x6; 1 * 3\n0.1')).toEqual([
    { of: '25', count: 4 },
    { of: '10', count: 6 },
    { of: '1', count: 3 },
    { of: '0.1', count: 1 },
  ])
  expect(countedIn('25 × 4, many')).toEqual({ unread: 'many' })
  expect(countedIn('')).toEqual([])
  expect(listIn(' 2, 3;4\n 5 ')).toEqual(['2', '3', '4', '5'])
})

test('a size is read as it is written', () => {
  const edge = fc.integer({ min: 1, max: 20_000 }).map((n) => n / 10)
  fc.assert(
    fc.property(fc.oneof(fc.tuple(edge, edge, edge), fc.record({ across: edge, thick: edge })), (size) => {
      expect(sizeIn(sizeText(size))).toEqual(size)
    }),
  )
  for (const text of ['', 'large', '10', '10 × 10', '10 × 10 × 9000', '1 2 3 4']) expect(sizeIn(text)).toBeNull()
})

test('what is short of a kit is cut out as what it is; what cannot be cut is not offered', () => {
  const of = (kind: string, unit: string, count: number) => ({ kind, unit: exact(unit), count })
  expect(cutOuts('blocks', [of('ten', '10', 8), of('one', '1', 0)])).toEqual({
    kind: 'pieces',
    piece: 'blocks',
    ones: 0,
    tens: 8,
    hundreds: 0,
  })
  expect(cutOuts('strips', [of('eighth', '1/8', 5), of('whole', '1', 2)])).toMatchObject({ strips: '8 × 5, 1 × 2' })
  expect(cutOuts('signed', [of('plus', '1', 6), of('minus', '-1', 3)])).toMatchObject({ plus: 6, minus: 3 })
  expect(cutOuts('chips', [of('tenth', '1/10', 4)])).toMatchObject({ chips: '0.1 × 4' })
  expect(cutOuts('coins', [of('25', '25', 4)])).toMatchObject({ coins: '25 × 4' })
  expect(cutOuts('counters', [of('counter', '1', 40)])).toMatchObject({ count: 40 })
  expect(cutOuts('abacus', [of('frame', '0', 3)])).toBeNull()
  expect(cutOuts('blocks', [of('ten', '10', 0)])).toBeNull()
})
