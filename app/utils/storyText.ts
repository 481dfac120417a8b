import { capital, isRepresentation, pretty, REPRESENTATIONS } from '../../core/door'
import {
  answerIn,
  printAmount,
  situationOf,
  toldNumbers,
  type Chosen,
  type Stage,
  type Workable,
} from '../../core/story/index'
import { CHOSEN_NAMES } from './storyNames'

/** What is told of a story’s stages in words: what would be right, and what was given. */

const number = (n: ReturnType<typeof toldNumbers>[number]): string =>
  pretty(printAmount(n.includes('/') ? 'share' : 'whole', n))
const money = (unit: string): boolean => /^[$£€]$/.test(unit)

/** The answer as a sentence; empty where there is none, or many. */
export const answerText = ({ answer, unit, said, cell }: Workable): string => {
  if (answer === null) return ''
  const amount = printAmount(cell.unknown, answer)
  return said.replace('#', money(unit) ? `${unit}${amount}` : pretty(amount))
}

/** What is shown of a stage. */
export function shownText(story: Workable, stage: Stage): string {
  switch (stage) {
    case 'situation':
      return CHOSEN_NAMES[situationOf(story)]
    case 'marks':
      return `${toldNumbers(story).map(number).join(' and ')}${story.missing ? '; a number is missing' : ''}`
    case 'sentence':
      return [story.sentence, ...story.steps].map((s) => pretty(s)).join(', so ')
    case 'answer':
      return story.answer === null
        ? story.missing
          ? 'nobody can know'
          : 'any two that make the whole'
        : answerText(story)
    default:
      return ''
  }
}

/** What was given at a stage, as it reads. */
export function givenText(story: Workable, stage: Stage, given: string): string {
  if (given === '') return `shown: ${shownText(story, stage) || 'as it is'}`
  switch (stage) {
    case 'situation':
      return CHOSEN_NAMES[given as Chosen] ?? given
    case 'material':
      return isRepresentation(given) ? capital(REPRESENTATIONS[given].title) : given
    case 'check':
      return given.includes('fits=yes') ? 'it fits' : 'it does not fit'
    case 'marks': {
      const needed = /needs=(\S*)/.exec(given)?.[1]?.split(',').filter(Boolean) ?? []
      return `${needed.map((n) => pretty(n)).join(' and ') || 'no number'}${given.includes('missing=yes') ? '; a number is missing' : ''}`
    }
    case 'bars':
      return pretty(given.replaceAll(/\w+=(\S+)/g, '$1').replaceAll(' ', ' · '))
    default:
      return pretty(given.replace(/; ?$/, '').replace(/^; /, ''))
  }
}

/** The story to be read again, with what was answered in the place of the question. */
export function withAnswer(story: Workable, given: string): readonly string[] {
  const tells = story.sentences.slice(0, -1)
  if (given === '') return tells
  try {
    const { value, unit } = answerIn(given)
    if (value === null) return tells
    const amount = printAmount(story.cell.unknown, value)
    return [...tells, story.said.replace('#', money(unit) ? `${unit}${amount}` : pretty(amount))]
  } catch {
    return tells
  }
}
