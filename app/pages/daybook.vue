<script setup lang="ts">
import { pretty } from '../../core/door'
import { format } from 'date-fns'
import type { RecordSummary, SavedRecord } from '../../shared/schemas'
import { request } from '../utils/request'

const classroom = useClassroom()
const { tell } = useNotice()
const records = ref<readonly RecordSummary[]>([])
const loaded = ref(false)
const whose = ref<string>(classroom.learnerId ?? 'all')
const trouble = ref('')
const said = ref('')
const lastDeleted = shallowRef<SavedRecord | null>(null)

const HELP = {
  independent: 'without help',
  pointed: 'pointed',
  spoken: 'spoken hint',
  shown: 'shown',
  'hand-over-hand': 'hand over hand',
}
const MODE = { show: 'Show', together: 'Together', alone: 'Alone' }

async function load(): Promise<void> {
  try {
    records.value = await request<RecordSummary[]>('/api/records')
  } catch (error) {
    trouble.value = (error as Error).message
  }
  loaded.value = true
}
await load()

const options = computed(() => [
  { value: 'all', label: 'Everybody' },
  ...classroom.learners.map((l) => ({ value: l.id, label: l.codeName })),
])
const shown = computed(() => records.value.filter((r) => whose.value === 'all' || r.learnerId === whose.value))
const summary = computed(() => {
  const n = shown.value.length
  const right = shown.value.filter((r) => r.right).length
  const own = shown.value.filter((r) => r.right && r.help === 'independent').length
  return n === 0 ? '' : `${n} worked · ${right} right · ${own} right without help`
})
const took = (ms: number): string =>
  ms < 60_000 ? `${Math.round(ms / 1000)} s` : `${Math.floor(ms / 60_000)} min ${Math.round((ms % 60_000) / 1000)} s`
const when = (iso: string): string => format(new Date(iso), 'd MMM yyyy, HH:mm')
const fileUrl = computed(() =>
  whose.value === 'all' ? '/api/records/file' : `/api/records/file?learner=${whose.value}`,
)

async function remove(r: RecordSummary): Promise<void> {
  trouble.value = ''
  try {
    lastDeleted.value = await request<SavedRecord>(`/api/records/${r.id}`)
    await request(`/api/records/${r.id}`, { method: 'DELETE' })
    said.value = `${pretty(r.problem)} of ${classroom.nameOf(r.learnerId)} is deleted.`
    await load()
  } catch (error) {
    trouble.value = (error as Error).message
  }
}
async function bringBack(): Promise<void> {
  if (!lastDeleted.value) return
  try {
    await request('/api/records', { method: 'POST', body: lastDeleted.value })
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
      <a class="stone-button" :href="fileUrl" download
        >Export {{ whose === 'all' ? 'all' : classroom.nameOf(whose) }}</a
      >
      <ImportFile
        url="/api/records/file"
        label="File of records"
        @taken="taken"
        @trouble="(said) => (trouble = said)"
      />
    </header>
    <p v-if="trouble" class="trouble" role="alert">{{ trouble }}</p>
    <p v-if="lastDeleted" class="undo" role="status">
      {{ said }} <button type="button" class="stone-button" @click="bringBack">Bring it back</button>
    </p>
    <DataTable
      v-if="shown.length"
      :value="[...shown]"
      data-key="id"
      removable-sort
      sort-field="startedAt"
      :sort-order="-1"
      class="table"
      scrollable
      scroll-height="flex"
    >
      <Column field="startedAt" header="When" sortable
        ><template #body="{ data }">{{ when(data.startedAt) }}</template></Column
      >
      <Column header="Learner" sortable sort-field="learnerId"
        ><template #body="{ data }">{{ classroom.nameOf(data.learnerId) }}</template></Column
      >
      <Column field="problem" header="Problem" sortable>
        <template #body="{ data }"
          ><NuxtLink class="learner open" :to="{ path: '/bench', query: { record: data.id } }"
            ><MathLine :line="pretty(data.problem)" named /></NuxtLink
        ></template>
      </Column>
      <Column field="mode" header="How" sortable
        ><template #body="{ data }">{{ MODE[data.mode as keyof typeof MODE] }}</template></Column
      >
      <Column field="right" header="Came out" sortable>
        <template #body="{ data }"
          ><span :class="data.right ? 'right' : 'not'">{{ data.right ? '✓ right' : '↻ not right' }}</span></template
        >
      </Column>
      <Column field="help" header="Most help" sortable
        ><template #body="{ data }">{{ HELP[data.help as keyof typeof HELP] }}</template></Column
      >
      <Column field="durationMs" header="Took" sortable
        ><template #body="{ data }">{{ took(data.durationMs) }}</template></Column
      >
      <Column field="note" header="Note and slips"
        ><template #body="{ data }"
          ><span class="note">{{ data.note }}</span
          ><span v-for="slip in new Set<string>(data.slips)" :key="slip" class="slip">↻ {{ slip }}</span></template
        ></Column
      >
      <Column header="File, delete">
        <template #body="{ data }">
          <span class="acts">
            <a
              class="stone-button bare"
              :href="`/api/records/file?record=${data.id}`"
              download
              :aria-label="`Export ${pretty(data.problem)}`"
              ><i class="pi pi-download" aria-hidden="true"
            /></a>
            <button
              type="button"
              class="stone-button bare"
              :aria-label="`Delete ${pretty(data.problem)}`"
              @click="remove(data)"
            >
              <i class="pi pi-trash" aria-hidden="true" />
            </button>
          </span>
        </template>
      </Column>
    </DataTable>
    <div v-else-if="loaded" class="none">
      <p>Nothing is recorded {{ whose === 'all' ? 'yet' : `for ${classroom.nameOf(whose)} yet` }}.</p>
      <p class="quiet">
        Work a problem at the bench and press Save. It will be listed here with every move, ready to open and replay.
      </p>
      <NuxtLink class="stone-button main" to="/bench">To the bench</NuxtLink>
    </div>
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
