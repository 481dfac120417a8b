<script setup lang="ts">
import type { KeptRules } from '../../../../shared/progress'

/** The rules that suggestions go by, as the school sets them. */
const { rules } = defineProps<{ rules: KeptRules }>()
const emit = defineEmits<{ keep: [change: Partial<KeptRules>] }>()
const RULES = [
  ['moveOnShare', 'Move on at so many of 100 without help', 100],
  ['moveOnSessions', 'in so many sessions running', 1],
  ['concreteShare', 'More concrete below so many of 100', 100],
  ['concreteSessions', 'in so many sessions running', 1],
  ['aimSessions', 'Sessions on one side of the aim line', 1],
  ['leastTrials', 'Tries that make a session', 1],
] as const
const form = ref<Record<string, number>>({})
const weeks = ref('')
watch(
  () => rules,
  (now) => {
    form.value = Object.fromEntries(RULES.map(([key, , times]) => [key, Math.round(now[key] * times)]))
    weeks.value = now.checkWeeks.join(', ')
  },
  { immediate: true },
)
const keep = (): void =>
  emit('keep', {
    ...Object.fromEntries(RULES.map(([key, , times]) => [key, Number(form.value[key]) / times])),
    checkWeeks: weeks.value.split(/[\s,]+/).flatMap((t) => (t === '' ? [] : [Number(t)])),
  })
</script>

<template>
  <form class="goal" novalidate @submit.prevent="keep">
    <label v-for="([key, name], i) in RULES" :key="key"
      >{{ name }} <input v-model.number="form[key]" type="number" :min="i % 2 ? 1 : 10" max="100"
    /></label>
    <label class="wide"
      >Look again so many weeks after, with commas between <input v-model="weeks" type="text" maxlength="40"
    /></label>
    <p class="quiet wide">
      At first 80 in 3, below 50 in 3, and after 1 and 4 weeks: common practice. 4 on one side of the aim line: the
      four-point rule of curriculum-based measurement. They hold for the whole room.
    </p>
    <div class="in-row wide"><button type="submit" class="stone-button">Keep the rules</button></div>
  </form>
</template>

<style scoped src="./forms.css"></style>
