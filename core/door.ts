/**
 * What the app takes from the core, with no material or way introduced yet (introduce.ts): so a browser fetches no more than it needs.
 * Everything else takes it from index.ts, where all of them are.
 */
import { toProblem } from './problem/parse'
import type { Problem } from './problem/problem'
import { offersFor, type Offer } from './representation/index'
import type { RepresentationId } from './representation/representation'
import { waysOf, type WayOffer } from './way/index'
import { REPRESENTATIONS } from './representation/index'

export { type Act, exchangeAct, printComparison } from './act/act'
export type { BeadFinger, BeadMove, BeadRule } from './act/beads'
export { allDone, stand, type Standing } from './act/standing'
export {
  type AbacusChoices,
  COMMONS,
  FRACTION_FORMS,
  type PartsChoices,
  type DivisionChoices,
  MULTIPLES,
  QUOTIENT_ZEROS,
  type Choices,
  type ComplementNames,
  DEFAULT_CHOICES,
  type Digit,
  ENGLISHES,
  EQUALS_WORDS,
  EXCHANGE_WORDS,
  type Finger,
  FINGERS,
  type Hand,
  marksOf,
  MINUS_WORDS,
  NEGATIVES,
  ONES_WORDS,
  OWN_SIGNS,
  PLUS_WORDS,
  type SignedChoices,
  RULINGS,
  STORIES,
  withDefaults,
  WORD_SETS,
  type Words,
} from './choices'
export { FIRST } from './first'
export { introduce } from './introduce'
export { REPRESENTATION_IDS, type RepresentationId } from './materials'
export {
  add,
  asNumber,
  compare,
  type Exact,
  exact,
  parts,
  sign,
  sizeOf,
  subtract,
  timesIn,
  toCount,
  ZERO,
} from './number/exact'
export { grouped, groupedAlike, groupedIn, type Separator } from './number/grouped'
export { cutOf, isDecimal, lcm, lowestText } from './number/fractions'
export { markOf, MARK_GROUNDS, type LearnerMark } from './mark'
export { levelParts, type MathToken, mathTokens, toLatex, toMathML } from './number/markup'
export { parseNumeral, printExact, printNumeral, valueOf } from './number/numeral'
export { changedPlaces, countsAt, type Place, placeName, placeOfUnit, unitOf } from './number/places'
export {
  amountIn,
  type Coin,
  CURRENCIES,
  currencyOf,
  everyPayment,
  fewestCoins,
  MONEY_SETS,
  type MoneyChoices,
  moneyText,
  type Note,
  PIECE_VALUES,
  valuesOf,
  waysToPay,
} from './number/money'
export { numberText } from './number/text'
export { listed, type Trail } from './number/trail'
export { MOST_PARTS, PARTS, pieceName, type Pieces, type Units, USUAL_PARTS, worthOf } from './number/units'
export { capital, formOf } from './number/words'
export { onPage } from './plan/lines'
export { plan, type Plan, type PlanStep, standingFor } from './plan/plan'
export { packFor, type PlanRequest, type Setup, setUp } from './plan/setup'
export { handsOf, tellingOf } from './plan/telling'
export { parseProblem } from './problem/parse'
export {
  amountsOf,
  answer,
  asksMore,
  decimalsIn,
  hasBelow,
  MAX_PROBLEM_LENGTH,
  numbersIn,
  printProblem,
  type Problem,
  totals,
  writesFractions,
} from './problem/problem'
export { heapText, priceOf } from './problem/heap'
export { commonIn, partsOfProblem, writtenIn } from './problem/fitParts'
export { ahead, nextAct, nextMoves } from './record/ahead'
export type { Bench, Mode, Moment, Stone } from './record/moment'
export { enter, openBench } from './record/bench'
export { leaving, silentAct } from './record/asking'
export { isWorkedOut, matchOf, outcome, slipsOf } from './record/outcome'
export { DAY_MS, WEEK_MS } from './days'
export { recordOf, reopen, reopening, replay, type WorkRecord } from './record/record'
export { spokenMoves } from './record/spoken'
export { translate } from './record/translate'
export { attempt, Refusal } from './refusal'
export { hasMat, heldBy, holdersOf, isHere, isRepresentation, offersFor, REPRESENTATIONS } from './representation/index'
export type { ColumnsState } from './representation/columns/state'
export { standsBeside } from './representation/representation'
export { printCounts } from './representation/text'
export { type BeadDetail, detailOf, moveInWords, ruleName } from './speech/beads'
export { fieldOf, type Prediction, predictionOf, SIGN_FIELDS, type SignField } from './speech/predict'
export { askInWords, labelOf, sayAct, sayMatch, sayOpening, introduceLanguage } from './speech/index'
export { inClassWords } from './speech/classWords'
export { named } from './speech/words'
export { isToldIn, LANGUAGE_NAMES, LANGUAGES, type LanguageId } from './language'
export { inUnitForm, sayWritten, spokenList, packOf, pretty, say, sayNumeral, type WordPack } from './speech/words'
export { isWay, isWayHere, wayById, waysOf } from './way/index'
export { WAY_IDS, type WayId } from './way/way'

/** Which representations can hold a problem; where one cannot, why, in words. @throws Refusal for text that is no problem. */
export const representationsFor = (problem: Problem | string): readonly Offer[] => offersFor(toProblem(problem))

/** The ways of working a problem on a representation, the default first; none where it does not fit. */
export function waysFor(problem: Problem | string, representation: RepresentationId): readonly WayOffer[] {
  const read = toProblem(problem)
  return REPRESENTATIONS[representation].fits(read).fits ? waysOf(read, REPRESENTATIONS[representation]) : []
}
export { methodsOf, READY_SET_IDS, READY_SETS, type ReadySet, type ReadySetId } from './readySets'
