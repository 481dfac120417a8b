<script setup lang="ts">
import type { TakenIn } from '../../../shared/schemas'
import { request } from '../../utils/request'

/** A button by which a file that Sett wrote is taken in again: all of it, or nothing with the reason. */
const props = defineProps<{ url: string; label: string }>()
const emit = defineEmits<{ taken: [said: string]; trouble: [said: string] }>()
const classroom = useClassroom()
const busy = ref(false)
const picker = ref<HTMLInputElement | null>(null)

async function takeIn(): Promise<void> {
  const file = picker.value?.files?.[0]
  emit('trouble', '')
  if (!file) return
  busy.value = true
  try {
    const text = await file.text()
    const { added, already, learners } = await request<TakenIn>(props.url, { method: 'POST', text })
    const parts = [
      `${added} imported`,
      ...(already ? [`${already} were here already`] : []),
      ...(learners ? [`${learners} new in the class`] : []),
    ]
    if (learners) await classroom.load()
    emit('taken', `${parts.join(', ')}.`)
  } catch (error) {
    emit('trouble', (error as Error).message)
  }
  busy.value = false
  if (picker.value) picker.value.value = ''
}
</script>

<template>
  <button type="button" class="stone-button" :disabled="busy" @click="picker?.click()">
    {{ busy ? 'Reading the file …' : 'Import a file' }}
  </button>
  <input
    ref="picker"
    class="sr-only"
    type="file"
    accept="application/json,.json"
    :aria-label="label"
    tabindex="-1"
    @change="takeIn"
  />
</template>
