<script setup lang="ts">
import { RULINGS, type SignedChoices } from '../../../core/index'

/** How plus and minus are worked: where schools differ. */
const choices = defineModel<SignedChoices>({ required: true })
const valueOf = (event: Event): string => (event.target as HTMLSelectElement).value
function set(key: keyof SignedChoices, value: string | boolean | number): void {
  choices.value = { ...choices.value, [key]: value }
}
interface Row {
  readonly key: Exclude<keyof SignedChoices, 'estimate' | 'ruled'>
  readonly label: string
  readonly options: readonly (readonly [string, string])[]
}
const RULED: Readonly<Record<SignedChoices['ruled'], string>> = {
  0: 'as the numbers need',
  2: 'halves',
  4: 'quarters',
  5: 'fifths',
  8: 'eighths',
  10: 'tenths',
  100: 'hundredths',
}
const ROWS: readonly Row[] = [
  {
    key: 'ownSign',
    label: 'A number’s own sign is written',
    options: [
      ['brackets', 'in brackets: 8 − (−4)'],
      ['raised', 'small and raised: 8 − ⁻4'],
    ],
  },
  {
    key: 'bring',
    label: 'Where too few counters lie there, bring in',
    options: [
      ['enough', 'just enough pairs'],
      ['number', 'as many pairs as are taken away'],
    ],
  },
  {
    key: 'pairs',
    label: 'Zero pairs',
    options: [
      ['clear', 'are cleared away'],
      ['stand', 'are left standing on the line'],
    ],
  },
  {
    key: 'from',
    label: 'On the number line, the first number is',
    options: [
      ['first', 'where one stands'],
      ['nought', 'an arrow from nought'],
    ],
  },
  {
    key: 'marks',
    label: 'Marks of the number line',
    options: [
      ['labelled', 'have their numbers'],
      ['blank', 'are blank but for nought'],
    ],
  },
  {
    key: 'story',
    label: 'Told as a story of',
    options: [
      ['none', 'nothing: numbers alone'],
      ['tower', 'steps up and down the tower'],
      ['tokens', 'tokens owned and owed'],
      ['lamp', 'the charge of a lamp'],
    ],
  },
]
</script>

<template>
  <div class="signed-choices">
    <label v-for="row in ROWS" :key="row.key"
      >{{ row.label }}
      <select :value="choices[row.key]" @change="(e) => set(row.key, valueOf(e))">
        <option v-for="[value, name] in row.options" :key="value" :value="value">{{ name }}</option>
      </select></label
    >
    <label
      >The number line is ruled in
      <select :value="choices.ruled" @change="(e) => set('ruled', Number(valueOf(e)))">
        <option v-for="n in RULINGS" :key="n" :value="n">{{ RULED[n] }}</option>
      </select></label
    >
    <label class="check"
      ><input
        type="checkbox"
        :checked="choices.estimate"
        @change="(e) => set('estimate', (e.target as HTMLInputElement).checked)"
      />
      The answer is guessed first</label
    >
  </div>
</template>

<style scoped>
.signed-choices {
  display: grid;
  gap: 0.4rem;
}
label {
  display: flex;
  flex-wrap: wrap;
  gap: 0.6rem;
  align-items: center;
  justify-content: space-between;
}
.check {
  justify-content: flex-start;
  min-height: 44px;
}
.check input {
  width: 22px;
  height: 22px;
}
</style>
