<script setup lang="ts">
import {
  cutOf,
  type Mode,
  numberText,
  printNumeral,
  sign,
  type Pieces,
  type Setup,
  totals,
  answer,
  worthOf,
  USUAL_PARTS,
  PARTS,
  MOST_PARTS,
} from '../../../../core/door'
import { calledAll } from '../../../../core/representation/parts/apply'
import { lengthIn, namesOf, type PartsState, WHOLES } from '../../../../core/representation/parts/state'
import { partName } from '../../../utils/parts'
import { rowsOf, type PartsWords } from './rows'

/** What can be done with the parts that lie there, by buttons: so many of a kind, cut anew, pushed together, compared. */
const props = defineProps<{
  state: PartsState
  setup: Setup
  mode: Mode
  kind: number
  kinds: readonly number[]
  words: PartsWords
}>()
const emit = defineEmits<{ move: [text: string]; kind: [of: number] }>()

const many = ref(1)
const count = computed(() => Math.min(100, Math.max(1, Math.round(many.value) || 1)))
const some = computed(() => `${count.value} ${partName(props.kind, count.value)}`)
const empty = computed(() => props.state.lies.length === 0 && props.state.turn === 0)

/** Numbers of the problem, set out in one. */
const first = computed(() => printNumeral(props.setup.worked.first))
const next = computed(() => (props.state.posed ? undefined : props.state.asked[props.state.turn]))
const nextText = computed(() => {
  const term = props.setup.worked.terms[props.state.turn]
  return term ? printNumeral(term.number) : ''
})
/** What comes next in a row that is compared: its first number, or one that is added there or taken from it. */
const beside = computed(() => {
  if (props.state.asked.length > props.state.turn || props.state.posed) return null
  for (const [i, other] of (props.setup.problem.others ?? []).entries()) {
    const row = props.state.others[i]
    if (!row) return { verb: 'row', row: i + 2, text: printNumeral(other.first) }
    const at = totals(other).indexOf(worthOf(row))
    const term = at < 0 ? undefined : other.terms[at]
    if (term) return { verb: term.operation === '-' ? 'less' : 'row', row: i + 2, text: printNumeral(term.number) }
  }
  return null
})
/** A part that is repeated, once more. */
const once = computed(() => {
  const [term] = props.setup.worked.terms
  if (!props.state.each || !term || worthOf(props.state.lies) === answer(props.setup.worked)) return null
  return printNumeral(term.number)
})

/* --- cutting anew --- */
const rows = computed(() => rowsOf(props.state, props.words.row))
const cuttable = computed(() =>
  rows.value.flatMap((r) =>
    r.pieces.map((p) => ({
      id: `${r.row} ${p.unit}`,
      row: r.row,
      pieces: p,
      label: `${calledAll([p])}${rows.value.length > 1 ? ` (${r.caption})` : ''}`,
    })),
  ),
)
const from = ref('')
/** Parts are cut sooner than wholes. */
const cut = computed(
  () =>
    cuttable.value.find((c) => c.id === from.value) ??
    cuttable.value.find((c) => c.pieces.unit !== '1') ??
    cuttable.value[0],
)
const into = ref(0)
const targets = computed(() => [...new Set([1, ...props.kinds, ...USUAL_PARTS])].sort((a, b) => a - b))
const where = (row: string): string =>
  row === 'main' ? '' : row === 'posed' ? ' beside' : ` in row ${Number(row) + 1}`
function recut(p: Pieces, row: string, of: number): void {
  const fits = lengthIn(worthOf([p]), of)
  // Where none is as long, the nearest is tried, and the mat says why not.
  const n = fits ?? Math.max(1, Math.round((p.count * of) / cutOf(p.unit)))
  emit('move', `recut ${calledAll([p])} as ${n} ${partName(of, n)}${where(row)}`)
}
/** What else has this length; in Alone it is for the learner to find. */
const names = computed(() => {
  const c = cut.value
  if (!c || props.mode === 'alone') return []
  const own = cutOf(c.pieces.unit)
  return namesOf(worthOf([c.pieces]), targets.value)
    .filter((n) => n.of !== own && (props.state.units.fractions || [1, 10, 100].includes(n.of)))
    .slice(0, 8)
})

const amounts = computed(() =>
  [props.state.lies, ...props.state.others].map((p) => numberText(worthOf(p), props.state.units, p)),
)
const compares = computed(() => props.state.others.length > 0 && props.state.lies.length > 0)

/** A wrong reading can be laid beside what is there, edge to edge. */
const wrong = computed(() => {
  const { read, lies } = props.state
  if (props.mode === 'alone' || !read || lies.length === 0 || props.state.others.length > 0) return null
  if (read.value === worthOf(lies) || sign(read.value) < 0) return null
  return cutOf(read.value) <= MOST_PARTS ? read.as : null
})
</script>

