<script setup lang="ts">
import { goesOn } from '../../../core/plan/lines'
import type { Stone } from '../../../core/record/bench'

const props = defineProps<{ stones: readonly Stone[]; lit: number }>()
const emit = defineEmits<{ pick: [index: number | null] }>()
const list = ref<HTMLElement | null>(null)
/** A count is one line that grows, and so are numbers asked one after another: of its words only the last state is shown, and it belongs to all its stones. */
const lines = computed(() => {
  const all = props.stones.flatMap((stone, index) =>
    // A rule stands beside the total that it made.
    stone.lines
      .filter((line) => !line.beside)
      .map((line) => ({ ...line, index, to: index, rule: stone.lines.find((l) => l.beside)?.text ?? '' })),
  )
  return all.reduce<typeof all>((kept, line) => {
    const last = kept.at(-1)
    const asks = last && !last.equation && !line.equation && / [+−] /.test(last.text)
    const grows = last && (goesOn(last) || asks) && line.text.startsWith(`${last.text} `)
    // A sentence that stands already is not written twice, only read.
    const again = last?.text === line.text
    return grows || again ? [...kept.slice(0, -1), { ...line, index: last!.index }] : [...kept, line]
  }, [])
})
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
      :class="{ lit: line.index <= lit && lit <= line.to }"
      @mouseenter="emit('pick', line.to)"
      @mouseleave="emit('pick', null)"
    >
      <span>{{ line.text }}</span>
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
  padding: 0 0.7rem;
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
