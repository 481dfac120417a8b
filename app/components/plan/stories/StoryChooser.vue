<script setup lang="ts">
import { cellId, CELLS, misleads, type Cell } from '../../../../core/story/index'
import { askedName, groupOf } from '../../../utils/storyNames'

/** What a story is told from, and which of the kinds that fit it. */
const { fitting, chosen } = defineProps<{ fitting: readonly Cell[]; chosen: Cell | undefined }>()
const problem = defineModel<string>('problem', { required: true })
const cell = defineModel<string>('cell', { required: true })
const groups = computed(() =>
  [...new Set(fitting.map(groupOf))].map((name) => ({ name, cells: fitting.filter((c) => groupOf(c) === name) })),
)
</script>

<template>
  <form class="for" aria-label="Which story" @submit.prevent>
    <label>Told from <input v-model="problem" class="learner" type="text" maxlength="60" autocomplete="off" /></label>
    <p class="quiet">Like 15 − 8, 20 × 3/4, −3 + 5, 12 + 8 − 5, 4 × 6 − 5, or 3 × 12 ? 40 for “is it enough?”</p>
    <fieldset v-for="g in groups" :key="g.name">
      <legend>{{ g.name }}</legend>
      <label v-for="c in g.cells" :key="cellId(c)" class="tick">
        <input v-model="cell" type="radio" name="cell" :value="cellId(c)" :checked="chosen === c" />
        <span>{{ askedName(c) }}<span v-if="misleads(c)" class="quiet"> · its words mislead</span></span>
      </label>
    </fieldset>
    <p class="quiet">{{ fitting.length }} of {{ CELLS.length }} kinds of story are worked so.</p>
  </form>
</template>

<style scoped>
.for {
  display: grid;
  gap: 0.8rem;
  min-width: 0;
}
.for > label {
  display: grid;
  gap: 0.2rem;
}
.for > label input {
  font-size: 1.3rem;
}
fieldset {
  margin: 0;
  padding: 0.3rem 0 0;
  border: 0;
  border-top: 1.5px solid var(--rule);
  min-width: 0;
}
legend {
  float: left;
  width: 100%;
  font-weight: 700;
}
.tick {
  clear: both;
}
p {
  margin: 0;
}
input[type='radio'] {
  accent-color: var(--clay);
  width: 22px;
  height: 22px;
  flex: none;
}
</style>
