import { capital } from '../number/words'
import { groupedIn } from '../number/grouped'
import { printExact } from '../number/numeral'
import { placeName, unitOf } from '../number/places'
import { mixedText } from '../number/fractions'
import { numberMark, numberWidth } from './lines'
import { Refusal } from '../refusal'
import { circle, line, lines, moved, path, rect, type Mark } from './drawing'
import { figure, inner, label, outline, texture } from './marks'
import type { Content, Room } from './page'
import { ruledSquares } from './pictures/sheets'
import { hatchOf } from '../representation/parts/layout'
import { hatched } from './drawing'
import { bold, labelWidth, sizeFor, wordsOf, type Setting } from './setting'

/** Mats to lay pieces on, and lines to draw on, at true scale. */

export type MatWish = { readonly kind: 'mat' } & (
  | { readonly mat: 'chart'; readonly places: number; readonly decimals: number; readonly rows: number }
  | { readonly mat: 'signed' }
  | { readonly mat: 'ten-frames'; readonly frames: number }
  | { readonly mat: 'plates'; readonly plates: number }
  | { readonly mat: 'open-line'; readonly lines: number }
  | {
      readonly mat: 'ruled-line'
      readonly from: number
      readonly to: number
      /** Into how many parts each whole is ruled. */
      readonly parts: number
      readonly lines: number
    }
  | { readonly mat: 'strips'; readonly parts: readonly number[]; readonly named: boolean }
  | { readonly mat: 'vessel'; readonly parts: number; readonly vessels: number }
  | { readonly mat: 'array'; readonly rows: number; readonly columns: number }
  | { readonly mat: 'rectangle'; readonly across: number; readonly down: number }
  | { readonly mat: 'squares'; readonly places: number; readonly decimals: number }
  | { readonly mat: 'division'; readonly digits: number }
)
export type MatId = MatWish['mat']
type Of<M extends MatId> = Extract<MatWish, { mat: M }>

/** Which mats lie across. */
export const LIES_ACROSS: readonly MatId[] = ['chart', 'signed', 'open-line', 'ruled-line', 'strips', 'plates']

/** What a mat is called on the sheet and on the screen. */
export const MAT_NAMES: Readonly<Record<MatId, string>> = {
  chart: 'Place-value chart',
  signed: 'Plus and minus mat',
  'ten-frames': 'Ten frames',
  plates: 'Plates',
  'open-line': 'Open lines',
  'ruled-line': 'Ruled lines',
  strips: 'Strips in parts',
  vessel: 'Vessels',
  array: 'Array',
  rectangle: 'Split rectangle',
  squares: 'Column squares',
  division: 'Division squares',
}

/** Things of one size in a grid that fills the room as well as it can: where each begins. */
function grid(count: number, w: number, h: number, room: Room, gap: number): readonly (readonly [number, number])[] {
  const across = Math.max(1, Math.min(count, Math.floor((room.w + gap) / (w + gap))))
  const down = Math.ceil(count / across)
  if (down * (h + gap) - gap > room.h + 0.01 || w > room.w + 0.01)
    throw new Refusal('That does not fit on the sheet at true scale.', 'Choose fewer, or one to a page.')
  return Array.from(
    { length: count },
    (_, i) => [(i % across) * (w + gap), Math.floor(i / across) * (h + gap)] as const,
  )
}

const nameOf = (s: Setting, place: number): string => {
  const words = wordsOf(s)
  return place === 0 ? words.ones[1] : placeName(place, 2)
}

