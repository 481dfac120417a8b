<script setup lang="ts">
import { placeName } from '../../../core/number/places'
import { capital } from '../../../core/number/words'
import type { BeadMove } from '../../../core/act/beads'
import { digitsOn, push, type AbacusState } from '../../../core/representation/abacus/frame'
import { print } from '../../../core/representation/abacus/text'
import { BAR, beadSpots, layFrame, type BeadSpot } from '../../utils/beadLayout'
import { usePushing } from '../../composables/usePushing'

/**
 * A frame of beads. A bead is pushed by a tap or drawn along by mouse and finger, and takes along what lies between; two fingers
 * on one rod pinch. By keyboard each rod is one stop.
 */
const props = withDefaults(
  defineProps<{
    state: AbacusState
    works: boolean
    litPlaces?: readonly number[]
    newest?: boolean
    ones: string
    /** Whether each rod's digit stands under it. */
    digits?: boolean
    /** Beads stay where they are until they are pushed a second time, and each rod is spoken: for working by touch. */
    touch?: boolean
    /** Whether totals fall below nought, so that a one may be borrowed. */
    below?: boolean
    /** Beads that are to move next, to be pointed at. */
    next?: readonly BeadMove[]
    label?: string
  }>(),
  { litPlaces: () => [], newest: false, digits: true, touch: false, below: false, next: () => [], label: 'The mat' },
)
const emit = defineEmits<{ move: [text: string]; refuse: [why: string]; say: [text: string] }>()

const root = ref<HTMLElement | null>(null)
const room = ref<HTMLElement | null>(null)
const frame = ref<HTMLElement | null>(null)
const { width, height } = useElementSize(room)
const layout = computed(() => layFrame(props.state, { w: width.value, h: height.value }))
const layoutAcross = computed(() => props.state.beads.upper === 0)
const spots = computed(() => beadSpots(props.state, layout.value))
const shown = computed(() => digitsOn(props.state))
const rods = computed(() => props.state.rods.map((_, i) => i).reverse())
const placeOf = (rod: number): number => rod - props.state.decimals
const nameOf = (place: number, n = 2): string => (place === 0 && n !== 1 ? props.ones : placeName(place, n))
/** What a narrow rod is called under it; its whole name is told. */
const SHORT = new Map([
  [-3, 'thths'],
  [-2, 'hdths'],
  [2, 'hund.'],
  [3, 'th.'],
  [4, '10 th.'],
  [5, '100 th.'],
  [6, 'mill.'],
  [7, '10 mill.'],
  [8, '100 mill.'],
  [9, 'bill.'],
  [10, '10 bill.'],
  [11, '100 bill.'],
  [12, 'trill.'],
])
const underRod = (rod: number): string => {
  const place = placeOf(rod)
  // About seven pixels a letter.
  const tight = !layoutAcross.value && nameOf(place).length * 7 > layout.value.rod
  return (tight && SHORT.get(place)) || nameOf(place)
}
const NUMBERS = ['nought', 'one', 'two', 'three', 'four', 'five', 'six', 'seven', 'eight', 'nine', 'ten']
const reading = (rod: number): string => `${nameOf(placeOf(rod))}: ${NUMBERS[shown.value[rod]!] ?? shown.value[rod]}`
const described = computed(
  () =>
    rods.value
      .filter((r) => shown.value[r]! > 0)
      .map(reading)
      .join(', ') || 'every rod is clear',
)
const lit = (rod: number): boolean => props.newest && props.litPlaces.includes(placeOf(rod))
const pinching = ref(false)

/** What a push on a bead would do. With the upper and the lower beads going the same way, a pinch takes the upper one along. */
function pushOf(spot: BeadSpot, pinch: boolean): BeadMove {
  const move = push(props.state, placeOf(spot.rod), spot.bead, spot.nth)
  const { upper } = props.state.rods[spot.rod]!
  const along = move.to === 'bar' ? upper < props.state.beads.upper : upper > 0
  return pinch && spot.bead === 'lower' && along ? { ...move, bead: 'pinch' } : move
}
const make = (move: BeadMove): void => emit('move', print(move))

