<script setup lang="ts">
import { asNumber, numberText, pretty, valueOf } from '../../../core/door'
import { partsText } from '../../utils/parts'

/** A guess before the work: it is taken, kept, and held against the answer at the end. */
const bench = useBench()
const guess = computed(() => bench.bench.now.guess)
/** Once the answer is read, it is too late to guess. */
const read = computed(() => bench.result.finished)
const units = computed(() => bench.bench.setup.units)
/** As many nearest halves as are offered; beyond that whole numbers are near enough. */
const HALVES = 3
/** What an answer may be near to: nought, a half, a whole … as far as the numbers put together could reach. */
const offered = computed(() => {
  const { first, terms } = bench.bench.setup.problem
  const up = (n: typeof first): number => Math.ceil(asNumber(valueOf(n)) - 1e-9)
  const farthest = terms.reduce(
    (n, t) => (t.operation === '-' ? n : t.operation === '*' ? n * up(t.number) : n + up(t.number)),
    up(first),
  )
  const step = farthest <= HALVES ? 0.5 : 1
  return Array.from({ length: Math.min(21, farthest / step + 1) }, (_, i) => partsText(i * step, 2))
})
const NAMES: Readonly<Record<string, string>> = { '0': 'nought', '1/2': 'a half', '1': 'a whole' }
const near = computed(() => units.value.fractions && bench.bench.setup.choices.parts.estimate)
const text = ref('')
const wrong = computed(
  () => text.value.trim() !== '' && !/^[+−-]?(?:\d+(?:\.\d+)?|(?:\d+ )?\d+\/[1-9]\d*)$/.test(text.value.trim()),
)
function keep(): void {
  if (text.value.trim() === '' || wrong.value) return
  if (bench.make('bench', `guess ${text.value.trim().replace('−', '-').replace('+', '')}`)) text.value = ''
}
</script>

<template>
  <div v-if="near && guess === null && !read" class="guess" role="group" aria-label="Guess first">
    <span>Guess first: what is it near to?</span>
    <button v-for="n in offered" :key="n" type="button" class="stone-button" @click="bench.make('bench', `guess ${n}`)">
      <template v-if="NAMES[n]">{{ NAMES[n] }}</template><MathLine v-else :line="n" named />
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
