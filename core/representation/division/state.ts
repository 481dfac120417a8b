import { exact, type Exact } from '../../number/exact'
import type { Place } from '../../number/places'
import { decimal } from '../../number/units'
import { MAX_DIGITS } from '../../number/numeral'

/** Places for the longest dividend. */
export const UNITS = decimal(MAX_DIGITS)
/** The greatest divisor: what can still be counted in steps on fingers. */
export const GREATEST_DIVISOR = 12

/** A digit tried in the quotient, with what was written for it: times the divisor, and what that leaves. */
export interface Try {
  readonly digit: number
  readonly product: number | null
  readonly difference: number | null
}

export interface DivisionState {
  readonly by: number
  /** Whether a 0 is written in the quotient where no group fits before its first digit. */
  readonly zero: boolean
  /** The digits of the dividend; empty until it is written down. */
  readonly dividend: string
  /** How many of its digits the card leaves free, from the left. */
  readonly free: number
  /** What was tried over each digit, from the left. The last try stands, those before it are struck. */
  readonly tries: readonly (readonly Try[])[]
  /** The words of the skip count, one for each finger that is up. */
  readonly counted: readonly number[]
  /** What was read: how many each, and how many are left over where that was said. */
  readonly read: { readonly value: Exact; readonly remainder: Exact | null } | null
}

export type DivisionMove =
  /** The dividend is written down, and the card laid over all but its first digit. */
  | { readonly kind: 'set'; readonly number: Exact }
  /** The card moves one digit on, and the digit is brought down beside what is left. */
  | { readonly kind: 'bring' }
  /** Over the digit that is worked; a 0 that was left out also over an earlier one. */
  | { readonly kind: 'quotient'; readonly digit: number; readonly over: Place | null }
  | { readonly kind: 'product' | 'difference'; readonly number: number }
  /** One finger more goes up, with the next multiple; or the last is taken back. */
  | { readonly kind: 'say'; readonly word: number }
  | { readonly kind: 'fold' }
  | { readonly kind: 'read'; readonly value: Exact | null; readonly remainder: Exact | null }

export const emptySheet = (by: number, zero: boolean): DivisionState => ({
  by,
  zero,
  dividend: '',
  free: 0,
  tries: [],
  counted: [],
  read: null,
})

/** The place of a square, counted from the left. */
export const placeAt = ({ dividend }: DivisionState, square: number): Place => dividend.length - 1 - square

/** The square that is worked: the last digit that the card leaves free. */
export const working = ({ free }: DivisionState): number => free - 1

/** The try that stands over a digit. */
export const standing = ({ tries }: DivisionState, square: number): Try | undefined => tries[square]?.at(-1)

/** What is divided at a square as the sheet truly stands there, and what is left of it; in pieces of its own place. */
export function turnAt(s: DivisionState, square: number): { readonly stands: number; readonly left: number } {
  let left = 0
  let stands = 0
  for (let i = 0; i <= square; i++) {
    stands = left * 10 + Number(s.dividend[i])
    left = stands - takenAt(s, i, stands) * s.by
  }
  return { stands, left }
}

/** How many each got at a square: its digit, once it is multiplied and subtracted rightly. */
function takenAt(s: DivisionState, square: number, stands: number): number {
  const one = standing(s, square)
  if (!one || one.product !== one.digit * s.by) return 0
  return one.product <= stands && one.difference === stands - one.product ? one.digit : 0
}

/** The digit that counts at a square. */
export const sharedAt = (s: DivisionState, square: number): number => takenAt(s, square, turnAt(s, square).stands)

/** What is still to be shared. */
export function shows(s: DivisionState): Exact {
  if (s.dividend === '') return exact(0)
  return exact(Number(`${turnAt(s, working(s)).left}${s.dividend.slice(s.free)}`))
}
