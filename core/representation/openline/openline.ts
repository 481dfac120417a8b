import { change, type Act, type BeginAct } from '../../act/act'
import { negate, sign, sum, ZERO, type Exact } from '../../number/exact'
import { MAX_DIGITS, printExact } from '../../number/numeral'
import { decimal } from '../../number/units'
import { fitWholes } from '../../problem/fit'
import { productOf } from '../../problem/product'
import { Refusal } from '../../refusal'
import { isWay, landingsFrom, movedBy, notAlong, wayUp } from '../along'
import type { Recognised, Representation } from '../representation'
import { decimalAt, signedAt, spanOf, wordsOf } from '../text'

/**
 * An empty number line: a starting point and hops, forward or back; every landing is written. When a difference is hopped
 * up (`begun`), what counts is how far one has come, not where one is.
 */
export interface OpenLineState {
  readonly start: Exact | null
  readonly begun: BeginAct | null
  readonly hops: readonly Exact[]
  readonly read: Exact | null
}

export type OpenLineMove =
  | { readonly kind: 'start'; readonly at: Exact }
  /** A way to hop from one number to another, where the hops are what is wanted. */
  | { readonly kind: 'way'; readonly from: Exact; readonly to: Exact }
  | { readonly kind: 'hop'; readonly by: Exact }
  | { readonly kind: 'read'; readonly value: Exact | null }

/** More hops than any problem here needs. */
export const MOST_HOPS = 200

/** Where one stands, and every landing on the way there. */
export const landings = (s: OpenLineState): readonly Exact[] => {
  const from = s.start ?? s.begun?.from
  if (from === undefined) return []
  return landingsFrom(from, s.hops)
}

const empty = (s: OpenLineState): boolean => s.start === null && s.begun === null

function apply(s: OpenLineState, move: OpenLineMove): OpenLineState {
  switch (move.kind) {
    case 'read':
      return { ...s, read: move.value }
    case 'start':
      if (!empty(s)) throw new Refusal('The line has its starting point already.', 'Hop on from it, or undo.')
      return { ...s, start: move.at }
    case 'way':
      if (!empty(s)) throw new Refusal('The line has its starting point already.', 'Hop on from it, or undo.')
      return { ...s, begun: wayUp(move.from, move.to) }
    case 'hop': {
      const here = landings(s).at(-1)
      if (here === undefined) throw new Refusal('There is no starting point yet.', 'Set one first: start 37.')
      if (s.hops.length >= MOST_HOPS) throw new Refusal(`There is no room for more than ${MOST_HOPS} hops.`)
      return { ...s, hops: [...s.hops, move.by] }
    }
  }
}

/** What the line shows: where one is, or how far one has come. */
export const shows = (s: OpenLineState): Exact => (s.begun ? sum(s.hops) : (landings(s).at(-1) ?? ZERO))

function perform(s: OpenLineState, act: Act): readonly OpenLineMove[] {
  switch (act.kind) {
    case 'lay':
      return [{ kind: 'start', at: act.amount }]
    case 'begin':
      // Where a count in steps leads is a landing; how many steps lead to a number is another question, and shows as nothing here.
      if (act.times !== null) return [{ kind: 'start', at: act.from }]
      if (!isWay(act)) throw new Refusal('The line shows where steps lead, not how many lead to a number.')
      return [{ kind: 'way', from: act.from, to: act.to }]
    case 'join':
    case 'take':
    case 'count':
    case 'group':
    case 'share': {
      const by = change(act)
      if (by === ZERO) return []
      // Hopping from a nought that was never set: the line begins there.
      const first: readonly OpenLineMove[] = empty(s) ? [{ kind: 'start', at: ZERO }] : []
      return [...first, { kind: 'hop', by }]
    }
    case 'read':
      return [{ kind: 'read', value: act.value }]
    case 'pose':
    case 'split':
    case 'gather':
    case 'rewrite':
    case 'beside':
    case 'compare':
    case 'exchange':
      return []
  }
}

