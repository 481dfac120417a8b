<script setup lang="ts">
import {
  listed,
  type Mode,
  pretty,
  printExact,
  REPRESENTATIONS,
  type Setup,
  type Standing,
  wayById,
} from '../../../../core/door'
import type { WritingState } from '../../../../core/representation/writing/writing'

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
const all = computed(() => listed(props.state.lines))
const movable = computed(() => props.mode !== 'show')
const signOf = (i: number): string => (props.setup.worked.terms[i - 1]?.operation === '-' ? '−' : '+')
/** Numbers as they were asked, each over its parts where it has been parted. */
const heads = computed(() => {
  const found: { sign: string; number: string; parts: readonly string[] }[] = []
  for (const { act } of all.value) {
    if (act?.kind === 'lay') found.push({ sign: '', number: printExact(act.amount), parts: [] })
    if (act?.kind === 'pose')
      found.push({ sign: act.operation === '-' ? '−' : '+', number: printExact(act.amount), parts: [] })
    if (act?.kind === 'split') {
      const number = printExact(act.whole)
      let at = found.findLastIndex((h) => h.number === number)
      // A number may be parted before it was written by itself.
      if (at < 0) at = found.push({ sign: found.length > 0 ? signOf(found.length) : '', number, parts: [] }) - 1
      found[at] = { ...found[at]!, parts: act.parts.map(printExact) }
    }
  }
  return found
})
const page = computed(() => REPRESENTATIONS[id.value])
const ownSign = computed(() => props.setup.choices.signed.ownSign)
const isHead = (kind: string | undefined): boolean => kind === 'lay' || kind === 'pose' || kind === 'split'
/** What is written beneath: on the diagram without what stands in it already. */
const lines = computed(() =>
  all.value
    .map((l, i) => ({ ...l, i, text: pretty(l.text, ownSign.value).split(' = ') }))
    .filter((l) => !page.value.diagram || !isHead(l.act?.kind))
    // A number that only stands there is said again by the line that parts it or asks more.
    .filter((l, k, kept) => !(l.act?.kind === 'lay' && kept[k + 1])),
)
const described = computed(
  () => all.value.map((l) => (l.act ? l.text : `${l.text}, crossed out`)).join('; ') || 'Nothing is written yet.',
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
  text.value = pretty(begun.value, ownSign.value)
  box.value?.focus()
}
/** A number of the diagram put into the line that is being written; touched first, it begins its own parting. */
function put(number: string, begins: boolean): void {
  const now = text.value.trimEnd()
  if (now === '') text.value = begins ? `${number} = ` : `${number} `
  else text.value = /[+−=-]$/.test(now) ? `${now} ${number} ` : `${now} + ${number} `
  box.value?.focus()
}
/** A number's own sign has a key of its own, where numbers below nought are written. */
const OWN = '⁻'
const SPACE = 'space'
const PAD = computed(() => [
  ...['1', '2', '3', '4', '5', '6', '7', '8', '9', '0', '+', '−', '='],
  ...(page.value.sorts.includes('signs') ? [OWN] : []),
  // A fraction's line, and the space between a whole number and its fraction.
  ...(page.value.sorts.includes('number-rule') ? ['/', SPACE] : []),
])
function pad(key: string): void {
  if (key === SPACE) text.value += ' '
  else text.value = /[\d/]/.test(key) || key === OWN ? text.value + key : `${text.value.trimEnd()} ${key} `
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
      <div v-if="page.diagram" class="heads" :aria-hidden="!movable">
        <template v-for="(h, i) in heads" :key="i">
          <span v-if="h.sign" class="op">{{ h.sign }}</span>
          <span class="head">
            <component
              :is="movable ? 'button' : 'span'"
              class="number"
              :type="movable ? 'button' : undefined"
              :aria-label="movable ? `Part ${h.number}` : undefined"
              @click="movable && put(h.number, true)"
              >{{ h.number }}</component
            >
            <svg v-if="h.parts.length" viewBox="0 0 100 40" preserveAspectRatio="none" aria-hidden="true">
              <path
                v-for="(_, k) in h.parts"
                :key="k"
                vector-effect="non-scaling-stroke"
                :d="`M50 0L${(100 * (k + 0.5)) / h.parts.length} 40`"
              />
            </svg>
            <span v-if="h.parts.length" class="parts">
              <component
                :is="movable ? 'button' : 'span'"
                v-for="(p, k) in h.parts"
                :key="k"
                class="part"
                :type="movable ? 'button' : undefined"
                :aria-label="movable ? `Use ${p}, part of ${h.number}` : undefined"
                @click="movable && put(p, false)"
                >{{ p }}</component
              >
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
          <span class="left"><MathLine :line="line.text[0]!" /></span>
          <span class="equals">{{ line.text.length > 1 ? '=' : '' }}</span>
          <span class="right"><MathLine :line="line.text.slice(1).join(' = ')" /></span>
          <span v-if="!line.act" class="sr-only">crossed out</span>
        </li>
      </ol>
    </div>
    <form v-if="movable" class="write" @submit.prevent="write">
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
      <button v-if="begun" type="button" class="stone-button learner" @click="begin">
        <MathLine :line="pretty(begun, ownSign)" named />…
      </button>
      <div class="pad learner" role="group" aria-label="Write by touch">
        <button v-for="k in PAD" :key="k" type="button" class="stone-button" @mousedown.prevent @click="pad(k)">
          {{ k }}
        </button>
        <button
          type="button"
          class="stone-button"
          aria-label="Delete the last sign"
          @mousedown.prevent
          @click="text = text.trimEnd().slice(0, -1)"
        >
          ⌫
        </button>
      </div>
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
  font: 700 1.2em var(--learner);
}
.op {
  display: grid;
  place-items: center;
  min-height: 44px;
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
  font: 400 1em var(--learner);
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
  padding: 0.12em 0.4em;
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
.head button {
  background: none;
  color: inherit;
  cursor: pointer;
  min-width: 44px;
  min-height: 44px;
  border: 2px dashed transparent;
  border-radius: 0.3em;
}
.head button.number:hover {
  border-color: var(--edge);
}
.head button.part {
  font: 400 1em var(--learner);
  border: 2px solid var(--edge);
}
/* The keypad is for fingers; a keyboard needs none. */
.pad {
  display: none;
  flex-wrap: wrap;
  gap: 4px;
  flex-basis: 100%;
}
.pad .stone-button {
  padding: 0;
  width: 46px;
  font-size: 1.15rem;
}
@media (any-pointer: coarse) {
  .pad {
    display: flex;
  }
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
