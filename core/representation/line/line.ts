import { change, printComparison, type Act, type BeginAct, type CompareAct } from '../../act/act'
import { add, compare, divide, exact, isWhole, sign, sizeOf, subtract, sum, ZERO, type Exact } from '../../number/exact'
import { isDecimal, lowestText } from '../../number/fractions'
import { MAX_DIGITS, parseNumeral, printExact, printNumeral, valueOf } from '../../number/numeral'
import { numberText } from '../../number/text'
import { decimal, piecesFor, piecesOfNumeral, type Units } from '../../number/units'
import { fitWholes } from '../../problem/fit'
import { fitParts, MOST_WRITTEN, partsOfProblem } from '../../problem/fitParts'
import { hasParts, writesFractions } from '../../problem/problem'
import { Refusal } from '../../refusal'
import { isWay, landingsFrom, movedBy, notAlong, wayUp } from '../along'
import type { Recognised, Representation } from '../representation'
import { comparisonIn, numberAt, signedAt, spanOf, wordsOf, type Word } from '../text'

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
  /** In which pieces numbers are told here; fractions keep the parts that they were asked in. */
  readonly units: Units
  /** Of a part that is repeated: how long one of its arrows is. */
  readonly each: Exact | null
  /** Points marked on the line, to be held against where one stands: the numbers, as they were written. */
  readonly marked: readonly string[]
  readonly compared: Omit<CompareAct, 'kind'> | null
  readonly read: Exact | null
}

export type LineMove =
  | { readonly kind: 'stand'; readonly at: Exact; readonly fraction?: true }
  /** From where one stands, unless another point is named. `fraction` says how it is written: 3/8, and not 0.375. */
  | { readonly kind: 'arrow'; readonly by: Exact; readonly from?: Exact; readonly fraction?: true }
  /** From one number up to another, where the arrows are what is wanted. */
  | { readonly kind: 'way'; readonly from: Exact; readonly to: Exact }
  | { readonly kind: 'slide' }
  /** A further point; row 1 is the first of them. */
  | { readonly kind: 'mark'; readonly at: string; readonly row: number }
  | { readonly kind: 'compare'; readonly numbers: CompareAct['numbers']; readonly relations: CompareAct['relations'] }
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

const textOf = (n: Exact, fraction = !isDecimal(n)): string => (fraction ? lowestText(n) : printExact(n))
/** How a move's numbers are written, where it makes a difference. */
const written = (s: LineState, ...numbers: readonly Exact[]): { readonly fraction?: true } =>
  s.units.fractions && numbers.some((n) => !isWhole(n) && isDecimal(n)) ? { fraction: true } : {}

function within(to: Exact): void {
  if (compare(sizeOf(to), exact(10 * GREATEST)) > 0)
    throw new Refusal(`${textOf(to)} is farther than this line goes.`, 'The open line has no end.')
}

/** As many points as are told apart at once. */
export const MOST_MARKED = 4

