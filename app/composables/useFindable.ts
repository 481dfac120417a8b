import { capital, REPRESENTATION_IDS } from '../../core/door'
import type { Lesson } from '../../shared/lessons'
import type { Findable } from '../utils/findable'
import { SHEET_GROUPS } from '../utils/sheets'
import { request } from '../utils/request'

/** Lessons of so many days are found, from a week ago on. */
const DAYS = { back: -7, ahead: 28 } as const

/** Everything that Find knows; lessons and steps come when they are there. */
export function useFindable() {
  const classroom = useClassroom()
  const courses = useCourses()
  const session = useSession()
  const { t } = useI18n()
  const { title } = useNames()
  const { chosen } = useTheme()
  const { print } = usePrintPlan()
  const { sheetTitle } = useSheetNames()
  const lessons = shallowRef<readonly Lesson[]>([])
  void courses.load().catch(() => undefined)
  void request<Lesson[]>(`/api/lessons?from=${today(DAYS.back)}&to=${today(DAYS.ahead)}`).then(
    (found) => (lessons.value = found),
    () => undefined,
  )
  const pages = (): Findable[] =>
    [...PLACES, SETTINGS].flatMap(({ id, to, tabs }) => [
      { id: `page ${id}`, kind: 'page', label: t(`frame.${id}`), to } as const,
      ...tabs
        .filter(({ role }) => !role || session.may(role))
        .map((tab) => ({
          id: `page ${id} ${tab.id}`,
          kind: 'page' as const,
          label: t(`frame.${tab.id}`),
          more: t(`frame.${id}`),
          to: tab.to,
        })),
    ])
  const actions = (): Findable[] => [
    ...(session.may('teacher')
      ? [{ id: 'new lesson', kind: 'action', label: t('find.newLesson'), to: '/plan/lessons/new' } as const]
      : []),
    { id: 'take notes', kind: 'action', label: t('frame.notes'), to: '/learners/notes' },
    ...(['light', 'dark', 'contrast', 'system'] as const).map((looks) => ({
      id: `looks ${looks}`,
      kind: 'action' as const,
      label: t(`find.${looks}`),
      run: () => void (chosen.value = looks),
    })),
    ...(session.session.person
      ? [
          {
            id: 'sign out',
            kind: 'action' as const,
            label: t('frame.signOut', { name: session.session.person.name }),
            run: () => void session.signOut(),
          },
        ]
      : []),
  ]
  const items = computed<readonly Findable[]>(() => [
    ...actions(),
    ...pages(),
    ...classroom.learners.map(({ id, codeName, groups }) => ({
      id,
      kind: 'learner' as const,
      label: codeName,
      more: groups.join(', '),
      to: { path: '/learners/progress', query: { learner: id } },
    })),
    ...courses.steps.map((step) => ({
      id: `step ${step.id}`,
      kind: 'step' as const,
      label: courses.titleOf(step.id),
      more: step.strand,
      to: { path: '/plan/steps', query: { step: step.id } },
    })),
    ...REPRESENTATION_IDS.map((id) => ({
      id: `material ${id}`,
      kind: 'material' as const,
      label: capital(title(id)),
      to: { path: '/bench', query: { material: id } },
    })),
    ...lessons.value.map(({ id, day, at, learners }) => ({
      id,
      kind: 'lesson' as const,
      label: `${dayInWords(day)}, ${at}`,
      more: learners.map(classroom.nameOf).join(', '),
      to: `/plan/lessons/${id}`,
    })),
    ...SHEET_GROUPS.flatMap(({ id: group, sheets }) =>
      sheets.map((sheet, i) => ({
        id: `sheet ${group} ${i}`,
        kind: 'sheet' as const,
        label: capital(sheetTitle(sheet)),
        more: t(`frame.group.${group}`),
        run: () => void print([{ sheet, copies: 1 }]),
      })),
    ),
  ])
  return { items }
}
