import { answerCardsOf, sentenceCards } from '../../core/course/index'
import { printProblem, type Problem } from '../../core/door'

interface SentenceCard {
  readonly problem: string
  /** The answer card that lies on it, or null. */
  readonly placed: string | null
}

const set = shallowRef<{ readonly cards: readonly SentenceCard[]; readonly answers: readonly number[] } | null>(null)

/** A set of sentence cards worked one after another; it stays while its problems are asked. */
export function useCardSet() {
  return { set: readonly(set), lay, place, clear: (): void => void (set.value = null) }
}

function lay(problem: Problem, seed: number, suits: (p: Problem) => boolean): void {
  const problems = sentenceCards(problem, seed, suits)
  set.value = {
    cards: problems.map((p) => ({ problem: printProblem(p), placed: null })),
    answers: answerCardsOf(problems, seed),
  }
}

/** Keeps with a sentence card what lies on it. */
function place(problem: string, value: string | null): void {
  if (!set.value?.cards.some((c) => c.problem === problem && c.placed !== value)) return
  set.value = {
    ...set.value,
    cards: set.value.cards.map((c) => (c.problem === problem ? { ...c, placed: value } : c)),
  }
}
