<script setup lang="ts">
import {
  familyOf,
  parseItem,
  WORKED_WITH,
  type Diagnosis,
  type Ranked,
  type WorkedWith,
} from '../../../core/diagnose/index'
import {
  attempt,
  parseProblem,
  printProblem,
  type RepresentationId,
  withDefaults as withChoices,
} from '../../../core/door'
import type { KeptMarking, AnsweredAlone } from '../../../shared/marking'
import { emptyRow, filledRows, isEmptyRow, MOST_ROWS, rowsWith, type AnswerRow } from '../../utils/answerRows'
import { marksOf, type RowMark } from '../../utils/rowMarks'
import { request } from '../../utils/request'

/** Marking: which procedure made these answers, what to ask next, what to show. */
const classroom = useClassroom()
const bench = useBench()
const session = useSession()
const { mark, stop, busy } = useMarking()
onMounted(() => void fetchAll().catch(() => undefined))

/* --- the page --- */
const { kept, replace, add, bringBack, markSaved } = useAnswerPage()
const SLIPS: Readonly<Record<keyof typeof SLIP_RATES, string>> = {
  found: 'as the page shows',
  seldom: 'seldom, 3 of 100',
  sometimes: 'now and then, 10 of 100',
  often: 'often, 20 of 100',
}
const WITH: Readonly<Record<WorkedWith, string>> = {
  paper: 'on paper',
  counting: 'by counting or touching',
  beads: 'on a bead frame',
}
const tab = ref<'page' | 'class'>('page')
const whose = ref<string>(classroom.learnerId ?? '')
const diagnosis = shallowRef<Diagnosis | null>(null)
const marks = shallowRef<readonly RowMark[] | null>(null)
const trouble = ref('')
const keptTurn = ref(0)
const said = ref('')
const showing = shallowRef<Ranked | null>(null)

/** Each line as an item, or why it cannot be read. */
const read = (row: AnswerRow) =>
  attempt(() =>
    parseItem({
      problem: row.problem,
      answer: row.answer,
      ...(kept.value.above && row.above.trim() !== '' ? { above: row.above } : {}),
    }),
  )
const texts = computed(() =>
  filledRows(kept.value.rows).map(({ problem, answer, above }) => ({
    problem,
    answer,
    ...(kept.value.above && above.trim() !== '' ? { above } : {}),
  })),
)
/** A page is kept once, however often the key is pressed; changed, or for another learner, it is another one. */
let pageId: string = crypto.randomUUID()
const { keepMarked } = useMarkedPage(
  () => JSON.stringify([texts.value, kept.value.with, kept.value.slips]),
  async (last) => {
    if (classroom.nameOf(last.whose)) whose.value = last.whose
    // Another learner's page is another page: what that does is done first.
    await nextTick()
    await markPage()
    pageId = last.id
    said.value = last.said
    keepMarked(last)
  },
)
watch(whose, () => {
  pageId = crypto.randomUUID()
  said.value = ''
})
function changed(): void {
  pageId = crypto.randomUUID()
  diagnosis.value = null
  marks.value = null
  showing.value = null
  said.value = ''
}

async function markPage(): Promise<void> {
  changed()
  trouble.value = ''
  // Lines are told by number, so that no empty one may stand between.
  kept.value.rows = [...filledRows(kept.value.rows), emptyRow()].slice(0, MOST_ROWS)
  const rows = kept.value.rows
  const reads = rows.map((row) => (isEmptyRow(row) ? null : read(row)))
  const bad = reads.findIndex((r) => r !== null && 'refused' in r)
  if (bad >= 0) {
    marks.value = reads.map((r) => ({
      stands: r && 'refused' in r ? 'unread' : 'blank',
      says: r && 'refused' in r ? r.refused.reason : '',
    }))
    trouble.value = `Line ${bad + 1} cannot be read. The others are as they were.`
    return
  }
  if (texts.value.length === 0) {
    trouble.value = 'Type a problem and the answer that was given: 52 - 37, then 25.'
    return
  }
  try {
    const slipRate = SLIP_RATES[kept.value.slips]
    const choices = withChoices(classroom.hands ?? undefined)
    const { said } = await mark({
      job: 'pages',
      pages: [texts.value],
      with: kept.value.with,
      choices,
      ...(slipRate ? { prior: { slipRate } } : {}),
    })
    diagnosis.value = said[0]!
    marks.value = marksOf(said[0]!, kept.value.rows)
    keepMarked({ whose: whose.value, id: pageId, said: '' })
    const first = reads.find((r) => r && 'ok' in r)
    if (first && 'ok' in first) kept.value.family = familyOf(first.ok.problem, kept.value.with)
  } catch (error) {
    if (!(error instanceof Overtaken)) trouble.value = (error as Error).message
  }
}

