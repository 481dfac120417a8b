<script setup lang="ts">
import { capital, hasMat } from '../../../core/door'

/** Help where one is: the material’s card, then every key. */
const open = defineModel<boolean>('open', { required: true })
useReturnFocus()
const HandCard = defineAsyncComponent(() => import('./shelf/HandCard.vue'))
const bench = useBench()
const { t } = useI18n()
const { title } = useNames()
const card = computed(() => {
  const id = bench.bench.setup.representation
  return hasMat(id) ? id : null
})
const KEYS = [
  ['→  ←', 'steps'],
  ['space', 'play'],
  ['P', 'predict'],
  ['H', 'offer'],
  ['Z   Shift Z', 'undo'],
  ['A', 'ask'],
  ['R', 'answer'],
  ['/', 'type'],
  ['N', 'next'],
  ['S', 'save'],
  ['M   W', 'shelves'],
  ['withShift', 'modes'],
  ['B', 'beside'],
  ['+', 'advice'],
  ['L', 'learner'],
  ['.', 'say'],
  ['D', 'describe'],
  ['E', 'easy'],
  ['F', 'present'],
  ['onMat', 'mat'],
  ['onBeads', 'beads'],
  ['onSheet', 'sheet'],
] as const
const NAMED = ['space', 'withShift', 'onMat', 'onBeads', 'onSheet'] as const
const keyName = (key: string): string => {
  const named = NAMED.find((n) => n === key)
  return named ? t(`help.${named}`) : key
}
</script>

<template>
  <Dialog
    v-model:visible="open"
    modal
    :header="t('help.header')"
    :pt="{ content: { tabindex: 0 } }"
    :style="{ width: '40rem', maxWidth: '94vw' }"
  >
    <template v-if="card">
      <h2>{{ t('help.byHand', { title: capital(title(card)) }) }}</h2>
      <HandCard :id="card" class="card" />
    </template>
    <h2>{{ t('help.keys') }}</h2>
    <dl class="keys">
      <template v-for="[key, what] in KEYS" :key="key"
        ><dt>{{ keyName(key) }}</dt>
        <dd>{{ t(`help.${what}`) }}</dd></template
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