function chart({ places, decimals, rows }: Of<'chart'>, room: Room, s: Setting): readonly Mark[] {
  const count = places + decimals
  const w = room.w / count
  const size = sizeFor(s, 'learner')
  const head = s.tactile ? 16 : size * 0.9
  const marks: Mark[] = [rect(0, 0, room.w, room.h, outline(s)), line(0, head, room.w, head, outline(s))]
  for (let r = 1; r < rows; r++) {
    const y = head + ((room.h - head) * r) / rows
    marks.push(line(0, y, room.w, y, s.tactile ? outline(s) : { wide: 0.4, dash: [3, 2] }))
  }
  const labels: Mark[] = []
  for (let i = 0; i < count; i++) {
    const place = places - 1 - i
    if (i > 0) marks.push(line(i * w, 0, i * w, room.h, place === -1 ? { wide: bold(s) * 2 } : outline(s)))
    const name = capital(nameOf(s, place))
    // The name where it has room, else what the place is worth.
    const worth = groupedIn(printExact(unitOf(place)), 'comma')
    const fits = labelWidth(s, name, size) < w - (s.tactile ? 8 : 3)
    labels.push(label(s, (i + 0.5) * w, head - (s.tactile ? 5 : 3.2), fits ? name : worth, size))
  }
  return [figure([...marks, ...labels])]
}

function signedMat(_: Of<'signed'>, room: Room, s: Setting): readonly Mark[] {
  const mid = room.h / 2
  const [k, bar] = [12, s.tactile ? 4 : 3]
  const plus = path(`M${k} 8L${k} ${8 + k}M${k - k / 2} ${8 + k / 2}L${k + k / 2} ${8 + k / 2}`, { wide: bar })
  const minus = line(k / 2, room.h - 8 - k / 2, k * 1.5, room.h - 8 - k / 2, { wide: bar })
  return [
    figure([
      rect(0, 0, room.w, room.h, outline(s)),
      line(0, mid, room.w, mid, { wide: bold(s) * 2 }),
      plus,
      minus,
      ...(s.tactile
        ? []
        : [label(s, room.w - 2, mid - 2.5, 'a plus and a minus on the line: a zero pair', sizeFor(s, 'small'), 'end')]),
    ]),
  ]
}

/** The squares of a ten frame: 25 mm, so that a counter of 20 mm lies well within one. */
const FRAME = 25
function tenFrames({ frames }: Of<'ten-frames'>, room: Room, s: Setting): readonly Mark[] {
  const [w, h] = [5 * FRAME, 2 * FRAME]
  return grid(frames, w, h, room, 10).map(([x, y]) =>
    figure(
      [
        lines(
          [...[1, 2, 3, 4].map((i) => [i * FRAME, 0, i * FRAME, h] as const), [0, FRAME, w, FRAME]],
          s.tactile ? outline(s) : { wide: 0.5 },
        ),
        rect(0, 0, w, h, { wide: bold(s) * 1.6 }),
      ],
      x,
      y,
    ),
  )
}

function plates({ plates: count }: Of<'plates'>, room: Room, s: Setting): readonly Mark[] {
  // As large as so many plates can be.
  for (let across = Math.min(180, room.h, room.w); across >= 30; across -= 2) {
    const spots = (() => {
      const perRow = Math.floor((room.w + 6) / (across + 6))
      const perColumn = Math.floor((room.h + 6) / (across + 6))
      return perRow * perColumn >= count ? grid(count, across, across, room, 6) : undefined
    })()
    if (spots)
      return spots.map(([x, y]) => {
        const r = across / 2
        return figure([
          circle(x + r, y + r, r - 0.8, { wide: bold(s) }),
          ...(s.tactile ? [] : [circle(x + r, y + r, r * 0.8, { stroke: 'grey', wide: 0.25 })]),
        ])
      })
  }
  throw new Refusal(`${count} plates do not fit on one sheet.`)
}

function openLines({ lines: count }: Of<'open-line'>, room: Room, s: Setting): readonly Mark[] {
  const step = room.h / count
  return Array.from({ length: count }, (_, i) =>
    figure([line(0, (i + 0.7) * step, room.w, (i + 0.7) * step, { wide: bold(s) })]),
  )
}

/** The nearest that marks may stand, in millimetres: to the eye, and to a finger. */
const LEAST_MARK = { seen: 1.5, felt: 6 }
/** More marks than this are not counted on any line. */
export const MOST_MARKS = 200

