<script setup lang="ts">
import { countsAt, type Place, placeName, printCounts } from '../../../../core/door'
import { UNITS, waiting, WIDTH, type PlatesState } from '../../../../core/representation/plates/state'

/** Sharing out: a store, what is in hand in columns, and the plates. A piece tapped in hand goes to the plate whose turn it is. */
const props = defineProps<{
  state: PlatesState
  movable: boolean
  /** How many places the problem has from the ones up. */
  places: number
  litPlaces: readonly Place[]
  newest: boolean
  ones: string
}>()
const emit = defineEmits<{ move: [text: string]; say: [text: string] }>()

const root = ref<HTMLElement | null>(null)
/** The kinds that the problem needs, the greatest first. */
const kinds = computed(() => Math.min(WIDTH, props.places))
const columns = computed(() => Array.from({ length: kinds.value }, (_, i) => kinds.value - 1 - i))
const nameOf = (place: Place, count: number): string =>
  place === 0 && count !== 1 ? props.ones : placeName(place, count)
/** How large one of a kind is drawn, in pixels a unit: as many as lie there must have room. */
const unitFor = (place: Place, count: number): number =>
  place === 2 ? (count > 4 ? 3.4 : 5) : place === 1 ? (count > 16 ? 4.5 : 6.5) : count > 60 ? 11 : 17
const onPlate = (place: Place): number =>
  place === 2 ? 2.6 : place === 1 ? 3.6 : props.state.fill === null ? 8 : props.state.plates.length > 9 ? 9 : 15

/** The kind that a plate gets when it is tapped: the one dealt last, or the greatest in hand. */
const kind = ref<Place | null>(null)
const dealt = computed<Place>(() => {
  const held = columns.value.find((place) => props.state.hand[place]! > 0) ?? 0
  return kind.value !== null && props.state.hand[kind.value]! > 0 ? kind.value : held
})
/** The plate whose turn it is: the first of those that have less than another, else the first. */
const turn = computed(() => waiting(props.state)[0] ?? (props.state.fill === null ? 1 : props.state.plates.length + 1))
/** Where plates come one by one, an empty one stands ready. */
const plates = computed<readonly (readonly number[])[]>(() =>
  props.state.fill !== null && props.movable && waiting(props.state).length === 0
    ? [...props.state.plates, new Array<number>(WIDTH).fill(0)]
    : props.state.plates,
)
const word = (place: Place, count = 1): string => printCounts(countsAt(place, count, WIDTH), UNITS)

function put(place: Place, plate = turn.value): void {
  kind.value = place
  emit('move', `put ${word(place)} on ${plate}`)
}
function deal(place: Place): void {
  kind.value = place
  emit('move', `deal ${word(place)}`)
}
function pick(plate: number): void {
  const place = columns.value.find(
    (p) => (props.state.plates[plate - 1]?.[p] ?? 0) > 0 && (p === dealt.value || kind.value === null),
  )
  const any = place ?? columns.value.find((p) => (props.state.plates[plate - 1]?.[p] ?? 0) > 0)
  if (any === undefined) return emit('say', `Nothing lies on plate ${plate}.`)
  emit('move', `pick ${word(any)} from ${plate}`)
}
const described = (plate: readonly number[]): string =>
  columns.value.flatMap((p) => (plate[p] ? [`${plate[p]} ${nameOf(p, plate[p])}`] : [])).join(', ') || 'nothing'

/** Enter and space put one there, Backspace and Delete take one back; arrows walk along the plates. */
function key(event: KeyboardEvent, plate: number): void {
  const to = { ArrowRight: plate + 1, ArrowDown: plate + 1, ArrowLeft: plate - 1, ArrowUp: plate - 1 }[event.key]
  if (to !== undefined) root.value?.querySelector<HTMLElement>(`[data-plate="${to}"]`)?.focus()
  else if (event.key === 'Backspace' || event.key === 'Delete') pick(plate)
  else return
  event.preventDefault()
  event.stopPropagation()
}

