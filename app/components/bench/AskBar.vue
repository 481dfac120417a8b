<script setup lang="ts">
import { materialName } from '../../utils/materialName'
import { waysOf } from '../../../core/way/index'
import { offersFor, REPRESENTATIONS } from '../../../core/representation/index'
import { parseProblem } from '../../../core/problem/problem'
import { attempt, type Refusal } from '../../../core/refusal'
import { pretty } from '../../../core/speech/words'
import type { Mode } from '../../../core/record/bench'
import type { RepresentationId } from '../../../core/representation/representation'
import type { WayId } from '../../../core/way/way'

const bench = useBench()
const presenting = usePresenting()
const text = ref(pretty(bench.problem))
const refused = shallowRef<Refusal | null>(null)
const box = ref<{ $el: HTMLInputElement } | null>(null)
const read = ref('')
watch(
  () => bench.problem,
  (p) => {
    text.value = pretty(p)
    read.value = ''
  },
)

const MODES: readonly { id: Mode; label: string }[] = [
  { id: 'show', label: 'Show' },
  { id: 'together', label: 'Together' },
  { id: 'alone', label: 'Alone' },
]
const materials = computed(() =>
  offersFor(bench.bench.setup.problem, bench.bench.setup.choices)
    .filter((o) => o.representation !== 'equations')
    .map((o) => ({ value: o.representation, label: o.title, disabled: !o.fits, why: o.why })),
)
const ways = computed(() =>
  waysOf(bench.bench.setup.problem, REPRESENTATIONS[bench.bench.setup.representation]).map((w) => ({
    value: w.way,
    label: w.title,
    school: w.school,
    at: w.at,
  })),
)
const material = computed({ get: () => bench.material, set: (m: RepresentationId) => void bench.moveTo(m) })
const way = computed({ get: () => bench.way, set: (w: WayId) => void bench.again({ way: w }) })

function ask(): void {
  refused.value = bench.ask(text.value)
  if (refused.value) select(refused.value)
  else {
    text.value = pretty(bench.problem)
    box.value?.$el.blur()
  }
}
/** Puts the cursor on the trouble. */
function select(refusal: Refusal): void {
  const input = box.value?.$el
  if (!input || !refusal.span) return
  input.focus()
  input.setSelectionRange(refusal.span.at, refusal.span.at + refusal.span.length)
}
/** The materials that would hold what was asked, when this one cannot: the nearest two. */
const instead = computed(() => {
  const asked = attempt(() => parseProblem(text.value))
  if (!refused.value || 'refused' in asked) return []
  const offers = offersFor(asked.ok, bench.bench.setup.choices)
  const here = offers.find((o) => o.representation === bench.material)
  if (!here || here.fits) return []
  const named = offers.filter((o) => o.fits && here.instead.includes(o.representation))
  return (named.length > 0 ? named : offers.filter((o) => o.fits))
    .filter((o) => o.representation !== 'equations')
    .slice(0, 2)
})
function askOn(material: RepresentationId): void {
  refused.value = bench.ask(text.value, { material })
}
function readIt(): void {
  if (read.value.trim() && bench.make(bench.bench.setup.representation, `read ${read.value.trim()}`)) read.value = ''
}

const answerShown = computed(() => (bench.result.read === null ? '' : bench.result.read))
defineExpose({
  focus: () => {
    box.value?.$el.focus()
    box.value?.$el.select()
  },
})
</script>

