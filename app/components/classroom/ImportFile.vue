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

/** So many at once are taken in whole or not at all; of more, so many after each other. */
const PART = 1000

/** Sends a file, a long one in parts: what has been taken in before a trouble stays, and is told. */
async function inParts(text: string): Promise<TakenIn> {
  const told =
    (from: number, all: number) =>
    (done: number, of: number): void =>
      void (far.value = { done: from + done, of: Math.max(all, of) })
  const file = partsOf(text)
  const format = /^\s*\{\s*"format"\s*:\s*"([a-z-]+)"/.exec(text)?.[1] ?? ''
  const url = props.others?.[format] ?? props.url
  if (!file) return requestLong<TakenIn>(url, text, told(0, 0), stopping.signal)
  const sum = { added: 0, already: 0, learners: 0 }
  for (let from = 0; from < file.list.length; from += PART) {
    const part = JSON.stringify({ ...file.head, [file.key]: file.list.slice(from, from + PART) })
    const taken = await requestLong<TakenIn>(url, part, told(from, file.list.length), stopping.signal).catch(
      (error: Error) => {
        if (from === 0) throw error
        throw new Error(`Of ${file.list.length}, the first ${from} are imported. Then: ${error.message}`)
      },
    )
    for (const key of ['added', 'already', 'learners'] as const) sum[key] += taken[key]
  }
  return sum
}

/** A long file apart: its list, and what stands before it; null for a short one, and for one that the server should tell about. */
function partsOf(text: string) {
  let file: Record<string, unknown>
  try {
    file = JSON.parse(text) as Record<string, unknown>
  } catch {
    return null
  }
  const key = ['records', 'answers', 'trials'].find((k) => Array.isArray(file?.[k]))
  const list = key ? (file[key] as unknown[]) : []
  return key && list.length > PART ? { key, list, head: { ...file, [key]: undefined } } : null
}

async function takeIn(): Promise<void> {
  const file = picker.value?.files?.[0]
  emit('trouble', '')
  if (!file) return
  busy.value = true
  try {
    const text = await file.text()
    stopping = new AbortController()
    const { added, already, learners } = await inParts(text)
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
