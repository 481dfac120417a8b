<script setup lang="ts">
import { scaleLinear, scaleUtc } from 'd3-scale'
import { line } from 'd3-shape'
import { format } from 'date-fns'
import type { AimLine, Phase, Session, Trend } from '../../../../core/progress/index'
import { DAY_MS, WEEK_MS } from '../../../../shared/days'
import { HELP_LEVELS } from '../../../../shared/levels'

/**
 * Sessions of one learner: right without help as points on a line, with the aim line and the trend; below it how much help each session
 * took. It is read in grey: shapes, dashes and patterns say what colour says too.
 */
const {
  sessions,
  aim,
  trend,
  measure = 'share',
  least = 1,
} = defineProps<{
  sessions: readonly Session[]
  aim: AimLine | undefined
  /** In shares a week, from the first session on. */
  trend: Trend | undefined
  /** The share that was right without help, or how many were right in a minute. */
  measure?: 'share' | 'rate'
  /** Days with fewer tries decide nothing: they are small points beside the line. */
  least?: number
}>()
const [WIDE, HIGH, LEFT, RIGHT, TOP, LOW, BARS] = [860, 330, 52, 20, 34, 40, 90]
/** So that the first bar does not lie on what stands left of it. */
const INSET = 18
const at = (day: string): Date => new Date(`${day}T00:00:00Z`)
const first = computed(() => at(sessions[0]!.day))
const last = computed(() => {
  const end = at(sessions.at(-1)!.day)
  const goal = aim ? at(aim.to.day) : end
  const least = new Date(first.value.getTime() + 6 * DAY_MS)
  return new Date(Math.max(end.getTime(), goal.getTime(), least.getTime()))
})
const x = computed(() => scaleUtc([first.value, last.value], [LEFT + INSET, WIDE - RIGHT]))
/** The highest rate, rounded up to a whole number that halves well. */
const most = computed(() =>
  measure === 'share' ? 1 : Math.max(4, 4 * Math.ceil(Math.max(...sessions.map((s) => s.perMinute ?? 0)) / 4)),
)
const y = computed(() => scaleLinear([0, most.value], [HIGH - LOW, TOP]))
const valueOf = (s: Session): number | null => (measure === 'share' ? s.share : s.perMinute)
const shown = computed(() => sessions.filter((s) => valueOf(s) !== null))
/** Points are drawn while they can be told apart. */
const MOST_POINTS = 160
const path = computed(
  () =>
    line<Session>(
      (s) => x.value(at(s.day)),
      (s) => y.value(valueOf(s)!),
    )(shown.value.filter((s) => s.tried >= least)) ?? '',
)
const trendEnds = computed(() => {
  if (measure !== 'share' || !trend || sessions.length < 4) return null
  const weeks = (at(sessions.at(-1)!.day).getTime() - first.value.getTime()) / WEEK_MS
  const inside = (v: number): number => Math.min(1, Math.max(0, v))
  return { from: inside(trend.intercept), to: inside(trend.intercept + trend.slope * weeks) }
})
const enough = computed(() => sessions.filter((s) => s.tried >= least))
const ticks = computed(() => x.value.ticks(6))
const PHASE_NAMES: Readonly<Record<Phase, string>> = { held: 'held', drawn: 'drawn', written: 'written' }
/** Where the phase of the material changes: a mark with its name. */
const phases = computed(() =>
  enough.value
    .flatMap((s, i, all) =>
      s.phase && s.phase !== all[i - 1]?.phase ? [{ x: x.value(at(s.day)), name: PHASE_NAMES[s.phase] }] : [],
    )
    // Names that would lie over each other stand one above the other.
    .map((p, i, all) => ({ ...p, y: i % 2 && p.x - all[i - 1]!.x < 70 ? TOP - 24 : TOP - 12 })),
)
/** So many stacks at most stand beside each other; of more sessions, several that follow each other stand as one. */
const MOST_STACKS = 200
const together = computed(() => {
  const each = Math.ceil(sessions.length / MOST_STACKS)
  return Array.from({ length: Math.ceil(sessions.length / each) }, (_, i) => sessions.slice(i * each, (i + 1) * each))
})
/** As wide as the two days that lie nearest to each other let them be. */
const wide = computed(() => {
  const lefts = together.value.map((some) => x.value(at(some[0]!.day)))
  const near = lefts.slice(1).reduce((least, px, i) => Math.min(least, px - lefts[i]!), 29)
  return Math.max(3, near - 3)
})
/** Help of each session as a stack, from none at the bottom to the most. */
const stacks = computed(() =>
  together.value.map((some) => {
    const tried = some.reduce((n, s) => n + s.tried, 0)
    let low = 0
    return HELP_LEVELS.flatMap((level, i) => {
      const n = some.reduce((sum, s) => sum + (s.help[level] ?? 0), 0)
      if (n === 0 || tried === 0) return []
      const part = { x: x.value(at(some[0]!.day)) - wide.value / 2, y: low, h: (n / tried) * BARS, i }
      low += part.h
      return [part]
    })
  }),
)
const id = useId()
const HELP_NAMES = ['no help', 'pointed', 'spoken', 'shown', 'hand over hand']
</script>

