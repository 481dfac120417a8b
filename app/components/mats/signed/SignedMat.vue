<script setup lang="ts">
import { formOf, type Mode } from '../../../../core/door'
import { onMat, ROOM, signName, type SignedState } from '../../../../core/representation/signed/state'

/**
 * Plus counters above a line, minus counters below it, zero pairs on it. A counter is dragged from the store, onto one of the other
 * sign to make a pair, to the tray to be taken away, or back; everything can be done by the buttons beneath as well.
 */
const props = defineProps<{ state: SignedState; movable: boolean; mode: Mode; newest: boolean; taking: boolean }>()
const emit = defineEmits<{ move: [text: string]; refuse: [why: string]; say: [text: string] }>()

const SIGNS = ['plus', 'minus'] as const
type Sign = (typeof SIGNS)[number]
type Kind = Sign | 'pair'
const nameOf = (kind: Kind, n: number): string => (kind === 'pair' ? formOf(n, ['pair', 'pairs']) : signName(kind, n))

const root = ref<HTMLElement | null>(null)
/** How many are moved at once by a button. */
const many = ref(1)
const count = computed(() => Math.min(20, Math.max(1, Math.round(many.value) || 1)))
const most = computed(() => Math.min(props.state.plus, props.state.minus))
/** So many pairs the button lines up: all of them, unless fewer are wanted. */
const lining = computed(() => (count.value === 1 ? most.value : Math.min(count.value, most.value)))
const size = computed(() => (onMat(props.state) > 24 ? 'small' : onMat(props.state) > 12 ? 'middle' : 'large'))

const move = (verb: string, n: number, what: Kind): void => emit('move', `${verb} ${n} ${nameOf(what, n)}`)
/** A tap lines a counter up where there is one of the other sign, or takes it away where something is to be taken. */
function tap(sign: Sign): void {
  if (!props.movable || justDragged()) return
  if (props.taking) move('take', 1, sign)
  else if (most.value > 0) move('pair', 1, 'pair')
  else emit('say', 'Drag it to the tray to take it away, or to the store to put it back.')
}

const described = computed(() => {
  const { plus, minus, pairs, taken } = props.state
  const some = (n: number, sign: Kind, where: string): string[] => (n > 0 ? [`${n} ${nameOf(sign, n)} ${where}`] : [])
  const all = [
    ...some(plus, 'plus', 'above the line'),
    ...some(minus, 'minus', 'below the line'),
    ...some(pairs, 'pair', 'on the line'),
    ...some(taken.plus, 'plus', 'taken away'),
    ...some(taken.minus, 'minus', 'taken away'),
  ]
  return all.length > 0 ? all.join(', ') : 'nothing lies on the mat'
})

/* --- dragging --- */
type Held = { readonly from: 'store' | 'mat' | 'tray'; readonly sign: Kind }
const held = ref<Held | null>(null)
const { dragging, justDragged } = useDragging(root, {
  grip: '.grip',
  carried: '.ghost',
  start({ from, sign }) {
    held.value = { from: from as Held['from'], sign: sign as Held['sign'] }
    return true
  },
  end(x, y) {
    const under = underPoint(root.value!, x, y)
    const to = under.find((d) => d.zone !== undefined)?.zone
    const on = under.find((d) => d.from === 'mat')?.sign
    const { from, sign } = held.value!
    held.value = null
    if (to) drop(from, sign, to, on)
  },
})
function drop(from: Held['from'], sign: Held['sign'], to: string, on: string | undefined): void {
  const lies = to === 'plus' || to === 'minus' || to === 'line'
  if (from === 'store') {
    if (lies) move(sign === 'pair' ? 'bring' : 'lay', 1, sign)
  } else if (from === 'tray') {
    if (lies && sign !== 'pair') move('give', 1, sign)
  } else if (sign === 'pair') {
    if (to === 'store' || to === 'tray') move('clear', 1, 'pair')
    else if (to !== 'line') move('part', 1, 'pair')
  } else if (to === 'tray') move('take', 1, sign)
  else if (to === 'store') move('return', 1, sign)
  else if (to === 'line' || (on && on !== sign)) move('pair', 1, 'pair')
}
</script>

