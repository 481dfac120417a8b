import { amountAct, type Act } from '../act/act'
import { exact, toCount, ZERO, type Exact } from '../number/exact'
import { countsAt } from '../number/places'
import type { Choices } from '../choices'
import type { Fit } from '../problem/fit'
import type { Problem } from '../problem/problem'
import { Refusal } from '../refusal'
import type { Recognised, Representation, RepresentationId } from './representation'
import { numberAt, spanOf, wordsOf } from './text'

/**
 * Things that count one each: fingers, joint marks, tallies, counters, notches. What is out is counted; what is set
 * apart is not, until it is joined; a number can be held in the head and counted on or back from, one thing a word.
 */
export interface CountingState {
  /** How many things there are to use at once. */
  readonly room: number
  /** The number held in the head, or null where nothing is. */
  readonly head: number | null
  /** What was remembered when the things ran out and were begun again: the card “ten stored”. */
  readonly stored: number
  /** Out and counted. */
  readonly out: number
  /** Set apart for the next number, not yet joined. */
  readonly apart: number
  /** Folded, crossed out or returned. */
  readonly taken: number
  /** Counted on (above nought) or back (below) from the head: how many things that took, and the words said with them. */
  readonly counted: number
  readonly said: readonly number[]
  readonly read: Exact | null
}

export type CountingMove =
  /** Out of the store: raised, marked, drawn, put. */
  | { readonly kind: 'out'; readonly count: number }
  | { readonly kind: 'apart'; readonly count: number }
  | { readonly kind: 'join'; readonly count: number }
  | { readonly kind: 'take'; readonly count: number }
  /** Holds a number in the head; null lets go of it. */
  | { readonly kind: 'hold'; readonly number: number | null }
  /** One more thing, with the word said for it. */
  | { readonly kind: 'on' | 'back'; readonly word: number }
  /** All things are used: what they counted is remembered, and they are begun again. */
  | { readonly kind: 'store' }
  /** The other way: what was remembered last is out again. */
  | { readonly kind: 'recall' }
  | { readonly kind: 'read'; readonly value: Exact | null }
  /** Goes back to what stood before; only inverting makes it, and it has no typed form. */
  | { readonly kind: 'undo'; readonly was: CountingState }

/** The words of one material's hands. */
export interface Verbs {
  readonly out: string
  readonly apart: string
  readonly join: string
  readonly take: string
}

export interface Material {
  readonly id: RepresentationId
  readonly title: string
  readonly kind: Representation['kind']
  readonly verbs: Verbs
  /** One thing and several, for people: “finger”, “fingers”. */
  readonly thing: readonly [string, string]
  /** How many can be out at once, by the classroom's choices. */
  room(choices: Choices): number
  /** Whether a full set is remembered and begun again. */
  readonly stores: boolean
  /** Whether the second number is set apart before it is joined. */
  readonly setsApart: boolean
  fits(problem: Problem, choices?: Choices): Fit
  allows?(way: string, problem: Problem): boolean
  readonly prefers?: readonly string[]
}

/** What the things out are worth, with what is held and remembered. */
export const showing = (s: CountingState): number => (s.head ?? 0) + s.stored + s.out + s.counted

/** How many things are in use: out, or counting from the head. */
export const inUse = (s: CountingState): number => s.out + s.apart + Math.abs(s.counted)

const plural = (n: number, [one, many]: readonly [string, string]): string => (n === 1 ? one : many)

function spend(s: CountingState, m: Material, count: number): void {
  const left = s.room - inUse(s)
  if (count > left)
    throw new Refusal(
      `There ${left === 1 ? 'is' : 'are'} ${left === 0 ? 'no' : left} ${plural(left, m.thing)} left; ${count} ${count === 1 ? 'is' : 'are'} wanted.`,
      m.stores ? 'Keep what is counted in the head and begin again: store.' : '',
    )
}

