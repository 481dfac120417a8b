<script setup lang="ts">
import { LESSON_MINUTES, MOST_IN_LESSON, planLesson, saidAs, askedAs, type Step } from '../../../../core/course/index'
import { attempt, packOf, pretty, spokenList } from '../../../../core/door'
import { z } from 'zod'
import type { Lesson } from '../../../../shared/lessons'

/**
 * Who comes and when, then at which step each: the lesson is planned from it. One that is there already is planned again, but for what was
 * worked.
 */
const {
  first,
  on = '',
  lesson = null,
} = defineProps<{
  first: readonly string[]
  /** The day that was asked for; the next that suits where none was. */
  on?: string
  lesson?: Lesson | null
}>()
const emit = defineEmits<{ planned: [lesson: Lesson, notes: readonly string[]] }>()
const classroom = useClassroom()
const courses = useCourses()
const { t } = useI18n()
const { look, next, coming, trouble } = useStandings()

const kept = useLocalStorage('sett.lesson-minutes', 12)
const minutes = ref(lesson?.minutes ?? (Number(kept.value) || 12))
const proposed = nextLessonTime()
const isDay = z.iso.date().safeParse(on).success && on >= today()
const day = ref(lesson?.day ?? (isDay ? on : proposed.day))
const at = ref(lesson?.at ?? proposed.at)
const comes = ref<readonly string[]>((lesson?.learners ?? first).filter((id) => classroom.nameOf(id) !== ''))
/** Steps that were chosen instead of what is next. */
const chosen = ref<Readonly<Record<string, string>>>(
  Object.fromEntries((lesson?.turns ?? []).flatMap((t) => (t.learner ? [[t.learner, t.step]] : []))),
)
watch(comes, (ids) => void look(ids), { immediate: true })
const stepOf = (id: string): Step | null => courses.stepOf(chosen.value[id] ?? '') ?? next(id)
function toggle(id: string): void {
  comes.value = comes.value.includes(id) ? comes.value.filter((c) => c !== id) : [...comes.value, id]
}

/** What was worked already stays; of what is planned anew, each learner has so many fewer. */
function afterWorked(planned: readonly Lesson['turns'][number][]): Lesson['turns'] {
  const worked = lesson?.turns.filter((t) => t.done && (t.learner === null || comes.value.includes(t.learner))) ?? []
  const less = worked.map((t) => `${t.learner} ${t.mode}`)
  return [
    ...worked,
    ...planned.filter((t) => {
      const i = less.indexOf(`${t.learner} ${t.mode}`)
      if (i >= 0) less.splice(i, 1)
      return i < 0
    }),
  ]
}
const refused = ref('')
/** Where one is: who and when, or the steps. */
const part = ref(1)
const isPast = (): boolean => !lesson && `${day.value} ${at.value}` < `${today()} ${timeOf(Date.now())}`
function goOn(): void {
  refused.value = isPast() ? t('lesson.past') : ''
  if (!refused.value) part.value = 2
}
function plan(): void {
  refused.value = ''
  kept.value = minutes.value
  const without = comes.value.filter((id) => stepOf(id) === null)
  if (without.length > 0) {
    refused.value = t('lesson.chooseFor', { names: spokenList(without.map(classroom.nameOf)) })
    return
  }
  if (isPast()) {
    refused.value = t('lesson.past')
    return
  }
  const learners = comes.value.map((id) => coming(id, stepOf(id)!))
  const seed = crypto.getRandomValues(new Uint32Array(1))[0]! % 100_000
  const planned = attempt(() => planLesson({ learners, minutes: Number(minutes.value), seed }))
  if ('refused' in planned) {
    refused.value = planned.refused.message
    return
  }
  const { turns, notes } = planned.ok
  const pack = packOf(classroom.words)
  const steps = [...new Map(learners.map((l) => [l.step.id, l.step])).values()]
  const words = steps
    .map((step) =>
      [
        ...(steps.length > 1 ? [`${step.title}:`] : []),
        ...step.say.map((line) => saidAs(line, pack)),
        ...step.ask.map((line) => t('lesson.askLine', { what: askedAs(line, pack) })),
      ].join('\n'),
    )
    .join('\n\n')
  emit(
    'planned',
    {
      id: lesson?.id ?? crypto.randomUUID(),
      day: day.value,
      at: at.value,
      minutes: Number(minutes.value),
      learners: [...comes.value],
      turns: afterWorked(turns),
      words: lesson ? lesson.words : words,
      notes: Object.fromEntries(Object.entries(lesson?.notes ?? {}).filter(([id]) => comes.value.includes(id))),
      version: lesson?.version ?? 0,
    },
    notes,
  )
}
/** Whose step is what comes next for them, and not chosen here. */
const isProposed = (id: string): boolean => stepOf(id) !== null && stepOf(id)?.id === next(id)?.id
</script>

