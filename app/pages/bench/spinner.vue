<script setup lang="ts">
import {
  allowedPairs,
  changedColumns,
  checkRules,
  dealCards,
  MAX_CARDS,
  spin,
  type SpinnerRules,
  type SpinPair,
  spinProblem,
  whyNot,
} from '../../../core/course/index'
import { attempt, placeName, pretty, spokenList } from '../../../core/door'

/** Spinner practice: a number card, a spin, the problem on the mat, its sentence on the page; and which column changed. */
const bench = useBench()
// The mat here is the bench's: it is given back as it was, with whatever stood on it.
onBeforeUnmount(bench.lend())
const kept = useLocalStorage('sett.spinner', {
  sectors: '+10 +20 +30 −10 −20 −30',
  least: 0,
  greatest: 99,
  exchanges: 'none' as SpinnerRules['exchanges'],
  cards: 8,
  own: '',
  seed: 1,
})
const trouble = ref('')
const rules = shallowRef<SpinnerRules>({ sectors: [], least: 0, greatest: 99, exchanges: 'none' })
const cards = ref<readonly number[]>([])
const past = ref<SpinPair[]>([])
const turns = ref(0)
const answered = ref<readonly number[] | null>(null)

const numbersIn = (text: string): number[] =>
  (text.replaceAll('−', '-').match(/[+-]?\d+/g) ?? []).map((t) => Number(t)).slice(0, 40)

function deal(): void {
  const wanted: SpinnerRules = {
    sectors: numbersIn(kept.value.sectors),
    least: Number(kept.value.least),
    greatest: Number(kept.value.greatest),
    exchanges: kept.value.exchanges,
  }
  const dealt = attempt(() => {
    checkRules(wanted)
    const own = [...new Set(numbersIn(kept.value.own))].filter((n) => n >= wanted.least && n <= wanted.greatest)
    return own.length > 0 ? own.slice(0, MAX_CARDS) : dealCards(wanted, Number(kept.value.cards), kept.value.seed)
  })
  if ('refused' in dealt) {
    trouble.value = dealt.refused.message
    return
  }
  trouble.value = dealt.ok.length === 0 ? 'No number of this range goes with any of these sectors.' : ''
  rules.value = wanted
  cards.value = dealt.ok
  past.value = []
  answered.value = null
}
deal()
const pairs = computed(() => allowedPairs(cards.value, rules.value))
const left = computed(() => pairs.value.length - past.value.length)
/** Why some sectors are passed over on some cards: the first reason, so that nobody wonders. */
const passedOver = computed(() => {
  for (const card of cards.value)
    for (const sector of rules.value.sectors) {
      const why = whyNot({ card, sector }, rules.value)
      if (why) return why
    }
  return ''
})
const now = computed(() => past.value.at(-1) ?? null)
const landed = computed(() => (now.value ? rules.value.sectors.indexOf(now.value.sector) : null))
const sentences = computed(() => past.value.map((p) => `${pretty(spinProblem(p))} = ${p.card + p.sector}`))

function next(): void {
  const pair = spin(cards.value, rules.value, kept.value.seed, past.value)
  if (!pair) return
  past.value = [...past.value, pair]
  turns.value += 1
  answered.value = null
  bench.ask(spinProblem(pair), { mode: 'together', material: 'chips' })
  // The number on the card lies there from the start; what is asked is what the spin does to it.
  bench.advance()
}
function again(): void {
  kept.value.seed += 1
  deal()
}
function finish(): void {
  for (let i = 0; i < 60 && bench.next && bench.next.kind !== 'read'; i++) if (!bench.advance()) break
}
const columns = computed(() => {
  const most = String(Math.max(rules.value.greatest, ...cards.value)).length
  return Array.from({ length: Math.max(2, most) }, (_, i) => Math.max(2, most) - 1 - i)
})
const right = computed(() => (now.value ? changedColumns(now.value.card, now.value.card + now.value.sector) : []))
function answerColumn(place: number): void {
  const chosen = answered.value ?? []
  answered.value = chosen.includes(place) ? chosen.filter((p) => p !== place) : [...chosen, place].sort((a, b) => b - a)
}
const verdict = computed(() => {
  if (!now.value || !answered.value || answered.value.length === 0) return ''
  const named = (places: readonly number[]): string => spokenList(places.map((p) => placeName(p)))
  const hit = answered.value.join() === right.value.join()
  const same = columns.value.filter((p) => !right.value.includes(p))
  if (hit) return `Yes: the ${named(right.value)}${same.length > 0 ? `. The ${named(same)} stay as they were` : ''}.`
  return answered.value.length < right.value.length ? 'Another column changed too.' : 'Look again at both numbers.'
})
const done = computed(
  () => now.value !== null && bench.bench.now.standing.value === String(now.value.card + now.value.sector),
)
const litPlaces = computed(() => [] as number[])
useHead({ title: 'Spinner and number cards – Sett' })
</script>

