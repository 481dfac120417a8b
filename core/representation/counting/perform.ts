import { capital } from '../../number/words'
import { wholly } from '../../act/unfold'
import type { Act } from '../../act/act'
import { printExact } from '../../number/numeral'
import { isWhole, sign, toCount, ZERO, type Exact } from '../../number/exact'
import { Refusal } from '../../refusal'
import { apply } from './apply'
import { inUse, type CountingMove, type CountingState, type Material } from './state'

/** How many of `count` fit before the things must be begun again, as moves made by `make`. */
function inSets(
  s: CountingState,
  m: Material,
  count: number,
  make: (n: number) => CountingMove,
): readonly CountingMove[] {
  const moves: CountingMove[] = []
  let state = s
  let left = count
  while (left > 0) {
    const free = state.room - inUse(state)
    if (free === 0) moves.push({ kind: 'store' })
    else {
      const n = Math.min(free, left)
      moves.push(make(n))
      left -= n
    }
    state = apply(m, state, moves.at(-1)!)
  }
  return moves
}

/** Taking, with what was remembered taken up again where too few are out. */
function takingSets(s: CountingState, m: Material, count: number): readonly CountingMove[] {
  const moves: CountingMove[] = []
  let state = s
  let left = count
  while (left > 0) {
    const next: CountingMove =
      state.out > 0 || state.stored === 0
        ? { kind: 'take', count: state.stored > 0 ? Math.min(left, state.out) : left }
        : { kind: 'recall' }
    if (next.kind === 'take') left -= next.count
    state = apply(m, state, next)
    moves.push(next)
  }
  return moves
}

/** Nobody counts further than this one by one. */
const MOST_THINGS = 1000

/** A number as so many things. @throws Refusal for what cannot be counted out. */
function things(m: Material, amount: Exact): number {
  if (isWhole(amount) && sign(amount) >= 0) {
    if (amount.length <= 4 && toCount(amount) <= MOST_THINGS) return toCount(amount)
    throw new Refusal(`${printExact(amount)} is too many to count out one by one.`)
  }
  throw new Refusal(`${capital(m.title)} are counted one by one: there is no way to show ${printExact(amount)}.`)
}

export function perform(m: Material, s: CountingState, act: Act): readonly CountingMove[] {
  switch (act.kind) {
    case 'read':
      return [{ kind: 'read', value: act.value }]
    case 'pose':
      return m.setsApart && act.operation === '+' && s.head === null && act.amount !== ZERO
        ? [{ kind: 'apart', count: things(m, act.amount) }]
        : []
    case 'begin':
      return [{ kind: 'begin', count: act }]
    case 'group':
      throw new Refusal(`${m.title} show no groups at once.`, 'Count in steps.')
    case 'share':
      return perform(m, s, wholly(act))
    case 'exchange':
    case 'split':
    case 'gather':
    case 'rewrite':
    case 'beside':
    case 'compare':
      return []
    case 'count': {
      const on = !act.by.startsWith('-')
      const count: CountingMove = { kind: on ? 'on' : 'back', word: toCount(act.word) }
      return inUse(s) === s.room && m.stores ? [{ kind: 'store' }, count] : [count]
    }
    case 'lay':
    case 'join':
    case 'take': {
      const count = things(m, act.amount)
      if (act.kind === 'lay' && act.inHead) return [{ kind: 'hold', number: count }]
      if (count === 0) return []
      if (act.kind === 'take') {
        return takingSets(s, m, count)
      }
      if (act.kind === 'join' && count <= s.apart) return [{ kind: 'join', count }]
      return inSets(s, m, count, (n) => ({ kind: 'out', count: n }))
    }
  }
}
