<script setup lang="ts">
import type { Mode } from '../../../core/door'

/** Who does the moves: Sett shows, both together, or the learner alone. */
const emit = defineEmits<{ choose: [mode: Mode] }>()
const bench = useBench()
const { t } = useI18n()
const MODES: readonly Mode[] = ['show', 'together', 'alone']
</script>

<template>
  <div class="modes" role="group" :aria-label="t('ask.modes')">
    <button
      v-for="m in MODES"
      :key="m"
      type="button"
      class="stone-button"
      :aria-pressed="bench.bench.mode === m"
      @click="emit('choose', m)"
    >
      {{ t(`ask.${m}`) }}
    </button>
  </div>
</template>

<style scoped>
.modes {
  display: flex;
}
.stone-button {
  border-radius: 0;
  margin-left: -1.5px;
}
@media (max-width: 600px) {
  .stone-button {
    flex: 1;
  }
}
</style>
