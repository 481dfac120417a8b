import { amountAct, change, countsOf, stepWorth, type Act, type AmountAct, type BeginAct } from '../../act/act'
import { add, exact, multiply, negate, sign, toCount, ZERO, type Exact } from '../../number/exact'
import { MAX_DIGITS, parseNumeral, printExact, valueOf } from '../../number/numeral'
import {
  addCounts,
  countsAt,
  digitsOf,
  noCounts,
  onlyPlace,
  placeOfUnit,
  placeParts,
  unitOf,
  type Counts,
} from '../../number/places'
import { fitWholes } from '../../problem/fit'
import { answer, decimalsIn, MAX_NUMBERS, printProblem, type Problem } from '../../problem/problem'
import { Refusal } from '../../refusal'
import { countsOnly, exchangesIn, parted } from '../parted'
import type { Recognised, Representation } from '../representation'

/** One line of running writing, in plain ASCII arithmetic, and what stood before it was written. */
export interface Line {
  readonly text: string
  readonly act: Act
  readonly valueBefore: Exact
  readonly countsBefore: Counts
}

export interface EquationsState {
  /** The whole question, for the last sentence. */
  readonly problem: string
  /** What the question comes to: its sentence is only written where it is true. */
  readonly answer: Exact
  readonly value: Exact
  /** How the value stands parted into places; a broken ten shows as twelve ones. */
  readonly counts: Counts
  readonly lines: readonly Line[]
  /** How many places below the ones are kept. */
  readonly decimals: number
  /** Beside things that count one each, or numbers worked whole, numbers are not parted into places. */
  readonly plain: boolean
  /** Whether numbers are parted and gathered here, which elsewhere are only laid and exchanged. */
  readonly parts: boolean
  /** Whether amounts are worked whole. */
  readonly whole: boolean
  /** Where a difference is counted or hopped up, what it is counted from. */
  readonly from: Exact
}

export type EquationsMove = { readonly kind: 'write'; readonly line: string } | { readonly kind: 'rub' }

/** An amount as it stands after + or −: its number, or `12 * 10` where more than nine of a kind go at once. */
function amountText(act: AmountAct, s: EquationsState): string {
  if (s.plain) return printExact(act.amount)
  const counts = act.pieces && countsOf(act.pieces, s.counts.length, s.decimals)
  const place = counts && onlyPlace(counts)
  return place !== undefined && counts![place]! > 9
    ? `${counts![place]} * ${printExact(unitOf(place - s.decimals))}`
    : printExact(act.amount)
}

/** The pieces of an amount, place by place. */
const countsIn = (act: AmountAct, s: EquationsState): Counts =>
  act.pieces ? countsOf(act.pieces, s.counts.length, s.decimals) : digitsOf(act.amount, s.counts.length, s.decimals)

/** The one line that writes an act, given what stands before it. */
function lineFor(s: EquationsState, act: Act): string {
  const value = printExact(s.value)
  switch (act.kind) {
    case 'lay': {
      if (act.inHead) return `${act.amount} in the head`
      if (s.plain) return printExact(act.amount)
      const counts = countsIn(act, s)
      const [number, parts] = [printExact(act.amount), parted(counts, s.decimals)]
      return parts === number ? number : `${number} = ${parts}`
    }
    case 'pose': {
      // Numbers asked one after another, before any is worked, stand in one line.
      const last = s.lines.at(-1)
      return `${last?.act.kind === 'pose' ? last.text : value} ${act.operation} ${printExact(act.amount)}`
    }
    case 'join':
    case 'take': {
      const [here, there] = [add(s.from, s.value), add(s.from, after(s, act).value)]
      return `${printExact(here)} ${act.kind === 'join' ? '+' : '-'} ${amountText(act, s)} = ${printExact(there)}`
    }
    case 'split':
      // A number laid stands parted already; by places nothing is parted at all.
      return !s.parts || s.lines.some((l) => l.text.startsWith(`${printExact(act.whole)} = `)) ? '' : splitText(act)
    case 'gather':
      return !s.parts || act.parts.length < 2
        ? ''
        : `${act.parts.map(printExact).join(' + ')} = ${printExact(act.whole)}`
    case 'begin':
      return beginText(act)
    case 'group': {
      const size = multiply(act.count, act.size)
      if (sign(size) < 0) return `${s.value} - ${negate(size)} = ${add(s.value, size)}`
      return `${act.count} * ${act.size} = ${parted(digitsOf(size))}`
    }
    case 'count':
      return `· ${act.word}`
    case 'exchange': {
      // Where numbers are worked whole they are not written in parts.
      if (s.whole) return ''
      const { counts } = after(s, act)
      // What was gathered here in one line needs no further line for each of its exchanges.
      if (counts.some((n) => n < 0)) return ''
      const made = parted(counts, s.decimals)
      // Breaking starts from the number as read; making starts from what lies there.
      return act.from.count > act.to.count ? `${parted(s.counts, s.decimals)} = ${made}` : `${value} = ${made}`
    }
    case 'read':
      if (act.value !== s.value || s.value !== s.answer) return `read ${printExact(act.value)}`
      return s.problem === value ? value : `${s.problem} = ${value}`
  }
}

