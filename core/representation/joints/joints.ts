import { DEFAULT_CHOICES } from '../../choices'
import { counting } from '../counting'
import { fitCounting } from '../countingFit'

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
  fits: (problem, { joints: marks } = DEFAULT_CHOICES) =>
    fitCounting(problem, {
      total: marks,
      why: `one hand has ${marks} joint marks`,
      instead: ['tallies', 'blocks'],
      reaches: (free, wanted) =>
        `One hand has ${marks} joint marks: ${free} of the ${wanted} go on, then there are none. Tens and ones apart would hold it.`,
    }),
})
