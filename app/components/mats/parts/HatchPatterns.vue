<script setup lang="ts">
import { hatchOf } from '../../../../core/representation/parts/layout'

/** The hatching of each kind of part, to be filled in with `url(#hatch-8)`. */
defineProps<{ kinds: readonly number[]; name: string }>()
</script>

<template>
  <defs>
    <pattern
      v-for="of in kinds"
      :id="`${name}-${of}`"
      :key="of"
      patternUnits="userSpaceOnUse"
      :width="hatchOf(of).gap"
      :height="hatchOf(of).gap"
      :patternTransform="`rotate(${hatchOf(of).angle})`"
    >
      <circle v-if="hatchOf(of).dots" :cx="hatchOf(of).gap / 2" :cy="hatchOf(of).gap / 2" r="1.2" class="ink" />
      <path v-else :d="`M0 0V${hatchOf(of).gap}`" class="ink" />
    </pattern>
  </defs>
</template>

<style scoped>
.ink {
  stroke: var(--piece-line);
  stroke-width: 1.1;
  stroke-opacity: 0.5;
  fill: var(--piece-line);
  fill-opacity: 0.5;
}
</style>
