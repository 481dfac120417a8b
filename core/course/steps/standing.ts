import { attempt } from '../../refusal'
import { parseProblem } from '../../problem/parse'
import { featuresIn } from '../setter/features'
import { MOVING_ON, type Step } from './step'
import { isWithin } from './within'

/** Something that a learner worked: what, when, and whether it came out right without help. */
export interface Done {
  readonly problem: string
  readonly startedAt: string
  readonly alone: boolean
}

/** Where a learner stands on a step. */
export interface StepStanding {
  readonly step: string
  readonly worked: number
  /** Of what was worked there, how much came out right without help. */
  readonly right: number
  /** Days on which it was worked. */
  readonly days: number
  /** Held by the rule for moving on: in the last three days that it was worked, 8 of 10 or more right without help each day. */
  readonly holds: boolean
}

/** Where a learner stands on each step, from what has been worked. The first step that a problem is within counts: narrower ones come first. */
export function standingsOf(steps: readonly Step[], done: readonly Done[]): readonly StepStanding[] {
  const stepOf = new Map<string, string | undefined>()
  const byStep = new Map<string, Done[]>()
  for (const one of done) {
    if (!stepOf.has(one.problem)) stepOf.set(one.problem, stepFor(steps, one.problem))
    const id = stepOf.get(one.problem)
    if (id !== undefined) byStep.set(id, [...(byStep.get(id) ?? []), one])
  }
  return steps.map(({ id }): StepStanding => {
    const all = byStep.get(id) ?? []
    const days = new Map<string, Done[]>()
    for (const one of all) days.set(one.startedAt.slice(0, 10), [...(days.get(one.startedAt.slice(0, 10)) ?? []), one])
    const latest = [...days].sort(([a], [b]) => (a < b ? 1 : -1)).slice(0, MOVING_ON.sessions)
    const good = latest.filter(([, list]) => list.filter((d) => d.alone).length / list.length >= MOVING_ON.share)
    return {
      step: id,
      worked: all.length,
      right: all.filter((d) => d.alone).length,
      days: days.size,
      holds: latest.length === MOVING_ON.sessions && good.length === MOVING_ON.sessions,
    }
  })
}

/** The first step that a problem is within; undefined where it is none's. */
function stepFor(steps: readonly Step[], text: string): string | undefined {
  const found = attempt(() => {
    const problem = parseProblem(text)
    const features = featuresIn(problem)
    return steps.find((s) => isWithin(problem, s.limits, features))?.id
  })
  return 'ok' in found ? found.ok : undefined
}

/** Every step below some others: what they rest on, and what that rests on. */
function below(steps: readonly Step[], tops: readonly string[]): ReadonlySet<string> {
  const byId = new Map(steps.map((s) => [s.id, s]))
  const found = new Set<string>()
  const visit = (id: string): void => {
    for (const under of byId.get(id)?.restsOn ?? [])
      if (!found.has(under)) {
        found.add(under)
        visit(under)
      }
  }
  tops.forEach(visit)
  return found
}

/** Steps that are laid: they hold, or one above them has been begun, for which a teacher took them as laid. */
export function laidSteps(steps: readonly Step[], standings: readonly StepStanding[]): ReadonlySet<string> {
  const begun = standings.filter((s) => s.worked > 0).map((s) => s.step)
  const held = standings.filter((s) => s.holds).map((s) => s.step)
  return new Set([...held, ...below(steps, begun)])
}

/** What comes next: a step that has been begun and does not hold yet, else the first whose ground is laid. Null where all hold. */
export function nextStep(steps: readonly Step[], standings: readonly StepStanding[]): Step | null {
  const laid = laidSteps(steps, standings)
  const open = steps.filter((s) => !laid.has(s.id) && s.restsOn.every((id) => laid.has(id)))
  const worked = (s: Step): number => standings.find((t) => t.step === s.id)?.worked ?? 0
  return open.find((s) => worked(s) > 0) ?? open[0] ?? null
}

/** What is wrong with steps: a circle, an id that is not there, or one that is there twice; empty where all is well. */
export function troublesIn(steps: readonly Step[]): readonly string[] {
  const ids = steps.map((s) => s.id)
  const twice = ids.filter((id, i) => ids.indexOf(id) !== i).map((id) => `“${id}” is there twice.`)
  const missing = steps.flatMap((s) =>
    s.restsOn.filter((id) => !ids.includes(id)).map((id) => `“${s.title}” rests on “${id}”, which is not there.`),
  )
  const byId = new Map(steps.map((s) => [s.id, s]))
  /** Steps from which one comes back to where one is. */
  const circles: string[] = []
  const done = new Set<string>()
  const visit = (id: string, path: readonly string[]): void => {
    if (path.includes(id)) circles.push(`“${byId.get(id)!.title}” rests on itself by way of others.`)
    else if (!done.has(id)) {
      for (const before of byId.get(id)?.restsOn ?? []) if (byId.has(before)) visit(before, [...path, id])
      done.add(id)
    }
  }
  for (const id of ids) visit(id, [])
  return [...twice, ...missing, ...new Set(circles)]
}
