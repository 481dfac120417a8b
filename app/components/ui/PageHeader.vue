<script setup lang="ts">
/** The head of a page: its title, one line of facts, and at the right what can be done there (one filled button at most). */
defineProps<{
  title: string
  facts?: string
  /** Whether the line of facts tells what has just been done or counted. */
  live?: boolean
}>()
</script>

<template>
  <header class="page-header">
    <div class="said">
      <h1>{{ title }}</h1>
      <p v-if="facts" class="facts" :role="live ? 'status' : undefined">{{ facts }}</p>
    </div>
    <slot />
  </header>
</template>

<style scoped>
.page-header {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 12px 16px;
}
.page-header h1 {
  font-size: 1.8rem;
  line-height: 1.2;
  letter-spacing: -0.01em;
}
.facts {
  color: var(--ink-soft);
  font-size: 0.95rem;
}
.said {
  flex: 1 1 16rem;
  min-width: 0;
}
@media (max-width: 700px) {
  .page-header h1 {
    font-size: 1.55rem;
  }
}
</style>
