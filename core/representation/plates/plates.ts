import {
  exchangeAct,
  isMaking,
  piecesAct,
  plainPieces,
  sameExchange,
  type Act,
  type AmountAct,
  type ShareAct,
} from '../../act/act'
import { exchangesInPlaces } from '../../act/exchanges'
import { unfold, wholly } from '../../act/unfold'
import { compare, exact, isWhole, sign, toCount, ZERO } from '../../number/exact'
import { printExact, printNumeral, valueOf } from '../../number/numeral'
import {
  addCounts,
  countsAt,
  isEmpty,
  noCounts,
  onlyPlace,
  placeName,
  placeOfUnit,
  unitOf,
  type Counts,
} from '../../number/places'
import { asCounts, asPieces, piecesFor } from '../../number/units'
import { capital } from '../../number/words'
import { FITS, type Fit } from '../../problem/fit'
import type { Problem } from '../../problem/problem'
import { Refusal } from '../../refusal'
import { performAll, type Recognised, type Representation } from '../representation'
import {
  emptyPlates,
  GREATEST,
  MOST_FILLED,
  MOST_PLATES,
  onPlate,
  ROOM,
  shows,
  UNITS,
  waiting,
  WIDTH,
  type PlatesMove,
  type PlatesState,
} from './state'
import { parseMove, printMove } from './text'

/** Counts after some came (`way` 1) or went (−1). @throws Refusal where there are too few, or no room. */
function changed(held: Counts, counts: Counts, way: 1 | -1, where: string): Counts {
  const next = addCounts(held, counts, way)
  for (const [place, n] of next.entries()) {
    const have = held[place] ?? 0
    if (n < 0) {
      const there = have === 0 ? `no ${placeName(place)}` : `only ${have} ${placeName(place, have)}`
      const above = held.findIndex((m, p) => p > place && m > 0)
      throw new Refusal(
        `There ${have === 1 ? 'is' : 'are'} ${there} ${where}; ${counts[place]} ${counts[place] === 1 ? 'is' : 'are'} wanted.`,
        where === 'in hand' && above > 0 ? `Break one ${placeName(above, 1)} first.` : '',
      )
    }
    if (n > ROOM) throw new Refusal(`There is room for ${ROOM} ${placeName(place)} ${where}.`)
  }
  return next
}

function apply(s: PlatesState, move: PlatesMove): PlatesState {
  switch (move.kind) {
    case 'read':
      return { ...s, read: move.value === null ? null : { value: move.value, remainder: move.remainder } }
    case 'lay':
    case 'return':
      return { ...s, hand: changed(s.hand, move.counts, move.kind === 'lay' ? 1 : -1, 'in hand') }
    case 'break':
    case 'tie': {
      const [one, ten] = [countsAt(move.place, move.times, WIDTH), countsAt(move.place - 1, 10 * move.times, WIDTH)]
      const [goes, comes] = move.kind === 'break' ? [one, ten] : [ten, one]
      // What is too few to be tied is not broken for it.
      const where = move.kind === 'break' ? 'in hand' : 'in hand to be tied'
      return { ...s, hand: changed(changed(s.hand, goes, -1, where), comes, 1, 'in hand') }
    }
    case 'fill':
    case 'empty':
      return filled(s, move.kind)
    case 'deal':
    case 'collect': {
      if (s.fill !== null) throw new Refusal('Plates are filled one by one here.', `Fill a plate with ${s.fill}.`)
      const [out, way] = move.kind === 'deal' ? [-1 as const, 1 as const] : [1 as const, -1 as const]
      const all = move.counts.map((n) => n * s.plates.length)
      const plates = s.plates.map((plate) => changed(plate, move.counts, way, 'on each plate'))
      return { ...s, hand: changed(s.hand, all, out, 'in hand'), plates }
    }
    case 'put':
    case 'pick': {
      const room = s.fill !== null && move.plate === s.plates.length + 1 && move.plate <= MOST_FILLED
      if (room && move.kind === 'put') return apply({ ...s, plates: [...s.plates, noCounts(WIDTH)] }, move)
      const plate = s.plates[move.plate - 1]
      if (!plate)
        throw new Refusal(
          `There is no plate ${move.plate}.`,
          s.plates.length === 0 ? 'Fill one first.' : `The plates are 1 to ${s.plates.length}.`,
        )
      const [out, way] = move.kind === 'put' ? [-1 as const, 1 as const] : [1 as const, -1 as const]
      const next = changed(plate, move.counts, way, `on plate ${move.plate}`)
      return {
        ...s,
        hand: changed(s.hand, move.counts, out, 'in hand'),
        plates: s.plates.map((p, i) => (i === move.plate - 1 ? next : p)),
      }
    }
  }
}