<template>
  <svg :viewBox="`0 0 ${WIDE} ${HIGH + BARS + 60}`" role="img" aria-labelledby="chart-told" class="chart">
    <defs>
      <pattern v-for="n in 4" :id="`${id}-${n}`" :key="n" width="7" height="7" patternUnits="userSpaceOnUse">
        <rect width="7" height="7" class="ground" />
        <path :d="['', 'M0 3.5h7', 'M0 7L7 0', 'M0 3.5h7M3.5 0v7', 'M0 0L7 7M0 7L7 0'][n]" class="weave" />
      </pattern>
    </defs>
    <g class="grid">
      <template v-for="t in [0, 0.25, 0.5, 0.75, 1].map((part) => part * most)" :key="t">
        <path :d="`M${LEFT} ${y(t)}H${WIDE - RIGHT}`" />
        <text :x="LEFT - 8" :y="y(t) + 5" text-anchor="end">{{ measure === 'share' ? t * 100 : t }}</text>
      </template>
      <template v-for="t in ticks" :key="+t">
        <text :x="x(t)" :y="HIGH - LOW + 22" text-anchor="middle">{{ format(t, 'd MMM') }}</text>
      </template>
    </g>
    <g v-for="p in phases" :key="p.x" class="phase">
      <path :d="`M${p.x} ${TOP - 8}V${HIGH - LOW}`" />
      <text :x="p.x + 4" :y="p.y">{{ p.name }}</text>
    </g>
    <g v-if="aim && measure === 'share'" class="aim">
      <path :d="`M${x(at(aim.from.day))} ${y(aim.from.share)}L${x(at(aim.to.day))} ${y(aim.to.share)}`" />
      <path :d="`M${x(at(aim.to.day)) - 7} ${y(aim.to.share)}l7 -7l7 7l-7 7z`" class="end" />
    </g>
    <path
      v-if="trendEnds"
      class="trend"
      :d="`M${x(first)} ${y(trendEnds.from)}L${x(at(sessions.at(-1)!.day))} ${y(trendEnds.to)}`"
    />
    <path class="way" :d="path" />
    <template v-if="shown.length <= MOST_POINTS">
      <circle
        v-for="s in shown"
        :key="s.day"
        class="dot"
        :cx="x(at(s.day))"
        :cy="y(valueOf(s)!)"
        :r="s.tried >= least ? 5.5 : 3"
      />
    </template>
    <g :transform="`translate(0 ${HIGH + 8})`">
      <text :x="LEFT - 8" y="14" text-anchor="end" class="name">help</text>
      <g v-for="(stack, k) in stacks" :key="k">
        <rect
          v-for="b in stack"
          :key="b.i"
          :x="b.x"
          :y="BARS - b.y - b.h"
          :width="wide"
          :height="b.h"
          class="help"
          :style="{ fill: b.i === 0 ? undefined : `url(#${id}-${b.i})` }"
        />
      </g>
      <g class="keys" :transform="`translate(${LEFT} ${BARS + 16})`">
        <g v-for="(name, i) in HELP_NAMES" :key="name" :transform="`translate(${i * 150} 0)`">
          <rect width="18" height="18" class="help" :style="{ fill: i === 0 ? undefined : `url(#${id}-${i})` }" />
          <text x="26" y="14">{{ name }}</text>
        </g>
      </g>
    </g>
  </svg>
</template>

<style scoped>
.chart {
  width: 100%;
  height: auto;
  background: var(--sheet);
  border: 1.5px solid var(--edge);
}
text {
  font-size: 14px;
  fill: var(--ink);
}
.grid path {
  stroke: var(--rule);
  stroke-width: 1.2;
}
.phase path {
  stroke: var(--ink);
  stroke-width: 1.2;
  stroke-dasharray: 2 5;
}
.phase text {
  font-weight: 700;
}
.aim path {
  stroke: var(--clay);
  stroke-width: 2.5;
  stroke-dasharray: 10 6;
  fill: none;
}
.aim .end {
  fill: var(--clay);
  stroke: none;
}
.trend {
  stroke: var(--ink);
  stroke-width: 1.6;
  stroke-dasharray: 2 4;
  fill: none;
}
.way {
  stroke: var(--ink);
  stroke-width: 2.6;
  fill: none;
}
.dot {
  fill: var(--sheet);
  stroke: var(--ink);
  stroke-width: 2.6;
}
.help {
  fill: var(--sheet);
  stroke: var(--ink);
  stroke-width: 1.2;
}
.ground {
  fill: var(--sheet);
}
.weave {
  stroke: var(--ink);
  stroke-width: 1.4;
  fill: none;
}
</style>
