<script setup lang="ts">
import { capital, hasMat, REPRESENTATIONS } from '../../../core/door'

/** Help where one is: the material’s card, then every key. */
const open = defineModel<boolean>('open', { required: true })
useReturnFocus()
const HandCard = defineAsyncComponent(() => import('../shelf/HandCard.vue'))
const bench = useBench()
const card = computed(() => {
  const id = bench.bench.setup.representation
  return hasMat(id) ? id : null
})
const KEYS: readonly (readonly [string, string])[] = [
  ['→  ←', 'next step, back one step'],
  ['Space', 'play or stop'],
  ['P', 'ask for a prediction before each step'],
  ['H', 'offer the next move'],
  ['Z   Shift Z', 'undo, redo'],
  ['A', 'ask: go to the problem box'],
  ['R', 'go to the answer box'],
  ['/', 'type a move'],
  ['N', 'the same kind of problem with other numbers'],
  ['S', 'save to the Daybook'],
  ['M   W', 'material, way of working'],
  ['1 2 3 with Shift', 'Show, Together, Alone'],
  ['B', 'put another material beside it, or away'],
  ['+', 'which way suits this problem?'],
  ['L', 'choose the learner'],
  ['.', 'say it again'],
  ['D', 'describe what lies there now'],
  ['E', 'one thing at a time, or everything again'],
  ['F', 'present: the problem, the mat and the page, large'],
  [
    'On the mat',
    'arrows walk · Enter picks up, lets go · a digit picks up so many · B breaks · T ties · Esc puts back',
  ],
  ['On beads', 'left and right go from rod to rod · ↑ ↓ a lower bead · Shift ↑ ↓ the upper one · a digit sets so many'],
  ['On the sheet', 'a digit writes · X strikes · S the small 1 · < > pull a number · arrows walk'],
]
</script>

<template>
  <Dialog
    v-model:visible="open"
    modal
    header="Help"
    :pt="{ content: { tabindex: 0 } }"
    :style="{ width: '40rem', maxWidth: '94vw' }"
  >
    <template v-if="card">
      <h2>{{ capital(REPRESENTATIONS[card].title) }}, by hand</h2>
      <HandCard :id="card" class="card" />
    </template>
    <h2>Keys</h2>
    <dl class="keys">
      <template v-for="[key, what] in KEYS" :key="key"
        ><dt>{{ key }}</dt>
        <dd>{{ what }}</dd></template
      >
    </dl>
  </Dialog>
</template>

<style scoped>
h2 {
  font-size: 1.05rem;
  margin: 0.2rem 0 0.5rem;
}
.steps.card {
  margin-bottom: 1.2rem;
}
.keys {
  display: grid;
  grid-template-columns: 9.5rem 1fr;
  gap: 0.45rem 1rem;
  margin: 0;
}
dt {
  font-weight: 700;
}
dd {
  margin: 0;
}
</style>
