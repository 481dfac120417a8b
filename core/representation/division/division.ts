import { breakAct, isMaking, piecesAct, sameExchange, type Act, type ExchangeAct, type ShareAct } from '../../act/act'
import { compare, exact, isWhole, sign, toCount, ZERO } from '../../number/exact'
import { printExact, printNumeral, valueOf } from '../../number/numeral'
import { placeName, placeOfUnit, unitOf, type Place } from '../../number/places'
import { piecesFor, type Pieces } from '../../number/units'
import { capital } from '../../number/words'
import { FITS, type Fit } from '../../problem/fit'
import { quotientOf, type Problem } from '../../problem/problem'
import { Refusal } from '../../refusal'
import { isUnfinished, type Owed, type Recognised, type Representation } from '../representation'
import {
  emptySheet,
  GREATEST_DIVISOR,
  placeAt,
  sharedAt,
  shows,
  standing,
  turnAt,
  UNITS,
  working,
  type DivisionMove,
  type DivisionState,
  type Try,
} from './state'
import { parseMove, printMove } from './text'

const FINGERS = 10
const NOTHING_DOWN = new Refusal('Nothing is written down yet.', 'Write the number to be divided first.')

/** A sheet with one more try over a square; in the working square the last one is struck by it. */
const tried = (s: DivisionState, square: number, one: Try): DivisionState => {
  const tries = s.dividend.split('').map((_, i) => s.tries[i] ?? [])
  return { ...s, tries: tries.map((all, i) => (i === square ? [...all, one] : all)) }
}
/** The last try filled in further. */
const filled = (s: DivisionState, square: number, one: Try): DivisionState => ({
  ...s,
  tries: s.tries.map((all, i) => (i === square ? [...all.slice(0, -1), one] : all)),
})

function apply(s: DivisionState, move: DivisionMove): DivisionState {
  if (move.kind === 'read')
    return { ...s, read: move.value === null ? null : { value: move.value, remainder: move.remainder } }
  if (move.kind === 'set') {
    if (s.dividend !== '') throw new Refusal(`${s.dividend} stands there already.`, 'Undo takes it off again.')
    return { ...s, dividend: printExact(move.number), free: 1, tries: [] }
  }
  if (s.dividend === '') throw NOTHING_DOWN
  const square = working(s)
  const one = standing(s, square)
  switch (move.kind) {
    case 'say':
      if (s.counted.length >= FINGERS)
        throw new Refusal('All ten fingers are up.', 'A digit of the quotient is nine at the most.')
      return { ...s, counted: [...s.counted, move.word] }
    case 'fold':
      if (s.counted.length === 0) throw new Refusal('No finger is up.')
      return { ...s, counted: s.counted.slice(0, -1) }
    case 'bring':
      if (s.free >= s.dividend.length)
        throw new Refusal('Every digit has been brought down.', 'What is left over now is the remainder.')
      if (one && one.digit > 0 && one.difference === null)
        throw new Refusal(
          'There is nothing yet to bring the next digit down beside.',
          `First ${one.product === null ? 'multiply and ' : ''}subtract.`,
        )
      return { ...s, free: s.free + 1, counted: [] }
    case 'quotient':
      return quotient(s, move.digit, move.over)
    case 'product': {
      if (!one || one.digit === 0) throw new Refusal('There is no digit in the quotient to multiply.', 'Divide first.')
      const next = { digit: one.digit, product: move.number, difference: null }
      return one.product === null ? filled(s, square, next) : tried(s, square, next)
    }
    case 'difference': {
      if (!one || one.product === null) throw new Refusal('There is nothing to subtract yet.', 'Multiply first.')
      const next = { ...one, difference: move.number }
      return one.difference === null ? filled(s, square, next) : tried(s, square, next)
    }
  }
}