/* --- by mouse and finger --- */
const spotOf = (element: HTMLElement): BeadSpot | undefined => spots.value[Number(element.dataset.spot)]
const armed = ref('')
function tap(event: MouseEvent, index: number): void {
  if (justPushed() || !props.works) return
  const spot = spots.value[index]!
  const key = `${spot.rod} ${spot.bead} ${spot.nth}`
  if (props.touch && armed.value !== key) {
    armed.value = key
    emit(
      'say',
      `${capital(nameOf(placeOf(spot.rod)))}, ${spot.bead} bead ${spot.nth + 1}, ${spot.atBar ? 'at the bar' : 'away'}. Push again to move it.`,
    )
    return
  }
  make(pushOf(spot, pinching.value || event.shiftKey))
}
const { justPushed } = usePushing<BeadMove>(root, '.bead', {
  grip(target) {
    const spot = spotOf(target)
    if (!spot || !props.works) return null
    // A finger that feels its way over the frame moves nothing: only a bead that was pushed once is taken hold of.
    if (props.touch && armed.value !== `${spot.rod} ${spot.bead} ${spot.nth}`) return null
    const what = pushOf(spot, pinching.value)
    const goes = (other: BeadSpot): boolean =>
      other.rod === spot.rod &&
      other.bead === spot.bead &&
      other.atBar === spot.atBar &&
      (spot.atBar ? other.nth >= spot.nth : other.nth <= spot.nth)
    const elements = [...(frame.value?.querySelectorAll<HTMLElement>('.bead') ?? [])].filter((e) => goes(spotOf(e)!))
    const out = spot.bead === 'upper' ? -1 : 1
    return {
      what,
      elements,
      travel: layout.value.travel,
      axis: layoutAcross.value ? 'x' : 'y',
      way: (spot.atBar ? out : -out) as 1 | -1,
    }
  },
  pushed(all) {
    for (const move of pinched(all)) make(move)
  },
})
/** An upper and a lower push on one rod, both to the bar or both away, are one pinch. */
function pinched(moves: readonly BeadMove[]): readonly BeadMove[] {
  const [a, b] = moves
  if (moves.length !== 2 || !a || !b || a.rod !== b.rod || a.to !== b.to || a.bead === b.bead) return moves
  const lower = [a, b].find((m) => m.bead === 'lower')
  return lower && [a, b].some((m) => m.bead === 'upper' && m.count === 1) ? [{ ...lower, bead: 'pinch' }] : moves
}

/* --- by keyboard: each rod is one stop --- */
const at = ref(0)
const stops = ref<HTMLElement[]>([])
const current = computed(() => Math.min(at.value || props.state.decimals, props.state.rods.length - 1))
function key(event: KeyboardEvent, rod: number): void {
  const step = { ArrowLeft: 1, ArrowRight: -1 }[event.key]
  const [on, off] = layoutAcross.value ? ['Enter', 'Backspace'] : ['ArrowUp', 'ArrowDown']
  if (step !== undefined || (layoutAcross.value && ['ArrowUp', 'ArrowDown'].includes(event.key))) {
    event.preventDefault()
    const to = rod + (step ?? (event.key === 'ArrowUp' ? 1 : -1))
    if (to < 0 || to >= props.state.rods.length) return
    at.value = to
    void nextTick(() => stops.value.find((e) => e.dataset.rod === String(to))?.focus())
    return
  }
  if (!props.works) return
  const upper = event.shiftKey && props.state.beads.upper > 0
  const meant: Partial<Record<string, ['upper' | 'lower', 'bar' | 'away', number]>> = upper
    ? { ArrowDown: ['upper', 'bar', 1], ArrowUp: ['upper', 'away', 1] }
    : { [on!]: ['lower', 'bar', 1], [off!]: ['lower', 'away', 1] }
  const digit = /^[1-9]$/.test(event.key) && event.key
  const move = digit ? (['lower', 'bar', Number(digit)] as const) : meant[event.key]
  if (!move) return
  event.preventDefault()
  const [bead, to, count] = move
  if (digit) return slideTo(rod, Number(digit))
  make({ kind: 'beads', rod: placeOf(rod), bead, count, to, hand: null, finger: null })
}
/** A digit key pushes so many lower beads: to the bar, or, where so many are not away, it says so. */
function slideTo(rod: number, count: number): void {
  const free = props.state.beads.lower - props.state.rods[rod]!.lower
  if (count > free)
    return emit(
      'refuse',
      `Only ${NUMBERS[free]} lower ${free === 1 ? 'bead is' : 'beads are'} away on the ${nameOf(placeOf(rod))} rod.`,
    )
  make({ kind: 'beads', rod: placeOf(rod), bead: 'lower', count, to: 'bar', hand: null, finger: null })
}
const HOW = computed(() =>
  layoutAcross.value
    ? 'Enter counts a bead, Backspace takes it away, arrows go to the next rod.'
    : 'Up and down move a lower bead, with Shift the upper one; left and right go to the next rod.',
)

