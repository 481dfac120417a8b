import { add, divide, exact, multiply, negate, subtract, ZERO, type Exact } from '../number/exact'
import { relationOf, type Relation } from '../number/fractions'
import { parseNumeral, printExact, valueOf } from '../number/numeral'
import { placeOfUnit, unitOf, worth, type Counts } from '../number/places'
import { has, samePieces, worthOf, type Pieces, type Rung, type Units } from '../number/units'
import { Refusal } from '../refusal'
import type { Sign } from '../problem/problem'
import type { BeadRule } from './beads'

/**
 * What a change means in arithmetic, whoever made it and in whatever material. Plain JSON; amounts are Exact.
 * - `lay`: the number set out first.
 * - `pose`: the next number of a chain is asked or set beside, not yet joined or taken; it changes nothing.
 * - `join`, `take`: an amount comes to, or goes from, what is there. With `pieces` it is just these pieces; without, the number
 *   whole, and a material with places makes the exchanges that it needs.
 * - `begin`: a count is begun `from` a number in equal steps; it changes nothing. With `to`, what is wanted is how many steps
 *   lead there (14 − 8 counted up from 8; 12 ÷ 4 in fours), and every step counts one. With `times`, what is wanted is where
 *   so many steps lead (3 × 4 in fours), and every step counts its size.
 * - `count`: one step more, or one fewer, with the number said for it.
 * - `group`: so many groups of a size come (or go, where the count is negative) at once.
 * - `split`: a number is parted (46 = 1 + 45), and `gather`: parts are put together again; both change nothing.
 * - `exchange`: pieces for others of the same worth, of any number of kinds on either side; also for none, where what comes or goes
 *   is worth nothing together.
 * - `share`: to each of so many the same pieces are dealt, which so go from what is there.
 * - `rewrite`: what is asked is written another way, or a part of the working is written aside; both sides are worth the same, and
 *   nothing changes.
 * - `beside`: a further amount is set beside, to be held against what is there; `row` 1 is the first of them. It changes nothing.
 * - `compare`: amounts are said to be less, equal or more, one after another; it changes nothing, and may be mistaken.
 * - `read`: what is there is read as a number (which may be misread); of a sharing, how many each has, and what is left over.
 *
 * `parts` are smaller acts that together are this one; their changes add up to its change.
 */
export type Act =
  | {
      readonly kind: 'lay' | 'join' | 'take'
      readonly amount: Exact
      /** The number is only held in the head, to be counted on or back from. */
      readonly inHead?: boolean
      readonly pieces?: readonly Pieces[]
      /** The numbers said while it was counted out, one touch each, where it was. */
      readonly said?: readonly Exact[]
      /** Of one digit on beads: by which rule they allow it. */
      readonly rule?: BeadRule
      readonly parts?: readonly Act[]
    }
  | {
      readonly kind: 'pose'
      readonly operation: Sign
      readonly amount: Exact
      /** What it is set beside in, where its very pieces matter: 4/8 is no half. */
      readonly pieces?: readonly Pieces[]
      /** What is still owed of the number before is left as it is. */
      readonly leaves?: boolean
    }
  | BeginAct
  | { readonly kind: 'count'; readonly by: Exact; readonly word: Exact }
  | {
      readonly kind: 'group'
      readonly count: Exact
      readonly size: Exact
      /** What one group is made of, where its very pieces matter. */
      readonly pieces?: readonly Pieces[]
    }
  | BesideAct
  | CompareAct
  | { readonly kind: 'split' | 'gather'; readonly whole: Exact; readonly parts: readonly Exact[] }
  | ExchangeAct
  | ShareAct
  | RewriteAct
  | {
      readonly kind: 'read'
      readonly value: Exact
      /** What is left over of a sharing, where something was said of it. */
      readonly remainder?: Exact
      /** How the number was written, where that is what was asked: `8/12` for two thirds. */
      readonly as?: string
      /** Everything there is counted, from one, before it is read. */
      readonly counted?: boolean
    }

