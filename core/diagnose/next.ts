import type { Choices } from '../choices'
import { CATALOGUE, procedureById, type Known } from '../mistakes/catalogue'
import { printProblem, type Problem } from '../problem/problem'
import type { Diagnosis } from './diagnose'
import { MOST_POOL, problemsOf, type Limits } from './pool'
import { predicted, type Suspect } from './predict'

/** Something that may be behind the answers, and how likely it is; with no suspect it is working as one should. */
export interface Rival {
  readonly suspect: Suspect | null
  readonly probability: number
}

/** How likely something is at the least to be asked about. */
const LEAST = 0.01
const MOST_RIVALS = 24

/** The procedures of an explanation. Those that are not known here are left out. */
export const suspectOf = (bug: readonly string[], form = 0, choices?: Choices): Suspect => ({
  of: bug.flatMap((id) => procedureById(id) ?? []),
  form,
  ...(choices ? { choices } : {}),
})

/** What may still be behind some answers: what is ranked, all that is not told apart from it, and working with care. */
export function rivalsIn({ ranked, none }: Diagnosis, choices?: Choices): readonly Rival[] {
  const suspected = ranked.flatMap(({ bug, form, same, probability }): Rival[] => {
    const all = [bug, ...same]
    return all.map((b, i) => ({
      suspect: suspectOf(b, i === 0 ? form : 0, choices),
      probability: probability / all.length,
    }))
  })
  const most = suspected.filter((r) => r.probability >= LEAST).slice(0, MOST_RIVALS)
  return none.probability >= LEAST ? [...most, { suspect: null, probability: none.probability }] : most
}

/** What a rival would answer, as a key to be compared. */
export const keyOf = ({ suspect }: Pick<Rival, 'suspect'>, problem: Problem): string =>
  predicted(suspect ?? { of: [], form: 0 }, problem)
    .map((way) => `${way.value} ${way.remainder ?? ''}`)
    .join('|')

/** How much the answer to a problem is expected to tell, in bits. */
export function bitsOf(problem: Problem, rivals: readonly Rival[]): number {
  const shares = new Map<string, number>()
  let all = 0
  for (const rival of rivals) {
    const key = keyOf(rival, problem)
    shares.set(key, (shares.get(key) ?? 0) + rival.probability)
    all += rival.probability
  }
  let bits = 0
  for (const share of shares.values()) if (share > 0) bits -= (share / all) * Math.log2(share / all)
  return bits
}

/** A problem to ask next, with what it is expected to tell and what each rival would answer to it. */
export interface Question {
  readonly problem: Problem
  readonly bits: number
  readonly answers: readonly { readonly key: string; readonly rivals: readonly Rival[] }[]
}

/** So little is as good as nothing, in bits. */
const NOTHING = 1e-6

/**
 * The problem within limits that is expected to tell most between those still standing; of several the shortest. Null where no
 * problem tells anything. @throws Refusal where the limits make no sense.
 */
export function nextQuestion(
  rivals: readonly Rival[],
  limits: Limits,
  asked: readonly string[] = [],
  seed = 1,
): Question | null {
  let best: { problem: Problem; bits: number } | null = null
  for (const problem of problemsOf(limits, MOST_POOL, seed)) {
    const text = printProblem(problem)
    if (asked.includes(text)) continue
    const bits = bitsOf(problem, rivals)
    const shorter =
      best !== null && Math.abs(bits - best.bits) < NOTHING && text.length < printProblem(best.problem).length
    if (best === null || bits > best.bits + NOTHING || shorter) best = { problem, bits }
  }
  return best && best.bits > NOTHING ? { ...best, answers: answersTo(best.problem, rivals) } : null
}

function answersTo(problem: Problem, rivals: readonly Rival[]): Question['answers'] {
  const by = new Map<string, Rival[]>()
  for (const rival of rivals) {
    const key = keyOf(rival, problem)
    by.set(key, [...(by.get(key) ?? []), rival])
  }
  return [...by].map(([key, found]) => ({ key, rivals: found }))
}

/** Problems that tell rivals apart, and which of them no problem within the limits does. */
export interface Apart {
  readonly problems: readonly Problem[]
  readonly together: readonly (readonly Rival[])[]
}

/** How many problems are tried two by two for a shorter set. */
const MOST_BY_TWO = 120

/**
 * A set of problems whose answers tell all rivals apart, as short as was found: one problem if one does, two if two do, else the
 * greatest help first, with what turned out not to be needed left out. @throws Refusal where the limits make no sense.
 */
export function tellingApart(rivals: readonly Rival[], limits: Limits, seed = 1): Apart {
  const pool = problemsOf(limits, MOST_POOL, seed).map((problem) => ({
    problem,
    keys: rivals.map((rival) => keyOf(rival, problem)),
  }))
  type Tried = (typeof pool)[number]
  const apart = (by: readonly Tried[]): Map<string, number[]> => {
    const groups = new Map<string, number[]>()
    for (const i of rivals.keys()) {
      const key = by.map((p) => p.keys[i]).join(';')
      groups.set(key, [...(groups.get(key) ?? []), i])
    }
    return groups
  }
  const most = apart(pool).size
  const telling = pool
    .filter((p) => new Set(p.keys).size > 1)
    .sort((a, b) => new Set(b.keys).size - new Set(a.keys).size)
  const chosen = fewest(telling, most, (by) => apart(by).size)
  const together = [...apart(pool).values()].filter((g) => g.length > 1).map((g) => g.map((i) => rivals[i]!))
  return { problems: chosen.map((p) => p.problem), together }
}

function fewest<T>(telling: readonly T[], most: number, told: (by: readonly T[]) => number): readonly T[] {
  if (most <= 1) return []
  const one = telling.find((p) => told([p]) === most)
  if (one) return [one]
  const few = telling.slice(0, MOST_BY_TWO)
  for (const [i, a] of few.entries()) for (const b of few.slice(i + 1)) if (told([a, b]) === most) return [a, b]
  const chosen: T[] = []
  while (told(chosen) < most) {
    const before = told(chosen)
    const best = telling.reduce<{ p: T; n: number } | null>((found, p) => {
      const n = told([...chosen, p])
      return n > before && (!found || n > found.n) ? { p, n } : found
    }, null)
    if (!best) break
    chosen.push(best.p)
  }
  return chosen.filter((p) => told(chosen.filter((q) => q !== p)) < most || chosen.length === 1)
}

/** Every procedure of a kind as a rival, all as likely, with working as one should. */
export const allRivals = (suits: (known: Known) => boolean): readonly Rival[] => [
  { suspect: null, probability: 1 },
  ...CATALOGUE.filter(suits).map((known): Rival => ({ suspect: { of: [known], form: 0 }, probability: 1 })),
]
