import type { RepresentationId } from '../../materials'
import { parseProblem } from '../../problem/parse'
import type { Mode } from '../../record/moment'
import { attempt, Refusal } from '../../refusal'
import { REPRESENTATIONS } from '../../representation/index'
import { waysOf } from '../../way/index'
import type { WayId } from '../../way/way'
import { canWork } from '../courses/course'
import { setProblems } from '../setter/setter'
import type { Step } from '../steps/step'

/**
 * A lesson for one learner or a small group at one bench: a problem is shown, each works one together with the teacher, then they work
 * alone, turn by turn. Sit-down lessons have 5 to 15 minutes and 5 to 20 problems (practice, section 15; common practice, no source).
 */

/**
 * How long things take, in milliseconds: a problem where nothing is known of a learner; `between` two problems, for handing over, clearing
 * the mat and saying the next one, which no record measures; and by how much longer showing and helping take. Our own estimates.
 */
export const PACE = {
  problem: 60_000,
  between: 30_000,
  settle: 60_000,
  show: 1.5,
  together: 1.5,
  least: 45_000,
  most: 300_000,
} as const
export const LESSON_MINUTES = { least: 3, most: 60 } as const
/** Longer than this is longer than a sit-down lesson usually is. */
export const LONG_LESSON = 15
export const MOST_IN_LESSON = 8
const MOST_ALONE = 20

/** One problem of a lesson, for one learner or (null) for all to look at. */
export interface Turn {
  readonly learner: string | null
  readonly step: string
  readonly problem: string
  readonly material: RepresentationId
  /** Null where the material's usual way is meant. */
  readonly way: WayId | null
  readonly mode: Mode
}

/** Somebody who comes to a lesson. */
export interface Coming {
  readonly id: string
  readonly step: Step
  readonly material?: RepresentationId
  /** How long a problem took this learner before, in milliseconds. */
  readonly ms?: number | null
  /** What has been had lately. */
  readonly had?: readonly string[]
}

export interface LessonWish {
  readonly learners: readonly Coming[]
  readonly minutes: number
  readonly seed: number
}

export interface LessonPlan {
  readonly turns: readonly Turn[]
  /** How many minutes it takes, as far as can be known. */
  readonly takes: number
  /** What is to be known of it: that time is short, that problems come again. */
  readonly notes: readonly string[]
}

const paceOf = ({ ms }: Pick<Coming, 'ms'>): number =>
  Math.min(PACE.most, Math.max(PACE.least, ms ? ms + PACE.between : PACE.problem))

/** How long the turns of a lesson take, in milliseconds: each of them, and for each learner one problem alone. */
export interface LessonTime {
  readonly each: readonly number[]
  readonly paces: ReadonlyMap<string, number>
  /** All turns, with settling down before the first. */
  readonly all: number
}

/**
 * How long a lesson takes as it is planned or changed; what is shown takes as long as the slowest of those at its step.
 * @param ms how long a problem took a learner before, in milliseconds; null where that is not known.
 */
export function lessonTime(turns: readonly Turn[], ms: (learner: string, step: string) => number | null): LessonTime {
  const own = turns.flatMap(({ learner, step }) => (learner === null ? [] : [{ id: learner, step }]))
  const pace = (id: string, step: string): number => paceOf({ ms: ms(id, step) })
  const each = turns.map(({ mode, learner, step }) => {
    if (learner !== null) return pace(learner, step) * (mode === 'alone' ? 1 : PACE.together)
    const there = own.filter((o) => o.step === step)
    const paces = (there.length > 0 ? there : own).map((o) => pace(o.id, o.step))
    return PACE.show * Math.max(...(paces.length > 0 ? paces : [PACE.problem]))
  })
  return {
    each,
    paces: new Map(own.map((o) => [o.id, pace(o.id, o.step)])),
    all: PACE.settle + each.reduce((sum, t) => sum + t, 0),
  }
}

/** A way of the step that suits the problem on that material; null where the material's usual one has to do. */
export function wayFor(step: Step, problem: string, material: RepresentationId): WayId | null {
  const found = attempt(() => waysOf(parseProblem(problem), REPRESENTATIONS[material]).map((w) => w.way))
  return ('ok' in found && step.ways.find((w) => found.ok.includes(w))) || null
}

/** How many problems each learner works alone, one round after another for as long as there is time. */
function rounds(learners: readonly Coming[], left: number): readonly number[] {
  const counts = learners.map(() => 0)
  for (let round = 0; round < MOST_ALONE; round++)
    for (const [i, learner] of learners.entries()) {
      const takes = paceOf(learner)
      // The first round is for everybody, however short the time is.
      if (round > 0 && takes > left) return counts
      left -= takes
      counts[i]!++
    }
  return counts
}

/** So many problems of a step, those first that nobody has had lately; how many of them have been. */
function problemsFor(step: Step, count: number, seed: number, had: readonly string[]) {
  const set = (without: readonly string[]): readonly string[] => {
    const found = attempt(() => setProblems({ step, count, seed, without, hardestLast: true }))
    return 'ok' in found ? found.ok : []
  }
  const fresh = set(had)
  const again = fresh.length < count ? set(fresh) : []
  const all = [...fresh, ...again].slice(0, count)
  if (all.length === 0) throw new Refusal(`“${step.title}” has no problems.`, 'Look at its limits.')
  return { problems: Array.from({ length: count }, (_, i) => all[i % all.length]!), again: count - fresh.length }
}