function ruledLines({ from, to, parts, lines: count }: Of<'ruled-line'>, room: Room, s: Setting): readonly Mark[] {
  if (!(to > from)) throw new Refusal('A line goes from a smaller number to a greater one.')
  const marks = Math.round((to - from) * parts)
  const edge = 8
  const gap = (room.w - 2 * edge) / marks
  if (marks > MOST_MARKS || gap < (s.tactile ? LEAST_MARK.felt : LEAST_MARK.seen))
    throw new Refusal(
      `${marks + 1} marks do not fit on one line${s.tactile ? ' that is to be felt' : ''}.`,
      'Rule it from a nearer number, or in fewer parts.',
    )
  const size = sizeFor(s, 'learner') * (s.big ? 1 : 0.8)
  const named = (i: number): string => {
    const k = Math.round(from * parts) + i
    const [whole, top] = [Math.trunc(Math.abs(k) / parts), Math.abs(k) % parts]
    if (/^10*$/.test(String(parts))) return String(Number((k / parts).toFixed(4)))
    return top === 0 ? String(k < 0 ? -whole : whole) : mixedText(BigInt(whole), BigInt(top), BigInt(parts), k < 0)
  }
  const all = Array.from({ length: marks + 1 }, (_, i) => i)
  // Every mark has its number where there is room; else every second, fifth, tenth …
  const widest = Math.max(...all.map((i) => numberWidth(s, named(i), size)))
  const every = [1, 2, 5, 10, 20, 25, 50, 100, 200].find((n) => n * gap > widest + (s.tactile ? 6 : 2)) ?? marks
  const labelled = (i: number): boolean => (Math.round(from * parts) + i) % every === 0
  const high = s.tactile ? 34 : s.big ? 30 : 24
  const step = Math.max(high, room.h / count)
  if (step * count > room.h + 0.01) throw new Refusal(`${count} lines do not fit on one sheet.`, 'Choose fewer.')
  return Array.from({ length: count }, (_, n) => {
    const y = (n + 0.5) * step
    const half = (i: number): number => (labelled(i) ? (s.tactile ? 6 : 4) : s.tactile ? 3.5 : 2)
    return figure([
      line(0, y, room.w, y, { wide: bold(s) }),
      path(`M${room.w - 4} ${y - 2.5}L${room.w} ${y}L${room.w - 4} ${y + 2.5}`, { wide: bold(s) }),
      lines(
        all.map((i) => [edge + i * gap, y - half(i), edge + i * gap, y + half(i)] as const),
        { wide: s.tactile ? 1 : 0.35 },
      ),
      ...all.flatMap((i) =>
        labelled(i) ? [numberMark(s, edge + i * gap, y + (s.tactile ? 14.5 : s.big ? 12 : 9), named(i), size)] : [],
      ),
    ])
  })
}

/** How long and how high the strip of one whole is, wherever it is printed: so strips that are cut out lie on the mat. */
export const STRIP = { whole: 180, high: 25 } as const

/** A strip of parts: outlines, and the name of its part in the first of them. */
function strips({ parts, named }: Of<'strips'>, room: Room, s: Setting): readonly Mark[] {
  if (room.w < STRIP.whole) throw new Refusal('The strips do not fit on half a page.', 'Print one to a page.')
  const gap = s.tactile ? 7 : 6
  const rows = [1, ...parts.filter((n) => n > 1)]
  const high = Math.min(STRIP.high, (room.h - gap * (rows.length - 1)) / rows.length)
  if (high < (s.tactile ? 14 : 8))
    throw new Refusal(`${rows.length} strips do not fit on one sheet.`, 'Choose fewer kinds.')
  return rows.map((n, i) => {
    const [y, w] = [i * (high + gap), STRIP.whole / n]
    if (s.tactile && w < 6) throw new Refusal(`${n} parts are too narrow to be felt.`, 'Choose larger parts.')
    const name = n === 1 ? '1' : `1/${n}`
    const size = Math.min(sizeFor(s, 'learner'), s.big ? 99 : 16)
    const fits = named && numberWidth(s, name, size) < w - (s.tactile ? 7 : 2) && high > (s.tactile ? 14 : size * 0.8)
    return figure(
      [
        rect(0, 0, STRIP.whole, high, outline(s)),
        lines(
          Array.from({ length: n - 1 }, (_, k) => [(k + 1) * w, 0, (k + 1) * w, high] as const),
          inner(s),
        ),
        ...(fits ? [numberMark(s, w / 2, high / 2, name, size)] : []),
      ],
      0,
      y,
    )
  })
}

