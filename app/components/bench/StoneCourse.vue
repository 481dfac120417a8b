<script setup lang="ts">
import { handsOf, labelOf, packOf, type Stone } from '../../../core/door'

const bench = useBench()
const { t } = useI18n()
const { figures } = useFigures()
const course = ref<HTMLElement | null>(null)
/** While the next step is to be predicted, what is to come would give it away. */
const { predicting } = defineProps<{ predicting: boolean }>()
const upcoming = computed(() =>
  (predicting ? [] : bench.upcoming).map((acts) =>
    acts
      .map((act) =>
        labelOf(act, packOf(bench.bench.setup.choices.words), handsOf(bench.bench.setup), bench.bench.setup.units),
      )
      .join(' · '),
  ),
)
watch(
  () => bench.stones.length,
  async () => {
    await nextTick()
    // Along the course only: the screen itself must not jump.
    const stone = course.value?.querySelector<HTMLElement>('[aria-current]')
    if (stone && course.value) course.value.scrollTo({ left: stone.offsetLeft - course.value.clientWidth / 2 })
  },
)
/** So many stones are drawn at once: the newest, or those that one has gone back to. */
const SHOWN = 80
const first = ref(0)
watch(
  () => bench.stones.length,
  (now) => (first.value = Math.max(0, now - SHOWN)),
  { immediate: true },
)
const shown = computed(() =>
  bench.stones.slice(first.value, first.value + SHOWN).map((stone, k) => ({ stone, i: first.value + k })),
)
const later = computed(() => Math.max(0, bench.stones.length - first.value - SHOWN))
const look = (by: number): void =>
  void (first.value = Math.max(0, Math.min(bench.stones.length - SHOWN, first.value + by)))
const note = ({ strays, owed }: Stone): string =>
  owed ? t('course.notFinished') : strays && bench.bench.mode !== 'alone' ? t('course.strays') : ''
</script>

<template>
  <ol ref="course" class="course" :aria-label="t('course.label')">
    <li v-if="bench.stones.length === 0 && upcoming.length === 0" class="quiet">{{ t('course.empty') }}</li>
    <li v-if="first > 0">
      <button type="button" class="stone hollow" @click="look(-SHOWN / 2)">
        {{ t('course.earlier', { n: first }) }}
      </button>
    </li>
    <li v-for="{ stone, i } in shown" :key="i">
      <button
        type="button"
        class="stone"
        :class="{ now: i === bench.lit, owing: stone.owed && bench.bench.mode !== 'alone' }"
        :aria-current="i === bench.stones.length - 1 ? 'step' : undefined"
        @click="bench.jump(i + 1)"
        @mouseenter="bench.picked = i"
        @mouseleave="bench.picked = null"
        @focus="bench.picked = i"
        @blur="bench.picked = null"
      >
        <span v-if="stone.owed && bench.bench.mode !== 'alone'" aria-hidden="true">… </span
        ><MathLine :line="figures(stone.label)" named /><span class="sr-only">{{ note(stone) }}</span>
      </button>
    </li>
    <li v-if="later > 0">
      <button type="button" class="stone hollow" @click="look(SHOWN / 2)">{{ t('course.later', { n: later }) }}</button>
    </li>
    <li v-for="(label, i) in later > 0 ? [] : upcoming" :key="`next${i}`">
      <button type="button" class="stone hollow" @click="bench.jump(bench.stones.length + i + 1)">
        <MathLine :line="figures(label)" named /><span class="sr-only">{{ t('course.toCome') }}</span>
      </button>
    </li>
  </ol>
</template>

<style scoped>
.course {
  position: relative;
  list-style: none;
  display: flex;
  gap: 4px;
  margin: 0;
  padding: 3px;
  overflow-x: auto;
  scrollbar-width: thin;
  align-items: center;
  min-height: 50px;
}
.stone {
  min-height: 44px;
  white-space: nowrap;
  padding: 0 0.85rem;
  border-radius: 3px;
  border: 1.5px solid var(--ink-2);
  background: var(--ink-2);
  color: var(--paper);
  cursor: pointer;
}
.stone.now {
  background: var(--clay);
  border-color: var(--clay);
  color: var(--sheet);
  font-weight: 700;
}
.stone.owing {
  background: var(--plum-wash);
  color: var(--ink);
  border: 1.5px dashed var(--plum);
}
.stone.hollow {
  background: transparent;
  color: var(--ink);
  border: 1.5px dashed var(--edge);
}
</style>
