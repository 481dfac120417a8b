import { toCount } from '../number/exact'
import { valueOf } from '../number/numeral'
import { answer, printProblem, type Problem } from '../problem/problem'
import { between, seeded } from './random'
import { sameKind } from './sameKind'

/** How many answer cards lie out for one sentence card: the right one and its distractors. */
export const CARDS = 5
/** How many sentence cards make a set. */
export const SET = 4

/** Numbers that are mistaken for the answer, the likeliest first. */
function distractorsOf(problem: Problem): readonly number[] {
  const right = toCount(answer(problem))
  const asked = [problem.first, ...problem.terms.map((t) => t.number)].map((n) => toCount(valueOf(n)))
  const turned = Number([...String(right)].reverse().join(''))
  const likely = [right + 1, right - 1, turned, ...asked, right + 10, right - 10, right + 2, right + 3, right + 4]
  return [...new Set(likely)].filter((n) => n >= 0 && n !== right)
}

/**
 * Answer cards for a sentence card: the answer among numbers that are mistaken for it. One too many and one too few come
 * from miscounting, the numbers of the question from reading it off, turned digits and look-alikes from misreading; near
 * numbers fill up. All are different, none is below nought, and the same seed lays them in the same order.
 */
export const answerCards = (problem: Problem, seed: number): readonly number[] =>
  shuffled([toCount(answer(problem)), ...distractorsOf(problem).slice(0, CARDS - 1)], seed)

/**
 * Sentence cards for a set: this problem and others of its kind, all different; fewer where the kind has no more. `suits`
 * says what the material can hold.
 */
export function sentenceCards(problem: Problem, seed: number, suits: (p: Problem) => boolean): readonly Problem[] {
  const set = [problem]
  const used = [printProblem(problem)]
  for (let i = 1; i < SET; i++) {
    const next = sameKind(problem, seed + i, used, suits)
    if (!next) break
    set.push(next)
    used.push(printProblem(next))
  }
  return set
}

/** The answer cards of a whole set: every answer, and as many distractors as sentences, none of which is an answer. */
export function answerCardsOf(set: readonly Problem[], seed: number): readonly number[] {
  const answers = [...new Set(set.map((p) => toCount(answer(p))))]
  const likely = [...new Set(set.flatMap(distractorsOf))].filter((n) => !answers.includes(n))
  return shuffled([...answers, ...likely.slice(0, set.length)], seed)
}

function shuffled(cards: readonly number[], seed: number): readonly number[] {
  const result = [...cards]
  const random = seeded(seed)
  for (let i = result.length - 1; i > 0; i--) {
    const j = between(random, 0, i)
    ;[result[i], result[j]] = [result[j]!, result[i]!]
  }
  return result
}
