import { currencyOf, moneyText } from '../number/money'
import { groupedIn } from '../number/grouped'
import { pretty } from '../speech/words'
import { Refusal } from '../refusal'
import { hatchOf } from '../representation/parts/layout'
import { circle, hatched, line, moved, rect, type Mark, type Picture } from './drawing'
import { inner, label, outline, texture } from './marks'
import { mathLine, numberMark, numberWidth } from './lines'
import { parseProblem } from '../problem/parse'
import { answerText } from './problems'
import { STRIP } from './mats'
import { CUT, type Content, type Room } from './page'
import { numeralPicture } from './pictures/hands'
import { minusPath, plusPath } from './pictures/pieces'
import { blockMarks } from './pictures/placed'
import { bold, labelWidth, sizeFor, type Setting } from './setting'

/** Pieces to cut out, at true size. */

export type PiecesWish = { readonly kind: 'pieces' } & (
  | { readonly piece: 'blocks'; readonly ones: number; readonly tens: number; readonly hundreds: number }
  | { readonly piece: 'counters'; readonly count: number }
  /** Discs with what each is worth, as many of a kind as are wanted. */
  | { readonly piece: 'chips'; readonly chips: readonly { readonly worth: string; readonly count: number }[] }
  | { readonly piece: 'signed'; readonly plus: number; readonly minus: number }
  | { readonly piece: 'strips'; readonly strips: readonly { readonly of: number; readonly count: number }[] }
  /** Coins of the class's own set, by what they are worth in the small unit. */
  | { readonly piece: 'coins'; readonly coins: readonly { readonly value: number; readonly count: number }[] }
  | { readonly piece: 'numerals'; readonly digits: readonly number[]; readonly notched: boolean }
  | { readonly piece: 'spinner'; readonly sectors: number }
  /** A card for each text: numbers or number sentences; or with `answers` for the answer of each. */
  | { readonly piece: 'cards'; readonly cards: readonly string[]; readonly answers?: boolean }
)
export type PieceId = PiecesWish['piece']
type Of<P extends PieceId> = Extract<PiecesWish, { piece: P }>

export const PIECE_NAMES: Readonly<Record<PieceId, string>> = {
  blocks: 'Blocks to cut out',
  counters: 'Counters to cut out',
  chips: 'Chips to cut out',
  signed: 'Plus and minus counters to cut out',
  strips: 'Strips to cut out',
  coins: 'Coins to cut out',
  numerals: 'Numerals',
  spinner: 'Spinner',
  cards: 'Cards to cut out',
}

/** The most pieces that are printed of one wish. */
export const MOST_PIECES = 2000
/** Into how many parts a strip of 180 mm can still be cut with scissors. */
const MOST_CUT = 30
/** Sizes in millimetres: a block of one, a chip, a counter, and a plus or minus counter. */
export const SIZES_CUT = { one: 10, chip: 25, counter: 20, signed: 20 } as const

const times = <T>(count: number, thing: T): readonly T[] => new Array<T>(count).fill(thing)

/** Pieces in rows, the higher ones first, on as many sheets as they need. @throws Refusal where one is larger than a sheet. */
function packed(pieces: readonly Picture[], room: Room, gap: number): readonly (readonly Mark[])[] {
  if (pieces.length > MOST_PIECES)
    throw new Refusal(`That is ${pieces.length} pieces; ${MOST_PIECES} are printed at once at most.`)
  if (pieces.some((p) => p.w > room.w + 0.01 || p.h > room.h + 0.01))
    throw new Refusal('A piece is larger than the sheet at true size.', 'Print one to a page.')
  const sheets: Mark[][] = [[]]
  const left = [...pieces].sort((a, b) => b.h - a.h)
  let y = 0
  while (left.length > 0) {
    const high = left[0]!.h
    if (y > 0 && y + high > room.h + 0.01) {
      sheets.push([])
      y = 0
    }
    for (let x = 0; ;) {
      // Of what is left the first that still has room in this row: narrower pieces fill up beside wide ones.
      const next = left.findIndex((p) => x + p.w <= room.w + 0.01)
      if (next < 0) break
      const [p] = left.splice(next, 1)
      sheets.at(-1)!.push(moved(p!.marks, x, y, 1, 'figure'))
      x += p!.w + gap
    }
    y += high + gap
  }
  return sheets
}

