import type { DivisionState, Try } from './state'

/** A line of figures on the division sheet: where it ends, counted in digits of the dividend from the left. */
export interface WorkRow {
  readonly kind: 'product' | 'difference'
  readonly text: string
  /** The column of its last figure. */
  readonly end: number
  /** Digits brought down beside it. */
  readonly brought: string
  readonly struck: boolean
  /** The digit of the quotient that it belongs to. */
  readonly square: number
}

/** All that is written under the dividend, from the top down; what was tried and struck stays. */
export function workRows({ tries, dividend, free }: DivisionState): readonly WorkRow[] {
  const rows: WorkRow[] = []
  const stands = (square: number): Try | undefined => tries[square]?.at(-1)
  for (let square = 0; square < free; square++) {
    const all = tries[square] ?? []
    for (const [n, { product, difference }] of all.entries()) {
      const struck = n < all.length - 1
      // A product that stands in the next try too is written once.
      const again = struck && all[n + 1]!.product === product && difference !== null
      if (product !== null && !(n > 0 && all[n - 1]!.product === product && all[n - 1]!.difference !== null))
        rows.push({
          kind: 'product',
          text: String(product),
          end: square,
          brought: '',
          struck: struck && !again,
          square,
        })
      if (difference === null) continue
      let last = square
      while (!struck && last + 1 < free && !(stands(last + 1)?.product ?? null)) last++
      // The digit that is worked with the next product belongs beside this difference, too.
      const to = struck ? square : Math.min(free - 1, stands(last + 1)?.product != null ? last + 1 : last)
      rows.push({
        kind: 'difference',
        text: String(difference),
        end: square,
        brought: dividend.slice(square + 1, to + 1),
        struck,
        square,
      })
    }
  }
  return rows
}

/** The step of the loop that comes next on the paper: 0 divide, 1 multiply, 2 subtract, 3 bring down; null once all is down. */
export function stepOf({ tries, free, dividend }: DivisionState): 0 | 1 | 2 | 3 | null {
  const one = tries[free - 1]?.at(-1)
  if (!one) return 0
  if (one.digit > 0 && one.product === null) return 1
  if (one.digit > 0 && one.difference === null) return 2
  return free < dividend.length ? 3 : null
}
