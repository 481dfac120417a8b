<script setup lang="ts">
import { LESSON_MINUTES, MOST_IN_LESSON, planLesson, saidAs, askedAs, type Step } from '../../../core/course/index'
import { attempt, capital, packOf } from '../../../core/door'
import type { Lesson } from '../../../shared/lessons'

/** Who comes, for how long and at which step each: the lesson is planned from it. */
const { first } = defineProps<{ first: readonly string[] }>()
const emit = defineEmits<{ planned: [lesson: Lesson, notes: readonly string[]] }>()
const classroom = useClassroom()
const courses = useCourses()
const { look, next, coming, trouble } = useStandings()

const kept = useLocalStorage('sett.lesson-minutes', 12)
const minutes = ref(Number(kept.value) || 12)
const now = new Date()
const day = ref(today())
const at = ref(`${String(now.getHours()).padStart(2, '0')}:${now.getMinutes() < 30 ? '00' : '30'}`)
const comes = ref<readonly string[]>(first.filter((id) => classroom.nameOf(id) !== ''))
/** Steps that were chosen instead of what is next. */
const chosen = ref<Readonly<Record<string, string>>>({})
watch(comes, (ids) => void look(ids), { immediate: true })
const stepOf = (id: string): Step => courses.stepOf(chosen.value[id] ?? '') ?? next(id) ?? courses.steps.at(-1)!
function toggle(id: string): void {
  comes.value = comes.value.includes(id) ? comes.value.filter((c) => c !== id) : [...comes.value, id]
}

const refused = ref('')
function plan(): void {
  refused.value = ''
  kept.value = minutes.value
  const learners = comes.value.map((id) => coming(id, stepOf(id)))
  const seed = crypto.getRandomValues(new Uint32Array(1))[0]! % 100_000
  const planned = attempt(() => planLesson({ learners, minutes: Number(minutes.value), seed }))
  if ('refused' in planned) {
    refused.value = planned.refused.message
    return
  }
  const { turns, notes, takes } = planned.ok
  const pack = packOf(classroom.words)
  const steps = [...new Map(learners.map((l) => [l.step.id, l.step])).values()]
  const words = steps
    .map((step) =>
      [
        ...(steps.length > 1 ? [`${step.title}:`] : []),
        ...step.say.map((t) => saidAs(t, pack)),
        ...step.ask.map((t) => `Ask: ${askedAs(t, pack)}`),
      ].join('\n'),
    )
    .join('\n\n')
  emit(
    'planned',
    {
      id: crypto.randomUUID(),
      day: day.value,
      at: at.value,
      minutes: Number(minutes.value),
      learners: [...comes.value],
      turns: [...turns],
      words,
      notes: {},
      version: 0,
    },
    [
      `It takes about ${takes} ${takes === 1 ? 'minute' : 'minutes'}.`,
      ...notes.filter((n) => !n.startsWith('It takes')),
    ],
  )
}
</script>

<template>
  <form class="planner" novalidate @submit.prevent="plan">
    <div class="when">
      <label>Day <input v-model="day" type="date" required /></label>
      <label>At <input v-model="at" type="time" required /></label>
      <label
        >Minutes <input v-model.number="minutes" type="number" :min="LESSON_MINUTES.least" :max="LESSON_MINUTES.most"
      /></label>
    </div>
    <fieldset>
      <legend>Who comes</legend>
      <p v-if="classroom.learners.length === 0" class="quiet">
        Nobody learns here yet. <NuxtLink to="/room">Add learners to the room</NuxtLink> first.
      </p>
      <div class="names">
        <label v-for="l in classroom.learners" :key="l.id" class="name">
          <input
            type="checkbox"
            :checked="comes.includes(l.id)"
            :disabled="comes.length >= MOST_IN_LESSON && !comes.includes(l.id)"
            @change="toggle(l.id)"
          />
          {{ l.codeName }}
        </label>
      </div>
    </fieldset>
    <fieldset v-if="comes.length">
      <legend>At which step</legend>
      <label v-for="id in comes" :key="id" class="at">
        <span class="who">{{ classroom.nameOf(id) }}</span>
        <select
          :value="stepOf(id).id"
          @change="chosen = { ...chosen, [id]: ($event.target as HTMLSelectElement).value }"
        >
          <option v-for="s in courses.steps" :key="s.id" :value="s.id">{{ capital(s.strand) }}: {{ s.title }}</option>
        </select>
      </label>
    </fieldset>
    <p v-if="refused || trouble" class="trouble" role="alert">{{ refused || trouble }}</p>
    <button type="submit" class="stone-button main" :disabled="comes.length === 0">Plan it</button>
  </form>
</template>

<style scoped>
.planner {
  display: grid;
  gap: 1rem;
  justify-items: start;
}
fieldset {
  margin: 0;
  padding: 0;
  border: 0;
  min-width: 0;
  display: grid;
  gap: 0.4rem;
}
legend {
  padding: 0;
  font-weight: 700;
}
.when,
.names {
  display: flex;
  flex-wrap: wrap;
  gap: 0.4rem 1.2rem;
}
.when label,
.at {
  display: inline-flex;
  flex-wrap: wrap;
  gap: 0.5rem;
  align-items: center;
}
.when input[type='number'] {
  width: 5rem;
}
.name {
  display: inline-flex;
  gap: 0.5rem;
  align-items: center;
  min-height: 44px;
  padding: 0 0.7rem;
  border: 1.5px solid var(--edge);
  border-radius: 4px;
  background: var(--sheet);
}
.who {
  min-width: 6rem;
  font-weight: 700;
}
select {
  max-width: 100%;
}
</style>
