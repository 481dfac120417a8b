<script setup lang="ts">
import { STRANDS, type Step, type Strand } from '../../../../core/course/index'
import { capital } from '../../../../core/door'

/** The steps as courses of laid stones, strand by strand; arrow keys go from stone to stone. */
export interface Stone {
  readonly step: Step
  /** How full the stone is, in hundredths. */
  readonly full: number
  readonly holds: boolean
  readonly ready: boolean
  /** It holds, or is taken as laid because one above it has been begun. */
  readonly laid: boolean
  readonly next: boolean
  readonly told: string
}
const { stones, size } = defineProps<{
  stones: readonly Stone[]
  size: number
  /** Whether they are some learner's. */
  filled: boolean
}>()
const chosen = defineModel<string>({ required: true })
const rows = computed(() =>
  STRANDS.flatMap((strand: Strand) => {
    const own = stones.filter((s) => s.step.strand === strand)
    return own.length > 0 ? [{ strand, own }] : []
  }),
)
/** One stone takes the Tab key: the chosen one, or the first where that is not to be seen. */
const stop = computed(() =>
  stones.some((s) => s.step.id === chosen.value) ? chosen.value : (rows.value[0]?.own[0]?.step.id ?? ''),
)

const map = useTemplateRef('map')
function go(event: KeyboardEvent): void {
  const all = rows.value
  const row = all.findIndex(({ own }) => own.some((s) => s.step.id === (event.target as HTMLElement).dataset.step))
  if (row < 0) return
  const at = all[row]!.own.findIndex((s) => s.step.id === (event.target as HTMLElement).dataset.step)
  const ways: Readonly<Record<string, () => Stone | undefined>> = {
    ArrowRight: () => all[row]!.own[at + 1] ?? all[row + 1]?.own[0],
    ArrowLeft: () => all[row]!.own[at - 1] ?? all[row - 1]?.own.at(-1),
    ArrowDown: () => all[row + 1]?.own[Math.min(at, all[row + 1]!.own.length - 1)],
    ArrowUp: () => all[row - 1]?.own[Math.min(at, all[row - 1]!.own.length - 1)],
    Home: () => all[row]!.own[0],
    End: () => all[row]!.own.at(-1),
  }
  const to = ways[event.key]?.()
  if (!to) return
  event.preventDefault()
  map.value?.querySelector<HTMLElement>(`[data-step="${to.step.id}"]`)?.focus()
}
</script>

<template>
  <div ref="map" class="map" :style="{ '--size': size }" @keydown="go">
    <ul v-if="filled" class="key quiet" aria-label="What the stones mean">
      <li><span class="sample" />what it rests on is not laid</li>
      <li><span class="sample ready" />ready to begin</li>
      <li><span class="sample ready begun" />right without help so far</li>
      <li><span class="sample ready laid" />taken as laid</li>
      <li>✓ it holds</li>
    </ul>
    <section v-for="{ strand, own } in rows" :key="strand" :aria-label="strand">
      <h2>{{ capital(strand) }}</h2>
      <ol>
        <li v-for="{ step, full, holds, ready, laid, next, told } in own" :key="step.id">
          <button
            type="button"
            class="step"
            :class="{ holds, ready, laid: laid && full === 0, now: chosen === step.id }"
            :data-step="step.id"
            :tabindex="stop === step.id ? 0 : -1"
            :aria-pressed="chosen === step.id"
            :aria-label="`${step.title}: ${told}${next ? '; next' : ''}`"
            @click="chosen = step.id"
          >
            <span class="fill" :style="{ width: `${full}%` }" />
            <span class="title">{{ step.title }}</span>
            <span class="sign" aria-hidden="true">{{ holds ? '✓' : next ? '▸' : '' }}</span>
          </button>
        </li>
      </ol>
    </section>
    <p v-if="rows.length === 0" class="quiet">No step has that. Look for something else, or show all steps again.</p>
  </div>
</template>

<style scoped>
.map {
  display: grid;
  gap: calc(0.8rem * var(--size));
}
h2 {
  margin: 0 0 0.3rem;
  font-size: 1.05rem;
}
ol {
  list-style: none;
  margin: 0;
  padding: 0;
  display: flex;
  flex-wrap: wrap;
  gap: calc(6px * var(--size));
}
.step {
  position: relative;
  min-height: max(44px, calc(46px * var(--size)));
  padding: 0.3rem calc(0.8rem * var(--size));
  border: 1.5px dashed var(--edge);
  border-radius: 3px;
  background: var(--sheet);
  color: var(--ink);
  font: inherit;
  font-size: calc(1rem * var(--size));
  cursor: pointer;
  overflow: hidden;
}
.step.ready,
.step.holds {
  border-style: solid;
}
.step.laid {
  background: var(--moss-wash);
}
.step.now {
  outline: 4px solid var(--clay);
  outline-offset: 1px;
}
.step:focus-visible {
  outline: 3px solid var(--focus);
  outline-offset: 2px;
}
.fill {
  position: absolute;
  inset: 0 auto 0 0;
  background: var(--moss-wash);
  border-right: 3px solid var(--moss);
}
.fill[style='width: 0%;'] {
  border: 0;
}
.title,
.sign {
  position: relative;
}
.sign {
  font-weight: 700;
  margin-left: 0.3rem;
}
.key {
  list-style: none;
  margin: 0;
  padding: 0;
  display: flex;
  flex-wrap: wrap;
  gap: 0.3rem 1.2rem;
  font-size: 0.9rem;
}
.key li {
  display: inline-flex;
  gap: 0.4rem;
  align-items: center;
}
.sample {
  width: 34px;
  height: 20px;
  border: 1.5px dashed var(--edge);
  border-radius: 3px;
  background: var(--sheet);
}
.sample.ready {
  border-style: solid;
}
.sample.begun {
  background: linear-gradient(90deg, var(--moss-wash) 55%, var(--moss) 55% 62%, var(--sheet) 62%);
}
.sample.laid {
  background: var(--moss-wash);
}
@media print {
  .map,
  ol {
    gap: 2mm;
  }
  .step {
    min-height: 0;
    padding: 1mm 2mm;
    font-size: 9pt;
    print-color-adjust: exact;
  }
}
</style>
