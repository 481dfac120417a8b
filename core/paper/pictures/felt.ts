import type { Choices, Finger } from '../../choices'
import { currencyOf, moneyText } from '../../number/money'
import { risingOrder } from '../../representation/fingers/order'
import { braille, BRAILLE_HEIGHT, brailleLines, brailleWidth, CELL } from '../braille'
import { circle, line, moved, rect, type Mark, type Picture } from '../drawing'
import { LEAST_APART } from '../tactile'
import { minusPath, plusPath } from './pieces'

/**
 * Drawings for fingers: simple bold shapes 5 mm apart, captions in braille. A piece is one figure, as is whatever hangs together (a
 * line with its arrows, a row of strips, a frame); what no finger could tell apart is left out rather than drawn too small.
 */

/** A line that a finger follows. */
export const FELT_LINE = 1.5
const BLACK = { fill: 'black', stroke: 'none' } as const

const figure = (p: Picture, x: number, y: number): Mark => moved(p.marks, x, y, 1, 'figure')

/** Pictures under one another, as far apart as fingers want it. */
export function feltStack(pictures: readonly Picture[], gap = LEAST_APART + 2): Picture {
  const seen = pictures.filter((p) => p.h > 0)
  const marks: Mark[] = []
  let y = 0
  for (const p of seen) {
    marks.push(moved(p.marks, 0, y))
    y += p.h + gap
  }
  return { w: Math.max(0, ...seen.map((p) => p.w)), h: Math.max(0, y - gap), marks }
}

/** Words in braille, in lines no wider than a width. */
export function feltWords(words: string, width: number): Picture {
  if (words === '') return { w: 0, h: 0, marks: [] }
  const set = brailleLines(words, width)
  return {
    w: Math.max(...set.map(brailleWidth)),
    h: (set.length - 1) * CELL.line + BRAILLE_HEIGHT,
    marks: [
      moved(
        set.map((t, i) => braille(t, 0, i * CELL.line)),
        0,
        0,
        1,
        'figure',
      ),
    ],
  }
}

/** Figures side by side, in as many rows as they need; more room after every `group` of them, and a new row after every `perRow`. */
export function feltRow(items: readonly Picture[], width: number, { group = 0, perRow = Infinity } = {}): Picture {
  const gap = LEAST_APART + 0.5
  const marks: Mark[] = []
  let [x, y, high, wide, inRow] = [0, 0, 0, 0, 0]
  for (const p of items) {
    if (inRow > 0 && (x + p.w > width || inRow >= perRow)) [x, y, high, inRow] = [0, y + high + gap, 0, 0]
    marks.push(figure(p, x, y))
    wide = Math.max(wide, x + p.w)
    high = Math.max(high, p.h)
    inRow++
    x += p.w + gap + (group > 0 && inRow % group === 0 ? gap : 0)
  }
  return { w: wide, h: items.length === 0 ? 0 : y + high, marks }
}

/** Captioned in braille; nothing where nothing lies there. */
export const feltCaption = (caption: string, p: Picture, width: number): Picture =>
  p.h === 0 ? p : feltStack([feltWords(caption, width), p], LEAST_APART + 0.5)

/** So many things that are alike. */
export const alike = (count: number, piece: Picture): readonly Picture[] => Array.from({ length: count }, () => piece)

export const DISC: Picture = { w: 6, h: 6, marks: [circle(3, 3, 3, BLACK)] }
/** What is no longer there. */
export const RING: Picture = { w: 7, h: 7, marks: [circle(3.5, 3.5, 2.7, { wide: FELT_LINE })] }
const SIDE = 24
const square: Mark = rect(0.75, 0.75, SIDE - 1.5, SIDE - 1.5, { wide: FELT_LINE })
/** A one, a ten, a hundred, a thousand by their size: a dot, a bar, a square, a square with a cross in it. */
const SIZED: readonly Picture[] = [
  DISC,
  { w: 3, h: SIDE, marks: [rect(0, 0, 3, SIDE, BLACK)] },
  { w: SIDE, h: SIDE, marks: [square] },
  {
    w: SIDE,
    h: SIDE,
    marks: [
      square,
      line(0.75, 0.75, SIDE - 0.75, SIDE - 0.75, { wide: FELT_LINE }),
      line(0.75, SIDE - 0.75, SIDE - 0.75, 0.75, { wide: FELT_LINE }),
    ],
  },
]

/** Pieces of one kind, by the place whose size they have; `null` for pieces that are all alike. */
export const feltHeap = (count: number, place: number | null, width: number): Picture =>
  feltRow(alike(count, SIZED[place ?? 0] ?? DISC), width, { group: 5, ...((place ?? 0) === 0 ? { perRow: 10 } : {}) })

export const PLUS: Picture = { w: 8, h: 8, marks: [moved([plusPath(0, 0, 1, BLACK)], -1, -1)] }
export const MINUS: Picture = { w: 8, h: 3, marks: [moved([minusPath(0, 0, 1, BLACK)], -1, -3.5)] }
export const PAIR: Picture = { w: 8, h: 16, marks: [...PLUS.marks, moved(MINUS.marks, 0, 13)] }

