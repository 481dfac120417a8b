<script setup lang="ts">
import { REPRESENTATIONS } from '../../../core/representation/index'
import { WORD_PACKS } from '../../../core/speech/words'
import type { BlocksState } from '../../../core/representation/blocks/state'
import type { ColumnsState } from '../../../core/representation/columns/state'
import type { CountingState } from '../../../core/representation/counting'
import type { NinesState } from '../../../core/representation/nines/nines'

/** The mat of the material in hand; each is loaded when it is first chosen. */
defineProps<{ litPlaces: readonly number[]; newest: boolean; places: number }>()
const emit = defineEmits<{ refuse: [why: string]; say: [text: string] }>()

const BlocksMat = defineAsyncComponent(() => import('./BlocksMat.vue'))
const CountingMat = defineAsyncComponent(() => import('./CountingMat.vue'))
const NinesMat = defineAsyncComponent(() => import('./NinesMat.vue'))
const TouchSheet = defineAsyncComponent(() => import('./TouchSheet.vue'))

const bench = useBench()
const setup = computed(() => bench.bench.setup)
const id = computed(() => setup.value.representation)
const counts = computed(() => REPRESENTATIONS[id.value].works === 'counting')
const pack = computed(() => WORD_PACKS[setup.value.choices.words])
const does = (operation: '+' | '-'): boolean => setup.value.problem.terms.some((t) => t.operation === operation)
const stateOf = <T,>(): T => bench.bench.now.states[id.value] as T
const make = (text: string): boolean => bench.make(id.value, text)
const makeAll = (texts: readonly string[]): boolean => texts.every(make)
</script>

<template>
  <BlocksMat
    v-if="id === 'blocks'"
    :key="bench.id"
    :state="stateOf<BlocksState>()"
    :places="places"
    :adding="does('+')"
    :taking="does('-')"
    :lit-places="litPlaces"
    :newest="newest"
    :lit="bench.lit"
    :stones="bench.stones.length"
    :ones="pack.ones[1]"
    @pick="(i) => (bench.picked = i)"
    @move="make"
    @refuse="(why) => emit('refuse', why)"
    @say="(text) => emit('say', text)"
  />
  <CountingMat
    v-else-if="counts"
    :key="`count${bench.id}`"
    :state="stateOf<CountingState>()"
    :setup="setup"
    :standing="bench.bench.now.standing"
    :mode="bench.bench.mode"
    :newest="newest"
    @move="make"
    @ask="(problem) => bench.ask(problem)"
    @refuse="(why) => emit('refuse', why)"
  />
  <NinesMat
    v-else-if="id === 'nines'"
    :state="stateOf<NinesState>()"
    :mode="bench.bench.mode"
    :newest="newest"
    @move="make"
  />
  <div v-else class="big-sheet">
    <TouchSheet
      v-if="id === 'touch-columns'"
      :state="stateOf<ColumnsState>()"
      :setup="setup"
      :mode="bench.bench.mode"
      :lit-places="litPlaces"
      :newest="newest"
      @move="makeAll"
    />
    <ColumnSheet
      v-else
      :state="stateOf<ColumnsState>()"
      :writable="bench.bench.mode !== 'show'"
      :lit-places="litPlaces"
      :newest="newest"
      large
      :choices="setup.choices"
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
