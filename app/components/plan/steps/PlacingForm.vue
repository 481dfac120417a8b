<script setup lang="ts">
import {
  placement,
  PLACING,
  STRANDS,
  strandOf,
  toldByPlacement,
  type Placed,
  type Step,
  type Strand,
} from '../../../../core/course/index'
import { parseAnswer } from '../../../../core/diagnose/index'
import { attempt, capital, parseProblem, pretty } from '../../../../core/door'
import type { TellSteps } from '../../../../shared/courses'

/** Finds where a learner stands, on a strand or on all: one question at a time, whatever it is worked with, in as many sittings as one likes. */
const {
  learner,
  name,
  steps: all,
  earlier,
  near,
} = defineProps<{
  learner: string
  name: string
  steps: readonly Step[]
  /** Answers that were marked lately. */
  earlier: readonly Placed[]
  /** A step of the work that is known, near which the first question is asked. */
  near: string | null
}>()
const emit = defineEmits<{ choose: [step: string]; accept: [told: TellSteps] }>()

interface Sitting {
  readonly seed: number
  readonly asked: readonly Placed[]
}
type Where = Strand | 'everything'
interface Sittings {
  readonly strand: Where
  readonly by: Readonly<Partial<Record<Where, Sitting>>>
}
/** Sittings by learner and strand, so that each goes on where it stopped. */
const kept = useLocalStorage<Record<string, Sittings>>('sett.placing', {})
/** What was kept by an earlier Sett, or by hand, may be no answers at all. */
const isPlaced = (a: Partial<Placed> | null): a is Placed =>
  typeof a?.step === 'string' &&
  typeof a.problem === 'string' &&
  (a.answer === null || typeof a.answer?.value === 'string') &&
  'ok' in attempt(() => parseProblem(a.problem!))
/** Strands that the course has, and all of them together. */
const places = computed<readonly Where[]>(() => [
  'everything',
  ...STRANDS.filter((s) => all.some((step) => step.strand === s)),
])
const strand = computed<Where>(() => {
  const chosen = kept.value[learner]?.strand
  return chosen && places.value.includes(chosen) ? chosen : 'everything'
})
const seedNow = crypto.getRandomValues(new Uint32Array(1))[0]! % 100_000
const sitting = computed<Sitting>(() => {
  const found = kept.value[learner]?.by?.[strand.value]
  return {
    seed: Number.isInteger(found?.seed) ? found!.seed : seedNow,
    asked: Array.isArray(found?.asked) ? found.asked.filter(isPlaced) : [],
  }
})
function keep(now: Sitting, of: Where = strand.value): void {
  const by = { ...kept.value[learner]?.by, [of]: now }
  kept.value = { ...kept.value, [learner]: { strand: of, by } }
}
const choose = (of: Where): void =>
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

const steps = computed(() => (strand.value === 'everything' ? all : strandOf(all, strand.value)))
const now = computed(() => placement(steps.value, sitting.value.asked, sitting.value.seed, earlier, near))
const counted = computed(() => earlier.filter((a) => steps.value.some((s) => s.id === a.step)).length)
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

const allKnown = computed(() => now.value.here.every((h) => h.step === null))
/** What can be taken over: of several strands those of which something is known. */
const usable = computed(() =>
  now.value.here.length === 1 ? now.value.here : now.value.here.filter((h) => h.sure >= ENOUGH),
)
const accept = (): void => emit('accept', [...toldByPlacement(all, usable.value)])
/** From here on a strand’s result is taken over: likelier than not. */
const ENOUGH = 0.5
/** How certain a result is, in words. */
const sureness = (sure: number): string =>
  sure >= PLACING.sure
    ? 'certain'
    : sure >= 0.7
      ? 'likely'
      : sure >= ENOUGH
        ? 'more likely than not'
        : 'not certain yet'
const percent = (share: number): string => `${Math.round(100 * share)} of 100`
</script>

<template>
  <section class="placing" aria-label="Where the learner stands">
    <h2>Where {{ name }} stands</h2>
    <label
      >In
      <select :value="strand" @change="choose(($event.target as HTMLSelectElement).value as Where)">
        <option v-for="s in places" :key="s" :value="s">{{ capital(s) }}</option>
      </select></label
    >
    <form v-if="now.next" class="ask" novalidate @submit.prevent="answered(typed)">
      <p class="learner big">{{ pretty(now.next.problem) }} = ?</p>
      <label
        >What {{ name }} answered
        <input ref="box" v-model="typed" class="learner" type="text" maxlength="40" autocomplete="off"
      /></label>
      <div class="in-row">
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
        {{ counted ? `${counted} answers marked lately count too.` : '' }} Work each problem with any material.
        <button v-if="before" type="button" class="stone-button bare" @click="bringBack">
          Bring back what was asked
        </button>
      </p>
      <template v-else>
        <p v-if="allKnown">
          {{ name }}
          {{ now.next ? 'has answered everything correctly so far' : 'knows every step that was asked about' }}: there
          is no step here to work on.
        </p>
        <p v-else>
          {{ now.next ? 'So far' : 'Result' }}:
          {{ now.here.length === 1 ? 'this is the step to work on' : 'these are the steps to work on' }}.
        </p>
        <ul v-if="!allKnown">
          <li v-for="h in now.here" :key="h.strand">
            <span class="strand">{{ capital(h.strand) }}</span>
            <button v-if="h.step" type="button" class="stone-button" @click="emit('choose', h.step.id)">
              {{ h.step.title }}
            </button>
            <span v-else>knows all of it</span>
            <span class="quiet">{{ sureness(h.sure) }}</span>
          </li>
        </ul>
        <div class="in-row">
          <button type="button" class="stone-button main" :disabled="usable.length === 0" @click="accept">
            {{ now.next ? 'Stop and use this result' : 'Use this result' }}
          </button>
          <button type="button" class="stone-button bare" @click="again">Start again</button>
        </div>
      </template>
    </div>
    <ol v-if="sitting.asked.length && strand !== 'everything'" class="bars">
      <li v-for="(step, i) in steps" :key="step.id">
        <span class="fill" :style="{ width: `${Math.round(100 * now.likely[i]!)}%` }" />
        <span class="title">{{ step.title }}</span>
        <span class="share">{{ percent(now.likely[i]!) }}</span>
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
.known p {
  margin: 0;
}
.known ul {
  list-style: none;
  margin: 0.4rem 0;
  padding: 0;
  display: grid;
  gap: 0.3rem;
}
.known li {
  display: flex;
  flex-wrap: wrap;
  gap: 0.3rem 0.8rem;
  align-items: center;
}
.strand {
  min-width: 8rem;
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
</style>
