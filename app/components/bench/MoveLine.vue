<script setup lang="ts">
import { REPRESENTATIONS } from '../../../core/representation/index'
import type { RepresentationId } from '../../../core/representation/representation'

const EXAMPLES: Partial<Record<RepresentationId, string>> = {
  blocks: 'lay 52 · break ten · take 7 ones',
  chips: 'lay 52 · break ten · take 7 ones',
  drawn: 'draw 52 · break ten · cross 7 ones',
  nines: 'fold 4 · unfold 4 · read 36',
  'touch-columns': 'say 9 ones · answer 5 ones',
  openline: 'start 45 · hop +30 · read 82',
  partials: 'write 30 + 40 = 70',
  friendly: 'write 29 + 46 = 30 + 45',
  splits: 'write 45 = 40 + 5',
}
const BEADS = 'ones lower 2 to bar · tens upper 1 away'
const bench = useBench()
const text = ref('')
const box = ref<{ $el: HTMLInputElement } | null>(null)
function go(): void {
  if (text.value.trim() && bench.type(text.value)) text.value = ''
}
const example = computed(() => {
  const r = REPRESENTATIONS[bench.bench.setup.representation]
  return (
    EXAMPLES[r.id] ??
    (r.works.includes('beads')
      ? BEADS
      : r.verbs
        ? `${r.verbs.lay} 5 · hold 8 · on 9 · read 9`
        : 'write 52 · strike tens · answer 5 ones')
  )
})
defineExpose({ focus: () => box.value?.$el.focus() })
</script>

<template>
  <form class="line" @submit.prevent="go">
    <label class="sr-only" for="move">Type a move</label>
    <InputText
      id="move"
      ref="box"
      v-model="text"
      :placeholder="`/  ${example}`"
      autocomplete="off"
      spellcheck="false"
    />
  </form>
</template>

<style scoped>
.line {
  flex: 1 1 8rem;
  min-width: 7rem;
  max-width: 17.5rem;
}
.line :deep(input) {
  width: 100%;
}
</style>
