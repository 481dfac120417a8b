<script setup lang="ts">
import { DEFAULT_CHOICES } from '../../../../core/door'
import { factGrid, grid } from '../../../../core/rehearse/index'

/** What one learner knows by heart, from rehearsing: products by their factors, and what a rod does for each digit. */
const { learner } = defineProps<{ learner: string }>()
const { answers, trouble } = useRehearsal(toRef(() => learner))
const classroom = useClassroom()
const now = Date.now()
const names = computed(() => classroom.hands?.abacus.names ?? DEFAULT_CHOICES.abacus.names)
const facts = computed(() => factGrid(answers.value, 10, now))
const rods = computed(() => ([1, -1] as const).map((way) => ({ way, rows: grid(answers.value, way, now) })))
const told = computed(() => {
  const count = (cells: readonly { state: string; tries: number }[]): string => {
    const tried = cells.filter((c) => c.tries > 0).length
    return `${cells.filter((c) => c.state === 'sure').length} of ${tried} that were asked are right and not due yet`
  }
  return {
    facts: count(facts.value.flat()),
    rods: count(rods.value.flatMap((r) => r.rows.flat())),
  }
})
const rehearsedFacts = computed(() => facts.value.flat().some((c) => c.tries > 0))
const rehearsedRods = computed(() => rods.value.some((r) => r.rows.flat().some((c) => c.tries > 0)))
</script>

<template>
  <div class="known">
    <p v-if="trouble" class="trouble" role="alert">{{ trouble }}</p>
    <template v-if="rehearsedFacts">
      <h3>Products</h3>
      <p>{{ told.facts }}.</p>
      <FactGrid :rows="facts" :hidden="false" @choose="navigateTo('/practice/facts')" />
    </template>
    <template v-if="rehearsedRods">
      <h3>Digits on a rod</h3>
      <p>{{ told.rods }}.</p>
      <RuleGrid v-for="r in rods" :key="r.way" :rows="r.rows" :names="names" rules @choose="navigateTo('/practice')" />
    </template>
    <p v-if="!rehearsedFacts && !rehearsedRods" class="quiet">
      Nothing has been rehearsed yet. <NuxtLink to="/practice/facts">Rehearse facts</NuxtLink>
    </p>
  </div>
</template>

<style scoped>
.known {
  display: grid;
  gap: 0.6rem;
}
h3 {
  font-size: 1.05rem;
}
</style>
