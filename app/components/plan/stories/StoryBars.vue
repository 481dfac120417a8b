<script setup lang="ts">
import type { Bar } from '../../../../core/story/index'

/** The bars of a story at one scale. What is asked is hatched and has a question mark; a gap is what one lacks of the other. */
const { bars } = defineProps<{ bars: readonly Bar[] }>()
const hatch = useId()
const WIDE = 640
const HIGH = 56
const left = computed(() => (bars.some((b) => b.name) ? 84 : 8))
const room = computed(() => WIDE - left.value - 8)
const tops = computed(() => {
  let y = 6
  return bars.map((b) => {
    const top = y + (b.over ? 30 : 0)
    y = top + HIGH + 14
    return top
  })
})
const high = computed(() => (tops.value.at(-1) ?? 0) + HIGH + 10)
const described = computed(() =>
  bars
    .map((b) => {
      const parts = b.parts.flatMap((p) => (p.text ? [p.asked ? 'what is asked' : p.text] : []))
      const whole = b.over ? ` in all ${b.overAsked ? 'what is asked' : b.over}` : ''
      return `${b.name ? `${b.name}: ` : ''}a bar of ${b.parts.length} ${b.parts.length === 1 ? 'part' : 'parts'}, ${parts.join(', ')}${whole}`
    })
    .join('; '),
)
</script>

<template>
  <svg :viewBox="`0 0 ${WIDE} ${high}`" role="img" :aria-label="`Bars: ${described}`" class="bars learner">
    <defs>
      <pattern :id="hatch" width="9" height="9" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
        <path d="M0 0V9" class="hatch" />
      </pattern>
    </defs>
    <g v-for="(b, i) in bars" :key="i">
      <text v-if="b.name" x="4" :y="tops[i]! + HIGH / 2 + 7" class="name">{{ b.name }}</text>
      <template v-if="b.over">
        <path class="brace" :d="`M${left} ${tops[i]! - 4}v-8h${room}v8`" />
        <text :x="left + room / 2" :y="tops[i]! - 16" text-anchor="middle" :class="{ asked: b.overAsked }">
          {{ b.over }}
        </text>
      </template>
      <g v-for="(p, k) in b.parts" :key="k">
        <rect
          :x="left + p.from * room"
          :y="tops[i]"
          :width="(p.to - p.from) * room"
          :height="HIGH"
          :class="{ gap: p.gap }"
        />
        <rect
          v-if="p.asked"
          :x="left + p.from * room"
          :y="tops[i]"
          :width="(p.to - p.from) * room"
          :height="HIGH"
          :style="{ fill: `url(#${hatch})` }"
          class="hatched"
        />
        <text
          v-if="p.text"
          :x="left + ((p.from + p.to) / 2) * room"
          :y="tops[i]! + HIGH / 2 + 9"
          text-anchor="middle"
          :class="{ asked: p.asked }"
        >
          {{ p.text }}
        </text>
      </g>
      <path
        v-if="b.nought !== undefined"
        class="nought"
        :d="`M${left + b.nought * room} ${tops[i]! - 6}v${HIGH + 12}`"
      />
    </g>
  </svg>
</template>

<style scoped>
.bars {
  width: 100%;
  max-width: 46rem;
  height: auto;
  display: block;
}
rect {
  fill: var(--sheet);
  stroke: var(--ink);
  stroke-width: 2.5;
}
rect.gap {
  fill: none;
  stroke-dasharray: 7 6;
}
rect.hatched {
  stroke: none;
}
.hatch {
  stroke: var(--clay);
  stroke-width: 2;
  opacity: 0.55;
}
.nought {
  fill: none;
  stroke: var(--clay);
  stroke-width: 4;
}
.brace {
  fill: none;
  stroke: var(--ink);
  stroke-width: 2;
}
text {
  font-size: 24px;
  fill: var(--ink);
  paint-order: stroke;
  stroke: var(--sheet);
  stroke-width: 6px;
  stroke-linejoin: round;
}
.name {
  font-size: 19px;
}
text.asked {
  font-weight: 700;
}
</style>
