<script setup lang="ts">
import { REPRESENTATION_IDS, REPRESENTATIONS } from '../../../../core/door'
import type { SheetChoice } from '../../../../shared/prints'
import { fieldsOf, sheetTitle, type Field } from '../../../utils/sheets'

/** What of one sheet can be set. */
const sheet = defineModel<SheetChoice>({ required: true })
const values = computed(() => sheet.value as unknown as Readonly<Record<string, string | number | boolean>>)
const set = (key: string, value: string | number | boolean): void =>
  void (sheet.value = { ...sheet.value, [key]: value } as SheetChoice)
const inRange = (text: string, field: Extract<Field, { kind: 'number' }>): number =>
  Math.min(field.most, Math.max(field.least, Math.trunc(Number(text) || 0)))
const optionsOf = (field: Extract<Field, { kind: 'choice' }>): readonly (readonly [string, string])[] =>
  field.key === 'material'
    ? REPRESENTATION_IDS.filter((id) => id !== 'equations').map((id) => [id, REPRESENTATIONS[id].title] as const)
    : field.options
</script>

<template>
  <div class="fields" role="group" :aria-label="`${sheetTitle(sheet)}: settings`">
    <label v-for="f in fieldsOf(sheet)" :key="f.key" :class="{ tick: f.kind === 'tick', wide: f.kind === 'text' }">
      <template v-if="f.kind === 'tick'">
        <input
          type="checkbox"
          :checked="values[f.key] === true"
          @change="set(f.key, ($event.target as HTMLInputElement).checked)"
        />
        {{ f.label }}
      </template>
      <template v-else>
        {{ f.label }}
        <input
          v-if="f.kind === 'number'"
          type="number"
          :min="f.least"
          :max="f.most"
          :value="values[f.key]"
          @change="set(f.key, inRange(($event.target as HTMLInputElement).value, f))"
        />
        <input
          v-else-if="f.kind === 'text'"
          type="text"
          :maxlength="f.most"
          :value="values[f.key]"
          @change="set(f.key, ($event.target as HTMLInputElement).value.trim())"
        />
        <select v-else :value="values[f.key]" @change="set(f.key, ($event.target as HTMLSelectElement).value)">
          <option v-for="[value, name] in optionsOf(f)" :key="value" :value="value">{{ name }}</option>
        </select>
      </template>
    </label>
  </div>
</template>

<style scoped>
.fields {
  display: flex;
  flex-wrap: wrap;
  gap: 0.4rem 0.9rem;
}
label {
  display: inline-flex;
  gap: 0.4rem;
  align-items: center;
}
.wide {
  flex: 1 1 100%;
}
.wide input {
  flex: 1;
  min-width: 0;
}
input[type='number'] {
  width: 5.2rem;
}
select {
  max-width: 15rem;
}
</style>
