<script setup lang="ts">
import { differenceInCalendarDays, parseISO } from 'date-fns'
import { pretty, type WorkRecord } from '../../../core/door'
import type { RecordSummary } from '../../../shared/listing'
import type { SavedRecord } from '../../../shared/schemas'
import { request } from '../../utils/request'

/** One learner's time, the latest day first; chosen moments stand in it as pictures of each step. */
const classroom = useClassroom()
const session = useSession()
const courses = useCourses()
const names = useMistakeNames()
await courses.load().catch(() => undefined)
const asked = useRoute().query.learner
const learner = ref(
  typeof asked === 'string' && classroom.everyone.some((l) => l.id === asked) ? asked : classroom.learnerId,
)
const t = useTimeline()
await t.load(learner.value)
watch(learner, () => void t.load(learner.value))
/** Those of the class, and whoever is shown though they were put away. */
const offered = computed(() => classroom.everyone.filter((l) => !l.archived || l.id === learner.value))
const said = ref('')
const { titleOf } = courses
/** Tries of one day that are alike are told together. */
function told(lines: readonly RecordSummary[]) {
  const groups = new Map<string, RecordSummary[]>()
  for (const l of lines) {
    const key = l.kind === 'table' ? `table ${l.problem}` : l.id
    groups.set(key, [...(groups.get(key) ?? []), l])
  }
  return [...groups.values()]
}
const cameOut = (all: readonly RecordSummary[]): string => {
  const [one] = all
  if (all.length === 1) return `${one!.right ? '✓ right' : '↻ not yet'}, ${HELP_USED[one!.help]}`
  const alone = all.filter((l) => l.right && l.help === 'independent').length
  return `${all.length} tries, ${alone} right without help`
}
const apart = (i: number): number => {
  const [later, earlier] = [t.days.value[i - 1], t.days.value[i]]
  return later && earlier ? differenceInCalendarDays(parseISO(later.day), parseISO(earlier.day)) : 0
}
/** Work that is shown as a strip, by its record. */
const works = reactive(new Map<string, WorkRecord>())
async function fetchWork(id: string): Promise<void> {
  if (works.has(id)) return
  try {
    const { work } = await request<SavedRecord>(`/api/records/${id}`)
    works.set(id, markRaw(work as WorkRecord))
  } catch (error) {
    said.value = (error as Error).message
  }
}
watch(
  () => t.days.value.flatMap((d) => d.lines).filter((l) => l.kind === 'bench' && t.chosen(l.id)),
  (all) => all.forEach((l) => void fetchWork(l.id)),
  { immediate: true },
)
async function toggle(l: RecordSummary): Promise<void> {
  try {
    if (t.chosen(l.id)) await t.letGo(l.id)
    else await t.choose(l.id, '')
    said.value = t.chosen(l.id)
      ? `${pretty(l.problem)} is shown here and in reports.`
      : `${pretty(l.problem)} is not shown any more. The record stays.`
  } catch (error) {
    said.value = (error as Error).message
  }
}
async function word(l: RecordSummary, event: Event): Promise<void> {
  try {
    await t.choose(l.id, (event.target as HTMLInputElement).value.trim())
    said.value = 'The word is kept.'
  } catch (error) {
    said.value = (error as Error).message
  }
}
useHead({ title: () => `Timeline of ${classroom.nameOf(learner.value ?? '') || 'a learner'} – Sett` })
</script>