/** Pieces given for others of the same worth; the greatest first on either side. */
export interface ExchangeAct {
  readonly kind: 'exchange'
  readonly from: readonly Pieces[]
  readonly to: readonly Pieces[]
  /** What is exchanged, where it is not what stands there: 0 the number that is posed, from 1 on what lies beside. */
  readonly aside?: number
}

export interface BesideAct {
  readonly kind: 'beside'
  readonly amount: Exact
  readonly pieces?: readonly Pieces[]
  readonly row: number
}

/** Numbers as they are written, and how each stands to the next: `5/8 > 4/8`. */
export interface CompareAct {
  readonly kind: 'compare'
  readonly numbers: readonly string[]
  readonly relations: readonly Relation[]
}

/** A comparison in plain text: `5/8 < 2/3 < 3/4`. */
export const printComparison = ({ numbers, relations }: Omit<CompareAct, 'kind'>): string =>
  numbers.map((n, i) => (i === 0 ? n : `${relations[i - 1]} ${n}`)).join(' ')

/** Whether a comparison holds. */
export const holds = ({ numbers, relations }: Omit<CompareAct, 'kind'>): boolean => {
  const values = numbers.map((n) => valueOf(parseNumeral(n)))
  return relations.every((relation, i) => relationOf(values[i]!, values[i + 1]!) === relation)
}

/** The same pieces dealt to each of `among`, a whole number from 1 up. */
export interface ShareAct {
  readonly kind: 'share'
  readonly each: readonly Pieces[]
  readonly among: Exact
}

/** Numbers one after another as a line has them, each with the operation before it; the first with `+`. */
export type Sum = readonly {
  readonly operation: Sign
  readonly number: Exact
  /** How many times the number is meant: `5 * 8`. */
  readonly times?: Exact
}[]

/**
 * By which rule something is written another way: taking away is adding the opposite; numbers change places; sizes are added, or the
 * smaller is taken from the greater (practice, section 10); of nine times a number, the tens are one less than it, and the ones what they
 * lack to nine; rows and columns of an array change places (`turn`), or a product is parted into easier ones (`split-groups`; practice,
 * section 13; common practice, no source).
 */
export type RewriteRule =
  'opposite' | 'commute' | 'same-signs' | 'different-signs' | 'one-less' | 'to-nine' | 'turn' | 'split-groups'

export interface RewriteAct {
  readonly kind: 'rewrite'
  readonly left: Sum
  readonly right: Sum
  readonly rule: RewriteRule
}

/** A sum in plain ASCII arithmetic: `-14 + 50`, `8 - -4`. */
export const printSum = (sum: Sum): string =>
  sum
    .map(({ operation, number, times }, i) => {
      const text = times === undefined ? printExact(number) : `${printExact(times)} * ${printExact(number)}`
      return i === 0 ? text : `${operation} ${text}`
    })
    .join(' ')

/** A count begun in equal steps; just one of `to` and `times` is not null. */
export interface BeginAct {
  readonly kind: 'begin'
  readonly from: Exact
  readonly step: Exact
  readonly to: Exact | null
  readonly times: Exact | null
}

export type AmountAct = Extract<Act, { kind: 'lay' | 'join' | 'take' }>

/** How much an act changes the quantity shown. */
export function change(act: Act): Exact {
  switch (act.kind) {
    case 'lay':
    case 'join':
      return act.amount
    case 'take':
      return negate(act.amount)
    case 'count':
      return act.by
    case 'group':
      return multiply(act.count, act.size)
    case 'share':
      return negate(multiply(act.among, worthOf(act.each)))
    case 'begin':
    case 'pose':
    case 'split':
    case 'gather':
    case 'exchange':
    case 'rewrite':
    case 'beside':
    case 'compare':
    case 'read':
      return ZERO
  }
}

/** The value after an act. */
export const after = (value: Exact, act: Act): Exact => add(value, change(act))

/** Counts in places as pieces, greatest first; empty places are left out. */
export const piecesOf = (counts: Counts, decimals = 0): readonly Pieces[] =>
  counts.flatMap((count, i) => (count ? [{ count, unit: unitOf(i - decimals) }] : [])).reverse()

