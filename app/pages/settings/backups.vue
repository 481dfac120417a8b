<script setup lang="ts">
import { format } from 'date-fns'
import type { Backup, Happening, Keeping, MadeBackup } from '../../../shared/people'
import { request, requestLong } from '../../utils/request'

/** Backups and putting them back, how long things are kept, and who did what. */
definePageMeta({ role: 'keeper' })
interface Kept {
  readonly keeping: Keeping
  readonly next: { readonly at: string; readonly before: string; readonly records: number } | null
}
const backups = ref<readonly Backup[]>([])
const rule = ref<Keeping>({ backups: 14, recordMonths: 0, logDays: 180 })
const next = ref<Kept['next']>(null)
const happenings = ref<readonly Happening[]>([])
const more = ref(false)
const trouble = ref('')
const said = ref('')
const busy = ref(false)
const restoring = ref<Backup | null>(null)
/** Whether people and passphrases are to come from the backup too. */
const withPeople = ref(false)
const KINDS: Readonly<Record<Backup['kind'], string>> = {
  daily: 'daily',
  hand: 'made by hand',
  before: 'made before a restore',
}
const session = useSession()
const when = (at: string | number): string => format(new Date(at), 'd MMM yyyy, HH:mm')
const size = (bytes: number): string =>
  bytes >= 1e6 ? `${(bytes / 1e6).toFixed(1)} MB` : `${Math.ceil(bytes / 1000)} kB`

async function load(): Promise<void> {
  const kept = await request<Kept>('/api/keeping')
  rule.value = { ...kept.keeping }
  next.value = kept.next
  backups.value = await request<readonly Backup[]>('/api/backups')
  happenings.value = await request<readonly Happening[]>('/api/happenings')
  more.value = happenings.value.length === 50
}
/** Does one thing at a time; the buttons stay what they are, so that the focus stays on them. */
async function doing(work: () => Promise<void>, saidMeanwhile = ''): Promise<void> {
  if (busy.value) {
    trouble.value = 'One thing at a time: this has to wait until the other is done.'
    return
  }
  trouble.value = ''
  said.value = saidMeanwhile
  busy.value = true
  try {
    await work()
    trouble.value = ''
  } catch (error) {
    trouble.value = (error as Error).message
    said.value = ''
  }
  // What is done is done: the next may begin while the lists are still being read.
  busy.value = false
  await load().catch((error: Error) => (trouble.value ||= error.message))
}
await doing(async () => {})

const backUp = (): Promise<void> =>
  doing(async () => {
    const { at, damaged } = await request<MadeBackup>('/api/backups', { method: 'POST' })
    const are = damaged === 1 ? 'record in it was' : 'records in it were'
    said.value =
      damaged === 0
        ? `A backup of ${when(at)} is made, and it is whole.`
        : `A backup of ${when(at)} is made, but ${damaged} ${are} damaged on the disk. An earlier backup may still have what is missing.`
  }, 'The backup is being made and looked through. Others can go on working.')
const restore = ({ name, at }: Backup): Promise<void> =>
  doing(async () => {
    const people = withPeople.value ? 'backup' : 'now'
    restoring.value = null
    const told = (done: number): void =>
      void (said.value =
        done === 0
          ? 'What is there now is being backed up. Others can go on reading; what they send waits.'
          : 'The backup is being put back. Others can go on reading; what they send waits.')
    await requestLong('/api/backups/restore', told, { text: JSON.stringify({ name, people }) })
    said.value = `Everything is as it was on ${when(at)}. What was there before is kept as a backup.`
    // Everybody has to sign in anew, also whoever did this.
    if (!session.session.asked) return useClassroom().load()
    session.lost()
    await navigateTo({ path: '/sign-in', query: { to: '/settings/backups', restored: '' } })
  }, 'The backup is being looked through.')
const keep = (): Promise<void> =>
  doing(async () => {
    await request('/api/keeping', { method: 'PUT', body: rule.value })
    said.value = 'That is how long things are kept from tomorrow on.'
  })
