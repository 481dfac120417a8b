<script setup lang="ts">
/** A time of day, as 09:30. */
const { label } = defineProps<{ label: string }>()
const at = defineModel<string>({ required: true })
const time = computed({
  get: () => new Date(`2000-01-01T${at.value}:00`),
  set: (picked: Date | null) => {
    if (!(picked instanceof Date) || Number.isNaN(picked.getTime())) return
    at.value = picked.toTimeString().slice(0, 5)
  },
})
</script>

<template>
  <DatePicker v-model="time" time-only hour-format="24" :step-minute="5" :aria-label="label" class="time" />
</template>

<style scoped>
.time :deep(input) {
  width: 6rem;
}
</style>
