import fc from 'fast-check'
import { answerCards, answerCardsOf, CARDS, sentenceCards, SET } from '../../core/course/cards'
import { parseProblem } from '../../core/problem/parse'
import { answer, printProblem } from '../../core/problem/problem'
import { features } from '../../core/problem/features'
import { REPRESENTATIONS } from '../../core/representation/index'
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

test('a set of sentence cards is of one kind, and every answer lies once among as many distractors', () => {
  fc.assert(
    fc.property(small('counters'), fc.nat(99_999), (problem, seed) => {
      const { counters } = REPRESENTATIONS
      const set = sentenceCards(problem, seed, (p) => counters.fits(p).fits)
      expect(set.length).toBeLessThanOrEqual(SET)
      expect(new Set(set.map(printProblem)).size).toBe(set.length)
      for (const p of set) {
        expect(features(p)).toEqual(features(problem))
        expect(counters.fits(p).fits).toBe(true)
      }
      const cards = answerCardsOf(set, seed)
      const answers = new Set(set.map((p) => Number(answer(p))))
      expect(new Set(cards).size).toBe(cards.length)
      expect(cards.filter((c) => answers.has(c))).toHaveLength(answers.size)
      expect(cards).toHaveLength(answers.size + set.length)
    }),
    { numRuns: 60 },
  )
})
