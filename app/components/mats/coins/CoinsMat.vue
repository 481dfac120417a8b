<script setup lang="ts">
import {
  currencyOf,
  fewestCoins,
  type Mode,
  moneyText,
  priceOf,
  printNumeral,
  type Setup,
  type Standing,
  waysToPay,
} from '../../../../core/door'
import type { CoinsState } from '../../../../core/representation/coins/coins'

/** A heap of plain discs with their value, or a till; what has been counted moves over and stays seen, kind by kind. */
const props = defineProps<{ state: CoinsState; setup: Setup; standing: Standing; mode: Mode; newest: boolean }>()
const emit = defineEmits<{ move: [text: string]; say: [text: string] }>()
const ScaleDialog = defineAsyncComponent(() => import('./ScaleDialog.vue'))

const movable = computed(() => props.mode !== 'show')
const told = computed(() => props.mode !== 'alone')
const currency = computed(() => currencyOf(props.setup.choices.money))
const { perMm, known, measure } = useTrueScale()
const measuring = ref(false)
/** As much smaller paper money is drawn, since a slip at its true size would take up half the mat. */
const SLIP = 3
const slips = computed(() =>
  props.setup.choices.money.notes ? currency.value.notes.filter((n) => props.state.values.includes(n.value)) : [],
)
/** How a piece is drawn: a coin at its true size; where the screen was never measured, as the usual screen has it. */
function shape(value: number): Readonly<Record<string, string>> {
  const px = (mm: number): string => `${mm * perMm.value}px`
  const coin = currency.value.coins.find((c) => c.value === value)
  const slip = coin ? undefined : slips.value.find((n) => n.value === value)
  if (slip)
    return { width: px(slip.wide / SLIP), height: px(slip.high / SLIP), aspectRatio: 'auto', borderRadius: '3px' }
  return { width: px(coin?.across ?? 22) }
}
const nameOf = (value: number): string =>
  value % 100 === 0 && currency.value.large && currency.value.hundred
    ? `${currency.value.large}${value / 100}`
    : `${value}${currency.value.small}`
/** What a heap is held against, and the three things that can be said of it. */
const price = computed(() => priceOf(props.setup.problem))
const SAID = [
  ['<', 'Not enough'],
  ['=', 'Just enough'],
  ['>', 'Enough, some left'],
] as const
const said = computed(() => props.state.compared?.relations[0])

/** The heap, kind by kind for the keyboard, and coin by coin as it lies. */
const heap = computed(() => props.state.heap ?? [])
const till = computed(() => props.state.heap === null)
const kinds = computed(() =>
  props.state.values.map((value) => ({
    value,
    left: heap.value.filter((v) => v === value).length,
    counted: props.state.counted.filter((v) => v === value).length,
  })),
)
/** What is counted, in rows of one kind each, in the order in which they came. */
const rows = computed(() => {
  const order = [...new Set(props.state.counted)]
  return order.map((value) => ({ value, coins: props.state.counted.filter((v) => v === value) }))
})
const total = computed(() => props.state.counted.reduce((a, b) => a + b, 0))
const reached = computed(() => Number(props.state.from ?? 0) + total.value)
const last = computed(() => props.state.counted.at(-1))

