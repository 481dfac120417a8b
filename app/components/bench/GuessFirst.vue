<script setup lang="ts">
import { numberText, pretty } from '../../../core/index'

/** A guess before the work: it is taken, kept, and held against the answer at the end. */
const bench = useBench()
const guess = computed(() => bench.bench.now.guess)
/** Once the answer is read, it is too late to guess. */
const read = computed(() => bench.result.finished)
const units = computed(() => bench.bench.setup.units)
/** Of parts of a whole, what the answer may be near to. */
const NEAR = [
  { text: '0', label: 'nought' },
  { text: '1/2', label: 'a half' },
  { text: '1', label: 'a whole' },
  { text: '3/2', label: 'one and a half' },
  { text: '2', label: 'two wholes or more' },
]
const near = computed(() => units.value.fractions && bench.bench.setup.choices.parts.estimate)
const text = ref('')
const wrong = computed(() => text.value.trim() !== '' && !/^[+−-]?\d+(?:\.\d+)?$/.test(text.value.trim()))
function keep(): void {
  if (text.value.trim() === '' || wrong.value) return
  if (bench.make('bench', `guess ${text.value.trim().replace('−', '-').replace('+', '')}`)) text.value = ''
}
</script>

<template>
  <div v-if="near && guess === null && !read" class="guess" role="group" aria-label="Guess first">
    <span>Guess first: what is it near to?</span>
    <button
      v-for="n in NEAR"
      :key="n.text"
      type="button"
      class="stone-button"
      @click="bench.make('bench', `guess ${n.text}`)"
    >
      {{ n.label }}
    </button>
  </div>
  <form v-else-if="guess === null && !read" class="guess" @submit.prevent="keep">
    <label for="guess">Guess first: about how much?</label>
    <input id="guess" v-model="text" class="learner number-box" inputmode="text" maxlength="9" :aria-invalid="wrong" />
    <button type="submit" class="stone-button" :disabled="text.trim() === '' || wrong">Keep the guess</button>
  </form>
  <p v-else-if="guess !== null" class="guess" role="status">
    The guess: <strong class="learner"><MathLine :line="pretty(numberText(guess, units))" /></strong>
  </p>
</template>

<style scoped>
.guess {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 10px;
  align-items: center;
  margin: 0;
  padding: 4px 12px;
  border-bottom: 1.5px solid var(--edge);
  background: var(--paper-2);
}
input {
  width: 6rem;
}
</style>
