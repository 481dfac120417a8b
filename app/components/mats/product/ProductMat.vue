<script setup lang="ts">
import { type Mode, placeName, type Setup, type Standing } from '../../../../core/door'
import {
  columnAt,
  columns,
  isDone,
  live,
  wanted,
  type ProductState,
  type Square,
} from '../../../../core/representation/product/state'

/** Written multiplication on squared paper: carry marks over the number above, a row for each digit below. */
const props = defineProps<{ state: ProductState; setup: Setup; standing: Standing; mode: Mode; newest: boolean }>()
const emit = defineEmits<{ move: [text: string] }>()

const writable = computed(() => props.mode !== 'show')
const width = computed(() => props.state.top.length + props.state.by.length)
const places = computed(() => Array.from({ length: width.value }, (_, i) => width.value - 1 - i))

type Cell =
  | { readonly kind: 'write' | 'carry'; readonly row: number; readonly place: number }
  | { readonly kind: 'sum'; readonly place: number }
const nameOf = (place: number): string => placeName(place, 2)
const text = (cell: Cell, digit: number): string =>
  cell.kind === 'sum'
    ? `sum ${digit} ${nameOf(cell.place)}`
    : `${cell.kind} ${digit} ${nameOf(cell.place)}${cell.row > 0 ? ` row ${cell.row + 1}` : ''}`
const same = (a: Cell | null, b: Cell): boolean =>
  a !== null && a.kind === b.kind && a.place === b.place && ('row' in a ? a.row : 0) === ('row' in b ? b.row : 0)

/** The square that comes next in writing; null once everything stands. */
const following = computed<Cell | null>(() => {
  const s = props.state
  for (const { row, at } of columns(s)) {
    const c = columnAt(s, row, at)
    const over = s.rowOf[row]!
    if (at === 0 && over > 0 && live(s.rows[row]!.digits[0]) === undefined) return { kind: 'write', row, place: 0 }
    // In Alone the frame goes by what is written, not by whether it is right.
    if (props.mode === 'alone' ? c.digit !== undefined : isDone(c)) continue
    if (c.digit === undefined) return { kind: 'write', row, place: c.place }
    return c.last ? { kind: 'write', row, place: c.place + 1 } : { kind: 'carry', row, place: c.at + 1 }
  }
  if (s.rows.length < 2) return null
  const place = places.value.toReversed().find((p) => live(s.sum[p]) === undefined)
  return place === undefined ? null : { kind: 'sum', place }
})
const chosen = shallowRef<Cell | null>(null)
const cursor = computed(() => (writable.value ? (chosen.value ?? following.value) : null))
const root = ref<HTMLElement | null>(null)
watch(
  () => props.state,
  () => (chosen.value = null),
)
/** While one works at the sheet the focus goes along from square to square. */
watch(cursor, () => {
  if (!root.value?.querySelector('.grid')?.contains(document.activeElement)) return
  void nextTick(() => root.value?.querySelector<HTMLElement>('.cursor')?.focus())
})
function digit(n: number): void {
  if (cursor.value) emit('move', text(cursor.value, n))
}
function key(event: KeyboardEvent): void {
  if (/^\d$/.test(event.key)) digit(Number(event.key))
  else if (!walkNear(event, [...root.value!.querySelectorAll<HTMLElement>('button.square')])) return
  event.preventDefault()
  event.stopPropagation()
}
const label = (cell: Cell, square: Square | undefined): string => {
  const what = live(square) ?? 'empty'
  if (cell.kind === 'sum') return `Sum, ${nameOf(cell.place)}: ${what}`
  const row = props.state.rows.length > 1 ? `Row ${cell.row + 1}, ` : ''
  return cell.kind === 'carry'
    ? `${row}carry mark over the ${nameOf(cell.place)}: ${what}`
    : `${row}${nameOf(cell.place)}: ${what}`
}
/** The column that is worked: its digits are lit together. */
const worked = computed(() => {
  const cell = cursor.value
  if (!cell || cell.kind === 'sum') return null
  const power = props.state.rowOf[cell.row]!
  const at = Math.max(
    0,
    Math.min(props.state.top.length - 1, cell.kind === 'carry' ? cell.place - 1 : cell.place - power),
  )
  return columnAt(props.state, cell.row, at)
})
const asks = computed(() => {
  if (props.mode === 'alone' || !worked.value || !writable.value) return ''
  const { times, above, carried } = worked.value
  return `${times} × ${above}${carried ? ` + ${carried}` : ''}${isDone(worked.value) ? ` = ${wanted(worked.value)}` : ''}`
})
const carryRows = computed(() => props.state.rows.map((_, row) => row).reverse())
</script>

