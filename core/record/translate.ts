import { attempt } from '../refusal'
import { isSilent, REPRESENTATIONS } from '../representation/index'
import { performIn } from '../representation/representation'
import { listed } from '../number/trail'
import type { PlanRequest } from '../plan/setup'
import { enter, openBench } from './bench'
import type { Bench } from './moment'

/**
 * The same problem in another material, with the work so far done again there, act by act, as far as the acts allow.
 * @throws Refusal when the problem does not fit the new material.
 */
export function translate(bench: Bench, request: PlanRequest): Bench {
  let next = openBench(request, bench.mode)
  const r = REPRESENTATIONS[request.representation]
  const { id, print } = r
  for (const act of listed(bench.now.stones).flatMap((s) => s.acts)) {
    const done = attempt(() => {
      const state = next.now.states[id]
      if (act.kind === 'pose' && isSilent(r, state, act))
        return bench.mode === 'show' ? enter(next, { at: 0, on: 'bench', move: 'ask' }) : next
      return performIn(r, state, act).reduce<Bench>((b, move) => enter(b, { at: 0, on: id, move: print(move) }), next)
    })
    if ('refused' in done) break
    next = done.ok
  }
  return next
}
