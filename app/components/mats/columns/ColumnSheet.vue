<script setup lang="ts">
import {
  answered,
  columnName,
  holdingRow,
  live,
  topRow,
  type ColumnsState,
  type Square,
} from '../../../../core/representation/columns/state'
import { type Choices, DEFAULT_CHOICES } from '../../../../core/door'
import { belowText, blankNought, sheetRows } from '../../../../core/representation/columns/rows'
import { walkNear } from '../../../utils/walkNear'

const props = withDefaults(
  defineProps<{
    state: ColumnsState
    /** Whether the learner or teacher writes here. */
    writable: boolean
    litPlaces: readonly number[]
    newest: boolean
    large?: boolean
    choices?: Choices
    /** The first number, so that it can be written down with one touch. */
    first?: string
  }>(),
  { choices: () => DEFAULT_CHOICES, first: '' },
)
const emit = defineEmits<{ move: [texts: readonly string[]] }>()

type Kind = 'digit' | 'carry' | 'draft'
interface Cell {
  readonly row: number
  readonly at: number
  readonly kind: Kind
}

/** Squares from the left: the index of each, with the point before the tenths. */
const squares = computed(() => Array.from({ length: props.state.width }, (_, i) => props.state.width - 1 - i))
const pointBefore = (i: number): boolean => props.state.decimals > 0 && i === props.state.decimals - 1
const template = computed(
  () =>
    'var(--s) ' + squares.value.map((i) => (pointBefore(i) ? 'calc(var(--s) * 0.3) var(--s)' : 'var(--s)')).join(' '),
)
const rows = computed(() => sheetRows(props.state, props.choices, props.writable))
const { t } = useI18n()
const { pieces: named, spanish } = useNames()
const chosen = ref<Cell | null>(null)
const current = computed(() => props.state.bands.length)
const nameOf = (i: number): string => columnName(props.state, i)
const lit = (i: number): boolean => props.newest && props.litPlaces.includes(i - props.state.decimals)

/** The row in which a place's digit holds; only there, in the answer row and in the carry row may one write. */
const writableCell = (cell: Cell): boolean => {
  if (!props.writable || props.state.rows.length === 0) return false
  if (cell.kind === 'draft') return true
  if (cell.kind === 'carry') return cell.row === topRow(props.state) && props.state.bands[cell.row]?.operation === '+'
  return (current.value > 0 && cell.row === current.value) || cell.row === holdingRow(props.state, cell.at)
}
const same = (a: Cell | null, b: Cell): boolean => a?.row === b.row && a.at === b.at && a.kind === b.kind

const squareAt = (row: number, at: number): Square => {
  const square = props.state.rows[row]?.[at] ?? []
  return row === 0 && blankNought(props.state, square, at, props.choices.zeroFill) ? [] : square
}
const carryAt = (band: number, at: number): number => props.state.bands[band]?.carry[at] ?? 0
const draftAt = (at: number): number | null => props.state.draft?.[at] ?? null
/** What stands: the newest ink, unless it is struck with nothing written instead. */
const shown = (square: Square): Square => square.slice(-1)
/** Older ink, struck; a sum whose ten has moved on to the next column is left out, for its mark stands there. */
const older = (square: Square): Square =>
  square.slice(0, -1).filter((ink, i) => !(ink.digit > 9 && ink.digit % 10 === square[i + 1]?.digit))
/** A point stands in every row that has digits after it. */
const pointIn = (row: number): boolean =>
  squares.value.some((i) => i < props.state.decimals && squareAt(row, i).length > 0)
const pointBelow = (band: number, index: number): boolean =>
  squares.value.some((i) => i < props.state.decimals && below(band, index, i) !== '')
const below = (band: number, index: number, at: number): string =>
  belowText(props.state, band, index, at, props.choices.zeroFill)

