<script setup lang="ts">
import type { TakenIn } from '../../../shared/schemas'
import { requestLong } from '../../utils/request'

/**
 * A button by which a file that Sett wrote is taken in again: all of it, or nothing with the reason. A file of another kind that is
 * taken in elsewhere goes there, by the `format` it names.
 */
const props = defineProps<{ url: string; label: string; others?: Readonly<Record<string, string>> }>()
const emit = defineEmits<{ taken: [said: string]; trouble: [said: string] }>()
const classroom = useClassroom()
const busy = ref(false)
const far = ref<{ done: number; of: number } | null>(null)
let stopping = new AbortController()
const picker = ref<HTMLInputElement | null>(null)

/** As long a file is sent as it is, so that the server tells what is wrong with it; a longer one in parts. In bytes. */
const SHORT = 2_000_000

/** Sends a file, a long one in parts: what has been taken in before a trouble stays, and is told. */
async function send(file: File): Promise<TakenIn> {
  const urlFor = (format: string): string => props.others?.[format] ?? props.url
  if (file.size <= SHORT) {
    const text = await file.text()
    const format = /^\s*\{\s*"format"\s*:\s*"([a-z-]+)"/.exec(text)?.[1] ?? ''
    const told = (done: number, of: number): void => void (far.value = { done, of })
    return requestLong<TakenIn>(urlFor(format), told, { text, signal: stopping.signal })
  }
  const { fileParts } = await import('../../utils/fileParts')
  const sum = { added: 0, already: 0, learners: 0 }
  let through = 0
  try {
    for await (const { format, text, before, read } of fileParts(file)) {
      const told = (): void => void (far.value = { done: read, of: file.size })
      const taken = await requestLong<TakenIn>(urlFor(format), told, { text, signal: stopping.signal })
      through = before + taken.added + taken.already
      for (const key of ['added', 'already', 'learners'] as const) sum[key] += taken[key]
    }
  } catch (error) {
    if (through === 0) throw error
    // What stopped one part says that nothing of it was imported; the parts before it were.
    const why = (error as Error).message.replace(' Nothing was imported.', '')
    throw new Error(`The first ${through} are imported. Then: ${why}`, { cause: error })
  }
  return sum
}

async function takeIn(): Promise<void> {
  const file = picker.value?.files?.[0]
  emit('trouble', '')
  if (!file) return
  busy.value = true
  try {
    stopping = new AbortController()
    const { added, already, learners } = await send(file)
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
    <progress :value="far.done" :max="far.of" :aria-label="`${Math.round((100 * far.done) / far.of)} of 100 read`" />
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
