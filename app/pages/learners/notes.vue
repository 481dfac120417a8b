<script setup lang="ts">
import { capital, REPRESENTATION_IDS, REPRESENTATIONS } from '../../../core/door'
import { HELP_LEVELS, type Help } from '../../../shared/levels'
import { MOST_AT_TABLE } from '../../composables/useSitting'

/** Noting at the table: a tap or a key for each try of up to eight learners; kept in this browser until the server has it. */
const classroom = useClassroom()
const courses = useCourses()
const { sitting, known, queue, begin, change, note, undo, count, end } = useSitting()
const trouble = ref('')
const NOT_KEPT = 'This browser could not keep that. Is its storage full, or switched off?'
await known.catch(() => (trouble.value = NOT_KEPT))
await courses.load().catch(() => undefined)

/* --- who comes, and what is tried --- */
const who = ref<string[]>(classroom.learnerId ? [classroom.learnerId] : [])
const step = ref('')
const asked = ref('')
const material = ref('')
const timed = ref(false)
const counted = ref('')
const said = ref('')
async function start(): Promise<void> {
  if (who.value.length === 0) {
    said.value = 'Choose who is at the table.'
    return
  }
  const names = counted.value
    .split(',')
    .map((n) => n.trim().slice(0, 40))
    .filter((n) => n !== '')
    .slice(0, 6)
  await begin(who.value, {
    step: step.value,
    asked: asked.value.trim(),
    material: material.value,
    timed: timed.value,
    counted: names,
  }).catch(() => (trouble.value = NOT_KEPT))
  active.value = 0
  said.value = ''
}
const tooMany = computed(() => who.value.length > MOST_AT_TABLE)

/* --- at the table --- */
/** Before a try it is not known yet whether help will be needed: it says what will be noted. */
const HELP: Readonly<Record<Help, string>> = { ...HELP_USED, independent: 'no help' }
const active = ref(0)
const help = reactive<Record<string, Help>>({})
const helpOf = (id: string): Help => help[id] ?? 'independent'
const triesOf = (id: string) => (sitting.value?.tries ?? []).filter((t) => t.learnerId === id)
const came = (id: string): string => {
  const all = triesOf(id)
  const alone = all.filter((t) => t.right && t.help === 'independent').length
  return all.length === 0 ? 'no try yet' : `${alone} of ${all.length} right without help`
}
async function tap(id: string, right: boolean): Promise<void> {
  active.value = sitting.value!.learners.indexOf(id)
  try {
    await note(id, right, helpOf(id))
    said.value = `${classroom.nameOf(id)}: ${right ? 'right' : 'not yet'}, ${HELP[helpOf(id)]}.`
    help[id] = 'independent'
  } catch {
    trouble.value = NOT_KEPT
  }
}
async function takeBack(id?: string): Promise<void> {
  try {
    const gone = await undo(id)
    said.value = gone
      ? `${classroom.nameOf(gone.learnerId)}: the last try is taken back.`
      : 'There is nothing to take back.'
  } catch (error) {
    said.value = (error as Error).message
  }
}
function nextHelp(id: string): void {
  const at = HELP_LEVELS.indexOf(helpOf(id))
  help[id] = HELP_LEVELS[(at + 1) % HELP_LEVELS.length]!
  said.value = `${classroom.nameOf(id)}: ${HELP[help[id]]}.`
}
function onKey(event: KeyboardEvent): void {
  const target = event.target as HTMLElement
  const now = sitting.value
  if (!now || event.ctrlKey || event.metaKey || event.altKey) return
  if (/^(?:INPUT|TEXTAREA|SELECT)$/.test(target.tagName)) return
  const id = now.learners[active.value]
  const digit = /^[1-8]$/.test(event.key) ? Number(event.key) - 1 : -1
  if (digit >= 0 && digit < now.learners.length) {
    active.value = digit
    said.value = `${classroom.nameOf(now.learners[digit]!)}.`
  } else if (!id) return
  else if (event.key === 'r') void tap(id, true)
  else if (event.key === 'n') void tap(id, false)
  else if (event.key === 'h') nextHelp(id)
  else if (event.key === 'u') void takeBack()
  else if (event.key === 't' && now.counted[0]) void count(id, now.counted[0], 1)
  else return
  event.preventDefault()
}
useEventListener('keydown', onKey)
const clock = useNow({ interval: 1000 })
const minutes = computed(() => {
  const ms = sitting.value ? clock.value.getTime() - sitting.value.startedAt : 0
  return `${Math.floor(ms / 60_000)}:${String(Math.floor((ms / 1000) % 60)).padStart(2, '0')}`
})
const sent = computed(() => {
  const n = queue.waiting.value.length
  if (n === 0) return 'Everything is in the Daybook.'
  return `${n} ${n === 1 ? 'try is' : 'tries are'} kept in this browser and not in the Daybook yet.`
})
async function finish(): Promise<void> {
  const tries = sitting.value?.tries.length ?? 0
  await end()
  said.value = `The sitting is ended: ${tries} ${tries === 1 ? 'try' : 'tries'}.`
}
const stepTitle = computed(() => (sitting.value ? (courses.stepOf(sitting.value.step)?.title ?? '') : ''))
const materials = REPRESENTATION_IDS.map((id) => [id, capital(REPRESENTATIONS[id].title)] as const)
useHead({ title: 'At the table – Sett' })
</script>

