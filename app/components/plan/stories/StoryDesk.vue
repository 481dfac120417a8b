<script setup lang="ts">
import { capital, isRepresentation, pretty, REPRESENTATIONS, representationsFor } from '../../../../core/door'
import { barsOfSteps, SITUATIONS, STAGES, type Chosen, type Stage, type Workable } from '../../../../core/story/index'
import { CHOSEN_NAMES, saysText, STAGE_NAMES } from '../../../utils/storyNames'
import { answerText, givenText, shownText, withAnswer } from '../../../utils/storyText'
import type { StoryDesk } from '../../../composables/useStoryDesk'
import type { Help } from '../../../../shared/levels'

/** A story worked stage by stage: each can be shown, done together, or done alone, or left out; then it is kept in the Daybook. */
const { desk, story } = defineProps<{ desk: StoryDesk; story: Workable }>()
const emit = defineEmits<{ work: [problem: string, material?: string] }>()
const classroom = useClassroom()
const { tell } = useNotice()
const open = ref<Stage | null>(desk.openAfter(null))
const said = ref('')
const alone = computed(() => desk.mode.value === 'alone')

/** The stage that comes next gets the focus, so that one goes on by keyboard. */
async function goOn(stage: Stage | null): Promise<void> {
  open.value = stage
  await nextTick()
  const name = stage ?? 'save'
  document.getElementById(`stage-${name}`)?.focus()
}
function give(stage: Stage, given: string): void {
  const says = desk.give(stage, given)
  if ('why' in says) {
    said.value = says.why
    return
  }
  said.value = alone.value ? 'Noted.' : saysText(stage, says)
  // Alone Sett keeps quiet, and goes on; else a stage stays open until it is right.
  if (alone.value || (says.right && !says.slip)) void goOn(desk.openAfter(stage))
}
function show(stage: Stage): void {
  desk.enter(stage, '')
  said.value = shownText(story, stage)
  void goOn(desk.openAfter(stage))
}
function leaveOut(stage: Stage): void {
  said.value = ''
  const next = STAGES[STAGES.indexOf(stage) + 1] ?? null
  void goOn(next)
}

const given = (stage: Stage): string => desk.latest.value.get(stage)?.given ?? ''
const mark = (stage: Stage): string => {
  const now = desk.latest.value.get(stage)
  if (!now) return ''
  if (now.given === '') return 'shown'
  if (alone.value && !finished.value) return 'noted'
  return now.says?.right ? (now.says.slip ? 'nearly' : 'right') : 'not yet'
}
const SIGNS: Readonly<Record<string, string>> = { right: '✓', nearly: '✓', 'not yet': '↻', shown: '◦', noted: '·' }
const finished = computed(() => desk.latest.value.has('answer') && open.value === null)

const chosen = [...(Object.keys(SITUATIONS) as Chosen[]), 'two-steps'] as const
const problems = computed(() =>
  story.steps.length > 1 && story.problem ? [...new Set([story.problem, ...story.steps])] : story.steps,
)
const materials = computed(() =>
  story.problem
    ? representationsFor(story.problem)
        .filter((o) => o.fits && isRepresentation(o.representation))
        .map((o) => o.representation)
    : [],
)
const material = ref('')
const titleOf = (id: string): string => (isRepresentation(id) ? capital(REPRESENTATIONS[id].title) : id)
const again = computed(() => withAnswer(story, given('answer')))
const fits = (it: 'yes' | 'no'): void => give('check', `fits=${it} answer=${given('answer').replaceAll(' ', '_')}`)
function toBench(problem: string): void {
  if (material.value) desk.enter('material', material.value)
  emit('work', problem, material.value || undefined)
}

/* --- keeping it --- */
const learnerId = ref<string | null>(classroom.learnerId)
const right = ref(false)
const help = ref<Help>('independent')
const note = ref('')
const trouble = ref('')
watch(
  () => desk.outcome.value,
  (came) => {
    right.value = came?.right ?? false
    help.value = came && came.shown.length > 0 ? 'shown' : 'independent'
  },
  { immediate: true },
)
async function save(): Promise<void> {
  if (!learnerId.value) {
    trouble.value = 'Choose whose work this is.'
    return
  }
  try {
    await desk.save(learnerId.value, { right: right.value, help: help.value, note: note.value })
    classroom.learnerId = learnerId.value
    void tell('Saved', 'The story stands in the Daybook.')
  } catch (error) {
    trouble.value = (error as Error).message
  }
}
</script>

