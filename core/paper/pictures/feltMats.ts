import type { RepresentationId } from '../../materials'
import { asNumber, toCount, type Exact } from '../../number/exact'
import { fractionText, numberText } from '../../number/text'
import { worthOf, type Pieces } from '../../number/units'
import { capital } from '../../number/words'
import { valueOf } from '../../number/numeral'
import type { Setup } from '../../plan/setup'
import type { AbacusState } from '../../representation/abacus/frame'
import { standing as standsIn, type AreaState } from '../../representation/area/area'
import { BLOCKS } from '../../representation/blocks/blocks'
import { CHIPS } from '../../representation/chips/chips'
import type { CoinsState } from '../../representation/coins/coins'
import type { ColumnsState } from '../../representation/columns/state'
import type { CountingState } from '../../representation/counting/state'
import type { DivisionState } from '../../representation/division/state'
import type { DrawnState } from '../../representation/drawn/state'
import { risingOrder } from '../../representation/fingers/order'
import type { GroupsState } from '../../representation/groups/groups'
import { points, type LineState } from '../../representation/line/line'
import { marksOf, ruled } from '../../representation/line/ruling'
import type { NinesState } from '../../representation/nines/nines'
import { spread } from '../../representation/openline/layout'
import { landings, type OpenLineState } from '../../representation/openline/openline'
import type { PartsState } from '../../representation/parts/state'
import { kindName, widthOf, type PlacedMaterial, type PlacedState } from '../../representation/placed/state'
import type { PlatesState } from '../../representation/plates/state'
import type { ProductState } from '../../representation/product/state'
import type { SignedState } from '../../representation/signed/state'
import { pretty } from '../../speech/words'
import { braille, BRAILLE_HEIGHT, brailleWidth } from '../braille'
import { line, moved, rect, type Mark, type Picture } from '../drawing'
import { texture } from '../marks'
import { LEAST_APART } from '../tactile'
import {
  alike,
  FELT_LINE,
  feltCaption,
  feltCoins,
  feltGroups,
  feltHands,
  feltHeap,
  feltLine,
  feltRow,
  feltStack,
  feltTallies,
  feltWords,
  MINUS,
  PAIR,
  PLUS,
  RING,
} from './felt'
import { numeralPicture } from './hands'
import { reaches, rulingParts } from './measures'
import { beadsPicture } from './pieces'
import { columnsPicture, divisionPicture, productPicture } from './sheets'

/** Each material's mat as it stands, drawn for fingers. */

/** What fingers could not tell apart, and why. */
export type Unfelt = { readonly why: string }
type Draw<S> = (state: S, setup: Setup, width: number) => Picture | Unfelt

const SQUARES = { unit: 14, tactile: true } as const
const TOO_SMALL: Unfelt = { why: 'It would be too small to be felt.' }

/** A sheet of squares, where it is no wider than the paper. */
const sheet = (p: Picture, width: number): Picture | Unfelt =>
  p.w > width ? TOO_SMALL : { ...p, marks: [moved(p.marks, 0, 0, 1, 'figure')] }

/** Heaps of pieces in columns, one kind under another, the greatest first. */
const placed =
  (m: PlacedMaterial): Draw<PlacedState> =>
  (s, _, width) =>
    feltStack(
      (
        [
          ['', s.mat],
          ['beside', s.beside],
          ['taken', s.taken],
        ] as const
      ).flatMap(([zone, counts]) =>
        Array.from({ length: widthOf(m) }, (_, i) => widthOf(m) - 1 - i).map((i) => {
          const place = i - m.decimals
          const name = [zone, kindName(m, place)].filter((t) => t !== '').join(', ')
          return feltCaption(capital(name), feltHeap(counts[i] ?? 0, m.sized ? place : null, width), width)
        }),
      ),
    )

const drawn: Draw<DrawnState> = ({ things }, _, width) =>
  feltStack(
    [3, 2, 1, 0].flatMap((place) => {
      const of = things.filter((t) => t.place === place)
      const [stays, gone] = [
        of.filter((t) => t.fate === 'counts').length,
        of.filter((t) => t.fate === 'crossed').length,
      ]
      const name = kindName(BLOCKS, place)
      return [
        feltCaption(capital(name), feltHeap(stays, place, width), width),
        feltWords(gone > 0 ? `Crossed out: ${gone} ${kindName(BLOCKS, place, gone)}` : '', width),
      ]
    }),
  )

