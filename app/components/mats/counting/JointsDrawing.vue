<script setup lang="ts">
import { JOINT_FINGERS, JOINT_PALM, jointSpots } from '../../../../core/representation/joints/layout'
import type { Drawing, DrawingSays } from './drawing'

/** One open hand with marks inside its fingers, as many on each as the class says. */
const props = defineProps<Drawing>()
const emit = defineEmits<DrawingSays>()

const marks = computed(() => jointSpots(props.setup.choices.joints))
const used = computed(() => props.state.out + Math.abs(props.state.counted))
</script>

<template>
  <svg viewBox="0 -18 420 380" role="img" :aria-label="`One hand: ${described}`">
    <path class="skin" :d="JOINT_PALM" />
    <g v-for="(f, i) in JOINT_FINGERS" :key="i" :transform="`translate(${f.x} ${f.y}) rotate(${f.lean})`">
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
