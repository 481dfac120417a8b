<script setup lang="ts">
import { attempt, CURRENCIES, heapText, moneyText, Refusal } from '../../core/door'
import { dropHeap, HEAP_RULES, type HeapRule, whichCoins } from '../../core/course/index'

/** The stall of the lantern walk: price tags, one or two things bought, paid and given change for; and heaps of coins to be counted. */
const classroom = useClassroom()
const bench = useBench()
const money = computed(() => classroom.classroom?.hands.money.set ?? 'token')
const currency = computed(() => CURRENCIES[money.value])
const values = computed(() => currency.value.coins.map((c) => c.value))
const shown = (amount: number): string => moneyText(amount, currency.value)

interface Thing {
  readonly name: string
  readonly price: number
}
const LANTERNS: readonly Thing[] = [
  { name: 'paper lantern', price: 45 },
  { name: 'length of ribbon', price: 20 },
  { name: 'tea-light', price: 15 },
  { name: 'reed', price: 5 },
  { name: 'lantern string', price: 38 },
]
const things = useLocalStorage<Thing[]>('sett.stall', [...LANTERNS])
// What was kept by an earlier Sett, or by hand, may be no things at all.
const sound = (t: unknown): t is Thing => {
  const { name, price } = (t ?? {}) as Partial<Thing>
  return typeof name === 'string' && Number.isInteger(price) && price! >= 1 && price! <= 500
}
things.value = things.value.filter(sound).slice(0, 12)
if (things.value.length === 0) things.value = [...LANTERNS]

/* --- buying --- */
const bought = ref<number[]>([])
function take(i: number): void {
  bought.value = bought.value.includes(i) ? bought.value.filter((b) => b !== i) : [...bought.value, i].slice(-2)
  receipt.value = false
}
const basket = computed(() => bought.value.flatMap((i) => things.value[i] ?? []))
const total = computed(() => basket.value.reduce((sum, t) => sum + t.price, 0))
const paid = ref(100)
const receipt = ref(false)
const steps = computed(() => {
  if (basket.value.length === 0) return []
  const sum = basket.value.map((t) => t.price).join(' + ')
  return [sum, ...(paid.value > total.value ? [`${paid.value} - ${total.value}`] : [])]
})
const enough = computed(() => total.value > 0 && paid.value >= total.value)
const trouble = ref('')
/** Asked at the bench with coins, one after another: what it costs is laid, then the change is counted up. */
async function work(problems: readonly string[]): Promise<void> {
  const [first, ...rest] = problems
  if (!first) return
  const refused = bench.ask(first, { material: 'coins', mode: bench.mode === 'show' ? 'together' : bench.mode })
  if (refused) {
    trouble.value = refused.message
    return
  }
  bench.queue = rest
  await navigateTo('/bench')
}

/* --- the class's own things --- */
const name = ref('')
const price = ref('')
const refusedThing = ref('')
function add(): void {
  const thing = { name: name.value.trim().slice(0, 30), price: Number(price.value) }
  refusedThing.value =
    thing.name === ''
      ? 'A thing needs a name.'
      : !sound(thing)
        ? 'A price is a whole number from 1 to 500, in the small unit.'
        : things.value.length >= 12
          ? 'The stall has room for twelve things: take one away first.'
          : ''
  if (refusedThing.value) return
  things.value = [...things.value, thing]
  name.value = price.value = ''
}
function away(i: number): void {
  things.value = things.value.filter((_, k) => k !== i)
  if (things.value.length === 0) things.value = [...LANTERNS]
  bought.value = []
}

/* --- a heap --- */
const RULES: Readonly<Record<HeapRule, string>> = {
  any: 'any coins',
  'tens-and-ones': 'only tens and ones',
  'one-switch': 'the kind changes once',
  'three-switches': 'the kind changes three times',
  crosses: 'it passes a whole hundred',
}
const rule = ref<HeapRule>('any')
const heapTotal = ref('')
const heapCoins = ref('')
const heapTrouble = ref('')
const asNumber = (text: string): number | null => (text.trim() === '' ? null : Number(text))
async function drop(): Promise<void> {
  heapTrouble.value = ''
  const seed = crypto.getRandomValues(new Uint32Array(1))[0]!
  const made = attempt(() =>
    dropHeap({
      values: values.value,
      rule: rule.value,
      total: asNumber(heapTotal.value),
      coins: asNumber(heapCoins.value),
      seed,
    }),
  )
  if ('refused' in made) {
    heapTrouble.value = `${made.refused.reason} ${made.refused.hint}`.trim()
    return
  }
  await work([heapText(made.ok)])
}
/** All that so many coins could be, where both are said. */
const could = ref<ReturnType<typeof whichCoins> | null>(null)
function which(): void {
  const [sum, coins] = [asNumber(heapTotal.value), asNumber(heapCoins.value)]
  could.value = null
  heapTrouble.value = ''
  if (
    !sum ||
    !coins ||
    !Number.isInteger(sum) ||
    !Number.isInteger(coins) ||
    sum > 1000 ||
    coins > 60 ||
    sum < 1 ||
    coins < 1
  ) {
    heapTrouble.value = new Refusal('Say what it comes to, up to 1000, and how many coins it has, up to 60.').message
    return
  }
  could.value = whichCoins(sum, coins, values.value)
}
useHead({ title: 'The stall – Sett' })
</script>

