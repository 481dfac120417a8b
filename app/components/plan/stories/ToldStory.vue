<script setup lang="ts">
import { attempt, parseProblem, pretty } from '../../../../core/door'
import { barsOfSteps, LENGTHS, type ToldPlan } from '../../../../core/story/index'
import { readingGrade, readingLevel } from '../../../utils/readingLevel'
import type { ToldStory } from '../../../composables/useToldStory'

/** A problem told by Sett: the kinds of story that fit at the left, the story large at the right, with what can be changed in it. */
const { of } = defineProps<{ of: ToldStory }>()
const emit = defineEmits<{ work: [problem: string]; stages: [plan: ToldPlan] }>()
const { t } = useI18n()
const { kindName, trickyOf } = useStoryNames()
const { kept, allScenes, fitting, cell, told, unread, renew } = of
const showing = ref<string[]>([])
const story = computed(() => told.value?.story ?? null)
const tricky = computed(() => (cell.value ? trickyOf(cell.value) : ''))
const trouble = computed(() => unread.value || (story.value ? '' : t('story.none')))
const level = computed(() => {
  const grade = story.value ? Math.max(0, readingGrade(story.value.sentences)) : 0
  return t('story.level', { level: t(`story.level.${readingLevel(grade)}`), grade: grade.toFixed(1) })
})
/** The problem as the Bench reads it; null where it has none. */
const benchProblem = computed(() => {
  const problem = story.value?.problem
  return problem && 'ok' in attempt(() => parseProblem(problem)) ? problem : null
})
const shows = [
  { value: 'bars', label: t('story.bars') },
  { value: 'sentence', label: t('story.sentence') },
]
const lengths = LENGTHS.map((value) => ({ value, label: t(`story.length.${value}`) }))
const modes = (['show', 'together', 'alone'] as const).map((value) => ({ value, label: t(`story.mode.${value}`) }))
const scenes = computed(() => [
  { value: 'any', label: t('story.anyScene') },
  ...allScenes.value.map((s) => ({ value: s.id, label: s.title })),
])
const scene = computed({
  get: () => (allScenes.value.some((s) => s.id === kept.value.scene) ? kept.value.scene : 'any'),
  set: (id) => (kept.value.scene = id === 'any' ? '' : id),
})
const id = useId()
</script>

<template>
  <div class="two">
    <StoryChooser v-model:problem="kept.problem" v-model:cell="kept.cell" :fitting="fitting" :chosen="cell" />
    <section class="card told" :aria-label="t('story.the')">
      <p v-if="trouble" class="trouble" role="alert">{{ trouble }}</p>
      <template v-if="story && told">
        <h2>{{ kindName(cell!) }}</h2>
        <p v-if="tricky" class="in-row">
          <span class="tag plum">{{ t('story.tricky') }}</span> {{ tricky }}
        </p>
        <StoryWords :sentences="story.sentences">
          <Button severity="secondary" :label="t('story.another')" @click="renew" />
          <SelectButton
            v-model="showing"
            multiple
            :options="shows"
            option-label="label"
            option-value="value"
            :aria-label="t('story.show')"
          />
        </StoryWords>
        <template v-if="showing.includes('bars')">
          <StoryBars v-for="(bars, i) in barsOfSteps(story)" :key="i" :bars="bars" />
        </template>
        <p v-if="showing.includes('sentence')" class="sentence learner">
          {{ pretty(story.sentence) }}
          <span v-if="story.steps.length" class="quiet">{{
            t('story.so', { work: story.steps.map((s) => pretty(s)).join(t('story.then')) })
          }}</span>
        </p>
        <p v-if="told.gaveWay" class="quiet">{{ t('story.otherScene', { reason: told.gaveWay }) }}</p>
        <div class="how" role="group" :aria-label="t('story.with')">
          <div class="field">
            <label :for="`${id}-scene`">{{ t('story.scene') }}</label>
            <Select
              v-model="scene"
              :label-id="`${id}-scene`"
              :options="scenes"
              option-label="label"
              option-value="value"
              :aria-label="t('story.scene')"
            />
          </div>
          <div class="field">
            <span :id="`${id}-length`">{{ t('story.length') }}</span>
            <SelectButton
              v-model="kept.length"
              :options="lengths"
              option-label="label"
              option-value="value"
              :allow-empty="false"
              :aria-labelledby="`${id}-length`"
            />
          </div>
          <div class="in-row ticks">
            <label class="in-row"
              ><Checkbox v-model="kept.inWords" binary :aria-label="t('story.inWords')" />
              {{ t('story.inWords') }}</label
            >
            <label class="in-row"
              ><Checkbox v-model="kept.extra" binary :aria-label="t('story.extra')" /> {{ t('story.extra') }}</label
            >
            <label class="in-row"
              ><Checkbox v-model="kept.missing" binary :disabled="!told.canMiss" :aria-label="t('story.missing')" />
              {{ t('story.missing') }}</label
            >
          </div>
        </div>
        <p class="quiet">{{ level }}</p>
        <form class="in-row work" :aria-label="t('story.inStages')" @submit.prevent="emit('stages', told.plan)">
          <SelectButton
            v-model="kept.mode"
            :options="modes"
            option-label="label"
            option-value="value"
            :allow-empty="false"
            :aria-label="t('story.mode')"
          />
          <Button type="submit"><IconPlay /> {{ t('story.inStages') }}</Button>
          <Button
            v-if="benchProblem"
            severity="secondary"
            :label="t('story.atBench')"
            @click="emit('work', benchProblem)"
          />
        </form>
      </template>
    </section>
  </div>
</template>

<style scoped>
.two {
  display: grid;
  grid-template-columns: minmax(0, 23rem) minmax(0, 1fr);
  gap: 22px;
  align-items: start;
}
.told {
  position: sticky;
  top: 16px;
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 16px;
}
.how {
  display: flex;
  flex-wrap: wrap;
  gap: 10px 22px;
  align-items: end;
  padding-top: 16px;
  border-top: 1px solid var(--line);
}
.ticks {
  gap: 4px 20px;
}
.work {
  padding-top: 16px;
  border-top: 1px solid var(--line);
}
.sentence {
  font-size: 1.8rem;
}
.sentence .quiet {
  font-size: 1.3rem;
  margin-left: 1rem;
}
@media (max-width: 1000px) {
  .two {
    grid-template-columns: minmax(0, 1fr);
  }
  .told {
    position: static;
    order: -1;
  }
}
</style>
