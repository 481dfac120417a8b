import { owing, type Standing } from '../act/standing'
import { negate, subtract, type Exact } from '../number/exact'
import type { Setup } from '../plan/setup'
import { REPRESENTATIONS } from '../representation/index'
import { applyAll, type RepresentationId } from '../representation/representation'
import { detailOf } from '../speech/beads'
import { packOf } from '../speech/words'
import type { HandMoves, Moment } from './moment'
import { SLIPS } from './slips'

/** What is still wanted of the number in hand; below nought where it is to be taken away. */
export const restOf = (s: Standing): Exact => (s.doing === '-' ? negate(owing(s)) : owing(s))

/** Whether a move goes on with what is open; not where it strays from it and begins another digit rightly. */
export function goesOn(setup: Setup, { open, states, standing }: Moment, on: RepresentationId, move: unknown): boolean {
  const r = REPRESENTATIONS[on]
  // Until the first number lies, every bead belongs to laying it.
  if (!r.judge || !open || !open.from.standing.laid || !setup.all.includes(on)) return true
  const { status, slip } = r.judge(open.from.states[on], [...open.moves, move], restOf(open.from.standing))
  return status !== 'off' || slip !== '' || r.judge(states[on], [move], restOf(standing)).status === 'off'
}

/** What a material that works digits by rules says of a hand's moves: whether a digit is done, on its way, or went astray. */
export function judgedOf(
  setup: Setup,
  from: Moment,
  on: RepresentationId,
  moves: readonly unknown[],
): { readonly hand: Omit<HandMoves, 'on' | 'moves'>; readonly ends: boolean } | undefined {
  const r = REPRESENTATIONS[on]
  if (!r.judge || (moves.at(-1) as { kind: string }).kind === 'read') return undefined
  const rest = restOf(from.standing)
  const { status, slip, toGo, work } = r.judge(from.states[on], moves, rest)
  const detail = work ? detailOf([work], [], setup.choices.abacus.names, packOf(setup.choices.words)) : null
  if (status === 'part')
    return {
      hand: { step: 'part', toGo: { kind: 'to-go', moves: toGo }, slip: slip ? SLIPS[slip] : '', detail },
      ends: false,
    }
  // A number is laid in one: its first digit is a part of it.
  if (status === 'done' && !from.standing.laid) return { hand: { step: 'part' }, ends: false }
  if (status === 'done') return { hand: { step: 'other' }, ends: true }
  if (!slip) return { hand: { step: from.standing.laid ? 'other' : 'part' }, ends: false }
  const moved = subtract(r.shows(applyAll(r, from.states[on], moves)), r.shows(from.states[on]))
  return {
    hand: { step: 'other', owed: { kind: 'beads', slip, rest: subtract(rest, moved) }, slip: SLIPS[slip], detail },
    ends: true,
  }
}
