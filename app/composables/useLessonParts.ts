import { afterwards, type Step, type Turn } from '../../core/course/index'
import type { Lesson } from '../../shared/lessons'

export const LESSON_PARTS = [
  ['show', 'Shown to all'],
  ['together', 'Together'],
  ['alone', 'Alone, in turn'],
] as const

/** A lesson as it is told: its three parts, and for each of its steps what comes after. */
export function useLessonParts() {
  const classroom = useClassroom()
  const courses = useCourses()
  const partsOf = (lesson: Lesson) =>
    LESSON_PARTS.map(([mode, title]) => ({
      mode,
      title,
      turns: lesson.turns.map((turn, at) => ({ turn, at })).filter(({ turn }) => turn.mode === mode),
    }))
  const afterOf = (lesson: Lesson) =>
    [...new Set(lesson.turns.map((t) => t.step))].flatMap((id) => {
      const step = courses.stepOf(id)
      if (!step) return []
      const { material } = lesson.turns.find((t) => t.step === id)!
      return [{ step, material, ...afterwards(courses.steps, step, material) }]
    })
  const titles = (list: readonly Step[]): string => list.map((s) => s.title).join('; ')
  const whose = (turn: Turn): string => (turn.learner === null ? 'all' : classroom.nameOf(turn.learner) || 'somebody')
  /** What to do where it goes well, and where it goes badly, in words. */
  const goesWell = (well: readonly Step[]): string =>
    well.length ? `next: ${titles(well)}` : 'nothing rests on it: look at it again in a week'
  return { partsOf, afterOf, titles, whose, goesWell }
}
