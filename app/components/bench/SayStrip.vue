<script setup lang="ts">
import { decimalsIn, partsOfProblem, type Prediction, REPRESENTATIONS, sign, unitOf } from '../../../core/door'

/** What is said now, or a prediction that is asked for. */
const props = defineProps<{ strip: ReturnType<typeof useSayStrip>; asked: Prediction | null; places: number }>()
const emit = defineEmits<{ see: [verdict: string] }>()
const bench = useBench()
const presenting = usePresenting()
const { t } = useI18n()
const { foreign } = useNames()
const { said, words, lit, detail, tone, aloud, canSpeak, inEnglish } = props.strip
/** What may change: the columns that the problem needs, the material's own kinds, or nothing where numbers are worked whole. */
const kinds = computed(() => {
  const { units, representation, problem } = bench.bench.setup
  if (units.worths.some((w) => sign(w) < 0)) return units.worths
  if (['arrows', 'signs', 'number-rule', 'nine-tricks'].includes(REPRESENTATIONS[representation].sorts[0]!)) return []
  if (units.fractions) return partsOfProblem(problem).worths
  const decimals = decimalsIn(problem)
  return Array.from({ length: props.places + decimals }, (_, i) => unitOf(props.places - 1 - i))
})
</script>

<template>
  <section class="say" :class="[tone, { presenting }]" :aria-label="t('say.label')">
    <LazyPredictCard
      v-if="asked"
      :prediction="asked"
      :kinds="kinds"
      :units="bench.bench.setup.units"
      @see="(verdict) => emit('see', verdict)"
    />
    <div v-else class="learner words" :lang="foreign(!inEnglish)">
      <span
        ><span v-if="tone === 'again'" class="sign" aria-hidden="true">↻ </span
        ><span v-else-if="tone === 'agrees'" class="sign" aria-hidden="true">✓ </span
        ><template v-for="(word, i) in words" :key="i"
          ><span :class="{ lit: i === lit }">{{ word }}</span
          >{{ i < words.length - 1 ? ' ' : '' }}</template
        ></span
      >
      <button v-if="bench.hint && bench.next" type="button" class="stone-button" @click="bench.advance()">
        {{ t('say.doIt') }}
      </button>
      <span v-if="!said" class="quiet">{{ t('say.nothing') }}</span>
      <LazyBeadNotes v-if="detail" :detail="detail" />
    </div>
    <button
      v-if="canSpeak && !presenting"
      type="button"
      class="stone-button aloud"
      :aria-label="t('say.aloud')"
      :aria-pressed="aloud"
      @click="aloud = !aloud"
    >
      <IconVolume2 />
    </button>
  </section>
</template>

<style scoped>
.say {
  background: var(--paper-2);
  border-top: 1.5px solid var(--edge);
  padding: 6px 14px;
  min-height: 58px;
  display: flex;
  align-items: center;
  border-left: 8px solid transparent;
}
.say.again {
  border-left-color: var(--plum);
  background: var(--plum-wash);
}
.say.agrees {
  border-left-color: var(--moss);
  background: var(--moss-wash);
}
/* The button is always at the end of the strip. */
.aloud {
  margin-left: auto;
  flex: none;
}
.words {
  font-size: 1.45rem;
  line-height: 1.25;
  display: flex;
  gap: 0.8rem;
  align-items: center;
  flex-wrap: wrap;
  flex: 1;
  min-width: 0;
}
.sign {
  font-weight: 700;
}
.lit {
  background: var(--ink);
  color: var(--sheet);
  border-radius: 3px;
  box-shadow: 0 0 0 3px var(--ink);
}
.presenting .words {
  font-size: clamp(1.5rem, 2.4vw, 3.4rem);
}
@media (max-width: 1150px) {
  .words {
    font-size: 1.25rem;
  }
  .say {
    min-height: 54px;
    padding-block: 4px;
  }
}
@media (max-width: 700px), (max-height: 560px) {
  .words {
    font-size: 1.15rem;
  }
  .say {
    min-height: 48px;
  }
}
</style>
