/** The door to paper: mats, pieces to cut out, sheets and strips, laid out at true scale. */
export { BRAILLE_HEIGHT, brailleWidth, CELL, cellsOf } from './braille'
export { codeOfList, isListCode, listCode } from './code'
export { FINGER_CHARTS, FRAMES, frameWith, type BeadsWish, type ChainsWish, type FingersWish } from './charts'
export { placedMarks, POINT, strokesOf, type Font, type Ink, type Mark, type PathMark, type TextMark } from './drawing'
export { MAT_NAMES, MOST_MARKS, STRIP, type MatId, type MatWish } from './mats'
export { CHECK_BAR, type Code, type Page } from './page'
export { MOST_PIECES, PIECE_NAMES, SIZES_CUT, type PieceId, type PiecesWish } from './pieces'
export { pictureOf } from './pictures/index'
export {
  layingOut,
  layOut,
  MOST_PAGES,
  type Print,
  type PrintItem,
  type PrintSetting,
  type SheetWish,
  type Tools,
} from './print'
export { answerText, MOST_PRINTED, SHOWN, type ProblemsWish, type Shown } from './problems'
export { BIG, PAPER_SIZES, PAPERS, type Measure, type Paper } from './setting'
export { stripOfRecord, type StepsWish, type StripStep } from './steps'
export { FAMILIES, INKS, svgPage, svgPicture } from './svg'
export { LEAST_APART, tactileTroubles } from './tactile'
export type { Section, WordsWish } from './words'
