<script setup lang="ts">
import { LESSON_MINUTES, MOST_IN_LESSON, planLesson, saidAs, askedAs, type Step } from '../../../../core/course/index'
import { attempt, capital, packOf } from '../../../../core/door'
import type { Lesson } from '../../../../shared/lessons'

/** Who comes, for how long and at which step each: the lesson is planned from it; one that is there already is planned anew, but for what was worked. */
const { first, lesson = null } = defineProps<{ first: readonly string[]; lesson?: Lesson | null }>()
const emit = defineEmits<{ planned: [lesson: Lesson, notes: readonly string[]] }>()
const classroom = useClassroom()
const courses = useCourses()
const { look, next, coming, trouble } = useStandings()

const kept = useLocalStorage('sett.lesson-minutes', 12)
const minutes = ref(lesson?.minutes ?? (Number(kept.value) || 12))
const proposed = nextLessonTime()
const day = ref(lesson?.day ?? proposed.day)
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
function plan(): void {
  refused.value = ''
  kept.value = minutes.value
  const without = comes.value.filter((id) => stepOf(id) === null)
  if (without.length > 0) {
    refused.value = `Choose a step for ${without.map((id) => classroom.nameOf(id)).join(' and ')}.`
    return
  }
  if (!lesson && `${day.value} ${at.value}` < `${today()} ${timeOf(Date.now())}`) {
    refused.value = 'That time has passed. Choose a later one.'
    return
  }
  const learners = comes.value.map((id) => coming(id, stepOf(id)!))
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
        Nobody learns here yet. <NuxtLink to="/settings">Add learners to the room</NuxtLink> first.
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
          :value="stepOf(id)?.id ?? ''"
          @change="chosen = { ...chosen, [id]: ($event.target as HTMLSelectElement).value }"
        >
          <option v-if="!stepOf(id)" value="" disabled>Choose a step</option>
          <option v-for="s in courses.steps" :key="s.id" :value="s.id">{{ capital(s.strand) }}: {{ s.title }}</option>
        </select>
      </label>
    </fieldset>
    <p v-if="refused || trouble" class="trouble" role="alert">{{ refused || trouble }}</p>
    <button type="submit" class="stone-button main" :disabled="comes.length === 0">
      {{ lesson ? 'Plan again' : 'Plan lesson' }}
    </button>
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