<template>
  <div class="place">
    <header>
      <h1>Timeline</h1>
      <label
        >Learner
        <select v-model="learner">
          <option v-for="l in offered" :key="l.id" :value="l.id">{{ l.codeName }}</option>
        </select></label
      >
      <NuxtLink class="stone-button" :to="`/learners/progress?learner=${learner ?? ''}`">Progress</NuxtLink>
      <NuxtLink v-if="session.may('teacher')" class="stone-button" :to="`/learners/reports?learner=${learner ?? ''}`"
        >Report</NuxtLink
      >
    </header>
    <p v-if="t.trouble.value" class="trouble" role="alert">{{ t.trouble.value }}</p>
    <p v-if="t.loaded.value && t.days.value.length === 0" class="quiet">
      Nothing is recorded yet. Work a problem at the Bench, or note tries at the table.
    </p>
    <ol class="days">
      <li v-for="(d, i) in t.days.value" :key="d.day">
        <p v-if="apart(i) > 7" class="gap quiet">{{ apart(i) }} days between</p>
        <h2>{{ dayInWords(d.day) }}</h2>
        <ul>
          <li v-for="g in d.goals" :key="g.id" class="decided">
            Goal set: {{ Math.round(g.share * 100) }} of 100 of
            {{ g.step ? `“${titleOf(g.step)}”` : 'all that is tried' }} right without help by {{ dayInWords(g.by) }}.{{
              g.words ? ` ${g.words}` : ''
            }}
          </li>
          <li v-for="c in d.decisions" :key="c.id" class="decided">
            {{ { accepted: 'Taken up', later: 'Put off', refused: 'Not taken up' }[c.answer] }}:
            {{ SUGGESTION_SAYS[c.kind] }}{{ c.step ? `, ${titleOf(c.step)}` : '' }}.{{ c.word ? ` ${c.word}` : '' }}
          </li>
          <li v-for="all in told(d.lines)" :key="all[0]!.id" :class="{ moment: t.chosen(all[0]!.id) }">
            <template v-if="all[0]!.kind === 'note'">Note: {{ all[0]!.note || pretty(all[0]!.problem) }}</template>
            <template v-else>
              <NuxtLink
                v-if="all[0]!.kind === 'bench' || all[0]!.kind === 'story'"
                class="open learner"
                :to="all[0]!.kind === 'bench' ? `/bench?record=${all[0]!.id}` : `/plan/stories?trial=${all[0]!.id}`"
                >{{ pretty(all[0]!.problem) }}</NuxtLink><span v-else class="open learner">{{
                pretty(all[0]!.problem) || 'tries'
              }}</span>
              {{ cameOut(all)
              }}{{ all[0]!.kind === 'table' ? ', at the table' : all[0]!.kind === 'story' ? ', as a story' : '' }}
              <span v-for="slip in new Set(all.flatMap((l) => l.slips))" :key="slip" class="slip"
                >↻ {{ names(slip) }}</span
              >
              <span v-if="all[0]!.note" class="quiet">{{ all[0]!.note }}</span>
              <template v-if="all[0]!.kind === 'bench'">
                <button
                  v-if="session.may('teacher')"
                  type="button"
                  class="stone-button no-print"
                  :aria-pressed="t.chosen(all[0]!.id) !== undefined"
                  :aria-label="`Show ${pretty(all[0]!.problem)} step by step here and in reports`"
                  @click="toggle(all[0]!)"
                >
                  {{ t.chosen(all[0]!.id) ? '★ A moment to show' : '☆ Show step by step' }}
                </button>
                <template v-if="t.chosen(all[0]!.id)">
                  <label class="word no-print"
                    >A word to it
                    <input
                      type="text"
                      maxlength="200"
                      :value="t.chosen(all[0]!.id)!.word"
                      @change="word(all[0]!, $event)"
                  /></label>
                  <LazyWorkStrip
                    v-if="works.get(all[0]!.id)"
                    :work="works.get(all[0]!.id)!"
                    :of="pretty(all[0]!.problem)"
                  />
                </template>
              </template>
            </template>
          </li>
        </ul>
      </li>
    </ol>
    <button v-if="t.next.value" type="button" class="stone-button" @click="t.load(learner, true)">
      Show earlier days
    </button>
    <p role="status" class="sr-only">{{ said }}</p>
  </div>
</template>

<style scoped>
header label {
  display: inline-flex;
  gap: 0.5rem;
  align-items: center;
}
.days {
  list-style: none;
  margin: 0;
  padding: 0 0 0 1.2rem;
  border-left: 4px solid var(--edge);
  display: grid;
  gap: 1rem;
}
.days > li {
  position: relative;
  min-width: 0;
}
.days > li::before {
  content: '';
  position: absolute;
  left: -1.75rem;
  top: 0.35rem;
  width: 16px;
  height: 16px;
  background: var(--clay);
  border-radius: 3px;
}
h2 {
  margin: 0;
  font-size: 1.1rem;
}
.gap {
  margin: 0 0 0.8rem;
}
.days ul {
  list-style: none;
  margin: 0;
  padding: 0;
  display: grid;
  gap: 0.2rem;
}
.days ul > li {
  min-width: 0;
}
.moment {
  background: var(--paper-2);
  padding: 0.3rem 0.8rem 0.6rem;
}
.open {
  display: inline-flex;
  align-items: center;
  min-height: 44px;
  min-width: 44px;
  font-size: 1.15rem;
  font-weight: 700;
  margin-right: 0.5rem;
}
.decided {
  border-left: 5px solid var(--clay);
  padding-left: 0.7rem;
}
.slip {
  color: var(--plum);
}
.days ul > li > :is(.quiet, .slip, .stone-button) {
  margin-left: 0.6rem;
}
.word {
  display: flex;
  gap: 0.5rem;
  align-items: center;
  max-width: 40rem;
}
.word input {
  flex: 1;
  min-width: 0;
}
</style>
