<script setup lang="ts">
import { capital, isRepresentation, pretty, REPRESENTATIONS, representationsFor } from '../../../../core/door'
import type { Workable } from '../../../../core/story/index'

/** What the work of the story is done with, and the way to the Bench. */
const { story } = defineProps<{ story: Workable }>()
const emit = defineEmits<{ give: [material: string]; work: [problem: string, material: string] }>()
const { t } = useI18n()
const problems = computed(() =>
  story.steps.length > 1 && story.problem ? [...new Set([story.problem, ...story.steps])] : story.steps,
)
const materials = computed(() =>
  (story.problem ? representationsFor(story.problem) : []).flatMap(({ fits, representation: id }) =>
    fits && isRepresentation(id) ? [{ id, title: capital(REPRESENTATIONS[id].title) }] : [],
  ),
)
const material = ref<string | null>(null)
const id = useId()
</script>

<template>
  <form class="stage" @submit.prevent="material && emit('give', material)">
    <div v-if="materials.length" class="in-row line">
      <div class="field">
        <label :for="id">{{ t('story.whichMaterial') }}</label>
        <Select
          v-model="material"
          :label-id="id"
          :options="materials"
          option-label="title"
          option-value="id"
          :placeholder="t('own.choose')"
          :aria-label="t('story.whichMaterial')"
        />
      </div>
      <Button type="submit" severity="secondary" :label="t('story.check')" :disabled="!material" />
    </div>
    <p v-else>{{ t('story.noMaterial') }}</p>
    <div class="in-row">
      <Button
        v-for="p in problems"
        :key="p"
        severity="secondary"
        :label="t('story.benchWith', { problem: pretty(p) })"
        @click="emit('work', p, material ?? '')"
      />
    </div>
  </form>
</template>

<style scoped src="./stage.css"></style>
