import { DEFAULT_CHOICES, marksOf, type JointMarks } from '../../choices'
import { counting } from '../counting/counting'
import { fitCounting } from '../counting/fit'

const roomOf = (joints: JointMarks): number => marksOf(joints).reduce((sum, n) => sum + n, 0)

/** The marks inside one hand, counted with the thumb or the other hand (practice: common practice, no source). */
export const joints = counting({
  id: 'joints',
  title: 'joint marks',
  kind: 'concrete',
  verbs: { out: 'mark', apart: 'ready', join: 'mark', take: 'unmark' },
  thing: ['joint mark', 'joint marks'],
  room: (choices) => roomOf(choices.joints),
  stores: false,
  setsApart: false,
  fits: (problem, { joints: marked } = DEFAULT_CHOICES) => {
    const marks = roomOf(marked)
    return fitCounting(problem, {
      total: marks,
      why: `one hand has ${marks} joint marks`,
      instead: ['partials', 'tallies', 'blocks'],
      reaches: (free, wanted) =>
        `One hand has ${marks} joint marks: ${free} of the ${wanted} go on, then there are none. Tens and ones apart would hold it.`,
    })
  },
})
