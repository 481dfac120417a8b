<script setup lang="ts">
import { format } from 'date-fns'
import { pretty } from '../../../../core/door'
import type { Receipt } from '../../../../shared/people'
import type { Lesson } from '../../../../shared/lessons'
import type { KeptMarking } from '../../../../shared/marking'
import type { KeptAnswer, SavedRecord } from '../../../../shared/schemas'
import type { Trial } from '../../../../shared/trials'
import { forgetSitting } from '../../../composables/useSitting'
import { request, requestLong, ServerRefusal } from '../../../utils/request'

/** Everything that is kept of one learner, to be read, printed and handed over; and how to erase it for good. */
definePageMeta({ role: 'teacher' })
interface Everything {
  readonly learner: string
  readonly writtenAt: string
  readonly records: readonly (Omit<SavedRecord, 'learnerId'> & { readonly slips: readonly string[] })[]
  readonly trials: readonly Omit<Trial, 'learnerId'>[]
  readonly answers: readonly (Omit<KeptAnswer, 'at'> & { readonly at: string })[]
  readonly markings: readonly Omit<KeptMarking, 'learnerId'>[]
  readonly lessons: readonly (Pick<Lesson, 'day' | 'at' | 'minutes' | 'turns'> & { readonly note: string })[]
  readonly recordings: readonly { readonly said: string; readonly madeAt: string }[]
  readonly seenBy: readonly string[]
}
const session = useSession()
const classroom = useClassroom()
const bench = useBench()
const id = String(useRoute().params.id)
const file = shallowRef<Everything | null>(null)
const receipt = ref<Receipt | null>(null)
const trouble = ref('')
const sure = ref(false)
/** What is being done of erasing; empty where nothing is. */
const erasing = ref('')
const placings = useLocalStorage<Record<string, unknown>>('sett.placing', {})
const lessons = useLocalStorage<Record<string, Lesson>>('sett.lessons', {})
const prints = usePrintPlan()
const queue = useTrialQueue()
const typed = ref('')
try {
  file.value = await request<Everything>(`/api/learners/${encodeURIComponent(id)}`)
} catch (error) {
  trouble.value = (error as Error).message
}
const when = (at: string): string => format(new Date(at), 'd MMM yyyy, HH:mm')
const notes = computed(
  () =>
    (file.value?.records.filter((r) => r.outcome.note !== '').length ?? 0) +
    (file.value?.trials.filter((t) => t.note !== '').length ?? 0),
)
/** Takes out of this browser what it remembers of the learner. */
async function forgetHere(): Promise<void> {
  bench.forget(id)
  // A page that is being marked, and a story that was typed, do not say whose they are either.
  for (const key of ['sett.marking', 'sett.marking-class', 'sett.own-story', 'sett.story-desk', 'sett.stories-away'])
    localStorage.removeItem(key)
  sessionStorage.removeItem('sett.marked')
  const { [id]: _gone, ...sittings } = placings.value
  placings.value = sittings
  lessons.value = lessonsWithout(lessons.value, id)
  prints.put(printWithout(prints.plan.value, id))
  await queue.forget(id)
  await forgetSitting(id)
}
async function erase(): Promise<void> {
  if (erasing.value) return
  trouble.value = ''
  if (!file.value || typed.value.trim().toLowerCase() !== file.value.learner.toLowerCase()) {
    trouble.value = `Type the name, ${file.value?.learner ?? ''}, to erase it.`
    return
  }
  erasing.value = 'Erasing. Every file is written anew, which may take a while; others can go on reading.'
  try {
    const told = (done: number, of: number): void => void (erasing.value = `Erasing: ${done} of ${of} files done.`)
    receipt.value = await requestLong<Receipt>(`/api/learners/${encodeURIComponent(id)}`, told, { method: 'DELETE' })
    await forgetHere()
    file.value = null
    if (classroom.learnerId === id) classroom.learnerId = null
    await classroom.load()
  } catch (error) {
    trouble.value = (error as Error).message
    // Where only the answer was lost, what this browser remembers goes all the same.
    if (await isGone()) {
      await forgetHere()
      trouble.value += ` ${file.value?.learner ?? ''} is erased, from earlier copies too. There is no receipt.`
      file.value = null
    }
  }
  erasing.value = ''
}
/** Whether the server says that there is no such learner any more. */
const isGone = (): Promise<boolean> =>
  request(`/api/learners/${encodeURIComponent(id)}`).then(
    () => false,
    (error: unknown) => error instanceof ServerRefusal && error.status === 404,
  )
const triedText = ({ work }: Pick<Trial, 'work'>): string =>
  work.format === 'sett-story'
    ? work.text
    : work.format === 'sett-trial'
      ? pretty(work.asked)
      : work.tallies.map((t) => `${t.name}: ${t.count}`).join(', ')
const print = (): void => window.print()
const { nameOfBug } = await import('../../../utils/saidOf')
function saidThen({ said: { ranked, none } }: Pick<KeptMarking, 'said'>): string {
  const [top] = ranked
  return top && top.probability > none ? nameOfBug(top.bug) : 'no procedure seen'
}
useHead({ title: () => `${file.value?.learner ?? 'A learner'} – Sett` })
</script>

