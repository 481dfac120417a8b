<script setup lang="ts">
import { scaleLinear } from 'd3-scale'
import { line } from 'd3-shape'

/** The last sessions as a small line: right without help, of all that was tried. */
const { sessions } = defineProps<{
  sessions: readonly { readonly day: string; readonly alone: number; readonly tried: number }[]
}>()
const [WIDE, HIGH, EDGE] = [110, 34, 5]
const share = (s: { alone: number; tried: number }): number => (s.tried === 0 ? 0 : s.alone / s.tried)
const x = computed(() => scaleLinear([0, Math.max(1, sessions.length - 1)], [EDGE, WIDE - EDGE]))
const y = scaleLinear([0, 1], [HIGH - EDGE, EDGE])
const points = computed(() => sessions.map((s, i) => [x.value(i), y(share(s))] as [number, number]))
const path = computed(() => line()(points.value) ?? '')
const said = computed(() =>
  sessions.length
    ? `right without help, session by session: ${sessions.map((s) => `${s.alone} of ${s.tried}`).join(', ')}`
    : 'no sessions',
)
</script>

<template>
  <svg :viewBox="`0 0 ${WIDE} ${HIGH}`" :width="WIDE" :height="HIGH" role="img" :aria-label="said">
    <path :d="`M${EDGE} ${y(0.8)}H${WIDE - EDGE}`" class="eighty" />
    <path :d="path" class="way" />
    <circle v-if="points.length" :cx="points.at(-1)![0]" :cy="points.at(-1)![1]" r="3.5" class="last" />
  </svg>
</template>

<style scoped>
.eighty {
  stroke: var(--edge);
  stroke-dasharray: 2 3;
}
.way {
  fill: none;
  stroke: var(--ink);
  stroke-width: 2;
}
.last {
  fill: var(--clay);
}
</style>
