<script setup lang="ts">
import { usePlacedHand } from './usePlacedHand'
import { usePlacedKeys } from './usePlacedKeys'
import type { Spot } from '../../../../core/representation/placed/gesture'
import type { PlacedMaterial, PlacedState } from '../../../../core/representation/placed/state'
import { placeName } from '../../../../core/door'
import { inside, usePlacedBoxes } from './usePlacedBoxes'
import { blockSize, layOut } from './matLayout'

const props = defineProps<{
  material: PlacedMaterial
  state: PlacedState
  /** How many places the chart shows from the ones up, at least as many as the problem needs, and how many below. */
  places: number
  decimals: number
  /** Whether a next number is set out beside the mat, and whether anything is taken away. */
  adding: boolean
  taking: boolean
  /** Columns touched by the stone picked out, and whether it is the newest. */
  litPlaces: readonly number[]
  newest: boolean
  /** The exchange of the stone picked out, from one place to another. */
  exchange: { readonly from: number; readonly to: number } | null
  /** The stone picked out, and how many there are. */
  lit: number
  stones: number
  ones: string
}>()
const emit = defineEmits<{
  pick: [stone: number | null]
  move: [text: string]
  refuse: [reason: string]
  say: [text: string]
}>()

const { t } = useI18n()
const { pieces: named, spanish } = useNames()
const root = ref<HTMLElement | null>(null)
const { width, height } = useElementSize(root)
const columns = computed(() => Array.from({ length: props.places + props.decimals }, (_, i) => props.places - 1 - i))
/** Counts stand from the material's lowest place up. */
const index = (place: number): number => place + props.material.decimals
const form = (place: number): number => (props.material.sized ? place : 0)
const { boxOf, zones, units, spotAt } = usePlacedBoxes({
  width,
  height,
  columns,
  adding: toRef(props, 'adding'),
  taking: toRef(props, 'taking'),
  state: toRef(props, 'state'),
  index,
  form,
})

const nameOf = (place: number, count: number): string =>
  spanish.value ? named(place, count) : place === 0 && count !== 1 ? props.ones : placeName(place, count)
const WHERE = { store: 'mat.store', mat: 'mat.onMat', beside: 'mat.setBeside', taken: 'mat.takenAway' } as const
const { tracked, hand, lifted, hold, letGo, tapPiece, tapSpot, pickCount } = usePlacedHand({
  material: props.material,
  state: toRef(props, 'state'),
  stones: toRef(props, 'stones'),
  nameOf,
  where: (zone) => t(WHERE[zone]),
  move: (text) => emit('move', text),
  refuse: (why) => emit('refuse', why),
  say: (text) => emit('say', text),
})

/** Every block out with the place it is drawn at, and where it starts from when it is new. */
const drawn = computed((before?: readonly { id: number; x: number; y: number }[]) => {
  if (width.value === 0) return []
  const was = new Map((before ?? []).map((p) => [p.id, p]))
  return zones.value.flatMap((zone) =>
    columns.value.flatMap((place) => {
      const here = tracked.value.pieces.filter((p) => p.zone === zone && p.place === index(place))
      const unit = units.value[zone]!
      const spots = layOut(form(place), here.length, inside(boxOf({ zone, place }), zone), unit)
      return here.map((piece, i) => {
        const { x, y } = spots[i]!
        const source = piece.from === null ? undefined : was.get(piece.from)
        const start = source ?? (tracked.value.moved.has(piece.id) && !was.has(piece.id) ? shelfSpot(place) : undefined)
        return { ...piece, form: form(place), x, y, unit, start, moved: tracked.value.moved.has(piece.id) }
      })
    }),
  )
})
/** How wide a piece can be touched at the least, in pixels; and beyond how many pieces there is no room for that. */
const [REACH, MOST_REACHES] = [44, 150]
/** An invisible reach under every piece that is too small for a finger; pieces themselves lie above all reaches. */
const reaches = computed(() =>
  drawn.value.length > MOST_REACHES
    ? []
    : drawn.value.flatMap(({ id, form: place, x, y, unit }) => {
        const size = blockSize(place, unit)
        const [w, h] = [Math.max(REACH, size.x), Math.max(REACH, size.y)]
        return w === size.x && h === size.y ? [] : [{ id, x: x - (w - size.x) / 2, y: y - (h - size.y) / 2, w, h }]
      }),
)
function shelfSpot(place: number): { x: number; y: number } {
  const box = boxOf({ zone: 'store', place })
  return { x: box.x + box.w / 2, y: box.y + 10 }
}

const labelOf = (spot: Spot): string =>
  spot.zone === 'store'
    ? t('mat.storeOf', { pieces: nameOf(spot.place, 2) })
    : `${props.state[spot.zone][index(spot.place)]} ${nameOf(spot.place, props.state[spot.zone][index(spot.place)]!)} ${t(WHERE[spot.zone])}`

/** An exchange is shown as an arrow from the column that gave to the one that got. */
const arrow = computed(() => {
  if (!props.exchange || width.value === 0) return null
  const middle = (place: number): number => {
    const box = boxOf({ zone: 'mat', place })
    return box.x + box.w / 2
  }
  const [from, to] = [middle(props.exchange.from), middle(props.exchange.to)]
  const y = boxOf({ zone: 'mat', place: props.exchange.from }).y + 26
  const way = Math.sign(to - from)
  return {
    path: `M${from} ${y}Q${(from + to) / 2} ${y + 14} ${to - way * 8} ${y + 1}`,
    tip: `M${to - way * 17} ${y - 9}L${to} ${y}L${to - way * 15} ${y + 10}`,
    // The number stands in the left one of the two columns, where no name is.
    x: (from + to) / 2 - 10,
    y: y - 4,
    text: t(props.exchange.from > props.exchange.to ? 'mat.oneForTen' : 'mat.tenForOne'),
  }
})

