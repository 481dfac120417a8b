<script setup lang="ts">
import type { Mode, Setup, Standing } from '../../../../core/door'
import { DOTTED, SHAPES, type GroupsState, type Shape } from '../../../../core/representation/groups/groups'
import { MARGIN, RING, rings, rows, STEP } from '../../../../core/representation/groups/layout'

/** Equal groups: in rings, in the rows of an array that can be split and turned round, or as bars. */
const props = defineProps<{ state: GroupsState; setup: Setup; standing: Standing; mode: Mode; newest: boolean }>()
const emit = defineEmits<{ move: [text: string] }>()

const movable = computed(() => props.mode !== 'show')
/** In Alone the learner knows when there are enough groups: nothing is outlined, and no total is given away. */
const told = computed(() => props.mode !== 'alone')
const drawn = computed(() => (props.state.shape === 'rings' ? rings : rows)(props.state, told.value))
const made = computed(() => props.state.groups.length)
const split = computed(() => props.state.split)
const NAMES: Readonly<Record<Shape, string>> = { rings: 'Rings', array: 'Array', bars: 'Bars' }
const shapes = computed(() => (props.state.size > DOTTED ? (['bars'] as const) : SHAPES))

const described = computed(() => {
  const { groups, count, size } = props.state
  const equal = groups.every((n) => n === size)
  const lie = equal ? `${groups.length} groups of ${size}` : `groups of ${groups.join(', ')}`
  const total = told.value && groups.length > 0 ? `, ${groups.reduce((a, b) => a + b, 0)} in all` : ''
  return `${groups.length === 0 ? 'no group yet' : lie}${total}${split.value ? `; split after ${split.value} of ${count}` : ''}`
})
/** The parts that a split leaves, each of which can be filled at once. */
const parts = computed(() => {
  const { split: at, count } = props.state
  return at === null ? [] : [at, count - at]
})
const at = ref(Math.max(1, Math.min(props.state.count - 1, 5)))
watch(
  () => props.state.count,
  (count) => (at.value = Math.max(1, Math.min(count - 1, 5))),
)
const size = ref(props.state.size)
watch(
  () => props.state.size,
  (n) => (size.value = n),
)
const more = (): void =>
  emit('move', size.value === props.state.size ? 'group 1' : `group 1 of ${Math.round(size.value) || 0}`)
/** How long a bar is, in the drawing's units: all of them fit side by side. */
const unit = computed(() => 800 / (Math.max(props.state.count, made.value) * props.state.size))
const bars = computed(() => {
  let x = 0
  return props.state.groups.map((n) => {
    const bar = { x, width: n * unit.value, n }
    x += bar.width
    return bar
  })
})
</script>

