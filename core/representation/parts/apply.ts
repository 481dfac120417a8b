import { compare, sign, subtract, timesIn, ZERO } from '../../number/exact'
import { addPieces, countOf, pieceName, worthOf, type Pieces, PARTS } from '../../number/units'
import { formOf } from '../../number/words'
import { Refusal } from '../../refusal'
import {
  asParts,
  countAll,
  inRow,
  lengthIn,
  MOST_BESIDE,
  MOST_PIECES,
  nextOf,
  type PartsMove,
  type PartsState,
  type Row,
} from './state'

const AS = ['is', 'are'] as const

/** How some pieces are called: “3 eighths”. */
export const called = ({ count, unit }: Pieces): string => `${count} ${pieceName(unit, count, PARTS)}`
export const calledAll = (pieces: readonly Pieces[]): string => pieces.map(called).join(' and ')

/** Pieces after some have gone and others come. @throws Refusal where there are too few, or no room. */
function changed(
  held: readonly Pieces[],
  gone: readonly Pieces[],
  came: readonly Pieces[],
  where: string,
): readonly Pieces[] {
  for (const { count, unit } of gone) {
    const there = countOf(held, unit)
    if (there >= count) continue
    throw new Refusal(
      `There ${formOf(there, AS)} ${there === 0 ? 'no' : `only ${there}`} ${pieceName(unit, there, PARTS)} ${where}; ${count} ${formOf(count, AS)} wanted.`,
      held.length > 0 ? `Recut what lies there first: ${calledAll(held)}.` : '',
    )
  }
  const next = addPieces(addPieces(held, gone, -1), came)
  if (countAll(next) > MOST_PIECES) throw new Refusal(`There is room for ${MOST_PIECES} pieces in a row.`)
  return next
}

/** What is still wanted of the number beside, once some of it is done, in whatever pieces. */
function lessened(s: PartsState, done: readonly Pieces[]): PartsState['posed'] {
  if (!s.posed) return null
  const { pieces } = s.posed
  const rest = subtract(worthOf(pieces), worthOf(done))
  if (sign(rest) <= 0) return null
  const same = done.every((p) => countOf(pieces, p.unit) >= p.count)
  return { ...s.posed, pieces: same ? addPieces(pieces, done, -1) : asParts(rest, s.units) }
}

/** The next number set beside: whichever lies there is kept, and more of it may come. */
function set(s: PartsState, pieces: readonly Pieces[]): PartsState {
  const next = s.asked[s.turn]
  if (s.posed) return { ...s, posed: { ...s.posed, pieces: changed(s.posed.pieces, [], pieces, 'beside') } }
  if (!next) throw new Refusal('No further number is asked.', 'Lay it into the row, or undo.')
  return { ...s, turn: s.turn + 1, posed: { sign: next.sign, pieces: changed([], [], pieces, 'beside') } }
}

/** A number is begun without having been set beside. */
function begun(s: PartsState, operation: '+' | '-'): PartsState {
  const posed = nextOf(s, operation)
  return posed ? { ...s, turn: s.turn + 1, posed } : s
}

function withRow(s: PartsState, row: Row, pieces: readonly Pieces[]): PartsState {
  if (row === 'main') return { ...s, lies: pieces }
  if (row === 'posed') return { ...s, posed: s.posed && pieces.length > 0 ? { ...s.posed, pieces } : null }
  return { ...s, others: s.others.map((o, i) => (i === row - 1 ? pieces : o)) }
}

const WHERE = (row: Row): string => (row === 'main' ? 'in the row' : row === 'posed' ? 'beside' : `in row ${row + 1}`)

/** Why pieces are not cut into others: what would be as long. */
function unlike(from: readonly Pieces[], to: readonly Pieces[]): never {
  const [only, more] = to
  if (!only || more) throw new Refusal(`${calledAll(from)} and ${calledAll(to)} are not of one length.`)
  const [parts, value] = [Number(only.unit.split('/')[1] ?? 1), worthOf(from)]
  const what = `${calledAll(from)} ${from.length === 1 ? formOf(from[0]!.count, AS) : 'are'}`
  const name = (n: number): string => `${n} ${pieceName(only.unit, n, PARTS)}`
  const fits = lengthIn(value, parts)
  if (fits !== undefined) throw new Refusal(`${what} as long as ${name(fits)}, not as ${only.count}.`)
  const below = Math.floor(Number(timesIn(value, only.unit).times))
  const short = below === 0 ? '' : `${name(below)} ${formOf(below, AS)} too short, `
  throw new Refusal(
    `No number of ${pieceName(only.unit, 2, PARTS)} is as long as ${calledAll(from)}: ${short}${name(below + 1)} ${formOf(below + 1, AS)} too long.`,
    'Choose another kind of part.',
  )
}

