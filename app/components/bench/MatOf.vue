<script setup lang="ts">
import { listed, type BeadMove, type Moment, type RepresentationId } from '../../../core/door'
import { matOf, type MatView } from '../../mats'

/** The mat of one material at the bench. */
const props = defineProps<{
  id: RepresentationId
  /** Where it stands; of the second representation worked by hand, its own moment. */
  moment: Moment
  litPlaces: readonly number[]
  newest: boolean
  places: number
}>()
const emit = defineEmits<{ refuse: [why: string]; say: [text: string] }>()

const bench = useBench()
const { told, foreign } = useNames()
const mat = computed(() => matOf(props.id))
const ours = computed(() => props.moment === bench.bench.now)
/** Beads to point at: those of the move that is offered. */
const pointed = computed(() =>
  bench.hint && ours.value
    ? (bench.nextMoves.slice(0, 1) as readonly (BeadMove | { kind: string })[]).filter(
        (m): m is BeadMove => m.kind === 'beads',
      )
    : [],
)
const view = computed<MatView>(() => {
  const { moment, id, places, litPlaces, newest } = props
  // The stone that is lit on this mat: the one picked out; on a second mat worked by hand, its own newest.
  const lit = ours.value ? bench.lit : moment.stones.length - 1
  return {
    id,
    state: moment.states[id],
    setup: { ...bench.bench.setup, representation: id },
    standing: moment.standing,
    mode: bench.bench.mode,
    guess: bench.bench.now.guess,
    places,
    litPlaces,
    lit,
    acts: listed(moment.stones)[lit]?.acts ?? [],
    stones: moment.stones.length,
    newest,
    pointed: pointed.value,
    small: false,
  }
})
/** A move is one line; on a sheet, where a digit may need several marks, a few of them. */
const make = (texts: string | readonly string[]): boolean =>
  [texts].flat().every((text) => bench.make(props.id, text as string))
</script>

<template>
  <div :class="mat.lies" :lang="foreign(told(id))">
    <component
      :is="mat.component"
      :key="`${id}${bench.id}`"
      v-bind="mat.props(view)"
      @pick="(i: number | null) => (bench.picked = i)"
      @move="make"
      @ask="(problem: string) => bench.ask(problem)"
      @refuse="(why: string) => emit('refuse', why)"
      @say="(text: string) => emit('say', text)"
    />
  </div>
</template>

<style scoped>
.wide {
  display: contents;
}
.sheet {
  height: 100%;
  overflow: auto;
  display: grid;
  place-items: center;
  background: var(--sheet);
  padding: 1rem;
}
</style>
