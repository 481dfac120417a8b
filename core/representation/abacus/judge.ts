import type { BeadMove, BeadSlip, DigitWork, Judged, OweMove, Direction } from '../../act/beads'
import { exact, multiply, sign, sizeOf, subtract, ZERO, type Exact } from '../../number/exact'
import { unitOf } from '../../number/places'
import { attempt } from '../../refusal'
import { apply, digitOn, sameBeads, sameRod, shows, type AbacusMove, type AbacusState, type Rod } from './frame'
import { digitsIn, workDigit, type Worked } from './work'

/** One digit that may be what the hand is at: on which rod, how many, and where it leads. */
interface Candidate {
  readonly index: number
  readonly count: number
  readonly way: Direction
  readonly target: AbacusState
  readonly moves: readonly AbacusMove[]
  readonly work: DigitWork
}

/**
 * Holds what a hand has moved against what is still wanted (`rest`, below nought where it is to be taken away): whether a
 * digit is worked, by whatever lawful way; is on its way; or is a slip that has a name (practice, section 14).
 */
export function judge(before: AbacusState, moves: readonly AbacusMove[], rest: Exact): Judged {
  const now = moves.reduce(apply, before)
  const net = subtract(shows(now), shows(before))
  const wanted = candidates(before, rest)
  const [next] = wanted
  const worth = (c: Candidate): Exact => multiply(exact(c.way * c.count), unitOf(c.work.place))
  const judged = (status: Judged['status'], c?: Candidate, slip: BeadSlip | '' = ''): Judged => ({
    status,
    slip,
    toGo: c && status === 'part' ? remaining(c, now) : [],
    work: c?.work ?? null,
  })
  const exactly = wanted.find((c) => sameBeads(c.target, now))
  if (exactly) return judged('done', exactly)
  // Ten on the next rod may be the first half of this digit and the whole of another: the digit in hand comes first.
  if (next && within(before, now, next)) return judged('part', next, leftSo(before, now, next))
  if (net !== ZERO && (net === rest || wanted.some((c) => worth(c) === net)))
    return judged('done', wanted.find((c) => worth(c) === net) ?? next)
  const part = wanted.find((c) => within(before, now, c))
  if (part) return judged('part', part, leftSo(before, now, part))
  for (const c of wanted) {
    const slip = named(before, now, c, net)
    if (slip) return judged('off', c, slip)
  }
  return judged('off')
}

/** The digits still wanted, the next one first; where beads are counted, each number of them. */
function candidates(s: AbacusState, rest: Exact): readonly Candidate[] {
  const way: Direction = sign(rest) < 0 ? -1 : 1
  const found: Candidate[] = []
  const put = (index: number, count: number, { state, moves, work }: Worked): void =>
    void found.push({ index, count, way, target: state, moves, work })
  for (const { index, count } of digitsIn(s, sizeOf(rest))) {
    const whole = attempt(() => workDigit(s, index, count, way))
    if (!s.style.counting && 'ok' in whole) put(index, count, whole.ok)
    if (!s.style.counting) continue
    let [state, made] = [s, [] as readonly AbacusMove[]]
    for (let n = 1; n <= count; n++) {
      const one = attempt(() => workDigit(state, index, 1, way))
      if ('refused' in one) break
      state = one.ok.state
      made = [...made, ...one.ok.moves]
      put(index, n, { ...one.ok, moves: made })
    }
  }
  return found
}

const between = (n: number, a: number, b: number): boolean => n >= Math.min(a, b) && n <= Math.max(a, b)

/** Whether every bead is where it was, or where it is to go, or between. */
const within = (before: AbacusState, now: AbacusState, { target }: Candidate): boolean =>
  between(now.owed, before.owed, target.owed) &&
  now.rods.every((rod, i) => {
    const [from, to] = [before.rods[i]!, target.rods[i]!]
    return between(rod.upper, from.upper, to.upper) && between(rod.lower, from.lower, to.lower)
  })

const lowerFinger = (to: 'bar' | 'away'): 'thumb' | 'index' => (to === 'bar' ? 'thumb' : 'index')

/** The planned moves, as far as they are not made yet. */
function remaining(c: Candidate, now: AbacusState): readonly (BeadMove | OweMove)[] {
  let at = now
  const moves: (BeadMove | OweMove)[] = []
  for (const move of c.moves) {
    if (move.kind === 'read') continue
    if (move.kind === 'owe') {
      if (at.owed === c.target.owed) continue
      moves.push(move)
      at = apply(at, move)
      continue
    }
    const index = move.rod + at.decimals
    const [rod, to] = [at.rods[index]!, c.target.rods[index]!]
    const left = (side: 'upper' | 'lower'): number => Math.abs(to[side] - rod[side])
    const beads =
      move.bead !== 'pinch'
        ? [{ ...move, count: Math.min(move.count, left(move.bead)) }]
        : left('upper') > 0 && left('lower') === move.count
          ? [move]
          : [
              { ...move, bead: 'upper' as const, count: left('upper'), finger: 'index' as const },
              { ...move, bead: 'lower' as const, count: left('lower'), finger: lowerFinger(move.to) },
            ]
    for (const one of beads) {
      if (one.count === 0) continue
      moves.push(one)
      at = apply(at, one)
    }
  }
  return moves
}

/** Whether the rods above the digit's own are as they are to be, or as they were. */
const above = (now: AbacusState, as: AbacusState, index: number): boolean =>
  now.owed === as.owed && now.rods.every((r, i) => i <= index || sameRod(r, as.rods[i]!))

/** The slip that a digit on its way would be, were it left so. */
function leftSo(before: AbacusState, now: AbacusState, { index, target, work }: Candidate): BeadSlip | '' {
  const [was, is, to] = [before, now, target].map((s) => s.rods[index]!) as [Rod, Rod, Rod]
  if (work.rule === 'five') return is.upper === to.upper && is.lower === was.lower ? 'fiveNotReturned' : ''
  if (work.rule === 'direct') return ''
  if (above(now, target, index) && !sameRod(is, to)) return 'tenNotReturned'
  return sameRod(is, to) && !above(now, target, index) ? 'nextForgotten' : ''
}

/** The name of a slip away from the digit's way. */
function named(before: AbacusState, now: AbacusState, c: Candidate, net: Exact): BeadSlip | '' {
  const { index, count, way, target, work } = c
  const [was, is, to] = [before, now, target].map((s) => s.rods[index]!) as [Rod, Rod, Rod]
  const restInPlace = above(now, target, index) || above(now, before, index)
  const below = now.rods.every((r, i) => i >= index || sameRod(r, before.rods[i]!))
  if (below && restInPlace && work.rule !== 'direct') {
    const by = digitOn(is) - digitOn(was)
    const gaveDigit =
      work.rule === 'five' ? is.upper === to.upper && by === way * (5 - count) : by === -way * count && count !== 5
    if (gaveDigit) return 'digitReturned'
    const upperFits = is.upper === to.upper || is.upper === was.upper
    if (upperFits && to.lower > 0 && to.lower < was.lower && is.lower === 0) return 'clearedAll'
  }
  const elsewhere = now.rods.some(
    (_, i) => i !== index && net === multiply(exact(way * count), unitOf(i - before.decimals)),
  )
  return elsewhere ? 'wrongRod' : ''
}
