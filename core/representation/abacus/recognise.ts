import type { Act, AmountAct } from '../../act/act'
import { exchangesInPlaces } from '../../act/exchanges'
import { sign, sizeOf, subtract, ZERO, type Exact } from '../../number/exact'
import { addCounts, digitsOf, onlyPlace } from '../../number/places'
import { attempt } from '../../refusal'
import type { Recognised } from '../representation'
import { apply, digitsOn, sameBeads, shows, type AbacusMove, type AbacusState } from './frame'
import { workDigit } from './work'

/**
 * Bead moves as an act: what the frame is worth now against what it was worth. A digit that has been worked bead for bead by
 * the rule that the rod allowed carries that rule and its parts.
 */
export function recognise(before: AbacusState, moves: readonly AbacusMove[]): Recognised {
  const last = moves.at(-1)
  if (!last) return undefined
  if (last.kind === 'read')
    return moves.length === 1 && last.value !== null ? [{ kind: 'read', value: last.value }] : undefined
  if (moves.some((m) => m.kind === 'read')) return undefined
  const now = moves.reduce(apply, before)
  const net = subtract(shows(now), shows(before))
  if (net === ZERO) return changeless(before, now)
  const empty = before.owed === 0 && digitsOn(before).every((d) => d === 0)
  if (empty && sign(net) > 0) return [{ kind: 'lay', amount: net, ...ruleOf(before, now, net) }]
  return [{ kind: sign(net) > 0 ? 'join' : 'take', amount: sizeOf(net), ...ruleOf(before, now, net) }]
}

/** The rule of a single digit whose beads stand just as that rule sets them. */
function ruleOf(before: AbacusState, now: AbacusState, net: Exact): Partial<AmountAct> {
  const digits = digitsOf(sizeOf(net), 1, before.decimals)
  const index = onlyPlace(digits)
  if (index === undefined) return {}
  const worked = attempt(() => workDigit(before, index, digits[index]!, sign(net) < 0 ? -1 : 1))
  if ('refused' in worked || !sameBeads(worked.ok.state, now)) return {}
  const { rule, parts } = worked.ok.act
  return { ...(rule ? { rule } : {}), ...(parts ? { parts } : {}) }
}

/** Beads moved and the frame is worth the same: an exchange between rods, or nothing at all. */
function changeless(before: AbacusState, now: AbacusState): Recognised {
  const acts: readonly Act[] = exchangesInPlaces(addCounts(digitsOn(now), digitsOn(before), -1), before.decimals) ?? []
  return acts.length > 0 ? acts : { soFar: [], owed: { kind: 'nothing' } }
}
