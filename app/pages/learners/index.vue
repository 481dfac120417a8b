<script setup lang="ts">
import type { SuggestionKind } from '../../../core/progress/index'
import type { Glance, Glanced } from '../../../shared/learners'
import { request } from '../../utils/request'

/** A group at a glance: who was seen when, how the last sessions went, and what the figures suggest; and the class list. */
const classroom = useClassroom()
const session = useSession()
const courses = useCourses()
await courses.load().catch(() => undefined)
const group = ref('')
const shown = ref<readonly Glanced[]>([])
const next = ref<string | null>(null)
const trouble = ref('')
const loaded = ref(false)
let turn = 0
async function load(more = false): Promise<void> {
  const mine = (turn += 1)
  const of = new URLSearchParams({
    ...(group.value ? { group: group.value } : {}),
    ...(more && next.value ? { after: next.value } : {}),
  })
  try {
    const page = await request<Glance>(`/api/glance?${of}`)
    if (mine !== turn) return
    shown.value = more ? [...shown.value, ...page.learners] : page.learners
    next.value = page.next
    trouble.value = ''
  } catch (error) {
    if (mine === turn) trouble.value = (error as Error).message
  }
  loaded.value = true
}
await load()
watch(group, () => void load())
const { titleOf } = courses
/** What the figures suggest, for all who are shown: those of one kind can be taken together. */
const together = computed(() => {
  const by = new Map<string, string[]>()
  for (const l of shown.value)
    for (const kind of l.suggests) by.set(kind, [...(by.get(kind) ?? []), classroom.nameOf(l.learnerId)])
  return [...by].map(([kind, names]) => ({ kind: kind as SuggestionKind, names }))
})
const unseen = computed(() => shown.value.filter((l) => l.seen.length === 0).map((l) => classroom.nameOf(l.learnerId)))
const away = computed(() => classroom.everyone.filter((l) => l.archived))
async function changed(): Promise<void> {
  await classroom.load()
  await load()
}
useHead({ title: 'Learners – Sett' })
</script>

