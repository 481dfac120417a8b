<script setup lang="ts">
import type { AbacusChoices } from '../../../core/door'
import type { ChoiceRow } from './rows'
import { MOST_RODS } from '../../../core/representation/abacus/index'

/** How the abacus is worked: where schools differ. */
const choices = defineModel<AbacusChoices>({ required: true })
const set = (key: string, value: string | number): void => void (choices.value = { ...choices.value, [key]: value })
const valueOf = (event: Event): string => (event.target as HTMLSelectElement).value
const naming = computed(() => (typeof choices.value.names === 'string' ? choices.value.names : 'own'))
function nameBy(chosen: string): void {
  const names =
    chosen === 'partner' || chosen === 'complement' ? chosen : { five: 'five complement', ten: 'ten complement' }
  choices.value = { ...choices.value, names }
}
function rename(n: 'five' | 'ten', text: string): void {
  const { names } = choices.value
  if (typeof names === 'object' && text.trim())
    choices.value = { ...choices.value, names: { ...names, [n]: text.trim() } }
}

const ROWS: readonly ChoiceRow<Exclude<keyof AbacusChoices, 'names'>>[] = [
  {
    key: 'order',
    label: 'Numbers are worked from',
    options: [
      ['highest', 'the highest place'],
      ['ones', 'the ones'],
    ],
  },
  {
    key: 'first',
    label: 'With a ten complement, move first',
    options: [
      ['ten', 'the ten on the next rod'],
      ['complement', 'the complement on this rod'],
    ],
  },
  {
    key: 'hands',
    label: 'Beads are moved with',
    options: [
      ['right', 'the right hand'],
      ['left', 'the left hand'],
      ['both', 'both, the left for the tens'],
    ],
  },
  {
    key: 'rods',
    label: 'Rods on the frame',
    options: [
      [0, 'as many as are needed'],
      ...Array.from({ length: MOST_RODS }, (_, i) => [i + 1, String(i + 1)] as const),
    ],
  },
  {
    key: 'right',
    label: 'Rods right of the unit rod, at least',
    options: [0, 1, 2, 3].map((n) => [n, n === 0 ? 'none' : String(n)] as const),
  },
  {
    key: 'frameBeads',
    label: 'Beads on a rod of the bead frame',
    options: [
      [9, 'nine'],
      [10, 'ten'],
    ],
  },
]
</script>

<template>
  <ChoiceRows :rows="ROWS" :chosen="{ ...choices }" @set="set">
    <label
      >The complements are called
      <select :value="naming" @change="(e) => nameBy(valueOf(e))">
        <option value="complement">five complement, ten complement</option>
        <option value="partner">partner of five, partner of ten</option>
        <option value="own">by our own names</option>
      </select></label
    >
    <template v-if="typeof choices.names === 'object'">
      <label v-for="n in ['five', 'ten'] as const" :key="n"
        >What makes {{ n }} is called
        <input
          type="text"
          class="own"
          maxlength="30"
          required
          :value="choices.names[n]"
          @change="(e) => rename(n, valueOf(e))"
        />
      </label>
    </template>
  </ChoiceRows>
</template>