function recognise(before: OpenLineState, moves: readonly OpenLineMove[]): Recognised {
  const [move] = moves
  if (!move) return undefined
  if (moves.every((m) => m.kind === 'hop')) {
    // Hops the same way are one thing done: ten and ten are twenty.
    const signs = new Set(moves.map((m) => sign(m.by)))
    const by = sum(moves.map((m) => m.by))
    if (signs.size > 1) return undefined
    return [movedBy(by)]
  }
  if (moves.length > 1) return undefined
  if (move.kind === 'start') return [{ kind: 'lay', amount: move.at }]
  if (move.kind === 'way') return [apply(before, move).begun!]
  return move.kind === 'read' && move.value !== null ? [{ kind: 'read', value: move.value }] : undefined
}

function print(move: OpenLineMove): string {
  switch (move.kind) {
    case 'start':
      return `start ${printExact(move.at)}`
    case 'way':
      return `way ${printExact(move.from)} to ${printExact(move.to)}`
    case 'hop':
      return `hop ${sign(move.by) < 0 ? '-' : '+'}${printExact(sign(move.by) < 0 ? negate(move.by) : move.by)}`
    case 'read':
      return move.value === null ? 'unread' : `read ${printExact(move.value)}`
  }
}

/** Reads `start 37`, `hop +10`, `hop -3`, `way 37 to 52`, `read 82`. @throws Refusal with the place in the text. */
function parse(text: string): OpenLineMove {
  const words = wordsOf(text.replaceAll('−', '-'))
  const [verb, first] = words
  const most = (n: number): void => {
    if (words[n]) throw new Refusal(`“${words[n]!.text}” is one word too many.`, '', spanOf(words[n]!))
  }
  if (!verb) throw new Refusal('There is no move yet.', 'Type one, like: hop +10.', { at: 0, length: 0 })
  switch (verb.text) {
    case 'unread':
      most(1)
      return { kind: 'read', value: null }
    case 'read':
      most(2)
      return { kind: 'read', value: signedAt(first, text) }
    case 'start':
      most(2)
      return { kind: 'start', at: signedAt(first, text) }
    case 'way': {
      most(4)
      const to = words[2]?.text === 'to' ? words[3] : words[2]
      return { kind: 'way', from: signedAt(first, text), to: signedAt(to, text) }
    }
    case 'hop': {
      most(2)
      const back = first?.text.startsWith('-') ?? false
      const signed = /^[+-]/.test(first?.text ?? '')
      const bare = first && signed ? { text: first.text.slice(1), at: first.at + 1 } : first
      const by = decimalAt(bare, text)
      if (by === ZERO) throw new Refusal('A hop of nought goes nowhere.', '', first && spanOf(first))
      return { kind: 'hop', by: back ? negate(by) : by }
    }
  }
  throw new Refusal(`The line has no move “${verb.text}”.`, 'It knows start, hop, way and read.', spanOf(verb))
}

/** The open number line: drawn free-hand, no scale but order; hops forward and back, each landing written. */
export const openline: Representation<OpenLineState, OpenLineMove> = {
  id: 'openline',
  title: 'open number line',
  called: 'the open number line',
  kind: 'drawn',
  units: decimal(MAX_DIGITS, 3),
  sorts: ['whole', 'arrows'],
  example: 'start 45 · hop +30 · read 82',
  opening: 'start the line at {number}',
  prefers: ['hops'],
  verbs: { lay: 'start at', join: 'hop', take: 'hop back', thing: ['hop', 'hops'], lands: true },
  fits: (problem) =>
    fitWholes(problem, {
      name: 'the line',
      greatest: 999_999_999,
      because: `numbers here have up to ${MAX_DIGITS} digits`,
      decimals: 3,
      signed: true,
      instead: [],
    }),
  follows: (problem) => productOf(problem) !== undefined || problem.groups !== undefined,
  cannotShow: notAlong,
  start: () => ({ start: null, begun: null, hops: [], read: null }),
  apply,
  shows,
  perform,
  recognise,
  print,
  parse,
}
