<script setup lang="ts">
import { readBrf, toUnicode } from '../../../../core/braille/index'

/** A stand-in for an embosser: it draws what the machine would emboss, and refuses what it could not. */
interface Job {
  readonly id: number
  readonly name: string
  readonly read: ReturnType<typeof readBrf>
}
const jobs = shallowRef<readonly Job[]>([])
const MOST_JOBS = 10
let count = 0
const take = (name: string, text: string): void => {
  jobs.value = [{ id: (count += 1), name, read: readBrf(text) }, ...jobs.value].slice(0, MOST_JOBS)
}
const channel = new BroadcastChannel('sett-embosser')
channel.onmessage = ({ data }: MessageEvent<{ name: string; brf: string }>) => {
  if (typeof data?.brf === 'string') take(String(data.name), data.brf)
}
onBeforeUnmount(() => channel.close())
const MOST_BYTES = 1_000_000
async function open(event: Event): Promise<void> {
  const input = event.target as HTMLInputElement
  const file = input.files?.[0]
  if (!file) return
  if (file.size > MOST_BYTES)
    jobs.value = [{ id: (count += 1), name: file.name, read: { refused: 'The file is too long for this machine.' } }]
  else take(file.name, await file.text())
  input.value = ''
}
useHead({ title: 'Embosser – Sett' })
</script>

<template>
  <div class="place">
    <header>
      <h1>Embosser</h1>
      <NuxtLink class="stone-button" to="/bench/braille">Braille</NuxtLink>
    </header>
    <p>
      It stands in for a machine of 40 cells by 25 lines. What is sent to it from Braille in another window of this
      browser comes here, or a file is opened.
    </p>
    <label class="stone-button"
      >Open a BRF file <input type="file" accept=".brf,.txt,text/plain" class="sr-only" @change="open"
    /></label>
    <p v-if="jobs.length === 0" class="quiet">Nothing was sent yet.</p>
    <section v-for="job in jobs" :key="job.id" :aria-label="job.name">
      <h2>{{ job.name }}</h2>
      <p v-if="'refused' in job.read" class="trouble" role="alert">Not embossed. {{ job.read.refused }}</p>
      <template v-else>
        <div v-for="(page, p) in job.read.pages" :key="p" class="sheet">
          <p class="quiet">Page {{ p + 1 }}</p>
          <DotCells v-for="(row, i) in page" :key="i" :cells="row" :told="row.length ? toUnicode(row) : 'empty line'" />
        </div>
        <p role="status">Embossed: {{ job.read.pages.length }} {{ job.read.pages.length === 1 ? 'page' : 'pages' }}.</p>
      </template>
    </section>
  </div>
</template>

<style scoped>
.sheet {
  background: var(--sheet);
  border: 1.5px solid var(--edge);
  padding: 1rem;
  overflow-x: auto;
  margin-bottom: 1rem;
}
</style>
