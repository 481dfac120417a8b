import { WEEK_MS } from '../../days'
import type { RepresentationId } from '../../materials'
import { attempt } from '../../refusal'
import { parseProblem } from '../../problem/parse'
import { featuresIn } from '../setter/features'
import { countProblems } from '../setter/problems'
import { MOVING_ON, type Step } from './step'
import { isWithin } from './within'

/** Something that a learner worked: what, when, and whether it came out right without help. */
export interface Done {
  readonly problem: string
  readonly startedAt: string
  /** The school's day on which it began. */
  readonly day: string
  readonly alone: boolean
  /** With which material it was worked, where that is known. */
  readonly with?: RepresentationId
  /** How long it took, in milliseconds; nought where that is not known. */
  readonly ms?: number
}

/** What somebody said of a step, or a placement found: whether the learner knows it, when, and who said so. */
export interface Said {
  readonly knows: boolean
  /** Found by a placement that was taken over. */
  readonly placed: boolean
  readonly at: string
  readonly by: string
}
/** Where a learner stands on a step. */
export interface StepStanding {
  readonly step: string
  readonly worked: number
  /** Of what was worked there, how much came out right without help. */
  readonly right: number
  /** Days on which it was worked. */
  readonly days: number
  /** Of its last days, how many in a row came out as moving on asks (8 of 10 or more right without help), up to as many as it asks for. */
  readonly met: number
  /** Held by the rule for moving on: as many days in a row as it asks for, three where the step says nothing else. */
  readonly holds: boolean
  /** What to work it with next. */
  readonly material: RepresentationId
  /** How long a problem took there, on the median, in milliseconds; null where nothing is known. */
  readonly ms: number | null
  /** When it was worked last; null where it has not been. */
  readonly last: string | null
  /** What was said of it, and whether work since then has shown otherwise; null where nothing was said. */
  readonly told: (Said & { readonly overruled: boolean }) | null
}

/** To which step work belongs, found once for each problem: of steps about a material the narrowest it is within, else the narrowest of the others. */
export class StepFinder {
  private readonly known = new Map<string, string | undefined>()
  /** Steps that are about a material, and those that any material serves. */
  private readonly about: readonly Step[]
  private readonly plain: readonly Step[]
  constructor(readonly steps: readonly Step[]) {
    this.about = steps.filter((s) => s.onlyWith)
    this.plain = steps.filter((s) => !s.onlyWith)
  }

  /** The step's id; undefined where it is none's. */
  find({ problem, with: material }: Pick<Done, 'problem' | 'with'>): string | undefined {
    const about = material ? this.about.filter((s) => s.materials.includes(material)) : []
    const key = `${about.length > 0 ? material : ''} ${problem}`
    if (!this.known.has(key)) {
      if (this.known.size >= MOST_KNOWN) this.known.clear()
      this.known.set(key, narrowestWithin(about, problem) ?? narrowestWithin(this.plain, problem))
    }
    return this.known.get(key)
  }
}
const MOST_KNOWN = 20_000

/** Of the steps that a problem is within, the one that has the fewest problems; the first of several that have as many. */
function narrowestWithin(steps: readonly Step[], text: string): string | undefined {
  const found = attempt(() => {
    const problem = parseProblem(text)
    const features = featuresIn(problem)
    const within = steps.filter((s) => isWithin(problem, s.limits, features))
    return within.reduce<Step | undefined>((a, b) => (a && howMany(a) <= howMany(b) ? a : b), undefined)?.id
  })
  return 'ok' in found ? found.ok : undefined
}
const counts = new WeakMap<Step['limits'], bigint>()
function howMany({ limits }: Step): bigint {
  const known = counts.get(limits) ?? countProblems(limits)
  counts.set(limits, known)
  return known
}

/**
 * Where a learner stands on each step, from what has been worked and what was said of steps, by their ids. The narrowest step that a
 * problem is within counts.
 */