/* --- dragging: from the store into the hand, from the hand to a plate, from a plate back --- */
const carried = ref<{
  readonly from: 'store' | 'hand' | 'plate'
  readonly place: Place
  readonly plate: number
} | null>(null)
const { dragging, justDragged } = useDragging(root, {
  grip: '.grip',
  carried: '.ghost',
  start({ from, place, plate }) {
    carried.value = { from: from as 'store' | 'hand' | 'plate', place: Number(place), plate: Number(plate ?? 0) }
    return true
  },
  end(x, y) {
    const held = carried.value
    carried.value = null
    const under = underPoint(root.value!, x, y)
    const plate = under.find((d) => d.plate !== undefined)
    const column = under.find((d) => d.column !== undefined)
    const store = under.some((d) => d.store !== undefined)
    if (!held) return
    if (held.from === 'store') {
      if (column && !store) emit('move', `lay ${word(held.place)}`)
      return
    }
    if (held.from === 'hand') {
      if (plate) put(held.place, Number(plate.plate))
      else if (store) emit('move', `return ${word(held.place)}`)
      else if (column && Number(column.column) === held.place - 1) emit('move', `break ${nameOf(held.place, 1)}`)
      else if (column && Number(column.column) === held.place + 1) emit('move', `tie ${nameOf(held.place + 1, 1)}`)
      return
    }
    if (plate && Number(plate.plate) === held.plate) return
    emit('move', `pick ${word(held.place)} from ${held.plate}`)
    if (plate) emit('move', `put ${word(held.place)} on ${plate.plate}`)
  },
})
const tap = (act: () => void): void => {
  if (props.movable && !justDragged()) act()
}
</script>

<template>
  <div ref="root" class="plates felt" role="group" aria-label="The mat">
    <div class="hand" role="group" aria-label="In hand">
      <section
        v-for="place in columns"
        :key="place"
        class="column"
        :class="{ lit: litPlaces.includes(place) }"
        :data-column="place"
      >
        <header>
          <span class="head">{{ nameOf(place, 2) }}</span>
          <button
            type="button"
            class="store grip"
            data-store
            data-from="store"
            :data-place="place"
            :disabled="!movable"
            :aria-label="`Store of ${nameOf(place, 2)}: take one in hand`"
            @click="tap(() => emit('move', `lay ${word(place)}`))"
          >
            <span class="word">store</span
            ><span class="shape" :class="`lies-${place}`"
              ><BlockShape :place="place" :unit="place === 2 ? 2.6 : place === 1 ? 3.6 : 14"
            /></span>
          </button>
        </header>
        <div class="pieces" :class="`of-${place}`">
          <span
            v-for="n in state.hand[place]"
            :key="n"
            class="piece grip"
            data-from="hand"
            :data-place="place"
            aria-hidden="true"
            @click="tap(() => put(place))"
            ><BlockShape :place="place" :unit="unitFor(place, state.hand[place]!)"
          /></span>
        </div>
        <p v-if="state.hand[place]! > 0" class="count">
          {{ state.hand[place] }} {{ nameOf(place, state.hand[place]!) }} in hand
        </p>
        <div v-if="movable && state.hand[place]! > 0" class="acts">
          <button
            type="button"
            class="stone-button"
            :aria-label="`One on plate ${turn}: ${nameOf(place, 1)}`"
            @click="put(place)"
          >
            One on plate {{ turn }}
          </button>
          <button
            v-if="state.fill !== null"
            type="button"
            class="stone-button"
            :disabled="place > 0 || state.hand[0]! < state.fill"
            @click="emit('move', 'fill plate')"
          >
            Fill a plate with {{ state.fill }}
          </button>
          <button
            v-else
            type="button"
            class="stone-button"
            :disabled="state.hand[place]! < state.plates.length"
            :aria-label="`One on each: ${nameOf(place, 2)}`"
            @click="deal(place)"
          >
            One on each
          </button>
          <button
            v-if="place > 0"
            type="button"
            class="stone-button"
            :aria-label="`Break one ${nameOf(place, 1)}`"
            @click="emit('move', `break ${nameOf(place, 1)}`)"
          >
            Break one
          </button>
        </div>
      </section>
    </div>
    <ol class="row" :class="{ many: plates.length > 6 }" aria-label="Plates">
      <li v-for="(plate, i) in plates" :key="i">
        <button
          type="button"
          class="plate"
          :class="{ turn: movable && i + 1 === turn, now: newest && litPlaces.some((p) => plate[p]! > 0) }"
          :data-plate="i + 1"
          :disabled="!movable"
          :aria-label="`Plate ${i + 1}: ${described(plate)}`"
          @click="tap(() => put(dealt, i + 1))"
          @keydown="(e) => key(e, i + 1)"
        >
          <span class="name">{{ i + 1 }}</span>
          <span class="lying">
            <template v-for="place in columns" :key="place">
              <span
                v-for="n in plate[place]"
                :key="n"
                class="piece grip"
                data-from="plate"
                :data-place="place"
                :data-plate="i + 1"
                aria-hidden="true"
                ><BlockShape :place="place" :unit="onPlate(place)"
              /></span>
            </template>
          </span>
          <span class="tally">{{ plate.some((n) => n > 0) ? described(plate) : '' }}</span>
        </button>
      </li>
    </ol>
    <div v-if="dragging && carried" class="ghost" aria-hidden="true">
      <BlockShape :place="carried.place" :unit="unitFor(carried.place, 1)" />
    </div>
  </div>
