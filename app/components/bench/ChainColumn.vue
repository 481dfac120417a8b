<script setup lang="ts">
import { type Exact, type Moment, printExact, printNumeral, type Problem, sign } from '../../../core/door'

/** A chain as a plain column: its numbers one beneath another, the one in hand lit, and under the rule what has been read. */
const props = defineProps<{ problem: Problem; moment: Moment }>()
const { column } = useFigures()
const read = computed<Exact | null>(() => props.moment.standing.read)
/** All numbers, the one that has been read last, with separators in all of them or in none. */
const texts = computed(() =>
  column([
    ...[props.problem.first, ...props.problem.terms.map((t) => t.number)].map(printNumeral),
    read.value === null ? '' : printExact(read.value).replace('-', ''),
  ]),
)
const rows = computed(() =>
  texts.value
    .slice(0, -1)
    .map((text, i) => ({ sign: i === 0 ? '' : props.problem.terms[i - 1]!.operation === '-' ? '−' : '+', text })),
)
const points = computed(() => Math.max(...rows.value.map((r) => (r.text.split('.')[1] ?? '').length)))
/** Filled up behind with spaces of a digit's width, so that points stand under points. */
const padded = (text: string): string => {
  const behind = (text.split('.')[1] ?? '').length
  const gap = points.value - behind
  return text + (gap > 0 && behind === 0 ? '\u2008' : '') + '\u2007'.repeat(gap)
}
const inHand = computed(() => props.moment.standing.begun - 1)
const below = computed(() => read.value !== null && sign(read.value) < 0)
</script>

<template>
  <div class="room" :class="{ short: rows.length < 7 }">
    <table class="chain learner">
      <caption class="sr-only">
        The chain as a column
      </caption>
      <tbody>
        <tr
          v-for="(row, i) in rows"
          :key="i"
          :class="{ now: i === inHand && read === null }"
          :aria-current="i === inHand && read === null ? 'step' : undefined"
        >
          <td class="sign">{{ row.sign }}</td>
          <td>{{ padded(row.text) }}</td>
        </tr>
      </tbody>
      <tfoot>
        <tr>
          <td class="sign">{{ below ? '−' : '' }}</td>
          <td>{{ read === null ? '\u00a0' : padded(texts.at(-1)!) }}</td>
        </tr>
      </tfoot>
    </table>
  </div>
</template>

<style scoped>
.chain {
  border-collapse: collapse;
  font-size: 1.5rem;
  margin: 4px auto 10px;
}
/* A short column stays in sight while the totals run on beneath it. */
.room {
  margin: -10px -10px 8px;
  padding: 8px 10px 2px;
  background: var(--sheet);
  border-bottom: 2px dashed var(--edge);
}
.short {
  position: sticky;
  top: -10px;
  z-index: 1;
}
td {
  padding: 2px 10px;
  text-align: right;
  white-space: pre;
}
.sign {
  width: 2.2rem;
  text-align: center;
}
.now td {
  background: var(--clay-wash);
  font-weight: 700;
}
.now .sign {
  box-shadow: inset 5px 0 0 var(--clay);
}
tfoot td {
  border-top: 3px solid var(--ink);
  font-weight: 700;
}
</style>
