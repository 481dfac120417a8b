import { compare, exact, toCount } from '../number/exact'
import { digitsOf, worth } from '../number/places'
import { valueOf } from '../number/numeral'
import { decimalsIn, isChain, type Problem } from '../problem/problem'
import type { Worked } from './procedure'

/**
 * Written adding and taking away, column by column, done by the rule or by a habit that departs from it. Habits are laid over the rule:
 * wherever a habit has something of its own to do it does that, else the rule goes on. So habits can be had together, and each step
 * can be shown.
 */

/** A problem as it stands on a column sheet: digits with the ones (or the lowest decimal) first. */
export interface Sheet {
  readonly operation: '+' | '-'
  readonly rows: readonly (readonly number[])[]
  /** How many digits each row has as it is written, without noughts in front. */
  readonly lengths: readonly number[]
  readonly width: number
  readonly decimals: number
}

const sheets = new WeakMap<Problem, Sheet | null>()

/** The sheet of a problem that is added, or one number taken from a greater one; null where it is none. Only from nought up. */
export function sheetOf(problem: Problem): Sheet | null {
  const known = sheets.get(problem)
  if (known !== undefined) return known
  const sheet = readSheet(problem)
  sheets.set(problem, sheet)
  return sheet
}

function readSheet(problem: Problem): Sheet | null {
  const { first, terms } = problem
  if (!isChain(problem) || terms.length === 0 || problem.pairs) return null
  const numbers = [first, ...terms.map((t) => t.number)]
  if (numbers.some((n) => n.form !== 'places' || n.negative)) return null
  const operation = terms[0]!.operation as '+' | '-'
  if (terms.some((t) => t.operation !== operation) || (operation === '-' && terms.length > 1)) return null
  const decimals = decimalsIn(problem)
  const values = numbers.map(valueOf)
  if (operation === '-' && compare(values[0]!, values[1]!) < 0) return null
  const lengths = values.map((v) => digitsOf(v, 1, decimals).length)
  const width = Math.max(...lengths)
  return { operation, rows: values.map((v) => digitsOf(v, width, decimals)), lengths, width, decimals }
}

/** One thing done on the sheet; `at` counts columns from the lowest. */
export interface ColumnStep {
  readonly at: number
  readonly does: 'exchange' | 'column'
  /** What stands at the top of each column after it: of taking away what is left there, of adding what was carried. */
  readonly stands: readonly number[]
  /** What has been written below the rule so far, the lowest first. */
  readonly wrote: readonly string[]
  /** What it is in words, for the place it is at. */
  readonly says: string
}

/** How a sheet was worked. */
export interface ColumnTrace {
  readonly steps: readonly ColumnStep[]
  readonly marks: readonly string[]
  readonly wrote: readonly string[]
}

/** What stands on a sheet that is being taken away on, as a habit sees it; `top` may be changed by an exchange. */
export interface Taking {
  readonly top: number[]
  readonly bottom: readonly number[]
  /** How many digits the lower number has: beyond them the column is empty. */
  readonly under: number
  readonly width: number
}

/** A habit in taking away: what it writes in a column, whether it exchanges there at all, and how. */
export interface TakingHabit {
  /** What it writes without any exchange, with the words for it; undefined where it does as the rule does. */
  column?(sheet: Taking, at: number): { readonly writes: number; readonly says: string } | undefined
  /** That it exchanges where there is no need. */
  readonly always?: true
  /** Exchanges for a column, changing the tops; the words for it, or undefined where it does as the rule does. */
  exchange?(sheet: Taking, at: number): string | undefined
}

/** Takes from the next place that has some; whatever lies between becomes nine. False where there is nothing to take from. */
function exchange({ top, width }: Taking, at: number): boolean {
  let from = at + 1
  while (from < width && top[from] === 0) from++
  if (from >= width) return false
  top[from]!--
  for (let between = from - 1; between > at; between--) top[between] = 9
  top[at]! += 10
  return true
}

