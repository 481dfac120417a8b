<script setup lang="ts">
/** The sentence of the story with ? for what is asked, and what is worked to find it. */
const emit = defineEmits<{ give: [given: string] }>()
const { t } = useI18n()
const sentence = ref('')
const work = ref('')
const give = (): void => {
  if (sentence.value.trim() || work.value.trim()) emit('give', `${sentence.value.trim()}; ${work.value.trim()}`)
}
const id = useId()
</script>

<template>
  <form class="stage" novalidate @submit.prevent="give">
    <div class="in-row line">
      <div class="field">
        <label :for="`${id}-says`">{{ t('story.whatItSays') }}</label>
        <InputText
          :id="`${id}-says`"
          v-model="sentence"
          class="learner typed"
          size="14"
          maxlength="50"
          autocomplete="off"
        />
      </div>
      <div class="field">
        <label :for="`${id}-work`">{{ t('story.whatYouWork') }}</label>
        <InputText
          :id="`${id}-work`"
          v-model="work"
          class="learner typed"
          size="10"
          maxlength="50"
          autocomplete="off"
        />
      </div>
      <Button type="submit" :label="t('story.check')" />
    </div>
  </form>
</template>

<style scoped src="./stage.css"></style>
