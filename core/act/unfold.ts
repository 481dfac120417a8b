import { negate, sign } from '../number/exact'
import { countsAt, digitsOf, type Counts } from '../number/places'
import { amountAct, change, exchangeAct, type Act, type AmountAct } from './act'

/**
 * A number joined or taken whole, as a material with places does it: from the ones up, with the exchanges that it needs.
 * `counts` is what stands there. Where there is not enough, the last act asks for more than there is.
 */
export function unfold(act: AmountAct, counts: Counts, decimals = 0): readonly Act[] {
  const digits = digitsOf(act.amount, counts.length, decimals)
  return act.kind === 'take' ? takings([...counts], digits, decimals) : joinings([...counts], digits, decimals)
}

/** What an act changes, as a number joined or taken whole. */
export function wholly(act: Act): AmountAct {
  const by = change(act)
  return sign(by) < 0 ? { kind: 'take', amount: negate(by) } : { kind: 'join', amount: by }
}

function joinings(held: number[], digits: Counts, decimals: number): readonly Act[] {
  const acts: Act[] = []
  for (let p = 0; p < digits.length; p++) {
    const count = digits[p]!
    if (count > 0) acts.push(amountAct('join', countsAt(p, count), decimals))
    held[p] = (held[p] ?? 0) + count
    const full = Math.floor(held[p]! / 10)
    if (full === 0 || p + 1 >= held.length) continue
    acts.push(exchangeAct(p + 1 - decimals, true, full))
    held[p]! -= 10 * full
    held[p + 1]! += full
  }
  return acts
}

/** Across noughts the nearest place that has any is broken, one step nearer each time. */
function takings(held: number[], digits: Counts, decimals: number): readonly Act[] {
  const acts: Act[] = []
  for (let p = 0; p < digits.length; p++) {
    const count = digits[p]!
    while (held[p]! < count) {
      const from = held.findIndex((n, q) => q > p && n > 0)
      if (from < 0) break
      acts.push(exchangeAct(from - decimals, false))
      held[from]! -= 1
      held[from - 1]! += 10
    }
    if (count > 0) acts.push(amountAct('take', countsAt(p, count), decimals))
    held[p]! -= count
  }
  return acts
}

/** Ten of a kind made one of the next, from the lowest place up, until none has ten; the highest place keeps what it has. */
export function fullTens(counts: Counts, decimals = 0): readonly Act[] {
  const held = [...counts]
  return held.flatMap((_, p) => {
    const times = Math.floor(held[p]! / 10)
    if (times === 0 || p + 1 >= held.length) return []
    held[p]! -= 10 * times
    held[p + 1]! += times
    return [exchangeAct(p + 1 - decimals, true, times)]
  })
}
