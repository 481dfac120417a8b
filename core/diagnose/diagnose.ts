import type { Choices } from '../choices'
import { CATALOGUE, procedureById, type Known, type WorkedWith } from '../mistakes/catalogue'
import { Refusal } from '../refusal'
import { sheetOf } from '../mistakes/columnWork'
import { comesTo, type Item } from './item'
import {
  answeredIn,
  carefulLikelihood,
  estimatedRate,
  otherLikelihood,
  weigh,
  type Answered,
  type Weighed,
} from './likelihood'
import { fits, predicted, suspectsFor, type Suspect } from './predict'

/** What may be told beforehand. */
export interface Before {
  /** How often a learner slips, from 0.005 to 0.4; estimated from the sheet where it is left out. */
  readonly slipRate?: number
  /** How likely each explanation is before any answer has been looked at; shares of one. */
  readonly careful?: number
  readonly other?: number
  readonly pairs?: number
  /** How much more likely a procedure is than the others, by its id; 1 where it is not named. */
  readonly weights?: Readonly<Record<string, number>>
}

export interface Page {
  readonly items: readonly Item[]
  readonly prior?: Before
  readonly with?: WorkedWith
  /** What the class has chosen, its coins above all. */
  readonly choices?: Choices
}

/** One explanation: a procedure, or two together, with the others that give the same answers on these problems. */
export interface Ranked {
  /** The procedure's id; two where they were had together. */
  readonly bug: readonly string[]
  readonly form: number
  /** Others that cannot be told from it by these problems. */
  readonly same: readonly (readonly string[])[]
  readonly probability: number
  /** Wrong answers that are just what it comes to, by their place on the sheet. */
  readonly explains: readonly number[]
  /** Answers that it would have made otherwise. */
  readonly contradicts: readonly number[]
}

/** What answers say. Probabilities of all that is ranked and of none come to one. */
export interface Diagnosis {
  readonly ranked: readonly Ranked[]
  /** No procedure known here explains the answers: right but for slips, or wrong in no way that is known. */
  readonly none: { readonly probability: number; readonly careful: number; readonly other: number }
  /** Wrong answers that the likeliest explanation leaves to a slip. */
  readonly slips: readonly number[]
  readonly wrong: readonly number[]
  readonly blank: readonly number[]
  /** How often this learner seems to slip. */
  readonly slipRate: number
}

/** Before any answer is looked at (our own estimate: most pages are right but for slips). */
const CAREFUL = 0.6
const OTHER = 0.15
const PAIRS = 0.06

/** One answer makes no habit: what explains a single wrong answer is held for a tenth as likely. */
const ONE_ANSWER = 0.1

/** How many procedures are tried two by two, besides the habits of columns. */
const MOST_PAIRED = 6
/** So many wrong answers a single procedure may leave over before pairs are thought of. */
const LEFT_OVER = 2

/**
 * What answers to problems say of how they were worked: every mistaken procedure that is known, and pairs of them, weighed against
 * working with care and against guessing, by Bayes’ rule. Nothing is said of a learner but of these answers.
 * @throws Refusal where what is told beforehand cannot be.
 */
export function diagnose({ items, prior = {}, with: where = 'paper', choices }: Page): Diagnosis {
  checkPrior(prior)
  const answered = answeredIn(items)
  const wrong = answered.filter((a) => !a.isRight).map((a) => a.at)
  const blank = items.flatMap((item, i) => (item.answer ? [] : [i]))
  const { slipRate, careful = CAREFUL, other = OTHER, pairs = PAIRS, weights = {} } = prior
  const singles = suspectsFor(
    answered.map((a) => a.problem),
    where,
    choices,
  ).map((s) => weigh(s, answered, slipRate))
  const paired = needsPairs(singles, answered) ? pairsOf(singles, answered, where, slipRate, choices) : []

  const share = Math.max(0, 1 - careful - other - pairs)
  const forms = new Map<string, number>()
  for (const { suspect } of singles) forms.set(idOf(suspect), (forms.get(idOf(suspect)) ?? 0) + 1)
  const alone = new Map<string, number>()
  for (const s of singles) alone.set(idOf(s.suspect), Math.max(explained(s, answered), alone.get(idOf(s.suspect)) ?? 0))
  /** A procedure, or the second of two, that explains one answer and no more. */
  const support = (s: Weighed): number => {
    const known = s.suspect.of.length === 1 ? [0] : s.suspect.of.map((k) => alone.get(k.id) ?? 0)
    return explained(s, answered) - Math.max(...known) === 1 ? ONE_ANSWER : 1
  }
  const weightOf = (id: string): number => weights[id] ?? (isUsual(procedureById(id)!, where) ? 1 : UNUSUAL)
  const weightOfAll = [...forms.keys()].reduce((sum, id) => sum + weightOf(id), 0)
  const couples = (forms.size * Math.max(1, forms.size - 1)) / 2
  const scored = [
    ...singles.map((s) => {
      const id = idOf(s.suspect)
      return { ...s, score: (support(s) * s.likelihood * share * weightOf(id)) / weightOfAll / forms.get(id)! }
    }),
    ...paired.map((s) => ({ ...s, score: (support(s) * s.likelihood * pairs) / couples })),
  ]
  const [asCareful, asOther] = [careful * carefulLikelihood(answered, slipRate), other * otherLikelihood(answered)]
  const all = scored.reduce((sum, s) => sum + s.score, asCareful + asOther) || 1
  const ranked = groupsOf(scored, answered, all).filter((r) => r.probability > 0)
  const none = { probability: (asCareful + asOther) / all, careful: asCareful / all, other: asOther / all }
  const [top] = ranked
  const slips =
    top && top.probability > none.probability
      ? wrong.filter((at) => !top.explains.includes(at))
      : none.careful >= none.other
        ? wrong
        : []
  return {
    ranked,
    none,
    slips,
    wrong,
    blank,
    slipRate: slipRate ?? estimatedRate(answered.length - slips.length, slips.length),
  }
}

