import { Refusal } from '../../refusal'
import { lengthOf, PEN_PATHS, walk, type Point } from './paths'

/** One notch: how many it counts, and where on the pen's way it stands, from 0 to 1; `aside` moves it off the stroke. */
export interface Notch {
  readonly counts: 1 | 2
  readonly at: number
  /** How far off the stroke, in units of the numeral's box (100 wide); 0 on it. */
  readonly aside: number
}

/** A class's own notches for some digits; the others stand where the rule puts them. */
export interface NotchMap {
  readonly format: 'sett-notches'
  readonly version: 1
  readonly digits: Readonly<Record<string, readonly Notch[]>>
}

/**
 * The notches of a digit by the rule (practice, section 5): 1 to 5 carry that many singles; 6 to 9 carry doubles, and a
 * single last where one is left over; nought none. They stand at (i + ½)/k of the pen's way.
 */
export function notchesOf(digit: number): readonly Notch[] {
  if (digit <= 5) return Array.from({ length: digit }, (_, i) => ({ counts: 1, at: (i + 0.5) / digit, aside: 0 }))
  const k = Math.ceil(digit / 2)
  return Array.from({ length: k }, (_, i) => ({ counts: digit - 2 * i >= 2 ? 2 : 1, at: (i + 0.5) / k, aside: 0 }))
}

/** A digit's notches in a class: its own where it has moved them. */
export const notchesIn = (map: NotchMap | null, digit: number): readonly Notch[] =>
  map?.digits[String(digit)] ?? notchesOf(digit)

/** A notch's place in the numeral's box and the direction across the stroke there, as a unit vector. */
export interface Placed extends Notch, Point {
  readonly across: Point
}

/** Where a digit's notches stand. Pen lifts have no length. */
export function placed(digit: number, notches: readonly Notch[] = notchesOf(digit)): readonly Placed[] {
  const strokes = (PEN_PATHS[digit] ?? []).map(walk)
  const total = strokes.reduce((sum, s) => sum + lengthOf(s), 0)
  return notches.map((notch) => {
    let left = notch.at * total
    for (const points of strokes) {
      for (let i = 1; i < points.length; i++) {
        const [a, b] = [points[i - 1]!, points[i]!]
        const step = Math.hypot(b.x - a.x, b.y - a.y)
        if (left <= step && step > 0) {
          const t = left / step
          const across = { x: -(b.y - a.y) / step, y: (b.x - a.x) / step }
          return {
            ...notch,
            x: a.x + (b.x - a.x) * t + across.x * notch.aside,
            y: a.y + (b.y - a.y) * t + across.y * notch.aside,
            across,
          }
        }
        left -= step
      }
    }
    const end = strokes.at(-1)!.at(-1)!
    return { ...notch, ...end, across: { x: 1, y: 0 } }
  })
}

const within = (n: unknown, low: number, high: number): boolean => typeof n === 'number' && n >= low && n <= high

/** Reads a class's notches. @throws Refusal naming the digit and its total when a map would change what a numeral counts. */
export function parseNotchMap(json: unknown): NotchMap {
  const map = json as NotchMap
  if (
    typeof map !== 'object' ||
    map === null ||
    map.format !== 'sett-notches' ||
    typeof map.digits !== 'object' ||
    map.digits === null
  )
    throw new Refusal('This is not a file of notches.', 'Such a file says "sett-notches" at its start.')
  if (map.version !== 1)
    throw new Refusal(`These notches are of version ${String(map.version)}; this Sett reads version 1.`)
  const digits: Record<string, readonly Notch[]> = {}
  for (const [digit, notches] of Object.entries(map.digits)) {
    if (!/^[1-9]$/.test(digit)) throw new Refusal(`“${digit.slice(0, 10)}” is not a numeral from 1 to 9.`)
    const sound =
      Array.isArray(notches) &&
      notches.every(
        (n: Notch) => (n?.counts === 1 || n?.counts === 2) && within(n.at, 0, 1) && within(n.aside, -40, 40),
      )
    if (!sound)
      throw new Refusal(
        `The notches of ${digit} are not as they should be.`,
        'Each has counts (1 or 2), at (0 to 1) and aside (−40 to 40).',
      )
    const total = notches.reduce((sum: number, n: Notch) => sum + n.counts, 0)
    if (total !== Number(digit))
      throw new Refusal(`The notches of ${digit} count ${total}.`, `They must count ${digit}.`)
    digits[digit] = notches.map(({ counts, at, aside }: Notch) => ({ counts, at, aside })).sort((a, b) => a.at - b.at)
  }
  return { format: 'sett-notches', version: 1, digits }
}
