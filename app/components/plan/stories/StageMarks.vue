<script setup lang="ts">
import { pretty } from '../../../../core/door'
import { printAmount, rolesOf, toldNumbers, type Workable } from '../../../../core/story/index'

/** Which numbers are needed, what is asked, and whether a number is missing. */
const { story } = defineProps<{ story: Workable }>()
const emit = defineEmits<{ give: [given: string] }>()
const numbers = computed(() => {
  const all = [...toldNumbers(story), ...(story.extra === undefined ? [] : [story.extra])]
  // Beside each other in the order of size, so that the one that is not needed does not stand out.
  return [...new Set(all)]
    .map((n) => ({ n, text: pretty(printAmount(n.includes('/') ? 'share' : 'whole', n)) }))
    .sort((a, b) => parseFloat(a.text) - parseFloat(b.text))
})
const needs = ref<string[]>([])
const asked = ref('')
const missing = ref(false)
const asks = computed(() => [
  ...rolesOf(story.cell),
  ...(story.cell.unknown === 'both' ? ([['both', 'both parts']] as const) : []),
])
const twice = computed(() => {
  // Where a number is told twice, it is needed twice.
  const all = toldNumbers(story)
  return needs.value.flatMap((n) => Array.from({ length: Math.max(1, all.filter((m) => m === n).length) }, () => n))
})
const id = useId()
const give = (): void =>
  emit(
    'give',
    [
      `needs=${twice.value.join()}`,
      ...(missing.value ? ['missing=yes'] : []),
      ...(asked.value ? [`asked=${asked.value}`] : []),
    ].join(' '),
  )
</script>

<template>
  <form class="stage" @submit.prevent="give">
    <fieldset>
      <legend>The numbers that one needs</legend>
      <label v-for="{ n, text } in numbers" :key="n" class="pick learner"
        ><input v-model="needs" type="checkbox" :value="n" /> {{ text }}</label
      >
    </fieldset>
    <fieldset>
      <legend>What is asked</legend>
      <label v-for="[role, name] in asks" :key="role" class="pick"
        ><input v-model="asked" type="radio" :name="id" :value="role" /> {{ name }}</label
      >
    </fieldset>
    <label class="pick"><input v-model="missing" type="checkbox" /> A number is missing</label>
    <button type="submit" class="stone-button main" :disabled="!asked">Done</button>
  </form>
</template>

<style scoped src="./stage.css"></style>
