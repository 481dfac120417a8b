<script setup lang="ts">
/** One chip: a disc with a rim. All are alike; their column says what they are worth. */
defineProps<{ unit: number }>()
</script>

<template>
  <span class="block chip" :style="{ width: `${unit}px`, height: `${unit}px` }" />
</template>

<style scoped>
.chip {
  display: block;
  border-radius: 50%;
  background: var(--piece);
  border: 2px solid var(--piece-line);
  box-shadow: inset 0 0 0 max(2px, 0.12em) color-mix(in srgb, var(--piece) 70%, var(--piece-line));
}
</style>
