<script setup lang="ts">
import type { ChoiceRow } from './rows'
import { exact, pieceName, RULINGS, type SignedChoices } from '../../../core/door'

/** How plus and minus are worked: where schools differ. */
const choices = defineModel<SignedChoices>({ required: true })
const set = (key: string, value: string | number | boolean): void =>
  void (choices.value = { ...choices.value, [key]: value })
const nameOf = (n: number): string => (n === 0 ? 'as the numbers need' : pieceName(exact(`1/${n}`), 2, undefined))
const ROWS: readonly ChoiceRow<Exclude<keyof SignedChoices, 'estimate'>>[] = [
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
    key: 'ruled',
    label: 'The number line is ruled in',
    options: RULINGS.map((n) => [n, nameOf(n)] as const),
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
  <ChoiceRows :rows="ROWS" :chosen="{ ...choices }" @set="set">
    <ChoiceCheck :checked="choices.estimate" @set="(on) => set('estimate', on)"
      >The answer is guessed first</ChoiceCheck
    >
  </ChoiceRows>
</template>
