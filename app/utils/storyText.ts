import { pretty } from '../../core/door'
import { answerIn, printAmount, type toldNumbers, type Workable } from '../../core/story/index'

/** Numbers and answers of stories as they are written. */

export const numberText = (n: ReturnType<typeof toldNumbers>[number]): string =>
  pretty(printAmount(n.includes('/') ? 'share' : 'whole', n))
const money = (unit: string): boolean => /^[$£€]$/.test(unit)
const withUnit = (amount: string, unit: string): string => (money(unit) ? `${unit}${amount}` : pretty(amount))

/** The answer as a sentence; empty where there is none, or many. */
export const answerText = ({ answer, unit, said, cell }: Workable): string =>
  answer === null ? '' : said.replace('#', withUnit(printAmount(cell.unknown, answer), unit))

/** The story to be read again, with what was answered in the place of the question. */
export function withAnswer(story: Workable, given: string): readonly string[] {
  const tells = story.sentences.slice(0, -1)
  if (given === '') return tells
  try {
    const { value, unit } = answerIn(given)
    if (value === null) return tells
    return [...tells, story.said.replace('#', withUnit(printAmount(story.cell.unknown, value), unit))]
  } catch {
    return tells
  }
}
