<script setup lang="ts">
import type { Finger, Hand } from '../../../../core/door'
import { FINGER_SHAPES, PALM } from '../../../../core/representation/fingers/hand'

/** How one finger stands. */
export interface FingerLook {
  readonly up: boolean
  readonly missing?: boolean
  readonly now?: boolean
  /** Fingers of the second number wear a band. */
  readonly banded?: boolean
  /** What is written at its root. */
  readonly mark?: string
}

/** Two hands, palms towards the one who looks. A raised finger stands; a folded one is a stub. */
const props = defineProps<{ look: (finger: Finger) => FingerLook; movable: boolean; label: string }>()
const emit = defineEmits<{ tap: [finger: Finger] }>()

const HANDS: readonly Hand[] = ['left', 'right']
const fingersOf = (hand: Hand) => FINGER_SHAPES.map((s) => ({ s, f: props.look(`${hand}-${s.name}`) }))
</script>

<template>
  <svg viewBox="0 0 400 300" role="img" :aria-label="label">
    <g
      v-for="hand in HANDS"
      :key="hand"
      :transform="hand === 'left' ? 'translate(20 20)' : 'translate(380 20) scale(-1 1)'"
    >
      <path class="palm" :d="PALM" />
      <template v-for="{ s, f } in fingersOf(hand)" :key="s.name">
        <g
          :transform="`translate(${s.x} ${s.y}) rotate(${s.lean})`"
          class="finger"
          :class="{ up: f.up, missing: f.missing, now: f.now }"
          @click="movable && !f.missing && emit('tap', `${hand}-${s.name}`)"
        >
          <rect class="hit" :x="-s.width / 2 - 4" :y="-s.length - 4" :width="s.width + 8" :height="s.length + 30" />
          <rect
            v-if="f.up"
            class="skin"
            :x="-s.width / 2"
            :y="-s.length"
            :width="s.width"
            :height="s.length + 24"
            :rx="s.width / 2"
          />
          <rect v-else class="skin stub" :x="-s.width / 2" y="-14" :width="s.width" height="34" :rx="s.width / 2" />
          <template v-if="f.up">
            <path
              class="line"
              :d="`M${-s.width / 2 + 5} ${-s.length * 0.42} h${s.width - 10} M${-s.width / 2 + 5} ${-s.length * 0.68} h${s.width - 10}`"
            />
            <rect v-if="f.banded" class="band" :x="-s.width / 2" :y="-s.length * 0.3" :width="s.width" height="11" />
          </template>
          <path v-else class="line" :d="`M${-s.width / 2 + 4} 4 q${s.width / 2 - 4} 7 ${s.width - 8} 0`" />
          <text v-if="f.mark" class="number" :transform="hand === 'right' ? 'scale(-1 1)' : undefined" y="16">
            {{ f.mark }}
          </text>
        </g>
      </template>
      <path class="crease" d="M44 168 Q74 152 112 160 M40 190 Q72 176 108 186" />
    </g>
    <slot />
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
.number {
  font: 700 15px var(--learner);
  fill: var(--piece-line);
  text-anchor: middle;
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
