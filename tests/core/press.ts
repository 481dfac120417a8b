import { readFileSync } from 'node:fs'
import { resolve } from 'node:path'
import encodeQR from 'qr'
import { DEFAULT_CHOICES } from '../../core/index'
import {
  layOut,
  type Print,
  type PrintItem,
  type PrintSetting,
  type SheetWish,
  type Tools,
} from '../../core/paper/index'
import { measureWith, type Fonts } from '../../workers/pdf'

/** What sheets are made with in tests: the fonts that ship, and a sheet of every kind. */

const font = (family: string, weight: number): Uint8Array =>
  readFileSync(resolve(`node_modules/@fontsource/${family}/files/${family}-latin-${weight}-normal.woff`))
export const FONTS: Fonts = {
  regular: font('andika', 400),
  bold: font('andika', 700),
}
export const TOOLS: Tools = { measure: measureWith(FONTS), squares: (letters) => encodeQR(letters, 'raw') }

export const PLAIN: PrintSetting = { paper: 'A4', perPage: 1, big: false, tactile: false, choices: DEFAULT_CHOICES }

export const item = (sheet: SheetWish, more: Partial<PrintItem> = {}): PrintItem => ({
  sheet,
  copies: 1,
  names: [],
  ...more,
})
export const printed = (sheets: readonly SheetWish[], setting: Partial<PrintSetting> = {}): Print =>
  layOut(
    { ...PLAIN, ...setting },
    sheets.map((s) => item(s)),
    TOOLS,
  )

export const PROBLEMS = [
  '52 - 37',
  '402 - 178',
  '38 + 47',
  '7.4 - 2.6',
  '214 + 58 + 33',
  '24 * 3',
  '37 * 24',
  '612 / 7',
  '95 / 4',
  '1/2 + 1/3',
  '2 2/5 + 1 3/4',
  '-3 + -5',
  '3/4 ? 2/3',
] as const

/** Problems step by step, one for every material that has a picture. */
export const STRIPS = [
  ['52 - 37', 'blocks'],
  ['7.4 - 2.6', 'chips'],
  ['52 - 37', 'drawn'],
  ['5 + 8', 'fingers'],
  ['7 * 9', 'nines'],
  ['8 + 5', 'counters'],
  ['3 - 5', 'signed'],
  ['8 + 5', 'tallies'],
  ['24 / 3', 'plates'],
  ['7 * 8', 'groups'],
  ['37 * 24', 'area'],
  ['3 * 25 + 2 * 10 + 4 * 1', 'coins'],
  ['1/2 + 1/3', 'strips'],
  ['1/2 + 1/4', 'vessel'],
  ['8 + 5', 'joints'],
  ['5 + 3', 'touch'],
  ['24 + 13', 'touch-columns'],
  ['38 + 47', 'columns'],
  ['37 * 24', 'product'],
  ['612 / 7', 'division'],
  ['-3 - 5', 'line'],
  ['45 + 37', 'openline'],
  ['45 + 37', 'partials'],
  ['38 + 47', 'abacus'],
  ['8 + 5', 'two-five'],
  ['28 + 15', 'frame'],
  ['38 + 47', 'stay-put'],
] as const