const usedIn = (s: CountingState): number => s.out + Math.abs(s.counted)
const notesOf = (s: CountingState): string =>
  [
    ...(s.head === null ? [] : [`In the head: ${s.head}`]),
    ...(s.stored > 0 ? [`Stored: ${s.stored}`] : []),
    ...(s.said.length > 0 ? [`Said: ${s.said.join(', ')}`] : []),
  ].join('. ')

const counted =
  (heap: (n: number, width: number) => Picture, gone: (n: number, width: number) => Picture): Draw<CountingState> =>
  (s, _, width) =>
    feltStack([
      feltWords(notesOf(s), width),
      heap(usedIn(s), width),
      feltCaption('Set apart', heap(s.apart, width), width),
      feltCaption('Put back', gone(s.taken, width), width),
    ])
const counters = (n: number, width: number): Picture => feltHeap(n, 0, width)
const rings = (n: number, width: number): Picture => feltRow(alike(n, RING), width, { group: 5, perRow: 10 })

const oneFigure = (p: Picture): Picture => ({ ...p, marks: [moved(p.marks, 0, 0, 1, 'figure')] })

const signed: Draw<SignedState> = (s, _, width) => {
  const row = (caption: string, count: number, piece: Picture): Picture =>
    feltCaption(caption, feltRow(alike(count, piece), width, { group: 5, perRow: 10 }), width)
  return feltStack([
    row('Plus', s.plus, PLUS),
    row('Minus', s.minus, MINUS),
    row('Pairs', s.pairs, PAIR),
    row('Plus, taken', s.taken.plus, PLUS),
    row('Minus, taken', s.taken.minus, MINUS),
  ])
}

const plates: Draw<PlatesState> = (s, _, width) => {
  const lying = (name: string, counts: readonly number[]): readonly Picture[] =>
    [2, 1, 0].map((place) =>
      feltCaption(`${name}: ${kindName(BLOCKS, place)}`, feltHeap(counts[place] ?? 0, place, width), width),
    )
  return feltStack([
    ...lying('In hand', s.hand),
    ...s.plates.flatMap((p, i) =>
      p.every((n) => n === 0) ? [feltWords(`Plate ${i + 1}: empty`, width)] : lying(`Plate ${i + 1}`, p),
    ),
  ])
}

const groups: Draw<GroupsState> = (s, _, width) => {
  const framed = feltGroups(s.groups, width)
  if (framed) return framed
  // A group that is too long to be counted out is a bar with its number.
  const bars = s.groups.map((n): Picture => {
    const words = String(n)
    const w = brailleWidth(words) + 13
    return {
      w,
      h: 20,
      marks: [
        rect(0.75, 0.75, w - 1.5, 18.5, { wide: FELT_LINE }),
        braille(words, (w - brailleWidth(words)) / 2, (20 - BRAILLE_HEIGHT) / 2),
      ],
    }
  })
  return feltRow(bars, width)
}

const area: Draw<AreaState> = (s, _, width) => {
  const [along, down] = s.split ? [s.along, s.down] : [s.along, s.down].map((l) => [l.reduce((a, b) => a + b, 0)])
  const said = (r: number, c: number): string => (s.split ? String(standsIn(s, r, c) ?? '') : '')
  const least = (c: number): number =>
    Math.max(brailleWidth(String(along![c])), ...down!.map((_, r) => brailleWidth(said(r, c)))) + 12
  const whole = (l: readonly number[]): number => l.reduce((a, b) => a + b, 0)
  const left = Math.max(...down!.map((n) => brailleWidth(String(n)))) + LEAST_APART + 1
  const sizes = along!.map((n, c) => Math.max(least(c), (n / whole(along!)) * (width - left) * 0.7))
  const rows = down!.map((n) => Math.max(20, (n / whole(down!)) * 60))
  if (whole(sizes) + left > width) return TOO_SMALL
  const top = BRAILLE_HEIGHT + LEAST_APART + 1
  const [w, h] = [whole(sizes), whole(rows)]
  const lines: Mark[] = [rect(left, top, w, h, { wide: FELT_LINE })]
  const labels: Mark[] = []
  let x = left
  sizes.forEach((cw, c) => {
    if (c > 0) lines.push(line(x, top, x, top + h, { wide: 1 }))
    labels.push(braille(String(along![c]), x + (cw - brailleWidth(String(along![c]))) / 2, 0))
    let y = top
    rows.forEach((rh, r) => {
      if (c === 0) {
        if (r > 0) lines.push(line(left, y, left + w, y, { wide: 1 }))
        labels.push(braille(String(down![r]), 0, y + (rh - BRAILLE_HEIGHT) / 2))
      }
      const words = said(r, c)
      if (words !== '') labels.push(braille(words, x + (cw - brailleWidth(words)) / 2, y + (rh - BRAILLE_HEIGHT) / 2))
      y += rh
    })
    x += cw
  })
  return { w: left + w, h: top + h, marks: [moved(lines, 0, 0, 1, 'figure'), ...labels] }
}

