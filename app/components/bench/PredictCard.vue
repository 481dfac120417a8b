<script setup lang="ts">
import { type Exact, sign, type Prediction, type Units } from '../../../core/door'

const props = defineProps<{
  prediction: Prediction
  /** What may change; of what is worked whole nothing is asked but the way it goes. */
  kinds: readonly Exact[]
  units: Units
}>()
const { t } = useI18n()
const { kinds: namesOf, list } = useNames()
const emit = defineEmits<{ see: [verdict: string] }>()
/** Places lie in columns; pluses and minuses do not. */
const ladder = computed(() => !props.units.worths.some((w) => sign(w) < 0))
const direction = ref<Prediction['direction'] | null>(null)
const chosen = ref<readonly Exact[]>([])
const first = ref<HTMLButtonElement | null>(null)
const DIRECTIONS = ['up', 'down', 'same'] as const
const came = { up: 'predict.isUp', down: 'predict.isDown', same: 'predict.isSame' } as const
const toggle = (kind: Exact): void =>
  void (chosen.value = chosen.value.includes(kind) ? chosen.value.filter((k) => k !== kind) : [...chosen.value, kind])
onMounted(() => first.value?.focus())

function see(): void {
  const changed = list(props.prediction.kinds.map((kind) => namesOf(kind, props.units)))
  const agrees =
    direction.value === null
      ? ''
      : direction.value === props.prediction.direction
        ? t('predict.asSaid')
        : t('predict.notAsSaid')
  const missed = direction.value !== null && direction.value !== props.prediction.direction
  const why = missed && props.prediction.why ? ` ${props.prediction.why}` : ''
  const what = props.kinds.length > 0 ? ` ${t('predict.changed', { kinds: changed })}` : ''
  emit('see', `${t(came[props.prediction.direction])}${agrees}.${why}${what}`)
}
</script>

<template>
  <div class="card" role="group" :aria-label="t('predict.label')">
    <p>
      <strong>{{ t('predict.before') }}</strong> {{ t('predict.willIt') }}
    </p>
    <div class="set">
      <button
        v-for="(d, i) in DIRECTIONS"
        :key="d"
        :ref="
          (el) => {
            if (i === 0) first = el as HTMLButtonElement
          }
        "
        type="button"
        class="stone-button"
        :aria-pressed="direction === d"
        @click="direction = d"
      >
        {{ t(`predict.${d}`) }}
      </button>
    </div>
    <p v-if="kinds.length > 0">{{ ladder ? t('predict.columns') : t('predict.counters') }}</p>
    <div v-if="kinds.length > 0" class="set">
      <button
        v-for="kind in kinds"
        :key="kind"
        type="button"
        class="stone-button"
        :aria-pressed="chosen.includes(kind)"
        @click="toggle(kind)"
      >
        {{ namesOf(kind, units) }}
      </button>
    </div>
    <button type="button" class="stone-button main" @click="see">{{ t('predict.see') }}</button>
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
