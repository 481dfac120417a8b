import { capital } from '../../number/words'
import { amountAct, piecesOf, plainPieces, countsOf, type Act, type AmountAct } from '../../act/act'
import { fullTens, unfold, wholly } from '../../act/unfold'
import { exchangesFor } from '../../act/exchanges'
import { compare, exact, sign, ZERO, type Exact } from '../../number/exact'
import {
  addCounts,
  countsAt,
  digitsOf,
  isEmpty,
  noCounts,
  onlyPlace,
  placeName,
  placeOfUnit,
  worth,
  type Counts,
  type Place,
} from '../../number/places'
import { fitWholes } from '../../problem/fit'
import { reach } from '../../problem/friendly'
import { decimalsIn } from '../../problem/problem'
import { Refusal } from '../../refusal'
import { performAll, type Recognised, type Representation } from '../representation'
import { ROOM, widthOf, type PlacedMaterial, type PlacedMove, type PlacedState, type Zone } from './state'
import { parseMove, printMove } from './text'

const held = (n: number, place: Place): string =>
  n === 0 ? `no ${placeName(place)}` : `only ${n} ${placeName(place, n)}`
const WHERE: Record<Zone, string> = {
  store: 'in the store',
  mat: 'on the mat',
  beside: 'beside the mat',
  taken: 'on the tray',
}

function change(m: PlacedMaterial, state: PlacedState, zone: Zone, counts: Counts, way: 1 | -1): PlacedState {
  if (zone === 'store') return state
  if (counts.some((n, i) => n > 0 && i >= widthOf(m)))
    throw new Refusal(`${capital(m.name)} has no place above the ${placeName(m.above - 1)}.`, '')
  const tooLow = counts.findIndex((n, i) => n > 0 && i < m.decimals - state.decimals)
  if (tooLow >= 0)
    throw new Refusal(
      `This mat is laid out without ${placeName(tooLow - m.decimals)}.`,
      'A problem with decimals brings them, like 7.4 − 2.6.',
    )
  const next = addCounts(state[zone], counts, way)
  for (const [i, n] of next.entries()) {
    const place = i - m.decimals
    const above = state.mat.findIndex((c, p) => p > i && c > 0)
    if (n < 0)
      throw new Refusal(
        `There ${state[zone][i] === 1 ? 'is' : 'are'} ${held(state[zone][i]!, place)} ${WHERE[zone]}; ${counts[i]} ${counts[i] === 1 ? 'is' : 'are'} wanted.`,
        zone === 'mat' && above > 0 ? `Break one ${placeName(above - m.decimals, 1)} first.` : '',
      )
    if (n > ROOM) throw new Refusal(`The ${placeName(place)} column has room for ${ROOM}; that would make ${n}.`)
  }
  return { ...state, [zone]: next }
}

/** So many of one place, as counts of this material. */
const at = (m: PlacedMaterial, place: Place, count: number): Counts => countsAt(place + m.decimals, count, widthOf(m))

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
          `A ${placeName(move.place, 1)} cannot be broken here.`,
          m.decimals ? '' : 'Chips go below the ones.',
        )
      const without = change(m, state, 'mat', at(m, move.place, move.times), -1)
      return change(m, without, 'mat', at(m, move.place - 1, 10 * move.times), 1)
    }
    case 'tie': {
      if (move.place >= m.above)
        throw new Refusal(
          `${capital(m.name)} has no place above the ${placeName(m.above - 1)}.`,
          `Ten ${placeName(m.above - 1)} stay ten here.`,
        )
      const [have, need] = [state.mat[move.place - 1 + m.decimals]!, 10 * move.times]
      if (have < need)
        throw new Refusal(
          `It takes ${need} ${placeName(move.place - 1)} to make ${move.times === 1 ? 'one' : move.times} ${placeName(move.place, move.times)}; the mat has ${have}.`,
        )
      const without = change(m, state, 'mat', at(m, move.place - 1, need), -1)
      return change(m, without, 'mat', at(m, move.place, move.times), 1)
    }
  }
}

function invert(before: PlacedState, move: PlacedMove): PlacedMove {
  switch (move.kind) {
    case 'read':
      return { kind: 'read', value: before.read }
    case 'carry':
      return { ...move, from: move.to, to: move.from }
    case 'break':
      return { ...move, kind: 'tie' }
    case 'tie':
      return { ...move, kind: 'break' }
  }
}

const carry = (from: Zone, to: Zone, counts: Counts): PlacedMove => ({ kind: 'carry', from, to, counts })

function perform(m: PlacedMaterial, state: PlacedState, act: Act): readonly PlacedMove[] {
  switch (act.kind) {
    case 'read':
      return [{ kind: 'read', value: act.value }]
    case 'pose':
      // The number to take away is never laid: only the minuend lies on the mat.
      return act.operation === '-' || act.amount === ZERO
        ? []
        : [carry('store', 'beside', digitsOf(act.amount, widthOf(m), m.decimals))]
    case 'split':
      // Pieces lie parted as they are; a number split otherwise is a matter of writing.
      return []
    case 'gather':
      return inTurn(m, state, fullTens(state.mat, m.decimals))
    case 'exchange': {
      const [from, to] = [placeOfUnit(act.from.unit)!, placeOfUnit(act.to.unit)!]
      const move: PlacedMove =
        from > to
          ? { kind: 'break', place: from, times: act.from.count }
          : { kind: 'tie', place: to, times: act.to.count }
      apply(m, state, move)
      return [move]
    }
    case 'begin':
      // What is counted is laid as it comes: the steps, or what they are worth.
      return []
    case 'group':
    case 'count':
      return perform(m, state, wholly(act))
    case 'lay':
    case 'join':
    case 'take':
      return plainPieces(act) || act.kind === 'lay'
        ? [...amount(m, state, act)]
        : inTurn(m, state, unfold(act, state.mat, m.decimals))
  }
}

