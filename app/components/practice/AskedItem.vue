<script setup lang="ts">
import {
  type AbacusChoices,
  attempt,
  type BeadFinger,
  capital,
  detailOf,
  exact,
  pretty,
  ruleName,
  type WordPack,
} from '../../../core/door'
import { firstFinger, frameFor, isDigit, isRight, type Item, moved, rightAnswer } from '../../../core/rehearse/index'
import { judge, RULES, parse, workDigit } from '../../../core/representation/abacus/index'
import { MOST_ANSWER_MS } from '../../../shared/limits'

/** One thing asked: the frame, the answers, and once it is answered how it goes. Made anew for each thing. */
const props = defineProps<{
  item: Item
  abacus: AbacusChoices
  pack: WordPack
  /** Seconds allowed; 0 for no clock. */
  limit: number
}>()
const emit = defineEmits<{ answered: [given: string, right: boolean, ms: number]; next: [] }>()

const names = computed(() => props.abacus.names)
const given = ref('')
const done = shallowRef<{ readonly right: boolean; readonly late: boolean } | null>(null)
const begun = performance.now()
/** The focus comes to the question, which is then heard; where an answer is typed, to its box, which says the question too. */
onMounted(() => document.getElementById(props.item.kind === 'read' ? 'typed' : 'question')?.focus())

function answer(text: string, late = false): void {
  if (done.value) return
  given.value = text
  const right = !late && isRight(props.item, text)
  done.value = { right, late }
  void nextTick(() => document.getElementById('go-on')?.focus())
  emit('answered', text, right, Math.min(MOST_ANSWER_MS, Math.round(performance.now() - begun)))
}

/* --- the frame --- */
const start = frameFor(props.item, props.abacus)
const moves = ref<string[]>([])
const movable = computed(() => !done.value && (props.item.kind === 'beads' || props.item.kind === 'set'))
const state = computed(() => moved(start, moves.value.join('; ')))
const refused = ref('')
/** Beads that stand right are right at once, and a slip that has a name ends the try. */
function move(text: string): void {
  if (!movable.value) return
  const all = [...moves.value, text].join('; ')
  const made = attempt(() => moved(start, all))
  refused.value = 'refused' in made ? made.refused.message : ''
  if ('refused' in made) return
  moves.value = [...moves.value, text]
  if (isRight(props.item, all)) return answer(all)
  if (!isDigit(props.item)) return
  const judged = judge(start, moves.value.map(parse), exact(props.item.way * props.item.digit))
  if (judged.slip && judged.status === 'off') answer(all)
}

/** How it goes, told once it is answered. */
const told = computed(() => {
  if (!isDigit(props.item)) return null
  const how = workDigit(start, 0, props.item.digit, props.item.way)
  return detailOf([how.work], how.moves, names.value, props.pack)
})
const signed = computed(() => {
  const { item } = props
  if (isDigit(item)) return pretty(`${item.way > 0 ? '+' : '-'}${item.digit}`)
  return item.kind === 'set' ? String(item.number) : ''
})
const question = computed(
  () =>
    ({
      rule: `Which rule do you need for ${signed.value}?`,
      finger: `${signed.value}: which finger moves first on the ones?`,
      beads: `Move the beads for ${signed.value}.`,
      read: 'What does the frame show?',
      set: `Set ${signed.value}.`,
    })[props.item.kind],
)
const FINGERS: readonly { id: BeadFinger; name: string }[] = [
  { id: 'thumb', name: 'thumb' },
  { id: 'index', name: 'index finger' },
  { id: 'pinch', name: 'both, pinching' },
]
const verdict = computed(() => {
  if (!done.value) return ''
  const { item } = props
  const opening = done.value.right ? 'Yes.' : done.value.late ? 'Time is up.' : 'Look again.'
  if (!isDigit(item))
    return item.kind === 'read' && !done.value.right ? `${opening} It shows ${rightAnswer(item)}.` : opening
  const how = told.value!.digits[0]!
  const finger = item.kind === 'finger' ? ` ${capital(FINGERS.find((f) => f.id === firstFinger(item))!.name)}.` : ''
  return `${opening}${finger} ${capital(how.name)}: ${how.formula}.`
})

/* --- against the clock --- */
const left = ref(props.limit)
useIntervalFn(() => {
  if (props.limit === 0 || done.value) return
  left.value = Math.max(0, props.limit - (performance.now() - begun) / 1000)
  // What was not given in time is no answer.
  if (left.value === 0) answer('', true)
}, 200)

