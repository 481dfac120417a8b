<script setup lang="ts">
/** Nothing yet: a drawing, one sentence, and the button that changes it. */
defineProps<{ title: string; facts?: string }>()
</script>

<template>
  <div class="empty">
    <svg viewBox="0 0 120 60" width="120" height="60" aria-hidden="true">
      <g fill="none" stroke="var(--edge)" stroke-width="2" stroke-dasharray="5 5">
        <rect x="4" y="6" width="62" height="22" rx="4" />
        <rect x="72" y="6" width="44" height="22" rx="4" />
        <rect x="4" y="34" width="36" height="22" rx="4" />
      </g>
      <rect x="46" y="34" width="70" height="22" rx="4" fill="var(--clay)" opacity="0.75" />
    </svg>
    <h2>{{ title }}</h2>
    <p v-if="facts" class="quiet">{{ facts }}</p>
    <slot />
  </div>
</template>

<style scoped>
.empty {
  display: grid;
  gap: 10px;
  justify-items: center;
  padding: 24px 12px;
  text-align: center;
}
p {
  max-width: 46ch;
}
</style>
