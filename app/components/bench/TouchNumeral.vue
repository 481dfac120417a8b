<script setup lang="ts">
import { notchesIn, placed, type NotchMap } from '../../../core/representation/touch/notches'
import { PEN_PATHS, svgOf } from '../../../core/representation/touch/paths'

/** One numeral as a pen writes it, with its notches: one bar across the stroke counts one, a double bar two. */
const props = defineProps<{
  digit: number
  map: NotchMap | null
  shows: 'full' | 'faint' | 'off'
  /** How many of its counts have been touched. */
  touched: number
}>()
/** Which of the numeral's counts is touched, from 1 in pen order; of a double bar the one that is next. */
const emit = defineEmits<{ touch: [count: number] }>()
const HALF = 13
const notches = computed(() => {
  let before = 0
  return placed(props.digit, notchesIn(props.map, props.digit)).map((n) => {
    const done = Math.max(0, Math.min(n.counts, props.touched - before))
    before += n.counts
    // A double bar is two bars side by side along the stroke; each is touched for itself.
    const along = { x: n.across.y, y: -n.across.x }
    const bars = (n.counts === 2 ? [-5, 5] : [0]).map((off, i) => {
      const [cx, cy] = [n.x - along.x * off, n.y - along.y * off]
      return {
        d: `M${cx - n.across.x * HALF} ${cy - n.across.y * HALF} L${cx + n.across.x * HALF} ${cy + n.across.y * HALF}`,
        touched: i < done,
      }
    })
    const cut = `M${n.x - n.across.x * HALF} ${n.y - n.across.y * HALF} L${n.x + n.across.x * HALF} ${n.y + n.across.y * HALF}`
    return { ...n, bars, cut, count: before - n.counts + Math.min(done + 1, n.counts) }
  })
})
</script>

<template>
  <g>
    <path v-for="(s, i) in PEN_PATHS[digit]" :key="i" class="pen" :d="svgOf(s)" />
    <g v-if="shows !== 'off'" :class="{ faint: shows === 'faint' }">
      <g v-for="(n, i) in notches" :key="i" class="notch" @click="emit('touch', n.count)">
        <circle class="hit" :cx="n.x" :cy="n.y" r="17" />
        <path class="edge" :class="{ wide: n.counts === 2 }" :d="n.cut" />
        <template v-for="(bar, b) in n.bars" :key="b"
          ><path class="bar" :class="{ touched: bar.touched }" :d="bar.d"
        /></template>
      </g>
    </g>
  </g>
</template>

<style scoped>
.pen {
  fill: none;
  stroke: var(--on-felt);
  stroke-width: 10;
  stroke-linecap: round;
  stroke-linejoin: round;
}
.notch {
  cursor: pointer;
}
.hit {
  fill: transparent;
}
.edge {
  stroke: var(--felt);
  stroke-width: 8.5;
  stroke-linecap: butt;
}
.edge.wide {
  stroke-width: 21;
}
.bar {
  stroke: var(--on-felt);
  stroke-width: 4.5;
  stroke-linecap: square;
}
.bar.touched {
  stroke: var(--focus-on-felt);
  stroke-width: 6.5;
}
.faint .bar:not(.touched) {
  opacity: 0.45;
}
</style>