async function earlier(): Promise<void> {
  const last = happenings.value.at(-1)
  if (!last) return
  const page = await request<readonly Happening[]>(`/api/happenings?before=${last.id}`)
  happenings.value = [...happenings.value, ...page]
  more.value = page.length === 50
}
useHead({ title: 'Backups and keeping – Sett' })
</script>

<template>
  <div class="page">
    <h1>Backups and keeping</h1>
    <p v-if="trouble" class="trouble" role="alert">{{ trouble }}</p>
    <p class="told" role="status" :hidden="!said">{{ said }}</p>
    <section aria-label="Backups">
      <div class="row">
        <button type="button" class="stone-button main" @click="backUp">Make a backup now</button>
        <span class="quiet"
          >One is made every day by itself. Keep a copy of the folder “backups” on another disk too.</span
        >
      </div>
      <p v-if="backups.length === 0" class="quiet">There is no backup yet.</p>
      <ul v-else class="list" aria-label="Backups there are">
        <li v-for="b in backups" :key="b.name">
          <span class="name">{{ when(b.at) }}</span>
          <span class="quiet">{{ KINDS[b.kind] }}, {{ size(b.bytes) }}</span>
          <template v-if="restoring?.name === b.name">
            <span
              >Go back to this? What is there now is backed up first.<template v-if="session.session.asked">
                People and passphrases stay as they are now, and everybody has to sign in again.</template
              ></span
            >
            <label v-if="session.session.asked" class="inline">
              <Checkbox v-model="withPeople" binary /> Also bring back people and passphrases from the backup
            </label>
            <button type="button" class="stone-button main" @click="restore(b)">Restore it</button>
            <button type="button" class="stone-button bare" @click="restoring = null">Leave it</button>
          </template>
          <button
            v-else
            type="button"
            class="stone-button"
            :aria-label="`Restore the backup of ${when(b.at)}`"
            @click="((restoring = b), (withPeople = false))"
          >
            Restore
          </button>
        </li>
      </ul>
    </section>
    <section>
      <h2>How long things are kept</h2>
      <form class="people-form" novalidate @submit.prevent="keep">
        <label class="inline"
          >Backups kept <input v-model.number="rule.backups" type="number" min="2" max="100" class="short"
        /></label>
        <label class="inline"
          >Months that records are kept (0 for good)
          <input v-model.number="rule.recordMonths" type="number" min="0" max="240" class="short"
        /></label>
        <label class="inline"
          >Days that the list below is kept
          <input v-model.number="rule.logDays" type="number" min="7" max="3650" class="short"
        /></label>
        <button type="submit" class="stone-button">Keep to this</button>
      </form>
      <p v-if="next">
        {{
          next.records === 0
            ? `By this rule nothing is removed on ${when(next.at)}.`
            : `By this rule ${next.records} ${next.records === 1 ? 'record' : 'records'} from before ${when(next.before)} will be removed on ${when(next.at)}.`
        }}
      </p>
      <p v-else class="quiet">Records are kept until somebody deletes them.</p>
    </section>
    <section>
      <h2>Who did what</h2>
      <p v-if="happenings.length === 0" class="quiet">Nothing yet.</p>
      <table v-else class="log">
        <thead>
          <tr>
            <th scope="col">When</th>
            <th scope="col">Who</th>
            <th scope="col">What</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="h in happenings" :key="h.id">
            <td>{{ when(h.at) }}</td>
            <td>{{ h.who }}</td>
            <td>{{ h.what }}{{ h.about ? `: ${h.about}` : '' }}</td>
          </tr>
        </tbody>
      </table>
      <button v-if="more" type="button" class="stone-button" @click="earlier">Show earlier ones</button>
    </section>
  </div>
</template>

<style scoped src="../../components/settings/people.css"></style>
<style scoped>
.short {
  width: 5.5rem;
}
.log {
  border-collapse: collapse;
}
.log th,
.log td {
  text-align: left;
  padding: 0.3rem 1rem 0.3rem 0;
  border-bottom: 1px solid var(--rule);
}
</style>
