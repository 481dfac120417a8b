import { capital } from '../number/words'
import { wholly } from '../act/unfold'
import { piecesAct, stepWorth, type Act, type BeginAct } from '../act/act'
import { printExact } from '../number/numeral'
import { exact, isWhole, negate, sign, toCount, ZERO, type Exact } from '../number/exact'
import { ones } from '../number/units'
import type { Choices } from '../choices'
import type { Fit } from '../problem/fit'
import type { Problem } from '../problem/problem'
import { Refusal } from '../refusal'
import type { Recognised, Representation, RepresentationId } from './representation'
import { numberAt, spanOf, wordsOf, type Word } from './text'

/**
 * Things that count one each: fingers, joint marks, tallies, counters, notches. What is out is counted; what is set
 * apart is not, until it is joined; a number can be held in the head and counted on or back from, one thing a word.
 */
export interface CountingState {
  /** How many things there are to use at once. */
  readonly room: number
  /** The number held in the head, or null where nothing is. */
  readonly head: number | null
  /** The count that was begun in steps, or null: its numbers are said, each step is one thing. */
  readonly begun: BeginAct | null
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
  /** Which things were touched, in that order, numbered from 1; only where the hand says which. */
  readonly touched: readonly number[]
  readonly read: Exact | null
}

export type CountingMove =
  /** Out of the store: raised, marked, drawn, put. */
  | { readonly kind: 'out'; readonly count: number; readonly at?: number }
  | { readonly kind: 'apart'; readonly count: number }
  | { readonly kind: 'join'; readonly count: number }
  | { readonly kind: 'take'; readonly count: number }
  /** Holds a number in the head; null lets go of it. */
  | { readonly kind: 'hold'; readonly number: number | null }
  /** Begins a count in steps, which is not a number held: what is counted are the steps. */
  | { readonly kind: 'begin'; readonly count: BeginAct }
  /** One more thing, with the word said for it. */
  | { readonly kind: 'on' | 'back'; readonly word: number; readonly at?: number }
  /** All things are used: what they counted is remembered, and they are begun again. */
  | { readonly kind: 'store' }
  /** The other way: what was remembered last is out again. */
  | { readonly kind: 'recall' }
  | { readonly kind: 'read'; readonly value: Exact | null }

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
  /** How the first number is set out, where it is not simply so many taps. */
  readonly opening?: string
  /** How many can be out at once, by the classroom's choices. */
  room(choices: Choices): number
  /** Whether a full set is remembered and begun again. */
  readonly stores: boolean
  /** Whether the second number is set apart before it is joined; and what the button for that says, where it is not the verb. */
  readonly setsApart: boolean
  readonly apart?: string
  /** Whether answer cards are laid to it; and whether a product is counted in steps of the second number only. */
  readonly cards?: boolean
  readonly oneWay?: boolean
  fits(problem: Problem, choices?: Choices): Fit
  allows?(way: string, problem: Problem): boolean
  readonly prefers?: readonly string[]
}

/** What the things out are worth, with what is held and remembered. */
export const showing = (s: CountingState): number => (s.head ?? 0) + stepSize(s) * (s.stored + s.out + s.counted)

/** What one thing is worth: one, unless steps of a size are counted. */
const stepSize = (s: CountingState): number => (s.begun ? toCount(stepWorth(s.begun)) : 1)

/** How many things are in use: out, or counting from the head. */
export const inUse = (s: CountingState): number => s.out + s.apart + Math.abs(s.counted)

const thingsAct = (kind: 'lay' | 'join' | 'take', count: number): Act => piecesAct(kind, [{ count, unit: exact(1) }])

const plural = (n: number, [one, many]: readonly [string, string]): string => (n === 1 ? one : many)

function spend(s: CountingState, m: Material, count: number): void {
  const left = s.room - inUse(s)
  if (count > left)
    throw new Refusal(
      `There ${left === 1 ? 'is' : 'are'} ${left === 0 ? 'no' : left} ${plural(left, m.thing)} left; ${count} ${count === 1 ? 'is' : 'are'} wanted.`,
      m.stores ? 'Keep what is counted in the head and begin again: store.' : '',
    )
}

const touching = (s: CountingState, at: number | undefined): readonly number[] =>
  at === undefined ? s.touched : [...s.touched, at]

