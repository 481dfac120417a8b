<script setup lang="ts">
import type { PartsState } from '../../../../core/representation/parts/state'
import { asNumber, cutOf, lcm } from '../../../../core/door'
import { rowsOf } from './rows'

/** Containers filled in equal levels; each pouring has a texture of its own, so that it can be told from the one before. */
const props = defineProps<{ state: PartsState; width: number; height: number; taking: boolean; word: string }>()
const emit = defineEmits<{ tap: [row: string, of: number] }>()
const name = useId()

interface Layer {
  readonly from: number
  readonly to: number
  readonly texture: number
}
interface Container {
  readonly row: string
  readonly caption: string
  readonly of: number
  readonly levels: number
  readonly layers: readonly Layer[]
}
/** More lines than this could not be told apart. */
const MOST_LINES = 24

const containers = computed<readonly Container[]>(() =>
  rowsOf(props.state, props.word).flatMap(({ row, pieces, caption }): readonly Container[] => {
    const value = pieces.reduce((n, p) => n + p.count * asNumber(p.unit), 0)
    const cuts = pieces.map((p) => cutOf(p.unit)).filter((n) => n > 1)
    const common = Number(lcm(cuts.map(BigInt)))
    const levels = common <= MOST_LINES ? common : Math.min(MOST_LINES, Math.max(1, ...cuts))
    const ends = row === 'main' ? props.state.levels.map(asNumber) : [value]
    const of = Math.max(1, ...cuts)
    return Array.from({ length: Math.max(1, Math.ceil(value - 1e-9)) }, (_, i): Container => {
      const layers = ends.map((to, k) => ({
        from: Math.min(1, Math.max(0, (ends[k - 1] ?? 0) - i)),
        to: Math.min(1, Math.max(0, to - i)),
        texture: row === 'main' ? k % 3 : row === 'posed' ? props.state.levels.length % 3 : 0,
      }))
      return { row, caption: i === 0 ? caption : '', of, levels, layers: layers.filter((l) => l.to > l.from) }
    })
  }),
)
const GAP = 26
const size = computed(() => {
  const n = containers.value.length
  const wide = Math.min(170, (props.width - GAP * (n + 1)) / n)
  return { wide, high: Math.max(120, Math.min(props.height - 56, wide * 2.4)) }
})
const left = (i: number): number => {
  const n = containers.value.length
  const all = n * size.value.wide + (n - 1) * GAP
  return (props.width - all) / 2 + i * (size.value.wide + GAP)
}
const TOP = 16
const y = (share: number): number => TOP + size.value.high * (1 - share)
</script>

<template>
  <svg :viewBox="`0 0 ${width} ${height}`" :style="{ height: `${height}px` }" class="vessel" aria-hidden="true">
    <defs>
      <pattern :id="`${name}-0`" patternUnits="userSpaceOnUse" width="10" height="10">
        <path d="M0 5H10" class="ink" />
      </pattern>
      <pattern :id="`${name}-1`" patternUnits="userSpaceOnUse" width="10" height="10">
        <circle cx="5" cy="5" r="1.9" class="ink" />
      </pattern>
      <pattern :id="`${name}-2`" patternUnits="userSpaceOnUse" width="9" height="9" patternTransform="rotate(45)">
        <path d="M0 0V9" class="ink" />
      </pattern>
    </defs>
    <g
      v-for="(c, i) in containers"
      :key="i"
      class="container grip"
      :data-zone="c.row"
      :data-from="c.row"
      :data-of="c.of"
      @click="emit('tap', c.row, c.of)"
    >
      <rect
        class="glass"
        :x="left(i)"
        :y="TOP"
        :width="size.wide"
        :height="size.high"
        :class="{ posed: c.row === 'posed' }"
      />
      <g v-for="(l, k) in c.layers" :key="k">
        <rect
          class="water"
          :x="left(i) + 3"
          :y="y(l.to)"
          :width="size.wide - 6"
          :height="(l.to - l.from) * size.high"
        />
        <rect
          :x="left(i) + 3"
          :y="y(l.to)"
          :width="size.wide - 6"
          :height="(l.to - l.from) * size.high"
          :fill="`url(#${name}-${l.texture})`"
        />
        <path class="surface" :d="`M${left(i) + 3} ${y(l.to)}h${size.wide - 6}`" />
      </g>
      <path
        v-for="n in Math.max(0, c.levels - 1)"
        :key="`l${n}`"
        class="level"
        :d="`M${left(i)} ${y(n / c.levels)}h${n % 5 === 0 && c.levels > 8 ? 26 : 16}M${left(i) + size.wide} ${y(n / c.levels)}h${n % 5 === 0 && c.levels > 8 ? -26 : -16}`"
      />
      <text class="caption" :x="left(i) + size.wide / 2" :y="TOP + size.high + 26" text-anchor="middle">
        {{ containers.length > 1 ? c.caption : '' }}
      </text>
    </g>
  </svg>
</template>

<style scoped>
.vessel {
  display: block;
  width: 100%;
}
.container {
  cursor: pointer;
}
.glass {
  fill: var(--felt-2);
  stroke: var(--on-felt);
  stroke-width: 3.5;
}
.glass.posed {
  stroke-dasharray: 9 5;
}
.water {
  fill: var(--piece);
}
.ink {
  stroke: var(--piece-line);
  stroke-width: 1.3;
  fill: var(--piece-line);
  stroke-opacity: 0.75;
  fill-opacity: 0.75;
}
.surface {
  stroke: var(--piece-line);
  stroke-width: 4;
}
.level {
  stroke: var(--felt-line);
  stroke-width: 2.5;
}
.caption {
  fill: var(--on-felt);
  font: 700 15px var(--ui);
}
</style>
