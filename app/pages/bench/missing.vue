<script setup lang="ts">
import {
  answer,
  attempt,
  offersFor,
  packOf,
  parseProblem,
  pretty,
  printExact,
  type RepresentationId,
  REPRESENTATIONS,
} from '../../../core/door'
import { numbersOf, parseMissing, printMissing, sayMissing, solveMissing } from '../../../core/course/index'

/** Digits that are missing: tried by the learner, worked on chips or columns, found with all solutions and why. */
const bench = useBench()
const classroom = useClassroom()
const text = useLocalStorage('sett.missing', '142 − 6? = 75')
const trouble = ref('')
const problem = shallowRef(parseMissing('142 - 6? = 75'))
const tried = ref<(number | null)[]>([])
const shows = ref(false)
const pack = computed(() => packOf(classroom.words))

function ask(): void {
  const read = attempt(() => parseMissing(text.value))
  if ('refused' in read) {
    trouble.value = read.refused.message
    return
  }
  trouble.value = ''
  problem.value = read.ok
  tried.value = numbersOf(read.ok).flatMap((n) => n.pattern.digits.filter((d) => d === null))
  shows.value = false
}
ask()
if (trouble.value) {
  text.value = '142 − 6? = 75'
  ask()
}

/** The problem in signs, a box for each digit that is missing. */
const signs = computed(() => {
  let slot = 0
  return [...printMissing(problem.value)].map((c) => (c === '▢' ? { slot: slot++ } : { text: pretty(c) }))
})
const filled = computed(() => (tried.value.every((d) => d !== null) ? (tried.value as number[]) : null))
/** What the learner's digits come to, held against what stands there. */
const checked = computed(() => {
  if (!filled.value) return null
  const [left = '', right = ''] = printMissing(problem.value, filled.value).split(' = ')
  const read = attempt(() => ({ asked: parseProblem(left), comes: printExact(answer(parseProblem(left))) }))
  if ('refused' in read) return { right: false, said: read.refused.message, left: null }
  const there = printExact(answer(parseProblem(right)))
  return read.ok.comes === there
    ? { right: true, said: `${pretty(left)} = ${right}. It fits.`, left }
    : { right: false, said: `${pretty(left)} is ${pretty(read.ok.comes)}, not ${right}.`, left }
})
/** Materials to work the filled-in problem on. */
const workable = computed(() => {
  const left = checked.value?.left
  if (!left) return []
  const fits = (id: RepresentationId): boolean =>
    offersFor(parseProblem(left)).some((o) => o.fits && o.representation === id)
  return (['chips', 'columns'] as const).filter(fits)
})
async function work(id: 'chips' | 'columns'): Promise<void> {
  const left = checked.value?.left
  if (left && !bench.ask(left, { material: id, mode: 'together' })) await navigateTo('/bench')
}
const solved = computed(() => solveMissing(problem.value))
const SHOWN = 24
function set(slot: number, event: Event): void {
  const digit = (event.target as HTMLInputElement).value.trim().slice(-1)
  tried.value[slot] = /^\d$/.test(digit) ? Number(digit) : null
}
useHead({ title: 'Missing digits – Sett' })
</script>

