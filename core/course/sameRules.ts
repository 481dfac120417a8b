import type { DigitWork } from '../act/beads'
import type { Choices } from '../choices'
import { valueOf } from '../number/numeral'
import type { Problem } from '../problem/problem'
import { attempt } from '../refusal'
import { lessonId } from './chains/lessons'
import { REPRESENTATIONS } from '../representation/index'
import { applyAll, type RepresentationId } from '../representation/representation'

/**
 * By which rules each number of a chain goes in a material that works digits by rules, one text for each number after the first;
 * they are equal for problems of one kind there: `4 + 2` and `3 + 4` both need a five complement. Undefined for every other
 * material, and where a number cannot be worked.
 */
export const rulesIn = (
  problem: Problem,
  representation: RepresentationId,
  choices: Choices,
): readonly string[] | undefined =>
  worksIn(problem, representation, choices)?.map((works) => works.map(ruleAndRipple).join(', '))

/** Every digit that a chain works on beads, with those it sets off above, as the lesson it is: `five+2`. */
export const lessonsIn = (
  problem: Problem,
  representation: RepresentationId,
  choices: Choices,
): readonly string[] | undefined =>
  worksIn(problem, representation, choices)?.flatMap((works) => works.flatMap(withRipples).map(lessonId))

const withRipples = (work: DigitWork): readonly DigitWork[] => [
  work,
  ...(work.next && work.next !== 'beyond' ? withRipples(work.next) : []),
]

/** How the digits of each number after the first go. */
function worksIn(
  problem: Problem,
  representation: RepresentationId,
  choices: Choices,
): readonly (readonly DigitWork[])[] | undefined {
  const r = REPRESENTATIONS[representation]
  if (!r.byDigits) return undefined
  const worked = attempt(() => {
    let state = r.start(problem, choices)
    return problem.terms.map(({ operation, number }, i) => {
      if (i === 0) state = applyAll(r, state, r.perform(state, { kind: 'lay', amount: valueOf(problem.first) }))
      const act = { kind: operation === '-' ? ('take' as const) : ('join' as const), amount: valueOf(number) }
      const digits = r.byDigits!(state, act)
      state = applyAll(
        r,
        state,
        digits.flatMap((d) => d.moves),
      )
      return digits.map((d) => d.work)
    })
  })
  return 'ok' in worked ? worked.ok : undefined
}

/** A digit's rule with those of the rods above that it sets off. */
const ruleAndRipple = ({ rule, next }: DigitWork): string =>
  next === null ? rule : `${rule} ${next === 'beyond' ? next : ruleAndRipple(next)}`
