<script setup lang="ts">
import type { Workable } from '../../../../core/story/index'

/** The answer, as a number with its unit, or that nobody can know. */
const { story } = defineProps<{ story: Workable }>()
const emit = defineEmits<{ give: [given: string] }>()
const { t } = useI18n()
const given = ref('')
const give = (): void => void (given.value.trim() && emit('give', given.value.trim()))
const id = useId()
</script>

<template>
  <form class="stage" novalidate @submit.prevent="give">
    <div class="in-row line">
      <div class="field">
        <label :for="id">{{ t('story.answer') }}</label>
        <InputText :id="id" v-model="given" class="learner typed" size="16" maxlength="60" autocomplete="off" />
      </div>
      <Button type="submit" :label="t('story.check')" />
    </div>
    <p v-if="story.cell.situation === 'enough'" class="quiet">{{ t('story.enoughLike') }}</p>
    <Button severity="secondary" :label="t('story.nobody')" @click="emit('give', 'nobody can know')" />
  </form>
</template>

<style scoped src="./stage.css"></style>
