<script setup lang="ts">
import { useDrawingDrag } from './useDrawingDrag'
import type { Drawing, DrawingSays } from './drawing'

/** Counters on a ten-frame or lying loose, and the bowl they come from. */
const props = defineProps<Drawing>()
const emit = defineEmits<DrawingSays>()
const { t } = useI18n()
const layout = useLocalStorage<'frame' | 'loose'>('sett.counters', 'frame')

/** Loose places, always the same, far enough apart: a sunflower's spiral. */
const loose = (i: number): { x: number; y: number } => {
  const [r, a] = [30 * Math.sqrt(i + 0.6), i * 2.399963]
  return { x: 255 + 1.25 * r * Math.cos(a), y: 132 + 0.86 * r * Math.sin(a) }
}
const inFrame = (i: number): { x: number; y: number } => ({
  x: 52 + (i % 5) * 46 + Math.floor(i / 10) * 254,
  y: 72 + Math.floor((i % 10) / 5) * 46,
})
const at = (i: number): { x: number; y: number } => (layout.value === 'frame' ? inFrame(i) : loose(i))
const total = computed(() => props.state.out + Math.abs(props.state.counted))
const out = computed(() =>
  Array.from({ length: total.value }, (_, i) => ({
    i,
    ...at(i),
    second: props.state.counted === 0 && i >= props.first,
    now: props.newest && i === total.value - 1,
  })),
)
const apart = computed(() =>
  Array.from({ length: props.state.apart }, (_, i) => ({ i, x: 52 + (i % 10) * 46, y: 216 + Math.floor(i / 10) * 46 })),
)
const bowl = computed(() => Math.max(0, Math.min(9, props.state.room - total.value - props.state.apart)))

/* --- dragging: out of the bowl, back into it, below the line to be set apart, above it to be joined --- */
const { root, svg, dragging, tap } = useDrawingDrag<'bowl' | 'out' | 'apart'>(
  () => props.movable,
  (from, { x, y }) => {
    const to = x > 540 ? 'bowl' : y > 186 ? 'apart' : 'out'
    if (from === 'bowl' && to === 'out') emit('more')
    else if (from === 'bowl' && to === 'apart') emit('apart')
    else if (from === 'out' && to === 'bowl') emit('less')
    else if (from === 'apart' && to === 'out') emit('join')
  },
)
const { width } = useElementSize(root)
/** How far from its middle a counter can be touched: 22 px at the least, whatever size it is drawn. */
const reach = computed(() => Math.max(19, (22 * 680) / Math.max(1, width.value)))
const frames = computed(() => (total.value > 10 || props.state.room > 10 ? 2 : 1))
</script>

<template>
  <div ref="root" class="counters">
    <svg ref="svg" viewBox="0 0 680 310" role="img" :aria-label="t('counting.counters', { described })">
      <template v-if="layout === 'frame'">
        <g v-for="f in frames" :key="f" :transform="`translate(${29 + (f - 1) * 254} 49)`">
          <rect class="frame" width="230" height="92" />
          <path class="frame" d="M46 0 v92 M92 0 v92 M138 0 v92 M184 0 v92 M0 46 h230" />
        </g>
      </template>
      <line class="rule" x1="10" x2="530" y1="186" y2="186" />
      <g
        v-for="c in out"
        :key="`o${c.i}`"
        class="counter grip"
        data-from="out"
        :class="{ now: c.now }"
        @click="tap(() => emit('less'))"
      >
        <circle class="reach" :cx="c.x" :cy="c.y" :r="reach" />
        <circle class="body" :cx="c.x" :cy="c.y" r="19" />
        <circle v-if="c.second" class="ring" :cx="c.x" :cy="c.y" r="10" />
      </g>
      <g v-for="c in apart" :key="`a${c.i}`" class="counter apart grip" data-from="apart">
        <circle class="reach" :cx="c.x" :cy="c.y" :r="reach" />
        <circle class="body" :cx="c.x" :cy="c.y" r="19" />
        <circle class="ring" :cx="c.x" :cy="c.y" r="10" />
      </g>
      <g class="bowl grip" data-from="bowl" :class="{ movable }" @click="tap(() => emit('more'))">
        <ellipse class="inside" cx="604" cy="180" rx="58" ry="17" />
        <circle
          v-for="i in bowl"
          :key="i"
          :cx="566 + ((i - 1) % 5) * 19"
          :cy="176 - Math.floor((i - 1) / 5) * 9"
          r="11"
        />
        <path class="front" d="M546 180 q58 34 116 0 q-4 88 -58 90 q-54 -2 -58 -90 z" />
        <text x="604" y="296">{{ t('counting.bowl') }}</text>
      </g>
    </svg>
    <div v-if="dragging && movable" class="ghost" aria-hidden="true" />
    <div class="layout" role="group" :aria-label="t('counting.lie')">
      <button type="button" class="stone-button" :aria-pressed="layout === 'frame'" @click="layout = 'frame'">
        {{ t('counting.frame') }}
      </button>
      <button type="button" class="stone-button" :aria-pressed="layout === 'loose'" @click="layout = 'loose'">
        {{ t('counting.loose') }}
      </button>
    </div>
  </div>
</template>

<style scoped>
.counters {
  position: relative;
}
svg {
  width: 100%;
  height: 100%;
  touch-action: none;
}
.ghost {
  position: absolute;
  left: -24px;
  top: -24px;
  width: 48px;
  height: 48px;
  border-radius: 50%;
  background: var(--piece);
  border: 4px solid var(--piece-line);
  pointer-events: none;
  z-index: 3;
}
.layout {
  position: absolute;
  right: 4px;
  bottom: 4px;
  display: flex;
  color: var(--ink);
}
.layout .stone-button {
  border-radius: 0;
  margin-left: -1.5px;
}
.frame {
  fill: none;
  stroke: var(--felt-line);
  stroke-width: 2;
}
.rule {
  stroke: var(--felt-line);
  stroke-width: 2;
  stroke-dasharray: 4 6;
}
.counter {
  cursor: pointer;
}
.counter circle,
.bowl circle {
  fill: var(--piece);
  stroke: var(--piece-line);
  stroke-width: 3;
}
.counter .ring {
  fill: none;
}
.counter .reach {
  fill: transparent;
  stroke: none;
}
.counter.apart .body {
  stroke-dasharray: 5 4;
}
.counter.now .body {
  stroke: var(--focus-on-felt);
  stroke-width: 5;
}
.bowl .inside {
  fill: #22302c;
  stroke: var(--on-felt);
  stroke-width: 3;
}
.bowl .front {
  fill: var(--felt-2);
  stroke: var(--on-felt);
  stroke-width: 3;
}
.bowl.movable {
  cursor: pointer;
}
.bowl text {
  fill: var(--on-felt);
  font: 16px var(--ui);
  text-anchor: middle;
}
</style>
