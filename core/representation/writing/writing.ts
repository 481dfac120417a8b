import { inUnits, piecesAct, type Act } from '../../act/act'
import { owing, stand, standingAtStart, termDone, type Standing } from '../../act/standing'
import { add, exact, multiply, negate, sign, subtract, sum, ZERO, type Exact } from '../../number/exact'
import { MAX_DIGITS, parseNumeral, valueOf } from '../../number/numeral'
import { numberText } from '../../number/text'
import { extended, START, type Trail } from '../../number/trail'
import { decimal, piecesFor, worthOf, type Units } from '../../number/units'
import { fitWholes, type Fit, type Sort } from '../../problem/fit'
import { decimalsIn, printProblem, type Problem, type Sign } from '../../problem/problem'
import { Refusal } from '../../refusal'
import { exchangesIn } from '../inParts'
import { plainly } from '../text'
import type { Recognised, Representation, RepresentationId } from '../representation'

/** One line of a page. A false one has no act: it is struck out and stays in sight. */
export interface WrittenPart {
  readonly text: string
  readonly act: Act | null
}

/** A page that is written line by line, and how far the problem has come on it. */
export interface WritingState {
  readonly problem: Problem
  /** The question as it was asked, for the last sentence. */
  readonly asked: string
  readonly standing: Standing
  readonly lines: Trail<WrittenPart>
}

export type WritingMove = { readonly kind: 'write'; readonly line: string }

/** How one page writes: the line of an act, given what stands before it; empty where it writes nothing. */
export interface Dialect {
  readonly id: RepresentationId
  readonly title: string
  /** What it is called within a sentence, where that is not just its title. */
  readonly called?: string
  readonly name: string
  readonly example: string
  readonly diagram?: boolean
  readonly sorts: readonly Sort[]
  allows(way: string, problem: Problem): boolean
  line(s: WritingState, act: Act): string
  /** Another true line that a person may write for it. */
  also?(s: WritingState, act: Act): string | undefined
  /** What a line could be besides, on a page that writes what others do not: tried first. */
  reads?(s: WritingState, text: string): Iterable<Act>
  /** In which pieces its numbers are told, where those are not places of tens. */
  units?(problem: Problem): Units
  /** Which problems it holds, where that is another question than their size. */
  fits?(problem: Problem): Fit
  /** Why a problem is none for this page, where that is not simply its size. */
  refuses?(problem: Problem): Fit | undefined
  /** Whether numbers of either sign are at home on it. */
  readonly signed?: boolean
  /** Why an act that changes nothing is never written here; empty where it is. */
  cannotShow?(act: Act): string
}

const NUMBER = /\d+(?:\.\d+)?/g
const TERM = String.raw`-?(?:(?:\d+ )?\d+\/[1-9]\d*|\d+(?:\.\d+)?)`
const SIDE = new RegExp(`^${TERM}(?: [+*-] ${TERM})*$`)
const TERMS = new RegExp(`(?:^| ([+-]) )(${TERM})(?: \\* (${TERM}))?`, 'g')
/** Whole numbers worked in brackets, which stand over or under a line. */
const BRACKETS = /\((\d{1,9}) ([+*-]) (\d{1,9})\)/g
const IN_BRACKETS = { '+': add, '-': subtract, '*': multiply } as const

/** What one side of a line comes to; undefined where it is no sum or difference of numbers. */
function sideWorth(side: string): Exact | undefined {
  const plain = side.replace(BRACKETS, (_, a: string, sign: keyof typeof IN_BRACKETS, b: string) =>
    IN_BRACKETS[sign](exact(BigInt(a)), exact(BigInt(b))),
  )
  if (!SIDE.test(plain)) return undefined
  let value = ZERO
  for (const [, sign, number, times = '1'] of plain.matchAll(TERMS))
    value = (sign === '-' ? subtract : add)(
      value,
      multiply(valueOf(parseNumeral(number!)), valueOf(parseNumeral(times))),
    )
  return value
}

/** The numbers of one side that is a plain sum; none where it is something else. */
const partsIn = (side: string): readonly Exact[] =>
  /^[\d. +]+$/.test(side) ? side.split(' + ').map((n) => valueOf(parseNumeral(n))) : []

const size = (n: Exact): Exact => (sign(n) < 0 ? negate(n) : n)

/** What a line with these numbers could part, or put together. */
function* partings({ standing }: WritingState, text: string, kind: 'split' | 'gather'): Generator<Act> {
  const [left = [], right = []] = text.split(' = ').map(partsIn)
  const [whole, parts] = kind === 'split' ? [left, right] : [right, left]
  const held = standing.held.map((p) => worthOf([p]))
  const stands =
    kind === 'split'
      ? standing.laid && (whole[0] === standing.value || whole[0] === size(owing(standing)))
      : [...parts].sort().join() === held.sort().join()
  if (whole.length === 1 && parts.length > 1 && stands) yield { kind, whole: whole[0]!, parts }
}

