import { FINGER_CHARTS, SHOWN, type MatId, type PieceId } from '../../core/paper/index'
import { cutOf, printExact, REPRESENTATION_IDS, type Exact, type RepresentationId } from '../../core/door'
import type { SheetChoice } from '../../shared/prints'

/** The sheets there are to choose from, and what of each can be set. */

/** One thing that can be set of a sheet: its key in the choice, and the key of its name in the catalogue of words. */
interface Named {
  readonly key: string
  readonly label: string
}
export type Field =
  | (Named & { readonly kind: 'number'; readonly least: number; readonly most: number })
  | (Named & { readonly kind: 'text'; readonly most: number })
  | (Named & { readonly kind: 'tick' })
  | (Named & { readonly kind: 'choice'; readonly options: readonly string[] })

const number = (key: string, least: number, most: number, label = key): Field => ({
  key,
  label,
  kind: 'number',
  least,
  most,
})
const words = (key: string, most: number, label = key): Field => ({ key, label, kind: 'text', most })
const tick = (key: string): Field => ({ key, label: key, kind: 'tick' })
const choice = (key: string, options: readonly string[], label = key): Field => ({
  key,
  label,
  kind: 'choice',
  options,
})

const BLANK_OR_KEY = ['blank', 'key'] as const
const FRAME_IDS = ['abacus', 'two-five', 'frame', 'stay-put'] as const satisfies readonly RepresentationId[]

interface Kind {
  readonly fields: readonly Field[]
  readonly first: SheetChoice
}

const MATS: Readonly<Record<MatId, Kind>> = {
  chart: {
    fields: [number('places', 1, 6), number('decimals', 0, 3), number('rows', 1, 3)],
    first: { kind: 'mat', mat: 'chart', places: 3, decimals: 0, rows: 1 },
  },
  signed: { fields: [], first: { kind: 'mat', mat: 'signed' } },
  'ten-frames': { fields: [number('frames', 1, 8)], first: { kind: 'mat', mat: 'ten-frames', frames: 2 } },
  plates: { fields: [number('plates', 1, 12)], first: { kind: 'mat', mat: 'plates', plates: 4 } },
  'open-line': { fields: [number('lines', 1, 8)], first: { kind: 'mat', mat: 'open-line', lines: 5 } },
  'ruled-line': {
    fields: [
      number('from', -9999, 9999),
      number('to', -9999, 9999),
      number('parts', 1, 100, 'unitParts'),
      number('lines', 1, 8),
    ],
    first: { kind: 'mat', mat: 'ruled-line', from: 0, to: 20, parts: 1, lines: 4 },
  },
  strips: {
    fields: [words('parts', 100, 'kinds'), tick('named')],
    first: { kind: 'mat', mat: 'strips', parts: '2, 3, 4, 6, 8', named: true },
  },
  vessel: {
    fields: [number('parts', 2, 24, 'levels'), number('vessels', 1, 6)],
    first: { kind: 'mat', mat: 'vessel', parts: 10, vessels: 2 },
  },
  array: {
    fields: [number('rows', 1, 30), number('columns', 1, 30)],
    first: { kind: 'mat', mat: 'array', rows: 6, columns: 7 },
  },
  rectangle: {
    fields: [number('across', 1, 4), number('down', 1, 4)],
    first: { kind: 'mat', mat: 'rectangle', across: 2, down: 2 },
  },
  squares: {
    fields: [number('places', 1, 9), number('decimals', 0, 3)],
    first: { kind: 'mat', mat: 'squares', places: 3, decimals: 0 },
  },
  division: { fields: [number('digits', 1, 9)], first: { kind: 'mat', mat: 'division', digits: 3 } },
}

