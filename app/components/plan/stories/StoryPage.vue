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

/** A page of stories that a learner answered: found by the code at its foot or told from typed problems, marked, and saved. */
const { code: given } = defineProps<{ code: string }>()
const classroom = useClassroom()
const { t } = useI18n()
const { trouble, tried } = useTrouble()
const MOST_STORIES = 40
const code = ref(given)
const problems = ref('')
const list = shallowRef<readonly Listed[]>([])
const answers = ref<string[]>([])
const said = ref('')
const learnerId = ref<string | null>(classroom.learnerId)

function take(found: readonly Listed[]): void {
  list.value = found
  answers.value = found.map(() => '')
  said.value = t('page.stories', found.length)
}
const find = (): Promise<void> =>
  tried(async () => {
    const { problems: lines } = await request<Printed>(`/api/printed/${listCode(code.value)}`)
    const found = attempt(() => lines.map(readStoryLine))
    if (!('ok' in found)) throw new Error(t('page.noStories'))
    take(found.ok)
  })
const fromProblems = (): Promise<void> =>
  tried(async () => {
    const typed = problems.value.split('\n').map((line) => line.trim())
    const found = storiesFrom(typed.filter(Boolean).slice(0, MOST_STORIES), 1)
    if (found.length === 0) throw new Error(t('page.noneTold'))
    take(found)
  })
if (given) await find()

const stories = computed(() => list.value.map((one) => toldIn(one)))
const page = computed(() => pageSays(stories.value.map((story, i) => ({ story, answer: answers.value[i] ?? '' }))))
/** Whether an answer is right, and what it shows; null where none is given yet. */
function mark(i: number): { readonly right: boolean; readonly text: string } | null {
  const { says, why } = page.value.lines[i]!
  if (why) return { right: false, text: why }
  if (!says) return null
  const { right, slip } = says
  if (!right) return { right, text: slip ? capital(slip) : t('page.notRight') }
  return { right, text: slip ? t('page.rightBut', { slip }) : t('page.right') }
}
const save = (): Promise<void> =>
  tried(async () => {
    const { value: learner } = learnerId
    if (!learner) throw new Error(t('story.chooseWhose'))
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
          learnerId: learner,
          startedAt,
          kind: 'story',
          help: 'independent',
          right: says.right,
          note: t('page.onPaper'),
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
    await request('/api/trials', { method: 'POST', body: { trials } })
    said.value = t('page.saved', { count: trials.length, name: classroom.nameOf(learner) }, trials.length)
    list.value = []
    answers.value = []
  })
const id = useId()
</script>

<template>
  <div class="page-of">
    <section v-if="!list.length" class="card">
      <form class="in-row line" novalidate :aria-label="t('page.find')" @submit.prevent="find">
        <div class="field">
          <label :for="`${id}-code`">{{ t('page.code') }}</label>
          <InputText :id="`${id}-code`" v-model="code" maxlength="14" autocomplete="off" />
        </div>
        <Button type="submit" :label="t('page.findIt')" />
      </form>
      <form class="typed" novalidate :aria-label="t('page.typed')" @submit.prevent="fromProblems">
        <h2>{{ t('page.typed') }}</h2>
        <div class="field">
          <label :for="`${id}-problems`">{{ t('page.problems') }}</label>
          <Textarea :id="`${id}-problems`" v-model="problems" class="learner" rows="4" maxlength="2000" />
        </div>
        <Button type="submit" severity="secondary" :label="t('page.tell')" />
      </form>
    </section>
    <p v-if="trouble" class="trouble" role="alert">{{ trouble }}</p>
    <p role="status">{{ said }}</p>
    <div v-if="list.length" class="with-aside">
      <ol class="plain card" :aria-label="t('page.list')">
        <li v-for="(story, i) in stories" :key="i">
          <p class="learner">{{ story.text }}</p>
          <div class="in-row">
            <label :for="`${id}-${i}`">{{ t('page.answer', { n: i + 1 }) }}</label>
            <InputText
              :id="`${id}-${i}`"
              v-model="answers[i]"
              class="learner"
              size="14"
              maxlength="60"
              autocomplete="off"
            />
            <span v-if="mark(i)" class="tag" :class="mark(i)!.right ? 'moss' : 'plum'">
              <IconCheck v-if="mark(i)!.right" /><IconX v-else /> {{ mark(i)!.text }}
            </span>
            <span v-if="page.lines[i]?.says" class="quiet">{{ answerText(story) }}</span>
          </div>
        </li>
      </ol>
      <section class="card says" :aria-label="t('page.says')">
        <h2>{{ t('page.says') }}</h2>
        <p>{{ t('page.rightOf', { right: page.right, answered: page.answered }) }}</p>
        <ul v-if="page.slips.length" class="plain">
          <li v-for="s in page.slips" :key="s.slip">
            {{ t('page.slip', { slip: capital(s.slip), seen: s.seen, could: s.could }, s.could) }}
          </li>
        </ul>
        <p v-else-if="page.answered" class="quiet">{{ t('page.noSlip') }}</p>
        <form class="save" novalidate @submit.prevent="save">
          <div class="field">
            <label :for="`${id}-whose`">{{ t('page.whose') }}</label>
            <Select
              v-model="learnerId"
              :label-id="`${id}-whose`"
              :options="[...classroom.learners]"
              option-label="codeName"
              option-value="id"
              :placeholder="t('own.choose')"
              :aria-label="t('page.whose')"
            />
          </div>
          <Button type="submit" :label="t('page.save')" :disabled="page.answered === 0" />
        </form>
      </section>
    </div>
  </div>
</template>

<style scoped>
.page-of,
.card,
.typed,
.save {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 14px;
}
.line {
  align-items: end;
}
.typed {
  justify-items: start;
  padding-top: 14px;
  border-top: 1px solid var(--line);
}
.typed .field {
  width: 100%;
}
li p {
  margin-bottom: 6px;
  font-size: 1.15rem;
}
.plain.card li + li {
  padding-top: 14px;
  border-top: 1px solid var(--line);
}
</style>