function quotient(s: DivisionState, digit: number, over: Place | null): DivisionState {
  const square = over === null ? working(s) : s.dividend.length - 1 - over
  if (square < 0) throw new Refusal(`${s.dividend} has no ${placeName(over!, 2)}.`)
  if (square > working(s))
    throw new Refusal(`The card still covers the ${placeName(over!, 2)}.`, 'Bring the next digit down first.')
  if (square < working(s) && (digit !== 0 || standing(s, square)))
    throw new Refusal(
      `The ${placeName(over!, 2)} are behind us.`,
      'Only a 0 that was left out can still be written there.',
    )
  return tried(s, square, {
    digit,
    product: null,
    difference: null,
  })
}

/* --- acts as moves --- */

/** Whether a 0 belongs over a square where no group fits. */
const wantsZero = (s: DivisionState, square: number): boolean =>
  standing(s, square) === undefined && (s.zero || s.tries.slice(0, square).some((t) => (t.at(-1)?.digit ?? 0) > 0))

/** The moves that bring the card to a place, with a 0 over each digit where nothing could be shared. */
function upTo(s: DivisionState, place: Place): readonly DivisionMove[] {
  const moves: DivisionMove[] = []
  let now = s
  while (placeAt(now, working(now)) > place) {
    const more: DivisionMove[] = [
      ...(wantsZero(now, working(now)) ? [{ kind: 'quotient', digit: 0, over: null } as const] : []),
      { kind: 'bring' },
    ]
    moves.push(...more)
    now = more.reduce(apply, now)
  }
  return moves
}

function exchange(s: DivisionState, act: ExchangeAct): readonly DivisionMove[] {
  const [from] = act.from
  const place = from && placeOfUnit(from.unit)
  if (s.dividend === '') throw NOTHING_DOWN
  if (isMaking(act) || place === undefined || place < 1 || place > placeAt(s, working(s)))
    throw new Refusal('Long division goes from the greatest place down.')
  const moves = upTo(s, place)
  const now = moves.reduce(apply, s)
  const { left } = turnAt(now, working(now))
  if (
    from!.count !== left ||
    !sameExchange(act, breakAct({ unit: unitOf(place), lower: unitOf(place - 1), times: 10 }, left))
  )
    throw new Refusal(`All ${left} ${placeName(place, left)} go on to the next place together.`)
  return [...moves, ...upTo(now, place - 1)]
}

function share(s: DivisionState, act: ShareAct): readonly DivisionMove[] {
  if (toCount(act.among) !== s.by) throw new Refusal(`Long division shares among all ${s.by} at once.`)
  if (s.dividend === '') throw NOTHING_DOWN
  const moves: DivisionMove[] = []
  let now = s
  const make = (more: readonly DivisionMove[]): void => {
    moves.push(...more)
    now = more.reduce(apply, now)
  }
  for (const { count, unit } of act.each) {
    const place = placeOfUnit(unit)!
    if (place > placeAt(now, working(now))) throw new Refusal(`The ${placeName(place, 2)} have been worked already.`)
    make(upTo(now, place))
    const square = working(now)
    const digit = sharedAt(now, square) + count
    const { stands } = turnAt(now, square)
    if (digit < 0 || digit > 9 || digit * s.by > stands)
      throw new Refusal(`${digit} ${placeName(place, digit)} each cannot be written here.`)
    make([
      ...counting(now, stands),
      { kind: 'quotient', digit, over: null },
      ...(digit === 0
        ? []
        : [
            { kind: 'product', number: digit * s.by } as const,
            { kind: 'difference', number: stands - digit * s.by } as const,
          ]),
    ])
  }
  return moves
}

/** The divisor said on fingers until it is over, and the last finger taken back; or until it is exact. */
function counting(s: DivisionState, stands: number): readonly DivisionMove[] {
  if (s.counted.length > 0) return []
  const fits = Math.floor(stands / s.by)
  const said = fits * s.by === stands ? fits : fits + 1
  const words = Array.from({ length: said }, (_, i): DivisionMove => ({ kind: 'say', word: (i + 1) * s.by }))
  return said === fits || fits === 0 ? words.slice(0, fits) : [...words, { kind: 'fold' }]
}