<template>
  <div class="acts" role="group" aria-label="Parts">
    <button
      v-if="empty && !setup.worked.terms.some((t) => t.operation === '*')"
      type="button"
      class="stone-button main"
      @click="emit('move', `lay ${first}`)"
    >
      {{ words.lay }} <MathLine :line="first" named />
    </button>
    <button v-if="once" type="button" class="stone-button main" @click="emit('move', `lay ${once}`)">
      {{ words.lay }} <MathLine :line="once" named />
    </button>
    <button v-if="!empty && next" type="button" class="stone-button main" @click="emit('move', `set ${nextText}`)">
      {{ words.set }} <MathLine :line="nextText" named />{{ next.sign === '+' ? '' : ' as a measure' }}
    </button>
    <button v-if="state.posed?.sign === '+'" type="button" class="stone-button main" @click="emit('move', 'push')">
      {{ words.push }}
    </button>
    <button
      v-if="state.posed?.sign === '-'"
      type="button"
      class="stone-button main"
      @click="emit('move', `take ${calledAll(state.posed.pieces).replace(/ and /g, ' ')}`)"
    >
      {{ words.take }} {{ calledAll(state.posed.pieces) }}
    </button>
    <button
      v-if="beside && !empty"
      type="button"
      class="stone-button main"
      @click="emit('move', `${beside.verb} ${beside.row} ${beside.text}`)"
    >
      {{ beside.verb === 'row' ? words.lay : words.take }} <MathLine :line="beside.text" named />
      {{ beside.verb === 'row' ? 'in' : 'from' }} {{ words.row }} {{ beside.row }}
    </button>
    <button v-if="wrong" type="button" class="stone-button main" @click="emit('move', `row 2 ${wrong}`)">
      Why not <MathLine :line="wrong" named />? Lay it beside
    </button>
    <fieldset class="some">
      <legend class="sr-only">So many of a kind</legend>
      <input v-model.number="many" type="number" min="1" max="100" class="learner number-box" aria-label="So many" />
      <select
        :value="kind"
        aria-label="Of this kind"
        @change="(e) => emit('kind', Number((e.target as HTMLSelectElement).value))"
      >
        <option v-for="of in targets" :key="of" :value="of">{{ partName(of, count) }}</option>
      </select>
      <button type="button" class="stone-button" @click="emit('move', `lay ${some}`)">{{ words.lay }}</button>
      <button v-if="next && !empty" type="button" class="stone-button" @click="emit('move', `set ${some}`)">
        Set beside
      </button>
      <button
        type="button"
        class="stone-button"
        :disabled="state.lies.length === 0"
        @click="emit('move', `take ${some}`)"
      >
        {{ words.take }}
      </button>
    </fieldset>
    <fieldset v-if="cut" class="some">
      <legend class="sr-only">Cut anew</legend>
      <select
        :value="cut.id"
        aria-label="What is cut anew"
        @change="(e) => (from = (e.target as HTMLSelectElement).value)"
      >
        <option v-for="c in cuttable" :key="c.id" :value="c.id">{{ c.label }}</option>
      </select>
      <select v-model.number="into" aria-label="Into which parts">
        <option :value="0">into …</option>
        <option v-for="of in targets" :key="of" :value="of">into {{ partName(of, 2) }}</option>
      </select>
      <button type="button" class="stone-button" :disabled="into === 0" @click="recut(cut.pieces, cut.row, into)">
        {{ words.recut }}
      </button>
    </fieldset>
    <div v-if="cut && names.length > 0" class="names" role="group" :aria-label="`As long as ${cut.label}`">
      <MathLine :line="`${numberText(worthOf([cut.pieces]), PARTS, [cut.pieces])} =`" named />
      <button
        v-for="n in names"
        :key="n.of"
        type="button"
        class="stone-button"
        :aria-label="`Cut it into ${n.count} ${partName(n.of, n.count)}`"
        @click="recut(cut.pieces, cut.row, n.of)"
      >
        <MathLine :line="n.of === 1 ? String(n.count) : `${n.count}/${n.of}`" named />
      </button>
    </div>
    <CompareActs v-if="compares" :amounts="amounts" @move="(text) => emit('move', text)" />
    <label v-if="empty && !state.posed" class="whole"
      >The whole
      <select :value="state.whole" @change="(e) => emit('move', `whole ${(e.target as HTMLSelectElement).value}`)">
        <option v-for="w in WHOLES" :key="w" :value="w">{{ w }}</option>
      </select></label
    >
  </div>
</template>

<style scoped>
.acts {
  grid-column: 1 / -1;
  grid-area: auto / 1 / auto / -1;
  display: flex;
  flex-wrap: wrap;
  gap: 6px 12px;
  justify-content: center;
  align-items: center;
  padding: 6px 8px;
  border-top: 1.5px solid var(--felt-line);
}
.some,
.names,
.whole {
  display: flex;
  flex-wrap: wrap;
  gap: 5px;
  align-items: center;
  border: 0;
  margin: 0;
  padding: 0;
}
.some .number-box {
  width: 3.6rem;
}
select {
  min-height: 44px;
  max-width: 13rem;
  color: var(--ink);
}
@container parts (max-width: 560px) {
  .acts {
    grid-area: acts;
    justify-content: flex-start;
  }
}
</style>
