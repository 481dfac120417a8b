import { piecesAct, type Act, type AmountAct, type BesideAct, type ExchangeAct } from '../../act/act'
import { wholly } from '../../act/unfold'
import { exact, multiply, negate, sign, subtract, toCount, ZERO, type Exact } from '../../number/exact'
import { denominatorOf, lcm, partUnit } from '../../number/fractions'
import { printExact } from '../../number/numeral'
import { numberText } from '../../number/text'
import {
  addPieces,
  countOf,
  has,
  opposite,
  samePieces,
  worthOf,
  type Pieces,
  PARTS,
  MOST_PARTS,
} from '../../number/units'
import type { Problem } from '../../problem/problem'
import { Refusal } from '../../refusal'
import type { Recognised, Representation } from '../representation'
import { apply } from './apply'
import { asParts, begin, nextOf, shows, standsIn, type PartsMove, type PartsState, type Row } from './state'
import { parseMove, printMove } from './text'

const rowOf = (aside: number | undefined): Row => (aside === undefined ? 'main' : aside === 0 ? 'posed' : aside)
const asideOf = (row: Row): Pick<ExchangeAct, 'aside'> => (row === 'main' ? {} : { aside: row === 'posed' ? 0 : row })

/** The pieces of a number worked whole: those that lie beside for it, else as few kinds as can be. @throws Refusal where there are none. */
function wholePieces(s: PartsState, amount: Exact, operation: '+' | '-'): readonly Pieces[] {
  if (s.posed?.sign === operation && worthOf(s.posed.pieces) === amount) return s.posed.pieces
  const pieces = asParts(amount, s.units)
  if (pieces.length === 0 && amount !== ZERO) throw new Refusal(`No parts here make ${printExact(amount)}.`)
  return pieces
}

/** What has to be cut anew before some pieces can be taken: all parts to common ones, and as many wholes as are wanted. */
function recuts(
  s: PartsState,
  wanted: readonly Pieces[],
): { readonly cut: readonly PartsMove[]; readonly take: readonly Pieces[] } {
  if (wanted.every((p) => countOf(s.lies, p.unit) >= p.count)) return { cut: [], take: wanted }
  const bottom = lcm([...s.lies, ...wanted].map((p) => denominatorOf(p.unit)))
  if (bottom > BigInt(MOST_PARTS))
    throw new Refusal(
      `The largest common parts of these are 1/${bottom}, and a whole is cut into up to ${MOST_PARTS} here.`,
    )
  const unit = partUnit(bottom)
  const inUnit = (pieces: readonly Pieces[]): number => toCount(multiply(worthOf(pieces), exact(bottom)))
  const small = s.lies.filter((p) => p.unit !== '1')
  const foreign = small.filter((p) => p.unit !== unit)
  const whole = countOf(s.lies, exact(1))
  const wholes = Math.min(whole, countOf(wanted, exact(1)))
  const more = inUnit(wanted) - wholes * Number(bottom)
  const short = Math.max(0, Math.ceil((more - inUnit(small)) / Number(bottom)))
  if (short > whole - wholes) throw new Refusal('There is not as much here as is wanted.')
  const moves: PartsMove[] = []
  if (foreign.length > 0)
    moves.push({ kind: 'recut', from: foreign, to: [{ count: inUnit(foreign), unit }], row: 'main' })
  if (short > 0)
    moves.push({
      kind: 'recut',
      from: [{ count: short, unit: exact(1) }],
      to: [{ count: short * Number(bottom), unit }],
      row: 'main',
    })
  return { cut: moves, take: addPieces([{ count: wholes, unit: exact(1) }], [{ count: more, unit }]) }
}

