<script setup lang="ts">
import type { ClassTable, Diagnosis, TableTrouble, WorkedWith } from '../../../../core/diagnose/index'
import { withDefaults as withChoices } from '../../../../core/door'
import { rowsIn } from '../../../utils/answersTable'
import { request } from '../../../utils/request'

/** A class's answers from a file or pasted, marked all at once. */
const { with: where } = defineProps<{ with: WorkedWith }>()
const emit = defineEmits<{ open: [items: readonly { problem: string; answer: string }[], name: string] }>()

const classroom = useClassroom()
const session = useSession()
const { mark, stop, busy, progress } = useMarking()
const text = useLocalStorage('sett.marking-class', '')
const table = shallowRef<ClassTable | null>(null)
const troubles = shallowRef<readonly TableTrouble[]>([])
const said = shallowRef<readonly Diagnosis[] | null>(null)
const all = ref(false)
const trouble = ref('')
const keeping = ref('')
const file = useTemplateRef('file')

async function readFile(event: Event): Promise<void> {
  const chosen = (event.target as HTMLInputElement).files?.[0]
  if (!chosen) return
  if (chosen.size > 2_400_000)
    trouble.value = 'That file is more than a table of answers: at most 600,000 letters are read.'
  else {
    text.value = await chosen.text()
    await markClass()
  }
  if (file.value) file.value.value = ''
}
async function markClass(): Promise<void> {
  trouble.value = keeping.value = ''
  said.value = table.value = null
  const { rows, broken } = rowsIn(text.value)
  troubles.value = broken
  try {
    const choices = withChoices(classroom.hands ?? undefined)
    const wish = { rows, with: where, choices, all: all.value, broken: broken.length > 0 }
    const made = await mark({ job: 'class', ...wish })
    troubles.value = [...broken, ...made.troubles].sort((a, b) => a.line - b.line)
    if (made.said) {
      table.value = made.table
      said.value = made.said
      markedAt = new Date().toISOString()
      pageIds = Object.fromEntries(classroom.learners.map((l) => [l.id, crypto.randomUUID()]))
    } else
      trouble.value =
        made.table.problems.length === 0 || made.table.learners.length === 0
          ? 'There is nothing to mark yet.'
          : 'Nothing was marked, since some lines cannot be read: mend them, or let the good lines go in.'
  } catch (error) {
    trouble.value = error instanceof Overtaken ? 'Stopped. Nothing was marked.' : (error as Error).message
  }
}
/** Learners of the table who are in the class, by code name. */
const here = computed(() =>
  (table.value?.learners ?? []).flatMap(({ name, answers }) => {
    const learner = classroom.learners.find((l) => l.codeName.toLowerCase() === name.toLowerCase())
    return learner ? [{ learner, answers }] : []
  }),
)
/** Each page is kept once, however often the key is pressed. */
let markedAt = ''
let pageIds: Record<string, string> = {}
async function keepAll(): Promise<void> {
  let count = 0
  try {
    for (const { learner, answers } of here.value) {
      const items = table.value!.problems.map((problem, i) => ({ problem, answer: answers[i] ?? '' }))
      await request('/api/markings', {
        method: 'POST',
        body: { id: pageIds[learner.id], learnerId: learner.id, markedAt, with: where, items },
      })
      count++
    }
    keeping.value = `Kept with ${count} of ${table.value!.learners.length} learners.`
  } catch (error) {
    trouble.value = `${(error as Error).message} ${count} pages were kept before that.`
  }
}
function openOne(i: number): void {
  const { problems, learners } = table.value!
  const { name, answers } = learners[i]!
  emit(
    'open',
    problems.map((problem, k) => ({ problem, answer: answers[k] ?? '' })),
    name,
  )
}
</script>

<template>
  <div class="class-page">
    <form class="in no-print" novalidate @submit.prevent="markClass">
      <label class="text"
        >The class’s answers: a problem a line, a learner a column, as CSV or copied from a spreadsheet
        <textarea
          v-model="text"
          class="learner"
          rows="6"
          spellcheck="false"
          placeholder="problem,Wren,Pip&#10;52 - 37,25,15&#10;70 - 46,36,24"
        />
      </label>
      <div class="row">
        <button v-if="!busy" type="submit" class="stone-button main">Mark the class</button>
        <template v-else>
          <button type="button" class="stone-button" @click="stop">Stop</button>
          <span role="status">{{ progress ? `${progress.done} of ${progress.of} marked` : 'Marking …' }}</span>
        </template>
        <label class="stone-button file"
          >From a file <input ref="file" type="file" accept=".csv,.txt,text/csv" class="sr-only" @change="readFile"
        /></label>
        <label><input v-model="all" type="checkbox" /> All or nothing: no good line goes in beside a bad one</label>
      </div>
    </form>
    <p v-if="trouble" class="trouble" role="alert">{{ trouble }}</p>
    <section v-if="troubles.length" class="troubles no-print" aria-label="Lines that were left out">
      <h2>{{ said ? 'Left out' : 'To be mended' }}</h2>
      <ul>
        <li v-for="(t, i) in troubles.slice(0, 50)" :key="i">
          <b>Line {{ t.line }}</b
          >: {{ t.reason }}
        </li>
      </ul>
      <p v-if="troubles.length > 50">and {{ troubles.length - 50 }} more.</p>
    </section>
    <template v-if="table && said">
      <ClassMarks :table="table" :said="said" @open="openOne" />
      <div class="row no-print">
        <button v-if="here.length && session.may('helper')" type="button" class="stone-button" @click="keepAll">
          Keep with {{ here.length === 1 ? here[0]!.learner.codeName : `the ${here.length} who are in this class` }}
        </button>
        <span role="status">{{ keeping }}</span>
      </div>
    </template>
  </div>
</template>

<style scoped>
.class-page {
  display: grid;
  gap: 0.9rem;
}
.in {
  display: grid;
  gap: 0.6rem;
}
.text {
  display: grid;
  gap: 0.3rem;
  font-weight: 700;
}
textarea {
  font-size: 1.05rem;
  padding: 0.5rem;
  border: 1.5px solid var(--edge);
  background: var(--sheet);
  color: var(--ink);
  resize: vertical;
  font-weight: 400;
}
.row {
  display: flex;
  flex-wrap: wrap;
  gap: 0.6rem 1rem;
  align-items: center;
}
.file {
  cursor: pointer;
}
.file:focus-within {
  outline: 3px solid var(--focus);
}
.troubles {
  padding: 0.6rem 0.9rem;
  border-left: 6px solid var(--plum);
  background: var(--paper-2);
}
.troubles h2 {
  margin: 0;
  font-size: 1.1rem;
}
.troubles ul {
  margin: 0.3rem 0;
  padding-left: 1.2rem;
}
</style>
