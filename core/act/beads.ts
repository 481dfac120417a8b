import type { Hand } from '../choices'
import type { Place } from '../number/places'

/** The vocabulary of beads on rods: what hands do there, and how a digit goes (practice, section 9; common practice, no source). */

/** How beads let a digit be added or taken away on a rod: just one of these holds in each position. */
export type BeadRule = 'direct' | 'five' | 'ten' | 'mixed'

/** Adding or taking away. */
export type Direction = 1 | -1

export type BeadFinger = 'thumb' | 'index' | 'pinch'

/** One movement of a hand: beads that go together, on one rod. */
export interface BeadMove {
  readonly kind: 'beads'
  /** The rod as a power of ten. */
  readonly rod: Place
  /** `pinch` moves one upper bead and `count` lower ones towards each other, or away from each other. */
  readonly bead: 'upper' | 'lower' | 'pinch'
  readonly count: number
  readonly to: 'bar' | 'away'
  /** Which hand and finger, where that is known. */
  readonly hand: Hand | null
  readonly finger: BeadFinger | null
}

/** Ones borrowed from beyond the highest rod although they are not there, or (below nought) given back to it. */
export interface OweMove {
  readonly kind: 'owe'
  readonly count: number
}

/** Why a rule cannot be used: the beads it wants, and how many of them are free to move. */
export interface Lack {
  readonly rule: BeadRule
  readonly side: 'upper' | 'lower'
  readonly wanted: number
  readonly there: number
}

/** How one digit is worked on its rod, with what it sets off on the rods above. */
export interface DigitWork {
  readonly place: Place
  readonly digit: number
  readonly way: Direction
  readonly rule: BeadRule
  /** The earlier rules, and which beads they lacked. */
  readonly rejected: readonly Lack[]
  /** What the digit is made of, in the rod's own units and in the order in which it is done: +7 as +2 −5 +10. */
  readonly terms: readonly number[]
  /** The one that goes to or comes from the next rod; `beyond` where there is no such rod. */
  readonly next: DigitWork | 'beyond' | null
}

/** Slips with beads that practitioners know (practice, section 14). */
export type BeadSlip =
  'tenNotReturned' | 'fiveNotReturned' | 'digitReturned' | 'clearedAll' | 'nextForgotten' | 'wrongRod'

/** What moves made so far come to, held against what is still wanted. */
export interface Judged {
  /** `done`: a digit is worked, by the right rule or another lawful way; `part`: on the way to it; `off`: neither. */
  readonly status: 'done' | 'part' | 'off'
  /** The slip that this is; of a part, the slip it would be if it were left so. */
  readonly slip: BeadSlip | ''
  /** What would finish the digit that is on its way. */
  readonly toGo: readonly (BeadMove | OweMove)[]
  /** How that digit goes. */
  readonly work: DigitWork | null
}
