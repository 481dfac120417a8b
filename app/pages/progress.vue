<script setup lang="ts">
import { addDays, format } from 'date-fns'
import { capital } from '../../core/door'
import type { SuggestionKind } from '../../core/progress/index'
import type { KeptGoal } from '../../shared/progress'
import { HELP_LEVELS } from '../../shared/levels'
import { downloadBytes } from '../utils/download'

/** What changed: one learner’s sessions as a chart with its table and a sentence, their goal, and what the figures suggest. */
const classroom = useClassroom()
const session = useSession()
const courses = useCourses()
const names = useMistakeNames()
const learner = ref(classroom.learnerId)
const p = useProgress()
const asked = useRoute().query.learner
if (typeof asked === 'string' && classroom.learners.some((l) => l.id === asked)) learner.value = asked
await courses.load().catch(() => undefined)
await Promise.all([p.loadRules(), p.load(learner.value)])
watch([learner, p.step], () => void p.load(learner.value))
const titleOf = (id: string): string => (id === 'stories' ? 'Stories' : (courses.stepOf(id)?.title ?? id))
/** Steps of this learner, once all were looked at; narrowing keeps the list. */
const steps = ref<readonly string[]>([])
watch(
  () => p.known.value,
  (now) => p.step.value === '' && (steps.value = now.steps),
  { immediate: true },
)
watch(learner, () => (p.step.value = ''))

const SAYS: Readonly<Record<SuggestionKind, string>> = {
  'move-on': 'Move on to the next step',
  fade: 'Fade the material: from held to drawn, from drawn to written',
  concrete: 'Make it more concrete',
  change: 'Change something: it stays below the aim line',
  raise: 'Raise the goal: it stays above the aim line',
  check: 'Look at it again',
  mark: 'Ask Marking about a mistake',
  stay: 'Stay with this step',
}
const words = reactive<Record<string, string>>({})
const said = ref('')
async function decide(
  s: (typeof p.suggestions.value)[number],
  answer: 'accepted' | 'later' | 'refused',
): Promise<void> {
  if (!learner.value) return
  try {
    await p.decide(learner.value, s, answer, (words[s.kind] ?? '').trim())
    said.value = 'Your decision is kept.'
  } catch (error) {
    said.value = (error as Error).message
  }
}
const DECIDED = { accepted: 'Taken up', later: 'Put off', refused: 'Not taken up' }

/* --- the goal --- */
const today = (): string => format(new Date(), 'yyyy-MM-dd')
const form = reactive({ share: 80, by: format(addDays(new Date(), 42), 'yyyy-MM-dd'), words: '' })
watch(
  () => p.goal.value,
  (goal) => {
    if (goal) Object.assign(form, { share: Math.round(goal.share * 100), by: goal.by, words: goal.words })
  },
  { immediate: true },
)
async function setGoal(archived = false): Promise<void> {
  if (!learner.value) return
  const old = p.goal.value
  const goal: KeptGoal = {
    id: old?.id ?? crypto.randomUUID(),
    learnerId: learner.value,
    step: p.step.value,
    share: Math.min(100, Math.max(10, Number(form.share) || 80)) / 100,
    set: old?.set ?? today(),
    by: form.by,
    words: form.words.trim(),
    archived,
    version: old?.version ?? 0,
  }
  try {
    await p.keepGoal(goal)
    said.value = archived ? 'The goal is put away.' : 'The goal is kept.'
  } catch (error) {
    said.value = (error as Error).message
  }
}
const goalText = computed(() => {
  const g = p.goal.value
  if (!g) return ''
  const what = g.step ? `“${titleOf(g.step)}”` : 'all that is tried'
  return `${g.words ? `${g.words}: ` : ''}${Math.round(g.share * 100)} of 100 of ${what} right without help by ${dayInWords(g.by)}.`
})