function vessels({ parts, vessels: count }: Of<'vessel'>, room: Room, s: Setting): readonly Mark[] {
  const gap = 12
  const w = Math.min(80, (room.w - gap * (count - 1)) / count)
  const high = Math.min(room.h - 8, w * 2.4)
  const step = high / parts
  if (w < 20 || step < (s.tactile ? LEAST_MARK.felt : LEAST_MARK.seen))
    throw new Refusal('Those level lines are too near to be told apart.', 'Choose fewer vessels or parts.')
  return Array.from({ length: count }, (_, i) =>
    figure(
      [
        path(`M0 0L0 ${high + 6}L${w} ${high + 6}L${w} 0`, { wide: bold(s) * 1.5 }),
        lines(
          Array.from({ length: parts }, (_, n) => {
            const y = high + 6 - (n + 1) * step
            return [0, y, n + 1 === parts ? w * 0.5 : w * 0.3, y] as const
          }),
          inner(s),
        ),
      ],
      i * (w + gap),
      0,
    ),
  )
}

function array({ rows, columns }: Of<'array'>, room: Room, s: Setting): readonly Mark[] {
  const step = Math.min(26, room.w / columns, room.h / rows)
  const r = step / 2 - (s.tactile ? 3.2 : 1)
  if (r < (s.tactile ? 2.5 : 1.5))
    throw new Refusal(`${rows} rows of ${columns} are too many for one sheet.`, 'Choose fewer.')
  return Array.from({ length: rows * columns }, (_, i) => {
    const [x, y] = [((i % columns) + 0.5) * step, (Math.floor(i / columns) + 0.5) * step]
    return figure([circle(x, y, r, { wide: Math.min(bold(s), 1.2) })])
  })
}

function rectangle({ across, down }: Of<'rectangle'>, room: Room, s: Setting): readonly Mark[] {
  const [left, top] = [26, 16]
  const [w, h] = [room.w - left, Math.min(room.h - top, (room.w - left) * 0.75)]
  const inside = (count: number, whole: number): readonly number[] =>
    // The first part is the tens, so it has more of the room.
    Array.from({ length: count - 1 }, (_, i) => (whole * (i + 1) * 1.5) / (count + 0.5))
  return [
    figure([
      rect(left, top, w, h, { wide: bold(s) * 1.5 }),
      ...inside(across, w).map((x) => line(left + x, top, left + x, top + h, outline(s))),
      ...inside(down, h).map((y) => line(left, top + y, left + w, top + y, outline(s))),
    ]),
  ]
}

/** How large a square to write a figure in is, in millimetres. */
const squareSize = ({ big, tactile }: Pick<Setting, 'big' | 'tactile'>): number => (big || tactile ? 14 : 9)