function apply(before: LineState, move: LineMove): LineState {
  const s = before.compared && move.kind !== 'compare' ? { ...before, compared: null } : before
  switch (move.kind) {
    case 'compare':
      return { ...s, compared: { numbers: move.numbers, relations: move.relations } }
    case 'mark': {
      if (move.row > Math.min(MOST_MARKED, s.marked.length + 1))
        throw new Refusal(`The next point is point ${s.marked.length + 2}.`)
      within(valueOf(parseNumeral(move.at)))
      const marked = [...s.marked]
      marked[move.row - 1] = move.at
      return { ...s, marked }
    }
    case 'read':
      return { ...s, read: move.value }
    case 'stand':
      if (s.start !== null)
        throw new Refusal(`One stands at ${textOf(hereOn(s))} already.`, 'Draw an arrow from there, or undo.')
      within(move.at)
      return { ...s, start: move.at, fromNought: false }
    case 'way':
      if (s.start !== null) throw new Refusal(`One stands at ${textOf(hereOn(s))} already.`, 'Undo to begin anew.')
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
          throw new Refusal('Nothing stands on the line yet.', `Stand at ${textOf(from)}, or begin at nought.`)
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
      if (s.start !== null) throw new Refusal(`One stands at ${textOf(hereOn(s))} already.`)
      return s.fromNought && act.amount !== ZERO
        ? [{ kind: 'arrow', by: act.amount, ...written(s, act.amount) }]
        : [{ kind: 'stand', at: act.amount, ...written(s, act.amount) }]
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
      return [...first, { kind: 'arrow', by, ...written(s, by) }]
    }
    case 'read':
      return [{ kind: 'read', value: act.value }]
    case 'compare':
      return [{ kind: 'compare', numbers: act.numbers, relations: act.relations }]
    case 'beside': {
      const there = s.marked[act.row - 1]
      const to = add(there ? valueOf(parseNumeral(there)) : ZERO, act.amount)
      return [{ kind: 'mark', at: numberText(to, s.units, there ? undefined : act.pieces), row: act.row }]
    }
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
  if (moves.length === 1 && move.kind === 'compare')
    return [{ kind: 'compare', numbers: move.numbers, relations: move.relations }]
  if (moves.length === 1 && move.kind === 'mark') return [marking(before, move)]
  if (before.each && moves.every((m) => m.kind === 'arrow' || (m.kind === 'stand' && m.at === ZERO)))
    return repeated(before, moves)
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

/** A point marked, or moved to another number. */
function marking(before: LineState, { at, row }: Extract<LineMove, { kind: 'mark' }>): Act {
  const was = before.marked[row - 1]
  const numeral = parseNumeral(at)
  const amount = subtract(valueOf(numeral), was ? valueOf(parseNumeral(was)) : ZERO)
  const pieces = was ? undefined : piecesOfNumeral(numeral, valueOf(numeral), before.units)
  return { kind: 'beside', amount, ...(pieces ? { pieces } : {}), row }
}

/** Arrows of one length, as so many times what is repeated; any others for themselves. */
function repeated(before: LineState, moves: readonly LineMove[]): Recognised {
  const gone = sum(moves.flatMap((m) => (m.kind === 'arrow' ? [m.by] : [])))
  const times = divide(gone, before.each!)
  if (gone === ZERO) return before.start === null ? [{ kind: 'lay', amount: ZERO }] : undefined
  const now = moves.reduce(apply, before)
  if (now.loose) return undefined
  if (!isWhole(times) || sign(times) < 0) return [movedBy(gone)]
  const pieces = piecesFor(before.each!, before.units)
  return [{ kind: 'group', count: times, size: before.each!, ...(pieces ? { pieces } : {}) }]
}

const signedText = (by: Exact, fraction?: true): string => `${sign(by) < 0 ? '-' : '+'}${textOf(sizeOf(by), fraction)}`

function print(move: LineMove): string {
  switch (move.kind) {
    case 'stand':
      return `stand ${textOf(move.at, move.fraction)}`
    case 'arrow':
      return `arrow ${signedText(move.by, move.fraction)}${move.from === undefined ? '' : ` from ${textOf(move.from, move.fraction)}`}`
    case 'way':
      return `way ${textOf(move.from)} to ${textOf(move.to)}`
    case 'slide':
      return 'slide'
    case 'read':
      return move.value === null ? 'unread' : `read ${textOf(move.value)}`
    case 'mark':
      return `mark ${move.row + 1} ${move.at}`
    case 'compare':
      return `compare ${printComparison(move)}`
  }
}

/** Reads `stand -3`, `arrow +4`, `arrow -8 from 0`, `slide`, `read -12`. @throws Refusal with the place in the text. */
function parse(text: string): LineMove {
  if (/^compare\b/i.test(text.trim())) return { kind: 'compare', ...comparisonIn(text.trim().slice(7)) }
  const words = joined(wordsOf(text))
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
      return { kind: 'read', value: fractionAt(first, text) }
    case 'stand':
      most(first?.text === 'at' ? 3 : 2)
      {
        const word = first?.text === 'at' ? more[0] : first
        return { kind: 'stand', at: fractionAt(word, text), ...flagOf(word) }
      }
    case 'mark': {
      // The point's number comes first; where one number stands alone, it is the first point's.
      const [row, at] = more[0] ? [Number(numberAt(first, text)), more[0]] : [2, first]
      most(3)
      if (row < 2 || row > MOST_MARKED + 1)
        throw new Refusal(`There is no point ${row}.`, 'Points are numbered from 2.')
      if (!at) throw new Refusal('It is not said where.', 'Like: mark 2 4/8.')
      return { kind: 'mark', row: row - 1, at: printNumeral(parseNumeral(at.text.replace(/^[−⁻]/u, '-'))) }
    }
    case 'way': {
      const to = more[0]?.text === 'to' ? more[1] : more[0]
      most(4)
      return { kind: 'way', from: fractionAt(first, text), to: fractionAt(to, text) }
    }
    case 'arrow': {
      const plus = first?.text.startsWith('+') ?? false
      const by = fractionAt(plus ? { text: first!.text.slice(1), at: first!.at + 1 } : first, text)
      if (by === ZERO) throw new Refusal('An arrow of nought goes nowhere.', '', first && spanOf(first))
      most(more[0]?.text === 'from' ? 4 : 2)
      return more[0]
        ? { kind: 'arrow', by, from: fractionAt(more[1], text), ...flagOf(first, more[1]) }
        : { kind: 'arrow', by, ...flagOf(first) }
    }
  }
  throw new Refusal(
    `The line has no move “${verb.text}”.`,
    'It knows stand, arrow, way, slide, mark, compare and read.',
    spanOf(verb),
  )
}

