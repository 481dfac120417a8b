/** The door to stories: situations as data, scenes, and telling them. */
export {
  CELLS,
  completed,
  isTrue,
  misleads,
  problemFor,
  sentenceOf,
  SITUATIONS,
  solvingOf,
  suggests,
  toldOf,
  type Amounts,
  type Cell,
  type Role,
  type SituationId,
  type Wording,
} from './situation'
export { PEOPLE, SCENES, type Scene, type Thing } from './scene'
export { cellsFor, scenesFor, tellStory, whyNotIn, type Story, type StoryWish } from './tell'
export { barsOf, type Bar, type BarPart } from './bars'
export { understood, type Understood } from './judge'
export {
  keyWordsIn,
  MOST_STORY,
  numbersFound,
  ownStory,
  rolesOf,
  type FoundNumber,
  type KeyWord,
  type OwnStory,
  type OwnWish,
} from './own'
