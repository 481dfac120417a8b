import {
  change,
  inUnits,
  isMaking,
  piecesAct,
  printSum,
  stepWorth,
  type Act,
  type AmountAct,
  type BeginAct,
} from '../../act/act'
import { wholly } from '../../act/unfold'
import { add, exact, multiply, negate, sign, ZERO, type Exact } from '../../number/exact'
import { MAX_DIGITS, parseNumeral, printExact, valueOf } from '../../number/numeral'
import { backwards, extended, START, type Trail } from '../../number/trail'
import { addPieces, decimal, ladderOf, ones, piecesFor, worthOf, type Pieces, type Units } from '../../number/units'
import { fitWholes, type Sort } from '../../problem/fit'
import {
  answer,
  decimalsIn,
  MAX_NUMBERS,
  printProblem,
  quotientOf,
  type Problem,
  type Quotient,
} from '../../problem/problem'
import { Refusal } from '../../refusal'
import { exchangesIn, inParts } from '../inParts'
import { ruleSteps } from '../../act/signRule'
import { plainly } from '../text'
import type { Recognised, Representation } from '../representation'

/** One line of running writing, in plain ASCII arithmetic, and what stood before it was written. */
export interface Line {
  readonly text: string
  readonly act: Act
  readonly valueBefore: Exact
}

export interface EquationsState {
  /** The whole question, for the last sentence. */
  readonly problem: string
  /** What the question comes to: its sentence is only written where it is true. */
  readonly answer: Exact
  /** Of a division, the same with what is left over; null elsewhere. */
  readonly quotient: Quotient | null
  readonly value: Exact
  /** The pieces worked in, and how the value stands parted into them; a broken ten shows as twelve ones. */
  readonly units: Units
  readonly held: readonly Pieces[]
  readonly lines: Trail<Line>
  /** Beside things that count one each, or numbers worked whole, numbers are not parted into places. */
  readonly plain: boolean
  /** Whether numbers are parted and gathered here, which elsewhere are only laid and exchanged. */
  readonly parts: boolean
  /** Whether what is asked may be written another way, by the rule of signs. */
  readonly rewrites: boolean
  /** Whether amounts are worked whole. */
  readonly whole: boolean
  /** Where a difference is counted or hopped up, what it is counted from. */
  readonly from: Exact
}

export interface EquationsMove {
  readonly kind: 'write'
  readonly line: string
}

/** An amount as it stands after + or −: its number, or `12 * 10` where more than nine of a kind go at once. */
function amountText(act: AmountAct, s: EquationsState): string {
  if (s.plain) return printExact(act.amount)
  const [only, more] = act.pieces ?? []
  if (!only || more || only.count < 2) return printExact(act.amount)
  const ladder = ladderOf(s.units)
  const pile = ladder ? (ladder.find((r) => r.lower === only.unit)?.times ?? 10) : Infinity
  return only.count >= pile ? `${only.count} * ${printExact(only.unit)}` : printExact(act.amount)
}

/** The pieces of an amount, kind by kind. */
const piecesIn = (act: AmountAct, s: EquationsState): readonly Pieces[] => act.pieces ?? asHeld(act.amount, s.units)

/** A number in the pieces of the page; one they do not make stands as it is. */
const asHeld = (value: Exact, units: Units): readonly Pieces[] => piecesFor(value, units) ?? [{ count: 1, unit: value }]

