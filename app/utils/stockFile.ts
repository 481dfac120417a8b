import Papa from 'papaparse'
import { MADE_OF, type MadeOf } from '../../core/kit/index'
import { REPRESENTATION_IDS, REPRESENTATIONS } from '../../core/door'
import { stockOf, type Cupboard, type Stock } from '../../shared/cupboard'
import { csvText } from '../../shared/csv'
import { whole } from './pastedNumbers'

/** The columns of a stock file, in their order; the last three may be left out. */
export const STOCK_COLUMNS = ['Material', 'Piece', 'Have', 'Pack size', 'Made of', 'Kept'] as const
const MOST_ROWS = 500

/** The whole stock as a file for a spreadsheet, a kind of piece a row. */
export const stockFile = ({ stock }: Pick<Cupboard, 'stock'>): string =>
  csvText([
    STOCK_COLUMNS,
    ...Object.entries(stock).map(([key, { have, pack, madeOf, shelf }]) => {
      const [material, kind] = key.split('/') as [keyof typeof REPRESENTATIONS, string]
      return [REPRESENTATIONS[material]?.title ?? material, kind, have, pack, madeOf, shelf ?? '']
    }),
  ])

/** What a stock file would change, by material and kind, and the rows that cannot be read, with why. */
export interface StockRead {
  readonly changes: Readonly<Record<string, Partial<Stock>>>
  readonly troubles: readonly {
    readonly row: number
    readonly why: 'material' | 'piece' | 'number' | 'madeOf' | 'long'
  }[]
}

/** A spreadsheet keeps a text that begins with a sign by an apostrophe before it. */
const plain = (text = ''): string => text.trim().replace(/^'(?=[=+\-@])/, '')

/** Reads a stock file: comma, semicolon or tab between cells, with or without the row of headings. What is as it was is no change. */
export function readStock(text: string, cupboard: Pick<Cupboard, 'stock'>): StockRead {
  const { data } = Papa.parse<string[]>(text.replace(/^\uFEFF/, ''), { skipEmptyLines: 'greedy' })
  const changes: Record<string, Partial<Stock>> = {}
  const troubles: StockRead['troubles'][number][] = []
  data.slice(0, MOST_ROWS + 1).forEach((cells, i) => {
    const [material = '', piece = '', have = '', pack, madeOf, kept] = cells.map(plain)
    if (i === 0 && material.toLowerCase() === STOCK_COLUMNS[0].toLowerCase()) return
    const id = REPRESENTATION_IDS.find((r) =>
      [r, REPRESENTATIONS[r].title].some((name) => name.toLowerCase() === material.toLowerCase()),
    )
    const count = whole(have)
    const size = pack ? whole(pack) : undefined
    const why = !id
      ? 'material'
      : !/^[\p{L}\p{N} .-]{1,40}$/u.test(piece)
        ? 'piece'
        : count === null || size === null
          ? 'number'
          : madeOf && !MADE_OF.includes(madeOf as MadeOf)
            ? 'madeOf'
            : (kept ?? '').length > 60
              ? 'long'
              : null
    if (why) return void troubles.push({ row: i + 1, why })
    const by: Partial<Stock> = {
      have: count!,
      ...(size === undefined ? {} : { pack: size! }),
      ...(madeOf ? { madeOf: madeOf as MadeOf } : {}),
      ...(kept ? { shelf: kept } : {}),
    }
    const was = stockOf(cupboard, id!, piece)
    const isSame = Object.entries(by).every(([key, value]) => was[key as keyof Stock] === value)
    if (!isSame) changes[`${id}/${piece}`] = by
  })
  return { changes, troubles }
}