const PIECES: Readonly<Record<PieceId, Kind>> = {
  blocks: {
    fields: [number('hundreds', 0, 100), number('tens', 0, 500), number('ones', 0, 999)],
    first: { kind: 'pieces', piece: 'blocks', ones: 20, tens: 10, hundreds: 1 },
  },
  counters: { fields: [number('count', 1, 999)], first: { kind: 'pieces', piece: 'counters', count: 20 } },
  chips: {
    fields: [words('chips', 400, 'valued')],
    first: { kind: 'pieces', piece: 'chips', chips: '100 × 6, 10 × 12, 1 × 18' },
  },
  signed: {
    fields: [number('plus', 0, 999), number('minus', 0, 999)],
    first: { kind: 'pieces', piece: 'signed', plus: 12, minus: 12 },
  },
  strips: {
    fields: [words('strips', 400)],
    first: { kind: 'pieces', piece: 'strips', strips: '1 × 2, 2 × 2, 4 × 4, 8 × 8' },
  },
  coins: {
    fields: [words('coins', 400, 'valued')],
    first: { kind: 'pieces', piece: 'coins', coins: '25 × 4, 10 × 6, 5 × 4, 1 × 10' },
  },
  numerals: {
    fields: [words('digits', 40), tick('notched')],
    first: { kind: 'pieces', piece: 'numerals', digits: '0123456789', notched: true },
  },
  spinner: { fields: [number('sectors', 2, 12)], first: { kind: 'pieces', piece: 'spinner', sectors: 6 } },
  cards: {
    fields: [choice('of', ['problems', 'answers', 'numbers'], 'cards'), words('numbers', 400)],
    first: { kind: 'pieces', piece: 'cards', of: 'problems', numbers: '1, 2, 3, 4, 5, 6, 7, 8, 9, 10' },
  },
}

/** Sheets that another place brings here, with nothing to be set. */
const BROUGHT = ['record', 'lying'] as const
type Brought = (typeof BROUGHT)[number]
const isBrought = (sheet: SheetChoice): sheet is Extract<SheetChoice, { kind: Brought }> =>
  BROUGHT.includes(sheet.kind as Brought)
const OTHERS: Readonly<Record<Exclude<SheetChoice['kind'], 'mat' | 'pieces' | Brought>, Kind>> = {
  problems: {
    fields: [choice('shown', SHOWN), choice('layout', ['squares', 'lines'])],
    first: { kind: 'problems', layout: 'squares', shown: 'blank' },
  },
  steps: {
    fields: [
      choice(
        'material',
        REPRESENTATION_IDS.filter((id) => id !== 'equations'),
      ),
      tick('all'),
    ],
    first: { kind: 'steps', material: 'blocks', all: false },
  },
  stories: {
    fields: [choice('shown', BLANK_OR_KEY), number('seed', 1, 999_999), tick('inWords')],
    first: { kind: 'stories', shown: 'blank', seed: 1, inWords: false },
  },
  lesson: { fields: [], first: { kind: 'lesson' } },
  learner: { fields: [], first: { kind: 'learner' } },
  chains: {
    fields: [choice('shown', BLANK_OR_KEY)],
    first: { kind: 'chains', shown: 'blank' },
  },
  beads: {
    fields: [choice('frame', FRAME_IDS), words('numbers', 400), choice('shown', BLANK_OR_KEY)],
    first: { kind: 'beads', frame: 'abacus', numbers: '7, 16, 25, 48, 60, 93', shown: 'blank' },
  },
  fingers: {
    fields: [choice('chart', FINGER_CHARTS)],
    first: { kind: 'fingers', chart: 'fingers' },
  },
}

/** What of a sheet can be set. */
export function sheetFields(sheet: SheetChoice): readonly Field[] {
  if (isBrought(sheet)) return []
  const { fields } =
    sheet.kind === 'mat' ? MATS[sheet.mat] : sheet.kind === 'pieces' ? PIECES[sheet.piece] : OTHERS[sheet.kind]
  return fields.filter(
    (f) => !(sheet.kind === 'pieces' && sheet.piece === 'cards' && f.key === 'numbers' && sheet.of !== 'numbers'),
  )
}

