import { formOf } from '../../number/words'
import { Refusal } from '../../refusal'
import { inUse, showing, stepSize, type CountingMove, type CountingState, type Material } from './state'

const AS = ['is', 'are'] as const

function spend(s: CountingState, m: Material, count: number): void {
  const left = s.room - inUse(s)
  if (count > left)
    throw new Refusal(
      `There ${formOf(left, AS)} ${left === 0 ? 'no' : left} ${formOf(left, m.thing)} left; ${count} ${formOf(count, AS)} wanted.`,
      m.stores ? 'Keep what is counted in the head and begin again: store.' : '',
    )
}

const touching = (s: CountingState, at: number | undefined): readonly number[] =>
  at === undefined ? s.touched : [...s.touched, at]

export function apply(m: Material, s: CountingState, move: CountingMove): CountingState {
  switch (move.kind) {
    case 'read':
      return { ...s, read: move.value }
    case 'hold':
      if (move.number !== null && (s.head !== null || s.begun !== null || showing(s) > 0))
        throw new Refusal('There is a number already.', 'Count on from it, or undo.')
      return { ...s, head: move.number }
    case 'begin':
      if (s.head !== null || s.begun !== null || showing(s) > 0)
        throw new Refusal('There is a number already.', 'A count in steps begins with nothing out.')
      return { ...s, begun: move.count }
    case 'out': {
      spend(s, m, move.count)
      return { ...s, out: s.out + move.count, touched: touching(s, move.at) }
    }
    case 'apart':
      spend(s, m, move.count)
      return { ...s, apart: s.apart + move.count }
    case 'join':
      if (move.count > s.apart)
        throw new Refusal(`Only ${s.apart} ${formOf(s.apart, m.thing)} are set apart; ${move.count} are wanted.`)
      return { ...s, apart: s.apart - move.count, out: s.out + move.count }
    case 'take':
      if (move.count > s.out)
        throw new Refusal(
          `There ${formOf(s.out, AS)} ${s.out === 0 ? 'no' : `only ${s.out}`} ${formOf(s.out, m.thing)} out; ${move.count} ${formOf(move.count, AS)} wanted.`,
        )
      return { ...s, out: s.out - move.count, taken: s.taken + move.count }
    case 'on':
    case 'back': {
      const by = move.kind === 'on' ? 1 : -1
      if (s.head === null && s.begun === null)
        throw new Refusal('There is no number in the head to count from.', 'Hold one first: hold 8.')
      if (s.counted * by < 0) throw new Refusal('Counting goes one way at a time.', 'Undo to turn round.')
      if (showing(s) + by * stepSize(s) < 0) throw new Refusal('Counting back stops at nought.')
      spend(s, m, 1)
      return { ...s, counted: s.counted + by, said: [...s.said, move.word], touched: touching(s, move.at) }
    }
    case 'store': {
      if (!m.stores) throw new Refusal(`${m.title} keep nothing in the head.`)
      if (inUse(s) < s.room)
        throw new Refusal(`There are ${s.room - inUse(s)} ${formOf(s.room - inUse(s), m.thing)} left to use first.`)
      return { ...s, stored: s.stored + s.out + s.counted, out: 0, counted: 0 }
    }
    case 'recall': {
      if (s.stored === 0) throw new Refusal('Nothing is kept in the head.')
      if (inUse(s) > 0) throw new Refusal(`There are ${inUse(s)} ${formOf(inUse(s), m.thing)} out still.`)
      return { ...s, stored: s.stored - s.room, out: s.room }
    }
  }
}