/* --- the rules --- */
const RULES = [
  ['moveOnShare', 'Move on at so many of 100 without help', 100],
  ['moveOnSessions', 'in so many sessions running', 1],
  ['concreteShare', 'More concrete below so many of 100', 100],
  ['concreteSessions', 'in so many sessions running', 1],
  ['aimSessions', 'Sessions on one side of the aim line', 1],
  ['leastTrials', 'Tries that make a session', 1],
] as const
const ruleForm = ref<Record<string, number>>({})
watch(
  () => p.rules.value,
  (rules) =>
    (ruleForm.value = Object.fromEntries(RULES.map(([key, , times]) => [key, Math.round(rules[key] * times)]))),
  { immediate: true },
)
async function setRules(): Promise<void> {
  try {
    await p.keepRules(Object.fromEntries(RULES.map(([key, , times]) => [key, Number(ruleForm.value[key]) / times])))
    said.value = 'The rules are kept.'
  } catch (error) {
    said.value = (error as Error).message
  }
}

/* --- the chart as a file --- */
const figure = useTemplateRef<HTMLElement>('figure')
/** The chart by itself, with the colours it has on the screen written into it. */
function svgText(): string {
  const svg = figure.value!.querySelector('svg')!
  const copy = svg.cloneNode(true) as SVGSVGElement
  const [from, to] = [
    [svg, ...svg.querySelectorAll('*')],
    [copy, ...copy.querySelectorAll('*')],
  ]
  from.forEach((el, i) => {
    const style = getComputedStyle(el)
    for (const key of ['fill', 'stroke', 'stroke-width', 'stroke-dasharray', 'font-size', 'font-family', 'font-weight'])
      (to[i] as SVGElement).setAttribute(key, style.getPropertyValue(key))
    to[i]!.removeAttribute('class')
    to[i]!.removeAttribute('style')
  })
  copy.setAttribute('xmlns', 'http://www.w3.org/2000/svg')
  return new XMLSerializer().serializeToString(copy)
}
const fileName = computed(() => `sett-${classroom.nameOf(learner.value ?? '')}-${today()}`)
const saveSvg = (): void => downloadBytes(`${fileName.value}.svg`, new TextEncoder().encode(svgText()), 'image/svg+xml')
async function savePng(): Promise<void> {
  const image = new Image()
  image.src = `data:image/svg+xml;charset=utf-8,${encodeURIComponent(svgText())}`
  await image.decode()
  const canvas = document.createElement('canvas')
  const box = figure.value!.querySelector('svg')!.viewBox.baseVal
  canvas.width = box.width * 2
  canvas.height = box.height * 2
  const paper = canvas.getContext('2d')!
  paper.fillStyle = '#fff'
  paper.fillRect(0, 0, canvas.width, canvas.height)
  paper.drawImage(image, 0, 0, canvas.width, canvas.height)
  const blob = await new Promise<Blob | null>((done) => canvas.toBlob(done, 'image/png'))
  if (blob) downloadBytes(`${fileName.value}.png`, new Uint8Array(await blob.arrayBuffer()), 'image/png')
}
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
          <option v-for="s in steps" :key="s" :value="s">{{ titleOf(s) }}</option>
        </select></label
      >
      <NuxtLink class="stone-button" to="/note">Note at the table</NuxtLink>
      <NuxtLink v-if="session.may('teacher')" class="stone-button" :to="`/report?learner=${learner ?? ''}`"
        >Report</NuxtLink
      >
    </header>
    <p v-if="p.trouble.value" class="trouble" role="alert">{{ p.trouble.value }}</p>
    <p v-if="p.loaded.value && p.sessions.value.length === 0" class="quiet">
      Nothing has been tried yet. Work a problem at the Bench, or note tries at the table.
    </p>
    <div v-if="p.sessions.value.length" class="two">
      <section aria-label="What changed">
        <div ref="figure">
          <LazyProgressChart :sessions="p.sessions.value" :aim="p.aim.value" :trend="p.trend.value" />
        </div>
        <p id="chart-told" class="told">{{ p.told.value }}</p>
        <p class="quiet">
          Points: right without help, of 100. Dashed: the aim line. Dotted: the trend by the median of all slopes. Days
          with fewer than {{ p.rules.value.leastTrials }} tries decide nothing.
        </p>
        <details>
          <summary>The same as a table</summary>
          <table>
            <thead>
              <tr>
                <th scope="col">Day</th>
                <th scope="col">Tried</th>
                <th scope="col">Right</th>
                <th scope="col">Without help</th>
                <th scope="col">Right a minute</th>
                <th v-for="h in HELP_LEVELS" :key="h" scope="col">{{ h }}</th>
                <th scope="col">Material</th>
              </tr>
            </thead>
            <tbody>
              <tr v-for="s in p.sessions.value" :key="s.day">
                <th scope="row">{{ dayInWords(s.day) }}</th>
                <td>{{ s.tried }}</td>
                <td>{{ s.right }}</td>
                <td>{{ s.alone }} ({{ Math.round(100 * s.share) }} of 100)</td>
                <td>{{ s.perMinute === null ? '–' : s.perMinute.toFixed(1) }}</td>
                <td v-for="h in HELP_LEVELS" :key="h">{{ s.help[h] ?? 0 }}</td>
                <td>{{ s.phase ?? '–' }}</td>
              </tr>
            </tbody>
          </table>
        </details>
        <div class="in-row no-print">
          <button type="button" class="stone-button" @click="saveSvg">Chart as SVG</button>
          <button type="button" class="stone-button" @click="savePng">Chart as PNG</button>
        </div>
      </section>
      <section class="side" aria-label="What to do">
        <h2>The figures suggest</h2>
        <ul class="suggestions">
          <li v-for="s in p.suggestions.value" :key="s.kind + s.figures">
            <b>{{ SAYS[s.kind] }}</b>
            <span v-if="s.slip">: {{ capital(names(s.slip)) }}</span>
            <p class="quiet">{{ capital(s.figures) }}. Common practice; you decide.</p>
            <p v-if="s.decided">{{ DECIDED[s.decided.answer] }}{{ s.decided.word ? `: ${s.decided.word}` : '' }}.</p>
            <form
              v-else-if="session.may('teacher') && s.kind !== 'stay'"
              class="in-row"
              @submit.prevent="decide(s, 'accepted')"
            >
              <label>In a word <input v-model="words[s.kind]" type="text" maxlength="200" autocomplete="off" /></label>
              <button type="submit" class="stone-button main">Take it up</button>
              <button type="button" class="stone-button" @click="decide(s, 'later')">In a week</button>
              <button type="button" class="stone-button" @click="decide(s, 'refused')">No</button>
            </form>
          </li>
        </ul>
        <h2>The goal</h2>
        <p v-if="goalText">{{ goalText }}</p>
        <form v-if="session.may('teacher')" class="goal" novalidate @submit.prevent="setGoal()">
          <label
            >Right without help, of 100 <input v-model.number="form.share" type="number" min="10" max="100"
          /></label>
          <label>By <input v-model="form.by" type="date" /></label>
          <label class="wide">In your own words <input v-model="form.words" type="text" maxlength="300" /></label>
          <div class="in-row wide">
            <button type="submit" class="stone-button main">
              {{ p.goal.value ? 'Change the goal' : 'Set the goal' }}
            </button>
            <button v-if="p.goal.value" type="button" class="stone-button" @click="setGoal(true)">Put it away</button>
          </div>
        </form>
        <details v-if="session.may('teacher')">
          <summary>The rules that these go by</summary>
          <form class="goal" novalidate @submit.prevent="setRules">
            <label v-for="([key, name], i) in RULES" :key="key"
              >{{ name }} <input v-model.number="ruleForm[key]" type="number" :min="i % 2 ? 1 : 10" max="100"
            /></label>
            <p class="quiet wide">
              At first 80 in 3, below 50 in 3, and 4 (the four-point rule): common practice. They hold for the whole
              room.
            </p>
            <div class="in-row wide"><button type="submit" class="stone-button">Keep the rules</button></div>
          </form>
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
.goal {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 0.6rem 1rem;
}
.goal label {
  display: grid;
  gap: 0.2rem;
}
.wide {
  grid-column: 1 / -1;
}
details {
  overflow-x: auto;
}
summary {
  min-height: 44px;
  cursor: pointer;
}
table {
  border-collapse: collapse;
}
th,
td {
  padding: 0.3rem 0.7rem;
  text-align: left;
  border-bottom: 1px solid var(--rule);
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
</style>