/** Pieces as counts in places. @throws Refusal for pieces whose worth is no power of ten, or lies below the lowest place. */
export function countsOf(pieces: readonly Pieces[], width: number, decimals = 0): Counts {
  const counts = new Array<number>(width).fill(0)
  for (const { count, unit } of pieces) {
    const power = placeOfUnit(unit)
    const place = power === undefined ? -1 : power + decimals
    if (place < 0) throw new Refusal(`There is no place here for what is worth ${printExact(unit)}.`)
    while (counts.length <= place) counts.push(0)
    counts[place] = (counts[place] ?? 0) + count
  }
  return counts
}

/** An act of laying, joining or taking counts in places. */
export const amountAct = (kind: AmountAct['kind'], counts: Counts, decimals = 0): AmountAct => ({
  kind,
  amount: worth(counts, decimals),
  pieces: piecesOf(counts, decimals),
})

/** An act of laying, joining or taking just these pieces. */
export const piecesAct = (kind: AmountAct['kind'], pieces: readonly Pieces[]): AmountAct => ({
  kind,
  amount: worthOf(pieces),
  pieces,
})

/** One of the higher place for ten of the next lower, or (`making`) ten of the lower for one of the higher. */
export function exchangeAct(higher: number, making: boolean, times = 1): ExchangeAct {
  const rung = { unit: unitOf(higher), lower: unitOf(higher - 1), times: 10 }
  return making ? makeAct(rung, times) : breakAct(rung, times)
}

/** `times` of a kind given for what they are worth in the next lower. */
export const breakAct = ({ unit, lower, times: each }: Rung, times = 1): ExchangeAct => ({
  kind: 'exchange',
  from: [{ count: times, unit }],
  to: [{ count: each * times, unit: lower }],
})

/** What `times` of a kind are worth in the next lower, given for them. */
export const makeAct = (rung: Rung, times = 1): ExchangeAct => {
  const { from, to } = breakAct(rung, times)
  return { kind: 'exchange', from: to, to: from }
}

const counted = (pieces: readonly Pieces[]): number => pieces.reduce((n, p) => n + Math.abs(p.count), 0)

/** Whether two exchanges give the same pieces for the same. */
export const sameExchange = (a: ExchangeAct, b: ExchangeAct): boolean =>
  a.aside === b.aside && samePieces(a.from, b.from) && samePieces(a.to, b.to)

/** Whether an exchange makes fewer pieces of more. */
export const isMaking = ({ from, to }: ExchangeAct): boolean => counted(from) > counted(to)

/**
 * An act in the pieces of one material: where it names others, an amount is the number worked whole, and an exchange is nothing that
 * this material could show (undefined). This is the one place in which acts are translated between units.
 */
export function inUnits(act: Act, units: Units): Act | undefined {
  if (act.kind === 'exchange') return has(units, act.from) && has(units, act.to) ? act : undefined
  if (act.kind === 'share') return has(units, act.each) ? act : { kind: 'take', amount: negate(change(act)) }
  if (!('pieces' in act) || !act.pieces || has(units, act.pieces)) return act
  const { pieces: _, ...whole } = act
  return whole
}

/** What all the steps of a begun count come to: where they lead, or how many they are. @throws Refusal where it comes out uneven. */
export function goalOf(begun: BeginAct): Exact {
  if (begun.times !== null) return add(begun.from, multiply(begun.times, begun.step))
  return divide(subtract(begun.to ?? begun.from, begun.from), begun.step)
}

/** What one step of a begun count is worth. */
export const stepWorth = (begun: BeginAct): Exact => (begun.to === null ? begun.step : exact(1))

/** The next number said, when so much has been counted. */
export const wordAt = (begun: BeginAct, counted: Exact): Exact =>
  add(begun.from, multiply(begun.step, add(divide(counted, stepWorth(begun)), exact(1))))

/** The pieces an act names, where all of them came or all went; undefined where it names none, or some came as others went. */
export const plainPieces = (act: AmountAct): readonly Pieces[] | undefined =>
  act.pieces?.every((p) => p.count > 0) ? act.pieces : undefined
