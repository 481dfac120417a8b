import { between, seeded, type Random } from '../../core/course/random'
import {
  CATALOGUE,
  comesTo,
  diagnose,
  parseAnswer,
  printAnswer,
  problemsOf,
  rightOf,
  type Diagnosis,
  type Family,
  type Item,
  type Known,
  type WorkedWith,
} from '../../core/diagnose/index'
import { printProblem, type Problem } from '../../core/problem/problem'
import { LEARNERS, pairLearner, type Learner } from './mistaken'

/** Pages of answers as learners make them: by a procedure, with care, or at random, with slips. */

/** Answers on a page, and of every hundred those that slip. */
export const ITEMS = 12
export const SLIPS = 0.1
/** Problems of a page in which the procedure is to be seen; the others are drawn from all. */
const SEEN = 8

export const whereOf = (family: Family): WorkedWith => (family === 'bead frames' ? 'beads' : 'paper')
export const rightText = (problem: Problem): string => printAnswer(rightOf(problem))

/** One digit of an answer written wrong: next to the right one more often than not. */
export function slipped(text: string, random: Random): string {
  const places = [...text].flatMap((c, i) => (/\d/.test(c) ? [i] : []))
  const at = places[between(random, 0, places.length - 1)]!
  const off = random() < 0.6 ? (random() < 0.5 ? 1 : 9) : between(random, 1, 9)
  const made = `${text.slice(0, at)}${(Number(text[at]) + off) % 10}${text.slice(at + 1)}`
  return /\/0/.test(made) ? text : made
}

const pools = new Map<string, readonly Problem[]>()
export function poolOf(family: Family, most: number): readonly Problem[] {
  const key = `${family} ${most}`
  const pool = pools.get(key) ?? problemsOf({ family, most }, 600, 4711)
  pools.set(key, pool)
  return pool
}

export function drawn<T>(all: readonly T[], count: number, random: Random): T[] {
  const left = [...all]
  return Array.from(
    { length: Math.min(count, left.length) },
    () => left.splice(between(random, 0, left.length - 1), 1)[0]!,
  )
}

/** A page by a learner: problems in which the procedure shows, and others. */
export function pageOf(pool: readonly Problem[], learner: Learner, random: Random, slips = SLIPS): Item[] {
  const given = (problem: Problem): string => learner(printProblem(problem)) ?? rightText(problem)
  const shows = pool.filter((p) => !comesTo(parseAnswer(given(p), p)!, rightOf(p)))
  const seen = drawn(shows, SEEN, random)
  const rest = drawn(
    pool.filter((p) => !seen.includes(p)),
    ITEMS - seen.length,
    random,
  )
  return [...seen, ...rest].map((problem) => {
    const text = given(problem)
    return { problem, answer: parseAnswer(random() < slips ? slipped(text, random) : text, problem) }
  })
}

/** The likeliest explanation, and whatever is not told apart from it; `none` where no procedure explains the answers. */
export function firstOf({ ranked, none }: Diagnosis): readonly string[] {
  const [top] = ranked
  return top && top.probability > none.probability ? [top.bug, ...top.same].map((b) => b.join('+')) : ['none']
}

/** Of so many pages by one procedure, how many have it first. */
export function foundIn(known: Known, pages: number, seed: number): number {
  const random = seeded(seed)
  const pool = poolOf(known.family, known.with === 'counting' ? 20 : 999)
  let found = 0
  for (let i = 0; i < pages; i++) {
    const items = pageOf(pool, LEARNERS[known.id]!, random)
    if (firstOf(diagnose({ items, with: whereOf(known.family) })).includes(known.id)) found++
  }
  return found
}

/** Of so many pages of each kind worked with care, and of as many answered at random, how many have no procedure first. */
export function noneIn(
  family: Family,
  pages: number,
  seed: number,
): { readonly careful: number; readonly random: number } {
  const random = seeded(seed)
  const pool = poolOf(family, 999)
  let [careful, guessed] = [0, 0]
  for (let i = 0; i < pages; i++) {
    const right = pageOf(pool, () => null, random)
    if (firstOf(diagnose({ items: right, with: whereOf(family) }))[0] === 'none') careful++
    const any = drawn(pool, ITEMS, random).map((problem) => ({
      problem,
      answer: parseAnswer(String(between(random, 0, 999)), problem),
    }))
    if (firstOf(diagnose({ items: any, with: whereOf(family) }))[0] === 'none') guessed++
  }
  return { careful, random: guessed }
}

/** Of pages by two habits at once, drawn at random among those that can be seen, how many have just those two first. */
export function pairsIn(
  pages: number,
  seed: number,
): { readonly found: number; readonly of: number; readonly missed: readonly string[] } {
  const random = seeded(seed)
  const missed: string[] = []
  let [found, of] = [0, 0]
  for (let tried = 0; of < pages && tried < 40 * pages; tried++) {
    const family = tried % 2 === 0 ? ('taking away' as const) : ('adding' as const)
    const habits = CATALOGUE.filter((k) => k.family === family && (k.taking ?? k.adding)).map((k) => k.id)
    const [a, b] = drawn(habits, 2, random) as [string, string]
    const learner = pairLearner([a, b])
    if (!learner) continue
    const pool = poolOf(family, 999)
    // A page in which both are seen: each changes some answers that the other alone would not.
    const text = (l: Learner, p: Problem): string => l(printProblem(p)) ?? rightText(p)
    const beyond = (one: string): Problem[] => pool.filter((p) => text(learner, p) !== text(LEARNERS[one]!, p))
    const [seenA, seenB] = [drawn(beyond(b), 5, random), drawn(beyond(a), 5, random)]
    if (seenA.length < 5 || seenB.length < 5) continue
    const problems = [...new Set([...seenA, ...seenB, ...drawn(pool, ITEMS, random)])].slice(0, ITEMS)
    const items = problems.map((problem) => {
      const given = text(learner, problem)
      return { problem, answer: parseAnswer(random() < SLIPS ? slipped(given, random) : given, problem) }
    })
    of++
    if (firstOf(diagnose({ items })).some((id) => id === `${a}+${b}` || id === `${b}+${a}`)) found++
    else missed.push(`${a}+${b}: ${firstOf(diagnose({ items })).join(' or ')}`)
  }
  return { found, of, missed }
}
