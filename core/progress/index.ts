/** The door to progress: sessions made of trials, trends, aim lines, and what follows from them by a school's rules. */
export {
  HELP_ORDER,
  PHASES,
  phaseOf,
  sessionsOf,
  sessionsToward,
  type Phase,
  type Session,
  type Tried,
} from './sessions'
export { medianOf, theilSen, type Trend } from './trend'
export { aimAt, aimLine, type AimLine, type Goal } from './aim'
export { RULES_AT_FIRST, suggest, SUGGESTED, type Rules, type Suggestion, type SuggestionKind } from './rules'
export { toldOfProgress } from './told'
export { daysNotSeen, toldOfSeen, type Seen } from './seen'
export { slipsByWeek, type SlipWeeks } from './slips'
export { durationText, statementOf, type TriedOnce } from './statements'
export { reportOf, reportText, type Reported, type ReportSection } from './report'
