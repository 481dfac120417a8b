<script setup lang="ts">
import { answerCards } from '../../../core/course/cards'
import type { Setup } from '../../../core/plan/plan'
import { printProblem } from '../../../core/problem/problem'
import { pretty } from '../../../core/speech/words'

/** The sentence card and its answer cards. A card that is placed stays placed, right or not, until another is. */
const props = defineProps<{ setup: Setup; read: string | null; works: boolean }>()
const emit = defineEmits<{ place: [value: number] }>()

const sentence = computed(() => printProblem(props.setup.problem))
/** The same question always lays its cards alike. */
const cards = computed(() =>
  answerCards(
    props.setup.problem,
    [...sentence.value].reduce((h, c) => Math.imul(h, 31) + c.charCodeAt(0), 7),
  ),
)
</script>

<template>
  <div class="cards-row" role="group" aria-label="Answer cards">
    <p class="card sentence learner">
      {{ pretty(sentence) }} = <span class="gap" :class="{ filled: read }">{{ read ?? ' ' }}</span>
    </p>
    <button
      v-for="n in cards"
      :key="n"
      type="button"
      class="card learner"
      :class="{ placed: String(n) === read }"
      :disabled="!works"
      :aria-label="`Place ${n}`"
      @click="emit('place', n)"
    >
      {{ n }}
    </button>
  </div>
</template>

<style scoped>
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