/** The answers offered, by their number. */
function pick(n: number): void {
  if (done.value) return
  if (props.item.kind === 'rule' && RULES[n - 1]) answer(RULES[n - 1]!)
  if (props.item.kind === 'finger' && FINGERS[n - 1]) answer(FINGERS[n - 1]!.id)
}
useKeys({
  ...Object.fromEntries([1, 2, 3, 4].map((n) => [String(n), () => pick(n)])),
  Enter: () => done.value && emit('next'),
})
</script>

<template>
  <div class="asked">
    <div id="question" class="question" tabindex="-1" role="group" :aria-label="question">
      <strong v-if="signed" class="digit learner">{{ signed }}</strong>
      <span class="learner">{{ question }}</span>
    </div>
    <div class="mat-room">
      <AbacusMat
        :state="state"
        :movable="movable"
        :ones="pack.ones[1]"
        :digits="item.kind !== 'read' || done !== null"
        label="The frame"
        @move="move"
        @refuse="(why) => (refused = why)"
      />
    </div>
    <div class="choices" role="group" aria-label="Answer">
      <template v-if="done">
        <p class="verdict" :class="{ right: done.right }" role="status">
          <span aria-hidden="true">{{ done.right ? '✓' : '↻' }}</span> {{ verdict }}
          <small v-if="told">{{ told.digits[0]!.why.join(' ') }}</small>
          <small v-if="told">{{ told.hands.map((h) => `▸ ${h}`).join(' ') }}</small>
        </p>
        <button id="go-on" type="button" class="stone-button main" @click="emit('next')">Next</button>
      </template>
      <template v-else-if="item.kind === 'rule'">
        <button v-for="(r, i) in RULES" :key="r" type="button" class="stone-button big" @click="answer(r)">
          <kbd aria-hidden="true">{{ i + 1 }}</kbd> {{ ruleName(r, names) }}
        </button>
      </template>
      <template v-else-if="item.kind === 'finger'">
        <button v-for="(f, i) in FINGERS" :key="f.id" type="button" class="stone-button big" @click="answer(f.id)">
          <kbd aria-hidden="true">{{ i + 1 }}</kbd> {{ f.name }}
        </button>
      </template>
      <form v-else-if="item.kind === 'read'" class="typed" novalidate @submit.prevent="given.trim() && answer(given)">
        <label class="sr-only" for="typed">What the frame shows</label>
        <InputText
          id="typed"
          v-model="given"
          aria-describedby="question"
          class="learner"
          inputmode="numeric"
          autocomplete="off"
          maxlength="6"
        />
        <button type="submit" class="stone-button main">Say it</button>
      </form>
      <template v-else>
        <button type="button" class="stone-button" :disabled="moves.length === 0" @click="moves = moves.slice(0, -1)">
          Undo
        </button>
        <button
          type="button"
          class="stone-button main"
          :disabled="moves.length === 0"
          @click="answer(moves.join('; '))"
        >
          Done
        </button>
      </template>
      <meter v-if="limit > 0 && !done" :value="left" min="0" :max="limit" aria-label="Time left">
        {{ Math.ceil(left) }} seconds
      </meter>
      <p v-if="refused" class="trouble" role="alert">{{ refused }}</p>
    </div>
  </div>
</template>

<style scoped>
.asked {
  display: grid;
  grid-template-rows: auto minmax(0, 1fr) auto;
  min-height: 0;
}
.question {
  display: flex;
  align-items: center;
  gap: 1rem;
  padding: 6px 16px;
  min-height: 64px;
  font-size: 1.35rem;
}

.digit {
  font-size: 2.6rem;
}

.mat-room {
  min-height: 0;
}

.choices {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  align-items: center;
  padding: 8px 16px;
  min-height: 76px;
  background: var(--paper-2);
  border-top: 1.5px solid var(--edge);
}

.big {
  font-size: 1.2rem;
  min-height: 54px;
}

kbd {
  font: 0.85rem var(--ui);
  color: var(--ink-soft);
}

.verdict {
  flex: 1 1 16rem;
  font-size: 1.2rem;
  border-left: 6px solid var(--plum);
  padding-left: 10px;
}

.verdict.right {
  border-left-color: var(--moss);
}

.verdict small {
  display: block;
  font-size: 0.95rem;
}

.typed {
  display: flex;
  gap: 8px;
}

.typed :deep(input) {
  width: 8rem;
  font-size: 1.5rem;
  font-weight: 700;
}

meter {
  width: 9rem;
  height: 20px;
  margin-left: auto;
}
meter::-webkit-meter-bar {
  height: 14px;
  border: 1.5px solid var(--edge);
  border-radius: 3px;
  background: var(--sheet);
}
meter::-webkit-meter-optimum-value {
  background: var(--clay);
}
@media (max-width: 1100px) {
  .mat-room {
    height: 46vh;
  }
}
</style>
