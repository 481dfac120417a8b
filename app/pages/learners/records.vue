<script setup lang="ts">
// A table counts its columns where they stand as themselves.
import { attempt, inClassWords, parseProblem, pretty, printProblem } from '../../../core/door'
import { format } from 'date-fns'
import type { RecordPage, RecordSummary } from '../../../shared/listing'
import type { SavedRecord } from '../../../shared/schemas'
import type { Trial } from '../../../shared/trials'
import { NOTHING_WANTED, type Find } from '../../utils/find'
import { request } from '../../utils/request'

const classroom = useClassroom()
const { tell } = useNotice()
const session = useSession()
const records = ref<readonly RecordSummary[]>([])
const next = ref<string | null>(null)
const known = ref<RecordPage['known']>({ slips: [], materials: [] })
/** What the list is narrowed by besides whose it is. */
const finding = ref(false)
const find = ref<Find>({ ...NOTHING_WANTED })
const loaded = ref(false)
const whose = ref<string>(classroom.learnerId ?? 'all')
const trouble = ref('')
const said = ref('')
const lastDeleted = shallowRef<{ record?: SavedRecord; trial?: Trial } | null>(null)

const { pack } = useNames()
const MODE = { show: 'Show', together: 'Together', alone: 'Alone' }

/** The address of a page: a problem is looked up as it is kept, however it is typed. */
function address(before: string | null): string {
  const read = attempt(() => printProblem(parseProblem(find.value.problem)))
  const problem = find.value.problem.trim() === '' ? '' : 'ok' in read ? read.ok : find.value.problem.trim()
  const wanted = { ...find.value, problem, learner: whose.value === 'all' ? '' : whose.value, before: before ?? '' }
  return `/api/records?${new URLSearchParams(Object.entries(wanted).filter(([, value]) => value !== ''))}`
}
watch(finding, (open) => open && void fetchAll())
let asked = 0
/** The first page, or one more below what is there. */
async function load(more = false): Promise<void> {
  const turn = (asked += 1)
  try {
    const page = await request<RecordPage>(address(more ? next.value : null))
    // What was asked for later is shown, whichever answers first.
    if (turn !== asked) return
    records.value = more ? [...records.value, ...page.records] : page.records
    next.value = page.next
    known.value = page.known
    trouble.value = ''
  } catch (error) {
    trouble.value = (error as Error).message
  }
  loaded.value = true
}
await load()
watch(whose, () => void load())
watchDebounced(find, () => void load(), { debounce: 250 })

const options = computed(() => [
  { value: 'all', label: 'Everybody' },
  ...classroom.learners.map((l) => ({ value: l.id, label: l.codeName })),
])
const shown = records
const narrowed = computed(() => Object.values(find.value).some((value) => value !== ''))
const summary = computed(() => {
  const worked = shown.value.filter((r) => r.kind !== 'note')
  const n = worked.length
  const right = worked.filter((r) => r.right).length
  const own = worked.filter((r) => r.right && r.help === 'independent').length
  const which = next.value === null ? `${n} worked` : `The latest ${n}`
  return n === 0 ? '' : `${which} · ${right} right · ${own} right without help`
})
/** At the table nobody says how it was worked, and hardly anybody measures how long it took. */
const isAtBench = ({ kind }: RecordSummary): boolean => kind === 'bench' || kind === 'story'
const isTimed = (record: RecordSummary): boolean => isAtBench(record) || record.durationMs > 0
const took = (ms: number): string =>
  ms < 60_000 ? `${Math.round(ms / 1000)} s` : `${Math.floor(ms / 60_000)} min ${Math.round((ms % 60_000) / 1000)} s`
const when = (iso: string): string => format(new Date(iso), 'd MMM yyyy, HH:mm')
const fileUrl = computed(() =>
  whose.value === 'all' ? '/api/records/file' : `/api/records/file?learner=${whose.value}`,
)

/** Where a line of the list is opened. */
const openedAt = ({ kind, id }: RecordSummary) =>
  kind === 'story'
    ? { path: '/plan/stories', query: { trial: id } }
    : kind === 'bench'
      ? { path: '/bench', query: { record: id } }
      : undefined
/** What else goes out: stories and tries as a file that is read in again, and everything as others read it. */
const OTHERS = [
  ['/api/trials/file?', 'Export stories and tries'],
  ['/api/tried/file?as=csv&', 'As a table (CSV)'],
  ['/api/tried/file?as=xapi&', 'As statements (xAPI)'],
] as const
const KIND: Readonly<Record<RecordSummary['kind'], string>> = {
  bench: '',
  story: 'story',
  table: 'at the table',
  note: 'note of a sitting',
}

