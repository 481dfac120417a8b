<script setup lang="ts">
import { STRANDS, type Course, type CourseStep } from '../../../core/course/index'
import { capital } from '../../../core/door'
import { COURSE_FORMAT, courseFileSchema, MOST_COURSE_BYTES } from '../../../shared/courses'

/** A school's own courses: copied from one that there is, steps added, hidden, moved and changed, looked through, kept; files out and in. */
definePageMeta({ role: 'teacher' })
const courses = useCourses()
const { troubles, check } = useCourseCheck()
const { tell } = useNotice()
const failed = ref('')
try {
  await courses.load()
} catch (error) {
  failed.value = (error as Error).message
}

/** A course that is being changed, as it is not kept yet; it stays in this browser until it is. */
interface Draft {
  readonly course: Course
  readonly version: number
}
const drafts = useLocalStorage<Record<string, Draft>>('sett.courses', {})
const shownId = ref(courses.course.id)
const keptOne = computed(() => courses.own.find((c) => c.id === shownId.value))
/** What was kept by an earlier Sett, or by hand, may be no course at all. */
const draft = computed<Draft | undefined>(() => {
  const it = drafts.value[shownId.value]
  return Array.isArray(it?.course?.steps) && it.course.steps.length > 0 ? it : undefined
})
const course = computed<Course>(() => draft.value?.course ?? courses.byId(shownId.value) ?? courses.course)
const isOwn = computed(() => keptOne.value !== undefined || draft.value !== undefined)
const all = computed(() => {
  const more = Object.values(drafts.value).filter((d) => d?.course?.id && !courses.byId(d.course.id))
  return [
    ...courses.all.map((c) => ({ id: c.id, name: c.name })),
    ...more.map(({ course: c }) => ({ id: c.id, name: c.name })),
  ]
})
const plain = ({ id, name, about, steps }: Course): Course => ({ id, name, about, steps })
const formKey = ref(0)
/** How the course was before each change, in this window. */
const past = shallowRef<readonly Course[]>([])
watch(shownId, () => (past.value = []))
function takeBack(): void {
  const before = past.value.at(-1)
  past.value = past.value.slice(0, -1)
  if (before) put(before)
  // The form is made anew from what stands now.
  formKey.value++
}
function change(changed: Course): void {
  past.value = [...past.value.slice(-50), course.value]
  put(changed)
}
function put(changed: Course): void {
  const version = draft.value?.version ?? keptOne.value?.version ?? 0
  drafts.value = { ...drafts.value, [changed.id]: { course: plain(changed), version } }
}
watchDebounced(course, (now) => check(plain(now)), { debounce: 300, immediate: true })

const newId = (): string => `ours-${crypto.randomUUID().slice(0, 8)}`
function copy(from: Course, name = `${from.name}, ours`): void {
  const id = newId()
  drafts.value = { ...drafts.value, [id]: { course: { ...plain(from), id, name: name.slice(0, 60) }, version: 0 } }
  shownId.value = id
}
function discard(): void {
  past.value = []
  const { [shownId.value]: _, ...rest } = drafts.value
  drafts.value = rest
  if (!courses.byId(shownId.value)) shownId.value = courses.course.id
}
const removing = ref(false)
async function tried(work: () => Promise<void>): Promise<void> {
  failed.value = ''
  try {
    await work()
  } catch (error) {
    failed.value = (error as Error).message
  }
}
const keep = (): Promise<void> =>
  tried(async () => {
    const { course: changed, version } = draft.value!
    await courses.keep(changed, version)
    const { [changed.id]: _, ...rest } = drafts.value
    drafts.value = rest
    await tell('Kept', `${changed.name} is kept. The room takes it once it is chosen under Courses.`)
  })
const remove = (): Promise<void> =>
  tried(async () => {
    removing.value = false
    const { id } = course.value
    await courses.remove(id)
    const { [id]: _, ...rest } = drafts.value
    drafts.value = rest
    shownId.value = courses.course.id
  })

