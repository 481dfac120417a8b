<script setup lang="ts">
import { barsOf, readAsked, toldFrom, type Cell } from '../../../../core/story/index'

/** A kind of story as the shape of its bars for a problem: what is asked is filled, what one lacks of the other is dashed. */
const { cell, problem } = defineProps<{ cell: Cell; problem: string }>()
const WIDE = 72
const HIGH = 11
const bars = computed(() => {
  const told = toldFrom(cell, readAsked(problem))
  return told ? barsOf({ cell, ...told, people: [{ name: '' }, { name: '' }] }) : []
})
const tops = computed(() => {
  let y = 2
  return bars.value.map(({ over }) => {
    const top = y + (over ? 6 : 0)
    y = top + HIGH + 4
    return top
  })
})
</script>

<template>
  <svg :viewBox="`0 0 ${WIDE + 4} ${(tops.at(-1) ?? 0) + HIGH + 2}`" aria-hidden="true">
    <g v-for="(b, i) in bars" :key="i">
      <path v-if="b.over" :class="{ asked: b.overAsked }" :d="`M2 ${tops[i]! - 2}v-4h${WIDE}v4`" />
      <rect
        v-for="(p, k) in b.parts"
        :key="k"
        :x="2 + p.from * WIDE"
        :y="tops[i]"
        :width="Math.max(1, (p.to - p.from) * WIDE)"
        :height="HIGH"
        :class="{ gap: p.gap, asked: p.asked }"
      />
    </g>
  </svg>
</template>

<style scoped>
svg {
  display: block;
  width: 76px;
  height: auto;
  flex: none;
}
rect,
path {
  fill: var(--paper-2);
  stroke: var(--ink-2);
  stroke-width: 1.4;
}
path {
  fill: none;
}
rect.gap {
  fill: none;
  stroke-dasharray: 3 2.5;
}
rect.asked {
  fill: var(--clay);
}
path.asked {
  stroke: var(--clay);
  stroke-width: 2.6;
}
</style>
