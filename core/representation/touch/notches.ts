import { Refusal } from '../../refusal'
import { PEN_PATHS, walk, type Point } from './paths'

/** One notch, which counts one: where on the pen's way it stands, from 0 to 1; `aside` moves it off the stroke. */
export interface Notch {
  readonly at: number
  /** How far off the stroke, in units of the numeral's box (100 wide); 0 on it. */
  readonly aside: number
}

/** A class's own notches for some digits; the others stand where the rule puts them. */
export interface NotchMap {
  readonly format: 'sett-notches'
  readonly version: 2
  readonly digits: Readonly<Record<string, readonly Notch[]>>
}

/** A point of the pen's way: how far along it lies, on which stroke, and which way the pen goes. */
interface Spot extends Point {
  readonly along: number
  readonly stroke: number
  readonly heading: Point
}

/** All of one digit's way in small steps, its corners and its whole length. Lifting the pen has no length. */
interface PenWay {
  readonly spots: readonly Spot[]
  readonly corners: readonly number[]
  readonly length: number
}

/** How many teeth a comb has: as many as fingers on a hand. */
export const COMB = 5
/** From tooth to tooth, and how far a notch keeps from corners, from the pen's ends and from other strokes, in units of the box. */
const [TOOTH, FROM_CORNER, FROM_END, FROM_STROKE, FROM_NOTCH] = [7.5, 15, 7, 18, 17]
/** How much of a stroke is its own neighbourhood and no other stroke. */
const NEAR = 36
/** What turns by more than this is a corner, as the cosine of the angle. */
const STRAIGHT = Math.cos(Math.PI / 5)

const ways = new Map<number, PenWay>()

function wayOf(digit: number): PenWay {
  const known = ways.get(digit)
  if (known) return known
  const spots: Spot[] = []
  const corners: number[] = []
  let along = 0
  for (const [stroke, points] of (PEN_PATHS[digit] ?? []).map(walk).entries()) {
    let last: Point | undefined
    for (let i = 1; i < points.length; i++) {
      const [a, b] = [points[i - 1]!, points[i]!]
      const step = Math.hypot(b.x - a.x, b.y - a.y)
      if (step === 0) continue
      const heading = { x: (b.x - a.x) / step, y: (b.y - a.y) / step }
      if (last && last.x * heading.x + last.y * heading.y < STRAIGHT) corners.push(along)
      last = heading
      for (let d = 0; d < step; d += 0.5)
        spots.push({ along: along + d, stroke, heading, x: a.x + heading.x * d, y: a.y + heading.y * d })
      along += step
    }
    const end = points.at(-1)!
    if (last) spots.push({ along, stroke, heading: last, ...end })
  }
  const way = { spots, corners, length: along }
  ways.set(digit, way)
  return way
}

function spotAt({ spots }: PenWay, along: number): Spot {
  let [low, high] = [0, spots.length - 1]
  while (low < high) {
    const middle = Math.ceil((low + high) / 2)
    if (spots[middle]!.along <= along) low = middle
    else high = middle - 1
  }
  const { heading, x, y, ...spot } = spots[low]!
  const d = along - spot.along
  return { ...spot, heading, along, x: x + heading.x * d, y: y + heading.y * d }
}

/** Whether a place is on no corner, no crossing and no end of a stroke. */
function isClear(way: PenWay, along: number): boolean {
  const here = spotAt(way, along)
  if (way.corners.some((c) => Math.abs(c - along) < FROM_CORNER)) return false
  const own = way.spots.filter((s) => s.stroke === here.stroke)
  if (along - own[0]!.along < FROM_END || own.at(-1)!.along - along < FROM_END) return false
  return way.spots.every(
    (s) =>
      (s.stroke === here.stroke && Math.abs(s.along - along) < NEAR) ||
      Math.hypot(s.x - here.x, s.y - here.y) >= FROM_STROKE,
  )
}

/** The nearest place to `wanted`, after `after`, where all of some notches at these offsets are clear. */
function nearestClear(way: PenWay, wanted: number, offsets: readonly number[], after: number): number {
  for (let by = 0; by <= way.length; by += 0.5)
    for (const at of [wanted + by, wanted - by]) {
      const [first, last] = [at + offsets[0]!, at + offsets.at(-1)!]
      if (first < after || first < 0 || last > way.length) continue
      if (offsets.every((o) => isClear(way, at + o))) return at
    }
  throw new Error('a numeral has no clear place for a notch')
}

const rules = new Map<number, readonly Notch[]>()

/**
 * The notches of a digit by the rule (practice, section 5): as many as it says, each counting one, nought none. They are meant for
 * (i + ½)/d of the pen's way; from 6 on the first five are drawn together into a comb around their middle. What would stand
 * on a corner or a crossing moves along to the nearest clear place.
 */
