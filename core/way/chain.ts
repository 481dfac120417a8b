import { piecesAct, type Act, type ExchangeAct } from '../act/act'
import { owing, termDone, type Standing } from '../act/standing'
import type { Choices } from '../choices'
import { sign } from '../number/exact'
import { denominatorOf, partUnit } from '../number/fractions'
import { countOf, has, type Pieces } from '../number/units'
import type { Problem } from '../problem/problem'
import { inTurn } from './inTurn'
import { ONE, partsIn, recutAll, wholesIn } from './recut'

/** Adding and taking away equal parts of a whole (practice, section 11; common practice, no source). */

interface Style {
  /** Whether different parts are cut into common ones first. */
  readonly common: boolean
  /** Whether wholes and parts are worked apart, and a whole is made of the parts in the end. */
  readonly apart: boolean
}

/** So many wholes broken into the parts that lie there, or made of them. */
const breaking = (count: number, bottom: bigint): ExchangeAct => ({
  kind: 'exchange',
  from: [{ count, unit: ONE }],
  to: [{ count: count * Number(bottom), unit: partUnit(bottom) }],
})
const making = (count: number, bottom: bigint): ExchangeAct => {
  const { from, to } = breaking(count, bottom)
  return { kind: 'exchange', from: to, to: from }
}

/** Full wholes that lie there in parts of one kind, made whole. */
function wholeOfParts(held: readonly Pieces[], s: Standing): ExchangeAct | null {
  for (const { count, unit } of partsIn(held)) {
    const bottom = denominatorOf(unit)
    const full = Math.floor(count / Number(bottom))
    if (full > 0 && s.units.worths.includes(ONE)) return making(full, bottom)
  }
  return null
}

/** Taking away: the wholes, then the parts; where there are too few parts, one whole is broken, and where too few wholes, one is made. */
function taking(s: Standing, left: readonly Pieces[], { apart }: Style): Act | null {
  const [wholes, parts] = [wholesIn(left), partsIn(left)]
  const missing = (pieces: readonly Pieces[]): Pieces | undefined =>
    pieces.find((p) => countOf(s.held, p.unit) < p.count)
  if (wholes.length > 0 && missing(wholes)) return wholeOfParts(s.held, s)
  if (apart && wholes.length > 0) return piecesAct('take', wholes)
  const short = missing(parts)
  if (!short) return piecesAct('take', left)
  const bottom = denominatorOf(short.unit)
  const wanted = Math.ceil((short.count - countOf(s.held, short.unit)) / Number(bottom))
  const free = countOf(s.held, ONE) - countOf(left, ONE)
  return free >= wanted ? breaking(wanted, bottom) : null
}

/** What comes next with the number in hand, in its pieces; null where it is no longer what was asked, and is worked whole. */
function work(s: Standing, choices: Choices, style: Style): Act | null {
  const left = s.left
  if (sign(owing(s)) <= 0 || left.some((p) => p.count < 0) || !has(s.units, [...left, ...s.held])) return null
  if (style.common) {
    const act = recutAll([s.held, left], s, choices, (i) => (i === 0 ? undefined : 0))
    if (act) return act
  }
  if (s.doing === '-') return taking(s, left, style)
  const wholes = wholesIn(left)
  return piecesAct('join', style.apart && wholes.length > 0 ? wholes : left)
}

/** One number after another, in its very parts. */
export function chain(problem: Problem, s: Standing, choices: Choices, style: Style): Act | null {
  return inTurn(
    problem,
    s,
    () => piecesAct('lay', s.left),
    () => {
      if (!termDone(s)) return s.begun > 1 ? work(s, choices, style) : null
      return style.apart && s.begun > 1 ? wholeOfParts(s.held, s) : null
    },
  )
}
