<script setup lang="ts">
import { daysBetween } from '../../shared/days'
import { isToCheck, type Step } from '../../core/course/index'
import { attempt, capital } from '../../core/door'
import { planLesson } from '../../core/course/index'
import { goesOnAt, stateOf, type Lesson } from '../../shared/lessons'
import { request } from '../utils/request'

/** The first screen of a working day: who comes, what is next for each and why, and one key to begin. */
const classroom = useClassroom()
const courses = useCourses()
const session = useSession()
const { turnByTurn } = useSetToWork()
const { all, look, standings, next, known, coming: comingTo, trouble } = useStandings()
const failed = ref('')
const day = today()
const DAYS_AHEAD = 14
const lessons = shallowRef<readonly Lesson[]>([])
async function load(): Promise<void> {
  const to = today(DAYS_AHEAD)
  const [, found] = await Promise.all([courses.load(), request<Lesson[]>(`/api/lessons?from=${day}&to=${to}`)])
  lessons.value = found
}
try {
  await load()
} catch (error) {
  failed.value = (error as Error).message
}
const now = computed(() => lessons.value.filter((l) => l.day === day))
const later = computed(() => lessons.value.filter((l) => l.day !== day))
const ACTION = { planned: 'Begin', 'under way': 'Go on', done: 'Repeat' } as const
const isDone = (l: Lesson): boolean => stateOf(l) === 'done'
const stateIn = (l: Lesson): string =>
  stateOf(l) === 'under way'
    ? `, under way: ${l.turns.filter((t) => t.done).length} of ${l.turns.length}`
    : isDone(l)
      ? ', done'
      : ''

/** So many learners are looked after at once, those first who come today. */
const MOST = 12
const every = ref(false)
const coming = computed(() => {
  const ids = [...new Set(now.value.flatMap((l) => l.learners))]
  const others = classroom.learners.map((l) => l.id).filter((id) => !ids.includes(id))
  return [...ids.filter((id) => classroom.nameOf(id)), ...others]
})
const shown = computed(() => (every.value ? coming.value : coming.value.slice(0, MOST)))
watch([shown, () => courses.course.id], ([ids]) => void (ids.length && look(ids)), { immediate: true })

interface Row {
  readonly id: string
  readonly name: string
  readonly step: Step | null
  readonly why: string
  readonly checks: readonly Step[]
  readonly seen: string
}
const { titleOf } = courses
function seenText(at: string | null): string {
  if (!at) return 'not seen yet'
  const days = daysBetween(dayOf(at), day)
  return days <= 0 ? 'worked today' : days === 1 ? 'worked yesterday' : `worked ${days} days ago`
}
const rows = computed(() =>
  shown.value.map((id): Row => {
    const own = standings(id)
    const step = next(id)
    return {
      id,
      name: classroom.nameOf(id),
      step,
      why: step
        ? whyNext(
            step,
            own.find((s) => s.step === step.id)!,
            titleOf,
          )
        : known(id)
          ? 'Knows every step of the course.'
          : 'Find the step with a few questions, or choose it on the course.',
      checks: courses.steps
        .filter((s) =>
          isToCheck(
            own.find((o) => o.step === s.id)!,
            courses.steps,
            Date.now(),
          ),
        )
        .slice(0, 2),
      seen: seenText(all.value.get(id)?.seenAt ?? null),
    }
  }),
)
const ticked = ref<readonly string[]>([])
const tick = (id: string): void =>
  void (ticked.value = ticked.value.includes(id) ? ticked.value.filter((t) => t !== id) : [...ticked.value, id])

