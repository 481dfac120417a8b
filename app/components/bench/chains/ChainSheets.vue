<script setup lang="ts">
import { chainText } from '../../../../core/course/index'
import { pretty } from '../../../../core/door'

/** Chains as they stand on a sheet: numbers one beneath another, with room for the total, or the total itself. */
defineProps<{ chains: readonly (readonly number[])[]; answers: boolean }>()
const emit = defineEmits<{ work: [from: number] }>()

const { column } = useFigures()
const total = (chain: readonly number[]): number => chain.reduce((a, b) => a + b, 0)
/** A chain's numbers without their signs, its total last. */
const written = (chain: readonly number[]): readonly string[] =>
  column([...chain.map(Math.abs), total(chain)].map(String))
</script>

<template>
  <ol class="sheets learner">
    <li v-for="(chain, i) in chains" :key="chain.join()">
      <button
        type="button"
        class="number"
        :aria-label="`Work ${pretty(chainText(chain))} at the bench`"
        @click="emit('work', i)"
      >
        {{ i + 1 }}
      </button>
      <span v-for="(n, j) in chain" :key="j" class="term"
        ><i>{{ j === 0 ? '' : n < 0 ? '−' : '+' }}</i
        >{{ written(chain)[j] }}</span
      >
      <span class="sum">{{ answers ? written(chain).at(-1) : '\u00a0' }}</span>
    </li>
  </ol>
</template>

<style scoped>
.sheets {
  list-style: none;
  margin: 0;
  padding: 18px;
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(118px, 1fr));
  gap: 20px 18px;
  font-size: 1.6rem;
}
.sheets li {
  display: grid;
  justify-items: end;
  align-content: start;
  background: var(--sheet);
  border: 1.5px solid var(--edge);
  border-radius: 4px;
  padding: 2px 12px 4px;
  break-inside: avoid;
}
.number {
  justify-self: start;
  margin: 2px 0 0 -8px;
  min-width: 44px;
  min-height: 44px;
  border: 0;
  border-radius: 4px;
  background: transparent;
  font: 400 1rem var(--ui);
  text-decoration: underline;
  cursor: pointer;
}
.term i {
  font-style: normal;
  display: inline-block;
  width: 1.3em;
  text-align: center;
}
.sum {
  border-top: 3px solid var(--ink);
  min-width: 4.5rem;
  text-align: right;
  font-weight: 700;
}
@media print {
  .sheets {
    grid-template-columns: repeat(5, 1fr);
  }
  .number {
    text-decoration: none;
  }
}
</style>
