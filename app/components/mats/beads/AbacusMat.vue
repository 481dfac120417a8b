<script setup lang="ts">
import { useBeadPushes } from './useBeadPushes'
import { NUMBERS, useRodNames } from './useRodNames'
import { useSpokenRods } from './useSpokenRods'
import { useRodKeys } from './useRodKeys'
import { type BeadMove, capital } from '../../../../core/door'
import type { AbacusState } from '../../../../core/representation/abacus/frame'
import { print } from '../../../../core/representation/abacus/text'
import { BAR, beadSpots, layFrame, takesAlong, type BeadSpot } from '../../../../core/representation/abacus/layout'

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
const { shown, rods, placeOf, nameOf, underRod, reading, described } = useRodNames({
  state: () => props.state,
  layout: () => layout.value,
  ones: () => props.ones,
})
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
/** What a switch may do to a rod, as keys (access/ScanPad.vue). */
const scanKeys = computed(() => {
  const { upper, lower } = props.state.beads
  if (layoutAcross.value) return 'Enter=count a bead;Backspace=take a bead away'
  const five = upper > 0 ? ';Shift+ArrowDown=the upper bead to the bar;Shift+ArrowUp=the upper bead away' : ''
  const many = Array.from(
    { length: Math.max(0, Math.min(lower, 9) - 1) },
    (_, i) => `;${i + 2}=${i + 2} beads to the bar`,
  )
  return `ArrowUp=a bead to the bar;ArrowDown=a bead away${five}${many.join('')}`
})
const HOW = computed(() =>
  layoutAcross.value
    ? 'Enter counts a bead, Backspace takes it away, arrows go to the next rod.'
    : 'Up and down move a lower bead, with Shift the upper one; left and right go to the next rod.',
)

const { feel } = useSpokenRods({
  frame,
  shown,
  layout: () => layout.value,
  spoken: () => props.touch,
  reading,
  say: (text) => emit('say', text),
})

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
const nextAt = (spot: BeadSpot): boolean => props.next.some((m) => takesAlong(m, spot, props.state))
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
          :data-scan-keys="scanKeys"
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

<style scoped src="./abacus.css"></style>
