/** The door to rehearsing: what may be asked, what comes next, and the grid of results. */
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
export { nextItem } from './schedule'
