import { hasMat, REPRESENTATION_IDS, type RepresentationId } from '../../../../core/door'
import { PEN_PATHS, svgOf } from '../../../../core/representation/touch/paths'
import { placed } from '../../../../core/representation/touch/notches'

/** A small drawing of a mat, 96 by 64: what is filled, what is drawn as lines, what is written; on felt or on paper. */
export interface Thumb {
  readonly ground: 'felt' | 'paper'
  readonly fill?: string
  readonly line?: string
  readonly thin?: string
  /** Written on it: x, y and the text. */
  readonly text?: readonly (readonly [number, number, string])[]
}

export type ShelfId = Exclude<RepresentationId, 'equations'>

const box = (x: number, y: number, w: number, h: number): string => `M${x} ${y}h${w}v${h}h${-w}Z`
const dot = (x: number, y: number, r: number): string =>
  `M${x - r} ${y}a${r} ${r} 0 1 0 ${2 * r} 0a${r} ${r} 0 1 0 ${-2 * r} 0Z`
const many = (n: number, draw: (i: number) => string): string => Array.from({ length: n }, (_, i) => draw(i)).join('')

const cross = (x: number, y: number): string => `M${x - 3} ${y - 9}h6v6h6v6h-6v6h-6v-6h-6v-6h6Z`

/** A hand: a palm and five fingers, those named by `down` folded. */
const hand = (x: number, down: readonly number[], turned = false): string => {
  const heights = [16, 22, 25, 22]
  const fingers = heights.map((h, i) => box(x + (turned ? 24 - 8 * i : 8 * i), 34 - (down.includes(i) ? 4 : h), 6, 30))
  return fingers.join('') + box(x, 38, 30, 18) + box(turned ? x - 8 : x + 32, down.includes(4) ? 42 : 30, 6, 18)
}

/** Beads on rods: how many above the bar and below it, and how many of them stand at the bar. */
function abacus(upper: number, lower: number, at: readonly (readonly [number, number])[]): Thumb {
  const [top, bar] = [upper > 0 ? 6 : 4, upper > 0 ? 24 : 4]
  const bead = (x: number, y: number): string => `M${x - 8} ${y}l8 -3l8 3l-8 3Z`
  const beads = at.map(([up, low], i) => {
    const x = 20 + i * 19
    const above = many(upper, (k) => bead(x, k < upper - up ? top + 4 + k * 5 : bar - 4 - (upper - 1 - k) * 5))
    const below = many(lower, (k) => bead(x, k < low ? bar + 6 + k * 6 : 57 - (lower - 1 - k) * 6))
    return above + below
  })
  const frame = `M6 3H90V61H6Z${upper > 0 ? `M6 ${bar}H90` : ''}`
  return { ground: 'felt', fill: beads.join(''), line: frame, thin: at.map((_, i) => `M${20 + i * 19} 3V61`).join('') }
}

/** A numeral with its notches, scaled into the thumb. */
function numeral(digit: number, x: number, y: number, scale: number): { readonly pen: string; readonly cuts: string } {
  const at = (text: string): string => {
    let n = 0
    return text.replace(/-?\d+(?:\.\d+)?/g, (v) =>
      String(Math.round((Number(v) * scale + (n++ % 2 ? y : x)) * 10) / 10),
    )
  }
  const pen = PEN_PATHS[digit]!.map((s) => at(svgOf(s))).join('')
  const cuts = placed(digit).map((n) => {
    const half = n.tooth ? 9 : 13
    const [dx, dy] = [n.across.x * half, n.across.y * half]
    return at(`M${n.x - dx} ${n.y - dy}L${n.x + dx} ${n.y + dy}`)
  })
  return { pen, cuts: cuts.join('') }
}
const [seven, three, four] = [numeral(7, 28, 4, 0.4), numeral(3, 50, 1, 0.2), numeral(4, 50, 31, 0.2)]