export function notchesOf(digit: number): readonly Notch[] {
  const known = rules.get(digit)
  if (known) return known
  const way = wayOf(digit)
  const notches: Notch[] = []
  let after = 0
  const put = (wanted: number, offsets: readonly number[]): void => {
    const at = nearestClear(way, wanted * way.length, offsets, after)
    notches.push(...offsets.map((o) => ({ at: (at + o) / way.length, aside: 0 })))
    after = at + offsets.at(-1)! + FROM_NOTCH
  }
  const teeth = Array.from({ length: COMB }, (_, i) => (i - (COMB - 1) / 2) * TOOTH)
  if (digit > COMB) put(COMB / 2 / digit, teeth)
  for (let i = digit > COMB ? COMB : 0; i < digit; i++) put((i + 0.5) / digit, [0])
  rules.set(digit, notches)
  return notches
}

/** A digit's notches in a class: its own where it has moved them. */
export const notchesIn = (map: NotchMap | null, digit: number): readonly Notch[] =>
  map?.digits[String(digit)] ?? notchesOf(digit)

/** A notch's place in the numeral's box and the direction across the stroke there, as a unit vector. */
export interface Placed extends Notch, Point {
  readonly across: Point
  /** Whether it is a tooth of a comb: one of five that stand close together. */
  readonly tooth: boolean
}

/** Where a digit's notches stand. */
export function placed(digit: number, notches: readonly Notch[] = notchesOf(digit)): readonly Placed[] {
  const way = wayOf(digit)
  const teeth = combIn(notches, way.length)
  return notches.map((notch, i) => {
    const { x, y, heading } = spotAt(way, notch.at * way.length)
    const across = { x: -heading.y, y: heading.x }
    const tooth = teeth !== undefined && i >= teeth && i < teeth + COMB
    return { ...notch, x: x + across.x * notch.aside, y: y + across.y * notch.aside, across, tooth }
  })
}

/** Where five notches in a row stand close together, if any do. */
function combIn(notches: readonly Notch[], length: number): number | undefined {
  const close = (a: Notch, b: Notch): boolean => (b.at - a.at) * length < TOOTH * 1.25 && a.aside === b.aside
  for (let i = 0; i + COMB <= notches.length; i++)
    if (notches.slice(i + 1, i + COMB).every((n, j) => close(notches[i + j]!, n))) return i
  return undefined
}

const within = (n: unknown, low: number, high: number): boolean => typeof n === 'number' && n >= low && n <= high

/** A mark that counted two, as version 1 had them, becomes two notches this far apart along the way. */
const APART = 0.06

/** Reads a class's notches; marks that counted two become singles. @throws Refusal naming the digit and its total when a map would change what a numeral counts. */
export function parseNotchMap(json: unknown): NotchMap {
  const map = json as { format?: unknown; version?: unknown; digits?: unknown } | null
  if (typeof map !== 'object' || map?.format !== 'sett-notches' || typeof map.digits !== 'object' || !map.digits)
    throw new Refusal('This is not a file of notches.', 'Such a file says "sett-notches" at its start.')
  if (map.version !== 1 && map.version !== 2)
    throw new Refusal(
      typeof map.version === 'number'
        ? `These notches are of version ${String(map.version).slice(0, 8)}; this Sett reads versions 1 and 2.`
        : 'These notches do not say of which version they are; this Sett reads versions 1 and 2.',
    )
  const digits: Record<string, readonly Notch[]> = {}
  for (const [digit, notches] of Object.entries(map.digits)) {
    if (!/^[1-9]$/.test(digit)) throw new Refusal(`“${digit.slice(0, 10)}” is not a numeral from 1 to 9.`)
    const sound =
      Array.isArray(notches) &&
      notches.length <= 9 &&
      notches.every(
        (n: Notch & { counts?: unknown }) =>
          within(n?.at, 0, 1) &&
          within(n.aside, -40, 40) &&
          (map.version === 2 ? n.counts === undefined || n.counts === 1 : n.counts === 1 || n.counts === 2),
      )
    if (!sound)
      throw new Refusal(
        `The notches of ${digit} are not as they should be.`,
        'Each counts one, and has at (0 to 1) and aside (−40 to 40).',
      )
    const singles = (notches as (Notch & { counts?: number })[]).flatMap(({ at, aside, counts }) =>
      counts === 2
        ? [-APART / 2, APART / 2].map((by) => ({ at: Math.min(1, Math.max(0, at + by)), aside }))
        : [{ at, aside }],
    )
    if (singles.length !== Number(digit))
      throw new Refusal(`The notches of ${digit} count ${singles.length}.`, `They must count ${digit}.`)
    digits[digit] = singles.sort((a, b) => a.at - b.at)
  }
  return { format: 'sett-notches', version: 2, digits }
}