<template>
  <div class="missing">
    <form class="ask" novalidate @submit.prevent="ask">
      <NuxtLink class="stone-button" to="/bench">Bench</NuxtLink>
      <h1>Missing digits</h1>
      <label class="sr-only" for="missing-problem">Problem with missing digits</label>
      <InputText
        id="missing-problem"
        v-model="text"
        class="learner"
        autocomplete="off"
        :aria-invalid="trouble !== ''"
        aria-describedby="missing-how"
      />
      <button type="submit" class="stone-button main">Start</button>
      <p id="missing-how" class="quiet">? stands for one digit</p>
      <p v-if="trouble" class="trouble" role="alert">{{ trouble }}</p>
    </form>
    <section class="felt mat" aria-label="The mat">
      <div class="strip learner">
        <template v-for="(c, i) in signs" :key="i">
          <input
            v-if="'slot' in c"
            :value="tried[c.slot!] ?? ''"
            inputmode="numeric"
            maxlength="2"
            autocomplete="off"
            :aria-label="`Missing digit ${c.slot! + 1}`"
            @input="set(c.slot!, $event)"
          />
          <span v-else :class="{ space: c.text === ' ' }">{{ c.text }}</span>
        </template>
      </div>
    </section>
    <section class="said learner" :class="checked ? (checked.right ? 'agrees' : 'again') : ''" aria-live="polite">
      <template v-if="checked">
        <span aria-hidden="true">{{ checked.right ? '✓' : '↻' }}</span>
        <span>{{ checked.said }}</span>
        <button v-for="id in workable" :key="id" type="button" class="stone-button" @click="work(id)">
          Work it with {{ REPRESENTATIONS[id].called }}
        </button>
      </template>
      <span v-else>Write a digit into each box.</span>
    </section>
    <section class="solutions" aria-label="Solutions">
      <button type="button" class="stone-button" :aria-expanded="shows" @click="shows = !shows">
        {{ shows ? 'Put the solutions away' : 'Show every solution' }}
      </button>
      <template v-if="shows">
        <p role="status">
          {{
            solved.solutions.length === 0
              ? 'No digits fit. Something else in the problem must change.'
              : solved.solutions.length === 1
                ? 'There is just one solution.'
                : `There are ${solved.more ? 'more than ' : ''}${solved.solutions.length} solutions${solved.solutions.length > SHOWN ? `; the first ${SHOWN} are shown` : ''}.`
          }}
        </p>
        <ol class="learner">
          <li v-for="s in solved.solutions.slice(0, SHOWN)" :key="s.digits.join()">
            <strong>{{ pretty(printMissing(problem, s.digits)) }}</strong>
            <span v-for="why in sayMissing(problem, s, pack)" :key="why">{{ why }}</span>
          </li>
        </ol>
      </template>
    </section>
  </div>
</template>

<style scoped>
.missing {
  height: 100%;
  display: grid;
  grid-template-rows: auto auto auto minmax(0, 1fr);
}
.ask {
  display: flex;
  flex-wrap: wrap;
  gap: 0.6rem;
  align-items: center;
  padding: 9px 14px;
  border-bottom: 1.5px solid var(--edge);
}
h1 {
  font-size: 1.15rem;
  margin-right: 0.4rem;
}
.ask :deep(#missing-problem) {
  width: 15rem;
  font-size: 1.3rem;
  font-weight: 700;
  padding-top: 0;
  padding-bottom: 0;
}
.trouble {
  flex-basis: 100%;
  background: var(--plum-wash);
  border-left: 5px solid var(--plum);
  padding: 0.4rem 0.8rem;
}
.mat {
  background: var(--felt);
  color: var(--on-felt);
  padding: 5vh 1rem;
  overflow-x: auto;
}
.strip {
  display: flex;
  align-items: center;
  justify-content: center;
  font-size: clamp(2.2rem, 8vh, 4.6rem);
  font-weight: 700;
}
.space {
  width: 0.35em;
}
.strip input {
  width: 1.15em;
  height: 1.5em;
  margin: 0 0.06em;
  text-align: center;
  background: var(--sheet);
  color: var(--ink);
  border: 3px dashed var(--piece-line);
  border-radius: 0.12em;
  font: inherit;
  padding: 0;
}
.said {
  background: var(--paper-2);
  border-left: 8px solid transparent;
  padding: 8px 16px;
  min-height: 62px;
  display: flex;
  flex-wrap: wrap;
  gap: 0.8rem;
  align-items: center;
  font-size: 1.4rem;
}
.said.agrees {
  border-left-color: var(--moss);
  background: var(--moss-wash);
}
.said.again {
  border-left-color: var(--plum);
  background: var(--plum-wash);
}
.solutions {
  padding: 12px 16px;
  overflow: auto;
}
.solutions ol {
  margin: 0.6rem 0 0;
  padding: 0;
  list-style: none;
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(24rem, 1fr));
  gap: 8px;
}
.solutions li {
  background: var(--sheet);
  border: 1.5px solid var(--edge);
  border-radius: 4px;
  padding: 0.5rem 0.9rem;
  display: grid;
  font-size: 1.1rem;
  align-content: start;
}
.solutions strong {
  font-size: 1.45rem;
}
</style>
