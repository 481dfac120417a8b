import type { Act, RewriteAct, Sum } from '../../act/act'
import { compare, exact, sign, sum, toCount, type Exact } from '../../number/exact'
import { printExact } from '../../number/numeral'
import { decimal } from '../../number/units'
import { FITS, type Fit } from '../../problem/fit'
import { placesIn, productOf, topAndBy } from '../../problem/product'
import type { Problem } from '../../problem/problem'
import { Refusal } from '../../refusal'
import type { Recognised, Representation } from '../representation'
import { nothingAfter, numberAt, spanOf, wordsOf } from '../text'

/** The longest side: beyond it the ones could not be seen at scale. */
export const LONGEST = 99

export interface AreaState {
  /** The parts of either side, the greatest first: along the top, and down the side. */
  readonly along: readonly number[]
  readonly down: readonly number[]
  /** The product as it was asked. */
  readonly asked: readonly [number, number]
  /** Whether the lines between tens and ones are drawn. */
  readonly split: boolean
  /** What was written in each part, row by row; the last number stands, those before it are struck. */
  readonly parts: readonly (readonly (readonly number[])[])[]
  readonly read: Exact | null
}

export type AreaMove =
  | { readonly kind: 'split' }
  | { readonly kind: 'part'; readonly down: number; readonly along: number; readonly wrote: number }
  | { readonly kind: 'read'; readonly value: Exact | null }

/** What stands in a part; undefined while it is empty. */
export const standing = (s: AreaState, row: number, column: number): number | undefined => s.parts[row]![column]!.at(-1)

/** Whether a part has its product. */
export const holds = (s: AreaState, row: number, column: number): boolean =>
  standing(s, row, column) === s.down[row]! * s.along[column]!

/** The parts that have their product, added. */
export const shows = (s: AreaState): Exact =>
  sum(s.down.flatMap((d, r) => s.along.map((a, c) => exact(holds(s, r, c) ? d * a : 0))))

function apply(s: AreaState, move: AreaMove): AreaState {
  if (move.kind === 'read') return { ...s, read: move.value }
  if (move.kind === 'split') {
    if (s.along.length + s.down.length === 2) throw new Refusal('There is nothing to part: both sides are one piece.')
    return { ...s, split: true }
  }
  const [row, column] = [s.down.indexOf(move.down), s.along.indexOf(move.along)]
  if (row < 0 || column < 0)
    throw new Refusal(
      `There is no part of ${move.down} by ${move.along}.`,
      `The sides are ${s.down.join(' and ')}, and ${s.along.join(' and ')}.`,
    )
  const written = [...s.parts[row]![column]!, move.wrote]
  const parts = s.parts.map((cells, r) => cells.map((cell, c) => (r === row && c === column ? written : cell)))
  // A number in a part of its own shows that the rectangle is parted.
  return { ...s, parts, split: s.split || s.along.length + s.down.length > 2 }
}

const asSum = (parts: readonly (readonly [number, number])[]): Sum =>
  parts.map(([times, number]) => ({ operation: '+', times: exact(times), number: exact(number) }))

/** The product as all of its parts. */
function parting(s: AreaState): RewriteAct {
  return {
    kind: 'rewrite',
    left: asSum([s.asked]),
    right: asSum(s.down.flatMap((d) => s.along.map((a) => [d, a] as const))),
    rule: 'split-groups',
  }
}

/** The part that is so many times a size, whichever side either is. */
function partOf(s: AreaState, count: Exact, size: Exact): readonly [number, number] | undefined {
  const [a, b] = [toCount(count), toCount(size)]
  if (s.down.includes(a) && s.along.includes(b)) return [a, b]
  return s.down.includes(b) && s.along.includes(a) ? [b, a] : undefined
}

function perform(s: AreaState, act: Act): readonly AreaMove[] {
  switch (act.kind) {
    case 'read':
      return [{ kind: 'read', value: act.value }]
    case 'rewrite':
      return act.rule === 'split-groups' && act.right.length === s.along.length * s.down.length && !s.split
        ? [{ kind: 'split' }]
        : []
    case 'group': {
      const part = sign(act.count) > 0 ? partOf(s, act.count, act.size) : undefined
      if (!part) throw new Refusal(`There is no part of ${printExact(act.count)} by ${printExact(act.size)} here.`)
      const [down, along] = part
      return [{ kind: 'part', down, along, wrote: down * along }]
    }
    case 'begin':
    case 'pose':
    case 'split':
    case 'gather':
    case 'exchange':
    case 'beside':
    case 'compare':
      return []
    default:
      throw new Refusal('The rectangle is filled part by part.')
  }
}