/** The drawing of every material on the shelf. Drawn for Sett. */
export const THUMBS: Readonly<Record<ShelfId, Thumb>> = {
  signed: {
    ground: 'felt',
    fill: many(3, (i) => cross(22 + i * 20, 18)) + many(2, (i) => box(14 + i * 20, 44, 16, 6)),
    line: 'M6 34H90',
  },
  line: {
    ground: 'felt',
    fill: 'M74 20l-9 -6v12Z',
    line: 'M4 46H92M40 38V54M22 20H66',
    thin: many(9, (i) => `M${10 + i * 10} 42V50`),
  },
  signs: {
    ground: 'paper',
    text: [
      [8, 24, '8 − (−4)'],
      [8, 50, '= 8 + 4'],
    ],
  },
  strips: {
    ground: 'felt',
    fill: box(8, 26, 27, 12) + many(4, (i) => box(8 + i * 13.5, 44, 12, 12)),
    line: `${box(8, 8, 80, 12)}M35 26h53v12h-53`,
    thin: 'M35 8v12M62 8v12M62 26v12',
  },
  vessel: {
    ground: 'felt',
    fill: box(14, 30, 26, 26) + box(58, 43, 26, 13),
    line: 'M12 8V58H42V8M56 8V58H86V8',
    thin: many(3, (i) => `M12 ${20 + i * 12}h8M56 ${20 + i * 12}h8`),
  },
  'nine-tricks': {
    ground: 'paper',
    text: [
      [48, 24, '9 × 7'],
      [48, 50, '70 − 7'],
    ],
  },
  'fraction-rule': {
    ground: 'paper',
    text: [
      [34, 26, '1'],
      [34, 50, '2'],
      [64, 26, '3'],
      [64, 50, '6'],
      [49, 38, '='],
    ],
    thin: 'M26 32h16M56 32h16',
  },
  blocks: {
    ground: 'felt',
    fill: box(8, 14, 36, 36) + box(54, 14, 5, 36) + box(63, 14, 5, 36) + many(3, (i) => box(76, 14 + i * 9, 6, 6)),
    thin: many(3, (i) => `M${17 + i * 9} 14v36M8 ${23 + i * 9}h36`) + many(3, (i) => `M54 ${23 + i * 9}h14`),
  },
  chips: {
    ground: 'felt',
    fill:
      many(2, (i) => dot(16, 24 + i * 14, 5)) +
      many(5, (i) => dot(42 + (i % 2) * 12, 20 + Math.floor(i / 2) * 13, 5)) +
      many(3, (i) => dot(80, 20 + i * 13, 5)),
    thin: 'M32 6V58M66 6V58M6 11H90',
  },
  drawn: {
    ground: 'felt',
    fill: many(5, (i) => dot(72 + (i % 2) * 9, 16 + Math.floor(i / 2) * 12, 2.6)),
    line: `${box(8, 16, 30, 30)}M47 12V50M55 12V50M41 44L61 20`,
  },
  fingers: { ground: 'felt', fill: hand(8, []) + hand(56, [0, 3, 4], true) },
  nines: {
    ground: 'felt',
    fill: many(10, (i) => box(6 + i * 8.6 + (i > 4 ? 2 : 0), i === 3 ? 42 : 14, 6, i === 3 ? 10 : 38)),
    thin: 'M4 56H92',
  },
  joints: {
    ground: 'felt',
    line: many(4, (i) => `M${22 + i * 14} 56V12`),
    fill: many(4, (i) => many(3, (k) => dot(22 + i * 14, 20 + k * 13, 4))),
  },
  tallies: { ground: 'felt', line: `${many(4, (i) => `M${18 + i * 9} 14V50`)}M12 44L52 20M66 14V50M75 14V50` },
  counters: { ground: 'felt', fill: many(8, (i) => dot(18 + (i % 5) * 15, 22 + Math.floor(i / 5) * 18, 6)) },
  coins: {
    ground: 'felt',
    line: dot(24, 34, 13) + dot(52, 30, 10) + dot(76, 36, 8),
    text: [],
    fill: dot(84, 14, 6),
  },
  groups: {
    ground: 'felt',
    line: many(3, (i) => dot(20 + i * 28, 32, 13)),
    fill: many(3, (i) => many(4, (k) => dot(15 + i * 28 + (k % 2) * 10, 27 + Math.floor(k / 2) * 10, 3.4))),
  },
  area: {
    ground: 'felt',
    fill: box(12, 10, 48, 30),
    line: `${box(12, 10, 72, 44)}M60 10v44M12 40h72`,
  },
  product: {
    ground: 'paper',
    text: [
      [50, 22, '37'],
      [36, 42, '×'],
      [59, 42, '4'],
    ],
    line: 'M30 48H80',
  },
  division: {
    ground: 'paper',
    text: [
      [22, 46, '7)'],
      [50, 46, '61'],
      [58, 24, '8'],
    ],
    line: 'M36 28H92',
    fill: box(72, 30, 16, 20),
  },
  plates: {
    ground: 'felt',
    line: many(3, (i) => dot(20 + i * 28, 38, 12)),
    fill: many(3, (i) => many(2, (k) => dot(16 + i * 28 + k * 8, 38, 3))) + dot(48, 12, 3),
  },
  touch: { ground: 'felt', line: seven.pen, thin: seven.cuts },
  'touch-columns': {
    ground: 'paper',
    line: `${three.pen}${four.pen}M24 28H84`,
    thin: `${three.cuts}M28 44h12M34 38v12`,
  },
  columns: {
    ground: 'paper',
    text: [
      [46, 24, '5'],
      [66, 24, '2'],
      [24, 46, '−'],
      [46, 46, '3'],
      [66, 46, '7'],
    ],
    line: 'M18 52H80',
    thin: 'M38 4V60M58 4V60M78 4V60M18 28H84',
  },
  openline: {
    ground: 'felt',
    line: 'M6 46H88M82 40L90 46L82 52M14 42C18 14 50 14 54 42M54 42C56 28 72 28 74 42',
    thin: 'M14 38V54M54 38V54M74 38V54',
  },
  partials: {
    ground: 'paper',
    text: [
      [48, 22, '30 + 40'],
      [48, 38, '7 + 5'],
      [48, 56, '70 + 12'],
    ],
    thin: 'M14 43H82',
  },
  friendly: {
    ground: 'paper',
    text: [
      [48, 24, '29 + 46'],
      [48, 52, '30 + 45'],
    ],
    line: 'M48 29V37M44 34L48 38L52 34',
  },
  splits: {
    ground: 'paper',
    text: [
      [48, 22, '46'],
      [28, 56, '40'],
      [68, 56, '6'],
    ],
    line: 'M44 27L30 41M52 27L66 41',
  },
  abacus: abacus(1, 4, [
    [0, 2],
    [1, 0],
    [1, 3],
    [0, 4],
  ]),
  'two-five': abacus(2, 5, [
    [0, 3],
    [1, 1],
    [0, 0],
    [1, 4],
  ]),
  frame: abacus(0, 8, [
    [0, 3],
    [0, 6],
    [0, 1],
    [0, 4],
  ]),
  'stay-put': {
    ...abacus(1, 4, [
      [0, 1],
      [1, 2],
      [0, 3],
      [1, 0],
    ]),
    text: [[48, 22, '•  •  •']],
  },
}

