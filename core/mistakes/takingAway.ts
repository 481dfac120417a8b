import { exact } from '../number/exact'
import { countedOf, sheetOf, takeAway, workedOf, type Taking, type TakingHabit } from './columnWork'
import { comingTo, type Procedure } from './procedure'

/**
 * Mistaken ways of taking away in columns. Names and behaviour follow the published catalogues where they have them (J. S. Brown and
 * R. R. Burton, “Diagnostic models for procedural bugs in basic mathematical skills”, Cognitive Science 2, 1978; K. VanLehn, “Mind
 * Bugs”, 1990; both from memory); others are common practice.
 */

/** A procedure that is a habit on the column sheet. */
export interface TakingProcedure extends Procedure {
  readonly taking: TakingHabit
}

const habit = (id: string, name: string, taking: TakingHabit): TakingProcedure => ({
  id,
  name,
  taking,
  computes: (problem) => {
    const sheet = sheetOf(problem)
    return sheet?.operation === '-' ? [workedOf(takeAway(sheet, [taking]), sheet.decimals)] : []
  },
})

/** The next column up, one less, unless it holds nothing. */
function lessen({ top, width }: Taking, at: number): boolean {
  if (at >= width || top[at]! <= 0) return false
  top[at]!--
  return true
}

export const smallerFromLarger = habit('smaller-from-larger', 'took the smaller digit from the larger in each column', {
  column: ({ top, bottom }, at) =>
    top[at]! < bottom[at]!
      ? {
          writes: bottom[at]! - top[at]!,
          says: `${bottom[at]!} less ${top[at]!}, turned round, is ${bottom[at]! - top[at]!}`,
        }
      : undefined,
})

export const notLessened = habit('borrow-no-decrement', 'exchanged without lessening the next place', {
  exchange: ({ top }, at) => {
    top[at]! += 10
    return 'ten came in here, and none was taken from the next place'
  },
})

export const notEnlarged = habit('lessens-without-enlarging', 'lessened the next place without enlarging this one', {
  exchange: (sheet, at) =>
    lessen(sheet, at + 1) ? 'one was taken from the next place, and no ten came in here' : undefined,
})

export const stopsAtZero = habit('stops-borrow-at-zero', 'stopped exchanging at a nought', {
  exchange: (sheet, at) => {
    if (sheet.top[at + 1] !== 0) return undefined
    sheet.top[at]! += 10
    return 'ten came in here, and the nought was left as it was'
  },
})

export const fromZero = habit('borrow-from-zero', 'turned a nought into nine and took nothing from beyond it', {
  exchange: (sheet, at) => {
    if (sheet.top[at + 1] !== 0) return undefined
    for (let up = at + 1; up < sheet.width && sheet.top[up] === 0; up++) sheet.top[up] = 9
    sheet.top[at]! += 10
    return 'the nought became nine, and nothing was taken from beyond it'
  },
})

export const acrossZero = habit('borrow-across-zero', 'exchanged from beyond a nought and skipped the nought', {
  exchange: (sheet, at) => {
    if (sheet.top[at + 1] !== 0) return undefined
    let from = at + 1
    while (from < sheet.width && sheet.top[from] === 0) from++
    if (!lessen(sheet, from)) return undefined
    sheet.top[at]! += 10
    return 'ten came in here from beyond the nought, which was skipped'
  },
})

export const zeroLeftTen = habit('zero-left-as-ten', 'exchanged across a nought and left ten there, not nine', {
  exchange: (sheet, at) => {
    if (sheet.top[at + 1] !== 0) return undefined
    let from = at + 1
    while (from < sheet.width && sheet.top[from] === 0) from++
    if (!lessen(sheet, from)) return undefined
    for (let between = from - 1; between > at; between--) sheet.top[between] = 10
    sheet.top[at]! += 10
    return 'the nought became ten, and no one of them went on to here'
  },
})

export const zeroLessIsItself = habit('zero-minus-n-is-n', 'took 0 − n for n', {
  column: ({ top, bottom }, at) =>
    top[at] === 0 && bottom[at]! > 0
      ? { writes: bottom[at]!, says: `0 less ${bottom[at]!} was written as ${bottom[at]!}` }
      : undefined,
})

export const zeroLessIsZero = habit('zero-minus-n-is-zero', 'took 0 − n for 0', {
  column: ({ top, bottom }, at) =>
    top[at] === 0 && bottom[at]! > 0 ? { writes: 0, says: `0 less ${bottom[at]!} was written as 0` } : undefined,
})

export const lessZeroIsZero = habit('n-minus-zero-is-zero', 'took n − 0 for 0', {
  column: ({ top, bottom, under }, at) =>
    at < under && bottom[at] === 0 && top[at]! > 0
      ? { writes: 0, says: `${top[at]!} less 0 was written as 0` }
      : undefined,
})

export const alwaysExchanges = habit('always-exchanges', 'exchanged in every column, needed or not', { always: true })

export const fromLeftmost = habit('always-borrow-left', 'exchanged from the leftmost place each time', {
  exchange: (sheet, at) => {
    if (sheet.width - at < 3 || !lessen(sheet, sheet.width - 1)) return undefined
    sheet.top[at]! += 10
    return 'ten came in here from the leftmost place'
  },
})

/** Not of columns: another thing done with the two numbers. */
const counted = (id: string, name: string, work: (a: number, b: number) => number): Procedure => ({
  id,
  name,
  computes: (problem) => {
    const of = countedOf(problem)
    return of?.operation === '-' ? comingTo([exact(Math.max(0, work(of.a, of.b)))]) : []
  },
})

export const addsInstead = counted('adds-instead', 'added instead of taking away', (a, b) => a + b)
export const backFromStart = counted(
  'counts-start-back',
  'counted back from the first number itself',
  (a, b) => a - b + 1,
)
export const touchMissedBack = counted('touch-missed-back', 'passed over one while taking away', (a, b) => a - b + 1)
export const touchTwiceBack = counted('touch-twice-back', 'took one twice', (a, b) => a - b - 1)
