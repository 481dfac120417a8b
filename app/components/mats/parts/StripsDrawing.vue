<script setup lang="ts">
import type { PartsState } from '../../../../core/representation/parts/state'
import { layStrips } from '../../../../core/representation/parts/layout'
import { rowsOf } from './rows'

/** Strips at true proportion: wholes, and parts laid end to end in rows that begin at one edge. */
const props = defineProps<{ state: PartsState; width: number; height: number; taking: boolean; word: string }>()
const emit = defineEmits<{ tap: [row: string, of: number] }>()

const LEFT = 12
const rows = computed(() => rowsOf(props.state, props.word))
const scale = computed(() => ({ short: 0.55, middle: 0.78, long: 1 })[props.state.whole])
/** Where there is room for it, each row is named. */
const named = computed(() => rows.value.length > 1 && props.width > 420)
const layout = computed(() =>
  layStrips(rows.value, Math.max(80, props.width - 2 * LEFT - (named.value ? 112 : 0)), props.height - 8, scale.value),
)
const kinds = computed(() => [...new Set(layout.value.bars.map((b) => b.of))].filter((of) => of > 1))
const name = useId()
</script>

<template>
  <svg
    :viewBox="`0 0 ${width} ${layout.height}`"
    :style="{ height: `${layout.height}px` }"
    class="strips"
    aria-hidden="true"
  >
    <HatchPatterns :kinds="kinds" :name="name" />
    <g v-for="(band, i) in layout.bands" :key="band.row" :class="['band', band.row]">
      <rect
        class="ground"
        :data-zone="band.row"
        x="0"
        :y="band.y - 6"
        :width="width"
        :height="Math.max(30, band.height + 8)"
      />
      <text v-if="named" class="caption" :x="width - 8" :y="band.y + 18" text-anchor="end">
        {{ rows[i]!.caption }}
      </text>
      <g :transform="`translate(${LEFT} 0)`">
        <rect v-for="(o, k) in band.outlines" :key="k" class="outline" v-bind="o" />
      </g>
    </g>
    <g :transform="`translate(${LEFT} 0)`">
      <g
        v-for="(bar, i) in layout.bars"
        :key="i"
        class="bar grip"
        :class="{ posed: bar.row === 'posed' }"
        :data-from="bar.row"
        :data-of="bar.of"
        @click="emit('tap', bar.row, bar.of)"
      >
        <rect class="piece" :x="bar.x" :y="bar.y" :width="bar.width" :height="bar.height" />
        <rect
          v-if="bar.of > 1"
          class="hatch"
          :x="bar.x"
          :y="bar.y"
          :width="bar.width"
          :height="bar.height"
          :fill="`url(#${name}-${bar.of})`"
        />
        <rect
          v-if="bar.width > 24 && bar.of > 1 && bar.height > 30"
          class="plate"
          :x="bar.x + bar.width / 2 - (bar.of > 9 ? 12 : 9)"
          :y="bar.y + bar.height / 2 - 18"
          :width="bar.of > 9 ? 24 : 18"
          height="37"
          rx="2"
        />
        <StackedText
          v-if="bar.width > 24 && bar.of > 1 && bar.height > 30"
          :text="`1/${bar.of}`"
          :x="bar.x + bar.width / 2"
          :y="bar.y + bar.height / 2"
          :size="15"
        />
        <StackedText
          v-if="bar.of === 1 && bar.height > 16"
          text="1"
          :x="bar.x + bar.width / 2"
          :y="bar.y + bar.height / 2"
          :size="18"
        />
      </g>
    </g>
  </svg>
</template>

<style scoped>
.strips {
  display: block;
  width: 100%;
}
.ground {
  fill: transparent;
}
.band.posed .ground {
  fill: var(--felt-2);
}
.caption {
  fill: var(--on-felt);
  font: 700 15px var(--ui);
}
.outline {
  fill: none;
  stroke: var(--felt-line);
  stroke-width: 1.6;
  stroke-dasharray: 7 5;
}
.bar {
  cursor: grab;
  touch-action: none;
  color: var(--piece-line);
}
.piece {
  fill: var(--piece);
  stroke: var(--piece-line);
  stroke-width: 1.6;
}
.posed .piece {
  stroke-dasharray: 5 3;
  fill-opacity: 0.82;
}
.plate {
  fill: var(--piece);
}
.hatch {
  pointer-events: none;
}
</style>
