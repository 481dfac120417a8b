<script setup lang="ts">
import {
  answer,
  asksMore,
  askInWords,
  capital,
  grouped,
  numbersIn,
  onPage,
  packFor,
  pretty,
  printExact,
  printNumeral,
  type Problem,
  say,
  sayNumeral,
  type Separator,
  ZERO,
} from '../../../core/door'

/** Every number of the problem read aloud, and the sentence when it is worked; separators are put in as the class likes. */
const open = defineModel<boolean>('open', { required: true })
useReturnFocus()
const bench = useBench()
const { separator } = useFigures()
const setup = computed(() => bench.bench.setup)
const pack = computed(() => packFor(setup.value))
const problem = computed<Problem>(() => bench.bench.setup.problem)
const numbers = computed(() =>
  numbersIn(problem.value).map((n) => ({
    figures: pretty(grouped(printNumeral(n), separator.value)),
    words: capital(sayNumeral(n, pack.value)),
  })),
)
/** The last line and its words, once the problem is worked and read rightly. */
const sentence = computed(() => {
  if (!bench.result.right) return null
  const { read, remainder } = bench.result
  const last = bench.stones.at(-1)
  // What is compared, or written another way, is its own sentence.
  if (asksMore(problem.value) || setup.value.units.fractions) {
    const line = onPage(bench.stones).at(-1)
    return line && last ? { figures: grouped(line.text, separator.value), words: last.say } : null
  }
  const value = remainder === undefined ? answer(problem.value) : read!
  const over = remainder === undefined || remainder === ZERO ? '' : ` r ${remainder}`
  const saidOver = over === '' ? '' : `, and ${say(remainder!, pack.value)} left over`
  const side = [
    grouped(printNumeral(problem.value.first), separator.value),
    ...problem.value.terms.map((t) => `${t.operation} ${grouped(printNumeral(t.number), separator.value)}`),
  ].join(' ')
  return {
    figures: pretty(`${side} = ${grouped(printExact(value), separator.value)}${over}`),
    words: `${capital(askInWords(problem.value, pack.value))} ${pack.value.equals} ${say(value, pack.value)}${saidOver}.`,
  }
})
const voice = useVoice()
const CHOICES: readonly { readonly id: Separator; readonly label: string }[] = [
  { id: 'comma', label: 'Comma' },
  { id: 'thin', label: 'Thin space' },
  { id: 'none', label: 'None' },
]
</script>

<template>
  <Dialog
    v-model:visible="open"
    lang="en"
    modal
    header="Read the numbers"
    :style="{ width: '40rem', maxWidth: '94vw' }"
  >
    <div class="choices" role="group" aria-label="Between thousands">
      <span>Between thousands</span>
      <button
        v-for="c in CHOICES"
        :key="c.id"
        type="button"
        class="stone-button"
        :aria-pressed="separator === c.id"
        @click="separator = c.id"
      >
        {{ c.label }}
      </button>
    </div>
    <ul class="learner" :lang="pack.language">
      <li v-for="(n, i) in [...numbers, ...(sentence ? [sentence] : [])]" :key="i">
        <strong><MathLine :line="n.figures" /></strong>
        <span>{{ n.words }}</span>
        <button
          v-if="voice.isSupported.value"
          type="button"
          class="stone-button"
          :aria-label="`Say ${n.figures} aloud`"
          @click="voice.speak(n.words)"
        >
          <IconVolume2 />
        </button>
      </li>
    </ul>
    <p v-if="!sentence" class="quiet">The whole sentence comes when it is worked and read.</p>
  </Dialog>
</template>

<style scoped>
.choices {
  display: flex;
  align-items: center;
  flex-wrap: wrap;
}
.choices span {
  margin-right: 0.8rem;
}
.choices .stone-button {
  border-radius: 0;
  margin-left: -1.5px;
}
ul {
  list-style: none;
  margin: 0.8rem 0 0;
  padding: 0;
}
li {
  display: grid;
  grid-template-columns: minmax(7rem, auto) 1fr auto;
  gap: 0.2rem 1rem;
  align-items: center;
  padding: 0.5rem 0;
  border-top: 1.5px solid var(--rule);
}
strong {
  font-size: 1.6rem;
  font-variant-numeric: tabular-nums;
}
</style>
