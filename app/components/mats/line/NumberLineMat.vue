<script setup lang="ts">
import {
  asNumber,
  add,
  amountsOf,
  answer,
  commonIn,
  exact,
  type Exact,
  hasBelow,
  lowestText,
  type Mode,
  numbersIn,
  numberText,
  parseNumeral,
  parts,
  pretty,
  printExact,
  printNumeral,
  sizeOf,
  subtract,
  type Setup,
  type Standing,
  totals,
  valueOf,
  writtenIn,
} from '../../../../core/door'
import { hereOn, points, type LineState } from '../../../../core/representation/line/line'
import { partsText } from '../../../utils/parts'
import { marksOf, ruled } from '../../../../core/representation/line/ruling'

/**
 * A ruled line through nought. An arrow is drawn along it with a finger or the mouse; by keyboard a pointer is moved to where the
 * arrow is to end, and Enter draws it.
 */
const props = defineProps<{
  state: LineState
  setup: Setup
  standing: Standing
  mode: Mode
  newest: boolean
  guess: Exact | null
  small?: boolean
}>()
const emit = defineEmits<{ move: [text: string]; say: [text: string] }>()

const root = ref<HTMLElement | null>(null)
const { width, height } = useElementSize(root)
const movable = computed(() => props.mode !== 'show' && !props.small)
/** Whether numbers are fractions here, told in the parts of the line's own marks: 4/8, and no half. */
const inParts = computed(() => props.setup.units.fractions === true)
/** A mark’s number as text, exactly: so many of its parts, or a decimal of at most three places. */
const textOf = (n: number): string =>
  inParts.value ? partsText(n, partsOfOne.value) : printExact(exact(String(Number(n.toFixed(3)))))
/** An exact number as text: in the line's parts where it stands on a mark. */
const written = (e: Exact): string => {
  const { denominator } = parts(e)
  if (!inParts.value) return printExact(e)
  return BigInt(partsOfOne.value) % denominator === 0n ? partsText(asNumber(e), partsOfOne.value) : lowestText(e)
}
/** Where one stands, in the parts that were asked. */
const hereText = computed(() => {
  const { value, held } = props.standing
  const here = hereOn(props.state)
  return inParts.value && value === here ? numberText(here, props.setup.units, held) : written(here)
})
/** The nearest number that the line tells exactly. */
const snapped = (n: number): number =>
  inParts.value ? Math.round(n * partsOfOne.value) / partsOfOne.value : Number(n.toFixed(3))
const shown = (text: string): string => pretty(text, props.setup.choices.signed.ownSign)

const numbers = computed(() => {
  const { worked } = props.setup
  const { loose } = props.state
  const drawn = [
    ...points(props.state),
    ...(loose ? [loose.from, add(loose.from, loose.by)] : []),
    ...(props.guess ? [props.guess] : []),
    ...marked.value,
    ...amountsOf(worked).slice(1),
  ]
  const reached = totals(worked)
  // Where hands work, the line goes as far the other way as well: its ends do not tell which way is right.
  const other = worked.terms.map((t, i) => subtract(reached[i]!, subtract(reached[i + 1]!, reached[i]!)))
  if (worked.terms[0]?.operation === '*') return [reached[1]!, ...drawn].map(asNumber)
  return [...reached, ...drawn, ...(props.mode === 'show' ? [] : other)].map(asNumber)
})
const marked = computed(() => props.state.marked.map((text) => valueOf(parseNumeral(text))))
const decimals = computed(() =>
  numbersIn(props.setup.worked).reduce((most, n) => Math.max(most, n.form === 'places' ? n.decimals : 0), 0),
)
/** As the class rules its line, where the numbers of the problem have marks on that; else as they need. */
const partsOfOne = computed(() => {
  const { ruled: wanted } = props.setup.choices.signed
  const onMarks = totals(props.setup.worked).every((n) => BigInt(wanted) % parts(n).denominator === 0n)
  if (wanted > 0 && onMarks) return wanted
  if (!inParts.value) return 10 ** decimals.value
  const common = Number(commonIn(props.setup.worked))
  // Finer than this, marks help nobody: the largest of the numbers' own parts then, with points between the marks.
  return common <= FINEST
    ? common
    : Number(
        numbersIn(props.setup.worked)
          .map(writtenIn)
          .reduce((a, b) => (a > b ? a : b)),
      )
})
const FINEST = 120
const ruling = computed(() => ruled(numbers.value, partsOfOne.value, width.value))
const marks = computed(() => marksOf(ruling.value))
const labels = computed(() => props.setup.choices.signed.marks === 'labelled')
const base = computed(() => Math.round(height.value * 0.68))
const here = computed(() => (props.state.start === null ? null : asNumber(hereOn(props.state))))

