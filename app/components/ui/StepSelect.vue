<script setup lang="ts">
/** A step of the room's course, chosen from its strands. */
const { label, hint } = defineProps<{ label: string; hint: string }>()
const step = defineModel<string | null>({ required: true })
const courses = useCourses()
const { strand: nameOfStrand } = useNames()
const choices = computed(() =>
  [...new Set(courses.steps.map((s) => s.strand))].map((strand) => ({
    label: nameOfStrand(strand),
    items: courses.steps.filter((s) => s.strand === strand).map((s) => ({ label: s.title, value: s.id })),
  })),
)
</script>

<template>
  <Select
    v-model="step"
    :options="choices"
    option-group-label="label"
    option-group-children="items"
    option-label="label"
    option-value="value"
    filter
    :placeholder="hint"
    :aria-label="label"
  />
</template>
