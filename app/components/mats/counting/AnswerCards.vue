<script setup lang="ts">
import { answerCards } from '../../../../core/course/index'
import { pretty, printProblem, type Problem, REPRESENTATIONS, type Setup, waysOf } from '../../../../core/door'

/**
 * The sentence card and its answer cards, or a whole set of sentence cards with the answer cards of all of them. A card
 * that is placed stays placed, right or not, until another is.
 */
const props = defineProps<{
  setup: Setup
  read: string | null
  movable: boolean
  /** Whether an answer can be placed yet. */
  answering: boolean
}>()
const emit = defineEmits<{ place: [value: number]; ask: [problem: string] }>()

const { t } = useI18n()
const { set, lay, place, clear } = useCardSet()
const sentence = computed(() => printProblem(props.setup.problem))
const inSet = computed(() => set.value !== null && set.value.cards.some((c) => c.problem === sentence.value))
watch([() => props.read, sentence], ([read, asked]) => read !== null && place(asked, read), { immediate: true })

/** The same question always lays its cards alike. */
const cards = computed(() =>
  inSet.value
    ? set.value!.answers
    : answerCards(
        props.setup.problem,
        [...sentence.value].reduce((h, c) => Math.imul(h, 31) + c.charCodeAt(0), 7),
      ),
)
function laySet(): void {
  const { problem, representation, way, choices } = props.setup
  const r = REPRESENTATIONS[representation]
  const suits = (p: Problem): boolean => r.fits(p, choices).fits && waysOf(p, r).some((w) => w.way === way)
  lay(problem, crypto.getRandomValues(new Uint32Array(1))[0]!, suits)
}
</script>

<template>
  <div class="cards-area">
    <div class="cards-row" role="group" :aria-label="t('counting.sentence')">
      <template v-if="inSet">
        <button
          v-for="c in set!.cards"
          :key="c.problem"
          type="button"
          class="card sentence learner"
          :aria-current="c.problem === sentence"
          :aria-label="`${pretty(c.problem)} = ${c.placed ?? t('counting.notAnswered')}`"
          @click="c.problem !== sentence && emit('ask', c.problem)"
        >
          {{ pretty(c.problem) }} =
          <span class="gap" :class="{ filled: c.placed }">{{ c.placed ?? ' ' }}</span>
        </button>
        <button type="button" class="stone-button" @click="clear">{{ t('counting.clear') }}</button>
      </template>
      <template v-else>
        <p class="card sentence learner">
          {{ pretty(sentence) }} = <span class="gap" :class="{ filled: read }">{{ read ?? ' ' }}</span>
        </p>
        <button type="button" class="stone-button" @click="laySet">{{ t('counting.make') }}</button>
      </template>
    </div>
    <div v-if="answering" class="cards-row" role="group" :aria-label="t('counting.answers')">
      <button
        v-for="n in cards"
        :key="n"
        type="button"
        class="card learner"
        :class="{ placed: String(n) === read }"
        :disabled="!movable"
        :aria-label="t('counting.place', { n })"
        @click="emit('place', n)"
      >
        {{ n }}
      </button>
    </div>
  </div>
</template>

<style scoped>
.cards-area {
  display: grid;
  gap: 8px;
}
.cards-row {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  justify-content: center;
  align-items: center;
}
.card {
  background: var(--sheet);
  color: var(--ink);
  border: 2px solid var(--ink);
  border-radius: 4px;
  min-width: 58px;
  min-height: 58px;
  padding: 0 0.8rem;
  font-size: 1.7rem;
  display: inline-flex;
  align-items: center;
  justify-content: center;
  gap: 0.5rem;
}
button.card {
  cursor: pointer;
}
button.card[aria-current='true'] {
  box-shadow: 0 0 0 4px var(--focus-on-felt);
}
.sentence {
  font-size: 1.35rem;
  min-height: 50px;
}
button.card.placed {
  opacity: 0.35;
}
.gap {
  min-width: 2.2ch;
  min-height: 1.35em;
  border: 2px dashed var(--edge);
  text-align: center;
  display: inline-block;
}
.gap.filled {
  border-style: solid;
  border-color: var(--clay);
}
</style>
