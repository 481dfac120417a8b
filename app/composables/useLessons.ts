import { attempt, parseProblem, printProblem } from '../../core/door'
import type { RecordPage, RecordSummary } from '../../shared/listing'
import type { Lesson } from '../../shared/lessons'
import type { Waiting } from '../stores/bench/queue'
import { request } from '../utils/request'

/** A problem as records have it. */
function printed(text: string): string {
  const read = attempt(() => printProblem(parseProblem(text)))
  return 'ok' in read ? read.ok : text
}

/** Which of a lesson's problems were worked on its day: for each of its turns the record, if there is one. */
export async function workedIn({ day, learners, turns }: Lesson): Promise<readonly (RecordSummary | null)[]> {
  const pages = await Promise.all(
    learners.map((id) => request<RecordPage>(`/api/records?learner=${id}&from=${day}&to=${day}&limit=200`)),
  )
  const left = pages.flatMap((p) => [...p.records]).reverse()
  return turns.map(({ learner, problem, mode }) => {
    const at = left.findIndex(
      (r) => r.problem === printed(problem) && (learner === null ? mode === 'show' : r.learnerId === learner),
    )
    return at < 0 ? null : left.splice(at, 1)[0]!
  })
}

/** A lesson's problems as the Bench takes them, from one of them on. */
export const turnsOf = (lesson: Lesson, from = 0): readonly Waiting[] =>
  lesson.turns.slice(from).map(({ learner, problem, material, way, mode }) => ({
    problem,
    learner,
    material,
    ...(way ? { way } : {}),
    mode,
    lesson: lesson.id,
  }))

/** The first problem after the last one that was worked; the first of all where all were. */
export const goesOnAt = (worked: readonly (RecordSummary | null)[]): number => {
  const last = worked.findLastIndex((r) => r !== null)
  return last + 1 < worked.length ? last + 1 : 0
}