/* --- each rod spoken, where it is worked by touch --- */
watch(shown, (now, was) => {
  armed.value = ''
  if (!props.touch) return
  const changed = rods.value.filter((r) => now[r] !== was[r])
  if (changed.length > 0) emit('say', changed.map((r) => capital(reading(r))).join('. '))
})
let felt = -1
function feel(event: PointerEvent): void {
  if (!props.touch || !frame.value) return
  const box = frame.value.getBoundingClientRect()
  const rod = props.state.rods.length - 1 - Math.floor((event.clientX - box.left) / layout.value.rod)
  if (rod === felt || rod < 0 || rod >= props.state.rods.length) return
  felt = rod
  emit('say', capital(reading(rod)))
}

const clear = (): void => {
  for (const rod of rods.value) {
    const { upper, lower } = props.state.rods[rod]!
    const away = (bead: BeadMove['bead'], count: number): void =>
      make({ kind: 'beads', rod: placeOf(rod), bead, count, to: 'away', hand: null, finger: null })
    if (upper === 1 && lower > 0) away('pinch', lower)
    else {
      if (upper > 0) away('upper', upper)
      if (lower > 0) away('lower', lower)
    }
  }
}
const nextAt = (spot: BeadSpot): boolean =>
  props.next.some((m) => {
    if (m.rod !== placeOf(spot.rod)) return false
    const { upper, lower } = props.state.rods[spot.rod]!
    const held = spot.bead === 'upper' ? upper : lower
    const count =
      spot.bead === 'upper'
        ? m.bead === 'lower'
          ? 0
          : m.bead === 'pinch'
            ? 1
            : m.count
        : m.bead === 'upper'
          ? 0
          : m.count
    return m.to === 'bar' ? spot.nth >= held && spot.nth < held + count : spot.nth < held && spot.nth >= held - count
  })
</script>

