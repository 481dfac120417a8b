<script setup lang="ts">
import { isRepresentation, REPRESENTATIONS } from '../../../../core/door'
import type { Cupboard } from '../../../../shared/cupboard'

/** All that the school has, shelf by shelf. */
const { cupboard } = defineProps<{ cupboard: Cupboard }>()
const shelves = computed(() => {
  const by = new Map<string, { readonly what: string; readonly have: number }[]>()
  for (const [key, { have, shelf = '' }] of Object.entries(cupboard.stock)) {
    if (have === 0 && shelf === '') continue
    const [material, kind] = key.split('/') as [string, string]
    const title = isRepresentation(material) ? REPRESENTATIONS[material].title : material
    by.set(shelf, [...(by.get(shelf) ?? []), { what: `${title}: ${kind}`, have }])
  }
  return [...by].sort(([a], [b]) => Number(a === '') - Number(b === '') || a.localeCompare(b, 'en', { numeric: true }))
})
</script>

<template>
  <section v-if="shelves.length" aria-label="What there is, by shelf">
    <h2>What there is</h2>
    <dl>
      <template v-for="[shelf, things] in shelves" :key="shelf">
        <dt>{{ shelf || 'On no shelf yet' }}</dt>
        <dd v-for="t in things" :key="t.what">{{ t.what }}, {{ t.have }}</dd>
      </template>
    </dl>
  </section>
</template>

<style scoped>
h2 {
  margin: 0 0 0.3rem;
  font-size: 1.15rem;
}
dl {
  margin: 0;
  columns: 14rem;
}
dt {
  font-weight: 700;
}
dd {
  margin: 0 0 0.1rem 0.8rem;
}
</style>