<template>
  <div class="page">
    <section v-if="receipt" class="told" role="status">
      <h1>{{ receipt.learner }} is erased</h1>
      <p>
        On {{ when(receipt.at) }} went {{ receipt.records }} records and {{ receipt.trials }} stories and tries with
        {{ receipt.notes }} notes, {{ receipt.answers }} answers of rehearsing, {{ receipt.markings }} marked pages and
        a part of {{ receipt.lessons }} lessons, {{ receipt.recordings }} recordings; from {{ receipt.copies }} earlier
        copies too. Old files cannot bring it back. This page is the receipt: print it if you need one.
      </p>
      <p v-if="receipt.unread.length > 0">
        These files lie beside the database, and Sett cannot tell what is in them: {{ receipt.unread.join(', ') }}. Look
        at them yourself.
      </p>
      <p class="row"><button type="button" class="stone-button" @click="print">Print</button></p>
    </section>
    <template v-else-if="file">
      <h1>Kept of {{ file.learner }}</h1>
      <p>
        {{ file.records.length }} records and {{ file.trials.length }} stories and tries at the table, {{ notes }} of
        them with a note, and {{ file.answers.length }} answers of rehearsing, {{ file.markings.length }} marked pages,
        {{ file.lessons.length }} lessons, {{ file.recordings.length }} recordings.
        {{ file.seenBy.length ? `Helpers who see it: ${file.seenBy.join(', ')}.` : '' }}
      </p>
      <p class="row no-print">
        <a
          class="stone-button main"
          :href="`/api/learners/${encodeURIComponent(id)}`"
          :download="`sett-${file.learner}.json`"
          >Everything as one file</a
        >
        <button type="button" class="stone-button" @click="print">Print</button>
      </p>
      <table v-if="file.records.length" class="all">
        <thead>
          <tr>
            <th scope="col">When</th>
            <th scope="col">Problem</th>
            <th scope="col">Came out</th>
            <th scope="col">Note and slips</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="r in file.records" :key="r.id">
            <td>{{ when(r.startedAt) }}</td>
            <td class="learner">{{ pretty(r.work.problem) }}</td>
            <td>{{ r.outcome.right ? 'right' : 'not right' }}</td>
            <td>{{ [r.outcome.note, ...new Set(r.slips)].filter((t) => t !== '').join(' · ') }}</td>
          </tr>
        </tbody>
      </table>
      <table v-if="file.answers.length" class="all">
        <thead>
          <tr>
            <th scope="col">When</th>
            <th scope="col">Rehearsed</th>
            <th scope="col">Answer</th>
            <th scope="col">Right</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="a in file.answers" :key="a.id">
            <td>{{ when(a.at) }}</td>
            <td>{{ a.item }}</td>
            <td>{{ a.given }}</td>
            <td>{{ a.right ? 'right' : 'not right' }}</td>
          </tr>
        </tbody>
      </table>
      <table v-if="file.trials.length" class="all">
        <thead>
          <tr>
            <th scope="col">When</th>
            <th scope="col">Story, or what was tried</th>
            <th scope="col">Came out</th>
            <th scope="col">Note</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="t in file.trials" :key="t.id">
            <td>{{ when(t.startedAt) }}</td>
            <td class="learner">{{ triedText(t) }}</td>
            <td>{{ t.right ? 'right' : 'not right' }}</td>
            <td>{{ t.note }}</td>
          </tr>
        </tbody>
      </table>
      <table v-if="file.markings.length" class="all">
        <thead>
          <tr>
            <th scope="col">Marked</th>
            <th scope="col">Answers</th>
            <th scope="col">Said</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="m in file.markings" :key="m.id">
            <td>{{ when(m.markedAt) }}</td>
            <td class="learner">{{ m.items.map((i) => pretty(`${i.problem} = ${i.answer}`)).join(' · ') }}</td>
            <td>{{ m.withdrawn ? `withdrawn: ${m.withdrawn}` : saidThen(m) }}</td>
          </tr>
        </tbody>
      </table>
      <table v-if="file.lessons.length" class="all">
        <thead>
          <tr>
            <th scope="col">Lesson</th>
            <th scope="col">Problems</th>
            <th scope="col">Note</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="l in file.lessons" :key="`${l.day} ${l.at}`">
            <td>{{ when(`${l.day}T${l.at}`) }}</td>
            <td class="learner">{{ l.turns.map((t) => pretty(t.problem)).join(' · ') }}</td>
            <td>{{ l.note }}</td>
          </tr>
        </tbody>
      </table>
      <section v-if="session.may('keeper')" class="no-print">
        <h2>Erase for good</h2>
        <p>
          All of the above goes: here, in every backup, and in what this browser remembers. It cannot be brought back.
        </p>
        <button v-if="!sure" type="button" class="stone-button" @click="sure = true">Erase {{ file.learner }}</button>
        <form v-else class="people-form" novalidate @submit.prevent="erase">
          <label
            >Type the name to be sure <input v-model="typed" type="text" maxlength="24" autocomplete="off"
          /></label>
          <div class="row">
            <button type="submit" class="stone-button main">Erase it for good</button>
            <button v-if="!erasing" type="button" class="stone-button bare" @click="sure = false">Leave it</button>
          </div>
        </form>
        <p role="status">{{ erasing }}</p>
      </section>
    </template>
    <p v-if="trouble" class="trouble" role="alert">{{ trouble }}</p>
  </div>
</template>

<style scoped src="../../../components/settings/people.css"></style>
<style scoped>
.all {
  border-collapse: collapse;
}
.all th,
.all td {
  text-align: left;
  vertical-align: top;
  padding: 0.3rem 1rem 0.3rem 0;
  border-bottom: 1px solid var(--rule);
}
</style>
