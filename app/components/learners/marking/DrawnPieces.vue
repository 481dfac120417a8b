<script setup lang="ts">
import { placeName } from '../../../../core/door'

/** What lies in each column, drawn: a dot for a one, a line for a ten, a square for a hundred; five to a row. */
const { counts } = defineProps<{ counts: readonly number[] }>()

const places = computed(() =>
  counts
    .map((count, place) => ({ count, place }))
    .slice(0, 4)
    .filter(({ count, place }) => count > 0 || place < 2)
    .reverse(),
)
const total = computed(() => counts.reduce((sum, n, i) => sum + n * 10 ** i, 0))
const SIZE = [14, 12, 26, 30] as const
const high = (place: number): number => (place === 1 ? 34 : SIZE[place]!)
const rows = (count: number): number => Math.max(1, Math.ceil(count / 5))
const label = computed(() => places.value.map(({ count, place }) => `${count} ${placeName(place, count)}`).join(', '))
</script>

<template>
  <p class="pieces" role="img" :aria-label="`On the mat: ${label}; ${total} together`">
    <svg
      v-for="{ count, place } in places"
      :key="place"
      :width="5 * (SIZE[place]! + 4)"
      :height="rows(count) * (high(place) + 5)"
      aria-hidden="true"
    >
      <g v-for="i in Math.min(count, 30)" :key="i">
        <circle
          v-if="place === 0"
          :cx="((i - 1) % 5) * (SIZE[0] + 4) + 7"
          :cy="Math.floor((i - 1) / 5) * (high(0) + 5) + 8"
          r="5.5"
        />
        <rect
          v-else
          :x="((i - 1) % 5) * (SIZE[place]! + 4) + (place === 1 ? 4 : 1)"
          :y="Math.floor((i - 1) / 5) * (high(place) + 5) + 1"
          :width="place === 1 ? 5 : SIZE[place]! - 2"
          :height="high(place) - 2"
          :stroke-width="place === 3 ? 4 : 1.5"
        />
      </g>
    </svg>
    <span class="total learner" aria-hidden="true">{{ total }}</span>
  </p>
</template>

<style scoped>
.pieces {
  display: flex;
  flex-wrap: wrap;
  gap: 0.8rem;
  align-items: flex-start;
  margin: 0.7rem 0 0;
  padding: 0.6rem;
  background: var(--felt);
  min-height: 4rem;
}
circle,
rect {
  fill: var(--piece);
  stroke: var(--piece-line);
}
.total {
  margin-left: auto;
  align-self: end;
  color: var(--on-felt);
  font-size: 1.2rem;
  font-weight: 700;
}
</style>