const disc = (s: Setting, across: number, words: string, wide = bold(s)): Picture => {
  const r = across / 2
  const most = s.big ? 24 : 16
  const size = Math.min(most, (across * 0.72) / (0.2 * Math.max(1, words.length)))
  const fits = labelWidth(s, words, size) < across - 2
  return {
    w: across,
    h: across,
    marks: [
      circle(r, r, r - wide / 2, { wide }),
      ...(words !== '' && fits
        ? [label(s, r, r + (s.tactile ? 3.2 : size * 0.125), words, size, 'middle', 'bold')]
        : []),
    ],
  }
}

function blocks({ ones, tens, hundreds }: Of<'blocks'>, s: Setting): readonly Picture[] {
  const looks = {
    edge: outline(s),
    inner: s.tactile ? { wide: 0.8 } : { stroke: 'grey' as const, wide: 0.25 },
  }
  const kind = (place: number): Picture => blockMarks(place, SIZES_CUT.one, looks)
  return [...times(hundreds, kind(2)), ...times(tens, kind(1)), ...times(ones, kind(0))]
}

function strips({ strips: kinds }: Of<'strips'>, s: Setting): readonly Picture[] {
  return kinds.flatMap(({ of, count }): readonly Picture[] => {
    if (!Number.isInteger(of) || of < 1 || of > MOST_CUT)
      throw new Refusal(`A whole is cut into 1 to ${MOST_CUT} equal parts.`)
    const w = STRIP.whole / of
    const { angle, gap } = hatchOf(of)
    const name = of === 1 ? '1' : `1/${of}`
    const size = sizeFor(s, 'learner')
    const fits = numberWidth(s, name, size) < w - (s.tactile ? 6 : 1)
    const fill: Mark[] = []
    if (of > 1 && !s.tactile) fill.push(hatched(0, 0, w, 6, angle, gap * 0.4, { stroke: 'grey', wide: 0.15 }))
    // To the touch, half of the strip has the texture of its kind, the other half its name.
    if (of > 1 && s.tactile && w > 10) fill.push(texture(1, STRIP.high - 10, w - 2, 9, of))
    return times(count, {
      w,
      h: STRIP.high,
      marks: [
        rect(0, 0, w, STRIP.high, outline(s)),
        ...fill,
        ...(fits ? [numberMark(s, w / 2, s.tactile ? 8 : 15.5, name, size)] : []),
      ],
    })
  })
}

function coins({ coins: wanted }: Of<'coins'>, s: Setting): readonly Picture[] {
  const currency = currencyOf(s.choices.money)
  return wanted.flatMap(({ value, count }) => {
    const coin = currency.coins.find((c) => c.value === value)
    if (!coin) throw new Refusal(`The class has no coin worth ${value}.`, 'The coins are chosen in the classroom.')
    // A plain disc of the true size: the line lies within it.
    return times(
      count,
      disc(s, coin.across, s.tactile ? String(value) : moneyText(value, currency), s.tactile ? 1 : 0.4),
    )
  })
}

/** The room around a numeral on its card. */
const AROUND = 9
function numerals({ digits, notched }: Of<'numerals'>, s: Setting): readonly Picture[] {
  const scale = 0.7
  return digits.map((d) => {
    if (!Number.isInteger(d) || d < 0 || d > 9) throw new Refusal('Numerals are the digits 0 to 9.')
    const p = numeralPicture(d, scale, new Set(), notched)
    // Notches reach beyond the pen's way.
    const [w, h] = [p.w + 2 * AROUND, p.h + 2 * AROUND]
    return { w, h, marks: [rect(0, 0, w, h, s.tactile ? outline(s) : CUT), moved(p.marks, AROUND, AROUND)] }
  })
}

