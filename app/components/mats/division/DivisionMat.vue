<script setup lang="ts">
import { turnAt, type DivisionState } from '../../../../core/representation/division/state'
import { type Mode, placeName, printNumeral, type Setup, type Standing } from '../../../../core/door'
import { stepOf, workRows } from '../../../../core/representation/division/rows'

/** Long division on squared paper: the card over what is not needed yet, and one turn of the loop for each digit. */
const props = defineProps<{ state: DivisionState; setup: Setup; standing: Standing; mode: Mode; newest: boolean }>()
const emit = defineEmits<{ move: [text: string]; say: [text: string] }>()

const writable = computed(() => props.mode !== 'show')
const digits = computed(() => [...props.state.dividend])
const here = computed(() => props.state.free - 1)
const rows = computed(() => workRows(props.state))
const next = computed(() => stepOf(props.state))
const names = computed(() => props.setup.choices.division.steps)
const first = computed(() => printNumeral(props.setup.worked.first))
/** What is divided now; a hand that has written something else sees what it wrote. */
const stands = computed(() => (props.state.dividend === '' ? 0 : turnAt(props.state, here.value).stands))
const one = computed(() => props.state.tries[here.value]?.at(-1))

/** The step whose square is open for writing: the next one, unless another was chosen. */
const chosen = ref<0 | 1 | 2 | null>(null)
const step = computed(() => chosen.value ?? (next.value === 3 || next.value === null ? null : next.value))
const text = ref('')
watch(
  () => props.state,
  () => {
    chosen.value = null
    text.value = ''
  },
)
const most = computed(() => (step.value === 0 ? 1 : 3))
/** Where the open square lies: its row in the grid, and the column of its last figure. */
const WORK = 3
const slotRow = computed(() => (step.value === 0 ? 1 : WORK + rows.value.length))
const slotName = computed(() => {
  if (step.value === 0) return `Quotient, over the ${digits.value[here.value]}`
  return step.value === 1 ? `${one.value?.digit} times ${props.state.by}` : `${stands.value} less ${one.value?.product}`
})
const columnOf = (end: number, length: number): string => `${end - length + 5} / span ${length}`

function write(): void {
  const number = text.value.trim()
  if (number === '' || step.value === null) return
  emit('move', `${(['quotient', 'product', 'difference'] as const)[step.value]} ${number}`)
}
function digit(n: number): void {
  text.value = `${text.value}${n}`.slice(0, most.value)
  // One square takes one figure: nothing more has to be pressed.
  if (step.value === 0) write()
}
const input = ref<HTMLInputElement | null>(null)
const focusSlot = (): void => void nextTick(() => input.value?.focus({ preventScroll: true }))
function choose(n: number): void {
  if (n === 3) return emit('move', 'bring')
  chosen.value = n as 0 | 1 | 2
  focusSlot()
}
const paper = ref<HTMLElement | null>(null)
/** A long working is taller than its paper: what is worked now stays in sight. */
watch(
  () => rows.value.length,
  () => void nextTick(() => paper.value?.scrollTo({ top: paper.value.scrollHeight })),
)
/** While one works at the sheet the cursor goes along from square to square. */
watch([step, slotRow], () => {
  if (input.value && document.activeElement === input.value) focusSlot()
})
/** A 0 that was left out can still be written over its digit. */
const leftOut = computed(() =>
  digits.value.map(
    (_, i) =>
      writable.value &&
      i < here.value &&
      !props.state.tries[i]?.length &&
      props.state.tries.slice(0, i).some((t) => (t.at(-1)?.digit ?? 0) > 0),
  ),
)
const placeOf = (i: number): string => placeName(digits.value.length - 1 - i, 2)
const covered = computed(() => digits.value.length - props.state.free)
const columns = computed(() => `auto auto auto repeat(${Math.max(digits.value.length, 2)}, var(--s))`)
function key(event: KeyboardEvent): void {
  if (event.key !== 'Enter') return
  event.preventDefault()
  write()
}
</script>

