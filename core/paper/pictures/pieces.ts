import { moneyText, currencyOf, type MoneyChoices } from '../../number/money'
import { digitOn, type AbacusState } from '../../representation/abacus/frame'
import { BAR, beadSpots, layFrame } from '../../representation/abacus/layout'
import type { CoinsState } from '../../representation/coins/coins'
import { rings, RING, rows as rowsOfGroups, STEP, type DrawnGroup } from '../../representation/groups/layout'
import type { GroupsState } from '../../representation/groups/groups'
import type { SignedState } from '../../representation/signed/state'
import { circle, ellipse, line, moved, path, rect, text, type Look, type Mark, type Picture } from '../drawing'
import { captioned, GHOST, PIECE, stacked } from './shapes'

/** Plus and minus counters, coins, equal groups, beads on rods. */

/** A plus counter is a cross, a minus counter a bar: in a box 10 by 10, made larger by `scale`. */
export const plusPath = (x: number, y: number, k: number, look: Look = PIECE): Mark =>
  path(
    (
      [
        [3.75, 1.25],
        [6.25, 1.25],
        [6.25, 3.75],
        [8.75, 3.75],
        [8.75, 6.25],
        [6.25, 6.25],
        [6.25, 8.75],
        [3.75, 8.75],
        [3.75, 6.25],
        [1.25, 6.25],
        [1.25, 3.75],
        [3.75, 3.75],
      ] as const
    )
      .map(([px, py], i) => `${i === 0 ? 'M' : 'L'}${x + px * k} ${y + py * k}`)
      .join('') + 'Z',
    look,
  )
export const minusPath = (x: number, y: number, k: number, look: Look = PIECE): Mark =>
  rect(x + 1 * k, y + 3.5 * k, 8 * k, 3 * k, look)

function signs(count: number, draw: (x: number, y: number) => Mark, step = 8): Picture {
  const perRow = 10
  return {
    w: Math.min(count, perRow) * step,
    h: Math.ceil(count / perRow) * step,
    marks: Array.from({ length: count }, (_, i) => draw((i % perRow) * step, Math.floor(i / perRow) * step)),
  }
}

/** Plus counters above the line, minus counters below it, pairs on it, and what was taken. */
export function signedPicture(s: SignedState): Picture {
  const k = 0.75
  const plus = signs(s.plus, (x, y) => plusPath(x, y, k))
  const minus = signs(s.minus, (x, y) => minusPath(x, y, k))
  const pairs = signs(
    s.pairs,
    (x, y) => moved([ellipse(4, 7, 3.8, 6.8, GHOST), plusPath(0.5, 0.6, 0.7), minusPath(0.5, 6.4, 0.7)], x, y),
    9,
  )
  const w = Math.max(60, plus.w, minus.w, pairs.w)
  const onLine: Picture =
    s.pairs === 0
      ? { w, h: 2, marks: [line(0, 1, w, 1, { wide: 0.5 })] }
      : { w, h: 14, marks: [line(0, 7, w, 7, { wide: 0.5 }), ...pairs.marks] }
  const taken = s.taken.plus + s.taken.minus
  return stacked(
    [
      plus,
      onLine,
      minus,
      ...(taken > 0
        ? [
            captioned(
              'taken',
              stacked(
                [
                  signs(s.taken.plus, (x, y) => plusPath(x, y, k, { ...GHOST, fill: 'white' })),
                  signs(s.taken.minus, (x, y) => minusPath(x, y, k, { ...GHOST, fill: 'white' })),
                ],
                0,
              ),
            ),
          ]
        : []),
    ],
    2,
  )
}

/** Coins as plain discs with their value, those counted in order, and the heap that is left. */
export function coinsPicture(s: CoinsState, money: MoneyChoices): Picture {
  const currency = currencyOf(money)
  const across = (value: number): number => (currency.coins.find((c) => c.value === value)?.across ?? 22) * 0.42
  const row = (values: readonly number[]): Picture => {
    const marks: Mark[] = []
    let [x, y, high] = [0, 0, 0]
    for (const value of values) {
      const d = across(value)
      if (x + d > 92) [x, y, high] = [0, y + high + 1, 0]
      marks.push(
        circle(x + d / 2, y + d / 2, d / 2, PIECE),
        text(x + d / 2, y + d / 2 + 1, moneyText(value, currency), d > 9 ? 6.5 : 5.5, 'bold', 'middle'),
      )
      x += d + 1
      high = Math.max(high, d)
    }
    return { w: 92, h: y + high, marks }
  }
  const heap = s.heap ?? []
  return stacked(
    [captioned('counted', row(s.counted)), ...(heap.length > 0 ? [captioned('not counted yet', row(heap))] : [])],
    2,
  )
}

