import { change, inUnits, piecesAct, sameExchange, type Act } from '../act/act'
import { wholly } from '../act/unfold'
import { add, sign, ZERO } from '../number/exact'
import { addPieces, opposite, type Pieces } from '../number/units'
import type { Setup } from './setup'
import { attempt, Refusal } from '../refusal'
import { REPRESENTATIONS } from '../representation/index'
import {
  applyAll,
  notShown,
  performIn,
  type Representation,
  type RepresentationId,
} from '../representation/representation'

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
  const worked = hand.on ? REPRESENTATIONS[hand.on].units : setup.units
  for (const id of setup.all) {
    const r = REPRESENTATIONS[id]
    if (id === hand.on) {
      states[id] = applyAll(r, states[id], hand.moves)
      moves[id] = hand.moves
      continue
    }
    const before = from.followers[id]?.missed
    // Where some of the hand's pieces are none of these, its exchanges go by unseen, and amounts may have to be worked whole.
    const foreign = !worked.worths.every((unit) => r.units.worths.includes(unit))
    const own = r.write || r.anyPieces ? acts : acts.flatMap((act) => inUnits(act, r.units) ?? [])
    const missed = settled(before ? [...before, ...own] : own)
    try {
      const made: unknown[] = []
      const quiet = acts.map((act) => notShown(r, act)).find((why) => why !== '')
      if (quiet) waiting[id] = quiet
      for (const act of missed) {
        if (r.cannotShow?.(act)) continue
        const more = shownBy(r, states[id], act, foreign)
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

/** An act as a follower's moves: by its very pieces, or else (where the hand has other pieces) the number worked whole. */
function shownBy(r: Representation, state: unknown, act: Act, foreign: boolean): readonly unknown[] {
  const by = attempt(() => performIn(r, state, act))
  if ('ok' in by) return by.ok
  if (!foreign || (act.kind !== 'join' && act.kind !== 'take') || !act.pieces) throw by.refused
  return performIn(r, state, wholly(act))
}

/**
 * Acts that were done and partly undone, as what they came to: three taken and four taken is seven taken; nine taken
 * and two given back is seven taken; an exchange and its reverse are nothing. Only neighbouring acts are settled, so that what a
 * follower has missed stays short however long it waits.
 */
function settled(acts: readonly Act[]): readonly Act[] {
  if (acts.length < 2) return acts
  const result: Act[] = []
  let [net, total] = [[] as readonly Pieces[], ZERO]
  // Once one of them is a number worked whole, so is what they come to.
  let whole = false
  const flush = (): void => {
    const [came, went] = [net.filter((p) => p.count > 0), net.filter((p) => p.count < 0)]
    if (whole && sign(total) !== 0) result.push(wholly({ kind: 'join', amount: total }))
    if (!whole && came.length > 0) result.push(piecesAct('join', came))
    if (!whole && went.length > 0) result.push(piecesAct('take', opposite(went)))
    ;[net, total, whole] = [[], ZERO, false]
  }
  for (const act of acts) {
    if (act.kind === 'join' || act.kind === 'take' || act.kind === 'count') {
      // What was counted one by one is a number like any other, once it is done.
      const pieces = act.kind === 'count' ? undefined : act.pieces
      whole ||= !pieces
      net = addPieces(net, pieces ?? [], act.kind === 'take' ? -1 : 1)
      total = add(total, change(act))
    } else {
      flush()
      const last = result.at(-1)
      const undone = act.kind === 'exchange' && last?.kind === 'exchange'
      if (undone && sameExchange(act, { ...last, from: last.to, to: last.from })) result.pop()
      else result.push(act)
    }
  }
  flush()
  return result
}
