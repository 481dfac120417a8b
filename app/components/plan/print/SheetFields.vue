<script setup lang="ts">
import type { SheetChoice } from '../../../../shared/prints'
import { sheetFields } from '../../../utils/sheets'

/** What of one sheet can be set. */
const sheet = defineModel<SheetChoice>({ required: true })
const { t } = useI18n()
const { fieldName, optionName, sheetTitle } = useSheetNames()
const values = computed(() => sheet.value as unknown as Readonly<Record<string, string | number | boolean>>)
const set = (key: string, value: string | number | boolean | null): void => {
  if (value !== null) sheet.value = { ...sheet.value, [key]: value } as SheetChoice
}
const fields = computed(() =>
  sheetFields(sheet.value).map((f) => ({
    ...f,
    name: fieldName(f),
    choices: f.kind === 'choice' ? f.options.map((value) => ({ value, label: optionName(f, value) })) : [],
  })),
)
const id = useId()
</script>

<template>
  <div class="fields" role="group" :aria-label="t('print.settings', { sheet: sheetTitle(sheet) })">
    <template v-for="f in fields" :key="f.key">
      <label v-if="f.kind === 'tick'" class="in-row"
        ><Checkbox
          :model-value="values[f.key] === true"
          binary
          :aria-label="f.name"
          @update:model-value="(to: boolean) => set(f.key, to)"
        />
        {{ f.name }}</label
      >
      <div v-else class="field" :class="{ wide: f.kind === 'text' }">
        <label :for="`${id}-${f.key}`">{{ f.name }}</label>
        <InputNumber
          v-if="f.kind === 'number'"
          :model-value="values[f.key] as number"
          :input-id="`${id}-${f.key}`"
          class="number"
          :min="f.least"
          :max="f.most"
          :use-grouping="false"
          @update:model-value="(to: number | null) => set(f.key, to)"
        />
        <InputText
          v-else-if="f.kind === 'text'"
          :id="`${id}-${f.key}`"
          :maxlength="f.most"
          :model-value="values[f.key] as string"
          @change="set(f.key, ($event.target as HTMLInputElement).value.trim())"
        />
        <Select
          v-else
          :model-value="values[f.key]"
          :label-id="`${id}-${f.key}`"
          :options="f.choices"
          option-label="label"
          option-value="value"
          :aria-label="f.name"
          @update:model-value="(to: string) => set(f.key, to)"
        />
      </div>
    </template>
  </div>
</template>

<style scoped>
.fields {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 14px;
  align-items: end;
}
.wide {
  flex: 1 1 100%;
}
.number :deep(input) {
  width: 5.6rem;
}
</style>
