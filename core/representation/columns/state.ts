import type { Exact } from '../../number/exact'
import { placeName, unitOf, type Place } from '../../number/places'
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

/** A number written under another. */
export interface Below {
  readonly amount: Exact
  /** Its digits, lowest place first; places above its own are absent. */
  readonly digits: readonly number[]
}

/** One operation on the sheet: what is written under a row (several addends, or one number taken away), and its carry marks. */
export interface Band {
  readonly operation: Sign
  readonly below: readonly Below[]
  readonly carry: readonly number[]
}

/**
 * A column sheet. Row 0 is the first number; row r + 1 is the answer row of band r and the top row of band r + 1,
 * so that a chain runs down the page without being copied. Squares are indexed from the lowest place up; moves name real
 * places, so that the square of a place stands at place + decimals.
 */
export interface ColumnsState {
  readonly width: number
  /** How many of the squares stand after the point. */
  readonly decimals: number
  /** The numbers that are to be written under, in order. */
  readonly asked: readonly { readonly operation: Sign; readonly amount: Exact }[]
  /** How many decimals each number is written with, the first number first: 2.50 has two. */
  readonly written: readonly number[]
  /** The number a learner is writing under just now, digit by digit; null where none is. */
  readonly draft: readonly (number | null)[] | null
  readonly rows: readonly (readonly Square[])[]
  readonly bands: readonly Band[]
  /** Whether an enlarged digit is struck and written anew, instead of a small 1 before it. */
  readonly rewrites: boolean
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
  /** Writes one digit of the next number under; a digit of 10 or more never. */
  | { readonly kind: 'digit'; readonly place: Place; readonly digit: number }
  /** Pulls the number being written so many squares to the right (left where negative). */
  | { readonly kind: 'pull'; readonly by: number }
  /** A number said while touching a notch in this column. */
  | { readonly kind: 'say'; readonly place: Place; readonly word: number }
  /** A carry mark above this column. */
  | { readonly kind: 'carry'; readonly place: Place; readonly digit: number }
  | { readonly kind: 'read'; readonly value: Exact | null }

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

/** What stands above in a column, with its carry mark, whether or not it is answered already. */
export const topAt = (s: ColumnsState, place: Place): number =>
  (live(s.rows[topRow(s)]?.[place]) ?? 0) + (s.bands.at(-1)?.carry[place] ?? 0)

/** The row in which this place's holding square stands: the answer row once it is written, the row above it before. */
export const holdingRow = (s: ColumnsState, place: Place): number => (answered(s, place) ? s.bands.length : topRow(s))

/** What each place holds, as the sheet stands: the answer where it is written, else the digit above and its carry mark. */
export function holdings(s: ColumnsState): readonly number[] {
  return Array.from({ length: s.width }, (_, p) =>
    answered(s, p) ? (live(s.rows[s.bands.length]?.[p]) ?? 0) : topAt(s, p),
  )
}

/** What the sheet is worth now. */
export const shown = (s: ColumnsState): Exact =>
  holdings(s).reduce<Exact>((total, n, i) => add(total, multiply(exact(n), unitOf(i - s.decimals))), ZERO)

/** What stands under the newest row in one column, all addends together. */
export const belowAt = (s: ColumnsState, i: number): number =>
  (s.bands.at(-1)?.below ?? []).reduce((sum, b) => sum + (b.digits[i] ?? 0), 0)

/** The digits of one column as the sheet shows them, from the top: its carry mark, the digit above, those below; noughts left out. */
export const columnAt = (s: ColumnsState, i: number): readonly number[] =>
  [
    s.bands.at(-1)?.carry[i] ?? 0,
    live(s.rows[topRow(s)]?.[i]) ?? 0,
    ...(s.bands.at(-1)?.below ?? []).map((b) => b.digits[i] ?? 0),
  ].filter((digit) => digit > 0)

/** Whether a column with something under it has no answer yet. */
export const unworked = (s: ColumnsState): boolean =>
  Array.from({ length: s.width }, (_, i) => i).some((i) => belowAt(s, i) > 0 && !answered(s, i))

/** What a column is called. */
export const columnName = (s: ColumnsState, i: number, count = 2): string => placeName(i - s.decimals, count)

/** How many numbers have been written under so far. */
export const writtenUnder = (s: ColumnsState): number => s.bands.reduce((n, b) => n + b.below.length, 0)

/** The number to be written under next, or undefined. */
export const nextAsked = (s: ColumnsState): ColumnsState['asked'][number] | undefined => s.asked[writtenUnder(s)]
