import { holds, piecesAct, printComparison, type Act, type AmountAct } from '../../act/act'
import { exact, multiply, ZERO, type Exact } from '../../number/exact'
import { parseNumeral, valueOf, WRITTEN } from '../../number/numeral'
import { inCommon, numberText, partOf } from '../../number/text'
import { addPieces, opposite, worthOf, type Pieces } from '../../number/units'
import { attempt } from '../../refusal'
import { piecesIn } from '../inParts'
import { comparisonIn } from '../text'
import { asHeld } from './held'
import type { EquationsState } from './state'

/** How running equations are written where numbers are made of equal parts, and where amounts are held against one another. */

const text = (s: EquationsState, pieces: readonly Pieces[]): string => numberText(worthOf(pieces), s.units, pieces)

/** What stands there as a number. */
const here = (s: EquationsState): string => numberText(s.value, s.units, s.held)

/** A row as a line has it: a number, or where its parts are of several kinds, these. */
function rowText(s: EquationsState, pieces: readonly Pieces[]): string {
  const kinds = pieces.filter((p) => partOf(p.unit))
  return kinds.length < 2 ? text(s, pieces) : pieces.map((p) => text(s, [p])).join(' + ')
}

const piecesOf = (s: EquationsState, act: AmountAct): readonly Pieces[] => act.pieces ?? asHeld(act.amount, s.units)

/** Work on what stands there: what comes or goes, and where it leads. */
function workLine(s: EquationsState, operation: '+' | '-', pieces: readonly Pieces[], amount: Exact): string {
  const after = addPieces(s.held, pieces, operation === '-' ? -1 : 1)
  const by = numberText(amount, s.units, pieces)
  return `${here(s)} ${operation} ${by} = ${numberText(worthOf(after), s.units, after)}`
}

/** The line of an act where numbers are fractions or something lies beside; undefined where it is written as everywhere. */
export function fractionLine(s: EquationsState, act: Act): string | undefined {
  if (act.kind === 'beside') {
    const rows = [s.held, ...s.rows.slice(1)]
    rows[act.row] = addPieces(rows[act.row] ?? [], act.pieces ?? asHeld(act.amount, s.units))
    return rows.map((row) => text(s, row ?? [])).join(' ? ')
  }
  if (act.kind === 'compare') return `${holds(act) ? '' : 'read '}${printComparison(act)}`
  if (act.kind === 'exchange' && act.aside !== undefined) {
    const row = s.rows[act.aside] ?? []
    return `${rowText(s, row)} = ${rowText(s, addPieces(addPieces(row, act.from, -1), act.to))}`
  }
  if (act.kind === 'read' && s.named) {
    const as = act.as ?? numberText(act.value, s.units, act.value === s.value ? s.held : undefined)
    return act.value === s.answer && act.value === s.value && as !== s.first ? `${s.first} = ${as}` : `read ${as}`
  }
  if (!s.units.fractions) return undefined
  switch (act.kind) {
    case 'lay': {
      if (act.inHead) return undefined
      const pieces = piecesOf(s, act)
      const [number, parts] = [numberText(act.amount, s.units, pieces), rowText(s, pieces)]
      return parts === number ? number : `${number} = ${parts}`
    }
    case 'pose': {
      const { last } = s.lines
      const number = numberText(act.amount, s.units, act.pieces)
      return `${last?.act.kind === 'pose' ? last.text : here(s)} ${act.operation} ${number}`
    }
    case 'split':
    case 'gather': {
      if (!s.parts || act.parts.length < 2) return ''
      const [whole, ...parts] = inCommon([act.whole, ...act.parts])
      return act.kind === 'split' ? `${whole} = ${parts.join(' + ')}` : `${parts.join(' + ')} = ${whole}`
    }
    case 'join':
    case 'take':
      return workLine(s, act.kind === 'take' ? '-' : '+', piecesOf(s, act), act.amount)
    case 'group': {
      const times = act.pieces
        ? addPieces([], act.pieces, Number(act.count))
        : asHeld(multiply(act.count, act.size), s.units)
      if (s.value !== ZERO) return workLine(s, '+', times, worthOf(times))
      const once = numberText(act.size, s.units, act.pieces)
      return act.count === '1' ? once : `${act.count} * ${once} = ${text(s, times)}`
    }
    case 'exchange':
      return `${rowText(s, s.held)} = ${rowText(s, addPieces(addPieces(s.held, act.from, -1), act.to))}`
    case 'read': {
      if (act.remainder !== undefined) return undefined
      const number = act.as ?? numberText(act.value, s.units, act.value === s.value ? s.held : undefined)
      if (act.value !== s.value || s.value !== s.answer) return `read ${number}`
      return s.problem === number ? number : `${s.problem} = ${number}`
    }
    default:
      return undefined
  }
}

const WORK = new RegExp(`^(${WRITTEN}) ([+-]) (${WRITTEN}) = (${WRITTEN})$`)
const POSE = new RegExp(`^.* ([+-]) (${WRITTEN})$`)
const TIMES = new RegExp(`^(\\d+) \\* (${WRITTEN}) = (${WRITTEN})$`)
const LAY = new RegExp(`^(${WRITTEN})(?: = (.+))?$`)
const READ = new RegExp(`^(?:read|.+ =) (${WRITTEN})$`)