function perform(s: DivisionState, act: Act): readonly DivisionMove[] {
  switch (act.kind) {
    case 'lay': {
      if (!isWhole(act.amount) || sign(act.amount) < 0 || !piecesFor(act.amount, UNITS))
        throw new Refusal('Long division is written with whole numbers from nought up.')
      const move: DivisionMove = { kind: 'set', number: act.amount }
      apply(s, move)
      return [move]
    }
    case 'exchange':
      return exchange(s, act)
    case 'share':
      return share(s, act)
    case 'read': {
      const last = s.dividend === '' ? [] : upTo(s, 0)
      const now = last.reduce(apply, s)
      const zero = s.dividend !== '' && wantsZero(now, working(now)) && turnAt(now, working(now)).stands < s.by
      return [
        ...last,
        ...(zero ? [{ kind: 'quotient', digit: 0, over: null } as const] : []),
        { kind: 'read', value: act.value, remainder: act.remainder ?? null },
      ]
    }
    case 'join':
    case 'take':
    case 'count':
    case 'group':
      throw new Refusal('On the division sheet nothing is added or taken by itself: it is shared out.')
    default:
      return []
  }
}

/* --- moves as acts --- */

const shareAct = (count: number, place: Place, by: number): ShareAct => ({
  kind: 'share',
  each: [{ count, unit: unitOf(place) }],
  among: exact(by),
})

/** What is still wanted of the try that stands in the working square, or wrong with it; null where it is whole. */
function owedOf(s: DivisionState): Owed | null {
  const square = working(s)
  const one = standing(s, square)
  if (!one) return null
  const [{ stands }, { by }] = [turnAt(s, square), s]
  if (one.digit === 0) return stands >= by ? { kind: 'still-fits', left: stands, by, digit: 0 } : null
  if (one.product === null) return { kind: 'turn', step: 'multiply', digit: one.digit, by, stands }
  if (one.product !== one.digit * by)
    return { kind: 'false-line', left: `${one.digit} * ${by}`, wrote: String(one.product) }
  if (one.product > stands) return { kind: 'too-many', product: one.product, stands, by }
  if (one.difference === null) return { kind: 'turn', step: 'subtract', digit: one.digit, by, stands }
  if (one.difference !== stands - one.product)
    return { kind: 'false-line', left: `${stands} - ${one.product}`, wrote: String(one.difference) }
  return one.difference >= by ? { kind: 'still-fits', left: one.difference, by, digit: one.digit } : null
}

/** A word of the skip count that the step does not lead to. */
function owedWord({ counted, by }: DivisionState): Owed | null {
  const wrong = counted.findIndex((word, i) => word !== (i + 1) * by)
  return wrong < 0 ? null : { kind: 'false-line', left: `${wrong + 1} * ${by}`, wrote: String(counted[wrong]) }
}

/** An earlier square whose numbers do not hold: what is written after it cannot be trusted. */
function owedBefore(s: DivisionState, square: number): Owed | null {
  for (let i = 0; i < square; i++) {
    const one = standing(s, i)
    const stays = one && one.digit > 0 && sharedAt(s, i) !== one.digit
    const found = stays ? owedOf({ ...s, free: i + 1 }) : null
    if (found) return found
  }
  return null
}

