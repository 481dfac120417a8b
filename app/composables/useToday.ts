import { isToCheck, MOVING_ON, planLesson, type Step } from '../../core/course/index'
import { attempt } from '../../core/door'
import { daysBetween } from '../../shared/days'
import type { Glance, Glanced } from '../../shared/learners'
import { goesOnAt, stateOf, type Lesson } from '../../shared/lessons'
import { request } from '../utils/request'

/** A learner as Today shows them. */
export interface LearnerToday {
  readonly id: string
  readonly name: string
  readonly step: Step | null
  /** One line: the step, or why it needs a look. */
  readonly why: string
  /** Whether the figures suggest to move on, or to change something. */
  readonly sign: 'ready' | 'stuck' | null
  /** Of the days that moving on asks for, how many came right, and how many were tried at all. */
  readonly met: number
  readonly tried: number
  readonly needed: number
  /** Secure steps that are to be checked again, by their whole names. */
  readonly checks: readonly { readonly id: string; readonly title: string }[]
  /** Days since they were last seen, where that is long ago; else 0. */
  readonly away: number
  /** Whether every step is secure. */
  readonly secure: boolean
}

/** Lessons are looked at so many days ahead. */
const DAYS_AHEAD = 14
/** So many learners are looked after at once, those first who come today. */
const MOST = 12
/** Who has not been seen for so many days is named (common practice: a school week). */
const LONG_AWAY = 7
const MOST_CHECKS = 1
/** How many learners stay in one list before it is parted by a search and groups. */
export const SEARCHED_FROM = 8
/** A few minutes with one learner, without a lesson kept. */
const SHORT_MINUTES = 8

/** What a teacher needs at the start of a day: the lessons, and each learner with what is next. */
export function useToday() {
  const classroom = useClassroom()
  const courses = useCourses()
  const { t } = useI18n()
  const { turnByTurn } = useSetToWork()
  const { all, look, standings, next, known, coming: comingTo, trouble } = useStandings()
  const failed = ref('')
  const day = today()
  const lessons = shallowRef<readonly Lesson[]>([])
  const glances = shallowRef<ReadonlyMap<string, Glanced>>(new Map())

  async function load(): Promise<void> {
    const from = schoolWeekOf(day)[0]!
    const span = `from=${from < day ? from : day}&to=${today(DAYS_AHEAD)}`
    try {
      const [, found] = await Promise.all([courses.load(), request<Lesson[]>(`/api/lessons?${span}`)])
      lessons.value = found
    } catch (error) {
      failed.value = (error as Error).message
    }
  }
  /** What the figures suggest comes by itself; without it Today has everything else. */
  async function glance(): Promise<void> {
    let after: string | null = ''
    while (after !== null) {
      const page: Glance = await request<Glance>(`/api/glance${after && `?after=${encodeURIComponent(after)}`}`).catch(
        () => ({ learners: [], next: null }),
      )
      glances.value = new Map([...glances.value, ...page.learners.map((l) => [l.learnerId, l] as const)])
      after = page.next
    }
  }

  const ofToday = computed(() => lessons.value.filter((l) => l.day === day))
  const nextLesson = computed(() => ofToday.value.find((l) => stateOf(l) !== 'done') ?? null)
  const counts = computed(() => {
    const by = new Map<string, number>()
    for (const l of lessons.value) by.set(l.day, (by.get(l.day) ?? 0) + 1)
    return by
  })

  const query = ref('')
  const group = ref('')
  const every = ref(false)
  /** Those of today's lessons first, then everybody else. */
  const inOrder = computed(() => {
    const coming = [...new Set(ofToday.value.flatMap((l) => l.learners))].filter((id) => classroom.nameOf(id))
    const others = classroom.learners.filter((l) => !coming.includes(l.id)).map((l) => l.id)
    return [...coming, ...others]
  })
  const wanted = computed(() => {
    const typed = query.value.trim().toLowerCase()
    return inOrder.value.filter((id) => {
      const one = classroom.learners.find((l) => l.id === id)
      return one && one.codeName.toLowerCase().includes(typed) && (!group.value || one.groups.includes(group.value))
    })
  })
  const shown = computed(() => (every.value ? wanted.value : wanted.value.slice(0, MOST)))
  watch([shown, () => courses.course.id], ([ids]) => void (ids.length && look([...ids])), { immediate: true })

  function signOf({ suggests }: Glanced): LearnerToday['sign'] {
    if (suggests.includes('move-on')) return 'ready'
    return suggests.some((kind) => kind === 'concrete' || kind === 'change') ? 'stuck' : null
  }
  function rowOf(id: string): LearnerToday {
    const own = standings(id)
    const step = next(id)
    const at = own.find((s) => s.step === step?.id)
    const glanced = glances.value.get(id)
    const sign = glanced?.last ? signOf(glanced) : null
    const needed = (step?.moveOn ?? MOVING_ON).sessions
    const seen = all.value.get(id)?.seenAt
    const away = seen ? daysBetween(dayOf(seen), day) : 0
    const secure = known(id) && !step
    const last = glanced?.sessions.at(-1)
    const why =
      sign && last
        ? t(`today.${sign}Why`, { step: courses.titleOf(glanced!.last!.step), alone: last.alone, tried: last.tried })
        : step
          ? courses.titleOf(step.id)
          : t(secure ? 'today.allSecure' : 'today.noStep')
    return {
      id,
      name: classroom.nameOf(id),
      step,
      why,
      sign: sign && last ? sign : null,
      met: at?.met ?? 0,
      tried: Math.min(at?.days ?? 0, needed),
      needed,
      checks: courses.steps
        .filter((s) =>
          isToCheck(
            own.find((o) => o.step === s.id)!,
            courses.steps,
            Date.now(),
          ),
        )
        .slice(0, MOST_CHECKS)
        .map(({ id }) => ({ id, title: courses.titleOf(id) })),
      away: away > LONG_AWAY ? away : 0,
      secure,
    }
  }
  const rows = computed(() => shown.value.map(rowOf))

  const startLesson = async (lesson: Lesson): Promise<void> =>
    void (failed.value = await turnByTurn(turnsOf(lesson, goesOnAt(lesson))))
  /** A few minutes with one learner at a step, their next unless another is named: shown, together, alone. */
  async function startWith(id: string, stepId?: string): Promise<void> {
    const step = stepId ? courses.stepOf(stepId) : next(id)
    if (!step) return
    const seed = crypto.getRandomValues(new Uint32Array(1))[0]! % 100_000
    const planned = attempt(() => planLesson({ learners: [comingTo(id, step)], minutes: SHORT_MINUTES, seed }))
    if ('refused' in planned) failed.value = planned.refused.message
    else
      failed.value = await turnByTurn(
        planned.ok.turns.map(({ problem, material, way, mode }) => ({
          problem,
          learner: id,
          material,
          ...(way ? { way } : {}),
          mode,
        })),
      )
  }
  return {
    day,
    load,
    glance,
    lessons,
    ofToday,
    nextLesson,
    counts,
    query,
    group,
    every,
    wanted,
    shown,
    rows,
    trouble: computed(() => failed.value || trouble.value),
    startLesson,
    startWith,
  }
}
