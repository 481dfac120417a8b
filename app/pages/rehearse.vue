<script setup lang="ts">
import type { BeadFinger, BeadRule } from '../../core/act/beads'
import { byRule, grid, type Cell } from '../../core/rehearse/grid'
import {
  firstFinger,
  frameFor,
  isDigit,
  isRight,
  KINDS,
  moved,
  printItem,
  rightAnswer,
  type Item,
  type Kind,
} from '../../core/rehearse/items'
import { nextItem } from '../../core/rehearse/schedule'
import { judge } from '../../core/representation/abacus/judge'
import { RULES } from '../../core/representation/abacus/rules'
import { parse } from '../../core/representation/abacus/text'
import { workDigit } from '../../core/representation/abacus/work'
import { exact } from '../../core/number/exact'
import { detailOf, ruleName } from '../../core/speech/beads'
import { capital, pretty, WORD_PACKS } from '../../core/speech/words'

/** Rehearse: which rule, which beads, which finger; reading and setting numbers. What was missed comes back. */
const classroom = useClassroom()
const bench = useBench()
const style = computed(() => bench.abacus)
const names = computed(() => style.value.names)
const pack = computed(() => WORD_PACKS[classroom.words])

const who = useLocalStorage('sett.rehearser', 'teacher')
watchEffect(() => {
  if (who.value !== 'teacher' && !classroom.learners.some((l) => l.id === who.value)) who.value = 'teacher'
})
const { answers, trouble, keep, forget } = useRehearsal(who)
const kept = useLocalStorage('sett.rehearse', {
  kinds: ['rule', 'beads'] as Kind[],
  rules: [...RULES] as BeadRule[],
  digits: 2,
  limit: 0,
  ruled: true,
  way: 1 as 1 | -1,
})
const LIMITS = [0, 5, 10, 20] as const
const seed = crypto.getRandomValues(new Uint32Array(1))[0]!
const SAID_KIND: Readonly<Record<Kind, string>> = {
  rule: 'Which rule?',
  finger: 'Which finger?',
  beads: 'Move the beads',
  read: 'Read a setting',
  set: 'Set a number',
}
function flip<T>(list: T[], one: T): T[] {
  const next = list.includes(one) ? list.filter((x) => x !== one) : [...list, one]
  return next.length > 0 ? next : list
}

/* --- one thing asked --- */
const item = shallowRef<Item | null>(null)
const given = ref('')
const done = shallowRef<{ readonly right: boolean; readonly late: boolean } | null>(null)
const asked = ref(0)
const now = ref(Date.now())
const session = ref({ tries: 0, right: 0 })

function ask(chosen?: Item): void {
  now.value = Date.now()
  const { kinds, rules, digits } = kept.value
  item.value = chosen ?? nextItem(answers.value, { kinds, rules, digits, seed }, now.value) ?? null
  given.value = ''
  done.value = null
  asked.value = performance.now()
  void nextTick(() => document.getElementById('typed')?.focus())
}
async function answer(text: string, late = false): Promise<void> {
  const it = item.value
  if (!it || done.value) return
  given.value = text
  const right = !late && isRight(it, text)
  done.value = { right, late }
  session.value = { tries: session.value.tries + 1, right: session.value.right + (right ? 1 : 0) }
  void nextTick(() => document.getElementById('go-on')?.focus())
  await keep({
    id: crypto.randomUUID(),
    learnerId: who.value === 'teacher' ? null : who.value,
    at: Date.now(),
    item: printItem(it),
    given: text,
    right,
    ms: Math.round(performance.now() - asked.value),
  })
  now.value = Date.now()
}
watch([who, () => JSON.stringify([kept.value.kinds, kept.value.rules, kept.value.digits])], () => {
  item.value = null
  session.value = { tries: 0, right: 0 }
})