const inTurn = (m: PlacedMaterial, state: PlacedState, acts: readonly Act[]): readonly PlacedMove[] =>
  performAll(
    (s, act) => perform(m, s, act),
    (s, move: PlacedMove) => apply(m, s, move),
    state,
    acts,
  )

/** Just the pieces that an act names. */
function amount(m: PlacedMaterial, state: PlacedState, act: AmountAct): readonly PlacedMove[] {
  const counts = act.pieces
    ? countsOf(act.pieces, widthOf(m), m.decimals)
    : digitsOf(act.amount, widthOf(m), m.decimals)
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
      return [{ kind: 'pose', operation: '+', amount: worth(beside!, m.decimals) }]
    // Tidying the tray, or putting back what was set beside, changes nothing that is shown.
    return moves.length === 1 ? { soFar: [], owed: { kind: 'nothing' } } : undefined
  }
  if (!isEmpty(beside!) && !isEmpty(taken!)) return undefined
  const tray = isEmpty(beside!) ? taken! : beside!
  if (!isEmpty(tray)) {
    if (!opposite(mat!, tray) || !together(moves, mat!)) return undefined
    if (grew(mat!)) return [amountAct('join', mat!, m.decimals)]
    return grew(tray) ? [amountAct('take', tray, m.decimals)] : undefined
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
  if (untouched && moves.every((x) => x.kind === 'carry' && x.to === 'mat')) return [amountAct('lay', mat, m.decimals)]
  const worths = states.map((s) => worth(s.mat, m.decimals))
  // Once an exchange has come out even, what follows is something new.
  if (worths.slice(1, -1).some((w) => w === worths[0])) return undefined
  const net = worth(mat, m.decimals)
  // A break or a tie is whole in itself: what came before it is another thing done.
  if (net !== ZERO && moves.some((x) => x.kind === 'break' || x.kind === 'tie')) return undefined
  if (net === ZERO) return exchangesFor(mat, m.decimals)
  if (mat.every((c) => c >= 0)) return together(moves, mat) ? [amountAct('join', mat, m.decimals)] : undefined
  const gained = sign(net) > 0
  const size = gained
    ? net
    : worth(
        mat.map((c) => -c),
        m.decimals,
      )
  const pieces = piecesOf(owedCounts(mat, digitsOf(size, 1, m.decimals)), m.decimals)
  return {
    soFar: [bySize(m, gained ? 'join' : 'take', mat, size)],
    owed: gained ? { kind: 'carry-off', pieces } : { kind: 'put-back', pieces },
  }
}

/** What would even out an exchange: ten of the next lower for one that went, one of the next higher for ten. */
function owedCounts(mat: Counts, size: Counts): Counts {
  const i = onlyPlace(mat)
  if (i === undefined) return size
  const n = Math.abs(mat[i]!)
  if (n % 10 === 0 && i < mat.length - 1) return countsAt(i + 1, n / 10, mat.length)
  return i > 0 ? countsAt(i - 1, 10 * n, mat.length) : countsAt(i, n, mat.length)
}

/** What came or went so far; where some went and some came, its pieces say so with their signs. */
const bySize = (m: PlacedMaterial, kind: 'join' | 'take', mat: Counts, amount: Exact): Act => ({
  kind,
  amount,
  pieces: piecesOf(kind === 'join' ? mat : mat.map((c) => -c), m.decimals),
})

/** Pieces in columns, each worth what its place says: blocks, chips. */
export const placed = (m: PlacedMaterial): Representation<PlacedState, PlacedMove> => {
  const empty = noCounts(widthOf(m))
  return {
    id: m.id,
    title: m.title,
    kind: 'concrete',
    works: ['places', 'parts', 'whole'],
    opening: 'lay {number}: drag {pieces} from the store',
    allows: (way, problem) => way !== 'hop-up' && compare(reach(way, problem), exact(10 ** m.above)) < 0,
    fits: (problem) =>
      fitWholes(problem, {
        name: m.name,
        greatest: 10 ** m.above - 1,
        because: m.because,
        instead: m.instead,
        ...(m.decimals ? { decimals: m.decimals } : {}),
      }),
    start: (problem) => ({
      decimals: Math.min(m.decimals, decimalsIn(problem)),
      mat: empty,
      beside: empty,
      taken: empty,
      read: null,
    }),
    apply: (state, move) => apply(m, state, move),
    invert,
    shows: (state) => worth(state.mat, m.decimals),
    perform: (state, act) => perform(m, state, act),
    recognise: (before, moves) => recognise(m, before, moves),
    print: (move) => printMove(m, move),
    parse: (text) => parseMove(m, text),
  }
}
