<script setup lang="ts">
import {
  placement,
  PLACING,
  STRANDS,
  strandOf,
  toldByPlacement,
  type Placed,
  type Step,
  type Strand,
} from '../../../../core/course/index'
import { parseAnswer } from '../../../../core/diagnose/index'
import { attempt, parseProblem, pretty } from '../../../../core/door'
import type { TellSteps } from '../../../../shared/courses'

/** Finds a learner's step, on a strand or on all: one question at a time, whatever it is worked with, on as many days as it takes. */
const {
  learner,
  name,
  steps: all,
  earlier,
  near,
} = defineProps<{
  learner: string
  name: string
  steps: readonly Step[]
  /** Answers that were marked lately. */
  earlier: readonly Placed[]
  /** A step of the work that is known, near which the first question is asked. */
  near: string | null
}>()
const emit = defineEmits<{ accept: [told: TellSteps] }>()
const { t } = useI18n()
const { strand: nameOfStrand } = useNames()

interface Sitting {
  readonly seed: number
  readonly asked: readonly Placed[]
}
type Where = Strand | 'everything'
interface Sittings {
  readonly strand: Where
  readonly by: Readonly<Partial<Record<Where, Sitting>>>
}
/** Sittings by learner and strand, so that each goes on where it stopped. */
const kept = useLocalStorage<Record<string, Sittings>>('sett.placing', {})
/** What was kept by an earlier Sett, or by hand, may be no answers at all. */
const isPlaced = (a: Partial<Placed> | null): a is Placed =>
  typeof a?.step === 'string' &&
  typeof a.problem === 'string' &&
  (a.answer === null || typeof a.answer?.value === 'string') &&
  'ok' in attempt(() => parseProblem(a.problem!))
/** Strands that the course has, and all of them together. */
const places = computed<readonly Where[]>(() => [
  'everything',
  ...STRANDS.filter((s) => all.some((step) => step.strand === s)),
])
const strand = computed<Where>(() => {
  const chosen = kept.value[learner]?.strand
  return chosen && places.value.includes(chosen) ? chosen : 'everything'
})
const seedNow = crypto.getRandomValues(new Uint32Array(1))[0]! % 100_000
const sitting = computed<Sitting>(() => {
  const found = kept.value[learner]?.by?.[strand.value]
  return {
    seed: Number.isInteger(found?.seed) ? found!.seed : seedNow,
    asked: Array.isArray(found?.asked) ? found.asked.filter(isPlaced) : [],
  }
})
function keep(now: Sitting, of: Where = strand.value): void {
  const by = { ...kept.value[learner]?.by, [of]: now }
  kept.value = { ...kept.value, [learner]: { strand: of, by } }
}
const choose = (of: Where): void =>
  void (kept.value = { ...kept.value, [learner]: { strand: of, by: kept.value[learner]?.by ?? {} } })
/** What was asked before one began again. */
const before = shallowRef<Sitting | null>(null)
function again(): void {
  before.value = sitting.value
  keep({ seed: sitting.value.seed + 100, asked: [] })
}
function bringBack(): void {
  if (before.value) keep(before.value)
  before.value = null
}
watch(strand, () => (before.value = null))

const steps = computed(() => (strand.value === 'everything' ? all : strandOf(all, strand.value)))
const now = computed(() => placement(steps.value, sitting.value.asked, sitting.value.seed, earlier, near))
const counted = computed(() => earlier.filter((a) => steps.value.some((s) => s.id === a.step)).length)
const typed = ref('')
const trouble = ref('')
const box = useTemplateRef<{ $el: HTMLInputElement }>('box')

function answered(text: string): void {
  const { next } = now.value
  if (!next) return
  const read = attempt(() => parseAnswer(text, parseProblem(next.problem)))
  if ('refused' in read) {
    trouble.value = read.refused.message
    return
  }
  trouble.value = typed.value = ''
  keep({
    ...sitting.value,
    asked: [...sitting.value.asked, { step: next.step.id, problem: next.problem, answer: read.ok }],
  })
  void nextTick(() => box.value?.$el.focus())
}
const back = (): void => keep({ ...sitting.value, asked: sitting.value.asked.slice(0, -1) })

const allKnown = computed(() => now.value.here.every((h) => h.step === null))
/** What can be taken over: of several strands those of which something is known. */
const usable = computed(() =>
  now.value.here.length === 1 ? now.value.here : now.value.here.filter((h) => h.sure >= ENOUGH),
)
const accept = (): void => emit('accept', [...toldByPlacement(all, usable.value)])
/** From here on a strand’s result is taken over: likelier than not. */
const ENOUGH = 0.5
/** How certain a result is, in words. */
const sureness = (sure: number): string =>
  t(
    sure >= PLACING.sure
      ? 'find.certain'
      : sure >= LIKELY
        ? 'find.likely'
        : sure >= ENOUGH
          ? 'find.rather'
          : 'find.uncertain',
  )
const LIKELY = 0.7
const nameOf = (where: Where): string => (where === 'everything' ? t('find.everything') : nameOfStrand(where))
/** How much of the stone of a step is filled: how likely it is that the learner can do it. */
const percent = (share: number): string => `${Math.round(100 * share)}%`
/** Where one is: the questions, or their result. */
const part = computed(() => (now.value.next ? 1 : 2))
/** The result in a line, where there are no more questions. */
const outcome = computed(() => {
  const [first] = now.value.here
  if (allKnown.value) return t('find.allKnown', { name })
  return now.value.here.length === 1 && first?.step ? first.step.title : t('find.eachStrand')
})
const put = (n: number): void => void (typed.value += n)
</script>

