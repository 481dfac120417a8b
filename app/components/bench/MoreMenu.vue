<script setup lang="ts">
/** What else can be done with a problem: which way fits, its numbers read, several ways, and practice of its own. */
const AdviceDialog = defineAsyncComponent(() => import('./AdviceDialog.vue'))
const FrameDialog = defineAsyncComponent(() => import('./FrameDialog.vue'))
const ReadDialog = defineAsyncComponent(() => import('./ReadDialog.vue'))

const bench = useBench()
const advising = ref(false)
const reading = ref(false)
const framing = ref(false)
const menu = ref<{ toggle: (event: Event) => void } | null>(null)
const items = [
  { label: 'Which way fits?', command: () => (advising.value = true) },
  { label: 'Read the numbers', command: () => (reading.value = true) },
  {
    label: 'Several ways on one board',
    command: () => navigateTo({ path: '/board', query: { problem: bench.problem } }),
  },
  { label: 'Missing digits', command: () => navigateTo('/missing') },
  { label: 'How the abacus is worked', command: () => (framing.value = true) },
  { label: 'Chains for a rule', command: () => navigateTo('/chains') },
  { label: 'Spinner and cards', command: () => navigateTo('/spinner') },
]
defineExpose({ advise: () => (advising.value = true) })
</script>

<template>
  <button type="button" class="stone-button" aria-haspopup="menu" @click="(e) => menu?.toggle(e)">More</button>
  <Menu ref="menu" :model="items" popup />
  <AdviceDialog v-if="advising" v-model:open="advising" />
  <FrameDialog v-if="framing" v-model:open="framing" />
  <ReadDialog v-if="reading" v-model:open="reading" />
</template>
