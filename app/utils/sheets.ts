import { FINGER_CHARTS, MAT_NAMES, PIECE_NAMES, SHOWN, type MatId, type PieceId } from '../../core/paper/index'
import { cutOf, printExact, REPRESENTATIONS, type Exact, type RepresentationId } from '../../core/door'
import type { SheetChoice } from '../../shared/prints'

/** The sheets there are to choose from, what each is called, and what of it can be set. */

export type Field =
  | {
      readonly key: string
      readonly label: string
      readonly kind: 'number'
      readonly least: number
      readonly most: number
    }
  | { readonly key: string; readonly label: string; readonly kind: 'text'; readonly most: number }
  | { readonly key: string; readonly label: string; readonly kind: 'tick' }
  | {
      readonly key: string
      readonly label: string
      readonly kind: 'choice'
      readonly options: readonly (readonly [value: string, name: string])[]
    }

const number = (key: string, label: string, least: number, most: number): Field => ({
  key,
  label,
  kind: 'number',
  least,
  most,
})
const words = (key: string, label: string, most: number): Field => ({ key, label, kind: 'text', most })
const tick = (key: string, label: string): Field => ({ key, label, kind: 'tick' })
const choice = (key: string, label: string, options: readonly (readonly [string, string])[]): Field => ({
  key,
  label,
  kind: 'choice',
  options,
})

const SHOWN_NAMES: Readonly<Record<(typeof SHOWN)[number], string>> = {
  blank: 'blank',
  first: 'with the first step done',
  key: 'with all marks and answers',
}
const BLANK_OR_KEY = [
  ['blank', 'blank'],
  ['key', 'with answers'],
] as const
const FRAME_IDS = ['abacus', 'two-five', 'frame', 'stay-put'] as const satisfies readonly RepresentationId[]

interface Kind {
  readonly title: string
  readonly fields: readonly Field[]
  readonly first: SheetChoice
}

const FINGER_NAMES: Readonly<Record<(typeof FINGER_CHARTS)[number], string>> = {
  fingers: 'numbers',
  joints: 'marks on the joints',
  nines: 'nines',
}

const MATS: Readonly<Record<MatId, Pick<Kind, 'fields' | 'first'>>> = {
  chart: {
    fields: [
      number('places', 'Places', 1, 6),
      number('decimals', 'After the point', 0, 3),
      number('rows', 'Rows', 1, 3),
    ],
    first: { kind: 'mat', mat: 'chart', places: 3, decimals: 0, rows: 1 },
  },
  signed: { fields: [], first: { kind: 'mat', mat: 'signed' } },
  'ten-frames': { fields: [number('frames', 'Frames', 1, 8)], first: { kind: 'mat', mat: 'ten-frames', frames: 2 } },
  plates: { fields: [number('plates', 'Plates', 1, 12)], first: { kind: 'mat', mat: 'plates', plates: 4 } },
  'open-line': { fields: [number('lines', 'Lines', 1, 8)], first: { kind: 'mat', mat: 'open-line', lines: 5 } },
  'ruled-line': {
    fields: [
      number('from', 'From', -9999, 9999),
      number('to', 'To', -9999, 9999),
      number('parts', 'Parts of a whole', 1, 100),
      number('lines', 'Lines', 1, 8),
    ],
    first: { kind: 'mat', mat: 'ruled-line', from: 0, to: 20, parts: 1, lines: 4 },
  },
  strips: {
    fields: [words('parts', 'Kinds of parts', 100), tick('named', 'With names')],
    first: { kind: 'mat', mat: 'strips', parts: '2, 3, 4, 6, 8', named: true },
  },
  vessel: {
    fields: [number('parts', 'Level lines', 2, 24), number('vessels', 'Vessels', 1, 6)],
    first: { kind: 'mat', mat: 'vessel', parts: 10, vessels: 2 },
  },
  array: {
    fields: [number('rows', 'Rows', 1, 30), number('columns', 'In a row', 1, 30)],
    first: { kind: 'mat', mat: 'array', rows: 6, columns: 7 },
  },
  rectangle: {
    fields: [number('across', 'Parts across', 1, 4), number('down', 'Parts down', 1, 4)],
    first: { kind: 'mat', mat: 'rectangle', across: 2, down: 2 },
  },
  squares: {
    fields: [number('places', 'Places', 1, 9), number('decimals', 'After the point', 0, 3)],
    first: { kind: 'mat', mat: 'squares', places: 3, decimals: 0 },
  },
  division: { fields: [number('digits', 'Digits', 1, 9)], first: { kind: 'mat', mat: 'division', digits: 3 } },
}

