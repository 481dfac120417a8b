<script setup lang="ts">
import type { Size } from '../../../../core/kit/index'
import type { Stock } from '../../../../shared/cupboard'
import { sizeIn, sizeText } from '../../../utils/pieceSize'

/** What else is known of one kind of piece here: its shelf, its true size, and what stands in for it. */
const { name, stock, usual, standIns, mayChange } = defineProps<{
  name: string
  stock: Stock
  usual: Size | null
  standIns: readonly string[]
  mayChange: boolean
}>()
const emit = defineEmits<{ set: [by: Partial<Stock>] }>()
const unread = ref(false)
function setSize(text: string): void {
  if (text.trim() === '') {
    unread.value = false
    return emit('set', { size: undefined })
  }
  const size = sizeIn(text)
  unread.value = size === null
  if (size) emit('set', { size })
}
</script>

<template>
  <details>
    <summary>{{ stock.shelf ? `On ${stock.shelf}` : 'Shelf, size, stand-in' }}</summary>
    <div class="in-row">
      <label
        >Shelf
        <input
          type="text"
          maxlength="60"
          :value="stock.shelf ?? ''"
          :aria-label="`Shelf: ${name}`"
          :disabled="!mayChange"
          @change="emit('set', { shelf: ($event.target as HTMLInputElement).value.trim() || undefined })"
      /></label>
      <label
        >Size in mm
        <input
          type="text"
          maxlength="40"
          :value="stock.size ? sizeText(stock.size) : ''"
          :placeholder="usual ? sizeText(usual) : '20 across, 3 thick'"
          :aria-label="`Size in mm: ${name}`"
          :disabled="!mayChange"
          @change="setSize(($event.target as HTMLInputElement).value)"
      /></label>
      <label v-if="standIns.length"
        >Stands in
        <select
          :value="stock.standIn ?? ''"
          :aria-label="`Stands in: ${name}`"
          :disabled="!mayChange"
          @change="emit('set', { standIn: ($event.target as HTMLSelectElement).value || undefined })"
        >
          <option value="">nothing</option>
          <option v-for="s in standIns" :key="s" :value="s">{{ s }}</option>
        </select></label
      >
    </div>
    <p v-if="unread" class="trouble" role="alert">A size is three edges, 10 × 10 × 100, or 20 across, 3 thick.</p>
  </details>
</template>

<style scoped>
summary {
  min-height: 44px;
  display: flex;
  align-items: center;
  cursor: pointer;
  text-decoration: underline;
}
label {
  display: inline-flex;
  gap: 0.4rem;
  align-items: center;
}
input {
  width: 11rem;
}
p {
  margin: 0.2rem 0;
}
</style>
