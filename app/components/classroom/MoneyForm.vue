<script setup lang="ts">
import { CURRENCIES, MONEY_SETS, type MoneyChoices } from '../../../core/door'
import type { ChoiceRow } from './rows'

/** With which coins the class counts. */
const choices = defineModel<MoneyChoices>({ required: true })
const set = (key: string, value: string | number): void =>
  void (choices.value = { ...choices.value, [key]: value } as MoneyChoices)
const ROWS: readonly ChoiceRow<keyof MoneyChoices>[] = [
  { key: 'set', label: 'The coins are', options: MONEY_SETS.map((id) => [id, CURRENCIES[id].title] as const) },
]
</script>

<template>
  <ChoiceRows :rows="ROWS" :chosen="{ ...choices }" @set="set" />
</template>
