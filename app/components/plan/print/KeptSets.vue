<script setup lang="ts">
import type { PrintSet } from '../../../../shared/prints'
import { request } from '../../../utils/request'

/** Print sets that are kept, to be taken up again; and what stands here, to be kept under a name. */
const { now } = defineProps<{ now: Pick<PrintSet, 'setting' | 'problems' | 'sheets'> }>()
const emit = defineEmits<{ take: [set: PrintSet] }>()
const session = useSession()
const sets = shallowRef<readonly PrintSet[]>([])
const chosen = shallowRef<PrintSet | null>(null)
const title = ref('')
const trouble = ref('')
const status = ref('')
async function load(): Promise<void> {
  sets.value = await request<PrintSet[]>('/api/prints')
}
onMounted(() => void load().catch((error: Error) => (trouble.value = error.message)))
const trying = async (work: () => Promise<void>): Promise<void> => {
  trouble.value = status.value = ''
  try {
    await work()
  } catch (error) {
    trouble.value = (error as Error).message
  }
}
const picked = ref('')
function take(): void {
  chosen.value = sets.value.find((s) => s.id === picked.value) ?? null
  if (!chosen.value) return
  title.value = chosen.value.title
  emit('take', chosen.value)
  status.value = `${chosen.value.title} is taken up.`
}
const keep = (): Promise<void> =>
  trying(async () => {
    const name = title.value.trim()
    if (name === '') {
      trouble.value = 'Give it a name first.'
      return
    }
    // Under the same name it takes the place of the one that is there.
    const there = sets.value.find((s) => s.title === name)
    const id = there?.id ?? crypto.randomUUID()
    const kept = await request<PrintSet>(`/api/prints/${id}`, {
      method: 'PUT',
      body: { ...now, id, title: name, version: there?.version ?? 0 },
    })
    await load()
    chosen.value = kept
    status.value = `Kept as ${kept.title}.`
  })
const remove = (): Promise<void> =>
  trying(async () => {
    const gone = chosen.value!
    await request(`/api/prints/${gone.id}`, { method: 'DELETE' })
    chosen.value = null
    picked.value = ''
    await load()
    status.value = `${gone.title} is removed. What it was still stands here.`
  })
</script>

<template>
  <section class="kept" aria-label="Kept print sets">
    <div v-if="sets.length" class="in-row">
      <label
        >Kept sets
        <select v-model="picked">
          <option value="">Choose …</option>
          <option v-for="s in sets" :key="s.id" :value="s.id">{{ s.title }}</option>
        </select></label
      >
      <button type="button" class="stone-button" :disabled="picked === ''" @click="take">Take it up</button>
    </div>
    <form v-if="session.may('teacher')" class="in-row" @submit.prevent="keep">
      <label>Keep as <input v-model="title" type="text" maxlength="80" autocomplete="off" /></label>
      <button type="submit" class="stone-button">Keep</button>
      <button v-if="chosen" type="button" class="stone-button bare" @click="remove">Remove {{ chosen.title }}</button>
    </form>
    <p role="status" class="quiet">{{ status }}</p>
    <p v-if="trouble" class="trouble" role="alert">{{ trouble }}</p>
  </section>
</template>

<style scoped>
.kept {
  display: grid;
  gap: 0.4rem;
}
label {
  display: inline-flex;
  gap: 0.4rem;
  align-items: center;
}
input {
  width: 11rem;
}
p {
  margin: 0;
}
</style>
