<script setup lang="ts">
import { saidAs, strandOf, type Placed, type Step } from '../../../core/course/index'
import { capital, packOf } from '../../../core/door'
import type { TellSteps } from '../../../shared/courses'
import type { Stone } from '../../components/plan/steps/StepMap.vue'

/** The room's course as laid stones: where a learner stands, what comes next and why, and problems for just this step. */
const classroom = useClassroom()
const courses = useCourses()
const session = useSession()
const { all, look, standings, next: nextOf, known: isKnownOf, tell, laid: laidOf, trouble } = useStandings()
const { trouble: failed, tried } = useTrouble()
await tried(() => courses.load())
watch(
  () => [classroom.learnerId, courses.course.id] as const,
  ([learner]) => void (learner && look([learner])),
  { immediate: true },
)

const of = computed(() => new Map(standings(classroom.learnerId).map((s) => [s.step, s])))
const next = computed(() => (classroom.learner ? nextOf(classroom.learner.id) : null))
const isKnown = computed(() => classroom.learner !== null && isKnownOf(classroom.learner.id))
/** The step that was worked last, near which a placement asks first. */
const near = computed(
  () => standings(classroom.learnerId).reduce((a, b) => ((b.last ?? '') > (a.last ?? '') ? b : a)).step,
)
/** What was said last of the learner's steps, and what takes it back. */
const said = shallowRef<{ readonly what: string; readonly undo: () => Promise<void> } | null>(null)
watch(
  () => classroom.learnerId,
  () => (said.value = null),
)
async function say(what: string, told: TellSteps, placed = false): Promise<void> {
  const { id } = classroom.learner!
  await tried(async () => void (said.value = { what, undo: await tell(id, told, placed) }))
}
async function takeBack(): Promise<void> {
  const { undo } = said.value!
  await tried(async () => {
    await undo()
    said.value = null
  })
}
async function accept(told: TellSteps): Promise<void> {
  placing.value = false
  chosenId.value = ''
  await say(`${classroom.learner!.codeName}’s step is set from these answers.`, told, true)
}
const sayOfStep = (knows: boolean | null): Promise<void> =>
  say(
    knows === null
      ? 'What was said of this step is taken back.'
      : `Noted: ${chosen.value.title} is ${knows ? 'known' : 'not known yet'}.`,
    [{ step: chosen.value.id, knows }],
  )
const sayOfStrand = (knows: boolean): Promise<void> =>
  say(
    `Noted: ${capital(chosen.value.strand)} is ${knows ? 'known' : 'not known yet'}.`,
    strandOf(courses.steps, chosen.value.strand).map((s) => ({ step: s.id, knows })),
  )
const laid = computed(() => laidOf(classroom.learnerId))
const route = useRoute()
const chosenId = ref('')
/** A step that the address names, as Find does, also while the map is open. */
watch(
  () => route.query.step,
  (step) => void (typeof step === 'string' && (chosenId.value = step)),
  { immediate: true },
)
const chosen = computed<Step>(() => courses.stepOf(chosenId.value) ?? next.value ?? courses.steps[0]!)
const choose = (id: string): void => void (chosenId.value = id)
const had = computed(() => all.value.get(classroom.learnerId ?? '')?.had ?? [])

/** What of the map is to be seen. */
const SHOWN = { all: 'All steps', open: 'Next and begun', laid: 'Laid', ahead: 'Not laid yet' } as const
const kept = useLocalStorage('sett.map', { size: 1, shown: 'all' as keyof typeof SHOWN })
const sought = ref('')
const SIZES = [0.85, 1, 1.2, 1.5] as const
const size = computed(() => SIZES.find((s) => s === kept.value.size) ?? 1)
const zoom = (by: number): void =>
  void (kept.value.size = SIZES[Math.min(SIZES.length - 1, Math.max(0, SIZES.indexOf(size.value) + by))]!)
const pack = computed(() => packOf(classroom.words))
/** Everything of a step that one may look for. */
const textOf = (s: Step): string =>
  [s.title, s.strand, ...s.serves, ...s.materials.map(nameOfMaterial), ...s.say.map((t) => saidAs(t, pack.value))]
    .join(' ')
    .toLowerCase()
const stones = computed(() =>
  courses.steps.flatMap((step): Stone[] => {
    const standing = of.value.get(step.id)!
    const { worked, right, holds } = standing
    const isNext = next.value?.id === step.id
    const isLaid = laid.value.has(step.id)
    const isSeen = { all: true, open: isNext || (worked > 0 && !holds), laid: isLaid, ahead: !isLaid }[kept.value.shown]
    if (isSeen === false || !textOf(step).includes(sought.value.trim().toLowerCase())) return []
    const full = holds ? 100 : worked === 0 ? 0 : Math.round((100 * right) / worked)
    const ready = isLaid || step.restsOn.every((id) => laid.value.has(id))
    return [
      {
        step,
        full,
        holds,
        ready,
        laid: isLaid,
        next: isNext,
        told: isLaid && !standing.told && worked === 0 ? 'assumed secure, not worked yet' : standingTold(standing),
      },
    ]
  }),
)
const { titleOf } = courses
const why = computed(() => (next.value ? whyNext(next.value, of.value.get(next.value.id)!, titleOf) : ''))

