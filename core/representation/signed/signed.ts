import { piecesAct, type Act, type AmountAct, type ExchangeAct } from '../../act/act'
import { wholly } from '../../act/unfold'
import { DEFAULT_CHOICES, type Choices, type SignedChoices } from '../../choices'
import { compare, exact, isWhole, sizeOf, type Exact } from '../../number/exact'
import { printExact, printNumeral, valueOf } from '../../number/numeral'
import { pairPieces, samePieces, SIGNED } from '../../number/units'
import { FITS, type Fit } from '../../problem/fit'
import { isChain, totals, type Problem } from '../../problem/problem'
import { Refusal } from '../../refusal'
import type { Recognised, Representation } from '../representation'
import { apply } from './apply'
import {
  added,
  EMPTY,
  GREATEST,
  NONE,
  onMat,
  piecesOfSigns,
  ROOM,
  shows,
  signsFor,
  signsOf,
  type SignedMove,
  type SignedState,
  type Signs,
} from './state'
import { parseMove, printMove } from './text'

const total = ({ plus, minus }: Signs): number => plus + minus

/** A number as counters. @throws Refusal for what is no whole number, or too great to be counted out. */
function countersFor(amount: Exact): Signs {
  if (!isWhole(amount)) throw new Refusal(`Counters are whole: there is no way to show ${printExact(amount)}.`)
  if (compare(sizeOf(amount), exact(ROOM)) > 0)
    throw new Refusal(`${printExact(amount)} is too many for a mat with room for ${ROOM} counters.`)
  return signsFor(amount)
}

/** Taking, with the zero pairs brought in that a number worked whole needs. */
function taking(s: SignedState, wanted: Signs, whole: boolean): readonly SignedMove[] {
  const short = Math.max(wanted.plus - s.plus - s.pairs, wanted.minus - s.minus - s.pairs, 0)
  const take: SignedMove = { kind: 'take', ...wanted }
  return whole && short > 0 ? [{ kind: 'bring', count: short }, take] : [take]
}

/** Where what comes would not find room, the pairs that lie there are cleared first: they are worth nothing. */
function makingRoom(s: SignedState, coming: number): readonly SignedMove[] {
  const lined = Math.min(s.plus, s.minus)
  const count = lined + s.pairs
  if (coming === 0 || onMat(s) + coming <= ROOM || count === 0) return []
  return [...(lined > 0 ? [{ kind: 'pair' as const, count: lined }] : []), { kind: 'clear', count }]
}

function amount(s: SignedState, act: AmountAct): readonly SignedMove[] {
  const signs = act.pieces ? signsOf(act.pieces) : countersFor(act.amount)
  const [come, go] = [
    { plus: Math.max(0, signs.plus), minus: Math.max(0, signs.minus) },
    { plus: Math.max(0, -signs.plus), minus: Math.max(0, -signs.minus) },
  ]
  const [laid, taken] = act.kind === 'take' ? [go, come] : [come, go]
  const moves = [
    ...makingRoom(s, total(laid)),
    ...(total(laid) > 0 ? [{ kind: 'lay' as const, ...laid }] : []),
    ...(total(taken) > 0 ? taking(s, taken, !act.pieces) : []),
  ]
  moves.reduce(apply, s)
  return moves
}

/** Pairs come onto the mat, or leave it together. @throws Refusal for every other exchange. */
function exchange(s: SignedState, { from, to }: ExchangeAct): readonly SignedMove[] {
  const [goes, comes] = [signsOf(from), signsOf(to)]
  const count = Math.max(goes.plus, comes.plus)
  const brings = from.length === 0
  if (!samePieces(brings ? to : from, pairPieces(count, SIGNED)) || (!brings && to.length > 0))
    throw new Refusal('Only a plus and a minus together are worth nothing: they come and go in pairs.')
  const lined = Math.max(0, count - s.pairs)
  const moves: readonly SignedMove[] = brings
    ? [{ kind: 'bring', count }]
    : [...(lined > 0 ? [{ kind: 'pair' as const, count: lined }] : []), { kind: 'clear', count }]
  moves.reduce(apply, s)
  return moves
}

function perform(s: SignedState, act: Act): readonly SignedMove[] {
  switch (act.kind) {
    case 'read':
      return [{ kind: 'read', value: act.value }]
    case 'pose':
    case 'split':
    case 'gather':
    case 'rewrite':
    case 'beside':
    case 'compare':
    case 'begin':
      return []
    case 'exchange':
      return exchange(s, act)
    case 'count':
    case 'group':
    case 'share':
      return amount(s, wholly(act))
    case 'lay':
    case 'join':
    case 'take':
      return amount(s, act)
  }
}

const pairsAct = (count: number, bring: boolean): ExchangeAct => ({
  kind: 'exchange',
  from: bring ? [] : pairPieces(count, SIGNED),
  to: bring ? pairPieces(count, SIGNED) : [],
})

