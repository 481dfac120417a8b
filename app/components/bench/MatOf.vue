<script setup lang="ts">
import { printNumeral } from '../../../core/number/numeral'
import { exchangeIn } from '../../utils/lit'
import { sign } from '../../../core/number/exact'
import { decimalsIn, totals } from '../../../core/problem/problem'
import { REPRESENTATIONS } from '../../../core/representation/index'
import type { RepresentationId } from '../../../core/representation/representation'
import { BLOCKS } from '../../../core/representation/blocks/blocks'
import { CHIPS } from '../../../core/representation/chips/chips'
import { WORD_PACKS } from '../../../core/speech/words'
import type { Moment } from '../../../core/record/bench'
import type { BeadMove } from '../../../core/act/beads'
import type { AbacusState } from '../../../core/representation/abacus/frame'
import type { ColumnsState } from '../../../core/representation/columns/state'
import type { CountingState } from '../../../core/representation/counting'
import type { DrawnState } from '../../../core/representation/drawn/state'
import type { NinesState } from '../../../core/representation/nines/nines'
import type { OpenLineState } from '../../../core/representation/openline/openline'
import type { PlacedState } from '../../../core/representation/placed/state'
import type { WritingState } from '../../../core/representation/writing/writing'

/** The mat of one material; each is loaded when it is first chosen. */
const props = defineProps<{
  id: RepresentationId
  /** Where it stands; of the second representation worked by hand, its own moment. */
  moment: Moment
  litPlaces: readonly number[]
  newest: boolean
  places: number
}>()
const emit = defineEmits<{ refuse: [why: string]; say: [text: string] }>()

const PlacedMat = defineAsyncComponent(() => import('./PlacedMat.vue'))
const DrawnMat = defineAsyncComponent(() => import('./DrawnMat.vue'))
const OpenLineMat = defineAsyncComponent(() => import('./OpenLineMat.vue'))
const WritingMat = defineAsyncComponent(() => import('./WritingMat.vue'))
const CountingMat = defineAsyncComponent(() => import('./CountingMat.vue'))
const AbacusMat = defineAsyncComponent(() => import('./AbacusMat.vue'))
const NinesMat = defineAsyncComponent(() => import('./NinesMat.vue'))
const TouchSheet = defineAsyncComponent(() => import('./TouchSheet.vue'))

const bench = useBench()
/** The setup as this material sees it. */
const setup = computed(() => ({ ...bench.bench.setup, representation: props.id }))
const mode = computed(() => bench.bench.mode)
const counts = computed(() => REPRESENTATIONS[props.id].works.includes('counting'))
const beads = computed(() => REPRESENTATIONS[props.id].works.includes('beads'))
const writes = computed(() => ['partials', 'friendly', 'splits'].includes(props.id))
const pack = computed(() => WORD_PACKS[setup.value.choices.words])
const does = (operation: '+' | '-'): boolean => setup.value.problem.terms.some((t) => t.operation === operation)
const stateOf = <T,>(): T => props.moment.states[props.id] as T
const make = (text: string): boolean => bench.make(props.id, text)
const makeAll = (texts: readonly string[]): boolean => texts.every(make)
/** The stone that is lit on this mat: the one picked out; on a second mat worked by hand, its own newest. */
const lit = computed(() => (props.moment === bench.bench.now ? bench.lit : props.moment.stones.length - 1))
const exchange = computed(() => exchangeIn(props.moment.stones[lit.value]?.acts ?? []))
/** Beads to point at: those of the move that is offered. */
const pointed = computed(() =>
  bench.hint && props.moment === bench.bench.now
    ? (bench.nextMoves.slice(0, 1) as readonly (BeadMove | { kind: string })[]).filter(
        (m): m is BeadMove => m.kind === 'beads',
      )
    : [],
)
</script>

<template>
  <PlacedMat
    v-if="id === 'blocks' || id === 'chips'"
    :key="`${id}${bench.id}`"
    :material="id === 'blocks' ? BLOCKS : CHIPS"
    :state="stateOf<PlacedState>()"
    :places="places"
    :decimals="decimalsIn(setup.problem)"
    :adding="does('+')"
    :taking="does('-')"
    :lit-places="litPlaces"
    :newest="newest"
    :exchange="exchange"
    :lit="lit"
    :stones="moment.stones.length"
    :ones="pack.ones[1]"
    @pick="(i) => (bench.picked = i)"
    @move="make"
    @refuse="(why) => emit('refuse', why)"
    @say="(text) => emit('say', text)"
  />
  <DrawnMat
    v-else-if="id === 'drawn'"
    :state="stateOf<DrawnState>()"
    :places="places"
    :works="mode !== 'show'"
    :lit-places="litPlaces"
    :newest="newest"
    :ones="pack.ones[1]"
    @move="make"
    @refuse="(why) => emit('refuse', why)"
  />
  <OpenLineMat
    v-else-if="id === 'openline'"
    :state="stateOf<OpenLineState>()"
    :setup="setup"
    :works="mode !== 'show'"
    :newest="newest"
    @move="make"
  />
  <WritingMat
    v-else-if="writes"
    :state="stateOf<WritingState>()"
    :setup="setup"
    :standing="moment.standing"
    :mode="mode"
    :newest="newest"
    @move="make"
  />
  <CountingMat
    v-else-if="counts"
    :key="`count${bench.id}`"
    :state="stateOf<CountingState>()"
    :setup="setup"
    :standing="moment.standing"
    :mode="mode"
    :newest="newest"
    @move="make"
    @ask="(problem) => bench.ask(problem)"
    @refuse="(why) => emit('refuse', why)"
  />
  <AbacusMat
    v-else-if="beads"
    :key="`${id}${bench.id}`"
    :state="stateOf<AbacusState>()"
    :works="mode !== 'show'"
    :lit-places="litPlaces"
    :newest="newest"
    :ones="pack.ones[1]"
    :digits="mode !== 'alone'"
    :touch="id === 'stay-put'"
    :below="totals(setup.problem).some((t) => sign(t) < 0)"
    :next="pointed"
    @move="make"
    @refuse="(why) => emit('refuse', why)"
    @say="(text) => emit('say', text)"
  />
  <NinesMat v-else-if="id === 'nines'" :state="stateOf<NinesState>()" :mode="mode" :newest="newest" @move="make" />
  <div v-else class="big-sheet">
    <TouchSheet
      v-if="id === 'touch-columns'"
      :state="stateOf<ColumnsState>()"
      :setup="setup"
      :mode="mode"
      :lit-places="litPlaces"
      :newest="newest"
      @move="makeAll"
    />
    <ColumnSheet
      v-else
      :state="stateOf<ColumnsState>()"
      :writable="mode !== 'show'"
      :lit-places="litPlaces"
      :newest="newest"
      large
      :choices="setup.choices"
      :first="printNumeral(setup.worked.first)"
      @move="makeAll"
    />
  </div>
</template>

<style scoped>
.big-sheet {
  height: 100%;
  overflow: auto;
  display: grid;
  place-items: center;
  background: var(--sheet);
  padding: 1rem;
}
</style>