/** Rows of a parts mat: what lies there, the number beside it, further rows. */
const rowsOf = (s: PartsState): readonly (readonly Pieces[])[] =>
  [s.lies, ...(s.posed ? [s.posed.pieces] : []), ...s.others].filter((row) => row.length > 0)
const partsText = (pieces: readonly Pieces[]): string => pretty(fractionText(worthOf(pieces), pieces))

/** Strips at one scale, each kind with a texture of its own, and beneath it what it is. */
const strips: Draw<PartsState> = (s, _, width) => {
  const rows = rowsOf(s)
  const longest = Math.max(1, ...rows.map((r) => Math.ceil(asNumber(worthOf(r)) - 1e-9)))
  const unit = width / longest
  if (rows.some((r) => r.some((p) => asNumber(p.unit) * unit < LEAST_APART + 1))) return TOO_SMALL
  return feltStack(
    rows.map((pieces) => {
      const marks: Mark[] = []
      let x = 0
      for (const { unit: of, count } of pieces)
        for (let i = 0; i < count; i++) {
          const w = asNumber(of) * unit
          marks.push(rect(x + 0.75, 0.75, w - 1.5, 14, { wide: FELT_LINE }))
          if (of !== '1' && w > 12) marks.push(texture(x + 3, 3, w - 6, 10, Number(of.split('/')[1] ?? 1)))
          x += w
        }
      return feltStack([oneFigure({ w: x, h: 15.5, marks }), feltWords(partsText(pieces), width)], LEAST_APART + 0.5)
    }),
  )
}

/** Containers, filled as high as what they hold. */
const vessel: Draw<PartsState> = (s, _, width) => {
  const [wide, high] = [32, 56]
  const vessels = rowsOf(s).flatMap((pieces) => {
    const value = asNumber(worthOf(pieces))
    return Array.from({ length: Math.max(1, Math.ceil(value - 1e-9)) }, (_, i): Picture => {
      const full = Math.min(1, Math.max(0, value - i)) * (high - 1.5)
      return {
        w: wide,
        h: high,
        marks: [
          line(0.75, 0.75, 0.75, high - 0.75, { wide: FELT_LINE }),
          line(wide - 0.75, 0.75, wide - 0.75, high - 0.75, { wide: FELT_LINE }),
          line(0.75, high - 0.75, wide - 0.75, high - 0.75, { wide: FELT_LINE }),
          ...(full > 0 ? [line(0.75, high - 0.75 - full, wide - 0.75, high - 0.75 - full, { wide: FELT_LINE })] : []),
          ...(full > 12 ? [texture(4, high - full + 2, wide - 8, full - 6, 1)] : []),
        ],
      }
    })
  })
  return feltStack([feltRow(vessels, width), feltWords(rowsOf(s).map(partsText).join(', '), width)])
}

const ruledLine: Draw<LineState> = (s, setup, width) => {
  const stood = points(s)
  const numbers = reaches(setup, stood)
  const ruling = ruled(numbers.map(asNumber), rulingParts(numbers, setup.choices), 460)
  const at = (n: number): number => (ruling.x(n) - 44) / (460 - 88)
  const own = (n: Exact): string => pretty(numberText(n, s.units))
  return feltLine(
    {
      marks: marksOf(ruling).map(({ n }) => at(n)),
      stops: [...(stood.length === 0 ? ['0' as Exact] : stood)].map((n) => ({ at: at(asNumber(n)), name: own(n) })),
      by: s.arrows.map((n) => `${n.startsWith('-') ? '−' : '+'}${own(n).replace(/^−/, '')}`),
    },
    width,
  )
}