/** A plate more with so many ones from the hand, or the last plate back into it. */
function filled(s: PlatesState, kind: 'fill' | 'empty'): PlatesState {
  const { fill, plates, hand } = s
  if (fill === null) throw new Refusal('Here it is dealt among all plates.', 'Like: deal 1 one.')
  if (kind === 'empty') {
    const last = plates.at(-1)
    if (!last) throw new Refusal('No plate is filled yet.')
    return { ...s, hand: changed(hand, last, 1, 'in hand'), plates: plates.slice(0, -1) }
  }
  if (plates.length >= MOST_FILLED) throw new Refusal(`There is room for ${MOST_FILLED} plates.`)
  const group = countsAt(0, fill, WIDTH)
  return { ...s, hand: changed(hand, group, -1, 'in hand'), plates: [...plates, group] }
}

function perform(s: PlatesState, act: Act): readonly PlatesMove[] {
  switch (act.kind) {
    case 'read':
      return [{ kind: 'read', value: act.value, remainder: act.remainder ?? null }]
    case 'pose':
    case 'split':
    case 'gather':
    case 'rewrite':
    case 'beside':
    case 'compare':
    case 'begin':
      return []
    case 'exchange': {
      const [one] = isMaking(act) ? act.to : act.from
      const place = one && placeOfUnit(one.unit)
      if (!one || place === undefined || !sameExchange(act, exchangeAct(place, isMaking(act), one.count)))
        throw new Refusal('In the hand one is broken into ten of the next lower kind, or ten are tied.')
      const move: PlatesMove = { kind: isMaking(act) ? 'tie' : 'break', place, times: one.count }
      apply(s, move)
      return [move]
    }
    case 'share':
      return s.fill === null ? share(s, act) : shareInGroups(s, s.fill, act)
    case 'count':
    case 'group':
      return perform(s, wholly(act))
    case 'lay':
    case 'join':
    case 'take':
      if (!plainPieces(act) && act.kind !== 'lay')
        return performAll(perform, apply, s, unfold(act, asPieces(s.hand, UNITS), UNITS))
      return amount(s, act)
  }
}

function amount(s: PlatesState, act: AmountAct): readonly PlatesMove[] {
  const pieces = act.pieces ?? piecesFor(act.amount, UNITS)
  if (!pieces) throw new Refusal(`Hundreds, tens and ones do not make ${printExact(act.amount)}.`)
  const counts = asCounts(pieces, UNITS)
  if (isEmpty(counts)) return []
  const move: PlatesMove = { kind: act.kind === 'take' ? 'return' : 'lay', counts }
  apply(s, move)
  return [move]
}

