<script setup lang="ts">
import { placement, PLACING, STEPS, STRANDS, type Placed, type Strand } from '../../../core/course/index'
import { parseAnswer } from '../../../core/diagnose/index'
import { attempt, capital, parseProblem, pretty } from '../../../core/door'

/** Finds where a learner stands on a strand: one question at a time, whatever it is worked with, in as many sittings as one likes. */
const { learner, name } = defineProps<{ learner: string; name: string }>()
const emit = defineEmits<{ choose: [step: string] }>()

interface Sitting {
  readonly seed: number
  readonly asked: readonly Placed[]
}
interface Sittings {
  readonly strand: Strand
  readonly by: Readonly<Partial<Record<Strand, Sitting>>>
}
/** Sittings by learner and strand, so that each goes on where it stopped. */
const kept = useLocalStorage<Record<string, Sittings>>('sett.placing', {})
/** What was kept by an earlier Sett, or by hand, may be no answers at all. */
const isPlaced = (a: Partial<Placed> | null): a is Placed =>
  typeof a?.step === 'string' &&
  typeof a.problem === 'string' &&
  (a.answer === null || typeof a.answer?.value === 'string') &&
  'ok' in attempt(() => parseProblem(a.problem!))
const strand = computed<Strand>(() => {
  const chosen = kept.value[learner]?.strand
  return chosen && STRANDS.includes(chosen) ? chosen : 'taking away'
})
const seedNow = crypto.getRandomValues(new Uint32Array(1))[0]! % 100_000
const sitting = computed<Sitting>(() => {
  const found = kept.value[learner]?.by?.[strand.value]
  return {
    seed: Number.isInteger(found?.seed) ? found!.seed : seedNow,
    asked: Array.isArray(found?.asked) ? found.asked.filter(isPlaced) : [],
  }
})
function keep(now: Sitting, of: Strand = strand.value): void {
  const by = { ...kept.value[learner]?.by, [of]: now }
  kept.value = { ...kept.value, [learner]: { strand: of, by } }
}
const choose = (of: Strand): void =>
  void (kept.value = { ...kept.value, [learner]: { strand: of, by: kept.value[learner]?.by ?? {} } })
/** What was asked before one began again. */
const before = shallowRef<Sitting | null>(null)
function again(): void {
  before.value = sitting.value
  keep({ seed: sitting.value.seed + 100, asked: [] })
}
function bringBack(): void {
  if (before.value) keep(before.value)
  before.value = null
}
watch(strand, () => (before.value = null))

const steps = computed(() => STEPS.filter((s) => s.strand === strand.value))
const now = computed(() => placement(steps.value, sitting.value.asked, sitting.value.seed))
const typed = ref('')
const trouble = ref('')
const box = useTemplateRef('box')

function answered(text: string): void {
  const { next } = now.value
  if (!next) return
  const read = attempt(() => parseAnswer(text, parseProblem(next.problem)))
  if ('refused' in read) {
    trouble.value = read.refused.message
    return
  }
  trouble.value = typed.value = ''
  keep({
    ...sitting.value,
    asked: [...sitting.value.asked, { step: next.step.id, problem: next.problem, answer: read.ok }],
  })
  void nextTick(() => box.value?.focus())
}
const back = (): void => keep({ ...sitting.value, asked: sitting.value.asked.slice(0, -1) })

/** The step to work on now: the first that does not stand; null where all do. */
const here = computed(() => steps.value[now.value.stands] ?? null)
/** How likely it is that each step stands. */
const stands = computed(() => steps.value.map((_, i) => now.value.places.slice(i + 1).reduce((a, b) => a + b, 0)))
</script>

<template>
  <section class="placing" aria-label="Where the learner stands">
    <h2>Where {{ name }} stands</h2>
    <label
      >In
      <select :value="strand" @change="choose(($event.target as HTMLSelectElement).value as Strand)">
        <option v-for="s in STRANDS" :key="s" :value="s">{{ capital(s) }}</option>
      </select></label
    >
    <form v-if="now.next" class="ask" novalidate @submit.prevent="answered(typed)">
      <p class="learner big">{{ pretty(now.next.problem) }} = ?</p>
      <label
        >What {{ name }} answered
        <input ref="box" v-model="typed" class="learner" type="text" maxlength="40" autocomplete="off"
      /></label>
      <div class="row">
        <button type="submit" class="stone-button main" :disabled="typed.trim() === ''">On</button>
        <button type="button" class="stone-button" @click="answered('')">Nothing written</button>
        <button v-if="sitting.asked.length" type="button" class="stone-button bare" @click="back">
          Take the last back
        </button>
      </div>
      <p v-if="trouble" class="trouble" role="alert">{{ trouble }}</p>
      <p class="quiet">
        Question {{ sitting.asked.length + 1 }} of {{ PLACING.most }} at most; stop whenever you like.
      </p>
    </form>
    <div class="known" role="status">
      <p v-if="sitting.asked.length === 0" class="quiet">
        Nothing is known yet. Work each problem with whatever is in hand.
        <button v-if="before" type="button" class="stone-button bare" @click="bringBack">
          Bring back what was asked
        </button>
      </p>
      <p v-else>
        {{ now.next ? 'So far it looks as if' : 'It looks as if' }}
        <b v-if="here">{{ here.title }}</b><b v-else>everything here</b>
        {{ here ? 'is the step to work on' : 'stands' }} ({{ Math.round(100 * now.sure) }} of 100).
        <button v-if="here" type="button" class="stone-button" @click="emit('choose', here.id)">Go to that step</button>
        <button type="button" class="stone-button bare" @click="again">Begin again</button>
      </p>
    </div>
    <ol v-if="sitting.asked.length" class="bars">
      <li v-for="(step, i) in steps" :key="step.id">
        <span class="fill" :style="{ width: `${Math.round(100 * stands[i]!)}%` }" />
        <span class="title">{{ step.title }}</span>
        <span class="share">{{ Math.round(100 * stands[i]!) }} of 100</span>
      </li>
    </ol>
  </section>
</template>

<style scoped>
.placing {
  display: grid;
  gap: 0.8rem;
  padding: 0.9rem 1.1rem;
  border: 1.5px solid var(--edge);
  background: var(--sheet);
}
h2 {
  margin: 0;
  font-size: 1.2rem;
}
label {
  display: inline-flex;
  flex-wrap: wrap;
  gap: 0.5rem;
  align-items: center;
}
.ask {
  display: grid;
  gap: 0.6rem;
}
.big {
  margin: 0;
  font-size: 1.9rem;
  font-weight: 700;
}
.ask input {
  font-size: 1.3rem;
  width: 10rem;
}
.row {
  display: flex;
  flex-wrap: wrap;
  gap: 0.6rem;
}
.known p {
  margin: 0;
}
.bars {
  list-style: none;
  margin: 0;
  padding: 0;
  display: grid;
  gap: 3px;
}
.bars li {
  position: relative;
  display: flex;
  justify-content: space-between;
  gap: 1rem;
  padding: 0.25rem 0.6rem;
  border: 1px solid var(--rule);
}
.fill {
  position: absolute;
  inset: 0 auto 0 0;
  background: var(--moss-wash);
}
.title,
.share {
  position: relative;
}
.trouble {
  margin: 0;
  color: var(--plum);
  font-weight: 700;
}
</style>