function apply(m: Material, s: CountingState, move: CountingMove): CountingState {
  switch (move.kind) {
    case 'read':
      return { ...s, read: move.value }
    case 'hold':
      if (move.number !== null && (s.head !== null || s.begun !== null || showing(s) > 0))
        throw new Refusal('There is a number already.', 'Count on from it, or undo.')
      return { ...s, head: move.number }
    case 'begin':
      if (s.head !== null || s.begun !== null || showing(s) > 0)
        throw new Refusal('There is a number already.', 'A count in steps begins with nothing out.')
      return { ...s, begun: move.count }
    case 'out': {
      spend(s, m, move.count)
      return { ...s, out: s.out + move.count, touched: touching(s, move.at) }
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
      if (s.head === null && s.begun === null)
        throw new Refusal('There is no number in the head to count from.', 'Hold one first: hold 8.')
      if (s.counted * by < 0) throw new Refusal('Counting goes one way at a time.', 'Undo to turn round.')
      if (showing(s) + by * stepSize(s) < 0) throw new Refusal('Counting back stops at nought.')
      spend(s, m, 1)
      return { ...s, counted: s.counted + by, said: [...s.said, move.word], touched: touching(s, move.at) }
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

/** Nobody counts further than this one by one. */
const MOST_THINGS = 1000

/** A number as so many things. @throws Refusal for what cannot be counted out. */
function things(m: Material, amount: Exact): number {
  if (isWhole(amount) && sign(amount) >= 0) {
    if (amount.length <= 4 && toCount(amount) <= MOST_THINGS) return toCount(amount)
    throw new Refusal(`${printExact(amount)} is too many to count out one by one.`)
  }
  throw new Refusal(`${capital(m.title)} are counted one by one: there is no way to show ${printExact(amount)}.`)
}

function perform(m: Material, s: CountingState, act: Act): readonly CountingMove[] {
  switch (act.kind) {
    case 'read':
      return [{ kind: 'read', value: act.value }]
    case 'pose':
      return m.setsApart && act.operation === '+' && s.head === null && act.amount !== ZERO
        ? [{ kind: 'apart', count: things(m, act.amount) }]
        : []
    case 'begin':
      return [{ kind: 'begin', count: act }]
    case 'group':
      throw new Refusal(`${m.title} show no groups at once.`, 'Count in steps.')
    case 'share':
      return perform(m, s, wholly(act))
    case 'exchange':
    case 'split':
    case 'gather':
      return []
    case 'count': {
      const on = !act.by.startsWith('-')
      const count: CountingMove = { kind: on ? 'on' : 'back', word: toCount(act.word) }
      return inUse(s) === s.room && m.stores ? [{ kind: 'store' }, count] : [count]
    }
    case 'lay':
    case 'join':
    case 'take': {
      const count = things(m, act.amount)
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
  if (!first) return undefined
  const only = (...kinds: CountingMove['kind'][]): boolean => moves.every((x) => kinds.includes(x.kind))
  const now = moves.reduce((s, x) => apply(m, s, x), before)
  const grown = showing(now) - showing(before)
  const last = moves.at(-1)!
  if (only('read'))
    return moves.length === 1 && last.kind === 'read' && last.value !== null
      ? [{ kind: 'read', value: last.value }]
      : undefined
  if (only('begin') && moves.length === 1 && now.begun !== null) return [now.begun]
  if (only('hold') && moves.length === 1 && now.head !== null)
    return [{ kind: 'lay', amount: exact(now.head), inHead: true }]
  if (only('on', 'back', 'store') && last.kind !== 'store' && moves.filter((x) => x.kind !== 'store').length === 1) {
    const move = last as Extract<CountingMove, { kind: 'on' | 'back' }>
    const by = exact(stepSize(now))
    return [{ kind: 'count', by: move.kind === 'on' ? by : negate(by), word: exact(move.word) }]
  }
  if (only('apart')) return [{ kind: 'pose', operation: '+', amount: exact(now.apart - before.apart) }]
  if (only('join', 'out', 'store') && grown > 0) {
    const untouched = before.head === null && before.taken === 0 && before.apart === 0 && showing(before) === 0
    return [thingsAct(untouched ? 'lay' : 'join', grown)]
  }
  if (only('take', 'recall') && grown < 0) return [thingsAct('take', -grown)]
  return moves.length === 1 ? { soFar: [], owed: { kind: 'nothing' } } : undefined
}

const atText = ({ at }: { readonly at?: number }): string => (at === undefined ? '' : ` at ${at}`)

function print(m: Material, move: CountingMove): string {
  switch (move.kind) {
    case 'read':
      return move.value === null ? 'unread' : `read ${move.value}`
    case 'hold':
      return move.number === null ? 'let go' : `hold ${move.number}`
    case 'begin':
      return printBegin(move.count)
    case 'on':
    case 'back':
      return `${move.kind} ${move.word}${atText(move)}`
    case 'store':
    case 'recall':
      return move.kind
    default:
      return `${m.verbs[move.kind]} ${move.count}${move.kind === 'out' ? atText(move) : ''}`
  }
}

/** `count from 8 to 14`, `count from 0 to 12 by 4`, `count from 0 by 4 times 3`. */
function printBegin({ from, step, to, times }: BeginAct): string {
  const by = step === '1' ? '' : ` by ${step}`
  return `count from ${from}${to === null ? '' : ` to ${to}`}${by}${times === null ? '' : ` times ${times}`}`
}

const BEGIN = /^count from (\d{1,3})(?: to (\d{1,3}))?(?: by (\d{1,3}))?(?: times (\d{1,3}))?$/

function parseBegin(text: string): CountingMove {
  const read = BEGIN.exec(text.trim().toLowerCase().replace(/\s+/g, ' '))
  const [, from, to = null, step = '1', times = null] = read ?? []
  if (from === undefined || (to === null) === (times === null) || Number(step) === 0)
    throw new Refusal('A count begins from a number, up to another or so many times.', 'Like: count from 8 to 14.', {
      at: 0,
      length: text.length,
    })
  const number = (t: string): Exact => exact(Number(t))
  const count: BeginAct = {
    kind: 'begin',
    from: number(from),
    step: number(step),
    to: to === null ? null : number(to),
    times: times === null ? null : number(times),
  }
  if (to !== null && (Number(to) < Number(from) || (Number(to) - Number(from)) % Number(step) !== 0))
    throw new Refusal(`From ${from}, steps of ${step} do not lead to ${to}.`, 'Count up, and in steps that come out.')
  return { kind: 'begin', count }
}

function parse(m: Material, text: string): CountingMove {
  const words = wordsOf(text)
  if (words[0]?.text === 'count') return parseBegin(text)
  const [verb, number, ...more] = words
  const at = more[0]?.text === 'at' ? { at: thingAt(more[1], text) } : {}
  const extra = more['at' in at ? 2 : 0]
  if (!verb) throw new Refusal('There is no move yet.', `Type one, like: ${m.verbs.out} 5.`, { at: 0, length: 0 })
  if (extra) throw new Refusal(`“${extra.text}” is one word too many.`, '', spanOf(extra))
  if (verb.text === 'unread' && !number) return { kind: 'read', value: null }
  if (verb.text === 'let' && number?.text === 'go') return { kind: 'hold', number: null }
  if ((verb.text === 'store' || verb.text === 'recall') && !number) return { kind: verb.text }
  if (verb.text === 'read') return { kind: 'read', value: numberAt(number, text) as Exact }
  const n = (): number => Number(numberAt(number, text))
  if (verb.text === 'hold') return { kind: 'hold', number: n() }
  if (verb.text === 'on' || verb.text === 'back') return { kind: verb.text, word: n(), ...at }
  const kind = (['out', 'apart', 'join', 'take'] as const).find((k) => m.verbs[k] === verb.text)
  if (!kind)
    throw new Refusal(
      `${capital(m.title)} have no move “${verb.text}”.`,
      `They know ${[...new Set(Object.values(m.verbs))].join(', ')}, hold, count, on, back, store, recall and read.`,
      spanOf(verb),
    )
  const count = n()
  if (count < 1 || count > 99)
    throw new Refusal(`${count} is no number of things to move.`, 'From 1 to 99 at once.', number && spanOf(number))
  return kind === 'out' ? { kind, count, ...at } : { kind, count }
}

/** Which thing is meant, by its number. @throws Refusal where it is none. */
function thingAt(word: Word | undefined, whole: string): number {
  const n = Number(numberAt(word, whole))
  if (n < 1 || n > 99) throw new Refusal(`There is no thing number ${n} here.`, '', word && spanOf(word))
  return n
}

/** A thing touched twice; or, when it is read and the hand has always said which, one that was passed over. */
function noticed(s: CountingState, move: CountingMove): 'twice' | 'missed' | undefined {
  if (move.kind === 'read') {
    const all = s.touched.length > 0 && s.touched.length === s.out + Math.abs(s.counted)
    const distinct = new Set(s.touched)
    return all && Math.max(...distinct) > distinct.size ? 'missed' : undefined
  }
  if (move.kind !== 'out' && move.kind !== 'on' && move.kind !== 'back') return undefined
  return move.at !== undefined && s.touched.includes(move.at) ? 'twice' : undefined
}

/** A representation of things that count one each. */
export const counting = (m: Material): Representation<CountingState, CountingMove> => ({
  id: m.id,
  title: m.title,
  called: m.title,
  kind: m.kind,
  units: ones(m.thing),
  sorts: ['counting'],
  verbs: { lay: m.verbs.out, join: m.setsApart ? m.verbs.join : m.verbs.out, take: m.verbs.take, thing: m.thing },
  example: `${m.verbs.out} 5 · hold 8 · on 9 · read 9`,
  opening: m.opening ?? `${m.verbs.out} {number} ${m.thing[1]}, one tap for each`,
  fits: m.fits,
  ...(m.allows ? { allows: m.allows } : {}),
  ...(m.prefers ? { prefers: m.prefers } : {}),
  start: (_, choices) => ({
    room: m.room(choices),
    head: null,
    begun: null,
    stored: 0,
    out: 0,
    apart: 0,
    taken: 0,
    counted: 0,
    said: [],
    touched: [],
    read: null,
  }),
  apply: (s, move) => apply(m, s, move),
  shows: (s) => exact(showing(s)),
  perform: (s, act) => perform(m, s, act),
  recognise: (before, moves) => recognise(m, before, moves),
  print: (move) => print(m, move),
  parse: (text) => parse(m, text),
  noticed,
  counts: {
    apart: m.setsApart ? (m.apart ?? `${capital(m.verbs.apart)} one apart`) : null,
    stores: m.stores,
    cards: m.cards ?? false,
    eitherWay: !m.oneWay,
  },
  cannotShow: (act) => (act.kind === 'exchange' ? `${capital(m.title)} have no tens to exchange.` : ''),
})
