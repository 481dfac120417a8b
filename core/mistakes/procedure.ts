import type { Choices } from '../choices'
import type { Exact } from '../number/exact'
import { answer, quotientOf, type Problem } from '../problem/problem'

/** What a way of working comes to, right or wrong. */
export interface Worked {
  readonly value: Exact
  /** Of a division, what is told as left over; undefined where the way says nothing of it. */
  readonly remainder?: Exact
  /** On a column sheet: what is written above each column, the ones first; empty where nothing is. */
  readonly marks?: readonly string[]
}

/** A mistaken way of working that practitioners know: it computes the wrong answer. */
export interface Procedure {
  readonly id: string
  /** What was done, as the Daybook says it: “dropped a sign”. */
  readonly name: string
  /**
   * What the way comes to, in each of the forms that it has (which of two bottoms is kept, say): the same form at the same place for
   * every problem, so that one who works by it stays with a form. Null where a form does not apply; a form may come out right.
   */
  computes(problem: Problem, choices?: Choices): readonly (Worked | null)[]
}

/** Forms that come to plain numbers. */
export const comingTo = (values: readonly (Exact | null)[]): readonly (Worked | null)[] =>
  values.map((value) => (value === null ? null : { value }))

/** The right answer as a way of working tells it: of a division of whole numbers the quotient, with what is left over. */
export function rightOf(problem: Problem): Worked {
  const known = rights.get(problem)
  if (known) return known
  const quotient = quotientOf(problem)
  const right =
    quotient && quotient.by !== '0'
      ? { value: quotient.value, remainder: quotient.remainder }
      : { value: answer(problem) }
  rights.set(problem, right)
  return right
}
const rights = new WeakMap<Problem, Worked>()

/** The wrong answers that a procedure can give to a problem, as a class works; none where it comes out right or does not apply. */
export function answersOf(procedure: Procedure, problem: Problem, choices?: Choices): readonly Exact[] {
  const forms = procedure.computes(problem, choices).filter((form) => form !== null)
  if (forms.length === 0) return []
  const right = rightOf(problem).value
  return [...new Set(forms.map((form) => form.value))].filter((value) => value !== right)
}
