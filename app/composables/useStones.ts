import { saidAs, setProblems, type Step, type StepStanding } from '../../core/course/index'
import { attempt, packOf, type RepresentationId } from '../../core/door'

/** Where a step stands: secure, assumed secure since a later step is known, next, ready to begin, or for later. */
export type StoneState = 'secure' | 'assumed' | 'next' | 'ready' | 'later'
export interface Stone {
  readonly step: Step
  readonly sample: string
  readonly state: StoneState
  /** Of what was worked there, the share without help; 0 where nothing was, or it is secure. */
  readonly begun: number
  readonly told: string
  /** Whose next step it is. */
  readonly who: readonly string[]
}

/** Which steps are shown: by how they lie, and by what belongs to them. */
export interface StepFilter {
  readonly shown: 'all' | 'begun' | 'secure' | 'open'
  readonly strand: string
  readonly material: RepresentationId | ''
  readonly year: string
  readonly statement: string
}
export const NO_FILTER: StepFilter = { shown: 'all', strand: '', material: '', year: '', statement: '' }

/** The years of school that a step's statements name: England's years and the grades of the Common Core. */
export const yearsOf = ({ serves }: Pick<Step, 'serves'>): readonly string[] => [
  ...new Set(
    serves.flatMap((text) => {
      const year = /^NC (Year \d)/.exec(text)?.[1]
      const grade = /^CCSS-M (K|\d)\./.exec(text)?.[1]
      return [...(year ? [year] : []), ...(grade ? [grade === 'K' ? 'Kindergarten' : `Grade ${grade}`] : [])]
    }),
  ),
]

/** The room's course as stones: where each stands for the learner chosen, or whose next step it is where nobody is. */
export function useStones() {
  const classroom = useClassroom()
  const courses = useCourses()
  const { t } = useI18n()
  const here = useStandings()
  const { look, standings, next: nextOf, known, laid: laidOf } = here
  /** Who is looked at: the learner chosen, or everybody. */
  const who = computed(() => (classroom.learner ? [classroom.learner] : classroom.learners))
  const lookAgain = async (): Promise<void> => void (who.value.length && (await look(who.value.map((l) => l.id))))
  watch(() => [who.value.map((l) => l.id).join(), courses.course.id] as const, lookAgain, { immediate: true })

  const of = computed(() => new Map(standings(classroom.learnerId).map((s) => [s.step, s])))
  const standing = (step: Step): StepStanding => of.value.get(step.id) ?? standings(null)[0]!
  const next = computed(() => (classroom.learner ? nextOf(classroom.learner.id) : null))
  const isKnown = computed(() => classroom.learner !== null && known(classroom.learner.id))
  const nextOfEach = computed(() => {
    const by = new Map<string, string[]>()
    for (const l of who.value) {
      const id = nextOf(l.id)?.id
      if (id) by.set(id, [...(by.get(id) ?? []), l.codeName])
    }
    return by
  })
  const laid = computed(() => laidOf(classroom.learnerId))
  function stateOf(step: Step): StoneState {
    if (!classroom.learner) return 'ready'
    if (next.value?.id === step.id) return 'next'
    if (standing(step).holds) return 'secure'
    if (laid.value.has(step.id)) return standing(step).told ? 'secure' : 'assumed'
    return step.restsOn.every((id) => laid.value.has(id)) ? 'ready' : 'later'
  }
  const samples = new Map<string, string>()
  /** A step's sample problem; of a school's own step that has none, any of its problems. */
  function sampleOf(step: Step): string {
    if (step.sample) return step.sample
    const key = JSON.stringify(step.limits)
    const known = samples.get(key) ?? anyProblem(step)
    samples.set(key, known)
    return known
  }

  const pack = computed(() => packOf(classroom.words))
  /** Everything of a step that one may look for. */
  const textOf = (s: Step): string =>
    [
      s.title,
      s.short,
      s.strand,
      ...s.serves,
      ...s.materials.map(nameOfMaterial),
      ...s.say.map((line) => saidAs(line, pack.value)),
    ]
      .join(' ')
      .toLowerCase()
  const isShown = (step: Step, state: StoneState, filter: StepFilter, sought: string): boolean =>
    ({
      all: true,
      begun: nextOfEach.value.has(step.id) || (standing(step).worked > 0 && state !== 'secure'),
      secure: state === 'secure' || state === 'assumed',
      open: state !== 'secure' && state !== 'assumed',
    })[filter.shown] &&
    (filter.strand === '' || step.strand === filter.strand) &&
    (filter.material === '' || step.materials.includes(filter.material)) &&
    (filter.year === '' || yearsOf(step).includes(filter.year)) &&
    (filter.statement === '' || step.serves.includes(filter.statement)) &&
    textOf(step).includes(sought.trim().toLowerCase())

  const stonesFor = (filter: StepFilter, sought: string): readonly Stone[] =>
    courses.steps.flatMap((step): readonly Stone[] => {
      const state = stateOf(step)
      if (!isShown(step, state, filter, sought)) return []
      const { worked, right } = standing(step)
      const isOpen = classroom.learner !== null && worked > 0 && state !== 'secure'
      return [
        {
          step,
          sample: sampleOf(step),
          state,
          begun: isOpen ? right / worked : 0,
          told: classroom.learner ? toldOf(step, state) : '',
          who: nextOfEach.value.get(step.id) ?? [],
        },
      ]
    })
  const toldOf = (step: Step, state: StoneState): string =>
    state === 'assumed' && standing(step).worked === 0 ? t('steps.assumedOnly') : standingTold(standing(step))
  return { ...here, lookAgain, next, isKnown, standing, stateOf, toldOf, stonesFor }
}

function anyProblem(step: Step): string {
  const found = attempt(() => setProblems({ step, count: 1, seed: 1 })[0])
  return 'ok' in found ? (found.ok ?? '') : ''
}
