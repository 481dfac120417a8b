<script setup lang="ts">
import {
  BACK_RANGES,
  FACT_KINDS,
  type FactItem,
  type FactKind,
  factGrid,
  nextFact,
  printFact,
} from '../../../core/rehearse/index'

/** Rehearse what is known by heart: products, counting in steps, doubles and halves, what is missing, counting back. */
const classroom = useClassroom()
const who = useLocalStorage('sett.rehearser', 'teacher')
watchEffect(() => {
  if (who.value !== 'teacher' && !classroom.learners.some((l) => l.id === who.value)) who.value = 'teacher'
})
const { answers, trouble, keep } = useRehearsal(who)

const kept = useLocalStorage('sett.facts', {
  kinds: ['fact'] as FactKind[],
  tables: [2, 5, 10] as number[],
  upTo: 10 as 10 | 12,
  range: 10 as (typeof BACK_RANGES)[number],
})
// What was kept by an earlier Sett, or by hand, may hold what is not known here.
kept.value.kinds = FACT_KINDS.filter((k) => kept.value.kinds.includes(k))
if (kept.value.kinds.length === 0) kept.value.kinds = ['fact']
if (![10, 12].includes(kept.value.upTo)) kept.value.upTo = 10
if (!BACK_RANGES.includes(kept.value.range)) kept.value.range = 10
kept.value.tables = kept.value.tables.filter((n) => Number.isInteger(n) && n >= 1 && n <= 12)
if (kept.value.tables.length === 0) kept.value.tables = [2, 5, 10]

const SAID: Readonly<Record<FactKind, string>> = {
  fact: 'Products',
  skip: 'Count in steps',
  double: 'Doubles',
  half: 'Halves',
  'to-10': 'Missing to 10',
  'to-100': 'Missing to 100',
  back: 'Count back',
}
function flip<T>(list: readonly T[], one: T): T[] {
  const next = list.includes(one) ? list.filter((x) => x !== one) : [...list, one]
  return next.length > 0 ? next : [...list]
}
const stepped = computed(() => kept.value.kinds.includes('fact') || kept.value.kinds.includes('skip'))
const tables = computed(() => Array.from({ length: kept.value.upTo }, (_, i) => i + 1))

const seed = crypto.getRandomValues(new Uint32Array(1))[0]!
const item = shallowRef<FactItem | null>(null)
const turn = ref(0)
const open = ref(false)
const now = ref(Date.now())
const session = ref({ tries: 0, right: 0 })
const folded = ref(false)

function ask(chosen?: FactItem): void {
  now.value = Date.now()
  const { kinds, upTo, range } = kept.value
  const chosenTables = kept.value.tables.filter((n) => n <= upTo)
  const wish = { kinds, upTo, range, seed, tables: chosenTables.length > 0 ? chosenTables : tables.value }
  item.value = chosen ?? nextFact(answers.value, wish, now.value) ?? null
  turn.value += 1
  open.value = item.value !== null
  folded.value = true
}
async function answered(given: string, right: boolean, ms: number): Promise<void> {
  if (!item.value) return
  open.value = false
  session.value = { tries: session.value.tries + 1, right: session.value.right + (right ? 1 : 0) }
  const learnerId = who.value === 'teacher' ? null : who.value
  await keep({ id: crypto.randomUUID(), learnerId, at: Date.now(), item: printFact(item.value), given, right, ms })
  now.value = Date.now()
}
watch([who, () => JSON.stringify(kept.value)], () => {
  item.value = null
  open.value = false
  session.value = { tries: 0, right: 0 }
})
const cells = computed(() => factGrid(answers.value, kept.value.upTo, now.value))
const known = computed(() => cells.value.flat().filter((c) => c.state === 'sure').length)
const people = computed(() => [
  { value: 'teacher', label: 'the teacher' },
  ...classroom.learners.map((l) => ({ value: l.id, label: l.codeName })),
])
useKeys({ Enter: () => !item.value && ask() })
useHead({ title: 'Facts – Rehearse – Sett' })
</script>

<template>
  <div class="rehearsing">
    <section class="wishes" :class="{ folded }" aria-label="What is rehearsed">
      <h1 class="sr-only">Facts and counting in steps</h1>
      <button type="button" class="stone-button unfold" :aria-expanded="!folded" @click="folded = !folded">
        What to rehearse
      </button>
      <label class="who"
        >Who
        <Select v-model="who" :options="people" option-label="label" option-value="value" aria-label="Who rehearses"
      /></label>
      <div role="group" aria-label="What is asked" class="chips several">
        <button
          v-for="k in FACT_KINDS"
          :key="k"
          type="button"
          class="stone-button"
          :aria-pressed="kept.kinds.includes(k)"
          @click="kept.kinds = flip(kept.kinds, k)"
        >
          {{ SAID[k] }}
        </button>
      </div>
      <div v-if="stepped" role="group" aria-label="Tables" class="chips several">
        <button
          v-for="n in tables"
          :key="n"
          type="button"
          class="stone-button"
          :aria-label="`The ${n}s`"
          :aria-pressed="kept.tables.includes(n)"
          @click="kept.tables = flip(kept.tables, n)"
        >
          {{ n }}
        </button>
      </div>
      <label class="who"
        >Up to
        <select v-model.number="kept.upTo">
          <option :value="10">10 × 10</option>
          <option :value="12">12 × 12</option>
        </select></label
      >
      <label v-if="kept.kinds.includes('back')" class="who"
        >Back from
        <select v-model.number="kept.range">
          <option v-for="n in BACK_RANGES" :key="n" :value="n">{{ n }}</option>
        </select></label
      >
      <NuxtLink class="stone-button" to="/practice">Rules and beads</NuxtLink>
    </section>
    <section class="asking" aria-label="Rehearsing">
      <AskedFact v-if="item" :key="turn" :item="item" @answered="answered" @next="ask()" />
      <div v-else class="begin">
        <p class="learner">Products, steps, doubles, halves: what is known without counting?</p>
        <button type="button" class="stone-button main big" @click="ask()">Begin</button>
      </div>
      <p class="tally" role="status">
        <template v-if="session.tries > 0">{{ session.right }} of {{ session.tries }} right this time.</template>
        <span v-if="trouble" class="trouble">{{ trouble }}</span>
      </p>
    </section>
    <section class="results" aria-label="Results">
      <p class="quiet">
        {{ known }} of {{ cells.length * cells.length }} products are sure. Choose a square to rehearse it.
      </p>
      <FactGrid :rows="cells" :hidden="open && item?.kind === 'fact'" @choose="(c) => ask(c.item)" />
      <p class="quiet">
        ✓ right, not due yet · ↻ due again · ✗ missed last time. Answers are exported and deleted together with those of
        rules and beads.
      </p>
    </section>
  </div>
</template>

<style scoped src="../../components/practice/rehearsing.css"></style>