async function remove(r: RecordSummary): Promise<void> {
  trouble.value = ''
  try {
    const at = r.kind === 'bench' ? `/api/records/${r.id}` : `/api/trials/${r.id}`
    const kept = await request<SavedRecord | Trial>(at)
    lastDeleted.value = 'kind' in kept ? { trial: kept } : { record: kept }
    await request(at, { method: 'DELETE' })
    said.value = `${pretty(r.problem)} of ${classroom.nameOf(r.learnerId)} is deleted.`
    await load()
  } catch (error) {
    trouble.value = (error as Error).message
  }
}
async function bringBack(): Promise<void> {
  if (!lastDeleted.value) return
  try {
    const { record, trial } = lastDeleted.value
    if (record) await request('/api/records', { method: 'POST', body: record })
    if (trial) await request('/api/trials', { method: 'POST', body: { trials: [trial] } })
    said.value = 'It is back.'
    lastDeleted.value = null
    await load()
  } catch (error) {
    trouble.value = (error as Error).message
  }
}
async function taken(said: string): Promise<void> {
  void tell('File read', said, 6000)
  await load()
}
useHead({ title: 'Daybook – Sett' })
</script>

<template>
  <div class="daybook">
    <header class="top">
      <h1>Daybook</h1>
      <Select v-model="whose" :options="options" option-label="label" option-value="value" aria-label="Whose records" />
      <p class="quiet">{{ summary }}</p>
      <span class="gap" />
      <NuxtLink class="stone-button" to="/learners/notes">Note at the table</NuxtLink>
      <NuxtLink
        class="stone-button"
        :to="whose === 'all' ? '/learners/progress' : `/learners/progress?learner=${whose}`"
        >Progress</NuxtLink
      >
      <NuxtLink v-if="whose !== 'all'" class="stone-button" :to="`/learners/timeline?learner=${whose}`"
        >Timeline</NuxtLink
      >
      <button type="button" class="stone-button" :aria-expanded="finding" @click="finding = !finding">Find</button>
      <a v-if="session.may('teacher')" class="stone-button" :href="fileUrl" download
        >Export {{ whose === 'all' ? 'all' : classroom.nameOf(whose) }}</a
      >
      <template v-if="session.may('teacher') && finding">
        <a
          v-for="[url, label] in OTHERS"
          :key="url"
          class="stone-button"
          :href="`${url}${whose === 'all' ? '' : `learner=${whose}`}`.replace(/[?&]$/, '')"
          download
          >{{ label }}</a
        >
      </template>
      <ImportFile
        v-if="session.may('teacher')"
        url="/api/records/file"
        :others="{ 'sett-trials': '/api/trials/file' }"
        label="File of records"
        @taken="taken"
        @trouble="(said) => (trouble = said)"
      />
    </header>
    <LazyFindForm v-if="finding" v-model="find" :known="known" />
    <p v-if="trouble" class="trouble" role="alert">{{ trouble }}</p>
    <p v-if="lastDeleted" class="undo" role="status">
      {{ said }} <button type="button" class="stone-button" @click="bringBack">Bring it back</button>
    </p>
    <LazyAnswersSay v-if="whose !== 'all'" :learner="whose" />
    <DataTable v-if="shown.length" :value="[...shown]" data-key="id" class="table" scrollable scroll-height="flex">
      <Column field="startedAt" header="When"
        ><template #body="{ data }">{{ when(data.startedAt) }}</template></Column
      >
      <Column header="Learner"
        ><template #body="{ data }">{{ classroom.nameOf(data.learnerId) }}</template></Column
      >
      <Column field="problem" header="Problem">
        <template #body="{ data }"
          ><NuxtLink v-if="openedAt(data)" class="learner open" :to="openedAt(data)!"
            ><MathLine :line="pretty(data.problem)" named /></NuxtLink
          ><span v-else class="learner">{{ pretty(data.problem) }}</span
          ><span v-if="KIND[data.kind as RecordSummary['kind']]" class="quiet kind">
            {{ KIND[data.kind as RecordSummary['kind']] }}</span
          ></template
        >
      </Column>
      <Column field="mode" header="How"
        ><template #body="{ data }">{{
          isAtBench(data) ? MODE[data.mode as keyof typeof MODE] : '–'
        }}</template></Column
      >
      <Column field="right" header="Came out">
        <template #body="{ data }"
          ><span v-if="data.kind === 'note'">–</span
          ><span v-else :class="data.right ? 'right' : 'not'">{{ data.right ? '✓ right' : '↻ not right' }}</span
          ><span v-if="data.replay === 'waiting'" class="quiet"> · still being checked</span
          ><span v-else-if="data.replay === 'broken'" class="quiet"> · some moves cannot be replayed</span></template
        >
      </Column>
      <Column field="help" header="Most help"
        ><template #body="{ data }">{{ HELP_USED[data.help as keyof typeof HELP_USED] }}</template></Column
      >
      <Column field="durationMs" header="Took"
        ><template #body="{ data }">{{ isTimed(data) ? took(data.durationMs) : '–' }}</template></Column
      >
      <Column field="note" header="Note and slips"
        ><template #body="{ data }"
          ><span class="note">{{ data.note }}</span
          ><span v-for="slip in new Set<string>(data.slips)" :key="slip" class="slip"
            >↻ {{ inClassWords(slip, pack) }}</span
          ></template
        ></Column
      >
      <Column header="Paper, file, delete">
        <template #body="{ data }">
          <span class="acts">
            <a
              v-if="data.kind === 'bench'"
              class="stone-button bare"
              :href="`/plan/print?record=${data.id}`"
              :aria-label="`On paper, step by step: ${pretty(data.problem)}`"
              @click.prevent="navigateTo(`/plan/print?record=${data.id}`)"
              ><IconPrinter
            /></a>
            <a
              v-if="session.may('teacher') && data.kind === 'bench'"
              class="stone-button bare"
              :href="`/api/records/file?record=${data.id}`"
              download
              :aria-label="`Export ${pretty(data.problem)}`"
              ><IconDownload
            /></a>
            <button
              v-if="session.may('teacher')"
              type="button"
              class="stone-button bare"
              :aria-label="`Delete ${pretty(data.problem)}`"
              @click="remove(data)"
            >
              <IconTrash2 />
            </button>
          </span>
        </template>
      </Column>
    </DataTable>
    <p v-else-if="loaded && narrowed" class="quiet">
      {{ next ? 'Nothing of that kind among the latest.' : 'Nothing of that kind is recorded.' }}
    </p>
    <div v-else-if="loaded" class="none">
      <p>Nothing is recorded {{ whose === 'all' ? 'yet' : `for ${classroom.nameOf(whose)} yet` }}.</p>
      <p class="quiet">
        Work a problem at the bench, or a story, and press Save. It will be listed here with every move, ready to open
        and replay.
      </p>
      <NuxtLink class="stone-button main" to="/bench">To the bench</NuxtLink>
    </div>
    <button v-if="next" type="button" class="stone-button more" @click="load(true)">
      {{ narrowed ? 'Look further back' : 'Show earlier ones' }}
    </button>
    <p class="sr-only" aria-live="polite">{{ said }}</p>
  </div>
