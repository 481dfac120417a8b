import { exact, toCount, type Exact } from '../../number/exact'
import { countOf, pieceName, SIGNED, type Pieces } from '../../number/units'

/** So many plus counters, and so many minus counters. */
export interface Signs {
  readonly plus: number
  readonly minus: number
}

/** Plus counters lie above the line, minus counters below it; a zero pair stands on the line. What was taken lies on a tray, in view. */
export interface SignedState extends Signs {
  /** Lined up on the line: a plus and a minus each, worth nothing. */
  readonly pairs: number
  readonly taken: Signs
  readonly read: Exact | null
}

export type SignedMove =
  /** From the store onto the mat and back; from the mat onto the tray and back. */
  | ({ readonly kind: 'lay' | 'return' | 'take' | 'give' } & Signs)
  /** Lines up on the line what lies above and below it, or parts it again. */
  | { readonly kind: 'pair' | 'part'; readonly count: number }
  /** Pairs leave the mat together, or come onto it. */
  | { readonly kind: 'clear' | 'bring'; readonly count: number }
  | { readonly kind: 'read'; readonly value: Exact | null }

/** As many counters as a mat has room for, and as far as they are of use (practice, section 10). */
export const ROOM = 40
export const GREATEST = 20

export const NONE: Signs = { plus: 0, minus: 0 }
export const EMPTY: SignedState = { ...NONE, pairs: 0, taken: NONE, read: null }

export const shows = ({ plus, minus }: Signs): Exact => exact(plus - minus)

/** How many counters lie on the mat, those in pairs too. */
export const onMat = ({ plus, minus, pairs }: SignedState): number => plus + minus + 2 * pairs

export const added = (a: Signs, b: Signs, times = 1): Signs => ({
  plus: a.plus + times * b.plus,
  minus: a.minus + times * b.minus,
})

const UNIT: Readonly<Record<keyof Signs, Exact>> = { plus: exact(1), minus: exact(-1) }

/** What so many counters of a sign are called. */
export const signName = (sign: keyof Signs, count: number): string => pieceName(UNIT[sign], count, SIGNED)

/** Counters as pieces, the pluses first. */
export const piecesOfSigns = ({ plus, minus }: Signs): readonly Pieces[] =>
  [
    { count: plus, unit: UNIT.plus },
    { count: minus, unit: UNIT.minus },
  ].filter((p) => p.count !== 0)

export const signsOf = (pieces: readonly Pieces[]): Signs => ({
  plus: countOf(pieces, UNIT.plus),
  minus: countOf(pieces, UNIT.minus),
})

/** A whole number as counters of its own sign. */
export const signsFor = (value: Exact): Signs => {
  const n = toCount(value)
  return n < 0 ? { plus: 0, minus: -n } : { plus: n, minus: 0 }
}
