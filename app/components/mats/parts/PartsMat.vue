<script setup lang="ts">
import type { Component } from 'vue'
import {
  cutOf,
  commonIn,
  type Mode,
  numbersIn,
  type Setup,
  type Standing,
  writtenIn,
  USUAL_PARTS,
} from '../../../../core/door'
import { calledAll } from '../../../../core/representation/parts/apply'
import type { PartsState } from '../../../../core/representation/parts/state'
import { partName } from '../../../utils/parts'
import { rowsOf, type PartsWords } from './rows'

/**
 * Wholes and equal parts of them: what all materials of parts have in common. Pieces are dragged from the store into a row, from the
 * number beside to what is there, to the tray or back; everything can be done by the buttons beneath as well.
 */
const props = defineProps<{
  state: PartsState
  setup: Setup
  standing: Standing
  mode: Mode
  newest: boolean
  drawing: Component
  words: PartsWords
}>()
const emit = defineEmits<{ move: [text: string]; say: [text: string] }>()

const root = ref<HTMLElement | null>(null)
const area = ref<HTMLElement | null>(null)
const { width, height } = useElementSize(area)
const movable = computed(() => props.mode !== 'show')
const taking = computed(() => props.state.posed?.sign === '-' || props.standing.doing === '-')

/** The kinds in the store: those that the problem names or needs, and on demand all others. */
const all = ref(false)
const own = computed(() => {
  const { problem } = props.setup
  const named = problem.named?.kind === 'parts' ? [problem.named.of] : []
  const needed = [...numbersIn(problem).map(writtenIn), ...(props.mode === 'alone' ? [] : [commonIn(problem)])]
  return [...new Set([1, ...needed.map(Number), ...named])].filter((n) => n <= 100)
})
const kinds = computed(() =>
  [...new Set([...own.value, ...(all.value || own.value.length < 3 ? USUAL_PARTS : [])])].sort((a, b) => a - b),
)
/** The kind in hand: what the buttons move. */
const chosen = ref<number | null>(null)
const kind = computed(() => chosen.value ?? own.value.find((n) => n > 1) ?? 2)

const described = computed(() =>
  rowsOf(props.state, props.words.row)
    .map((r) => `${r.caption}: ${r.pieces.length > 0 ? calledAll(r.pieces) : 'nothing'}`)
    .join('; '),
)
function tap(row: string, of: number): void {
  if (!movable.value || justDragged()) return
  if (row === 'posed' && props.state.posed?.sign === '+') emit('move', `push 1 ${partName(of, 1)}`)
  else if (row === 'main' && taking.value) emit('move', `take 1 ${partName(of, 1)}`)
  else chosen.value = of
}

/* --- dragging --- */
const held = ref<{ readonly from: string; readonly of: number } | null>(null)
const { dragging, justDragged } = useDragging(root, {
  grip: '.grip',
  carried: '.ghost',
  start({ from = 'store', of = '1' }) {
    held.value = movable.value ? { from, of: Number(of) } : null
    return true
  },
  end(x, y) {
    const zone = underPoint(root.value!, x, y).find((d) => d.zone !== undefined)?.zone
    const from = held.value
    held.value = null
    if (from && zone) drop(from.from, from.of, zone)
  },
})
function drop(from: string, of: number, to: string): void {
  const one = `1 ${partName(of, 1)}`
  const row = Number(to)
  if (from === to) return
  if (from === 'store') {
    if (to === 'main') emit('move', `lay ${one}`)
    else if (to === 'posed') emit('move', `set ${one}`)
    else if (row) emit('move', `row ${row + 1} ${one}`)
  } else if (from === 'posed') {
    if (to === 'main') emit('move', `push ${one}`)
    else if (to === 'store') emit('move', `unset ${one}`)
  } else if (from === 'main') {
    if (to === 'tray') emit('move', `take ${one}`)
    else if (to === 'store') emit('move', `return ${one}`)
  } else if (from === 'tray' && to === 'main') emit('move', `give ${one}`)
  else if (Number(from) && to === 'store') emit('move', `less ${Number(from) + 1} ${one}`)
}
</script>

<template>
  <div ref="root" class="parts felt" :class="{ dragging, now: newest }" role="group" aria-label="The mat">
    <p class="sr-only" aria-live="polite">{{ described }}</p>
    <div class="table">
      <div class="store" data-zone="store">
        <span class="word">store</span>
        <button
          v-for="of in kinds"
          :key="of"
          type="button"
          class="source grip"
          data-from="store"
          :data-of="of"
          :disabled="!movable"
          :aria-label="`${words.lay} one ${partName(of, 1)}`"
          @click="movable && !justDragged() && emit('move', `lay 1 ${partName(of, 1)}`)"
        >
          <span class="sample" aria-hidden="true"
            ><i v-for="n in Math.min(of, 20)" :key="n" :class="{ on: n === 1 }"
          /></span>
          <MathLine :line="of === 1 ? '1' : `1/${of}`" named />
        </button>
        <button type="button" class="source more" :aria-pressed="all" @click="all = !all">
          {{ all ? 'Fewer' : 'All parts' }}
        </button>
      </div>
      <div ref="area" class="area" data-zone="main">
        <component
          :is="drawing"
          v-if="width > 0"
          :state="state"
          :width="width"
          :height="height"
          :taking="taking"
          :word="words.row"
          @tap="tap"
        />
        <p v-if="movable && state.lies.length === 0 && !state.posed" class="hint">
          Tap the store, or drag a piece here.
        </p>
      </div>
      <div class="tray" data-zone="tray">
        <span class="word">taken away</span>
        <span v-for="p in state.taken" :key="p.unit" class="taken grip" data-from="tray" :data-of="cutOf(p.unit)"
          ><MathLine :line="calledAll([p])"
        /></span>
      </div>
      <PartsActs
        v-if="movable"
        :state="state"
        :setup="setup"
        :mode="mode"
        :kind="kind"
        :kinds="kinds"
        :words="words"
        @kind="(of) => (chosen = of)"
        @move="(text) => emit('move', text)"
      />
    </div>
    <div v-if="dragging && held" class="ghost" aria-hidden="true">
      <MathLine :line="held.of === 1 ? '1' : `1/${held.of}`" named />
    </div>
  </div>
</template>

<style scoped src="./parts.css"></style>
