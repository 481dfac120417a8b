import { afterwards, type Afterwards, type Step, type Turn } from '../../core/course/index'
import type { RepresentationId } from '../../core/door'
import type { Lesson } from '../../shared/lessons'

/** The parts of a lesson in their order, each by how its problems are worked. */
export const LESSON_PARTS = ['show', 'together', 'alone'] as const

/** A lesson as it is told: its three parts, and for each of its steps what comes after. */
export function useLessonParts() {
  const classroom = useClassroom()
  const courses = useCourses()
  const { t } = useI18n()
  const { called } = useNames()
  const partsOf = (lesson: Lesson) =>
    LESSON_PARTS.map((mode) => ({
      mode,
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
  const whose = (turn: Turn): string =>
    turn.learner === null ? t('lesson.everyone') : classroom.nameOf(turn.learner) || t('lesson.somebody')
  /** What to do where it goes well, and where it is too hard, in words. */
  const goesWell = (well: readonly Step[]): string =>
    well.length ? t('lesson.nextIs', { steps: titles(well) }) : t('lesson.again')
  const goesBadly = ({ material, steps }: Afterwards['badly'], now: RepresentationId): string =>
    (material ? t('lesson.backTo', { what: called(material) }) : t('lesson.fewer', { what: called(now) })) +
    (steps.length ? t('lesson.orTo', { steps: titles(steps) }) : '')
  return { partsOf, afterOf, whose, goesWell, goesBadly }
}