function apply(m: Material, s: CountingState, move: CountingMove): CountingState {
  switch (move.kind) {
    case 'undo':
      return move.was
    case 'read':
      return { ...s, read: move.value }
    case 'hold':
      if (move.number !== null && (s.head !== null || showing(s) > 0))
        throw new Refusal('There is a number already.', 'Count on from it, or undo.')
      return { ...s, head: move.number }
    case 'out': {
      spend(s, m, move.count)
      return { ...s, out: s.out + move.count }
    }
    case 'apart':
      spend(s, m, move.count)
      return { ...s, apart: s.apart + move.count }
    case 'join':
      if (move.count > s.apart)
        throw new Refusal(`Only ${s.apart} ${plural(s.apart, m.thing)} are set apart; ${move.count} are wanted.`)
      return { ...s, apart: s.apart - move.count, out: s.out + move.count }
    case 'take':
      if (move.count > s.out)
        throw new Refusal(
          `There ${s.out === 1 ? 'is' : 'are'} ${s.out === 0 ? 'no' : `only ${s.out}`} ${plural(s.out, m.thing)} out; ${move.count} ${move.count === 1 ? 'is' : 'are'} wanted.`,
        )
      return { ...s, out: s.out - move.count, taken: s.taken + move.count }
    case 'on':
    case 'back': {
      const by = move.kind === 'on' ? 1 : -1
      if (s.head === null) throw new Refusal('There is no number in the head to count from.', 'Hold one first: hold 8.')
      if (s.counted * by < 0) throw new Refusal('Counting goes one way at a time.', 'Undo to turn round.')
      if (showing(s) + by < 0) throw new Refusal('Counting back stops at nought.')
      spend(s, m, 1)
      return { ...s, counted: s.counted + by, said: [...s.said, move.word] }
    }
    case 'store': {
      if (!m.stores) throw new Refusal(`${m.title} keep nothing in the head.`)
      if (inUse(s) < s.room)
        throw new Refusal(`There are ${s.room - inUse(s)} ${plural(s.room - inUse(s), m.thing)} left to use first.`)
      return { ...s, stored: s.stored + s.out + s.counted, out: 0, counted: 0 }
    }
    case 'recall': {
      if (s.stored === 0) throw new Refusal('Nothing is kept in the head.')
      if (inUse(s) > 0) throw new Refusal(`There are ${inUse(s)} ${plural(inUse(s), m.thing)} out still.`)
      return { ...s, stored: s.stored - s.room, out: s.room }
    }
  }
}

/** How many of `count` fit before the things must be begun again, as moves made by `make`. */
function inSets(
  s: CountingState,
  m: Material,
  count: number,
  make: (n: number) => CountingMove,
): readonly CountingMove[] {
  const moves: CountingMove[] = []
  let state = s
  let left = count
  while (left > 0) {
    const free = state.room - inUse(state)
    if (free === 0) moves.push({ kind: 'store' })
    else {
      const n = Math.min(free, left)
      moves.push(make(n))
      left -= n
    }
    state = apply(m, state, moves.at(-1)!)
  }
  return moves
}

/** Taking, with what was remembered taken up again where too few are out. */
function takingSets(s: CountingState, m: Material, count: number): readonly CountingMove[] {
  const moves: CountingMove[] = []
  let state = s
  let left = count
  while (left > 0) {
    const next: CountingMove =
      state.out > 0 || state.stored === 0
        ? { kind: 'take', count: state.stored > 0 ? Math.min(left, state.out) : left }
        : { kind: 'recall' }
    if (next.kind === 'take') left -= next.count
    state = apply(m, state, next)
    moves.push(next)
  }
  return moves
}

function perform(m: Material, s: CountingState, act: Act): readonly CountingMove[] {
  switch (act.kind) {
    case 'read':
      return [{ kind: 'read', value: act.value }]
    case 'pose':
      return m.setsApart && act.operation === '+' && s.head === null && act.amount !== ZERO
        ? [{ kind: 'apart', count: toCount(act.amount) }]
        : []
    case 'exchange':
      throw new Refusal(`${m.title} have no tens to exchange.`)
    case 'count': {
      const on = act.by === '1'
      const count: CountingMove = { kind: on ? 'on' : 'back', word: toCount(act.word) }
      return inUse(s) === s.room && m.stores ? [{ kind: 'store' }, count] : [count]
    }
    case 'lay':
    case 'join':
    case 'take': {
      const count = toCount(act.amount)
      if (act.kind === 'lay' && act.inHead) return [{ kind: 'hold', number: count }]
      if (count === 0) return []
      if (act.kind === 'take') {
        return takingSets(s, m, count)
      }
      if (act.kind === 'join' && count <= s.apart) return [{ kind: 'join', count }]
      return inSets(s, m, count, (n) => ({ kind: 'out', count: n }))
    }
  }
}

