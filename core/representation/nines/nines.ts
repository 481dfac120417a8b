import type { Act } from '../../act/act'
import { exact, multiply, negate, sign, toCount, ZERO, type Exact } from '../../number/exact'
import { decimal } from '../../number/units'
import { FITS } from '../../problem/fit'
import { asProduct, fingerOf, nineInstead } from '../../problem/nines'
import type { Problem } from '../../problem/problem'
import { Refusal } from '../../refusal'
import type { Recognised, Representation } from '../representation'
import { numberAt, spanOf, wordsOf } from '../text'

/** Ten fingers, numbered from the left; at most one of them is folded. */
export interface NinesState {
  readonly folded: number | null
  readonly read: Exact | null
}

export type NinesMove =
  | { readonly kind: 'fold' | 'unfold'; readonly finger: number }
  | { readonly kind: 'read'; readonly value: Exact | null }

const NINE = exact(9)

/** The fingers before the folded one are tens, those after it ones; nothing is shown while all stand. */
export const tensAndOnes = (folded: number): { readonly tens: number; readonly ones: number } => ({
  tens: folded - 1,
  ones: 10 - folded,
})

function apply(s: NinesState, move: NinesMove): NinesState {
  switch (move.kind) {
    case 'read':
      return { ...s, read: move.value }
    case 'fold':
      if (s.folded !== null)
        throw new Refusal(`Finger ${s.folded} is folded already.`, `Unfold it first: unfold ${s.folded}.`)
      return { ...s, folded: move.finger }
    case 'unfold':
      if (s.folded !== move.finger) throw new Refusal(`Finger ${move.finger} is not folded.`)
      return { ...s, folded: null }
  }
}

function perform(_: NinesState, act: Act): readonly NinesMove[] {
  if (act.kind === 'read') return [{ kind: 'read', value: act.value }]
  if (act.kind === 'group' && act.size === NINE) {
    const finger = toCount(sign(act.count) < 0 ? negate(act.count) : act.count)
    if (finger >= 1 && finger <= 10) return [{ kind: sign(act.count) > 0 ? 'fold' : 'unfold', finger }]
  }
  throw new Refusal('Nines hands only fold one finger.', 'They are for nines, and for nothing else.')
}

function recognise(_: NinesState, moves: readonly NinesMove[]): Recognised {
  const [move] = moves
  if (!move || moves.length > 1) return undefined
  if (move.kind === 'read') return move.value === null ? undefined : [{ kind: 'read', value: move.value }]
  const count = exact(move.kind === 'fold' ? move.finger : -move.finger)
  return [{ kind: 'group', count, size: NINE }]
}

function parse(text: string): NinesMove {
  const [verb, number, extra] = wordsOf(text)
  if (extra) throw new Refusal(`“${extra.text}” is one word too many.`, '', spanOf(extra))
  if (verb?.text === 'unread') return { kind: 'read', value: null }
  if (verb?.text === 'read') return { kind: 'read', value: numberAt(number, text) as Exact }
  if (verb?.text !== 'fold' && verb?.text !== 'unfold')
    throw new Refusal('Nines hands know fold, unfold and read.', 'Like: fold 4.', verb && spanOf(verb))
  const finger = Number(numberAt(number, text))
  if (finger < 1 || finger > 10)
    throw new Refusal(
      `There is no finger ${finger}.`,
      'The fingers are 1 to 10, from the left.',
      number && spanOf(number),
    )
  return { kind: verb.text, finger }
}

/** Why a problem is none for these hands, with the arithmetic of it. */
const why = (problem: Problem): string =>
  `${asProduct(problem)} is not nine times a number from 1 to 10. Nines hands work only for the nine times table, since 9 × n is n − 1 tens and 10 − n ones.${nineInstead(problem)}`

/** Nines hands: fold the finger of the number, read tens before it and ones after it (practice, section 2). */
export const nines: Representation<NinesState, NinesMove> = {
  id: 'nines',
  title: 'nines hands',
  called: 'nines hands',
  kind: 'concrete',
  units: decimal(2),
  sorts: ['nines'],
  verbs: { lay: 'fold', join: 'fold', take: 'unfold', thing: ['finger', 'fingers'], folds: true },
  example: 'fold 4 · unfold 4 · read 36',
  fits: (problem) =>
    fingerOf(problem) === undefined ? { fits: false, why: why(problem), instead: ['fingers', 'blocks'] } : FITS,
  start: () => ({ folded: null, read: null }),
  apply,
  shows: (s) => (s.folded === null ? ZERO : multiply(exact(s.folded), NINE)),
  perform,
  recognise,
  print: (move) =>
    move.kind === 'read' ? (move.value === null ? 'unread' : `read ${move.value}`) : `${move.kind} ${move.finger}`,
  parse,
}
