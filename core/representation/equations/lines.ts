import { change, isMaking, printSum, type Act, type AmountAct, type BeginAct } from '../../act/act'
import { wholly } from '../../act/unfold'
import { add, multiply, negate, sign, sizeOf, ZERO, type Exact } from '../../number/exact'
import { MAX_DIGITS, printExact } from '../../number/numeral'
import { numberText } from '../../number/text'
import { backwards } from '../../number/trail'
import { addPieces, decimal, ladderOf, worthOf, type Pieces } from '../../number/units'
import { inParts } from '../inParts'
import { fractionLine } from './fractions'
import { asHeld } from './held'
import type { EquationsState, Line } from './state'

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
export const piecesIn = (act: AmountAct, s: EquationsState): readonly Pieces[] =>
  act.pieces ?? asHeld(act.amount, s.units)

/** Whether parts are just the number by itself. */
const sameParts = (parts: string, amount: Exact): boolean => parts === printExact(amount)

/** The one line that writes an act, given what stands before it. */
export function lineFor(s: EquationsState, act: Act): string {
  const own = fractionLine(s, act)
  if (own !== undefined) return own
  const number = (n: Exact): string => numberText(n, s.units)
  const value = number(s.value)
  switch (act.kind) {
    case 'lay': {
      if (act.inHead) return `${act.amount} in the head`
      if (s.plain) return number(act.amount)
      const [whole, parts] = [number(act.amount), inParts(piecesIn(act, s), s.units)]
      return sameParts(parts, act.amount) ? whole : `${whole} = ${parts}`
    }
    case 'pose': {
      // Numbers asked one after another, before any is worked, stand in one line.
      const { last } = s.lines
      return `${last?.act.kind === 'pose' ? last.text : value} ${act.operation} ${number(act.amount)}`
    }
    case 'join':
    case 'take': {
      const [here, there] = [add(s.from, s.value), add(s.from, after(s, act).value)]
      return `${number(here)} ${act.kind === 'join' ? '+' : '-'} ${amountText(act, s)} = ${number(there)}`
    }
    case 'split':
      // A number laid stands parted already; by places nothing is parted at all.
      return !s.parts || any(s, (l) => l.text.startsWith(`${numberText(act.whole, s.units)} = `))
        ? ''
        : splitText(s, act)
    case 'gather':
      return !s.parts || act.parts.length < 2
        ? ''
        : `${act.parts.map((n) => numberText(n, s.units)).join(' + ')} = ${numberText(act.whole, s.units)}`
    case 'rewrite':
      return `${printSum(act.left)} = ${printSum(act.right)}`
    case 'begin':
      return s.repeats && act.times !== null ? `${act.times} * ${act.step}` : beginText(act)
    case 'group': {
      const size = multiply(act.count, act.size)
      if (sign(size) < 0) return `${s.value} - ${negate(size)} = ${add(s.value, size)}`
      if (s.whole) return `${act.count} * ${act.size} = ${size}`
      return `${act.count} * ${act.size} = ${inParts(asHeld(size, decimal(MAX_DIGITS)), decimal(MAX_DIGITS))}`
    }
    case 'count': {
      if (!s.repeats) return `· ${act.word}`
      const there = add(s.value, act.by)
      if (s.value === ZERO) return number(there)
      return `${value} ${sign(act.by) < 0 ? '-' : '+'} ${number(sizeOf(act.by))} = ${number(there)}`
    }
    case 'share': {
      const left = after(s, act).value
      if (s.repeats) {
        const gone = change(act)
        return `${value} ${sign(gone) < 0 ? '-' : '+'} ${number(sizeOf(gone))} = ${number(left)}`
      }
      return `${value} - ${act.among} * ${number(worthOf(act.each))} = ${number(left)}`
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
        only && !more && sameParts(parts, s.value) && ladderOf(s.units) ? `${only.count} * ${number(only.unit)}` : parts
      // Breaking starts from the number as read; making starts from what lies there.
      return isMaking(act) ? `${inParts(s.held, s.units)} = ${made}` : `${value} = ${made}`
    }
    case 'beside':
    case 'compare':
      return ''
    case 'read':
      if (act.remainder !== undefined) return shareText(s, act.value, act.remainder)
      if (act.value !== s.value || s.value !== s.answer) return `read ${number(act.value)}`
      return s.problem === value ? value : `${s.problem} = ${value}`
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

const splitText = (s: EquationsState, act: Extract<Act, { kind: 'split' | 'gather' }>): string =>
  `${numberText(act.whole, s.units)} = ${act.parts.map((n) => numberText(n, s.units)).join(' + ')}`

export function after(s: EquationsState, act: Act): Pick<EquationsState, 'value' | 'held'> {
  const value = add(s.value, change(act))
  switch (act.kind) {
    case 'exchange':
      if (act.aside !== undefined) return { value, held: s.held }
      return { value, held: addPieces(addPieces(s.held, act.from, -1), act.to) }
    case 'share':
      return { value, held: addPieces(s.held, act.each, -Number(act.among)) }
    case 'group':
      return {
        value,
        held: act.pieces ? addPieces(s.held, act.pieces, Number(act.count)) : asHeld(value, s.units),
      }
    case 'gather':
    case 'begin':
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

function beginText({ from, step, to, times }: BeginAct): string {
  if (to === null) return `from ${from}, ${times} steps of ${step}`
  return `from ${printExact(from)} to ${printExact(to)}${step === '1' ? '' : ` in steps of ${step}`}`
}

/** Whether any line is so. */
function any(s: EquationsState, is: (line: Line) => boolean): boolean {
  for (const line of backwards(s.lines)) if (is(line)) return true
  return false
}
