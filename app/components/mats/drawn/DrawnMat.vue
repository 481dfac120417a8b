<script setup lang="ts">
import { countingNow } from '../../../../core/representation/drawn/drawn'
import type { DrawnState } from '../../../../core/representation/drawn/state'
import { placeName } from '../../../../core/door'
import { layColumn, SIGN } from '../../../../core/representation/drawn/layout'

/**
 * Squares, lines and dots as one draws them: a tap on the paper draws one, a tap on one crosses it out; a made ten is ringed, a
 * broken one struck.
 */
const props = defineProps<{
  state: DrawnState
  places: number
  movable: boolean
  litPlaces: readonly number[]
  newest: boolean
  ones: string
}>()
const emit = defineEmits<{ move: [text: string]; refuse: [reason: string] }>()

const { t } = useI18n()
const { pieces: named, spanish } = useNames()
const root = ref<HTMLElement | null>(null)
const { width, height } = useElementSize(root)
const HEAD = 34
const columns = computed(() => Array.from({ length: Math.min(4, props.places) }, (_, i) => props.places - 1 - i))
const counts = computed(() => countingNow(props.state))
const nameOf = (place: number, n = 2): string =>
  spanish.value ? named(place, n) : place === 0 && n !== 1 ? props.ones : placeName(place, n)

/** Every column laid out, and one size of a dot for all of them. */
const laid = computed(() => {
  const all = columns.value.map((place) => ({ place, ...layColumn(place, props.state.things) }))
  const shares = all.map((c) => Math.max(3.4, c.width + 1.6))
  const total = shares.reduce((a, b) => a + b, 0)
  const unit = Math.max(
    5,
    Math.min(34, width.value / total, ...all.map((c) => (height.value - HEAD - 16) / (c.height + 1))),
  )
  let x = 0
  return all.map((c, i) => {
    const w = (width.value * shares[i]!) / total
    const made = { ...c, unit, left: x, w, dx: x + Math.max(8, (w - c.width * unit) / 2), dy: HEAD + 8 }
    x += w
    return made
  })
})
/** From a broken line to the ten dots that came of it; from a ringed ten to the line that stands for it. */
const arrows = computed(() => {
  const at = (place: number, key: number): { x: number; y: number } | undefined => {
    const column = laid.value.find((c) => c.place === place)
    const spot = column?.spots.find((s) => s.key === key)
    if (!column || !spot) return undefined
    return {
      x: column.dx + (spot.x + SIGN[place]!.w / 2) * column.unit,
      y: column.dy + (spot.y + SIGN[place]!.h / 2) * column.unit,
    }
  }
  return props.state.things.flatMap((t, key) => {
    if (t.fate !== 'broken') return []
    const child = props.state.things.findIndex((c) => c.from === 'break' && c.group === t.group)
    const [from, to] = [at(t.place, key), child < 0 ? undefined : at(t.place - 1, child)]
    if (!from || !to) return []
    const bend = (from.x + to.x) / 2
    return [
      {
        key,
        d: `M${from.x} ${from.y}Q${bend} ${from.y - 10} ${to.x - 16} ${to.y - 6}`,
        tip: `M${to.x - 24} ${to.y - 16}L${to.x - 13} ${to.y - 5}L${to.x - 28} ${to.y + 1}`,
      },
    ]
  })
})
const described = computed(() =>
  columns.value.map((p) => `${counts.value[p]} ${nameOf(p, counts.value[p])}`).join(', '),
)
const last = computed(() => props.state.things.length - 1)
const canRing = (place: number): boolean => place > 0 && counts.value[place - 1]! >= 10
/* --- dragging: a ten let go among the ones is broken; what is drawn out of its column is crossed out --- */
let held = { key: 0, place: 0 }
const { dragging, justDragged } = useDragging(root, {
  grip: '.grip',
  carried: '.ghost',
  start(data) {
    held = { key: Number(data.key), place: Number(data.place) }
    return true
  },
  end(x, y) {
    if (!props.movable) return
    const column = laid.value.find((c) => x >= c.left && x < c.left + c.w)
    const inside = column && y >= 0 && y < height.value
    if (inside && column.place === held.place - 1) emit('move', `break ${placeName(held.place, 1)}`)
    else if (!inside || column.place !== held.place) tap(held.key, held.place)
  },
})
/** How wide a small thing may be touched, in its own units: 44 px, but no wider than to its neighbour’s middle. */
const reach = (unit: number): number => Math.min(44 / unit, 1.9)
function tap(key: number, place: number): void {
  if (props.movable && props.state.things[key]!.fate === 'counts') emit('move', `cross ${placeName(place, 1)}`)
}
</script>