const splitText = (act: Extract<Act, { kind: 'split' | 'gather' }>): string =>
  `${printExact(act.whole)} = ${act.parts.map(printExact).join(' + ')}`

function after(s: EquationsState, act: Act): Pick<EquationsState, 'value' | 'counts'> {
  const width = s.counts.length
  if (act.kind === 'exchange')
    return {
      value: s.value,
      counts: addCounts(
        addCounts(s.counts, countsOf([act.from], width, s.decimals), -1),
        countsOf([act.to], width, s.decimals),
      ),
    }
  if (act.kind === 'gather') return { value: s.value, counts: digitsOf(s.value, width, s.decimals) }
  if (act.kind === 'count') return { value: add(s.value, act.by), counts: addCounts(s.counts, [toCount(act.by)]) }
  if (act.kind === 'group' || act.kind === 'begin') {
    const value = add(s.value, change(act))
    return { value, counts: digitsOf(value, width) }
  }
  const way = act.kind === 'take' ? -1 : act.kind === 'lay' || act.kind === 'join' ? 1 : 0
  if (way === 0 || (act.kind !== 'lay' && act.kind !== 'join' && act.kind !== 'take'))
    return { value: s.value, counts: s.counts }
  const value = add(s.value, change(act))
  // A number worked whole leaves a whole number.
  if (s.whole && !act.pieces && sign(value) >= 0) return { value, counts: digitsOf(value, width, s.decimals) }
  return { value, counts: addCounts(s.counts, countsIn(act, s), way) }
}

const NUMBER = String.raw`(-?\d+(?:\.\d+)?)`
const LAY = new RegExp(`^${NUMBER}(?: = (.+))?$`)
const HEAD = /^(\d+) in the head$/
const POSE = new RegExp(`^${NUMBER}(?: [+-] ${NUMBER})*? ([+-]) ${NUMBER}$`)
const WORK = new RegExp(`^${NUMBER} ([+-]) ${NUMBER}(?: \\* (10*|0\\.0*1))? = ${NUMBER}$`)
/** One number said while counting on or back. */
const WORD = /^· (\d+)$/
const PARTS = /^[\d.]+(?: \+ [\d.]+)*$/
const READ = new RegExp(`^read ${NUMBER}$`)
/** `from 8 to 14`, `from 3.7 to 5.2`, `from 0 to 12 in steps of 4`, `from 0 3 steps of 4`. */
const BEGIN = /^from (\d+(?:\.\d+)?)(?: to (\d+(?:\.\d+)?))?(?: in steps of (\d+)|, (\d+) steps of (\d+))?$/
const GROUP = /^(-?\d+) \* (\d+) = /

function beginText({ from, step, to, times }: BeginAct): string {
  if (to === null) return `from ${from}, ${times} steps of ${step}`
  return `from ${printExact(from)} to ${printExact(to)}${step === '1' ? '' : ` in steps of ${step}`}`
}

/** What each word counts: one, or the step of the count that was begun. */
function stepOf(s: EquationsState): Exact {
  const begun = s.lines.findLast((l) => l.act.kind === 'begin')?.act
  return begun?.kind === 'begin' ? stepWorth(begun) : exact(1)
}

/** Which way one counts here: as the number last asked says, or as the words have gone so far. */
function counting(s: EquationsState): 'on' | 'back' | null {
  const asked = s.lines.findLast((l) => ['pose', 'count', 'begin'].includes(l.act.kind))?.act
  if (asked?.kind === 'begin') return null
  if (asked?.kind === 'pose') return asked.operation === '+' ? 'on' : 'back'
  return asked?.kind === 'count' ? (sign(asked.by) > 0 ? 'on' : 'back') : null
}

/** All the parts that stand, put together in one line. */
function* gatherings(s: EquationsState, line: string): Generator<Act> {
  const parts = placeParts(s.counts, s.decimals)
  const made: Act = { kind: 'gather', whole: s.value, parts }
  if (parts.length > 1 && line === lineFor(s, made)) yield made
}

