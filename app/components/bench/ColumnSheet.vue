<script setup lang="ts">
import {
  answered,
  holdingRow,
  live,
  topRow,
  type ColumnsState,
  type Square,
} from '../../../core/representation/columns/state'
import { placeName } from '../../../core/number/places'

const props = defineProps<{
  state: ColumnsState
  /** Whether the learner or teacher writes here. */
  writable: boolean
  litPlaces: readonly number[]
  newest: boolean
  large?: boolean
}>()
const emit = defineEmits<{ move: [texts: readonly string[]] }>()

type Kind = 'digit' | 'carry'
interface Cell {
  readonly row: number
  readonly place: number
  readonly kind: Kind
}

const places = computed(() => Array.from({ length: props.state.width }, (_, i) => props.state.width - 1 - i))
const chosen = ref<Cell | null>(null)
const current = computed(() => props.state.bands.length)
const operationSign = (row: number): string => (props.state.bands[row - 1]?.operation === '-' ? '−' : '+')

/** The row in which a place's digit holds; only there, in the answer row and in the carry row may one write. */
const writableCell = (cell: Cell): boolean => {
  if (!props.writable || props.state.rows.length === 0) return false
  if (cell.kind === 'carry') return cell.row === topRow(props.state) && props.state.bands[cell.row]?.operation === '+'
  return (current.value > 0 && cell.row === current.value) || cell.row === holdingRow(props.state, cell.place)
}
const same = (a: Cell | null, b: Cell): boolean => a?.row === b.row && a.place === b.place && a.kind === b.kind

const squareAt = (row: number, place: number): Square => props.state.rows[row]?.[place] ?? []
const carryAt = (row: number, place: number): number => props.state.bands[row]?.carry[place] ?? 0
const belowText = (row: number, place: number): string => {
  const band = props.state.bands[row]
  return band && place < band.below.length ? String(band.below[place]) : ''
}
/** What stands: the newest ink, unless it is struck with nothing written instead. */
const shown = (square: Square): Square => square.slice(-1)
/** Older ink, struck; a sum whose ten has moved on to the next column is left out, for its mark stands there. */
const older = (square: Square): Square =>
  square.slice(0, -1).filter((ink, i) => !(ink.digit > 9 && ink.digit % 10 === square[i + 1]?.digit))

const label = (cell: Cell): string => {
  const place = placeName(cell.place)
  if (cell.kind === 'carry') return `Carry mark over the ${place}: ${carryAt(cell.row, cell.place) || 'none'}`
  const value = live(squareAt(cell.row, cell.place))
  const what = cell.row === current.value && current.value > 0 ? `Answer square, ${place}` : `${place} digit`
  return `${what}: ${value ?? (squareAt(cell.row, cell.place).length ? 'struck' : 'empty')}`
}

function digit(n: number): void {
  const cell = chosen.value
  if (!cell) return
  const place = placeName(cell.place)
  if (cell.kind === 'carry') return emit('move', [`carry ${n} ${place}`])
  if (cell.row === current.value && current.value > 0) return emit('move', [`answer ${n} ${place}`])
  const standing = live(squareAt(cell.row, cell.place)) !== undefined
  emit('move', [...(standing ? [`strike ${place}`] : []), `above ${n} ${place}`])
}
const strike = (): void => void (chosen.value && emit('move', [`strike ${placeName(chosen.value.place)}`]))
const small = (): void => void (chosen.value && emit('move', [`one ${placeName(chosen.value.place)}`]))

