import type { Choices } from '../choices'
import { CATALOGUE, type Known, type WorkedWith } from '../mistakes/catalogue'
import { addUp, sheetOf, takeAway, workedOf } from '../mistakes/columnWork'
import { rightOf, type Worked } from '../mistakes/procedure'
import type { Problem } from '../problem/problem'
import { comesTo } from './item'

/** One form of one procedure, or two procedures had together; with none at all it is working as one should. */
export interface Suspect {
  readonly of: readonly Known[]
  readonly form: number
  /** What a class has chosen, where procedures depend on it (its coins). */
  readonly choices?: Choices
}

/** What a suspect would write for a problem: one answer, or either of two where both procedures of a pair have their own. */
export type Predicted = readonly Worked[]

/** What has been computed for a problem, by suspect: a class answers the same problems. Let go of with the problem. */
const kept = new WeakMap<Problem, { readonly choices: Choices | undefined; readonly made: Map<number, unknown> }>()

/** Procedures by number, which is found faster than their names; a pair has both its numbers in one. */
const NUMBERS = new Map(CATALOGUE.map((known, i) => [known, i]))
const numberOf = (known: Known): number => NUMBERS.get(known) ?? -1

function remembered<T>(problem: Problem, choices: Choices | undefined, key: number, compute: () => T): T {
  let known = kept.get(problem)
  if (!known || known.choices !== choices) {
    known = { choices, made: new Map() }
    kept.set(problem, known)
  }
  const found = known.made.get(key)
  if (found !== undefined) return found as T
  const made = compute()
  known.made.set(key, made)
  return made
}

/** So many forms of one procedure are told apart at the most; a heap of coins could have one a kind. */
const MOST_FORMS = 6

/** All forms of a procedure; null where one does not apply, so that the work comes out as it should. */
const formsOf = (known: Known, problem: Problem, choices?: Choices): readonly (Worked | null)[] =>
  remembered(problem, choices, numberOf(known), () => {
    const right = rightOf(problem)
    // A way that says nothing of what is left over, and comes to the right quotient, leaves over what is right.
    return known
      .computes(problem, choices)
      .slice(0, MOST_FORMS)
      .map((way) => (way && way.remainder === undefined && !way.marks && way.value === right.value ? right : way))
  })

/** What two procedures come to together; null where neither applies. */
const together = (a: Known, b: Known, problem: Problem, choices?: Choices): Predicted | null =>
  remembered(problem, choices, (numberOf(a) + 1) * 1000 + numberOf(b), () => {
    const sheet = sheetOf(problem)
    if (sheet?.operation === '-' && a.taking && b.taking)
      return [workedOf(takeAway(sheet, [a.taking, b.taking]), sheet.decimals)]
    if (sheet?.operation === '+' && a.adding && b.adding)
      return [workedOf(addUp(sheet, [a.adding, b.adding]), sheet.decimals)]
    const right = rightOf(problem)
    const own = [a, b]
      .flatMap((known) => formsOf(known, problem, choices)[0] ?? [])
      .filter((worked) => !comesTo(right, worked))
    return own.length > 0 ? own : null
  })

/** What a suspect would answer; the right answer where none of its procedures changes anything. */
export function predicted({ of: [a, b], form, choices }: Suspect, problem: Problem): Predicted {
  if (a && b) return together(a, b, problem, choices) ?? [rightOf(problem)]
  const made = a && formsOf(a, problem, choices)[form]
  return [made ?? rightOf(problem)]
}

const isOfColumns = (known: Known): boolean => known.adding !== undefined || known.taking !== undefined

/** What was worked with decides which procedures are thought of: those of beads only on a frame, those of columns not there. */
export const fits = (known: Known, where: WorkedWith): boolean =>
  known.family === 'bead frames' ? where === 'beads' : where !== 'beads' || !isOfColumns(known)

/** Every form of every procedure that changes the answer of at least one problem. */
export function suspectsFor(problems: readonly Problem[], where: WorkedWith, choices?: Choices): readonly Suspect[] {
  const right = problems.map(rightOf)
  return CATALOGUE.filter((known) => fits(known, where)).flatMap((known) => {
    const all = problems.map((p) => formsOf(known, p, choices))
    const forms = Math.max(0, ...all.map((list) => list.length))
    return Array.from({ length: forms }, (_, form): Suspect => ({
      of: [known],
      form,
      ...(choices ? { choices } : {}),
    })).filter(({ form }) => all.some((list, i) => list[form] && !comesTo(right[i]!, list[form])))
  })
}
