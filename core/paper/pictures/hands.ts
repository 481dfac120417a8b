import type { Choices, Finger, Hand } from '../../choices'
import type { CountingState } from '../../representation/counting/state'
import { FINGER_SHAPES, PALM } from '../../representation/fingers/hand'
import { risingOrder } from '../../representation/fingers/order'
import { JOINT_FINGERS, JOINT_PALM, jointSpots } from '../../representation/joints/layout'
import { notchesIn, placed } from '../../representation/touch/notches'
import { PEN_PATHS, svgOf } from '../../representation/touch/paths'
import { circle, line, lines, moved, rect, text, type Mark, type Picture } from '../drawing'
import { captioned, GHOST, PIECE, placedPath, SOFT, stacked } from './shapes'

/** Whatever is counted one each: fingers, marks on joints, tallies, counters, notches on numerals. */

const SCALE = 0.22

/** Two hands, palms towards the one who looks: which fingers stand, and what is written at their roots. */
export function handsPicture(
  up: (finger: Finger) => boolean,
  mark: (finger: Finger) => string = () => '',
  scale = SCALE,
): Picture {
  const look = { ...PIECE, fill: 'white' as const, wide: 2 * scale }
  const marks: Mark[] = []
  for (const hand of ['left', 'right'] as const satisfies readonly Hand[]) {
    const mirror = hand === 'right'
    const [x0, y0] = [mirror ? 380 : 20, 20]
    marks.push(placedPath(PALM, x0 * scale, y0 * scale, scale, 0, look, mirror))
    for (const f of FINGER_SHAPES) {
      const [x, y] = [(mirror ? x0 - f.x : x0 + f.x) * scale, (y0 + f.y) * scale]
      const finger = `${hand}-${f.name}` as const
      const stands = up(finger)
      const [top, high] = stands ? [-f.length, f.length + 24] : [-14, 34]
      const shape = rect(-f.width / 2, top, f.width, high, {}, f.width / 2)
      marks.push(placedPath(shape.d, x, y, scale, f.lean, look, mirror))
      const fold = stands
        ? line(-f.width / 2 + 5, -f.length * 0.42, f.width / 2 - 5, -f.length * 0.42)
        : line(-f.width / 2 + 4, 8, f.width / 2 - 4, 8)
      marks.push(placedPath(fold.d, x, y, scale, f.lean, { wide: scale }, mirror))
      const written = mark(finger)
      if (written !== '') {
        const lean = (f.lean * Math.PI) / 180
        const reach = stands ? f.length + 16 : 30
        const [dx, dy] = [Math.sin(lean) * reach, -Math.cos(lean) * reach]
        marks.push(text(x + (mirror ? -dx : dx) * scale, y + dy * scale + 1.4, written, 9, 'regular', 'middle'))
      }
    }
  }
  return { w: 400 * scale, h: 270 * scale, marks }
}

const onHead = (s: CountingState, picture: Picture): Picture => {
  const notes = [
    ...(s.head === null ? [] : [`in the head: ${s.head}`]),
    ...(s.stored > 0 ? [`stored: ${s.stored}`] : []),
    ...(s.apart > 0 ? [`set apart: ${s.apart}`] : []),
    ...(s.said.length > 0 ? [`said: ${s.said.join(', ')}`] : []),
  ]
  return notes.length === 0 ? picture : captioned(notes.join(' · '), picture)
}
const usedIn = (s: CountingState): number => s.out + Math.abs(s.counted)

export function fingersPicture(s: CountingState, choices: Choices): Picture {
  const order = risingOrder(choices)
  const up = (f: Finger): boolean => {
    const rank = order.indexOf(f)
    return rank >= 0 && rank < usedIn(s)
  }
  return onHead(s, handsPicture(up))
}

/** One finger folded: those before it are tens, those after it ones. */
export function ninesPicture(folded: number | null): Picture {
  const order: readonly Finger[] = [
    ...FINGER_SHAPES.map((f): Finger => `left-${f.name}`),
    ...[...FINGER_SHAPES].reverse().map((f): Finger => `right-${f.name}`),
  ]
  return handsPicture(
    (f) => order.indexOf(f) !== (folded ?? 0) - 1,
    (f) => String(order.indexOf(f) + 1),
  )
}