/** What is typed gives place to other lines; it is put aside, and can be brought back. */
function put(rows: readonly AnswerRow[]): void {
  replace(rows)
  changed()
  trouble.value = ''
}
function putBelow(problems: readonly string[]): void {
  add(rowsWith(problems))
  changed()
}
function back(): void {
  bringBack()
  changed()
}
async function fromBench(): Promise<void> {
  trouble.value = ''
  try {
    const { items } = await request<AnsweredAlone>(`/api/markings/worked?learner=${encodeURIComponent(whose.value)}`)
    if (items.length === 0)
      trouble.value = `Nothing has been answered alone at the Bench by ${classroom.nameOf(whose.value)} yet.`
    else {
      put(items.map(({ problem, answer }) => ({ problem, answer, above: '' })))
      await markPage()
    }
  } catch (error) {
    trouble.value = (error as Error).message
  }
}
async function keep(): Promise<void> {
  trouble.value = ''
  try {
    await request('/api/markings', {
      method: 'POST',
      body: {
        id: pageId,
        learnerId: whose.value,
        markedAt: new Date().toISOString(),
        with: kept.value.with,
        items: texts.value,
        ...(SLIP_RATES[kept.value.slips] ? { slipRate: SLIP_RATES[kept.value.slips] } : {}),
      },
    })
    keptTurn.value++
    markSaved()
    said.value = `Kept with ${classroom.nameOf(whose.value)}.`
    keepMarked({ whose: whose.value, id: pageId, said: said.value })
  } catch (error) {
    trouble.value = (error as Error).message
  }
}
/** Opens a page that was kept, or weighs its answers together with those that are here. */
function open(page: KeptMarking, more = false): void {
  kept.value.with = page.with
  kept.value.above = (more && kept.value.above) || page.items.some((i) => (i.above ?? '') !== '')
  const rows = page.items.map(({ problem, answer, above = '' }) => ({ problem, answer, above }))
  if (more) add(rows)
  else {
    replace(rows)
    markSaved()
  }
  void markPage()
}
async function toBench(problem: string, material?: RepresentationId): Promise<void> {
  const refused = bench.ask(problem, {
    ...(material ? { material, mode: 'show' as const } : { mode: 'alone' as const }),
  })
  if (refused) trouble.value = refused.message
  else await navigateTo('/bench')
}
function openLearner(items: readonly { readonly problem: string; readonly answer: string }[], name: string): void {
  const learner = classroom.learners.find((l) => l.codeName.toLowerCase() === name.toLowerCase())
  if (learner) whose.value = learner.id
  kept.value.above = false
  put(items.map(({ problem, answer }) => ({ problem, answer, above: '' })))
  tab.value = 'page'
  void markPage()
}
const asked = computed(() =>
  texts.value.flatMap(({ problem }) => {
    const p = attempt(() => printProblem(parseProblem(problem)))
    return 'ok' in p ? [p.ok] : []
  }),
)
// From the Daybook one comes with a learner whose answers are to be looked at.
const query = useRoute().query.learner
onMounted(() => {
  if (typeof query === 'string' && classroom.learners.some((l) => l.id === query)) {
    whose.value = query
    void fromBench()
  }
})
useHead({ title: 'Marking – Sett' })
</script>

