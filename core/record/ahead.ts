import { isMaking, type Act } from '../act/act'
import { actsAhead } from '../plan/plan'
import type { Setup } from '../plan/setup'
import { REPRESENTATIONS } from '../representation/index'
import { performIn } from '../representation/representation'
import { nextOf } from '../way/index'
import { restOf } from './judging'
import type { Bench } from './moment'

/** The next act of the way from where the problem stands, or null when it is worked. */
export const nextAct = (bench: Bench): Act | null => nextOf(bench.setup, bench.now.standing)

/** The next act, with the exchange that belongs to it where a column of a sum is worked at once. */
export function nextActs({ setup, now }: Bench): readonly Act[] {
  const most = REPRESENTATIONS[setup.representation].sums ? 2 : 1
  return together(setup, actsAhead(setup, now.standing, most))[0] ?? []
}

/** Acts as the stones that will be laid for them: a column of a sum and its carrying are one. */
function together(setup: Setup, acts: readonly Act[]): readonly (readonly Act[])[] {
  if (!REPRESENTATIONS[setup.representation].sums) return acts.map((act) => [act])
  const stones: (readonly Act[])[] = []
  for (const act of acts) {
    const [last] = stones.at(-1)?.length === 1 ? stones.at(-1)! : []
    const carries = act.kind === 'exchange' && isMaking(act) && last?.kind === 'join'
    if (carries && last.pieces?.length === 1 && last.pieces[0]!.unit === act.from[0]?.unit)
      stones[stones.length - 1] = [last, act]
    else stones.push([act])
  }
  return stones
}

/** The moves of the next act in the main material; of a digit that is on its way, those that would finish it. @throws Refusal where it cannot be done. */
export function nextMoves(bench: Bench): readonly unknown[] {
  const { setup, now } = bench
  const main = REPRESENTATIONS[setup.representation]
  const { open } = now
  if (open?.on === main.id && main.judge) {
    const { status, toGo } = main.judge(open.from.states[main.id], open.moves, restOf(open.from.standing))
    if (status === 'part' && toGo.length > 0) return toGo
  }
  const [act, carrying] = nextActs(bench)
  if (act?.kind === 'join' && carrying?.kind === 'exchange') return main.sums!.write(now.states[main.id], act, carrying)
  return act ? performIn(main, now.states[main.id], act) : []
}

/** All that the way still has before it, as the stones that will be laid; a digit that is on its way is not to come any more. */
export function ahead({ setup, now }: Bench): readonly (readonly Act[])[] {
  const growing = now.open !== null && now.stones.last?.step === 'part' && REPRESENTATIONS[now.open.on].judge
  const acts = growing ? actsAhead(setup, now.open!.from.standing).slice(1) : actsAhead(setup, now.standing)
  return together(setup, acts)
}