<template>
  <div class="place">
    <header>
      <h1>Learners</h1>
      <label v-if="classroom.groups.length"
        >Group
        <select v-model="group">
          <option value="">everybody</option>
          <option v-for="g in classroom.groups" :key="g" :value="g">{{ g }}</option>
        </select></label
      >
      <NuxtLink class="stone-button" to="/learners/notes">Note at the table</NuxtLink>
    </header>
    <p v-if="trouble" class="trouble" role="alert">{{ trouble }}</p>
    <ul v-if="together.length || unseen.length" class="together" aria-label="The figures suggest">
      <li v-for="t in together" :key="t.kind">
        <b>{{ SUGGESTION_SAYS[t.kind] }}:</b> {{ t.names.join(', ') }}
      </li>
      <li v-if="unseen.length"><b>Not seen for four weeks:</b> {{ unseen.join(', ') }}</li>
    </ul>
    <div v-if="shown.length" class="scroll" tabindex="0" role="region" aria-label="Learners at a glance">
      <table>
        <thead>
          <tr>
            <th scope="col">Learner</th>
            <th scope="col">Seen, four weeks</th>
            <th scope="col">Last tried</th>
            <th scope="col">Right without help, last sessions of it</th>
            <th scope="col">The figures suggest</th>
            <th scope="col">Goals</th>
            <th scope="col">More</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="l in shown" :key="l.learnerId">
            <th scope="row">
              <NuxtLink class="open" :to="`/learners/progress?learner=${l.learnerId}&step=${l.last?.step ?? ''}`">{{
                classroom.nameOf(l.learnerId)
              }}</NuxtLink>
            </th>
            <td><SeenDays :seen="l.seen" :today="today()" /></td>
            <td>
              <template v-if="l.last"
                >{{ titleOf(l.last.step) || 'not on the course' }}<br /><span class="quiet">{{
                  dayInWords(l.last.day)
                }}</span></template
              >
              <span v-else class="quiet">nothing yet</span>
            </td>
            <td class="spark">
              <template v-if="l.sessions.length">
                <SessionSpark :sessions="l.sessions" />
                <span>{{ l.sessions.at(-1)!.alone }} of {{ l.sessions.at(-1)!.tried }}</span>
              </template>
              <span v-else-if="l.last" class="quiet">too few tries on any one day</span>
            </td>
            <td>{{ l.suggests.map((k) => SUGGESTION_SHORT[k as SuggestionKind]).join(', ') || '–' }}</td>
            <td>{{ l.goals || '–' }}</td>
            <td class="more">
              <NuxtLink
                class="stone-button bare"
                :to="`/learners/timeline?learner=${l.learnerId}`"
                :aria-label="`Timeline of ${classroom.nameOf(l.learnerId)}`"
                >Timeline</NuxtLink
              >
              <NuxtLink
                v-if="session.may('teacher')"
                class="stone-button bare"
                :to="`/learners/${l.learnerId}/suits`"
                :aria-label="`What suits ${classroom.nameOf(l.learnerId)}`"
                >What suits</NuxtLink
              >
              <NuxtLink
                v-if="session.may('teacher')"
                class="stone-button bare"
                :to="`/learners/${l.learnerId}`"
                :aria-label="`What is kept of ${classroom.nameOf(l.learnerId)}`"
                >Kept</NuxtLink
              >
            </td>
          </tr>
        </tbody>
      </table>
    </div>
    <p v-else-if="loaded" class="quiet">
      {{
        group
          ? 'Nobody is in this group.'
          : 'Nobody is in the class yet. Add somebody under Room, words and learners, or take in a class list.'
      }}
    </p>
    <button v-if="next" type="button" class="stone-button" @click="load(true)">Show the next ones</button>
    <p v-if="shown.length" class="quiet">
      Bars: days on which something was tried. Line: right without help, of all tries of that step, on days with tries
      enough; the dotted line is 80 of 100. Sett suggests by the rules in Progress; you decide.
    </p>
    <details v-if="session.may('teacher')" class="no-print">
      <summary>Class list, and those put away</summary>
      <div class="below">
        <RosterForm @taken="changed" />
        <section>
          <h2>Put away</h2>
          <ul v-if="away.length" class="away">
            <li v-for="l in away" :key="l.id">
              {{ l.codeName }}
              <NuxtLink class="stone-button bare" :to="`/learners/${l.id}/suits`">Bring back {{ l.codeName }}</NuxtLink>
            </li>
          </ul>
          <p v-else class="quiet">
            Nobody. Whoever does not come any more can be put away under What suits; nothing of theirs is lost.
          </p>
        </section>
      </div>
    </details>
  </div>
</template>

<style scoped>
header label {
  display: inline-flex;
  gap: 0.5rem;
  align-items: center;
}
.together {
  margin: 0;
  padding: 0.6rem 0.9rem;
  list-style: none;
  background: var(--paper-2);
  border-left: 6px solid var(--clay);
  display: grid;
  gap: 0.3rem;
}
.scroll {
  overflow-x: auto;
}
table {
  border-collapse: collapse;
  width: 100%;
  background: var(--sheet);
}
th,
td {
  padding: 0.25rem 0.8rem;
  text-align: left;
  border-bottom: 1px solid var(--rule);
}
.open {
  display: inline-flex;
  align-items: center;
  min-height: 44px;
  min-width: 44px;
  font-size: 1.1rem;
}
.spark {
  white-space: nowrap;
}
.spark svg {
  vertical-align: middle;
  margin-right: 0.5rem;
}
.day,
.more {
  white-space: nowrap;
}
summary {
  min-height: 44px;
  cursor: pointer;
}
.below {
  display: grid;
  grid-template-columns: minmax(0, 1.4fr) minmax(0, 1fr);
  gap: 2rem;
}
.away {
  margin: 0;
  padding: 0;
  list-style: none;
}
@media (max-width: 900px) {
  .below {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
