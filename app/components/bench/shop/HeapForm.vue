<script setup lang="ts">
import { amountIn, attempt, heapText, Refusal } from '../../../../core/door'
import { dropHeap, HEAP_RULES, type HeapRule, whichCoins } from '../../../../core/course/index'

/** A heap of coins: dropped for a total, a number of coins or a rule, or put together by hand; and whether it is enough. */
const emit = defineEmits<{ work: [problem: string] }>()
const { values, shown } = useMoney()

const RULES: Readonly<Record<HeapRule, string>> = {
  any: 'any coins',
  'tens-and-ones': 'only tens and ones',
  'one-switch': 'the kind changes once',
  'three-switches': 'the kind changes three times',
  crosses: 'it passes a whole hundred',
}
const rule = ref<HeapRule>('any')
const total = ref('')
const coins = ref('')
const trouble = ref('')
const asCount = (text: string): number | null => (text.trim() === '' ? null : Number(text))
const asTotal = (): number | null => (total.value.trim() === '' ? null : (amountIn(total.value) ?? NaN))
function drop(): void {
  trouble.value = ''
  const seed = crypto.getRandomValues(new Uint32Array(1))[0]!
  const made = attempt(() =>
    dropHeap({ values: values.value, rule: rule.value, total: asTotal(), coins: asCount(coins.value), seed }),
  )
  if ('refused' in made) trouble.value = `${made.refused.reason} ${made.refused.hint}`.trim()
  else emit('work', heapText(made.ok))
}
/** All that so many coins could be, where both are said. */
const could = ref<ReturnType<typeof whichCoins> | null>(null)
function which(): void {
  const [sum, count] = [asTotal(), asCount(coins.value)]
  could.value = null
  trouble.value = ''
  const sound = (n: number | null, most: number): n is number =>
    n !== null && Number.isInteger(n) && n >= 1 && n <= most
  if (sound(sum, 1000) && sound(count, 60)) could.value = whichCoins(sum, count, values.value)
  else trouble.value = new Refusal('Say what it comes to, up to 1000, and how many coins it has, up to 60.').message
}

/* --- by hand --- */
const heap = ref<Record<number, number>>({})
const kinds = computed(() =>
  values.value.flatMap((value) => (heap.value[value] ? [{ value, count: heap.value[value]! }] : [])),
)
const lie = computed(() => kinds.value.reduce((n, k) => n + k.count, 0))
function put(value: number, more: number): void {
  if (lie.value + more > 60) return
  heap.value = { ...heap.value, [value]: Math.max(0, (heap.value[value] ?? 0) + more) }
}
const price = ref('')
const priceTrouble = ref('')
function enough(): void {
  const amount = amountIn(price.value)
  priceTrouble.value = amount === undefined ? 'Say what it should pay, like 135 or 1.35.' : ''
  if (amount !== undefined) emit('work', `${heapText(kinds.value)} ? ${amount}`)
}
</script>

<template>
  <section aria-label="A heap of coins">
    <h2>A heap of coins</h2>
    <form class="line" novalidate @submit.prevent="drop">
      <label
        >It should need
        <select v-model="rule">
          <option v-for="r in HEAP_RULES" :key="r" :value="r">{{ RULES[r] }}</option>
        </select></label
      >
      <label>Comes to <input v-model="total" type="text" inputmode="decimal" maxlength="7" class="short" /></label>
      <label>Coins <input v-model="coins" type="text" inputmode="numeric" maxlength="2" class="short" /></label>
      <button type="submit" class="stone-button main">Drop it on the bench</button>
      <button type="button" class="stone-button" @click="which">Which coins could these be?</button>
      <span v-if="trouble" class="trouble" role="alert">{{ trouble }}</span>
    </form>
    <p v-if="could && could.heaps.length === 0" role="status">No coins of this class come to that.</p>
    <ul v-else-if="could" class="listed learner" aria-label="What they could be">
      <li v-for="(h, i) in could.heaps" :key="i">{{ heapText(h).replaceAll('*', '×') }}</li>
      <li v-if="could.more">… and more</li>
    </ul>
    <h3>Put one together</h3>
    <ul class="kinds" aria-label="Coins of the heap">
      <li v-for="value in values" :key="value">
        <button
          type="button"
          class="stone-button learner"
          :aria-label="`One more ${shown(value)}`"
          @click="put(value, 1)"
        >
          {{ shown(value) }}
        </button>
        <span class="learner count">{{ heap[value] ?? 0 }}</span>
        <button
          type="button"
          class="stone-button bare"
          :disabled="!heap[value]"
          :aria-label="`One ${shown(value)} less`"
          @click="put(value, -1)"
        >
          <IconMinus />
        </button>
      </li>
    </ul>
    <form class="line" novalidate @submit.prevent="enough">
      <p class="learner" role="status">
        {{ lie === 0 ? 'No coins yet.' : heapText(kinds).replaceAll('*', '×')
        }}{{ lie >= 60 ? ', as many as lie in a heap' : '' }}
      </p>
      <button type="button" class="stone-button main" :disabled="lie === 0" @click="emit('work', heapText(kinds))">
        Count it at the bench
      </button>
      <label>Should pay <input v-model="price" type="text" inputmode="decimal" maxlength="7" class="short" /></label>
      <button type="submit" class="stone-button" :disabled="lie === 0">Is it enough?</button>
      <span v-if="priceTrouble" class="trouble" role="alert">{{ priceTrouble }}</span>
    </form>
  </section>
</template>

<style scoped src="./stall.css"></style>
<style scoped>
.kinds {
  display: flex;
  flex-wrap: wrap;
  gap: 0.6rem 1.2rem;
  margin: 0;
  padding: 0;
  list-style: none;
}
.kinds li {
  display: inline-flex;
  align-items: center;
}
.count {
  min-width: 1.6rem;
  text-align: center;
  font-weight: 700;
}
</style>
