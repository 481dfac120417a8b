<script setup lang="ts">
import { capital, offersFor, pretty, printProblem, type Problem, type RepresentationId } from '../../../../core/door'
import { GROUPS, type ShelfId } from './thumbs'
import type { ShelfItem } from './ShelfDialog.vue'

/** Materials by picture for one problem: those that hold it first, the others with the reason. */
const props = defineProps<{
  problem: Problem
  chosen: RepresentationId | null
  /** For a second material beside: only what holds the problem, and not the first. */
  beside?: RepresentationId
}>()
const emit = defineEmits<{ choose: [id: RepresentationId]; close: [] }>()
const bench = useBench()
const { t } = useI18n()
const { title, reason, told } = useNames()
const { pinned, lately, pin } = useShelf()

const classroom = useClassroom()
/** What is put aside for whoever is at the bench stays to be had, but says so and comes last. */
const avoid = computed(() => classroom.learner?.choices.avoid ?? [])
const asideFor = (id: RepresentationId): string | undefined => {
  const { codeName, choices } = classroom.learner ?? {}
  if (!choices || !avoid.value.includes(id)) return undefined
  return `${t('shelf.aside', { name: codeName ?? '' })}${choices.avoidWhy ? `: ${choices.avoidWhy}` : ''}.`
}
const items = computed(() => {
  const offers = offersFor(props.problem, bench.bench.setup.choices).filter((o) => o.representation !== 'equations')
  return new Map(
    offers
      .filter((o) => !props.beside || (o.beside && o.representation !== props.beside))
      .map((o): [RepresentationId, ShelfItem] => [
        o.representation,
        {
          id: o.representation,
          title: capital(title(o.representation)),
          line:
            asideFor(o.representation) ??
            (props.beside && !o.fits
              ? t('shelf.inStep')
              : o.fits && !told(o.representation)
                ? t('bench.notHere')
                : reason(o.why).text),
          fits: props.beside ? o.beside : o.fits,
          pinned: pinned.value.includes(o.representation),
        },
      ]),
  )
})
const itemsOf = (ids: readonly RepresentationId[]): readonly ShelfItem[] =>
  ids.flatMap((id) => items.value.get(id) ?? [])
const groups = computed(() => {
  const first = itemsOf([...new Set([...pinned.value, ...lately.value])]).filter((i) => i.fits)
  const sorted = GROUPS.map((g) => {
    const all = itemsOf(g.ids)
    const rank = (i: ShelfItem): number => (i.fits ? 0 : 2) + (avoid.value.includes(i.id as RepresentationId) ? 1 : 0)
    return { title: t(`group.${g.id}`), items: [...all].sort((a, b) => rank(a) - rank(b)) }
  })
  // Groups in which something holds the problem come before those in which nothing does.
  const holds = (g: { items: readonly ShelfItem[] }): boolean => g.items.some((i) => i.fits)
  return [
    ...(first.some((i) => i.id !== props.chosen) && !props.beside ? [{ title: t('shelf.lately'), items: first }] : []),
    ...sorted.filter(holds),
    ...sorted.filter((g) => !holds(g)),
  ].filter((g) => g.items.length > 0)
})
</script>

<template>
  <ShelfDialog
    :header="t(beside ? 'shelf.beside' : 'shelf.work', { problem: pretty(printProblem(problem)) })"
    :search="t('shelf.findMaterial')"
    :chosen="chosen"
    :groups="groups"
    @choose="(id) => emit('choose', id as RepresentationId)"
    @pin="(id) => pin(id as RepresentationId)"
    @close="emit('close')"
  >
    <template #picture="{ id }"><MaterialThumb :id="id as ShelfId" /></template>
  </ShelfDialog>
</template>
