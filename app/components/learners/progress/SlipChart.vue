<script setup lang="ts">
import { scaleBand, scaleLinear } from 'd3-scale'
import { format } from 'date-fns'
import type { SlipWeeks } from '../../../../core/progress/index'

/** Kinds of mistake week by week: a row each, with bars and their numbers. */
const { of, names } = defineProps<{ of: SlipWeeks; names: (slip: string) => string }>()
const [WIDE, LEFT, ROW, BAR, WIDEST] = [860, 300, 44, 26, 64]
const x = computed(() =>
  scaleBand<string>()
    .domain(of.weeks)
    .range([LEFT, Math.min(WIDE - 10, LEFT + of.weeks.length * WIDEST)])
    .paddingInner(0.2),
)
const most = computed(() => Math.max(1, ...of.kinds.flatMap((k) => k.counts)))
const high = computed(() => scaleLinear([0, most.value], [0, BAR]))
const dayOf = (week: string): string => format(new Date(`${week}T12:00:00`), 'd MMM')
/** Weeks whose day is written: so that none lies over another. */
const told = computed(() => {
  const each = Math.ceil((of.weeks.length * 56) / (WIDE - LEFT))
  return of.weeks.filter((_, i) => i % each === 0)
})
const sentence = computed(() => {
  const [first] = of.kinds
  if (!first) return ''
  const now = of.kinds.filter((k) => (k.counts.at(-1) ?? 0) > 0)
  return `Seen most: ${names(first.slip)}, ${first.total === 1 ? 'once' : `${first.total} times`}. ${
    now.length
      ? `In the last of these weeks: ${now.map((k) => `${names(k.slip)} (${k.counts.at(-1)})`).join(', ')}.`
      : ''
  }`
})
</script>

<template>
  <figure>
    <svg :viewBox="`0 0 ${WIDE} ${of.kinds.length * ROW + 30}`" role="img" :aria-label="sentence" class="slips">
      <g v-for="(k, r) in of.kinds" :key="k.slip" :transform="`translate(0 ${r * ROW})`">
        <text x="0" :y="ROW - 14">{{ names(k.slip).slice(0, 42) }}</text>
        <path :d="`M${LEFT} ${ROW - 8}H${WIDE - 10}`" class="base" />
        <template v-for="(n, i) in k.counts" :key="i">
          <rect
            v-if="n > 0"
            :x="x(of.weeks[i]!)"
            :y="ROW - 8 - high(n)"
            :width="x.bandwidth()"
            :height="high(n)"
            class="bar"
          />
          <text
            v-if="n > 0 && x.bandwidth() > 14"
            :x="x(of.weeks[i]!)! + x.bandwidth() / 2"
            :y="ROW - 11 - high(n)"
            text-anchor="middle"
            class="count"
          >
            {{ n }}
          </text>
        </template>
      </g>
      <text v-for="w in told" :key="w" :x="x(w)" :y="of.kinds.length * ROW + 18">{{ dayOf(w) }}</text>
    </svg>
    <figcaption>{{ sentence }}</figcaption>
    <details>
      <summary>The same as a table</summary>
      <table>
        <thead>
          <tr>
            <th scope="col">Mistake</th>
            <th v-for="w in of.weeks" :key="w" scope="col">{{ dayOf(w) }}</th>
            <th scope="col">In all</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="k in of.kinds" :key="k.slip">
            <th scope="row">{{ names(k.slip) }}</th>
            <td v-for="(n, i) in k.counts" :key="i">{{ n }}</td>
            <td>{{ k.total }}</td>
          </tr>
        </tbody>
      </table>
    </details>
  </figure>
</template>

<style scoped>
figure {
  margin: 0;
  display: grid;
  gap: 0.5rem;
}
.slips {
  width: 100%;
  height: auto;
  background: var(--sheet);
  border: 1.5px solid var(--edge);
  padding: 6px;
}
text {
  font-size: 14px;
  fill: var(--ink);
}
.count {
  font-size: 12px;
}
.base {
  stroke: var(--rule);
  stroke-width: 1.2;
}
.bar {
  fill: var(--plum);
}
details {
  overflow-x: auto;
}
summary {
  min-height: 44px;
  cursor: pointer;
}
table {
  border-collapse: collapse;
}
th,
td {
  padding: 0.3rem 0.7rem;
  text-align: left;
  border-bottom: 1px solid var(--rule);
}
</style>