/* --- the frame --- */
const start = computed(() => (item.value ? frameFor(item.value, style.value) : null))
const moves = ref<string[]>([])
watch(item, () => (moves.value = []))
const works = computed(() => !done.value && (item.value?.kind === 'beads' || item.value?.kind === 'set'))
const state = computed(() => start.value && moved(start.value, moves.value.join('; ')))
const refused = ref('')
function move(text: string): void {
  if (!works.value || !item.value || !start.value) return
  refused.value = ''
  moves.value = [...moves.value, text]
  const all = moves.value.join('; ')
  if (isRight(item.value, all)) return void answer(all)
  if (!isDigit(item.value)) return
  const judged = judge(start.value, moves.value.map(parse), exact(item.value.way * item.value.digit))
  if (judged.slip && judged.status === 'off') void answer(all)
}

const worked = computed(() => {
  const it = item.value
  if (!it || !isDigit(it)) return null
  return workDigit(frameFor(it, style.value), 0, it.digit, it.way)
})
/** How it goes, told once it is answered. */
const told = computed(() => {
  const how = worked.value
  return how ? detailOf([how.work], how.moves, names.value, pack.value) : null
})
const signed = computed(() => {
  const it = item.value
  if (!it) return ''
  return isDigit(it) ? pretty(`${it.way > 0 ? '+' : '-'}${it.digit}`) : it.kind === 'set' ? String(it.number) : ''
})
const question = computed(() => {
  const it = item.value
  if (!it) return ''
  if (it.kind === 'rule') return `By which rule does ${signed.value} go?`
  if (it.kind === 'finger') return `${signed.value}: which finger moves first on the ones?`
  if (it.kind === 'beads') return `Move the beads for ${signed.value}.`
  return it.kind === 'read' ? 'What does the frame show?' : `Set ${signed.value}.`
})
const FINGERS: readonly { id: BeadFinger; name: string }[] = [
  { id: 'thumb', name: 'thumb' },
  { id: 'index', name: 'index finger' },
  { id: 'pinch', name: 'both, pinching' },
]
const verdict = computed(() => {
  const it = item.value
  if (!done.value || !it) return ''
  const opening = done.value.right ? 'Yes.' : done.value.late ? 'Time is up.' : 'Look again.'
  if (!isDigit(it)) return it.kind === 'read' && !done.value.right ? `${opening} It shows ${rightAnswer(it)}.` : opening
  const how = told.value!.digits[0]!
  const finger = it.kind === 'finger' ? ` ${capital(FINGERS.find((f) => f.id === firstFinger(it))!.name)}.` : ''
  return `${opening}${finger} ${capital(how.name)}: ${how.formula}.`
})

/* --- against the clock --- */
const left = ref(0)
useIntervalFn(() => {
  const { limit } = kept.value
  if (limit === 0 || !item.value || done.value) return
  left.value = Math.max(0, limit - (performance.now() - asked.value) / 1000)
  if (left.value === 0) void answer(moves.value.join('; ') || given.value, true)
}, 200)

/* --- results --- */
const cells = computed(() => grid(answers.value, kept.value.way, now.value))
const sums = computed(() => byRule(answers.value))
const choose = (c: Cell): void =>
  ask({
    kind: (kept.value.kinds.find((k) => k === 'rule' || k === 'finger' || k === 'beads') as 'rule') ?? 'rule',
    shown: c.shown,
    digit: c.digit,
    way: c.way,
  })
const people = computed(() => [
  { value: 'teacher', label: 'the teacher' },
  ...classroom.learners.map((l) => ({ value: l.id, label: l.codeName })),
])
const leaving = ref(false)
/** All answers as a file of their own. */
function download(): void {
  const file = { format: 'sett-rehearsals', version: 1, who: who.value, answers: answers.value }
  const url = URL.createObjectURL(new Blob([JSON.stringify(file, null, 2)], { type: 'application/json' }))
  Object.assign(document.createElement('a'), { href: url, download: 'rehearsals.json' }).click()
  URL.revokeObjectURL(url)
}
async function forgetAll(): Promise<void> {
  await forget()
  leaving.value = false
  item.value = null
}
/** The answers offered, by their number. */
function pick(n: number): void {
  if (done.value) return
  if (item.value?.kind === 'rule' && RULES[n - 1]) void answer(RULES[n - 1]!)
  if (item.value?.kind === 'finger' && FINGERS[n - 1]) void answer(FINGERS[n - 1]!.id)
}
useKeys({
  ...Object.fromEntries([1, 2, 3, 4].map((n) => [String(n), () => pick(n)])),
  Enter: () => (done.value || !item.value ? ask() : undefined),
})
</script>

