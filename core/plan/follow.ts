import { amountAct, countsOf, type Act, type ExchangeAct } from '../act/act'
import { negate, sign } from '../number/exact'
import { addCounts, digitsOf, isEmpty, worth, type Counts } from '../number/places'
import { decimalsIn } from '../problem/problem'
import type { Setup } from './setup'
import { Refusal } from '../refusal'
import { REPRESENTATIONS } from '../representation/index'
import { applyAll, type RepresentationId } from '../representation/representation'

/** Representations that have fallen out of step: the acts they could not show yet, and why. */
export type Followers = Readonly<
  Partial<Record<RepresentationId, { readonly missed: readonly Act[]; readonly why: string }>>
>

/** Where the representations of a bench stand. */
export interface Here {
  readonly states: Readonly<Partial<Record<RepresentationId, unknown>>>
  readonly followers: Followers
}

interface Followed extends Here {
  readonly moves: Readonly<Partial<Record<RepresentationId, readonly unknown[]>>>
  readonly waiting: Readonly<Partial<Record<RepresentationId, string>>>
}

/** Moves the hand's own representation by its moves, and every other by the acts they were recognised as. */
export function follow(
  setup: Setup,
  from: Here,
  acts: readonly Act[],
  hand: { readonly on: RepresentationId | null; readonly moves: readonly unknown[] },
): Followed {
  const states: Partial<Record<RepresentationId, unknown>> = { ...from.states }
  const followers: Partial<Record<RepresentationId, { missed: readonly Act[]; why: string }>> = {}
  const moves: Partial<Record<RepresentationId, readonly unknown[]>> = {}
  const waiting: Partial<Record<RepresentationId, string>> = {}
  for (const id of setup.all) {
    const r = REPRESENTATIONS[id]
    if (id === hand.on) {
      states[id] = applyAll(r, states[id], hand.moves)
      moves[id] = hand.moves
      continue
    }
    const before = from.followers[id]?.missed
    const missed = before
      ? settled([...before, ...acts], decimalsIn(setup.problem))
      : settled(acts, decimalsIn(setup.problem))
    try {
      const made: unknown[] = []
      const quiet = acts.map((act) => r.cannotShow?.(act) ?? '').find((why) => why !== '')
      if (quiet) waiting[id] = quiet
      for (const act of missed) {
        if (r.cannotShow?.(act)) continue
        const more = r.perform(states[id], act)
        states[id] = r.write ? r.write(states[id], act) : applyAll(r, states[id], more)
        made.push(...more)
      }
      moves[id] = made
    } catch (error) {
      if (!(error instanceof Refusal)) throw error
      states[id] = from.states[id]
      followers[id] = { missed, why: error.message }
      waiting[id] = error.message
    }
  }
  return { states, followers, moves, waiting }
}

/**
 * Acts that were done and partly undone, as what they came to: three taken and four taken is seven taken; nine taken
 * and two given back is seven taken; an exchange and its reverse are nothing. Only neighbouring acts are settled, so that what a
 * follower has missed stays short however long it waits.
 */
function settled(acts: readonly Act[], decimals: number): readonly Act[] {
  if (acts.length < 2) return acts
  const result: Act[] = []
  let net: Counts = []
  // Once one of them is a number worked whole, so is what they come to.
  let whole = false
  const flush = (): void => {
    const total = worth(net, decimals)
    const [joined, taken] = [net.map((n) => Math.max(0, n)), net.map((n) => Math.max(0, -n))]
    if (whole && sign(total) !== 0)
      result.push({ kind: sign(total) > 0 ? 'join' : 'take', amount: sign(total) > 0 ? total : negate(total) })
    if (!whole && !isEmpty(joined)) result.push(amountAct('join', joined, decimals))
    if (!whole && !isEmpty(taken)) result.push(amountAct('take', taken, decimals))
    net = []
    whole = false
  }
  for (const act of acts) {
    if (act.kind === 'join' || act.kind === 'take') {
      const counts = act.pieces ? countsOf(act.pieces, net.length, decimals) : digitsOf(act.amount, 1, decimals)
      whole ||= !act.pieces
      net = addCounts(net, counts, act.kind === 'join' ? 1 : -1)
    } else {
      flush()
      const last = result.at(-1)
      if (act.kind === 'exchange' && last?.kind === 'exchange' && undoes(act, last)) result.pop()
      else result.push(act)
    }
  }
  flush()
  return result
}

/** Whether an exchange is just the other way round. */
const undoes = (a: ExchangeAct, b: ExchangeAct): boolean =>
  a.from.unit === b.to.unit && a.from.count === b.to.count && a.to.unit === b.from.unit && a.to.count === b.from.count
