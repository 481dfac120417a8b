<script setup lang="ts">
/** What else can be done with a problem: which way fits, its numbers read, several ways, and practice of its own. */
import { onPage, recordOf, toLatex, toMathML } from '../../../core/door'
import type { SavedRecord } from '../../../shared/schemas'

const AdviceDialog = defineAsyncComponent(withAll(() => import('./AdviceDialog.vue')))
const FrameDialog = defineAsyncComponent(() => import('./FrameDialog.vue'))
const ReadDialog = defineAsyncComponent(() => import('./ReadDialog.vue'))

const bench = useBench()
const { t } = useI18n()
const find = useFind()
const advising = ref(false)
const reading = ref(false)
const framing = ref(false)
const menu = ref<{ toggle: (event: Event) => void } | null>(null)
/** The line that is lit, for another program; what was done is said. */
const { copy } = useClipboard({ legacy: true })
const said = ref('')
async function copyAs(form: (line: string) => string): Promise<void> {
  const line = onPage(bench.stones.slice(0, bench.lit + 1)).at(-1)
  said.value = ''
  if (line) await copy(form(line.text))
  said.value = line ? t('more.copied', { line: line.text }) : t('more.noLine')
}
const { print } = usePrintPlan()
/** What lies on the mat now: to be looked at, or swollen and felt. */
const matOnPaper = (): Promise<void> =>
  print([{ sheet: { kind: 'lying', work: recordOf(bench.bench) as SavedRecord['work'] }, copies: 1 }])
/** What the plan does with this material, as pictures with their lines. */
const onPaper = (): Promise<void> =>
  print([{ sheet: { kind: 'steps', material: bench.material, all: false }, copies: 1 }], { problems: bench.problem })
const items = computed(() => [
  {
    label: t('more.forThis'),
    items: [
      { label: t('more.suits'), command: () => (advising.value = true) },
      { label: t('more.read'), command: () => (reading.value = true) },
      { label: t('more.asText'), command: () => copyAs((line) => line) },
      { label: t('more.asLatex'), command: () => copyAs(toLatex) },
      { label: t('more.asMathml'), command: () => copyAs(toMathML) },
      { label: t('more.onPaper'), command: () => onPaper() },
      { label: t('more.matOnPaper'), command: () => matOnPaper() },
      { label: t('more.braille'), command: () => navigateTo('/bench/braille') },
      {
        label: t('more.story'),
        command: () => navigateTo({ path: '/plan/stories', query: { problem: bench.problem } }),
      },
      {
        label: t('more.compare'),
        command: () => navigateTo({ path: '/bench/compare', query: { problem: bench.problem } }),
      },
    ],
  },
  {
    label: t('more.practice'),
    items: [
      { label: t('more.missing'), command: () => navigateTo('/bench/missing') },
      { label: t('more.problems'), command: () => navigateTo('/plan/problems') },
      { label: t('more.spinner'), command: () => navigateTo('/bench/spinner') },
      { label: t('more.chains'), command: () => navigateTo('/bench/chains') },
      { label: t('more.stall'), command: () => navigateTo('/bench/shop') },
      { label: t('more.rules'), command: () => navigateTo('/practice') },
      { label: t('more.facts'), command: () => navigateTo('/practice/facts') },
    ],
  },
  {
    label: t('more.settings'),
    items: [
      { label: t('more.abacus'), command: () => (framing.value = true) },
      { label: t('more.notches'), command: () => navigateTo('/settings/touch-points') },
      { label: t('frame.room'), command: () => navigateTo('/settings') },
      { label: t('frame.find'), command: find.open },
    ],
  },
])
defineExpose({ advise: () => (advising.value = true) })
</script>

<template>
  <button type="button" class="stone-button" aria-haspopup="menu" @click="(e) => menu?.toggle(e)">
    {{ t('more.label') }}
  </button>
  <span class="sr-only" role="status">{{ said }}</span>
  <PopMenu ref="menu" :model="items" long />
  <AdviceDialog v-if="advising" v-model:open="advising" />
  <FrameDialog v-if="framing" v-model:open="framing" />
  <ReadDialog v-if="reading" v-model:open="reading" />
</template>