const PIECES: Readonly<Record<PieceId, Pick<Kind, 'fields' | 'first'>>> = {
  blocks: {
    fields: [number('hundreds', 'Hundreds', 0, 100), number('tens', 'Tens', 0, 500), number('ones', 'Ones', 0, 999)],
    first: { kind: 'pieces', piece: 'blocks', ones: 20, tens: 10, hundreds: 1 },
  },
  counters: { fields: [number('count', 'How many', 1, 999)], first: { kind: 'pieces', piece: 'counters', count: 20 } },
  chips: {
    fields: [words('chips', 'Worth × how many', 400)],
    first: { kind: 'pieces', piece: 'chips', chips: '100 × 6, 10 × 12, 1 × 18' },
  },
  signed: {
    fields: [number('plus', 'Plus', 0, 999), number('minus', 'Minus', 0, 999)],
    first: { kind: 'pieces', piece: 'signed', plus: 12, minus: 12 },
  },
  strips: {
    fields: [words('strips', 'Parts of a whole × how many', 400)],
    first: { kind: 'pieces', piece: 'strips', strips: '1 × 2, 2 × 2, 4 × 4, 8 × 8' },
  },
  coins: {
    fields: [words('coins', 'Worth × how many', 400)],
    first: { kind: 'pieces', piece: 'coins', coins: '25 × 4, 10 × 6, 5 × 4, 1 × 10' },
  },
  numerals: {
    fields: [words('digits', 'Digits', 40), tick('notched', 'With notches')],
    first: { kind: 'pieces', piece: 'numerals', digits: '0123456789', notched: true },
  },
  spinner: { fields: [number('sectors', 'Sectors', 2, 12)], first: { kind: 'pieces', piece: 'spinner', sectors: 6 } },
  cards: {
    fields: [
      choice('of', 'With', [
        ['problems', 'the problems'],
        ['answers', 'their answers'],
        ['numbers', 'these numbers'],
      ]),
      words('numbers', 'Numbers', 400),
    ],
    first: { kind: 'pieces', piece: 'cards', of: 'problems', numbers: '1, 2, 3, 4, 5, 6, 7, 8, 9, 10' },
  },
}

/** Sheets that another place brings here, with nothing to be set. */
const BROUGHT = { record: 'What was worked, step by step', lying: 'The mat as it lies' } as const
const isBrought = (sheet: SheetChoice): sheet is Extract<SheetChoice, { kind: keyof typeof BROUGHT }> =>
  sheet.kind in BROUGHT