/** Dealt to every plate at once; to fewer, plate by plate to those that have least (or back from those that have most). */
function share(s: PlatesState, act: ShareAct): readonly PlatesMove[] {
  const counts = asCounts(act.each, UNITS)
  const gives = counts.every((n) => n >= 0)
  const size = counts.map(Math.abs)
  const among = toCount(act.among)
  if (among > s.plates.length || (!gives && counts.some((n) => n > 0)))
    throw new Refusal(`There are ${s.plates.length} plates here.`)
  if (among === s.plates.length) {
    const move: PlatesMove = { kind: gives ? 'deal' : 'collect', counts: size }
    apply(s, move)
    return [move]
  }
  const has = (plate: Counts): number => plate.reduce((n, c, place) => n + (size[place] ? c : 0), 0)
  const order = s.plates.map((p, i) => ({ plate: i + 1, has: has(p) }))
  order.sort((a, b) => (gives ? a.has - b.has : b.has - a.has))
  const chosen = order.slice(0, among).map((o) => o.plate)
  const moves = chosen
    .sort((a, b) => a - b)
    .map((plate): PlatesMove => ({ kind: gives ? 'put' : 'pick', counts: size, plate }))
  moves.reduce(apply, s)
  return moves
}

/** Where groups are made, one more for each of `fill` is one more plate; to fewer it is a plate that is not full. */
function shareInGroups(s: PlatesState, fill: number, act: ShareAct): readonly PlatesMove[] {
  const [only, more] = act.each
  if (!only || more || only.unit !== '1')
    throw new Refusal('Plates are filled with ones here: break what is in hand first.')
  const among = toCount(act.among)
  const moves: readonly PlatesMove[] =
    among === fill
      ? Array.from({ length: Math.abs(only.count) }, () => ({ kind: only.count > 0 ? 'fill' : 'empty' }))
      : onePlate(s, among * only.count)
  moves.reduce(apply, s)
  return moves
}

/** So many ones on the plate that is not full, or on a new one; fewer than none, back from it. */
function onePlate(s: PlatesState, ones: number): readonly PlatesMove[] {
  const [open] = waiting(s)
  const plate = open ?? s.plates.length + (ones > 0 ? 1 : 0)
  return [{ kind: ones > 0 ? 'put' : 'pick', counts: countsAt(0, Math.abs(ones), WIDTH), plate }]
}

/** What came to plates that are filled one by one: whole plates, and ones on a plate that is not full. */
function sharesInGroups(before: PlatesState, now: PlatesState, fill: number): readonly ShareAct[] {
  const full = ({ plates }: PlatesState): number => plates.filter((p) => Number(onPlate(p)) === fill).length
  const lying = ({ plates }: PlatesState): number => plates.reduce((n, p) => n + Number(onPlate(p)), 0)
  const loose = (s: PlatesState): number => lying(s) - fill * full(s)
  const act = (each: number, among: number): readonly ShareAct[] =>
    each === 0 || among === 0 ? [] : [{ kind: 'share', each: [{ count: each, unit: unitOf(0) }], among: exact(among) }]
  const more = loose(now) - loose(before)
  return [...act(full(now) - full(before), fill), ...act(Math.sign(more), Math.abs(more))]
}

/** What each plate has got since, the same for as many plates as got the same: one act for each such gain. */
function shares(before: PlatesState, now: PlatesState): readonly ShareAct[] {
  if (now.fill !== null) return sharesInGroups(before, now, now.fill)
  const found: { gain: Counts; among: number }[] = []
  for (const [i, plate] of now.plates.entries()) {
    const gain = addCounts(plate, before.plates[i]!, -1)
    const same = found.find((f) => isEmpty(addCounts(f.gain, gain, -1)))
    if (same) same.among += 1
    else if (!isEmpty(gain)) found.push({ gain, among: 1 })
  }
  return found.map(({ gain, among }) => ({ kind: 'share', each: asPieces(gain, UNITS), among: exact(among) }))
}

