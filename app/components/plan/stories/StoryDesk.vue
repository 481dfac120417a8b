<script setup lang="ts">
import { barsOfSteps, SITUATIONS, STAGES, type Chosen, type Stage, type Workable } from '../../../../core/story/index'
import { withAnswer } from '../../../utils/storyText'
import type { StoryDesk } from '../../../composables/useStoryDesk'

/** A story worked stage by stage: each can be shown, done together, or done alone, or skipped; then it is saved. */
const { desk, story } = defineProps<{ desk: StoryDesk; story: Workable }>()
const emit = defineEmits<{ work: [problem: string, material?: string] }>()
const { t } = useI18n()
const { givenText, saysText, shownText, situationName, stageName } = useStoryNames()
const SAVE = 'save'
const open = ref<Stage | typeof SAVE>(desk.openAfter(null) ?? SAVE)
const said = ref('')
const alone = computed(() => desk.mode.value === 'alone')
/** Stages as the numbers of their steps. */
const ALL = [...STAGES, SAVE] as const
const at = computed({
  get: () => ALL.indexOf(open.value) + 1,
  set: (n) => (open.value = ALL[n - 1] ?? SAVE),
})
const id = useId()

/** The stage that comes next gets the focus, so that one goes on by keyboard. */
async function goOn(stage: Stage | null): Promise<void> {
  open.value = stage ?? SAVE
  await nextTick()
  document.querySelector<HTMLElement>(`#${id}-${open.value} button`)?.focus()
}
function give(stage: Stage, given: string): void {
  const says = desk.give(stage, given)
  if ('why' in says) {
    said.value = says.why
    return
  }
  said.value = alone.value ? t('story.noted') : saysText(stage, says)
  // Alone Sett keeps quiet, and goes on; else a stage stays open until it is right.
  if (alone.value || (says.right && !says.slip)) void goOn(desk.openAfter(stage))
}
function show(stage: Stage): void {
  desk.enter(stage, '')
  said.value = shownText(story, stage)
  void goOn(desk.openAfter(stage))
}
function skip(stage: Stage): void {
  said.value = ''
  void goOn(STAGES[STAGES.indexOf(stage) + 1] ?? null)
}

const given = (stage: Stage): string => desk.latest.value.get(stage)?.given ?? ''
type Mark = 'shown' | 'noted' | 'right' | 'nearly' | 'not yet'
function mark(stage: Stage): Mark | null {
  const now = desk.latest.value.get(stage)
  if (!now) return null
  if (now.given === '') return 'shown'
  if (alone.value && open.value !== SAVE) return 'noted'
  return now.says?.right ? (now.says.slip ? 'nearly' : 'right') : 'not yet'
}
const TONES: Readonly<Record<Mark, string>> = { right: 'moss', nearly: 'moss', 'not yet': 'plum', shown: '', noted: '' }
const chosen = [...(Object.keys(SITUATIONS) as Chosen[]), 'two-steps'] as const
const again = computed(() => withAnswer(story, given('answer')))
const fits = (it: 'yes' | 'no'): void => give('check', `fits=${it} answer=${given('answer').replaceAll(' ', '_')}`)
const drawn = computed(() =>
  open.value !== 'bars' && desk.latest.value.get('bars')?.given === '' ? barsOfSteps(story) : [],
)
function toBench(problem: string, material: string): void {
  if (material) desk.enter('material', material)
  emit('work', problem, material || undefined)
}
</script>

<template>
  <div class="desk">
    <div class="told card">
      <StoryWords :sentences="story.sentences" />
      <p class="said" role="status">{{ said }}</p>
      <StoryBars v-for="(bars, i) in drawn" :key="i" :bars="bars" />
      <p class="quiet">{{ t(alone ? 'story.aloneSays' : 'story.togetherSays') }}</p>
    </div>
    <Stepper v-model:value="at" class="card stages" :aria-label="t('story.stages')">
      <StepItem v-for="(stage, i) in STAGES" :key="stage" :value="i + 1">
        <Step :id="`${id}-${stage}`">
          <span class="head">
            {{ stageName(stage) }}
            <span v-if="mark(stage)" class="was">
              <span class="tag" :class="TONES[mark(stage)!]"
                ><IconCheck v-if="TONES[mark(stage)!] === 'moss'" />{{ t(`story.mark.${mark(stage)}`) }}</span
              >
              <span class="learner">{{ givenText(story, stage, given(stage)) }}</span>
            </span>
          </span>
        </Step>
        <StepPanel>
          <div v-if="open === stage" class="body">
            <div v-if="stage === 'situation'" class="in-row" role="group" :aria-label="stageName(stage)">
              <Button
                v-for="c in chosen"
                :key="c"
                severity="secondary"
                :label="situationName(c)"
                @click="give(stage, c)"
              />
            </div>
            <StageMarks v-else-if="stage === 'marks'" :story="story" @give="(g) => give(stage, g)" />
            <StageBars v-else-if="stage === 'bars'" :story="story" @give="(g) => give(stage, g)" />
            <StageSentence v-else-if="stage === 'sentence'" @give="(g) => give(stage, g)" />
            <StageMaterial
              v-else-if="stage === 'material'"
              :story="story"
              @give="(g) => give(stage, g)"
              @work="toBench"
            />
            <StageAnswer v-else-if="stage === 'answer'" :story="story" @give="(g) => give(stage, g)" />
            <div v-else class="in-row">
              <p class="again learner">
                <span v-for="s in again" :key="s">{{ s }}</span>
              </p>
              <Button severity="secondary" :label="t('story.itFits')" @click="fits('yes')" />
              <Button severity="secondary" :label="t('story.notFits')" @click="fits('no')" />
            </div>
            <div class="in-row">
              <Button
                v-if="!alone && stage !== 'material' && stage !== 'check'"
                severity="secondary"
                text
                :label="t('story.show')"
                @click="show(stage)"
              />
              <Button severity="secondary" text :label="t('story.skip')" @click="skip(stage)" />
            </div>
          </div>
        </StepPanel>
      </StepItem>
      <StepItem :value="ALL.length">
        <Step :id="`${id}-${SAVE}`">{{ t('story.stage.save') }}</Step>
        <StepPanel><StorySave v-if="open === SAVE" :desk="desk" :story="story" class="body" /></StepPanel>
      </StepItem>
    </Stepper>
  </div>
</template>

<style scoped>
.desk {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1.2fr);
  gap: 22px;
  align-items: start;
}
.told {
  position: sticky;
  top: 16px;
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 12px;
}
.head {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 16px;
  justify-content: space-between;
  align-items: center;
  width: 100%;
  text-align: left;
}
.was {
  display: inline-flex;
  flex-wrap: wrap;
  gap: 4px 10px;
  align-items: center;
  font-weight: 400;
  color: var(--ink);
}
.stages :deep(.p-step-title) {
  flex: 1;
  white-space: normal;
}
.stages :deep(.p-step-header) {
  width: 100%;
}
.body {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 14px;
  padding-block: 8px 18px;
}
.again {
  width: 100%;
  display: grid;
  gap: 4px;
  font-size: 1.3rem;
}
.said {
  min-height: 1.6em;
  font-size: 1.15rem;
  font-weight: 700;
}
@media (max-width: 1000px) {
  .desk {
    grid-template-columns: minmax(0, 1fr);
  }
  .told {
    position: static;
  }
}
</style>
