<script setup lang="ts">
import {
  LANGUAGE_NAMES,
  LANGUAGES,
  type LanguageId,
  ENGLISHES,
  EQUALS_WORDS,
  exact,
  EXCHANGE_WORDS,
  exchangeAct,
  MINUS_WORDS,
  NEGATIVES,
  ONES_WORDS,
  packOf,
  parseProblem,
  PLUS_WORDS,
  sayAct,
  type Words,
} from '../../../core/door'
import { fetchSpanish, spanish } from '../../utils/languages'

/** The class's words, chosen one by one, with what Sett will then say. */
const words = defineModel<Words>({ required: true })
const ROWS: readonly { key: keyof Words; label: string; options: readonly string[] }[] = [
  { key: 'exchange', label: 'Ten ones for one ten is to', options: EXCHANGE_WORDS },
  { key: 'ones', label: 'The lowest place is called', options: ONES_WORDS },
  { key: 'plus', label: '+ is read as', options: PLUS_WORDS },
  { key: 'minus', label: '− is read as', options: MINUS_WORDS },
  { key: 'equals', label: '= is read as', options: EQUALS_WORDS },
  { key: 'english', label: 'Numbers are named in', options: ENGLISHES },
  { key: 'negative', label: 'Numbers below nought are', options: NEGATIVES },
  { key: 'language', label: 'The Bench speaks', options: LANGUAGES },
]
const shown = (key: keyof Words, option: string): string =>
  key === 'english'
    ? option === 'british'
      ? 'British: three hundred and four'
      : 'American: three hundred four'
    : key === 'language'
      ? LANGUAGE_NAMES[option as LanguageId]
      : key === 'negative'
        ? `${option} three`
        : option
function set(key: keyof Words, event: Event): void {
  words.value = { ...words.value, [key]: (event.target as HTMLSelectElement).value }
}
/** Spanish is fetched when it is chosen, so that the class hears how it will sound. */
watch(
  () => words.value.language,
  (language) => void (language === 'es' && fetchSpanish()),
  { immediate: true },
)
const preview = computed(() => {
  // What was said before the language was here is said anew.
  void spanish.value
  const pack = packOf(words.value)
  const say = (text: string, act: Parameters<typeof sayAct>[0], before: string): string =>
    sayAct(act, exact(before), { problem: parseProblem(text), pack })
  return [
    say('304 - 178', exchangeAct(1, false), '304'),
    say('304 - 178', { kind: 'read', value: exact(126) }, '126'),
    say('9 + 4', { kind: 'read', value: exact(13) }, '13'),
  ]
})
</script>

<template>
  <fieldset class="words">
    <legend>Which words does the class use?</legend>
    <label v-for="row in ROWS" :key="row.key"
      >{{ row.label }}
      <select :value="words[row.key] ?? row.options[0]" @change="(e) => set(row.key, e)">
        <option v-for="option in row.options" :key="option" :value="option">{{ shown(row.key, option) }}</option>
      </select></label
    >
    <p v-if="words.language === 'es'" class="quiet">
      Blocks, chips, drawn tens, counters, fingers, the column sheet and the open line are told in Spanish. The other
      materials, and all other places of Sett, are in English.
    </p>
    <p class="preview learner" :lang="words.language ?? 'en'" role="status" aria-label="How it will sound">
      <span v-for="line in preview" :key="line">“{{ line }}” </span>
    </p>
  </fieldset>
</template>

<style scoped>
.words {
  border: 0;
  margin: 0;
  padding: 0;
  display: grid;
  gap: 0.4rem;
}
legend {
  font-weight: 700;
  padding: 0 0 0.4rem;
}
label {
  display: flex;
  flex-wrap: wrap;
  gap: 0.3rem 0.6rem;
  align-items: center;
  justify-content: space-between;
}
.preview {
  background: var(--paper-2);
  border-left: 6px solid var(--clay);
  padding: 0.5rem 0.8rem;
  display: grid;
}
</style>
