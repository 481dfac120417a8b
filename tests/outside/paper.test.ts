import { execFileSync } from 'node:child_process'
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { createCanvas, loadImage } from '@napi-rs/canvas'
import jsQR from 'jsqr'
import { CURRENCIES } from '../../core/number/money'
import {
  brailleWidth,
  CELL,
  cellsOf,
  codeOfList,
  PAPER_SIZES,
  POINT,
  STRIP,
  type PrintItem,
} from '../../core/paper/index'
import { layOut } from '../../core/paper/index'
import { pdfOf } from '../../workers/pdf'
import { FONTS, item, PLAIN, PROBLEMS, SHEETS, TOOLS } from '../core/press'

/** What comes out of the press, read by another program: PDF.js for the file, jsQR for the code; sizes and braille beside their sources. */

interface ReadPage {
  readonly width: number
  readonly height: number
  readonly texts: readonly string[]
  readonly boxes: readonly (readonly [number, number, number, number])[]
}
interface ReadPdf {
  readonly title: string
  readonly language: string | null
  readonly tagged: boolean
  readonly pages: readonly ReadPage[]
}

const folder = mkdtempSync(join(tmpdir(), 'sett-paper-'))
afterAll(() => rmSync(folder, { recursive: true }))

async function press(
  items: readonly PrintItem[],
  setting = {},
  pictures?: string,
): Promise<{ read: ReadPdf; bytes: Uint8Array }> {
  const { pages, refused } = layOut({ ...PLAIN, ...setting }, items, TOOLS)
  expect(refused).toEqual([])
  const bytes = await pdfOf(pages, 'Sheets', FONTS)
  const file = join(folder, 'print.pdf')
  writeFileSync(file, bytes)
  const told = execFileSync(
    'node',
    ['tests/outside/pdf/read.mjs', file, ...(pictures ? [join(folder, pictures)] : [])],
    {
      encoding: 'utf8',
      maxBuffer: 1 << 28,
    },
  )
  return { read: JSON.parse(told) as ReadPdf, bytes }
}
const mm = (points: number): number => points * POINT
/** The sizes of all shapes, in millimetres. */
const sizes = ({ boxes }: ReadPage): readonly (readonly [number, number])[] =>
  boxes.map(([x1, y1, x2, y2]) => [mm(x2 - x1), mm(y2 - y1)] as const)
const near = (a: number, b: number, by = 0.1): boolean => Math.abs(a - b) <= by

test('the file is tagged, has a title and a language, and every font in it is embedded and a subset', async () => {
  const { read, bytes } = await press([item(SHEETS.lines!), item(SHEETS.lesson!)])
  expect(read).toMatchObject({ title: 'Sheets', language: 'en', tagged: true })
  const raw = Buffer.from(bytes).toString('latin1')
  const fonts = [...raw.matchAll(/\/FontName \/([^\s/]+)/g)].map((m) => m[1]!)
  expect(fonts.length).toBeGreaterThanOrEqual(2)
  // ISO 32000-1, 9.6.4 (from memory): six capital letters and a plus sign before the name of a font of which only some is there.
  for (const name of fonts) expect(name).toMatch(/^[A-Z]{6}\+Andika/)
  expect(raw.match(/\/FontFile2 /g)).toHaveLength(fonts.length)
})

test.each(['A4', 'Letter'] as const)('%s pages have their size, and a bar of 100 mm on each', async (paper) => {
  const { read } = await press(
    Object.values(SHEETS)
      .slice(0, 28)
      .map((s) => item(s)),
    { paper },
  )
  for (const page of read.pages) {
    const { w, h } = PAPER_SIZES[paper]
    const [short, long] = [page.width, page.height].map(mm).sort((a, b) => a - b)
    expect(near(short!, w) && near(long!, h)).toBe(true)
    expect(sizes(page).filter(([wide, high]) => near(wide, 100) && high < 5).length).toBeGreaterThanOrEqual(1)
    expect(page.texts).toContain('100 mm')
  }
})

test('paper sizes are those of the standards', () => {
  // ISO 216 (from memory): A0 has one square metre, its sides as 1 to √2, and each size is half of the one before, rounded down.
  let [w, h] = [841, 1189]
  for (let n = 0; n < 4; n++) [w, h] = [Math.floor(h / 2), w]
  expect(PAPER_SIZES.A4).toEqual({ w, h })
  // ANSI/ASME Y14.1 (from memory): size A is 8.5 by 11 inches.
  expect(PAPER_SIZES.Letter).toEqual({ w: expect.closeTo(8.5 * 25.4, 6), h: expect.closeTo(11 * 25.4, 6) })
})

test('text comes out in the order in which it is read: the heading, then problem after problem', async () => {
  const problems = ['52 - 37', '61 - 25', '70 - 46']
  const { read } = await press([item({ kind: 'problems', problems, layout: 'lines', shown: 'key' })])
  expect(read.pages[0]!.texts).toEqual([
    'Answers',
    '1.',
    '52 − 37 =',
    '15',
    '2.',
    '61 − 25 =',
    '36',
    '3.',
    '70 − 46 =',
    '24',
    '100 mm',
  ])
})

