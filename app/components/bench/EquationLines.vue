<script setup lang="ts">
import { onPage, type Stone } from '../../../core/door'

const { t } = useI18n()
const props = defineProps<{ stones: readonly Stone[]; lit: number }>()
const emit = defineEmits<{ pick: [index: number | null] }>()
const { figures } = useFigures()
const list = ref<HTMLElement | null>(null)
const lines = computed(() => onPage(props.stones))
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
  <ol ref="list" class="lines learner" :aria-label="t('page.running')">
    <li v-if="lines.length === 0" class="quiet empty">{{ t('page.empty') }}</li>
    <li
      v-for="(line, i) in lines"
      :key="i"
      :class="{ lit: line.from <= lit && lit <= line.to }"
      @mouseenter="emit('pick', line.to)"
      @mouseleave="emit('pick', null)"
    >
      <MathLine :line="figures(line.text)" />
      <small v-if="line.rule" class="rule">{{ line.rule }}</small>
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
  flex-wrap: wrap;
  align-items: center;
  padding: 0.3rem 0.7rem;
  border-left: 5px solid transparent;
}
li.lit {
  background: var(--clay-wash);
  border-left-color: var(--clay);
  font-weight: 700;
}
li .rule {
  margin-left: auto;
  padding-left: 0.8rem;
  font-size: 0.82em;
  font-weight: 400;
  text-align: right;
  color: var(--ink-2);
}
.empty {
  font: 400 1rem var(--ui);
}
</style>