<template>
  <div class="stall">
    <h1>The stall</h1>
    <section aria-label="Price tags">
      <ul class="tags">
        <li v-for="(t, i) in things" :key="i">
          <button type="button" class="tag" :aria-pressed="bought.includes(i)" @click="take(i)">
            <span class="name">{{ t.name }}</span>
            <span class="price learner">{{ shown(t.price) }}</span>
          </button>
          <button type="button" class="stone-button bare" :aria-label="`Take ${t.name} off the stall`" @click="away(i)">
            <i class="pi pi-times" aria-hidden="true" />
          </button>
        </li>
      </ul>
      <form class="line" novalidate @submit.prevent="add">
        <label>Another thing <input v-model="name" type="text" maxlength="30" /></label>
        <label>Price <input v-model="price" type="text" inputmode="numeric" maxlength="3" class="short" /></label>
        <button type="submit" class="stone-button">Put it on the stall</button>
        <span v-if="refusedThing" class="trouble" role="alert">{{ refusedThing }}</span>
      </form>
    </section>
    <section class="basket" aria-label="What is bought">
      <p v-if="basket.length === 0" class="quiet">Choose one thing, or two.</p>
      <template v-else>
        <p class="learner">{{ basket.map((t) => `${t.name} ${shown(t.price)}`).join(' and ') }}</p>
        <label class="line"
          >Paid with <input v-model.number="paid" type="number" min="1" max="2000" step="1" class="short" />
          <span v-if="!enough" class="trouble" role="status">That is not enough.</span></label
        >
        <div class="line">
          <button type="button" class="stone-button main" :disabled="!enough" @click="work(steps)">
            Pay and give change at the bench
          </button>
          <button
            type="button"
            class="stone-button"
            :disabled="!enough"
            :aria-expanded="receipt"
            @click="receipt = !receipt"
          >
            Receipt
          </button>
          <span v-if="trouble" class="trouble" role="alert">{{ trouble }}</span>
        </div>
        <ol v-if="receipt && enough" class="receipt learner" aria-label="Receipt">
          <li v-for="(t, i) in basket" :key="i">
            <span>{{ t.name }}</span><span>{{ shown(t.price) }}</span>
          </li>
          <li v-if="basket.length > 1">
            <span>{{ basket.map((t) => t.price).join(' + ') }} = {{ total }}</span
            ><span>{{ shown(total) }}</span>
          </li>
          <li>
            <span>paid</span><span>{{ shown(paid) }}</span>
          </li>
          <li>
            <span>{{ paid }} − {{ total }} = {{ paid - total }}</span
            ><span>change {{ shown(paid - total) }}</span>
          </li>
        </ol>
      </template>
    </section>
    <section aria-label="A heap of coins">
      <h2>A heap of coins</h2>
      <form class="line" novalidate @submit.prevent="drop">
        <label
          >It should need
          <select v-model="rule">
            <option v-for="r in HEAP_RULES" :key="r" :value="r">{{ RULES[r] }}</option>
          </select></label
        >
        <label
          >Comes to <input v-model="heapTotal" type="text" inputmode="numeric" maxlength="4" class="short"
        /></label>
        <label>Coins <input v-model="heapCoins" type="text" inputmode="numeric" maxlength="2" class="short" /></label>
        <button type="submit" class="stone-button main">Drop it on the bench</button>
        <button type="button" class="stone-button" @click="which">Which coins could these be?</button>
        <span v-if="heapTrouble" class="trouble" role="alert">{{ heapTrouble }}</span>
      </form>
      <p v-if="could && could.heaps.length === 0" role="status">No coins of this class come to that.</p>
      <ul v-else-if="could" class="could learner" aria-label="What they could be">
        <li v-for="(heap, i) in could.heaps" :key="i">{{ heapText(heap).replaceAll('*', '×') }}</li>
        <li v-if="could.more">… and more</li>
      </ul>
    </section>
  </div>
</template>

<style scoped>
.stall {
  max-width: 62rem;
  margin: 0 auto;
  padding: 1.2rem;
  display: grid;
  gap: 1.2rem;
}
section {
  display: grid;
  gap: 0.7rem;
}
.tags {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(12rem, 1fr));
  gap: 0.8rem;
  margin: 0;
  padding: 0;
  list-style: none;
}
.tags li {
  display: flex;
  align-items: start;
}
.tag {
  flex: 1;
  display: grid;
  gap: 0.3rem;
  justify-items: center;
  padding: 0.9rem 0.6rem;
  border: 2px solid var(--edge);
  border-radius: 4px 26px 26px 4px;
  background: var(--sheet);
  color: var(--ink);
  font: inherit;
  cursor: pointer;
}
.tag[aria-pressed='true'] {
  border: 4px solid var(--clay);
  background: var(--clay-wash);
}
.price {
  font-size: 1.7rem;
  font-weight: 700;
}
.line {
  display: flex;
  flex-wrap: wrap;
  gap: 0.6rem 1rem;
  align-items: center;
}
.line label {
  display: inline-flex;
  gap: 0.5rem;
  align-items: center;
}
.short {
  width: 5.5rem;
}
.trouble {
  color: var(--plum);
  font-weight: 700;
}
.basket {
  padding: 1rem;
  border-left: 6px solid var(--clay);
  background: var(--paper-2);
  font-size: 1.15rem;
}
.receipt {
  width: min(26rem, 100%);
  margin: 0;
  padding: 0.8rem 1rem;
  list-style: none;
  background: var(--sheet);
  border: 1.5px solid var(--edge);
}
.receipt li {
  display: flex;
  justify-content: space-between;
  gap: 1rem;
  padding: 0.2rem 0;
}
.receipt li:last-child {
  border-top: 2px solid var(--ink);
  font-weight: 700;
}
.could {
  columns: 16rem;
  margin: 0;
  padding-left: 1.2rem;
}
</style>
