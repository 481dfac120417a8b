<script setup lang="ts">
import type { ChoiceRow } from './rows'
import type { DivisionChoices } from '../../../core/door'

/** How long division is worked: where schools differ, and what its four steps are called here. */
const choices = defineModel<DivisionChoices>({ required: true })
const set = (key: string, value: string | number): void => void (choices.value = { ...choices.value, [key]: value })
const ROWS: readonly ChoiceRow<Exclude<keyof DivisionChoices, 'steps'>>[] = [
  {
    key: 'zero',
    label: 'Where no group fits first',
    options: [
      ['write', 'a 0 is written in the quotient'],
      ['leave', 'the square is left empty'],
    ],
  },
  {
    key: 'multiples',
    label: 'The multiples of the divisor',
    options: [
      ['built', 'are written as they are counted'],
      ['shown', 'stand there from the start'],
      ['hidden', 'stay in the head'],
    ],
  },
]
const STEPS = ['divide', 'multiply', 'subtract', 'bring down'] as const
function name(i: number, text: string): void {
  const steps = choices.value.steps.map((s, k) => (k === i ? text.trim() || STEPS[i]! : s))
  choices.value = { ...choices.value, steps: steps as unknown as DivisionChoices['steps'] }
}
</script>

<template>
  <ChoiceRows :rows="ROWS" :chosen="{ ...choices }" @set="set">
    <label v-for="(step, i) in STEPS" :key="step"
      >The step “{{ step }}” is called
      <input
        type="text"
        maxlength="30"
        :value="choices.steps[i]"
        @change="(e) => name(i, (e.target as HTMLInputElement).value)"
      />
    </label>
  </ChoiceRows>
</template>
