<script setup lang="ts">
import { amountIn } from '../../../core/door'

/** The stall of the lantern walk: price tags, one or two things bought, paid and given change for; amounts to pay, and heaps to count. */
const bench = useBench()
const { workThrough } = useSetToWork()
const { shown } = useMoney()

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
const paidWith = ref('100')
const paid = computed(() => amountIn(paidWith.value) ?? 0)
const receipt = ref(false)
const steps = computed(() => {
  if (basket.value.length === 0) return []
  const sum = basket.value.map((t) => t.price).join(' + ')
  return [sum, ...(paid.value > total.value ? [`${paid.value} - ${total.value}`] : [])]
})
const enough = computed(() => total.value > 0 && paid.value >= total.value)
const trouble = ref('')
/** Asked at the bench with coins, one after another: what it costs is laid, then the change is counted up. */
const work = async (problems: readonly string[]): Promise<void> =>
  void (trouble.value = await workThrough(problems, {
    material: 'coins',
    mode: bench.mode === 'show' ? 'together' : bench.mode,
  }))

/* --- the class's own things --- */
const name = ref('')
const price = ref('')
const refusedThing = ref('')
function add(): void {
  const thing = { name: name.value.trim().slice(0, 30), price: amountIn(price.value) ?? NaN }
  refusedThing.value =
    thing.name === ''
      ? 'A thing needs a name.'
      : !sound(thing)
        ? `A price is an amount up to ${shown(500)}, like 45 or 1.35.`
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
            <IconX />
          </button>
        </li>
      </ul>
      <form class="line" novalidate @submit.prevent="add">
        <label>Another thing <input v-model="name" type="text" maxlength="30" /></label>
        <label>Price <input v-model="price" type="text" inputmode="decimal" maxlength="6" class="short" /></label>
        <button type="submit" class="stone-button">Put it on the stall</button>
        <span v-if="refusedThing" class="trouble" role="alert">{{ refusedThing }}</span>
      </form>
    </section>
    <section class="basket" aria-label="What is bought">
      <p v-if="basket.length === 0" class="quiet">Choose one thing, or two.</p>
      <template v-else>
        <p class="learner">{{ basket.map((t) => `${t.name} ${shown(t.price)}`).join(' and ') }}</p>
        <label class="line"
          >Paid with <input v-model="paidWith" type="text" inputmode="decimal" maxlength="7" class="short" />
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
    <PayForm @work="(p) => work([p])" />
    <HeapForm @work="(p) => work([p])" />
    <p v-if="trouble" class="trouble" role="alert">{{ trouble }}</p>
  </div>
</template>

<style scoped src="../../components/bench/shop/stall.css"></style>
<style scoped>
.stall {
  max-width: 62rem;
  margin: 0 auto;
  padding: clamp(0.5rem, 2vw, 1.2rem);
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 1.2rem;
}
.tags {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(10rem, 1fr));
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
</style>
