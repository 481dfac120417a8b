<script setup lang="ts">
import { goesOnAt, stateOf, type Lesson } from '../../../../shared/lessons'
import type { RecordSummary } from '../../../../shared/listing'
import { request } from '../../../utils/request'

/** One lesson: planned here, changed, printed, begun at the Bench turn by turn, and looked at afterwards. What is changed is kept by itself. */
definePageMeta({ key: 'lesson' })
const route = useRoute()
const id = computed(() => String(route.params.id))
const classroom = useClassroom()
const courses = useCourses()
const session = useSession()
const bench = useBench()
const { turnByTurn } = useSetToWork()
const lesson = shallowRef<Lesson | null>(null)
const worked = shallowRef<readonly (RecordSummary | null)[]>([])
const notes = ref<readonly string[]>([])
const { trouble, tried } = useTrouble()
const status = ref('')
const mayChange = computed(() => session.may('teacher'))

/** What was changed here when somebody else had changed the lesson already: it may still take the place of theirs. */
const overtaken = shallowRef<Lesson | null>(null)
/** What is not kept yet stays in this browser, so that nothing is lost where the server is away. */
const unsaved = useLocalStorage<Record<string, Lesson>>('sett.lessons', {})
async function open(): Promise<void> {
  lesson.value = null
  await courses.load()
  if (id.value === 'new') return
  const mine = unsaved.value[id.value]
  const there = await request<Lesson>(`/api/lessons/${id.value}`).catch((error: Error) => {
    if (mine) return null
    throw error
  })
  const isWhole = mine && Array.isArray(mine.turns) && Array.isArray(mine.learners)
  const isNewer = isWhole && mine.version >= (there?.version ?? 0)
  lesson.value = isNewer ? mine : there
  overtaken.value = isWhole && !isNewer ? mine : null
  if (isNewer) await keep()
  if (lesson.value) worked.value = await workedIn(lesson.value)
}
await tried(open)

let keeping: Promise<void> = Promise.resolve()
/** Keeps what stands now, after what is being kept: each change is made from the version before it. */
function keep(): Promise<void> {
  keeping = keeping.then(() =>
    tried(async () => {
      const now = lesson.value
      if (!now || !unsaved.value[now.id]) return
      const kept = await request<Lesson>(`/api/lessons/${now.id}`, { method: 'PUT', body: now })
      // What was changed in the meantime is kept next, from this version.
      lesson.value = lesson.value === now ? kept : { ...lesson.value!, version: kept.version }
      if (lesson.value === kept) {
        const { [now.id]: _, ...rest } = unsaved.value
        unsaved.value = rest
        status.value = 'Kept.'
      } else unsaved.value = { ...unsaved.value, [now.id]: lesson.value }
    }),
  )
  return keeping
}
const keepSoon = useDebounceFn(keep, 600)
function change(now: Lesson): void {
  lesson.value = now
  unsaved.value = { ...unsaved.value, [now.id]: now }
  status.value = 'Not kept yet …'
  void keepSoon()
}
function takeMine(): void {
  const mine = overtaken.value
  overtaken.value = null
  if (mine && lesson.value) change({ ...mine, version: lesson.value.version })
}
function letGo(): void {
  overtaken.value = null
  const { [id.value]: _, ...rest } = unsaved.value
  unsaved.value = rest
}
async function planned(plan: Lesson, told: readonly string[]): Promise<void> {
  notes.value = told
  lesson.value = plan
  unsaved.value = { ...unsaved.value, [plan.id]: plan }
  await keep()
  if (!trouble.value) await navigateTo(`/plan/lessons/${plan.id}`, { replace: true })
}
watch(id, async (now) => {
  if (now !== lesson.value?.id) await tried(open)
})
async function begin(from: number): Promise<void> {
  await keep()
  const refused = await turnByTurn(turnsOf(lesson.value!, from))
  if (refused) trouble.value = refused
}
/** Planned anew from who comes, at which steps, and for how long; what was worked stays. */
const replanning = ref(false)
function replanned(plan: Lesson, told: readonly string[]): void {
  replanning.value = false
  notes.value = told
  change(plan)
}
const goesOn = computed(() => (lesson.value ? goesOnAt(lesson.value) : 0))
const removing = ref(false)
async function remove(): Promise<void> {
  await tried(async () => {
    const { [id.value]: _, ...rest } = unsaved.value
    unsaved.value = rest
    await request(`/api/lessons/${id.value}`, { method: 'DELETE' })
    if (bench.lesson === id.value) bench.endQueue()
    await navigateTo('/today')
  })
}
const names = computed(() => (lesson.value?.learners ?? []).map((l) => classroom.nameOf(l)))
async function calendar(): Promise<void> {
  const { id: uid, day, at, minutes, version, turns } = lesson.value!
  const steps = [...new Set(turns.map((t) => t.step))].map((s) => courses.stepOf(s)?.title ?? s)
  download(
    `lesson-${day}.ics`,
    await calendarOf([{ id: uid, day, at, minutes, version, names: names.value, steps }]),
    'text/calendar',
  )
}
useHead({ title: () => (lesson.value ? `Lesson, ${dayInWords(lesson.value.day)} – Sett` : 'Plan a lesson – Sett') })
</script>

