<script setup lang="ts">
import { CURRENCIES, MONEY_SETS, PIECE_VALUES, type Coin, type MoneyChoices } from '../../../core/door'
import type { ChoiceRow } from './rows'

/** With which coins the class counts: a ready set, or its own; and whether paper money is among them. */
const choices = defineModel<MoneyChoices>({ required: true })
type Own = MoneyChoices['own']
function set(key: string, value: string | number): void {
  choices.value = { ...choices.value, ...(key === 'notes' ? { notes: value === 'yes' } : { [key]: value }) }
}
const ROWS: readonly ChoiceRow<'set' | 'notes'>[] = [
  {
    key: 'set',
    label: 'The coins are',
    options: MONEY_SETS.map((id) => [id, id === 'own' ? 'our own' : CURRENCIES[id].title] as const),
  },
  {
    key: 'notes',
    label: 'Paper money',
    options: [
      ['no', 'stays away'],
      ['yes', 'lies there as plain slips'],
    ],
  },
]
const change = (own: Partial<Own>): void =>
  void (choices.value = { ...choices.value, own: { ...choices.value.own, ...own } })
const free = computed(() =>
  PIECE_VALUES.filter((v) => v <= 1000 && !choices.value.own.coins.some((c) => c.value === v)),
)
const put = (i: number, coin: Partial<Coin>): void =>
  change({ coins: choices.value.own.coins.map((c, k) => (k === i ? { ...c, ...coin } : c)) })
const numberIn = (e: Event): number => Number((e.target as HTMLInputElement).value)
const textIn = (e: Event): string => (e.target as HTMLInputElement).value.trim()
</script>

<template>
  <ChoiceRows :rows="ROWS" :chosen="{ ...choices, notes: choices.notes ? 'yes' : 'no' }" @set="set">
    <fieldset v-if="choices.set === 'own'" class="own">
      <legend>Our own coins</legend>
      <p class="quiet">What each is worth, and how many millimetres it is across.</p>
      <ul>
        <li v-for="(coin, i) in choices.own.coins" :key="i">
          <select
            :value="coin.value"
            :aria-label="`Coin ${i + 1}: worth`"
            @change="(e) => put(i, { value: numberIn(e) })"
          >
            <option v-for="v in [coin.value, ...free].sort((a, b) => b - a)" :key="v" :value="v">{{ v }}</option>
          </select>
          <input
            type="number"
            min="10"
            max="40"
            step="0.01"
            :value="coin.across"
            :aria-label="`Coin ${i + 1}: millimetres across`"
            @change="(e) => put(i, { across: Math.min(40, Math.max(10, numberIn(e) || 20)) })"
          />
          <span aria-hidden="true">mm</span>
          <button
            type="button"
            class="stone-button bare"
            :disabled="choices.own.coins.length < 2"
            :aria-label="`Take the coin of ${coin.value} out`"
            @click="change({ coins: choices.own.coins.filter((_, k) => k !== i) })"
          >
            <IconX />
          </button>
        </li>
      </ul>
      <button
        type="button"
        class="stone-button"
        :disabled="choices.own.coins.length >= 12"
        @click="change({ coins: [...choices.own.coins, { value: free.at(-1)!, across: 20 }] })"
      >
        Add a coin
      </button>
      <label class="check">
        <input
          type="checkbox"
          :checked="choices.own.hundred"
          @change="(e) => change({ hundred: (e.target as HTMLInputElement).checked })"
        />
        A hundred make one of the large unit
      </label>
      <label class="line"
        >Sign after the small unit
        <input type="text" maxlength="3" :value="choices.own.small" @change="(e) => change({ small: textIn(e) })"
      /></label>
      <label v-if="choices.own.hundred" class="line"
        >Sign before the large unit
        <input type="text" maxlength="3" :value="choices.own.large" @change="(e) => change({ large: textIn(e) })"
      /></label>
    </fieldset>
  </ChoiceRows>
</template>

<style scoped>
.own {
  display: grid;
  gap: 0.6rem;
  justify-items: start;
  border: 1.5px solid var(--edge);
  border-radius: 6px;
  padding: 0.6rem 0.9rem 0.9rem;
}
ul {
  display: grid;
  gap: 0.4rem;
  margin: 0;
  padding: 0;
  list-style: none;
}
li,
.line {
  display: flex;
  gap: 0.5rem;
  align-items: center;
}
input[type='number'],
input[type='text'] {
  width: 5.5rem;
}
</style>
