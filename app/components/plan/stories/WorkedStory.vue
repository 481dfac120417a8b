<script setup lang="ts">
import { capital } from '../../../../core/door'
import { barsOfSteps } from '../../../../core/story/index'
import { STAGE_NAMES } from '../../../utils/storyNames'
import { answerText, givenText } from '../../../utils/storyText'
import type { OpenedStory } from '../../../composables/useOpenedStory'

/** A story as it was worked, stage by stage, to be read again. */
const { opened } = defineProps<{ opened: OpenedStory }>()
const classroom = useClassroom()
const MODE = { show: 'shown', together: 'worked together', alone: 'worked alone' }
</script>

<template>
  <p v-if="opened.trouble.value" class="trouble" role="alert">{{ opened.trouble.value }}</p>
  <div v-else-if="opened.story.value && opened.work.value && opened.trial.value" class="worked">
    <p>{{ classroom.nameOf(opened.trial.value.learnerId) }}, {{ MODE[opened.work.value.mode] }}</p>
    <StoryWords :sentences="opened.story.value.sentences" />
    <ol aria-label="What was given">
      <li v-for="(step, i) in opened.steps.value" :key="i">
        <span>{{ STAGE_NAMES[step.stage] }}</span>
        <span class="learner">{{ givenText(opened.story.value, step.stage, step.given) }}</span>
        <span v-if="step.says" :class="step.says.right ? 'right' : 'not'"
          >{{ step.says.right ? '✓ right' : '↻ not right' }}{{ step.says.slip ? `: ${step.says.slip}` : '' }}</span
        >
      </li>
    </ol>
    <p v-if="answerText(opened.story.value)" class="learner">{{ capital(answerText(opened.story.value)) }}</p>
    <StoryBars v-for="(bars, i) in barsOfSteps(opened.story.value)" :key="i" :bars="bars" />
    <p v-if="opened.trial.value.note" class="quiet">{{ opened.trial.value.note }}</p>
  </div>
  <p><NuxtLink class="stone-button" to="/learners/records">Back to the Daybook</NuxtLink></p>
</template>

<style scoped>
.worked {
  display: grid;
  gap: 1rem;
  max-width: 52rem;
}
p {
  margin: 0;
}
ol {
  margin: 0;
  padding: 0;
  list-style: none;
}
li {
  display: grid;
  grid-template-columns: 14rem minmax(0, 1fr) minmax(0, 1.4fr);
  gap: 0.2rem 1rem;
  padding: 0.5rem 0;
  border-top: 1.5px solid var(--rule);
}
.right {
  color: var(--moss);
  font-weight: 700;
}
.not {
  color: var(--plum);
  font-weight: 700;
}
@media (max-width: 700px) {
  li {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
