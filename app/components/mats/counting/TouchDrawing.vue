<script setup lang="ts">
import { toCount, valueOf } from '../../../../core/door'
import type { Drawing, DrawingSays } from './drawing'

/** The problem in large numerals; those that are touched carry notches, the others none. */
const props = defineProps<Drawing>()
const emit = defineEmits<DrawingSays>()
const shows = useLocalStorage<'full' | 'faint' | 'off'>('sett.notches', 'full')
const { map } = useNotchMap()

const first = computed(() => toCount(valueOf(props.setup.problem.first)))
const second = computed(() => toCount(valueOf(props.setup.problem.terms[0]?.number ?? props.setup.problem.first)))
const operation = computed(() => props.setup.problem.terms[0]?.operation ?? '+')
const SIGN_WORDS = { '+': 'add', '-': 'take away', '*': 'times', '/': 'divided by' } as const
const SIGN_PATHS = {
  '+': 'M0 0 h56 M28 -28 v56',
  '-': 'M0 0 h56',
  '*': 'M8 -20 l40 40 M48 -20 l-40 40',
  '/': 'M0 0 h56 M28 -22 v1 M28 21 v1',
} as const
const all = computed(() => props.setup.way === 'count-all')
/** Which number is said and which is touched: the way says, and turning round keeps the question as it was asked. */
const touchesFirst = computed(
  () =>
    all.value ||
    props.setup.way === 'skip-count' ||
    (props.setup.way === 'count-on-from-greater' && second.value > first.value),
)
const touchesSecond = computed(() => all.value || !touchesFirst.value)
const counted = computed(() => Math.abs(props.state.counted))
const touchedFirst = computed(() => (all.value ? Math.min(props.state.out, first.value) : counted.value))
const touchedSecond = computed(() => (all.value ? Math.max(0, props.state.out - first.value) : counted.value))
const digits = (n: number): number[] => [...String(n)].map(Number)
const LEVELS = [
  { id: 'full', label: 'Notches' },
  { id: 'faint', label: 'Faint' },
  { id: 'off', label: 'Off' },
] as const
const GAP = 112
const width = computed(() => (digits(first.value).length + digits(second.value).length) * GAP + 110)
</script>

<template>
  <div class="touch">
    <svg
      :viewBox="`-16 -14 ${width} 172`"
      role="img"
      :aria-label="`Numerals ${first} ${SIGN_WORDS[operation]} ${second}: ${described}`"
    >
      <g v-for="(d, i) in digits(first)" :key="`f${i}`" :transform="`translate(${i * GAP} 0)`">
        <TouchNumeral
          :digit="d"
          :map="map"
          :shows="touchesFirst ? shows : 'off'"
          :touched="touchedFirst"
          @touch="(n) => movable && emit('more', n)"
        />
      </g>
      <path class="sign" :transform="`translate(${digits(first).length * GAP + 10} 70)`" :d="SIGN_PATHS[operation]" />
      <g
        v-for="(d, i) in digits(second)"
        :key="`s${i}`"
        :transform="`translate(${(digits(first).length + i) * GAP + 92} 0)`"
      >
        <TouchNumeral
          :digit="d"
          :map="map"
          :shows="touchesSecond ? shows : 'off'"
          :touched="touchedSecond"
          @touch="(n) => movable && emit('more', all ? first + n : n)"
        />
      </g>
    </svg>
    <div class="levels" role="group" aria-label="How strong the notches are">
      <button
        v-for="l in LEVELS"
        :key="l.id"
        type="button"
        class="stone-button"
        :aria-pressed="shows === l.id"
        @click="shows = l.id"
      >
        {{ l.label }}
      </button>
    </div>
    <NuxtLink class="stone-button own" to="/settings/touch-points">Move notches</NuxtLink>
  </div>
</template>

<style scoped>
.touch {
  position: relative;
  padding: 70px 0 54px;
}
svg {
  width: 100%;
  height: 100%;
}
.sign {
  stroke: var(--on-felt);
  stroke-width: 9;
  stroke-linecap: round;
  fill: none;
}
.own {
  position: absolute;
  left: 4px;
  bottom: 4px;
}
.levels {
  position: absolute;
  right: 4px;
  bottom: 4px;
  display: flex;
  color: var(--ink);
}
.levels .stone-button {
  border-radius: 0;
  margin-left: -1.5px;
}
</style>