test('blocks, strips and coins have their true size on the page', async () => {
  const { coins } = CURRENCIES.euro
  const choices = { ...PLAIN.choices, money: { ...PLAIN.choices.money, set: 'euro' as const } }
  const { read } = await press(
    [
      item({ kind: 'pieces', piece: 'blocks', ones: 4, tens: 3, hundreds: 1 }),
      item({
        kind: 'pieces',
        piece: 'strips',
        strips: [
          { of: 1, count: 1 },
          { of: 3, count: 3 },
        ],
      }),
      item({ kind: 'pieces', piece: 'coins', coins: coins.map((c) => ({ value: c.value, count: 1 })) }),
    ],
    { choices },
  )
  const [blocks, strips, money] = read.pages.map(sizes)
  const count = (list: typeof blocks, w: number, h: number): number =>
    list!.filter((s) => near(s[0], w) && near(s[1], h)).length
  // Of the hundred there are its outline, and the lines within it.
  expect([count(blocks, 10, 10), count(blocks, 10, 100), count(blocks, 100, 100)]).toEqual([4, 3, 2])
  expect([count(strips, STRIP.whole, STRIP.high), count(strips, STRIP.whole / 3, STRIP.high)]).toEqual([1, 3])
  // The line of 0.4 mm lies within the coin. Diameters as the European Central Bank gives them, from memory.
  const published = { 200: 25.75, 100: 23.25, 50: 24.25, 20: 22.25, 10: 19.75, 5: 21.25, 2: 18.75, 1: 16.25 }
  for (const [value, across] of Object.entries(published)) {
    expect(coins.find((c) => c.value === Number(value))!.across).toBe(across)
    expect(count(money, across - 0.4, across - 0.4)).toBeGreaterThanOrEqual(1)
  }
})

test('no page has more than 300 kB', async () => {
  const heavy: [string, number][] = []
  for (const setting of [{}, { tactile: true }])
    for (const [id, sheet] of Object.entries(SHEETS)) {
      if (id === 'joints' && 'tactile' in setting) continue
      if (id.startsWith('steps') && !/blocks|coins|groups|frame|area/.test(id)) continue
      const { pages } = layOut({ ...PLAIN, ...setting }, [item(sheet, { code: codeOfList(PROBLEMS) })], TOOLS)
      for (const page of pages) heavy.push([id, (await pdfOf([page], id, FONTS)).length])
    }
  expect(heavy.filter(([, bytes]) => bytes > 300_000)).toEqual([])
})

test.each([
  ['regular', {}],
  ['two to a page', { perPage: 2 }],
  ['large print', { big: true }],
  ['to be felt', { tactile: true }],
])('the code is read back from the printed page, %s', async (name, setting) => {
  const code = codeOfList(PROBLEMS)
  const picture = name.replaceAll(' ', '-')
  const { read } = await press([item({ ...SHEETS.lines! }, { code })], setting, picture)
  const image = await loadImage(readFileSync(join(folder, `${picture}-1.png`)))
  // Of two sheets beside each other one photographs one.
  const wide = name === 'two to a page' ? Math.floor(image.width / 2) : image.width
  const canvas = createCanvas(wide, image.height)
  canvas.getContext('2d').drawImage(image, 0, 0)
  const { data } = canvas.getContext('2d').getImageData(0, 0, wide, image.height)
  expect(jsQR(new Uint8ClampedArray(data), wide, image.height)?.data).toBe(code)
  if (!('tactile' in setting)) expect(read.pages[0]!.texts).toContain(code)
})

describe('Braille', () => {
  test('a cell has the measures of the standard', () => {
    // BANA, Size and Spacing of Braille Characters; Library of Congress, Specification 800 (both from memory), in millimetres.
    const range = { dot: [2.3, 2.5], cell: [6.1, 7.6], line: [10, 10.2], across: [1.4, 1.6] } as const
    for (const [key, [least, most]] of Object.entries(range)) {
      expect(CELL[key as keyof typeof CELL]).toBeGreaterThanOrEqual(least)
      expect(CELL[key as keyof typeof CELL]).toBeLessThanOrEqual(most)
    }
    expect(brailleWidth('ab')).toBeCloseTo(CELL.cell + CELL.dot + CELL.across)
  })
  /** Cells as Unicode braille patterns (ISO/IEC 10646, block 2800: dot n is bit n − 1). */
  const patterns = (text: string): string =>
    cellsOf(text)
      .map((dots) => String.fromCodePoint(0x2800 + Array.from(dots).reduce((sum, d) => sum + 2 ** (Number(d) - 1), 0)))
      .join('')
  test.each([
    // Uncontracted English letters; a capital has dot 6 before it (Unified English Braille, from memory).
    ['tens', '⠞⠑⠝⠎'],
    ['Ones', '⠠⠕⠝⠑⠎'],
    ['jazz quiz', '⠚⠁⠵⠵⠀⠟⠥⠊⠵'],
    // Digits of the Nemeth code in the lower part of the cell, after the numeric indicator (from memory).
    ['1234567890', '⠼⠂⠆⠒⠲⠢⠖⠶⠦⠔⠴'],
    ['7.4', '⠼⠶⠨⠲'],
    ['1,000', '⠼⠂⠠⠴⠴⠴'],
    // Signs of operation stand close, the sign of equality between spaces.
    ['52−37', '⠼⠢⠆⠤⠒⠶'],
    ['3+4 = 7', '⠼⠒⠬⠲⠀⠨⠅⠀⠼⠶'],
    ['6×7', '⠼⠖⠈⠡⠶'],
    ['−8', '⠤⠼⠦'],
    // Fractions have an indicator before and after; mixed numbers one cell more.
    ['3/8', '⠹⠒⠌⠦⠼'],
    ['2 2/5', '⠼⠆⠸⠹⠆⠌⠢⠸⠼'],
  ])('%s is %s', (text, cells) => expect(patterns(text)).toBe(cells))
})
