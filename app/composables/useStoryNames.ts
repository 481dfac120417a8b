import { capital, isRepresentation, pretty, REPRESENTATIONS } from '../../core/door'
import {
  cellId,
  misleads,
  solvingOf,
  STORY_SLIPS,
  suggests,
  toldNumbers,
  situationOf,
  type Cell,
  type Chosen,
  type Role,
  type Stage,
  type StageSays,
  type Workable,
} from '../../core/story/index'
import { answerText, numberText } from '../utils/storyText'

/** The slips for which something is said while a story is worked together, by their keys. */
const SAID = [
  'by the word',
  'told already',
  'first step',
  'not needed',
  'needed',
  'other side',
  'made up',
  'worked otherwise',
  'asked',
] as const

/** What the kinds, places and stages of stories are called on the screen, and what was given at a stage in words. */
export function useStoryNames() {
  const { t } = useI18n()
  const situationName = (id: Chosen): string => t(`story.situation.${id}`)
  const askedName = (cell: Cell): string => t(`story.asked.${cellId(cell)}`)
  /** The heading under which a kind of story stands. */
  const groupOf = (cell: Cell): string => situationName(cell.after ? 'two-steps' : cell.situation)
  const kindName = (cell: Cell): string => t('story.kindIs', { situation: groupOf(cell), asked: askedName(cell) })
  /** Why the words of a kind mislead; empty where they do not. */
  function trickyOf(cell: Cell): string {
    if (!misleads(cell)) return ''
    const work = t(`story.do.${solvingOf(cell)!.operation}`)
    return cell.wording
      ? t('story.trickyWord', { word: cell.wording, work })
      : t('story.trickySounds', { sounds: t(`story.sounds.${suggests(cell)}`), work })
  }
  const placeName = (role: Role): string => t(`story.place.${role}`)
  const stageName = (stage: Stage): string => t(`story.stage.${stage}`)
  const saysText = (stage: Stage, { right, slip }: StageSays): string => {
    if (right) return t(slip === STORY_SLIPS.unit ? 'story.says.unit' : 'story.says.right')
    const said = SAID.find((key) => STORY_SLIPS[key] === slip)
    return t(said ? `story.says.${said}` : `story.hint.${stage}`)
  }
  /** What is shown of a stage. */
  function shownText(story: Workable, stage: Stage): string {
    switch (stage) {
      case 'situation':
        return situationName(situationOf(story))
      case 'marks': {
        const what = toldNumbers(story).map(numberText).join(t('story.given.and'))
        return story.missing ? t('story.given.missing', { what }) : what
      }
      case 'sentence':
        return t('story.given.so', {
          sentence: pretty(story.sentence),
          work: story.steps.map((s) => pretty(s)).join(t('story.then')),
        })
      case 'answer':
        return story.answer !== null ? answerText(story) : t(story.missing ? 'story.given.nobody' : 'story.given.any')
      default:
        return ''
    }
  }
  /** What was given at a stage, as it reads. */
  function givenText(story: Workable, stage: Stage, given: string): string {
    if (given === '') return t('story.given.shown', { what: shownText(story, stage) || t('story.given.as') })
    switch (stage) {
      case 'situation':
        return situationName(given as Chosen)
      case 'material':
        return isRepresentation(given) ? capital(REPRESENTATIONS[given].title) : given
      case 'check':
        return t(given.includes('fits=yes') ? 'story.given.fits' : 'story.given.notFits')
      case 'marks': {
        const needed = /needs=(\S*)/.exec(given)?.[1]?.split(',').filter(Boolean) ?? []
        const what = needed.map((n) => pretty(n)).join(t('story.given.and')) || t('story.given.none')
        return given.includes('missing=yes') ? t('story.given.missing', { what }) : what
      }
      case 'bars':
        return pretty(given.replaceAll(/\w+=(\S+)/g, '$1').replaceAll(' ', ' · '))
      default:
        return pretty(given.replace(/; ?$/, '').replace(/^; /, ''))
    }
  }
  return { situationName, askedName, groupOf, kindName, trickyOf, placeName, stageName, saysText, shownText, givenText }
}