/** Putting in and taking off; a number worked whole is cut as it has to be. */
function amount(s: PartsState, act: AmountAct): readonly PartsMove[] {
  const own = act.pieces && has(PARTS, act.pieces) ? act.pieces : undefined
  const [size, operation] =
    sign(act.amount) < 0 && !own
      ? [negate(act.amount), act.kind === 'take' ? '+' : '-']
      : [act.amount, act.kind === 'take' ? '-' : '+']
  const pieces = own ?? wholePieces(s, size, operation as '+' | '-')
  const signed = operation === '-' ? opposite(pieces) : pieces
  const [comes, goes] = [signed.filter((p) => p.count > 0), opposite(signed.filter((p) => p.count < 0))]
  const { cut, take } = own ? { cut: [], take: goes } : recuts(s, goes)
  const pushed = s.posed?.sign === '+' && comes.every((p) => countOf(s.posed!.pieces, p.unit) >= p.count)
  const moves: readonly PartsMove[] = [
    ...(comes.length > 0 ? [{ kind: pushed ? ('push' as const) : ('lay' as const), pieces: comes }] : []),
    ...cut,
    ...(take.length > 0 ? [{ kind: 'take' as const, pieces: take }] : []),
  ]
  moves.reduce(apply, s)
  return moves
}

function beside(s: PartsState, act: BesideAct): readonly PartsMove[] {
  const pieces =
    act.pieces ?? (sign(act.amount) < 0 ? opposite(asParts(negate(act.amount), s.units)) : asParts(act.amount, s.units))
  const move: PartsMove = { kind: 'beside', pieces, row: act.row }
  apply(s, move)
  return pieces.length > 0 ? [move] : []
}

function perform(s: PartsState, act: Act): readonly PartsMove[] {
  switch (act.kind) {
    case 'read':
      return [{ kind: 'read', value: act.value, as: act.as ?? readAs(s, act.value) }]
    case 'compare':
      return [{ kind: 'compare', numbers: act.numbers, relations: act.relations }]
    case 'beside':
      return beside(s, act)
    case 'pose': {
      const pieces = act.pieces ?? asParts(act.amount, s.units)
      if (pieces.length === 0) return []
      const moves: readonly PartsMove[] = [...(s.posed ? [{ kind: 'drop' as const }] : []), { kind: 'set', pieces }]
      moves.reduce(apply, s)
      return moves
    }
    case 'split':
    case 'gather':
    case 'rewrite':
    case 'begin':
      return []
    case 'exchange': {
      const move: PartsMove = { kind: 'recut', from: act.from, to: act.to, row: rowOf(act.aside) }
      apply(s, move)
      return [move]
    }
    case 'group': {
      const count = toCount(act.count)
      const each = act.pieces ?? asParts(act.size, s.units)
      const pieces = addPieces([], each, Math.abs(count))
      const move: PartsMove = { kind: count < 0 ? 'return' : 'lay', pieces }
      apply(s, move)
      return pieces.length > 0 ? [move] : []
    }
    case 'count':
    case 'share':
      return amount(s, wholly(act))
    case 'lay':
    case 'join':
    case 'take':
      return act.amount === ZERO && !act.pieces?.length ? [] : amount(s, act)
  }
}

/** How a value is written here: in the parts that lie there, where they make it. */
const readAs = (s: PartsState, value: Exact): string =>
  numberText(value, s.units, worthOf(s.lies) === value ? s.lies : undefined)

/** Some pieces as so many times what is repeated; undefined where they are not. */
function timesOf(each: readonly Pieces[], pieces: readonly Pieces[]): number | undefined {
  const [first] = each
  const times = first && countOf(pieces, first.unit) / first.count
  return times && Number.isInteger(times) && samePieces(addPieces([], each, times), pieces) ? times : undefined
}

/** Laying into the row: the first number, so many times a part, or a number that is begun and put in in one. */
function laid(before: PartsState, pieces: readonly Pieces[]): Recognised {
  const untouched = before.lies.length === 0 && before.taken.length === 0 && before.turn === 0
  if (before.each) {
    const times = timesOf(before.each, pieces)
    if (times !== undefined)
      return [{ kind: 'group', count: exact(times), size: worthOf(before.each), pieces: before.each }]
  }
  if (untouched) return [piecesAct('lay', pieces)]
  return [...posing(before, '+'), piecesAct('join', pieces)]
}

/** The next number, where it has not been set beside and is begun all the same. */
function posing(before: PartsState, operation: '+' | '-'): readonly Act[] {
  const next = nextOf(before, operation)
  if (!next) return []
  return [{ kind: 'pose', operation, amount: worthOf(next.pieces), pieces: next.pieces }]
}

