<script setup lang="ts">
import { marksOf } from '../../../../core/door'
import type { Drawing, DrawingSays } from './drawing'

/** One open hand with marks inside its fingers, as many on each as the class says. */
const props = defineProps<Drawing>()
const emit = defineEmits<DrawingSays>()

const FINGERS = [
  { x: 92, y: 168, length: 104, lean: -16 },
  { x: 142, y: 138, length: 126, lean: -6 },
  { x: 196, y: 130, length: 136, lean: 0 },
  { x: 250, y: 140, length: 124, lean: 7 },
  { x: 306, y: 214, length: 104, lean: 46 },
] as const
/** Marks from the tip down, finger after finger. */
const marks = computed(() =>
  marksOf(props.setup.choices.joints).flatMap((count, i, all) => {
    const before = all.slice(0, i).reduce((sum, n) => sum + n, 0)
    const { length } = FINGERS[i]!
    return Array.from({ length: count }, (_, j) => ({
      n: before + j,
      i,
      y: -length + 20 + (j * (length - 8)) / Math.max(1, count - 0.2),
    }))
  }),
)
const used = computed(() => props.state.out + Math.abs(props.state.counted))
</script>

<template>
  <svg viewBox="0 -18 420 380" role="img" :aria-label="`One hand: ${described}`">
    <path
      class="skin"
      d="M72 190 Q74 150 120 148 L270 150 Q300 170 304 216 Q300 300 262 344 L118 344 Q70 296 72 190 Z"
    />
    <g v-for="(f, i) in FINGERS" :key="i" :transform="`translate(${f.x} ${f.y}) rotate(${f.lean})`">
      <rect class="skin" x="-23" :y="-f.length" width="46" :height="f.length + 34" rx="23" />
      <g
        v-for="m in marks.filter((x) => x.i === i)"
        :key="m.n"
        class="mark"
        :class="{
          counted: m.n < used,
          later: m.n >= first && state.counted === 0,
          now: newest && m.n === used - 1,
        }"
        @click="movable && (m.n < used ? emit('less') : emit('more'))"
      >
        <rect class="hit" x="-22" :y="m.y - 15" width="44" height="30" />
        <path class="crease" :d="`M-16 ${m.y + 15} h32`" />
        <circle r="9" :cy="m.y" />
        <circle v-if="m.n < used && m.n >= first && state.counted === 0" class="ring" r="4" :cy="m.y" />
      </g>
    </g>
    <path class="crease" d="M112 240 Q180 206 262 226 M104 276 Q176 246 250 262" />
  </svg>
</template>

<style scoped>
.skin {
  fill: var(--piece);
  stroke: var(--piece-line);
  stroke-width: 3;
}
.crease {
  fill: none;
  stroke: var(--piece-line);
  stroke-width: 1.5;
  opacity: 0.55;
}
.mark {
  cursor: pointer;
}
.mark circle {
  fill: transparent;
  stroke: var(--piece-line);
  stroke-width: 2.5;
  stroke-dasharray: 3 3;
}
.mark.counted circle {
  fill: var(--piece-line);
  stroke-dasharray: none;
}
.mark .ring {
  fill: var(--piece) !important;
}
.mark.now circle:not(.ring) {
  stroke: var(--clay);
  stroke-width: 5;
}
.hit {
  fill: transparent;
}
</style>
