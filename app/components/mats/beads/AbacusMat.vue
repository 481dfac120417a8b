<script setup lang="ts">
import { useBeadPushes } from './useBeadPushes'
import { useRodKeys } from './useRodKeys'
import { type BeadMove, capital, placeName } from '../../../../core/index'
import { digitsOn, type AbacusState } from '../../../../core/representation/abacus/frame'
import { print } from '../../../../core/representation/abacus/text'
import { BAR, beadSpots, layFrame, type BeadSpot } from './beadLayout'

/**
 * A frame of beads. A bead is pushed by a tap or drawn along by mouse and finger, and takes along what lies between; two fingers
 * on one rod pinch. By keyboard each rod is one stop.
 */
const props = withDefaults(
  defineProps<{
    state: AbacusState
    movable: boolean
    litPlaces?: readonly number[]
    newest?: boolean
    ones: string
    /** Whether each rod's digit stands under it. */
    digits?: boolean
    /** Beads stay where they are until they are pushed a second time, and each rod is spoken: for working by touch. */
    touch?: boolean
    /** Whether totals fall below nought, so that a one may be borrowed. */
    below?: boolean
    /** Only looked at, in little room. */
    small?: boolean
    /** Beads that are to move next, to be pointed at. */
    next?: readonly BeadMove[]
    label?: string
  }>(),
  {
    litPlaces: () => [],
    newest: false,
    digits: true,
    touch: false,
    below: false,
    small: false,
    next: () => [],
    label: 'The mat',
  },
)
const emit = defineEmits<{ move: [text: string]; refuse: [why: string]; say: [text: string] }>()

const root = ref<HTMLElement | null>(null)
const room = ref<HTMLElement | null>(null)
const frame = ref<HTMLElement | null>(null)
const { width, height } = useElementSize(room)
const layout = computed(() => layFrame(props.state, { w: width.value, h: height.value }, props.movable || !props.small))
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
  // About seven pixels a letter, and a gap.
  const tight = !layoutAcross.value && nameOf(place).length * 7.6 > layout.value.rod
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
const make = (move: BeadMove): void => emit('move', print(move))
const beads = (rod: number, bead: BeadMove['bead'], count: number, to: BeadMove['to']): void =>
  make({ kind: 'beads', rod: placeOf(rod), bead, count, to, hand: null, finger: null })

const { pinching, tap, isArmed } = useBeadPushes({
  room: root,
  state: () => props.state,
  spots: () => spots.value,
  layout: () => layout.value,
  movable: () => props.movable,
  staysPut: () => props.touch,
  make,
  feel: ({ rod, bead, nth, atBar }) =>
    emit(
      'say',
      `${capital(nameOf(placeOf(rod)))}, ${bead} bead ${nth + 1}, ${atBar ? 'at the bar' : 'away'}. Push again to move it.`,
    ),
})
const stops = ref<HTMLElement[]>([])
const { stop, stand, onKey } = useRodKeys({
  state: () => props.state,
  movable: () => props.movable,
  across: () => layoutAcross.value,
  focus: (rod) => stops.value.find((e) => e.dataset.rod === String(rod))?.focus(),
  make: beads,
  tooFew: (rod, free) =>
    emit(
      'refuse',
      `Only ${NUMBERS[free]} lower ${free === 1 ? 'bead is' : 'beads are'} away on the ${nameOf(placeOf(rod))} rod.`,
    ),
})
/** What is owed stands over the rod that it would be taken from, or beside the frame where there is no such rod. */
const owedAt = computed(() => {
  const { beyond, rods: all } = props.state
  if (beyond >= all.length) return {}
  const along = `${(all.length - 0.5 - beyond) * layout.value.rod}px`
  return layoutAcross.value
    ? { top: along, left: '50%', translate: '-50% -50%', zIndex: 3 }
    : { left: along, translate: '-50% 0', zIndex: 3 }
})
const HOW = computed(() =>
  layoutAcross.value
    ? 'Enter counts a bead, Backspace takes it away, arrows go to the next rod.'
    : 'Up and down move a lower bead, with Shift the upper one; left and right go to the next rod.',
)

/* --- each rod spoken, where it is worked by touch --- */
watch(shown, (now, was) => {
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
    if (upper === 1 && lower > 0) beads(rod, 'pinch', lower, 'away')
    else {
      if (upper > 0) beads(rod, 'upper', upper, 'away')
      if (lower > 0) beads(rod, 'lower', lower, 'away')
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
  <div ref="root" class="abacus felt" :class="{ touch, small, across: layoutAcross }" role="group" :aria-label="label">
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
          :class="[spot.bead, { counts: spot.atBar, next: nextAt(spot), armed: isArmed(spot) }]"
          :data-spot="i"
          :style="{
            transform: `translate(${spot.x}px, ${spot.y}px)`,
            width: `${layoutAcross ? layout.bead : layout.rod}px`,
            height: `${layoutAcross ? layout.rod : layout.bead}px`,
          }"
          @click="(e) => tap(e, spot)"
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
          :tabindex="rod === stop ? 0 : -1"
          :aria-label="`${capital(nameOf(placeOf(rod)))} rod`"
          :aria-valuenow="shown[rod]"
          aria-valuemin="0"
          :aria-valuemax="5 * state.beads.upper + state.beads.lower"
          :aria-valuetext="reading(rod)"
          :aria-description="HOW"
          :aria-disabled="!movable"
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
              stand(rod)
              if (touch) emit('say', capital(reading(rod)))
            }
          "
          @keydown="(e) => onKey(e, rod)"
        >
          <span class="foot learner"
            ><b v-if="digits">{{ shown[rod] }}</b
            ><small aria-hidden="true">{{ underRod(rod) }}</small></span
          >
        </div>
        <span v-if="state.owed > 0" class="owed learner" role="note" :style="owedAt">{{ state.owed }} owed</span>
      </div>
    </div>
    <div v-if="movable" class="acts" role="group" aria-label="Frame">
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
  max-width: 84%;
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
  max-width: 93%;
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
  max-height: 76%;
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
/* In little room rods that lie across keep their digits, and leave their names to be told. */
.small.across .room {
  padding-right: 58px;
}
.small.across .foot {
  left: calc(100% - 112px);
  width: 44px;
}
.small.across .foot small {
  display: none;
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
  max-width: 96%;
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
