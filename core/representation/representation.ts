import { inUnits, type Act, type AmountAct, type ExchangeAct } from '../act/act'
import type { BeadMove, BeadSlip, DigitWork, Judged, OweMove } from '../act/beads'
import type { Choices } from '../choices'
import type { RepresentationId } from '../materials'
import type { Exact } from '../number/exact'
import type { Place } from '../number/places'
import type { Name, Pieces, Units } from '../number/units'
import type { Fit, Sort } from '../problem/fit'
import type { Problem } from '../problem/problem'

/** Moves that do not make whole acts yet. */
export interface Unfinished {
  /** What has truly happened if nothing more comes; empty where nothing that counts has. */
  readonly soFar: readonly Act[]
  readonly owed: Owed
}

/** What is still to be done, as data; speech puts it into the classroom's words. */
export type Owed =
  | { readonly kind: 'put-back'; readonly pieces: readonly Pieces[] }
  | { readonly kind: 'carry-off'; readonly pieces: readonly Pieces[] }
  | { readonly kind: 'mark'; readonly mark: 'lessened' | 'small-one' | 'strike'; readonly place: Place }
  /** A digit was struck to be one less, and another number was written. */
  | { readonly kind: 'lessen'; readonly place: Place; readonly was: number; readonly wrote: number }
  /** A column comes to `count` of the next place, which are written nowhere yet; `stands` is the digit answered there already. */
  | { readonly kind: 'carry'; readonly place: Place; readonly count: number; readonly stands: number | null }
  /** A carry mark stands over the next place; the digit that stays in this one is not written. */
  | { readonly kind: 'carried'; readonly place: Place }
  /** A carry mark stands over a place, and the column before it, with these digits, does not come to it. */
  | { readonly kind: 'carry-unowed'; readonly place: Place; readonly column: readonly number[] }
  | {
      readonly kind: 'look-again'
      readonly place: Place
      readonly wrote: number
      readonly above: number
      readonly operation: '+' | '-'
      readonly below: number
      /** The column's digits as the sheet shows them: its carry mark, the digit above, those below; noughts left out. */
      readonly column: readonly number[]
      /** The numbers said while the column was counted, where it was. */
      readonly said?: readonly Exact[]
    }
  /** A number written under stands so many squares too far to the left (to the right where negative). */
  | { readonly kind: 'align'; readonly by: number }
  /** A digit of it is not the one that was asked. */
  | { readonly kind: 'copy'; readonly place: Place; readonly wrote: number; readonly amount: Exact }
  /** A line was written whose two sides are not worth the same. */
  | { readonly kind: 'false-line'; readonly left: string; readonly wrote: string }
  /** Beads went another way than the digit; what is wanted now is `rest`, below nought where it is to be taken away. */
  | { readonly kind: 'beads'; readonly slip: BeadSlip; readonly rest: Exact }
  /** A digit is on its way: what would finish it. */
  | { readonly kind: 'to-go'; readonly moves: readonly (BeadMove | OweMove)[] }
  /** More lies there than the number the problem starts with. */
  | { readonly kind: 'laid'; readonly there: Exact; readonly asked: Exact }
  /** Not every plate has the same: these have less, numbered from 1; `short` is what is in hand, where it is not enough for them. */
  | {
      readonly kind: 'uneven'
      readonly plates: readonly number[]
      readonly short: Pieces | null
      readonly fill?: number
    }
  /** Counters of both signs went back to the store, not as many of the one as of the other: that was no zero pair. */
  | { readonly kind: 'half-pair'; readonly plus: number; readonly minus: number }
  /** An arrow was drawn that does not start where the one before it ends. */
  | { readonly kind: 'loose-arrow'; readonly from: Exact; readonly here: Exact }
  /** A digit of a quotient is written, and the next step of its loop is not. */
  | {
      readonly kind: 'turn'
      readonly step: 'multiply' | 'subtract'
      readonly digit: number
      readonly by: number
      readonly stands: number
    }
  /** More is to be subtracted than stands there: a group too many. */
  | { readonly kind: 'too-many'; readonly product: number; readonly stands: number; readonly by: number }
  /** What is left is not smaller than the divisor: another group still fits. */
  | { readonly kind: 'still-fits'; readonly left: number; readonly by: number; readonly digit: number }
  /** A digit and its carry mark that are not the product of the column with what was carried to it. */
  | {
      readonly kind: 'product-column'
      readonly above: number
      readonly times: number
      readonly carried: number
      readonly wrote: number
    }
  /** A row for the tens of the lower number begins among the ones. */
  | { readonly kind: 'not-moved'; readonly times: number; readonly power: Place }
  /** A square of the quotient stays empty between digits. */
  | { readonly kind: 'zero-left'; readonly place: Place }
  | { readonly kind: 'nothing' }