/** The one line that writes an act, given what stands before it. */
function lineFor(s: EquationsState, act: Act): string {
  const value = printExact(s.value)
  switch (act.kind) {
    case 'lay': {
      if (act.inHead) return `${act.amount} in the head`
      if (s.plain) return printExact(act.amount)
      const [number, parts] = [printExact(act.amount), inParts(piecesIn(act, s), s.units)]
      return parts === number ? number : `${number} = ${parts}`
    }
    case 'pose': {
      // Numbers asked one after another, before any is worked, stand in one line.
      const { last } = s.lines
      return `${last?.act.kind === 'pose' ? last.text : value} ${act.operation} ${printExact(act.amount)}`
    }
    case 'join':
    case 'take': {
      const [here, there] = [add(s.from, s.value), add(s.from, after(s, act).value)]
      return `${printExact(here)} ${act.kind === 'join' ? '+' : '-'} ${amountText(act, s)} = ${printExact(there)}`
    }
    case 'split':
      // A number laid stands parted already; by places nothing is parted at all.
      return !s.parts || any(s, (l) => l.text.startsWith(`${printExact(act.whole)} = `)) ? '' : splitText(act)
    case 'gather':
      return !s.parts || act.parts.length < 2
        ? ''
        : `${act.parts.map(printExact).join(' + ')} = ${printExact(act.whole)}`
    case 'rewrite':
      return `${printSum(act.left)} = ${printSum(act.right)}`
    case 'begin':
      return beginText(act)
    case 'group': {
      const size = multiply(act.count, act.size)
      if (sign(size) < 0) return `${s.value} - ${negate(size)} = ${add(s.value, size)}`
      return `${act.count} * ${act.size} = ${inParts(asHeld(size, decimal(MAX_DIGITS)), decimal(MAX_DIGITS))}`
    }
    case 'count':
      return `· ${act.word}`
    case 'share': {
      const left = after(s, act).value
      return `${value} - ${act.among} * ${printExact(worthOf(act.each))} = ${printExact(left)}`
    }
    case 'exchange': {
      // Where numbers are worked whole they are not written in parts.
      if (s.whole) return ''
      const { held } = after(s, act)
      // What was gathered here in one line needs no further line for each of its exchanges.
      if (held.some((p) => p.count < 0)) return ''
      // Twelve ones alone would read as the number itself: 12 = 12 * 1.
      const [only, more] = held
      const parts = inParts(held, s.units)
      const made =
        only && !more && parts === value && ladderOf(s.units) ? `${only.count} * ${printExact(only.unit)}` : parts
      // Breaking starts from the number as read; making starts from what lies there.
      return isMaking(act) ? `${inParts(s.held, s.units)} = ${made}` : `${value} = ${made}`
    }
    case 'read':
      if (act.remainder !== undefined) return shareText(s, act.value, act.remainder)
      if (act.value !== s.value || s.value !== s.answer) return `read ${printExact(act.value)}`
      return s.problem === value || s.problem.includes('pair') ? value : `${s.problem} = ${value}`
  }
}

/** How a sharing came out: `612 = 7 * 87 + 3`, or the sentence where nothing is left; only where it is so and all is dealt. */
function shareText(s: EquationsState, each: Exact, remainder: Exact): string {
  const q = s.quotient
  if (!q || q.value !== each || q.remainder !== remainder || s.value !== remainder)
    return `read ${printExact(each)}${remainder === ZERO ? '' : ` and ${printExact(remainder)} left`}`
  if (remainder === ZERO) return `${s.problem} = ${printExact(each)}`
  return `${printExact(q.of)} = ${printExact(q.by)} * ${printExact(each)} + ${printExact(remainder)}`
}

const splitText = (act: Extract<Act, { kind: 'split' | 'gather' }>): string =>
  `${printExact(act.whole)} = ${act.parts.map(printExact).join(' + ')}`

function after(s: EquationsState, act: Act): Pick<EquationsState, 'value' | 'held'> {
  const value = add(s.value, change(act))
  switch (act.kind) {
    case 'exchange':
      return { value, held: addPieces(addPieces(s.held, act.from, -1), act.to) }
    case 'share':
      return { value, held: addPieces(s.held, act.each, -Number(act.among)) }
    case 'gather':
    case 'begin':
    case 'group':
      return { value, held: asHeld(value, s.units) }
    case 'count':
      return { value, held: addPieces(s.held, piecesIn(wholly(act), s), sign(act.by) < 0 ? -1 : 1) }
    case 'lay':
    case 'join':
    case 'take': {
      // A number worked whole leaves a whole number.
      if (s.whole && !act.pieces && sign(value) >= 0) return { value, held: asHeld(value, s.units) }
      return { value, held: addPieces(s.held, piecesIn(act, s), act.kind === 'take' ? -1 : 1) }
    }
    default:
      return { value: s.value, held: s.held }
  }
}

const NUMBER = String.raw`(-?\d+(?:\.\d+)?)`
const LAY = new RegExp(`^${NUMBER}(?: = (.+))?$`)
const HEAD = /^(\d+) in the head$/
const POSE = new RegExp(`^${NUMBER}(?: [+-] ${NUMBER})*? ([+-]) ${NUMBER}$`)
const WORK = new RegExp(`^${NUMBER} ([+-]) ${NUMBER}(?: \\* (\\d+|0\\.0*1))? = ${NUMBER}$`)
/** One number said while counting on or back. */
const WORD = /^· (\d+)$/
const PARTS = /^-?[\d.]+(?: \+ -?[\d.]+)*$/
const READ = new RegExp(`^read ${NUMBER}$`)
/** `from 8 to 14`, `from 3.7 to 5.2`, `from 0 to 12 in steps of 4`, `from 0 3 steps of 4`. */
const BEGIN = /^from (\d+(?:\.\d+)?)(?: to (\d+(?:\.\d+)?))?(?: in steps of (\d+)|, (\d+) steps of (\d+))?$/
const SHARE = /^(\d+) - (\d+) \* (\d+) = /
const GROUP = /^(-?\d+) \* (\d+) = /

