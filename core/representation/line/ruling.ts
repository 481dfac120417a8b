/** How a number line is ruled so that it can be read: its reach, its marks and which of them have their numbers. Pure. */

export interface Ruling {
  readonly from: number
  readonly to: number
  /** The distance of two marks, and of two marks with numbers. */
  readonly mark: number
  readonly labelled: number
  /** Where a number stands, in pixels; and the number of a mark that is nearest to a point. */
  x(n: number): number
  nearest(x: number): number
}

/** The least room between two marks, and between two numbers, in pixels. */
const [LEAST_MARK, LEAST_LABEL] = [9, 52]
const EDGE = 44

/** How far apart marks may be: one part and whole numbers of them; then, from the least decimal or from ones up, powers of ten with their doubles and fives. */
function* steps(parts: number): Generator<number> {
  const decimal = /^10*$/.test(String(parts))
  if (!decimal) for (let n = parts; n > 1; n--) if (parts % n === 0) yield 1 / n
  for (let power = decimal ? 1 / parts : 1; ; power *= 10) for (const times of [1, 2, 5]) yield power * times
}

/** Rounds away what binary fractions leave behind: 0.1 × 3 is 0.3. */
const clean = (n: number): number => Number(n.toPrecision(12)) + 0

/**
 * Rules a line through nought for these numbers, `parts` marks to the whole where there is room: each one with a tenth of the reach to
 * spare. The same numbers always give the same line, however far the work on it has come.
 */
export function ruled(numbers: readonly number[], parts: number, width: number): Ruling {
  const [low, high] = [Math.min(0, ...numbers), Math.max(0, ...numbers)]
  const reach = Math.max(high - low, 4 / parts)
  const room = Math.max(1, width - 2 * EDGE)
  const fits = (step: number, least: number): boolean => (room * step) / (reach * 1.2) >= least
  const whole = [...take(steps(parts), 24)]
  const mark = whole.find((step) => fits(step, LEAST_MARK)) ?? reach
  const labelled = whole.find((step) => fits(step, LEAST_LABEL) && isMultiple(step, mark)) ?? reach
  const from = clean(Math.floor((low - reach * 0.08) / mark) * mark)
  const to = clean(Math.ceil((high + reach * 0.08) / mark) * mark)
  const x = (n: number): number => EDGE + (room * (n - from)) / (to - from)
  return {
    from,
    to,
    mark,
    labelled,
    x,
    nearest: (at) => clean(Math.round((from + ((at - EDGE) * (to - from)) / room) / mark) * mark),
  }
}

const isMultiple = (a: number, b: number): boolean => Math.abs(a / b - Math.round(a / b)) < 1e-9

function* take<T>(from: Generator<T>, n: number): Generator<T> {
  for (let i = 0; i < n; i++) yield from.next().value as T
}

/** The marks from end to end, and whether each has its number. */
export function marksOf({
  from,
  to,
  mark,
  labelled,
}: Ruling): readonly { readonly n: number; readonly long: boolean }[] {
  const first = Math.round(from / mark)
  const count = Math.round((to - from) / mark)
  return Array.from({ length: count + 1 }, (_, i) => {
    // Counted in marks from nought, so that nought itself is one.
    const n = clean((first + i) * mark)
    return { n, long: isMultiple(n, labelled) }
  })
}