<template>
  <div class="desk">
    <div class="told">
      <StoryWords :sentences="story.sentences">
        <button type="button" class="stone-button" @click="desk.putAway()">Put the story away</button>
      </StoryWords>
      <p class="said" role="status">{{ said }}</p>
      <p class="quiet">
        {{ alone ? 'Alone: Sett keeps quiet until the end.' : 'Each stage says whether it is right.' }}
      </p>
    </div>
    <div class="work">
      <ol class="stages" aria-label="Stages">
        <li v-for="stage in STAGES" :key="stage" :class="{ open: open === stage }">
          <h2 :id="`stage-${stage}`" tabindex="-1">
            <button
              type="button"
              class="head"
              :aria-expanded="open === stage"
              @click="open = open === stage ? null : stage"
            >
              <span>{{ STAGE_NAMES[stage] }}</span>
              <span v-if="desk.latest.value.has(stage)" class="was"
                ><span aria-hidden="true">{{ SIGNS[mark(stage)] }}&nbsp;</span
                ><span class="sr-only">{{ mark(stage) }}: </span>
                <span class="learner">{{ givenText(story, stage, given(stage)) }}</span></span
              >
            </button>
          </h2>
          <div v-if="open === stage" class="body">
            <div v-if="stage === 'situation'" class="choices" role="group" :aria-label="STAGE_NAMES[stage]">
              <button v-for="c in chosen" :key="c" type="button" class="stone-button" @click="give(stage, c)">
                {{ CHOSEN_NAMES[c] }}
              </button>
            </div>
            <StageMarks v-else-if="stage === 'marks'" :story="story" @give="(g) => give(stage, g)" />
            <StageBars v-else-if="stage === 'bars'" :story="story" @give="(g) => give(stage, g)" />
            <StageSentence v-else-if="stage === 'sentence'" @give="(g) => give(stage, g)" />
            <form v-else-if="stage === 'material'" class="choices" @submit.prevent="material && give(stage, material)">
              <label v-if="materials.length"
                >Work it with
                <select v-model="material" class="material">
                  <option value="" disabled>Choose …</option>
                  <option v-for="m in materials" :key="m" :value="m">{{ titleOf(m) }}</option>
                </select></label
              >
              <p v-else>No material holds it. Work it in your head, or on paper.</p>
              <button v-if="materials.length" type="submit" class="stone-button" :disabled="!material">Done</button>
              <button v-for="p in problems" :key="p" type="button" class="stone-button" @click="toBench(p)">
                {{ pretty(p) }} at the Bench
              </button>
            </form>
            <StageAnswer v-else-if="stage === 'answer'" :story="story" @give="(g) => give(stage, g)" />
            <div v-else class="choices">
              <p class="again learner">
                <span v-for="s in again" :key="s">{{ s }}</span>
              </p>
              <button type="button" class="stone-button" @click="fits('yes')">It fits</button>
              <button type="button" class="stone-button" @click="fits('no')">It does not fit</button>
            </div>
            <div class="aside">
              <button
                v-if="!alone && stage !== 'material' && stage !== 'check'"
                type="button"
                class="stone-button"
                @click="show(stage)"
              >
                Show it
              </button>
              <button type="button" class="stone-button" @click="leaveOut(stage)">Leave it out</button>
            </div>
          </div>
          <template v-if="stage === 'bars' && open !== 'bars' && desk.latest.value.get('bars')?.given === ''">
            <StoryBars v-for="(bars, i) in barsOfSteps(story)" :key="i" :bars="bars" />
          </template>
        </li>
      </ol>
      <section v-if="open === null" class="save" aria-label="Keep it">
        <h2 id="stage-save" tabindex="-1">
          {{ desk.latest.value.has('answer') ? 'What came of it' : 'Nothing is answered yet' }}
        </h2>
        <template v-if="desk.latest.value.has('answer')">
          <p v-if="answerText(story)">{{ answerText(story) }}</p>
          <ul v-if="desk.outcome.value?.slips.length">
            <li v-for="slip in desk.outcome.value.slips" :key="slip">↻ {{ capital(slip) }}</li>
          </ul>
          <p v-else>No mistake that has a name.</p>
          <form class="keep" novalidate @submit.prevent="save">
            <OutcomeFields
              v-model:learner-id="learnerId"
              v-model:right="right"
              v-model:help="help"
              v-model:note="note"
            />
            <p v-if="trouble" class="trouble" role="alert">{{ trouble }}</p>
            <div class="row">
              <button type="submit" class="stone-button main">Save to the Daybook</button>
            </div>
          </form>
        </template>
      </section>
    </div>
  </div>
</template>

<style scoped>
.desk {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1.1fr);
  gap: 1rem 2rem;
  align-items: start;
}
.work {
  display: grid;
  gap: 1rem;
  min-width: 0;
}
.told {
  position: sticky;
  top: 1rem;
  display: grid;
  gap: 0.6rem;
  width: 100%;
}
.stages {
  list-style: none;
  margin: 0;
  padding: 0;
  width: 100%;
  border-bottom: 1.5px solid var(--rule);
}
.stages > li {
  border-top: 1.5px solid var(--rule);
}
h2 {
  margin: 0;
  font-size: 1.1rem;
}
.head {
  display: flex;
  flex-wrap: wrap;
  gap: 0.3rem 1rem;
  justify-content: space-between;
  width: 100%;
  min-height: 48px;
  align-items: center;
  padding: 0.3rem 0.2rem;
  background: none;
  border: 0;
  color: inherit;
  font: inherit;
  text-align: left;
  cursor: pointer;
}
.open .head {
  color: var(--clay);
}
.was {
  font-weight: 400;
  color: var(--ink);
}
.body {
  display: grid;
  gap: 0.8rem;
  padding: 0.2rem 0 1rem;
}
.choices {
  display: flex;
  flex-wrap: wrap;
  gap: 0.6rem;
  align-items: center;
}
.choices p {
  margin: 0;
}
.again {
  width: 100%;
  display: grid;
  gap: 0.3rem;
  font-size: 1.3rem;
}
.aside {
  display: flex;
  flex-wrap: wrap;
  gap: 0.6rem;
}
.material {
  max-width: 16rem;
}
.said {
  margin: 0;
  min-height: 1.6em;
  font-size: 1.15rem;
}
.save,
.keep {
  display: grid;
  gap: 0.8rem;
}
.save ul {
  margin: 0;
  padding-left: 1.2rem;
}
.save p {
  margin: 0;
}
.trouble {
  background: var(--plum-wash);
  border-left: 5px solid var(--plum);
  padding: 0.4rem 0.8rem;
}
@media (max-width: 900px) {
  .desk {
    grid-template-columns: minmax(0, 1fr);
  }
  .told {
    position: static;
  }
}
</style>
