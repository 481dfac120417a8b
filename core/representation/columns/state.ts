import type { Exact } from '../../number/exact'
import { unitOf, type Place } from '../../number/places'
import { add, exact, multiply, ZERO } from '../../number/exact'
import type { Sign } from '../../problem/problem'

/** One digit (or a column's whole sum, for a moment) in a square; `one` is the small 1 before it, worth ten more. */
export interface Ink {
  readonly digit: number
  readonly one: boolean
  readonly struck: boolean
}

/** All that was ever written in one square, oldest first. Nothing is rubbed out: what no longer holds is struck. */
export type Square = readonly Ink[]

/** One operation on the sheet: the number written under a row, and the carry marks above that row. */
export interface Band {
  readonly operation: Sign
  readonly amount: Exact
  /** Digits of the number below, by place. */
  readonly below: readonly number[]
  readonly carry: readonly number[]
}

/**
 * A column sheet. Row 0 is the first number; row r + 1 is the answer row of band r and the top row of band r + 1,
 * so that a chain runs down the page without being copied. Squares are indexed by place, ones first.
 */
export interface ColumnsState {
  readonly width: number
  readonly rows: readonly (readonly Square[])[]
  readonly bands: readonly Band[]
  /** Whether digits carry notches that are touched and counted, column by column. */
  readonly touch: boolean
  /** The numbers said while touching, each with its band and column. */
  readonly said: readonly { readonly band: number; readonly place: Place; readonly word: number }[]
  readonly read: Exact | null
}

export type ColumnsMove =
  /** Writes the first number. */
  | { readonly kind: 'write'; readonly number: Exact }
  /** Writes the sign and the next number beneath, flush right. */
  | { readonly kind: 'under'; readonly operation: Sign; readonly number: Exact }
  /** Writes in the answer row. */
  | { readonly kind: 'answer'; readonly place: Place; readonly digit: number }
  /** Strikes what holds in this place now. */
  | { readonly kind: 'strike'; readonly place: Place }
  /** Writes anew above (or beside) what was struck. */
  | { readonly kind: 'above'; readonly place: Place; readonly digit: number }
  /** The small 1 before the digit. */
  | { readonly kind: 'one'; readonly place: Place }
  /** A number said while touching a notch in this column. */
  | { readonly kind: 'say'; readonly place: Place; readonly word: number }
  /** A carry mark above this column. */
  | { readonly kind: 'carry'; readonly place: Place; readonly digit: number }
  | { readonly kind: 'read'; readonly value: Exact | null }
  /** Takes the newest mark of a kind away again; only undoing makes it. */
  | {
      readonly kind: 'rub'
      readonly mark: 'write' | 'under' | 'answer' | 'strike' | 'above' | 'one' | 'carry' | 'say'
      readonly place: Place
      readonly digit: number
    }

/** The row whose digits are being worked on: the one above the newest answer row. */
export const topRow = (s: ColumnsState): number => Math.max(0, s.bands.length - 1)

/** What a square says now, or undefined where nothing in it holds. */
export function live(square: Square | undefined): number | undefined {
  const ink = square?.at(-1)
  return ink && !ink.struck ? ink.digit + (ink.one ? 10 : 0) : undefined
}

/** Whether the place already has something in the newest answer row. */
export const answered = (s: ColumnsState, place: Place): boolean =>
  s.bands.length > 0 && s.rows[s.bands.length]![place]!.length > 0

/** The row in which this place's holding square stands: the answer row once it is written, the row above it before. */
export const holdingRow = (s: ColumnsState, place: Place): number => (answered(s, place) ? s.bands.length : topRow(s))

/** What each place holds, as the sheet stands: the answer where it is written, else the digit above and its carry mark. */
export function holdings(s: ColumnsState): readonly number[] {
  return Array.from({ length: s.width }, (_, p) => {
    const row = holdingRow(s, p)
    const carry = row === topRow(s) && !answered(s, p) ? (s.bands.at(-1)?.carry[p] ?? 0) : 0
    return (live(s.rows[row]?.[p]) ?? 0) + carry
  })
}

/** What the sheet is worth now. */
export const shown = (s: ColumnsState): Exact =>
  holdings(s).reduce<Exact>((total, n, p) => add(total, multiply(exact(n), unitOf(p))), ZERO)