/** Arrows one above the other, the first nearest to the line: each at its true length. */
const arrows = computed(() => {
  const { state } = props
  const all = points(state).map(asNumber)
  const list = [
    ...(state.fromNought && state.start !== null ? [{ from: 0, to: all[0]!, by: state.start, loose: false }] : []),
    ...state.arrows.map((by, i) => ({ from: all[i]!, to: all[i + 1]!, by, loose: false })),
    ...(state.loose
      ? [
          {
            from: asNumber(state.loose.from),
            to: asNumber(state.loose.from) + asNumber(state.loose.by),
            by: state.loose.by,
            loose: true,
          },
        ]
      : []),
  ]
  const step = Math.min(46, (base.value - 40) / Math.max(1, list.length))
  return list.map((a, i) => ({
    ...a,
    ...drawnArrow(a.from, a.to, base.value - 26 - i * step, a.by),
    last: i === list.length - 1,
  }))
})
function drawnArrow(from: number, to: number, y: number, by?: Exact) {
  const [a, b] = [ruling.value.x(from), ruling.value.x(to)]
  const way = Math.sign(b - a) || 1
  const tip = Math.min(13, Math.abs(b - a))
  return {
    y,
    a,
    b,
    path: `M${a} ${y}H${b - way * tip * 0.7}`,
    tip: `M${b} ${y}L${b - way * tip} ${y - 8}V${y + 8}Z`,
    sign: to > from ? '+' : '−',
    text: by ? written(sizeOf(by)) : textOf(Math.abs(to - from)),
    x: (a + b) / 2,
  }
}
const described = computed(() => {
  const { state } = props
  if (state.start === null) return 'Nothing stands on the line yet.'
  const all = points(state)
  const said = state.arrows.map((by, i) => `${written(by)} to ${written(all[i + 1]!)}`)
  const marks_ = state.marked.length > 0 ? ` Points marked: ${state.marked.join(', ')}.` : ''
  const loose = state.loose
    ? ` A loose arrow of ${written(state.loose.by)} starts at ${written(state.loose.from)}.`
    : ''
  return `Starts at ${written(all[0]!)}. ${said.length > 0 ? `Arrows: ${said.join(', ')}.` : 'No arrow yet.'}${loose}${marks_}`
})

/* --- by hand: where a finger comes down the arrow starts, where it goes up it ends --- */
const pulling = ref<{ readonly from: number; readonly to: number } | null>(null)
const REACH = 26
const inside = (event: PointerEvent): number => event.clientX - root.value!.getBoundingClientRect().left
function down(event: PointerEvent): void {
  if (!movable.value) return
  const x = inside(event)
  const near = here.value !== null && Math.abs(ruling.value.x(here.value) - x) <= REACH
  const from = near ? here.value! : ruling.value.nearest(x)
  pulling.value = { from, to: from }
  ;(event.currentTarget as Element).setPointerCapture(event.pointerId)
}
function drag(event: PointerEvent): void {
  if (pulling.value) pulling.value = { ...pulling.value, to: ruling.value.nearest(inside(event)) }
}
function up(): void {
  const pull = pulling.value
  pulling.value = null
  if (!pull) return
  aim.value = null
  if (pull.from !== pull.to) return draw(pull.from, pull.to)
  if (here.value === null) emit('move', `stand ${textOf(pull.to)}`)
  else emit('say', 'Drag from where one stands: right is up, left is down.')
}
const preview = computed(() => {
  const pull = pulling.value
  if (pull && pull.from !== pull.to) return drawnArrow(pull.from, pull.to, base.value - 10)
  if (aim.value === null || here.value === null || aim.value === here.value) return null
  return drawnArrow(here.value, aim.value, base.value - 10)
})
function draw(from: number, to: number): void {
  const by = snapped(to - from)
  const start = from === (here.value ?? 0) ? '' : ` from ${textOf(from)}`
  emit('move', `arrow ${by > 0 ? '+' : '-'}${textOf(Math.abs(by))}${start}`)
}