function key(event: KeyboardEvent): void {
  if (/^\d$/.test(event.key)) digit(Number(event.key))
  else if (event.key === 'x') strike()
  else if (event.key === 's') small()
  else if (
    event.key === 'ArrowLeft' ||
    event.key === 'ArrowRight' ||
    event.key === 'ArrowUp' ||
    event.key === 'ArrowDown'
  ) {
    const all = [
      ...(event.currentTarget as HTMLElement).closest('.sheet')!.querySelectorAll<HTMLElement>('button.square'),
    ]
    const here = (event.currentTarget as HTMLElement).getBoundingClientRect()
    const [dx, dy] = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] }[event.key] as [
      number,
      number,
    ]
    const ahead = all
      .map((el) => ({ el, r: el.getBoundingClientRect() }))
      .filter(({ r }) =>
        dx
          ? (r.x - here.x) * dx > 4 && Math.abs(r.y - here.y) < 20
          : (r.y - here.y) * dy > 4 && Math.abs(r.x - here.x) < 20,
      )
      .sort(
        (a, b) =>
          Math.abs(a.r.x - here.x) + Math.abs(a.r.y - here.y) - Math.abs(b.r.x - here.x) - Math.abs(b.r.y - here.y),
      )
    ahead[0]?.el.focus()
  } else return
  event.preventDefault()
  event.stopPropagation()
}
const onTop = computed(
  () =>
    chosen.value?.kind === 'digit' &&
    !(chosen.value.row === current.value && current.value > 0 && !answered(props.state, chosen.value.place)),
)
watch(
  () => props.state.bands.length,
  () => (chosen.value = null),
)
</script>

<template>
  <div class="sheet" :class="{ large }" role="group" aria-label="Column sheet">
    <p v-if="state.rows.length === 0" class="quiet empty">The first number comes here when it is laid.</p>
    <div v-else class="grid" :style="{ '--columns': state.width + 1 }">
      <template v-for="(row, r) in state.rows" :key="r">
        <!-- carry marks and what was written anew stand above the row -->
        <span class="cell mark" />
        <template v-for="p in places" :key="`c${p}`">
          <SheetSquare
            :writable="state.bands[r] !== undefined && writableCell({ row: r, place: p, kind: 'carry' })"
            :label="label({ row: r, place: p, kind: 'carry' })"
            class="cell mark"
            :class="{ chosen: same(chosen, { row: r, place: p, kind: 'carry' }) }"
            @focus="chosen = { row: r, place: p, kind: 'carry' }"
            @click="chosen = { row: r, place: p, kind: 'carry' }"
            @keydown="key"
          >
            <span
              v-if="carryAt(r, p)"
              class="carry"
              :class="{ now: newest && litPlaces.includes(p) && r === topRow(state) }"
              >{{ carryAt(r, p) }}</span
            >
          </SheetSquare>
        </template>
        <span class="cell" :class="{ answer: r > 0 }">{{ r > 0 ? '' : '' }}</span>
        <template v-for="p in places" :key="`d${p}`">
          <SheetSquare
            :writable="writableCell({ row: r, place: p, kind: 'digit' })"
            :label="label({ row: r, place: p, kind: 'digit' })"
            class="cell digit"
            :class="{
              answer: r > 0,
              chosen: same(chosen, { row: r, place: p, kind: 'digit' }),
              now: newest && litPlaces.includes(p) && r === holdingRow(state, p),
            }"
            @focus="chosen = { row: r, place: p, kind: 'digit' }"
            @click="chosen = { row: r, place: p, kind: 'digit' }"
            @keydown="key"
          >
            <span v-if="older(squareAt(r, p)).length" class="stack">
              <span v-for="(ink, i) in older(squareAt(r, p))" :key="i" class="ink struck" :class="{ base: i === 0 }"
                ><small v-if="ink.one">1</small><s>{{ ink.digit }}</s></span
              >
            </span>
            <span
              v-for="(ink, i) in shown(squareAt(r, p))"
              :key="i"
              class="ink"
              :class="{ struck: ink.struck, anew: older(squareAt(r, p)).length > 0, sum: ink.digit > 9 }"
            >
              <small v-if="ink.one">1</small><s v-if="ink.struck">{{ ink.digit }}</s
              ><slot v-else name="top" :digit="ink.digit" :row="r" :place="p">{{ ink.digit }}</slot>
            </span>
          </SheetSquare>
        </template>
        <template v-if="state.bands[r]">
          <span class="cell sign">{{ operationSign(r + 1) }}</span>
          <span v-for="p in places" :key="`b${p}`" class="cell digit below"
            ><slot name="below" :digit="belowText(r, p)" :row="r" :place="p">{{ belowText(r, p) }}</slot></span
          >
        </template>
      </template>
    </div>
    <p v-if="writable && state.rows.length && !chosen" class="quiet pick-hint">Choose a square to write in it.</p>
    <div v-else-if="writable && state.rows.length" class="pad" role="group" aria-label="Write in the chosen square">
      <button
        v-for="n in [1, 2, 3, 4, 5, 6, 7, 8, 9, 0]"
        :key="n"
        type="button"
        class="stone-button"
        :disabled="!chosen"
        @mousedown.prevent
        @click="digit(n)"
      >
        {{ n }}
      </button>
      <button
        type="button"
        class="stone-button"
        :disabled="!onTop"
        aria-label="Strike the digit"
        @mousedown.prevent
        @click="strike"
      >
        <s>5</s>
      </button>
      <button
        type="button"
        class="stone-button"
        :disabled="!onTop"
        aria-label="Small 1 before the digit"
        @mousedown.prevent
        @click="small"
      >
        <small>1</small><span class="box" />
      </button>
    </div>
  </div>
