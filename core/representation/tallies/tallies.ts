import { counting } from '../counting/counting'
import { fitCounting } from '../counting/fit'

/** Strokes in bundles of five, the fifth across; what is taken is crossed out, never rubbed out. */
export const tallies = counting({
  id: 'tallies',
  title: 'tallies',
  kind: 'drawn',
  verbs: { out: 'draw', apart: 'row', join: 'join', take: 'cross' },
  thing: ['stroke', 'strokes'],
  room: () => 50,
  stores: false,
  setsApart: true,
  apart: 'Draw one in the next row',
  fits: (problem) =>
    fitCounting(problem, { total: 50, why: 'more than 50 strokes are not counted any more', instead: ['blocks'] }),
})