<template>
  <section class="ask" aria-label="The problem">
    <form class="problem" novalidate @submit.prevent="ask">
      <label class="sr-only" for="problem">Problem</label>
      <InputText
        id="problem"
        ref="box"
        v-model="text"
        class="learner"
        :class="{ long: text.length > 13 }"
        autocomplete="off"
        spellcheck="false"
        inputmode="text"
        :aria-invalid="refused !== null"
        :aria-describedby="refused ? 'problem-trouble' : undefined"
        @input="refused = null"
      />
      <button type="submit" class="stone-button main">Lay it out</button>
    </form>
    <form v-if="bench.bench.mode !== 'show'" class="answer" novalidate @submit.prevent="readIt">
      <label for="read" class="learner">=</label>
      <InputText
        id="read"
        v-model="read"
        class="learner"
        inputmode="numeric"
        autocomplete="off"
        aria-label="What is there now?"
        :placeholder="answerShown"
      />
      <button type="submit" class="stone-button" :disabled="read.trim() === ''">Read</button>
    </form>
    <span class="gap" />
    <label v-if="!presenting" class="with"
      ><span>with</span>
      <Select
        v-model="material"
        :options="materials"
        option-label="label"
        option-value="value"
        option-disabled="disabled"
        aria-label="Material"
        class="material"
        ><template #option="{ option }"
          ><span class="way-option"
            ><strong>{{ option.label }}</strong
            ><small v-if="option.why">{{ option.why }}</small></span
          ></template
        ></Select
      ></label
    >
    <Select
      v-if="!presenting"
      v-model="way"
      :options="ways"
      option-label="label"
      option-value="value"
      aria-label="Way of working"
      class="way"
    >
      <template #option="{ option }"
        ><span class="way-option"
          ><strong>{{ option.label }}</strong
          ><small>{{ option.school }}</small
          ><small class="quiet">{{ option.at }}</small></span
        ></template
      >
    </Select>
    <div v-if="!presenting" class="modes" role="group" aria-label="How it is worked">
      <button
        v-for="m in MODES"
        :key="m.id"
        type="button"
        class="stone-button"
        :aria-pressed="bench.bench.mode === m.id"
        @click="bench.again({ mode: m.id })"
      >
        {{ m.label }}
      </button>
    </div>
    <p v-if="refused" id="problem-trouble" class="trouble" role="alert">
      {{ refused.message }}
      <button
        v-for="o in instead"
        :key="o.representation"
        type="button"
        class="stone-button"
        @click="askOn(o.representation)"
      >
        Work it with {{ materialName(o.representation) }}
      </button>
    </p>
  </section>
</template>

<style scoped>
.ask {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 0.6rem;
  padding: 9px 14px;
  min-height: 64px;
  border-bottom: 1.5px solid var(--edge);
  position: relative;
}
.problem {
  display: flex;
  gap: 6px;
}
.problem :deep(#problem) {
  width: 12.5rem;
  font-size: 1.5rem;
  font-weight: 700;
  padding-top: 0;
  padding-bottom: 0;
}
.problem :deep(#problem.long) {
  width: 17rem;
  font-size: 1.1rem;
}
.answer {
  display: flex;
  gap: 6px;
  align-items: center;
}
.answer label {
  font-size: 1.5rem;
}
.answer :deep(#read) {
  width: 5.5rem;
  font-size: 1.4rem;
  font-weight: 700;
  padding-top: 0;
  padding-bottom: 0;
}
.gap {
  flex: 1;
}
.with {
  display: flex;
  align-items: center;
  gap: 0.5rem;
}
.modes {
  display: flex;
}
.modes .stone-button {
  border-radius: 0;
  margin-left: -1.5px;
}
.way-option {
  display: grid;
  max-width: 20rem;
  white-space: normal;
}
.trouble {
  flex-basis: 100%;
  background: var(--plum-wash);
  border-left: 5px solid var(--plum);
  padding: 0.4rem 0.8rem;
  display: flex;
  gap: 1rem;
  align-items: center;
}
@media (max-width: 1100px) {
  .problem :deep(#problem) {
    width: 9rem;
  }
  .with > span {
    display: none;
  }
}
@media (max-width: 600px) {
  .problem {
    flex: 1 0 100%;
  }
  .problem :deep(#problem) {
    width: 100%;
    min-width: 0;
  }
  .ask :deep(.p-select) {
    max-width: 10.5rem;
  }
  .gap {
    display: none;
  }
  .with span {
    display: none;
  }
}
</style>