/** In Alone the learner says the total with each coin; it is typed before the coin is counted, or left out. */
const word = ref('')
function count(value: number): void {
  const said = word.value.trim()
  word.value = ''
  emit('move', /^\d{1,5}$/.test(said) ? `count ${value} saying ${Number(said)}` : `count ${value}`)
}
/** Fair exchanges of one coin counted for smaller ones, and of several for one greater. */
const swaps = computed(() => {
  const { values, counted } = props.state
  return values.flatMap((value) => {
    const smaller = values.filter((v) => v < value)
    const parts = fewestCoins(value, smaller)
    if (!parts || parts.length > 10) return []
    const has = (list: readonly number[]): boolean =>
      [...new Set(list)].every((v) => counted.filter((c) => c === v).length >= list.filter((c) => c === v).length)
    return [
      ...(has([value]) ? [{ from: [value], to: parts }] : []),
      ...(has(parts) ? [{ from: parts, to: [value] }] : []),
    ]
  })
})
const swapping = ref(false)
/** Where change is asked and nothing has been begun: from which price to what was paid. */
const change = computed(() => {
  const { first, terms } = props.setup.problem
  const [term] = terms
  if (props.state.from !== null || props.state.counted.length > 0 || term?.operation !== '-') return null
  return { price: Number(printNumeral(term.number)), paid: Number(printNumeral(first)) }
})
const described = computed(() => {
  const side = (list: { value: number; n: number }[]): string =>
    list
      .filter((k) => k.n > 0)
      .map((k) => `${k.n} of ${nameOf(k.value)}`)
      .join(', ') || 'nothing'
  const left = till.value ? '' : `In the heap: ${side(kinds.value.map((k) => ({ value: k.value, n: k.left })))}. `
  return `${left}Counted: ${side(kinds.value.map((k) => ({ value: k.value, n: k.counted })))}${told.value ? `, ${moneyText(total.value, currency.value)}` : ''}.`
})
/** In how many ways an amount could be paid: told where it is paid from the till. */
const ways = computed(() => {
  const { terms, first } = props.setup.problem
  if (!till.value || terms.length > 0 || first.form !== 'places') return 0
  const amount = Number(first.digits)
  return amount <= 500 ? waysToPay(amount, props.state.values) : 0
})
</script>

<template>
  <div class="mat">
    <div class="coins felt" role="group" aria-label="The mat">
      <p class="sr-only" aria-live="polite">{{ described }}</p>
      <section class="heap" :aria-label="till ? 'The till' : 'The heap'">
        <header>
          <span class="head">{{ till ? 'Till' : 'Heap' }}</span>
          <button type="button" class="stone-button bare" @click="measuring = true">
            {{ known ? 'True size' : 'Measure this screen' }}
          </button>
        </header>
        <div v-if="till" class="lying" role="group" aria-label="Give a coin">
          <button
            v-for="value in state.values"
            :key="value"
            type="button"
            class="coin learner"
            :style="shape(value)"
            :disabled="!movable"
            :aria-label="`Give ${nameOf(value)}`"
            @click="count(value)"
          >
            {{ nameOf(value) }}
          </button>
        </div>
        <div v-else class="lying" aria-hidden="true">
          <span
            v-for="(value, i) in heap"
            :key="i"
            class="coin learner"
            :style="shape(value)"
            @click="movable && count(value)"
            >{{ nameOf(value) }}</span
          >
        </div>
        <div v-if="movable" class="acts" role="group" aria-label="Count a coin">
          <template v-if="!till">
            <button
              v-for="k in kinds.filter((kind) => kind.left + kind.counted > 0)"
              :key="k.value"
              type="button"
              class="stone-button learner"
              :disabled="k.left === 0"
              :aria-label="`Count ${nameOf(k.value)}, ${k.left} in the heap`"
              @click="count(k.value)"
            >
              {{ nameOf(k.value) }}
            </button>
          </template>
          <label v-if="!told" class="word"
            >I say
            <input v-model="word" class="learner" type="text" inputmode="numeric" maxlength="5" autocomplete="off" />
          </label>
        </div>
      </section>
      <section class="counted" aria-label="Counted">
        <header>
          <span class="head">{{
            state.from === null
              ? 'Counted'
              : `From ${moneyText(Number(state.from), currency)} to ${moneyText(Number(state.to), currency)}`
          }}</span>
          <span v-if="told && state.counted.length > 0" class="total learner">{{ moneyText(reached, currency) }}</span>
        </header>
        <div class="rows">
          <p v-for="row in rows" :key="row.value" class="row">
            <span
              v-for="(value, i) in row.coins"
              :key="i"
              class="coin learner"
              :class="{ now: newest && value === last && i === row.coins.length - 1 }"
              :style="shape(value)"
              aria-hidden="true"
              @click="movable && emit('move', `back ${value}`)"
              >{{ nameOf(value) }}</span
            >
          </p>
        </div>
        <div v-if="movable" class="acts">
          <button
            v-if="change"
            type="button"
            class="stone-button main"
            @click="emit('move', `from ${change.price} to ${change.paid}`)"
          >
            Count up from {{ moneyText(change.price, currency) }}
          </button>
          <button
            type="button"
            class="stone-button"
            :disabled="last === undefined"
            @click="emit('move', `back ${last}`)"
          >
            Take the last back
          </button>
          <button
            type="button"
            class="stone-button"
            :aria-expanded="swapping"
            :disabled="swaps.length === 0"
            @click="swapping = !swapping"
          >
            Exchange
          </button>
          <template v-if="swapping">
            <button
              v-for="s in swaps"
              :key="`${s.from.join()}:${s.to.join()}`"
              type="button"
              class="stone-button learner"
              :aria-label="`Exchange ${s.from.map(nameOf).join(' and ')} for ${s.to.map(nameOf).join(' and ')}`"
              @click="emit('move', `swap ${s.from.join(' ')} for ${s.to.join(' ')}`)"
            >
              {{ s.from.map(nameOf).join(' + ') }} → {{ s.to.map(nameOf).join(' + ') }}
            </button>
          </template>
        </div>
        <div v-if="price !== null" class="acts" role="group" aria-label="Is it enough?">
          <span class="learner">Enough for {{ moneyText(price, currency) }}?</span>
          <template v-for="[relation, text] in SAID" :key="relation">
            <button
              type="button"
              class="stone-button"
              :disabled="!movable || state.counted.length === 0"
              :aria-pressed="said === relation"
              @click="emit('move', `compare ${total} ${relation} ${price}`)"
            >
              <span aria-hidden="true">{{ relation }} </span>{{ text }}
            </button>
          </template>
        </div>
        <p v-if="slips.length > 0" class="quiet ways">Slips are drawn at a third of their size.</p>
        <p v-if="told && ways > 1" class="quiet ways">These coins pay it in {{ ways.toLocaleString('en') }} ways.</p>
      </section>
      <ScaleDialog v-if="measuring" v-model:open="measuring" :per-mm="perMm" @measured="measure" />
    </div>
  </div>
