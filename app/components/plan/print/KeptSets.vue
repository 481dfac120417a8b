<script setup lang="ts">
import type { PrintSet } from '../../../../shared/prints'
import { request } from '../../../utils/request'

/** Sets of sheets that were saved, to be used again; what is here, to be saved under a name; and what was printed before. */
const { now, printed } = defineProps<{
  now: Pick<PrintSet, 'setting' | 'problems' | 'sheets'>
  printed: readonly { readonly at: number; readonly label: string }[]
}>()
const emit = defineEmits<{ take: [set: PrintSet]; again: [at: number] }>()
const session = useSession()
const { t } = useI18n()
const { trouble, tried } = useTrouble()
const sets = shallowRef<readonly PrintSet[]>([])
const chosen = shallowRef<PrintSet | null>(null)
const title = ref('')
const status = ref('')
const load = async (): Promise<void> => void (sets.value = await request<PrintSet[]>('/api/prints'))
onMounted(() => void tried(load))
const picked = ref<string | null>(null)
function take(): void {
  chosen.value = sets.value.find((s) => s.id === picked.value) ?? null
  if (!chosen.value) return
  title.value = chosen.value.title
  emit('take', chosen.value)
  status.value = t('print.used', { name: chosen.value.title })
}
const save = (): Promise<void> =>
  tried(async () => {
    const name = title.value.trim()
    if (name === '') throw new Error(t('print.nameFirst'))
    // Under the same name it takes the place of the one that is there.
    const there = sets.value.find((s) => s.title === name)
    const id = there?.id ?? crypto.randomUUID()
    chosen.value = await request<PrintSet>(`/api/prints/${id}`, {
      method: 'PUT',
      body: { ...now, id, title: name, version: there?.version ?? 0 },
    })
    await load()
    status.value = t('print.savedAs', { name })
  })
const remove = (): Promise<void> =>
  tried(async () => {
    const gone = chosen.value!
    await request(`/api/prints/${gone.id}`, { method: 'DELETE' })
    chosen.value = picked.value = null
    await load()
    status.value = t('print.removed', { name: gone.title })
  })
const before = ref<number | null>(null)
</script>

<template>
  <section class="card kept" :aria-label="t('print.saved')">
    <h2>{{ t('print.saved') }}</h2>
    <div v-if="sets.length" class="in-row">
      <Select
        v-model="picked"
        :options="[...sets]"
        option-label="title"
        option-value="id"
        class="grow"
        :placeholder="t('print.chooseSet')"
        :aria-label="t('print.saved')"
      />
      <Button severity="secondary" :disabled="picked === null" :label="t('print.use')" @click="take" />
    </div>
    <form v-if="session.may('teacher')" class="in-row" @submit.prevent="save">
      <InputText
        v-model="title"
        class="grow name"
        maxlength="80"
        autocomplete="off"
        :placeholder="t('print.name')"
        :aria-label="t('print.name')"
      />
      <Button type="submit" severity="secondary" :label="t('print.save')" />
    </form>
    <Button
      v-if="chosen && session.may('teacher')"
      severity="secondary"
      text
      :label="t('print.removeSet', { name: chosen.title })"
      @click="remove"
    />
    <p role="status" class="quiet">{{ status }}</p>
    <p v-if="trouble" class="trouble" role="alert">{{ trouble }}</p>
    <template v-if="printed.length">
      <h2>{{ t('print.before') }}</h2>
      <div class="in-row">
        <Select
          v-model="before"
          :options="[...printed]"
          option-label="label"
          option-value="at"
          class="grow"
          :placeholder="t('print.before')"
          :aria-label="t('print.before')"
        />
        <Button
          severity="secondary"
          :disabled="before === null"
          :label="t('print.again')"
          @click="emit('again', before!)"
        />
      </div>
    </template>
  </section>
</template>

<style scoped>
.kept {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 10px;
  justify-items: start;
}
.in-row {
  width: 100%;
}
.name {
  min-width: 8rem;
}
</style>
