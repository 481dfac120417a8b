import { Refusal } from '../refusal'
import { cardsOf, nextOf, type Answer } from './schedule'

/** Facts known by heart, and counting in steps (practice, sections 5 and 13; common practice, no source). */

export const FACT_KINDS = ['fact', 'skip', 'double', 'half', 'to-10', 'to-100', 'back'] as const
export type FactKind = (typeof FACT_KINDS)[number]

/** How far a count back may begin. */
export const BACK_RANGES = [10, 15, 18] as const
/** The largest factor of a fact, and the largest step of a skip count. */
export const LARGEST_FACTOR = 12
/** How far a skip count goes. */
const FARTHEST = 200

/**
 * `fact 7*8`; `skip 14+7` and `skip 35-7`: what comes next, counted in sevens forwards or back; `double 8`, `half 16`; `to-10 7`,
 * `to-100 64`: what is missing; `back 13-4`, counted back.
 */
export interface FactItem {
  readonly kind: FactKind
  readonly a: number
  /** The second number; below nought where a skip count goes back; 0 where there is none. */
  readonly b: number
}

export function printFact({ kind, a, b }: FactItem): string {
  if (kind === 'fact') return `fact ${a}*${b}`
  if (kind === 'skip') return `skip ${a}${b < 0 ? '-' : '+'}${Math.abs(b)}`
  return kind === 'back' ? `back ${a}-${b}` : `${kind} ${a}`
}

/** Whether something rehearsed is a fact, and not beads. */
export const isFact = (text: string): boolean => FACT_KINDS.some((kind) => text.startsWith(`${kind} `))

const within = (n: number, low: number, high: number): boolean => n >= low && n <= high

/** Whether an item is one that is ever asked. */
function isAsked({ kind, a, b }: FactItem): boolean {
  switch (kind) {
    case 'fact':
      return within(a, 1, LARGEST_FACTOR) && within(b, 1, LARGEST_FACTOR)
    case 'skip':
      return within(Math.abs(b), 2, LARGEST_FACTOR) && within(a, 0, FARTHEST) && a + b >= 0
    case 'double':
      return within(a, 1, 100)
    case 'half':
      return within(a, 2, 200) && a % 2 === 0
    case 'to-10':
      return within(a, 0, 10)
    case 'to-100':
      return within(a, 0, 100)
    case 'back':
      return within(b, 1, 9) && within(a, b, 18)
  }
}

/** The inverse of `printFact`. @throws Refusal for text that is no fact to rehearse. */
export function parseFact(text: string): FactItem {
  const [, kind, a, sign, b] = /^([a-z-]+(?:-10{1,2})?) (\d{1,3})(?:([*+-])(\d{1,2}))?$/.exec(text) ?? []
  const item = { kind: kind as FactKind, a: Number(a), b: Number(b ?? 0) * (kind === 'skip' && sign === '-' ? -1 : 1) }
  const known = FACT_KINDS.includes(item.kind) && isAsked(item)
  if (!known || printFact(item) !== text)
    throw new Refusal(`“${text.slice(0, 40)}” is nothing to rehearse.`, 'Like: fact 7*8, or skip 14+7.')
  return item
}

export function factAnswer({ kind, a, b }: FactItem): number {
  switch (kind) {
    case 'fact':
      return a * b
    case 'skip':
      return a + b
    case 'double':
      return 2 * a
    case 'half':
      return a / 2
    case 'to-10':
      return 10 - a
    case 'to-100':
      return 100 - a
    case 'back':
      return a - b
  }
}

export const isRightFact = (item: FactItem, given: string): boolean =>
  /^\d{1,4}$/.test(given.trim()) && Number(given) === factAnswer(item)

/** What is rehearsed of facts. */
export interface FactWish {
  readonly kinds: readonly FactKind[]
  /** Which tables, and in which steps is counted: 1 to 12. */
  readonly tables: readonly number[]
  /** How far each table goes. */
  readonly upTo: 10 | 12
  readonly range: (typeof BACK_RANGES)[number]
  readonly seed: number
}

const count = (n: number, from = 1): readonly number[] => Array.from({ length: n }, (_, i) => from + i)

/** Everything that may come of one kind. */
function itemsOf(kind: FactKind, { tables, upTo, range }: FactWish): readonly FactItem[] {
  switch (kind) {
    case 'fact':
      return tables.flatMap((a) => count(upTo).map((b) => ({ kind, a: b, b: a })))
    case 'skip':
      return tables
        .filter((step) => step > 1)
        .flatMap((step) =>
          count(upTo + 1, 0).flatMap((n) => [
            { kind, a: n * step, b: step },
            { kind, a: n * step, b: -step },
            // From any number, not only from those of the table.
            { kind, a: n * step + 3, b: step },
          ]),
        )
        .filter(isAsked)
    case 'double':
      return count(50).map((a) => ({ kind, a, b: 0 }))
    case 'half':
      return count(50).map((a) => ({ kind, a: 2 * a, b: 0 }))
    case 'to-10':
      return count(11, 0).map((a) => ({ kind, a, b: 0 }))
    case 'to-100':
      return count(101, 0).map((a) => ({ kind, a, b: 0 }))
    case 'back':
      return count(range).flatMap((a) => count(Math.min(9, a)).map((b) => ({ kind, a, b })))
  }
}

/** The next fact: what was missed, what is due, something new; see `nextItem`. */
export function nextFact(answers: readonly Answer[], wish: FactWish, now: number): FactItem | undefined {
  const pool = new Map(wish.kinds.flatMap((kind) => itemsOf(kind, wish)).map((item) => [printFact(item), item]))
  return nextOf(answers, pool, wish.seed, now)
}

/** One fact, and how it has gone. */
export interface FactCell {
  readonly item: FactItem
  readonly tries: number
  readonly right: number
  /** `new`; `missed` where the last answer was wrong; `due` where it is time again; `sure` until then. */
  readonly state: 'new' | 'missed' | 'due' | 'sure'
}

/** The results of a × b: rows by the first number, columns by the second. */
export function factGrid(answers: readonly Answer[], upTo: 10 | 12, now: number): readonly (readonly FactCell[])[] {
  const cards = cardsOf(answers)
  const own = new Map<string, Answer[]>()
  for (const a of answers) {
    const all = own.get(a.item)
    if (all) all.push(a)
    else own.set(a.item, [a])
  }
  return count(upTo).map((a) =>
    count(upTo).map((b): FactCell => {
      const item: FactItem = { kind: 'fact', a, b }
      const id = printFact(item)
      const all = own.get(id) ?? []
      const right = all.filter((x) => x.right).length
      if (all.length === 0) return { item, tries: 0, right, state: 'new' }
      const due = cards.get(id)!.due.getTime() <= now
      return { item, tries: all.length, right, state: !all.at(-1)!.right ? 'missed' : due ? 'due' : 'sure' }
    }),
  )
}