/** All sheets in groups, as they are offered, each as it is at first. */
export const SHEET_GROUPS = [
  {
    id: 'problems',
    sheets: (['problems', 'steps', 'stories', 'chains', 'lesson', 'learner'] as const).map((id) => OTHERS[id].first),
  },
  { id: 'mats', sheets: Object.values(MATS).map(({ first }) => first) },
  { id: 'pieces', sheets: Object.values(PIECES).map(({ first }) => first) },
  { id: 'reading', sheets: [OTHERS.beads.first, OTHERS.fingers.first] },
] as const satisfies readonly { readonly id: string; readonly sheets: readonly SheetChoice[] }[]

/** Ready sets of sheets, by what they are for; the first two need a lesson. */
export const READY_SETS = ['lesson', 'supply', 'home', 'felt'] as const
export type ReadySet = (typeof READY_SETS)[number]
/** What a ready set holds, for what is worked with a material (common practice, no source). */
export function readySheets(set: ReadySet, material: RepresentationId): readonly SheetChoice[] {
  const blank: SheetChoice = { kind: 'problems', layout: 'squares', shown: 'blank' }
  const key: SheetChoice = { kind: 'problems', layout: 'squares', shown: 'key' }
  const steps = (all: boolean): SheetChoice => ({ kind: 'steps', material, all })
  switch (set) {
    case 'lesson':
      return [{ kind: 'lesson' }, blank, key, steps(false)]
    case 'supply':
      return [{ kind: 'lesson' }, { kind: 'learner' }, blank, key, steps(true)]
    case 'home':
      return [blank, { kind: 'problems', layout: 'squares', shown: 'first' }, steps(false)]
    case 'felt':
      return [steps(false), MATS.chart.first, MATS['ruled-line'].first]
  }
}

/** Numbers in a list, as they are typed: `2, 3, 4`. */
export const listIn = (text: string): readonly string[] => text.split(/[\s,;]+/).filter((t) => t !== '')

/** So many of each, as it is typed: `25 × 4, 10 × 6`; or what cannot be read of it. */
export function countedIn(
  text: string,
): readonly { readonly of: string; readonly count: number }[] | { readonly unread: string } {
  const parts = text
    .split(/[,;\n]+/)
    .map((t) => t.trim())
    .filter((t) => t !== '')
  const found = parts.map((part) => /^(\d[\d.]*)\s*(?:[×x*]\s*(\d{1,3}))?$/i.exec(part))
  const bad = found.findIndex((m) => m === null)
  if (bad >= 0) return { unread: parts[bad]! }
  return found.map((m) => ({ of: m![1]!, count: Number(m![2] ?? 1) }))
}

/** Pieces that are wanted as a sheet to be cut out; null where they cannot be cut, or none are wanted. */
export function cutOuts(
  material: RepresentationId,
  wanted: readonly { readonly kind: string; readonly unit: Exact; readonly count: number }[],
): SheetChoice | null {
  const short = wanted.filter((w) => w.count > 0)
  if (short.length === 0) return null
  const most = (kind: string, at: number): number => Math.min(at, short.find((w) => w.kind === kind)?.count ?? 0)
  const list = (of: (unit: Exact) => string): string =>
    short.map((w) => `${of(w.unit)} × ${Math.min(999, w.count)}`).join(', ')
  const blocks: SheetChoice = {
    kind: 'pieces',
    piece: 'blocks',
    ones: most('one', 999),
    tens: most('ten', 500),
    hundreds: most('hundred', 100),
  }
  switch (material) {
    case 'blocks':
    case 'plates':
      return blocks.ones + blocks.tens + blocks.hundreds > 0 ? blocks : null
    case 'counters':
    case 'groups':
      return { kind: 'pieces', piece: 'counters', count: Math.min(999, short[0]!.count) }
    case 'chips':
      return { kind: 'pieces', piece: 'chips', chips: list(printExact) }
    case 'signed':
      return { kind: 'pieces', piece: 'signed', plus: most('plus', 999), minus: most('minus', 999) }
    case 'strips':
      return { kind: 'pieces', piece: 'strips', strips: list((unit) => String(cutOf(unit))) }
    case 'coins':
      return { kind: 'pieces', piece: 'coins', coins: list((unit) => unit) }
    default:
      return null
  }
}
