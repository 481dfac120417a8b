<script setup lang="ts">
import { capital } from '../../../../core/door'
import { barsOfSteps } from '../../../../core/story/index'
import { answerText } from '../../../utils/storyText'
import type { OpenedStory } from '../../../composables/useOpenedStory'

/** A story as it was worked, stage by stage, to be read again. */
const { opened } = defineProps<{ opened: OpenedStory }>()
const classroom = useClassroom()
const { t } = useI18n()
const { givenText, stageName } = useStoryNames()
</script>

<template>
  <p v-if="opened.trouble.value" class="trouble" role="alert">{{ opened.trouble.value }}</p>
  <div v-else-if="opened.story.value && opened.work.value && opened.trial.value" class="card worked">
    <h2>
      {{ t(`story.worked.${opened.work.value.mode}`, { name: classroom.nameOf(opened.trial.value.learnerId) }) }}
    </h2>
    <StoryWords :sentences="opened.story.value.sentences" />
    <ol class="plain" :aria-label="t('story.gave')">
      <li v-for="(step, i) in opened.steps.value" :key="i">
        <span>{{ stageName(step.stage) }}</span>
        <span class="learner">{{ givenText(opened.story.value, step.stage, step.given) }}</span>
        <span v-if="step.says">
          <span class="tag" :class="step.says.right ? 'moss' : 'plum'">
            <IconCheck v-if="step.says.right" /><IconX v-else />
            {{ t(step.says.right ? 'story.right' : 'story.notRight') }}
          </span>
          {{ step.says.slip }}
        </span>
      </li>
    </ol>
    <p v-if="answerText(opened.story.value)" class="learner">{{ capital(answerText(opened.story.value)) }}</p>
    <StoryBars v-for="(bars, i) in barsOfSteps(opened.story.value)" :key="i" :bars="bars" />
    <p v-if="opened.trial.value.note" class="quiet">{{ opened.trial.value.note }}</p>
  </div>
  <p>
    <NuxtLink class="reach" to="/learners/records">{{ t('story.toRecords') }}</NuxtLink>
  </p>
</template>

<style scoped>
.worked {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 16px;
  max-width: 56rem;
}
li {
  display: grid;
  grid-template-columns: 14rem minmax(0, 1fr) minmax(0, 1.4fr);
  gap: 4px 16px;
  align-items: center;
  padding: 8px 0;
  border-top: 1px solid var(--line);
}
@media (max-width: 700px) {
  li {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
