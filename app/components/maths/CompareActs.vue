<script setup lang="ts">
/** Two amounts and the sign between them; more of them are put in order, the least first. */
const props = defineProps<{ amounts: readonly string[] }>()
const emit = defineEmits<{ move: [text: string] }>()

const SIGNS = { '<': 'is less than', '=': 'is as much as', '>': 'is more than' } as const
/** The order so far: amounts by their number in the list, and the signs between them. */
const order = ref<readonly { readonly index: number; readonly relation: '<' | '=' }[]>([])
watch(
  () => props.amounts.join(),
  () => (order.value = []),
)
const rest = computed(() => props.amounts.map((_, i) => i).filter((i) => !order.value.some((o) => o.index === i)))
const soFar = computed(() =>
  order.value.map((o, i) => (i === 0 ? props.amounts[o.index] : `${o.relation} ${props.amounts[o.index]}`)).join(' '),
)
function take(relation: '<' | '=', index: number): void {
  order.value = [...order.value, { index, relation }]
  if (order.value.length === props.amounts.length) {
    emit('move', `compare ${soFar.value}`)
    order.value = []
  }
}
</script>

<template>
  <div v-if="amounts.length === 2" class="compare" role="group" aria-label="Compare">
    <MathLine :line="amounts[0]!" named />
    <button
      v-for="(name, sign) in SIGNS"
      :key="sign"
      type="button"
      class="stone-button sign"
      :aria-label="name"
      @click="emit('move', `compare ${amounts[0]} ${sign} ${amounts[1]}`)"
    >
      {{ sign }}
    </button>
    <MathLine :line="amounts[1]!" named />
  </div>
  <div v-else class="compare" role="group" aria-label="Put in order, the least first">
    <span>{{ order.length === 0 ? 'The least:' : '' }}<MathLine v-if="soFar" :line="soFar" named /></span>
    <template v-for="i in rest" :key="i">
      <button
        v-for="r in order.length === 0 ? (['<'] as const) : (['<', '='] as const)"
        :key="r"
        type="button"
        class="stone-button"
        @click="take(r, i)"
      >
        <MathLine :line="order.length === 0 ? amounts[i]! : `${r} ${amounts[i]}`" named />
      </button>
    </template>
    <button v-if="order.length > 0" type="button" class="stone-button bare" @click="order = []">Begin again</button>
  </div>
</template>

<style scoped>
.compare {
  display: flex;
  flex-wrap: wrap;
  gap: 5px;
  align-items: center;
}
.sign {
  min-width: 44px;
  font: 700 1.3rem var(--learner);
}
</style>
