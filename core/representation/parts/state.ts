import type { CompareAct } from '../../act/act'
import { sign, sizeOf, ZERO, type Exact } from '../../number/exact'
import { valueOf, type Numeral } from '../../number/numeral'
import {
  HUNDREDTHS,
  opposite,
  PARTS,
  piecesFor,
  piecesOfNumeral,
  worthOf,
  type Pieces,
  type Units,
} from '../../number/units'
import { totals, writesFractions, type Problem, type Sign } from '../../problem/problem'

/** As many pieces as lie in one row, and as many rows beside. */
export const MOST_PIECES = 400
export const MOST_BESIDE = 4

/** How long the whole is from which everything on a mat is cut. */
export const WHOLES = ['short', 'middle', 'long'] as const
export type WholeLength = (typeof WHOLES)[number]

/** A number that has been asked and lies beside, to be put in or as the measure of what is to be taken. */
export interface Posed {
  readonly sign: Sign
  readonly pieces: readonly Pieces[]
}

/** Wholes and equal parts of them, in one row or in several. Kinds are kept the greatest first, as `addPieces` has them. */
export interface PartsState {
  /** In which pieces numbers are told here: fractions, or tenths and hundredths. */
  readonly units: Units
  readonly whole: WholeLength
  /** The numbers of the chain after the first, and how many of them have been asked. */
  readonly asked: readonly Posed[]
  readonly turn: number
  /** What the chain comes to after each of its numbers. */
  readonly reached: readonly Exact[]
  /** Of a part that is repeated: what it is made of, once. */
  readonly each: readonly Pieces[] | null
  readonly lies: readonly Pieces[]
  /** How high it reached with each number that was put in: where one pouring ends, and the next begins. */
  readonly levels: readonly Exact[]
  readonly posed: Posed | null
  /** What lies in further rows, to be held against the first. */
  readonly others: readonly (readonly Pieces[])[]
  readonly taken: readonly Pieces[]
  readonly compared: Omit<CompareAct, 'kind'> | null
  readonly read: { readonly value: Exact; readonly as: string } | null
}

/** Where a row is: what lies there, the number beside it, or a further row numbered from 1. */
export type Row = 'main' | 'posed' | number

export type PartsMove =
  /** Between the store and the row; from the row to the tray and back. */
  | { readonly kind: 'lay' | 'return' | 'take' | 'give'; readonly pieces: readonly Pieces[] }
  /** The next number is set beside, or put back into the store. */
  | { readonly kind: 'set' | 'unset'; readonly pieces: readonly Pieces[] }
  /** What lies beside is pushed to what is there, all of it where no pieces are named; or it is put away and left. */
  | { readonly kind: 'push'; readonly pieces: readonly Pieces[] }
  | { readonly kind: 'drop' }
  /** Cut anew: pieces for others that are as long. */
  | { readonly kind: 'recut'; readonly from: readonly Pieces[]; readonly to: readonly Pieces[]; readonly row: Row }
  | { readonly kind: 'beside'; readonly pieces: readonly Pieces[]; readonly row: number }
  | { readonly kind: 'compare'; readonly numbers: CompareAct['numbers']; readonly relations: CompareAct['relations'] }
  | { readonly kind: 'whole'; readonly length: WholeLength }
  | { readonly kind: 'read'; readonly value: Exact | null; readonly as: string }

/** In which pieces a problem is told: as fractions, or where it has none as tenths and hundredths. */
export const standsIn = (problem: Problem): Units => (writesFractions(problem) ? PARTS : HUNDREDTHS)

/** A number in parts, as it is written; a number below nought as so many pieces to be taken. */
export function partsOf(number: Numeral, units: Units): readonly Pieces[] {
  const value = valueOf(number)
  const pieces = piecesOfNumeral({ ...number, negative: false }, sizeOf(value), units) ?? []
  return sign(value) < 0 ? opposite(pieces) : pieces
}

/** A value in as few kinds of parts as can be. */
export const asParts = (value: Exact, units: Units): readonly Pieces[] =>
  piecesFor(value, units) ?? piecesFor(value, PARTS) ?? []

export const shows = ({ lies }: PartsState): Exact => worthOf(lies)

export function begin(problem: Problem): PartsState {
  const units = standsIn(problem)
  const [term] = problem.terms
  const product = term?.operation === '*'
  return {
    units,
    whole: 'long',
    asked: product
      ? []
      : problem.terms.map((t) => ({ sign: t.operation === '-' ? '-' : '+', pieces: partsOf(t.number, units) })),
    turn: 0,
    reached: product ? [] : totals(problem),
    each: product ? partsOf(term.number, units) : null,
    lies: [],
    levels: [],
    posed: null,
    others: [],
    taken: [],
    compared: null,
    read: null,
  }
}

/** The next number, where all before it is done and it goes this way: it may be begun without having been set beside. */
export function nextOf(s: PartsState, operation: Sign): Posed | undefined {
  const next = s.asked[s.turn]
  return !s.posed && next?.sign === operation && shows(s) === s.reached[s.turn] ? next : undefined
}

/** What lies in a row. */
export function inRow(s: PartsState, row: Row): readonly Pieces[] {
  if (row === 'main') return s.lies
  return row === 'posed' ? (s.posed?.pieces ?? []) : (s.others[row - 1] ?? [])
}

/** How many pieces there are. */
export const countAll = (pieces: readonly Pieces[]): number => pieces.reduce((n, p) => n + Math.abs(p.count), 0)

/** How many of a part are as long as some pieces; undefined where none are just as long. */
export function lengthIn(value: Exact, parts: number): number | undefined {
  const [top, bottom = '1'] = value.split('/')
  const scaled = (BigInt(top!) * BigInt(parts)) / BigInt(bottom)
  return scaled * BigInt(bottom) === BigInt(top!) * BigInt(parts) ? Number(scaled) : undefined
}

/** Everything else that has the length of a value, of the store's parts and a problem's own. */
export const namesOf = (
  value: Exact,
  among: readonly number[],
): readonly { readonly count: number; readonly of: number }[] =>
  value === ZERO
    ? []
    : among.flatMap((of) => {
        const count = lengthIn(value, of)
        return count === undefined ? [] : [{ count, of }]
      })
