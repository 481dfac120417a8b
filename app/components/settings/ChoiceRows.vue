<script setup lang="ts">
import type { ChoiceRow } from './rows'

/** Choices one beneath another, each a line with what may be chosen. */
defineProps<{ rows: readonly ChoiceRow[]; chosen: Readonly<Record<string, unknown>> }>()
const emit = defineEmits<{ set: [key: string, value: string | number] }>()
</script>

<template>
  <div class="choice-rows">
    <label v-for="row in rows" :key="row.key"
      >{{ row.label }}
      <select
        :value="chosen[row.key]"
        @change="(e) => emit('set', row.key, row.options[(e.target as HTMLSelectElement).selectedIndex]![0])"
      >
        <option v-for="[value, name] in row.options" :key="value" :value="value">{{ name }}</option>
      </select></label
    >
    <slot />
  </div>
</template>

<style scoped>
.choice-rows {
  display: grid;
  gap: 0.4rem;
}
.choice-rows :deep(label) {
  display: flex;
  flex-wrap: wrap;
  gap: 0.6rem;
  align-items: center;
  justify-content: space-between;
}
.choice-rows :deep(label.check) {
  justify-content: flex-start;
  min-height: 44px;
}
.choice-rows :deep(.check input) {
  width: 22px;
  height: 22px;
}
</style>
