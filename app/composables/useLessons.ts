import type { RecordPage, RecordSummary } from '../../shared/listing'
import { spokenList } from '../../core/door'
import { stateOf, type Lesson } from '../../shared/lessons'
import { daysFrom } from '../../shared/days'
import { request } from '../utils/request'
import type { Queued } from '../utils/queued'

/** For each turn of a lesson the record of its work, if there is one and it has not been deleted. */
export async function workedIn({ learners, turns }: Lesson): Promise<readonly (RecordSummary | null)[]> {
  const days = [...new Set(turns.flatMap((t) => (t.done?.record ? [dayOf(t.done.at)] : [])))]
  const pages = await Promise.all(
    days.flatMap((day) =>
      learners.map((id) =>
        request<RecordPage>(`/api/records?learner=${id}&from=${daysFrom(day, -1)}&to=${day}&limit=200`),
      ),
    ),
  )
  const records = new Map(pages.flatMap((p) => p.records.map((r) => [r.id, r] as const)))
  return turns.map((t) => records.get(t.done?.record ?? '') ?? null)
}

/** A lesson's problems as the Bench takes them, from one of them on. */
export const turnsOf = (lesson: Lesson, from = 0): readonly Queued[] =>
  lesson.turns.slice(from).map(({ learner, problem, material, way, mode }) => ({
    problem,
    learner,
    material,
    ...(way ? { way } : {}),
    mode,
    lesson: lesson.id,
  }))

/** What a lesson is told by wherever it stands in a list: for whom, what about, how far it is. */
export function useLessonLine() {
  const classroom = useClassroom()
  const { titleOf } = useCourses()
  const namesIn = (lesson: Lesson): readonly string[] => lesson.learners.map(classroom.nameOf)
  const stepsIn = (lesson: Lesson): readonly string[] => [...new Set(lesson.turns.map(({ step }) => titleOf(step)))]
  return {
    namesIn,
    stepsIn,
    lineOf: (lesson: Lesson) => ({
      names: spokenList(namesIn(lesson)),
      about: stepsIn(lesson).join('; '),
      state: stateOf(lesson),
      done: lesson.turns.filter(({ done }) => done).length,
    }),
  }
}
