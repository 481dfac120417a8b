import { procedureById, type Diagnosis, type Ranked } from '../../core/diagnose/index'
import { capital } from '../../core/door'

/** How likely something is, in a word and in so many of a hundred. */
export function likely(probability: number): string {
  const word =
    probability >= 0.9 ? 'very likely' : probability >= 0.65 ? 'likely' : probability >= 0.35 ? 'perhaps' : 'hardly'
  return `${word}, ${probability > 0.995 ? 'over 99' : Math.round(100 * probability)} of 100`
}

/** What an explanation is called; none at all is working as one should. */
export const nameOfBug = (bug: readonly string[]): string =>
  bug.length === 0 ? 'worked as it should be' : bug.map((id) => procedureById(id)?.name ?? id).join('; and besides, ')

/** The likeliest explanation, where some procedure is likelier than none. */
export const leading = ({ ranked, none }: Diagnosis): Ranked | null =>
  ranked[0] && ranked[0].probability > none.probability ? ranked[0] : null

/** What a page says, in a sentence. */
export function saidInWords(diagnosis: Diagnosis, count: number): string {
  const top = leading(diagnosis)
  if (top) return `Answers like these come from this way of working: ${nameOfBug(top.bug)}.`
  if (diagnosis.blank.length === count) return 'Nothing was answered, so nothing can be said.'
  if (diagnosis.wrong.length === 0) return 'Every answer is right.'
  if (diagnosis.none.careful >= diagnosis.none.other)
    return 'Right but for a slip here and there. No procedure is seen in them.'
  return 'No single procedure known here explains these answers.'
}

export const capitalised = (bug: readonly string[]): string => capital(nameOfBug(bug))
