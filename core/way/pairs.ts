import { piecesAct, type Act, type ExchangeAct } from '../act/act'
import { owing, termDone, type Standing } from '../act/standing'
import type { Choices } from '../choices'
import { exact } from '../number/exact'
import { countOf, pairPieces, piecesFor, type Pieces } from '../number/units'
import { isChain, type Problem } from '../problem/problem'
import { inTurn } from './inTurn'
import type { Way } from './way'

/** How many pluses find a minus. */
const pairsIn = ({ held }: Standing): number => Math.max(0, Math.min(countOf(held, exact(1)), countOf(held, exact(-1))))

const cleared = (s: Standing): ExchangeAct => ({ kind: 'exchange', from: pairPieces(pairsIn(s), s.units), to: [] })

/** What is still owed of the number in hand, in one kind of counter; below nought where it went too far. */
function wanted(s: Standing): Pieces | undefined {
  const [only, more] = s.left
  return only && !more ? only : piecesFor(owing(s), s.units)?.[0]
}

function work(s: Standing, { signed }: Choices): Act | null {
  const next = wanted(s)
  if (!next || termDone(s)) return null
  const takes = (s.doing === '-') === next.count > 0
  const piece: Pieces = { unit: next.unit, count: Math.abs(next.count) }
  const short = takes ? piece.count - Math.max(0, countOf(s.held, piece.unit)) : 0
  if (short <= 0) return piecesAct(takes ? 'take' : 'join', [piece])
  return { kind: 'exchange', from: [], to: pairPieces(signed.bring === 'enough' ? short : piece.count, s.units) }
}

function next(problem: Problem, s: Standing, choices: Choices): Act | null {
  // A number that was to be set out with pairs is read as it lies.
  const clears = !problem.pairs && choices.signed.pairs === 'clear' && pairsIn(s) > 0
  return inTurn(
    problem,
    s,
    () => piecesAct('lay', s.left),
    () => work(s, choices) ?? (clears && termDone(s) ? cleared(s) : null),
  )
}

/** Practice, section 10; common practice, no source. */
export const zeroPairs: Way = {
  id: 'pairs',
  title: 'zero pairs',
  school: 'Adding puts both numbers in and clears pairs; taking away brings pairs in first where too few lie there.',
  at: 'Plus and minus counters, where a pair is seen to be worth nothing.',
  sort: 'pairs',
  suits: isChain,
  next,
}