<template>
  <div ref="root" class="abacus felt" :class="{ touch, across: layoutAcross }" role="group" :aria-label="label">
    <p class="sr-only" aria-live="polite">{{ described }}</p>
    <div ref="room" class="room">
      <div
        ref="frame"
        class="frame"
        :style="{ width: `${layout.width}px`, height: `${layout.height}px` }"
        @pointermove="feel"
      >
        <div
          v-for="rod in rods"
          :key="`r${rod}`"
          class="rod"
          :class="{ lit: lit(rod), unit: placeOf(rod) === 0 }"
          :style="
            layoutAcross
              ? { top: `${(state.rods.length - 1 - rod) * layout.rod}px`, height: `${layout.rod}px`, width: '100%' }
              : { left: `${(state.rods.length - 1 - rod) * layout.rod}px`, width: `${layout.rod}px`, height: '100%' }
          "
        />
        <div
          class="bar"
          :style="
            layoutAcross
              ? { left: 0, width: `${BAR}px`, height: '100%' }
              : { top: `${layout.bar}px`, height: `${BAR}px`, width: '100%' }
          "
        >
          <i
            v-for="rod in rods.filter((r) => placeOf(r) % 3 === 0)"
            :key="rod"
            class="mark"
            :class="{ unit: placeOf(rod) === 0 }"
            :style="
              layoutAcross
                ? { top: `${(state.rods.length - 0.5 - rod) * layout.rod}px`, left: '50%' }
                : { left: `${(state.rods.length - 0.5 - rod) * layout.rod}px`, top: '50%' }
            "
          />
        </div>
        <div
          v-for="(spot, i) in spots"
          :key="`${spot.rod}${spot.bead}${spot.nth}`"
          class="bead"
          :class="[
            spot.bead,
            { counts: spot.atBar, next: nextAt(spot), armed: armed === `${spot.rod} ${spot.bead} ${spot.nth}` },
          ]"
          :data-spot="i"
          :style="{
            transform: `translate(${spot.x}px, ${spot.y}px)`,
            width: `${layoutAcross ? layout.bead : layout.rod}px`,
            height: `${layoutAcross ? layout.rod : layout.bead}px`,
          }"
          @click="(e) => tap(e, i)"
        >
          <span class="stone" />
        </div>
        <div
          v-for="rod in rods"
          :key="`s${rod}`"
          ref="stops"
          class="stop"
          role="slider"
          :data-rod="rod"
          :tabindex="rod === current ? 0 : -1"
          :aria-label="`${capital(nameOf(placeOf(rod)))} rod`"
          :aria-valuenow="shown[rod]"
          aria-valuemin="0"
          :aria-valuemax="5 * state.beads.upper + state.beads.lower"
          :aria-valuetext="reading(rod)"
          :aria-description="HOW"
          :aria-disabled="!works"
          :style="
            layoutAcross
              ? {
                  top: `${(state.rods.length - 1 - rod) * layout.rod}px`,
                  height: `${layout.rod}px`,
                  width: `calc(100% + 120px)`,
                }
              : {
                  left: `${(state.rods.length - 1 - rod) * layout.rod}px`,
                  width: `${layout.rod}px`,
                  height: `calc(100% + 60px)`,
                }
          "
          @focus="
            () => {
              at = rod
              if (touch) emit('say', capital(reading(rod)))
            }
          "
          @keydown="(e) => key(e, rod)"
        >
          <span class="foot learner"
            ><b v-if="digits">{{ shown[rod] }}</b
            ><small aria-hidden="true">{{ underRod(rod) }}</small></span
          >
        </div>
        <span v-if="state.owed > 0" class="owed learner" role="note">{{ state.owed }} owed</span>
      </div>
    </div>
    <div v-if="works" class="acts" role="group" aria-label="Frame">
      <button
        v-if="state.beads.upper > 0"
        type="button"
        class="stone-button"
        :aria-pressed="pinching"
        @click="pinching = !pinching"
      >
        Pinch
      </button>
      <button type="button" class="stone-button" :disabled="shown.every((d) => d === 0)" @click="clear">
        Clear it
      </button>
      <button v-if="state.owed > 0" type="button" class="stone-button" @click="emit('move', 'give back beyond')">
        Give the one back
      </button>
      <button v-else-if="below" type="button" class="stone-button" @click="emit('move', 'borrow from beyond')">
        Borrow from beyond
      </button>
    </div>
  </div>
</template>

