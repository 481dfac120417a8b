<script setup lang="ts">
import { capital, REPRESENTATION_IDS, REPRESENTATIONS } from '../../../../core/door'
import { HELP_LEVELS } from '../../../../shared/levels'
import type { KeptGoal } from '../../../../shared/progress'

/** A goal that can be measured: of what, with which material and at most which help, how much of it, by when. */
const { goal, learner, step } = defineProps<{
  goal: KeptGoal | undefined
  learner: string
  step: string
}>()
const emit = defineEmits<{ keep: [goal: KeptGoal] }>()
const HELP: Readonly<Record<string, string>> = {
  independent: 'without help',
  pointed: 'pointing at most',
  spoken: 'a spoken hint at most',
  shown: 'shown at most',
  'hand-over-hand': 'hand over hand too',
}
const fresh = () => ({
  share: 80,
  by: today(42),
  words: '',
  material: '',
  help: 'independent',
})
const form = reactive(fresh())
watch(
  () => goal,
  (g) =>
    Object.assign(
      form,
      g ? { share: Math.round(g.share * 100), by: g.by, words: g.words, material: g.material, help: g.help } : fresh(),
    ),
  { immediate: true },
)
const materials = REPRESENTATION_IDS.map((m) => [m, capital(REPRESENTATIONS[m].title)] as const)
const keep = (archived = false): void =>
  emit('keep', {
    id: goal?.id ?? crypto.randomUUID(),
    learnerId: learner,
    step,
    material: form.material as KeptGoal['material'],
    help: form.help as KeptGoal['help'],
    share: Math.min(100, Math.max(10, Number(form.share) || 80)) / 100,
    set: goal?.set ?? today(),
    by: form.by,
    words: form.words.trim(),
    archived,
    version: goal?.version ?? 0,
  })
</script>

<template>
  <form class="goal" novalidate @submit.prevent="keep()">
    <label>Right without help, of 100 <input v-model.number="form.share" type="number" min="10" max="100" /></label>
    <label>By <input v-model="form.by" type="date" /></label>
    <label
      >With
      <select v-model="form.material">
        <option value="">any material</option>
        <option v-for="[m, title] in materials" :key="m" :value="m">{{ title }}</option>
      </select></label
    >
    <label
      >It counts
      <select v-model="form.help">
        <option v-for="h in HELP_LEVELS" :key="h" :value="h">{{ HELP[h] }}</option>
      </select></label
    >
    <label class="wide">In your own words <input v-model="form.words" type="text" maxlength="300" /></label>
    <div class="in-row wide">
      <button type="submit" class="stone-button main">{{ goal ? 'Change the goal' : 'Set the goal' }}</button>
      <button v-if="goal" type="button" class="stone-button" @click="keep(true)">Put it away</button>
    </div>
  </form>
</template>

<style scoped src="./forms.css"></style>
