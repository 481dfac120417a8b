import { counting } from '../counting/counting'
import { fitCounting } from '../counting/fit'

/** Loose counters and a bowl; what is taken goes back to the bowl, so that it is not muddled with what is left. */
export const counters = counting({
  id: 'counters',
  title: 'counters',
  kind: 'concrete',
  verbs: { out: 'put', apart: 'set', join: 'push', take: 'return' },
  thing: ['counter', 'counters'],
  room: () => 20,
  stores: false,
  loose: true,
  setsApart: true,
  cards: true,
  fits: (problem) =>
    fitCounting(problem, { total: 20, why: 'loose counters are for numbers up to 20', instead: ['tallies', 'blocks'] }),
})