<template>
  <div ref="root" class="signed felt" :class="[size, { dragging }]" role="group" aria-label="The mat">
    <p class="sr-only" aria-live="polite">{{ described }}</p>
    <div class="store" data-zone="store">
      <span class="word">store</span>
      <button
        v-for="sign in ['plus', 'minus', 'pair'] as const"
        :key="sign"
        type="button"
        class="source grip"
        data-from="store"
        :data-sign="sign"
        :disabled="!movable"
        :aria-label="sign === 'pair' ? 'Bring in one pair' : `Lay one ${sign}`"
        @click="movable && !justDragged() && move(sign === 'pair' ? 'bring' : 'lay', 1, sign)"
      >
        <span class="shape"><SignPiece :sign="sign" /></span>{{ sign }}
      </button>
    </div>
    <div class="mat-area">
      <div class="zone above" data-zone="plus">
        <span v-if="state.plus === 0" class="hint">plus</span>
        <span v-for="n in state.plus" :key="n" class="piece grip" data-from="mat" data-sign="plus" @click="tap('plus')"
          ><SignPiece sign="plus"
        /></span>
      </div>
      <div class="zone line" :class="{ now: newest && state.pairs > 0 }" data-zone="line">
        <span v-for="n in state.pairs" :key="n" class="piece pair grip" data-from="mat" data-sign="pair"
          ><SignPiece sign="pair"
        /></span>
      </div>
      <div class="zone below" data-zone="minus">
        <span v-if="state.minus === 0" class="hint">minus</span>
        <span
          v-for="n in state.minus"
          :key="n"
          class="piece grip"
          data-from="mat"
          data-sign="minus"
          @click="tap('minus')"
          ><SignPiece sign="minus"
        /></span>
      </div>
    </div>
    <div class="tray" data-zone="tray">
      <span class="word">taken away</span>
      <div class="on-tray">
        <template v-for="sign in SIGNS" :key="sign">
          <span
            v-for="n in state.taken[sign]"
            :key="`${sign}${n}`"
            class="piece grip"
            data-from="tray"
            :data-sign="sign"
            ><SignPiece :sign="sign"
          /></span>
        </template>
      </div>
    </div>
    <div v-if="movable" class="acts" role="group" aria-label="Counters">
      <label class="many"
        >So many
        <input v-model.number="many" type="number" min="1" max="20" class="learner number-box" />
      </label>
      <button
        v-for="sign in SIGNS"
        :key="`lay${sign}`"
        type="button"
        class="stone-button"
        :disabled="onMat(state) + count > ROOM"
        @click="move('lay', count, sign)"
      >
        Lay {{ count }} {{ nameOf(sign, count) }}
      </button>
      <button v-if="most > 0" type="button" class="stone-button main" @click="move('pair', lining, 'pair')">
        Line up {{ lining === most ? 'all pairs' : `${lining} ${nameOf('pair', lining)}` }}
      </button>
      <button v-if="state.pairs > 0" type="button" class="stone-button" @click="move('clear', state.pairs, 'pair')">
        Clear the {{ nameOf('pair', state.pairs) }}
      </button>
      <button
        type="button"
        class="stone-button"
        :disabled="onMat(state) + 2 * count > ROOM"
        @click="move('bring', count, 'pair')"
      >
        Bring in {{ count }} {{ nameOf('pair', count) }}
      </button>
      <button
        v-for="sign in SIGNS"
        :key="`take${sign}`"
        type="button"
        class="stone-button"
        :disabled="onMat(state) === 0"
        @click="move('take', count, sign)"
      >
        Take {{ count }} {{ nameOf(sign, count) }}
      </button>
    </div>
    <div v-if="dragging && held" class="ghost piece" aria-hidden="true"><SignPiece :sign="held.sign" /></div>
  </div>
</template>

<style scoped src="./signed.css"></style>
