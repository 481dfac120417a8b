/** The door to setting problems: the next of a kind, cards, chains, the spinner, missing digits, several ways on a board. */
export { type Advice, adviseWays } from './advice'
export { answerCards, answerCardsOf, sentenceCards } from './cards'
export { type Chains, chainText, setChains } from './chains/chains'
export { before, lessonId, lessonOf, LESSONS } from './chains/lessons'
export type { ChainWish } from './chains/wish'
export { sameKind } from './sameKind'
export { rulesIn } from './sameRules'
export {
  allowedPairs,
  changedColumns,
  checkRules,
  dealCards,
  MAX_CARDS,
  spin,
  type SpinnerRules,
  type SpinPair,
  spinProblem,
  whyNot,
} from './spinner'
export { board, type BoardPanel, MOST_PANELS } from '../plan/board'
export { numbersOf, parseMissing, printMissing, solveMissing } from '../problem/missing'
export { sayMissing } from '../speech/missing'
export { dropHeap, HEAP_RULES, type HeapRule, whichCoins } from './heaps'
export { featuresIn, type Features } from './setter/features'
export { checkLimits, OPERATIONS, type BeadRuleLimit, type Limits, type Range } from './setter/limits'
export { conflictIn, type Conflict } from './setter/conflict'
export { countProblems } from './setter/problems'
export { looksAlike, MOST_SET, setProblems, type SetWish } from './setter/setter'
export { STEPS, stepById } from './steps/all'
export { MOVING_ON, STRANDS, type Step, type Strand } from './steps/step'
export {
  isToCheck,
  isKnown,
  laidSteps,
  toldByPlacement,
  nextStep,
  standingsOf,
  StepFinder,
  troublesIn,
  type Done,
  type Said,
  type StepStanding,
} from './steps/standing'
export { isWithin } from './steps/within'
export { likelyAfter, placement, PLACING, type Placed, type Placement } from './steps/placement'
export { COURSES, courseById } from './courses/all'
export {
  canWork,
  MOST_STEPS,
  shownSteps,
  strandOf,
  troublesOf,
  troublesOfOrder,
  troublesOfStep,
  withSteps,
  type Course,
  type CourseStep,
  type Trouble,
} from './courses/course'
export { askedAs, askIdOf, saidAs, sayIdOf } from './steps/phrases'
export {
  afterwards,
  LESSON_MINUTES,
  lessonTime,
  LONG_LESSON,
  MOST_IN_LESSON,
  PACE,
  planLesson,
  wayFor,
  type Afterwards,
  type Coming,
  type LessonPlan,
  type LessonTime,
  type LessonWish,
  type Turn,
} from './lesson/lesson'
export { seeded, type Random } from './random'