/** A sheet of every kind, by name. */
export const SHEETS: Readonly<Record<string, SheetWish>> = {
  squares: { kind: 'problems', problems: PROBLEMS, layout: 'squares', shown: 'blank' },
  'first step': { kind: 'problems', problems: PROBLEMS, layout: 'squares', shown: 'first' },
  key: { kind: 'problems', problems: PROBLEMS, layout: 'squares', shown: 'key' },
  lines: { kind: 'problems', problems: PROBLEMS, layout: 'lines', shown: 'blank' },
  'lines begun': { kind: 'problems', problems: PROBLEMS, layout: 'lines', shown: 'first' },
  'lines key': { kind: 'problems', problems: PROBLEMS, layout: 'lines', shown: 'key' },
  chart: { kind: 'mat', mat: 'chart', places: 4, decimals: 1, rows: 2 },
  'signed mat': { kind: 'mat', mat: 'signed' },
  'ten frames': { kind: 'mat', mat: 'ten-frames', frames: 2 },
  plates: { kind: 'mat', mat: 'plates', plates: 5 },
  'open lines': { kind: 'mat', mat: 'open-line', lines: 4 },
  'ruled lines': { kind: 'mat', mat: 'ruled-line', from: -5, to: 5, parts: 1, lines: 2 },
  'ruled in parts': { kind: 'mat', mat: 'ruled-line', from: 0, to: 2, parts: 8, lines: 2 },
  'strips mat': { kind: 'mat', mat: 'strips', parts: [2, 4, 8], named: true },
  vessels: { kind: 'mat', mat: 'vessel', parts: 8, vessels: 2 },
  array: { kind: 'mat', mat: 'array', rows: 4, columns: 6 },
  rectangle: { kind: 'mat', mat: 'rectangle', across: 2, down: 2 },
  'column squares': { kind: 'mat', mat: 'squares', places: 3, decimals: 1 },
  'division squares': { kind: 'mat', mat: 'division', digits: 2 },
  blocks: { kind: 'pieces', piece: 'blocks', ones: 12, tens: 6, hundreds: 1 },
  counters: { kind: 'pieces', piece: 'counters', count: 24 },
  chips: {
    kind: 'pieces',
    piece: 'chips',
    chips: [
      { worth: '1', count: 5 },
      { worth: '1000', count: 4 },
      { worth: '0.1', count: 2 },
    ],
  },
  'plus and minus': { kind: 'pieces', piece: 'signed', plus: 9, minus: 7 },
  'strips to cut': {
    kind: 'pieces',
    piece: 'strips',
    strips: [
      { of: 1, count: 1 },
      { of: 2, count: 2 },
      { of: 8, count: 8 },
      { of: 12, count: 3 },
    ],
  },
  coins: {
    kind: 'pieces',
    piece: 'coins',
    coins: [
      { value: 25, count: 4 },
      { value: 10, count: 3 },
      { value: 1, count: 5 },
    ],
  },
  numerals: { kind: 'pieces', piece: 'numerals', digits: [0, 3, 7, 8], notched: true },
  spinner: { kind: 'pieces', piece: 'spinner', sectors: 5 },
  cards: { kind: 'pieces', piece: 'cards', cards: ['52 - 37', '1/2 + 1/3', '3 1/2', '15'] },
  'answer cards': { kind: 'pieces', piece: 'cards', cards: ['52 - 37', '1/2 + 1/3', '95 / 4'], answers: true },
  fingers: { kind: 'fingers', chart: 'fingers' },
  joints: { kind: 'fingers', chart: 'joints' },
  nines: { kind: 'fingers', chart: 'nines' },
  frames: { kind: 'beads', frame: 'abacus', numbers: ['17', '305', '86', '50.5'], shown: 'blank' },
  'frames key': { kind: 'beads', frame: 'frame', numbers: ['17', '305'], shown: 'key' },
  chains: {
    kind: 'chains',
    chains: [
      [3, 4, -2, 5],
      [12, 30, -21, 7],
      [123, -20, 45],
    ],
    shown: 'blank',
  },
  'chains key': {
    kind: 'chains',
    chains: [
      [3, 4, -2, 5],
      [12, 30, -21, 7],
      [123, -20, 45],
    ],
    shown: 'key',
  },
  stories: {
    kind: 'stories',
    problems: ['15 - 8', '8 + 7', '24 / 6', '6 * 4', '12 + 30'],
    shown: 'blank',
    seed: 3,
    inWords: false,
  },
  'stories key': {
    kind: 'stories',
    problems: ['15 - 8', '8 + 7', '24 / 6', '6 * 4'],
    shown: 'key',
    seed: 3,
    inWords: true,
  },
  lesson: {
    kind: 'words',
    title: 'Wren, Pip',
    under: 'Monday 30 November, 09:30, 15 minutes',
    sections: [
      { title: 'Shown to all', rows: [['all', '=52 - 37', 'base-ten blocks', '']] },
      { title: 'Say and ask', text: 'Break one ten into ten ones.\nHow many ones are there now?' },
      { title: 'Afterwards: Wren', blank: 3 },
    ],
  },
  ...Object.fromEntries(
    STRIPS.map(([problem, material]) => [`steps with ${material}`, { kind: 'steps', problem, material } as const]),
  ),
}
