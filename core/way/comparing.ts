import { holds, type Act, type BesideAct, type CompareAct, type ExchangeAct } from '../act/act'
import type { Standing } from '../act/standing'
import type { Choices } from '../choices'
import { compare, negate, subtract } from '../number/exact'
import { relationOf } from '../number/fractions'
import { valueOf } from '../number/numeral'
import { numberText } from '../number/text'
import { countOf, opposite, piecesOfNumeral, samePieces, worthOf, type Pieces } from '../number/units'
import { answer, totals, type Amount, type Problem } from '../problem/problem'
import { partsIn, inKind, commonOf, recutAll } from './recut'
import { chain } from './chain'

/** Amounts held against one another (practice, section 11; common practice, no source). */

/** One number of an amount, in the very pieces that it names. */
const piecesOf = (amount: Amount, i: number, s: Standing): readonly Pieces[] => {
  const number = i === 0 ? amount.first : amount.terms[i - 1]!.number
  return piecesOfNumeral(number, valueOf(number), s.units) ?? []
}

/** What of an amount comes next in its row; null where all of it lies there. */
function besideNext(amount: Amount, row: number, s: Standing, choices: Choices): BesideAct | ExchangeAct | null {
  const lies = s.others[row - 1] ?? []
  const there = worthOf(lies)
  if (there === answer(amount)) return null
  const reached = totals(amount)
  const at = lies.length === 0 ? -1 : reached.indexOf(there)
  if (at < 0 && lies.length > 0) {
    // Something else lies there: what is too much or too little, worked whole.
    const off = subtract(answer(amount), there)
    return { kind: 'beside', amount: off, row }
  }
  const pieces = piecesOf(amount, at + 1, s)
  if (at < 0 || amount.terms[at]!.operation === '+') return { kind: 'beside', amount: worthOf(pieces), pieces, row }
  const lacks = pieces.some((p) => countOf(lies, p.unit) < p.count)
  if (!lacks) return { kind: 'beside', amount: negate(worthOf(pieces)), pieces: opposite(pieces), row }
  const bottom = commonOf(partsIn([...lies, ...pieces]), s, choices)
  const all = inKind(lies, bottom, s)
  if (!all || samePieces(all, lies)) {
    const gone = inKind(pieces, bottom, s)
    if (gone && all) return { kind: 'beside', amount: negate(worthOf(gone)), pieces: opposite(gone), row }
    return { kind: 'beside', amount: negate(worthOf(pieces)), row }
  }
  return { kind: 'exchange', from: lies, to: all, aside: row }
}

/** How the amounts stand to each other: two as they were asked, more of them from the least up. */
function comparison(rows: readonly (readonly Pieces[])[], s: Standing): CompareAct {
  const named = rows.map((pieces) => ({ value: worthOf(pieces), text: numberText(worthOf(pieces), s.units, pieces) }))
  if (named.length > 2) named.sort((a, b) => compare(a.value, b.value))
  return {
    kind: 'compare',
    numbers: named.map((n) => n.text),
    relations: named.slice(1).map((n, i) => relationOf(named[i]!.value, n.value)),
  }
}

/** Works what is asked first, sets the others beside it, cuts all into common parts where that is wanted, and compares. */
export function comparing(problem: Problem, s: Standing, choices: Choices, common: boolean): Act | null {
  const { others = [], ...own } = problem
  const first = chain(own, s, choices, { common: true, apart: false })
  if (first && first.kind !== 'read') return first
  for (const [i, amount] of others.entries()) {
    const act = besideNext(amount, i + 1, s, choices)
    if (act) return act
  }
  const rows = [s.held, ...s.others.slice(0, others.length)]
  const cut = common ? recutAll(rows, s, choices, (i) => (i === 0 ? undefined : i)) : null
  if (cut) return cut
  return s.compared && holds(s.compared) ? null : comparison(rows, s)
}
