import { capital } from '../../number/words'
import {
  isMaking,
  makeAct,
  breakAct,
  piecesAct,
  plainPieces,
  sameExchange,
  type Act,
  type AmountAct,
  type ExchangeAct,
} from '../../act/act'
import { fullPiles, unfold, wholly } from '../../act/unfold'
import { exchangesFor } from '../../act/exchanges'
import { compare, exact, sign, sizeOf, toCount, ZERO, type Exact } from '../../number/exact'
import { addCounts, countsAt, isEmpty, noCounts, onlyPlace, type Counts, type Place } from '../../number/places'
import { addPieces, asCounts, asPieces, piecesFor, rungOf, type Pieces } from '../../number/units'
import { printExact } from '../../number/numeral'
import { fitWholes } from '../../problem/fit'
import { reach } from '../../problem/friendly'
import { decimalsIn } from '../../problem/problem'
import { isGrouping } from '../../problem/product'
import { Refusal } from '../../refusal'
import { performAll, type Recognised, type Representation } from '../representation'
import {
  aboveOf,
  countsWorth,
  kindName,
  ROOM,
  unitAt,
  widthOf,
  type PlacedMaterial,
  type PlacedMove,
  type PlacedState,
  type Zone,
} from './state'
import { parseMove, printMove } from './text'

const held = (m: PlacedMaterial, n: number, place: Place): string =>
  n === 0 ? `no ${kindName(m, place)}` : `only ${n} ${kindName(m, place, n)}`
const WHERE: Record<Zone, string> = {
  store: 'in the store',
  mat: 'on the mat',
  beside: 'beside the mat',
  taken: 'on the tray',
}

function change(m: PlacedMaterial, state: PlacedState, zone: Zone, counts: Counts, way: 1 | -1): PlacedState {
  if (zone === 'store') return state
  if (counts.some((n, i) => n > 0 && i >= widthOf(m)))
    throw new Refusal(`${capital(m.name)} has no place above the ${kindName(m, aboveOf(m) - 1)}.`, '')
  const tooLow = counts.findIndex((n, i) => n > 0 && i < m.decimals - state.decimals)
  if (tooLow >= 0)
    throw new Refusal(
      `This mat is laid out without ${kindName(m, tooLow - m.decimals)}.`,
      'A problem with decimals brings them, like 7.4 − 2.6.',
    )
  const next = addCounts(state[zone], counts, way)
  for (const [i, n] of next.entries()) {
    const place = i - m.decimals
    const above = state.mat.findIndex((c, p) => p > i && c > 0)
    if (n < 0)
      throw new Refusal(
        `There ${state[zone][i] === 1 ? 'is' : 'are'} ${held(m, state[zone][i]!, place)} ${WHERE[zone]}; ${counts[i]} ${counts[i] === 1 ? 'is' : 'are'} wanted.`,
        zone === 'mat' && above > 0 ? `Break one ${kindName(m, above - m.decimals, 1)} first.` : '',
      )
    if (n > ROOM) throw new Refusal(`The ${kindName(m, place)} column has room for ${ROOM}; that would make ${n}.`)
  }
  return { ...state, [zone]: next }
}

/** So many of one place, as counts of this material. */
const at = (m: PlacedMaterial, place: Place, count: number): Counts => countsAt(place + m.decimals, count, widthOf(m))

/** How many of the next lower one of a column is worth. */
const pileOf = (m: PlacedMaterial, place: Place): number => rungOf(m.units, unitAt(m, place))?.times ?? 1

function apply(m: PlacedMaterial, state: PlacedState, move: PlacedMove): PlacedState {
  switch (move.kind) {
    case 'read':
      return { ...state, read: move.value }
    case 'carry': {
      const lifted = change(m, state, move.from, move.counts, -1)
      return change(m, lifted, move.to, move.counts, 1)
    }
    case 'break': {
      if (move.place === -m.decimals)
        throw new Refusal(
          `A ${kindName(m, move.place, 1)} cannot be broken here.`,
          m.decimals ? '' : 'Chips go below the ones.',
        )
      const without = change(m, state, 'mat', at(m, move.place, move.times), -1)
      return change(m, without, 'mat', at(m, move.place - 1, pileOf(m, move.place) * move.times), 1)
    }
    case 'tie': {
      if (move.place >= aboveOf(m))
        throw new Refusal(
          `${capital(m.name)} has no place above the ${kindName(m, aboveOf(m) - 1)}.`,
          `The ${kindName(m, aboveOf(m) - 1)} stay as many as they are.`,
        )
      const [have, need] = [state.mat[move.place - 1 + m.decimals]!, pileOf(m, move.place) * move.times]
      if (have < need)
        throw new Refusal(
          `It takes ${need} ${kindName(m, move.place - 1)} to make ${move.times === 1 ? 'one' : move.times} ${kindName(m, move.place, move.times)}; the mat has ${have}.`,
        )
      const without = change(m, state, 'mat', at(m, move.place - 1, need), -1)
      return change(m, without, 'mat', at(m, move.place, move.times), 1)
    }
  }
}