export function standingsOf(
  steps: readonly Step[],
  done: readonly Done[],
  finder = new StepFinder(steps),
  said: ReadonlyMap<string, Said> = new Map(),
): readonly StepStanding[] {
  const byStep = new Map<string, Done[]>()
  for (const one of done) {
    const id = finder.find(one)
    if (id === undefined) continue
    const list = byStep.get(id) ?? []
    byStep.set(id, list)
    list.push(one)
  }
  return steps.map((step) => standingOn(step, byStep.get(step.id) ?? [], said.get(step.id)))
}

const shareOf = (done: readonly Done[]): number => done.filter((d) => d.alone).length / done.length

/** The days on which something was done, the latest first, each with what was done. */
function daysOf(done: readonly Done[]): readonly (readonly Done[])[] {
  const days = new Map<string, Done[]>()
  for (const one of done) {
    const list = days.get(one.day) ?? []
    days.set(one.day, list)
    list.push(one)
  }
  return [...days].sort(([a], [b]) => (a < b ? 1 : -1)).map(([, list]) => list)
}

function standingOn(step: Step, all: readonly Done[], said: Said | undefined): StepStanding {
  const { id, materials } = step
  const days = daysOf(all)
  const met = metIn(step, days)
  const holds = met === (step.moveOn ?? MOVING_ON).sessions
  return {
    step: id,
    worked: all.length,
    right: all.filter((d) => d.alone).length,
    days: days.length,
    met,
    holds,
    material: materialNow(materials, days),
    told: said ? { ...said, overruled: isOverruled(step, all, holds, said) } : null,
    last: all.reduce<string | null>((l, { startedAt }) => (l === null || startedAt > l ? startedAt : l), null),
    ms: median(all.flatMap((d) => (d.ms ? [d.ms] : []))),
  }
}

function metIn({ moveOn = MOVING_ON }: Step, days: readonly (readonly Done[])[]): number {
  const latest = days.slice(0, moveOn.sessions)
  const missed = latest.findIndex((list) => shareOf(list) < moveOn.share)
  return missed < 0 ? latest.length : missed
}

/**
 * Whether work since something was said has shown otherwise: a step said not to be known holds by it, or one said to be known has been
 * worked on as many days as moving on asks, and does not hold.
 */
function isOverruled({ moveOn = MOVING_ON }: Step, all: readonly Done[], holds: boolean, { knows, at }: Said): boolean {
  const since = daysOf(all.filter((d) => d.startedAt > at)).length
  return knows ? !holds && since >= moveOn.sessions : holds && since > 0
}

/** What to work it with next: what it was worked with last; after three days running below half the one before that, which is more concrete. */
function materialNow(materials: readonly RepresentationId[], days: readonly (readonly Done[])[]): RepresentationId {
  const latest = [...(days[0] ?? [])].sort((a, b) => (a.startedAt < b.startedAt ? 1 : -1))
  const last = latest.find((d) => d.with && materials.includes(d.with))?.with
  const at = last ? materials.indexOf(last) : 0
  const poor = days.slice(0, MOVING_ON.sessions)
  const hard = poor.length === MOVING_ON.sessions && poor.every((list) => shareOf(list) < MOVING_ON.concreteBelow)
  return materials[hard ? Math.max(0, at - 1) : at]!
}

