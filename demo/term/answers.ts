import { answersOf, procedureById } from '../../core/diagnose/index'
import { numberText, parseProblem } from '../../core/index'
import { idFor, LEARNERS } from '../lantern-walk'

/** The seed of all that is made by chance in the term. */
export const SEED = 41
export const learnerId = (who: string): string => idFor(1, LEARNERS.indexOf(who))

/** The answer that a mistaken procedure gives, if it gives another than the right one. */
export function wrongAnswer(problem: string, mistake: string): string | undefined {
  const procedure = procedureById(mistake)
  const [wrong] = procedure ? answersOf(procedure, parseProblem(problem)) : []
  return wrong === undefined ? undefined : numberText(wrong)
}
