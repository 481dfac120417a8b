<script setup lang="ts">
import { useDrawingDrag } from './useDrawingDrag'
import type { Drawing, DrawingSays } from './drawing'

/** Strokes in fives: the first number in one row, the next under it, fives under fives; what is taken is crossed out. */
const props = defineProps<Drawing>()
const emit = defineEmits<DrawingSays>()

const BUNDLE = 118
const PER_ROW = 5
interface Stroke {
  readonly key: string
  readonly x: number
  readonly y: number
  readonly across: boolean
  readonly crossed: boolean
  readonly apart: boolean
  readonly last: boolean
}
/** One number's strokes, five bundles to a row. */
function row(name: string, count: number, top: number, from = count, apart = false): Stroke[] {
  return Array.from({ length: count }, (_, i) => {
    const [bundle, k] = [Math.floor(i / 5), i % 5]
    return {
      key: `${name}${i}`,
      x: 24 + (bundle % PER_ROW) * BUNDLE + k * 22,
      y: top + Math.floor(bundle / PER_ROW) * 92,
      across: k === 4,
      crossed: i >= from,
      apart,
      last: i === count - 1,
    }
  })
}
const strokes = computed(() => {
  const { out, apart, taken, counted } = props.state
  if (counted !== 0) return row('c', Math.abs(counted), 34)
  const above = Math.min(out, props.first)
  const below = out - above
  // What was crossed out stays where it was: after the strokes that still count.
  return [
    ...row('a', above + (below === 0 ? taken : 0), 34, above),
    ...row('b', below + (below > 0 ? taken : 0), 150, below),
    ...row('s', apart, 150, apart, true),
  ]
})

/* --- dragging: the pencil to a row draws there; a stroke drawn aside is crossed out --- */
const { root, svg, dragging, tap } = useDrawingDrag<'pencil' | 'stroke'>(
  () => props.movable,
  (from, { y }) => {
    if (from === 'stroke') emit('less')
    else if (y > 122) emit('apart')
    else emit('more')
  },
)
const height = computed(() => Math.max(250, ...strokes.value.map((s) => s.y + 90)))
</script>

<template>
  <div ref="root" class="tallies">
    <svg
      ref="svg"
      :viewBox="`0 0 700 ${height}`"
      role="img"
      :aria-label="`Tallies: ${described}`"
      @click="tap(() => emit('more'))"
    >
      <line class="rule" x1="10" x2="610" y1="122" y2="122" />
      <g
        v-for="s in strokes"
        :key="s.key"
        class="tally grip"
        data-from="stroke"
        :class="{ apart: s.apart, crossed: s.crossed, now: newest && s.last }"
        @click.stop="tap(() => emit('less'))"
      >
        <rect class="reach" :x="s.across ? s.x - 100 : s.x - 11" :y="s.y - 2" :width="s.across ? 96 : 22" height="70" />
        <path v-if="s.across" :d="`M${s.x - 96} ${s.y + 54} L${s.x - 8} ${s.y + 10}`" />
        <path v-else :d="`M${s.x} ${s.y} q2 32 -2 64`" />
        <path
          v-if="s.crossed"
          class="cross"
          :d="
            s.across
              ? `M${s.x - 62} ${s.y + 16} l26 32 m0 -32 l-26 32`
              : `M${s.x - 10} ${s.y + 22} l20 20 m0 -20 l-20 20`
          "
        />
      </g>
      <g v-if="movable" class="pencil grip" data-from="pencil" @click.stop="tap(() => emit('more'))">
        <rect class="reach" x="630" y="20" width="70" height="190" />
        <path d="M654 30h22v120l-11 26l-11 -26ZM654 150h22" />
        <text x="665" y="204">pencil</text>
      </g>
    </svg>
    <svg v-if="dragging && movable" class="ghost" viewBox="0 0 24 80" aria-hidden="true"><path d="M12 8V72" /></svg>
  </div>
</template>

<style scoped>
.tallies {
  position: relative;
}
.tallies > svg:first-child {
  width: 100%;
  height: 100%;
  touch-action: none;
}
.reach {
  fill: transparent;
}
.grip {
  cursor: grab;
}
.pencil path {
  fill: var(--piece);
  stroke: var(--piece-line);
  stroke-width: 3;
  stroke-linejoin: round;
}
.pencil text {
  fill: var(--on-felt);
  font: 16px var(--ui);
  text-anchor: middle;
}
.ghost {
  position: absolute;
  left: -12px;
  top: -40px;
  width: 24px;
  height: 80px;
  pointer-events: none;
  z-index: 3;
}
.ghost path {
  stroke: var(--focus-on-felt);
  stroke-width: 8;
  stroke-linecap: round;
}
.tally path {
  fill: none;
  stroke: var(--on-felt);
  stroke-width: 7;
  stroke-linecap: round;
}
.tally.apart path {
  stroke-dasharray: 2 11;
}
.tally.crossed path {
  opacity: 0.6;
}
.tally .cross {
  stroke: var(--focus-on-felt);
  stroke-width: 4;
  opacity: 1;
}
.tally.now path:not(.cross) {
  stroke: var(--focus-on-felt);
}
.rule {
  stroke: var(--felt-line);
  stroke-dasharray: 3 7;
  stroke-width: 2;
}
</style>