const chosenId = ref('')
const chosen = computed(() => course.value.steps.find((s) => s.id === chosenId.value))
const setSteps = (steps: readonly CourseStep[]): void => change({ ...course.value, steps })
const setStep = (step: CourseStep): void => setSteps(course.value.steps.map((s) => (s.id === step.id ? step : s)))
const ofStrand = (strand: string): readonly CourseStep[] => course.value.steps.filter((s) => s.strand === strand)
/** Exchanges a step with the one before it in its strand. */
function earlier(step: CourseStep): void {
  const own = ofStrand(step.strand)
  const before = own[own.indexOf(step) - 1]
  if (!before) return
  setSteps(course.value.steps.map((s) => (s === step ? before : s === before ? step : s)))
}
function add(): void {
  const model = chosen.value ?? course.value.steps[0]!
  const id = `step-${crypto.randomUUID().slice(0, 8)}`
  const { hidden: _, ...rest } = model
  const step: CourseStep = { ...rest, id, title: `${model.title}, and more`.slice(0, 80), restsOn: [model.id] }
  const at = course.value.steps.indexOf(model) + 1
  setSteps([...course.value.steps.slice(0, at), step, ...course.value.steps.slice(at)])
  chosenId.value = id
}
/** A step of the school's own may go for good; those that come with Sett are hidden. */
const takeOut = (step: CourseStep): void =>
  setSteps(
    course.value.steps
      .filter((s) => s.id !== step.id)
      .map((s) => ({ ...s, restsOn: [...new Set(s.restsOn.flatMap((id) => (id === step.id ? step.restsOn : [id])))] })),
  )

const asFile = (): void =>
  download(
    `${course.value.name.replace(/[^\p{L}\p{N}]+/gu, '-').toLowerCase()}.json`,
    JSON.stringify({ format: COURSE_FORMAT, version: 1, course: plain(course.value) }, null, 2),
    'application/json',
  )
async function take(input: HTMLInputElement): Promise<void> {
  const file = input.files?.[0]
  input.value = ''
  if (!file) return
  failed.value = ''
  if (file.size > MOST_COURSE_BYTES) {
    failed.value = `“${file.name}” is larger than any course: ${Math.ceil(file.size / 1000)} kB.`
    return
  }
  let json: unknown
  try {
    json = JSON.parse(await file.text())
  } catch {
    failed.value = `“${file.name}” could not be read: it is no JSON.`
    return
  }
  const read = courseFileSchema.safeParse(json)
  if (!read.success) {
    const [issue] = read.error.issues
    failed.value = `“${file.name}” could not be read: ${issue!.message} (${issue!.path.join(' › ') || 'at the top'})`
    return
  }
  copy(read.data.course as Course, read.data.course.name)
}
useHead({ title: 'A school’s courses – Sett' })
</script>