function beginText({ from, step, to, times }: BeginAct): string {
  if (to === null) return `from ${from}, ${times} steps of ${step}`
  return `from ${printExact(from)} to ${printExact(to)}${step === '1' ? '' : ` in steps of ${step}`}`
}

/** The last line of one of some kinds, and whether any line is so. */
function lastOf(s: EquationsState, ...kinds: Act['kind'][]): Act | undefined {
  for (const { act } of backwards(s.lines)) if (kinds.includes(act.kind)) return act
  return undefined
}
function any(s: EquationsState, is: (line: Line) => boolean): boolean {
  for (const line of backwards(s.lines)) if (is(line)) return true
  return false
}

/** What each word counts: one, or the step of the count that was begun. */
function stepOf(s: EquationsState): Exact {
  const begun = lastOf(s, 'begin')
  return begun?.kind === 'begin' ? stepWorth(begun) : exact(1)
}

/** Which way one counts here: as the number last asked says, or as the words have gone so far. */
function counting(s: EquationsState): 'on' | 'back' | null {
  const asked = lastOf(s, 'pose', 'count', 'begin')
  if (asked?.kind === 'begin') return null
  if (asked?.kind === 'pose') return asked.operation === '+' ? 'on' : 'back'
  return asked?.kind === 'count' ? (sign(asked.by) > 0 ? 'on' : 'back') : null
}

/** All the parts that stand, put together in one line. */
function* gatherings(s: EquationsState, line: string): Generator<Act> {
  const parts = s.held.map((p) => worthOf([p]))
  const made: Act = { kind: 'gather', whole: s.value, parts }
  if (parts.length > 1 && line === lineFor(s, made)) yield made
}

/** So many dealt to each, where the line says so. */
function* sharings(s: EquationsState, line: string): Generator<Act> {
  const [, , among, each] = SHARE.exec(line) ?? []
  const dealt = each && piecesFor(valueOf(parseNumeral(each)), s.units)
  if (among && dealt && among === s.quotient?.by) yield { kind: 'share', each: dealt, among: exact(among) }
  const q = s.quotient
  if (q) yield { kind: 'read', value: q.value, remainder: q.remainder }
}

/** Every act that a line could be, the likeliest first; each is tried against what Sett itself would write for it. */
function* candidates(s: EquationsState, line: string): Generator<Act> {
  const number = (text: string): Exact => valueOf(parseNumeral(text))
  const inPieces = (kind: AmountAct['kind'], n: Exact): Act => {
    const pieces = piecesFor(n, s.units)
    if (pieces) return piecesAct(kind, pieces)
    // What no piece here is worth of its own sign is a number worked whole.
    if (sign(n) < 0) return { kind, amount: n }
    throw new Refusal(`${printExact(n)} goes further after the point than this page.`)
  }
  const sentence: Act = { kind: 'read', value: s.value }
  // Once a difference is hopped up, the sentence of the problem is no taking from where one stands.
  if (s.from !== ZERO && line === lineFor(s, sentence)) yield sentence
  if (s.rewrites) {
    const asked = lastOf(s, 'pose', 'join', 'take')
    if (asked?.kind === 'pose') yield* ruleSteps(s.value, asked.operation, asked.amount)
  }
  const work = WORK.exec(line)
  if (work && !/^[0.]+$/.test(work[3]!)) {
    const [, , operation, amount, unit] = work
    const kind = operation === '+' ? 'join' : 'take'
    if (unit) yield piecesAct(kind, [{ count: Number(amount), unit: number(unit) }])
    else yield s.whole ? { kind, amount: number(amount!) } : inPieces(kind, number(amount!))
  }

  const word = WORD.exec(line)
  if (word)
    for (const by of [stepOf(s), negate(stepOf(s))])
      if (sign(by) > 0 ? counting(s) !== 'back' : counting(s) !== 'on')
        yield { kind: 'count', by, word: number(word[1]!) }
  const begin = BEGIN.exec(line)
  if (begin) {
    const [, from, to, step = '1', times, each] = begin
    yield times === undefined
      ? { kind: 'begin', from: number(from!), step: number(step), to: number(to ?? from!), times: null }
      : { kind: 'begin', from: number(from!), step: number(each!), to: null, times: number(times) }
  }
  const group = GROUP.exec(line)
  if (group && s.value === ZERO) yield { kind: 'group', count: number(group[1]!), size: number(group[2]!) }
  const pose = POSE.exec(line)
  if (pose) yield { kind: 'pose', operation: pose[3] as '+' | '-', amount: number(pose[4]!) }
  const begunHere = s.value !== ZERO || lastOf(s, 'lay') !== undefined
  const head = HEAD.exec(line)
  if (head && !begunHere) yield { kind: 'lay', amount: number(head[1]!), inHead: true }
  const lay = LAY.exec(line)
  if (lay && !begunHere) yield inPieces('lay', number(lay[1]!))
  if (s.parts) yield* gatherings(s, line)
  const read = READ.exec(line)
  yield { kind: 'read', value: read ? number(read[1]!) : s.value }
  yield* sharings(s, line)
  yield* exchangesIn(line, s.held, s.units)
  if (!s.parts) return
  const [left = '', right = ''] = line.split(' = ')
  if (PARTS.test(right) && PARTS.test(left)) {
    const [whole, parts] = [left.split(' + ').map(number), right.split(' + ').map(number)]
    if (whole.length === 1) yield { kind: 'split', whole: whole[0]!, parts }
  }
}