<template>
  <div class="rehearse">
    <section class="wishes" aria-label="What is rehearsed">
      <h1 class="sr-only">Rehearse</h1>
      <label class="who"
        >Who
        <Select v-model="who" :options="people" option-label="label" option-value="value" aria-label="Who rehearses"
      /></label>
      <div role="group" aria-label="What is asked" class="chips">
        <button
          v-for="k in KINDS"
          :key="k"
          type="button"
          class="stone-button"
          :aria-pressed="kept.kinds.includes(k)"
          @click="kept.kinds = flip(kept.kinds, k)"
        >
          {{ SAID_KIND[k] }}
        </button>
      </div>
      <div role="group" aria-label="Rules" class="chips">
        <button
          v-for="r in RULES"
          :key="r"
          type="button"
          class="stone-button"
          :aria-pressed="kept.rules.includes(r)"
          @click="kept.rules = flip(kept.rules, r)"
        >
          {{ ruleName(r, names) }}
        </button>
      </div>
      <label class="who"
        >Clock
        <select v-model.number="kept.limit">
          <option v-for="l in LIMITS" :key="l" :value="l">{{ l === 0 ? 'none' : `${l} seconds` }}</option>
        </select></label
      >
      <label v-if="kept.kinds.includes('read') || kept.kinds.includes('set')" class="who"
        >Digits
        <select v-model.number="kept.digits">
          <option v-for="d in 5" :key="d" :value="d">{{ d }}</option>
        </select></label
      >
      <NuxtLink class="stone-button" to="/chains">Chains for a rule</NuxtLink>
    </section>
    <section class="asking" aria-label="Rehearsing">
      <template v-if="item && state">
        <div class="question">
          <strong v-if="signed" class="digit learner">{{ signed }}</strong>
          <span class="learner">{{ question }}</span>
        </div>
        <div class="mat-room">
          <AbacusMat
            :state="state"
            :works="works"
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
            <button id="go-on" type="button" class="stone-button main" @click="ask()">Next</button>
          </template>
          <template v-else-if="item.kind === 'rule'">
            <button v-for="r in RULES" :key="r" type="button" class="stone-button big" @click="answer(r)">
              {{ ruleName(r, names) }}
            </button>
          </template>
          <template v-else-if="item.kind === 'finger'">
            <button v-for="f in FINGERS" :key="f.id" type="button" class="stone-button big" @click="answer(f.id)">
              {{ f.name }}
            </button>
          </template>
          <form
            v-else-if="item.kind === 'read'"
            class="typed"
            novalidate
            @submit.prevent="given.trim() && answer(given)"
          >
            <label class="sr-only" for="typed">What the frame shows</label>
            <InputText
              id="typed"
              v-model="given"
              class="learner"
              inputmode="numeric"
              autocomplete="off"
              maxlength="6"
            />
            <button type="submit" class="stone-button main">Say it</button>
          </form>
          <template v-else>
            <button
              type="button"
              class="stone-button"
              :disabled="moves.length === 0"
              @click="moves = moves.slice(0, -1)"
            >
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
          <meter v-if="kept.limit > 0 && !done" :value="left" min="0" :max="kept.limit" aria-label="Time left">
            {{ Math.ceil(left) }} seconds
          </meter>
          <p v-if="refused" class="trouble" role="alert">{{ refused }}</p>
        </div>
      </template>
      <div v-else class="begin">
        <p class="learner">A rod, a digit: which rule, which beads, which finger?</p>
        <button type="button" class="stone-button main big" @click="ask()">Begin</button>
      </div>
      <p class="tally" role="status">
        <template v-if="session.tries > 0">{{ session.right }} of {{ session.tries }} right this time.</template>
        <span v-if="trouble" class="trouble">{{ trouble }}</span>
      </p>
    </section>
    <section class="results" aria-label="Results">
      <header>
        <div class="chips" role="group" aria-label="Which results">
          <button type="button" class="stone-button" :aria-pressed="kept.way === 1" @click="kept.way = 1">
            Adding
          </button>
          <button type="button" class="stone-button" :aria-pressed="kept.way === -1" @click="kept.way = -1">
            Taking away
          </button>
        </div>
        <button type="button" class="stone-button" :aria-pressed="kept.ruled" @click="kept.ruled = !kept.ruled">
          Rules
        </button>
      </header>
      <RuleGrid :rows="cells" :names="names" :rules="kept.ruled" @choose="choose" />
      <dl class="sums">
        <div v-for="r in RULES" :key="r">
          <dt>{{ ruleName(r, names) }}</dt>
          <dd>{{ sums[r].tries === 0 ? 'not asked yet' : `${sums[r].right} of ${sums[r].tries}` }}</dd>
        </div>
      </dl>
      <p class="quiet key">✓ right, not due yet · ↻ due again · ✗ missed last time. Choose a square to rehearse it.</p>
      <p v-if="answers.length > 0" class="forget">
        <template v-if="leaving"
          >Delete all {{ answers.length }} answers?
          <button type="button" class="stone-button" @click="forgetAll">Delete</button>
          <button type="button" class="stone-button bare" @click="leaving = false">Keep</button></template
        >
        <template v-else>
          <button type="button" class="stone-button" @click="download">Export</button>
          <button type="button" class="stone-button bare" @click="leaving = true">Delete these answers</button>
        </template>
      </p>
    </section>
  </div>
