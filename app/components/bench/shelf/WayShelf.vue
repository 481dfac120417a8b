<script setup lang="ts">
import { capital, pretty, printProblem, type Problem, REPRESENTATIONS, type WayId, waysOf } from '../../../../core/door'

/** Ways of working by picture, for the problem and the material on the bench. */
const props = defineProps<{ problem: Problem; chosen: WayId }>()
const emit = defineEmits<{ choose: [id: WayId]; close: [] }>()
const bench = useBench()
const { t } = useI18n()
const { title, way, school } = useNames()
const material = computed(() => REPRESENTATIONS[bench.bench.setup.representation])
const groups = computed(() => [
  {
    title: t('shelf.withMaterial', { material: title(material.value.id) }),
    items: waysOf(props.problem, material.value).map((w) => ({
      id: w.way,
      title: capital(way(w.way)),
      line: school(w.way, w.school),
      fits: true,
    })),
  },
])
/** A picture in two short lines for each way. Drawn for Sett. */
const PICTURES: Readonly<Record<WayId, readonly [string, string]>> = {
  'ones-first': ['52 − 37', '→ 2 − 7'],
  'exchanges-first': ['52', '40 + 12'],
  'by-column': ['2 + 3 + 7', '= 12'],
  apart: ['30 + 40', '7 + 5'],
  hops: ['45 ⌒ 75', '+30'],
  'make-friendly': ['29 + 46', '30 + 45'],
  'over-and-back': ['− 180', '+ 2'],
  'hop-up': ['37 ⌒ 40', '⌒ 52'],
  'count-all': ['● ● ● ●', '1 2 3 4'],
  'count-on': ['8 ·', '9 10 11'],
  'count-on-from-greater': ['3 + 8', '8 · 9 10'],
  'take-away': ['● ● ✕ ✕', '2'],
  'count-back': ['14 ·', '13 12 11'],
  'count-up': ['8 → 14', '9 10 …'],
  'skip-count': ['4 8 12', '1 2 3'],
  'share-out': ['○ ○ ○', '4 4 4 r 1'],
  'deal-rounds': ['● ● ●', '+ 1 + 1 + 1'],
  'fill-plates': ['(6) (6)', '2 plates'],
  'long-division': ['÷ × −', '↓'],
  'equal-groups': ['7 + 7', '14 + 7'],
  'split-groups': ['5 × 8', '2 × 8'],
  'by-digit': ['4 × 7', '4 × 3 + 2'],
  'by-parts': ['20 × 30', '4 × 7'],
  'sort-and-count': ['25 50 75', '85 95 …'],
  'pairs-first': ['50 + 50', '= 100'],
  'stack-and-add': ['75', '+ 20'],
  'pay-fewest': ['87', '50 25 10 1 1'],
  'change-up': ['135 → 140', '→ 200'],
  'same-parts': ['▮▮▮ ▮▮', '5 parts'],
  'common-parts': ['▬ = ▪▪', 'then count'],
  'wholes-apart': ['2 + 1', '▪▪▪ → 1'],
  'edge-to-edge': ['▬▬▬', '▬▬'],
  'other-names': ['▬▬', '▪▪▪▪'],
  'repeated-parts': ['▪▪ ▪▪ ▪▪', '3 ×'],
  'by-places': ['8.40', '3.27'],
  'number-rule': ['× 3', '× 3'],
  pairs: ['+ −', '= 0'],
  arrows: ['→ → →', '← ←'],
  'combine-opposites': ['−4 −3', '+ 3'],
  decompose: ['−3 −0.7', '−0.05'],
  'sign-rule': ['8 − (−4)', '8 + 4'],
  nines: ['9 × 4', '3 | 6'],
  'one-less': ['4 − 1 = 3', '9 − 3 = 6'],
  'ten-less': ['10 × 4', '40 − 4'],
  compensate: ['+ 7', '+10 −3'],
  'count-beads': ['+ 7', '1 1 1 …'],
}
</script>

<template>
  <ShelfDialog
    :header="t('shelf.ways', { problem: pretty(printProblem(problem)) })"
    :search="t('shelf.findWay')"
    :chosen="chosen"
    :groups="groups"
    wide
    @choose="(id) => emit('choose', id as WayId)"
    @close="emit('close')"
  >
    <template #picture="{ id }">
      <span class="picture learner" aria-hidden="true"
        ><span v-for="line in PICTURES[id as WayId]" :key="line">{{ line }}</span></span
      >
    </template>
  </ShelfDialog>
</template>

<style scoped>
.picture {
  display: grid;
  place-content: center;
  justify-items: center;
  height: 5.4rem;
  background: var(--paper-2);
  border-radius: 3px;
  font-weight: 700;
  font-size: 1.25rem;
  line-height: 1.3;
  white-space: nowrap;
}
</style>