/** The acts that moves make; or what is unfinished about them; or undefined, where they are not one thing done. */
export type Recognised = readonly Act[] | Unfinished | undefined

export const isUnfinished = (r: Recognised): r is Unfinished => r !== undefined && !Array.isArray(r)

/**
 * Anything that can show a quantity and be changed by hand. States and moves are plain readonly JSON; every function
 * is pure. `apply` and `parse` throw Refusal; so does `perform` where the material cannot do the act as it stands.
 */
export interface Representation<State = unknown, Move = unknown> {
  readonly id: RepresentationId
  readonly title: string
  /** What it is called within a sentence: “the abacus”, but “chips”. */
  readonly called: string
  readonly kind: 'concrete' | 'drawn' | 'written'
  /** Whether its numbers stand in a diagram with their parts under them, besides the lines. */
  readonly diagram?: boolean
  /** What is always written along with it, besides the running equations. */
  readonly along?: readonly RepresentationId[]
  /** What its pieces are worth and are called; of a page or a line, the places in which its numbers are parted. */
  readonly units: Units
  /** For which sorts of ways its hands are made, the usual one first. */
  readonly sorts: readonly Sort[]
  /** Whether a way (by its id) can be worked in this material for this problem; every way of its sort, where absent. */
  allows?(way: string, problem: Problem): boolean
  /** The way to start with, where it is not simply the first. */
  readonly prefers?: readonly string[]
  /** What its hands do, for speech: raise and fold fingers, put and return counters. */
  readonly verbs?: HandWords
  /** How a hand sets out the first number, for “Now …”: `{number}` in words and `{pieces}` place by place are put in. */
  readonly opening?: string
  /** Some typed moves, as the move line shows them for an example. */
  readonly example: string
  /** Can it hold this problem, in a class with these choices (the usual ones where none are given); if not, why, in words. */
  fits(problem: Problem, choices?: Choices): Fit
  /** Whether it can stand beside a problem that is not worked on it: blocks show what is left of a division. */
  follows?(problem: Problem): boolean
  /** An empty start. `beside` says what it is worked beside, where that makes a difference to writing. */
  start(problem: Problem, choices: Choices, beside?: Beside): State
  apply(state: State, move: Move): State
  /** What it is worth now. */
  shows(state: State): Exact
  /** An act in its own pieces as its moves; [] where it has nothing to do. What may name other pieces goes through `performIn`. */
  perform(state: State, act: Act): readonly Move[]
  /** An act shown at once, where that needs no reading of its own moves: a page can write more than it could read back. */
  write?(state: State, act: Act): State
  /** Why it never shows an act that changes nothing, said quietly; empty where it does. */
  cannotShow?(act: Act): string
  recognise(before: State, moves: readonly Move[]): Recognised
  /** Whether it tells amounts in whatever pieces they come, having none of its own. */
  readonly anyPieces?: boolean
  /** Whether amounts may be set beside in it, to be recut or held against one another. */
  readonly rows?: boolean
  /** In which pieces a problem is told that is worked here, where those are not simply its own. */
  standsIn?(problem: Problem): Units
  /** The move line: `break ten`, `take 7 ones`. */
  print(move: Move): string
  /** The inverse of `print`. */
  parse(text: string): Move
  /** What a watching eye sees in a move that its act does not tell: one thing touched twice, or one missed by the time it is read. */
  noticed?(before: State, move: Move): 'twice' | 'missed' | undefined
  /** How an amount is worked here, digit by digit: the act of each with its rule, its moves, and why it goes so. */
  byDigits?(state: State, act: Act): readonly DigitWorked[]
  /** The digits that are not set, the lowest first, where a number below nought is read by them; null elsewhere. */
  notSet?(state: State): readonly number[] | null
  /** What lies out of the store now, to be counted beforehand; absent where there are no pieces to be had. */
  out?(state: State): readonly OutPieces[]
  /** How things counted one each are worked by hand, where they are. */
  readonly counts?: CountingHands
  /** How a whole column of a sum is worked here at once, where it is; see `ColumnSums`. */
  readonly sums?: ColumnSums<State, Move>
  /** Holds moves made by hand against what is still wanted (`rest`; below nought where it is to be taken away). */
  judge?(before: State, moves: readonly Move[], rest: Exact): Judged
}

/** Pieces of one worth that lie out, or (`thing`) so many of what they lie on: plates, a frame. */
export interface OutPieces extends Pieces {
  readonly thing?: Name
  /** Of a frame: how many rods it must have. */
  readonly rods?: number
}

