<script setup lang="ts">
import { hasBelow, REPRESENTATIONS, type ColumnsState } from '../../../core/door'

defineProps<{ litPlaces: readonly number[] }>()
const bench = useBench()
const { t } = useI18n()
const { reason } = useNames()
const shows = useLocalStorage<'both' | 'lines' | 'columns'>('sett.page', 'both')
/** On beads the page is the running totals with their rules, and the chain as a plain column. */
const beads = computed(() => REPRESENTATIONS[bench.bench.setup.representation].sorts.includes('beads'))
/** Where plus and minus are at work: which way they go, and a guess first where the class guesses. */
const signs = computed(() => {
  const { problem } = bench.bench.setup
  return hasBelow(problem) && problem.terms.length > 0
})
const guesses = computed(() => {
  const { representation, choices, units } = bench.bench.setup
  if (units.fractions && choices.parts.estimate) return true
  const onLine = REPRESENTATIONS[representation].sorts.includes('arrows')
  return choices.signed.estimate && (signs.value || onLine)
})
const sheet = computed(() => bench.bench.now.states.columns as ColumnsState | undefined)
const onMat = computed(() => bench.bench.setup.representation === 'columns' || bench.second === 'columns')
const writable = computed(() => bench.bench.mode === 'together')
const waiting = computed(() => reason(bench.bench.now.followers.columns?.why ?? ''))
const newest = computed(() => bench.lit === bench.stones.length - 1)
const CHOICES = ['both', 'lines', 'columns'] as const
/** On beads lines are running totals, and the columns are one. */
const nameOf = (c: (typeof CHOICES)[number]): string =>
  t(beads.value && c !== 'both' ? (c === 'lines' ? 'page.totals' : 'page.column') : `page.${c}`)

function write(texts: readonly string[]): void {
  for (const text of texts) if (!bench.make('columns', text)) break
}
</script>

<template>
  <section class="page" :aria-label="t('page.label')">
    <div v-if="(sheet && !onMat) || beads" class="switch" role="group" :aria-label="t('page.shows')">
      <button
        v-for="c in CHOICES"
        :key="c"
        type="button"
        class="stone-button"
        :aria-pressed="shows === c"
        @click="shows = c"
      >
        {{ nameOf(c) }}
      </button>
    </div>
    <LazyGuessFirst v-if="guesses" />
    <LazySignCard v-if="signs && bench.bench.mode !== 'alone'" />
    <div class="squared" tabindex="0" role="region" :aria-label="t('page.written')">
      <div v-if="sheet && !onMat && shows !== 'lines'" class="part">
        <ColumnSheet
          :state="sheet"
          :writable="writable"
          :choices="bench.bench.setup.choices"
          :lit-places="litPlaces"
          :newest="newest"
          @move="write"
        />
        <p v-if="waiting.text" class="waiting" role="status" :lang="waiting.lang">{{ waiting.text }}</p>
      </div>
      <LazyChainColumn
        v-if="beads && shows !== 'lines'"
        :problem="bench.bench.setup.problem"
        :moment="bench.bench.now"
      />
      <EquationLines
        v-if="beads ? shows !== 'columns' : !sheet || onMat || shows !== 'columns'"
        :stones="bench.stones"
        :lit="bench.lit"
        @pick="(i) => (bench.picked = i)"
      />
    </div>
  </section>
</template>

<style scoped>
.page {
  display: grid;
  grid-template-rows: auto auto auto minmax(0, 1fr);
  align-content: stretch;
  min-height: 0;
  background: var(--sheet);
}
.switch {
  display: flex;
  gap: 0;
  padding: 6px 10px;
  border-bottom: 1.5px solid var(--rule);
}
.switch .stone-button {
  border-radius: 0;
  margin-left: -1.5px;
  padding: 0.2rem 0.75rem;
}
.squared {
  grid-row: 4;
  overflow: auto;
  padding: 10px;
  background-image:
    linear-gradient(var(--rule) 1px, transparent 1px), linear-gradient(90deg, var(--rule) 1px, transparent 1px);
  background-size: 22px 22px;
  background-attachment: local;
}
.part {
  padding-bottom: 14px;
  margin-bottom: 10px;
  border-bottom: 2px dashed var(--edge);
}
.waiting {
  background: var(--plum-wash);
  color: var(--ink);
  border-left: 5px solid var(--plum);
  padding: 0.4rem 0.7rem;
  margin-top: 8px;
}
</style>
