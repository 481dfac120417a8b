<script setup lang="ts">
import { notchesIn, placed, type NotchMap } from '../../../../core/representation/touch/notches'
import { PEN_PATHS, svgOf } from '../../../../core/representation/touch/paths'

/** One numeral as a pen writes it, with its notches: every bar across the stroke counts one; five close together are a comb. */
const props = defineProps<{
  digit: number
  map: NotchMap | null
  shows: 'full' | 'faint' | 'off'
  /** How many of its counts have been touched. */
  touched: number
}>()
/** Which of the numeral's counts is touched, from 1 in pen order; anywhere on a comb it is the tooth that is next. */
const emit = defineEmits<{ touch: [count: number] }>()
const notches = computed(() => {
  const all = placed(props.digit, notchesIn(props.map, props.digit))
  const teeth = all.flatMap((n, i) => (n.tooth ? [i + 1] : []))
  const nextTooth = teeth.find((count) => count > props.touched) ?? teeth.at(-1)
  return all.map((n, i) => {
    const half = n.tooth ? 10 : 13
    const [dx, dy] = [n.across.x * half, n.across.y * half]
    const d = `M${n.x - dx} ${n.y - dy}L${n.x + dx} ${n.y + dy}`
    return { ...n, d, touched: i < props.touched, count: n.tooth ? nextTooth! : i + 1 }
  })
})
</script>

<template>
  <g>
    <path v-for="(s, i) in PEN_PATHS[digit]" :key="i" class="pen" :d="svgOf(s)" />
    <g v-if="shows !== 'off'" :class="{ faint: shows === 'faint' }">
      <g v-for="(n, i) in notches" :key="i" class="notch" @click="emit('touch', n.count)">
        <circle class="hit" :cx="n.x" :cy="n.y" :r="n.tooth ? 20 : 17" />
        <path class="edge" :class="{ tooth: n.tooth }" :d="n.d" />
        <path class="bar" :class="{ tooth: n.tooth, touched: n.touched }" :d="n.d" />
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
.edge.tooth {
  stroke-width: 7.5;
}
.bar {
  stroke: var(--on-felt);
  stroke-width: 4.5;
  stroke-linecap: square;
}
.bar.tooth {
  stroke-width: 3.4;
}
.bar.touched {
  stroke: var(--focus-on-felt);
  stroke-width: 6.5;
}
.bar.tooth.touched {
  stroke-width: 5;
}
.faint .bar:not(.touched) {
  opacity: 0.45;
}
</style>
