<script setup lang="ts">
import { capital, isRepresentation, REPRESENTATIONS, wayById, WAY_IDS } from '../../../../core/door'
import { HELP_LEVELS } from '../../../../shared/levels'
import type { Searches } from '../../../../shared/learners'
import { NOTHING_WANTED, type Find } from '../../../utils/find'
import { request } from '../../../utils/request'

/** What the Daybook is narrowed by; how it was narrowed can be kept under a name. */
const find = defineModel<Find>({ required: true })
const { known } = defineProps<{
  known: { readonly slips: readonly string[]; readonly materials: readonly string[] }
}>()
const classroom = useClassroom()
const session = useSession()
const courses = useCourses()
const names = useMistakeNames()
void courses.load().catch(() => undefined)
const set = (key: keyof Find, event: Event): void => {
  find.value = { ...find.value, [key]: (event.target as HTMLInputElement | HTMLSelectElement).value }
}
const narrowed = computed(() => Object.values(find.value).some((v) => v !== ''))
/** A material by its title, once all of them are here. */
const materialName = (id: string): string =>
  allHere.value && isRepresentation(id) ? capital(REPRESENTATIONS[id].title) : id

/* --- kept searches --- */
const kept = ref<Searches>({ searches: [], version: 0 })
const chosen = ref('')
const name = ref('')
const said = ref('')
void request<Searches>('/api/searches')
  .then((s) => (kept.value = s))
  .catch(() => undefined)
async function put(searches: Searches['searches'], told: string): Promise<void> {
  try {
    kept.value = await request<Searches>('/api/searches', { method: 'PUT', body: { ...kept.value, searches } })
    said.value = told
  } catch (error) {
    said.value = (error as Error).message
  }
}
async function keep(): Promise<void> {
  const called = name.value.trim()
  if (called === '') return
  const wanted = Object.fromEntries(Object.entries(find.value).filter(([, v]) => v !== ''))
  await put(
    [...kept.value.searches.filter((s) => s.name !== called), { name: called, find: wanted }],
    `The search “${called}” is kept.`,
  )
  name.value = ''
}
function open(): void {
  const one = kept.value.searches.find((s) => s.name === chosen.value)
  if (one) find.value = { ...NOTHING_WANTED, ...one.find }
}
const drop = (): Promise<void> =>
  put(
    kept.value.searches.filter((s) => s.name !== chosen.value),
    `The search “${chosen.value}” is gone.`,
  )
</script>

<template>
  <form class="find" aria-label="Find records" @submit.prevent>
    <label
      >Problem
      <input :value="find.problem" type="text" maxlength="200" autocomplete="off" @input="set('problem', $event)"
    /></label>
    <label
      >Step
      <select :value="find.step" @change="set('step', $event)">
        <option value="">any</option>
        <option value="stories">Stories</option>
        <option v-for="s in courses.steps" :key="s.id" :value="s.id">{{ courses.titleOf(s.id) }}</option>
      </select></label
    >
    <label
      >Material
      <select :value="find.material" @change="set('material', $event)">
        <option value="">any</option>
        <option v-for="m in known.materials" :key="m" :value="m">{{ materialName(m) }}</option>
      </select></label
    >
    <label
      >Way
      <select :value="find.way" @change="set('way', $event)">
        <option value="">any</option>
        <option v-for="w in WAY_IDS" :key="w" :value="w">{{ allHere ? capital(wayById(w).title) : w }}</option>
      </select></label
    >
    <label
      >Slip
      <select :value="find.slip" @change="set('slip', $event)">
        <option value="">any, or none</option>
        <option v-for="s in known.slips" :key="s" :value="s">{{ names(s) }}</option>
      </select></label
    >
    <label
      >Most help
      <select :value="find.help" @change="set('help', $event)">
        <option value="">any</option>
        <option v-for="h in HELP_LEVELS" :key="h" :value="h">{{ HELP_USED[h] }}</option>
      </select></label
    >
    <label
      >Came out
      <select :value="find.came" @change="set('came', $event)">
        <option value="">either way</option>
        <option value="right">right</option>
        <option value="not">not right</option>
      </select></label
    >
    <label v-if="classroom.groups.length"
      >Group
      <select :value="find.group" @change="set('group', $event)">
        <option value="">any</option>
        <option v-for="g in classroom.groups" :key="g" :value="g">{{ g }}</option>
      </select></label
    >
    <label>From <input :value="find.from" type="date" @change="set('from', $event)" /></label>
    <label>To <input :value="find.to" type="date" @change="set('to', $event)" /></label>
    <button v-if="narrowed" type="button" class="stone-button" @click="find = { ...NOTHING_WANTED }">
      Show all again
    </button>
    <span class="kept">
      <template v-if="kept.searches.length">
        <label
          >Kept searches
          <select v-model="chosen">
            <option value="">none</option>
            <option v-for="s in kept.searches" :key="s.name" :value="s.name">{{ s.name }}</option>
          </select></label
        >
        <button v-if="chosen" type="button" class="stone-button" @click="open">Find it again</button>
        <button v-if="chosen && session.may('teacher')" type="button" class="stone-button bare" @click="drop">
          Drop it
        </button>
      </template>
      <template v-if="narrowed && session.may('teacher')">
        <label>Keep this search as <input v-model="name" type="text" maxlength="40" autocomplete="off" /></label>
        <button type="button" class="stone-button" @click="keep">Keep</button>
      </template>
    </span>
    <p role="status" class="said">{{ said }}</p>
  </form>
</template>

<style scoped>
.find,
.kept {
  display: flex;
  flex-wrap: wrap;
  gap: 0.5rem 1rem;
  align-items: center;
}
label {
  display: inline-flex;
  gap: 0.5rem;
  align-items: center;
}
select {
  max-width: 14rem;
}
.said:empty {
  display: none;
}
</style>