<template>
  <div class="spinner">
    <h1 class="sr-only">Spinner and number cards</h1>
    <section class="side" aria-label="Spinner">
      <NuxtLink class="stone-button back" to="/bench">Bench</NuxtLink>
      <SpinWheel :sectors="rules.sectors" :landed="landed" :turns="turns" />
      <div class="cards learner" role="group" aria-label="Number cards">
        <span
          v-for="c in cards"
          :key="c"
          class="card"
          :class="{ there: c === now?.card }"
          :aria-current="c === now?.card"
          >{{ c }}</span
        >
      </div>
      <div class="row">
        <button type="button" class="stone-button main big" :disabled="left === 0" @click="next">Spin</button>
        <button type="button" class="stone-button" @click="again">New cards</button>
      </div>
      <p role="status">
        {{
          left === 0 && pairs.length > 0
            ? 'Every pair has come. Deal new cards.'
            : `${left} of ${pairs.length} pairs still to come.`
        }}
        <span v-if="passedOver" class="quiet">Passed over: {{ passedOver }}</span>
      </p>
      <details>
        <summary>Sectors, range and cards</summary>
        <form class="rules" novalidate @submit.prevent="deal">
          <label>Sectors <input v-model="kept.sectors" maxlength="80" class="learner" /></label>
          <div class="row">
            <label>From <input v-model.number="kept.least" type="number" min="0" max="9999" /></label>
            <label>to <input v-model.number="kept.greatest" type="number" min="1" max="9999" /></label>
            <label>Cards <input v-model.number="kept.cards" type="number" min="1" :max="MAX_CARDS" /></label>
          </div>
          <label
            >Exchanges
            <select v-model="kept.exchanges">
              <option value="none">none are needed</option>
              <option value="any">may be needed</option>
              <option value="only">are always needed</option>
            </select></label
          >
          <label>Own cards <input v-model="kept.own" maxlength="120" placeholder="dealt where empty" /></label>
          <button type="submit" class="stone-button">Use these</button>
          <p v-if="trouble" class="trouble" role="alert">{{ trouble }}</p>
        </form>
      </details>
    </section>
    <section class="middle" aria-label="The problem">
      <p class="asked learner">
        <template v-if="now"
          >{{ pretty(spinProblem(now)) }}<template v-if="done"> = {{ now.card + now.sector }}</template></template
        >
        <span v-else class="quiet">Spin, and the problem comes onto the mat.</span>
        <button v-if="now && !done" type="button" class="stone-button" @click="finish">Move the chips</button>
      </p>
      <div class="mat-room">
        <MatOf
          v-if="now"
          :id="bench.bench.setup.representation"
          :key="bench.id"
          :moment="bench.bench.now"
          :lit-places="litPlaces"
          :newest="true"
          :places="columns.length"
        />
        <div v-else class="felt bare" />
      </div>
      <div v-if="now" class="question">
        <span class="learner">Which columns changed?</span>
        <button
          v-for="p in columns"
          :key="p"
          type="button"
          class="stone-button"
          :aria-pressed="(answered ?? []).includes(p)"
          @click="answerColumn(p)"
        >
          {{ placeName(p) }}
        </button>
        <strong class="learner" aria-live="polite">{{ verdict }}</strong>
      </div>
    </section>
    <section class="page" aria-label="Sentences so far">
      <ol class="learner" tabindex="0">
        <li v-if="sentences.length === 0" class="quiet">Each spin writes a line here.</li>
        <li v-for="(s, i) in sentences" :key="i" :class="{ now: i === sentences.length - 1 }">
          {{ i === sentences.length - 1 && !done ? s.split(' = ')[0] : s }}
        </li>
      </ol>
    </section>
  </div>
</template>

<style scoped>
.spinner {
  height: 100%;
  display: grid;
  grid-template-columns: 340px minmax(0, 1fr) 250px;
  min-height: 0;
}
.side {
  padding: 10px 14px;
  display: grid;
  gap: 8px;
  align-content: start;
  overflow: auto;
  border-right: 1.5px solid var(--edge);
}
.back {
  justify-self: start;
}
.side :deep(.wheel) {
  max-width: 270px;
  justify-self: center;
}
.cards {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
  justify-content: center;
}
.card {
  min-width: 3rem;
  text-align: center;
  padding: 0.1rem 0.4rem;
  background: var(--sheet);
  border: 2px solid var(--ink);
  border-radius: 4px;
  font-size: 1.4rem;
  font-weight: 700;
}
.card.there {
  background: var(--ink);
  color: var(--paper);
  rotate: -3deg;
}
.row {
  display: flex;
  gap: 8px;
}
.big {
  flex: 1;
  font-size: 1.25rem;
}
.rules {
  display: grid;
  gap: 8px;
}
.rules label {
  display: grid;
  font-weight: 700;
  flex: 1;
  min-width: 0;
}
.rules input,
.rules select {
  width: 100%;
}
.trouble {
  background: var(--plum-wash);
  border-left: 5px solid var(--plum);
  padding: 0.4rem 0.8rem;
}
.middle {
  display: grid;
  grid-template-rows: auto minmax(0, 1fr) auto;
  min-height: 0;
  min-width: 0;
}
.asked {
  display: flex;
  flex-wrap: wrap;
  gap: 0.8rem;
  align-items: center;
  font-size: 2rem;
  font-weight: 700;
  padding: 6px 16px;
  min-height: 60px;
}
.asked .quiet {
  font: 400 1.1rem var(--ui);
}
.mat-room {
  min-height: 0;
  display: grid;
}
.bare {
  background: var(--felt);
}
.question {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  align-items: center;
  padding: 8px 16px;
  min-height: 62px;
  background: var(--paper-2);
  border-top: 1.5px solid var(--edge);
}
.question span {
  font-size: 1.3rem;
}
.page {
  background: var(--sheet);
  min-height: 0;
  background-image:
    linear-gradient(var(--rule) 1px, transparent 1px), linear-gradient(90deg, var(--rule) 1px, transparent 1px);
  background-size: 22px 22px;
}
.page ol {
  height: 100%;
  overflow: auto;
  list-style: none;
  margin: 0;
  padding: 10px;
  font-size: 1.4rem;
  line-height: 1.6;
}
.page .now {
  background: var(--clay-wash);
  box-shadow: inset 5px 0 0 var(--clay);
  padding-left: 12px;
  font-weight: 700;
}
@media (max-width: 900px) {
  .spinner {
    grid-template-columns: minmax(0, 1fr);
    height: auto;
  }
  .mat-room {
    height: 46vh;
  }
}
</style>