/** A disc in equal sectors, to be turned about a pencil through its middle. */
function spinner({ sectors }: Of<'spinner'>, s: Setting, room: Room): readonly Picture[] {
  const r = Math.min(80, room.w / 2, room.h / 2) - 1
  const at = (turn: number, reach: number): readonly [number, number] => {
    const angle = 2 * Math.PI * turn - Math.PI / 2
    return [r + 1 + reach * Math.cos(angle), r + 1 + reach * Math.sin(angle)]
  }
  const marks: Mark[] = [circle(r + 1, r + 1, r, { wide: bold(s) }), circle(r + 1, r + 1, 1.5, { wide: bold(s) })]
  for (let i = 0; i < sectors; i++) {
    const [x, y] = at(i / sectors, r)
    const [fx, fy] = at(i / sectors, s.tactile ? 8 : 1.5)
    marks.push(line(fx, fy, x, y, inner(s)))
    const [lx, ly] = at((i + 0.5) / sectors, r * 0.68)
    marks.push(label(s, lx, ly + 3, String(i + 1), s.big ? 40 : 28, 'middle', 'bold'))
  }
  return [{ w: 2 * r + 2, h: 2 * r + 2, marks }]
}

function cards({ cards: typed, answers }: Of<'cards'>, s: Setting): readonly Picture[] {
  const all = answers ? typed.map((problem) => answerText(parseProblem(problem))) : typed
  const size = s.big ? 36 : 26
  const set = all.map((words) => mathLine(s, words, size, 'bold'))
  const widths = all.map((words, i) => (s.tactile ? labelWidth(s, pretty(words), size) : set[i]!.w))
  const w = Math.max(40, ...widths.map((n) => n + 12))
  const h = Math.max(28, ...set.map((b) => b.h + 14))
  return set.map((b, i) => ({
    w,
    h,
    marks: [rect(0, 0, w, h, s.tactile ? outline(s) : CUT), moved(b.marks, (w - widths[i]!) / 2, (h - b.h) / 2)],
  }))
}

function picturesOf(wish: PiecesWish, room: Room, s: Setting): readonly Picture[] {
  switch (wish.piece) {
    case 'blocks':
      return blocks(wish, s)
    case 'counters':
      return times(wish.count, disc(s, SIZES_CUT.counter, ''))
    case 'chips':
      return wish.chips.flatMap(({ worth, count }) => times(count, disc(s, SIZES_CUT.chip, groupedIn(worth, 'comma'))))
    case 'signed': {
      const k = SIZES_CUT.signed / 10
      const side = SIZES_CUT.signed
      const look = { wide: bold(s) }
      return [
        ...times(wish.plus, { w: side, h: side, marks: [plusPath(0, 0, k, look)] }),
        ...times(wish.minus, { w: side, h: side, marks: [minusPath(0, 0, k, look)] }),
      ]
    }
    case 'strips':
      return strips(wish, s)
    case 'coins':
      return coins(wish, s)
    case 'numerals':
      return numerals(wish, s)
    case 'spinner':
      return spinner(wish, s, room)
    case 'cards':
      return cards(wish, s)
  }
}

/** Pieces to cut out. @throws Refusal where they are too many, or one is larger than the sheet. */
export function pieceSheets(wish: PiecesWish, room: Room, s: Setting): Content {
  const pieces = picturesOf(wish, room, s)
  if (pieces.length === 0) throw new Refusal('Nothing is chosen to be cut out.', 'Say how many of a kind.')
  return { title: PIECE_NAMES[wish.piece], sheets: packed(pieces, room, s.tactile ? 7 : 2) }
}
