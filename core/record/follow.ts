import { amountAct, countsOf, type Act } from '../act/act'
import { addCounts, digitsOf, isEmpty, type Counts } from '../number/places'
import type { Setup } from '../plan/plan'
import { Refusal } from '../refusal'
import { REPRESENTATIONS } from '../representation/index'
import { applyAll, type RepresentationId } from '../representation/representation'

/** Representations that have fallen out of step: the acts they could not show yet, and why. */
export type Followers = Readonly<
  Partial<Record<RepresentationId, { readonly missed: readonly Act[]; readonly why: string }>>
>

interface Here {
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
    const missed = [...(from.followers[id]?.missed ?? []), ...acts]
    try {
      const made: unknown[] = []
      for (const act of settled(missed)) {
        const more = r.perform(states[id], act)
        states[id] = applyAll(r, states[id], more)
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
 * and two given back is seven taken. Only neighbouring acts of joining and taking are settled.
 */
function settled(acts: readonly Act[]): readonly Act[] {
  if (acts.length < 2) return acts
  const result: Act[] = []
  let net: Counts = []
  const flush = (): void => {
    const [joined, taken] = [net.map((n) => Math.max(0, n)), net.map((n) => Math.max(0, -n))]
    if (!isEmpty(joined)) result.push(amountAct('join', joined))
    if (!isEmpty(taken)) result.push(amountAct('take', taken))
    net = []
  }
  for (const act of acts) {
    if (act.kind === 'join' || act.kind === 'take') {
      const counts = act.pieces ? countsOf(act.pieces, net.length) : digitsOf(act.amount)
      net = addCounts(net, counts, act.kind === 'join' ? 1 : -1)
    } else {
      flush()
      result.push(act)
    }
  }
  flush()
  return result
}