<template>
  <div class="place">
    <header>
      <h1>A school’s courses</h1>
      <label
        >Course
        <select v-model="shownId">
          <option v-for="c in all" :key="c.id" :value="c.id">{{ c.name }}</option>
        </select></label
      >
      <div class="in-row">
        <button
          v-if="draft"
          type="button"
          class="stone-button main"
          :disabled="troubles === null || troubles.length > 0"
          @click="keep"
        >
          Keep it
        </button>
        <button v-if="past.length" type="button" class="stone-button" @click="takeBack">
          Take the last change back
        </button>
        <button v-if="draft" type="button" class="stone-button" @click="discard">Discard what I changed</button>
        <button type="button" class="stone-button" @click="copy(course)">Copy</button>
        <button type="button" class="stone-button" @click="asFile">To a file</button>
        <label class="stone-button file"
          >From a file
          <input
            type="file"
            accept=".json,application/json"
            class="sr-only"
            @change="take($event.target as HTMLInputElement)"
          />
        </label>
        <template v-if="keptOne">
          <button v-if="!removing" type="button" class="stone-button bare" @click="removing = true">Remove</button>
          <template v-else>
            <button type="button" class="stone-button main" @click="remove">Remove {{ keptOne.name }}</button>
            <button type="button" class="stone-button bare" @click="removing = false">Leave it</button>
          </template>
        </template>
        <NuxtLink class="stone-button bare" to="/plan/steps">Back to the map</NuxtLink>
      </div>
    </header>
    <p v-if="failed" class="trouble" role="alert">{{ failed }}</p>
    <p v-if="!isOwn" class="quiet">This course comes with Sett. Copy it, and change the copy.</p>
    <div class="found" role="status">
      <p v-if="troubles === null" class="quiet">Looking it through …</p>
      <p v-else-if="troubles.length === 0" class="quiet">Nothing is wrong with it.</p>
      <ul v-else>
        <li v-for="t in troubles" :key="t.says">
          {{ t.says }}
          <button v-if="t.step" type="button" class="stone-button bare" @click="chosenId = t.step">
            Go to that step
          </button>
        </li>
      </ul>
    </div>
    <div class="two">
      <div class="steps">
        <label
          >Name
          <input
            :value="course.name"
            type="text"
            maxlength="60"
            :disabled="!isOwn"
            @change="change({ ...course, name: ($event.target as HTMLInputElement).value.trim() || course.name })"
        /></label>
        <label
          >What is said of it
          <textarea
            :value="course.about"
            rows="2"
            maxlength="300"
            :disabled="!isOwn"
            @change="change({ ...course, about: ($event.target as HTMLTextAreaElement).value.trim() })"
          />
        </label>
        <button type="button" class="stone-button" :disabled="!isOwn" @click="add">
          Add a step {{ chosen ? `after “${chosen.title}”` : '' }}
        </button>
        <section v-for="strand in STRANDS" :key="strand" :aria-label="strand">
          <h2>{{ capital(strand) }}</h2>
          <ol>
            <li v-for="(s, i) in ofStrand(strand)" :key="s.id" :class="{ hidden: s.hidden }">
              <button
                type="button"
                class="stone-button title"
                :aria-pressed="chosenId === s.id"
                @click="chosenId = s.id"
              >
                {{ s.title }}
              </button>
              <button
                type="button"
                class="stone-button bare"
                :aria-label="`${s.title}: earlier`"
                :disabled="!isOwn || i === 0"
                @click="earlier(s)"
              >
                ↑
              </button>
              <button
                type="button"
                class="stone-button bare"
                :aria-label="`${s.title}: ${s.hidden ? 'show' : 'hide'}`"
                :disabled="!isOwn"
                @click="setStep({ ...s, hidden: !s.hidden })"
              >
                {{ s.hidden ? 'Show' : 'Hide' }}
              </button>
              <button
                v-if="s.id.startsWith('step-')"
                type="button"
                class="stone-button bare"
                :aria-label="`${s.title}: take out`"
                @click="takeOut(s)"
              >
                ×
              </button>
            </li>
          </ol>
        </section>
      </div>
      <fieldset class="one" :disabled="!isOwn">
        <StepForm
          v-if="chosen"
          :key="`${course.id} ${chosen.id} ${formKey}`"
          :model-value="chosen"
          :others="course.steps.filter((s) => s.id !== chosenId)"
          @update:model-value="setStep"
        />
        <p v-else class="quiet">
          Choose a step, and what is asked of its problems, what it rests on and how it is shown stand here.
        </p>
      </fieldset>
    </div>
  </div>
</template>

<style scoped>
header > label {
  display: inline-flex;
  gap: 0.5rem;
  align-items: center;
}
h2 {
  margin: 0.6rem 0 0.3rem;
  font-size: 1.05rem;
}
.found ul {
  margin: 0;
  padding: 0.4rem 1rem 0.4rem 2rem;
  border-left: 6px solid var(--plum);
  background: var(--plum-wash);
}
.found p {
  margin: 0;
}
.two {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
  gap: 1.6rem;
  align-items: start;
}
.steps {
  display: grid;
  gap: 0.6rem;
  justify-items: start;
}
.steps > label {
  display: grid;
  gap: 0.2rem;
  width: 100%;
}
.steps section {
  width: 100%;
}
ol {
  list-style: none;
  margin: 0;
  padding: 0;
  display: grid;
  gap: 4px;
}
li {
  display: flex;
  gap: 4px;
}
.found li {
  display: list-item;
}
.title {
  flex: 1;
  justify-content: flex-start;
  white-space: normal;
  text-align: left;
}
.hidden .title {
  border-style: dashed;
  color: var(--ink-soft);
}
.one {
  margin: 0;
  min-width: 0;
  border: 0;
  padding: 0.9rem 1.1rem;
  background: var(--paper-2);
  border-left: 6px solid var(--clay);
}
/* Steps and the one that is changed stay beside each other. */
@media (min-width: 901px) {
  .steps {
    position: sticky;
    top: 0.5rem;
    max-height: calc(100vh - 76px);
    overflow: auto;
    padding: 4px;
  }
}
@media (max-width: 900px) {
  .two {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
