<script setup lang="ts">
import { addDays, format, parseISO, subDays } from 'date-fns'

/** The last four weeks as a strip of days, five schooldays and a weekend each: filled where something was tried. */
const { seen, today } = defineProps<{ seen: readonly string[]; today: string }>()
const [SIDE, GAP, WEEK] = [9, 2, 5]
const days = computed(() => {
  const first = subDays(parseISO(today), 27)
  return Array.from({ length: 28 }, (_, i) => {
    const date = addDays(first, i)
    const day = format(date, 'yyyy-MM-dd')
    return {
      day,
      x: i * (SIDE + GAP) + Math.floor(i / 7) * WEEK,
      there: seen.includes(day),
      free: [0, 6].includes(date.getDay()),
    }
  })
})
const last = computed(() => [...seen].sort().at(-1))
const said = computed(() =>
  last.value
    ? `seen on ${seen.length} of the last 28 days, last on ${dayInWords(last.value)}`
    : 'not seen in the last 28 days',
)
</script>

<template>
  <svg :viewBox="`0 0 ${28 * (SIDE + GAP) + 3 * WEEK} 16`" role="img" :aria-label="said" class="strip">
    <g v-for="d in days" :key="d.day">
      <rect v-if="d.there" :x="d.x" y="2" :width="SIDE" height="12" class="there" />
      <path v-else :d="d.free ? `M${d.x + 3} 8h3` : `M${d.x + 1} 13h${SIDE - 2}`" class="away" />
    </g>
  </svg>
</template>

<style scoped>
.strip {
  width: 15rem;
  max-width: 100%;
  height: auto;
  display: block;
}
.there {
  fill: var(--ink);
}
.away {
  stroke: var(--ink-soft);
  stroke-width: 1.5;
}
</style>