const openLine: Draw<OpenLineState> = (s, _, width) => {
  const stops = landings(s)
  const at = spread(stops.map(asNumber), 400, 0)
  return feltLine(
    {
      marks: [],
      stops: stops.map((n) => ({ at: at.get(asNumber(n))! / 400, name: pretty(numberText(n)) })),
      by: s.hops.map((n) => `${n.startsWith('-') ? '−' : '+'}${pretty(numberText(n)).replace(/^−/, '')}`),
    },
    width,
  )
}

const coins: Draw<CoinsState> = (s, { choices }, width) =>
  feltStack([
    feltCaption('Counted', feltCoins(s.counted, choices.money, width), width),
    feltCaption('Not counted yet', feltCoins(s.heap ?? [], choices.money, width), width),
  ])

const beads: Draw<AbacusState> = (s, _, width) => {
  const p = beadsPicture(s, false, false, 5)
  const scale = Math.min(2, width / p.w)
  if (scale < 1.2) return TOO_SMALL
  return oneFigure({ w: p.w * scale, h: p.h * scale, marks: [moved(p.marks, 0, 0, scale)] })
}

/** Numerals with their notches; those that have been touched are bold. */
const touch: Draw<CountingState> = (s, { problem }, width) => {
  const digits = [problem.first, ...problem.terms.map((t) => t.number)].flatMap((n) =>
    Array.from(String(toCount(valueOf(n))), Number),
  )
  let before = 0
  const numerals = digits.map((digit) => {
    const touched = new Set(Array.from({ length: digit }, (_, i) => i).filter((i) => before + i < usedIn(s)))
    before += digit
    return numeralPicture(digit, 0.4, touched)
  })
  return feltStack([feltWords(notesOf(s), width), feltRow(numerals, width)])
}

const draw = <S>(d: Draw<S>): Draw<never> => d as Draw<never>
const columns = draw<ColumnsState>((s, { choices }, width) => sheet(columnsPicture(s, choices, SQUARES), width))

const FELT: Readonly<Partial<Record<RepresentationId, Draw<never>>>> = {
  blocks: draw(placed(BLOCKS)),
  chips: draw(placed(CHIPS)),
  drawn: draw(drawn),
  fingers: draw<CountingState>((s, { choices }, width) => {
    const order = risingOrder(choices)
    return feltStack([
      feltWords(notesOf(s), width),
      oneFigure(feltHands(choices, (f) => order.indexOf(f) >= 0 && order.indexOf(f) < usedIn(s))),
    ])
  }),
  nines: draw<NinesState>(({ folded }, { choices }) =>
    oneFigure(feltHands(choices, (_, i) => i !== (folded ?? 0) - 1)),
  ),
  counters: draw(counted(counters, rings)),
  tallies: draw(counted(feltTallies, feltTallies)),
  joints: draw<CountingState>(() => ({
    why: 'The marks on the joints are nearer to one another than fingers can tell apart.',
  })),
  touch: draw(touch),
  signed: draw(signed),
  plates: draw(plates),
  groups: draw(groups),
  area: draw(area),
  coins: draw(coins),
  strips: draw(strips),
  vessel: draw(vessel),
  'touch-columns': columns,
  columns,
  product: draw<ProductState>((s, _, width) => sheet(productPicture(s, SQUARES), width)),
  division: draw<DivisionState>((s, _, width) => sheet(divisionPicture(s, SQUARES), width)),
  line: draw(ruledLine),
  openline: draw(openLine),
  abacus: draw(beads),
  'two-five': draw(beads),
  frame: draw(beads),
  'stay-put': draw(beads),
}

/** A material as it stands, drawn for fingers no wider than `width` mm; why not, where it cannot be; null where it is written in lines only. */
export const feltPictureOf = (
  setup: Setup,
  id: RepresentationId,
  state: unknown,
  width: number,
): Picture | Unfelt | null => FELT[id]?.(state as never, setup, width) ?? null
