import { toCount } from '../number/exact'
import { valueOf } from '../number/numeral'
import { answer, type Problem } from '../problem/problem'
import { between, seeded } from './random'

/** How many answer cards lie out: the right one and its distractors. */
export const CARDS = 5

/**
 * Answer cards for a sentence card: the answer among numbers that are mistaken for it. One too many and one too few come
 * from miscounting, the numbers of the question from reading it off, turned digits and look-alikes from misreading; near
 * numbers fill up. All are different, none is below nought, and the same seed lays them in the same order.
 */
export function answerCards(problem: Problem, seed: number): readonly number[] {
  const right = toCount(answer(problem))
  const asked = [problem.first, ...problem.terms.map((t) => t.number)].map((n) => toCount(valueOf(n)))
  const turned = Number([...String(right)].reverse().join(''))
  const likely = [right + 1, right - 1, turned, ...asked, right + 10, right - 10, right + 2, right + 3, right + 4]
  const distractors = [...new Set(likely)].filter((n) => n >= 0 && n !== right).slice(0, CARDS - 1)
  const cards = [right, ...distractors]
  const random = seeded(seed)
  for (let i = cards.length - 1; i > 0; i--) {
    const j = between(random, 0, i)
    ;[cards[i], cards[j]] = [cards[j]!, cards[i]!]
  }
  return cards
}
