import type { Act, BeginAct } from '../act/act'
import { add, compare, exact, negate, sign, type Exact } from '../number/exact'
import { printExact } from '../number/numeral'
import { Refusal } from '../refusal'

/** What lines have in common, ruled or open: one goes along them from a number by amounts, up or down. */

/** The number begun from, and every landing after it. */
export const landingsFrom = (start: Exact, moved: readonly Exact[]): readonly Exact[] =>
  moved.reduce<Exact[]>((all, by) => [...all, add(all.at(-1)!, by)], [start])

/** A way up from one number to another, where how far it is is wanted. @throws Refusal where it would go down. */
export function wayUp(from: Exact, to: Exact): BeginAct {
  if (compare(to, from) < 0)
    throw new Refusal(
      `${printExact(to)} is less than ${printExact(from)}.`,
      'A way up goes from the smaller number to the greater.',
    )
  return { kind: 'begin', from, step: exact(1), to, times: null }
}

/** Whether a count that was begun is a way along a line: in ones, up to a number. */
export const isWay = (begun: BeginAct): begun is BeginAct & { readonly to: Exact } =>
  begun.step === '1' && begun.to !== null

/** Having gone so far, as an act. */
export const movedBy = (by: Exact): Act =>
  sign(by) > 0 ? { kind: 'join', amount: by } : { kind: 'take', amount: negate(by) }

/** Why acts that change nothing are not seen on a line; empty for all others. */
export const notAlong = (act: Act): string =>
  act.kind === 'exchange' || act.kind === 'split' || act.kind === 'gather' || act.kind === 'rewrite'
    ? 'The line shows no such thing: the number stays where it is.'
    : ''
