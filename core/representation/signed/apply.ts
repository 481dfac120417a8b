import { formOf } from '../../number/words'
import { Refusal } from '../../refusal'
import { added, onMat, ROOM, signName, type SignedMove, type SignedState, type Signs } from './state'

const AS = ['is', 'are'] as const

function roomFor(s: SignedState, more: number): void {
  const left = ROOM - onMat(s)
  if (more > left)
    throw new Refusal(
      `There is room for ${ROOM} counters on the mat; ${left === 0 ? 'it is full' : `${left} more would fit`}.`,
      'Clear some pairs first, or take the number line.',
    )
}

/** Some counters of one sign leave: those that lie free first, then those of pairs, whose other halves stay. */
function without(s: SignedState, sign: keyof Signs, count: number): SignedState {
  const there = s[sign] + s.pairs
  if (count > there)
    throw new Refusal(
      `There ${formOf(there, AS)} ${there === 0 ? 'no' : `only ${there}`} ${signName(sign, there)} on the mat; ${count} ${formOf(count, AS)} wanted.`,
      `Bring in zero pairs first: bring ${count - there} ${formOf(count - there, ['pair', 'pairs'])}.`,
    )
  const fromPairs = Math.max(0, count - s[sign])
  const other = sign === 'plus' ? 'minus' : 'plus'
  return { ...s, [sign]: s[sign] - (count - fromPairs), [other]: s[other] + fromPairs, pairs: s.pairs - fromPairs }
}

function offTray(s: SignedState, signs: Signs): SignedState {
  for (const sign of ['plus', 'minus'] as const)
    if (signs[sign] > s.taken[sign])
      throw new Refusal(`There ${formOf(s.taken[sign], AS)} ${s.taken[sign]} ${signName(sign, 2)} on the tray.`)
  return { ...s, taken: added(s.taken, signs, -1) }
}

const lined = (s: SignedState, count: number): SignedState => ({
  ...s,
  plus: s.plus - count,
  minus: s.minus - count,
  pairs: s.pairs + count,
})

function ofPairs(s: SignedState, count: number, kind: 'part' | 'clear'): void {
  if (count > s.pairs)
    throw new Refusal(
      `${s.pairs === 0 ? 'No pair is' : `Only ${s.pairs} ${formOf(s.pairs, ['pair is', 'pairs are'])}`} lined up on the line; ${count} ${formOf(count, AS)} wanted.`,
      kind === 'clear' ? `Line them up first: pair ${count - s.pairs}.` : '',
    )
}

/** @throws Refusal where there are too few counters, or no room for more. */
export function apply(s: SignedState, move: SignedMove): SignedState {
  switch (move.kind) {
    case 'read':
      return { ...s, read: move.value }
    case 'lay':
    case 'give':
      roomFor(s, move.plus + move.minus)
      return { ...(move.kind === 'give' ? offTray(s, move) : s), ...added(s, move) }
    case 'return':
    case 'take': {
      // Pluses and minuses that leave together come from pairs first, so that no pair is broken for nothing.
      const both = Math.max(0, Math.min(move.plus - s.plus, move.minus - s.minus, s.pairs))
      const rest = without(
        without({ ...s, pairs: s.pairs - both }, 'plus', move.plus - both),
        'minus',
        move.minus - both,
      )
      return move.kind === 'take' ? { ...rest, taken: added(s.taken, move) } : rest
    }
    case 'pair': {
      const most = Math.min(s.plus, s.minus)
      if (move.count > most)
        throw new Refusal(
          most === 0
            ? 'There is nothing to line up: a pair is a plus and a minus.'
            : `Only ${most} ${formOf(most, ['pair', 'pairs'])} can be lined up: ${s.plus} above the line, ${s.minus} below.`,
        )
      return lined(s, move.count)
    }
    case 'part':
      ofPairs(s, move.count, 'part')
      return lined(s, -move.count)
    case 'clear':
      ofPairs(s, move.count, 'clear')
      return { ...s, pairs: s.pairs - move.count }
    case 'bring':
      roomFor(s, 2 * move.count)
      return { ...s, pairs: s.pairs + move.count }
  }
}
