<script setup lang="ts">
/** Cells of braille drawn as dots: raised ones full, the others faint, so that places can be told apart. The text says what they are. */
const { cells, told } = defineProps<{ cells: readonly string[]; told: string }>()
const [DOT, CELL, HIGH, R] = [9, 25, 34, 3.2]
const DOTS = [1, 2, 3, 4, 5, 6]
</script>

<template>
  <svg
    class="dots"
    :viewBox="`0 0 ${Math.max(1, cells.length) * CELL} ${HIGH}`"
    :style="{ width: `${(Math.max(1, cells.length) * CELL) / 16}rem` }"
    role="img"
    :aria-label="told"
  >
    <g v-for="(cell, i) in cells" :key="i" :transform="`translate(${i * CELL + 6} 7)`">
      <circle
        v-for="d in DOTS"
        :key="d"
        :cx="d > 3 ? DOT : 0"
        :cy="((d - 1) % 3) * DOT"
        :r="cell.includes(String(d)) ? R : 0.9"
        :class="{ raised: cell.includes(String(d)) }"
      />
    </g>
  </svg>
</template>

<style scoped>
.dots {
  display: block;
  max-width: 100%;
  height: auto;
}
circle {
  fill: var(--ink-soft);
}
.raised {
  fill: var(--ink);
}
@media (forced-colors: active) {
  circle {
    fill: CanvasText;
  }
}
</style>
