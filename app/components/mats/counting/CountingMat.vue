<script setup lang="ts">
import type { Component } from 'vue'
import { inUse, showing, type CountingState } from '../../../../core/representation/counting/state'
import {
  allDone,
  exact,
  type Mode,
  packOf,
  REPRESENTATIONS,
  say as inWords,
  type Setup,
  type Standing,
  toCount,
  valueOf,
  ZERO,
} from '../../../../core/door'

const props = defineProps<{
  /** What draws the things themselves: hands, tallies, numerals. */
  drawing: Component
  state: CountingState
  setup: Setup
  standing: Standing
  mode: Mode
  newest: boolean
}>()
const emit = defineEmits<{ move: [text: string]; refuse: [reason: string]; ask: [problem: string] }>()

const { t } = useI18n()
const { verb: verbName, thing: thingName, spanish } = useNames()
const material = computed(() => REPRESENTATIONS[props.setup.representation])
const hands = computed(() => material.value.verbs!)
const counts = computed(() => material.value.counts!)
const pack = computed(() => packOf(props.setup.choices.words))

const numbers = computed(() =>
  [props.setup.problem.first, ...props.setup.problem.terms.map((t) => t.number)].map((n) => toCount(valueOf(n))),
)
/** Whether things come or go now; a count in steps always goes up. */
const operation = computed(() => {
  const term = props.setup.worked.terms[props.standing.begun - 2] ?? props.setup.worked.terms[0]
  return term?.operation === '-' && !props.state.begun ? '-' : '+'
})
const nothingYet = computed(() => showing(props.state) === 0 && props.state.head === null && props.state.begun === null)
/** How the count may be begun, where it begins with words: what is kept in the head, or the steps that are counted in. */
const offers = computed<readonly { label: string; move: string }[]>(() => {
  if (!nothingYet.value) return []
  const [a = 0, b = a] = numbers.value
  switch (props.setup.way) {
    case 'count-on':
    case 'count-on-from-greater':
    case 'count-back':
      return [...new Set(numbers.value)].map((n) => ({ label: t('counting.keep', { n }), move: `hold ${n}` }))
    case 'count-up':
      return [{ label: t('counting.upFrom', { from: b, to: a }), move: `count from ${b} to ${a}` }]
    case 'skip-count':
      if (props.setup.problem.terms[0]?.operation === '/')
        return [{ label: t('counting.inStepsTo', { step: b, to: a }), move: `count from 0 to ${a} by ${b}` }]
      return [
        { label: t('counting.inSteps', { step: b, n: a }), move: `count from 0 by ${b} times ${a}` },
        ...(a === b || !counts.value.eitherWay
          ? []
          : [{ label: t('counting.inSteps', { step: a, n: b }), move: `count from 0 by ${a} times ${b}` }]),
      ]
    default:
      return []
  }
})
const counting = computed(() => props.state.head !== null || props.state.begun !== null)
const goal = computed(() => {
  const begun = props.state.begun
  if (!begun) return null
  return begun.times === null ? t('counting.upTo', { to: begun.to! }) : t('counting.times', { n: begun.times })
})
const movable = computed(() => props.mode !== 'show')

/** The word that a tap says next. In Alone a learner may set another, and is not told. */
const word = ref('')
const nextWord = computed(() => {
  const from = props.state.said.at(-1) ?? props.state.head ?? toCount(props.state.begun?.from ?? ZERO)
  return from + (operation.value === '+' ? toCount(props.state.begun?.step ?? exact(1)) : -1)
})
watch(
  () => props.state,
  () => (word.value = ''),
)

/** How many of the things out stand for the first number; those of the second are drawn apart from them. */
const boundary = computed(() =>
  operation.value === '+'
    ? Math.max(0, toCount(valueOf(props.setup.worked.first)) - props.state.stored)
    : props.state.out,
)
/** Every number is worked in; what is left is to say how many there are. */
const finished = computed(() => allDone(props.setup.worked, props.standing))
const second = computed(() => props.standing.begun > 1)
const setsApart = computed(() => counts.value.apart !== null)
const verbFor = (kind: 'out' | 'apart' | 'join' | 'take'): string =>
  material.value.print({ kind, count: 1 }).split(' ')[0]!

/** One more thing: raised, put, drawn, touched; or one word on or back when a number is in the head. */
function more(at?: number): void {
  if (!movable.value) return
  const which = at === undefined ? '' : ` at ${at}`
  if (counting.value) emit('move', `${operation.value === '+' ? 'on' : 'back'} ${word.value || nextWord.value}${which}`)
  else emit('move', `${verbFor('out')} 1${which}`)
}
function less(): void {
  if (movable.value && !counting.value) emit('move', `${verbFor('take')} 1`)
}
function apart(): void {
  if (movable.value && setsApart.value && !counting.value) emit('move', `${verbFor('apart')} 1`)
}
const full = computed(() => inUse(props.state) >= props.state.room)
const oneMore = (kind: 'out' | 'take'): string =>
  t('counting.one', { verb: capitalised(verbName(verbFor(kind))), thing: thingName(hands.value.thing, 1) })
