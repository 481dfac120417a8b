<script setup lang="ts">
import { capital, isRepresentation, REPRESENTATIONS } from '../../../core/door'
import type { KeptGoal, KeptRules, TriedAt } from '../../../shared/progress'

/** What changed: one learner’s sessions as a chart with its table and a sentence, their goal, and what the figures suggest. */
const classroom = useClassroom()
const session = useSession()
const courses = useCourses()
const names = useMistakeNames()
const learner = ref(classroom.learnerId)
const p = useProgress()
const route = useRoute()
const { step: askedStep } = route.query
/** The learner that the address names, as Find does, also while the page is open. */
watch(
  () => route.query.learner,
  (asked) => void (classroom.learners.some((l) => l.id === asked) && (learner.value = asked as string)),
  { immediate: true },
)
if (typeof askedStep === 'string') p.step.value = askedStep
await courses.load().catch(() => undefined)
await Promise.all([p.loadRules(), p.load(learner.value)])
// A link may name a step that this learner never tried.
if (p.step.value !== '' && !p.known.value.steps.includes(p.step.value)) {
  p.step.value = ''
  await p.load(learner.value)
}
watch([learner, p.step, p.at], () => void p.load(learner.value))
const { titleOf } = courses
watch(learner, () => (p.step.value = p.at.value = ''))
const PLACES: Readonly<Record<TriedAt, string>> = {
  bench: 'the Bench',
  stories: 'Stories',
  table: 'the table',
  marking: 'marked pages',
  rehearsing: 'Rehearse',
}
const measure = ref<'share' | 'rate'>('share')
const timed = computed(() => p.sessions.value.some((s) => s.perMinute !== null))
const words = reactive<Record<string, string>>({})
const said = ref('')
/** Does something that the server may refuse; what it came to is said. */
async function tell(work: () => Promise<unknown>, done: string): Promise<void> {
  try {
    await work()
    said.value = done
  } catch (error) {
    said.value = (error as Error).message
  }
}
type Answer = 'accepted' | 'later' | 'refused'
const decide = (s: (typeof p.suggestions.value)[number], answer: Answer): Promise<void> =>
  tell(
    async () => learner.value && p.decide(learner.value, s, answer, (words[s.kind] ?? '').trim()),
    'Your decision is kept.',
  )
const DECIDED = { accepted: 'Taken up', later: 'Put off', refused: 'Not taken up' }
const HELP: Readonly<Record<string, string>> = {
  independent: 'right without help',
  pointed: 'right with pointing at most',
  spoken: 'right with a spoken hint at most',
  shown: 'right after it was shown at most',
  'hand-over-hand': 'right, hand over hand too',
}
const withMaterial = (m: string): string => (isRepresentation(m) ? ` with ${REPRESENTATIONS[m].title}` : '')
/** What the lines of the chart are, of those that are drawn. */
const legend = computed(() =>
  [
    `Points: ${HELP[p.goal.value?.help ?? 'independent']}, of 100.`,
    ...(p.aim.value ? ['Dashed: the aim line.'] : []),
    ...(p.trend.value ? ['Dotted: the trend by the median of all slopes.'] : []),
  ].join(' '),
)
const goalText = computed(() => {
  const g = p.goal.value
  if (!g) return ''
  const what = g.step ? `“${titleOf(g.step)}”` : 'all that is tried'
  return `${g.words ? `${g.words}: ` : ''}${Math.round(g.share * 100)} of 100 of ${what}${withMaterial(g.material)} ${HELP[g.help]} by ${dayInWords(g.by)}.`
})
const keepGoal = (goal: KeptGoal): Promise<void> =>
  tell(() => p.keepGoal(goal), goal.archived ? 'The goal is put away.' : 'The goal is kept.')
const keepRules = (change: Partial<KeptRules>): Promise<void> => tell(() => p.keepRules(change), 'The rules are kept.')

const figure = useTemplateRef<HTMLElement>('figure')
const { saveSvg, savePng } = useChartFiles()
const fileName = computed(() => `sett-${classroom.nameOf(learner.value ?? '')}-${today()}`)
const chart = (): SVGSVGElement => figure.value!.querySelector('svg')!
useHead({ title: 'Progress – Sett' })
</script>