/* --- by keyboard --- */
const aim = ref<number | null>(null)
watch(
  () => props.state,
  () => (aim.value = null),
)
const pointed = computed(() => aim.value ?? here.value ?? 0)
function key(event: KeyboardEvent): void {
  const { mark, labelled, from, to } = ruling.value
  const steps: Readonly<Record<string, number>> = {
    ArrowRight: mark,
    ArrowUp: mark,
    ArrowLeft: -mark,
    ArrowDown: -mark,
    PageUp: labelled,
    PageDown: -labelled,
  }
  const step = steps[event.key]
  if (step !== undefined) aim.value = Math.max(from, Math.min(to, snapped(pointed.value + step)))
  else if (event.key === 'Home') aim.value = 0
  else if (event.key === 'Escape' && aim.value !== null) aim.value = null
  else if (event.key === 'Enter' || event.key === ' ') {
    if (here.value === null) emit('move', `stand ${textOf(pointed.value)}`)
    else if (aim.value !== null && aim.value !== here.value) draw(here.value, aim.value)
    else emit('say', 'Move the pointer to where the arrow is to end.')
  } else return
  event.preventDefault()
  event.stopPropagation()
}

const own = ref('')
const trouble = computed(
  () => own.value.trim() !== '' && !/^[+\-−]?(?:\d+(?:\.\d+)?|(?:\d+ )?\d+\/[1-9]\d*)$/.test(own.value.trim()),
)
function drawOwn(): void {
  const typed = own.value.trim().replace('−', '-')
  if (typed === '' || trouble.value) return
  emit('move', here.value === null ? `stand ${typed}` : `arrow ${typed}`)
  own.value = ''
}
/* --- points that are held against where one stands --- */
const done = computed(() => props.state.start !== null && props.state.arrows.length >= props.setup.worked.terms.length)
const nextPoint = computed(() => {
  const other = props.setup.problem.others?.[props.state.marked.length]
  if (!other) return null
  const value = other.terms.length === 0 ? printNumeral(other.first) : lowestText(answer(other))
  return { row: props.state.marked.length + 2, text: value }
})
const amounts = computed(() => [hereText.value, ...props.state.marked])
const pointAt = (x: number): string => `M${x} ${base.value - 12}l9 12l-9 12l-9 -12Z`
/** The points with their numbers beneath the line, in a further row where one would stand on another. */
const pointTexts = computed(() => {
  const taken: { x: number; row: number }[] = here.value === null ? [] : [{ x: ruling.value.x(here.value), row: 0 }]
  return props.state.marked.map((text, i) => {
    const x = ruling.value.x(asNumber(marked.value[i]!))
    let row = 0
    while (taken.some((t) => t.row === row && Math.abs(t.x - x) < 52)) row++
    taken.push({ x, row })
    return { text, x, y: base.value + 102 + 58 * row }
  })
})
const below = computed(() => hasBelow(props.setup.problem))
</script>

