<script setup lang="ts">
import { askedAs, MOVING_ON, saidAs, setProblems, type Step } from '../../../../core/course/index'
import { cellId, cellsFor } from '../../../../core/story/index'
import { askedName, groupOf } from '../../../utils/storyNames'
import { attempt, packOf, pretty, type RepresentationId } from '../../../../core/door'

/** One step: problems for just it, what it rests on, how it is shown and said, what to watch for, when to move on. */
const { step, had, told, said } = defineProps<{
  step: Step
  /** What the learner at the bench has had lately. */
  had: readonly string[]
  told: string
  /** Whether somebody said that the learner knows it, or does not know it yet. */
  said: boolean | null
}>()
const emit = defineEmits<{
  choose: [step: string]
  print: []
  /** Whether the learner knows this step; null takes back what was said. */
  say: [knows: boolean | null]
  sayStrand: [knows: boolean]
}>()
const session = useSession()
const classroom = useClassroom()
const courses = useCourses()
const { workThrough } = useSetToWork()
const pack = computed(() => packOf(classroom.words))
const trouble = ref('')
const seed = ref(1)
const COUNT = 8
const SOME = 4
const setOf = (without: readonly string[]): readonly string[] => {
  const found = attempt(() => setProblems({ step, count: COUNT, seed: seed.value, hardestLast: true, without }))
  return 'ok' in found ? found.ok : []
}
/** What has not been had lately; where too few are left, some that have been come again. */
const fresh = computed(() => setOf(had))
const problems = computed(() => [...fresh.value, ...setOf(fresh.value)].slice(0, COUNT))
const again = computed(() => problems.value.length - fresh.value.length)
const work = async (material?: RepresentationId): Promise<void> =>
  void (trouble.value = await workThrough(problems.value, material ? { material } : {}))
/** Kinds of story in which a problem of this step can be told: those that the step asks for, or else some that fit. */
const stories = computed(() => {
  const [problem] = problems.value
  if (problem === undefined) return []
  const fit = attempt(() => cellsFor(problem))
  const cells = 'ok' in fit ? fit.ok.filter((c) => !step.stories?.length || step.stories.includes(cellId(c))) : []
  return cells
    .slice(0, step.stories?.length ? cells.length : SOME)
    .map((c) => ({ id: cellId(c), problem, name: `${groupOf(c)}: ${askedName(c)}` }))
})
const names = useMistakeNames()
const moveOn = computed(() => step.moveOn ?? MOVING_ON)
</script>

<template>
  <section class="about" aria-label="The step">
    <h2>{{ step.title }}</h2>
    <p v-if="classroom.learner">{{ classroom.learner.codeName }}: {{ told }}.</p>
    <div
      v-if="classroom.learner && session.may('teacher')"
      class="in-row no-print"
      role="group"
      aria-label="What is known"
    >
      <button
        type="button"
        class="stone-button"
        :aria-pressed="said === true"
        @click="emit('say', said === true ? null : true)"
      >
        Knows this
      </button>
      <button
        type="button"
        class="stone-button"
        :aria-pressed="said === false"
        @click="emit('say', said === false ? null : false)"
      >
        Does not know this yet
      </button>
      <button type="button" class="stone-button bare" @click="emit('sayStrand', true)">
        Knows all of {{ step.strand }}
      </button>
      <button type="button" class="stone-button bare" @click="emit('sayStrand', false)">
        Knows none of {{ step.strand }} yet
      </button>
    </div>
    <ol class="learner problems" aria-label="Problems">
      <li v-for="p in problems" :key="p">{{ pretty(p) }}</li>
    </ol>
    <p v-if="again > 0 && had.length" class="quiet">
      {{ again === problems.length ? 'All of these' : `${again} of these` }} have been had lately: there are no others
      left.
    </p>
    <p v-if="trouble" class="trouble" role="alert">{{ trouble }}</p>
    <div class="in-row no-print">
      <button type="button" class="stone-button main" :disabled="problems.length === 0" @click="work()">
        Work them at the Bench
      </button>
      <button type="button" class="stone-button" @click="seed++">Others</button>
      <NuxtLink class="stone-button" :to="`/plan/problems?step=${step.id}`">Set more of them</NuxtLink>
      <button type="button" class="stone-button" @click="emit('print')">Print</button>
    </div>
    <dl>
      <dt>Rests on</dt>
      <dd>
        <template v-if="step.restsOn.length === 0">nothing before it</template>
        <button
          v-for="id in step.restsOn"
          :key="id"
          type="button"
          class="stone-button bare"
          @click="emit('choose', id)"
        >
          {{ courses.stepOf(id)?.title ?? id }}
        </button>
      </dd>
      <dt>Shown with</dt>
      <dd>
        <button v-for="m in step.materials" :key="m" type="button" class="stone-button" @click="work(m)">
          {{ nameOfMaterial(m) }}
        </button>
      </dd>
      <template v-if="stories.length">
        <dt>As stories</dt>
        <dd>
          <NuxtLink
            v-for="s in stories"
            :key="s.id"
            class="stone-button"
            :to="{ path: '/plan/stories', query: { problem: s.problem, cell: s.id } }"
            >{{ s.name }}</NuxtLink
          >
        </dd>
      </template>
      <dt>Say</dt>
      <dd>
        <ul>
          <li v-for="t in step.say" :key="t">{{ saidAs(t, pack) }}</li>
        </ul>
      </dd>
      <dt>Ask first</dt>
      <dd>
        <ul>
          <li v-for="t in step.ask" :key="t">{{ askedAs(t, pack) }}</li>
        </ul>
      </dd>
      <template v-if="step.usual.length">
        <dt>Watch for</dt>
        <dd>
          <ul>
            <li v-for="id in step.usual" :key="id">{{ names(id) }}</li>
          </ul>
        </dd>
      </template>
      <dt>Move on</dt>
      <dd>
        after {{ moveOn.sessions }} days running with {{ Math.round(100 * moveOn.share) }} of 100 right without help
        {{ step.moveOn ? '(as this course has it)' : '(common practice)' }}
      </dd>
      <template v-if="step.serves.length">
        <dt>Serves</dt>
        <dd class="quiet">{{ step.serves.join('; ') }}</dd>
      </template>
    </dl>
  </section>
</template>

<style scoped>
.about {
  padding: 0.9rem 1.1rem;
  background: var(--paper-2);
  border-left: 6px solid var(--clay);
  display: grid;
  gap: 0.7rem;
}
/* Beside a long map it stays in sight. */
@media screen and (min-width: 901px) {
  .about {
    position: sticky;
    top: 0.5rem;
    max-height: calc(100vh - 76px);
    overflow: auto;
  }
}
h2 {
  margin: 0 0 0.3rem;
  font-size: 1.3rem;
}
.about p {
  margin: 0;
}
.problems {
  columns: 9rem;
  margin: 0;
  padding: 0.6rem 0.6rem 0.6rem 2.4rem;
  background: var(--sheet);
  font-size: 1.25rem;
  line-height: 1.8;
}
dl {
  display: grid;
  grid-template-columns: 6.5rem minmax(0, 1fr);
  gap: 0.4rem 0.8rem;
  margin: 0;
  align-items: baseline;
}
dt {
  font-weight: 700;
}
dd {
  margin: 0;
  display: flex;
  flex-wrap: wrap;
  gap: 0.4rem;
  align-items: center;
}
dd ul {
  margin: 0;
  padding-left: 1.1rem;
}
</style>
