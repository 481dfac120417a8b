import {
  amountAct,
  countsOf,
  exchangeAct,
  isMaking,
  piecesOf,
  plainPieces,
  sameExchange,
  type Act,
  type AmountAct,
  type ExchangeAct,
} from '../../act/act'
import { exchangesInPlaces } from '../../act/exchanges'
import { fullPiles, unfold, wholly } from '../../act/unfold'
import { compare, exact, sign, ZERO } from '../../number/exact'
import {
  addCounts,
  digitsOf,
  isEmpty,
  onlyPlace,
  placeName,
  placeOfUnit,
  worth,
  type Counts,
  type Place,
} from '../../number/places'
import { decimal } from '../../number/units'
import { fitWholes } from '../../problem/fit'
import { reach } from '../../problem/friendly'
import { Refusal } from '../../refusal'
import { remembered } from '../remembered'
import { performAll, type Recognised, type Representation } from '../representation'
import { MOST_THINGS, ROOM, WIDTH, type Drawn, type DrawnMove, type DrawnState } from './state'
import { parseMove, printMove } from './text'

/** How many still count in each place. */
export function countingNow({ things }: DrawnState): Counts {
  const known = counted.get(things)
  if (known) return known
  const counts = new Array<number>(WIDTH).fill(0)
  for (const { place, fate } of things) if (fate === 'counts') counts[place]! += 1
  counted.set(things, counts)
  return counts
}
const counted = new WeakMap<readonly Drawn[], Counts>()

/** Gives things of a place that still count another fate: the newest; for a ring the oldest, which stand in full rows. */
function fated(s: DrawnState, place: Place, count: number, fate: Drawn['fate'], group: number): readonly Drawn[] {
  let left = count
  const things = [...s.things]
  for (let k = 0; k < things.length && left > 0; k++) {
    const i = fate === 'ringed' ? k : things.length - 1 - k
    const t = things[i]!
    if (t.place !== place || t.fate !== 'counts') continue
    things[i] = { ...t, fate, group: group || t.group }
    left -= 1
  }
  if (left > 0) {
    const have = count - left
    throw new Refusal(
      `There ${have === 1 ? 'is' : 'are'} ${have === 0 ? 'no' : `only ${have}`} ${placeName(place, have)} drawn; ${count} ${count === 1 ? 'is' : 'are'} wanted.`,
      fate !== 'ringed' && countingNow(s).some((n, p) => p > place && n > 0)
        ? `Break one ${placeName(
            countingNow(s).findIndex((n, p) => p > place && n > 0),
            1,
          )} first.`
        : '',
    )
  }
  return things
}

function drawMore(s: DrawnState, place: Place, count: number, from: Drawn['from'], group: number): readonly Drawn[] {
  if (countingNow(s)[place]! + count > ROOM)
    throw new Refusal(`There is room for ${ROOM} ${placeName(place)} on the drawing.`)
  if (s.things.length + count > MOST_THINGS)
    throw new Refusal('The paper is full: nothing is rubbed out here.', 'Begin again, or take some steps back.')
  return [...s.things, ...Array.from({ length: count }, () => ({ place, from, fate: 'counts' as const, group }))]
}

function drawnOn(s: DrawnState, move: DrawnMove): DrawnState {
  switch (move.kind) {
    case 'read':
      return { ...s, read: move.value }
    case 'draw':
    case 'cross':
      return move.counts.reduce<DrawnState>((now, count, place) => {
        if (count === 0) return now
        const things =
          move.kind === 'draw' ? drawMore(now, place, count, 'hand', 0) : fated(now, place, count, 'crossed', 0)
        return { ...now, things }
      }, s)
    case 'ring': {
      if (move.place >= WIDTH || move.place < 1)
        throw new Refusal(`There is no way to draw a ${placeName(move.place, 1)} made of ten here.`)
      let now = s
      for (let i = 0; i < move.times; i++) {
        const group = now.groups + 1
        now = { ...now, groups: group, things: fated(now, move.place - 1, 10, 'ringed', group) }
        now = { ...now, things: drawMore(now, move.place, 1, 'ring', group) }
      }
      return now
    }
    case 'break': {
      if (move.place === 0) throw new Refusal('A dot cannot be broken.')
      let now = s
      for (let i = 0; i < move.times; i++) {
        const group = now.groups + 1
        now = { ...now, groups: group, things: fated(now, move.place, 1, 'broken', group) }
        now = { ...now, things: drawMore(now, move.place - 1, 10, 'break', group) }
      }
      return now
    }
  }
}

