<script setup lang="ts">
import type { Workable } from '../../../../core/story/index'

/** The answer, as a number with its unit, or that nobody can know. */
const { story } = defineProps<{ story: Workable }>()
const emit = defineEmits<{ give: [given: string] }>()
const given = ref('')
const give = (): void => void (given.value.trim() && emit('give', given.value.trim()))
</script>

<template>
  <form class="stage" novalidate @submit.prevent="give">
    <div class="row">
      <label
        >The answer, with what it is a number of
        <input v-model="given" class="learner" type="text" size="18" maxlength="60" autocomplete="off"
      /></label>
      <button type="submit" class="stone-button main">Done</button>
    </div>
    <button type="button" class="stone-button" @click="emit('give', 'nobody can know')">
      Nobody can know: a number is missing
    </button>
    <p v-if="story.cell.situation === 'enough'" class="quiet">Like this: yes, 4 left over; or: no, 4 missing.</p>
  </form>
</template>

<style scoped src="./stage.css"></style>
