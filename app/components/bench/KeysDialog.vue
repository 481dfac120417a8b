<script setup lang="ts">
const open = defineModel<boolean>('open', { required: true })
const KEYS: readonly (readonly [string, string])[] = [
  ['→  ←', 'next stone, a stone back'],
  ['Space', 'play or stop'],
  ['P', 'ask for a prediction before each step'],
  ['H', 'offer the next move'],
  ['Z   Shift Z', 'undo, redo'],
  ['A', 'ask: to the problem'],
  ['R', 'read: to the answer box'],
  ['/', 'type a move'],
  ['N', 'the same kind, other numbers'],
  ['S', 'save to the Daybook'],
  ['M   W', 'material, way of working'],
  ['1 2 3 with Shift', 'Show, Together, Alone'],
  ['B', 'another material beside, or away'],
  ['+', 'which way fits?'],
  ['L', 'learner'],
  ['.', 'say it again'],
  ['F', 'present: only ask, mat, page, words'],
  [
    'On the mat',
    'arrows walk · Enter picks up, lets go · a digit picks up so many · B breaks · T ties · Esc puts back',
  ],
  ['On beads', 'left and right go from rod to rod · ↑ ↓ a lower bead · Shift ↑ ↓ the upper one · a digit sets so many'],
  ['On the sheet', 'a digit writes · X strikes · S the small 1 · < > pull a number · arrows walk'],
]
</script>

<template>
  <Dialog v-model:visible="open" modal header="Keys" :style="{ width: '36rem', maxWidth: '94vw' }">
    <dl class="keys">
      <template v-for="[key, what] in KEYS" :key="key"
        ><dt>{{ key }}</dt>
        <dd>{{ what }}</dd></template
      >
    </dl>
  </Dialog>
</template>

<style scoped>
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
