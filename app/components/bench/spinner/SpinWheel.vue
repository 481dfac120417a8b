<script setup lang="ts">
/** A spinner: sectors with what each adds or takes, and a pointer that comes to rest on one. */
const props = defineProps<{ sectors: readonly number[]; landed: number | null; turns: number }>()

const R = 150
const step = computed(() => 360 / props.sectors.length)
const at = (degrees: number, r: number): string => {
  const a = ((degrees - 90) * Math.PI) / 180
  return `${(R + r * Math.cos(a)).toFixed(2)} ${(R + r * Math.sin(a)).toFixed(2)}`
}
const drawn = computed(() =>
  props.sectors.map((sector, i) => {
    const [from, to] = [i * step.value, (i + 1) * step.value]
    const [x, y] = at((from + to) / 2, 98).split(' ')
    const large = step.value > 180 ? 1 : 0
    return {
      sector,
      path: `M${R} ${R}L${at(from, 146)}A146 146 0 ${large} 1 ${at(to, 146)}Z`,
      x,
      y,
      odd: i % 2 === 1,
      there: i === props.landed,
    }
  }),
)
const label = (n: number): string => (n < 0 ? `−${-n}` : `+${n}`)
/** The needle turns whole rounds and comes to rest in the middle of its sector. */
const needle = computed(() => props.turns * 720 + (props.landed === null ? 0 : (props.landed + 0.5) * step.value))
const described = computed(() => {
  const rest = props.landed === null ? '' : `; the needle points to ${label(props.sectors[props.landed]!)}`
  return `Spinner with ${props.sectors.map(label).join(', ')}${rest}`
})
</script>

<template>
  <svg class="wheel" :viewBox="`0 0 ${2 * R} ${2 * R}`" role="img" :aria-label="described">
    <g v-for="(s, i) in drawn" :key="i" :class="{ odd: s.odd, there: s.there }">
      <path :d="s.path" />
      <text :x="s.x" :y="s.y" text-anchor="middle" dominant-baseline="central">{{ label(s.sector) }}</text>
    </g>
    <g class="needle" :style="{ transform: `rotate(${needle}deg)` }">
      <path :d="`M${R - 9} ${R}L${R} ${R - 74}L${R + 9} ${R}L${R} ${R + 24}Z`" />
      <circle :cx="R" :cy="R" r="9" />
    </g>
  </svg>
</template>

<style scoped>
.wheel {
  width: 100%;
  max-height: 100%;
}
path {
  fill: var(--sheet);
  stroke: var(--ink);
  stroke-width: 2.5;
}
.odd path {
  fill: var(--paper-2);
}
.there path {
  fill: var(--clay-wash);
  stroke-width: 5;
}
text {
  fill: var(--ink);
  font: 700 30px var(--learner);
}
.needle {
  transform-origin: 150px 150px;
  transition: transform 900ms cubic-bezier(0.2, 0.7, 0.2, 1);
}
.needle path,
.needle circle {
  fill: var(--ink);
  stroke: var(--sheet);
  stroke-width: 2;
}
</style>