<template>
  <div class="place">
    <header>
      <h1>At the table</h1>
      <p class="quiet" role="status">{{ sent }}</p>
    </header>
    <p v-if="queue.trouble.value" class="trouble" role="alert">{{ queue.trouble.value }} It is sent again by itself.</p>
    <p v-for="w in queue.refused.value" :key="w.id" class="trouble" role="alert">
      A try of {{ classroom.nameOf(w.trial.learnerId) || 'somebody' }} was not taken: {{ w.refused }}
      <button type="button" class="stone-button" @click="queue.dismiss(w.id)">Let it go</button>
    </p>
    <p v-if="trouble" class="trouble" role="alert">{{ trouble }}</p>
    <form v-if="!sitting" class="begin" novalidate aria-label="Who and what" @submit.prevent="start">
      <fieldset>
        <legend>Who is at the table (up to {{ MOST_AT_TABLE }})</legend>
        <label v-for="l in classroom.learners" :key="l.id" class="tick"
          ><input v-model="who" type="checkbox" :value="l.id" /> {{ l.codeName }}</label
        >
      </fieldset>
      <p v-if="tooMany" role="status">The first {{ MOST_AT_TABLE }} are taken.</p>
      <div class="grid">
        <label
          >Step
          <select v-model="step">
            <option value="">none in particular</option>
            <option v-for="s in courses.steps" :key="s.id" :value="s.id">{{ courses.titleOf(s.id) }}</option>
          </select></label
        >
        <label>What is asked <input v-model="asked" type="text" maxlength="200" autocomplete="off" /></label>
        <label
          >With
          <select v-model="material">
            <option value="">no material named</option>
            <option v-for="[id, name] in materials" :key="id" :value="id">{{ name }}</option>
          </select></label
        >
        <label
          >Count besides, with commas between
          <input v-model="counted" type="text" maxlength="160" autocomplete="off" placeholder="asked for a break"
        /></label>
        <label class="tick"><input v-model="timed" type="checkbox" /> Time the tries</label>
      </div>
      <button type="submit" class="stone-button main">Begin</button>
    </form>
    <template v-else>
      <p class="about">
        <b>{{ minutes }}</b> {{ [stepTitle, sitting.asked].filter(Boolean).join(' · ') }}
        <span class="quiet"
          >Keys: 1 to {{ sitting.learners.length }} a learner, r right, n not yet, h help, u take back<template
            v-if="sitting.counted.length"
            >, t {{ sitting.counted[0] }}</template
          >.</span
        >
      </p>
      <ul class="table" aria-label="Who is at the table">
        <li v-for="(id, i) in sitting.learners" :key="id" :class="{ active: i === active }">
          <h2>
            <span class="key" aria-hidden="true">{{ i + 1 }}</span> {{ classroom.nameOf(id) || 'somebody' }}
            <span v-if="i === active" class="sr-only">(keys go here)</span>
          </h2>
          <p class="quiet">{{ came(id) }}</p>
          <p class="marks" aria-hidden="true">
            <span
              v-for="t in triesOf(id).slice(-12)"
              :key="t.id"
              :class="{ helped: t.right && t.help !== 'independent' }"
              >{{ t.right ? '✓' : '↻' }}</span
            >
          </p>
          <div class="taps">
            <button
              type="button"
              class="stone-button right"
              :aria-label="`${classroom.nameOf(id)}: right`"
              @click="tap(id, true)"
            >
              ✓ Right
            </button>
            <button
              type="button"
              class="stone-button not"
              :aria-label="`${classroom.nameOf(id)}: not yet`"
              @click="tap(id, false)"
            >
              ↻ Not yet
            </button>
          </div>
          <div class="small">
            <button
              type="button"
              class="stone-button"
              :aria-label="`${classroom.nameOf(id)}, help for the next try: ${HELP[helpOf(id)]}`"
              @click="nextHelp(id)"
            >
              Help: {{ HELP[helpOf(id)] }}
            </button>
            <button
              type="button"
              class="stone-button"
              :aria-label="`${classroom.nameOf(id)}: take back the last try`"
              @click="takeBack(id)"
            >
              Take back
            </button>
            <button
              v-for="name in sitting.counted"
              :key="name"
              type="button"
              class="stone-button"
              :aria-label="`${classroom.nameOf(id)}, ${name}: ${sitting.tallies[id]?.[name] ?? 0}, one more`"
              @click="count(id, name, 1)"
            >
              {{ name }} {{ sitting.tallies[id]?.[name] ?? 0 }}
            </button>
          </div>
          <label class="note"
            >Note
            <input
              type="text"
              maxlength="300"
              :value="sitting.notes[id] ?? ''"
              @change="change({ notes: { ...sitting.notes, [id]: ($event.target as HTMLInputElement).value } })"
          /></label>
        </li>
      </ul>
      <div class="in-row">
        <button type="button" class="stone-button main" @click="finish">End the sitting</button>
        <NuxtLink class="stone-button" to="/learners/progress">Progress</NuxtLink>
      </div>
    </template>
    <p role="status" class="said">{{ said }}</p>
  </div>