function recognise(before: PlatesState, moves: readonly PlatesMove[]): Recognised {
  const last = moves.at(-1)
  if (!last) return undefined
  if (last.kind === 'read')
    return moves.length === 1 && last.value !== null
      ? [{ kind: 'read', value: last.value, ...(last.remainder === null ? {} : { remainder: last.remainder }) }]
      : undefined
  const only = (...kinds: PlatesMove['kind'][]): boolean => moves.every((m) => kinds.includes(m.kind))
  const now = moves.reduce(apply, before)
  const grown = addCounts(now.hand, before.hand, -1)
  if (only('fill', 'empty')) {
    const made = shares(before, now)
    return made.length > 0 ? made : { soFar: [], owed: { kind: 'nothing' } }
  }
  if (only('deal', 'collect', 'put', 'pick')) {
    // Of one kind at a time: when tens are dealt, the ones are another thing.
    if (onlyPlace(moves.reduce<Counts>((all, m) => ('counts' in m ? addCounts(all, m.counts) : all), [])) === undefined)
      return moves.length === 1 ? shares(before, now) : undefined
    const left = waiting(now)
    const made = shares(before, now)
    if (left.length > 0) {
      const place = onlyPlace(addCounts(now.hand, before.hand, -1)) ?? 0
      const short = now.hand[place]! < left.length ? { count: now.hand[place]!, unit: unitOf(place) } : null
      const owed = { kind: 'uneven', plates: left, short, ...(now.fill === null ? {} : { fill: now.fill }) } as const
      return { soFar: made, owed }
    }
    return made.length > 0 ? made : { soFar: [], owed: { kind: 'nothing' } }
  }
  if (only('break', 'tie')) return isEmpty(grown) ? undefined : exchangesInPlaces(grown)
  if (only('lay')) {
    const untouched = [before.hand, ...before.plates].every(isEmpty)
    return [piecesAct(untouched ? 'lay' : 'join', asPieces(grown, UNITS))]
  }
  // What goes back to the store was too much, or is missing now: that is said when it is read.
  if (only('return'))
    return { soFar: [piecesAct('take', asPieces(addCounts([], grown, -1), UNITS))], owed: { kind: 'nothing' } }
  return undefined
}

function fits({ first, terms, groups }: Problem): Fit {
  const no = (why: string, instead: Extract<Fit, { fits: false }>['instead'] = []): Fit => ({
    fits: false,
    why,
    instead,
  })
  const [term] = terms
  if (groups || terms.length !== 1 || term?.operation !== '/')
    return no('Plates are for sharing out: they divide, and nothing else.', ['blocks', 'chips'])
  const [dividend, divisor] = [valueOf(first), valueOf(term.number)]
  for (const [number, value] of [
    [first, dividend],
    [term.number, divisor],
  ] as const)
    if (!isWhole(value) || sign(value) < 0)
      return no(`${capital(printNumeral(number))} is not a whole number from nought up, and plates share whole things.`)
  if (compare(dividend, exact(GREATEST)) > 0)
    return no(`${printExact(dividend)} is too much to deal out by hand: plates share up to ${GREATEST}.`)
  if (divisor === ZERO) return no('Nothing can be shared among no plates.')
  if (compare(divisor, exact(MOST_PLATES)) > 0)
    return no(`${printExact(divisor)} plates are too many to see at once; there is room for ${MOST_PLATES}.`, [
      'fingers',
    ])
  return FITS
}

/** Sharing out: what is in hand is dealt onto plates, the same to each; what does not go round stays in hand. */
export const plates: Representation<PlatesState, PlatesMove> = {
  id: 'plates',
  title: 'plates',
  called: 'plates',
  kind: 'concrete',
  units: UNITS,
  sorts: ['sharing'],
  opening: 'take {number} in hand: drag {pieces} from the store',
  example: 'lay 612 · break hundred · deal 8 tens · read 87 r 3',
  fits,
  start: ({ terms }, _choices, beside) =>
    emptyPlates(Math.min(MOST_PLATES, Math.max(1, toCount(valueOf(terms[0]!.number)))), beside?.way === 'fill-plates'),
  apply,
  shows,
  out: ({ hand, plates }) => [
    ...[hand, ...plates].flatMap((counts) => asPieces(counts, UNITS)),
    { count: plates.length, unit: ZERO, thing: ['plate', 'plates'] },
  ],
  perform,
  recognise,
  print: printMove,
  parse: parseMove,
}