/** Equal groups in rings, in rows or as bars. */
export function groupsPicture(s: GroupsState): Picture {
  const k = 0.16
  if (s.shape === 'rings' && s.size <= 12) {
    const { width, height, groups } = rings(s, true)
    return scaledBy(k, width, height, groups, (g) => [
      circle(g.x, g.y, RING, g.made ? { wide: 2.4 } : { ...GHOST, wide: 2 }),
      ...g.dots.map((d) => circle(g.x + d.x, g.y + d.y, 9, g.made ? { fill: 'black' } : { ...GHOST, wide: 1.5 })),
      ...(g.made ? [text(g.x, g.y + RING + 26, String(g.total), 52, 'regular', 'middle')] : []),
    ])
  }
  if (s.shape === 'array' && s.size <= 30) {
    const { width, height, groups } = rowsOfGroups(s, true)
    return scaledBy(k, width, height, groups, (g) => [
      ...g.dots.map((d) => circle(d.x, g.y, STEP * 0.3, g.made ? { fill: 'black' } : { ...GHOST, wide: 1.5 })),
      ...(g.made ? [text(width - 44, g.y + 9, String(g.total), 52, 'regular')] : []),
    ])
  }
  let total = 0
  const wide = 92 / Math.max(1, s.count, s.groups.length)
  const marks = s.groups.flatMap((n, i): Mark[] => {
    total += n
    return [
      rect(i * wide, 0, wide, 10, PIECE),
      text((i + 0.5) * wide, 6.5, String(n), 9, 'bold', 'middle'),
      text((i + 1) * wide, 15, String(total), 8, 'regular', 'end'),
    ]
  })
  return { w: 92, h: 17, marks: [rect(0, 0, 92, 10, GHOST), ...marks] }
}
const scaledBy = (
  k: number,
  w: number,
  h: number,
  groups: readonly DrawnGroup[],
  draw: (g: DrawnGroup) => readonly Mark[],
): Picture => ({ w: w * k, h: h * k, marks: [moved(groups.flatMap(draw), 0, 0, k)] })

/** A bead frame as it stands; `digits` says whether each rod's digit is written under it, and `write` leaves room for it. */
export function beadsPicture(s: AbacusState, digits: boolean, write = false, wide = 2.2): Picture {
  const space = s.beads.upper > 0 ? { w: 40 * s.rods.length, h: 190 } : { w: 300, h: 30 * s.rods.length }
  const frame = layFrame(s, space, false)
  const k = 0.2
  const marks: Mark[] = [rect(0, 0, frame.width, frame.height, { wide: wide * 1.4 }, 4)]
  const n = s.rods.length
  for (let i = 0; i < n; i++) {
    const mid = (n - 0.5 - i) * frame.rod
    marks.push(
      frame.across
        ? line(BAR, mid, frame.width, mid, { wide: wide * 0.7 })
        : line(mid, 0, mid, frame.height, { wide: wide * 0.7 }),
    )
  }
  const bar = { fill: 'white', wide } as const
  marks.push(frame.across ? rect(0, 0, BAR, frame.height, bar) : rect(0, frame.bar, frame.width, BAR, bar))
  for (const b of beadSpots(s, frame)) {
    const [w, h] = frame.across
      ? [frame.bead, Math.min(frame.rod, frame.bead * 1.4)]
      : [Math.min(frame.rod, frame.bead * 2), frame.bead]
    const [cx, cy] = frame.across
      ? [b.x + frame.bead / 2, b.y + frame.rod / 2]
      : [b.x + frame.rod / 2, b.y + frame.bead / 2]
    marks.push(ellipse(cx, cy, w * 0.44, h * 0.44, { fill: b.atBar ? 'black' : 'white', wide: wide * 0.7 }))
  }
  const below: Mark[] = s.rods.flatMap((rod, i): Mark[] => {
    const mid = (n - 0.5 - i) * frame.rod
    const [x, y] = frame.across ? [frame.width + 26, mid + 12] : [mid, frame.height + 40]
    if (digits) return [text(x, y, String(digitOn(rod)), 48, 'regular', 'middle')]
    return write ? [line(x - 14, y + 4, x + 14, y + 4, { wide: wide * 0.7 })] : []
  })
  const unit = (n - 0.5 - s.decimals) * frame.rod
  // The unit rod has its mark, so that it can be found.
  marks.push(
    frame.across
      ? circle(BAR / 2, unit, 4, { fill: 'black', stroke: 'none' })
      : circle(unit, frame.bar + BAR / 2, 4, { fill: 'black', stroke: 'none' }),
  )
  const extra = digits || write ? 50 : 0
  return {
    w: (frame.width + (frame.across ? extra : 0)) * k,
    h: (frame.height + (frame.across ? 0 : extra)) * k,
    marks: [moved([...marks, ...below], 0, 0, k)],
  }
}
