import { amountAct, piecesOf, countsOf, type Act } from '../../act/act'
import { exchangesFor } from '../../act/exchanges'
import { sign, ZERO, type Exact } from '../../number/exact'
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
import { Refusal } from '../../refusal'
import type { Recognised, Representation } from '../representation'
import { ROOM, WIDTH, type BlocksMove, type BlocksState, type Zone } from './state'
import { parseMove, printMove } from './text'

const held = (n: number, place: Place): string =>
  n === 0 ? `no ${placeName(place)}` : `only ${n} ${placeName(place, n)}`
const WHERE: Record<Zone, string> = {
  store: 'in the store',
  mat: 'on the mat',
  beside: 'beside the mat',
  taken: 'on the tray',
}

function change(state: BlocksState, zone: Zone, counts: Counts, way: 1 | -1): BlocksState {
  if (zone === 'store') return state
  const next = addCounts(state[zone], counts, way)
  for (const [place, n] of next.entries()) {
    if (n < 0)
      throw new Refusal(
        `There ${state[zone][place] === 1 ? 'is' : 'are'} ${held(state[zone][place]!, place)} ${WHERE[zone]}; ${counts[place]} ${counts[place] === 1 ? 'is' : 'are'} wanted.`,
        zone === 'mat' && place < WIDTH - 1 && isHigher(state.mat, place)
          ? `Break one ${placeName(higher(state.mat, place), 1)} first.`
          : '',
      )
    if (n > ROOM) throw new Refusal(`The ${placeName(place)} column has room for ${ROOM}; that would make ${n}.`)
  }
  return { ...state, [zone]: next }
}

const higher = (mat: Counts, place: Place): Place => mat.findIndex((n, p) => p > place && n > 0)
const isHigher = (mat: Counts, place: Place): boolean => higher(mat, place) > 0

function apply(state: BlocksState, move: BlocksMove): BlocksState {
  switch (move.kind) {
    case 'read':
      return { ...state, read: move.value }
    case 'carry': {
      const lifted = change(state, move.from, move.counts, -1)
      return { ...change(lifted, move.to, move.counts, 1) }
    }
    case 'break': {
      if (move.place === 0)
        throw new Refusal('A one cannot be broken here.', 'Parts of a one live on strips and with decimals.')
      const without = change(state, 'mat', countsAt(move.place, move.times, WIDTH), -1)
      return { ...change(without, 'mat', countsAt(move.place - 1, 10 * move.times, WIDTH), 1) }
    }
    case 'tie': {
      if (move.place >= WIDTH)
        throw new Refusal('The chart has no place above the thousands.', 'Ten thousands stay ten thousands here.')
      const [have, need] = [state.mat[move.place - 1]!, 10 * move.times]
      if (have < need)
        throw new Refusal(
          `It takes ${need} ${placeName(move.place - 1)} to make ${move.times === 1 ? 'one' : move.times} ${placeName(move.place, move.times)}; the mat has ${have}.`,
        )
      const without = change(state, 'mat', countsAt(move.place - 1, need, WIDTH), -1)
      return { ...change(without, 'mat', countsAt(move.place, move.times, WIDTH), 1) }
    }
  }
}

