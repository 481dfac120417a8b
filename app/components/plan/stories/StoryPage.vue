<script setup lang="ts">
import { attempt, capital } from '../../../../core/door'
import { listCode } from '../../../../core/paper/index'
import {
  cellId,
  pageSays,
  readStoryLine,
  storiesFrom,
  toldIn,
  type Listed,
  type ToldPlan,
} from '../../../../core/story/index'
import type { Printed } from '../../../../shared/prints'
import { request } from '../../../utils/request'
import { answerText } from '../../../utils/storyText'

/** A page of stories that a learner answered: found by the code at its foot or told from typed problems, marked, and kept in the Daybook. */
const { code: given } = defineProps<{ code: string }>()
const classroom = useClassroom()
const { tell } = useNotice()
const code = ref(given)
const problems = ref('')
const list = shallowRef<readonly Listed[]>([])
const answers = ref<string[]>([])
const trouble = ref('')
const said = ref('')
const learnerId = ref<string | null>(classroom.learnerId)

function take(found: readonly Listed[]): void {
  list.value = found
  answers.value = found.map(() => '')
  said.value = `${found.length} ${found.length === 1 ? 'story' : 'stories'}.`
}
async function find(): Promise<void> {
  trouble.value = ''
  const read = attempt(() => listCode(code.value))
  if ('refused' in read) {
    trouble.value = read.refused.message
    return
  }
  try {
    const { problems: lines } = await request<Printed>(`/api/printed/${read.ok}`)
    const found = attempt(() => lines.map(readStoryLine))
    if ('ok' in found) take(found.ok)
    else trouble.value = 'That sheet has problems and no stories. Mark it on the page Marking.'
  } catch (error) {
    trouble.value = (error as Error).message
  }
}
function fromProblems(): void {
  const lines = problems.value
    .split('\n')
    .map((l) => l.trim())
    .filter((l) => l !== '')
  const found = storiesFrom(lines.slice(0, 40), 1)
  trouble.value = found.length ? '' : 'None of the problems can be told as a story.'
  if (found.length) take(found)
}
if (given) await find()

const stories = computed(() => list.value.map((one) => toldIn(one)))
const page = computed(() => pageSays(stories.value.map((story, i) => ({ story, answer: answers.value[i] ?? '' }))))
const shown = (i: number): string => {
  const { says, why } = page.value.lines[i]!
  if (why) return why
  if (!says) return ''
  if (says.right) return says.slip ? `✓ right, but ${says.slip}` : '✓ right'
  return `↻ ${says.slip ?? 'not right'}`
}
async function keep(): Promise<void> {
  trouble.value = ''
  if (!learnerId.value) {
    trouble.value = 'Choose whose page it is.'
    return
  }
  const startedAt = new Date().toISOString()
  const trials = stories.value.flatMap((story, i) => {
    const answer = answers.value[i]!.trim()
    const says = page.value.lines[i]?.says
    if (answer === '' || !says) return []
    const plan: ToldPlan = {
      cell: cellId(story.cell),
      amounts: story.roles,
      ...(story.before ? { before: story.before } : {}),
      scene: story.scene,
      people: story.people,
      seed: list.value[i]!.seed,
      length: 'plain',
      extra: false,
    }
    return [
      {
        id: crypto.randomUUID(),
        learnerId: learnerId.value,
        startedAt,
        kind: 'story',
        help: 'independent',
        right: says.right,
        note: 'On paper.',
        work: {
          format: 'sett-story',
          version: 1,
          story: plan,
          text: story.text,
          mode: 'alone',
          entries: [{ at: 0, stage: 'answer', given: answer }],
        },
      },
    ]
  })
  try {
    await request('/api/trials', { method: 'POST', body: { trials } })
    void tell('Saved', `${trials.length} stories stand in the Daybook.`)
    said.value = `${trials.length} stories of ${classroom.nameOf(learnerId.value)} stand in the Daybook.`
    list.value = []
    answers.value = []
  } catch (error) {
    trouble.value = (error as Error).message
  }
}
const options = computed(() => classroom.learners)
</script>

<template>
  <div class="page-of">
    <form class="in-row" novalidate aria-label="Find a printed sheet" @submit.prevent="find">
      <label
        >Code at the foot of the sheet <input v-model="code" type="text" maxlength="14" autocomplete="off"
      /></label>
      <button type="submit" class="stone-button">Find it</button>
    </form>
    <details v-if="!list.length">
      <summary>Or stories from problems that are typed</summary>
      <form class="typed" novalidate @submit.prevent="fromProblems">
        <label>Problems, one a line <textarea v-model="problems" class="learner" rows="4" maxlength="2000" /></label>
        <button type="submit" class="stone-button">Tell them</button>
      </form>
    </details>
    <p v-if="trouble" class="trouble" role="alert">{{ trouble }}</p>
    <p role="status">{{ said }}</p>
    <template v-if="list.length">
      <ol aria-label="Stories and answers">
        <li v-for="(story, i) in stories" :key="i">
          <p class="learner">{{ story.text }}</p>
          <div class="in-row">
            <label
              >Answer {{ i + 1 }}
              <input v-model="answers[i]" class="learner" type="text" size="14" maxlength="60" autocomplete="off"
            /></label>
            <span :class="{ not: page.lines[i]?.says?.right === false }">{{ shown(i) }}</span>
            <span v-if="page.lines[i]?.says" class="quiet">{{ answerText(story) }}</span>
          </div>
        </li>
      </ol>
      <section aria-label="What the page says">
        <h2>What the page says</h2>
        <p>{{ page.right }} of {{ page.answered }} answered are right.</p>
        <ul v-if="page.slips.length">
          <li v-for="s in page.slips" :key="s.slip">
            {{ capital(s.slip) }}: in {{ s.seen }} of the {{ s.could }} {{ s.could === 1 ? 'story' : 'stories' }} where
            it would show
          </li>
        </ul>
        <p v-else-if="page.answered" class="quiet">No mistake that has a name.</p>
      </section>
      <form class="in-row" novalidate aria-label="Keep the page" @submit.prevent="keep">
        <label
          >Whose page
          <select v-model="learnerId">
            <option v-for="l in options" :key="l.id" :value="l.id">{{ l.codeName }}</option>
          </select></label
        >
        <button type="submit" class="stone-button main" :disabled="page.answered === 0">Keep it in the Daybook</button>
      </form>
    </template>
  </div>
</template>

<style scoped>
.page-of,
.typed {
  display: grid;
  gap: 1rem;
  justify-items: start;
}
.typed label {
  display: grid;
}
ol {
  margin: 0;
  padding-left: 1.6rem;
  width: 100%;
}
ol > li {
  padding: 0.6rem 0;
  border-top: 1.5px solid var(--rule);
}
p {
  margin: 0 0 0.3rem;
}
h2 {
  margin: 0 0 0.4rem;
  font-size: 1.15rem;
}
.not {
  color: var(--plum);
  font-weight: 700;
}
summary {
  min-height: 44px;
  cursor: pointer;
}
</style>
