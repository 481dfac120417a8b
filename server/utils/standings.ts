import '../../core/index'
import { isKnown, standingsOf, StepFinder, type Done } from '../../core/course/index'
import type { RepresentationId } from '../../core/door'
import { DAY_MS } from '../../shared/days'
import type { LearnerStanding } from '../../shared/courses'
import { stepsHere } from './courses'
import { others } from './progress'
import type { Store } from './store'

/** So much of what a learner worked is looked at, the latest; so much of it is told; and so many marked answers of the last weeks. */
const LOOKED_AT = 600
const TOLD = 120
const MARKED = 60
const MARKED_DAYS = 60

let finder: StepFinder | undefined
/** What finds the step of a problem on the room's course. */
export function finderHere(store: Store): StepFinder {
  const steps = stepsHere(store)
  if (finder?.steps !== steps) finder = new StepFinder(steps)
  return finder
}

/** Where a learner stands on the room's course. Looked through in slices, so that others are answered in between. */
export async function standingOf(store: Store, learnerId: string, now = Date.now()): Promise<LearnerStanding> {
  const finder = finderHere(store)
  const { steps } = finder
  const done = store
    .doneBy(learnerId, LOOKED_AT)
    .map(({ problem, material, startedAt, day, ms, right, help }): Done => ({
      problem,
      startedAt,
      day,
      alone: right === 1 && help === 'independent',
      with: material as RepresentationId,
      ms,
    }))
  for (const [i, one] of done.entries()) {
    finder.find(one)
    if (i % 40 === 39) await others()
  }
  const marked: LearnerStanding['marked'][number][] = []
  const since = new Date(now - MARKED_DAYS * DAY_MS).toISOString()
  for (const page of store.markings(learnerId, 10)) {
    if (page.withdrawn !== null || page.markedAt < since) continue
    for (const { problem, answer } of page.items) {
      const step = finder.find({ problem })
      if (step !== undefined && marked.length < MARKED) marked.push({ step, problem, answer })
    }
    await others()
  }
  const told = new Map(store.toldOf(learnerId).map(({ step, ...said }) => [step, said]))
  return {
    learnerId,
    standings: standingsOf(steps, done, finder, told).filter((s) => isKnown([s])),
    had: [...new Set(done.map((d) => d.problem))].slice(0, TOLD),
    marked,
    seenAt: done[0]?.startedAt ?? null,
  }
}