<style scoped>
.abacus {
  height: 100%;
  background: var(--felt);
  color: var(--on-felt);
  display: grid;
  grid-template-rows: minmax(0, 1fr) auto;
  position: relative;
}
.room {
  overflow: auto;
  padding: 18px 20px 72px;
  display: grid;
  place-content: safe center;
}
.across .room {
  padding: 18px 140px 18px 20px;
}
.frame {
  position: relative;
  background: var(--felt-2);
  outline: 8px solid var(--frame);
  border-radius: 2px;
  touch-action: none;
}
.rod {
  position: absolute;
}
.rod::before {
  content: '';
  position: absolute;
  background: var(--felt-line);
  left: calc(50% - 3px);
  width: 6px;
  height: 100%;
}
.across .rod::before {
  left: 0;
  top: calc(50% - 3px);
  width: 100%;
  height: 6px;
}
.rod.lit {
  background: color-mix(in srgb, var(--focus-on-felt) 22%, transparent);
}
.bar {
  position: absolute;
  background: var(--frame);
}
.mark {
  position: absolute;
  width: 8px;
  height: 8px;
  margin: -4px 0 0 -4px;
  border-radius: 50%;
  background: var(--on-felt);
}
.mark.unit {
  width: 14px;
  height: 14px;
  margin: -7px 0 0 -7px;
  border-radius: 2px;
  rotate: 45deg;
  background: var(--focus-on-felt);
}
.bead {
  position: absolute;
  display: grid;
  place-items: center;
  transition: transform 190ms ease-out;
  cursor: grab;
  z-index: 1;
}
/* A stone with a groove through which the rod goes; the five has a second one. */
.stone {
  width: calc(100% - 8px);
  max-width: 92px;
  height: calc(100% - 4px);
  border-radius: 9px;
  border: 2.5px solid color-mix(in srgb, var(--on-felt) 62%, var(--felt-2));
  background: var(--felt-2);
  box-shadow: inset 0 0 0 2px transparent;
  position: relative;
}
.stone::after {
  content: '';
  position: absolute;
  left: 14%;
  right: 14%;
  top: calc(50% - 1.25px);
  height: 2.5px;
  background: currentColor;
  opacity: 0.55;
}
.upper .stone {
  border-radius: 3px;
  max-width: 104px;
}
.upper .stone::after {
  top: 28%;
  height: 44%;
  background: none;
  border-block: 2.5px solid currentColor;
}
.counts .stone {
  background: var(--piece);
  border-color: var(--piece-line);
  color: var(--piece-line);
}
.across .stone {
  max-width: none;
  width: calc(100% - 4px);
  height: calc(100% - 10px);
  max-height: 52px;
}
.across .stone::after {
  left: calc(50% - 1.25px);
  right: auto;
  top: 18%;
  width: 2.5px;
  height: 64%;
}
.next .stone {
  outline: 3px dashed var(--focus-on-felt);
  outline-offset: -1px;
}
.armed .stone {
  outline: 4px solid var(--focus-on-felt);
}
.stop {
  position: absolute;
  top: 0;
  pointer-events: none;
  border-radius: 4px;
}
.stop:focus-visible {
  outline: 3px solid var(--focus-on-felt);
  outline-offset: 1px;
  z-index: 2;
}
.foot {
  position: absolute;
  bottom: 0;
  width: 100%;
  height: 54px;
  display: grid;
  align-content: end;
  justify-items: center;
  line-height: 1.05;
}
.foot b {
  font-size: 1.7rem;
}
.foot small {
  font-size: 0.86rem;
  max-width: 100%;
  white-space: nowrap;
}
.across .foot {
  left: calc(100% - 108px);
  width: 104px;
  bottom: auto;
  height: 100%;
  align-content: center;
  align-items: center;
  grid-auto-flow: column;
  gap: 8px;
}
.owed {
  position: absolute;
  left: 0;
  top: -6px;
  translate: calc(-100% - 18px) 0;
  padding: 0.1rem 0.6rem;
  border: 2.5px dashed var(--focus-on-felt);
  border-radius: 9px;
  font-weight: 700;
  background: var(--felt);
}
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
  justify-content: center;
  padding: 6px 10px 8px;
}
.touch .frame {
  outline-width: 12px;
}
.touch .stone {
  border-width: 4px;
  max-width: 120px;
}
.touch .counts .stone {
  background: #fff;
  border-color: #000;
  color: #000;
  box-shadow: 0 0 0 2px #fff;
}
.touch .bead:not(.counts) .stone {
  background: #000;
  border-color: #fff;
  color: #fff;
}
.touch .frame {
  background: #10161a;
}
.touch .foot b {
  font-size: 2.3rem;
}
</style>
