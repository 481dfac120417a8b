<script setup lang="ts">
import { FINGERS } from '../../../core/door'
import type { Hands } from '../../../shared/schemas'

/** Which fingers are counted on, and where counting begins: of a room, or of one learner. */
type Counting = Pick<Hands, 'away' | 'firstFinger' | 'firstHand'>
const hands = defineModel<Counting>({ required: true })
const set = (change: Partial<Counting>): void => {
  hands.value = { ...hands.value, ...change }
}
const flip = (f: Hands['away'][number]): void =>
  set({ away: hands.value.away.includes(f) ? hands.value.away.filter((x) => x !== f) : [...hands.value.away, f] })
const value = <T,>(event: Event): T => (event.target as HTMLSelectElement).value as T
</script>

<template>
  <div class="counting">
    <p>Which fingers are counted on?</p>
    <div class="fingers" role="group" aria-label="Fingers counted on">
      <button
        v-for="f in FINGERS"
        :key="f"
        type="button"
        class="stone-button"
        :aria-pressed="!hands.away.includes(f)"
        :aria-label="f.replace('-', ' ')"
        @click="flip(f)"
      >
        {{ f.split('-')[1] }}
      </button>
    </div>
    <label
      >Which finger is one
      <select :value="hands.firstFinger" @change="set({ firstFinger: value($event) })">
        <option value="little">the little finger</option>
        <option value="thumb">the thumb</option>
        <option value="index">the index finger</option>
      </select></label
    >
    <label
      >Which hand starts
      <select :value="hands.firstHand" @change="set({ firstHand: value($event) })">
        <option value="left">the left</option>
        <option value="right">the right</option>
      </select></label
    >
  </div>
</template>

<style scoped>
.counting {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 0.4rem;
}
label {
  display: flex;
  flex-wrap: wrap;
  gap: 0.6rem;
  align-items: center;
  justify-content: space-between;
}
.fingers {
  display: grid;
  grid-template-columns: repeat(5, 1fr);
  gap: 4px;
}
.fingers .stone-button {
  min-width: 0;
  padding: 0;
}
</style>
