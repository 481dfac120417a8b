<script setup lang="ts">
import type { Hand } from '../../../core/choices'
import { risingOrder } from '../../../core/representation/fingers/order'
import type { Drawing, DrawingSays } from '../../utils/drawing'

/** Two hands, palms towards the one who looks. A raised finger stands; a folded one is a stub. */
const props = defineProps<Drawing>()
const emit = defineEmits<DrawingSays>()

/** Fingers of a hand from its little finger: where each is rooted, how long, and how it leans. */
const SHAPES = [
  { name: 'little', x: 18, y: 118, length: 62, width: 21, lean: -14 },
  { name: 'ring', x: 45, y: 98, length: 82, width: 24, lean: -5 },
  { name: 'middle', x: 74, y: 92, length: 92, width: 25, lean: 0 },
  { name: 'index', x: 103, y: 98, length: 84, width: 24, lean: 6 },
  { name: 'thumb', x: 132, y: 150, length: 64, width: 26, lean: 46 },
] as const
const order = computed(() => risingOrder(props.setup.choices))
const up = computed(() => props.state.out + Math.abs(props.state.counted))
const rank = (hand: Hand, f: number): number => order.value.indexOf(`${hand}-${SHAPES[f]!.name}`)
const isUp = (r: number): boolean => r >= 0 && r < up.value
/** The fingers of the second number wear a band. */
const banded = (r: number): boolean => isUp(r) && props.state.counted === 0 && r >= props.first
const missing = (r: number): boolean => r < 0
function tap(r: number): void {
  if (isUp(r)) emit('less')
  else emit('more')
}
</script>

<template>
  <svg viewBox="0 0 400 300" role="img" :aria-label="`Hands: ${described}`">
    <g
      v-for="hand in ['left', 'right'] as const"
      :key="hand"
      :transform="hand === 'left' ? 'translate(20 20)' : 'translate(380 20) scale(-1 1)'"
    >
      <path
        class="palm"
        d="M20 128 Q22 108 60 104 Q112 100 124 122 Q142 150 128 196 Q118 236 74 238 Q28 238 20 196 Z"
      />
      <g
        v-for="(s, f) in SHAPES"
        :key="s.name"
        :transform="`translate(${s.x} ${s.y}) rotate(${s.lean})`"
        class="finger"
        :class="{ up: isUp(rank(hand, f)), missing: missing(rank(hand, f)), now: newest && rank(hand, f) === up - 1 }"
        @click="works && !missing(rank(hand, f)) && tap(rank(hand, f))"
      >
        <rect class="hit" :x="-s.width / 2 - 4" :y="-s.length - 4" :width="s.width + 8" :height="s.length + 30" />
        <rect
          v-if="isUp(rank(hand, f))"
          class="skin"
          :x="-s.width / 2"
          :y="-s.length"
          :width="s.width"
          :height="s.length + 24"
          :rx="s.width / 2"
        />
        <rect v-else class="skin stub" :x="-s.width / 2" y="-14" :width="s.width" height="34" :rx="s.width / 2" />
        <template v-if="isUp(rank(hand, f))">
          <path
            class="line"
            :d="`M${-s.width / 2 + 5} ${-s.length * 0.42} h${s.width - 10} M${-s.width / 2 + 5} ${-s.length * 0.68} h${s.width - 10}`"
          />
          <rect
            v-if="banded(rank(hand, f))"
            class="band"
            :x="-s.width / 2"
            :y="-s.length * 0.3"
            :width="s.width"
            height="11"
          />
        </template>
        <path v-else class="line" :d="`M${-s.width / 2 + 4} 4 q${s.width / 2 - 4} 7 ${s.width - 8} 0`" />
      </g>
      <path class="crease" d="M44 168 Q74 152 112 160 M40 190 Q72 176 108 186" />
    </g>
  </svg>
</template>

<style scoped>
.palm,
.skin {
  fill: var(--piece);
  stroke: var(--piece-line);
  stroke-width: 3;
}
.stub {
  fill: color-mix(in srgb, var(--piece) 78%, var(--felt));
}
.line,
.crease {
  fill: none;
  stroke: var(--piece-line);
  stroke-width: 2;
  stroke-linecap: round;
}
.finger {
  cursor: pointer;
}
.hit {
  fill: transparent;
}
.band {
  fill: var(--piece-line);
}
.now .skin {
  stroke: var(--focus-on-felt);
  stroke-width: 5;
}
.missing {
  opacity: 0.25;
  cursor: default;
}
</style>
