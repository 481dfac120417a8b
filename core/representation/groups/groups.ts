import type { Act, Sum } from '../../act/act'
import {
  add,
  exact,
  isWhole,
  multiply,
  negate,
  sign,
  sum,
  timesIn,
  toCount,
  ZERO,
  type Exact,
} from '../../number/exact'
import { printExact, valueOf } from '../../number/numeral'
import { ones } from '../../number/units'
import { FITS, type Fit } from '../../problem/fit'
import { productOf } from '../../problem/product'
import type { Problem } from '../../problem/problem'
import { Refusal } from '../../refusal'
import type { Recognised, Representation } from '../representation'
import { nothingAfter, numberAt, spanOf, wordsOf } from '../text'

/** The most groups that are seen at once, and the largest; beyond a dozen in each, they are bars. */
export const MOST_GROUPS = 12
export const DOTTED = 12
export const LARGEST = 100

export const SHAPES = ['rings', 'array', 'bars'] as const
export type Shape = (typeof SHAPES)[number]

export interface GroupsState {
  /** How many groups are asked for, and how many are in each. */
  readonly count: number
  readonly size: number
  /** How many lie in each group that has been made. */
  readonly groups: readonly number[]
  /** After so many groups they are split into two easier parts; nowhere, where null. */
  readonly split: number | null
  /** How they lie: in rings, in the rows of an array, or as bars. */
  readonly shape: Shape
  readonly read: Exact | null
}

export type GroupsMove =
  /** Groups of a size, one after another; or just one where no number is said. */
  | { readonly kind: 'make'; readonly count: number; readonly size: number | null; readonly atOnce: boolean }
  /** The last group goes back. */
  | { readonly kind: 'back' }
  | { readonly kind: 'split'; readonly after: number }
  /** Rows and columns change places. */
  | { readonly kind: 'turn' }
  | { readonly kind: 'as'; readonly shape: Shape }
  | { readonly kind: 'read'; readonly value: Exact | null }

export const shows = (s: GroupsState): Exact => sum(s.groups.map((n) => exact(n)))

function apply(s: GroupsState, move: GroupsMove): GroupsState {
  switch (move.kind) {
    case 'read':
      return { ...s, read: move.value }
    case 'as':
      if (move.shape !== 'bars' && s.size > DOTTED)
        throw new Refusal(`${s.size} in each are too many to be told apart; they lie as bars.`)
      return { ...s, shape: move.shape }
    case 'back':
      if (s.groups.length === 0) throw new Refusal('There is no group to take back.')
      return { ...s, groups: s.groups.slice(0, -1) }
    case 'make': {
      const size = move.size ?? s.size
      if (size < 1 || size > LARGEST) throw new Refusal(`A group has 1 to ${LARGEST} here.`)
      if (s.groups.length + move.count > MOST_GROUPS + 3)
        throw new Refusal(`There is room for ${MOST_GROUPS + 3} groups.`, 'Take one back, or read what is there.')
      return { ...s, groups: [...s.groups, ...new Array<number>(move.count).fill(size)] }
    }
    case 'split':
      if (move.after < 1 || move.after >= s.count)
        throw new Refusal(`${s.count} groups are split after 1 to ${s.count - 1} of them.`)
      return { ...s, split: move.after }
    case 'turn': {
      const whole = s.groups.length === s.count && s.groups.every((n) => n === s.size)
      if (s.groups.length > 0 && !whole)
        throw new Refusal('It is turned when it is whole, or before anything lies there.')
      if (s.size > MOST_GROUPS) throw new Refusal(`${s.size} groups are too many to see at once.`)
      const groups = s.groups.length > 0 ? new Array<number>(s.size).fill(s.count) : []
      return { ...s, count: s.size, size: s.count, groups, split: null }
    }
  }
}

const asSum = (...parts: readonly (readonly [number, number])[]): Sum =>
  parts.map(([times, number]) => ({ operation: '+', times: exact(times), number: exact(number) }))

