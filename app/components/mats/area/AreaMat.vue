<script setup lang="ts">
import type { Mode, Setup, Standing } from '../../../../core/door'
import { holds, standing as numberIn, type AreaState } from '../../../../core/representation/area/area'

/** A product as a rectangle at scale, split at the tens; beside it a line for each of its parts. */
const props = defineProps<{ state: AreaState; setup: Setup; standing: Standing; mode: Mode; newest: boolean }>()
const emit = defineEmits<{ move: [text: string] }>()

const writable = computed(() => props.mode !== 'show')
const told = computed(() => props.mode !== 'alone')
const whole = (side: readonly number[]): number => side.reduce((a, b) => a + b, 0)
const [across, down] = [computed(() => whole(props.state.along)), computed(() => whole(props.state.down))]
const parted = computed(() => props.state.along.length + props.state.down.length > 2)
/** Whether the parts can be told apart yet: a rectangle of one piece is its only part. */
const open = computed(() => props.state.split || !parted.value)

/** The drawing is 600 long at the most, and keeps its shape. */
const unit = computed(() => Math.min(600 / across.value, 380 / down.value))
const from = (side: readonly number[], i: number): number => whole(side.slice(0, i)) * unit.value
const cells = computed(() =>
  props.state.down.flatMap((d, row) =>
    props.state.along.map((a, column) => ({
      row,
      column,
      down: d,
      along: a,
      x: from(props.state.along, column),
      y: from(props.state.down, row),
      width: a * unit.value,
      height: d * unit.value,
      number: numberIn(props.state, row, column),
      struck: props.state.parts[row]![column]!.slice(0, -1),
      right: holds(props.state, row, column),
      /** What looks done: in Alone whatever was written, so that nothing is given away. */
      done: told.value ? holds(props.state, row, column) : numberIn(props.state, row, column) !== undefined,
    })),
  ),
)
type Cell = (typeof cells.value)[number]
const key = (c: Cell): string => `${c.row} ${c.column}`
const lit = ref<string | null>(null)
/** Every further square of ten is ruled, faintly, so that the scale is seen. */
const TENS = computed(() => {
  const lines: string[] = []
  for (let n = 10; n < across.value; n += 10) lines.push(`M${n * unit.value} 0V${down.value * unit.value}`)
  for (let n = 10; n < down.value; n += 10) lines.push(`M0 ${n * unit.value}H${across.value * unit.value}`)
  return lines.join('')
})

const texts = reactive<Record<string, string>>({})
watch(
  () => props.state,
  () => Object.keys(texts).forEach((k) => (texts[k] = '')),
)
const chosen = ref<string | null>(null)
/** A part that is to be written anew, although it looks done. */
const anew = ref<string | null>(null)
const current = computed(() => cells.value.find((c) => key(c) === chosen.value) ?? cells.value.find((c) => !c.done))
const root = ref<HTMLElement | null>(null)
function write(c: Cell): void {
  const number = (texts[key(c)] ?? '').trim()
  if (!/^\d{1,5}$/.test(number)) return
  chosen.value = null
  anew.value = null
  emit('move', `part ${c.down} by ${c.along} is ${Number(number)}`)
  void nextTick(() => {
    const next = cells.value.find((other) => !other.done)
    if (next) root.value?.querySelector<HTMLInputElement>(`[data-part="${key(next)}"]`)?.focus()
  })
}
function digit(n: number): void {
  const c = current.value
  if (c) texts[key(c)] = `${texts[key(c)] ?? ''}${n}`.slice(0, 5)
}
function back(): void {
  const c = current.value
  if (c) texts[key(c)] = (texts[key(c)] ?? '').slice(0, -1)
}
const described = computed(() =>
  open.value
    ? `${across.value} by ${down.value}, in ${cells.value.length} ${cells.value.length === 1 ? 'piece' : 'parts'}`
    : `${across.value} by ${down.value}, not parted yet`,
)
const shows = (c: Cell): boolean => c.width > 54 && c.height > 26
</script>

