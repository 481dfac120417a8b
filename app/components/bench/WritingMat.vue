<script setup lang="ts">
import { wayById } from '../../../core/way/index'
import { REPRESENTATIONS } from '../../../core/representation/index'
import { printExact } from '../../../core/number/numeral'
import { pretty } from '../../../core/speech/words'
import type { Mode } from '../../../core/record/bench'
import type { Setup } from '../../../core/plan/setup'
import type { Standing } from '../../../core/act/standing'
import type { WritingState } from '../../../core/representation/writing/writing'

/** A page that is written line by line; on the split diagram numbers stand over their parts. */
const props = defineProps<{
  state: WritingState
  setup: Setup
  standing: Standing
  mode: Mode
  newest: boolean
}>()
const emit = defineEmits<{ move: [text: string] }>()

const id = computed(() => props.setup.representation)
const works = computed(() => props.mode !== 'show')
/** Numbers as they were asked, each over its parts where it has been parted. */
const heads = computed(() => {
  const all: { sign: string; number: string; parts: readonly string[] }[] = []
  for (const { act } of props.state.lines) {
    if (act?.kind === 'lay') all.push({ sign: '', number: printExact(act.amount), parts: [] })
    if (act?.kind === 'pose')
      all.push({ sign: act.operation === '-' ? '−' : '+', number: printExact(act.amount), parts: [] })
    if (act?.kind === 'split') {
      const at = all.findLastIndex((h) => h.number === printExact(act.whole))
      if (at >= 0) all[at] = { ...all[at]!, parts: act.parts.map(printExact) }
    }
  }
  return all
})
const isHead = (kind: string | undefined): boolean => kind === 'lay' || kind === 'pose' || kind === 'split'
/** What is written beneath: on the diagram without what stands in it already. */
const lines = computed(() =>
  props.state.lines
    .map((l, i) => ({ ...l, i, text: pretty(l.text).split(' = ') }))
    .filter((l) => id.value !== 'splits' || !isHead(l.act?.kind))
    // A number that only stands there is said again by the line that parts it or asks more.
    .filter((l, k, all) => !(l.act?.kind === 'lay' && all[k + 1])),
)
const described = computed(
  () =>
    props.state.lines.map((l) => (l.act ? l.text : `${l.text}, crossed out`)).join('; ') || 'Nothing is written yet.',
)

const text = ref('')
const box = ref<HTMLInputElement | null>(null)
/** The left side of the line that comes next, for a learner who is working together with someone. */
const begun = computed(() => {
  if (props.mode !== 'together') return ''
  const act = wayById(props.setup.way).next(props.setup.worked, props.standing, props.setup.choices)
  if (!act) return ''
  try {
    const [move] = REPRESENTATIONS[id.value].perform(props.state, act) as { line?: string }[]
    const [left, right] = (move?.line ?? '').split(' = ')
    return right === undefined ? (left ?? '') : `${left} = `
  } catch {
    return ''
  }
})
function begin(): void {
  text.value = pretty(begun.value)
  box.value?.focus()
}
function write(): void {
  if (text.value.trim() === '') return
  emit('move', `write ${text.value.trim()}`)
  text.value = ''
}
</script>

