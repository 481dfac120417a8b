<script setup lang="ts">
import type { OnRoster, ReadRoster } from '../../../shared/oneRoster'
import type { Roster, RosterTaken } from '../../../shared/learners'
import { downloadBytes } from '../../utils/download'
import { request } from '../../utils/request'

/**
 * Learners from a school's own list (OneRoster 1.1 CSV). The files are read here; what is sent is the list's identifiers and the groups,
 * and names only where the school says so.
 */
const emit = defineEmits<{ taken: [] }>()
const MOST_GROUPS = 8
const read = shallowRef<ReadRoster | null>(null)
const chosen = ref<string[]>([])
const withNames = ref(false)
const whole = ref(false)
const trouble = ref('')
const said = ref('')
const busy = ref(false)
const taken = shallowRef<RosterTaken | null>(null)
const picker = useTemplateRef<HTMLInputElement>('picker')

async function look(): Promise<void> {
  const files = [...(picker.value?.files ?? [])]
  ;[trouble.value, said.value, read.value, taken.value] = ['', '', null, null]
  if (files.length === 0) return
  try {
    const { filesIn, readRoster } = await import('../../utils/rosterFiles')
    read.value = readRoster(await filesIn(files))
    chosen.value = read.value.classes.filter((c) => c.learners > 0).map((c) => c.id)
    if (read.value.people.length === 0) trouble.value = 'No learner is on this list.'
  } catch (error) {
    trouble.value = (error as Error).message
  }
  // The same file can be chosen again once it is mended.
  if (picker.value) picker.value.value = ''
}
const titleOf = (id: string): string =>
  read.value?.classes
    .find((c) => c.id === id)
    ?.title.slice(0, 40)
    .trim() ?? ''
/** Learners of the chosen classes, and those who have left. */
const coming = computed<readonly OnRoster[]>(
  () => read.value?.people.filter((p) => p.gone || p.classes.some((c) => chosen.value.includes(c))) ?? [],
)
const refused = computed(() => whole.value && (read.value?.bad.length ?? 0) > 0)
const nameOf = (p: OnRoster): string =>
  `${p.given} ${p.family}`
    .replace(/[^\p{L}\p{M}\p{N} .'’-]/gu, '')
    .trim()
    .slice(0, 24)
    .trim()
async function take(): Promise<void> {
  if (refused.value || coming.value.length === 0) return
  busy.value = true
  trouble.value = ''
  const learners: Roster['learners'] = coming.value.map((p) => ({
    rosterId: p.rosterId,
    groups: [...new Set(p.classes.filter((c) => chosen.value.includes(c)).map(titleOf))].slice(0, MOST_GROUPS),
    gone: p.gone,
    ...(withNames.value ? { name: nameOf(p) } : {}),
  }))
  const classes = [...new Set((read.value?.classes ?? []).map((c) => titleOf(c.id)).filter((t) => t !== ''))]
  try {
    taken.value = await request<RosterTaken>('/api/roster', { method: 'POST', body: { learners, classes } })
    const { added, changed, putAway } = taken.value
    said.value = `${added} new, ${changed} changed, ${putAway} put away.`
    emit('taken')
  } catch (error) {
    trouble.value = (error as Error).message
  }
  busy.value = false
}
/** Who is who: made here from the file that was chosen, and kept nowhere. */
async function saveKey(): Promise<void> {
  const { keyOf } = await import('../../utils/rosterFiles')
  const text = keyOf(coming.value, taken.value?.names ?? [])
  downloadBytes('sett-who-is-who.csv', new TextEncoder().encode(text), 'text/csv')
}
</script>

<template>
  <section class="roster" aria-labelledby="roster-title">
    <h2 id="roster-title">A class list from the school’s office</h2>
    <p class="quiet">
      OneRoster 1.1 CSV: users, classes and enrollments, or the whole zip file. It is read in this browser. Learners get
      code names; their names stay in your file.
    </p>
    <label class="file"
      >Files of the list
      <input ref="picker" type="file" multiple accept=".csv,.zip,text/csv,application/zip" @change="look"
    /></label>
    <p v-if="trouble" class="trouble" role="alert">{{ trouble }}</p>
    <template v-if="read">
      <fieldset v-if="read.classes.length">
        <legend>Which classes come in, as groups</legend>
        <label v-for="c in read.classes" :key="c.id"
          ><input v-model="chosen" type="checkbox" :value="c.id" /> {{ c.title }} ({{ c.learners }})</label
        >
      </fieldset>
      <label><input v-model="withNames" type="checkbox" /> Use the names on the list: our school allows it</label>
      <label><input v-model="whole" type="checkbox" /> Take all of it or nothing: not a list with bad lines</label>
      <div v-if="read.bad.length" class="bad">
        <p>{{ read.bad.length }} {{ read.bad.length === 1 ? 'line is' : 'lines are' }} not taken:</p>
        <div class="scroll" tabindex="0" role="region" aria-label="Lines that are not taken">
          <table>
            <thead>
              <tr>
                <th scope="col">File</th>
                <th scope="col">Line</th>
                <th scope="col">Why</th>
              </tr>
            </thead>
            <tbody>
              <tr v-for="b in read.bad.slice(0, 200)" :key="`${b.file} ${b.line} ${b.reason}`">
                <td>{{ b.file }}</td>
                <td>{{ b.line }}</td>
                <td>{{ b.reason }}</td>
              </tr>
            </tbody>
          </table>
        </div>
        <p v-if="read.bad.length > 200" class="quiet">The first 200 are shown.</p>
      </div>
      <div class="in-row">
        <button
          type="button"
          class="stone-button main"
          :disabled="busy || refused || coming.length === 0"
          @click="take"
        >
          Take in {{ coming.filter((p) => !p.gone).length }} learners
        </button>
        <button v-if="taken && !withNames" type="button" class="stone-button" @click="saveKey">
          Who is who, as a file
        </button>
      </div>
      <p v-if="refused" class="quiet">Nothing is taken while there are bad lines. Mend them, or take what is good.</p>
    </template>
    <p role="status">{{ said }}</p>
  </section>
</template>

<style scoped>
.roster,
.bad {
  display: grid;
  gap: 0.6rem;
  justify-items: start;
}
fieldset {
  border: 0;
  margin: 0;
  padding: 0;
  display: flex;
  flex-wrap: wrap;
  gap: 0 1.4rem;
}
legend {
  font-weight: 700;
  padding: 0;
}
.file {
  display: grid;
  gap: 0.3rem;
  min-height: 44px;
}
.scroll {
  max-height: 16rem;
  max-width: 100%;
  overflow: auto;
}
table {
  border-collapse: collapse;
}
th,
td {
  padding: 0.25rem 0.9rem 0.25rem 0;
  text-align: left;
  border-bottom: 1px solid var(--rule);
}
</style>
