<script setup lang="ts">
/** A day of the calendar, picked or typed as the class writes it (2 December 2026). */
const { label } = defineProps<{ label: string }>()
const day = defineModel<string>({ required: true })
/** Noon, so that no zone makes another day of it. */
const date = computed({
  get: () => new Date(`${day.value}T12:00:00`),
  set: (picked: Date | null) => {
    if (!(picked instanceof Date) || Number.isNaN(picked.getTime())) return
    const two = (n: number): string => String(n).padStart(2, '0')
    day.value = `${picked.getFullYear()}-${two(picked.getMonth() + 1)}-${two(picked.getDate())}`
  },
})
</script>

<template>
  <DatePicker
    v-model="date"
    date-format="d MM yy"
    show-icon
    icon-display="input"
    update-model-type="date"
    :aria-label="label"
  />
</template>
