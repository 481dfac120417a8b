<script setup lang="ts">
import {
  laidSteps,
  MOVING_ON,
  nextStep,
  setProblems,
  standingsOf,
  stepById,
  STEPS,
  STRANDS,
  type Done,
  type Step,
  type StepStanding,
} from '../../core/course/index'
import { capital, pretty, type RepresentationId } from '../../core/door'
import type { RecordPage } from '../../shared/schemas'
import { request } from '../utils/request'

/** The steps as courses of laid stones: where a learner stands, what comes next and why, and problems for just this step. */
const classroom = useClassroom()
const { workThrough } = useSetToWork()
onMounted(() => void fetchAll().catch(() => undefined))

const done = shallowRef<readonly Done[]>([])
const trouble = ref('')
/** So many records are looked at, the latest ones. */
const MOST = 1000
watch(
  () => classroom.learnerId,
  async (learner) => {
    done.value = []
    if (!learner) return
    const found: Done[] = []
    try {
      for (let before: string | null = ''; before !== null && found.length < MOST;) {
        const page: RecordPage = await request(
          `/api/records?learner=${learner}&limit=200${before ? `&before=${encodeURIComponent(before)}` : ''}`,
        )
        found.push(
          ...page.records.map((r) => ({
            problem: r.problem,
            startedAt: r.startedAt,
            alone: r.right && r.help === 'independent',
          })),
        )
        before = page.next
      }
      if (learner === classroom.learnerId) done.value = found
    } catch (error) {
      trouble.value = (error as Error).message
    }
  },
  { immediate: true },
)
const standings = computed(() => new Map(standingsOf(STEPS, done.value).map((s) => [s.step, s])))
const standing = (id: string): StepStanding => standings.value.get(id)!
const next = computed(() => (classroom.learner ? nextStep(STEPS, [...standings.value.values()]) : null))
const chosenId = ref('')
const chosen = computed<Step>(() => stepById(chosenId.value) ?? next.value ?? STEPS[0]!)

/** How full a stone is: what came out right without help, of what was worked there. */
const full = (id: string): number => {
  const { worked, right, holds } = standing(id)
  return holds ? 100 : worked === 0 ? 0 : Math.round((100 * right) / worked)
}
const told = (id: string): string => {
  const { worked, right, days, holds } = standing(id)
  if (worked === 0) return 'not worked yet'
  return `${right} of ${worked} without help, on ${days} ${days === 1 ? 'day' : 'days'}${holds ? '; it holds' : ''}`
}
const laid = computed(() => laidSteps(STEPS, [...standings.value.values()]))
const ready = (step: Step): boolean => laid.value.has(step.id) || step.restsOn.every((id) => laid.value.has(id))
const why = computed(() => {
  const step = next.value
  if (!step) return ''
  const rests = step.restsOn.map((id) => stepById(id)!.title)
  const ground = rests.length === 0 ? 'it rests on nothing' : `what it rests on is laid (${rests.join(', ')})`
  return `${capital(ground)}; ${told(step.id)}.`
})

const placing = ref(false)
const seed = ref(1)
const COUNT = 8
const setOf = (without: readonly string[]): readonly string[] =>
  setProblems({ limits: chosen.value.limits, count: COUNT, seed: seed.value, hardestLast: true, without })
/** What has not been had lately; where too few are left, some that have been come again. */
const fresh = computed(() => setOf(done.value.slice(0, 200).map((d) => d.problem)))
const problems = computed(() => [...fresh.value, ...setOf(fresh.value)].slice(0, COUNT))
const again = computed(() => problems.value.length - fresh.value.length)
const work = async (material?: RepresentationId): Promise<void> =>
  void (trouble.value = await workThrough(problems.value, material ? { material } : {}))
const names = ref<Record<string, string>>({})
watch(
  () => chosen.value.usual,
  async (ids) => {
    const { procedureById } = await import('../../core/diagnose/index')
    names.value = Object.fromEntries(ids.map((id) => [id, procedureById(id)?.name ?? id]))
  },
  { immediate: true },
)
const print = (): void => window.print()
useHead({ title: 'Courses – Sett' })
</script>

