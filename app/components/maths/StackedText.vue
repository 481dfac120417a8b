<script setup lang="ts">
import { mathTokens } from '../../../core/door'

/** A number in a drawing: a fraction with its line between top and bottom. `x` is its middle, `y` the height of the line. */
const props = defineProps<{ text: string; x: number; y: number; size: number }>()
const token = computed(() => mathTokens(props.text.replace(/^[−-]/u, '')).find((t) => t.kind === 'fraction'))
const minus = computed(() => (/^[−-]/u.test(props.text) ? '−' : ''))
const shape = computed(() => {
  const t = token.value
  if (t?.kind !== 'fraction') return null
  const lead = minus.value + t.whole
  const bar = Math.max(t.top.length, t.bottom.length) * props.size * 0.56 + 4
  const leadWidth = lead.length * props.size * 0.62
  return { ...t, lead, bar, middle: props.x + leadWidth / 2, leadX: props.x - bar / 2 }
})
</script>

<template>
  <text v-if="!shape" :x="x" :y="y + size * 0.36" text-anchor="middle" :font-size="size">{{ text }}</text>
  <g v-else role="presentation">
    <text v-if="shape.lead" :x="shape.leadX" :y="y + size * 0.36" text-anchor="middle" :font-size="size * 1.1">
      {{ shape.lead }}
    </text>
    <text :x="shape.middle" :y="y - size * 0.2" text-anchor="middle" :font-size="size">{{ shape.top }}</text>
    <path :d="`M${shape.middle - shape.bar / 2} ${y}h${shape.bar}`" class="bar" />
    <text :x="shape.middle" :y="y + size * 0.94" text-anchor="middle" :font-size="size">{{ shape.bottom }}</text>
  </g>
</template>

<style scoped>
text {
  font-family: var(--learner);
  font-weight: 700;
  fill: currentcolor;
  user-select: none;
}
.bar {
  stroke: currentcolor;
  stroke-width: 2;
}
</style>
