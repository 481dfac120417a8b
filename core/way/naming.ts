import { piecesAct, type Act } from '../act/act'
import { isRead, type Standing } from '../act/standing'
import { wholly } from '../act/unfold'
import { subtract } from '../number/exact'
import { denominatorOf } from '../number/fractions'
import { printExact, printNumeral, valueOf } from '../number/numeral'
import { fractionText } from '../number/text'
import { addPieces, opposite, piecesFor, samePieces, tensIn, USUAL_PARTS, type Pieces } from '../number/units'
import { writtenIn } from '../problem/fitParts'
import type { Naming, Problem } from '../problem/problem'
import { ONE, partsIn, inKind } from './recut'

/** One number written another way (practice, section 11; common practice, no source). */

/** In which pieces a number is to lie, and how it is written then. */
function wanted(
  named: Naming,
  problem: Problem,
  s: Standing,
): { readonly pieces: readonly Pieces[]; readonly as: string } | null {
  const value = valueOf(problem.first)
  const inParts = (bottom: bigint): { pieces: readonly Pieces[]; as: string } => {
    const pieces = inKind([{ count: 1, unit: value }], bottom, s) ?? s.held
    return { pieces, as: fractionText(value, pieces) }
  }
  switch (named.kind) {
    case 'parts':
      return inParts(BigInt(named.of))
    case 'simplest': {
      const whole = problem.first.form === 'fraction' && problem.first.whole !== ''
      const pieces = whole ? (piecesFor(value, s.units) ?? s.held) : inParts(denominatorOf(value)).pieces
      return { pieces, as: fractionText(value, pieces) }
    }
    case 'decimal':
      return { pieces: piecesFor(value, tensIn(s.units)) ?? s.held, as: printExact(value) }
    case 'fraction':
      return inParts(writtenIn(problem.first))
    case 'others': {
      const own = denominatorOf(partsIn(s.held)[0]?.unit ?? ONE)
      const first = writtenIn(problem.first)
      const fits = USUAL_PARTS.map(BigInt).filter((n) => n !== first && inKind([{ count: 1, unit: value }], n, s))
      const next = own === first ? fits[0] : fits.find((n) => n > own)
      return next === undefined ? null : inParts(next)
    }
  }
}

/** The number laid, cut anew, and read as it is to be written. */
export function renaming(problem: Problem, s: Standing): Act | null {
  if (!s.laid) return piecesAct('lay', s.left)
  const value = valueOf(problem.first)
  if (s.value !== value) return wholly({ kind: 'join', amount: subtract(value, s.value) })
  const goal = wanted(problem.named!, problem, s)
  if (goal && !samePieces(goal.pieces, s.held)) {
    const change = addPieces(goal.pieces, s.held, -1)
    return {
      kind: 'exchange',
      from: opposite(change.filter((p) => p.count < 0)),
      to: change.filter((p) => p.count > 0),
    }
  }
  const as = goal?.as ?? printNumeral(problem.first)
  return isRead(s) && (s.as === null || s.as === as) ? null : { kind: 'read', value, as }
}
