<script setup lang="ts">
import { capital } from '../../core/door'
import { SEARCHED_FROM } from '../composables/useToday'

/** The first page of a working day: the next lesson, later ones, work left unfinished, and what is next for each learner. */
const classroom = useClassroom()
const session = useSession()
const { t } = useI18n()
const here = useToday()
const { day, lessons, ofToday, nextLesson, rows, wanted, shown, query, group, every, trouble } = here
await here.load()
void here.glance()

const looked = ref(day)
/** So many lessons to come are told at once. */
const MOST_COMING = 4
/** Of today what is left of it and the next lessons after it; of another day its own. */
const later = computed(() => {
  const isNext = (id: string): boolean => id === nextLesson.value?.id
  if (looked.value !== day) return lessons.value.filter((l) => l.day === looked.value)
  const left = ofToday.value.filter((l) => !isNext(l.id))
  const coming = lessons.value.filter((l) => l.day > day)
  return [...left, ...coming.slice(0, Math.max(0, MOST_COMING - left.length))]
})
const missing = useShortages(() => [...(nextLesson.value ? [nextLesson.value] : []), ...later.value])
const facts = computed(() =>
  t('today.facts', {
    lessons: capital(t('today.lessons', ofToday.value.length)),
    learners: t('today.learners', classroom.learners.length),
    room: capital(classroom.classroom?.name ?? ''),
  }),
)
/** Who is started with where no lesson is planned. */
const first = computed(() => (nextLesson.value ? null : (rows.value.find((r) => r.step) ?? null)))
const startFirst = (): void =>
  void (nextLesson.value ? here.startLesson(nextLesson.value) : first.value && here.startWith(first.value.id))
useKeys({ b: startFirst })
const groups = computed(() => [
  { label: t('today.everybody'), value: '' },
  ...classroom.groups.map((g) => ({ label: g, value: g })),
])
useHead({ title: () => `${t('today.title')} – Sett` })
</script>

<template>
  <div class="place today">
    <PageHeader :title="dayInWords(day)" :facts="facts">
      <WeekStrip v-model="looked" :counts="here.counts.value" />
      <Button v-if="session.may('teacher')" as="router-link" severity="secondary" to="/plan/lessons/new">
        <IconPlus /> {{ t('today.plan') }}
      </Button>
    </PageHeader>
    <p v-if="trouble" class="trouble" role="alert">{{ trouble }}</p>
    <div class="columns">
      <div class="column">
        <NextLesson
          v-if="nextLesson"
          :lesson="nextLesson"
          :missing="missing.get(nextLesson.id)"
          @start="here.startLesson(nextLesson)"
        />
        <section v-else-if="first" class="card first">
          <h2>{{ first.name }}: {{ first.why }}</h2>
          <p class="quiet">{{ t(ofToday.length ? 'today.allDone' : 'today.nonePlanned', { name: first.name }) }}</p>
          <Button aria-keyshortcuts="b" @click="startFirst"
            ><IconPlay /> {{ t('today.startWith', { name: first.name }) }}</Button
          >
        </section>
        <section v-if="ofToday.length > 1 || looked !== day || later.length" class="card" aria-labelledby="later">
          <div class="card-head">
            <h2 id="later">{{ looked === day ? t('today.later') : dayInWords(looked) }}</h2>
            <Button
              v-if="session.may('teacher')"
              as="router-link"
              severity="secondary"
              text
              to="/plan/lessons"
              :label="t('today.allLessons')"
            />
          </div>
          <ul v-if="later.length" class="plain">
            <LessonRow
              v-for="l in later"
              :key="l.id"
              :lesson="l"
              :with-day="l.day !== looked"
              :missing="missing.get(l.id)"
            />
          </ul>
          <p v-else class="quiet">{{ t('today.noLesson') }}</p>
        </section>
        <LeftOff />
      </div>
      <section class="card learners" aria-labelledby="learners">
        <div class="card-head">
          <h2 id="learners">{{ t('today.learnersTitle') }}</h2>
          <Button as="router-link" severity="secondary" text to="/learners" :label="t('today.all')" />
        </div>
        <div v-if="classroom.learners.length >= SEARCHED_FROM" class="in-row">
          <InputText v-model="query" type="search" :placeholder="t('today.search')" :aria-label="t('today.search')" />
          <LazySelect
            v-if="classroom.groups.length"
            v-model="group"
            :options="groups"
            option-label="label"
            option-value="value"
            :aria-label="t('today.group')"
          />
        </div>
        <ul v-if="rows.length" class="plain">
          <LearnerRow v-for="r in rows" :key="r.id" :row="r" @start="(step) => here.startWith(r.id, step)" />
        </ul>
        <EmptyState
          v-else-if="classroom.learners.length === 0"
          :title="t('today.nobody')"
          :facts="t('today.nobodyFacts')"
        >
          <Button as="router-link" to="/settings" :label="t('today.addLearners')" />
        </EmptyState>
        <Button
          v-if="wanted.length > shown.length"
          severity="secondary"
          text
          :label="t('today.more', { n: wanted.length })"
          @click="every = true"
        />
      </section>
    </div>
  </div>
</template>

<style scoped>
.columns {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 408px);
  gap: 22px;
  align-items: start;
}
.column {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 18px;
}
.card-head {
  display: flex;
  align-items: center;
  justify-content: space-between;
  gap: 12px;
  min-height: 44px;
}
.first {
  display: grid;
  gap: 12px;
  justify-items: start;
  padding: 28px;
}
.first h2 {
  font-size: 1.45rem;
}
@media (max-width: 1150px) {
  .columns {
    grid-template-columns: minmax(0, 1fr) minmax(0, 350px);
  }
}
@media (max-width: 1000px) {
  .columns {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
