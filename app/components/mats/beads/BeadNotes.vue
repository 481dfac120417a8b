<script setup lang="ts">
import type { BeadDetail } from '../../../../core/door'

/** By which rule a digit goes, why by no earlier one, what it sets off above, and which finger does what. */
defineProps<{ detail: BeadDetail }>()
</script>

<template>
  <div class="notes">
    <p v-for="(d, i) in detail.digits.filter((x) => x.rule !== 'direct')" :key="i">
      <strong v-if="detail.digits.length > 1 && i > 0">On the {{ d.rod }}: {{ d.formula }}, {{ d.name }}. </strong>
      {{ d.why.join(' ') }}
    </p>
    <ol v-if="detail.hands.length" aria-label="Fingers">
      <li v-for="(hand, i) in detail.hands" :key="i">{{ hand }}</li>
    </ol>
  </div>
</template>

<style scoped>
.notes {
  flex-basis: 100%;
  font-size: 1rem;
  line-height: 1.35;
  display: flex;
  flex-wrap: wrap;
  gap: 0 1.2rem;
}
ol {
  margin: 0;
  padding: 0;
  list-style: none;
  display: flex;
  flex-wrap: wrap;
  gap: 0 1rem;
}
li::before {
  content: '▸ ';
}
</style>