<template>
  <div class="place">
    <header>
      <template v-if="lesson">
        <h1>{{ names.join(', ') }}</h1>
        <p class="when">
          {{ dayInWords(lesson.day) }}, {{ lesson.at }}, {{ lesson.minutes }} minutes, {{ stateOf(lesson) }}
        </p>
        <p class="quiet" role="status">{{ status }}</p>
      </template>
      <h1 v-else>Plan a lesson</h1>
    </header>
    <p v-if="trouble" class="trouble" role="alert">{{ trouble }}</p>
    <div v-if="overtaken" class="in-row no-print" role="status">
      <p class="note">You had changed this lesson here after somebody else did.</p>
      <button type="button" class="stone-button" @click="takeMine">Take mine instead</button>
      <button type="button" class="stone-button bare" @click="letGo">Leave theirs</button>
    </div>
    <LessonPlanner
      v-if="id === 'new' && !lesson"
      :first="String(route.query.learners ?? '').split(',')"
      @planned="planned"
    />
    <template v-else-if="lesson">
      <div class="in-row no-print">
        <button type="button" class="stone-button main" @click="begin(goesOn)">
          {{ stateOf(lesson) === 'under way' ? 'Go on at the Bench' : 'Begin at the Bench' }}
        </button>
        <button v-if="stateOf(lesson) === 'under way'" type="button" class="stone-button" @click="begin(0)">
          From the beginning
        </button>
        <NuxtLink class="stone-button" :to="`/plan/print?lesson=${lesson.id}`">Print</NuxtLink>
        <NuxtLink class="stone-button" :to="`/plan/materials?lesson=${lesson.id}`">Count the pieces</NuxtLink>
        <button type="button" class="stone-button" @click="calendar">For the calendar</button>
        <template v-if="mayChange">
          <label class="inline"
            >Day
            <input
              type="date"
              :value="lesson.day"
              @change="
                ($event.target as HTMLInputElement).value &&
                change({ ...lesson!, day: ($event.target as HTMLInputElement).value })
              "
          /></label>
          <label class="inline"
            >At
            <input
              type="time"
              :value="lesson.at"
              @change="
                ($event.target as HTMLInputElement).value &&
                change({ ...lesson!, at: ($event.target as HTMLInputElement).value })
              "
          /></label>
          <button type="button" class="stone-button" :aria-expanded="replanning" @click="replanning = !replanning">
            Change learners, steps or minutes
          </button>
          <NuxtLink class="stone-button bare" :to="`/plan/lessons/new?learners=${lesson.learners.join(',')}`"
            >Plan another for them</NuxtLink
          >
          <button v-if="!removing" type="button" class="stone-button bare" @click="removing = true">Remove</button>
          <template v-else>
            <button type="button" class="stone-button main" @click="remove">Remove this lesson</button>
            <button type="button" class="stone-button bare" @click="removing = false">Leave it</button>
          </template>
        </template>
      </div>
      <LessonPlanner v-if="replanning" class="no-print" :first="[]" :lesson="lesson" @planned="replanned" />
      <p v-for="n in notes" :key="n" class="quiet no-print note">{{ n }}</p>
      <fieldset class="bare-set" :disabled="!mayChange">
        <LessonSheet :model-value="lesson" :worked="worked" @update:model-value="change" />
      </fieldset>
    </template>
  </div>
</template>

<style scoped>
header p,
.note {
  margin: 0;
}
.inline {
  display: inline-flex;
  gap: 0.4rem;
  align-items: center;
}
.bare-set {
  margin: 0;
  padding: 0;
  border: 0;
  min-width: 0;
}
</style>