<template>
  <div class="marking">
    <header class="top no-print">
      <h1>Marking</h1>
      <div class="chips" role="group" aria-label="What is marked">
        <button type="button" class="stone-button" :aria-pressed="tab === 'page'" @click="tab = 'page'">
          One page
        </button>
        <button type="button" class="stone-button" :aria-pressed="tab === 'class'" @click="tab = 'class'">
          A class
        </button>
      </div>
      <label v-if="tab === 'page'"
        >Of
        <select v-model="whose">
          <option value="">nobody in particular</option>
          <option v-for="l in classroom.learners" :key="l.id" :value="l.id">{{ l.codeName }}</option>
        </select></label
      >
      <label
        >Worked
        <select v-model="kept.with" @change="changed">
          <option v-for="w in WORKED_WITH" :key="w" :value="w">{{ WITH[w] }}</option>
        </select></label
      >
      <label v-if="tab === 'page'"
        >Slips
        <select v-model="kept.slips" @change="changed">
          <option v-for="(text, id) in SLIPS" :key="id" :value="id">{{ text }}</option>
        </select></label
      >
    </header>
    <div v-if="tab === 'page'" class="two">
      <div class="left no-print">
        <PageSheet v-model="kept.rows" v-model:above="kept.above" :marks="marks" @changed="changed" />
        <div class="in-row">
          <button v-if="!busy" type="button" class="stone-button main" @click="markPage">Mark the page</button>
          <button v-else type="button" class="stone-button" @click="stop">Stop</button>
          <button type="button" class="stone-button" @click="put([])">Empty the page</button>
          <button v-if="kept.aside.length" type="button" class="stone-button bare" @click="back">
            Bring back the page before
          </button>
          <button v-if="whose" type="button" class="stone-button" @click="fromBench">From the Bench</button>
          <button v-if="diagnosis && whose && session.may('helper')" type="button" class="stone-button" @click="keep">
            Keep with {{ classroom.nameOf(whose) }}
          </button>
          <span role="status">{{ said }}</span>
        </div>
        <p v-if="trouble" class="trouble" role="alert">{{ trouble }}</p>
      </div>
      <div class="right">
        <SideBySide
          v-if="showing"
          class="no-print"
          :ranked="showing"
          :problems="asked"
          @close="showing = null"
          @bench="toBench"
        />
        <template v-else>
          <SaysPanel
            v-if="diagnosis"
            class="no-print"
            :diagnosis="diagnosis"
            :count="texts.length"
            @show="(r) => (showing = r)"
          />
          <p v-else class="quiet waiting no-print">
            Type a problem and the answer given, line by line, or paste them from a table. Then mark the page: Sett
            looks for the way of working that such answers come from, says what to ask next, and what to show again.
          </p>
          <NextQuestion
            v-if="diagnosis && diagnosis.ranked.length"
            v-model:family="kept.family"
            v-model:most="kept.most"
            class="no-print"
            :diagnosis="diagnosis"
            :asked="asked"
            @add="putBelow"
            @bench="(problem) => toBench(problem)"
          />
        </template>
        <KeptPages
          v-if="whose && !showing"
          class="no-print"
          :learner="whose"
          :turn="keptTurn"
          @open="open"
          @add="(page) => open(page, true)"
        />
        <details v-if="!showing">
          <summary class="no-print">A set of problems, with a code</summary>
          <SetForm
            v-model:family="kept.family"
            v-model:most="kept.most"
            @take="(problems) => put(rowsWith(problems))"
          />
        </details>
      </div>
    </div>
    <ClassPage v-else :with="kept.with" @open="openLearner" />
  </div>
</template>

<style scoped>
.marking {
  max-width: 86rem;
  margin: 0 auto;
  padding: 0.8rem 1.2rem 2rem;
  display: grid;
  gap: 0.9rem;
}
.top {
  display: flex;
  flex-wrap: wrap;
  gap: 0.6rem 1.2rem;
  align-items: center;
}
.top label {
  display: inline-flex;
  gap: 0.5rem;
  align-items: center;
}
h1 {
  margin: 0;
  font-size: 1.4rem;
}
.two {
  display: grid;
  grid-template-columns: minmax(0, 1.05fr) minmax(0, 1fr);
  gap: 1.6rem;
  align-items: start;
}
.left,
.right {
  display: grid;
  gap: 0.9rem;
  align-content: start;
}
.waiting {
  margin: 0;
  max-width: 34rem;
}
summary {
  min-height: 44px;
  display: flex;
  align-items: center;
  cursor: pointer;
  font-weight: 700;
}
@media (max-width: 900px) {
  .two {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
