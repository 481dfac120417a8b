import type { Choices } from '../choices'
import type { Exact } from '../number/exact'
import type { Problem } from '../problem/problem'

/** A mistaken way of working that practitioners know, told from the answers it gives. */
export interface Procedure {
  readonly id: string
  /** What was done, as the Daybook says it: “dropped a sign”. */
  readonly name: string
  /** The wrong answers that it can give to a problem, as a class works; none where it would come out right, or does not apply. */
  answers(problem: Problem, choices?: Choices): readonly Exact[]
}
