<script setup lang="ts">
import { lessonTime } from '../../../../core/course/index'
import { spokenList } from '../../../../core/door'
import { goesOnAt, stateOf, type Lesson } from '../../../../shared/lessons'
import type { RecordSummary } from '../../../../shared/listing'

/** One lesson: planned here, changed, printed, started at the Bench turn by turn, and looked at afterwards. */
definePageMeta({ key: 'lesson' })
const route = useRoute()
const id = computed(() => String(route.params.id))
const classroom = useClassroom()
const courses = useCourses()
const session = useSession()
const bench = useBench()
const { t } = useI18n()
const { turnByTurn } = useSetToWork()
const here = useLesson(() => id.value)
const { lesson, state, trouble, tried, overtaken, change, put, save } = here
const { look, standings } = useStandings()
const worked = shallowRef<readonly (RecordSummary | null)[]>([])
const notes = ref<readonly string[]>([])
const mayChange = computed(() => session.may('teacher'))

async function open(): Promise<void> {
  await courses.load()
  await here.open()
  if (lesson.value) worked.value = await workedIn(lesson.value)
}
await tried(open)
watch(id, async (now) => {
  if (now !== lesson.value?.id) await tried(open)
})
watch(
  () => lesson.value?.learners.join() ?? '',
  (all) => void (all && look(all.split(','))),
  { immediate: true },
)
const time = computed(() =>
  lessonTime(lesson.value?.turns ?? [], (learner, step) => standings(learner).find((s) => s.step === step)?.ms ?? null),
)
const missing = useShortages(() => (lesson.value ? [lesson.value] : []))

async function planned(plan: Lesson, told: readonly string[]): Promise<void> {
  notes.value = told
  put(plan)
  await save()
  if (!trouble.value) await navigateTo(`/plan/lessons/${plan.id}`, { replace: true })
}
/** Planned again from who comes, at which steps, and for how long; what was worked stays. */
const replanning = ref(false)
function replanned(plan: Lesson, told: readonly string[]): void {
  replanning.value = false
  notes.value = told
  change(plan)
}
async function start(from: number): Promise<void> {
  await save()
  const refused = await turnByTurn(turnsOf(lesson.value!, from))
  if (refused) trouble.value = refused
}
const goesOn = computed(() => (lesson.value ? goesOnAt(lesson.value) : 0))
const underWay = computed(() => lesson.value !== null && stateOf(lesson.value) === 'under way')

const removing = ref(false)
const remove = (): Promise<void> =>
  tried(async () => {
    await here.remove()
    if (bench.lesson === id.value) bench.endQueue()
    await navigateTo('/plan/lessons')
  })
const names = computed(() => spokenList((lesson.value?.learners ?? []).map((l) => classroom.nameOf(l)).filter(Boolean)))
async function calendar(): Promise<void> {
  const { id: uid, day, at, minutes, version, turns, learners } = lesson.value!
  const steps = [...new Set(turns.map((turn) => turn.step))].map(courses.titleOf)
  const entry = { id: uid, day, at, minutes, version, names: learners.map(classroom.nameOf), steps }
  download(`lesson-${day}.ics`, await calendarOf([entry]), 'text/calendar')
}
const menu = ref<{ toggle: (event: Event) => void } | null>(null)
const more = computed(() => [
  ...(underWay.value ? [{ label: t('lesson.fromStart'), command: () => start(0) }] : []),
  { label: t('lesson.calendar'), command: calendar },
  ...(mayChange.value
    ? [
        { label: t('lesson.replan'), command: () => void (replanning.value = !replanning.value) },
        {
          label: t('lesson.another'),
          command: () => navigateTo(`/plan/lessons/new?learners=${lesson.value!.learners.join(',')}`),
        },
        { separator: true },
        { label: t('lesson.remove'), command: () => void (removing.value = true) },
      ]
    : []),
])
const facts = computed(() => {
  const l = lesson.value
  if (!l) return ''
  const said = state.value ? ` ${t(`lesson.state.${state.value}`)}` : ''
  return `${t('lesson.when', { day: dayInWords(l.day), at: l.at, minutes: t('today.minutes', l.minutes), state: t(`lesson.is.${stateOf(l)}`) })}${said}`
})
useHead({ title: () => `${lesson.value ? names.value : t('lessons.plan')} – Sett` })
</script>

<template>
  <div class="place">
    <PageHeader :title="lesson ? names : t('lessons.plan')" :facts="facts" live>
      <template v-if="lesson">
        <Button severity="secondary" as="router-link" :to="`/plan/print?lesson=${lesson.id}`"
          ><IconPrinter /> {{ t('today.print') }}</Button
        >
        <Button severity="secondary" aria-haspopup="menu" :aria-label="t('lesson.more')" @click="menu?.toggle($event)"
          ><IconEllipsis
        /></Button>
        <Button @click="start(goesOn)"><IconPlay /> {{ t(underWay ? 'lesson.goOn' : 'lesson.start') }}</Button>
        <LazyPopMenu ref="menu" :model="more" />
      </template>
    </PageHeader>
    <p v-if="trouble" class="trouble" role="alert">{{ trouble }}</p>
    <div v-if="overtaken" class="card in-row no-print" role="status">
      <p>{{ t('lesson.overtaken') }}</p>
      <Button severity="secondary" :label="t('lesson.takeMine')" @click="here.takeMine" />
      <Button severity="secondary" text :label="t('lesson.leaveTheirs')" @click="here.leaveTheirs" />
    </div>
    <LessonPlanner
      v-if="id === 'new' && !lesson"
      :first="String(route.query.learners ?? '').split(',')"
      :on="String(route.query.day ?? '')"
      @planned="planned"
    />
    <template v-else-if="lesson">
      <LessonPlanner v-if="replanning" class="no-print" :first="[]" :lesson="lesson" @planned="replanned" />
      <div v-if="mayChange" class="in-row no-print" role="group" :aria-label="t('lesson.whenIsIt')">
        <DayField
          :model-value="lesson.day"
          :label="t('lesson.day')"
          @update:model-value="(day) => change({ ...lesson!, day })"
        />
        <TimeField
          :model-value="lesson.at"
          :label="t('lesson.at')"
          @update:model-value="(at) => change({ ...lesson!, at })"
        />
      </div>
      <p v-for="n in notes" :key="n" class="quiet no-print">{{ n }}</p>
      <div class="with-aside">
        <LessonTurns
          :model-value="lesson"
          :worked="worked"
          :time="time"
          :may-change="mayChange"
          @update:model-value="change"
        />
        <LessonBeside
          :model-value="lesson"
          :time="time"
          :missing="missing.get(lesson.id) ?? 0"
          :may-change="mayChange"
          @update:model-value="change"
        />
      </div>
    </template>
    <LazyDialog v-if="removing" v-model:visible="removing" modal :header="t('lesson.removeAsk', { names })">
      <p>{{ t('lesson.removeSays') }}</p>
      <template #footer>
        <Button severity="secondary" :label="t('lesson.keep')" @click="removing = false" />
        <Button :label="t('lesson.removeThis')" @click="remove" />
      </template>
    </LazyDialog>
  </div>
</template>

<style scoped>
@media print {
  /* One page: what is said and watched for stands close. */
  .with-aside {
    grid-template-columns: 1.2fr 1fr;
    gap: 5mm;
    font-size: 11pt;
    line-height: 1.25;
  }
}
</style>
