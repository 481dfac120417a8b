<script setup lang="ts">
import { pretty, printExact } from '../../../core/index'

/** A guess before the work: it is taken, kept, and held against the answer at the end. */
const bench = useBench()
const guess = computed(() => bench.bench.now.guess)
/** Once the answer is read, it is too late to guess. */
const read = computed(() => bench.result.finished)
const text = ref('')
const wrong = computed(() => text.value.trim() !== '' && !/^[+−-]?\d+(?:\.\d+)?$/.test(text.value.trim()))
function keep(): void {
  if (text.value.trim() === '' || wrong.value) return
  if (bench.make('bench', `guess ${text.value.trim().replace('−', '-').replace('+', '')}`)) text.value = ''
}
</script>

<template>
  <form v-if="guess === null && !read" class="guess" @submit.prevent="keep">
    <label for="guess">Guess first: about how much?</label>
    <input id="guess" v-model="text" class="learner number-box" inputmode="text" maxlength="9" :aria-invalid="wrong" />
    <button type="submit" class="stone-button" :disabled="text.trim() === '' || wrong">Keep the guess</button>
  </form>
  <p v-else-if="guess !== null" class="guess" role="status">
    The guess: <strong class="learner">{{ pretty(printExact(guess)) }}</strong>
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
