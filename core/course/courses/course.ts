import { attempt } from '../../refusal'
import { parseProblem } from '../../problem/parse'
import type { Problem } from '../../problem/problem'
import { REPRESENTATION_IDS, type RepresentationId } from '../../materials'
import { REPRESENTATIONS } from '../../representation/index'
import { waysOf } from '../../way/index'
import { WAY_IDS } from '../../way/way'
import { conflictIn } from '../setter/conflict'
import { checkLimits, type Limits } from '../setter/limits'
import { countProblems } from '../setter/problems'
import { setProblems } from '../setter/setter'
import { STRANDS, type Step } from '../steps/step'
import { troublesIn } from '../steps/standing'

/** A step as a course has it: it may stay out of sight, without being lost. */
export interface CourseStep extends Step {
  readonly hidden?: boolean
}

/** Steps in the order in which a school takes them. */
export interface Course {
  readonly id: string
  readonly name: string
  /** For whom it is, in a sentence. */
  readonly about: string
  readonly steps: readonly CourseStep[]
}

export const MOST_STEPS = 200

/** The steps that are seen. What rests on a hidden one rests on what that rests on. */
export function shownSteps({ steps }: Pick<Course, 'steps'>): readonly Step[] {
  const byId = new Map(steps.map((s) => [s.id, s]))
  /** Each step is gone through once, so that circles and long lines of hidden steps cost nothing. */
  const under = (step: CourseStep): readonly string[] => {
    const found: string[] = []
    const seen = new Set([step.id])
    const left = [...step.restsOn]
    for (let id = left.shift(); id !== undefined; id = left.shift()) {
      if (seen.has(id)) continue
      seen.add(id)
      const it = byId.get(id)
      if (it?.hidden) left.push(...it.restsOn)
      else found.push(id)
    }
    return found
  }
  return steps.filter((s) => !s.hidden).map((s) => ({ ...s, restsOn: under(s) }))
}

/** The steps of one strand alone, with what they rest on among themselves, also by way of others. */
export const strandOf = (steps: readonly Step[], strand: Step['strand']): readonly Step[] =>
  shownSteps({ steps: steps.map((s) => ({ ...s, hidden: s.strand !== strand })) })

/** Something that is wrong with a course, and with which of its steps, if it is with one. */
export interface Trouble {
  readonly step: string | null
  readonly says: string
}

/** What is wrong with the steps of a course together: one that is not there, a circle, none left to be seen. */
export function troublesOfOrder({ steps }: Course): readonly Trouble[] {
  const all: Trouble[] = troublesIn(steps).map((says) => ({ step: null, says }))
  return steps.every((s) => s.hidden) ? [...all, { step: null, says: 'No step is left to be seen.' }] : all
}

/** What is wrong with a course: steps in a circle, limits that cannot be or leave nothing, materials that cannot hold its problems. Empty where all is well. */
export const troublesOf = (course: Course): readonly Trouble[] => [
  ...troublesOfOrder(course),
  ...course.steps.flatMap((step) => troublesOfStep(step).map((says) => ({ step: step.id, says }))),
]

const CHANGES: Readonly<Record<string, string>> = { true: 'yes', false: 'no', undefined: 'left open' }

/** What is wrong with one step, whatever it rests on. Which limits conflict takes long to find; only `why` asks for it. */
export function troublesOfStep(step: Step, why = true): readonly string[] {
  const named = `“${step.title}”`
  if (!STRANDS.includes(step.strand)) return [`${named} belongs to no strand that there is.`]
  const unknown = [
    ...step.materials.filter((m) => !REPRESENTATION_IDS.includes(m)),
    ...step.ways.filter((w) => !WAY_IDS.includes(w)),
  ]
  if (unknown.length > 0) return [`${named}: nothing here is called “${unknown[0]}”.`]
  if (step.materials.length === 0) return [`${named} wants a material to be shown with.`]
  const looked = attempt(() => limitTroubles(step.limits, why))
  if ('refused' in looked) return [`${named}: ${looked.refused.message}`]
  if (looked.ok !== '') return [`${named}: ${looked.ok}`]
  const set = attempt(() => setProblems({ step, count: 4, seed: 1 }).map(parseProblem))
  if ('refused' in set) return [`${named}: ${set.refused.message}`]
  const unfit = step.materials.filter((m) => !set.ok.some((p) => canWork(p, m)))
  return unfit.map((m) => `${named}: ${REPRESENTATIONS[m].title} cannot hold its problems.`)
}

/** Whether a material can hold a problem, and there is a way to work it there. */
export const canWork = (problem: Problem, material: RepresentationId): boolean =>
  REPRESENTATIONS[material].fits(problem).fits && waysOf(problem, REPRESENTATIONS[material]).length > 0

/** Why limits leave nothing, with the smallest change that leaves some; nothing where they leave some. @throws Refusal where they cannot be. */
function limitTroubles(limits: Limits, why: boolean): string {
  if (countProblems(checkLimits(limits)) > 0n) return ''
  if (!why) return 'its limits leave no problem.'
  const conflict = conflictIn(limits)
  if (!conflict) return ''
  const { between, change } = conflict
  const pair =
    between.length > 1 ? `“${between.join('” and “')}” do not go together` : `“${between.join('')}” leaves no problem`
  if (!change) return `${pair}.`
  return `${pair}. With “${change.limit}” ${CHANGES[String(change.to)] ?? String(change.to)} there would be ${change.leaves}.`
}

/** A course with some steps otherwise, given by their ids; the order stays. */
export const withSteps = (
  steps: readonly CourseStep[],
  changes: Readonly<Record<string, Partial<CourseStep>>>,
): readonly CourseStep[] => steps.map((s) => ({ ...s, ...changes[s.id] }))