/** Words of which two make one mixed number, put together: `2 2/5`. */
function joined(words: readonly Word[]): readonly Word[] {
  const all: Word[] = []
  for (const word of words) {
    const last = all.at(-1)
    if (last && /^\d+\/\d+$/.test(word.text) && /^[+−⁻-]?\d+$/u.test(last.text) && all.length > 1 && !isRow(all))
      all[all.length - 1] = { text: `${last.text} ${word.text}`, at: last.at }
    else all.push(word)
  }
  return all
}
/** The number after `mark` says which point it is, and is no part of a mixed number. */
const isRow = (words: readonly Word[]): boolean => words.length === 2 && words[0]!.text === 'mark'

/** Whether a number that could be a decimal was written as a fraction. */
const flagOf = (...words: readonly (Word | undefined)[]): { readonly fraction?: true } =>
  words.some((w) => w?.text.includes('/') && isDecimal(valueOf(parseNumeral(w.text.replace(/^[+−⁻-]/u, '')))))
    ? { fraction: true }
    : {}

/** Reads a number of either sign, whole, with decimals or as a fraction. @throws Refusal at the word. */
function fractionAt(word: Word | undefined, whole: string): Exact {
  if (!word?.text.includes('/')) return signedAt(word, whole)
  return valueOf(parseNumeral(word.text.replace(/^[−⁻]/u, '-')))
}

const WAYS = ['arrows', 'combine-opposites', 'decompose', 'hops', 'hop-up', 'edge-to-edge', 'repeated-parts']

/** Ways that hop over places, which fractions have none of. */
const HOPS = ['hops', 'hop-up', 'decompose']
const UNITS = decimal(MAX_DIGITS, 3)

/** The number line, ruled at scale through nought; arrows show how far and which way. */
export const line: Representation<LineState, LineMove> = {
  id: 'line',
  title: 'number line',
  called: 'the number line',
  kind: 'drawn',
  units: UNITS,
  standsIn: (problem) => (writesFractions(problem) ? partsOfProblem(problem) : UNITS),
  rows: true,
  anyPieces: true,
  sorts: ['arrows', 'whole', 'fractions'],
  example: 'stand -3 · arrow -5 · read -8',
  opening: 'stand at {number}',
  allows: (way, problem) => WAYS.includes(way) && !(HOPS.includes(way) && writesFractions(problem)),
  verbs: { lay: 'stand at', join: 'up', take: 'down', thing: ['arrow', 'arrows'], lands: true },
  fits: (problem) => {
    const product = problem.terms[0]?.operation === '*'
    if (problem.named)
      return {
        fits: false,
        why: 'A point on the line has all its names at once; it is not cut anew.',
        instead: ['strips', 'vessel'],
      }
    if (writesFractions(problem) || problem.others || (product && hasParts(problem)))
      return fitParts(problem, {
        name: 'the number line',
        wholes: GREATEST,
        because: 'farther out its marks cannot be told apart',
        parts: MOST_WRITTEN,
        decimals: 3,
        amounts: MOST_MARKED + 1,
        signed: true,
        instead: [],
      })
    return fitWholes(problem, {
      name: 'the number line',
      greatest: GREATEST,
      because: 'farther out its marks cannot be told apart',
      decimals: 3,
      signed: true,
      instead: ['openline', 'signs'],
    })
  },
  cannotShow: notAlong,
  start: (problem, choices) => ({
    fromNought: choices.signed.from === 'nought',
    start: null,
    begun: null,
    arrows: [],
    loose: null,
    units: writesFractions(problem) ? partsOfProblem(problem) : UNITS,
    each: problem.terms[0]?.operation === '*' ? valueOf(problem.terms[0].number) : null,
    marked: [],
    compared: null,
    read: null,
  }),
  apply,
  shows,
  perform,
  recognise,
  print,
  parse,
}