function recognise(before: AreaState, moves: readonly AreaMove[]): Recognised {
  const move = moves.at(-1)
  if (!move) return undefined
  if (move.kind === 'read')
    return moves.length === 1 && move.value !== null ? [{ kind: 'read', value: move.value }] : undefined
  if (move.kind === 'split') return moves.length === 1 ? [parting(before)] : undefined
  // Written again in the same part, it is one thing done.
  if (!moves.every((m) => m.kind === 'part' && m.down === move.down && m.along === move.along)) return undefined
  const [row, column] = [before.down.indexOf(move.down), before.along.indexOf(move.along)]
  const was = holds(before, row, column)
  const now = move.wrote === move.down * move.along
  const act = (count: number): Act => ({ kind: 'group', count: exact(count), size: exact(move.along) })
  const acts = was === now ? [] : [act(now ? move.down : -move.down)]
  if (!now)
    return {
      soFar: acts,
      owed: { kind: 'false-line', left: `${move.down} * ${move.along}`, wrote: String(move.wrote) },
    }
  return acts.length > 0 ? acts : { soFar: [], owed: { kind: 'nothing' } }
}

/** Reads `split`, `part 20 by 30 600`, `read 888`. @throws Refusal at the word. */
function parse(text: string): AreaMove {
  const words = wordsOf(text)
  const [verb, ...rest] = words
  const only = (n: number): void => nothingAfter(words, n)
  switch (verb?.text) {
    case 'split':
      only(1)
      return { kind: 'split' }
    case 'unread':
      only(1)
      return { kind: 'read', value: null }
    case 'read':
      only(2)
      return { kind: 'read', value: numberAt(rest[0], text) as Exact }
    case 'part': {
      const numbers = rest.filter((w) => !['by', 'is', '='].includes(w.text))
      nothingAfter(numbers, 3)
      const [down, along, wrote] = [0, 1, 2].map((i) => Number(numberAt(numbers[i], text))) as [number, number, number]
      return { kind: 'part', down, along, wrote }
    }
  }
  throw new Refusal(
    verb ? `The rectangle has no move “${verb.text}”.` : 'There is no move yet.',
    'It knows split, part and read. Like: part 20 by 30 is 600.',
    verb && spanOf(verb),
  )
}

function fits(problem: Problem): Fit {
  const no = (why: string): Fit => ({ fits: false, why, instead: ['product'] })
  const of = productOf(problem)
  if (!of) return no('A rectangle shows a product of two whole numbers from one up.')
  if ([of.count, of.size].some((n) => compare(n, exact(LONGEST)) > 0))
    return no(`The sides of the rectangle are ${LONGEST} at the most; longer ones would hide the ones.`)
  return FITS
}

/** A product as a rectangle split at the tens, at scale (practice, section 13; common practice, no source). */
export const area: Representation<AreaState, AreaMove> = {
  id: 'area',
  title: 'split rectangle',
  called: 'the split rectangle',
  kind: 'drawn',
  units: decimal(4),
  sorts: ['products'],
  prefers: ['by-parts'],
  example: 'split · part 20 by 30 is 600 · read 888',
  opening: 'part the rectangle at the tens first',
  fits,
  start: (problem) => {
    const of = productOf(problem) ?? { count: exact(1), size: exact(1) }
    const { top, by } = topAndBy(of)
    const [along, down] = [top, by].map((n) => [...placesIn(n)].reverse().map(toCount)) as [number[], number[]]
    const asked = [toCount(of.count), toCount(of.size)] as const
    return { along, down, asked, split: false, parts: down.map(() => along.map(() => [])), read: null }
  },
  apply,
  shows,
  perform,
  recognise,
  print: (move) => {
    if (move.kind === 'part') return `part ${move.down} by ${move.along} is ${move.wrote}`
    if (move.kind === 'split') return 'split'
    return move.value === null ? 'unread' : `read ${printExact(move.value)}`
  },
  parse,
}
