<script setup lang="ts">
import { factAnswer, type FactItem, isRightFact } from '../../../core/rehearse/index'
import { MOST_ANSWER_MS } from '../../../shared/limits'

/** One fact asked, and once it is answered what is right. Made anew for each. */
const props = defineProps<{ item: FactItem }>()
const emit = defineEmits<{ answered: [given: string, right: boolean, ms: number]; next: [] }>()

const given = ref('')
const done = ref<boolean | null>(null)
const begun = performance.now()
onMounted(() => document.getElementById('fact-answer')?.focus())

/** What stands before and after the place for the answer, and how the question is said. */
type Asked = Readonly<Record<'before' | 'after' | 'said', string>>
const ASKED: Readonly<Record<FactItem['kind'], (a: number, b: number) => Asked>> = {
  fact: (a, b) => ({ before: `${a} × ${b} =`, after: '', said: `${a} times ${b}` }),
  skip: (a, b) => ({
    before: `${a},`,
    after: '',
    said: `Count ${b > 0 ? 'on' : 'back'} in ${Math.abs(b)}s from ${a}: what comes next?`,
  }),
  double: (a) => ({ before: `${a} + ${a} =`, after: '', said: `Double ${a}` }),
  half: (a) => ({ before: `half of ${a} =`, after: '', said: `Half of ${a}` }),
  'to-10': (a) => ({ before: `${a} +`, after: '= 10', said: `What is missing from ${a} to 10?` }),
  'to-100': (a) => ({ before: `${a} +`, after: '= 100', said: `What is missing from ${a} to 100?` }),
  back: (a, b) => ({ before: `${a} − ${b} =`, after: '', said: `Count back ${b} from ${a}` }),
}
const asked = computed(() => ASKED[props.item.kind](props.item.a, props.item.b))
/** Numbers with their words where only the step is asked. */
const says = computed(() => (props.item.kind === 'skip' ? asked.value.said : ''))

function answer(): void {
  if (done.value !== null || given.value.trim() === '') return
  const right = isRightFact(props.item, given.value)
  done.value = right
  void nextTick(() => document.getElementById('go-on')?.focus())
  emit('answered', given.value.trim(), right, Math.min(MOST_ANSWER_MS, Math.round(performance.now() - begun)))
}
const digit = (n: number): void => void (given.value = `${given.value}${n}`.slice(0, 4))
</script>

<template>
  <form class="fact" novalidate @submit.prevent="answer">
    <p class="says">{{ says }}</p>
    <p class="question learner">
      <label for="fact-answer">
        <span class="sr-only">{{ asked.said }}</span>
        <span aria-hidden="true">{{ asked.before }}</span>
      </label>
      <input
        id="fact-answer"
        v-model="given"
        type="text"
        class="learner"
        inputmode="numeric"
        autocomplete="off"
        maxlength="4"
        :readonly="done !== null"
      />
      <span aria-hidden="true">{{ asked.after }}</span>
    </p>
    <div v-if="done === null" class="writing">
      <NumberPad @digit="digit" @back="given = given.slice(0, -1)" />
      <button type="submit" class="stone-button main" :disabled="given.trim() === ''">Answer</button>
    </div>
    <p class="verdict" :class="{ right: done }" role="status">
      <template v-if="done === true">✓ Right: {{ factAnswer(item) }}.</template>
      <template v-else-if="done === false">✗ It is {{ factAnswer(item) }}. It comes back soon.</template>
    </p>
    <button v-if="done !== null" id="go-on" type="button" class="stone-button main" @click="emit('next')">Next</button>
  </form>
</template>

<style scoped>
.fact {
  display: grid;
  place-content: center;
  justify-items: center;
  gap: 1rem;
  height: 100%;
  padding: 1rem;
  background: var(--felt);
  color: var(--on-felt);
}
.says {
  font-size: 1.2rem;
  min-height: 1.4em;
}
.question {
  display: flex;
  flex-wrap: wrap;
  gap: 0.5rem;
  align-items: center;
  justify-content: center;
  font-size: clamp(2.2rem, 6vw, 4rem);
}
.question input {
  width: 3.2em;
  color: var(--ink);
  font-size: inherit;
  text-align: center;
}
.writing {
  display: flex;
  flex-wrap: wrap;
  gap: 0.4rem;
  justify-content: center;
}
.verdict {
  min-height: 1.6em;
  font-size: 1.3rem;
  font-weight: 700;
}
</style>
