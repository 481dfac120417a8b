<script setup lang="ts">
import { type Finger, FINGERS, formOf, type Mode } from '../../../../core/door'
import { tensAndOnes, type NinesState } from '../../../../core/representation/nines/nines'
import type { FingerLook } from '../counting/TwoHands.vue'

/** Ten fingers numbered from the left. The folded one parts them: tens before it, ones after it. */
const props = defineProps<{ state: NinesState; mode: Mode; newest: boolean }>()
const emit = defineEmits<{ move: [text: string] }>()

const movable = computed(() => props.mode !== 'show')
const numberOf = (finger: Finger): number => FINGERS.indexOf(finger) + 1
const look = (finger: Finger): FingerLook => {
  const n = numberOf(finger)
  return { up: n !== props.state.folded, now: props.newest && n === props.state.folded, mark: String(n) }
}
const tap = (finger: Finger): void => fold(numberOf(finger))
const fold = (n: number): void => emit('move', n === props.state.folded ? `unfold ${n}` : `fold ${n}`)
const read = computed(() => (props.state.folded === null ? null : tensAndOnes(props.state.folded)))
/** In Alone the learner counts the fingers; nothing is given away. */
const counts = computed(() => props.mode !== 'alone' && read.value)
const plural = (n: number, one: string): string => `${n} ${formOf(n, [one, `${one}s`])}`
const described = computed(() =>
  read.value
    ? `finger ${props.state.folded} is folded, ${plural(read.value.tens, 'finger')} before it, ${plural(read.value.ones, 'finger')} after it`
    : 'all ten fingers stand',
)
</script>

<template>
  <div class="nines felt" role="group" aria-label="The mat">
    <p class="sr-only" aria-live="polite">{{ described }}</p>
    <TwoHands class="drawing" :look="look" :movable="movable" :label="`Nines hands: ${described}`" @tap="tap" />
    <p class="parts learner">
      <template v-if="counts"
        ><span>{{ plural(counts.tens, 'ten') }}</span
        ><span class="fold" aria-hidden="true">│</span><span>{{ plural(counts.ones, 'one') }}</span></template
      >
    </p>
    <div v-if="movable" class="acts" role="group" aria-label="Fold a finger">
      <button
        v-for="(f, i) in FINGERS"
        :key="f"
        type="button"
        class="stone-button learner"
        :aria-label="`${state.folded === i + 1 ? 'Unfold' : 'Fold'} finger ${i + 1}`"
        :aria-pressed="state.folded === i + 1"
        @click="fold(i + 1)"
      >
        {{ i + 1 }}
      </button>
    </div>
  </div>
</template>

<style scoped>
.nines {
  height: 100%;
  background: var(--felt);
  color: var(--on-felt);
  display: grid;
  grid-template-rows: minmax(0, 1fr) auto auto;
  padding: 10px;
  gap: 8px;
}
.drawing {
  width: 100%;
  height: 100%;
  min-height: 0;
}
.parts {
  display: flex;
  justify-content: center;
  gap: 1.4rem;
  font-size: 2rem;
  min-height: 1.3em;
}
.fold {
  color: var(--focus-on-felt);
}
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
  justify-content: center;
}
.acts .stone-button {
  min-width: 48px;
  font-size: 1.2rem;
}
</style>
