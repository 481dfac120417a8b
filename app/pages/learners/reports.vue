<script setup lang="ts">
import { format } from 'date-fns'
import { capital, pretty, withDefaults } from '../../../core/door'
import { PAPERS } from '../../../core/paper/index'
import type { WorkRecord } from '../../../core/door'
import { reportOf, reportText, sessionsOf, type Reported, type ReportSection } from '../../../core/progress/index'
import type { Progress } from '../../../shared/progress'
import type { Moment } from '../../../shared/learners'
import type { RecordPage } from '../../../shared/listing'
import type { SavedRecord } from '../../../shared/schemas'
import { download, downloadBytes } from '../../utils/download'
import { request } from '../../utils/request'

/** A report for a review meeting or a family, made from the figures; every word of it can be changed before it is printed. */
definePageMeta({ role: 'teacher' })
const classroom = useClassroom()
const courses = useCourses()
const names = useMistakeNames()
const paper = usePaper()
await courses.load().catch(() => undefined)
const asked = useRoute().query.learner
const known = (id: unknown): id is string => classroom.learners.some((l) => l.id === id)
const learner = ref<string | null>(known(asked) ? asked : classroom.learnerId)
const from = ref(today(-42))
const to = ref(today())
const sections = ref<ReportSection[]>([])
const made = ref('')
const said = ref('')
const trouble = ref('')
/** Work that was chosen in the timeline, shown step by step after the words. */
const strips = shallowRef<readonly { readonly work: WorkRecord; readonly word: string; readonly day: string }[]>([])
const withStrips = ref(true)
const MOST_STRIPS = 4
/** So many steps are told of, those tried last. */
const MOST_STEPS = 8
const MOST_SAMPLES = 5

const within = (p: Progress) => sessionsOf(p.tried.filter((t) => t.day >= from.value && t.day <= to.value))
const { titleOf } = courses
const dayText = (day: string): string => format(new Date(`${day}T12:00:00`), 'd MMMM yyyy')
const name = computed(() => classroom.nameOf(learner.value ?? ''))

async function make(): Promise<void> {
  const id = learner.value
  if (!id) return
  trouble.value = ''
  if (to.value < from.value) {
    trouble.value = 'The period ends before it begins.'
    return
  }
  try {
    const ask = (step = ''): Promise<Progress> =>
      request<Progress>(
        `/api/progress?${new URLSearchParams({ learner: id, from: from.value, ...(step ? { step } : {}) })}`,
      )
    const all = await ask()
    const parts: Reported['parts'][number][] = []
    for (const step of all.steps.slice(0, MOST_STEPS)) {
      const goal = all.goals.find((g) => g.step === step && !g.archived)
      parts.push({
        title: titleOf(step),
        sessions: within(await ask(step)),
        ...(goal
          ? {
              goal: `${titleOf(step)}: ${Math.round(goal.share * 100)} of 100 right without help by ${dayText(goal.by)}.${goal.words ? ` ${goal.words}` : ''}`,
            }
          : {}),
      })
    }
    const page = await request<RecordPage>(
      `/api/records?${new URLSearchParams({ learner: id, from: from.value, to: to.value, limit: '60' })}`,
    )
    const moments = (await request<readonly Moment[]>(`/api/moments?learner=${id}`)).slice(0, 40)
    const chosen: { work: WorkRecord; word: string; day: string }[] = []
    for (const { record, word } of moments) {
      if (chosen.length === MOST_STRIPS) break
      const { work, startedAt } = await request<SavedRecord>(`/api/records/${record}`)
      const day = dayOf(startedAt)
      if (day >= from.value && day <= to.value) chosen.push({ work: markRaw(work as WorkRecord), word, day })
    }
    strips.value = chosen
    const counts = new Map<string, number>()
    for (const s of all.slips)
      if (s.day >= from.value && s.day <= to.value) counts.set(s.slip, (counts.get(s.slip) ?? 0) + s.count)
    const about: Reported = {
      learner: name.value,
      from: dayText(from.value),
      to: dayText(to.value),
      parts: parts.length ? parts : [{ title: 'all that was tried', sessions: within(all) }],
      slips: [...counts]
        .sort((a, b) => b[1] - a[1])
        .slice(0, 6)
        .map(([slip, count]) => ({ slip: capital(names(slip)), count })),
      decisions: all.decisions
        .filter((d) => d.answer === 'accepted' && dayOf(d.madeAt) >= from.value && dayOf(d.madeAt) <= to.value)
        .map(
          (d) =>
            `${dayText(dayOf(d.madeAt))}: ${d.kind.replace('-', ' ')}${d.word ? `, ${d.word}` : ''} (${d.figures}).`,
        ),
      samples: page.records
        .filter((r) => r.note !== '')
        .slice(0, MOST_SAMPLES)
        .map(
          (r) =>
            `${dayText(r.day)}${r.problem ? `, ${pretty(r.problem)}` : ''}${r.kind === 'note' ? '' : r.right ? ', right' : ', not yet'}: ${r.note}`,
        ),
    }
    sections.value = [...reportOf(about)]
    made.value = `${name.value}, ${about.from} to ${about.to}`
    said.value = 'The report is made. Every word of it can be changed.'
  } catch (error) {
    trouble.value = (error as Error).message
  }
}
const shown = computed(() => sections.value.filter((s) => s.text.trim() !== ''))
const fileName = computed(() => `sett-report-${name.value}-${to.value}`)
const asText = (): void =>
  download(`${fileName.value}.txt`, reportText(`Report: ${made.value}`, shown.value), 'text/plain')