/** How high each number has filled it, once something came or went. */
function levelled(s: PartsState): PartsState {
  const now = worthOf(s.lies)
  if (s.levels.at(-1) === now) return s
  const below = s.levels.slice(0, s.turn).filter((level) => compare(level, now) < 0)
  return { ...s, levels: now === ZERO ? [] : [...below, now] }
}

/** @throws Refusal where there are too few pieces, no room, or others that are not as long. */
export const apply = (s: PartsState, move: PartsMove): PartsState => levelled(changedBy(s, move))

function changedBy(s: PartsState, move: PartsMove): PartsState {
  const now = s.compared && move.kind !== 'compare' ? { ...s, compared: null } : s
  switch (move.kind) {
    case 'read':
      return { ...now, read: move.value === null ? null : { value: move.value, as: move.as } }
    case 'compare':
      return { ...s, compared: { numbers: move.numbers, relations: move.relations } }
    case 'whole':
      if (now.lies.length > 0 || now.posed || now.others.length > 0)
        throw new Refusal(
          'Everything on one mat is cut from one whole: a half of a shorter strip is not a half of this one.',
          'Take everything off first, then choose another whole.',
        )
      return { ...now, whole: move.length }
    case 'lay': {
      const from = begun(now, '+')
      // What only makes up for pieces that went back is none of the number beside.
      const more = compare(worthOf(from.lies), from.reached[from.turn - 1] ?? ZERO) >= 0
      const posed = from.posed?.sign === '+' && more ? lessened(from, move.pieces) : from.posed
      return { ...from, posed, lies: changed(from.lies, [], move.pieces, WHERE('main')) }
    }
    case 'return':
      return { ...now, lies: changed(now.lies, move.pieces, [], WHERE('main')) }
    case 'take': {
      const from = begun(now, '-')
      const lies = changed(now.lies, move.pieces, [], WHERE('main'))
      const posed = from.posed?.sign === '-' ? lessened(from, move.pieces) : from.posed
      return { ...from, posed, lies, taken: addPieces(from.taken, move.pieces) }
    }
    case 'give':
      return {
        ...now,
        taken: changed(now.taken, move.pieces, [], 'on the tray'),
        lies: changed(now.lies, [], move.pieces, WHERE('main')),
      }
    case 'set':
      return set(now, move.pieces)
    case 'unset': {
      const rest = changed(now.posed?.pieces ?? [], move.pieces, [], WHERE('posed'))
      return rest.length > 0
        ? { ...now, posed: { ...now.posed!, pieces: rest } }
        : { ...now, posed: null, turn: Math.max(0, now.turn - 1) }
    }
    case 'push': {
      if (now.posed?.sign === '-')
        throw new Refusal('What lies beside is the measure of what is to be taken.', 'Take as much from the row.')
      if (!now.posed) throw new Refusal('Nothing lies beside.', 'Set the next number beside first.')
      const pushed = move.pieces.length > 0 ? move.pieces : now.posed.pieces
      const rest = changed(now.posed.pieces, pushed, [], WHERE('posed'))
      const posed = rest.length > 0 ? { ...now.posed, pieces: rest } : null
      return { ...now, posed, lies: changed(now.lies, [], pushed, WHERE('main')) }
    }
    case 'drop':
      if (!now.posed) throw new Refusal('Nothing lies beside.')
      return { ...now, posed: null }
    case 'recut':
      if (worthOf(move.from) !== worthOf(move.to)) unlike(move.from, move.to)
      return withRow(now, move.row, changed(inRow(now, move.row), move.from, move.to, WHERE(move.row)))
    case 'beside': {
      if (move.row > Math.min(MOST_BESIDE, now.others.length + 1))
        throw new Refusal(
          `Row ${move.row + 1} cannot be begun yet.`,
          `The next free row is row ${now.others.length + 2}.`,
        )
      const others = move.row > now.others.length ? [...now.others, []] : now.others
      const [gone, came] = [move.pieces.filter((p) => p.count < 0), move.pieces.filter((p) => p.count > 0)]
      const row = changed(others[move.row - 1]!, addPieces([], gone, -1), came, WHERE(move.row))
      if (compare(worthOf(row), ZERO) < 0) throw new Refusal('Nothing below nought lies in a row.')
      return { ...now, others: others.map((o, i) => (i === move.row - 1 ? row : o)) }
    }
  }
}
