<script setup lang="ts">
import { inClassWords } from '../../../../core/door'
import { CARDS } from './cards'
import type { ShelfId } from './thumbs'

/** How hands work one material: pictures of before and after, read in twenty seconds. */
const props = defineProps<{ id: ShelfId }>()
const { spanish, pack } = useNames()
/** What is said beside the pictures in Spanish, where a card is told in it. */
const told = shallowRef<Readonly<Record<string, readonly (readonly [string, string])[]>> | null>(null)
watch(
  spanish,
  async (wanted) => {
    if (wanted && !told.value)
      told.value = (await import('./cards.es.json')).default as unknown as NonNullable<typeof told.value>
  },
  { immediate: true },
)
const own = computed(() =>
  spanish.value ? told.value?.[['blocks', 'chips'].includes(props.id) ? 'placed' : props.id] : undefined,
)
const steps = computed(() =>
  CARDS[props.id].map((step, i) => {
    const [title, text] = own.value?.[i] ?? [inClassWords(step.title, pack.value), inClassWords(step.text, pack.value)]
    return { ...step, title, text }
  }),
)
</script>

<template>
  <ol class="steps" :lang="spanish && !own ? 'en' : undefined">
    <li v-for="s in steps" :key="s.title">
      <svg viewBox="0 0 124 44" width="124" height="44" aria-hidden="true">
        <g v-for="(side, i) in [s.from, s.to]" :key="i" :transform="`translate(${i * 80} 0)`">
          <path v-if="side.fill" class="fill" :d="side.fill" />
          <path v-if="side.line" class="line" :d="side.line" />
          <text v-if="side.text" x="22" y="29" text-anchor="middle">{{ side.text }}</text>
        </g>
        <path class="arrow" d="M50 22H70M63 15L71 22L63 29" />
      </svg>
      <span
        ><strong>{{ s.title }}.</strong> {{ s.text }}</span
      >
    </li>
  </ol>
</template>

<style scoped>
.steps {
  list-style: none;
  margin: 0;
  padding: 0;
  display: grid;
  gap: 8px;
}
li {
  display: grid;
  grid-template-columns: 124px 1fr;
  gap: 0.8rem;
  align-items: center;
  line-height: 1.25;
}
svg {
  background: var(--felt);
  border-radius: 3px;
  padding: 4px;
  width: 124px;
  height: 52px;
}
.fill {
  fill: var(--piece);
}
.line {
  fill: none;
  stroke: var(--piece);
  stroke-width: 2.5;
  stroke-linecap: round;
}
.arrow {
  fill: none;
  stroke: var(--focus-on-felt);
  stroke-width: 3;
  stroke-linecap: round;
  stroke-linejoin: round;
}
text {
  fill: var(--piece);
  font: 700 15px var(--learner);
}
@container card (max-width: 300px) {
  li {
    grid-template-columns: 1fr;
  }
}
</style>
