<script setup lang="ts">
import {
  type Mode,
  packOf,
  type Place,
  placeName,
  printNumeral,
  say as inWords,
  type Setup,
} from '../../../../core/door'
import { answered, belowAt, topAt, topRow, type ColumnsState } from '../../../../core/representation/columns/state'

/** A column sheet whose digits carry notches: in each column one digit is said and the other touched. */
const props = defineProps<{
  state: ColumnsState
  setup: Setup
  mode: Mode
  litPlaces: readonly number[]
  newest: boolean
  /** Only looked at, in little room: the sheet, and what was said. */
  small?: boolean
}>()
const emit = defineEmits<{ move: [texts: readonly string[]] }>()

const { map } = useNotchMap()
const shows = useLocalStorage<'full' | 'faint' | 'off'>('sett.notches', 'full')
const movable = computed(() => props.mode !== 'show')
const band = computed(() => props.state.bands.at(-1))
const below = (place: Place): number => belowAt(props.state, place)
/** The column in hand: the lowest with a digit below that is not answered yet. */
const column = computed(() => {
  const places = Array.from({ length: props.state.width }, (_, p) => p)
  return places.find((p) => below(p) > 0 && !answered(props.state, p))
})
const above = (place: Place): number => topAt(props.state, place)
/** When adding, the lesser digit is touched; when taking away, always the one below. */
const touchesTop = (place: Place): boolean => band.value?.operation === '+' && above(place) < below(place)
const said = (place: Place): readonly number[] =>
  props.state.said.filter((s) => s.place === place && s.band === props.state.bands.length - 1).map((s) => s.word)

const word = ref('')
watch(
  () => props.state,
  () => (word.value = ''),
)
/** The count of the column in hand, or of the last one worked: the number begun from, then the words. */
const sequence = computed(() => {
  const last = props.state.said.at(-1)
  if (!last || last.band !== props.state.bands.length - 1) return ''
  return said(last.place).join(' ')
})
const nextWord = computed(() => {
  const p = column.value
  if (p === undefined || !band.value) return 0
  const start = band.value.operation === '+' ? Math.max(above(p), below(p)) : above(p)
  return (said(p).at(-1) ?? start) + (band.value.operation === '+' ? 1 : -1)
})
const pack = computed(() => packOf(props.setup.choices.words))
function touch(place: Place | undefined = column.value): void {
  if (movable.value && place !== undefined && nextWord.value >= 0)
    emit('move', [`say ${word.value || nextWord.value} ${placeName(place)}`])
}
const notched = (row: number, place: Place, top: boolean): 'full' | 'faint' | 'off' =>
  row === topRow(props.state) && band.value && top === touchesTop(place) && (top || below(place) > 0)
    ? shows.value
    : 'off'
const LEVELS = ['full', 'faint', 'off'] as const
</script>

<template>
  <div class="touch-sheet" role="group" aria-label="The mat">
    <ColumnSheet
      :state="state"
      :writable="movable"
      :lit-places="litPlaces"
      :newest="newest"
      large
      :choices="setup.choices"
      :first="printNumeral(setup.worked.first)"
      @move="(texts) => emit('move', texts)"
    >
      <template #top="{ digit, row, place }">
        <svg v-if="digit <= 9" class="numeral" viewBox="-14 -12 128 164" aria-hidden="true">
          <TouchNumeral
            :digit="digit"
            :map="map"
            :shows="notched(row, place, true)"
            :touched="touchesTop(place) ? said(place).length : 0"
            @touch="touch(place)"
          />
        </svg>
        <template v-else>{{ digit }}</template>
        <span class="sr-only">{{ digit }}</span>
      </template>
      <template #below="{ digit, row, place }">
        <svg v-if="digit !== ''" class="numeral" viewBox="-14 -12 128 164" aria-hidden="true">
          <TouchNumeral
            :digit="Number(digit)"
            :map="map"
            :shows="notched(row, place, false)"
            :touched="touchesTop(place) ? 0 : said(place).length"
            @touch="touch(place)"
          />
        </svg>
        <span class="sr-only">{{ digit }}</span>
      </template>
    </ColumnSheet>
    <div class="strip">
      <template v-if="movable && column !== undefined">
        <label v-if="mode === 'alone'" class="word"
          >word <input v-model="word" inputmode="numeric" maxlength="3" @keydown.enter.prevent="touch()"
        /></label>
        <button type="button" class="stone-button main" @click="touch()">
          {{ mode === 'alone' ? 'Say it' : `Say ${inWords(nextWord, pack)}` }}
        </button>
      </template>
      <span class="learner words" aria-live="polite">{{ sequence }}</span>
      <span class="space" />
      <span v-if="!small" class="levels" role="group" aria-label="How strong the notches are">
        <button
          v-for="l in LEVELS"
          :key="l"
          type="button"
          class="stone-button"
          :aria-pressed="shows === l"
          @click="shows = l"
        >
          {{ l === 'full' ? 'Notches' : l === 'faint' ? 'Faint' : 'Off' }}
        </button>
      </span>
    </div>
  </div>
</template>

<style scoped>
.touch-sheet {
  height: 100%;
  width: 100%;
  display: grid;
  grid-template-rows: minmax(0, 1fr) auto;
  /* The numerals are drawn for felt; here they stand on paper. */
  --on-felt: var(--ink);
  --felt: var(--sheet);
  --focus-on-felt: var(--clay);
}
.touch-sheet :deep(.sheet) {
  --s: clamp(60px, 13vh, 108px);
  align-content: center;
}
.numeral {
  width: calc(var(--s) * 0.78);
  height: calc(var(--s) * 0.94);
}
.strip {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 0.8rem;
  padding: 6px 12px 0;
}
.word input {
  width: 4rem;
  min-height: 44px;
  border: 0;
  border-bottom: 2px solid var(--edge);
  background: transparent;
  font-size: 1.3rem;
  text-align: center;
}
.words {
  font-size: 1.4rem;
}
.space {
  flex: 1;
}
.levels .stone-button {
  border-radius: 0;
  margin-left: -1.5px;
}
</style>