/** Works a subtraction with habits, the first of them first. */
export function takeAway(sheet: Sheet, habits: readonly TakingHabit[]): ColumnTrace {
  const [above, below] = sheet.rows as [readonly number[], readonly number[]]
  const top = [...above]
  const state: Taking = { top, bottom: below, under: sheet.lengths[1]!, width: sheet.width }
  const wrote: string[] = []
  const steps: ColumnStep[] = []
  const note = (at: number, does: ColumnStep['does'], says: string): void =>
    void steps.push({ at, does, stands: [...top], wrote: [...wrote], says })
  for (let at = 0; at < sheet.width; at++) {
    const b = below[at]!
    const own = first(habits, (h) => h.column?.(state, at))
    if (own) {
      wrote.push(String(own.writes))
      note(at, 'column', own.says)
      continue
    }
    const needs = top[at]! < b || (habits.some((h) => h.always) && at < sheet.width - 1)
    if (needs) {
      const done =
        first(habits, (h) => h.exchange?.(state, at)) ?? (exchange(state, at) ? 'one exchanged for ten' : undefined)
      if (done !== undefined) note(at, 'exchange', done)
    }
    const left = top[at]! - b
    // Where nothing could be exchanged the smaller is taken from the greater, since something has to be written.
    const digit = left < 0 ? -left : left
    wrote.push(String(at < sheet.width - 1 ? digit % 10 : digit))
    note(at, 'column', left < 0 ? `${b} less ${top[at]!} is ${digit}` : `${top[at]!} less ${b} is ${digit}`)
  }
  const marks = top.map((t, i) => (t === above[i] ? '' : String(t)))
  return { steps, marks, wrote }
}

/** A habit in adding. */
export interface AddingHabit {
  /** Lines the numbers up some other way. */
  lineUp?(sheet: Sheet): Sheet
  /** What is written for a column's sum, and what is carried to which columns; undefined where it does as the rule does. */
  column?(
    sum: number,
    at: number,
    width: number,
  ):
    | {
        readonly writes: string
        readonly carries: readonly { readonly to: number; readonly count: number }[]
        readonly says: string
      }
    | undefined
}

/** Adds up a sheet with habits, the first of them first. */
export function addUp(given: Sheet, habits: readonly AddingHabit[]): ColumnTrace {
  const sheet = first(habits, (h) => h.lineUp?.(given)) ?? given
  const carried: number[] = []
  const wrote: string[] = []
  const steps: ColumnStep[] = []
  const note = (at: number, does: ColumnStep['does'], says: string): void =>
    void steps.push({ at, does, stands: Array.from(carried, (c) => c ?? 0), wrote: [...wrote], says })
  for (let at = 0; at < sheet.width || (carried[at] ?? 0) > 0; at++) {
    const sum = sheet.rows.reduce((n, row) => n + (row[at] ?? 0), carried[at] ?? 0)
    const last = at >= sheet.width - 1 && !((carried[at + 1] ?? 0) > 0)
    const own = first(habits, (h) => h.column?.(sum, at, sheet.width))
    const carries = own?.carries ?? (sum > 9 && !last ? [{ to: at + 1, count: Math.floor(sum / 10) }] : [])
    wrote.push(own?.writes ?? String(last ? sum : sum % 10))
    note(at, 'column', own?.says ?? `the column comes to ${sum}`)
    for (const { to, count } of carries) carried[to] = (carried[to] ?? 0) + count
    if (carries.length > 0) note(at, 'exchange', `${carries[0]!.count} carried`)
  }
  const marks = Array.from({ length: wrote.length }, (_, i) => (carried[i] ? String(carried[i]) : ''))
  return { steps, marks, wrote }
}

function first<H, T>(habits: readonly H[], of: (habit: H) => T | undefined): T | undefined {
  for (const habit of habits) {
    const found = of(habit)
    if (found !== undefined) return found
  }
  return undefined
}

/** What a trace comes to: its digits in a row, with the point where it belongs. */
export function workedOf({ wrote, marks }: ColumnTrace, decimals: number): Worked {
  const all = BigInt([...wrote].reverse().join(''))
  return { value: decimals === 0 ? exact(all) : exact(`${all}/${10n ** BigInt(decimals)}`), marks }
}

/** Numbers shifted so that their first digits stand under each other. */
export function flushedLeft(sheet: Sheet): Sheet {
  const { lengths, width, rows } = sheet
  const shifted = rows.map((row, i) => {
    const by = width - lengths[i]!
    return [...new Array<number>(by).fill(0), ...row.slice(0, lengths[i])]
  })
  return { ...sheet, rows: shifted, lengths: lengths.map(() => width) }
}

/** Whole numbers of a problem of one step, as counting has them; null where they are not, or the answer would be below nought. */
export function countedOf(
  problem: Problem,
): { readonly a: number; readonly b: number; readonly operation: '+' | '-' } | null {
  const sheet = sheetOf(problem)
  if (!sheet || sheet.rows.length !== 2 || sheet.decimals > 0) return null
  const [a, b] = sheet.rows.map((row) => toCount(worth(row))) as [number, number]
  return { a, b, operation: sheet.operation }
}
