<script setup lang="ts">
import type { Session } from '../../../../core/progress/index'
import { HELP_LEVELS } from '../../../../shared/levels'

/** Sessions as a table; the latest come first where there are very many. */
const { sessions } = defineProps<{ sessions: readonly Session[] }>()
const MOST = 200
const open = ref(false)
const shown = computed(() => sessions.slice(-MOST))
</script>

<template>
  <details @toggle="open = ($event.target as HTMLDetailsElement).open">
    <summary>The same as a table</summary>
    <p v-if="sessions.length > MOST" class="quiet">The latest {{ MOST }} of {{ sessions.length }} days.</p>
    <table v-if="open">
      <thead>
        <tr>
          <th scope="col">Day</th>
          <th scope="col">Tried</th>
          <th scope="col">Right</th>
          <th scope="col">Without help</th>
          <th scope="col">Right a minute</th>
          <th v-for="h in HELP_LEVELS" :key="h" scope="col">{{ h }}</th>
          <th scope="col">Material</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="s in shown" :key="s.day">
          <th scope="row">{{ dayInWords(s.day) }}</th>
          <td>{{ s.tried }}</td>
          <td>{{ s.right }}</td>
          <td>{{ s.alone }} ({{ Math.round(100 * s.share) }} of 100)</td>
          <td>{{ s.perMinute === null ? '–' : s.perMinute.toFixed(1) }}</td>
          <td v-for="h in HELP_LEVELS" :key="h">{{ s.help[h] ?? 0 }}</td>
          <td>{{ s.phase ?? '–' }}</td>
        </tr>
      </tbody>
    </table>
  </details>
</template>

<style scoped>
details {
  overflow-x: auto;
}
summary {
  min-height: 44px;
  cursor: pointer;
}
table {
  border-collapse: collapse;
}
th,
td {
  padding: 0.3rem 0.7rem;
  text-align: left;
  border-bottom: 1px solid var(--rule);
}
</style>