</template>

<style scoped>
.begin,
fieldset {
  display: grid;
  gap: 0.8rem;
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
.grid {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(min(15rem, 100%), 1fr));
  gap: 0.8rem 1.2rem;
  width: 100%;
  align-items: end;
}
.grid label:not(.tick) {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 0.2rem;
}
p {
  margin: 0;
}
.about {
  display: flex;
  flex-wrap: wrap;
  gap: 0.2rem 1rem;
  align-items: baseline;
}
.about b {
  font-size: 1.4rem;
  font-variant-numeric: tabular-nums;
}
.table {
  list-style: none;
  margin: 0;
  padding: 0;
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(17rem, 1fr));
  gap: 1rem;
}
.table > li {
  display: grid;
  gap: 0.5rem;
  align-content: start;
  padding: 0.8rem 1rem;
  background: var(--sheet);
  border: 1.5px solid var(--edge);
  border-top: 6px solid var(--edge);
}
.table > li.active {
  border-top-color: var(--clay);
}
h2 {
  margin: 0;
  font-size: 1.3rem;
}
.key {
  display: inline-block;
  min-width: 1.4em;
  text-align: center;
  border: 1.5px solid var(--edge);
  font-size: 1rem;
}
.marks {
  min-height: 1.6em;
  letter-spacing: 0.25em;
  font-size: 1.1rem;
}
.helped {
  text-decoration: underline dotted;
}
.taps {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 0.6rem;
}
.taps button {
  min-height: 72px;
  font-size: 1.2rem;
  justify-content: center;
}
.right {
  border-color: var(--moss);
  color: var(--moss);
}
.not {
  border-color: var(--plum);
  color: var(--plum);
}
.small {
  display: flex;
  flex-wrap: wrap;
  gap: 0.4rem;
}
.note {
  display: flex;
  gap: 0.5rem;
  align-items: center;
}
.note input {
  flex: 1;
  min-width: 0;
}
.said {
  min-height: 1.5em;
}
.trouble {
  background: var(--plum-wash);
  border-left: 5px solid var(--plum);
  padding: 0.4rem 0.8rem;
}
</style>
