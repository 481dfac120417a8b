<script setup lang="ts">
import { amountIn, everyPayment, heapText, waysToPay } from '../../../../core/door'

/** An amount to be paid exactly: with the fewest coins, without those that are not there; and every way to pay it. */
const emit = defineEmits<{ work: [problem: string] }>()
const { values, shown } = useMoney()

const amount = ref('87')
const without = ref<number[]>([])
const trouble = ref('')
const listed = ref<{ readonly lines: readonly string[]; readonly count: number } | null>(null)
const MOST_LISTED = 60
const LARGEST_LISTED = 500
const left = computed(() => values.value.filter((v) => !without.value.includes(v)))
function paid(): number | undefined {
  const sum = amountIn(amount.value)
  trouble.value = sum ? '' : 'Say what is to be paid, like 87 or 1.35.'
  listed.value = null
  return sum || undefined
}
function pay(): void {
  const sum = paid()
  const gone = without.value.filter((v) => values.value.includes(v)).sort((a, b) => b - a)
  if (sum) emit('work', gone.length > 0 ? `${sum} without ${gone.join(' and ')}` : String(sum))
}
function list(): void {
  const sum = paid()
  if (!sum) return
  if (sum > LARGEST_LISTED) {
    trouble.value = `Ways are listed of amounts up to ${shown(LARGEST_LISTED)}.`
    return
  }
  const lines = everyPayment(sum, left.value, MOST_LISTED).ways.map((coins) =>
    heapText(
      [...new Set(coins)].map((value) => ({ value, count: coins.filter((c) => c === value).length })),
    ).replaceAll('*', '×'),
  )
  listed.value = { lines, count: waysToPay(sum, left.value) }
}
</script>

<template>
  <section aria-label="Paying">
    <h2>Pay exactly</h2>
    <form class="line" novalidate @submit.prevent="pay">
      <label>To pay <input v-model="amount" type="text" inputmode="decimal" maxlength="8" class="short" /></label>
      <fieldset class="line">
        <legend class="sr-only">Coins that are not there</legend>
        <span aria-hidden="true">without</span>
        <label v-for="value in values" :key="value" class="learner kind">
          <input v-model="without" type="checkbox" :value="value" />{{ shown(value) }}
        </label>
      </fieldset>
      <button type="submit" class="stone-button main">Pay it at the bench</button>
      <button type="button" class="stone-button" @click="list">Every way to pay it</button>
      <span v-if="trouble" class="trouble" role="alert">{{ trouble }}</span>
    </form>
    <template v-if="listed">
      <p role="status">
        {{
          listed.count === 0
            ? 'These coins do not make it.'
            : listed.count === 1
              ? 'There is one way.'
              : `There are ${listed.count.toLocaleString('en')} ways.`
        }}
      </p>
      <ul class="listed learner" aria-label="Ways to pay">
        <li v-for="line in listed.lines" :key="line">{{ line }}</li>
        <li v-if="listed.count > listed.lines.length">… and more</li>
      </ul>
    </template>
  </section>
</template>

<style scoped src="./stall.css"></style>
<style scoped>
fieldset {
  border: 0;
  margin: 0;
  padding: 0;
}
.kind {
  min-height: 44px;
}
</style>