<template>
  <div class="writing" role="group" aria-label="The mat">
    <p class="sr-only" aria-live="polite">{{ described }}</p>
    <div class="sheet learner" tabindex="0" role="region" aria-label="The page of this way">
      <p v-if="state.lines.length === 0" class="quiet empty">The first line comes here.</p>
      <div v-if="id === 'splits'" class="heads" aria-hidden="true">
        <template v-for="(h, i) in heads" :key="i">
          <span v-if="h.sign" class="op">{{ h.sign }}</span>
          <span class="head">
            <span class="number">{{ h.number }}</span>
            <svg v-if="h.parts.length" viewBox="0 0 100 40" preserveAspectRatio="none">
              <path
                v-for="(_, k) in h.parts"
                :key="k"
                vector-effect="non-scaling-stroke"
                :d="`M50 0L${(100 * (k + 0.5)) / h.parts.length} 40`"
              />
            </svg>
            <span v-if="h.parts.length" class="parts">
              <span v-for="(p, k) in h.parts" :key="k" class="part">{{ p }}</span>
            </span>
          </span>
        </template>
      </div>
      <ol class="lines">
        <li
          v-for="(line, k) in lines"
          :key="line.i"
          :class="{ false: !line.act, now: newest && k === lines.length - 1 }"
        >
          <span class="left">{{ line.text[0] }}</span>
          <span class="equals">{{ line.text.length > 1 ? '=' : '' }}</span>
          <span class="right">{{ line.text[1] ?? '' }}</span>
          <span v-if="!line.act" class="sr-only">crossed out</span>
        </li>
      </ol>
    </div>
    <form v-if="works" class="write" @submit.prevent="write">
      <label class="sr-only" for="line">Write the next line</label>
      <input
        id="line"
        ref="box"
        v-model="text"
        class="learner"
        maxlength="80"
        autocomplete="off"
        spellcheck="false"
        placeholder="Write the next line"
      />
      <button type="submit" class="stone-button main" :disabled="text.trim() === ''">Write</button>
      <button v-if="begun" type="button" class="stone-button learner" @click="begin">{{ pretty(begun) }}…</button>
    </form>
  </div>
</template>

<style scoped>
.writing {
  height: 100%;
  display: grid;
  grid-template-rows: minmax(0, 1fr) auto;
  background: var(--felt);
  padding: 14px;
  gap: 10px;
}
.sheet {
  background: var(--sheet);
  color: var(--ink);
  border-radius: 3px;
  overflow: auto;
  padding: 18px 24px;
  font-size: clamp(1.1rem, min(4.4vh, 5vw), 2.3rem);
  white-space: nowrap;
  line-height: 1.45;
}
.empty {
  font: 400 1rem var(--ui);
}
.heads {
  display: flex;
  gap: 0.5em;
  justify-content: center;
  align-items: start;
  margin-bottom: 0.6em;
}
.head {
  display: grid;
  justify-items: center;
}
.head svg {
  width: 100%;
  min-width: 4.4em;
  height: 1.3em;
}
.head path {
  stroke: var(--ink);
  stroke-width: 2.5;
}
.number {
  font-weight: 700;
  font-size: 1.2em;
}
.op {
  font-size: 1.2em;
}
.parts {
  display: grid;
  grid-auto-flow: column;
  grid-auto-columns: 1fr;
  min-width: 4.4em;
  width: 100%;
  justify-items: center;
}
.part {
  border: 2px solid var(--edge);
  border-radius: 0.5em;
  padding: 0 0.35em;
  margin: 0 2px;
}
.lines {
  list-style: none;
  margin: 0;
  padding: 0;
  display: grid;
  /* The equals signs stand under one another. */
  grid-template-columns: 1fr auto 1fr;
}
.lines li {
  display: grid;
  grid-column: 1 / -1;
  grid-template-columns: subgrid;
  padding: 0 0.4em;
  border-bottom: 1px solid var(--rule);
}
.left {
  text-align: right;
}
.equals {
  padding: 0 0.4em;
}
.now {
  background: var(--clay-wash);
  box-shadow: inset 5px 0 0 var(--clay);
}
.false {
  color: var(--ink-soft);
  text-decoration: line-through;
  text-decoration-color: var(--clay);
  text-decoration-thickness: 2px;
}
.write {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}
.write input {
  flex: 1 1 12rem;
  min-width: 0;
  min-height: 48px;
  font-size: 1.4rem;
  border: 1.5px solid var(--edge);
  border-radius: 4px;
  background: var(--sheet);
  color: var(--ink);
  padding: 0 0.8rem;
}
</style>
