import {
  addUp,
  sheetOf,
  takeAway,
  workedOf,
  type ColumnStep,
  type ColumnTrace,
  type Sheet,
} from '../mistakes/columnWork'
import { rightOf, type Worked } from '../mistakes/procedure'
import { compare, type Exact } from '../number/exact'
import { placeName, worth } from '../number/places'
import { printExact } from '../number/numeral'
import type { Problem } from '../problem/problem'
import { comesTo } from './item'
import { predicted, type Suspect } from './predict'

/** The same problem worked by a procedure and as it should be. */
export interface SideBySide {
  readonly theirs: Worked
  readonly right: Worked
  /** Column by column, where it is worked in columns. */
  readonly columns: {
    readonly sheet: Sheet
    readonly theirs: ColumnTrace
    readonly right: ColumnTrace
    /** The first step at which the two part; as many as there are steps where they never do. */
    readonly partsAt: number
  } | null
  /** Where they part, in a sentence; what each comes to, where there are no columns. */
  readonly says: string
}

const traceOf = (sheet: Sheet, { of }: Suspect): ColumnTrace =>
  sheet.operation === '-'
    ? takeAway(
        sheet,
        of.flatMap((k) => k.taking ?? []),
      )
    : addUp(
        sheet,
        of.flatMap((k) => k.adding ?? []),
      )

/**
 * What lies on a mat after so many steps, by columns from the lowest, as if pieces had been moved the way the digits were: of taking
 * away what is left, of adding what is still to be added and what has been written. A place may hold more than nine.
 */
export function piecesAt(sheet: Sheet, { steps }: ColumnTrace, count: number): readonly number[] {
  const now = steps[Math.min(count, steps.length) - 1]
  const [top = [], bottom = []] = sheet.rows
  const width = Math.max(sheet.width, now?.wrote.length ?? 0, now?.stands.length ?? 0)
  return Array.from({ length: width }, (_, at): number => {
    const done = now !== undefined && at < now.wrote.length
    if (sheet.operation === '+') {
      if (done) return Number(now.wrote[at])
      return sheet.rows.reduce((sum, row) => sum + (row[at] ?? 0), now?.stands[at] ?? 0)
    }
    const stands = now?.stands[at] ?? top[at] ?? 0
    // Where there are too few nothing can be taken: what was there stays.
    return done && stands >= (bottom[at] ?? 0) ? stands - (bottom[at] ?? 0) : stands
  })
}

/** Works a problem by a procedure, and beside it as it should be, up to where the two part and beyond. */
export function sideBySide(problem: Problem, suspect: Suspect): SideBySide {
  const right = rightOf(problem)
  const theirs = predicted(suspect, problem)[0]!
  const sheet = sheetOf(problem)
  if (sheet && suspect.of.length > 0 && suspect.of.every((k) => k.taking ?? k.adding)) {
    const traces = { theirs: traceOf(sheet, suspect), right: traceOf(sheet, { of: [], form: 0 }) }
    const partsAt = partingOf(traces.theirs, traces.right)
    return {
      theirs: workedOf(traces.theirs, sheet.decimals),
      right,
      columns: { sheet, ...traces, partsAt },
      says: sayParting(sheet, traces.theirs, partsAt),
    }
  }
  const says = comesTo(theirs, right)
    ? 'Both come to the same here: another problem shows where they part.'
    : `It comes to ${printExact(theirs.value)} that way, ${direction(theirs.value, right.value)} than ${printExact(right.value)}.`
  return { theirs, right, columns: null, says }
}

const direction = (a: Exact, b: Exact): string => (compare(a, b) > 0 ? 'which is more' : 'which is less')

function partingOf({ steps: a }: ColumnTrace, { steps: b }: ColumnTrace): number {
  const alike = (x?: ColumnStep, y?: ColumnStep): boolean =>
    x !== undefined &&
    y !== undefined &&
    x.at === y.at &&
    x.does === y.does &&
    x.says === y.says &&
    x.wrote.join() === y.wrote.join() &&
    trimmed(x.stands) === trimmed(y.stands)
  const at = a.findIndex((step, i) => !alike(step, b[i]))
  return at >= 0 ? at : a.length
}
const trimmed = (counts: readonly number[]): string => counts.join().replace(/(,0)+$/, '')

function sayParting(sheet: Sheet, { steps }: ColumnTrace, at: number): string {
  const step = steps[at]
  if (!step) return 'Both go the same way here: another problem shows where they part.'
  const before = steps[at - 1]?.stands ?? sheet.rows[0]!
  const [had, has] = [worth(before, sheet.decimals), worth(step.stands, sheet.decimals)]
  const changed =
    sheet.operation === '-' && step.does === 'exchange' && had !== has
      ? ` There were ${printExact(had)}; now the columns hold ${printExact(has)}.`
      : ''
  return `Here they part, in the ${placeName(step.at - sheet.decimals)}: ${step.says}.${changed}`
}
