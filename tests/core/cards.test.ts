import fc from 'fast-check'
import { answerCards, CARDS } from '../../core/course/cards'
import { answer, parseProblem } from '../../core/problem/problem'
import { small } from './worlds'

test('the answer lies once among different cards, the same for the same seed', () => {
  fc.assert(
    fc.property(small('counters'), fc.integer(), (problem, seed) => {
      const cards = answerCards(problem, seed)
      expect(cards).toHaveLength(CARDS)
      expect(new Set(cards).size).toBe(CARDS)
      expect(cards.filter((c) => String(c) === answer(problem))).toHaveLength(1)
      expect(Math.min(...cards)).toBeGreaterThanOrEqual(0)
      expect(answerCards(problem, seed)).toEqual(cards)
    }),
  )
})

test('one too many, one too few and turned digits lie among them', () => {
  expect(answerCards(parseProblem('7 + 5'), 1)).toEqual(expect.arrayContaining([11, 12, 13, 21]))
})