<template>
  <div class="drawn felt" role="group" :aria-label="t('mat.label')">
    <p class="sr-only" aria-live="polite">{{ described }}</p>
    <div ref="root" class="paper">
      <svg :viewBox="`0 0 ${width} ${height}`" role="img" :aria-label="t('drawn.label', { described })">
        <g v-for="c in laid" :key="c.place">
          <rect
            v-if="movable"
            class="touch"
            :x="c.left"
            y="0"
            :width="c.w"
            :height="height"
            @click="!justDragged() && emit('move', `draw ${placeName(c.place, 1)}`)"
          />
          <rect
            v-if="newest && litPlaces.includes(c.place)"
            class="lit"
            :x="c.left + c.w / 2 - 50"
            y="30"
            width="100"
            height="5"
          />
          <text class="head" :x="c.left + c.w / 2" y="24" text-anchor="middle">{{ nameOf(c.place) }}</text>
          <path v-if="c.left > 0" class="rule" :d="`M${c.left} 6V${height - 6}`" />
          <g
            v-for="s in c.spots"
            :key="s.key"
            class="thing"
            :data-key="s.key"
            :data-place="c.place"
            :class="[{ grip: movable && s.thing.fate === 'counts' }, s.thing.fate, { now: newest && s.key === last }]"
            :transform="`translate(${c.dx + s.x * c.unit} ${c.dy + s.y * c.unit}) scale(${c.unit})`"
            @click="!justDragged() && tap(s.key, c.place)"
          >
            <rect
              v-if="movable && s.thing.fate === 'counts' && c.place < 2"
              class="reach"
              :x="0.5 - reach(c.unit) / 2"
              :y="c.place === 0 ? 0.5 - reach(c.unit) / 2 : 0"
              :width="reach(c.unit)"
              :height="c.place === 0 ? reach(c.unit) : 5"
            />
            <circle v-if="c.place === 0" cx="0.5" cy="0.5" r="0.36" />
            <path v-else-if="c.place === 1" class="stroke" d="M0.27 0V5" />
            <rect v-else x="0.1" y="0.1" :width="SIGN[c.place]!.w - 0.2" :height="SIGN[c.place]!.h - 0.2" />
            <rect v-if="c.place === 3" x="0.7" y="0.7" width="5.6" height="5.6" />
            <path
              v-if="s.thing.fate === 'crossed'"
              class="cross"
              :d="
                c.place === 0
                  ? 'M-0.05 -0.05L1.05 1.05M1.05 -0.05L-0.05 1.05'
                  : c.place === 1
                    ? 'M-0.15 1.8L0.7 3.2M0.7 1.8L-0.15 3.2'
                    : `M0 0L${SIGN[c.place]!.w} ${SIGN[c.place]!.h}M${SIGN[c.place]!.w} 0L0 ${SIGN[c.place]!.h}`
              "
            />
            <path
              v-if="s.thing.fate === 'broken'"
              class="cross"
              :d="c.place === 1 ? 'M-0.35 3.2L0.9 1.8' : `M0 ${SIGN[c.place]!.h}L${SIGN[c.place]!.w} 0`"
            />
          </g>
          <rect
            v-for="r in c.rings"
            :key="r.group"
            class="ring"
            :x="c.dx + r.x * c.unit"
            :y="c.dy + r.y * c.unit"
            :width="r.w * c.unit"
            :height="r.h * c.unit"
            :rx="c.unit * 0.7"
          />
        </g>
        <g v-for="a in arrows" :key="a.key" class="arrow">
          <path :d="a.d" />
          <path :d="a.tip" />
        </g>
      </svg>
      <i v-if="dragging && movable" class="ghost" aria-hidden="true" />
      <p v-if="state.things.length === 0" class="empty">{{ t('drawn.empty') }} {{ movable ? t('drawn.tap') : '' }}</p>
    </div>
    <div v-if="movable" class="acts" :style="{ gridTemplateColumns: laid.map((c) => `${c.w}fr`).join(' ') }">
      <div v-for="c in columns" :key="c" class="tools" role="group" :aria-label="nameOf(c)">
        <button
          type="button"
          class="stone-button"
          :aria-label="t('drawn.drawOne', { piece: nameOf(c, 1) })"
          @click="emit('move', `draw ${placeName(c, 1)}`)"
        >
          {{ t('drawn.draw') }}
        </button>
        <button
          type="button"
          class="stone-button"
          :disabled="counts[c] === 0"
          :aria-label="t('drawn.crossOne', { piece: nameOf(c, 1) })"
          @click="emit('move', `cross ${placeName(c, 1)}`)"
        >
          {{ t('drawn.cross') }}
        </button>
        <button
          v-if="c > 0"
          type="button"
          class="stone-button"
          :disabled="counts[c] === 0"
          :aria-label="t('drawn.breakOne', { piece: nameOf(c, 1) })"
          @click="emit('move', `break ${placeName(c, 1)}`)"
        >
          {{ t('drawn.break') }}
        </button>
        <button
          v-if="c > 0 && canRing(c)"
          type="button"
          class="stone-button main"
          :aria-label="t('drawn.ring', { pieces: nameOf(c - 1) })"
          @click="emit('move', `ring ${placeName(c, 1)}`)"
        >
          {{ t('drawn.ring', { pieces: nameOf(c - 1) }) }}
        </button>
      </div>
    </div>
  </div>
