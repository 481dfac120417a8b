<script setup lang="ts">
import { type BeadRule, packOf, ruleName } from '../../../core/door'
import { byRule, type Cell, grid, type Item, type Kind, KINDS, nextItem, printItem } from '../../../core/rehearse/index'
import { RULES } from '../../../core/representation/abacus/index'

/** Rehearse: which rule, which beads, which finger; reading and setting numbers. What was missed comes back. */
const classroom = useClassroom()
const bench = useBench()
const names = computed(() => bench.abacus.names)
const pack = computed(() => packOf(classroom.words))

const who = useLocalStorage('sett.rehearser', 'teacher')
watchEffect(() => {
  if (who.value !== 'teacher' && !classroom.learners.some((l) => l.id === who.value)) who.value = 'teacher'
})
const { answers, trouble, read, keep, forget } = useRehearsal(who)
const kept = useLocalStorage('sett.rehearse', {
  kinds: ['rule', 'beads'] as Kind[],
  rules: [...RULES] as BeadRule[],
  digits: 2,
  limit: 0,
  ruled: true,
  way: 1 as 1 | -1,
})
// What was kept by an earlier Sett, or by hand, may hold what is not known here.
kept.value.kinds = KINDS.filter((k) => kept.value.kinds.includes(k))
kept.value.rules = RULES.filter((r) => kept.value.rules.includes(r))
if (kept.value.kinds.length === 0) kept.value.kinds = ['rule']
if (kept.value.rules.length === 0) kept.value.rules = [...RULES]
const LIMITS = [0, 5, 10, 20] as const
const seed = crypto.getRandomValues(new Uint32Array(1))[0]!
const SAID_KIND: Readonly<Record<Kind, string>> = {
  rule: 'Which rule?',
  finger: 'Which finger?',
  beads: 'Move the beads',
  read: 'Read the frame',
  set: 'Set a number',
}
function flip<T>(list: T[], one: T): T[] {
  const next = list.includes(one) ? list.filter((x) => x !== one) : [...list, one]
  return next.length > 0 ? next : list
}

/* --- one thing asked --- */
/** On a narrow screen the choices fold away as soon as something is asked. */
const folded = ref(false)
const item = shallowRef<Item | null>(null)
/** While something is asked and not answered the grid keeps its rules to itself. */
const open = ref(false)
const hidden = computed(() => item.value !== null && open.value)
/** Which turn it is: each is made anew. */
const turn = ref(0)
const now = ref(Date.now())
const session = ref({ tries: 0, right: 0 })

function ask(chosen?: Item): void {
  now.value = Date.now()
  const { kinds, rules, digits } = kept.value
  item.value = chosen ?? nextItem(answers.value, { kinds, rules, digits, seed }, now.value) ?? null
  turn.value += 1
  open.value = item.value !== null
  folded.value = true
}
async function answered(given: string, right: boolean, ms: number): Promise<void> {
  if (!item.value) return
  open.value = false
  session.value = { tries: session.value.tries + 1, right: session.value.right + (right ? 1 : 0) }
  const learnerId = who.value === 'teacher' ? null : who.value
  await keep({ id: crypto.randomUUID(), learnerId, at: Date.now(), item: printItem(item.value), given, right, ms })
  now.value = Date.now()
}
watch([who, () => JSON.stringify([kept.value.kinds, kept.value.rules, kept.value.digits])], () => {
  item.value = null
  session.value = { tries: 0, right: 0 }
})

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
const taken = ref('')
async function takenIn(said: string): Promise<void> {
  taken.value = said
  await read()
  now.value = Date.now()
}
async function forgetAll(): Promise<void> {
  await forget()
  leaving.value = false
  item.value = null
}
useKeys({ Enter: () => !item.value && ask() })
useHead({ title: 'Rehearse – Sett' })
</script>

<template>
  <div class="rehearsing">
    <section class="wishes" :class="{ folded }" aria-label="What is rehearsed">
      <h1 class="sr-only">Rehearse</h1>
      <button type="button" class="stone-button unfold" :aria-expanded="!folded" @click="folded = !folded">
        What to rehearse
      </button>
      <label class="who"
        >Who
        <Select v-model="who" :options="people" option-label="label" option-value="value" aria-label="Who rehearses"
      /></label>
      <div role="group" aria-label="What is asked" class="chips several">
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
      <div role="group" aria-label="Rules" class="chips several">
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
      <NuxtLink class="stone-button" to="/bench/chains">Chains for a rule</NuxtLink>
      <NuxtLink class="stone-button" to="/practice/facts">Facts and counting in steps</NuxtLink>
    </section>
    <section class="asking" aria-label="Rehearsing">
      <AskedItem
        v-if="item"
        :key="turn"
        :item="item"
        :abacus="bench.abacus"
        :pack="pack"
        :limit="kept.limit"
        @answered="answered"
        @next="ask()"
      />
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
        <button
          type="button"
          class="stone-button"
          :aria-pressed="kept.ruled && !hidden"
          :disabled="hidden"
          @click="kept.ruled = !kept.ruled"
        >
          Rules
        </button>
      </header>
      <p v-if="hidden" class="quiet" role="note">The rules are hidden while something is asked.</p>
      <RuleGrid :rows="cells" :names="names" :rules="kept.ruled && !hidden" @choose="choose" />
      <dl class="sums">
        <div v-for="r in RULES" :key="r">
          <dt>{{ ruleName(r, names) }}</dt>
          <dd>{{ sums[r].tries === 0 ? 'not asked yet' : `${sums[r].right} of ${sums[r].tries}` }}</dd>
        </div>
      </dl>
      <p class="quiet key">✓ right, not due yet · ↻ due again · ✗ missed last time. Choose a square to rehearse it.</p>
      <div class="files">
        <template v-if="leaving"
          >Delete all {{ answers.length }} answers?
          <button type="button" class="stone-button" @click="forgetAll">Delete</button>
          <button type="button" class="stone-button bare" @click="leaving = false">Keep</button></template
        >
        <template v-else>
          <a
            v-if="answers.length > 0"
            class="stone-button"
            :href="`/api/rehearsals/file?of=${encodeURIComponent(who)}`"
            download
            >Export</a
          >
          <ImportFile
            url="/api/rehearsals/file"
            label="File of rehearsals"
            @taken="takenIn"
            @trouble="(said) => (trouble = said)"
          />
          <button v-if="answers.length > 0" type="button" class="stone-button bare" @click="leaving = true">
            Delete these answers
          </button>
        </template>
        <span class="quiet" role="status">{{ taken }}</span>
      </div>
    </section>
  </div>
</template>

<style scoped src="../../components/practice/rehearsing.css"></style>
<style scoped>
.results {
  width: 652px;
  max-width: 100%;
}
.results header {
  display: flex;
  justify-content: space-between;
}
.sums {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 13px;
  margin: 0;
  font-size: 0.93rem;
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
.files {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px;
}
@media (max-width: 1100px) {
  .results {
    width: auto;
  }
  .mat-room {
    height: 46vh;
  }
}
</style>
