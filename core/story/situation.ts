import { add, divide, exact, multiply, sign, subtract, type Exact } from '../number/exact'
import { printExact } from '../number/numeral'

/**
 * Situations that stories tell, as data: what is known, what is asked, and the sentence that the story makes. The cells of `TABLES` are
 * those of the Common Core State Standards for Mathematics, glossary, tables 1 and 2 (from memory).
 */

/** A situation is three amounts of which two make the third: `a + b = c`, `a - b = c` or `a * b = c`. */
export const SITUATIONS = {
  /** There are some, more come: now there are so many. */
  'add-to': { sign: '+', roles: ['start', 'change', 'result'] },
  /** There are some, some go. */
  'take-from': { sign: '-', roles: ['start', 'change', 'result'] },
  /** Two kinds are one whole; nothing happens. */
  together: { sign: '+', roles: ['first', 'second', 'whole'] },
  /** Two amounts held against each other: the lesser, what it lacks, the greater. */
  compare: { sign: '+', roles: ['lesser', 'difference', 'greater'] },
  /** So many groups with so many in each. */
  groups: { sign: '*', roles: ['number', 'size', 'product'] },
  /** So many rows with so many in each. */
  array: { sign: '*', roles: ['number', 'size', 'product'] },
  /** One amount so many times as great as another. */
  times: { sign: '*', roles: ['number', 'lesser', 'greater'] },
  /** A fraction of a whole. */
  part: { sign: '*', roles: ['whole', 'share', 'part'] },
  /** Up and down from a level, through nought and below it. */
  rise: { sign: '+', roles: ['start', 'change', 'result'] },
  fall: { sign: '-', roles: ['start', 'change', 'result'] },
  /** What there is, held against what is wanted; what is over is below nought where it is not enough. */
  enough: { sign: '-', roles: ['there', 'wanted', 'over'] },
} as const

export type SituationId = keyof typeof SITUATIONS
export type Role = (typeof SITUATIONS)[SituationId]['roles'][number]
/** How a comparison is put: by what is more, or by what is fewer. */
export type Wording = 'more' | 'fewer'

/** One kind of story: a situation, what is asked in it (both parts of a whole, where that is `both`), and how a comparison is put. */
export interface Cell {
  readonly situation: SituationId
  readonly unknown: Role | 'both'
  readonly wording?: Wording
  /** In a story of two steps the situation of the first one, whose last amount is not told: it is the first of this one. */
  readonly after?: SituationId
}

const cells = (situation: SituationId, unknowns: readonly Cell['unknown'][]): readonly Cell[] =>
  unknowns.map((unknown) => ({ situation, unknown }))

/** The kinds of the published tables, in their order. */
export const TABLES: readonly Cell[] = [
  ...cells('add-to', ['result', 'change', 'start']),
  ...cells('take-from', ['result', 'change', 'start']),
  ...cells('together', ['whole', 'both', 'second', 'first']),
  ...(['difference', 'greater', 'lesser'] as const).flatMap((unknown) =>
    (['more', 'fewer'] as const).map((wording) => ({ situation: 'compare', unknown, wording }) as const),
  ),
  ...cells('groups', ['product', 'size', 'number']),
  ...cells('array', ['product', 'size', 'number']),
  ...cells('times', ['greater', 'lesser', 'number']),
]

/** Two situations, one after the other, of which only the last amount is asked. */
export const TWO_STEPS: readonly Cell[] = (
  [
    ['add-to', 'take-from'],
    ['add-to', 'add-to'],
    ['take-from', 'add-to'],
    ['take-from', 'take-from'],
    ['together', 'take-from'],
    ['groups', 'take-from'],
    ['groups', 'add-to'],
    ['groups', 'enough'],
  ] as const
).map(([after, situation]) => ({ situation, unknown: situation === 'enough' ? 'over' : 'result', after }))

/** Every kind of story. */
export const CELLS: readonly Cell[] = [
  ...TABLES,
  ...cells('part', ['part', 'whole', 'share']),
  ...cells('rise', ['result', 'change', 'start']),
  ...cells('fall', ['result', 'change', 'start']),
  ...cells('enough', ['over']),
  ...TWO_STEPS,
]

/** A kind of story by its id: `compare/lesser/more`, `groups>take-from/result`. */
export const cellId = ({ situation, unknown, wording, after }: Cell): string =>
  [after ? `${after}>${situation}` : situation, unknown, ...(wording ? [wording] : [])].join('/')
const BY_ID = new Map(CELLS.map((cell) => [cellId(cell), cell]))
export const cellById = (id: string): Cell | undefined => BY_ID.get(id)
export const CELL_IDS: readonly string[] = [...BY_ID.keys()]

/** The first step of a story of two: its last amount is asked, but not told. */
export const firstOf = ({ after }: Cell): Cell | undefined =>
  after && { situation: after, unknown: SITUATIONS[after].roles[2] }
