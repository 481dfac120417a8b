<script setup lang="ts">
import type { Choices, Finger } from '../../../../core/door'
import { risingOrder } from '../../../../core/representation/fingers/order'
import type { FingerLook } from '../counting/TwoHands.vue'

/** The divisor counted in steps on fingers: one finger for each word, until it is over; then the last is taken back. */
const props = defineProps<{
  counted: readonly number[]
  by: number
  /** What is divided now. */
  stands: number
  choices: Choices
  movable: boolean
  /** Whether Sett tells that it is over. */
  tells: boolean
}>()
const emit = defineEmits<{ say: [word: number]; fold: [] }>()

const order = computed(() => risingOrder(props.choices))
const rank = (finger: Finger): number => order.value.indexOf(finger)
const look = (finger: Finger): FingerLook => ({
  up: rank(finger) >= 0 && rank(finger) < props.counted.length,
  missing: rank(finger) < 0,
  now: rank(finger) === props.counted.length - 1,
})
const more = (): void => emit('say', (props.counted.length + 1) * props.by)
const tap = (finger: Finger): void => (rank(finger) < props.counted.length ? emit('fold') : more())
const listed = computed(() => {
  const { multiples } = props.choices.division
  if (multiples === 'hidden') return []
  return multiples === 'shown' ? Array.from({ length: 10 }, (_, i) => (i + 1) * props.by) : props.counted
})
const last = computed(() => props.counted.at(-1) ?? 0)
const told = computed(() => {
  if (!props.tells || last.value === 0) return ''
  if (last.value === props.stands) return `${last.value}: exact. Stop.`
  return last.value > props.stands ? `${last.value} is over ${props.stands}: take the last finger back.` : ''
})
</script>

<template>
  <section class="skip" :aria-label="`Count in ${by}s on fingers`">
    <TwoHands class="hands" :look="look" :movable="movable" :label="`${counted.length} fingers are up`" @tap="tap" />
    <div v-if="movable" class="acts">
      <button type="button" class="stone-button" :disabled="counted.length >= 10" @click="more">One finger more</button>
      <button type="button" class="stone-button" :disabled="counted.length === 0" @click="emit('fold')">
        Take the last back
      </button>
    </div>
    <ol v-if="listed.length > 0" class="words learner" :aria-label="`Multiples of ${by}`">
      <li v-for="(word, i) in listed" :key="i" :class="{ said: i < counted.length, now: i === counted.length - 1 }">
        {{ word }}
      </li>
    </ol>
    <p class="told" role="status">{{ told }}</p>
  </section>
</template>

<style scoped>
.skip {
  display: grid;
  align-content: start;
  gap: 0.5rem;
  padding: 0.6rem;
  background: var(--felt);
  color: var(--on-felt);
  border-radius: 6px;
  min-width: 0;
}
.hands {
  width: 100%;
  max-height: 13rem;
}
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 0.4rem;
}
.words {
  display: flex;
  flex-wrap: wrap;
  gap: 0.15rem 0.8rem;
  margin: 0;
  padding: 0;
  list-style: none;
  font-size: 1.25rem;
}
.said {
  font-weight: 700;
}
.now {
  border-bottom: 4px solid var(--focus-on-felt);
}
.told {
  min-height: 1.4em;
}
@container (max-width: 40rem) {
  .skip {
    grid-template-columns: 8rem minmax(0, 1fr);
    align-items: center;
    padding: 0.3rem 0.5rem;
  }
  .hands {
    grid-row: span 3;
    max-height: 6.5rem;
  }
}
</style>
