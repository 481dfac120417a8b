<script setup lang="ts">
import { ROLES, type Role } from '../../../shared/roles'
import { LEAST_PASSPHRASE } from '../../../shared/limits'
import type { Person } from '../../../shared/people'
import { request } from '../../utils/request'

/** Who may use Sett, and as what; without anybody, how to begin. */
definePageMeta({ role: 'keeper' })
const session = useSession()
const people = ref<readonly Person[]>([])
const trouble = ref('')
const said = ref('')
/** A code that was just made, and for whom: it is shown this once. */
const made = ref<{ readonly name: string; readonly code: string } | null>(null)
const leaving = ref<string | null>(null)

const ROLE_NAMES: Readonly<Record<Role, string>> = {
  keeper: 'keeper',
  teacher: 'teacher',
  helper: 'helper',
  'looker-on': 'looker-on',
}
const MAY: Readonly<Record<Role, string>> = {
  keeper: 'everything, people and backups too',
  teacher: 'works, records, sets up the room, exports',
  helper: 'works and records',
  'looker-on': 'reads, and changes nothing',
}

/** Does something, tells its trouble, and reads the list anew. */
async function doing(work: () => Promise<void>): Promise<void> {
  trouble.value = ''
  try {
    await work()
    people.value = await request<readonly Person[]>('/api/people')
  } catch (error) {
    trouble.value = (error as Error).message
  }
}
await doing(async () => {})

/* --- the first keeper --- */
const first = reactive({ name: '', passphrase: '', again: '' })
const begin = (): Promise<void> =>
  doing(async () => {
    if (first.passphrase !== first.again) throw new Error('The two passphrases are not the same.')
    await session.becomeKeeper(first.name, first.passphrase)
    said.value = 'From now on everybody signs in here.'
  })

/* --- others --- */
const fresh = reactive<{ name: string; role: Role; groups: string[] | null; learners: string[] }>({
  name: '',
  role: 'teacher',
  groups: null,
  learners: [],
})
const invite = (): Promise<void> =>
  doing(async () => {
    const learners = fresh.groups === null ? [] : fresh.learners
    const { code } = await request<{ code: string }>('/api/people', { method: 'POST', body: { ...fresh, learners } })
    made.value = { name: fresh.name, code }
    Object.assign(fresh, { name: '', groups: null, learners: [] })
  })
const change = (
  { id, name }: Person,
  role: Role,
  groups: readonly string[] | null,
  learners: readonly string[],
): Promise<void> =>
  doing(async () => {
    await request(`/api/people/${id}`, { method: 'PUT', body: { role, groups, learners } })
    said.value = `Saved. ${name} is a ${ROLE_NAMES[role]}.`
  })
const newCode = ({ id, name }: Person): Promise<void> =>
  doing(async () => {
    const { code } = await request<{ code: string }>(`/api/people/${id}/code`, { method: 'POST' })
    made.value = { name, code }
  })
const signOut = ({ id, name }: Person): Promise<void> =>
  doing(async () => {
    await request(`/api/people/${id}/sessions`, { method: 'DELETE' })
    said.value = `${name} is signed out everywhere.`
  })
const takeOut = ({ id, name }: Person): Promise<void> =>
  doing(async () => {
    leaving.value = null
    await request(`/api/people/${id}`, { method: 'DELETE' })
    said.value = `${name} is taken out.`
  })
useHead({ title: 'People – Sett' })
</script>

<template>
  <div class="page">
    <h1>People</h1>
    <p v-if="trouble" class="trouble" role="alert">{{ trouble }}</p>
    <section v-if="!session.session.asked">
      <p>
        Nobody has to sign in at this computer. If several people use it, make yourself the keeper: from then on
        everybody signs in, and you invite the others.
      </p>
      <form class="people-form" novalidate @submit.prevent="begin">
        <label>Your name <input v-model="first.name" type="text" maxlength="40" autocomplete="username" /></label>
        <label
          >A passphrase
          <input
            v-model="first.passphrase"
            type="password"
            maxlength="200"
            autocomplete="new-password"
            aria-describedby="first-hint"
        /></label>
        <p id="first-hint" class="quiet">
          At least {{ LEAST_PASSPHRASE }} characters. Three or four words that nobody would guess are easy to keep in
          mind.
        </p>
        <label
          >The same once more <input v-model="first.again" type="password" maxlength="200" autocomplete="new-password"
        /></label>
        <button type="submit" class="stone-button main">Become the keeper</button>
      </form>
    </section>
    <template v-else>
      <div v-if="made" class="told" role="status">
        <p>The code for {{ made.name }}, shown this once. It works once, for a week, under “I have a code”.</p>
        <code>{{ made.code }}</code>
      </div>
      <ul class="list" aria-label="People">
        <li v-for="p in people" :key="p.id">
          <span class="name">{{ p.name }} <span v-if="p.waiting" class="quiet">· has not come in yet</span></span>
          <select
            :value="p.role"
            :aria-label="`What ${p.name} is`"
            @change="(e) => change(p, ROLES[(e.target as HTMLSelectElement).selectedIndex]!, p.groups, p.learners)"
          >
            <option v-for="r in ROLES" :key="r" :value="r">{{ ROLE_NAMES[r] }}</option>
          </select>
          <button type="button" class="stone-button" :aria-label="`New code for ${p.name}`" @click="newCode(p)">
            New code
          </button>
          <button type="button" class="stone-button" :aria-label="`Sign ${p.name} out everywhere`" @click="signOut(p)">
            Sign out
          </button>
          <template v-if="leaving === p.id">
            <button type="button" class="stone-button main" @click="takeOut(p)">Take {{ p.name }} out</button>
            <button type="button" class="stone-button bare" @click="leaving = null">Keep</button>
          </template>
          <button
            v-else
            type="button"
            class="stone-button bare"
            :aria-label="`Take ${p.name} out`"
            @click="leaving = p.id"
          >
            <IconTrash2 />
          </button>
          <ReachOf
            v-if="p.role !== 'keeper'"
            :asked="`Which learners does ${p.name} see?`"
            :role="p.role"
            :groups="p.groups"
            :learners="p.learners"
            @change="(groups, learners) => change(p, p.role, groups, learners)"
          />
        </li>
      </ul>
      <section>
        <h2>Invite somebody</h2>
        <form class="people-form" novalidate @submit.prevent="invite">
          <label>Name <input v-model="fresh.name" type="text" maxlength="40" autocomplete="off" /></label>
          <label
            >May
            <select v-model="fresh.role">
              <option v-for="r in ROLES" :key="r" :value="r">{{ ROLE_NAMES[r] }}: {{ MAY[r] }}</option>
            </select></label
          >
          <ReachOf
            v-if="fresh.role !== 'keeper'"
            asked="Which learners will they see?"
            :role="fresh.role"
            :groups="fresh.groups"
            :learners="fresh.learners"
            @change="(groups, learners) => Object.assign(fresh, { groups, learners })"
          />
          <button type="submit" class="stone-button main">Make an invitation</button>
        </form>
      </section>
      <p><NuxtLink to="/settings/backups">Backups, how long things are kept, and who did what</NuxtLink></p>
    </template>
    <p class="sr-only" aria-live="polite">{{ said }}</p>
  </div>
</template>

<style scoped src="../../components/settings/people.css"></style>