<template>
  <div class="groups felt" role="group" aria-label="The mat">
    <p class="sr-only" aria-live="polite">{{ described }}</p>
    <div class="room">
      <svg
        v-if="state.shape === 'bars'"
        class="drawing"
        viewBox="-10 -10 820 240"
        role="img"
        :aria-label="`Bars: ${described}`"
      >
        <rect class="bar one" x="0" y="0" :width="state.size * unit" height="64" />
        <text class="inbar" :x="(state.size * unit) / 2" y="42">{{ state.size }}</text>
        <rect v-if="told" class="outline" x="0" y="120" :width="state.count * state.size * unit" height="64" />
        <template v-for="(bar, i) in bars" :key="i">
          <rect
            class="bar"
            :class="{ now: newest && i === made - 1 }"
            :x="bar.x"
            y="120"
            :width="bar.width"
            height="64"
          />
          <text class="inbar" :x="bar.x + bar.width / 2" y="162">{{ bar.n }}</text>
        </template>
      </svg>
      <svg
        v-else
        class="drawing"
        :viewBox="`0 0 ${drawn.width} ${drawn.height}`"
        role="img"
        :aria-label="`${NAMES[state.shape]}: ${described}`"
      >
        <g
          v-for="(g, i) in drawn.groups"
          :key="i"
          :transform="`translate(${g.x} ${g.y})`"
          class="group"
          :class="{ coming: !g.made, now: newest && g.made && i === made - 1 }"
          @click="movable && (g.made ? i === made - 1 && emit('move', 'back') : emit('move', 'group 1'))"
        >
          <circle v-if="state.shape === 'rings'" class="ring" :r="RING" />
          <rect v-else class="hit" :x="MARGIN - 6" :y="-STEP / 2" :width="g.dots.length * STEP + 12" :height="STEP" />
          <circle v-for="(d, k) in g.dots" :key="k" class="dot" :cx="d.x" :cy="d.y" r="11" />
          <text v-if="told && g.made && state.shape === 'rings'" class="total" :y="RING + 26">{{ g.total }}</text>
          <template v-if="state.shape === 'array'">
            <text class="name" x="34" y="7">{{ i + 1 }}</text>
            <text v-if="told && g.made" class="total" :x="MARGIN + g.dots.length * STEP + 32" y="8">{{ g.total }}</text>
          </template>
        </g>
        <line
          v-if="state.shape === 'array' && split"
          class="split"
          x1="14"
          :x2="drawn.width - 14"
          :y1="split * STEP"
          :y2="split * STEP"
        />
      </svg>
    </div>
    <div v-if="movable" class="acts">
      <button type="button" class="stone-button main" @click="more">One group more</button>
      <label class="of"
        >of
        <input
          v-model.number="size"
          type="number"
          min="1"
          max="100"
          inputmode="numeric"
          aria-label="How many in the next group"
        />
      </label>
      <button type="button" class="stone-button" :disabled="made === 0" @click="emit('move', 'back')">
        Take the last back
      </button>
      <template v-for="(n, i) in parts" :key="i">
        <button type="button" class="stone-button" @click="emit('move', `part ${n}`)">
          {{ n }} × {{ state.size }} at once
        </button>
      </template>
      <span v-if="state.count > 1" class="splits">
        <button type="button" class="stone-button" @click="emit('move', `split after ${at}`)">Split after</button>
        <select v-model.number="at" aria-label="After how many groups">
          <option v-for="n in state.count - 1" :key="n" :value="n">{{ n }}</option>
        </select>
      </span>
      <button type="button" class="stone-button" @click="emit('move', 'turn')">Turn it round</button>
      <span v-if="shapes.length > 1" class="chips" role="group" aria-label="How they lie">
        <button
          v-for="shape in shapes"
          :key="shape"
          type="button"
          class="stone-button"
          :aria-pressed="state.shape === shape"
          @click="emit('move', `as ${shape}`)"
        >
          {{ NAMES[shape] }}
        </button>
      </span>
    </div>
  </div>
</template>

<style scoped>
.groups {
  height: 100%;
  overflow: auto;
  display: grid;
  grid-template-rows: minmax(12rem, 1fr) auto;
  background: var(--felt);
  color: var(--on-felt);
}
.room {
  min-height: 0;
  padding: 0.8rem;
}
.drawing {
  display: block;
  width: 100%;
  height: 100%;
}
.ring {
  fill: var(--felt-2);
  stroke: var(--on-felt);
  stroke-width: 3;
}
.hit {
  fill: transparent;
}
.dot {
  fill: var(--piece);
  stroke: var(--piece-line);
  stroke-width: 2;
}
.coming .ring {
  fill: none;
  stroke-dasharray: 8 7;
  stroke: var(--felt-line);
}
.coming .dot {
  fill: none;
  stroke: var(--felt-line);
  stroke-dasharray: 3 3;
}
.now .ring,
.now .dot,
.bar.now {
  stroke: var(--focus-on-felt);
  stroke-width: 4;
}
.group {
  cursor: pointer;
}
text {
  font: 700 20px var(--learner);
  fill: var(--on-felt);
  text-anchor: middle;
}
.name {
  font-weight: 400;
  font-size: 16px;
}
.split {
  stroke: var(--focus-on-felt);
  stroke-width: 5;
  stroke-dasharray: 14 8;
}
.bar {
  fill: var(--piece);
  stroke: var(--piece-line);
  stroke-width: 3;
}
.outline {
  fill: none;
  stroke: var(--felt-line);
  stroke-width: 3;
  stroke-dasharray: 10 8;
}
.inbar {
  fill: var(--piece-line);
  font-size: 26px;
}
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 0.4rem;
  align-items: center;
  padding: 0.5rem 0.8rem 0.8rem;
}
.of,
.splits {
  display: inline-flex;
  gap: 0.35rem;
  align-items: center;
}
.of input {
  width: 4.2rem;
}
.acts :is(input, select) {
  color: var(--ink);
}
</style>