</template>

<style scoped>
.sheet {
  font-family: var(--learner);
  font-variant-numeric: tabular-nums;
  display: grid;
  gap: 0.8rem;
  justify-items: center;
  --s: 44px;
  font-size: 1.7rem;
}
.sheet.large {
  --s: clamp(44px, 7vh, 72px);
  font-size: clamp(1.7rem, 4.6vh, 2.9rem);
}
.empty {
  font-family: var(--ui);
  font-size: 1rem;
  padding: 1rem 0;
}
.grid {
  display: grid;
  grid-template-columns: repeat(var(--columns), var(--s));
  justify-content: center;
}
.cell {
  position: relative;
  display: grid;
  place-items: center;
  min-width: var(--s);
  height: var(--s);
  border: 0;
  background: none;
  padding: 0;
  color: var(--ink);
  line-height: 1;
}
.cell.mark {
  height: calc(var(--s) * 0.62);
  font-size: 0.62em;
  align-items: end;
}
button.cell {
  cursor: pointer;
  border-radius: 3px;
}
button.square:hover {
  background: var(--paper-2);
}
button.digit.square {
  box-shadow: inset 0 0 0 1.5px var(--edge);
}
button.mark.square {
  box-shadow: inset 0 0 0 1px var(--rule);
  min-height: 30px;
}
.chosen {
  background: var(--clay-wash);
}
.sign {
  font-size: 1.1em;
}
.below {
  border-bottom: 0;
}
.answer {
  border-top: 3px solid var(--ink);
}
.carry {
  padding: 0 0.35em;
}
.now {
  background: var(--clay-wash);
  box-shadow: inset 0 -4px 0 var(--clay);
}
.ink {
  position: relative;
  white-space: nowrap;
}
.ink small {
  font-size: 0.6em;
  vertical-align: 0.45em;
  margin-right: 1px;
}
.ink.sum {
  letter-spacing: -0.08em;
}
.stack {
  display: contents;
}
.ink.struck {
  color: var(--ink-soft);
}
s {
  text-decoration-thickness: 2px;
  text-decoration-color: var(--clay);
}
.digit .stack .ink {
  grid-area: 1 / 1;
}
.digit .stack .ink:not(.base) {
  transform: translate(-0.62em, -1.05em) scale(0.6);
}
.digit .ink.anew {
  grid-area: 1 / 1;
  transform: translateY(-1.06em) scale(0.68);
  font-weight: 700;
}
.digit.answer .ink.anew {
  transform: translate(0.5em, -0.2em) scale(0.8);
}
.pick-hint {
  font: 400 0.95rem var(--ui);
}
.box {
  width: 0.7em;
  height: 1em;
  border: 1.5px dashed currentColor;
}
.pad {
  display: flex;
  flex-wrap: wrap;
  gap: 5px;
  justify-content: center;
  font-family: var(--learner);
  max-width: 330px;
}
.pad .stone-button {
  padding: 0;
  width: 48px;
  font-size: 1.15rem;
}
</style>