const label = (cell: Cell): string => {
  const place = spanish.value ? named(cell.at - props.state.decimals, 2) : nameOf(cell.at)
  if (cell.kind === 'draft') return t('sheet.next', { place, digit: draftAt(cell.at) ?? t('sheet.empty') })
  if (cell.kind === 'carry') return t('sheet.carry', { place, digit: carryAt(cell.row, cell.at) || t('sheet.none') })
  const digit =
    live(squareAt(cell.row, cell.at)) ?? t(squareAt(cell.row, cell.at).length ? 'sheet.struck' : 'sheet.empty')
  return t(cell.row === current.value && current.value > 0 ? 'sheet.answer' : 'sheet.digit', { place, digit })
}

function digit(n: number): void {
  const cell = chosen.value
  if (!cell) return
  const place = nameOf(cell.at)
  if (cell.kind === 'draft') return emit('move', [`digit ${n} ${place}`])
  if (cell.kind === 'carry') return emit('move', [`carry ${n} ${place}`])
  if (cell.row === current.value && current.value > 0) return emit('move', [`answer ${n} ${place}`])
  const answered = live(squareAt(cell.row, cell.at)) !== undefined
  emit('move', [...(answered ? [`strike ${place}`] : []), `above ${n} ${place}`])
}
const strike = (): void => void (chosen.value && emit('move', [`strike ${nameOf(chosen.value.at)}`]))
const small = (): void => void (chosen.value && emit('move', [`one ${nameOf(chosen.value.at)}`]))
const pull = (way: 'left' | 'right'): void => emit('move', [`pull ${way} 1`])

function key(event: KeyboardEvent): void {
  if (/^\d$/.test(event.key)) digit(Number(event.key))
  else if (event.key === 'x') strike()
  else if (event.key === 's') small()
  else if (event.key === '>' && props.state.draft) pull('right')
  else if (event.key === '<' && props.state.draft) pull('left')
  else if (!walkNear(event, squaresAround(event))) return
  event.preventDefault()
  event.stopPropagation()
}
const squaresAround = (event: KeyboardEvent): HTMLElement[] => [
  ...(event.currentTarget as HTMLElement).closest('.sheet')!.querySelectorAll<HTMLElement>('button.square'),
]
const choose = (cell: Cell): void => void (chosen.value = cell)
const onTop = computed(
  () =>
    chosen.value?.kind === 'digit' &&
    !(chosen.value.row === current.value && current.value > 0 && !answered(props.state, chosen.value.at)),
)
watch([() => props.state.bands.length, () => props.state.rows.length], () => (chosen.value = null))
</script>