export function jointsPicture(s: CountingState, { joints }: Choices): Picture {
  const scale = 0.16
  const look = { ...PIECE, fill: 'white' as const, wide: 2.4 * scale }
  const marks: Mark[] = [placedPath(JOINT_PALM, 0, 18 * scale, scale, 0, look)]
  const used = usedIn(s)
  for (const [i, f] of JOINT_FINGERS.entries()) {
    const [x, y] = [f.x * scale, (f.y + 18) * scale]
    marks.push(placedPath(rect(-23, -f.length, 46, f.length + 34, {}, 23).d, x, y, scale, f.lean, look))
    for (const m of jointSpots(joints).filter((spot) => spot.i === i))
      marks.push(
        placedPath(circle(0, m.y, 9).d, x, y, scale, f.lean, m.n < used ? { fill: 'black', wide: 0.3 } : GHOST),
      )
  }
  return onHead(s, { w: 420 * scale, h: 370 * scale, marks })
}

/** Strokes in fives, the fifth across; what was taken is crossed out. */
export function talliesPicture(s: CountingState): Picture {
  const all = usedIn(s) + s.taken
  const marks: Mark[] = []
  const spot = (i: number): readonly [number, number] => {
    const five = Math.floor(i / 5)
    return [(five % 4) * 18 + (i % 5) * 3 + 2, Math.floor(five / 4) * 14]
  }
  for (let i = 0; i < all; i++) {
    const [x, y] = spot(i)
    if (i % 5 === 4) marks.push(line(x - 13.5, y + 9.5, x - 1.5, y + 0.5, { wide: 0.6 }))
    else marks.push(line(x, y, x, y + 10, { wide: 0.6 }))
    if (i >= usedIn(s)) marks.push(line(x - 2, y + 7, x + 2, y + 3, { wide: 0.4 }))
  }
  return onHead(s, { w: 74, h: Math.max(1, Math.ceil(all / 20)) * 14, marks })
}

/** Discs in rows of five, two rows close together. */
export function discs(count: number, r: number, perRow = 10): Picture {
  const step = 2 * r + 1
  const at = (i: number): readonly [number, number] => [
    (i % perRow) * step + Math.floor((i % perRow) / 5) * 2 + r,
    Math.floor(i / perRow) * step + r,
  ]
  return {
    w: Math.min(count, perRow) * step + (count > 5 ? 2 : 0),
    h: Math.max(0, Math.ceil(count / perRow) * step - 1),
    marks: Array.from({ length: count }, (_, i) => circle(...at(i), r, PIECE)),
  }
}

export function countersPicture(s: CountingState): Picture {
  const parts = [
    discs(usedIn(s), 3),
    ...(s.apart > 0 ? [captioned('set apart', discs(s.apart, 3))] : []),
    ...(s.taken > 0
      ? [captioned('put back', { ...discs(s.taken, 2), marks: discs(s.taken, 2).marks.map(ghost) })]
      : []),
  ]
  return onHead({ ...s, apart: 0 }, stacked(parts, 3))
}
const ghost = (m: Mark): Mark => (m.kind === 'path' ? { ...m, ...GHOST, fill: 'white' } : m)

/** A numeral as the pen writes it, with its notches; those touched already are black. In a box 100 by 140, made larger by `scale`. */
export function numeralPicture(digit: number, scale: number, touched: ReadonlySet<number>, notched = true): Picture {
  const strokes = PEN_PATHS[digit]!.map((s) => placedPath(svgOf(s), 0, 0, scale, 0, { wide: 10 * scale }))
  const cuts = notched
    ? placed(digit, notchesIn(null, digit)).flatMap((n, i) => {
        const half = n.tooth ? 9 : 13
        const [dx, dy] = [n.across.x * half, n.across.y * half]
        const cut = lines([[n.x - dx, n.y - dy, n.x + dx, n.y + dy]])
        // A white edge parts the bar from the pen's stroke.
        const [edge, bar] = [n.tooth ? 7.5 : 8.5, touched.has(i) ? 6.5 : n.tooth ? 3.4 : 4.5]
        return [
          placedPath(cut.d, 0, 0, scale, 0, { stroke: 'white', wide: edge * scale }),
          placedPath(cut.d, 0, 0, scale, 0, { wide: bar * scale }),
        ]
      })
    : []
  return { w: 100 * scale, h: 140 * scale, marks: [...strokes, ...cuts] }
}

/** Numerals of a sum with the notches that have been touched, in the order in which they are touched. */
export function touchPicture(s: CountingState, digits: readonly number[]): Picture {
  const done = usedIn(s)
  let before = 0
  let x = 0
  const marks: Mark[] = []
  for (const digit of digits) {
    const touched = new Set(Array.from({ length: digit }, (_, i) => i).filter((i) => before + i < done))
    const p = numeralPicture(digit, 0.2, touched)
    marks.push(moved(p.marks, x, 0))
    x += p.w + 5
    before += digit
  }
  return onHead(s, { w: Math.max(20, x - 5), h: 28, marks: [...marks, line(0, 29, Math.max(20, x - 5), 29, SOFT)] })
}
