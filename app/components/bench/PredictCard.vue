<script setup lang="ts">
import { type Exact, sign, spokenList, pieceName, type Prediction, type Units } from '../../../core/door'

const props = defineProps<{
  prediction: Prediction
  /** What may change; of what is worked whole nothing is asked but the way it goes. */
  kinds: readonly Exact[]
  units: Units
}>()
const emit = defineEmits<{ see: [verdict: string] }>()
/** Places lie in columns; pluses and minuses do not. */
const ladder = computed(() => !props.units.worths.some((w) => sign(w) < 0))
const direction = ref<Prediction['direction'] | null>(null)
const chosen = ref<readonly Exact[]>([])
const first = ref<HTMLButtonElement | null>(null)
const DIRECTIONS = [
  { id: 'up', label: 'up: more' },
  { id: 'down', label: 'down: less' },
  { id: 'same', label: 'the same' },
] as const
const words = { up: 'It is more now', down: 'It is less now', same: 'It is worth the same' }
const toggle = (kind: Exact): void =>
  void (chosen.value = chosen.value.includes(kind) ? chosen.value.filter((k) => k !== kind) : [...chosen.value, kind])
onMounted(() => first.value?.focus())

function see(): void {
  const changed = spokenList(props.prediction.kinds.map((kind) => pieceName(kind, 2, props.units)))
  const agrees =
    direction.value === null
      ? ''
      : direction.value === props.prediction.direction
        ? ', as you said'
        : ', not as you said'
  const missed = direction.value !== null && direction.value !== props.prediction.direction
  const why = missed && props.prediction.why ? ` ${props.prediction.why}` : ''
  const what = props.kinds.length > 0 ? ` Changed: the ${changed}.` : ''
  emit('see', `${words[props.prediction.direction]}${agrees}.${why}${what}`)
}
</script>

<template>
  <div class="card" role="group" aria-label="Prediction">
    <p><strong>Before it moves:</strong> will it be</p>
    <div class="set">
      <button
        v-for="(d, i) in DIRECTIONS"
        :key="d.id"
        :ref="
          (el) => {
            if (i === 0) first = el as HTMLButtonElement
          }
        "
        type="button"
        class="stone-button"
        :aria-pressed="direction === d.id"
        @click="direction = d.id"
      >
        {{ d.label }}
      </button>
    </div>
    <p v-if="kinds.length > 0">{{ ladder ? 'Which columns change?' : 'Which counters change?' }}</p>
    <div v-if="kinds.length > 0" class="set">
      <button
        v-for="kind in kinds"
        :key="kind"
        type="button"
        class="stone-button"
        :aria-pressed="chosen.includes(kind)"
        @click="toggle(kind)"
      >
        {{ pieceName(kind, 2, units) }}
      </button>
    </div>
    <button type="button" class="stone-button main" @click="see">See</button>
  </div>
</template>

<style scoped>
.card {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 0.5rem 0.9rem;
}
.set {
  display: flex;
}
.set .stone-button {
  border-radius: 0;
  margin-left: -1.5px;
}
</style>
