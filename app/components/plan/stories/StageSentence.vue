<script setup lang="ts">
/** The sentence of the story with ? for what is asked, and what is worked to find it. */
const emit = defineEmits<{ give: [given: string] }>()
const sentence = ref('')
const work = ref('')
const give = (): void => {
  if (sentence.value.trim() || work.value.trim()) emit('give', `${sentence.value.trim()}; ${work.value.trim()}`)
}
</script>

<template>
  <form class="stage" novalidate @submit.prevent="give">
    <div class="row">
      <label
        >What the story says, with ? for what is asked
        <input v-model="sentence" class="learner" type="text" size="14" maxlength="50" autocomplete="off"
      /></label>
      <label
        >What you work <input v-model="work" class="learner" type="text" size="10" maxlength="50" autocomplete="off"
      /></label>
      <button type="submit" class="stone-button main">Done</button>
    </div>
  </form>
</template>

<style scoped src="./stage.css"></style>
