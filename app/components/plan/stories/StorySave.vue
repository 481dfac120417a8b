<script setup lang="ts">
import { capital } from '../../../../core/door'
import type { Workable } from '../../../../core/story/index'
import { answerText } from '../../../utils/storyText'
import type { StoryDesk } from '../../../composables/useStoryDesk'
import type { Help } from '../../../../shared/levels'

/** How a worked story went, with the mistakes that are known, and whose work it is. */
const { desk, story } = defineProps<{ desk: StoryDesk; story: Workable }>()
const classroom = useClassroom()
const { t } = useI18n()
const { tell } = useNotice()
const { trouble, tried } = useTrouble()
const learnerId = ref<string | null>(classroom.learnerId)
const right = ref(false)
const help = ref<Help>('independent')
const note = ref('')
watch(
  () => desk.outcome.value,
  (came) => {
    right.value = came?.right ?? false
    help.value = came && came.shown.length > 0 ? 'shown' : 'independent'
  },
  { immediate: true },
)
const save = (): Promise<void> =>
  tried(async () => {
    const { value: learner } = learnerId
    if (!learner) throw new Error(t('story.chooseWhose'))
    await desk.save(learner, { right: right.value, help: help.value, note: note.value })
    classroom.learnerId = learner
    void tell(t('story.saved', { name: classroom.nameOf(learner) }), '')
  })
</script>

<template>
  <section class="save" :aria-label="t('story.result')">
    <p v-if="!desk.latest.value.has('answer')">{{ t('story.noAnswer') }}</p>
    <template v-else>
      <p v-if="answerText(story)" class="learner">{{ capital(answerText(story)) }}</p>
      <ul v-if="desk.outcome.value?.slips.length" class="plain">
        <li v-for="slip in desk.outcome.value.slips" :key="slip">
          <span class="tag plum">{{ capital(slip) }}</span>
        </li>
      </ul>
      <p v-else>{{ t('story.noMistake') }}</p>
      <form class="keep" novalidate @submit.prevent="save">
        <OutcomeFields v-model:learner-id="learnerId" v-model:right="right" v-model:help="help" v-model:note="note" />
        <p v-if="trouble" class="trouble" role="alert">{{ trouble }}</p>
        <div class="in-row"><Button type="submit" :label="t('story.save')" /></div>
      </form>
    </template>
  </section>
</template>

<style scoped>
.save,
.keep {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 12px;
}
.plain {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}
</style>