/** A few minutes with one learner, without a plan kept: shown, together, alone. */
async function begin(id: string, step: Step | null): Promise<void> {
  if (!step) return
  const seed = crypto.getRandomValues(new Uint32Array(1))[0]! % 100_000
  const planned = attempt(() =>
    planLesson({
      learners: [comingTo(id, step)],
      minutes: 8,
      seed,
    }),
  )
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
const beginLesson = async (lesson: Lesson): Promise<void> =>
  void (failed.value = await turnByTurn(turnsOf(lesson, goesOnAt(lesson))))
/** What the one key begins: the next lesson of today, else whoever stands first. */
const firstLesson = computed(() => now.value.find((l) => !isDone(l)))
const first = computed(() => (firstLesson.value ? null : (rows.value.find((r) => r.step) ?? null)))
const beginFirst = (): void =>
  void (firstLesson.value ? beginLesson(firstLesson.value) : first.value && begin(first.value.id, first.value.step))
useKeys({ b: beginFirst })

const namesOf = (l: Lesson): string => l.learners.map((id) => classroom.nameOf(id)).join(', ')
const stepsOf = (l: Lesson): string => [...new Set(l.turns.map((t) => titleOf(t.step)))].join('; ')
async function calendar(): Promise<void> {
  const text = await calendarOf(
    lessons.value.map((l) => ({
      ...l,
      names: l.learners.map((id) => classroom.nameOf(id)),
      steps: [...new Set(l.turns.map((t) => titleOf(t.step)))],
    })),
  )
  download('lessons.ics', text, 'text/calendar')
}
useHead({ title: 'Today – Sett' })
</script>

<template>
  <div class="place today">
    <header>
      <h1>{{ dayInWords(day) }}</h1>
      <div class="in-row">
        <button
          v-if="firstLesson || first"
          type="button"
          class="stone-button main big"
          aria-keyshortcuts="b"
          @click="beginFirst"
        >
          Begin with {{ firstLesson ? namesOf(firstLesson) : first!.name }} <kbd aria-hidden="true">B</kbd>
        </button>
        <NuxtLink
          v-if="session.may('teacher')"
          class="stone-button"
          :to="`/lesson/new${ticked.length ? `?learners=${ticked.join(',')}` : ''}`"
          >Plan a lesson{{ ticked.length ? ` for ${ticked.map(classroom.nameOf).join(', ')}` : '' }}</NuxtLink
        >
      </div>
    </header>
    <p v-if="failed || trouble" class="trouble" role="alert">{{ failed || trouble }}</p>
    <section v-if="now.length" aria-label="Lessons today">
      <h2>Lessons today</h2>
      <ol class="lessons">
        <li v-for="l in now" :key="l.id" :class="{ now: l.id === firstLesson?.id }">
          <span class="time">{{ l.at }}</span>
          <span class="who">{{ namesOf(l) }}</span>
          <span>{{ stepsOf(l) }}</span>
          <span class="quiet">{{ l.minutes }} minutes{{ stateIn(l) }}</span>
          <span class="in-row">
            <button type="button" class="stone-button" @click="beginLesson(l)">
              {{ ACTION[stateOf(l)] }}
            </button>
            <NuxtLink class="stone-button bare" :to="`/lesson/${l.id}`" :aria-label="`The lesson of ${namesOf(l)}`"
              >Look at it</NuxtLink
            >
          </span>
        </li>
      </ol>
    </section>
    <section aria-label="Who learns here">
      <h2>What is next</h2>
      <p v-if="rows.length === 0" class="quiet">
        Nobody learns here yet. <NuxtLink to="/room">Add learners to the room</NuxtLink>, and what is next for each
        stands here.
      </p>
      <ul class="rows">
        <li v-for="r in rows" :key="r.id">
          <label class="who"
            ><input
              type="checkbox"
              :checked="ticked.includes(r.id)"
              :aria-label="`${r.name} comes`"
              @change="tick(r.id)"
            />
            {{ r.name }}</label
          >
          <span class="step">
            <b>{{
              r.step ? `${capital(r.step.strand)}: ${r.step.title}` : known(r.id) ? 'All steps known' : 'No step yet'
            }}</b>
            <span class="quiet">{{ r.why }}</span>
            <span v-if="r.checks.length" class="again"
              >Look again at
              <button
                v-for="c in r.checks"
                :key="c.id"
                type="button"
                class="stone-button"
                :aria-label="`Look with ${r.name} again at ${c.title}`"
                @click="begin(r.id, c)"
              >
                {{ c.title }}
              </button></span
            >
          </span>
          <span class="quiet seen">{{ r.seen }}</span>
          <button
            v-if="r.step"
            type="button"
            class="stone-button"
            :aria-label="`Begin with ${r.name}`"
            @click="begin(r.id, r.step)"
          >
            Begin
          </button>
          <NuxtLink v-else-if="!known(r.id)" class="stone-button" to="/courses" @click="classroom.learnerId = r.id"
            >Find {{ r.name }}’s step</NuxtLink
          >
        </li>
      </ul>
      <button v-if="coming.length > MOST && !every" type="button" class="stone-button" @click="every = true">
        All {{ coming.length }}
      </button>
    </section>
    <section v-if="later.length" aria-label="Lessons to come">
      <h2>To come</h2>
      <ul class="lessons">
        <li v-for="l in later" :key="l.id" class="later">
          <span class="time">{{ dayInWords(l.day) }}, {{ l.at }}</span>
          <span class="who">{{ namesOf(l) }}</span>
          <span>{{ stepsOf(l) }}</span>
          <span class="quiet">{{ l.minutes }} minutes</span>
          <NuxtLink class="stone-button bare" :to="`/lesson/${l.id}`" :aria-label="`The lesson of ${namesOf(l)}`"
            >Look at it</NuxtLink
          >
        </li>
      </ul>
    </section>
    <button v-if="lessons.length" type="button" class="stone-button calendar" @click="calendar">
      All of them for the calendar
    </button>
  </div>
</template>

<style scoped>
.today {
  max-width: 72rem;
  gap: 1.2rem;
}
header {
  justify-content: space-between;
}
.today h1 {
  font-size: 1.6rem;
}
h2 {
  margin: 0 0 0.4rem;
  font-size: 1.1rem;
}
.big {
  font-size: 1.15rem;
}
kbd {
  padding: 0 0.45rem;
  border: 1.5px solid currentcolor;
  border-radius: 3px;
  font: inherit;
  font-size: 0.9em;
}
.lessons,
.rows {
  list-style: none;
  margin: 0;
  padding: 0;
  display: grid;
  gap: 6px;
}
.lessons li {
  display: grid;
  grid-template-columns: 4rem minmax(8rem, 11rem) minmax(0, 1fr) 7rem 11.5rem;
  gap: 0.3rem 1rem;
  align-items: center;
  padding: 0.35rem 0.9rem;
  background: var(--sheet);
  border: 1.5px solid var(--edge);
  border-radius: 3px;
}
.lessons li.later {
  grid-template-columns: 15rem minmax(8rem, 11rem) minmax(0, 1fr) 6rem 7rem;
}
.lessons li.now {
  border-left: 8px solid var(--clay);
}
.rows li {
  display: grid;
  grid-template-columns: 8rem minmax(0, 1fr) auto auto;
  gap: 0.3rem 1rem;
  align-items: center;
  padding: 0.35rem 0.9rem;
  background: var(--sheet);
  border: 1.5px solid var(--edge);
  border-radius: 3px;
}
.who {
  font-weight: 700;
}
.rows .who {
  display: flex;
  gap: 0.6rem;
  align-items: center;
  min-height: 44px;
}
.step {
  display: grid;
}
.again {
  display: flex;
  flex-wrap: wrap;
  gap: 0.4rem;
  align-items: center;
}
.calendar {
  justify-self: start;
}
@media (max-width: 760px) {
  .lessons li,
  .lessons li.later,
  .rows li {
    grid-template-columns: minmax(0, 1fr) auto;
  }
  .rows .step,
  .lessons li > :nth-child(3) {
    grid-column: 1 / -1;
  }
}
</style>