const carry = (from: Zone, to: Zone, counts: Counts): PlacedMove => ({ kind: 'carry', from, to, counts })

function perform(m: PlacedMaterial, state: PlacedState, act: Act): readonly PlacedMove[] {
  switch (act.kind) {
    case 'read':
      return [{ kind: 'read', value: act.value }]
    case 'pose':
      // The number to take away is never laid: only the minuend lies on the mat.
      return act.operation === '-' || act.amount === ZERO ? [] : [carry('store', 'beside', countsFor(m, act.amount))]
    case 'split':
    case 'rewrite':
    case 'beside':
    case 'compare':
      // Pieces lie parted as they are; a number split otherwise is a matter of writing.
      return []
    case 'gather':
      return inTurn(m, state, fullPiles(asPieces(state.mat, m.units), m.units))
    case 'exchange':
      return [exchange(m, state, act)]
    case 'begin':
      // What is counted is laid as it comes: the steps, or what they are worth.
      return []
    case 'share': {
      // The very pieces that were dealt go from the mat, or come back to it.
      const back = act.each.some((p) => p.count < 0)
      const pieces = addPieces([], act.each, (back ? -1 : 1) * toCount(act.among))
      return perform(m, state, piecesAct(back ? 'join' : 'take', pieces))
    }
    case 'group':
    case 'count':
      return perform(m, state, wholly(act))
    case 'lay':
    case 'join':
    case 'take':
      return plainPieces(act) || act.kind === 'lay'
        ? [...amount(m, state, act)]
        : inTurn(m, state, unfold(act, asPieces(state.mat, m.units), m.units))
  }
}

const inTurn = (m: PlacedMaterial, state: PlacedState, acts: readonly Act[]): readonly PlacedMove[] =>
  performAll(
    (s, act) => perform(m, s, act),
    (s, move: PlacedMove) => apply(m, s, move),
    state,
    acts,
  )

/** A number as counts in columns. @throws Refusal where the pieces do not make it. */
function countsFor(m: PlacedMaterial, amount: Exact): Counts {
  const pieces = piecesFor(amount, m.units)
  if (!pieces) throw new Refusal(`${m.pieces} do not make ${printExact(amount)}.`)
  return asCounts(pieces, m.units)
}

/** Breaking or tying; every other exchange of these pieces is made of those. @throws Refusal for what is neither. */
function exchange(m: PlacedMaterial, state: PlacedState, act: ExchangeAct): PlacedMove {
  const [one] = isMaking(act) ? act.to : act.from
  const rung = one && rungOf(m.units, one.unit)
  if (!rung || !sameExchange(act, (isMaking(act) ? makeAct : breakAct)(rung, one.count)))
    throw new Refusal(`${m.pieces} are exchanged between neighbours: one for as many of the next lower.`)
  const place = aboveOf(m) - 1 - m.units.worths.indexOf(one.unit)
  const move: PlacedMove = { kind: isMaking(act) ? 'tie' : 'break', place, times: one.count }
  apply(m, state, move)
  return move
}

/** Just the pieces that an act names. */
function amount(m: PlacedMaterial, state: PlacedState, act: AmountAct): readonly PlacedMove[] {
  const counts = act.pieces ? asCounts(act.pieces, m.units) : countsFor(m, act.amount)
  if (isEmpty(counts)) return []
  const move =
    act.kind === 'take'
      ? carry('mat', 'taken', counts)
      : act.kind === 'join' && counts.every((c, p) => c <= state.beside[p]!)
        ? carry('beside', 'mat', counts)
        : carry('store', 'mat', counts)
  apply(m, state, move)
  return [move]
}

const counted = (m: PlacedMaterial, kind: AmountAct['kind'], counts: Counts): AmountAct =>
  piecesAct(kind, asPieces(counts, m.units))

/** Moves make one act when they are one move, or when all of them are of one place. */
const together = (moves: readonly PlacedMove[], counts: Counts): boolean =>
  moves.length === 1 || onlyPlace(counts) !== undefined