</template>

<style scoped>
.mat {
  height: 100%;
  container-type: inline-size;
}
.coins {
  height: 100%;
  overflow: auto;
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
  background: var(--felt);
  color: var(--on-felt);
}
section {
  display: grid;
  grid-template-rows: auto minmax(8rem, 1fr) auto;
  gap: 0.5rem;
  padding: 0.6rem 0.8rem 0.8rem;
  min-width: 0;
}
.counted {
  border-left: 2px dashed var(--felt-line);
  grid-template-rows: auto minmax(8rem, 1fr) auto auto;
}
header {
  display: flex;
  flex-wrap: wrap;
  justify-content: space-between;
  align-items: center;
  gap: 0.5rem;
  min-height: 44px;
}
header .bare {
  color: var(--on-felt);
  text-decoration: underline;
}
header .bare:hover:not(:disabled) {
  color: var(--ink);
}
.head {
  font-weight: 700;
  font-size: 1.05rem;
}
.total {
  padding: 0.1rem 0.7rem;
  border-radius: 4px;
  background: var(--sheet);
  color: var(--ink);
  font-weight: 700;
  font-size: 1.6rem;
}
.lying,
.rows,
.row {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  align-items: center;
  align-content: flex-start;
}
.rows {
  gap: 8px 24px;
}
.row {
  gap: 4px;
}
.coin {
  display: grid;
  place-items: center;
  flex: none;
  aspect-ratio: 1;
  border: 2.5px solid var(--piece-line);
  border-radius: 50%;
  background: var(--piece);
  color: var(--piece-line);
  font-weight: 700;
  font-size: 1.15rem;
  font-family: inherit;
  line-height: 1;
  padding: 0;
  cursor: pointer;
}
.coin:disabled {
  cursor: default;
}
.coin.now {
  box-shadow: 0 0 0 4px var(--focus-on-felt);
}
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 0.4rem;
  align-items: center;
}
.word {
  display: inline-flex;
  gap: 0.4rem;
  align-items: center;
}
.word input {
  width: 5rem;
  color: var(--ink);
}
.ways {
  color: var(--on-felt);
}
@container (max-width: 34rem) {
  .coins {
    grid-template-columns: minmax(0, 1fr);
  }
  .counted {
    border-left: 0;
    border-top: 2px dashed var(--felt-line);
  }
}
</style>
