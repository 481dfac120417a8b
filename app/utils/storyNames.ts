import {
  cellId,
  type Cell,
  type Chosen,
  type Role,
  type SituationId,
  type Stage,
  type StageSays,
} from '../../core/story/index'

/** What situations, questions and stages of stories are called on the screen. */
export const SITUATION_NAMES: Readonly<Record<SituationId, string>> = {
  'add-to': 'Some come',
  'take-from': 'Some go',
  together: 'Two kinds',
  compare: 'Held against each other',
  groups: 'So many in each',
  array: 'In rows',
  times: 'So many times as many',
  part: 'A part of a whole',
  rise: 'Up, through nought',
  fall: 'Down, through nought',
  enough: 'Is it enough?',
}
/** What a learner chooses among when asked what happens. */
export const CHOSEN_NAMES: Readonly<Record<Chosen, string>> = {
  ...SITUATION_NAMES,
  'two-steps': 'Two things, one after the other',
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
  'part/part': 'how much the part is',
  'part/whole': 'how much the whole is',
  'part/share': 'which part it is',
  'rise/result': 'where it is now',
  'rise/change': 'how far up',
  'rise/start': 'where it was',
  'fall/result': 'where it is now',
  'fall/change': 'how far down',
  'fall/start': 'where it was',
  'enough/over': 'and how much is left or missing',
  'add-to>take-from/result': 'some come, then some go',
  'add-to>add-to/result': 'some come, then more come',
  'take-from>add-to/result': 'some go, then some come',
  'take-from>take-from/result': 'some go, then more go',
  'together>take-from/result': 'two kinds, then some go',
  'groups>take-from/result': 'so many in each, then some go',
  'groups>add-to/result': 'so many in each, then some come',
  'groups>enough/over': 'so many in each: is it enough?',
}
export const askedName = (cell: Cell): string => ASKED[cellId(cell)]!
/** The heading under which a kind of story stands in the list. */
export const groupOf = (cell: Cell): string => (cell.after ? 'Two steps' : SITUATION_NAMES[cell.situation])

/** The places of bars. */
export const PLACE_NAMES: Readonly<Record<Role, string>> = {
  start: 'at first',
  change: 'what comes or goes',
  result: 'at the end',
  whole: 'the whole',
  first: 'one part',
  second: 'the other part',
  lesser: 'the lesser',
  difference: 'the difference',
  greater: 'the greater',
  number: 'how many groups, or times',
  size: 'how many in each',
  product: 'in all',
  share: 'which part',
  part: 'the part',
  there: 'what there is',
  wanted: 'what is wanted',
  over: 'left over or missing',
}

export const STAGE_NAMES: Readonly<Record<Stage, string>> = {
  situation: 'What happens?',
  marks: 'What is told, and what is asked?',
  bars: 'Bars',
  sentence: 'Number sentence',
  material: 'Material',
  answer: 'Answer',
  check: 'Does it fit?',
}

const HINTS: Readonly<Record<Stage, string>> = {
  situation: 'Not yet. Does something happen, or are two things held against each other?',
  marks: 'Not yet. Read the story again, a sentence at a time.',
  bars: 'Not yet. Which is the longest? Which is not told?',
  sentence: 'Not yet. Put the answer’s place as ? where it stands in the story.',
  material: '',
  answer: 'Not yet. Look at the bars, and work it again.',
  check: 'Not yet. Read the story with the answer in it.',
}
const SAYS: Readonly<Record<string, string>> = {
  'chose by a key word': 'That goes by the word. Who has more of it, and what is asked? Look at the bars.',
  'answered another question: a number that is told': 'That number is told already. What is asked?',
  'forgot the second step': 'That is the first step. What happens then?',
  'used what was not needed': 'One of these numbers is not needed. Which?',
  'marked a number that is not needed': 'One of these numbers is not needed. Which?',
  'lost the side of nought': 'On which side of nought is it?',
  'answered though a number is missing': 'Are all numbers told that one needs?',
  'worked the right numbers another way': 'These are the right numbers, worked another way. Look at the bars.',
  'marked something else as asked': 'Read the question once more. What does it want to know?',
}
/** What is said of what was given at a stage. */
export function saysText(stage: Stage, { right, slip }: StageSays): string {
  if (right) return slip === 'lost the unit' ? 'The number is right. What is it a number of?' : 'That is it.'
  return (slip && SAYS[slip]) ?? HINTS[stage]
}
