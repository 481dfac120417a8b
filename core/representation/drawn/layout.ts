import type { Drawn } from './state'

/** Where drawn tens lie in one column, in units of one dot's room. Pure, so that it can be tested without a browser. */

export interface DrawnSpot {
  readonly thing: Drawn
  /** Its number among all things drawn, which is its key. */
  readonly key: number
  readonly x: number
  readonly y: number
}

export interface DrawnColumn {
  readonly spots: readonly DrawnSpot[]
  readonly rings: readonly {
    readonly group: number
    readonly x: number
    readonly y: number
    readonly w: number
    readonly h: number
  }[]
  readonly width: number
  readonly height: number
}

/** How wide and high one sign is: a dot, a line, a square, a large square. */
export const SIGN: readonly { readonly w: number; readonly h: number; readonly perRow: number }[] = [
  { w: 1, h: 1, perRow: 5 },
  { w: 0.55, h: 5, perRow: 10 },
  { w: 5, h: 5, perRow: 2 },
  { w: 7, h: 7, perRow: 1 },
]

/**
 * Rows of five with a gap; what came of breaking begins rows of its own, further down, so that its arrow can be seen; and ten
 * that are ringed stand together.
 */
export function layColumn(place: number, all: readonly Drawn[]): DrawnColumn {
  const { w, h, perRow } = SIGN[place]!
  const spots: DrawnSpot[] = []
  let [x, y, inRow, group] = [0, 0, 0, 0]
  const gapX = place === 1 ? 0.55 : 0.4
  const newRow = (extra: number): void => {
    if (inRow > 0) y += h + 0.35 + extra
    x = 0
    inRow = 0
  }
  all.forEach((thing, key) => {
    if (thing.place !== place) return
    const own = thing.from === 'break' ? thing.group : 0
    if (own !== group) newRow(0.5)
    group = own
    if (inRow === perRow) newRow(0)
    if (inRow > 0 && inRow % 5 === 0) x += 0.6
    spots.push({ thing, key, x, y })
    x += w + gapX
    inRow += 1
  })
  const ringed = new Set(spots.filter((s) => s.thing.fate === 'ringed').map((s) => s.thing.group))
  const rings = [...ringed].map((g) => {
    const these = spots.filter((s) => s.thing.fate === 'ringed' && s.thing.group === g)
    const [left, top] = [Math.min(...these.map((s) => s.x)), Math.min(...these.map((s) => s.y))]
    const [right, bottom] = [Math.max(...these.map((s) => s.x + w)), Math.max(...these.map((s) => s.y + h))]
    return { group: g, x: left - 0.28, y: top - 0.28, w: right - left + 0.56, h: bottom - top + 0.56 }
  })
  return {
    spots,
    rings,
    width: Math.max(place === 3 ? 7 : 5 * (w + gapX), ...spots.map((s) => s.x + w)),
    height: Math.max(h, ...spots.map((s) => s.y + h)),
  }
}