/** The act that a line writes. @throws Refusal when it does not follow from what stands. */
function actOf(s: EquationsState, line: string): Act {
  // `7 - 3 = 4` is both a taking and, once the 3 are gone, the final sentence: only one of them starts from what stands.
  for (const act of candidates(s, line)) if (lineFor(s, act) === line) return act
  const sides = line.split(' = ')
  if (sides.length === 2)
    throw new Refusal(
      `“${line}” does not follow from what stands, ${printExact(s.value)}.`,
      `A true line starts from ${printExact(s.value)}.`,
    )
  throw new Refusal(`“${line.slice(0, 40)}” is not a line of this writing.`, `Like: ${s.value} - 7 = …`)
}

/** The page with one more line on it. */
const withLine = (s: EquationsState, act: Act, text: string): EquationsState => ({
  ...s,
  ...after(s, act),
  from: act.kind === 'begin' && act.to !== null && act.step === '1' && s.whole ? act.from : s.from,
  lines: extended(s.lines, { text, act, valueBefore: s.value }),
})

/** An act written down at once. Whatever a material allows can be written; only what a person types is read, and may be refused. */
function write(s: EquationsState, made: Act): EquationsState {
  const act = inUnits(made, s.units)
  const text = act ? lineFor(s, act) : ''
  return act && text !== '' ? withLine(s, act, text) : s
}

function apply(s: EquationsState, move: EquationsMove): EquationsState {
  return withLine(s, actOf(s, move.line), move.line)
}

function recognise(before: EquationsState, moves: readonly EquationsMove[]): Recognised {
  const [only] = moves
  return moves.length === 1 && only ? [actOf(before, only.line)] : undefined
}

function parse(text: string): EquationsMove {
  if (/^rub\b/i.test(text.trim())) throw new Refusal('Nothing is rubbed out here.', 'Strike it, or undo.')
  const line = /^write (.+)$/i.exec(text.trim())?.[1]
  if (!line) throw new Refusal('A line is written with: write 52 - 7 = 45.', '', { at: 0, length: text.length })
  return { kind: 'write', line: plainly(line) }
}

/** Sorts of ways in which numbers are worked whole, so that the page does not part them by itself. */
const WHOLE: readonly Sort[] = ['whole', 'beads', 'arrows', 'signs']

/** Running equations: one true line for each act. */
export const equations: Representation<EquationsState, EquationsMove> & { write: typeof write } = {
  id: 'equations',
  title: 'running equations',
  called: 'running equations',
  kind: 'written',
  units: decimal(MAX_DIGITS, MAX_DIGITS),
  sorts: ['places'],
  example: 'write 52 - 7 = 45',
  fits: (problem: Problem) =>
    fitWholes(problem, {
      name: 'the page',
      greatest: 999_999_999,
      because: `numbers here have up to ${MAX_DIGITS} digits`,
      instead: [],
      groups: true,
      signed: true,
      numbers: MAX_NUMBERS,
      decimals: 9,
    }),
  start: (problem, _, beside) => {
    const whole = beside !== undefined && WHOLE.includes(beside.sort)
    const counted = beside?.sort === 'counting'
    return {
      problem: printProblem(beside?.asked ?? problem),
      answer: answer(beside?.asked ?? problem),
      quotient: quotientOf(beside?.asked ?? problem),
      value: ZERO,
      units: beside?.units ?? (counted ? ones(['one', 'ones']) : decimal(MAX_DIGITS, decimalsIn(problem))),
      held: [],
      lines: START,
      plain: counted || whole,
      parts: beside?.sort === 'parts' || beside?.sort === 'whole' || beside?.sort === 'arrows',
      rewrites: beside?.sort === 'signs',
      whole,
      from: ZERO,
    }
  },
  apply,
  shows: (s) => s.value,
  perform: (s, act) => {
    const line = lineFor(s, act)
    return line === '' ? [] : [{ kind: 'write', line }]
  },
  write,
  recognise,
  print: (move) => `write ${move.line}`,
  parse,
}