/** Recognising draws all moves of an open stone again; each is drawn once. */
const apply = remembered(drawnOn)

function perform(s: DrawnState, act: Act): readonly DrawnMove[] {
  switch (act.kind) {
    case 'read':
      return [{ kind: 'read', value: act.value }]
    case 'pose':
    case 'split':
    case 'rewrite':
    case 'beside':
    case 'compare':
      return []
    case 'gather':
      return performAll(perform, apply, s, fullPiles(piecesOf(countingNow(s)), DRAWN))
    case 'exchange': {
      return exchange(s, act)
    }
    case 'begin':
      // What is counted is laid as it comes: the steps, or what they are worth.
      return []
    case 'group':
    case 'share':
    case 'count':
      return perform(s, wholly(act))
    case 'lay':
    case 'join':
    case 'take':
      if (!plainPieces(act) && act.kind !== 'lay')
        return performAll(perform, apply, s, unfold(act, piecesOf(countingNow(s)), DRAWN))
      return amount(s, act)
  }
}

/** One of a kind for ten of the next lower, or the other way round. @throws Refusal for every other exchange. */
function exchange(s: DrawnState, act: ExchangeAct): readonly DrawnMove[] {
  const one = isMaking(act) ? act.to : act.from
  const [place, times] = [placeOfUnit(one[0]?.unit ?? ZERO), one[0]?.count ?? 0]
  if (place === undefined || one.length !== 1 || !sameExchange(act, exchangeAct(place, isMaking(act), times)))
    throw new Refusal('On the drawing one is broken into ten of the next lower kind, or ten are ringed.')
  const move: DrawnMove = { kind: isMaking(act) ? 'ring' : 'break', place, times }
  apply(s, move)
  return [move]
}

function amount(s: DrawnState, act: AmountAct): readonly DrawnMove[] {
  const counts = act.pieces ? countsOf(act.pieces, WIDTH) : digitsOf(act.amount, WIDTH)
  if (isEmpty(counts)) return []
  const move: DrawnMove = { kind: act.kind === 'take' ? 'cross' : 'draw', counts }
  apply(s, move)
  return [move]
}

/** What came and went is compared before and after: nothing in all is an exchange, also where it was drawn in two goes. */
function recognise(before: DrawnState, moves: readonly DrawnMove[]): Recognised {
  const last = moves.at(-1)
  if (!last) return undefined
  if (last.kind === 'read')
    return moves.length === 1 && last.value !== null ? [{ kind: 'read', value: last.value }] : undefined
  if (moves.some((m) => m.kind === 'read')) return undefined
  const states = [before]
  for (const move of moves) states.push(apply(states.at(-1)!, move))
  const change = addCounts(countingNow(states.at(-1)!), countingNow(before), -1)
  const worths = states.map((s) => worth(countingNow(s)))
  if (worths.slice(1, -1).some((w) => w === worths[0])) return undefined
  const net = worth(change)
  if (net === ZERO) return exchangesInPlaces(change)
  const grew = sign(net) > 0
  const counts = grew ? change : change.map((c) => -c)
  const only = (kind: DrawnMove['kind']): boolean => moves.every((m) => m.kind === kind)
  if (only('draw') && before.things.length === 0) return [amountAct('lay', counts)]
  if (only(grew ? 'draw' : 'cross'))
    return moves.length === 1 || onlyPlace(counts) !== undefined
      ? [amountAct(grew ? 'join' : 'take', counts)]
      : undefined
  return undefined
}

const DRAWN = decimal(WIDTH)

/** Drawn tens: squares, lines and dots on paper; a made ten is ringed, what is taken is crossed out. */
export const drawn: Representation<DrawnState, DrawnMove> = {
  id: 'drawn',
  title: 'drawn tens',
  called: 'drawn tens',
  kind: 'drawn',
  units: DRAWN,
  sorts: ['places', 'parts', 'whole'],
  example: 'draw 52 · break ten · cross 7 ones',
  opening: 'draw {number}: {pieces}, a tap in its column for each',
  allows: (way, problem) => way !== 'hop-up' && compare(reach(way, problem), exact(10 ** WIDTH)) < 0,
  fits: (problem) =>
    fitWholes(problem, {
      name: 'the drawing',
      greatest: 9999,
      because: 'it has no sign above the thousands',
      instead: ['chips', 'columns'],
    }),
  start: () => ({ things: [], groups: 0, read: null }),
  apply,
  shows: (s) => worth(countingNow(s)),
  perform,
  recognise,
  print: printMove,
  parse: parseMove,
}