<template>
  <div class="on-line number-line felt" role="group" aria-label="The mat">
    <div ref="root" class="room">
      <p class="sr-only" aria-live="polite">{{ described }}</p>
      <svg
        :viewBox="`0 0 ${width} ${height}`"
        role="img"
        :aria-label="`Number line from ${textOf(ruling.from)} to ${textOf(ruling.to)}. ${described}`"
        :class="{ movable }"
        @pointerdown="down"
        @pointermove="drag"
        @pointerup="up"
        @pointercancel="pulling = null"
      >
        <path class="line" :d="`M6 ${base}H${width - 6}`" />
        <path class="end" :d="`M${width - 18} ${base - 8}L${width - 6} ${base}L${width - 18} ${base + 8}`" />
        <path class="end" :d="`M18 ${base - 8}L6 ${base}L18 ${base + 8}`" />
        <g v-for="m in marks" :key="m.n" class="mark" :class="{ long: m.long, nought: m.n === 0 }">
          <path
            :d="`M${ruling.x(m.n)} ${base - (m.n === 0 ? 22 : m.long ? 12 : 6)}V${base + (m.n === 0 ? 22 : m.long ? 12 : 6)}`"
          />
          <StackedText
            v-if="m.n === 0 || (m.long && labels)"
            :text="shown(textOf(m.n))"
            :x="ruling.x(m.n)"
            :y="base + 38"
            :size="m.n === 0 ? 24 : 20"
          />
        </g>
        <g
          v-for="(a, i) in arrows"
          :key="i"
          class="arrow"
          :class="{ now: a.last && newest, loose: a.loose, down: a.b < a.a }"
        >
          <path class="drop" :d="`M${a.a} ${a.y}V${base}M${a.b} ${a.y}V${base}`" />
          <path class="shaft" :d="a.path" />
          <path class="tip" :d="a.tip" />
          <ArrowText :sign="a.sign" :text="a.text" :x="a.x" :y="a.y" />
        </g>
        <g v-if="preview" class="arrow preview">
          <path class="shaft" :d="preview.path" />
          <path class="tip" :d="preview.tip" />
          <ArrowText :sign="preview.sign" :text="preview.text" :x="preview.x" :y="preview.y" />
        </g>
        <g v-if="guess" class="guess">
          <path :d="`M${ruling.x(asNumber(guess))} ${base}V${base + 62}h34l-8 9l8 9h-34`" />
          <text :x="ruling.x(asNumber(guess)) + 6" :y="base + 77">?</text>
        </g>
        <circle v-if="here !== null" class="here" :cx="ruling.x(here)" :cy="base" r="9" />
        <g v-for="(p, i) in pointTexts" :key="`m${i}`" class="point">
          <path :d="pointAt(p.x)" />
          <StackedText :text="p.text" :x="p.x" :y="p.y" :size="26" />
        </g>
        <StackedText
          v-if="here !== null && mode !== 'alone'"
          class="landing"
          :text="shown(hereText)"
          :x="ruling.x(here)"
          :y="base + 102"
          :size="30"
        />
      </svg>
      <div
        v-if="movable"
        class="pointer"
        role="slider"
        tabindex="0"
        :aria-label="here === null ? 'Where to stand' : 'Where the arrow ends'"
        :aria-valuemin="ruling.from"
        :aria-valuemax="ruling.to"
        :aria-valuenow="pointed"
        :aria-valuetext="textOf(pointed)"
        aria-description="Arrow keys move the pointer, Page Up and Page Down by more; Enter draws the arrow."
        :style="{ left: `${ruling.x(pointed)}px`, top: `${base}px` }"
        @keydown="key"
      />
      <p v-if="state.start === null && movable" class="empty">
        Tap the line to stand there{{ below ? ', or drag from nought to draw the first arrow' : '' }}.
      </p>
    </div>
    <div v-if="movable" class="acts">
      <button
        v-if="state.start === null"
        type="button"
        class="stone-button main"
        @click="emit('move', `stand ${printNumeral(setup.worked.first)}`)"
      >
        Stand at <MathLine :line="shown(printNumeral(setup.worked.first))" named />
      </button>
      <button
        v-if="nextPoint && done"
        type="button"
        class="stone-button main"
        @click="emit('move', `mark ${nextPoint.row} ${nextPoint.text}`)"
      >
        Mark <MathLine :line="nextPoint.text" named />
      </button>
      <CompareActs v-if="state.marked.length > 0 && done" :amounts="amounts" @move="(text) => emit('move', text)" />
      <button v-if="state.loose" type="button" class="stone-button main" @click="emit('move', 'slide')">
        Slide it to where one stands
      </button>
      <form class="own" @submit.prevent="drawOwn">
        <label class="sr-only" for="own-arrow">{{ here === null ? 'Stand at' : 'Arrow of your own' }}</label>
        <input
          id="own-arrow"
          v-model="own"
          class="learner number-box"
          maxlength="9"
          :placeholder="here === null ? '−3' : '+4 or −8'"
          :aria-invalid="trouble"
        />
        <button type="submit" class="stone-button" :disabled="own.trim() === '' || trouble">
          {{ here === null ? 'Stand there' : 'Draw the arrow' }}
        </button>
      </form>
    </div>
  </div>
</template>

<style scoped src="./lines.css"></style>
<style scoped src="./numberLine.css"></style>
