<script setup lang="ts">
import { MOST_SET } from '../../../core/course/index'
import { pretty } from '../../../core/door'
import type { RecordPage } from '../../../shared/listing'
import { formOf, LIMIT_NAMES, LIMITS_AT_FIRST, limitsOf, soundForm, withChange } from '../../utils/limitsForm'
import { rowsWith } from '../../utils/answerRows'
import { request } from '../../utils/request'

/** Setting problems: limits, how many there are of them as the limits change, and a set that is spread over what makes them differ. */
const { workThrough } = useSetToWork()
const classroom = useClassroom()
const { answer, busy, set } = useSetter()
const { replace } = useAnswerPage()
const { figures } = useFigures()

const kept = useLocalStorage('sett.problems', {
  form: { ...LIMITS_AT_FIRST },
  count: 10,
  seed: 1,
  hardestLast: true,
  notHad: true,
})
// What was kept by an earlier Sett, or by hand, may lack some of it, or be something else.
kept.value.form = soundForm(kept.value.form)
if (!Number.isInteger(kept.value.seed)) kept.value.seed = 1
const form = computed(() => kept.value.form)
// A step's limits, where the address names one.
const route = useRoute()
const courses = useCourses()
if (typeof route.query.step === 'string') {
  await courses.load().catch(() => undefined)
  const step = courses.stepOf(route.query.step)
  if (step) kept.value.form = formOf(step.limits)
}
const trouble = ref('')

/** What the learner at the bench has had lately, so that it is not set again. */
const had = shallowRef<readonly string[]>([])
watch(
  () => classroom.learnerId,
  async (learner) => {
    had.value = []
    if (!learner) return
    const page = await request<RecordPage>(`/api/records?learner=${learner}&limit=200`).catch(() => null)
    if (learner === classroom.learnerId) had.value = page?.records.map((r) => r.problem) ?? []
  },
  { immediate: true },
)

const wish = computed(() => ({
  limits: limitsOf(form.value),
  count: Math.min(MOST_SET, Math.max(1, Number(kept.value.count) || 1)),
  seed: kept.value.seed,
  hardestLast: kept.value.hardestLast,
  without: kept.value.notHad ? had.value : [],
}))
watchDebounced(wish, (now) => set(now), { debounce: 150, immediate: true, deep: true })
const problems = computed(() => answer.value?.problems ?? [])
const others = (): void => void (kept.value.seed = crypto.getRandomValues(new Uint32Array(1))[0]! % 1_000_000)

const conflict = computed(() => answer.value?.conflict ?? null)
const named = (limit: string): string => LIMIT_NAMES[limit as keyof typeof LIMIT_NAMES] ?? limit
const change = computed(() => {
  const to = conflict.value?.change
  if (!to) return ''
  const value = to.to === undefined ? 'leave it open' : to.to === true ? 'yes' : to.to === false ? 'no' : String(to.to)
  return `${named(to.limit)}: ${value}`
})
function takeChange(): void {
  const to = conflict.value?.change
  if (to) kept.value.form = withChange(form.value, to.limit, to.to)
}

const work = async (): Promise<void> => void (trouble.value = await workThrough(problems.value))
async function mark(): Promise<void> {
  replace(rowsWith(problems.value))
  await navigateTo('/learners/marking')
}
const { print: toPaper } = usePrintPlan()
const print = (): Promise<void> =>
  toPaper(
    [
      { sheet: { kind: 'problems', layout: 'squares', shown: 'blank' }, copies: 1 },
      { sheet: { kind: 'problems', layout: 'squares', shown: 'key' }, copies: 1 },
    ],
    { problems: problems.value.join('\n') },
  )
useHead({ title: 'Problems – Sett' })
</script>

<template>
  <div class="problems">
    <header class="no-print">
      <h1>Problems for just this step</h1>
      <p class="how-many" role="status" aria-live="polite">
        <template v-if="answer && !answer.refused && answer.count !== '0'">
          <b>{{ figures(answer.count) }}</b>
          {{ answer.count === '1' ? 'problem fits' : 'problems fit' }}
        </template>
        <template v-else-if="answer && !answer.refused">No problem fits</template>
        <template v-else-if="busy">Counting …</template>
      </p>
    </header>
    <div v-if="conflict" class="conflict" role="alert">
      <p v-if="conflict.between.length > 1">
        These two do not go together: {{ conflict.between.map(named).join(', and ') }}.
      </p>
      <p v-else>This leaves none: {{ conflict.between.map(named).join('') }}.</p>
      <p v-if="conflict.change">
        The smallest change: {{ change }}. It leaves {{ figures(conflict.leaves) }}.
        <button type="button" class="stone-button" @click="takeChange">Change it</button>
      </p>
    </div>
    <div class="two">
      <form class="no-print" aria-label="Limits" @submit.prevent>
        <LimitsFields v-model="kept.form">
          <label>How many <input v-model.number="kept.count" type="number" min="1" :max="MOST_SET" /></label>
          <label class="tick"><input v-model="kept.hardestLast" type="checkbox" /> The hardest last</label>
          <label v-if="classroom.learner" class="tick"
            ><input v-model="kept.notHad" type="checkbox" /> Nothing that {{ classroom.learner.codeName }} has had
            lately</label
          >
        </LimitsFields>
      </form>
      <section class="set" aria-label="The problems">
        <p v-if="answer?.refused" class="trouble" role="alert">{{ answer.refused }}</p>
        <p v-else-if="answer && answer.count !== '0' && problems.length === 0" class="quiet">
          All of them were had lately. Take that tick away, or loosen a limit.
        </p>
        <ol class="learner">
          <li v-for="p in problems" :key="p">{{ pretty(p) }} =</li>
        </ol>
        <div v-if="problems.length" class="in-row no-print">
          <button type="button" class="stone-button main" @click="work">Work them at the Bench</button>
          <button type="button" class="stone-button" @click="others">Others</button>
          <button type="button" class="stone-button" @click="mark">Put them on the marking page</button>
          <button type="button" class="stone-button" @click="print">Print</button>
        </div>
        <p v-if="trouble" class="trouble" role="alert">{{ trouble }}</p>
      </section>
    </div>
  </div>
</template>

<style scoped>
.problems {
  max-width: 72rem;
  margin: 0 auto;
  padding: 1.2rem;
  display: grid;
  gap: 1rem;
}
header {
  display: flex;
  flex-wrap: wrap;
  gap: 0.5rem 2rem;
  align-items: baseline;
}
h1 {
  margin: 0;
  font-size: 1.4rem;
}
.how-many {
  margin: 0;
  font-size: 1.2rem;
}
.two {
  display: grid;
  grid-template-columns: minmax(0, 22rem) minmax(0, 1fr);
  gap: 2rem;
  align-items: start;
}
.set {
  display: grid;
  gap: 1rem;
}
.set ol {
  margin: 0;
  padding: 1rem 1rem 1rem 3rem;
  columns: 14rem;
  font-size: 1.4rem;
  line-height: 2.1;
  background: var(--sheet);
  border: 1.5px solid var(--edge);
  font-variant-numeric: tabular-nums;
}
.conflict {
  padding: 0.7rem 1rem;
  border-left: 6px solid var(--plum);
  background: var(--plum-wash);
}
.conflict p {
  margin: 0.2rem 0;
}
@media (max-width: 800px) {
  .two {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
