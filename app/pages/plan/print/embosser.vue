<script setup lang="ts">
import { readBrf, toUnicode } from '../../../../core/braille/index'

/** A stand-in for an embosser: it draws what the machine would emboss, and refuses what it could not. */
interface Job {
  readonly id: number
  readonly name: string
  readonly read: ReturnType<typeof readBrf>
}
const { t } = useI18n()
const jobs = shallowRef<readonly Job[]>([])
const MOST_JOBS = 10
let count = 0
const put = (name: string, read: Job['read']): void =>
  void (jobs.value = [{ id: (count += 1), name, read }, ...jobs.value].slice(0, MOST_JOBS))
const channel = new BroadcastChannel('sett-embosser')
channel.onmessage = ({ data }: MessageEvent<{ name: string; brf: string }>) => {
  if (typeof data?.brf === 'string') put(String(data.name), readBrf(data.brf))
}
onBeforeUnmount(() => channel.close())
const MOST_BYTES = 1_000_000
const open = async (file: File): Promise<void> =>
  put(file.name, file.size > MOST_BYTES ? { refused: t('embosser.long') } : readBrf(await file.text()))
useHead({ title: () => `${t('embosser.title')} – Sett` })
</script>

<template>
  <div class="place">
    <PageHeader :title="t('embosser.title')" :facts="t('embosser.facts')">
      <NuxtLink class="reach" to="/bench/braille">{{ t('embosser.braille') }}</NuxtLink>
      <FilePick accept=".brf,.txt,text/plain" :label="t('embosser.open')" @pick="open" />
    </PageHeader>
    <p v-if="jobs.length === 0" class="quiet">{{ t('embosser.none') }}</p>
    <section v-for="job in jobs" :key="job.id" class="card" :aria-label="job.name">
      <h2>{{ job.name }}</h2>
      <p v-if="'refused' in job.read" class="trouble" role="alert">
        {{ t('embosser.refused', { why: job.read.refused }) }}
      </p>
      <template v-else>
        <div v-for="(page, p) in job.read.pages" :key="p" class="sheet">
          <p class="quiet">{{ t('embosser.page', { n: p + 1 }) }}</p>
          <DotCells
            v-for="(row, i) in page"
            :key="i"
            :cells="row"
            :told="row.length ? toUnicode(row) : t('embosser.emptyLine')"
          />
        </div>
        <p role="status">{{ t('embosser.done', job.read.pages.length) }}</p>
      </template>
    </section>
  </div>
</template>

<style scoped>
.sheet {
  padding: 14px 0;
  overflow-x: auto;
}
</style>