<template>
  <div class="courses">
    <header>
      <h1>Courses</h1>
      <p v-if="next" class="next">
        Next for {{ classroom.learner!.codeName }}:
        <button type="button" class="stone-button main" @click="chosenId = next.id">{{ next.title }}</button>
        <span class="quiet">{{ why }}</span>
        <button type="button" class="stone-button" :aria-expanded="placing" @click="placing = !placing">
          Find where {{ classroom.learner!.codeName }} stands
        </button>
      </p>
      <p v-else-if="classroom.learner">Every step holds for {{ classroom.learner.codeName }}.</p>
      <p v-else class="quiet">
        Choose a learner at the top right, and their stones are filled from what they have worked.
      </p>
      <NuxtLink class="stone-button" to="/problems">Set problems by limits</NuxtLink>
    </header>
    <p v-if="trouble" class="trouble" role="alert">{{ trouble }}</p>
    <PlacingForm
      v-if="placing && classroom.learner"
      :key="classroom.learner.id"
      :learner="classroom.learner.id"
      :name="classroom.learner.codeName"
      @choose="(id) => (chosenId = id)"
    />
    <div class="two">
      <div class="map">
        <section v-for="strand in STRANDS" :key="strand" :aria-label="strand">
          <h2>{{ capital(strand) }}</h2>
          <ol>
            <li v-for="step in STEPS.filter((s) => s.strand === strand)" :key="step.id">
              <button
                type="button"
                class="step"
                :class="{ holds: standing(step.id).holds, ready: ready(step), now: chosen.id === step.id }"
                :aria-pressed="chosen.id === step.id"
                :aria-label="`${step.title}: ${told(step.id)}${next?.id === step.id ? '; next' : ''}`"
                @click="chosenId = step.id"
              >
                <span class="fill" :style="{ width: `${full(step.id)}%` }" />
                <span class="title">{{ step.title }}</span>
                <span class="sign" aria-hidden="true">{{
                  standing(step.id).holds ? '✓' : next?.id === step.id ? '▸' : ''
                }}</span>
              </button>
            </li>
          </ol>
        </section>
      </div>
      <section class="about" aria-label="The step">
        <h2>{{ chosen.title }}</h2>
        <p v-if="classroom.learner">{{ classroom.learner.codeName }}: {{ told(chosen.id) }}.</p>
        <ol class="learner problems" aria-label="Problems">
          <li v-for="p in problems" :key="p">{{ pretty(p) }}</li>
        </ol>
        <p v-if="again > 0 && done.length" class="quiet">
          {{ again === problems.length ? 'All of these' : `${again} of these` }} have been had lately: there are no
          others left.
        </p>
        <div class="row no-print">
          <button type="button" class="stone-button main" :disabled="problems.length === 0" @click="work()">
            Work them at the Bench
          </button>
          <button type="button" class="stone-button" @click="seed++">Others</button>
          <button type="button" class="stone-button" @click="print">Print</button>
        </div>
        <dl>
          <dt>Rests on</dt>
          <dd>
            <template v-if="chosen.restsOn.length === 0">nothing before it</template>
            <button
              v-for="id in chosen.restsOn"
              :key="id"
              type="button"
              class="stone-button bare"
              @click="chosenId = id"
            >
              {{ stepById(id)!.title }}
            </button>
          </dd>
          <dt>Shown with</dt>
          <dd>
            <button v-for="m in chosen.materials" :key="m" type="button" class="stone-button" @click="work(m)">
              {{ nameOfMaterial(m) }}
            </button>
          </dd>
          <dt>Watch for</dt>
          <dd>
            <ul>
              <li v-for="id in chosen.usual" :key="id">{{ names[id] ?? id }}</li>
            </ul>
          </dd>
          <dt>Move on</dt>
          <dd>
            after {{ MOVING_ON.sessions }} days running with {{ 100 * MOVING_ON.share }} of 100 right without help
            (common practice)
          </dd>
          <dt>Serves</dt>
          <dd class="quiet">{{ chosen.serves.join(', ') }} (from memory)</dd>
        </dl>
      </section>
    </div>
  </div>
</template>

<style scoped>
.courses {
  max-width: 86rem;
  margin: 0 auto;
  padding: 0.8rem 1.2rem 2rem;
  display: grid;
  gap: 0.9rem;
}
header {
  display: flex;
  flex-wrap: wrap;
  gap: 0.4rem 1.4rem;
  align-items: center;
}
h1 {
  margin: 0;
  font-size: 1.4rem;
}
.next {
  margin: 0;
  display: flex;
  flex-wrap: wrap;
  gap: 0.4rem 0.8rem;
  align-items: center;
}
.two {
  display: grid;
  grid-template-columns: minmax(0, 1.5fr) minmax(0, 1fr);
  gap: 1.6rem;
  align-items: start;
}
.map {
  display: grid;
  gap: 0.8rem;
}
.map h2,
.about h2 {
  margin: 0 0 0.3rem;
  font-size: 1.05rem;
}
.about h2 {
  font-size: 1.3rem;
}
.map ol {
  list-style: none;
  margin: 0;
  padding: 0;
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
}
.step {
  position: relative;
  min-height: 46px;
  padding: 0.3rem 0.8rem;
  border: 1.5px dashed var(--edge);
  border-radius: 3px;
  background: var(--sheet);
  color: var(--ink);
  font: inherit;
  cursor: pointer;
  overflow: hidden;
}
.step.ready,
.step.holds {
  border-style: solid;
}
.step.now {
  outline: 4px solid var(--clay);
  outline-offset: 1px;
}
.step:focus-visible {
  outline: 3px solid var(--focus);
  outline-offset: 2px;
}
.fill {
  position: absolute;
  inset: 0 auto 0 0;
  background: var(--moss-wash);
  border-right: 3px solid var(--moss);
}
.fill[style='width: 0%;'] {
  border: 0;
}
.title,
.sign {
  position: relative;
}
.sign {
  font-weight: 700;
  margin-left: 0.3rem;
}
.about {
  padding: 0.9rem 1.1rem;
  background: var(--paper-2);
  border-left: 6px solid var(--clay);
  display: grid;
  gap: 0.7rem;
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
.row {
  display: flex;
  flex-wrap: wrap;
  gap: 0.6rem;
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
.trouble {
  color: var(--plum);
  font-weight: 700;
}
@media (max-width: 900px) {
  .two {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
