<script setup lang="ts">
import { enter, listed, openBench, plan, REPRESENTATIONS, type Words } from '../../../core/door'
import { fetchSpanish, spanish } from '../../utils/languages'

/** A small Bench at the moment of an exchange, as it speaks with some words. */
const props = defineProps<{ words: Words }>()
const { t } = useI18n()
const PROBLEM = '52 - 37'
/** So many steps are worked: put out, ask, exchange. */
const STEPS = 3
watch(
  () => props.words.language,
  (language) => void (language === 'es' && fetchSpanish().catch(() => undefined)),
  { immediate: true },
)
const stones = computed(() => {
  // Once the language is here, everything is said anew.
  void spanish.value
  const choices = { words: props.words }
  let bench = openBench({ problem: PROBLEM, representation: 'blocks', also: ['columns', 'equations'], choices }, 'show')
  for (const { moves } of plan({ problem: PROBLEM, representation: 'blocks' }).steps.slice(0, STEPS)) {
    const made = moves.blocks ?? []
    if (made.length === 0) bench = enter(bench, { at: 0, on: 'bench', move: 'ask' })
    for (const move of made)
      bench = enter(bench, { at: 0, on: 'blocks', move: REPRESENTATIONS.blocks.print(move as never) })
  }
  return listed(bench.now.stones)
})
const last = computed(() => stones.value.at(-1)!)
const [TENS, ONES] = [4, 12]
</script>

<template>
  <figure class="preview card" :aria-label="t('start.preview')">
    <svg viewBox="0 0 360 190" aria-hidden="true">
      <g class="rod">
        <rect v-for="n in TENS" :key="n" :x="18 + n * 26" y="24" width="16" height="142" rx="2" />
      </g>
      <line x1="190" y1="12" x2="190" y2="178" />
      <g class="one">
        <rect
          v-for="n in ONES"
          :key="n"
          :class="{ fresh: n > 2 }"
          :x="206 + ((n - 1) % 5) * 28"
          :y="24 + Math.floor((n - 1) / 5) * 28"
          width="19"
          height="19"
          rx="2"
        />
      </g>
    </svg>
    <p class="said learner" :lang="words.language ?? 'en'" role="status">{{ last.say }}</p>
    <ol>
      <li v-for="(s, i) in stones" :key="i" :class="{ now: s === last }">{{ s.label }}</li>
    </ol>
  </figure>
</template>

<style scoped>
.preview {
  margin: 0;
  padding: 0;
  overflow: hidden;
}
svg {
  display: block;
  width: 100%;
  background: var(--felt);
}
.rod rect,
.one rect {
  fill: var(--piece);
  stroke: var(--piece-line);
  stroke-width: 1.5;
}
.one .fresh {
  stroke: var(--focus-on-felt);
  stroke-width: 3;
}
line {
  stroke: var(--felt-line);
  stroke-width: 1.5;
}
.said {
  padding: 14px 18px 6px;
  font-size: 1.25rem;
  min-height: 4.4rem;
}
ol {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
  margin: 0;
  padding: 0 18px 18px;
  list-style: none;
}
li {
  padding: 6px 12px;
  border-radius: 8px;
  background: var(--ink-2);
  color: var(--paper);
}
li.now {
  background: var(--clay);
  color: var(--on-clay);
}
</style>
