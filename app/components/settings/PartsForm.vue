<script setup lang="ts">
import type { ChoiceRow } from './rows'
import type { PartsChoices } from '../../../core/door'

/** How parts of a whole are worked: where schools differ. */
const choices = defineModel<PartsChoices>({ required: true })
const set = (key: string, value: string | number | boolean): void =>
  void (choices.value = { ...choices.value, [key]: value })
const ROWS: readonly ChoiceRow<Exclude<keyof PartsChoices, 'estimate'>>[] = [
  {
    key: 'common',
    label: 'Different parts are brought to',
    options: [
      ['least', 'the least common denominator'],
      ['product', 'the product of both denominators'],
    ],
  },
  {
    key: 'form',
    label: 'Lines are written with',
    options: [
      ['fraction', 'fractions: 3/10 + 4/10'],
      ['units', 'units: 3 tenths + 4 tenths'],
    ],
  },
]
</script>

<template>
  <ChoiceRows :rows="ROWS" :chosen="{ ...choices }" @set="set">
    <ChoiceCheck :checked="choices.estimate" @set="(on) => set('estimate', on)"
      >Asked first: is it near nought, a half or a whole?</ChoiceCheck
    >
  </ChoiceRows>
</template>
