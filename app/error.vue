<script setup lang="ts">
import type { NuxtError } from '#app'

/** What is shown where there is no such page, or where Sett itself has failed. Work is kept at every move, so nothing is lost. */
const props = defineProps<{ error: NuxtError }>()
const missing = computed(() => props.error.status === 404)
const { theme } = useTheme()
useHead({
  title: () => (missing.value ? 'No such page – Sett' : 'Something went wrong – Sett'),
  htmlAttrs: { 'data-theme': theme },
})
const classroom = useClassroom()
/** To the bench; where there is no room yet, to where one is named. */
async function home(): Promise<void> {
  await classroom.load().catch(() => undefined)
  await clearError({ redirect: classroom.classroom ? '/bench' : '/' })
}
const reload = (): void => location.reload()
</script>

<template>
  <main class="error">
    <svg viewBox="0 0 320 120" width="320" height="120" aria-hidden="true">
      <g fill="var(--ink-2)">
        <rect x="4" y="14" width="96" height="40" rx="4" />
        <rect x="108" y="14" width="60" height="40" rx="4" />
        <rect x="4" y="62" width="60" height="40" rx="4" />
        <rect x="176" y="62" width="96" height="40" rx="4" />
      </g>
      <rect
        x="72"
        y="62"
        width="96"
        height="40"
        rx="4"
        fill="none"
        stroke="var(--clay)"
        stroke-width="4"
        stroke-dasharray="9 7"
      />
    </svg>
    <template v-if="missing">
      <h1>There is no such page.</h1>
      <p>The address may have been typed wrongly, or it belongs to a later version of Sett.</p>
    </template>
    <template v-else>
      <h1>Something went wrong in Sett.</h1>
      <p>Your work is kept at every move: it will be there when you open the bench again.</p>
      <p class="quiet">{{ error.message }}</p>
    </template>
    <div class="row">
      <button type="button" class="stone-button main" @click="home">Go to the bench</button>
      <button v-if="!missing" type="button" class="stone-button" @click="reload">Try again</button>
    </div>
  </main>
</template>

<style scoped>
.error {
  min-height: 100%;
  display: grid;
  align-content: center;
  justify-items: center;
  gap: 1rem;
  padding: 2rem 1rem;
  text-align: center;
}
.row {
  display: flex;
  flex-wrap: wrap;
  gap: 0.6rem;
  justify-content: center;
}
svg {
  max-width: 80vw;
}
</style>
