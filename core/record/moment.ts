import type { Act } from '../act/act'
import type { Standing } from '../act/standing'
import type { Trail } from '../number/trail'
import type { Exact } from '../number/exact'
import type { Followers } from '../plan/follow'
import type { WrittenLine } from '../plan/lines'
import type { Setup } from '../plan/setup'
import type { EquationsState } from '../representation/equations/equations'
import type { Owed, RepresentationId } from '../representation/representation'
import type { BeadDetail } from '../speech/beads'

export type Mode = 'show' | 'together' | 'alone'

/** One thing done: the moves of a hand that make it, the acts they are, and what was said and written for them. */
export interface Stone {
  /** Where the hand was; null where nothing had to be moved (a number only asked). */
  readonly on: RepresentationId | null
  readonly acts: readonly Act[]
  /** The moves in every representation that could do it. */
  readonly moves: Readonly<Partial<Record<RepresentationId, readonly unknown[]>>>
  readonly label: string
  readonly say: string
  readonly lines: readonly WrittenLine[]
  readonly before: Exact
  readonly shows: Exact
  /** What is still owed, in words; empty when the stone is whole. */
  readonly owed: string
  readonly owedKind: Owed['kind'] | null
  /** Whether it is what the way asks here; `part` of it, or something else that is nevertheless true. */
  readonly step: 'planned' | 'part' | 'other'
  /** Whether more is owed after it than before, or too much has been done: another order than the way's leads to the answer as well. */
  readonly strays: boolean
  /** The name of a slip seen in it, for the record; empty where there is none. */
  readonly slip: string
  /** On beads: by which rules the digits went, why by no earlier ones, and what hands and fingers do. */
  readonly detail: BeadDetail | null
  /** Representations that could not show it, with the reason. */
  readonly waiting: Readonly<Partial<Record<RepresentationId, string>>>
}

/** Everything that stands at one moment. */
export interface Moment {
  readonly states: Readonly<Partial<Record<RepresentationId, unknown>>>
  readonly followers: Followers
  readonly standing: Standing
  readonly page: EquationsState
  readonly stones: Trail<Stone>
  /** The representation that is worked by hand besides, with moments of its own; null where there is none. */
  readonly second: Moment | null
  /** What was guessed before it was worked; null where nothing was. */
  readonly guess: Exact | null
  /** The stone still growing: what it grew from and the moves so far. */
  readonly open: { readonly on: RepresentationId; readonly moves: readonly unknown[]; readonly from: Moment } | null
}

/** What a hand did for a stone, and what is already known of it. */
export interface HandMoves {
  readonly on: RepresentationId | null
  readonly moves: readonly unknown[]
  readonly owed?: Owed | null
  readonly step?: Stone['step']
  /** What would finish a digit that is on its way. */
  readonly toGo?: Owed
  readonly slip?: string
  readonly detail?: BeadDetail | null
}

/** One entry of a record: milliseconds since the start, where, and the move as text. On `bench`: `ask`, `go on`, `guess -10`, `undo`, `redo`. */
export interface Entry {
  readonly at: number
  readonly on: RepresentationId | 'bench'
  readonly move: string
}

/** A problem being worked. Every change makes a new Bench; moments are shared, so undo costs nothing. */
export interface Bench {
  readonly setup: Setup
  readonly mode: Mode
  readonly now: Moment
  readonly past: Trail<{ readonly moment: Moment; readonly entry: Entry }>
  readonly undone: readonly Entry[]
  readonly log: Trail<Entry>
}