</template>

<style scoped>
.rehearse {
  height: 100%;
  display: grid;
  grid-template-columns: minmax(0, 1fr) 652px;
  grid-template-rows: auto minmax(0, 1fr);
  min-height: 0;
}
.wishes {
  grid-column: 1 / -1;
  display: flex;
  flex-wrap: wrap;
  gap: 8px 14px;
  align-items: center;
  padding: 8px 14px;
  border-bottom: 1.5px solid var(--edge);
}
.who {
  display: flex;
  gap: 0.5rem;
  align-items: center;
}
.who select {
  min-height: 44px;
  border: 1.5px solid var(--edge);
  border-radius: 4px;
  background: var(--sheet);
  padding: 0 0.5rem;
}
.chips {
  display: flex;
  flex-wrap: wrap;
}
.chips .stone-button {
  border-radius: 0;
  margin-left: -1.5px;
  padding: 0.2rem 0.6rem;
}
.asking {
  display: grid;
  grid-template-rows: auto minmax(0, 1fr) auto auto;
  min-height: 0;
  min-width: 0;
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
.begin {
  grid-row: 1 / 4;
  display: grid;
  place-content: center;
  justify-items: center;
  gap: 1rem;
  background: var(--felt);
  color: var(--on-felt);
  font-size: 1.4rem;
}
.tally {
  padding: 4px 16px;
  min-height: 32px;
}
.trouble {
  color: var(--plum);
  font-weight: 700;
}
.results {
  border-left: 1.5px solid var(--edge);
  padding: 8px 12px;
  overflow: auto;
  display: grid;
  grid-auto-rows: max-content;
  gap: 6px;
  align-content: start;
}
.results header {
  display: flex;
  justify-content: space-between;
}
.sums {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 18px;
  margin: 0;
}
.sums div {
  display: flex;
  gap: 0.4rem;
}
dt {
  font-weight: 700;
}
dd {
  margin: 0;
}
.forget {
  display: flex;
  align-items: center;
  gap: 8px;
}
@media (max-width: 1100px) {
  .rehearse {
    grid-template-columns: minmax(0, 1fr);
    grid-template-rows: auto auto auto;
    height: auto;
  }
  .mat-room {
    height: 46vh;
  }
  .begin {
    min-height: 40vh;
  }
  .results {
    border-left: 0;
  }
}
</style>