function recognise(before: DivisionState, moves: readonly DivisionMove[]): Recognised {
  const last = moves.at(-1)
  if (!last) return undefined
  if (last.kind === 'read') {
    if (last.value === null) return undefined
    const read: Act = {
      kind: 'read',
      value: last.value,
      ...(last.remainder === null ? {} : { remainder: last.remainder }),
    }
    if (moves.length === 1) return [read]
    // The noughts at the end of the quotient are written along with the reading.
    if (!moves.slice(0, -1).every((m) => m.kind === 'bring' || (m.kind === 'quotient' && m.digit === 0)))
      return undefined
    const first = recognise(before, moves.slice(0, -1))
    return first && !isUnfinished(first) ? [...first, read] : first?.owed.kind === 'nothing' ? [read] : undefined
  }
  const at = (kind: DivisionMove['kind']): number => moves.findIndex((m) => m.kind === kind)
  if (at('set') >= 0) return moves.length === 1 ? laying(moves[0]!) : undefined
  // A digit brought down after one that was worked begins another thing.
  const brought = moves.findLastIndex((m) => m.kind === 'bring')
  if (moves.slice(0, Math.max(0, brought)).some((m) => m.kind === 'product' || (m.kind === 'quotient' && m.digit > 0)))
    return undefined
  const acts: Act[] = []
  let now = before
  let forgotten: Owed | null = null
  for (const move of moves) {
    if (move.kind === 'bring') {
      const [square, { left }] = [working(now), turnAt(now, working(now))]
      const place = placeAt(now, square)
      if (left > 0) acts.push(breakAct({ unit: unitOf(place), lower: unitOf(place - 1), times: 10 }, left))
      const begun = now.tries.slice(0, square).some((t) => (t.at(-1)?.digit ?? 0) > 0)
      if (begun && !standing(now, square) && turnAt(now, square).stands < now.by)
        forgotten = { kind: 'zero-left', place }
    }
    now = apply(now, move)
    if (move.kind === 'quotient' && move.over !== null) forgotten = null
  }
  const square = working(now)
  const was = brought < 0 ? sharedAt(before, square) : 0
  const more = sharedAt(now, square) - was
  if (more !== 0) acts.push(shareAct(more, placeAt(now, square), now.by))
  const worked = moves.some((m) => m.kind === 'quotient' || m.kind === 'product' || m.kind === 'difference')
  const owed = forgotten ?? owedWord(now) ?? owedBefore(now, square) ?? (worked ? owedOf(now) : null)
  if (owed) return { soFar: acts, owed }
  return acts.length > 0 ? acts : { soFar: [], owed: { kind: 'nothing' } }
}

function laying(move: DivisionMove): Recognised {
  if (move.kind !== 'set') return undefined
  const pieces: readonly Pieces[] = piecesFor(move.number, UNITS) ?? []
  return [piecesAct('lay', pieces)]
}

function fits(problem: Problem): Fit {
  const no = (why: string, instead: Extract<Fit, { fits: false }>['instead'] = []): Fit => ({
    fits: false,
    why,
    instead,
  })
  const { first, terms, groups } = problem
  const [term] = terms
  if (groups || terms.length !== 1 || term?.operation !== '/')
    return no('The division sheet divides, and nothing else.', ['columns'])
  const [dividend, divisor] = [valueOf(first), valueOf(term.number)]
  for (const [number, value] of [
    [first, dividend],
    [term.number, divisor],
  ] as const)
    if (!isWhole(value) || sign(value) < 0)
      return no(
        `${capital(printNumeral(number))} is not a whole number from nought up; long division here is of whole numbers.`,
      )
  if (divisor === ZERO) return no('Nothing can be divided by nought: no group of nothing ever uses it up.')
  if (compare(divisor, exact(GREATEST_DIVISOR)) > 0)
    return no(
      `${printExact(divisor)} is too much to count in steps on fingers: the sheet divides by 1 to ${GREATEST_DIVISOR}.`,
    )
  return quotientOf(problem) ? FITS : no('The division sheet holds nine digits.')
}

/** Long division by a number of up to twelve, with the card that covers digits not needed yet (practice, section 13; common practice, no source). */
export const division: Representation<DivisionState, DivisionMove> = {
  id: 'division',
  title: 'division sheet',
  called: 'the division sheet',
  kind: 'written',
  units: UNITS,
  sorts: ['division'],
  verbs: { lay: 'write', join: 'add', take: 'subtract', thing: ['digit', 'digits'], loop: true },
  opening: 'write {number} down, and lay the card over all but its first digit',
  example: 'set 612 · bring · quotient 8 · product 56 · difference 5 · read 87 r 3',
  fits,
  start: ({ terms }, choices) => emptySheet(toCount(valueOf(terms[0]!.number)), choices.division.zero === 'write'),
  apply,
  shows,
  perform,
  recognise,
  print: printMove,
  parse: parseMove,
}