const placing = ref(false)
const earlier = shallowRef<readonly Placed[]>([])
watch(
  () => [placing.value, classroom.learnerId, all.value] as const,
  async ([open, learner, found]) => {
    earlier.value = []
    if (!open || !learner) return
    const placed = await placedFrom(found.get(learner)?.marked ?? [])
    if (learner === classroom.learnerId) earlier.value = placed
  },
)
/** What of the page goes on paper. */
const paper = ref<'map' | 'problems'>('problems')
async function print(what: 'map' | 'problems'): Promise<void> {
  paper.value = what
  await nextTick()
  window.print()
}
useHead({ title: 'Courses – Sett' })
</script>

<template>
  <div class="courses" :class="`paper-${paper}`">
    <header>
      <h1>Courses</h1>
      <div class="in-row no-print">
        <button
          v-if="classroom.learner"
          type="button"
          class="stone-button"
          :aria-expanded="placing"
          @click="placing = !placing"
        >
          Find where {{ classroom.learner.codeName }} stands
        </button>
        <NuxtLink v-if="session.may('teacher')" class="stone-button" to="/plan/lessons/new">Plan a lesson</NuxtLink>
        <NuxtLink class="stone-button" to="/plan/problems">Set problems by limits</NuxtLink>
      </div>
      <p v-if="next" class="next">
        Next for {{ classroom.learner!.codeName }}:
        <button type="button" class="stone-button main" @click="choose(next.id)">{{ next.title }}</button>
        <span class="quiet">{{ why }}</span>
      </p>
      <p v-else-if="classroom.learner && !isKnown">
        {{ classroom.learner.codeName }} has no step yet. Find it with a few questions, or say of a step below whether
        it is known.
      </p>
      <p v-else-if="classroom.learner">{{ classroom.learner.codeName }} knows every step of this course.</p>
      <p v-else class="quiet">
        Choose a learner at the top right, and their stones are filled from what they have worked.
      </p>
    </header>
    <p v-if="failed || trouble" class="trouble" role="alert">{{ failed || trouble }}</p>
    <p v-if="said" class="in-row" role="status">
      {{ said.what }}
      <button type="button" class="stone-button" @click="takeBack">Undo</button>
    </p>
    <PlacingForm
      v-if="placing && classroom.learner"
      :key="classroom.learner.id"
      :learner="classroom.learner.id"
      :name="classroom.learner.codeName"
      :steps="courses.steps"
      :earlier="earlier"
      :near="isKnown ? near : null"
      @accept="accept"
      @choose="choose"
    />
    <div class="bar no-print" role="group" aria-label="The map">
      <label
        >The room’s course
        <select
          :value="courses.course.id"
          :disabled="!session.may('teacher')"
          @change="(e) => tried(() => courses.choose((e.target as HTMLSelectElement).value))"
        >
          <option v-for="c in courses.all" :key="c.id" :value="c.id">{{ c.name }}</option>
        </select></label
      >
      <NuxtLink v-if="session.may('teacher')" class="stone-button" to="/plan/courses">Change courses</NuxtLink>
      <label
        >Show
        <select v-model="kept.shown">
          <option v-for="(name, id) in SHOWN" :key="id" :value="id">{{ name }}</option>
        </select></label
      >
      <label>Look for <input v-model="sought" type="search" maxlength="40" /></label>
      <button
        type="button"
        class="stone-button"
        aria-label="Smaller stones"
        :disabled="size === SIZES[0]"
        @click="zoom(-1)"
      >
        −
      </button>
      <button
        type="button"
        class="stone-button"
        aria-label="Larger stones"
        :disabled="size === SIZES.at(-1)"
        @click="zoom(1)"
      >
        +
      </button>
      <button type="button" class="stone-button" @click="print('map')">Print the map</button>
    </div>
    <p class="quiet about-course">{{ courses.course.about }}</p>
    <div class="two">
      <StepMap
        :model-value="chosen.id"
        :stones="stones"
        :size="size"
        :filled="classroom.learner !== null"
        @update:model-value="choose"
      />
      <StepDetails
        :step="chosen"
        :had="had"
        :told="standingTold(of.get(chosen.id) ?? standings(null)[0]!)"
        :said="of.get(chosen.id)?.told?.knows ?? null"
        @choose="choose"
        @print="print('problems')"
        @say="sayOfStep"
        @say-strand="sayOfStrand"
      />
    </div>
  </div>
</template>

<style scoped>
.courses {
  max-width: 86rem;
  margin: 0 auto;
  padding: 0.8rem clamp(0.5rem, 2vw, 1.2rem) 2rem;
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  /* What is only for ears stands a little beyond the map. */
  overflow-x: clip;
  gap: 0.9rem;
}
header,
.next,
.bar {
  display: flex;
  flex-wrap: wrap;
  gap: 0.4rem 0.8rem;
  align-items: center;
}
header {
  column-gap: 1.4rem;
}
header > p {
  width: 100%;
}
h1 {
  margin: 0;
  font-size: 1.4rem;
}
.next,
.about-course {
  margin: 0;
}
.bar label {
  display: inline-flex;
  gap: 0.4rem;
  align-items: center;
}
.bar input {
  width: 9rem;
}
.two {
  display: grid;
  grid-template-columns: minmax(0, 1.5fr) minmax(0, 1fr);
  gap: 1.6rem;
  align-items: start;
}
@media (max-width: 900px) {
  .two {
    grid-template-columns: minmax(0, 1fr);
  }
}
@media print {
  .two {
    grid-template-columns: minmax(0, 1fr);
  }
  .paper-map :deep(.about),
  .paper-problems :deep(.map) {
    display: none;
  }
}
</style>
