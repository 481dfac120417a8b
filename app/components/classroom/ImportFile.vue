<script setup lang="ts">
import type { TakenIn } from '../../../shared/schemas'
import { requestLong } from '../../utils/request'

/** A button by which a file that Sett wrote is taken in again: all of it, or nothing with the reason. */
const props = defineProps<{ url: string; label: string }>()
const emit = defineEmits<{ taken: [said: string]; trouble: [said: string] }>()
const classroom = useClassroom()
const busy = ref(false)
const far = ref<{ done: number; of: number } | null>(null)
let stopping = new AbortController()
const picker = ref<HTMLInputElement | null>(null)

async function takeIn(): Promise<void> {
  const file = picker.value?.files?.[0]
  emit('trouble', '')
  if (!file) return
  busy.value = true
  try {
    const text = await file.text()
    stopping = new AbortController()
    const told = (done: number, of: number): void => void (far.value = { done, of })
    const { added, already, learners } = await requestLong<TakenIn>(props.url, text, told, stopping.signal)
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
  far.value = null
  if (picker.value) picker.value.value = ''
}
</script>

<template>
  <button type="button" class="stone-button" :disabled="busy" @click="picker?.click()">
    {{ busy ? 'Reading the file …' : 'Import a file' }}
  </button>
  <template v-if="far">
    <progress :value="far.done" :max="far.of" :aria-label="`${far.done} of ${far.of} read`" />
    <button type="button" class="stone-button" @click="stopping.abort()">Stop</button>
  </template>
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