</template>

<style scoped>
.plates {
  position: relative;
  display: grid;
  grid-template-rows: minmax(max-content, 1fr) max-content;
  height: 100%;
  overflow: auto;
  background: var(--felt);
  color: var(--on-felt);
  user-select: none;
}
.hand {
  display: grid;
  grid-auto-flow: column;
  grid-auto-columns: minmax(0, 1fr);
  border-bottom: 2px dashed var(--felt-line);
}
.column {
  display: flex;
  flex-direction: column;
  min-width: 0;
  padding: 0.3rem 0.6rem 0.5rem;
  border-right: 1.5px solid var(--felt-line);
}
.column:last-child {
  border-right: 0;
}
header {
  display: flex;
  flex-wrap: wrap;
  gap: 0 0.6rem;
  align-items: center;
  justify-content: space-between;
}
.head {
  font-weight: 700;
  font-size: 1.02rem;
}
.lit .head::after {
  content: ' ◂';
  color: var(--focus-on-felt);
}
.store {
  display: flex;
  align-items: center;
  gap: 0.6rem;
  min-width: 56px;
  height: 46px;
  padding: 0 0.6rem;
  color: var(--on-felt);
  font: inherit;
  border: 1.5px solid var(--felt-line);
  border-radius: 5px;
  background: var(--felt-2);
  cursor: grab;
  touch-action: none;
}
.store:disabled {
  cursor: default;
}
.shape.lies-1 {
  rotate: 90deg;
  margin: -18px 14px;
}
.pieces {
  flex: 1;
  display: flex;
  flex-wrap: wrap;
  gap: 5px;
  align-content: flex-start;
  padding: 0.4rem 0;
  min-height: 3.4rem;
}
.piece {
  display: block;
  cursor: grab;
  touch-action: none;
}
.count {
  margin: 0.1rem 0 0.3rem;
}
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 0.3rem;
}
.row {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(8.6rem, 1fr));
  gap: 0.5rem;
  margin: 0;
  padding: 0.6rem;
  list-style: none;
}
.many {
  grid-template-columns: repeat(auto-fit, minmax(7rem, 1fr));
}
.plate {
  position: relative;
  display: grid;
  grid-template-rows: auto 1fr auto;
  justify-items: center;
  width: 100%;
  min-height: 8.2rem;
  padding: 0.3rem 0.5rem 0.4rem;
  border: 2px solid var(--on-felt);
  border-radius: 1.5rem / 1.8rem;
  background: var(--felt-2);
  color: var(--on-felt);
  font: inherit;
  cursor: pointer;
}
.plate:disabled {
  cursor: default;
}
.plate.turn {
  border-style: dashed;
  border-width: 3px;
}
.plate.now {
  box-shadow: 0 0 0 3px var(--focus-on-felt);
}
.plate:focus-visible {
  outline-offset: 3px;
}
.name {
  font-weight: 700;
}
.lying {
  display: flex;
  flex-wrap: wrap;
  gap: 3px;
  align-content: center;
  justify-content: center;
  max-width: 92%;
}
.tally {
  font-size: 0.9rem;
}
.ghost {
  position: absolute;
  left: -20px;
  top: -20px;
  pointer-events: none;
  z-index: 5;
}
</style>
