<script setup lang="ts">
/** One limit of the sentence: a list to choose from, or a box to type in. */
defineProps<{
  shown: {
    readonly label: string
    readonly before: string
    readonly options: readonly { readonly value: string | number; readonly label: string }[] | null
    readonly isInvalid: boolean
    readonly field: { readonly hint?: string | undefined }
  }
  value: unknown
  /** Whether its name stands above it. */
  labelled?: boolean
}>()
const emit = defineEmits<{ take: [value: unknown] }>()
const { t } = useI18n()
</script>

<template>
  <span :class="labelled ? 'field' : 'in-sentence'">
    <span v-if="labelled" aria-hidden="true">{{ shown.label }}</span>
    <span v-else-if="shown.before" class="before" aria-hidden="true">{{ shown.before }}</span>
    <Select
      v-if="shown.options"
      :model-value="value"
      :options="[...shown.options]"
      option-label="label"
      option-value="value"
      :placeholder="shown.options.find((o) => o.value === '')?.label"
      :invalid="shown.isInvalid"
      :aria-label="shown.label"
      @update:model-value="(v) => emit('take', v)"
    />
    <InputText
      v-else
      class="box"
      :model-value="String(value ?? '')"
      maxlength="60"
      :placeholder="shown.field.hint ? t(`limits.${shown.field.hint}`) : undefined"
      :invalid="shown.isInvalid"
      :aria-label="shown.label"
      @input="emit('take', ($event.target as HTMLInputElement).value)"
    />
  </span>
</template>

<style scoped>
.in-sentence {
  display: inline-flex;
  align-items: center;
  gap: 10px;
  min-width: 0;
  max-width: 100%;
}
.box {
  width: 6.5rem;
}
</style>