<template>
  <div class="place">
    <header>
      <h1>Progress</h1>
      <label
        >Learner
        <select v-model="learner">
          <option v-for="l in classroom.learners" :key="l.id" :value="l.id">{{ l.codeName }}</option>
        </select></label
      >
      <label
        >Of
        <select v-model="p.step.value">
          <option value="">all that was tried</option>
          <option v-for="s in p.known.value.steps" :key="s" :value="s">{{ titleOf(s) }}</option>
        </select></label
      >
      <label v-if="p.known.value.places.length > 1"
        >At
        <select v-model="p.at.value">
          <option value="">all places but Rehearse</option>
          <option v-for="at in p.known.value.places" :key="at" :value="at">{{ PLACES[at] }}</option>
        </select></label
      >
      <NuxtLink class="stone-button" to="/learners">All learners</NuxtLink>
      <NuxtLink class="stone-button" :to="`/learners/timeline?learner=${learner ?? ''}`">Timeline</NuxtLink>
      <NuxtLink v-if="session.may('teacher')" class="stone-button" :to="`/learners/reports?learner=${learner ?? ''}`"
        >Report</NuxtLink
      >
    </header>
    <p v-if="p.trouble.value" class="trouble" role="alert">{{ p.trouble.value }}</p>
    <p v-if="p.loaded.value && p.sessions.value.length === 0" class="quiet">
      Nothing has been tried yet{{ p.goal.value ? ' as the goal counts it' : '' }}. Work a problem at the Bench, or note
      tries at the table.
    </p>
    <div class="two">
      <section v-if="p.sessions.value.length" aria-label="What changed">
        <div ref="figure">
          <LazyProgressChart
            :sessions="p.sessions.value"
            :aim="p.aim.value"
            :trend="p.trend.value"
            :measure="timed ? measure : 'share'"
            :least="p.rules.value.leastTrials"
          />
        </div>
        <p id="chart-told" class="told">{{ p.told.value }}</p>
        <p v-if="p.seen.value">{{ p.seen.value }}</p>
        <p class="quiet">
          {{ measure === 'rate' && timed ? 'Points: right in a minute, where tries were timed.' : legend }}
          Days with fewer than {{ p.rules.value.leastTrials }} tries decide nothing.
        </p>
        <div class="in-row no-print">
          <span v-if="timed" class="chips" role="group" aria-label="What the points say">
            <button type="button" class="stone-button" :aria-pressed="measure === 'share'" @click="measure = 'share'">
              Of 100
            </button>
            <button type="button" class="stone-button" :aria-pressed="measure === 'rate'" @click="measure = 'rate'">
              A minute
            </button>
          </span>
          <button type="button" class="stone-button" @click="saveSvg(chart(), fileName)">Chart as SVG</button>
          <button type="button" class="stone-button" @click="savePng(chart(), fileName)">Chart as PNG</button>
        </div>
        <SessionTable :sessions="p.sessions.value" />
        <template v-if="p.slipWeeks.value.kinds.length">
          <h2>Kinds of mistake, week by week</h2>
          <LazySlipChart :of="p.slipWeeks.value" :names="names" />
        </template>
        <template v-if="learner && p.known.value.places.includes('rehearsing')">
          <h2>Known by heart</h2>
          <LazyKnownByHeart :learner="learner" />
        </template>
      </section>
      <section v-if="p.loaded.value" class="side" aria-label="What to do">
        <template v-if="p.sessions.value.length">
          <h2>The figures suggest</h2>
          <ul class="suggestions">
            <li v-for="s in p.suggestions.value" :key="s.kind + s.figures">
              <b>{{ SUGGESTION_SAYS[s.kind] }}</b>
              <span v-if="s.slip">: {{ capital(names(s.slip)) }}</span>
              <p class="quiet">{{ capital(s.figures) }}. Common practice; you decide.</p>
              <p v-if="s.decided">{{ DECIDED[s.decided.answer] }}{{ s.decided.word ? `: ${s.decided.word}` : '' }}.</p>
              <form
                v-else-if="session.may('teacher') && s.kind !== 'stay'"
                class="in-row"
                @submit.prevent="decide(s, 'accepted')"
              >
                <label
                  >In a word <input v-model="words[s.kind]" type="text" maxlength="200" autocomplete="off"
                /></label>
                <button type="submit" class="stone-button main">Take it up</button>
                <button type="button" class="stone-button" @click="decide(s, 'later')">In a week</button>
                <button type="button" class="stone-button" @click="decide(s, 'refused')">No</button>
              </form>
            </li>
          </ul>
        </template>
        <template v-if="learner">
          <h2>The goal</h2>
          <p v-if="goalText">{{ goalText }}</p>
          <GoalForm
            v-if="session.may('teacher')"
            :goal="p.goal.value"
            :learner="learner"
            :step="p.step.value"
            @keep="keepGoal"
          />
        </template>
        <details v-if="session.may('teacher')" class="no-print">
          <summary>The rules that these go by</summary>
          <RulesForm :rules="p.rules.value" @keep="keepRules" />
        </details>
        <p role="status">{{ said }}</p>
      </section>
    </div>
  </div>
</template>

<style scoped>
.two {
  display: grid;
  grid-template-columns: minmax(0, 1.7fr) minmax(0, 1fr);
  gap: 2rem;
  align-items: start;
}
.two > section {
  display: grid;
  gap: 0.7rem;
  min-width: 0;
}
header label {
  display: inline-flex;
  gap: 0.5rem;
  align-items: center;
}
header select {
  max-width: 15rem;
}
p {
  margin: 0;
}
h2 {
  margin: 0;
  font-size: 1.2rem;
}
.told {
  font-size: 1.15rem;
}
.suggestions {
  list-style: none;
  margin: 0;
  padding: 0;
  display: grid;
  gap: 0.8rem;
}
.suggestions > li {
  padding: 0.6rem 0.9rem;
  background: var(--paper-2);
  border-left: 6px solid var(--clay);
  display: grid;
  gap: 0.4rem;
}
summary {
  min-height: 44px;
  cursor: pointer;
}
.trouble {
  background: var(--plum-wash);
  border-left: 5px solid var(--plum);
  padding: 0.4rem 0.8rem;
}
@media (max-width: 900px) {
  .two {
    grid-template-columns: minmax(0, 1fr);
  }
}
@media print {
  .two {
    display: block;
  }
}
</style>