function invert(before: BlocksState, move: BlocksMove): BlocksMove {
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

const carry = (from: Zone, to: Zone, counts: Counts): BlocksMove => ({ kind: 'carry', from, to, counts })

function perform(state: BlocksState, act: Act): readonly BlocksMove[] {
  switch (act.kind) {
    case 'read':
      return [{ kind: 'read', value: act.value }]
    case 'pose':
      // The number to take away is never laid: only the minuend lies on the mat.
      return act.operation === '-' || act.amount === ZERO ? [] : [carry('store', 'beside', digitsOf(act.amount, WIDTH))]
    case 'exchange': {
      const [from, to] = [placeOfUnit(act.from.unit)!, placeOfUnit(act.to.unit)!]
      const move: BlocksMove =
        from > to
          ? { kind: 'break', place: from, times: act.from.count }
          : { kind: 'tie', place: to, times: act.to.count }
      apply(state, move)
      return [move]
    }
    case 'begin':
    case 'group':
      throw new Refusal('Blocks have no steps to count in.', 'Lay each group, or count on fingers.')
    case 'count':
      return perform(state, amountAct(act.by === '1' ? 'join' : 'take', countsAt(0, 1)))
    case 'lay':
    case 'join':
    case 'take': {
      const counts = act.pieces ? countsOf(act.pieces, WIDTH) : digitsOf(act.amount, WIDTH)
      if (isEmpty(counts)) return []
      const move =
        act.kind === 'take'
          ? carry('mat', 'taken', counts)
          : act.kind === 'join' && counts.every((c, p) => c <= state.beside[p]!)
            ? carry('beside', 'mat', counts)
            : carry('store', 'mat', counts)
      apply(state, move)
      return [move]
    }
  }
}

/** Moves make one act when they are one move, or when all of them are of one place. */
const together = (moves: readonly BlocksMove[], counts: Counts): boolean =>
  moves.length === 1 || onlyPlace(counts) !== undefined

function recognise(before: BlocksState, moves: readonly BlocksMove[]): Recognised {
  const last = moves.at(-1)
  if (!last) return undefined
  if (last.kind === 'read')
    return moves.length === 1 && last.value !== null ? [{ kind: 'read', value: last.value }] : undefined
  if (moves.some((m) => m.kind === 'read')) return undefined
  const states = moves.reduce<BlocksState[]>((all, m) => [...all, apply(all.at(-1)!, m)], [before])
  const now = states.at(-1)!
  const [mat, beside, taken] = (['mat', 'beside', 'taken'] as const).map((z) => addCounts(now[z], before[z], -1))
  const grew = (counts: Counts) => counts.every((c) => c >= 0)
  const opposite = (a: Counts, b: Counts) => isEmpty(addCounts(a, b))

  if (isEmpty(mat!)) {
    if (isEmpty(taken!) && !isEmpty(beside!) && grew(beside!))
      return [{ kind: 'pose', operation: '+', amount: worth(beside!) }]
    // Tidying the tray, or putting back what was set beside, changes nothing that is shown.
    return moves.length === 1 ? { soFar: [], owed: { kind: 'nothing' } } : undefined
  }
  if (!isEmpty(beside!) && !isEmpty(taken!)) return undefined
  const tray = isEmpty(beside!) ? taken! : beside!
  if (!isEmpty(tray)) {
    if (!opposite(mat!, tray) || !together(moves, mat!)) return undefined
    if (grew(mat!)) return [amountAct('join', mat!)]
    return grew(tray) ? [amountAct('take', tray)] : undefined
  }
  return withStore(before, states, moves, mat!)
}

/** Only the mat and the store are in it: laying, an exchange, or half of one. */
function withStore(
  before: BlocksState,
  states: readonly BlocksState[],
  moves: readonly BlocksMove[],
  mat: Counts,
): Recognised {
  const untouched = [before.mat, before.beside, before.taken].every(isEmpty)
  if (untouched && moves.every((m) => m.kind === 'carry' && m.to === 'mat')) return [amountAct('lay', mat)]
  const worths = states.map((s) => worth(s.mat))
  // Once an exchange has come out even, what follows is something new.
  if (worths.slice(1, -1).some((w) => w === worths[0])) return undefined
  const net = worth(mat)
  if (net === ZERO) return exchangesFor(mat)
  if (mat.every((c) => c >= 0)) return together(moves, mat) ? [amountAct('join', mat)] : undefined
  const gained = sign(net) > 0
  const size = gained ? net : worth(mat.map((c) => -c))
  const pieces = piecesOf(owedCounts(mat, digitsOf(size)))
  return {
    soFar: [bySize(gained ? 'join' : 'take', mat, size)],
    owed: gained ? { kind: 'carry-off', pieces } : { kind: 'put-back', pieces },
  }
}

/** What would even out an exchange: ten of the next lower for one that went, one of the next higher for ten. */
function owedCounts(mat: Counts, size: Counts): Counts {
  const place = onlyPlace(mat)
  if (place === undefined) return size
  const n = Math.abs(mat[place]!)
  if (n % 10 === 0 && place < WIDTH - 1) return countsAt(place + 1, n / 10, WIDTH)
  return place > 0 ? countsAt(place - 1, 10 * n, WIDTH) : countsAt(place, n, WIDTH)
}

function bySize(kind: 'join' | 'take', mat: Counts, size: Exact): Act {
  const sizes = kind === 'join' ? mat : mat.map((c) => -c)
  return sizes.every((c) => c >= 0) ? amountAct(kind, sizes) : { kind, amount: size }
}

/** Base-ten blocks on a place-value chart: ones, tens, hundreds, thousands. */
export const blocks: Representation<BlocksState, BlocksMove> = {
  id: 'blocks',
  title: 'base-ten blocks',
  kind: 'concrete',
  works: 'places',
  fits: (problem) =>
    fitWholes(problem, {
      name: 'the chart',
      greatest: 9999,
      because: 'it has no place above the thousands',
      instead: ['columns', 'equations'],
    }),
  start: () => ({ mat: noCounts(WIDTH), beside: noCounts(WIDTH), taken: noCounts(WIDTH), read: null }),
  apply,
  invert,
  shows: (state) => worth(state.mat),
  perform,
  recognise,
  print: printMove,
  parse: parseMove,
}
