/** A stone of a mark, in units of a square of 42 by 42. */
export interface MarkStone {
  readonly x: number
  readonly y: number
  readonly width: number
}
/** A learner's mark: four stones in two courses on a ground, one of them of another colour. */
export interface LearnerMark {
  readonly stones: readonly MarkStone[]
  /** Which of the stones is the other colour. */
  readonly other: number
  /** Which of the grounds it lies on. */
  readonly ground: number
}

/** How large the square is that stones lie in, and how high a stone is. */
export const MARK_UNITS = 42
export const STONE_HEIGHT = 13
/** How many grounds there are; their colours are in LearnerMark.vue. */
export const MARK_GROUNDS = 6
const LEFT = 5
const ALL = 32
const GAP = 3
const COURSES = [6, 23]
/** How a course is parted: each stone's share of what is left besides the gaps. */
const PARTED: readonly (readonly number[])[] = [
  [1, 2],
  [2, 1],
  [1, 1],
]
const SPLITS: readonly (readonly [readonly number[], readonly number[]])[] = [
  ...PARTED.flatMap((top) => PARTED.map((foot) => [top, foot] as const)),
  ...PARTED.map((_, i) => [[1], [1, 1, 1].map((n, at) => (at === i ? 2 * n : n))] as const),
  ...PARTED.map((_, i) => [[1, 1, 1].map((n, at) => (at === i ? 2 * n : n)), [1]] as const),
]

/** A number made from a name, the same for the same name: FNV-1a of 32 bits, then mixed so that short names differ in all of it. */
function numberFrom(name: string): number {
  let hash = 0x811c9dc5
  for (const letter of name) hash = Math.imul(hash ^ letter.codePointAt(0)!, 0x01000193)
  hash = Math.imul(hash ^ (hash >>> 16), 0x85ebca6b)
  hash = Math.imul(hash ^ (hash >>> 13), 0xc2b2ae35)
  return (hash ^ (hash >>> 16)) >>> 0
}

/** The mark of a code name. Two names can have the same: the name always stands beside it. */
export function markOf(codeName: string): LearnerMark {
  const number = numberFrom(codeName)
  const split = SPLITS[number % SPLITS.length]!
  const stones = split.flatMap((shares, course) => {
    const left = ALL - GAP * (shares.length - 1)
    const whole = shares.reduce((sum, share) => sum + share, 0)
    let x = LEFT
    return shares.map((share) => {
      const width = (left * share) / whole
      const stone = { x, y: COURSES[course]!, width }
      x += width + GAP
      return stone
    })
  })
  return { stones, other: (number >>> 8) % stones.length, ground: (number >>> 16) % MARK_GROUNDS }
}