const moreLabel = computed(() => {
  if (!counting.value) return oneMore('out')
  return word.value || props.mode === 'alone'
    ? t('counting.sayIt')
    : t('counting.say', { word: inWords(nextWord.value, pack.value) })
})
const apartLabel = computed(() =>
  spanish.value
    ? t('counting.setApart', { verb: capitalised(verbName('set')), thing: thingName(hands.value.thing, 1) })
    : counts.value.apart,
)
const capitalised = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1)
const described = computed(() => {
  const { head, stored, out, apart, taken, counted } = props.state
  const things = (n: number): { things: string } => ({ things: `${n} ${thingName(hands.value.thing, n)}` })
  return [
    head === null ? '' : t('counting.inHeadNow', { n: head }),
    props.state.begun
      ? t('counting.counting', {
          step: props.state.begun.step,
          from: props.state.begun.from,
          goal: goal.value!,
        })
      : '',
    stored ? t('counting.storedNow', { n: stored }) : '',
    counted ? t(counted > 0 ? 'counting.on' : 'counting.backwards', things(Math.abs(counted))) : '',
    t('counting.out', things(out)),
    apart ? t('counting.apart', things(apart)) : '',
    taken ? t('counting.taken', things(taken)) : '',
  ]
    .filter(Boolean)
    .join(', ')
})
</script>

<template>
  <div class="counting felt" role="group" :aria-label="t('mat.label')">
    <div class="cards">
      <p v-if="state.head !== null" class="card learner">
        <span>{{ t('counting.inHead') }}</span><strong>{{ state.head }}</strong>
      </p>
      <p v-if="state.begun" class="card learner">
        <span>{{ state.begun.step === '1' ? t('counting.from') : t('counting.steps') }}</span><strong>{{
          state.begun.step === '1' ? state.begun.from : state.begun.step
        }}</strong
        ><span>{{ goal }}</span>
      </p>
      <p v-if="state.stored" class="card learner">
        <span>{{ t('counting.stored') }}</span><strong>{{ state.stored }}</strong>
      </p>
    </div>
    <p class="sr-only" aria-live="polite">{{ described }}</p>
    <component
      :is="drawing"
      class="drawing"
      :state="state"
      :setup="setup"
      :movable="movable"
      :newest="newest"
      :described="described"
      :first="boundary"
      @more="more"
      @less="less"
      @apart="apart"
      @join="movable && state.apart > 0 && emit('move', `${verbFor('join')} 1`)"
    />
    <AnswerCards
      v-if="counts.cards"
      :setup="setup"
      :read="standing.read"
      :movable="movable"
      :answering="finished && movable"
      @ask="(problem) => emit('ask', problem)"
      @place="(n) => emit('move', `read ${n}`)"
    />
    <div v-if="movable && !(counts.cards && finished)" class="acts">
      <button
        v-for="(o, i) in offers"
        :key="o.move"
        type="button"
        class="stone-button"
        :class="{ main: i === 0 && offers.length === 1 }"
        @click="emit('move', o.move)"
      >
        {{ o.label }}
      </button>
      <label v-if="counting && mode === 'alone'" class="word"
        >{{ t('counting.word') }}
        <input v-model="word" inputmode="numeric" class="learner" maxlength="3" @keydown.enter.prevent="more()"
      /></label>
      <button v-if="!(offers.length > 0)" type="button" class="stone-button main" :disabled="full" @click="more()">
        {{ moreLabel }}
      </button>
      <button
        v-if="setsApart && operation === '+' && !counting && state.out > 0"
        type="button"
        class="stone-button main"
        :disabled="full"
        @click="emit('move', `${verbFor('apart')} 1`)"
      >
        {{ apartLabel }}
      </button>
      <button
        v-if="state.apart > 0"
        type="button"
        class="stone-button"
        @click="emit('move', `${verbFor('join')} ${state.apart}`)"
      >
        {{ t('counting.together', { verb: capitalised(verbName(verbFor('join'))) }) }}
      </button>
      <button v-if="state.out > 0 && operation === '-' && second" type="button" class="stone-button" @click="less">
        {{ oneMore('take') }}
      </button>
      <button v-if="full && counts.stores" type="button" class="stone-button" @click="emit('move', 'store')">
        {{ t('counting.again') }}
      </button>
    </div>
  </div>
</template>

<style scoped>
.counting {
  position: relative;
  height: 100%;
  background: var(--felt);
  color: var(--on-felt);
  display: grid;
  grid-template-rows: minmax(0, 1fr) auto;
  padding: 10px;
  gap: 8px;
}
.cards {
  position: absolute;
  left: 14px;
  top: 12px;
  display: flex;
  gap: 10px;
  z-index: 1;
}
.card {
  background: var(--sheet);
  color: var(--ink);
  border: 2px solid var(--ink);
  border-radius: 4px;
  padding: 0.3rem 0.9rem;
  display: grid;
  justify-items: center;
  rotate: -2deg;
}
.card strong {
  font-size: 2.6rem;
  line-height: 1;
}
.drawing {
  min-height: 0;
  width: 100%;
  height: 100%;
}
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  justify-content: center;
}
.word {
  display: flex;
  gap: 0.5rem;
  align-items: center;
  background: var(--sheet);
  color: var(--ink);
  border-radius: 4px;
  padding: 0 0.7rem;
}
.word input {
  width: 4rem;
  min-height: 44px;
  border: 0;
  border-bottom: 2px solid var(--edge);
  background: transparent;
  font-size: 1.3rem;
  text-align: center;
}
</style>