/* --- keyboard: arrows walk between the spots --- */
const grid = computed<readonly (readonly Spot[])[]>(() => [
  columns.value.map((place) => ({ zone: 'store' as const, place })),
  ...zones.value.map((zone) => columns.value.map((place) => ({ zone, place }))),
])
const { focus, isStop, key } = usePlacedKeys({
  root,
  grid,
  held: () => hand.value?.spot ?? null,
  tapSpot,
  pickCount,
  putBack: () => {
    hand.value = null
    emit('say', t('mat.putBack'))
  },
  move: (text) => emit('move', text),
})

/* --- dragging: what is dragged is the hand, or the piece under the finger --- */
const { dragging, justDragged } = useDragging(root, {
  grip: '.grip',
  carried: '.piece.lifted, .ghost',
  // A piece of the store is drawn anew under the finger; others go from where they lie.
  start: ({ id, place }) => !hold(Number(id), Number(place)),
  end(x, y) {
    const spot = spotAt(x, y)
    if (spot) letGo(spot)
    else hand.value = null
  },
})
const afterDrag = (act: () => void): void => {
  if (!justDragged()) act()
}
</script>

<template>
  <div
    ref="root"
    class="mat felt"
    role="group"
    :aria-label="t('mat.label')"
    :class="{ dragging, holding: hand, many: columns.length > 5, unmeasured: width === 0 }"
  >
    <template v-for="(row, r) in grid" :key="r">
      <div
        v-for="(spot, c) in row"
        :key="`${spot.zone}-${spot.place}`"
        class="spot"
        :class="[spot.zone, { lit: spot.zone === 'mat' && litPlaces.includes(spot.place), target: hand }]"
        :data-spot="`${r}-${c}`"
        role="button"
        :tabindex="isStop(r, c) ? 0 : -1"
        :aria-label="labelOf(spot)"
        :style="{
          left: `${boxOf(spot).x}px`,
          top: `${boxOf(spot).y}px`,
          width: `${boxOf(spot).w}px`,
          height: `${boxOf(spot).h}px`,
        }"
        @focus="focus = { row: r, column: c }"
        @keydown="(e) => key(e, spot, r, c)"
        @click="afterDrag(() => tapSpot(spot))"
      >
        <template v-if="spot.zone === 'store'">
          <span class="grip shelf" :class="{ lying: form(spot.place) === 1 }" :data-place="spot.place"
            ><ChipShape v-if="!material.sized" :unit="30" /><BlockShape
              v-else
              :place="spot.place"
              :unit="spot.place === 0 ? 22 : spot.place === 1 ? 11 : 3.8"
          /></span>
          <span v-if="c === 0" class="store-word">{{ t('mat.store') }}</span>
        </template>
        <span v-else-if="spot.zone === 'mat'" class="head">{{ nameOf(spot.place, 2) }}</span>
        <span v-else-if="c === 0" class="head small">{{ t(WHERE[spot.zone]) }}</span>
      </div>
    </template>
    <div
      v-for="p in reaches"
      :key="`r${p.id}`"
      class="reach grip"
      :data-id="p.id"
      :style="{ transform: `translate(${p.x}px, ${p.y}px)`, width: `${p.w}px`, height: `${p.h}px` }"
      aria-hidden="true"
      @click="afterDrag(() => tapPiece(p.id))"
    />
    <div
      v-for="p in drawn"
      :key="p.id"
      class="piece grip"
      :class="{
        moved: p.stone === lit,
        arriving: p.start,
        lifted: lifted.has(p.id),
        away: p.zone === 'taken',
        apart: p.zone === 'beside',
      }"
      :data-id="p.id"
      :style="{
        transform: `translate(${p.x}px, ${p.y}px)`,
        ...(p.start ? { '--fx': `${p.start.x}px`, '--fy': `${p.start.y}px` } : {}),
      }"
      aria-hidden="true"
      @mouseenter="emit('pick', p.stone)"
      @mouseleave="emit('pick', null)"
      @click="afterDrag(() => tapPiece(p.id))"
    >
      <ChipShape v-if="!material.sized" :unit="p.unit" />
      <BlockShape v-else :place="p.form" :unit="p.unit" />
    </div>
    <svg v-if="arrow" class="arrow" aria-hidden="true" :viewBox="`0 0 ${width} ${height}`">
      <path :d="arrow.path" />
      <path class="tip" :d="arrow.tip" />
      <text :x="arrow.x" :y="arrow.y" text-anchor="end">{{ arrow.text }}</text>
    </svg>
    <div
      v-if="dragging && hand?.spot.zone === 'store'"
      class="ghost"
      :style="{ marginLeft: `${-blockSize(form(hand.spot.place), units.mat!).x / 2}px`, marginTop: '-20px' }"
      aria-hidden="true"
    >
      <ChipShape v-if="!material.sized" :unit="units.mat!" />
      <BlockShape v-else :place="hand.spot.place" :unit="units.mat!" />
    </div>
    <p v-if="hand && !dragging" class="in-hand">
      <strong>{{ hand.count }}</strong> {{ t('mat.inHand', { pieces: nameOf(hand.spot.place, hand.count) }) }}
    </p>
  </div>
</template>

<style scoped src="./placed.css"></style>
