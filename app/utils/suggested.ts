import type { SuggestionKind } from '../../core/progress/index'

/** What the figures suggest, as it is said to a teacher. */
export const SUGGESTION_SAYS: Readonly<Record<SuggestionKind, string>> = {
  'move-on': 'Move on to the next step',
  fade: 'Fade the material: from held to drawn, from drawn to written',
  concrete: 'Make it more concrete',
  change: 'Change something: it stays below the aim line',
  raise: 'Raise the goal: it stays above the aim line',
  check: 'Look at it again',
  mark: 'Ask Marking about a mistake',
  stay: 'Stay with this step',
}
/** The same in two words, where many stand in one list. */
export const SUGGESTION_SHORT: Readonly<Record<SuggestionKind, string>> = {
  'move-on': 'move on',
  fade: 'fade the material',
  concrete: 'more concrete',
  change: 'change something',
  raise: 'raise the goal',
  check: 'look again',
  mark: 'ask Marking',
  stay: 'stay',
}
