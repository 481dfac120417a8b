<script setup lang="ts">
import { MOST_SET, StepFinder, wayFor, type Limits } from '../../../core/course/index'
import { attempt, inClassWords, representationsFor } from '../../../core/door'
import type { Lesson } from '../../../shared/lessons'
import { formOf, withChange } from '../../utils/limitsForm'
import { rowsWith } from '../../utils/answerRows'
import { request } from '../../utils/request'

/** Setting problems: a step or limits, how many there are of them as the limits change, and a set spread over what makes them differ. */
const { workThrough } = useSetToWork()
const classroom = useClassroom()
const session = useSession()
const courses = useCourses()
const { t } = useI18n()
const { pack } = useNames()
const { kept, answer, problems, locked, renew, lock, drop, put } = useProblemSet()
const { replace } = useAnswerPage()
const { figures } = useFigures()
const { trouble, tried } = useTrouble()
const { tell } = useNotice()
await courses.load().catch(() => undefined)

/* --- a step, or limits of one's own --- */
const stepId = ref('')
/** What was locked or typed when a step took its place, to be brought back. */
const before = shallowRef<typeof kept.value | null>(null)
function takeStep(id: string): void {
  const step = courses.stepOf(id)
  if (!step) return
  if (kept.value.locked.length) before.value = { ...kept.value }
  stepId.value = id
  kept.value = { ...kept.value, form: formOf(step.limits), locked: [], dropped: [] }
}
function bringBack(): void {
  stepId.value = ''
  kept.value = before.value!
  before.value = null
}
// A step that the address names.
const route = useRoute()
if (typeof route.query.step === 'string') takeStep(route.query.step)
/** Once a limit is changed, they are no step's limits any more. */
const form = computed({
  get: () => kept.value.form,
  set: (now) => {
    stepId.value = ''
    kept.value.form = now
  },
})

/* --- what does not go together --- */
const conflict = computed(() => answer.value?.conflict ?? null)
const named = (limit: keyof Limits): string => inClassWords(t(`limits.name.${limit}`), pack.value)
const VALUES: Readonly<Record<string, string>> = { undefined: 'limits.open', true: 'limits.yes', false: 'limits.no' }
const change = computed(() => {
  const to = conflict.value?.change
  if (!to) return ''
  const key = VALUES[String(to.to)]
  return `${named(to.limit)}: ${key ? t(key) : String(to.to)}`
})
function takeChange(): void {
  const to = conflict.value?.change
  if (to) form.value = withChange(form.value, to.limit, to.to)
}

/* --- what is done with them --- */
const work = (): Promise<void> =>
  tried(async () => {
    const refused = await workThrough(problems.value)
    if (refused) throw new Error(refused)
  })
async function mark(): Promise<void> {
  replace(rowsWith(problems.value))
  await navigateTo('/learners/marking')
}
const { print: toPaper } = usePrintPlan()
const print = (): Promise<void> =>
  toPaper(
    [
      { sheet: { kind: 'problems', layout: 'squares', shown: 'blank' }, copies: 1 },
      { sheet: { kind: 'problems', layout: 'squares', shown: 'key' }, copies: 1 },
    ],
    { problems: problems.value.join('\n') },
  )
/** Lessons to come, into which they can be put. */
const DAYS_AHEAD = 60
const lessons = shallowRef<readonly Lesson[]>([])
onMounted(async () => {
  if (session.may('teacher'))
    lessons.value = await request<Lesson[]>(`/api/lessons?from=${today()}&to=${today(DAYS_AHEAD)}`).catch(() => [])
})
/** Puts them at a lesson's end, to be worked alone, learner after learner. */
const putInto = (lesson: Lesson): Promise<void> =>
  tried(async () => {
    const finder = new StepFinder(courses.steps)
    const turns = problems.value.flatMap((problem, i) => {
      const step = courses.stepOf(stepId.value || (finder.find({ problem }) ?? '')) ?? null
      const fits = attempt(() => representationsFor(problem).filter((r) => r.fits))
      const offers = 'ok' in fits ? fits.ok.map((r) => r.representation) : []
      const material = step?.materials.find((m) => offers.includes(m)) ?? offers[0]
      if (!material) return []
      const id = step?.id ?? lesson.turns.at(-1)!.step
      const learner = lesson.learners[i % lesson.learners.length]!
      return [
        {
          learner,
          step: id,
          problem,
          material,
          way: step ? wayFor(step, problem, material) : null,
          mode: 'alone' as const,
        },
      ]
    })
    await request(`/api/lessons/${lesson.id}`, {
      method: 'PUT',
      body: { ...lesson, turns: [...lesson.turns, ...turns] },
    })
    await navigateTo(`/plan/lessons/${lesson.id}`)
    await tell(t('problems.title'), t('problems.putInto', turns.length))
  })
