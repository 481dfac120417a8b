/** The door to marking: which procedure made these answers, what to ask next, what to show. */
export {
  FAMILIES,
  CATALOGUE,
  procedureById,
  WORKED_WITH,
  type Family,
  type Known,
  type WorkedWith,
} from '../mistakes/catalogue'
export { answersOf, rightOf, type Worked } from '../mistakes/procedure'
export type { ColumnTrace, Sheet } from '../mistakes/columnWork'
export { diagnose, type Before, type Diagnosis, type Ranked } from './diagnose'
export { comesTo, MOST_ANSWER, parseAnswer, parseItem, printAnswer, type Item, type ItemText } from './item'
export { nextQuestion, rivalsIn, suspectOf, tellingApart, type Question, type Rival } from './next'
export { familyOf, MOST_POOL, problemsOf, type Limits } from './pool'
export { predicted, type Suspect } from './predict'
export { codeOf, MOST_IN_SET, MOST_SEED, problemsIn, setOf, type ProblemSet } from './set'
export { piecesAt, sideBySide, type SideBySide } from './sideBySide'
export { itemsOf, MOST_LEARNERS, MOST_PROBLEMS, readTable, type ClassTable, type Row, type TableTrouble } from './table'
