import { exact } from '../number/exact'
import { addUp, countedOf, flushedLeft, sheetOf, workedOf, type AddingHabit } from './columnWork'
import { comingTo, type Procedure } from './procedure'

/** Mistaken ways of adding, in columns and by counting (practice, section 14; common practice, no source). */

/** A procedure that is a habit on the column sheet. */
export interface AddingProcedure extends Procedure {
  readonly adding: AddingHabit
}

const habit = (id: string, name: string, adding: AddingHabit): AddingProcedure => ({
  id,
  name,
  adding,
  computes: (problem) => {
    const sheet = sheetOf(problem)
    return sheet?.operation === '+' ? [workedOf(addUp(sheet, [adding]), sheet.decimals)] : []
  },
})
/** What a habit does where a column makes ten or more and there is a column to carry to. */
const carrying = (
  does: (ones: number, tens: number, at: number) => ReturnType<NonNullable<AddingHabit['column']>>,
): AddingHabit => ({
  column: (sum, at, width) => (sum > 9 && at < width - 1 ? does(sum % 10, Math.floor(sum / 10), at) : undefined),
})

export const forgetsCarry = habit(
  'forgets-carry',
  'forgot the carry',
  carrying((ones) => ({ writes: String(ones), carries: [], says: `${ones} was written, and nothing was carried` })),
)

export const wholeColumnSum = habit(
  'whole-column-sum',
  'wrote the whole sum of each column',
  carrying((ones, tens) => ({
    writes: `${tens}${ones}`,
    carries: [],
    says: `the whole sum, ${tens}${ones}, was written in one column`,
  })),
)

export const carriesTooFar = habit(
  'carries-too-far',
  'carried into the wrong column',
  carrying((ones, tens, at) => ({
    writes: String(ones),
    carries: [{ to: at + 2, count: tens }],
    says: `the ${tens} was carried one column too far`,
  })),
)

export const carriesAlways = habit('carries-always', 'carried one every time', {
  column: (sum, at, width) =>
    sum <= 9 && at < width - 1
      ? { writes: String(sum), carries: [{ to: at + 1, count: 1 }], says: 'one was carried although no ten was made' }
      : undefined,
})

export const carriesIntoSame = habit(
  'carries-into-same',
  'added the carry into the same column',
  carrying((ones, tens) => ({
    writes: String((ones + tens) % 10),
    carries: [],
    says: `the ${tens} was added to the ${ones} of its own column`,
  })),
)

export const carriesOnes = habit(
  'carries-ones',
  'wrote the ten and carried the ones',
  carrying((ones, tens, at) => ({
    writes: String(tens),
    carries: ones > 0 ? [{ to: at + 1, count: ones }] : [],
    says: `${tens} was written and ${ones} carried`,
  })),
)

export const flushLeft = habit('flush-left', 'wrote the columns flush left', { lineUp: flushedLeft })

const counted = (id: string, name: string, off: number): Procedure => ({
  id,
  name,
  computes: (problem) => {
    const of = countedOf(problem)
    return of?.operation === '+' ? comingTo([exact(Math.max(0, of.a + of.b + off))]) : []
  },
})

export const countsStart = counted('counts-start', 'counted the first number itself when counting on', -1)
export const touchMissed = counted('touch-missed', 'passed over a touch', -1)
export const touchTwice = counted('touch-twice', 'counted a touch twice', 1)
