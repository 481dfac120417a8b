<script setup lang="ts">
import { inClassWords, packOf, REPRESENTATIONS } from '../../../core/door'

const bench = useBench()
const { t } = useI18n()
const text = ref('')
const box = ref<HTMLInputElement | null>(null)
function go(): void {
  if (text.value.trim() && bench.type(text.value)) text.value = ''
}
const example = computed(() => {
  const { representation, choices } = bench.bench.setup
  return inClassWords(REPRESENTATIONS[representation].example, packOf(choices.words))
})
defineExpose({ focus: () => box.value?.focus() })
</script>

<template>
  <form class="line" @submit.prevent="go">
    <label class="sr-only" for="move">{{ t('foot.typeMove') }}</label>
    <input
      id="move"
      ref="box"
      v-model="text"
      type="text"
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
