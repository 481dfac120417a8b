<script setup lang="ts">
import { stripOfRecord, svgPicture } from '../../../core/paper/index'
import type { WorkRecord } from '../../../core/door'

/** Work at the Bench, step by step, as pictures of the mat with what was written. */
const { work, of } = defineProps<{ work: WorkRecord; of: string }>()
/** A long piece of work shows its first steps and its last one. */
const MOST = 12
const steps = computed(() => {
  const all = stripOfRecord(work).map((s, i) => ({
    n: i + 1,
    svg: s.picture ? svgPicture(s.picture) : '',
    lines: s.lines,
    say: s.say,
  }))
  return all.length > MOST ? [...all.slice(0, MOST - 1), all.at(-1)!] : all
})
</script>

<template>
  <ol class="strip" tabindex="0" :aria-label="`${of}, step by step`">
    <li v-for="s in steps" :key="s.n">
      <span class="n" aria-hidden="true">{{ s.n }}</span>
      <!-- eslint-disable-next-line vue/no-v-html -- drawn by core/paper, which escapes what it writes -->
      <span v-if="s.svg" class="picture" v-html="s.svg" />
      <span v-for="line in s.lines" :key="line" class="learner line">{{ line }}</span>
      <span class="say">{{ s.say }}</span>
    </li>
  </ol>
</template>

<style scoped>
.strip {
  display: flex;
  gap: 8px;
  margin: 0;
  padding: 4px 0;
  list-style: none;
  overflow-x: auto;
}
li {
  flex: 0 0 11rem;
  display: grid;
  gap: 0.3rem;
  align-content: start;
  padding: 0.5rem;
  background: #fff;
  color: #111;
  border: 1.5px solid var(--edge);
}
.n {
  font-weight: 700;
  font-size: 0.9rem;
}
.picture :deep(svg) {
  display: block;
  width: 100%;
  height: 6.5rem;
}
.line {
  font-weight: 700;
}
.say {
  font-size: 0.95rem;
}
@media print {
  .strip {
    flex-wrap: wrap;
    overflow: visible;
  }
}
</style>
