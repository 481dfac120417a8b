import { FINGERS } from '../../choices'
import { counting } from '../counting/counting'
import { fitCounting } from '../counting/fit'

/**
 * Raised fingers. Any of the ten may be missing or not asked for; then there is simply less room, and a full set is
 * remembered sooner (practice: common practice, no source).
 */
export const fingers = counting({
  id: 'fingers',
  title: 'fingers',
  kind: 'concrete',
  verbs: { out: 'raise', apart: 'ready', join: 'raise', take: 'fold' },
  thing: ['finger', 'fingers'],
  room: (choices) => FINGERS.length - new Set(choices.away).size,
  stores: true,
  setsApart: false,
  fits: (problem) =>
    fitCounting(problem, {
      total: 20,
      steps: 20,
      why: 'two hands and one ten in the head hold 20',
      instead: ['tallies', 'blocks'],
    }),
})
