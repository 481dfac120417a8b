import { exchangeAct, type Act, type AmountAct } from '../../act/act'
import type { BeadMove, BeadRule, DigitWork, Direction } from '../../act/beads'
import { exact, multiply, type Exact } from '../../number/exact'
import { digitsOf, unitOf, type Place } from '../../number/places'
import { Refusal } from '../../refusal'
import { apply, type AbacusMove, type AbacusState } from './frame'
import { asked, decide, formula, worked } from './rules'

/** A digit worked: the frame after it, the moves in order, and the act that they are. */
export interface Worked {
  readonly state: AbacusState
  readonly moves: readonly AbacusMove[]
  readonly act: AmountAct
  readonly work: DigitWork
}

/** A frame that moves are made on one after another. */
class Handling {
  readonly moves: AbacusMove[] = []
  constructor(public state: AbacusState) {}

  make(move: AbacusMove): void {
    this.state = apply(this.state, move)
    this.moves.push(move)
  }

  /** Moves so many beads on a rod, with the finger that the class uses for it; both sides the same way are one pinch. */
  slide(index: number, upper: number, lower: number): void {
    const rod = index - this.state.decimals
    const hands = this.state.style.hands
    const hand = hands === 'both' ? (rod > 0 ? 'left' : 'right') : hands
    const beads = (bead: BeadMove['bead'], count: number, finger: BeadMove['finger']): void =>
      this.make({ kind: 'beads', rod, bead, count: Math.abs(count), to: count > 0 ? 'bar' : 'away', hand, finger })
    if (Math.abs(upper) === 1 && upper * lower > 0) return beads('pinch', lower, 'pinch')
    if (upper) beads('upper', upper, 'index')
    if (lower) beads('lower', lower, lower > 0 ? 'thumb' : 'index')
  }
}

const amount = (way: number, n: number, place: Place): AmountAct => ({
  kind: way > 0 ? 'join' : 'take',
  amount: multiply(exact(Math.abs(n)), unitOf(place)),
})

/** Puts a rod in order that holds beads in reserve: five lower ones for an upper one, ten for one of the next rod. */
function settle(hand: Handling, index: number): readonly Act[] {
  const full = worked(hand.state.beads)
  const acts: Act[] = []
  const tens = (): void => {
    const rod = hand.state.rods[index]!
    if (full.upper > 0 ? rod.upper < 2 : rod.lower <= full.lower) return
    if (full.upper > 0) hand.slide(index, -2, 0)
    else hand.slide(index, 0, -10)
    carry(hand, index + 1, 1)
    acts.push(exchangeAct(index + 1 - hand.state.decimals, true))
  }
  tens()
  if (full.upper === 0 || hand.state.rods[index]!.lower <= full.lower) return acts
  hand.slide(index, 1, 0)
  hand.slide(index, 0, -5)
  tens()
  return acts
}

/** One more, or one fewer, on the next rod; beyond the highest it is owed, or given back. */
function carry(hand: Handling, index: number, way: Direction): { act: AmountAct; work: DigitWork | 'beyond' } {
  const { state } = hand
  const above = state.rods.slice(index).some((r) => r.upper + r.lower > 0)
  if (index >= state.beyond && !above && (way < 0 || state.owed > 0)) {
    hand.make({ kind: 'owe', count: -way })
    return { act: amount(way, 1, index - state.decimals), work: 'beyond' }
  }
  if (index >= state.rods.length)
    throw new Refusal('There is no rod left for the next ten.', 'A frame with more rods would hold it.')
  return digit(hand, index, 1, way)
}

/** A bead in reserve is used where beads are counted one by one: the rod fills up, and then it is exchanged. */
function countInto(hand: Handling, index: number, way: Direction): readonly Act[] | undefined {
  const { beads, style } = hand.state
  const spare = beads.lower > worked(beads).lower
  const rod = hand.state.rods[index]!
  const atEdge = way > 0 ? rod.lower === beads.lower - 1 : rod.lower === 0
  if (!style.counting || !spare || !atEdge) return undefined
  const place = index - hand.state.decimals
  const five = beads.upper > 0
  const group = five ? 5 : 10
  const acts: Act[] = []
  if (way > 0) {
    hand.slide(index, 0, 1)
    acts.push(amount(1, 1, place))
    hand.slide(index, 0, -group)
    if (five) hand.slide(index, 1, 0)
    if (five && hand.state.rods[index]!.upper < 2) return acts
    if (five) hand.slide(index, -2, 0)
    carry(hand, index + 1, 1)
    return [...acts, exchangeAct(place + 1, true)]
  }
  if (five && rod.upper > 0) {
    hand.slide(index, -1, 0)
    hand.slide(index, 0, 5)
  } else {
    carry(hand, index + 1, -1)
    acts.push(exchangeAct(place + 1, false))
    if (five) {
      hand.slide(index, 2, 0)
      hand.slide(index, -1, 0)
    }
    hand.slide(index, 0, group)
  }
  hand.slide(index, 0, -1)
  return [...acts, amount(-1, 1, place)]
}

function digit(hand: Handling, index: number, count: number, way: Direction): { act: AmountAct; work: DigitWork } {
  const place = index - hand.state.decimals
  if (!hand.state.rods[index]) throw new Refusal('There is no rod for that place on this frame.')
  const done = count === 1 ? countInto(hand, index, way) : undefined
  if (done) {
    const rule: BeadRule = 'direct'
    const work = { place, digit: 1, way, rule, rejected: [], terms: [way], next: null }
    return { act: { ...amount(way, 1, place), rule, ...(done.length > 1 ? { parts: done } : {}) }, work }
  }
  const settled = settle(hand, index)
  const { beads, style } = hand.state
  const { rule, rejected } = decide(hand.state.rods[index]!, count, way, beads)
  const terms = formula(rule, count, way, style.first)
  const parts: Act[] = [...settled]
  let next: DigitWork['next'] = null
  for (const term of terms) {
    if (Math.abs(term) === 10) {
      const carried = carry(hand, index + 1, way)
      parts.push(carried.act)
      next = carried.work
      continue
    }
    const by = asked(Math.abs(term), beads)
    hand.slide(index, Math.sign(term) * by.upper, Math.sign(term) * by.lower)
    parts.push(amount(term, term, place))
  }
  const whole: AmountAct = { ...amount(way, count, place), rule }
  return {
    act: parts.length > 1 ? { ...whole, parts } : whole,
    work: { place, digit: count, way, rule, rejected, terms, next },
  }
}

/** Works one digit, from 1 to 9, on the rod at an index. @throws Refusal where the frame has no rod for it. */
export function workDigit(s: AbacusState, index: number, count: number, way: Direction): Worked {
  const hand = new Handling(s)
  const { act, work } = digit(hand, index, count, way)
  return { state: hand.state, moves: hand.moves, act, work }
}

/** The digits of an amount as they are worked: indices of rods and how many, in the class's order. */
export function digitsIn(s: AbacusState, size: Exact): readonly { readonly index: number; readonly count: number }[] {
  const digits = digitsOf(size, 1, s.decimals).flatMap((count, index) => (count > 0 ? [{ index, count }] : []))
  return s.style.order === 'highest' ? digits.reverse() : digits
}

/** Works a whole amount digit by digit. */
export function workAmount(s: AbacusState, size: Exact, way: Direction): readonly Worked[] {
  const done: Worked[] = []
  for (const { index, count } of digitsIn(s, size)) done.push(workDigit(done.at(-1)?.state ?? s, index, count, way))
  return done
}
