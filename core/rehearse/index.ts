/** The door to rehearsing: what may be asked, what comes next, and the grid of results. */
export {
  BACK_RANGES,
  FACT_KINDS,
  type FactCell,
  type FactItem,
  type FactKind,
  factAnswer,
  factGrid,
  isRightFact,
  nextFact,
  parseFact,
  printFact,
} from './facts'
export { byRule, type Cell, grid } from './grid'
export {
  firstFinger,
  frameFor,
  isDigit,
  isRight,
  type Item,
  type Kind,
  KINDS,
  moved,
  parseItem,
  printItem,
  rightAnswer,
} from './items'
export { isRightAnswer } from './answers'
export { nextItem } from './schedule'
