import type { Role, SituationId } from '../../core/story/index'

/** Where the amounts of a situation stand in the drawing of its bars: rows from above, and places in a row from the left. */
export const BAR_PLACES: Readonly<Record<SituationId, readonly (readonly Role[])[]>> = {
  'add-to': [['result'], ['start', 'change']],
  'take-from': [['start'], ['result', 'change']],
  together: [['whole'], ['first', 'second']],
  compare: [['lesser', 'difference'], ['greater']],
  groups: [['product'], ['size', 'number']],
  array: [['product'], ['size', 'number']],
  times: [['lesser', 'number'], ['greater']],
  part: [['whole'], ['part', 'share']],
  rise: [['start'], ['change'], ['result']],
  fall: [['start'], ['change'], ['result']],
  enough: [['there', 'over'], ['wanted']],
}
