import type { Act, RewriteAct } from '../act/act'
import { isChain, type Sign } from '../problem/problem'
import { valueOf } from '../number/numeral'
import { owing, type Standing } from '../act/standing'
import { ruleSteps } from '../act/signRule'
import { oneByOne } from './arrows'
import type { Way } from './way'

/** The next step that has not been written yet; none may be gone back to. */
function nextStep(s: Standing, steps: readonly RewriteAct[]): Act | null {
  const done = steps.findLastIndex((step) => s.rewritten.includes(step.rule))
  return steps[done + 1] ?? null
}

/** Practice, section 10; common practice, no source. */
export const signRule: Way = {
  id: 'sign-rule',
  title: 'the rule of signs',
  school:
    'Taking away is adding the opposite; same signs: add the sizes; different: their difference, sign of the longer.',
  at: 'Writing, once the counters and the line have shown why.',
  sort: 'signs',
  suits: (p) => isChain(p) && p.terms.length > 0,
  next: (problem, s) =>
    oneByOne(problem, s, (term) => {
      const number = valueOf(term.number)
      if (owing(s) !== number) return null
      return nextStep(s, ruleSteps(s.value, term.operation as Sign, number))
    }),
}
