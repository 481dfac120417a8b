import type { Cell, SituationId } from '../../core/story/index'

/** What situations and their questions are called on the screen. */
export const SITUATION_NAMES: Readonly<Record<SituationId, string>> = {
  'add-to': 'Some come',
  'take-from': 'Some go',
  together: 'Two kinds',
  compare: 'Held against each other',
  groups: 'So many in each',
  array: 'In rows',
  times: 'So many times as many',
}
const ASKED: Readonly<Record<string, string>> = {
  'add-to/result': 'how many now',
  'add-to/change': 'how many came',
  'add-to/start': 'how many at first',
  'take-from/result': 'how many now',
  'take-from/change': 'how many went',
  'take-from/start': 'how many at first',
  'together/whole': 'how many altogether',
  'together/both': 'how many of each could be',
  'together/second': 'how many of the second kind',
  'together/first': 'how many of the first kind',
  'compare/difference/more': 'how many more',
  'compare/difference/fewer': 'how many fewer',
  'compare/greater/more': 'the greater, told by “more”',
  'compare/greater/fewer': 'the greater, told by “fewer”',
  'compare/lesser/more': 'the lesser, told by “more”',
  'compare/lesser/fewer': 'the lesser, told by “fewer”',
  'groups/product': 'how many altogether',
  'groups/size': 'how many in each',
  'groups/number': 'how many groups',
  'array/product': 'how many altogether',
  'array/size': 'how many in a row',
  'array/number': 'how many rows',
  'times/greater': 'the greater',
  'times/lesser': 'the lesser',
  'times/number': 'how many times',
}
/** A kind of story by its id, `compare/lesser/more`. */
export const cellId = ({ situation, unknown, wording }: Cell): string =>
  [situation, unknown, ...(wording ? [wording] : [])].join('/')
export const askedName = (cell: Cell): string => ASKED[cellId(cell)]!
