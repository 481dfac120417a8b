import type { Act } from '../../act/act'
import type { Exact } from '../../number/exact'
import type { Trail } from '../../number/trail'
import type { Pieces, Units } from '../../number/units'
import type { Quotient } from '../../problem/problem'

/** One line of running writing, in plain ASCII arithmetic, and what stood before it was written. */
export interface Line {
  readonly text: string
  readonly act: Act
  readonly valueBefore: Exact
}

export interface EquationsState {
  /** The whole question, for the last sentence. */
  readonly problem: string
  /** What the question comes to: its sentence is only written where it is true. */
  readonly answer: Exact
  /** Of a division, the same with what is left over; null elsewhere. */
  readonly quotient: Quotient | null
  readonly value: Exact
  /** The pieces worked in, and how the value stands parted into them; a broken ten shows as twelve ones. */
  readonly units: Units
  readonly held: readonly Pieces[]
  /** What lies beside: the number that is posed, and further rows to be compared. */
  readonly rows: readonly (readonly Pieces[])[]
  /** The first number as it was asked, and whether it is to be written another way. */
  readonly first: string
  readonly named: boolean
  readonly lines: Trail<Line>
  /** Beside things that count one each, or numbers worked whole, numbers are not parted into places. */
  readonly plain: boolean
  /** Whether numbers are parted and gathered here, which elsewhere are only laid and exchanged. */
  readonly parts: boolean
  /** Whether what is asked may be written another way, by the rule of signs. */
  readonly rewrites: boolean
  /** Whether groups are written one after another: 7 + 7 = 14, or 20 - 6 = 14. */
  readonly repeats: boolean
  /** Whether amounts are worked whole. */
  readonly whole: boolean
  /** Where a difference is counted or hopped up, what it is counted from. */
  readonly from: Exact
}

export interface EquationsMove {
  readonly kind: 'write'
  readonly line: string
}