<template>
  <form class="planner card" novalidate @submit.prevent="part === 1 ? goOn() : plan()">
    <Stepper v-model:value="part">
      <StepList>
        <Step :value="1">{{ t('lesson.whoAndWhen') }}</Step>
        <Step :value="2" :disabled="comes.length === 0">{{ t('lesson.steps') }}</Step>
      </StepList>
    </Stepper>
    <template v-if="part === 1">
      <fieldset>
        <legend>{{ t('lesson.who') }}</legend>
        <p v-if="classroom.learners.length === 0" class="quiet">
          {{ t('lesson.nobody') }} <NuxtLink to="/settings">{{ t('lesson.addLearners') }}</NuxtLink>
        </p>
        <div class="names">
          <label v-for="l in classroom.learners" :key="l.id" class="name" :class="{ comes: comes.includes(l.id) }">
            <Checkbox
              :model-value="comes.includes(l.id)"
              binary
              :disabled="comes.length >= MOST_IN_LESSON && !comes.includes(l.id)"
              :aria-label="l.codeName"
              @update:model-value="toggle(l.id)"
            />
            <LearnerMark :name="l.codeName" />
            <b>{{ l.codeName }}</b>
          </label>
        </div>
      </fieldset>
      <div class="when">
        <label class="field"
          ><span>{{ t('lesson.day') }}</span> <DayField v-model="day" :label="t('lesson.day')"
        /></label>
        <label class="field"
          ><span>{{ t('lesson.at') }}</span> <TimeField v-model="at" :label="t('lesson.at')"
        /></label>
        <label class="field"
          ><span>{{ t('lesson.minutes') }}</span>
          <InputNumber
            v-model="minutes"
            :min="LESSON_MINUTES.least"
            :max="LESSON_MINUTES.most"
            :aria-label="t('lesson.minutes')"
        /></label>
      </div>
      <p v-if="refused || trouble" class="trouble" role="alert">{{ refused || trouble }}</p>
      <div class="in-row">
        <Button type="submit" :disabled="comes.length === 0">{{ t('lesson.toSteps') }} <IconArrowRight /></Button>
      </div>
    </template>
    <template v-else>
      <ul class="plain steps">
        <li v-for="id in comes" :key="id">
          <LearnerMark :name="classroom.nameOf(id)" />
          <b>{{ classroom.nameOf(id) }}</b>
          <StepSelect
            :model-value="stepOf(id)?.id ?? null"
            :hint="t('lesson.chooseStep')"
            :label="t('lesson.stepOf', { name: classroom.nameOf(id) })"
            @update:model-value="(step) => (chosen = { ...chosen, [id]: step! })"
          />
          <span v-if="isProposed(id)" class="tag clay">{{ t('lesson.proposed') }}</span>
          <span v-if="stepOf(id)?.sample" class="learner sample">{{ pretty(stepOf(id)!.sample!) }}</span>
        </li>
      </ul>
      <p v-if="refused || trouble" class="trouble" role="alert">{{ refused || trouble }}</p>
      <div class="in-row">
        <Button severity="secondary" @click="part = 1"><IconArrowLeft /> {{ t('lesson.back') }}</Button>
        <Button type="submit" :label="t(lesson ? 'lesson.planAgain' : 'lesson.plan')" :disabled="comes.length === 0" />
      </div>
    </template>
  </form>
</template>

<style scoped>
.planner {
  display: grid;
  gap: 20px;
  max-width: 60rem;
}
fieldset {
  margin: 0;
  padding: 0;
  border: 0;
  min-width: 0;
}
legend {
  padding: 0 0 8px;
  font-weight: 700;
}
.names {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(11rem, 1fr));
  gap: 10px;
}
.name {
  display: flex;
  align-items: center;
  gap: 10px;
  min-height: 60px;
  padding: 8px 14px;
  border: 1px solid var(--line-2);
  border-radius: 10px;
  cursor: pointer;
}
.name.comes {
  border-color: var(--clay);
  background: var(--clay-wash);
}
.when {
  display: flex;
  flex-wrap: wrap;
  gap: 10px 18px;
}
.when :deep(.p-inputnumber-input) {
  width: 6rem;
}
.steps {
  display: grid;
}
.steps li {
  display: grid;
  grid-template-columns: 42px 7rem minmax(0, 24rem) auto auto 1fr;
  gap: 6px 14px;
  align-items: center;
  padding: 12px 0;
  border-top: 1px solid var(--line);
}
.steps li:first-child {
  border: 0;
}
.sample {
  font-size: 1.15rem;
}
@media (max-width: 800px) {
  .steps li {
    grid-template-columns: 42px minmax(0, 1fr);
  }
  .steps .p-select {
    grid-column: 1 / -1;
  }
}
</style>
