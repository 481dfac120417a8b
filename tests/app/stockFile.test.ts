import { pastedNumbers } from '../../app/utils/pastedNumbers'
import { readStock, stockFile } from '../../app/utils/stockFile'
import type { Cupboard } from '../../shared/cupboard'

const stock: Cupboard['stock'] = {
  'blocks/ten': { have: 12, pack: 10, madeOf: 'cut by hand', shelf: 'B2' },
  'coins/25': { have: 8, pack: 0, madeOf: 'plain' },
}

test('a stock that is saved as a file and read again changes nothing', () => {
  expect(readStock(stockFile({ stock }), { stock })).toEqual({ changes: {}, troubles: [] })
})

test('what a file changes is told by its pieces, rows that cannot be read by their numbers', () => {
  const file = [
    'Material;Piece;Have;Pack size;Made of;Kept',
    'base-ten blocks;ten;20;;;',
    'Blocks;one;64;10;;Shelf C',
    'reeds;one;5',
    'blocks;;5',
    'blocks;hundred;many',
    'blocks;thousand;1;;chocolate',
  ].join('\r\n')
  expect(readStock(`\uFEFF${file}`, { stock })).toEqual({
    changes: { 'blocks/ten': { have: 20 }, 'blocks/one': { have: 64, pack: 10, shelf: 'Shelf C' } },
    troubles: [
      { row: 4, why: 'material' },
      { row: 5, why: 'piece' },
      { row: 6, why: 'number' },
      { row: 7, why: 'madeOf' },
    ],
  })
})

test.each([
  ['12\r\n64\r\n', [12, 64]],
  ['12\tshelf\n\n7', [12, null, 7]],
  ['12\ntwelve', []],
  ['-3\n4', []],
])('a column from a spreadsheet: %j', (text, numbers) => {
  expect(pastedNumbers(text)).toEqual(numbers)
})