function median(numbers: readonly number[]): number | null {
  if (numbers.length === 0) return null
  const sorted = [...numbers].sort((a, b) => a - b)
  const middle = sorted.length >> 1
  return sorted.length % 2 === 1 ? sorted[middle]! : (sorted[middle - 1]! + sorted[middle]!) / 2
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

/** Whether a step is said to be known, or not to be known yet; undefined where nothing is said that still counts. */
const saidOf = ({ told }: StepStanding): boolean | undefined => (told && !told.overruled ? told.knows : undefined)

/**
 * Steps that are secure, or assumed to be: they hold, are said to be known, or lie below one that is known or has been begun. One that is
 * said not to be known yet is none of them until it holds by later work.
 */
export function laidSteps(steps: readonly Step[], standings: readonly StepStanding[]): ReadonlySet<string> {
  const of = (is: (s: StepStanding) => boolean): string[] => standings.filter(is).map((s) => s.step)
  const known = of((s) => saidOf(s) === true)
  const begun = of((s) => s.worked > 0)
  const laid = new Set([...of((s) => s.holds), ...known, ...below(steps, [...begun, ...known])])
  for (const step of of((s) => saidOf(s) === false)) laid.delete(step)
  return laid
}

/**
 * What comes next: the step that is said not to be known yet, if that was said after any work, or is what was worked last; else one that has
 * been begun and does not hold; else the first of a strand that is known, or what is still open of its ground; else the first whose ground is
 * laid. Null where all are laid, or nothing is known of the learner at all.
 */
export function nextStep(steps: readonly Step[], standings: readonly StepStanding[]): Step | null {
  if (!isKnown(standings)) return null
  const laid = laidSteps(steps, standings)
  const by = new Map(standings.map((s) => [s.step, s]))
  const left = steps.filter((s) => !laid.has(s.id))
  const of = ({ id }: Step): StepStanding | undefined => by.get(id)
  const said = left.filter((s) => of(s) && saidOf(of(s)!) === false)
  const lastWork = standings.reduce((latest, { last }) => (last !== null && last > latest ? last : latest), '')
  const isAtIt = (s: Step): boolean => of(s)!.told!.at > lastWork || of(s)!.last === lastWork
  const open = left.filter((s) => s.restsOn.every((id) => laid.has(id)))
  const strands = new Set(steps.filter((s) => of(s) && isKnown([of(s)!])).map((s) => s.strand))
  const ahead = left.filter((s) => strands.has(s.strand) && s.restsOn.length > 0)
  /** The step itself where its ground is laid, else what is open of that ground. */
  const towards = (s: Step): Step | undefined => {
    if (open.includes(s)) return s
    const ground = below(steps, [s.id])
    return open.find(({ id }) => ground.has(id))
  }
  return (
    said.find(isAtIt) ??
    open.find((s) => (of(s)?.worked ?? 0) > 0) ??
    said[0] ??
    ahead.flatMap((s) => towards(s) ?? [])[0] ??
    open[0] ??
    null
  )
}

/** Whether anything is known of where a learner stands: something was worked, or said. */
export const isKnown = (standings: readonly StepStanding[]): boolean =>
  standings.some((s) => s.worked > 0 || s.told !== null)

/** What a placement that is taken over says: each strand's step is not known yet, and all below it is; a strand that is known is known whole. */
export function toldByPlacement(
  steps: readonly Step[],
  here: readonly { readonly strand: string; readonly step: Step | null }[],
): readonly { readonly step: string; readonly knows: boolean }[] {
  const open = here.flatMap(({ step }) => (step ? [step.id] : []))
  const whole = here.filter(({ step }) => step === null).map(({ strand }) => strand)
  const known = below(steps, open)
  const isBelow = ({ id, strand }: Step): boolean => known.has(id) || whole.includes(strand)
  return steps
    .filter((s) => open.includes(s.id) || isBelow(s))
    .map(({ id }) => ({ step: id, knows: !open.includes(id) }))
}

/** Whether a step that holds is to be looked at again: a week after it came to hold, then after four weeks each time. */
export function isToCheck({ holds, last, days, step }: StepStanding, steps: readonly Step[], now: number): boolean {
  if (!holds || last === null) return false
  const sessions = steps.find((s) => s.id === step)?.moveOn?.sessions ?? MOVING_ON.sessions
  const [first, later] = MOVING_ON.checkAfterWeeks
  const weeks = (now - Date.parse(last)) / WEEK_MS
  return weeks >= (days <= sessions ? first : later)
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