/** So many groups of a size as moves; a size that would be no group here is refused. */
function make(s: GroupsState, count: number, size: Exact, atOnce: boolean): readonly GroupsMove[] {
  if (!isWhole(size) || sign(size) <= 0) throw new Refusal(`${printExact(size)} is no group of things.`)
  const n = toCount(size)
  const move: GroupsMove = { kind: 'make', count, size: n === s.size ? null : n, atOnce }
  apply(s, move)
  return [move]
}

/** The last groups go back, if they are just what is to go. */
function unmake(s: GroupsState, count: number, size: Exact): readonly GroupsMove[] {
  const last = s.groups.slice(-count)
  if (last.length < count || last.some((n) => exact(n) !== size))
    throw new Refusal('Whole groups go back, the last one first.')
  return last.map(() => ({ kind: 'back' }))
}

function perform(s: GroupsState, act: Act): readonly GroupsMove[] {
  switch (act.kind) {
    case 'read':
      return [{ kind: 'read', value: act.value }]
    case 'count':
      return sign(act.by) < 0 ? unmake(s, 1, negate(act.by)) : make(s, 1, act.by, false)
    case 'group':
      if (sign(act.count) < 0) return unmake(s, toCount(negate(act.count)), act.size)
      return make(s, toCount(act.count), act.size, true)
    case 'join':
    case 'lay': {
      if (act.amount === ZERO) return []
      const { times, rest } = timesIn(act.amount, exact(s.size))
      return rest === ZERO ? make(s, times, exact(s.size), true) : make(s, 1, act.amount, true)
    }
    case 'take': {
      const { times, rest } = timesIn(act.amount, exact(s.size))
      if (rest !== ZERO) throw new Refusal('Whole groups go back, the last one first.')
      return unmake(s, times, exact(s.size))
    }
    case 'share':
      throw new Refusal('Groups are put together here; nothing is shared out of them.')
    case 'rewrite': {
      const [first, second, more] = act.right
      const move: GroupsMove | undefined =
        act.rule === 'turn'
          ? { kind: 'turn' }
          : act.rule === 'split-groups' &&
              second &&
              !more &&
              first!.number === exact(s.size) &&
              second.number === first!.number
            ? { kind: 'split', after: toCount(first!.times ?? exact(1)) }
            : undefined
      if (!move) return []
      apply(s, move)
      return [move]
    }
    default:
      return []
  }
}

function recognise(before: GroupsState, moves: readonly GroupsMove[]): Recognised {
  const [move, more] = moves
  if (!move) return undefined
  // How groups lie counts for nothing; it may go before whatever is done then.
  if (move.kind === 'as')
    return more ? recognise(apply(before, move), moves.slice(1)) : { soFar: [], owed: { kind: 'nothing' } }
  const now = shows(before)
  const size = exact(move.kind === 'make' ? (move.size ?? before.size) : (before.groups.at(-1) ?? before.size))
  if (more) {
    // Groups made one by one, and taken back, are each a step of their own.
    return undefined
  }
  switch (move.kind) {
    case 'read':
      return move.value === null ? undefined : [{ kind: 'read', value: move.value }]
    case 'back':
      return [{ kind: 'count', by: negate(size), word: add(now, negate(size)) }]
    case 'make':
      return move.atOnce
        ? [{ kind: 'group', count: exact(move.count), size }]
        : Array.from({ length: move.count }, (_, i): Act => {
            const word = add(now, multiply(size, exact(i + 1)))
            return { kind: 'count', by: size, word }
          })
    case 'turn':
      return [
        {
          kind: 'rewrite',
          left: asSum([before.count, before.size]),
          right: asSum([before.size, before.count]),
          rule: 'turn',
        },
      ]
    case 'split':
      return [
        {
          kind: 'rewrite',
          left: asSum([before.count, before.size]),
          right: asSum([move.after, before.size], [before.count - move.after, before.size]),
          rule: 'split-groups',
        },
      ]
  }
}