</template>

<style scoped>
.daybook {
  display: flex;
  flex-direction: column;
  height: 100%;
  padding: 14px 18px;
  gap: 10px;
}
.top {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 0.9rem;
}
.gap {
  flex: 1;
}
.more {
  align-self: center;
}
.table {
  flex: 1;
  min-height: 0;
}
.table :deep(td),
.table :deep(th) {
  padding: 4px 10px;
}
.open {
  display: inline-flex;
  align-items: center;
  min-height: 44px;
  min-width: 44px;
  font-size: 1.15rem;
  font-weight: 700;
}
.right {
  color: var(--moss);
  font-weight: 700;
  white-space: nowrap;
}
.not {
  color: var(--plum);
  font-weight: 700;
  white-space: nowrap;
}
.slip {
  display: block;
  color: var(--plum);
}
.kind {
  display: block;
}
.note {
  display: block;
  max-width: 18rem;
}
.acts {
  display: flex;
}
.trouble,
.undo {
  border-left: 5px solid var(--plum);
  background: var(--plum-wash);
  padding: 0.4rem 0.8rem;
}
.undo {
  background: var(--paper-2);
  border-color: var(--edge);
  display: flex;
  gap: 1rem;
  align-items: center;
}
.none {
  display: grid;
  gap: 0.8rem;
  justify-items: start;
  padding: 3rem 1rem;
  font-size: 1.2rem;
}
</style>
