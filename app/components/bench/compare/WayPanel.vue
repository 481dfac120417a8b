<script setup lang="ts">
import type { BoardPanel } from '../../../../core/course/index'
import {
  capital,
  heldBy,
  onPage,
  printExact,
  type RepresentationId,
  REPRESENTATIONS,
  setUp,
  stand,
  standingFor,
  type WayId,
  waysOf,
} from '../../../../core/door'
import { matOf, type MatView } from '../../../mats'
import { placesFor } from '../../../utils/placesFor'

/** One way on the board, worked to its end: what it leaves on paper or on the mat, and its answer. */
const props = defineProps<{ panel: BoardPanel; number: number }>()
const emit = defineEmits<{ material: [id: RepresentationId]; way: [id: WayId] }>()

const id = computed(() => props.panel.representation)
const problem = computed(() => props.panel.plan.problem)
const setup = computed(() => setUp({ problem: problem.value, representation: id.value, way: props.panel.way }))
const standing = computed(() =>
  props.panel.plan.steps.reduce((s, { act }) => stand(setup.value.worked, s, act), standingFor(setup.value)),
)
const materials = computed(() => heldBy(problem.value).map((value) => ({ value, label: REPRESENTATIONS[value].title })))
const ways = computed(() =>
  waysOf(problem.value, REPRESENTATIONS[id.value]).map((w) => ({ value: w.way, label: w.title })),
)
/** Lines for a material that leaves nothing written. */
const lines = computed(() => onPage(props.panel.plan.steps))
const { figures } = useFigures()
const mat = computed(() => matOf(id.value))
/** What is itself written or drawn needs no lines beside it. */
const lined = computed(() => !mat.value.small || REPRESENTATIONS[id.value].kind === 'concrete')
const view = computed<MatView>(() => ({
  id: id.value,
  state: props.panel.state,
  setup: setup.value,
  standing: standing.value,
  mode: 'show',
  guess: null,
  places: placesFor(problem.value),
  litPlaces: [],
  lit: -1,
  acts: [],
  // Laid before anything is lit.
  stones: 1,
  newest: false,
  pointed: [],
  small: true,
}))
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
    <div class="work" :class="[mat.lies, { lined, alone: !mat.small }]" inert>
      <component :is="mat.component" v-if="mat.small" v-bind="mat.props(view)" />
      <ol v-if="lined" class="learner lines">
        <li v-for="(line, i) in lines" :key="i">
          {{ figures(line.text) }} <small v-if="line.rule">{{ line.rule }}</small>
        </li>
      </ol>
    </div>
    <footer class="learner">
      <strong>{{ figures(printExact(panel.reads)) }}</strong>
      <span class="quiet">{{ steps }} moves</span>
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
.work.sheet {
  place-items: center;
  overflow: auto;
}
.work.lined {
  grid-template-columns: minmax(0, 5fr) minmax(0, 6fr);
}
.work.lined.alone {
  grid-template-columns: minmax(0, 1fr);
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
