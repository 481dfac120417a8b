<script setup lang="ts">
import { before, chainText, lessonId, lessonOf, LESSONS } from '../../../core/course/index'
import { placeName, pretty, ruleName } from '../../../core/door'

/** Chains for a rule: which lesson, at which rod, with what has been taught; and how many there are at all. */
const bench = useBench()
const { workThrough } = useSetToWork()
const names = computed(() => bench.abacus.names)
const order = computed(() => bench.abacus.order)

const kept = useLocalStorage('sett.chains', {
  lesson: 'five+2',
  rod: '0',
  times: 'once' as 'once' | 'some',
  terms: 4,
  digits: 1,
  signs: 'both' as 'both' | '+' | '-',
  least: 0,
  greatest: 9,
  count: 12,
  seed: 1,
  single: false,
  undoing: false,
  /** What has been taught, where it is not simply all that comes before. */
  taught: null as string[] | null,
})
const { answer, busy, set } = useChainSetter()
const answers = ref(false)

const lesson = computed(() => lessonOf(kept.value.lesson) ?? LESSONS[0]!)
const title = (id: string): string => {
  const l = lessonOf(id)!
  return `${pretty(`${l.way > 0 ? '+' : '-'}${l.digit}`)} ${ruleName(l.rule, names.value)}`
}
const groups = computed(() =>
  (['direct', 'five', 'ten', 'mixed'] as const).map((rule) => ({
    rule,
    name: ruleName(rule, names.value),
    lessons: LESSONS.filter((l) => l.rule === rule),
  })),
)
const taught = computed(() => kept.value.taught ?? before(lesson.value).map(lessonId))
function toggle(id: string): void {
  kept.value.taught = taught.value.includes(id) ? taught.value.filter((x) => x !== id) : [...taught.value, id]
}
watch(
  () => kept.value.lesson,
  () => {
    kept.value.taught = null
    // A ten needs the next rod: totals up to 9 would shut it out.
    const tens = lesson.value.rule === 'ten' || lesson.value.rule === 'mixed'
    if (tens && kept.value.greatest < 10) kept.value.greatest = 99
  },
)
watch(
  () => kept.value.digits,
  (digits) => (kept.value.greatest = Math.max(10 ** digits - 1, digits === 1 ? kept.value.greatest : 0)),
)

function setThem(fresh: boolean): void {
  if (fresh) kept.value.seed += 1
  const k = kept.value
  set({
    lesson: { ...lesson.value },
    rod: k.rod === 'any' ? 'any' : Number(k.rod),
    times: k.times,
    terms: Number(k.terms),
    digits: Number(k.digits),
    taught: [...taught.value],
    signs: k.signs,
    undoing: k.undoing === true,
    least: Number(k.least),
    greatest: Number(k.greatest),
    order: order.value,
    beads: k.single ? { upper: 0, lower: 9 } : { upper: 1, lower: 4 },
    names: names.value,
    count: Number(k.count),
    seed: k.seed,
  })
}
onMounted(() => setThem(false))

const chains = computed(() => (answer.value && 'chains' in answer.value ? answer.value.chains : null))
const trouble = computed(() => (answer.value && 'refused' in answer.value ? answer.value.refused : ''))
const counted = computed(() => {
  const all = chains.value
  if (!all || all.chains.length === 0) return ''
  const shown = `${all.chains.length} ${all.chains.length === 1 ? 'chain' : 'chains'}`
  if (all.total === null) return all.why ? '' : `${shown}. How many there are in all is counted for shorter ones only.`
  const number = all.counted
    ? all.total.toLocaleString('en-GB')
    : `about ${all.total.toPrecision(2).replace('e+', ' × 10^')}`
  return `${shown} of ${number} that there are.`
})
function work(from: number): void {
  const all = (chains.value?.chains ?? []).slice(from).map(chainText)
  void workThrough(all, { material: kept.value.single ? 'frame' : 'abacus' })
}
const { print: toPaper } = usePrintPlan()
const sheet = (): Promise<void> =>
  toPaper(
    [
      { sheet: { kind: 'chains', shown: 'blank' }, copies: 1 },
      { sheet: { kind: 'chains', shown: 'key' }, copies: 1 },
    ],
    { problems: (chains.value?.chains ?? []).map(chainText).join('\n') },
  )
useHead({ title: 'Chains for a bead rule – Sett' })
</script>