function recognise(before: SignedState, moves: readonly SignedMove[]): Recognised {
  const last = moves.at(-1)
  if (!last) return undefined
  if (last.kind === 'read')
    return moves.length === 1 && last.value !== null ? [{ kind: 'read', value: last.value }] : undefined
  const only = (...kinds: SignedMove['kind'][]): boolean => moves.every((m) => kinds.includes(m.kind))
  if (only('pair', 'part', 'clear')) {
    const cleared = moves.reduce((n, m) => n + (m.kind === 'clear' ? m.count : 0), 0)
    // Lined up, a pair is seen to be worth nothing; it is cleared when it leaves the mat.
    return cleared > 0 ? [pairsAct(cleared, false)] : { soFar: [], owed: { kind: 'nothing' } }
  }
  if (only('bring'))
    return [
      pairsAct(
        moves.reduce((n, m) => n + ('count' in m ? m.count : 0), 0),
        true,
      ),
    ]
  const moved = moves.reduce<Signs>((all, m) => ('plus' in m ? added(all, m) : all), NONE)
  const oneSign = moved.plus === 0 || moved.minus === 0
  const even = moved.plus === moved.minus
  if (only('lay')) {
    const untouched = onMat(before) === 0 && total(before.taken) === 0
    if (untouched) return [piecesAct('lay', piecesOfSigns(moved))]
    if (even) return [pairsAct(moved.plus, true)]
    return oneSign || moves.length === 1 ? [piecesAct('join', piecesOfSigns(moved))] : undefined
  }
  if (only('take')) return oneSign || moves.length === 1 ? [piecesAct('take', piecesOfSigns(moved))] : undefined
  if (only('give')) return oneSign || moves.length === 1 ? [piecesAct('join', piecesOfSigns(moved))] : undefined
  if (only('return')) {
    if (even) return [pairsAct(moved.plus, false)]
    return { soFar: [piecesAct('take', piecesOfSigns(moved))], owed: { kind: 'half-pair', ...moved } }
  }
  return undefined
}

/** The most counters that lie at once when a problem is worked with them. */
function mostAtOnce(problem: Problem, { bring, pairs: after }: Pick<SignedChoices, 'bring' | 'pairs'>): number {
  let lying = signsFor(valueOf(problem.first))
  let most = total(lying) + 2 * (problem.pairs ?? 0)
  for (const { operation, number } of problem.terms) {
    const comes = signsFor(valueOf(number))
    let all = operation === '+' ? added(lying, comes) : lying
    if (operation === '-') {
      const short = Math.max(0, comes.plus - lying.plus, comes.minus - lying.minus)
      const pairs = short === 0 ? 0 : bring === 'enough' ? short : total(comes)
      all = added(lying, { plus: pairs, minus: pairs })
    }
    most = Math.max(most, total(all))
    const left = operation === '-' ? added(all, comes, -1) : all
    lying = after === 'clear' ? signsFor(shows(left)) : left
  }
  return most
}

const BEYOND = ['line', 'openline', 'signs'] as const

function fits(problem: Problem, choices?: Choices): Fit {
  const no = (why: string, instead: Extract<Fit, { fits: false }>['instead'] = []): Fit => ({
    fits: false,
    why,
    instead,
  })
  if (!isChain(problem)) return no('Plus and minus counters add and take away; they do not multiply or divide.')
  if (problem.terms.length > 11) return no('Plus and minus counters work chains of up to 12 numbers.', BEYOND)
  for (const number of [problem.first, ...problem.terms.map((t) => t.number)]) {
    const value = valueOf(number)
    if (number.form === 'fraction' || number.decimals > 0)
      return no(`${printNumeral(number)} is not a whole number, and counters are whole.`, BEYOND)
    if (compare(sizeOf(value), exact(GREATEST)) > 0)
      return no(
        `${printNumeral(number)} is too many to be seen as counters, which help up to ${GREATEST} of a sign; the line and the rule go further.`,
        BEYOND,
      )
  }
  const beyond = totals(problem).find((t) => compare(sizeOf(t), exact(GREATEST)) > 0)
  if (beyond)
    return no(
      `The total comes to ${printExact(beyond)}; counters help up to ${GREATEST} of a sign, the line and the rule go further.`,
      BEYOND,
    )
  const most = mostAtOnce(problem, (choices ?? DEFAULT_CHOICES).signed)
  if (most > ROOM)
    return no(`That takes ${most} counters at once, with the pairs brought in; the mat has room for ${ROOM}.`, BEYOND)
  return FITS
}

/** Plus and minus counters on a mat with a line: zero pairs come and go, and are worth nothing. */
export const signed: Representation<SignedState, SignedMove> = {
  id: 'signed',
  title: 'plus and minus counters',
  called: 'plus and minus counters',
  kind: 'concrete',
  units: SIGNED,
  sorts: ['pairs'],
  opening: 'lay {number}: drag {pieces} from the store',
  example: 'lay 3 minuses · bring 5 pairs · take 5 pluses · read -8',
  fits,
  start: () => EMPTY,
  apply,
  shows,
  out: ({ plus, minus, pairs, taken }) => [
    { count: plus + pairs + taken.plus, unit: exact(1) },
    { count: minus + pairs + taken.minus, unit: exact(-1) },
  ],
  perform,
  recognise,
  print: printMove,
  parse: parseMove,
}
