<script setup lang="ts">
import { MOST_SET } from '../../core/course/index'
import { pretty } from '../../core/door'
import type { RecordPage } from '../../shared/schemas'
import {
  kindsOf,
  LIMIT_NAMES,
  LIMITS_AT_FIRST,
  limitsOf,
  soundForm,
  withChange,
  type LimitsForm,
} from '../utils/limitsForm'
import { rowsWith } from '../utils/answerRows'
import { request } from '../utils/request'

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

const OPERATIONS = { add: 'Adding', subtract: 'Taking away', multiply: 'Multiplying', divide: 'Dividing' } as const
const KINDS: Readonly<Record<LimitsForm['kind'], string>> = {
  whole: 'whole numbers',
  decimals: 'decimals',
  signs: 'plus and minus numbers',
  fractions: 'fractions',
}
const kind = computed(() => (kindsOf(form.value.operation).includes(form.value.kind) ? form.value.kind : 'whole'))
const inColumns = computed(() => kind.value === 'whole' || kind.value === 'decimals')
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
  await navigateTo('/marking')
}
const print = (): void => window.print()
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
      <form class="limits no-print" aria-label="Limits" @submit.prevent>
        <label
          >Operation
          <select v-model="kept.form.operation">
            <option v-for="(name, id) in OPERATIONS" :key="id" :value="id">{{ name }}</option>
          </select></label
        >
        <label v-if="kindsOf(form.operation).length > 1"
          >With
          <select v-model="kept.form.kind">
            <option v-for="k in kindsOf(form.operation)" :key="k" :value="k">{{ KINDS[k] }}</option>
          </select></label
        >
        <template v-if="inColumns">
          <label v-if="form.operation === 'add'"
            >Numbers added
            <select v-model.number="kept.form.addends">
              <option v-for="n in 7" :key="n" :value="n + 1">{{ n + 1 }}</option>
            </select></label
          >
          <label
            >Digits of the first
            <select v-model.number="kept.form.first">
              <option v-for="n in 9" :key="n" :value="n">{{ n }}</option>
            </select></label
          >
          <label
            >{{ form.operation === 'add' && form.addends > 2 ? 'Digits of the others' : 'Digits of the second' }}
            <select v-model.number="kept.form.others">
              <option
                v-for="n in form.operation === 'multiply' || form.operation === 'divide' ? 3 : 9"
                :key="n"
                :value="n"
              >
                {{ n }}
              </option>
            </select></label
          >
          <label v-if="kind === 'decimals'"
            >Decimals
            <select v-model.number="kept.form.decimals">
              <option v-for="n in 3" :key="n" :value="n">{{ n }}</option>
            </select></label
          >
          <label v-if="form.operation !== 'divide'"
            >{{ form.operation === 'subtract' ? 'Columns that exchange' : 'Columns that carry' }}
            <select v-model="kept.form.columns">
              <option value="any">any</option>
              <option v-for="n in 10" :key="n" :value="String(n - 1)">{{ n === 1 ? 'none' : n - 1 }}</option>
            </select></label
          >
          <label v-if="form.operation === 'subtract'"
            >Across a nought
            <select v-model="kept.form.across">
              <option value="any">either way</option>
              <option value="yes">yes</option>
              <option value="no">no</option>
            </select></label
          >
          <label v-if="form.operation === 'add' || form.operation === 'subtract'"
            >Near a ten
            <select v-model="kept.form.near">
              <option value="">either way</option>
              <option v-for="n in 4" :key="n" :value="String(n)">within {{ n }}</option>
            </select></label
          >
          <label v-if="form.operation === 'divide'"
            >Something left over
            <select v-model="kept.form.remainder">
              <option value="any">either way</option>
              <option value="yes">yes</option>
              <option value="no">no</option>
            </select></label
          >
        </template>
        <template v-else-if="kind === 'signs'">
          <label
            >Signs
            <select v-model="kept.form.signs">
              <option value="++">both plus</option>
              <option value="-+">first minus, second plus</option>
              <option value="+-">first plus, second minus</option>
              <option value="--">both minus</option>
            </select></label
          >
          <label>Up to <input v-model.number="kept.form.upTo" type="number" min="1" max="1000" /></label>
        </template>
        <template v-else>
          <label>Bottoms <input v-model="kept.form.bottoms" type="text" maxlength="40" /></label>
          <label
            >Bottoms alike
            <select v-model="kept.form.alike">
              <option value="any">either way</option>
              <option value="yes">yes</option>
              <option value="no">no</option>
            </select></label
          >
        </template>
        <label
          >{{ form.operation === 'divide' ? 'Each gets fewer than' : 'Answers below' }}
          <input v-model="kept.form.below" type="text" inputmode="numeric" maxlength="10"
        /></label>
        <label>How many <input v-model.number="kept.count" type="number" min="1" :max="MOST_SET" /></label>
        <label class="tick"><input v-model="kept.form.lookAlike" type="checkbox" /> Numbers that look alike</label>
        <label class="tick"><input v-model="kept.hardestLast" type="checkbox" /> The hardest last</label>
        <label v-if="classroom.learner" class="tick"
          ><input v-model="kept.notHad" type="checkbox" /> Nothing that {{ classroom.learner.codeName }} has had
          lately</label
        >
      </form>
      <section class="set" aria-label="The problems">
        <p v-if="answer?.refused" class="trouble" role="alert">{{ answer.refused }}</p>
        <p v-else-if="answer && answer.count !== '0' && problems.length === 0" class="quiet">
          All of them were had lately. Take that tick away, or loosen a limit.
        </p>
        <ol class="learner">
          <li v-for="p in problems" :key="p">{{ pretty(p) }} =</li>
        </ol>
        <div v-if="problems.length" class="row no-print">
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
.limits {
  display: grid;
  gap: 0.5rem;
}
.limits label:not(.tick) {
  display: grid;
  grid-template-columns: 11rem minmax(0, 1fr);
  gap: 0.6rem;
  align-items: center;
}
.tick {
  display: flex;
  gap: 0.6rem;
  align-items: center;
  min-height: 44px;
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
.row {
  display: flex;
  flex-wrap: wrap;
  gap: 0.6rem;
}
.conflict {
  padding: 0.7rem 1rem;
  border-left: 6px solid var(--plum);
  background: var(--plum-wash);
}
.conflict p {
  margin: 0.2rem 0;
}
.trouble {
  color: var(--plum);
  font-weight: 700;
}
@media (max-width: 800px) {
  .two {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
