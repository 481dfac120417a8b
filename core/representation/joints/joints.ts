import { counting } from '../counting'
import { fitCounting } from '../countingFit'

/** How many joint marks a hand has where nothing is chosen: four on each of five fingers. */
const MARKS = 20

/** The marks inside one hand, counted with the thumb or the other hand (practice: common practice, no source). */
export const joints = counting({
  id: 'joints',
  title: 'joint marks',
  kind: 'concrete',
  verbs: { out: 'mark', apart: 'ready', join: 'mark', take: 'unmark' },
  thing: ['joint mark', 'joint marks'],
  room: (choices) => choices.joints,
  stores: false,
  setsApart: false,
  fits: (problem) =>
    fitCounting(problem, {
      total: MARKS,
      why: `one hand has ${MARKS} joint marks`,
      instead: ['tallies', 'blocks'],
      reaches: (free, wanted) =>
        `One hand has ${MARKS} joint marks: ${free} of the ${wanted} go on, then there are none. Tens and ones apart would hold it.`,
    }),
})
