import { change, type Act, type BeginAct } from '../../act/act'
import { add, compare, exact, sign, sizeOf, sum, ZERO, type Exact } from '../../number/exact'
import { MAX_DIGITS, printExact } from '../../number/numeral'
import { decimal } from '../../number/units'
import { fitWholes } from '../../problem/fit'
import { Refusal } from '../../refusal'
import { isWay, landingsFrom, movedBy, notAlong, wayUp } from '../along'
import type { Recognised, Representation } from '../representation'
import { signedAt, spanOf, wordsOf } from '../text'

/**
 * A ruled number line through nought. One stands at the first number (or its arrow comes from nought), and arrows are laid end to
 * start. An arrow that starts anywhere else is loose: it is drawn, and counts once it is slid to where one stands.
 */
export interface LineState {
  /** Whether the first number is an arrow from nought. */
  readonly fromNought: boolean
  readonly start: Exact | null
  /** A difference gone up: what counts is how far one has come, not where one is. */
  readonly begun: BeginAct | null
  readonly arrows: readonly Exact[]
  readonly loose: { readonly from: Exact; readonly by: Exact } | null
  readonly read: Exact | null
}

export type LineMove =
  | { readonly kind: 'stand'; readonly at: Exact }
  /** From where one stands, unless another point is named. */
  | { readonly kind: 'arrow'; readonly by: Exact; readonly from?: Exact }
  /** From one number up to another, where the arrows are what is wanted. */
  | { readonly kind: 'way'; readonly from: Exact; readonly to: Exact }
  | { readonly kind: 'slide' }
  | { readonly kind: 'read'; readonly value: Exact | null }

/** More arrows than any problem here needs; and how far out the marks can still be told apart. */
export const MOST_ARROWS = 100
export const GREATEST = 9999

/** Where the arrows begin and end, the first point where one stands at the start; empty where nothing stands yet. */
export const points = ({ start, arrows }: LineState): readonly Exact[] =>
  start === null ? [] : landingsFrom(start, arrows)

/** Where one stands. */
export const hereOn = (s: LineState): Exact => points(s).at(-1) ?? ZERO

export const shows = (s: LineState): Exact => (s.begun ? sum(s.arrows) : hereOn(s))

function within(to: Exact): void {
  if (compare(sizeOf(to), exact(10 * GREATEST)) > 0)
    throw new Refusal(`${printExact(to)} is farther than this line goes.`, 'The open line has no end.')
}

function apply(s: LineState, move: LineMove): LineState {
  switch (move.kind) {
    case 'read':
      return { ...s, read: move.value }
    case 'stand':
      if (s.start !== null)
        throw new Refusal(`One stands at ${printExact(hereOn(s))} already.`, 'Draw an arrow from there, or undo.')
      within(move.at)
      return { ...s, start: move.at, fromNought: false }
    case 'way':
      if (s.start !== null) throw new Refusal(`One stands at ${printExact(hereOn(s))} already.`, 'Undo to begin anew.')
      within(move.to)
      return { ...s, start: move.from, fromNought: false, begun: wayUp(move.from, move.to) }
    case 'arrow': {
      if (s.loose) throw new Refusal('There is a loose arrow.', 'Slide it to where one stands, or undo.')
      if (move.by === ZERO) throw new Refusal('An arrow of nought goes nowhere.')
      const here = hereOn(s)
      const from = move.from ?? here
      within(add(from, move.by))
      if (s.start === null) {
        if (from !== ZERO)
          throw new Refusal('Nothing stands on the line yet.', `Stand at ${printExact(from)}, or begin at nought.`)
        return { ...s, start: move.by, fromNought: true }
      }
      if (s.arrows.length >= MOST_ARROWS) throw new Refusal(`There is no room for more than ${MOST_ARROWS} arrows.`)
      if (from !== here) return { ...s, loose: { from, by: move.by } }
      return { ...s, arrows: [...s.arrows, move.by] }
    }
    case 'slide':
      if (!s.loose) throw new Refusal('No arrow lies loose.', 'An arrow starts where the one before it ends.')
      within(add(hereOn(s), s.loose.by))
      return { ...s, arrows: [...s.arrows, s.loose.by], loose: null }
  }
}

function perform(s: LineState, act: Act): readonly LineMove[] {
  switch (act.kind) {
    case 'lay':
      if (s.start !== null) throw new Refusal(`One stands at ${printExact(hereOn(s))} already.`)
      return s.fromNought && act.amount !== ZERO
        ? [{ kind: 'arrow', by: act.amount }]
        : [{ kind: 'stand', at: act.amount }]
    case 'begin':
      if (!isWay(act)) throw new Refusal('The line waits: it has no arrows of equal size yet.')
      return [{ kind: 'way', from: act.from, to: act.to }]
    case 'join':
    case 'take':
    case 'count':
    case 'group':
    case 'share': {
      const by = change(act)
      if (by === ZERO) return []
      const first: readonly LineMove[] = s.start === null ? [{ kind: 'stand', at: ZERO }] : []
      return [...first, { kind: 'arrow', by }]
    }
    case 'read':
      return [{ kind: 'read', value: act.value }]
    case 'pose':
    case 'split':
    case 'gather':
    case 'rewrite':
    case 'exchange':
      return []
  }
}

