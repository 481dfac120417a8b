<script setup lang="ts">
/** A short list in an order of its own: added from what there is, moved forward, taken out. */
const { label, options } = defineProps<{
  label: string
  options: readonly (readonly [value: string, name: string])[]
}>()
const list = defineModel<readonly string[]>({ required: true })
const names = computed(() => new Map(options))
const open = computed(() => options.filter(([value]) => !list.value.includes(value)))
const add = (select: HTMLSelectElement): void => {
  if (select.value) list.value = [...list.value, select.value]
  select.value = ''
}
const without = (at: number): readonly string[] => list.value.filter((_, i) => i !== at)
const forward = (at: number): void => {
  const rest = without(at)
  list.value = [...rest.slice(0, at - 1), list.value[at]!, ...rest.slice(at - 1)]
}
</script>

<template>
  <fieldset>
    <legend>{{ label }}</legend>
    <ol>
      <li v-for="(value, i) in list" :key="value">
        <span>{{ names.get(value) ?? value }}</span>
        <button
          v-if="i > 0"
          type="button"
          class="stone-button bare"
          :aria-label="`${names.get(value) ?? value}: earlier`"
          @click="forward(i)"
        >
          ↑
        </button>
        <button
          type="button"
          class="stone-button bare"
          :aria-label="`${names.get(value) ?? value}: take out`"
          @click="list = without(i)"
        >
          ×
        </button>
      </li>
    </ol>
    <select v-if="open.length" :aria-label="`${label}: add`" @change="add($event.target as HTMLSelectElement)">
      <option value="">Add …</option>
      <option v-for="[value, name] in open" :key="value" :value="value">{{ name }}</option>
    </select>
  </fieldset>
</template>

<style scoped>
fieldset {
  margin: 0;
  padding: 0;
  border: 0;
  display: grid;
  gap: 0.3rem;
  justify-items: start;
}
legend {
  padding: 0;
  font-weight: 700;
}
ol {
  list-style: none;
  margin: 0;
  padding: 0;
  display: flex;
  flex-wrap: wrap;
  gap: 0.3rem;
}
li {
  display: inline-flex;
  align-items: center;
  padding-left: 0.7rem;
  border: 1.5px solid var(--edge);
  border-radius: 4px;
  background: var(--sheet);
}
select {
  max-width: 100%;
}
</style>