/** Every act that a line could be, the likeliest first; each is tried against what Sett itself would write for it. */
function* candidates(s: EquationsState, line: string): Generator<Act> {
  const width = s.counts.length
  const number = (text: string): Exact => valueOf(parseNumeral(text))
  const parting = (n: Exact): Counts => {
    if ((printExact(n).split('.')[1] ?? '').length > s.decimals)
      throw new Refusal(`${printExact(n)} goes further after the point than this page.`)
    return s.plain && !s.whole ? countsAt(0, toCount(n), width) : digitsOf(n, width, s.decimals)
  }
  const sentence: Act = { kind: 'read', value: s.value }
  // Once a difference is hopped up, the sentence of the problem is no taking from where one stands.
  if (s.from !== ZERO && line === lineFor(s, sentence)) yield sentence
  const work = WORK.exec(line)
  if (work && !/^[0.]+$/.test(work[3]!)) {
    const [, , sign, amount, unit] = work
    const counts = unit ? countsOnly(Number(amount), placeOfUnit(number(unit))! + s.decimals) : parting(number(amount!))
    const kind = sign === '+' ? 'join' : 'take'
    yield s.whole && !unit ? { kind, amount: number(amount!) } : amountAct(kind, counts, s.decimals)
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
  const begunHere = s.value !== ZERO || s.lines.some((l) => l.act.kind === 'lay')
  const head = HEAD.exec(line)
  if (head && !begunHere) yield { kind: 'lay', amount: number(head[1]!), inHead: true }
  const lay = LAY.exec(line)
  if (lay && !begunHere) yield amountAct('lay', parting(number(lay[1]!)), s.decimals)
  if (s.parts) yield* gatherings(s, line)
  const read = READ.exec(line)
  yield { kind: 'read', value: read ? number(read[1]!) : s.value }
  yield* exchangesIn(line, s.counts, s.decimals)
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
  lines: [...s.lines, { text, act, valueBefore: s.value, countsBefore: s.counts }],
})

/** An act written down at once. Whatever a material allows can be written; only what a person types is read, and may be refused. */
function write(s: EquationsState, act: Act): EquationsState {
  const text = lineFor(s, act)
  return text === '' ? s : withLine(s, act, text)
}

function apply(s: EquationsState, move: EquationsMove): EquationsState {
  if (move.kind === 'rub') {
    const last = s.lines.at(-1)
    if (!last) throw new Refusal('There is no line to take back.')
    const from = last.act.kind === 'begin' ? ZERO : s.from
    return { ...s, from, value: last.valueBefore, counts: last.countsBefore, lines: s.lines.slice(0, -1) }
  }
  return withLine(s, actOf(s, move.line), move.line)
}

/** Rubbing back is only ever the undoing of a line; its own inverse needs the line that went. */
function invert(before: EquationsState, move: EquationsMove): EquationsMove {
  return move.kind === 'write' ? { kind: 'rub' } : { kind: 'write', line: before.lines.at(-1)?.text ?? '' }
}

function recognise(before: EquationsState, moves: readonly EquationsMove[]): Recognised {
  const [only] = moves
  return moves.length === 1 && only?.kind === 'write' ? [actOf(before, only.line)] : undefined
}

function parse(text: string): EquationsMove {
  if (/^rub$/i.test(text.trim())) return { kind: 'rub' }
  const line = /^write (.+)$/i.exec(text.trim())?.[1]
  if (!line) throw new Refusal('A line is written with: write 52 - 7 = 45.', '', { at: 0, length: text.length })
  return { kind: 'write', line: line.replace(/[−–]/g, '-').replace(/\s+/g, ' ') }
}

/** Running equations: one true line for each act. */
export const equations: Representation<EquationsState, EquationsMove> & { write: typeof write } = {
  id: 'equations',
  title: 'running equations',
  kind: 'written',
  works: ['places'],
  fits: (problem: Problem) =>
    fitWholes(problem, {
      name: 'the page',
      greatest: 999_999_999,
      because: `numbers here have up to ${MAX_DIGITS} digits`,
      instead: [],
      groups: true,
      numbers: MAX_NUMBERS,
      decimals: 9,
    }),
  start: (problem, _, beside) => {
    const whole = beside?.sort === 'whole' || beside?.sort === 'beads'
    return {
      problem: printProblem(beside?.asked ?? problem),
      answer: answer(beside?.asked ?? problem),
      value: ZERO,
      decimals: decimalsIn(problem),
      counts: noCounts(MAX_DIGITS + decimalsIn(problem)),
      lines: [],
      plain: beside?.sort === 'counting' || whole,
      parts: beside?.sort === 'parts' || beside?.sort === 'whole',
      whole,
      from: ZERO,
    }
  },
  apply,
  invert,
  shows: (s) => s.value,
  perform: (s, act) => {
    const line = lineFor(s, act)
    return line === '' ? [] : [{ kind: 'write', line }]
  },
  write,
  recognise,
  print: (move) => (move.kind === 'rub' ? 'rub' : `write ${move.line}`),
  parse,
}
