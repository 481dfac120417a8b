import { STEPS } from '../../core/course/index'
import { placedWell } from '../../tests/outside/placing'
import type { Figure } from './all'

/** How well simulated learners are placed, 60 with every number of steps of every strand, and some over all strands. */
export function placements(): Figure[] {
  const { near, exactly, questions, most } = placedWell(60)
  const all = placedWell(3, [STEPS])
  const share = (n: number): string => `${(100 * n).toFixed(1)} %`
  return [
    { what: 'placed right within one step', value: share(near), beside: '90 wanted; slips 10 %, chance 8 %' },
    { what: 'placed exactly', value: share(exactly), beside: '67 wanted' },
    { what: 'questions on the mean', value: questions.toFixed(1), beside: `${most} at most; 12 allowed` },
    {
      what: 'steps said rightly, all strands in 12 questions',
      value: share(all.steps),
      beside: `${STEPS.length} steps`,
    },
  ]
}
