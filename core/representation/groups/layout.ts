import type { GroupsState } from './groups'

/** Where one thing lies, in the drawing's own units. */
export interface Dot {
  readonly x: number
  readonly y: number
}
/** One group as it is drawn: its things, and whether it has been made or is only to come. */
export interface DrawnGroup {
  readonly made: boolean
  readonly dots: readonly Dot[]
  readonly x: number
  readonly y: number
  /** What all groups up to this one have together. */
  readonly total: number
}
export interface Drawn {
  readonly width: number
  readonly height: number
  readonly groups: readonly DrawnGroup[]
}

export const RING = 64
export const STEP = 40

/** Every group made; where outlines are wanted, also those still to come. */
function sizes(
  { groups, count, size }: GroupsState,
  outlined: boolean,
): readonly { readonly size: number; readonly made: boolean }[] {
  const coming = outlined ? Math.max(0, count - groups.length) : 0
  return [
    ...groups.map((n) => ({ size: n, made: true })),
    ...new Array<{ size: number; made: boolean }>(coming).fill({ size, made: false }),
  ]
}

/** Things in a ring: in rows as long as they are many, about the middle. */
function inRing(n: number): readonly Dot[] {
  const across = Math.ceil(Math.sqrt(n))
  const rows = Math.ceil(n / across)
  return Array.from({ length: n }, (_, i) => {
    const row = Math.floor(i / across)
    const length = row === rows - 1 ? n - row * across : across
    return { x: ((i % across) - (length - 1) / 2) * 26, y: (row - (rows - 1) / 2) * 26 }
  })
}

export function rings(s: GroupsState, outlined: boolean): Drawn {
  const all = sizes(s, outlined)
  const across = all.length <= 4 ? Math.max(1, all.length) : Math.ceil(all.length / Math.ceil(all.length / 5))
  const [w, h] = [2 * RING + 20, 2 * RING + 44]
  let total = 0
  const groups = all.map(({ size, made }, i): DrawnGroup => {
    total += size
    return { made, dots: inRing(size), x: (i % across) * w + w / 2, y: Math.floor(i / across) * h + RING + 10, total }
  })
  return { width: across * w, height: Math.max(1, Math.ceil(all.length / across)) * h, groups }
}

/** Room at the left for the number of the row, and at the right for what it brings the total to. */
export const MARGIN = 60

export function rows(s: GroupsState, outlined: boolean): Drawn {
  const all = sizes(s, outlined)
  const widest = Math.max(s.size, ...all.map((g) => g.size))
  let total = 0
  const groups = all.map(({ size, made }, i): DrawnGroup => {
    total += size
    const dots = Array.from({ length: size }, (_, k) => ({ x: MARGIN + (k + 0.5) * STEP, y: 0 }))
    return { made, dots, x: 0, y: (i + 0.5) * STEP, total }
  })
  return { width: widest * STEP + 2 * MARGIN, height: Math.max(1, all.length) * STEP, groups }
}
