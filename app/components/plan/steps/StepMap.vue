<script setup lang="ts">
import { STRANDS } from '../../../../core/course/index'
import { pretty } from '../../../../core/door'
import type { Stone } from '../../../composables/useStones'

/** The steps of a course as stones, strand by strand; arrow keys go from stone to stone. */
const { stones, size } = defineProps<{ stones: readonly Stone[]; size: number }>()
const chosen = defineModel<string>({ required: true })
const emit = defineEmits<{ open: [] }>()
const { t } = useI18n()
const { strand: nameOf } = useNames()
/** So many marks of learners stand on a stone; of more it says how many. */
const MOST_MARKS = 4
const rows = computed(() =>
  STRANDS.flatMap((strand) => {
    const own = stones.filter((s) => s.step.strand === strand)
    return own.length > 0 ? [{ strand, own }] : []
  }),
)
/** One stone takes the Tab key: the chosen one, or the first where that is not to be seen. */
const stop = computed(() =>
  stones.some((s) => s.step.id === chosen.value) ? chosen.value : (rows.value[0]?.own[0]?.step.id ?? ''),
)
const labelOf = ({ step, sample, told, who }: Stone): string =>
  [`${step.title}, ${pretty(sample)}`, told, who.length ? t('steps.nextFor', { names: who.join(', ') }) : '']
    .filter(Boolean)
    .join('; ')
function choose(id: string): void {
  chosen.value = id
  emit('open')
}

const map = useTemplateRef('map')
function go(event: KeyboardEvent): void {
  const all = rows.value
  const idNow = (event.target as HTMLElement).closest<HTMLElement>('[data-step]')?.dataset.step
  const row = all.findIndex(({ own }) => own.some((s) => s.step.id === idNow))
  if (row < 0) return
  const at = all[row]!.own.findIndex((s) => s.step.id === idNow)
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
    <section v-for="{ strand, own } in rows" :key="strand" :aria-label="nameOf(strand)">
      <h2>{{ nameOf(strand) }}</h2>
      <ol class="plain">
        <li v-for="s in own" :key="s.step.id">
          <Button
            severity="secondary"
            class="step"
            :class="[s.state, { chosen: chosen === s.step.id }]"
            :data-step="s.step.id"
            :tabindex="stop === s.step.id ? 0 : -1"
            :aria-pressed="chosen === s.step.id"
            :aria-label="labelOf(s)"
            @click="choose(s.step.id)"
          >
            <span v-if="s.begun" class="fill" :style="{ width: `${Math.round(100 * s.begun)}%` }" />
            <span class="name">{{ s.step.short ?? s.step.title }} <IconCheck v-if="s.state === 'secure'" /></span>
            <span class="sample learner">{{ pretty(s.sample) }}</span>
            <span v-if="s.who.length" class="who">
              <template v-if="s.who.length <= MOST_MARKS">
                <LearnerMark v-for="name in s.who" :key="name" :name="name" />
              </template>
              <span v-else class="tag">{{ t('steps.learners', s.who.length) }}</span>
            </span>
          </Button>
        </li>
      </ol>
    </section>
    <EmptyState v-if="rows.length === 0" :title="t('steps.none')" :facts="t('steps.noneFacts')"><slot /></EmptyState>
  </div>
</template>

<style scoped>
.map {
  display: grid;
  gap: 18px;
}
h2 {
  margin-bottom: 8px;
  font-size: 1rem;
  color: var(--ink-2);
}
ol {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
}
.step {
  position: relative;
  display: grid;
  justify-items: start;
  align-content: center;
  gap: 0;
  min-height: calc(66px * var(--size));
  min-width: calc(92px * var(--size));
  padding: 8px calc(13px * var(--size)) 9px;
  overflow: hidden;
  border: 1px solid transparent;
  border-radius: 8px;
  box-shadow: var(--shadow);
  font-size: calc(0.95rem * var(--size));
  line-height: 1.35;
  text-align: left;
}
.name {
  display: flex;
  align-items: center;
  gap: 6px;
  font-weight: 700;
}
.name .lucide {
  color: var(--moss);
}
.sample {
  font-size: 1.05em;
  font-weight: 400;
  color: var(--ink-soft);
}
.step.secure,
.step.assumed {
  background: var(--moss-wash);
}
.step.later {
  border: 1px dashed var(--line-2);
  background: transparent;
  box-shadow: none;
  color: var(--ink-soft);
}
.step.next {
  padding-right: calc(46px * var(--size));
  background: var(--rail);
  color: var(--rail-here);
}
[data-theme='dark'] .step.next {
  background: var(--rail-here);
  color: var(--rail-here-ink);
}
[data-theme='contrast'] .step {
  border-color: var(--ink);
}
[data-theme='contrast'] .step.next {
  color: #fff;
}
.step.next .sample {
  color: inherit;
}
.step:hover {
  border-color: var(--edge);
}
.step.chosen {
  outline: 3px solid var(--clay);
  outline-offset: 1px;
}
.step:focus-visible {
  outline: 3px solid var(--focus);
  outline-offset: 2px;
}
.fill {
  position: absolute;
  inset: auto auto 0 0;
  height: 4px;
  background: var(--moss);
}
.who {
  display: flex;
  gap: 3px;
  margin-top: 3px;
}
.who .mark {
  width: 24px;
  height: 24px;
  border-radius: 6px;
}
.step.next .who {
  position: absolute;
  top: 10px;
  right: 10px;
  margin: 0;
}
.step.next .mark {
  box-shadow: 0 0 0 2px var(--rail-here);
}
@media (forced-colors: active) {
  .step {
    border: 1px solid;
  }
  .step.later {
    border-style: dashed;
  }
  .step.next {
    forced-color-adjust: none;
    background: Highlight;
    color: HighlightText;
  }
}
@media print {
  .map {
    gap: 3mm;
  }
  .step {
    min-height: 0;
    padding: 1mm 2mm;
    border-color: #999;
    box-shadow: none;
    font-size: 9pt;
    print-color-adjust: exact;
  }
}
</style>
