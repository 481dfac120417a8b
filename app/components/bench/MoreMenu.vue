<script setup lang="ts">
/** What else can be done with a problem: which way fits, its numbers read, several ways, and practice of its own. */
import { onPage, recordOf, toLatex, toMathML } from '../../../core/door'
import type { SavedRecord } from '../../../shared/schemas'

const AdviceDialog = defineAsyncComponent(withAll(() => import('./AdviceDialog.vue')))
const FrameDialog = defineAsyncComponent(() => import('./FrameDialog.vue'))
const ReadDialog = defineAsyncComponent(() => import('./ReadDialog.vue'))

const bench = useBench()
const advising = ref(false)
const reading = ref(false)
const framing = ref(false)
const menu = ref<{ toggle: (event: Event) => void; prepare: () => void } | null>(null)
/** The line that is lit, for another program; what was done is said. */
const { copy } = useClipboard({ legacy: true })
const said = ref('')
async function copyAs(form: (line: string) => string): Promise<void> {
  const line = onPage(bench.stones.slice(0, bench.lit + 1)).at(-1)
  said.value = ''
  if (line) await copy(form(line.text))
  said.value = line ? `Copied: ${line.text}` : 'No line is written yet.'
}
const { print } = usePrintPlan()
/** What lies on the mat now: to be looked at, or swollen and felt. */
const matOnPaper = (): Promise<void> =>
  print([{ sheet: { kind: 'lying', work: recordOf(bench.bench) as SavedRecord['work'] }, copies: 1 }])
/** What the plan does with this material, as pictures with their lines. */
const onPaper = (): Promise<void> =>
  print([{ sheet: { kind: 'steps', material: bench.material, all: false }, copies: 1 }], { problems: bench.problem })
const items = [
  {
    label: 'For this problem',
    items: [
      { label: 'Which way suits it?', command: () => (advising.value = true) },
      { label: 'Read the numbers aloud', command: () => (reading.value = true) },
      { label: 'Copy the line as text', command: () => copyAs((line) => line) },
      { label: 'Copy the line as LaTeX', command: () => copyAs(toLatex) },
      { label: 'Copy the line as MathML', command: () => copyAs(toMathML) },
      { label: 'Step by step on paper', command: () => onPaper() },
      { label: 'The mat on paper, for eyes or fingers', command: () => matOnPaper() },
      { label: 'In braille', command: () => navigateTo('/braille') },
      {
        label: 'Tell a story for it',
        command: () => navigateTo({ path: '/stories', query: { problem: bench.problem } }),
      },
      {
        label: 'Compare several ways side by side',
        command: () => navigateTo({ path: '/board', query: { problem: bench.problem } }),
      },
    ],
  },
  {
    label: 'Practice',
    items: [
      { label: 'Find missing digits', command: () => navigateTo('/missing') },
      { label: 'Problems for just this step', command: () => navigateTo('/problems') },
      { label: 'Spin and add: spinner and number cards', command: () => navigateTo('/spinner') },
      { label: 'Set chains that need one bead rule', command: () => navigateTo('/chains') },
      { label: 'The stall: prices, paying, change', command: () => navigateTo('/stall') },
      { label: 'Rehearse rules, beads and fingers', command: () => navigateTo('/rehearse') },
      { label: 'Rehearse facts and counting in steps', command: () => navigateTo('/facts') },
    ],
  },
  {
    label: 'Settings',
    items: [
      { label: 'How we work the abacus', command: () => (framing.value = true) },
      { label: 'Move the notches on touch numerals', command: () => navigateTo('/notches') },
      { label: 'Room, words and learners', command: () => navigateTo('/room') },
    ],
  },
]
defineExpose({ advise: () => (advising.value = true) })
</script>

<template>
  <button
    type="button"
    class="stone-button"
    aria-haspopup="menu"
    @click="(e) => menu?.toggle(e)"
    @pointerenter="menu?.prepare()"
    @focus="menu?.prepare()"
  >
    Tools and practice
  </button>
  <span class="sr-only" role="status">{{ said }}</span>
  <PopMenu ref="menu" :model="items" />
  <AdviceDialog v-if="advising" v-model:open="advising" />
  <FrameDialog v-if="framing" v-model:open="framing" />
  <ReadDialog v-if="reading" v-model:open="reading" />
</template>