/** Pieces that some moves carried, kind by kind; those of the second sort count against. */
const net = (moves: readonly PartsMove[], against: PartsMove['kind']): readonly Pieces[] =>
  moves.reduce<readonly Pieces[]>(
    (all, m) => ('pieces' in m ? addPieces(all, m.pieces, m.kind === against ? -1 : 1) : all),
    [],
  )

/** The same recut several times over, as one; undefined where they differ. */
function recutAct(moves: readonly PartsMove[]): Recognised {
  let all: ExchangeAct | undefined
  for (const m of moves) {
    if (m.kind !== 'recut') return undefined
    const same =
      !all || (all.aside === asideOf(m.row).aside && kinds(all.from) === kinds(m.from) && kinds(all.to) === kinds(m.to))
    if (!same) return undefined
    all = {
      kind: 'exchange',
      from: addPieces(all?.from ?? [], m.from),
      to: addPieces(all?.to ?? [], m.to),
      ...asideOf(m.row),
    }
  }
  return all && [all]
}
const kinds = (pieces: readonly Pieces[]): string => pieces.map((p) => p.unit).join()

function recognise(before: PartsState, moves: readonly PartsMove[]): Recognised {
  const last = moves.at(-1)
  if (!last) return undefined
  const one = moves.length === 1
  if (last.kind === 'read')
    return one && last.value !== null ? [{ kind: 'read', value: last.value, as: last.as }] : undefined
  if (last.kind === 'compare')
    return one ? [{ kind: 'compare', numbers: last.numbers, relations: last.relations }] : undefined
  const only = (...of: PartsMove['kind'][]): boolean => moves.every((m) => of.includes(m.kind))
  const nothing = { soFar: [], owed: { kind: 'nothing' } } as const
  if (only('whole') || only('drop')) return nothing
  if (only('recut')) return recutAct(moves)
  if (only('lay')) return laid(before, net(moves, 'return'))
  if (only('take')) return [...posing(before, '-'), piecesAct('take', net(moves, 'give'))]
  if (only('give')) return [piecesAct('join', net(moves, 'take'))]
  if (only('push')) {
    const now = moves.reduce(apply, before)
    return [piecesAct('join', addPieces(now.lies, before.lies, -1))]
  }
  if (only('set', 'unset')) {
    const pieces = net(moves, 'unset')
    const operation = before.posed?.sign ?? before.asked[before.turn]?.sign ?? '+'
    if (pieces.length === 0 || pieces.some((p) => p.count < 0)) return one ? nothing : undefined
    return [{ kind: 'pose', operation, amount: worthOf(pieces), pieces }]
  }
  if (only('beside')) {
    const rows = new Set(moves.map((m) => (m.kind === 'beside' ? m.row : 0)))
    const pieces = net(moves, 'return')
    if (rows.size > 1) return undefined
    return pieces.length > 0 ? [{ kind: 'beside', amount: worthOf(pieces), pieces, row: [...rows][0]! }] : nothing
  }
  if (only('lay', 'return')) {
    const pieces = net(moves, 'return')
    const [came, gone] = [pieces.filter((p) => p.count > 0), opposite(pieces.filter((p) => p.count < 0))]
    // What went back and what came for it are as long: cut anew by hand.
    if (came.length > 0 && gone.length > 0 && subtract(worthOf(came), worthOf(gone)) === ZERO)
      return [{ kind: 'exchange', from: gone, to: came }]
    if (came.length === 0 && gone.length > 0) return { soFar: [piecesAct('take', gone)], owed: { kind: 'nothing' } }
    return undefined
  }
  return undefined
}

/** A material of wholes and equal parts: all that strips and a vessel have in common. */
export const partsMaterial = (
  own: Pick<Representation<PartsState, PartsMove>, 'id' | 'title' | 'called' | 'opening' | 'example' | 'fits' | 'kind'>,
): Representation<PartsState, PartsMove> => ({
  ...own,
  units: PARTS,
  standsIn,
  rows: true,
  sorts: ['fractions', 'places'],
  start: (problem: Problem) => begin(problem),
  apply,
  shows,
  out: ({ lies, posed, others, taken }) => [...lies, ...(posed?.pieces ?? []), ...others.flat(), ...taken],
  perform,
  recognise,
  print: printMove,
  parse: parseMove,
})