function recognise(m: PlacedMaterial, before: PlacedState, moves: readonly PlacedMove[]): Recognised {
  const last = moves.at(-1)
  if (!last) return undefined
  if (last.kind === 'read')
    return moves.length === 1 && last.value !== null ? [{ kind: 'read', value: last.value }] : undefined
  if (moves.some((x) => x.kind === 'read')) return undefined
  const states = moves.reduce<PlacedState[]>((all, x) => [...all, apply(m, all.at(-1)!, x)], [before])
  const now = states.at(-1)!
  const [mat, beside, taken] = (['mat', 'beside', 'taken'] as const).map((z) => addCounts(now[z], before[z], -1))
  const grew = (counts: Counts) => counts.every((c) => c >= 0)
  const opposite = (a: Counts, b: Counts) => isEmpty(addCounts(a, b))

  if (isEmpty(mat!)) {
    if (isEmpty(taken!) && !isEmpty(beside!) && grew(beside!))
      return [{ kind: 'pose', operation: '+', amount: countsWorth(m, beside!) }]
    // Tidying the tray, or putting back what was set beside, changes nothing that is shown.
    return moves.length === 1 ? { soFar: [], owed: { kind: 'nothing' } } : undefined
  }
  if (!isEmpty(beside!) && !isEmpty(taken!)) return undefined
  const tray = isEmpty(beside!) ? taken! : beside!
  if (!isEmpty(tray)) {
    if (!opposite(mat!, tray) || !together(moves, mat!)) return undefined
    if (grew(mat!)) return [counted(m, 'join', mat!)]
    return grew(tray) ? [counted(m, 'take', tray)] : undefined
  }
  return withStore(m, before, states, moves, mat!)
}

/** Only the mat and the store are in it: laying, an exchange, or half of one. */
function withStore(
  m: PlacedMaterial,
  before: PlacedState,
  states: readonly PlacedState[],
  moves: readonly PlacedMove[],
  mat: Counts,
): Recognised {
  const untouched = [before.mat, before.beside, before.taken].every(isEmpty)
  if (untouched && moves.every((x) => x.kind === 'carry' && x.to === 'mat')) return [counted(m, 'lay', mat)]
  const worths = states.map((s) => countsWorth(m, s.mat))
  // Once an exchange has come out even, what follows is something new.
  if (worths.slice(1, -1).some((w) => w === worths[0])) return undefined
  const net = countsWorth(m, mat)
  // A break or a tie is whole in itself: what came before it is another thing done.
  if (net !== ZERO && moves.some((x) => x.kind === 'break' || x.kind === 'tie')) return undefined
  if (net === ZERO) return exchangesFor(asPieces(mat, m.units), m.units)
  if (mat.every((c) => c >= 0)) return together(moves, mat) ? [counted(m, 'join', mat)] : undefined
  const gained = sign(net) > 0
  const size = sizeOf(net)
  const pieces = owedPieces(m, mat, size)
  return {
    soFar: [bySize(m, gained ? 'join' : 'take', mat, size)],
    owed: gained ? { kind: 'carry-off', pieces } : { kind: 'put-back', pieces },
  }
}

/** What would even out an exchange: as many of the next lower for one that went, one of the next higher for a full pile. */
function owedPieces(m: PlacedMaterial, mat: Counts, size: Exact): readonly Pieces[] {
  const i = onlyPlace(mat)
  if (i === undefined) return piecesFor(size, m.units) ?? []
  const [place, n] = [i - m.decimals, Math.abs(mat[i]!)]
  const above = place + 1 < aboveOf(m) ? pileOf(m, place + 1) : Infinity
  if (n % above === 0) return asPieces(at(m, place + 1, n / above), m.units)
  return asPieces(i > 0 ? at(m, place - 1, pileOf(m, place) * n) : at(m, place, n), m.units)
}

/** What came or went so far; where some went and some came, its pieces say so with their signs. */
const bySize = (m: PlacedMaterial, kind: 'join' | 'take', mat: Counts, amount: Exact): Act => ({
  kind,
  amount,
  pieces: asPieces(kind === 'join' ? mat : mat.map((c) => -c), m.units),
})

/** Pieces in columns, each worth what its place says: blocks, chips. */
export const placed = (m: PlacedMaterial): Representation<PlacedState, PlacedMove> => {
  const empty = noCounts(widthOf(m))
  return {
    id: m.id,
    title: m.title,
    called: m.title,
    ...(m.along ? { along: m.along } : {}),
    kind: 'concrete',
    units: m.units,
    sorts: ['places', 'parts', 'whole'],
    example: 'lay 52 · break ten · take 7 ones',
    opening: 'lay {number}: drag {pieces} from the store',
    allows: (way, problem) => way !== 'hop-up' && compare(reach(way, problem), exact(m.greatest)) <= 0,
    fits: (problem) =>
      fitWholes(problem, {
        name: m.name,
        greatest: m.greatest,
        because: m.because,
        instead: m.instead,
        ...(m.decimals ? { decimals: m.decimals } : {}),
      }),
    follows: (problem) => isGrouping(problem, exact(m.greatest)),
    start: (problem) => ({
      decimals: Math.min(m.decimals, decimalsIn(problem)),
      mat: empty,
      beside: empty,
      taken: empty,
      read: null,
    }),
    apply: (state, move) => apply(m, state, move),
    shows: (state) => countsWorth(m, state.mat),
    out: ({ mat, beside, taken }) => [mat, beside, taken].flatMap((counts) => asPieces(counts, m.units)),
    perform: (state, act) => perform(m, state, act),
    recognise: (before, moves) => recognise(m, before, moves),
    print: (move) => printMove(m, move),
    parse: (text) => parseMove(m, text),
  }
}