<template>
  <div ref="root" class="product" role="group" aria-label="Multiplying sheet">
    <div
      class="grid learner"
      :class="{ wide: width > 6 }"
      :style="{ gridTemplateColumns: `auto repeat(${width}, var(--s))` }"
    >
      <template v-for="row in carryRows" :key="`c${row}`">
        <span class="cell" />
        <template v-for="place in places" :key="place">
          <SheetSquare
            v-if="place > 0 && place < state.top.length"
            :writable="writable"
            :label="label({ kind: 'carry', row, place }, state.rows[row]!.carries[place])"
            class="cell mark"
            :class="{ cursor: same(cursor, { kind: 'carry', row, place }) }"
            @click="chosen = { kind: 'carry', row, place }"
            @keydown="key"
          >
            <s v-for="(n, i) in (state.rows[row]!.carries[place] ?? []).slice(0, -1)" :key="i">{{ n }}</s>
            {{ live(state.rows[row]!.carries[place]) ?? '' }}
          </SheetSquare>
          <span v-else class="cell mark" />
        </template>
      </template>
      <span class="cell" />
      <span
        v-for="place in places"
        :key="`t${place}`"
        class="cell digit given"
        :class="{ lit: worked?.at === place }"
        >{{ state.top[place] ?? '' }}</span
      >
      <span class="cell sign">×</span>
      <span
        v-for="place in places"
        :key="`b${place}`"
        class="cell digit given ruled"
        :class="{ lit: worked && state.rowOf[worked.row] === place }"
        >{{ state.by[place] ?? '' }}</span
      >
      <template v-for="(r, row) in state.rows" :key="`r${row}`">
        <span class="cell sign">{{ row > 0 ? '+' : '' }}</span>
        <SheetSquare
          v-for="place in places"
          :key="place"
          :writable="writable"
          :label="label({ kind: 'write', row, place }, r.digits[place])"
          class="cell digit"
          :class="{
            cursor: same(cursor, { kind: 'write', row, place }),
            ruled: row === state.rows.length - 1 && state.rows.length > 1,
          }"
          @click="chosen = { kind: 'write', row, place }"
          @keydown="key"
        >
          <s v-for="(n, i) in (r.digits[place] ?? []).slice(0, -1)" :key="i" class="was">{{ n }}</s>
          {{ live(r.digits[place]) ?? '' }}
        </SheetSquare>
      </template>
      <template v-if="state.rows.length > 1">
        <span class="cell" />
        <SheetSquare
          v-for="place in places"
          :key="`s${place}`"
          :writable="writable"
          :label="label({ kind: 'sum', place }, state.sum[place])"
          class="cell digit"
          :class="{ cursor: same(cursor, { kind: 'sum', place }) }"
          @click="chosen = { kind: 'sum', place }"
          @keydown="key"
        >
          <s v-for="(n, i) in (state.sum[place] ?? []).slice(0, -1)" :key="i" class="was">{{ n }}</s>
          {{ live(state.sum[place]) ?? '' }}
        </SheetSquare>
      </template>
    </div>
    <p class="asks learner" aria-live="polite">{{ asks }}</p>
    <NumberPad v-if="writable" :back="false" @digit="digit" />
  </div>
</template>

<style scoped>
.product {
  display: grid;
  gap: 0.7rem;
  justify-items: center;
  --s: clamp(44px, 6.6vh, 66px);
}
.grid {
  display: grid;
  font-size: clamp(1.6rem, 4.4vh, 2.7rem);
  font-variant-numeric: tabular-nums;
}
.grid.wide {
  --s: 44px;
  font-size: 1.6rem;
}
.cell {
  position: relative;
  display: grid;
  place-items: center;
  min-width: var(--s);
  height: var(--s);
  padding: 0;
  border: 0;
  background: none;
  color: var(--ink);
  font: inherit;
  line-height: 1;
}
.cell.mark {
  height: max(44px, calc(var(--s) * 0.6));
  font-size: 0.6em;
  grid-auto-flow: column;
  gap: 0.2em;
}
.cell.digit {
  box-shadow: inset 0 0 0 1px var(--rule);
}
button.square {
  cursor: pointer;
}
button.digit.square {
  box-shadow: inset 0 0 0 1.5px var(--edge);
}
button.mark.square {
  box-shadow: inset 0 0 0 1px var(--rule);
}
.ruled {
  border-bottom: 3px solid var(--ink);
}
.lit {
  background: var(--clay-wash);
}
.cell.cursor,
button.cell.cursor {
  box-shadow: inset 0 0 0 3px var(--clay);
}
s {
  color: var(--ink-soft);
  text-decoration-color: var(--clay);
}
.was {
  position: absolute;
  top: 3px;
  left: 4px;
  font-size: 0.45em;
}
.was + .was {
  left: auto;
  right: 4px;
}
.asks {
  min-height: 1.4em;
  font-size: 1.4rem;
}
</style>