/** Squared paper with the names of its places over it, in as many sheets side by side as there is room for. */
function squares({ places, decimals }: Of<'squares'>, room: Room, s: Setting): readonly Mark[] {
  const unit = squareSize(s)
  const columns = places + decimals + 1
  const size = s.big ? 24 : 11
  const head = s.tactile ? 12 : s.big ? 11 : 7
  const rows = 5
  const [w, h] = [columns * unit, head + rows * unit]
  const across = Math.floor((room.w + 10) / (w + 10))
  const down = Math.floor((room.h + 10) / (h + 10))
  if (across < 1 || down < 1) throw new Refusal('So many places do not fit on the sheet.', 'Choose fewer.')
  const letter = (place: number): string => {
    const name = nameOf(s, place)
    return place === 0 || place === 1
      ? capital(name.slice(0, 1))
      : place < 0
        ? name.slice(0, 1)
        : capital(name.slice(0, place > 2 ? 2 : 1))
  }
  return grid(across * down, w, h, room, 10).map(([x, y]) =>
    figure(
      [
        ...Array.from({ length: places + decimals }, (_, i) =>
          label(s, (i + 1.5) * unit, head - (s.tactile ? 4 : 2), letter(places - 1 - i), size),
        ),
        moved([ruledSquares({ unit, tactile: s.tactile }, columns, rows)], 0, head),
        line(0, head + (rows - 1) * unit, w, head + (rows - 1) * unit, { wide: bold(s) * 1.5 }),
        ...(decimals > 0
          ? [circle((places + 1) * unit, head + 3 * unit, s.tactile ? 1.2 : 0.8, { fill: 'black', stroke: 'none' })]
          : []),
      ],
      x,
      y,
    ),
  )
}

/** Squares for long division with its bracket, and the card that covers what is not needed yet, to be cut out. */
function division({ digits }: Of<'division'>, room: Room, s: Setting): readonly Mark[] {
  const unit = squareSize(s) + (s.tactile ? 0 : 2)
  const [lead, rows] = [3, 2 + 2 * digits]
  const columns = lead + digits
  const [w, h] = [columns * unit, rows * unit]
  const card = digits * unit
  const [cardHigh, gap] = [unit * 1.6, 12]
  const across = Math.floor((room.w + gap) / (w + gap))
  const down = Math.floor((room.h - cardHigh - gap + gap) / (h + gap))
  if (across < 1 || down < 1) throw new Refusal('So many digits do not fit on the sheet.', 'Choose fewer.')
  const top = down * (h + gap)
  const words = 'card: covers the digits that are not needed yet'
  const roomy = s.measure(words, 'regular', sizeFor(s, 'small')) < room.w - card - 6
  return [
    ...grid(across * down, w, h, room, gap).map(([x, y]) =>
      figure(
        [
          ruledSquares({ unit, tactile: s.tactile }, columns, rows),
          line(lead * unit, unit, w, unit, { wide: bold(s) * 1.6 }),
          path(`M${lead * unit} ${unit}Q${(lead + 0.4) * unit} ${unit * 1.5} ${lead * unit} ${2 * unit}`, {
            wide: bold(s) * 1.6,
          }),
        ],
        x,
        y,
      ),
    ),
    figure(
      [
        rect(0, 0, card, cardHigh, { wide: s.tactile ? bold(s) : 0.3, dash: [2, 2] }),
        ...(s.tactile
          ? [texture(1, 1, card - 2, cardHigh - 2, 1)]
          : [
              hatched(0, 0, card, cardHigh, hatchOf(3).angle, 4, { stroke: 'grey', wide: 0.15 }),
              ...(roomy
                ? [label(s, card + 4, cardHigh / 2 + 1.5, words, sizeFor(s, 'small'), 'start', 'regular')]
                : []),
            ]),
      ],
      0,
      top,
    ),
  ]
}

const DRAW: { readonly [M in MatId]: (wish: Of<M>, room: Room, s: Setting) => readonly Mark[] } = {
  chart,
  signed: signedMat,
  'ten-frames': tenFrames,
  plates,
  'open-line': openLines,
  'ruled-line': ruledLines,
  strips,
  vessel: vessels,
  array,
  rectangle,
  squares,
  division,
}

/** A mat at true scale. @throws Refusal where it does not fit on the sheet. */
export const matSheets = (wish: MatWish, room: Room, s: Setting): Content => ({
  title: MAT_NAMES[wish.mat],
  sheets: [(DRAW[wish.mat] as (wish: MatWish, room: Room, s: Setting) => readonly Mark[])(wish, room, s)],
})