<template>
  <div class="with-aside">
    <section class="card ask" :aria-label="t('find.questions')">
      <Stepper :value="part" linear>
        <StepList>
          <Step :value="1">{{ t('find.questions') }}</Step>
          <Step :value="2">{{ t('find.result') }}</Step>
        </StepList>
      </Stepper>
      <form v-if="now.next" novalidate @submit.prevent="answered(typed)">
        <p class="learner question">{{ pretty(now.next.problem) }} = ?</p>
        <label class="answer">
          <span>{{ t('find.answer', { name }) }}</span>
          <InputText ref="box" v-model="typed" class="learner" maxlength="40" autocomplete="off" inputmode="text" />
        </label>
        <NumberPad @digit="put" @back="typed = typed.slice(0, -1)" />
        <div class="in-row">
          <Button type="submit" :disabled="typed.trim() === ''" :label="t('find.next')" />
          <Button severity="secondary" :label="t('find.notYet')" @click="answered('')" />
          <Button v-if="sitting.asked.length" severity="secondary" text :label="t('find.back')" @click="back" />
        </div>
        <p v-if="trouble" class="trouble" role="alert">{{ trouble }}</p>
        <p class="quiet">{{ t('find.count', { n: sitting.asked.length + 1, most: PLACING.most }) }}</p>
      </form>
      <p v-else class="outcome">{{ outcome }}</p>
    </section>
    <section class="card" :aria-label="t('find.known', { name })">
      <label class="strand">
        <span>{{ t('find.in') }}</span>
        <Select
          :model-value="strand"
          :options="places.map((value) => ({ value, label: nameOf(value) }))"
          option-label="label"
          option-value="value"
          :aria-label="t('find.in')"
          @update:model-value="(where) => choose(where as Where)"
        />
      </label>
      <div class="known" role="status">
        <p v-if="sitting.asked.length === 0" class="quiet">
          {{ counted ? t('find.counted', counted) : '' }} {{ t('find.anyMaterial') }}
        </p>
        <template v-else>
          <h2>{{ t(now.next ? 'find.soFar' : 'find.resultIs') }}</h2>
          <p v-if="allKnown">{{ t(now.next ? 'find.allRight' : 'find.allKnown', { name }) }}</p>
          <ul v-else class="plain">
            <li v-for="h in now.here" :key="h.strand">
              <b>{{ nameOf(h.strand) }}</b>
              <NuxtLink v-if="h.step" class="reach" :to="`/plan/steps?step=${h.step.id}`">{{ h.step.title }}</NuxtLink>
              <span v-else>{{ t('find.knowsAll') }}</span>
              <span class="tag" :class="{ moss: h.sure >= PLACING.sure }">{{ sureness(h.sure) }}</span>
            </li>
          </ul>
          <div class="in-row">
            <Button
              :severity="now.next ? 'secondary' : undefined"
              :disabled="usable.length === 0"
              :label="t(now.next ? 'find.stopAndUse' : 'find.use')"
              @click="accept"
            />
            <Button severity="secondary" text :label="t('find.again')" @click="again" />
          </div>
        </template>
        <Button
          v-if="before && sitting.asked.length === 0"
          severity="secondary"
          :label="t('find.bringBack')"
          @click="bringBack"
        />
      </div>
      <ol v-if="strand !== 'everything'" class="plain stones">
        <li v-for="(step, i) in steps" :key="step.id" :class="{ asked: now.next?.step.id === step.id }">
          <span class="fill" :style="{ width: percent(sitting.asked.length + counted ? now.likely[i]! : 0) }" />
          <span class="title">{{ step.short ?? step.title }}</span>
          <span v-if="sitting.asked.length + counted" class="share">{{
            t('find.share', { share: percent(now.likely[i]!) })
          }}</span>
        </li>
      </ol>
    </section>
  </div>
</template>

<style scoped>
.ask,
form,
.known {
  display: grid;
  gap: 14px;
}
.question {
  padding: 10px 0;
  font-size: clamp(2.4rem, 6vw, 4rem);
  font-weight: 700;
  line-height: 1.1;
}
.answer,
.strand {
  display: grid;
  gap: 4px;
  justify-items: start;
  font-weight: 700;
}
.answer .p-inputtext {
  width: 11rem;
  font-size: 1.6rem;
}
.known {
  margin-top: 14px;
}
.outcome {
  padding: 10px 0 20px;
  font-size: 1.8rem;
  font-weight: 700;
  line-height: 1.25;
}
.known ul {
  display: grid;
  gap: 8px;
}
.known li {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 14px;
  align-items: center;
}
.known li b {
  width: 100%;
}
.stones {
  display: grid;
  gap: 6px;
  margin-top: 10px;
}
.stones li {
  position: relative;
  display: flex;
  justify-content: space-between;
  gap: 12px;
  padding: 8px 12px;
  overflow: hidden;
  border: 1px solid var(--line);
  border-radius: 8px;
}
.stones .asked {
  border: 2px solid var(--clay);
}
.fill {
  position: absolute;
  inset: 0 auto 0 0;
  background: var(--moss-wash);
}
.title,
.share {
  position: relative;
}
.title {
  font-weight: 700;
}
.share {
  color: var(--ink-soft);
  font-size: 0.85rem;
  white-space: nowrap;
}
</style>