<template>
  <div class="mat">
    <div class="division" role="group" aria-label="The mat">
      <div v-if="state.dividend === ''" class="empty">
        <p class="learner sum">{{ state.by }} <span class="bracket">) </span></p>
        <button v-if="writable" type="button" class="stone-button main" @click="emit('move', `set ${first}`)">
          Write {{ first }} down
        </button>
        <p v-else class="quiet">The number to be divided comes here when it is written down.</p>
      </div>
      <template v-else>
        <div ref="paper" class="paper">
          <div class="grid learner" :class="{ wide: digits.length > 5 }" :style="{ gridTemplateColumns: columns }">
            <span class="divisor" style="grid-row: 2; grid-column: 1">{{ state.by }}</span>
            <span class="curve" style="grid-row: 2; grid-column: 2" aria-hidden="true">)</span>
            <template v-for="(d, i) in digits" :key="`d${i}`">
              <span class="square quotient" :style="{ gridRow: 1, gridColumn: i + 4 }">
                <s v-for="(t, k) in (state.tries[i] ?? []).slice(0, -1)" :key="k" class="was">{{ t.digit }}</s>
                <span v-if="state.tries[i]?.length" :class="{ now: newest && i === here }">{{
                  state.tries[i]!.at(-1)!.digit
                }}</span>
                <button
                  v-else-if="leftOut[i]"
                  type="button"
                  class="zero"
                  :aria-label="`Write 0 over the ${placeOf(i)}`"
                  @click="emit('move', `quotient 0 over ${placeOf(i)}`)"
                >
                  ·
                </button>
              </span>
              <span class="square dividend" :class="{ worked: i === here }" :style="{ gridRow: 2, gridColumn: i + 4 }"
                ><span :class="{ 'sr-only': i >= state.free }">{{ i >= state.free ? '' : d }}</span></span
              >
            </template>
            <span
              v-if="covered > 0"
              class="card"
              :style="{ gridRow: 2, gridColumn: `${state.free + 4} / span ${covered}` }"
              role="img"
              :aria-label="`The card covers ${covered} ${covered === 1 ? 'digit' : 'digits'}`"
            />
            <template v-for="(row, n) in rows" :key="`r${n}`">
              <span
                v-if="row.kind === 'product'"
                class="minus"
                :style="{ gridRow: n + WORK, gridColumn: columnOf(row.end - row.text.length, 1) }"
                aria-hidden="true"
                >−</span
              >
              <span
                class="figures"
                :class="[row.kind, { struck: row.struck, now: newest && row.square === here && !row.struck }]"
                :style="{ gridRow: n + WORK, gridColumn: columnOf(row.end, row.text.length) }"
                ><span v-for="(f, k) in row.text" :key="k">{{ f }}</span></span
              >
              <span
                v-for="(f, k) in row.brought"
                :key="`b${n}-${k}`"
                class="figures brought"
                :class="{ now: newest && row.end + 1 + k === here }"
                :style="{ gridRow: n + WORK, gridColumn: columnOf(row.end + 1 + k, 1) }"
                ><span>{{ f }}</span></span
              >
            </template>
            <input
              v-if="writable && step !== null"
              ref="input"
              v-model="text"
              class="slot learner"
              :style="{
                gridRow: slotRow,
                gridColumn: columnOf(here, step === 0 ? 1 : Math.min(here + 3, String(stands).length)),
              }"
              inputmode="none"
              autocomplete="off"
              :maxlength="most"
              :aria-label="slotName"
              @keydown="key"
            />
          </div>
        </div>
        <SkipHands
          v-if="step === 0 || (!writable && state.counted.length > 0)"
          class="fingers"
          :counted="state.counted"
          :by="state.by"
          :stands="stands"
          :choices="setup.choices"
          :movable="writable"
          :tells="mode !== 'alone'"
          @say="(word) => emit('move', `say ${word}`)"
          @fold="emit('move', 'fold')"
        />
        <div v-if="writable" class="foot">
          <div class="loop" role="group" aria-label="The steps of one turn">
            <button
              v-for="(name, n) in names"
              :key="n"
              type="button"
              class="stone-button"
              :class="{ next: (step ?? next) === n }"
              :aria-current="(step ?? next) === n ? 'step' : undefined"
              :disabled="(n === 1 && !one?.digit) || (n === 2 && one?.product == null) || (n === 3 && covered === 0)"
              @mousedown.prevent
              @click="choose(n)"
            >
              {{ name }}
            </button>
          </div>
          <div v-if="step !== null" class="writing">
            <NumberPad @digit="digit" @back="text = text.slice(0, -1)" />
            <button
              type="button"
              class="stone-button main"
              :disabled="text.trim() === ''"
              @mousedown.prevent
              @click="write"
            >
              Write it
            </button>
          </div>
          <p v-else-if="next === null" class="quiet">Every digit is down: say how many each, and what is left over.</p>
        </div>
      </template>
    </div>
  </div>
</template>

<style scoped src="./division.css"></style>
