<script setup lang="ts">
import type { Stone } from '../../../core/record/bench'

const props = defineProps<{ stones: readonly Stone[]; lit: number }>()
const emit = defineEmits<{ pick: [index: number | null] }>()
const list = ref<HTMLElement | null>(null)
const lines = computed(() => props.stones.flatMap((stone, index) => stone.lines.map((line) => ({ ...line, index }))))
watch(
  () => lines.value.length,
  async () => {
    await nextTick()
    // Only the page itself is scrolled, never the screen: the mat must stay in sight.
    const page = list.value?.closest('.squared')
    if (page) page.scrollTop = page.scrollHeight
  },
)
</script>

<template>
  <ol ref="list" class="lines learner" aria-label="Running equations">
    <li v-if="lines.length === 0" class="quiet empty">Every move writes its line here.</li>
    <li
      v-for="(line, i) in lines"
      :key="i"
      :class="{ lit: line.index === lit }"
      @mouseenter="emit('pick', line.index)"
      @mouseleave="emit('pick', null)"
    >
      {{ line.text }}
    </li>
  </ol>
</template>

<style scoped>
.lines {
  list-style: none;
  margin: 0;
  padding: 0;
  font-size: 1.45rem;
}
li {
  min-height: 44px;
  display: flex;
  align-items: center;
  padding: 0 0.7rem;
  border-left: 5px solid transparent;
}
li.lit {
  background: var(--clay-wash);
  border-left-color: var(--clay);
  font-weight: 700;
}
.empty {
  font: 400 1rem var(--ui);
}
</style>