</template>

<style scoped>
.drawn {
  height: 100%;
  background: var(--felt);
  display: grid;
  grid-template-rows: minmax(0, 1fr) auto;
  padding: 12px;
  gap: 8px;
}
.paper {
  position: relative;
  min-height: 0;
  background: var(--sheet);
  border-radius: 3px;
  overflow: hidden;
}
svg {
  position: absolute;
  inset: 0;
  width: 100%;
  height: 100%;
}
.head {
  fill: var(--ink);
  font: 700 1.02rem var(--ui);
}
.rule {
  stroke: var(--rule);
  stroke-width: 2;
}
.touch {
  fill: transparent;
  cursor: crosshair;
}
.lit {
  fill: var(--clay);
}
.thing {
  cursor: pointer;
}
.thing .reach {
  fill: transparent;
  stroke: none;
}
.paper svg {
  touch-action: none;
}
.ghost {
  position: absolute;
  left: -10px;
  top: -30px;
  width: 20px;
  height: 60px;
  border: 4px solid var(--clay);
  border-radius: 10px;
  pointer-events: none;
}
.thing circle {
  fill: var(--ink);
}
.thing rect {
  fill: transparent;
  stroke: var(--ink);
  stroke-width: 0.16;
}
.thing .stroke {
  stroke: var(--ink);
  stroke-width: 0.24;
  stroke-linecap: round;
}
.thing.crossed circle,
.thing.ringed circle {
  fill: var(--ink-soft);
}
.thing.crossed .stroke,
.thing.crossed rect,
.thing.ringed .stroke,
.thing.ringed rect,
.thing.broken .stroke,
.thing.broken rect {
  stroke: var(--ink-soft);
}
.thing.now circle {
  fill: var(--clay);
}
.thing.now > .stroke,
.thing.now > rect {
  stroke: var(--clay);
}
.cross {
  fill: none;
  stroke: var(--clay);
  stroke-width: 0.2;
  stroke-linecap: round;
}
.ring {
  fill: none;
  stroke: var(--moss);
  stroke-width: 3;
  stroke-dasharray: 9 4;
}
.arrow path {
  fill: none;
  stroke: var(--clay);
  stroke-width: 3;
  stroke-linecap: round;
  stroke-linejoin: round;
}
.empty {
  position: absolute;
  inset: auto 0 40% 0;
  text-align: center;
  pointer-events: none;
  color: var(--ink-soft);
}
.acts {
  display: grid;
  gap: 8px;
}
.tools {
  display: flex;
  flex-wrap: wrap;
  gap: 5px;
  justify-content: center;
  align-content: start;
}
.tools .stone-button {
  padding: 0.2rem 0.6rem;
}
</style>