/** @throws Refusal for rates and shares that cannot be. */
function checkPrior({ slipRate, careful = CAREFUL, other = OTHER, pairs = PAIRS, weights = {} }: Before): void {
  if (slipRate !== undefined && !(slipRate >= 0.005 && slipRate <= 0.4))
    throw new Refusal('A rate of slips goes from 0.005 to 0.4.', 'Leave it out to have it found from the page.')
  if (![careful, other, pairs].every((share) => share >= 0) || careful + other + pairs >= 1)
    throw new Refusal('What is likely beforehand are shares of one, with some left for single procedures.')
  if (Object.values(weights).some((w) => !(w >= 0 && w <= 1000)))
    throw new Refusal('A procedure is from 0 to 1,000 times as likely as the others.')
}

/** Counting goes wrong where one counts, habits of columns where columns are written. */
const isUsual = (known: Known, where: WorkedWith): boolean =>
  where === 'counting' ? !known.adding && !known.taking : known.with !== 'counting'
const UNUSUAL = 0.3

const idOf = ({ of }: Suspect): string => of.map((k) => k.id).join('+')

/** How many wrong answers a suspect comes to. */
const explained = ({ holds }: Weighed, answered: readonly Answered[]): number =>
  answered.filter((a, i) => !a.isRight && holds[i]).length

/** Pairs are thought of only where no single procedure does: where the best of them leaves several wrong answers over. */
function needsPairs(singles: readonly Weighed[], answered: readonly Answered[]): boolean {
  const wrong = answered.filter((a) => !a.isRight).length
  const most = Math.max(0, ...singles.map((s) => explained(s, answered)))
  return wrong - most >= LEFT_OVER
}

/**
 * Pairs of what explains something, and of habits of columns: two of them may come to something that neither does alone, even where
 * one alone changes nothing (a nought that only the other leaves there).
 */
function pairsOf(
  singles: readonly Weighed[],
  answered: readonly Answered[],
  where: WorkedWith,
  rate?: number,
  choices?: Choices,
): readonly Weighed[] {
  const given = choices ? { choices } : {}
  const whole = singles.filter((s) => s.suspect.form === 0)
  const operations = new Set(answered.map(({ problem }) => sheetOf(problem)?.operation))
  const habits = CATALOGUE.filter((k) => (k.taking && operations.has('-')) || (k.adding && operations.has('+'))).filter(
    (k) => fits(k, where),
  )
  const explaining = whole
    .map((s) => ({ known: s.suspect.of[0]!, n: explained(s, answered) }))
    .filter(({ known, n }) => n > 0 && !habits.includes(known))
    .sort((a, b) => b.n - a.n)
    .slice(0, MOST_PAIRED)
    .map(({ known }) => known)
  const alone = new Map(whole.map((s) => [s.suspect.of[0]!, explained(s, answered)]))
  const wrong = answered.filter((a) => !a.isRight)
  const members = CATALOGUE.filter((k) => habits.includes(k) || explaining.includes(k))
  const made: Weighed[] = []
  for (const [i, a] of members.entries())
    for (const b of members.slice(i + 1)) {
      const suspect: Suspect = { of: [a, b], form: 0, ...given }
      const told = wrong.filter(({ problem, given }) => predicted(suspect, problem).some((way) => comesTo(given, way)))
      // Two that explain no more together than one of them does are that one.
      if (told.length > Math.max(alone.get(a) ?? 0, alone.get(b) ?? 0)) made.push(weigh(suspect, answered, rate))
    }
  return made
}

/** Explanations with the same answers put together, the likeliest first; forms of one procedure are one explanation. */
function groupsOf(
  scored: readonly (Weighed & { readonly score: number })[],
  answered: readonly Answered[],
  all: number,
): readonly Ranked[] {
  interface Group {
    readonly head: Weighed
    readonly ids: Set<string>
    score: number
  }
  const groups: Group[] = []
  const byName = new Map<string, Group>()
  for (const s of [...scored].sort((x, y) => y.score - x.score)) {
    const id = idOf(s.suspect)
    const group = byName.get(id) ?? byName.get(s.key) ?? { head: s, ids: new Set<string>(), score: 0 }
    if (group.ids.size === 0) groups.push(group)
    group.ids.add(id)
    group.score += s.score
    if (!byName.has(id)) byName.set(id, group)
    if (!byName.has(s.key)) byName.set(s.key, group)
  }
  return groups
    .sort((a, b) => b.score - a.score)
    .map(({ head, ids, score }): Ranked => {
      const bug = head.suspect.of.map((k) => k.id)
      return {
        bug,
        form: head.suspect.form,
        same: [...ids].filter((id) => id !== bug.join('+')).map((id) => id.split('+')),
        probability: score / all,
        explains: answered.filter((a, i) => !a.isRight && head.holds[i]).map((a) => a.at),
        contradicts: answered.filter((_, i) => !head.holds[i]).map((a) => a.at),
      }
    })
}