/** The amount that the first step of two hands on: what there is then, or what is wanted. */
export const handedOn = ({ situation }: Cell): Role =>
  situation === 'enough' ? 'wanted' : SITUATIONS[situation].roles[0]

/** The three amounts of a story, by role. */
export type Amounts = Readonly<Partial<Record<Role, Exact>>>

export type Operation = '+' | '-' | '*' | '/'
export const WORK: Readonly<Record<Operation, (a: Exact, b: Exact) => Exact>> = {
  '+': add,
  '-': subtract,
  '*': multiply,
  '/': divide,
}

/** Which two amounts are worked, in which order, and how, to find what is asked. */
export interface Solving {
  readonly operation: Operation
  readonly left: Role
  readonly right: Role
}

/** How a kind of story is solved; undefined where both parts are asked, which has many answers. */
export function solvingOf({ situation, unknown }: Cell): Solving | undefined {
  if (unknown === 'both') return undefined
  const { sign, roles } = SITUATIONS[situation]
  const [a, b, c] = roles
  if (unknown === c) return { operation: sign, left: a, right: b }
  if (sign === '-') return unknown === a ? { operation: '+', left: c, right: b } : { operation: '-', left: a, right: c }
  return { operation: sign === '+' ? '-' : '/', left: c, right: unknown === a ? b : a }
}

/** What the words of a story make one do who listens to them alone (common practice, no source). */
export function suggests({ situation, unknown, wording }: Cell): Operation {
  if (situation === 'compare') return wording === 'fewer' ? '-' : '+'
  if (situation === 'part') return unknown === 'share' ? '/' : '*'
  return SITUATIONS[situation].sign
}

/** Whether the words mislead: “more” where one has to take away, “fewer” where one has to add. */
export const misleads = (cell: Cell): boolean => {
  const solving = solvingOf(cell)
  return solving !== undefined && suggests(cell) !== solving.operation
}

/** The missing amount, found from the two that are known. */
export function completed(cell: Cell, known: Amounts): Amounts {
  const solving = solvingOf(cell)
  if (!solving) return known
  const { operation, left, right } = solving
  return { ...known, [cell.unknown]: WORK[operation](known[left]!, known[right]!) }
}

/** Whether three amounts are those of a situation. */
export function isTrue(situation: SituationId, amounts: Amounts): boolean {
  const { sign, roles } = SITUATIONS[situation]
  const [a, b, c] = roles.map((role) => amounts[role])
  return a !== undefined && b !== undefined && c !== undefined && WORK[sign](a, b) === c
}

/** An amount as it is written in sentences: a share stays a fraction, anything else may be a decimal. */
export const printAmount = (role: Role | 'both', amount: Exact): string =>
  role === 'share' ? amount : printExact(amount)

/** What stands for an amount in a sentence: a number, `?` for what is asked, or what the first of two steps makes. */
type Shown = (role: Role) => string
const shown =
  ({ unknown }: Cell, amounts: Amounts): Shown =>
  (role) =>
    role === unknown || (unknown === 'both' && role !== 'whole') || amounts[role] === undefined
      ? '?'
      : printAmount(role, amounts[role])

/** The work of the first step where it stands inside the sentence of the second. */
function inside(cell: Cell, before: Amounts | undefined, of: Shown): Shown {
  const first = firstOf(cell)
  if (!first || !before) return of
  const [a, b] = SITUATIONS[first.situation].roles
  const part = shown(first, before)
  const work = `${part(a)} ${SITUATIONS[first.situation].sign} ${part(b)}`
  return (role) => (role === handedOn(cell) ? work : of(role))
}

/** The sentence that the story makes, with `?` for what is asked or not told: `? + 8 = 15`, `4 * 6 - 5 = ?`. */
export function sentenceOf(cell: Cell, amounts: Amounts, before?: Amounts): string {
  const { sign, roles } = SITUATIONS[cell.situation]
  const [a, b, c] = roles.map(inside(cell, before, shown(cell, amounts)))
  return `${a} ${sign} ${b} = ${c}`
}

/** The problem that is worked to find what is asked: `15 - 8`; undefined where both parts are asked. What is missing is found as what is over. */
export function problemFor(cell: Cell, amounts: Amounts): string | undefined {
  const solving = solvingOf(cell)
  if (!solving) return undefined
  const { operation, left, right } = solving
  const short = cell.situation === 'enough' && sign(amounts.over ?? exact(0)) < 0
  const [a, b] = short ? [right, left] : [left, right]
  return `${printAmount(a, amounts[a]!)} ${operation} ${printAmount(b, amounts[b]!)}`
}

/** The roles of a situation that are told, and not asked; in the second of two steps without what the first one makes. */
export const toldOf = (cell: Cell): readonly Role[] =>
  SITUATIONS[cell.situation].roles.filter(
    (role) =>
      role !== cell.unknown &&
      !(cell.unknown === 'both' && role !== 'whole') &&
      !(cell.after && role === handedOn(cell)),
  )