<template>
  <div class="mat">
    <div ref="root" class="area" role="group" aria-label="The mat">
      <svg
        class="drawing"
        :viewBox="`-70 -46 ${across * unit + 90} ${down * unit + 66}`"
        role="img"
        :aria-label="`Rectangle: ${described}`"
      >
        <rect class="ground" x="0" y="0" :width="across * unit" :height="down * unit" />
        <path class="tens" :d="TENS" />
        <template v-if="open">
          <g
            v-for="c in cells"
            :key="key(c)"
            class="cell"
            :class="{
              right: c.done,
              lit: lit === key(c),
              wrong: c.number !== undefined && !c.right && mode !== 'alone',
            }"
            @click="root?.querySelector<HTMLInputElement>(`[data-part='${key(c)}']`)?.focus()"
          >
            <rect :x="c.x" :y="c.y" :width="c.width" :height="c.height" />
            <text v-if="c.number !== undefined && shows(c)" :x="c.x + c.width / 2" :y="c.y + c.height / 2 + 9">
              {{ c.number }}
            </text>
          </g>
          <text
            v-for="(a, i) in state.along"
            :key="`a${i}`"
            class="side"
            :x="from(state.along, i) + (a * unit) / 2"
            y="-14"
          >
            {{ a }}
          </text>
          <text
            v-for="(d, i) in state.down"
            :key="`d${i}`"
            class="side"
            x="-30"
            :y="from(state.down, i) + (d * unit) / 2 + 8"
          >
            {{ d }}
          </text>
        </template>
        <template v-else>
          <text class="side" :x="(across * unit) / 2" y="-14">{{ across }}</text>
          <text class="side" x="-30" :y="(down * unit) / 2 + 8">{{ down }}</text>
        </template>
      </svg>
      <div class="lines">
        <button v-if="writable && !open" type="button" class="stone-button main" @click="emit('move', 'split')">
          Part it at the tens
        </button>
        <ul v-if="open" class="learner" aria-label="The parts">
          <li
            v-for="c in cells"
            :key="key(c)"
            :class="{ lit: lit === key(c) }"
            @mouseenter="lit = key(c)"
            @mouseleave="lit = null"
          >
            <span class="what">{{ c.down }} × {{ c.along }} =</span>
            <s v-for="(n, i) in c.struck" :key="i" class="was">{{ n }}</s>
            <span v-if="c.number !== undefined" class="number" :class="{ struck: !c.right && mode !== 'alone' }">{{
              c.number
            }}</span>
            <input
              v-if="writable && (!c.done || anew === key(c))"
              v-model="texts[key(c)]"
              :data-part="key(c)"
              inputmode="numeric"
              autocomplete="off"
              maxlength="5"
              :aria-label="`${c.down} times ${c.along}`"
              @focus="((chosen = key(c)), (lit = key(c)))"
              @blur="lit = null"
              @keydown.enter.prevent="write(c)"
            />
            <button
              v-else-if="writable && !told"
              type="button"
              class="stone-button bare"
              :aria-label="`Write ${c.down} times ${c.along} anew`"
              @click="anew = key(c)"
            >
              ↻
            </button>
          </li>
        </ul>
        <div v-if="writable && open && current" class="writing">
          <NumberPad @digit="digit" @back="back" />
          <button
            type="button"
            class="stone-button main"
            :disabled="!texts[key(current)]?.trim()"
            @mousedown.prevent
            @click="write(current)"
          >
            Write it
          </button>
        </div>
      </div>
    </div>
  </div>
</template>

<style scoped>
.mat {
  height: 100%;
  container-type: inline-size;
}
.area {
  height: 100%;
  overflow: auto;
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(13rem, 17rem);
  gap: 1rem;
  align-items: center;
  padding: 0.8rem;
  background: var(--felt);
  color: var(--on-felt);
}
.drawing {
  display: block;
  width: 100%;
  height: 100%;
  min-height: 12rem;
}
.ground {
  fill: var(--piece);
  stroke: var(--piece-line);
  stroke-width: 3;
}
.tens {
  fill: none;
  stroke: var(--piece-line);
  stroke-width: 1;
  opacity: 0.35;
}
.cell rect {
  fill: transparent;
  stroke: var(--piece-line);
  stroke-width: 4;
}
.cell.right rect {
  fill: color-mix(in srgb, var(--piece) 60%, white);
}
.cell.lit rect {
  stroke: var(--clay);
  stroke-width: 7;
}
.cell text {
  fill: var(--piece-line);
}
.cell.wrong text {
  text-decoration: line-through;
}
text {
  font: 700 26px var(--learner);
  fill: var(--on-felt);
  text-anchor: middle;
}
.lines {
  display: grid;
  gap: 0.6rem;
  align-content: center;
}
ul {
  list-style: none;
  margin: 0;
  padding: 0;
  font-size: 1.35rem;
}
li {
  display: flex;
  flex-wrap: wrap;
  gap: 0.4rem;
  align-items: center;
  min-height: 52px;
  padding-left: 0.4rem;
  border-left: 5px solid transparent;
}
li.lit {
  border-left-color: var(--focus-on-felt);
}
.what {
  white-space: nowrap;
}
.number {
  font-weight: 700;
}
.struck,
.was {
  text-decoration: line-through 2px;
}
li input {
  color: var(--ink);
  width: 5.4rem;
  font: inherit;
}
.writing {
  display: flex;
  flex-wrap: wrap;
  gap: 0.4rem;
}
@container (max-width: 40rem) {
  .area {
    grid-template-columns: minmax(0, 1fr);
    align-content: start;
    align-items: start;
  }
  .drawing {
    height: 14rem;
  }
}
</style>