/** Plans a lesson. The same seed gives the same one. @throws Refusal for too many learners, or minutes that are no lesson. */
export function planLesson({ learners, minutes, seed }: LessonWish): LessonPlan {
  if (learners.length < 1 || learners.length > MOST_IN_LESSON)
    throw new Refusal(`A lesson is for 1 to ${MOST_IN_LESSON} learners.`)
  if (!Number.isFinite(minutes) || minutes < LESSON_MINUTES.least || minutes > LESSON_MINUTES.most)
    throw new Refusal(`A lesson takes ${LESSON_MINUTES.least} to ${LESSON_MINUTES.most} minutes.`)
  const steps = [...new Map(learners.map((l) => [l.step.id, l.step])).values()]
  const atStep = (step: Step): readonly Coming[] => learners.filter((l) => l.step.id === step.id)
  const slowest = (list: readonly Coming[]): number => Math.max(...list.map(paceOf))
  const shown = steps.reduce((sum, step) => sum + PACE.show * slowest(atStep(step)), 0)
  const helped = learners.reduce((sum, l) => sum + PACE.together * paceOf(l), 0)
  const once = learners.reduce((sum, l) => sum + paceOf(l), 0)
  const time = minutes * 60_000 - PACE.settle
  const together = shown + helped + once <= time
  const spent = shown + (together ? helped : 0)
  const alone = rounds(learners, time - spent)
  const notes: string[] = []
  const takes = PACE.settle + spent + learners.reduce((sum, l, i) => sum + alone[i]! * paceOf(l), 0)
  if (!together)
    notes.push(
      `The time is short: nothing is worked together. With ${Math.ceil((PACE.settle + shown + helped + once) / 60_000)} minutes each would have one of every kind.`,
    )
  if (takes > minutes * 60_000 + PACE.problem) notes.push(`It takes about ${Math.ceil(takes / 60_000)} minutes.`)
  if (minutes > LONG_LESSON) notes.push(`Sit-down lessons are usually 5 to ${LONG_LESSON} minutes long.`)

  const turns: { readonly order: number; readonly turn: Turn }[] = []
  for (const [s, step] of steps.entries()) {
    const own = atStep(step)
    const counts = own.map((l) => alone[learners.indexOf(l)]!)
    const wanted = 1 + (together ? own.length : 0) + counts.reduce((a, b) => a + b, 0)
    const { problems, again } = problemsFor(
      step,
      wanted,
      seed + s,
      own.flatMap((l) => l.had ?? []),
    )
    if (again > 0) notes.push(`“${step.title}”: ${again === wanted ? 'all' : again} of these have been had lately.`)
    const left = [...problems]
    const put = (order: number, mode: Mode, learner: Coming | null): void => {
      const problem = left.shift()!
      const material = fitting(step, materialFor(step, learner ? [learner] : own), problem)
      const turn = {
        learner: learner?.id ?? null,
        step: step.id,
        problem,
        material,
        way: wayFor(step, problem, material),
        mode,
      }
      turns.push({ order, turn })
    }
    put(s, 'show', null)
    if (together) for (const l of own) put(100 + learners.indexOf(l), 'together', l)
    for (let round = 0; round < Math.max(...counts); round++)
      for (const [i, l] of own.entries())
        if (round < counts[i]!) put(1000 + 10 * round + learners.indexOf(l), 'alone', l)
  }
  return {
    turns: turns.sort((a, b) => a.order - b.order).map(({ turn }) => turn),
    takes: Math.round(takes / 60_000),
    notes,
  }
}

/** What a step is shown with to some learners: the most concrete that any of them works with. */
function materialFor({ materials }: Step, learners: readonly Coming[]): RepresentationId {
  const places = learners.map(({ material }) => {
    const at = material ? materials.indexOf(material) : 0
    return at < 0 ? null : at
  })
  const own = learners.find(({ material }) => material && !materials.includes(material))?.material
  const known = places.filter((p) => p !== null)
  return known.length > 0 ? materials[Math.min(...known)]! : (own ?? materials[0]!)
}

/** The material, or where it cannot hold the problem another one of the step that can. */
function fitting(step: Step, material: RepresentationId, problem: string): RepresentationId {
  const read = attempt(() => parseProblem(problem))
  if (!('ok' in read)) return material
  return [material, ...step.materials].find((m) => canWork(read.ok, m)) ?? material
}

/** What to do next after a step: if it goes well the steps that rest on it, those of its strand where there are any; if it does not, what it rests on, and a material before this one. */
export interface Afterwards {
  readonly well: readonly Step[]
  readonly badly: { readonly material: RepresentationId | null; readonly steps: readonly Step[] }
}

export function afterwards(steps: readonly Step[], step: Step, material: RepresentationId): Afterwards {
  const at = step.materials.indexOf(material)
  const after = steps.filter((s) => s.restsOn.includes(step.id))
  const own = after.filter((s) => s.strand === step.strand)
  return {
    well: own.length > 0 ? own : after,
    badly: {
      material: at > 0 ? step.materials[at - 1]! : null,
      steps: steps.filter((s) => step.restsOn.includes(s.id)),
    },
  }
}