function recognise(m: Material, before: CountingState, moves: readonly CountingMove[]): Recognised {
  const first = moves[0]
  if (!first || moves.some((x) => x.kind === 'undo')) return undefined
  const only = (...kinds: CountingMove['kind'][]): boolean => moves.every((x) => kinds.includes(x.kind))
  const now = moves.reduce((s, x) => apply(m, s, x), before)
  const grown = showing(now) - showing(before)
  const last = moves.at(-1)!
  if (only('read'))
    return moves.length === 1 && last.kind === 'read' && last.value !== null
      ? [{ kind: 'read', value: last.value }]
      : undefined
  if (only('hold') && moves.length === 1 && now.head !== null)
    return [{ kind: 'lay', amount: exact(now.head), inHead: true }]
  if (only('on', 'back', 'store') && last.kind !== 'store' && moves.filter((x) => x.kind !== 'store').length === 1) {
    const move = last as Extract<CountingMove, { kind: 'on' | 'back' }>
    return [{ kind: 'count', by: exact(move.kind === 'on' ? 1 : -1), word: exact(move.word) }]
  }
  if (only('apart')) return [{ kind: 'pose', operation: '+', amount: exact(now.apart - before.apart) }]
  if (only('join', 'out', 'store') && grown > 0) {
    const untouched = before.head === null && before.taken === 0 && before.apart === 0 && showing(before) === 0
    return [amountAct(untouched ? 'lay' : 'join', countsAt(0, grown))]
  }
  if (only('take', 'recall') && grown < 0) return [amountAct('take', countsAt(0, -grown))]
  return moves.length === 1 ? { soFar: [], owed: { kind: 'nothing' } } : undefined
}

function print(m: Material, move: CountingMove): string {
  switch (move.kind) {
    case 'undo':
      return 'undone'
    case 'read':
      return move.value === null ? 'unread' : `read ${move.value}`
    case 'hold':
      return move.number === null ? 'let go' : `hold ${move.number}`
    case 'on':
    case 'back':
      return `${move.kind} ${move.word}`
    case 'store':
    case 'recall':
      return move.kind
    default:
      return `${m.verbs[move.kind]} ${move.count}`
  }
}

function parse(m: Material, text: string): CountingMove {
  const words = wordsOf(text)
  const [verb, number, extra] = words
  if (!verb) throw new Refusal('There is no move yet.', `Type one, like: ${m.verbs.out} 5.`, { at: 0, length: 0 })
  if (extra) throw new Refusal(`“${extra.text}” is one word too many.`, '', spanOf(extra))
  if (verb.text === 'unread' && !number) return { kind: 'read', value: null }
  if (verb.text === 'let' && number?.text === 'go') return { kind: 'hold', number: null }
  if ((verb.text === 'store' || verb.text === 'recall') && !number) return { kind: verb.text }
  if (verb.text === 'read') return { kind: 'read', value: numberAt(number, text) as Exact }
  const n = (): number => Number(numberAt(number, text))
  if (verb.text === 'hold') return { kind: 'hold', number: n() }
  if (verb.text === 'on' || verb.text === 'back') return { kind: verb.text, word: n() }
  const kind = (['out', 'apart', 'join', 'take'] as const).find((k) => m.verbs[k] === verb.text)
  if (!kind)
    throw new Refusal(
      `${m.title.charAt(0).toUpperCase() + m.title.slice(1)} have no move “${verb.text}”.`,
      `They know ${[...new Set(Object.values(m.verbs))].join(', ')}, hold, on, back, store, recall and read.`,
      spanOf(verb),
    )
  const count = n()
  if (count < 1 || count > 99)
    throw new Refusal(`${count} is no number of things to move.`, 'From 1 to 99 at once.', number && spanOf(number))
  return { kind, count }
}

/** A representation of things that count one each. */
export const counting = (m: Material): Representation<CountingState, CountingMove> => ({
  id: m.id,
  title: m.title,
  kind: m.kind,
  works: 'counting',
  verbs: { lay: m.verbs.out, join: m.setsApart ? m.verbs.join : m.verbs.out, take: m.verbs.take, thing: m.thing },
  fits: m.fits,
  ...(m.allows ? { allows: m.allows } : {}),
  ...(m.prefers ? { prefers: m.prefers } : {}),
  start: (_, choices) => ({
    room: m.room(choices),
    head: null,
    stored: 0,
    out: 0,
    apart: 0,
    taken: 0,
    counted: 0,
    said: [],
    read: null,
  }),
  apply: (s, move) => apply(m, s, move),
  invert: (before, move) =>
    move.kind === 'read' ? { kind: 'read', value: before.read } : { kind: 'undo', was: before },
  shows: (s) => exact(showing(s)),
  perform: (s, act) => perform(m, s, act),
  recognise: (before, moves) => recognise(m, before, moves),
  print: (move) => print(m, move),
  parse: (text) => parse(m, text),
})
