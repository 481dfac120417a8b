<script setup lang="ts">
import type { BoardPanel } from '../../../core/plan/board'
import { setUp } from '../../../core/plan/setup'
import { standingFor } from '../../../core/plan/plan'
import { onPage } from '../../../core/plan/lines'
import { stand } from '../../../core/act/standing'
import { printExact } from '../../../core/number/numeral'
import { capital } from '../../../core/number/words'
import { placesFor } from '../../utils/placesFor'
import { decimalsIn } from '../../../core/problem/problem'
import { offersFor, REPRESENTATIONS } from '../../../core/representation/index'
import type { RepresentationId } from '../../../core/representation/representation'
import { BLOCKS } from '../../../core/representation/blocks/blocks'
import { CHIPS } from '../../../core/representation/chips/chips'
import { waysOf } from '../../../core/way/index'
import type { WayId } from '../../../core/way/way'
import type { AbacusState } from '../../../core/representation/abacus/frame'
import type { ColumnsState } from '../../../core/representation/columns/state'
import type { DrawnState } from '../../../core/representation/drawn/state'
import type { OpenLineState } from '../../../core/representation/openline/openline'
import type { PlacedState } from '../../../core/representation/placed/state'
import type { WritingState } from '../../../core/representation/writing/writing'

/** One way on the board, worked to its end: what it leaves on paper or on the mat, and its answer. */
const props = defineProps<{ panel: BoardPanel; number: number }>()
const emit = defineEmits<{ material: [id: RepresentationId]; way: [id: WayId] }>()

const id = computed(() => props.panel.representation)
const problem = computed(() => props.panel.plan.problem)
const setup = computed(() => setUp({ problem: problem.value, representation: id.value, way: props.panel.way }))
const standing = computed(() =>
  props.panel.plan.steps.reduce((s, { act }) => stand(setup.value.worked, s, act), standingFor(setup.value.worked)),
)
const places = computed(() => placesFor(problem.value))
const materials = computed(() =>
  offersFor(problem.value)
    .filter((o) => o.fits && o.representation !== 'equations')
    .map((o) => ({ value: o.representation, label: o.title })),
)
const ways = computed(() =>
  waysOf(problem.value, REPRESENTATIONS[id.value]).map((w) => ({ value: w.way, label: w.title })),
)
/** Lines for a material that leaves nothing written. */
const lines = computed(() => onPage(props.panel.plan.steps))
const written = computed(() => ['partials', 'friendly', 'splits'].includes(id.value))
const beads = computed(() => REPRESENTATIONS[id.value].works.includes('beads'))
const pieces = computed(() => id.value === 'blocks' || id.value === 'chips')
const takes = computed(() => problem.value.terms.some((t) => t.operation === '-'))
const stateOf = <T,>(): T => props.panel.state as T
const steps = computed(() => props.panel.plan.steps.filter((s) => (s.moves[id.value] ?? []).length > 0).length)
</script>

<template>
  <section class="panel" :aria-label="`Way ${number}: ${capital(panel.title)}, ${panel.wayTitle}`">
    <header>
      <Select
        :model-value="id"
        :options="materials"
        option-label="label"
        option-value="value"
        :aria-label="`Material of way ${number}`"
        @update:model-value="(m: RepresentationId) => emit('material', m)"
      />
      <Select
        :model-value="panel.way"
        :options="ways"
        option-label="label"
        option-value="value"
        :aria-label="`Way of working ${number}`"
        @update:model-value="(w: WayId) => emit('way', w)"
      />
    </header>
    <div class="work" inert>
      <div v-if="id === 'columns' || id === 'touch-columns'" class="sheet-room">
        <ColumnSheet
          :state="stateOf<ColumnsState>()"
          :writable="false"
          :lit-places="[]"
          :newest="false"
          :choices="setup.choices"
          large
        />
      </div>
      <OpenLineMat
        v-else-if="id === 'openline'"
        :state="stateOf<OpenLineState>()"
        :setup="setup"
        :works="false"
        :newest="false"
      />
      <DrawnMat
        v-else-if="id === 'drawn'"
        :state="stateOf<DrawnState>()"
        :places="places"
        :works="false"
        :lit-places="[]"
        :newest="false"
        ones="ones"
      />
      <WritingMat
        v-else-if="written"
        :state="stateOf<WritingState>()"
        :setup="setup"
        :standing="standing"
        mode="show"
        :newest="false"
      />
      <div v-else class="beside" :class="{ alone: !pieces && !beads, ruled: beads }">
        <PlacedMat
          v-if="pieces"
          :material="id === 'blocks' ? BLOCKS : CHIPS"
          :state="stateOf<PlacedState>()"
          :places="places"
          :decimals="decimalsIn(problem)"
          :adding="false"
          :taking="takes"
          :lit-places="[]"
          :newest="false"
          :exchange="null"
          :lit="-1"
          :stones="0"
          ones="ones"
        />
        <AbacusMat
          v-else-if="beads"
          :state="stateOf<AbacusState>()"
          :works="false"
          small
          ones="ones"
          :label="`Beads of way ${number}`"
        />
        <ol class="learner lines">
          <li v-for="(line, i) in lines" :key="i">
            {{ line.text }} <small v-if="line.rule">{{ line.rule }}</small>
          </li>
        </ol>
      </div>
    </div>
    <footer class="learner">
      <strong>{{ printExact(panel.reads) }}</strong>
      <span class="quiet">{{ steps }} steps</span>
    </footer>
  </section>
</template>

<style scoped>
.panel {
  display: grid;
  grid-template-rows: auto minmax(0, 1fr) auto;
  min-height: 0;
  min-width: 0;
  border: 1.5px solid var(--edge);
  border-radius: 4px;
  background: var(--sheet);
  overflow: hidden;
}
header {
  display: flex;
  gap: 6px;
  padding: 5px 6px;
  background: var(--paper-2);
  min-width: 0;
}
header :deep(.p-select) {
  min-width: 0;
  flex: 1 1 0;
}
.work {
  min-height: 0;
  overflow: hidden;
  display: grid;
}
.work :deep(.sheet.large) {
  --s: 34px;
  font-size: 1.45rem;
}
.work :deep(.writing) {
  padding: 6px;
}
.work :deep(.writing .sheet) {
  font-size: 0.94rem;
  line-height: 1.2;
  padding: 4px 10px;
}
.sheet-room {
  display: grid;
  place-items: center;
  overflow: auto;
}
.beside {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
  min-height: 0;
}
.beside.alone {
  grid-template-columns: minmax(0, 1fr);
}
.beside.ruled {
  grid-template-columns: minmax(0, 5fr) minmax(0, 6fr);
}
.lines li {
  display: flex;
  flex-wrap: wrap;
  justify-content: space-between;
  gap: 0 0.8rem;
}
.lines small {
  margin-left: auto;
  color: var(--ink-2);
}
.ruled .lines {
  font-size: 1.05rem;
  line-height: 1.3;
}
.lines {
  list-style: none;
  margin: 0;
  padding: 0.5rem 0.8rem;
  font-size: 1.15rem;
  line-height: 1.5;
  overflow: auto;
}
footer {
  display: flex;
  justify-content: space-between;
  align-items: baseline;
  padding: 2px 12px;
  border-top: 1.5px solid var(--edge);
  font-size: 1.05rem;
}
footer strong {
  font-size: 1.7rem;
}
</style>