/** The pieces of one side, several numbers of which are joined. */
function sidePieces(s: EquationsState, side: string): readonly Pieces[] | undefined {
  let all: readonly Pieces[] = []
  for (const number of side.split(' + ')) {
    const pieces = piecesIn(number, s.units)
    if (!pieces) return undefined
    all = addPieces(all, pieces)
  }
  return all
}

/** Every act that such a line could be; each is tried against what would be written for it. */
export function* fractionActs(s: EquationsState, line: string): Generator<Act> {
  const begun = s.lines.last !== null
  const value = (number: string): Exact => valueOf(parseNumeral(number))
  if (line.includes(' ? ')) {
    const row = line.split(' ? ').length - 1
    const pieces = piecesIn(line.split(' ? ').at(-1)!, s.units)
    const there = s.rows[row] ?? []
    const came = pieces && addPieces(pieces, there, -1)
    if (came) yield { kind: 'beside', amount: worthOf(came), pieces: came, row }
  }
  const compared = /^(?:read )?(.+ [<>].*|.+ [<>=] .+ [<>].*)$/.exec(line)?.[1]
  if (compared) yield* comparison(compared)
  if (s.named || s.units.fractions) {
    const read = READ.exec(line)?.[1]
    if (read) yield { kind: 'read', value: value(read), as: read }
  }
  if (/^[^=]+ = [^=]+$/.test(line) && s.rows.slice(1).length > 0) yield* comparison(line)
  if (!s.units.fractions) return
  const [, , sign, amount] = WORK.exec(line) ?? []
  if (sign && amount) {
    const pieces = piecesIn(amount, s.units)
    if (pieces) yield piecesAct(sign === '+' ? 'join' : 'take', pieces)
    yield { kind: sign === '+' ? 'join' : 'take', amount: value(amount) }
    if (pieces) yield { kind: 'group', count: exact(1), size: value(amount), pieces }
  }
  const [, count, size] = TIMES.exec(line) ?? []
  if (count && size)
    yield { kind: 'group', count: exact(count), size: value(size), pieces: piecesIn(size, s.units) ?? [] }
  const lay = LAY.exec(line)
  if (lay && !begun) {
    const pieces = sidePieces(s, lay[2] ?? lay[1]!)
    if (pieces) yield piecesAct('lay', pieces)
    yield { kind: 'lay', amount: value(lay[1]!) }
    if (pieces) yield { kind: 'group', count: exact(1), size: value(lay[1]!), pieces }
  }
  const [, operation, asked] = POSE.exec(line) ?? []
  if (operation && asked && !line.includes('=')) {
    const pieces = piecesIn(asked, s.units)
    yield { kind: 'pose', operation: operation as '+' | '-', amount: value(asked), ...(pieces ? { pieces } : {}) }
  }
  const sides = line.split(' = ')
  if (sides.length === 2 && s.parts) yield* partings(sides)
  if (sides.length === 2)
    for (const [row, held] of [s.held, ...s.rows].entries()) {
      const pieces = sidePieces(s, sides[1]!)
      const change = pieces && addPieces(pieces, held, -1)
      if (!change || worthOf(change) !== ZERO) continue
      const [from, to] = [opposite(change.filter((p) => p.count < 0)), change.filter((p) => p.count > 0)]
      yield { kind: 'exchange', from, to, ...(row === 0 ? {} : { aside: row - 1 }) }
    }
}

/** A number parted into others, or put together from them. */
function* partings(sides: readonly string[]): Generator<Act> {
  const read = attempt(() => sides.map((side) => side.split(' + ').map((n) => valueOf(parseNumeral(n)))))
  if ('refused' in read) return
  const [left = [], right = []] = read.ok
  if (left.length === 1 && right.length > 1) yield { kind: 'split', whole: left[0]!, parts: right }
  if (right.length === 1 && left.length > 1) yield { kind: 'gather', whole: right[0]!, parts: left }
}

/** A comparison, where the line is one. */
function* comparison(line: string): Generator<Act> {
  const read = attempt(() => comparisonIn(line))
  if ('ok' in read) yield { kind: 'compare', ...read.ok }
}

/** What lies beside after an act: the number that is posed first, then the rows that are compared. */
export function rowsAfter(s: EquationsState, act: Act): EquationsState['rows'] {
  switch (act.kind) {
    case 'pose':
      return [act.pieces ?? asHeld(act.amount, s.units), ...s.rows.slice(1)]
    case 'join':
    case 'take': {
      const [posed = [], ...others] = s.rows
      const rest = addPieces(posed, piecesOf(s, act), -1)
      return [rest.every((p) => p.count > 0) ? rest : [], ...others]
    }
    case 'exchange':
      if (act.aside === undefined) return s.rows
      return s.rows.map((row, i) => (i === act.aside ? addPieces(addPieces(row, act.from, -1), act.to) : row))
    case 'beside': {
      const rows = [...s.rows]
      while (rows.length <= act.row) rows.push([])
      rows[act.row] = addPieces(rows[act.row]!, act.pieces ?? asHeld(act.amount, s.units))
      return rows
    }
    default:
      return s.rows
  }
}
