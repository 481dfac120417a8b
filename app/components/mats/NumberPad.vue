<script setup lang="ts">
/** Figures to press, for who has no keys: the cursor stays where it is. */
withDefaults(defineProps<{ back?: boolean }>(), { back: true })
const emit = defineEmits<{ digit: [n: number]; back: [] }>()
</script>

<template>
  <div class="pad" role="group" aria-label="Figures">
    <button
      v-for="n in [1, 2, 3, 4, 5, 6, 7, 8, 9, 0]"
      :key="n"
      type="button"
      class="stone-button learner"
      @mousedown.prevent
      @click="emit('digit', n)"
    >
      {{ n }}
    </button>
    <button
      v-if="back"
      type="button"
      class="stone-button"
      aria-label="Take back the last figure"
      @mousedown.prevent
      @click="emit('back')"
    >
      <IconArrowLeft />
    </button>
  </div>
</template>

<style scoped>
.pad {
  display: flex;
  flex-wrap: wrap;
  gap: 4px;
}
.pad .stone-button {
  padding: 0;
  width: 46px;
  font-size: 1.15rem;
}
</style>
