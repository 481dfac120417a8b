import { add, divide, exact, multiply, subtract, type Exact } from '../number/exact'
import { printExact } from '../number/numeral'

/**
 * Situations that stories tell, as data: what is known, what is asked, and the sentence that the story makes. The cells are those of the
 * Common Core State Standards for Mathematics, glossary, tables 1 and 2 (from memory).
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
}

/** Every kind of story, in the order of the tables. */
export const CELLS: readonly Cell[] = [
  ...(['result', 'change', 'start'] as const).map((unknown) => ({ situation: 'add-to', unknown }) as const),
  ...(['result', 'change', 'start'] as const).map((unknown) => ({ situation: 'take-from', unknown }) as const),
  ...(['whole', 'both', 'second', 'first'] as const).map((unknown) => ({ situation: 'together', unknown }) as const),
  ...(['difference', 'greater', 'lesser'] as const).flatMap((unknown) =>
    (['more', 'fewer'] as const).map((wording) => ({ situation: 'compare', unknown, wording }) as const),
  ),
  ...(['groups', 'array'] as const).flatMap((situation) =>
    (['product', 'size', 'number'] as const).map((unknown) => ({ situation, unknown }) as const),
  ),
  ...(['greater', 'lesser', 'number'] as const).map((unknown) => ({ situation: 'times', unknown }) as const),
]

/** The three amounts of a story, by role. */
export type Amounts = Readonly<Partial<Record<Role, Exact>>>

export type Operation = '+' | '-' | '*' | '/'
const DO: Readonly<Record<Operation, (a: Exact, b: Exact) => Exact>> = {
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
export function suggests({ situation, wording }: Cell): Operation {
  if (situation === 'take-from') return '-'
  if (situation === 'compare') return wording === 'fewer' ? '-' : '+'
  return situation === 'add-to' || situation === 'together' ? '+' : '*'
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
  return { ...known, [cell.unknown]: DO[operation](known[left]!, known[right]!) }
}

/** Whether three amounts are those of a situation. */
export function isTrue(situation: SituationId, amounts: Amounts): boolean {
  const { sign, roles } = SITUATIONS[situation]
  const [a, b, c] = roles.map((role) => amounts[role])
  return a !== undefined && b !== undefined && c !== undefined && DO[sign](a, b) === c
}

/** The sentence that the story makes, with `?` for what is asked: `? + 8 = 15`. */
export function sentenceOf({ situation, unknown }: Cell, amounts: Amounts): string {
  const { sign, roles } = SITUATIONS[situation]
  const asked = (role: Role): boolean => role === unknown || (unknown === 'both' && role !== 'whole')
  const [a, b, c] = roles.map((role) => (asked(role) ? '?' : printExact(amounts[role] ?? exact(0))))
  return `${a} ${sign} ${b} = ${c}`
}

/** The problem that is worked to find what is asked: `15 - 8`; undefined where both parts are asked. */
export function problemFor(cell: Cell, amounts: Amounts): string | undefined {
  const solving = solvingOf(cell)
  return solving && `${printExact(amounts[solving.left]!)} ${solving.operation} ${printExact(amounts[solving.right]!)}`
}

/** The roles of a situation that are told, and not asked. */
export const toldOf = ({ situation, unknown }: Cell): readonly Role[] =>
  SITUATIONS[situation].roles.filter((role) => role !== unknown && !(unknown === 'both' && role !== 'whole'))