<template>
  <div class="chains">
    <section class="wish" aria-labelledby="chains-title">
      <NuxtLink class="stone-button back" to="/bench">Bench</NuxtLink>
      <h1 id="chains-title">Chains for a rule</h1>
      <form novalidate @submit.prevent="setThem(false)">
        <label
          >The rule of the day
          <select v-model="kept.lesson">
            <optgroup v-for="g in groups" :key="g.rule" :label="g.name">
              <option v-for="l in g.lessons" :key="lessonId(l)" :value="lessonId(l)">{{ title(lessonId(l)) }}</option>
            </optgroup>
          </select></label
        >
        <div class="pair">
          <label
            >on the
            <select v-model="kept.rod">
              <option v-for="p in [0, 1, 2]" :key="p" :value="String(p)">{{ placeName(p) }} rod</option>
              <option value="any">any rod</option>
            </select></label
          >
          <label
            >it comes
            <select v-model="kept.times">
              <option value="once">exactly once</option>
              <option value="some">at least once</option>
            </select></label
          >
        </div>
        <div class="pair">
          <label>Numbers in a chain <input v-model.number="kept.terms" type="number" min="2" max="12" /></label>
          <label
            >of so many digits
            <select v-model.number="kept.digits">
              <option v-for="d in 5" :key="d" :value="d">{{ d }}</option>
            </select></label
          >
        </div>
        <div class="pair">
          <label>Totals from <input v-model.number="kept.least" type="number" min="0" /></label>
          <label>to <input v-model.number="kept.greatest" type="number" min="1" /></label>
        </div>
        <div class="pair">
          <label
            >Signs
            <select v-model="kept.signs">
              <option value="both">+ and −</option>
              <option value="+">only +</option>
              <option value="-">only −</option>
            </select></label
          >
          <label>How many <input v-model.number="kept.count" type="number" min="1" max="500" /></label>
        </div>
        <label class="check"
          ><input v-model="kept.undoing" type="checkbox" /> A number may undo the one before it</label
        >
        <label class="check"><input v-model="kept.single" type="checkbox" /> For a frame of single beads</label>
        <details>
          <summary>Taught already: {{ taught.length }} of {{ LESSONS.length }}</summary>
          <fieldset v-for="g in groups" :key="g.rule">
            <legend>{{ g.name }}</legend>
            <button
              v-for="l in g.lessons"
              :key="lessonId(l)"
              type="button"
              class="stone-button learner small"
              :aria-pressed="taught.includes(lessonId(l))"
              :aria-label="`${title(lessonId(l))} taught`"
              @click="toggle(lessonId(l))"
            >
              {{ pretty(`${l.way > 0 ? '+' : '-'}${l.digit}`) }}
            </button>
          </fieldset>
          <button v-if="kept.taught" type="button" class="stone-button" @click="kept.taught = null">
            Everything before it
          </button>
        </details>
        <div class="row">
          <button type="submit" class="stone-button main">Set them</button>
          <button type="button" class="stone-button" @click="setThem(true)">Others</button>
        </div>
      </form>
    </section>
    <section class="set" aria-labelledby="set-title">
      <header>
        <h2 id="set-title">
          {{ title(kept.lesson)
          }}<template v-if="kept.rod !== 'any'"> on the {{ placeName(Number(kept.rod)) }} rod</template>
        </h2>
        <p role="status">
          <template v-if="busy">Setting …</template>
          <template v-else-if="trouble">{{ trouble }}</template>
          <template v-else>{{ counted }} {{ chains?.why }}</template>
        </p>
        <div v-if="chains && chains.chains.length > 0" class="row noprint">
          <button type="button" class="stone-button main" @click="work(0)">Work them at the bench</button>
          <button type="button" class="stone-button" :aria-pressed="answers" @click="answers = !answers">
            Answers
          </button>
          <button type="button" class="stone-button" @click="sheet">Print</button>
        </div>
      </header>
      <ChainSheets v-if="chains && chains.chains.length > 0" :chains="chains.chains" :answers="answers" @work="work" />
      <p v-else-if="!busy && !trouble" class="none">No chain can be set.</p>
    </section>
  </div>
</template>

<style scoped>
.chains {
  height: 100%;
  display: grid;
  grid-template-columns: 372px minmax(0, 1fr);
  min-height: 0;
}
.wish {
  padding: 10px 16px 20px;
  overflow: auto;
  border-right: 1.5px solid var(--edge);
  display: grid;
  gap: 8px;
  align-content: start;
}
.back {
  justify-self: start;
}
form {
  display: grid;
  gap: 9px;
}
label {
  display: grid;
  font-weight: 700;
  min-width: 0;
}
label :is(select, input:not([type='checkbox'])) {
  width: 100%;
  font-weight: 400;
}
.check {
  display: flex;
  gap: 0.6rem;
  align-items: center;
  min-height: 44px;
  font-weight: 400;
}
.check input {
  width: 22px;
  height: 22px;
}
.pair {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 10px;
}
fieldset {
  border: 0;
  padding: 0;
  margin: 0 0 8px;
  display: flex;
  flex-wrap: wrap;
  gap: 4px;
}
legend {
  padding: 0;
}
.small {
  padding: 0.2rem 0.4rem;
}
.row {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}
.set {
  min-height: 0;
  overflow: auto;
  background: var(--sheet);
  background-image:
    linear-gradient(var(--rule) 1px, transparent 1px), linear-gradient(90deg, var(--rule) 1px, transparent 1px);
  background-size: 22px 22px;
  background-attachment: local;
}
.set header {
  position: sticky;
  top: 0;
  z-index: 1;
  background: var(--paper-2);
  border-bottom: 1.5px solid var(--edge);
  padding: 10px 18px;
  display: grid;
  gap: 6px;
}
.none {
  padding: 18px;
  font-size: 1.2rem;
}
@media (max-width: 800px) {
  .chains {
    grid-template-columns: minmax(0, 1fr);
    height: auto;
  }
}
@media print {
  .wish,
  .noprint,
  header p {
    display: none;
  }
  .chains {
    display: block;
    height: auto;
  }
  .set {
    overflow: visible;
    background: none;
  }
  .set header {
    position: static;
    background: none;
  }
}
</style>