function print(move: GroupsMove): string {
  switch (move.kind) {
    case 'read':
      return move.value === null ? 'unread' : `read ${printExact(move.value)}`
    case 'make':
      return `${move.atOnce ? 'part' : 'group'} ${move.count}${move.size === null ? '' : ` of ${move.size}`}`
    case 'split':
      return `split after ${move.after}`
    case 'as':
      return `as ${move.shape}`
    default:
      return move.kind
  }
}

/** Reads `group 1`, `group 1 of 7`, `part 5`, `back`, `split after 5`, `turn`, `as array`, `read 56`. @throws Refusal at the word. */
function parse(text: string): GroupsMove {
  const words = wordsOf(text)
  const [verb, first, second] = words
  const only = (n: number): void => nothingAfter(words, n)
  switch (verb?.text) {
    case 'unread':
      only(1)
      return { kind: 'read', value: null }
    case 'read':
      only(2)
      return { kind: 'read', value: numberAt(first, text) as Exact }
    case 'back':
    case 'turn':
      only(1)
      return { kind: verb.text }
    case 'split':
      only(3)
      return { kind: 'split', after: Number(numberAt(first?.text === 'after' ? second : first, text)) }
    case 'as': {
      only(2)
      const shape = SHAPES.find((s) => s === first?.text)
      if (!shape) throw new Refusal(`Groups lie as ${SHAPES.join(', ')}.`, '', first && spanOf(first))
      return { kind: 'as', shape }
    }
    case 'group':
    case 'part': {
      const count = first ? Number(numberAt(first, text)) : 1
      if (count < 1 || count > MOST_GROUPS)
        throw new Refusal(`1 to ${MOST_GROUPS} groups are made at once.`, '', first && spanOf(first))
      const atOnce = verb.text === 'part'
      if (words.length <= 2) return { kind: 'make', count, size: null, atOnce }
      if (second!.text !== 'of') throw new Refusal('Say of how many.', 'Like: group 1 of 7.', spanOf(second!))
      only(4)
      return { kind: 'make', count, size: Number(numberAt(words[3], text)), atOnce }
    }
  }
  throw new Refusal(
    verb ? `Groups have no move “${verb.text}”.` : 'There is no move yet.',
    'They know group, part, back, split, turn, as and read.',
    verb && spanOf(verb),
  )
}

function fits(problem: Problem): Fit {
  const no = (why: string, instead: Extract<Fit, { fits: false }>['instead']): Fit => ({ fits: false, why, instead })
  const of = productOf(problem)
  const [term] = problem.terms
  if (problem.terms.length !== 1 || term!.operation !== '*' || problem.groups)
    return no('Equal groups show a product: so many times as many.', ['blocks', 'plates'])
  if (!of) return no('Groups are so many whole things, from one up.', ['strips'])
  if (toCount(of.count) > MOST_GROUPS || toCount(of.size) > LARGEST)
    return no(
      `${printExact(of.count)} groups of ${printExact(valueOf(term!.number))} are too many to see at once: ${MOST_GROUPS} groups of up to ${LARGEST} are.`,
      ['area', 'product'],
    )
  return FITS
}

/** Equal groups in rings, in the rows of an array, or as bars (practice, section 13; common practice, no source). */
export const groups: Representation<GroupsState, GroupsMove> = {
  id: 'groups',
  title: 'equal groups',
  called: 'equal groups',
  kind: 'concrete',
  units: ones(['one', 'ones']),
  sorts: ['groups'],
  example: 'group 1 · split after 5 · part 5 · read 56',
  opening: 'make the first group',
  fits,
  start: (problem, _choices, beside) => {
    const of = productOf(problem) ?? { count: exact(1), size: exact(1) }
    const size = Math.min(LARGEST, toCount(of.size))
    const shape: Shape = size > DOTTED ? 'bars' : beside?.way === 'split-groups' ? 'array' : 'rings'
    return { count: toCount(of.count), size, groups: [], split: null, shape, read: null }
  },
  apply,
  shows,
  out: ({ groups }) => [{ count: groups.reduce((a, b) => a + b, 0), unit: exact(1), thing: ['counter', 'counters'] }],
  perform,
  recognise,
  print,
  parse,
}