function recognise(before: LineState, moves: readonly LineMove[]): Recognised {
  const [move] = moves
  const last = moves.at(-1)
  if (!move || !last) return undefined
  if (moves.length === 1 && move.kind === 'stand') return [{ kind: 'lay', amount: move.at }]
  if (moves.length === 1 && move.kind === 'way') return [apply(before, move).begun!]
  if (moves.length === 1 && move.kind === 'read')
    return move.value === null ? undefined : [{ kind: 'read', value: move.value }]
  if (!moves.every((m) => m.kind === 'arrow' || m.kind === 'slide')) return undefined
  if (before.start === null)
    return moves.length === 1 && move.kind === 'arrow' ? [{ kind: 'lay', amount: move.by }] : undefined
  const now = moves.reduce(apply, before)
  const drawn = now.arrows.slice(before.arrows.length)
  // Arrows the same way are one thing done.
  if (new Set(drawn.map(sign)).size > 1) return undefined
  if (now.loose)
    return drawn.length > 0
      ? undefined
      : { soFar: [], owed: { kind: 'loose-arrow', from: now.loose.from, here: hereOn(now) } }
  return [movedBy(sum(drawn))]
}

const signedText = (by: Exact): string => `${sign(by) < 0 ? '-' : '+'}${printExact(sizeOf(by))}`

function print(move: LineMove): string {
  switch (move.kind) {
    case 'stand':
      return `stand ${printExact(move.at)}`
    case 'arrow':
      return `arrow ${signedText(move.by)}${move.from === undefined ? '' : ` from ${printExact(move.from)}`}`
    case 'way':
      return `way ${printExact(move.from)} to ${printExact(move.to)}`
    case 'slide':
      return 'slide'
    case 'read':
      return move.value === null ? 'unread' : `read ${printExact(move.value)}`
  }
}

/** Reads `stand -3`, `arrow +4`, `arrow -8 from 0`, `slide`, `read -12`. @throws Refusal with the place in the text. */
function parse(text: string): LineMove {
  const words = wordsOf(text)
  const [verb, first, ...more] = words
  const most = (n: number): void => {
    if (words[n]) throw new Refusal(`“${words[n]!.text}” is one word too many.`, '', spanOf(words[n]!))
  }
  if (!verb) throw new Refusal('There is no move yet.', 'Type one, like: arrow +4.', { at: 0, length: 0 })
  switch (verb.text) {
    case 'unread':
    case 'slide':
      most(1)
      return verb.text === 'slide' ? { kind: 'slide' } : { kind: 'read', value: null }
    case 'read':
      most(2)
      return { kind: 'read', value: signedAt(first, text) }
    case 'stand':
      most(first?.text === 'at' ? 3 : 2)
      return { kind: 'stand', at: signedAt(first?.text === 'at' ? more[0] : first, text) }
    case 'way': {
      const to = more[0]?.text === 'to' ? more[1] : more[0]
      most(4)
      return { kind: 'way', from: signedAt(first, text), to: signedAt(to, text) }
    }
    case 'arrow': {
      const plus = first?.text.startsWith('+') ?? false
      const by = signedAt(plus ? { text: first!.text.slice(1), at: first!.at + 1 } : first, text)
      if (by === ZERO) throw new Refusal('An arrow of nought goes nowhere.', '', first && spanOf(first))
      most(more[0]?.text === 'from' ? 4 : 2)
      return more[0] ? { kind: 'arrow', by, from: signedAt(more[1], text) } : { kind: 'arrow', by }
    }
  }
  throw new Refusal(`The line has no move “${verb.text}”.`, 'It knows stand, arrow, way, slide and read.', spanOf(verb))
}

const WAYS = ['arrows', 'combine-opposites', 'decompose', 'hops', 'hop-up']

/** The number line, ruled at scale through nought; arrows show how far and which way. */
export const line: Representation<LineState, LineMove> = {
  id: 'line',
  title: 'number line',
  called: 'the number line',
  kind: 'drawn',
  units: decimal(MAX_DIGITS, 3),
  sorts: ['arrows', 'whole'],
  example: 'stand -3 · arrow -5 · read -8',
  opening: 'stand at {number}',
  allows: (way) => WAYS.includes(way),
  verbs: { lay: 'stand at', join: 'up', take: 'down', thing: ['arrow', 'arrows'], lands: true },
  fits: (problem) =>
    fitWholes(problem, {
      name: 'the number line',
      greatest: GREATEST,
      because: 'farther out its marks cannot be told apart',
      decimals: 3,
      signed: true,
      instead: ['openline', 'signs'],
    }),
  cannotShow: notAlong,
  start: (_, choices) => ({
    fromNought: choices.signed.from === 'nought',
    start: null,
    begun: null,
    arrows: [],
    loose: null,
    read: null,
  }),
  apply,
  shows,
  perform,
  recognise,
  print,
  parse,
}