/** The groups that a teacher thinks in, and in which of them each material stands. */
const GROUP_IDS = ['things', 'groups', 'places', 'beads', 'fractions', 'lines', 'written'] as const
const GROUP: Readonly<Record<ShelfId, (typeof GROUP_IDS)[number]>> = {
  fingers: 'things',
  counters: 'things',
  tallies: 'things',
  plates: 'groups',
  groups: 'groups',
  coins: 'places',
  area: 'groups',
  touch: 'things',
  joints: 'things',
  nines: 'things',
  blocks: 'places',
  chips: 'places',
  drawn: 'places',
  abacus: 'beads',
  'two-five': 'beads',
  frame: 'beads',
  'stay-put': 'beads',
  signed: 'things',
  line: 'lines',
  openline: 'lines',
  columns: 'written',
  product: 'written',
  division: 'written',
  'touch-columns': 'written',
  partials: 'written',
  friendly: 'written',
  splits: 'written',
  signs: 'written',
  strips: 'fractions',
  vessel: 'fractions',
  'fraction-rule': 'written',
  'nine-tricks': 'written',
}

/** What stands in each group, in the order in which materials are offered. */
export const GROUPS = GROUP_IDS.map((id) => ({
  id,
  ids: REPRESENTATION_IDS.filter(hasMat).filter((material) => GROUP[material] === id),
}))