const menu = ref<{ toggle: (event: Event) => void } | null>(null)
const more = computed(() => [
  { label: t('problems.mark'), command: mark },
  ...(lessons.value.length ? [{ separator: true }] : []),
  ...lessons.value.slice(0, 6).map((l) => ({
    label: t('problems.into', {
      lesson: `${dayInWords(l.day)}, ${l.learners.map(classroom.nameOf).filter(Boolean).join(', ')}`,
    }),
    command: () => putInto(l),
  })),
])
const facts = computed(() => {
  const { refused, count } = answer.value ?? {}
  if (!answer.value) return t('problems.counting')
  if (refused) return ''
  return count === '0' ? t('problems.none') : t('problems.fit', { count: figures(count!) }, count === '1' ? 1 : 2)
})
useHead({ title: () => `${t('frame.problems')} – Sett` })
</script>

<template>
  <div class="place">
    <PageHeader :title="t('frame.problems')" :facts="facts" live>
      <Button severity="secondary" :disabled="problems.length === 0" @click="print"
        ><IconPrinter /> {{ t('problems.print') }}</Button
      >
      <Button
        severity="secondary"
        aria-haspopup="menu"
        :disabled="problems.length === 0"
        :aria-label="t('problems.more')"
        @click="menu?.toggle($event)"
        ><IconEllipsis
      /></Button>
      <LazyPopMenu ref="menu" :model="more" />
      <Button :disabled="problems.length === 0" @click="work"><IconPlay /> {{ t('steps.work') }}</Button>
    </PageHeader>
    <p v-if="trouble || answer?.refused" class="trouble" role="alert">{{ trouble || answer?.refused }}</p>
    <form class="card no-print" :aria-label="t('problems.limits')" @submit.prevent>
      <div class="in-row">
        <StepSelect
          :model-value="stepId || null"
          :hint="t('problems.step')"
          :label="t('problems.stepLabel')"
          @update:model-value="(id) => takeStep(id!)"
        />
        <Button v-if="before" severity="secondary" text :label="t('problems.bringBack')" @click="bringBack" />
      </div>
      <LimitsFields v-model="form" :conflict="conflict?.between ?? []" />
      <div v-if="conflict" class="conflict" role="alert">
        <p>
          <IconTriangleAlert />
          {{
            conflict.between.length > 1
              ? t('problems.conflict', { what: conflict.between.map(named).join(t('problems.and')) })
              : t('problems.leavesNone', { what: conflict.between.map(named).join('') })
          }}
        </p>
        <Button v-if="conflict.change" severity="secondary" @click="takeChange">{{
          t('problems.change', { change, count: figures(conflict.leaves) })
        }}</Button>
      </div>
    </form>
    <section class="card set" :aria-label="t('problems.title')">
      <div class="in-row no-print">
        <label class="in-row"
          ><span>{{ t('problems.count') }}</span>
          <InputNumber v-model="kept.count" class="count" :min="1" :max="MOST_SET" :aria-label="t('problems.count')"
        /></label>
        <label class="in-row"
          ><Checkbox v-model="kept.hardestLast" binary :aria-label="t('problems.hardest')" />
          {{ t('problems.hardest') }}</label
        >
        <label v-if="classroom.learner" class="in-row"
          ><Checkbox
            v-model="kept.notHad"
            binary
            :aria-label="t('problems.notHad', { name: classroom.learner.codeName })"
          />
          {{ t('problems.notHad', { name: classroom.learner.codeName }) }}</label
        >
        <span class="grow" />
        <Button severity="secondary" :label="t('steps.others')" @click="renew" />
      </div>
      <ProblemSet v-if="problems.length" :problems="problems" :locked="locked" @lock="lock" @drop="drop" @put="put" />
      <p v-else-if="answer && answer.count !== '0' && !answer.refused" class="quiet">{{ t('problems.allHad') }}</p>
    </section>
  </div>
</template>

<style scoped>
form,
.set {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 14px;
}
.conflict {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 16px;
  align-items: center;
  padding: 10px 14px;
  border-radius: 10px;
  background: var(--plum-wash);
}
.conflict p {
  display: flex;
  gap: 8px;
  align-items: center;
}
.count :deep(input) {
  width: 6.2rem;
}
</style>