/** Strokes in fives, the fifth across. */
export function feltTallies(count: number, width: number): Picture {
  const five = (n: number): Picture => ({
    w: 4 * 6 + 2,
    h: 16,
    marks: [
      ...Array.from({ length: Math.min(n, 4) }, (_, i) => rect(i * 7, 0, 2, 16, BLACK)),
      ...(n === 5 ? [line(0, 14, 23, 2, { wide: 2 })] : []),
    ],
  })
  const fives = Array.from({ length: Math.ceil(count / 5) }, (_, i) => five(Math.min(5, count - 5 * i)))
  return feltRow(fives, width)
}

/** Coins as discs with what they are worth, in braille. */
export function feltCoins(values: readonly number[], money: Parameters<typeof currencyOf>[0], width: number): Picture {
  const currency = currencyOf(money)
  return feltRow(
    values.map((value) => {
      const words = moneyText(value, currency)
      const d = Math.max(18, brailleWidth(words) + 9)
      return {
        w: d,
        h: d,
        marks: [
          circle(d / 2, d / 2, d / 2 - 0.75, { wide: FELT_LINE }),
          braille(words, (d - brailleWidth(words)) / 2, (d - BRAILLE_HEIGHT) / 2),
        ],
      }
    }),
    width,
  )
}

/** Equal groups, each in a frame of its own; undefined where a group is too long for one row. */
export function feltGroups(sizes: readonly number[], width: number): Picture | undefined {
  const step = 11
  if (sizes.some((n) => n * step + 4 > width)) return undefined
  return feltRow(
    sizes.map((n) => {
      const [w, h] = [n * step + 4, 16]
      return {
        w,
        h,
        marks: [
          rect(0.75, 0.75, w - 1.5, h - 1.5, { wide: FELT_LINE }, 3),
          ...Array.from({ length: n }, (_, i) => circle(7.5 + i * step, h / 2, 2.5, BLACK)),
        ],
      }
    }),
    width,
  )
}

/** Two hands as ten bars, long where a finger stands and short where it is folded: lines that a finger can follow. */
export function feltHands(choices: Choices, up: (finger: Finger, i: number) => boolean): Picture {
  const order = risingOrder({ ...choices, away: [], firstFinger: 'little', firstHand: 'left' })
  const marks = order.map((f, i) => {
    const x = 1 + i * 7.5 + (i > 4 ? 8 : 0)
    return line(x, 50, x, up(f, i) ? 1 : 36, { wide: 2 })
  })
  return { w: 80, h: 51, marks }
}

/** A line with its marks, where something stands on it, and what led from one place to the next, in words beneath. */
export interface FeltLine {
  /** Where marks stand, from 0 to 1 along the line. */
  readonly marks: readonly number[]
  readonly stops: readonly { readonly at: number; readonly name: string }[]
  /** What led from each stop to the next, as it is written. */
  readonly by: readonly string[]
}
export function feltLine({ marks: all, stops, by }: FeltLine, width: number): Picture {
  const gap = all.length < 2 ? width : (width * (all.at(-1)! - all[0]!)) / (all.length - 1)
  // Marks that lie too close to be counted are left out.
  const ticks = gap < LEAST_APART ? [] : all
  const tier = 9
  const hops = by.map((_, i) => [stops[i]!.at * width, stops[i + 1]!.at * width] as const)
  const base = hops.length * tier + 4
  const drawn: Mark[] = [
    line(0, base, width, base, { wide: FELT_LINE }),
    ...ticks.map((t) => line(t * width, base - 3, t * width, base + 3, { wide: 1 })),
    ...hops.flatMap(([a, b], i): Mark[] => {
      const y = base - (i + 1) * tier
      return [
        line(a, base, a, y, { wide: 1 }),
        line(a, y, b, y, { wide: FELT_LINE }),
        line(b, y, b, base, { wide: 1 }),
        circle(b, base, 2.4, BLACK),
      ]
    }),
    ...stops.slice(0, 1).map((s) => circle(s.at * width, base, 2.4, BLACK)),
  ]
  const labels: Mark[] = []
  const ends: number[] = []
  const named = [...new Map(stops.map((s) => [s.name, s])).values()].sort((a, b) => a.at - b.at)
  for (const { at, name } of named) {
    const w = brailleWidth(name)
    const x = Math.min(Math.max(0, at * width - w / 2), width - w)
    let row = ends.findIndex((end) => x >= end + LEAST_APART + 0.5)
    if (row < 0) row = ends.length
    ends[row] = x + w
    labels.push(braille(name, x, base + 3.5 + LEAST_APART + row * (BRAILLE_HEIGHT + LEAST_APART + 0.5)))
  }
  const drawing: Picture = {
    w: width,
    h: base + 3.5 + (ends.length === 0 ? 0 : ends.length * (BRAILLE_HEIGHT + LEAST_APART + 0.5)),
    marks: [moved(drawn, 0, 0, 1, 'figure'), ...labels],
  }
  return feltStack([drawing, feltWords(by.join(', '), width)])
}
