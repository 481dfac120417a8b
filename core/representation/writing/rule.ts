import { change, piecesAct, type Act } from '../../act/act'
import { wholly } from '../../act/unfold'
import { sign, type Exact } from '../../number/exact'
import { WRITTEN } from '../../number/numeral'
import { numberText, partOf } from '../../number/text'
import { addPieces, countOf, piecesFor, worthOf, type Pieces } from '../../number/units'
import { fitParts, MOST_WRITTEN, partsOfProblem } from '../../problem/fitParts'
import { isChain, writesFractions } from '../../problem/problem'
import { piecesIn } from '../inParts'
import { writing, type WritingState } from './writing'

/** The rule for fractions in writing: tops and bottoms multiplied alike, tops added (practice, section 11; common practice, no source). */

const text = (s: WritingState, pieces: readonly Pieces[]): string =>
  numberText(worthOf(pieces), s.standing.units, pieces)
const here = ({ standing }: WritingState): string => numberText(standing.value, standing.units, standing.held)

/** A fraction with nothing but parts of one kind: its top and bottom. */
function plainFraction(pieces: readonly Pieces[]): { readonly top: number; readonly bottom: number } | null {
  const [only, more] = pieces
  const bottom = only && partOf(only.unit)
  return only && bottom && !more ? { top: only.count, bottom: Number(bottom) } : null
}

/** How some parts are renamed: `1/2 = (1 * 3)/(2 * 3) = 3/6`; without the middle where top and bottom are not multiplied. */
function renamed(s: WritingState, from: readonly Pieces[], to: readonly Pieces[], middle: boolean): string {
  const [a, b] = [plainFraction(from), plainFraction(to)]
  const times = a && b ? b.bottom / a.bottom : 0
  const steps = middle && a && Number.isInteger(times) && times > 1
  return [text(s, from), ...(steps ? [`(${a.top} * ${times})/(${a.bottom} * ${times})`] : []), text(s, to)].join(' = ')
}

function worked(
  s: WritingState,
  operation: '+' | '-',
  pieces: readonly Pieces[],
  amount: Exact,
  middle: boolean,
): string {
  const { held, units } = s.standing
  const after = addPieces(held, pieces, operation === '-' ? -1 : 1)
  const [a, b] = [plainFraction(held), plainFraction(pieces)]
  const steps = middle && a && b && a.bottom === b.bottom
  const sides = [
    `${here(s)} ${operation} ${numberText(amount, units, pieces)}`,
    ...(steps ? [`(${a.top} ${operation} ${b.top})/${a.bottom}`] : []),
    text(s, after),
  ]
  return sides.join(' = ')
}

/** The line of an act, with the step in the middle or without. */
function lineFor(s: WritingState, act: Act, middle: boolean): string {
  const { units, value } = s.standing
  switch (act.kind) {
    case 'lay':
      return numberText(act.amount, units, act.pieces)
    case 'pose':
      return `${here(s)} ${act.operation} ${numberText(act.amount, units, act.pieces)}`
    case 'exchange':
      return renamed(s, act.from, act.to, middle)
    case 'join':
    case 'take': {
      const pieces = act.pieces ?? piecesFor(act.amount, units) ?? [{ count: 1, unit: act.amount }]
      return worked(s, act.kind === 'take' ? '-' : '+', pieces, act.amount, middle)
    }
    case 'count':
    case 'group':
    case 'share':
      return sign(change(act)) === 0 ? '' : lineFor(s, wholly(act), middle)
    case 'read': {
      const number = numberText(act.value, units, act.value === value ? s.standing.held : undefined)
      return act.value === value ? `${s.asked} = ${number}` : `read ${number}`
    }
    default:
      return ''
  }
}

const WORK = new RegExp(`^(${WRITTEN}) ([+-]) (${WRITTEN})(?: = .+)?$`)

/** What a line of this page could be. */
function* reads(s: WritingState, line: string): Generator<Act> {
  const sides = line.split(' = ')
  const { standing } = s
  const [first, last] = [piecesIn(sides[0]!, s.standing.units), piecesIn(sides.at(-1)!, s.standing.units)]
  if (sides.length === 1 && first && !standing.laid) yield piecesAct('lay', first)
  const [, , operation, number] = WORK.exec(line) ?? []
  const pieces = number ? piecesIn(number, s.standing.units) : undefined
  if (operation && number && pieces) {
    const amount = worthOf(pieces)
    if (sides.length === 1) yield { kind: 'pose', operation: operation as '+' | '-', amount, pieces }
    else yield piecesAct(operation === '+' ? 'join' : 'take', pieces)
  }
  if (sides.length > 1 && first && last) {
    const act = { kind: 'exchange', from: first, to: last } as const
    const lies = (there: readonly Pieces[]): boolean => first.every((p) => countOf(there, p.unit) >= p.count)
    if (lies(standing.held)) yield act
    if (lies(standing.left)) yield { ...act, aside: 0 }
  }
  if (sides.length > 1 && last) yield { kind: 'read', value: worthOf(last) }
  const read = /^read (.+)$/.exec(line)?.[1]
  const value = read && piecesIn(read, s.standing.units)
  if (value) yield { kind: 'read', value: worthOf(value) }
}

export const rule = writing({
  id: 'fraction-rule',
  title: 'rule for fractions',
  called: 'the rule for fractions',
  example: 'write 1/2 = 3/6',
  name: 'the page',
  sorts: ['number-rule'],
  units: partsOfProblem,
  fits: (problem) =>
    isChain(problem) && writesFractions(problem)
      ? fitParts(problem, {
          name: 'the page',
          wholes: 999,
          because: 'larger mixed numbers are hard to read',
          parts: MOST_WRITTEN,
          decimals: 4,
          amounts: 1,
          instead: ['line'],
        })
      : {
          fits: false,
          why: 'There are no fractions to add or take away in this problem.',
          instead: ['columns', 'strips'],
        },
  allows: (way) => way === 'number-rule',
  line: (s, act) => lineFor(s, act, true),
  also: (s, act) => lineFor(s, act, false),
  reads,
  cannotShow: (act) =>
    act.kind === 'split' || act.kind === 'gather' ? 'Numbers are not put together from parts on this page.' : '',
})