const OTHERS: Readonly<Record<Exclude<SheetChoice['kind'], 'mat' | 'pieces' | keyof typeof BROUGHT>, Kind>> = {
  problems: {
    title: 'Problems',
    fields: [
      choice(
        'shown',
        'Shown',
        SHOWN.map((s) => [s, SHOWN_NAMES[s]] as const),
      ),
      choice('layout', 'Set out', [
        ['squares', 'on squares'],
        ['lines', 'on lines'],
      ]),
    ],
    first: { kind: 'problems', layout: 'squares', shown: 'blank' },
  },
  steps: {
    title: 'Step by step',
    fields: [choice('material', 'With', []), tick('all', 'Every problem, not only the first')],
    first: { kind: 'steps', material: 'blocks', all: false },
  },
  stories: {
    title: 'Stories',
    fields: [
      choice('shown', 'Shown', BLANK_OR_KEY),
      number('seed', 'Which ones', 1, 999_999),
      tick('inWords', 'Numbers in words'),
    ],
    first: { kind: 'stories', shown: 'blank', seed: 1, inWords: false },
  },
  lesson: { title: 'The lesson', fields: [], first: { kind: 'lesson' } },
  learner: { title: 'What each learner can do', fields: [], first: { kind: 'learner' } },
  chains: {
    title: 'Chains',
    fields: [choice('shown', 'Shown', BLANK_OR_KEY)],
    first: { kind: 'chains', shown: 'blank' },
  },
  beads: {
    title: 'Frames to read',
    fields: [
      choice(
        'frame',
        'Frame',
        FRAME_IDS.map((id) => [id, id] as const),
      ),
      words('numbers', 'Numbers', 400),
      choice('shown', 'Shown', BLANK_OR_KEY),
    ],
    first: { kind: 'beads', frame: 'abacus', numbers: '7, 16, 25, 48, 60, 93', shown: 'blank' },
  },
  fingers: {
    title: 'Chart of hands',
    fields: [
      choice(
        'chart',
        'Of',
        FINGER_CHARTS.map((c) => [c, FINGER_NAMES[c]] as const),
      ),
    ],
    first: { kind: 'fingers', chart: 'fingers' },
  },
}

/** What a sheet is called. */
export const sheetTitle = (sheet: SheetChoice): string =>
  isBrought(sheet)
    ? BROUGHT[sheet.kind]
    : sheet.kind === 'mat'
      ? MAT_NAMES[sheet.mat]
      : sheet.kind === 'pieces'
        ? PIECE_NAMES[sheet.piece]
        : OTHERS[sheet.kind].title

/** What of a sheet can be set; materials are named as they are called here. */
export function fieldsOf(sheet: SheetChoice): readonly Field[] {
  if (isBrought(sheet)) return []
  const fields =
    sheet.kind === 'mat'
      ? MATS[sheet.mat].fields
      : sheet.kind === 'pieces'
        ? PIECES[sheet.piece].fields
        : OTHERS[sheet.kind].fields
  return fields
    .filter(
      (f) => !(sheet.kind === 'pieces' && sheet.piece === 'cards' && f.key === 'numbers' && sheet.of !== 'numbers'),
    )
    .map((f) =>
      f.key === 'frame' && f.kind === 'choice'
        ? { ...f, options: FRAME_IDS.map((id) => [id, REPRESENTATIONS[id].title] as const) }
        : f,
    )
}

/** All sheets in groups, as they are offered: an id, its name, and the sheet as it is at first. */
export const SHEET_GROUPS: readonly {
  readonly title: string
  readonly sheets: readonly { readonly id: string; readonly title: string; readonly first: SheetChoice }[]
}[] = [
  {
    title: 'From the problems',
    sheets: (['problems', 'steps', 'stories', 'chains', 'lesson', 'learner'] as const).map((id) => ({
      id,
      title: OTHERS[id].title,
      first: OTHERS[id].first,
    })),
  },
  {
    title: 'Mats',
    sheets: (Object.keys(MATS) as MatId[]).map((id) => ({
      id: `mat-${id}`,
      title: MAT_NAMES[id],
      first: MATS[id].first,
    })),
  },
  {
    title: 'To cut out',
    sheets: (Object.keys(PIECES) as PieceId[]).map((id) => ({
      id: `piece-${id}`,
      title: PIECE_NAMES[id],
      first: PIECES[id].first,
    })),
  },
  {
    title: 'To read',
    sheets: (['beads', 'fingers'] as const).map((id) => ({ id, title: OTHERS[id].title, first: OTHERS[id].first })),
  },
]

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
