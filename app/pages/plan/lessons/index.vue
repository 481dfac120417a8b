<script setup lang="ts">
import type { Lesson } from '../../../../shared/lessons'
import { request } from '../../../utils/request'

/** All lessons: those to come, and those of the last weeks. */
definePageMeta({ role: 'teacher' })
const DAYS = { back: -28, ahead: 120 } as const
const courses = useCourses()
const session = useSession()
const shownWeek = ref(today())
const { t } = useI18n()
const { namesIn, stepsIn } = useLessonLine()
const lessons = shallowRef<readonly Lesson[]>([])
const trouble = ref('')
try {
  const [, found] = await Promise.all([
    courses.load(),
    request<Lesson[]>(`/api/lessons?from=${today(DAYS.back)}&to=${today(DAYS.ahead)}`),
  ])
  lessons.value = found
} catch (error) {
  trouble.value = (error as Error).message
}
const day = today()
const parts = computed(() => [
  { id: 'coming', lessons: lessons.value.filter((l) => l.day >= day) },
  { id: 'past', lessons: lessons.value.filter((l) => l.day < day).reverse() },
])
async function calendar(): Promise<void> {
  const text = await calendarOf(
    lessons.value.filter((l) => l.day >= day).map((l) => ({ ...l, names: namesIn(l), steps: stepsIn(l) })),
  )
  download('lessons.ics', text, 'text/calendar')
}
useHead({ title: () => `${t('lessons.title')} – Sett` })
</script>

<template>
  <div class="place">
    <PageHeader :title="t('lessons.title')">
      <Button v-if="parts[0]!.lessons.length" severity="secondary" :label="t('lessons.calendar')" @click="calendar" />
      <Button as="router-link" to="/plan/lessons/new"><IconPlus /> {{ t('lessons.plan') }}</Button>
    </PageHeader>
    <p v-if="trouble" class="trouble" role="alert">{{ trouble }}</p>
    <WeekCalendar v-model="shownWeek" :lessons="lessons" :may-plan="session.may('teacher')" />
    <template v-for="part in parts" :key="part.id">
      <section v-if="part.lessons.length" class="card" :aria-labelledby="part.id">
        <h2 :id="part.id">{{ t(`lessons.${part.id}`) }}</h2>
        <ul class="plain">
          <LessonRow v-for="l in part.lessons" :key="l.id" :lesson="l" with-day />
        </ul>
      </section>
    </template>
    <section v-if="lessons.length === 0 && !trouble" class="card">
      <EmptyState :title="t('lessons.none')" :facts="t('lessons.noneFacts')">
        <Button as="router-link" to="/plan/lessons/new" :label="t('lessons.plan')" />
      </EmptyState>
    </section>
  </div>
</template>