async function asPdf(): Promise<void> {
  trouble.value = ''
  const sheet = { kind: 'words' as const, title: `Report: ${name.value}`, under: made.value, sections: shown.value }
  paper.lay(
    {
      paper: PAPERS[0],
      perPage: 1,
      big: false,
      tactile: false,
      choices: withDefaults({ ...classroom.hands, words: classroom.words }),
    },
    [
      { sheet, names: [], copies: 1 },
      ...(withStrips.value ? strips.value : []).map(({ work }) => ({
        sheet: { kind: 'steps' as const, problem: work.problem, material: work.representation, record: work },
        names: [name.value],
        copies: 1,
      })),
    ],
  )
  try {
    downloadBytes(`${fileName.value}.pdf`, await paper.pdf(`Report: ${made.value}`), 'application/pdf')
    said.value = 'The PDF is made.'
  } catch (error) {
    trouble.value = (error as Error).message
  }
}
useHead({ title: 'Report – Sett' })
</script>

<template>
  <div class="place">
    <header><h1>Report</h1></header>
    <form class="in-row" novalidate aria-label="About whom and when" @submit.prevent="make">
      <label
        >Learner
        <select v-model="learner">
          <option v-for="l in classroom.learners" :key="l.id" :value="l.id">{{ l.codeName }}</option>
        </select></label
      >
      <label>From <input v-model="from" type="date" /></label>
      <label>To <input v-model="to" type="date" /></label>
      <button type="submit" class="stone-button main">Make the report</button>
      <NuxtLink class="stone-button" :to="`/learners/progress?learner=${learner ?? ''}`">Progress</NuxtLink>
    </form>
    <p v-if="trouble" class="trouble" role="alert">{{ trouble }}</p>
    <p role="status">{{ said }}</p>
    <template v-if="sections.length">
      <p class="quiet">{{ made }}. It says what the figures say, and nothing more. What is emptied is left out.</p>
      <label v-for="(s, i) in sections" :key="s.title" class="part"
        >{{ s.title }}
        <textarea
          :value="s.text"
          :rows="Math.min(8, Math.max(2, s.text.split('\n').length + 1))"
          maxlength="4000"
          @input="sections[i] = { ...s, text: ($event.target as HTMLTextAreaElement).value }"
        />
      </label>
      <section v-if="strips.length" class="strips" aria-labelledby="strips-title">
        <h2 id="strips-title">Samples, step by step</h2>
        <label><input v-model="withStrips" type="checkbox" /> Put them into the PDF, a page each</label>
        <template v-if="withStrips">
          <div v-for="s in strips" :key="s.day + s.work.problem">
            <p>
              {{ dayText(s.day) }}, <span class="learner">{{ pretty(s.work.problem) }}</span>{{
                s.word ? `: ${s.word}` : ''
              }}
            </p>
            <LazyWorkStrip :work="s.work" :of="pretty(s.work.problem)" />
          </div>
        </template>
      </section>
      <p v-else class="quiet">
        Work that is marked in the <NuxtLink :to="`/learners/timeline?learner=${learner ?? ''}`">timeline</NuxtLink> is
        shown here step by step.
      </p>
      <div class="in-row">
        <button type="button" class="stone-button main" @click="asPdf">As PDF</button>
        <button type="button" class="stone-button" @click="asText">As plain text</button>
      </div>
    </template>
  </div>
</template>

<style scoped>
p {
  margin: 0;
}
.in-row label {
  display: inline-flex;
  gap: 0.5rem;
  align-items: center;
}
.part {
  display: grid;
  gap: 0.2rem;
  max-width: 52rem;
  font-weight: 700;
}
.part textarea {
  width: 100%;
  font-weight: 400;
  line-height: 1.45;
}
.strips {
  display: grid;
  gap: 0.6rem;
  min-width: 0;
}
.trouble {
  background: var(--plum-wash);
  border-left: 5px solid var(--plum);
  padding: 0.4rem 0.8rem;
}
</style>
