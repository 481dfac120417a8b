<script setup lang="ts">
import { format } from 'date-fns'
import type { KeptMarking } from '../../../../shared/marking'
import { capitalised } from '../../../utils/saidOf'
import { request } from '../../../utils/request'

/** Pages that were kept of a learner, the newest first: what each said then, to be opened again, or withdrawn with a word. */
const { learner, turn } = defineProps<{ learner: string; turn: number }>()
const emit = defineEmits<{ open: [page: KeptMarking]; add: [page: KeptMarking] }>()
const session = useSession()
const pages = shallowRef<readonly KeptMarking[]>([])
const trouble = ref('')
const withdrawing = ref('')
const why = ref('')

async function load(): Promise<void> {
  try {
    const whose = learner
    const found = await request<KeptMarking[]>(`/api/markings?learner=${encodeURIComponent(whose)}`)
    if (whose !== learner) return
    pages.value = found
    trouble.value = ''
  } catch (error) {
    trouble.value = (error as Error).message
  }
}
watch(() => [learner, turn], load, { immediate: true })

async function withdraw(page: KeptMarking, withdrawn: string | null): Promise<void> {
  try {
    await request(`/api/markings/${page.id}`, { method: 'PUT', body: { withdrawn } })
    withdrawing.value = why.value = ''
    await load()
  } catch (error) {
    trouble.value = (error as Error).message
  }
}
const said = ({ said: { ranked, none } }: KeptMarking): string => {
  const [top] = ranked
  return top && top.probability > none
    ? `${capitalised(top.bug)} (${Math.round(100 * top.probability)} of 100)`
    : 'No procedure seen'
}
const day = (at: string): string => format(new Date(at), 'd MMM yyyy')
</script>

<template>
  <section class="kept" aria-label="Pages kept">
    <h2>Kept before</h2>
    <p v-if="trouble" class="trouble" role="alert">{{ trouble }}</p>
    <p v-if="pages.length === 0" class="quiet">
      Nothing yet. A page that you keep is here, with its day and what it said.
    </p>
    <ul>
      <li v-for="page in pages" :key="page.id" :class="{ gone: page.withdrawn }">
        <b>{{ day(page.markedAt) }}</b>
        <span class="what">{{ said(page) }}</span>
        <span v-if="page.withdrawn" class="quiet">withdrawn: {{ page.withdrawn }}</span>
        <button type="button" class="stone-button bare" @click="emit('open', page)">Open</button>
        <button type="button" class="stone-button bare" @click="emit('add', page)">Add to the page</button>
        <template v-if="session.may('teacher')">
          <button v-if="page.withdrawn" type="button" class="stone-button bare" @click="withdraw(page, null)">
            Let it stand
          </button>
          <button
            v-else-if="withdrawing !== page.id"
            type="button"
            class="stone-button bare"
            @click="withdrawing = page.id"
          >
            Withdraw
          </button>
          <form v-else class="why" novalidate @submit.prevent="withdraw(page, why)">
            <label>Why, in a word <input v-model="why" type="text" maxlength="200" autocomplete="off" /></label>
            <button type="submit" class="stone-button">Withdraw it</button>
          </form>
        </template>
      </li>
    </ul>
  </section>
</template>

<style scoped>
.kept {
  display: grid;
  gap: 0.4rem;
}
h2 {
  margin: 0;
  font-size: 1.1rem;
}
ul {
  list-style: none;
  margin: 0;
  padding: 0;
}
li {
  display: flex;
  flex-wrap: wrap;
  gap: 0.2rem 0.8rem;
  align-items: center;
  min-height: 48px;
  border-bottom: 1px solid var(--rule);
}
.what {
  flex: 1;
  min-width: 12rem;
}
.gone .what {
  text-decoration: line-through;
}
.why {
  display: flex;
  flex-wrap: wrap;
  gap: 0.5rem;
  align-items: end;
}
</style>
