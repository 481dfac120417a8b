import { breakAct, piecesAct, type Act } from '../act/act'
import { shareOf, type Standing } from '../act/standing'
import { exact, toCount, ZERO } from '../number/exact'
import { valueOf } from '../number/numeral'
import { countOf, ladderOf } from '../number/units'
import { quotientOf, type Problem } from '../problem/problem'
import type { Way } from './way'

/** What was dealt to some and not to all is evened out first: given to the others while there is enough, else taken back. */
function evened(s: Standing, among: number): Act | undefined {
  if (s.aim.kind !== 'share') return undefined
  for (const { count, unit } of s.aim.dealt) {
    const over = count % among
    if (over === 0) continue
    const wanting = among - over
    return countOf(s.held, unit) >= wanting
      ? { kind: 'share', each: [{ count: 1, unit }], among: exact(wanting) }
      : { kind: 'share', each: [{ count: -1, unit }], among: exact(over) }
  }
  return undefined
}

/** From the greatest kind down: dealt as often as it goes round; what is left of it is broken, and dealt with the next kind. */
function next(problem: Problem, s: Standing): Act | null {
  if (!s.laid) return piecesAct('lay', s.left)
  const divisor = valueOf(problem.terms[0]!.number)
  const among = toCount(divisor)
  const even = evened(s, among)
  if (even) return even
  for (const { count, unit } of s.held) {
    const each = Math.floor(count / among)
    if (each > 0) return { kind: 'share', each: [{ count: each, unit }], among: divisor }
    const rung = ladderOf(s.units)?.find((r) => r.unit === unit)
    if (rung && count > 0) return breakAct(rung, count)
  }
  const [value, remainder] = [shareOf(s), s.value]
  return s.read === value && (s.remainder ?? ZERO) === remainder ? null : { kind: 'read', value, remainder }
}

/** Practice, section 13; common practice, no source. */
export const shareOut: Way = {
  id: 'share-out',
  title: 'share out',
  school: 'The same to each, the greatest pieces first; what does not go round is exchanged and dealt with the next.',
  at: 'Plates, where every share is seen and what is left over stays in hand.',
  sort: 'sharing',
  aim: 'share',
  suits: (p) => quotientOf(p) !== null && p.terms[0]!.operation === '/',
  next,
}
