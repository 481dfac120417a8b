import {
  isKnown,
  laidSteps,
  nextStep,
  type Coming,
  type Placed,
  type Step,
  type StepStanding,
} from '../../core/course/index'
import { MOST_STANDINGS, type LearnerStanding, type TellSteps } from '../../shared/courses'
import { request } from '../utils/request'

/** What somebody who has worked nothing stands on. */
const nothing = (step: Step): StepStanding => ({
  step: step.id,
  worked: 0,
  right: 0,
  days: 0,
  met: 0,
  holds: false,
  material: step.materials[0]!,
  ms: null,
  last: null,
  told: null,
})

/** Where learners stand on the room's course. */
export function useStandings() {
  const courses = useCourses()
  const all = shallowRef<ReadonlyMap<string, LearnerStanding>>(new Map())
  const trouble = ref('')
  let asked = 0

  /** Looks after some learners, so many at a time; those that were looked after before stay where this fails. */
  async function look(learners: readonly string[]): Promise<void> {
    const turn = ++asked
    trouble.value = ''
    try {
      const found: LearnerStanding[] = []
      for (let i = 0; i < learners.length; i += MOST_STANDINGS)
        found.push(
          ...(await request<LearnerStanding[]>(
            `/api/standings?learners=${learners.slice(i, i + MOST_STANDINGS).join(',')}`,
          )),
        )
      if (turn === asked) all.value = new Map(found.map((s) => [s.learnerId, s]))
    } catch (error) {
      if (turn === asked) trouble.value = (error as Error).message
    }
  }

  /** Where somebody stands on every step. */
  const standings = (learner: string | null): readonly StepStanding[] => {
    const known = new Map(all.value.get(learner ?? '')?.standings.map((s) => [s.step, s]))
    return courses.steps.map((step) => known.get(step.id) ?? nothing(step))
  }
  const next = (learner: string): Step | null => nextStep(courses.steps, standings(learner))
  /** Whether anything is known of where somebody stands: before that they have no step. */
  const known = (learner: string): boolean => isKnown(standings(learner))
  /** Says what a learner knows; returns what undoes it. @throws ServerRefusal */
  async function tell(learner: string, told: TellSteps, placed = false): Promise<() => Promise<void>> {
    const send = async (steps: TellSteps, found: boolean): Promise<TellSteps> => {
      const body = { told: steps, placed: found }
      const { before } = await request<{ before: TellSteps }>(`/api/learners/${learner}/told`, { method: 'PUT', body })
      await look([...new Set([...all.value.keys(), learner])])
      return before
    }
    const before = await send(told, placed)
    return async () => void (await send(before, false))
  }
  const laid = (learner: string | null): ReadonlySet<string> => laidSteps(courses.steps, standings(learner))
  /** Somebody who comes to a lesson at a step: with what suits them there, how long they took, and what they have had. */
  const coming = (id: string, step: Step): Coming => {
    const own = standings(id).find((s) => s.step === step.id)
    return {
      id,
      step,
      had: all.value.get(id)?.had ?? [],
      ...(own ? { material: own.material, ms: own.ms } : {}),
    }
  }
  return { all, look, standings, next, known, tell, laid, coming, trouble }
}

/** What is to be said of a standing. */
export function standingTold({ worked, right, days, holds, told }: StepStanding): string {
  const said = told
    ? `${told.placed ? 'found by placement' : `said by ${told.by}`} on ${dayInWords(dayOf(told.at))}: ${told.knows ? 'known' : 'not known yet'}`
    : ''
  if (worked === 0) return said || 'not worked yet'
  return (
    (said ? `${said}; ` : '') +
    `${right} of ${worked} without help, on ${days} ${days === 1 ? 'day' : 'days'}${holds ? '; secure' : ''}`
  )
}

/** Answers of marked pages as a placement takes them; what cannot be read is left out. */
export async function placedFrom(marked: LearnerStanding['marked']): Promise<readonly Placed[]> {
  const [{ parseAnswer }, { attempt, parseProblem }] = await Promise.all([
    import('../../core/diagnose/index'),
    import('../../core/door'),
  ])
  return marked.flatMap(({ step, problem, answer }) => {
    const read = attempt(() => (answer.trim() === '' ? null : parseAnswer(answer, parseProblem(problem))))
    return 'ok' in read ? [{ step, problem, answer: read.ok }] : []
  })
}