/** More numbers than any line of a page has: each is held against each. */
const MOST_NUMBERS = 20

/** Every act that a line with these numbers could be; each is tried against what the page itself would write for it. */
function* candidates(d: Dialect, s: WritingState, text: string): Generator<Act> {
  if (d.reads) yield* d.reads(s, text)
  const { standing } = s
  const { units } = standing
  const found = [...new Set(text.match(NUMBER) ?? [])]
  if (found.length > MOST_NUMBERS)
    throw new Refusal(`A line of this page has up to ${MOST_NUMBERS} different numbers; this one has ${found.length}.`)
  const written = found.map((n) => valueOf(parseNumeral(n)))
  // What is given from one side to the other stands in a line only as the difference of two of its numbers.
  const given = written.flatMap((a) => written.map((b) => subtract(a, b)).filter((n) => sign(n) > 0))
  const numbers = [...new Set([...written, ...given])].flatMap((n) => {
    const pieces = piecesFor(n, units)
    return pieces ? [{ n, pieces }] : []
  })
  if (!standing.laid) for (const { pieces } of numbers) yield piecesAct('lay', pieces)
  // Once nothing is owed, parts that make what stands are put together; before that, they are still worked.
  if (standing.laid && sign(owing(standing)) === 0) {
    yield* partings(s, text, 'gather')
    yield* exchangesIn(text, standing.held, units)
  }
  const [, many, unit] = /(\d+) \* ([\d.]+)/.exec(text) ?? []
  const one = unit ? units.worths.find((u) => u === valueOf(parseNumeral(unit))) : undefined
  if (many && one)
    for (const kind of ['join', 'take'] as const) yield piecesAct(kind, [{ count: Number(many), unit: one }])
  for (const { n, pieces } of numbers)
    for (const kind of ['join', 'take'] as const) {
      if (n === ZERO) continue
      const byPlace = piecesAct(kind, pieces)
      const whole: Act = { kind, amount: n }
      // Parts are of one place; a number of several places is worked whole, and on a page of whole numbers every number is.
      yield* d.sorts[0] === 'whole' || byPlace.pieces!.length > 1 ? [whole, byPlace] : [byPlace, whole]
    }
  yield* exchangesIn(text, standing.held, units)
  yield* partings(s, text, 'gather')
  yield* partings(s, text, 'split')
  for (const { n } of numbers) for (const operation of ['+', '-'] as const) yield { kind: 'pose', operation, amount: n }
  for (const value of [standing.value, ...numbers.map(({ n }) => n)]) yield { kind: 'read', value }
}

/**
 * A number parted before it was written by itself: the first one, or the next that is asked. It is laid, or asked, and parted.
 */
function partedAtOnce({ problem, standing }: WritingState, text: string): readonly Act[] {
  const [left = [], parts = []] = text.split(' = ').map(partsIn)
  const [whole] = left
  if (left.length !== 1 || !whole || parts.length < 2 || sum(parts) !== whole) return []
  const split: Act = { kind: 'split', whole, parts }
  const pieces = piecesFor(whole, standing.units)
  if (!standing.laid) return pieces ? [piecesAct('lay', pieces), split] : []
  const term = problem.terms[standing.begun - 1]
  const asked = term && (term.operation === '+' || term.operation === '-') && valueOf(term.number) === whole
  return asked && termDone(standing) ? [{ kind: 'pose', operation: term.operation as Sign, amount: whole }, split] : []
}

/** A line with the parts of its left side in the other order. */
const turned = (text: string): string => {
  const [left = '', ...right] = text.split(' = ')
  return [left.split(' + ').reverse().join(' + '), ...right].join(' = ')
}

/** Whether a line is what the page writes for an act. A made ten may stand on either side of what it goes to. */
const writes = (d: Dialect, s: WritingState, act: Act, text: string): boolean =>
  d.line(s, act) === text ||
  d.also?.(s, act) === text ||
  (act.kind === 'exchange' && text.includes(' * ') && d.line(s, act) === turned(text))

