import { negate, sign } from '../number/exact'
import { addPieces, countOf, ladderOf, piecesFor, type Pieces, type Units } from '../number/units'
import { Refusal } from '../refusal'
import { printExact } from '../number/numeral'
import { breakAct, change, makeAct, piecesAct, type Act, type AmountAct, type ExchangeAct } from './act'

/**
 * A number joined or taken whole, as a material with exchanges does it: from the lowest kind up, with the exchanges that it needs.
 * `held` is what lies there. Where there is not enough, the last act asks for more than there is. @throws Refusal where the
 * material's pieces do not make the number.
 */
export function unfold(act: AmountAct, held: readonly Pieces[], units: Units): readonly Act[] {
  const pieces = piecesFor(act.amount, units)
  if (!pieces) throw new Refusal(`The pieces here do not make ${printExact(act.amount)}.`)
  const upwards = [...pieces].reverse()
  return act.kind === 'take' ? takings(held, upwards, units) : joinings(held, upwards, units)
}

/** What an act changes, as a number joined or taken whole. */
export function wholly(act: Act): AmountAct {
  const by = change(act)
  return sign(by) < 0 ? { kind: 'take', amount: negate(by) } : { kind: 'join', amount: by }
}

function joinings(held: readonly Pieces[], wanted: readonly Pieces[], units: Units): readonly Act[] {
  const acts: Act[] = []
  let lies = held
  for (const unit of [...units.worths].reverse()) {
    const count = countOf(wanted, unit)
    if (count > 0) acts.push(piecesAct('join', [{ count, unit }]))
    lies = addPieces(lies, [{ count, unit }])
    const full = ladderOf(units)?.find((r) => r.lower === unit)
    const times = full ? Math.floor(countOf(lies, unit) / full.times) : 0
    if (!full || times < 1) continue
    const exchange = makeAct(full, times)
    acts.push(exchange)
    lies = addPieces(addPieces(lies, exchange.from, -1), exchange.to)
  }
  return acts
}

/** Across noughts the nearest kind that has any is broken, one step nearer each time. */
function takings(held: readonly Pieces[], wanted: readonly Pieces[], units: Units): readonly Act[] {
  const acts: Act[] = []
  const ladder = ladderOf(units) ?? []
  let lies = held
  for (const { count, unit } of wanted) {
    while (countOf(lies, unit) < count) {
      const at = ladder.findIndex((r) => r.lower === unit)
      const from = at < 0 ? undefined : ladder.slice(at).find((r) => countOf(lies, r.unit) > 0)
      if (!from) break
      const exchange = breakAct(from)
      acts.push(exchange)
      lies = addPieces(addPieces(lies, exchange.from, -1), exchange.to)
    }
    acts.push(piecesAct('take', [{ count, unit }]))
    lies = addPieces(lies, [{ count, unit }], -1)
  }
  return acts
}

/** So many of a kind as make one of the next are made one, from the lowest up; the greatest kind keeps what it has. */
export function fullPiles(held: readonly Pieces[], units: Units): readonly ExchangeAct[] {
  let lies = held
  return (ladderOf(units) ?? []).flatMap((rung) => {
    const times = Math.floor(countOf(lies, rung.lower) / rung.times)
    if (times < 1) return []
    const exchange = makeAct(rung, times)
    lies = addPieces(addPieces(lies, exchange.from, -1), exchange.to)
    return [exchange]
  })
}