<template>
  <div class="sheet" :class="{ large, wide: state.width > 6 }" role="group" :aria-label="t('sheet.label')">
    <div v-if="state.rows.length === 0" class="empty">
      <button
        v-if="writable && first"
        type="button"
        class="stone-button main"
        @click="emit('move', [`write ${first}`])"
      >
        {{ t('sheet.writeDown', { number: first }) }}
      </button>
      <p v-else class="quiet">{{ t('sheet.comes') }}</p>
    </div>
    <div v-else class="grid" :style="{ gridTemplateColumns: template }">
      <template v-for="(line, n) in rows" :key="n">
        <span class="cell sign" :class="{ mark: line.kind === 'carry', rule: 'rule' in line && line.rule }">{{
          'sign' in line ? line.sign : ''
        }}</span>
        <template v-for="i in squares" :key="i">
          <span
            v-if="pointBefore(i)"
            class="cell point"
            :class="{ mark: line.kind === 'carry', rule: 'rule' in line && line.rule }"
            ><template
              v-if="
                (line.kind === 'digits' && pointIn(line.row)) ||
                (line.kind === 'below' && pointBelow(line.band, line.index)) ||
                (line.kind === 'draft' && state.draft)
              "
              >.</template
            ></span
          >
          <SheetSquare
            v-if="line.kind === 'carry'"
            :writable="line.band >= 0 && writableCell({ row: line.band, at: i, kind: 'carry' })"
            :label="label({ row: line.band, at: i, kind: 'carry' })"
            class="cell mark"
            :class="{ rule: line.rule, chosen: same(chosen, { row: line.band, at: i, kind: 'carry' }) }"
            @focus="choose({ row: line.band, at: i, kind: 'carry' })"
            @click="choose({ row: line.band, at: i, kind: 'carry' })"
            @keydown="key"
          >
            <span v-if="carryAt(line.band, i)" class="carry" :class="{ now: lit(i) && line.band === topRow(state) }">{{
              carryAt(line.band, i)
            }}</span>
          </SheetSquare>
          <SheetSquare
            v-else-if="line.kind === 'digits'"
            :writable="writableCell({ row: line.row, at: i, kind: 'digit' })"
            :label="label({ row: line.row, at: i, kind: 'digit' })"
            class="cell digit"
            :class="{
              answer: line.row > 0,
              chosen: same(chosen, { row: line.row, at: i, kind: 'digit' }),
              now: lit(i) && line.row === holdingRow(state, i),
            }"
            @focus="choose({ row: line.row, at: i, kind: 'digit' })"
            @click="choose({ row: line.row, at: i, kind: 'digit' })"
            @keydown="key"
          >
            <span v-if="older(squareAt(line.row, i)).length" class="stack">
              <span
                v-for="(ink, k) in older(squareAt(line.row, i))"
                :key="k"
                class="ink struck"
                :class="{ base: k === 0 }"
                ><small v-if="ink.one">1</small><s>{{ ink.digit }}</s></span
              >
            </span>
            <span
              v-for="(ink, k) in shown(squareAt(line.row, i))"
              :key="k"
              class="ink"
              :class="{ struck: ink.struck, anew: older(squareAt(line.row, i)).length > 0, sum: ink.digit > 9 }"
            >
              <small v-if="ink.one">1</small><s v-if="ink.struck">{{ ink.digit }}</s
              ><slot v-else name="top" :digit="ink.digit" :row="line.row" :place="i">{{ ink.digit }}</slot>
            </span>
          </SheetSquare>
          <span v-else-if="line.kind === 'below'" class="cell digit below"
            ><slot name="below" :digit="below(line.band, line.index, i)" :row="line.band" :place="i">{{
              below(line.band, line.index, i)
            }}</slot></span
          >
          <SheetSquare
            v-else
            writable
            :label="label({ row: -1, at: i, kind: 'draft' })"
            class="cell digit draft"
            :class="{ chosen: same(chosen, { row: -1, at: i, kind: 'draft' }) }"
            @focus="choose({ row: -1, at: i, kind: 'draft' })"
            @click="choose({ row: -1, at: i, kind: 'draft' })"
            @keydown="key"
            >{{ draftAt(i) ?? '' }}</SheetSquare
          >
        </template>
      </template>
    </div>
    <p v-if="writable && state.rows.length && !chosen" class="quiet pick-hint">{{ t('sheet.choose') }}</p>
    <SheetPad
      v-else-if="writable && state.rows.length"
      :on-top="onTop"
      @digit="digit"
      @strike="strike"
      @small="small"
    />
    <div v-if="writable && state.draft" class="pulls" role="group" :aria-label="t('sheet.pull')">
      <button type="button" class="stone-button" @mousedown.prevent @click="pull('left')">
        <IconArrowLeft /> {{ t('sheet.left') }}
      </button>
      <button type="button" class="stone-button" @mousedown.prevent @click="pull('right')">
        {{ t('sheet.right') }} <IconArrowRight />
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
.cell.digit {
  box-shadow: inset 0 0 0 1px var(--rule);
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
.rule {
  border-top: 3px solid var(--ink);
}
.point {
  min-width: 0;
  font-weight: 700;
}
.sheet.wide:not(.large) {
  --s: 32px;
  font-size: 1.35rem;
}
button.draft.square {
  box-shadow: inset 0 0 0 1.5px var(--clay);
}
.carry {
  padding: 0 0.35em;
}
.now,
.cell.digit.now {
  background: var(--clay-wash);
  box-shadow:
    inset 0 -4px 0 var(--clay),
    inset 0 0 0 1px var(--rule);
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
.pulls {
  display: flex;
  gap: 8px;
  font: 400 1rem var(--ui);
}
.pick-hint {
  font: 400 0.95rem var(--ui);
}
</style>