/** The acts that a line writes; null where it is a sum that does not hold. @throws Refusal when it does not follow. */
function actsOf(d: Dialect, s: WritingState, text: string): readonly Act[] | null {
  const sides = text.split(' = ')
  const worths = sides.length > 1 ? sides.map(sideWorth) : []
  const isSum = worths.length > 1 && worths.every((w) => w !== undefined)
  // No page writes a sum that does not hold, so nothing need be tried for it.
  if (isSum && worths.some((w) => w !== worths[0])) return null
  for (const act of candidates(d, s, text)) if (writes(d, s, act, text)) return [act]
  const atOnce = partedAtOnce(s, text)
  if (atOnce.length > 0) return atOnce
  const now = numberText(s.standing.value, s.standing.units, s.standing.held)
  if (isSum) throw new Refusal(`“${text}” is true, but it does not follow from what stands, ${now}.`)
  throw new Refusal(`“${text.slice(0, 40)}” is not a line of this page.`, `Like: ${now} + 7 = …`)
}

/** A line read and written on a page. */
interface Step {
  readonly acts: readonly Act[] | null
  readonly page: WritingState
}

/** What each line made of a page: a page that grows is looked at again at every line, and each of its lines is read once. */
const steps = new WeakMap<WritingState, Map<string, Step>>()
/** A page is gone on from in few ways. */
const MOST_STEPS = 8

/** Reads and writes a line. @throws Refusal when it does not follow. */
function step(d: Dialect, s: WritingState, line: string): Step {
  const known = steps.get(s) ?? new Map<string, Step>()
  const found = known.get(line)
  if (found) return found
  const acts = actsOf(d, s, line)
  const standing = (acts ?? []).reduce((now, act) => stand(s.problem, now, act), s.standing)
  const made = { acts, page: { ...s, standing, lines: extended(s.lines, { text: line, act: acts?.at(-1) ?? null }) } }
  if (known.size >= MOST_STEPS) known.clear()
  steps.set(s, known.set(line, made))
  return made
}

/** False lines before the last are struck already; what counts is the last. */
function recognise(d: Dialect, before: WritingState, moves: readonly WritingMove[]): Recognised {
  const last = moves.at(-1)
  if (!last) return undefined
  let state = before
  for (let i = 0; i < moves.length - 1; i++) {
    const { acts, page } = step(d, state, moves[i]!.line)
    if (acts) return undefined
    state = page
  }
  const { acts } = step(d, state, last.line)
  if (acts) return acts
  const [left = '', ...right] = last.line.split(' = ')
  return { soFar: [], owed: { kind: 'false-line', left, wrote: right.at(-1) ?? '' } }
}

function parse(text: string): WritingMove {
  const line = /^write (.+)$/i.exec(text.trim())?.[1]
  if (!line) throw new Refusal('A line is written with: write 30 + 40 = 70.', '', { at: 0, length: text.length })
  return { kind: 'write', line: plainly(line) }
}

/** A page with an act written on it; the same where it writes nothing for it. */
function written(d: Dialect, s: WritingState, act: Act): WritingState {
  const own = inUnits(act, s.standing.units)
  const text = own ? d.line(s, own) : ''
  if (!own || text === '') return s
  return { ...s, standing: stand(s.problem, s.standing, own), lines: extended(s.lines, { text, act: own }) }
}

/** A page of one dialect. */
export const writing = (d: Dialect): Representation<WritingState, WritingMove> => ({
  id: d.id,
  title: d.title,
  called: d.called ?? d.title,
  kind: 'written',
  ...(d.diagram ? { diagram: true } : {}),
  units: decimal(MAX_DIGITS, 3),
  ...(d.units ? { standsIn: d.units, rows: true } : {}),
  sorts: d.sorts,
  example: d.example,
  opening: 'write the first line: start with {number}',
  allows: d.allows,
  ...(d.cannotShow ? { cannotShow: d.cannotShow } : {}),
  fits: (problem) =>
    d.fits?.(problem) ??
    d.refuses?.(problem) ??
    fitWholes(problem, {
      name: d.name,
      greatest: 999_999_999,
      because: `numbers here have up to ${MAX_DIGITS} digits`,
      decimals: 3,
      ...(d.signed ? { signed: true } : {}),
      instead: [],
    }),
  start: (problem, _, beside) => ({
    problem,
    asked: printProblem(beside?.asked ?? problem),
    standing: standingAtStart(problem, d.units?.(problem) ?? decimal(MAX_DIGITS + 1, decimalsIn(problem))),
    lines: START,
  }),
  apply: (s, move) => step(d, s, move.line).page,
  shows: (s) => s.standing.value,
  perform: (s, act) => {
    const own = inUnits(act, s.standing.units)
    const line = own ? d.line(s, own) : ''
    return line === '' ? [] : [{ kind: 'write', line }]
  },
  // Where a line could be several acts, what follows is written down at once.
  ...(d.reads ? { write: (s: WritingState, act: Act) => written(d, s, act) } : {}),
  recognise: (before, moves) => recognise(d, before, moves),
  print: (move) => `write ${move.line}`,
  parse,
})