/** A sum worked column by column, as it is said: `2 + 3 + 7 = 12`, write 2, carry 1 (common practice, no source). */
export interface ColumnSums<State, Move> {
  /** The digits to be added in a column as they stand, the carry mark first; undefined where nothing is to be added there. */
  digits(state: State, place: Place): readonly number[] | undefined
  /** The digits of columns below a place (of all, where none is given) in which only a carry mark is added to what stands. */
  carriedInto(state: State, before?: Place): readonly (readonly number[])[]
  /** A column's joining and its exchange in one go: the digit that stays, and the carry mark. */
  write(state: State, join: AmountAct, exchange: ExchangeAct): readonly Move[]
}

/** One digit worked in a material that works digits by rules. */
export interface DigitWorked {
  readonly act: AmountAct
  readonly moves: readonly unknown[]
  readonly work: DigitWork
}

/** What a representation is begun beside: the way and its sort, the pieces worked in, and the question as it was asked, before the way arranged it. */
export interface Beside {
  readonly sort: Sort
  readonly units?: Units
  readonly way?: string
  readonly asked: Problem
}

/** How a material of things that count one each is worked by hand. */
export interface CountingHands {
  /** Whether the second number is set apart before it is joined, and what the button for that says. */
  readonly apart: string | null
  /** Whether a full set is remembered and begun again. */
  readonly stores: boolean
  /** Whether answer cards are laid to it. */
  readonly cards: boolean
  /** Whether a product may be counted in steps of either number. */
  readonly eitherWay: boolean
}

/** The verbs of one material's hands, and what it is made of. */
export interface HandWords {
  readonly lay: string
  readonly join: string
  readonly take: string
  readonly thing: readonly [string, string]
  /** Whether every move lands somewhere, and that is said: “Hop thirty, to seventy-five.” */
  readonly lands?: boolean
  /** Whether sharing out is the loop of long division, told by its four steps. */
  readonly loop?: boolean
  /** Whether groups are nines on fingers that are folded. */
  readonly folds?: boolean
  /** Whether sharing out is filling one plate after another. */
  readonly fills?: boolean
  /** Whether coins are counted, each told by the total it makes. */
  readonly coins?: boolean
}

export { REPRESENTATION_IDS, type RepresentationId } from '../materials'

/** Any act as moves of a representation, whatever pieces it names; [] where it has nothing to do. @throws Refusal where it cannot be done. */
export function performIn<State, Move>(r: Representation<State, Move>, state: State, act: Act): readonly Move[] {
  if (!r.rows && isAside(act)) return []
  const own = r.write || r.anyPieces ? act : inUnits(act, r.units)
  return own ? r.perform(state, own) : []
}

/** Why a representation never shows an act that changes nothing, said quietly; empty where it does. */
export function notShown(r: Representation, act: Act): string {
  const own = r.cannotShow?.(act) ?? ''
  if (!r.rows && !r.write && isAside(act)) return `Nothing is set beside on ${r.called}: nothing changes there.`
  // A page writes whatever pieces it is begun beside.
  if (own !== '' || r.write || act.kind !== 'exchange' || inUnits(act, r.units)) return own
  return `There are no such pieces among the ${r.title}: nothing changes there.`
}

/** Whether an act concerns only what lies beside. */
export const isAside = (act: Act): boolean =>
  act.kind === 'beside' || act.kind === 'compare' || (act.kind === 'exchange' && act.aside !== undefined)

/** Whether a material can stand beside a problem, worked on it or only in step. */
export const standsBeside = (r: Representation, problem: Problem, choices?: Choices): boolean =>
  r.fits(problem, choices).fits || (r.follows?.(problem) ?? false)

/** In which pieces a problem is told that is worked in a material. */
export const unitsFor = (r: Representation, problem: Problem): Units => r.standsIn?.(problem) ?? r.units

/** A state after all of some moves. */
export const applyAll = <State, Move>(r: Representation<State, Move>, state: State, moves: readonly Move[]): State =>
  moves.reduce((s, m) => r.apply(s, m), state)

/** Acts one after another as moves, each performed where the one before has led. */
export function performAll<State, Move>(
  perform: (state: State, act: Act) => readonly Move[],
  apply: (state: State, move: Move) => State,
  state: State,
  acts: readonly Act[],
): readonly Move[] {
  const moves: Move[] = []
  let now = state
  for (const act of acts) {
    const more = perform(now, act)
    moves.push(...more)
    now = more.reduce(apply, now)
  }
  return moves
}
