<script setup lang="ts">
import {
  askInWords,
  hasMat,
  packOf,
  pretty,
  numberText,
  type RepresentationId,
  REPRESENTATIONS,
} from '../../../core/door'
import type { AbacusState } from '../../../core/representation/abacus/index'
import { matOf } from '../../mats'
import { placesOf } from '../../utils/lit'
import { placesFor } from '../../utils/placesFor'
import type { Draft } from '../../utils/kept'
import { focusHome } from '../../composables/useReturnFocus'

const FirstCard = defineAsyncComponent(() => import('../../components/bench/shelf/FirstCard.vue'))
const MaterialShelf = defineAsyncComponent(withAll(() => import('../../components/bench/shelf/MaterialShelf.vue')))
const SaveDialog = defineAsyncComponent(() => import('../../components/bench/SaveDialog.vue'))
const KeysDialog = defineAsyncComponent(() => import('../../components/bench/KeysDialog.vue'))

const bench = useBench()
const { t } = useI18n()
const { title, foreign } = useNames()
const { figures } = useFigures()
const classroom = useClassroom()
const { tell } = useNotice()
const presenting = usePresenting()
const showing = useShowing()
const { predicts, asked, forward, back, play } = showing

const saving = ref(false)
/** Unsaved work that is being saved, of that which was put aside. */
const savingAside = shallowRef<Draft | null>(null)
const keys = ref(false)
const besides = ref(false)
const { access, toggleEasy } = useAccess()
const ask = ref<{
  focus: () => void
  chooseLearner: () => void
  openShelf: (which: 'material' | 'way') => Promise<void>
} | null>(null)
const foot = ref<{ advise: () => void; focusMoveLine: () => void } | null>(null)
const whisper = ref('')
const trouble = ref('')

await useBenchOpening(trouble)
const { locale } = useI18n({ useScope: 'global' })
watch([() => classroom.spoken, locale], () => bench.bench.log.length === 0 && bench.again())

const setup = computed(() => bench.bench.setup)
const now = computed(() => bench.bench.now)
const there = computed(() => numberText(now.value.standing.value, setup.value.units, now.value.standing.held))
const pack = computed(() => packOf(setup.value.choices.words))
const places = computed(() => placesFor(setup.value.problem))

const litPlaces = computed(() => bench.stones[bench.lit]?.acts.flatMap(placesOf) ?? [])
const newest = computed(() => bench.lit === bench.stones.length - 1)

const strip = useSayStrip()
const { notice, spoken, speak, sayAgain } = strip
const describe = useDescribe()

/** Old words are cleared, so that nobody comes upon them later. */
const { start: quieten } = useTimeoutFn(() => (whisper.value = ''), 10_000, { immediate: false })
/** What a mat tells by itself: what is in the hand, what a rod shows. */
async function whispered(text: string): Promise<void> {
  // Cleared first, so that the same words said twice are heard twice.
  whisper.value = ''
  await nextTick()
  whisper.value = text
  quieten()
  speak(text)
}
/** Where nothing is seen to change, the strip says that the problem is set. */
async function started(same: boolean): Promise<void> {
  if (!same) return
  // The bench has cleared the last notice by then.
  await nextTick()
  notice.value = t('bench.started', { problem: pretty(bench.problem) })
}
function save(): void {
  if (bench.bench.log.length > 0) saveOf(null)
}
/** Asks how some work came out: what lies on the bench, or unsaved work that was put aside. */
function saveOf(draft: Draft | null): void {
  savingAside.value = draft
  saving.value = true
}
const saved = (problem: string): void => void tell(t('bench.saved'), t('bench.savedMore', { problem }))
async function next(): Promise<void> {
  if (bench.turn?.lesson && bench.queue.length === 0) {
    const { lesson } = bench.turn
    await bench.endTurn()
    bench.endQueue()
    return void (await navigateTo(`/plan/lessons/${lesson}`))
  }
  const refused = await bench.another()
  trouble.value = refused?.message ?? ''
  if (refused) return
  const whose = bench.lesson && classroom.learner ? `${classroom.learner.codeName}: ` : t('bench.next')
  void whispered(`${whose}${askInWords(setup.value.problem, pack.value)}`)
  void nextTick(() => focusHome()?.focus())
}
function offer(): void {
  if (bench.hint) bench.advance()
  else bench.hint = true
}
async function seePrediction(verdict: string): Promise<void> {
  if (!forward()) return
  // The step has cleared the last notice by then.
  await nextTick()
  notice.value = verdict
}
const onBeads = computed(() => REPRESENTATIONS[setup.value.representation].sorts.includes('beads'))
const worth = computed(() => matOf(setup.value.representation).worth)
/** A wide frame needs the whole mat; its digits stand under its rods. */
const wide = computed(
  () => onBeads.value && (now.value.states[setup.value.representation] as AbacusState).rods.length > 6,
)
/** While the first number is being laid there is nothing to leave. */
const leaves = computed(() => bench.left !== null && !(now.value.open && now.value.standing.begun === 1))
const stepping = computed(() => bench.bench.mode === 'show' || bench.replaying !== null)
const handsOn = computed(() => bench.bench.mode !== 'show' && !bench.replaying)

/** The card of a material opens by itself the first time hands work with it in this browser. */
const seen = useLocalStorage<string[]>('sett.cards-seen', [])
const card = computed(() => {
  const id = setup.value.representation
  return handsOn.value && hasMat(id) && !seen.value.includes(id) ? id : null
})
/** It is out of the way as soon as hands work. */
watch(
  () => bench.bench.log.length > 0 && card.value,
  (id) => id && (seen.value = [...seen.value, id]),
)
const putCardAway = (): void => {
  if (card.value) seen.value = [...seen.value, card.value]
  focusHome()?.focus()
}
useHead({
  title: () =>
    `${t('bench.title', { problem: pretty(bench.problem), material: title(setup.value.representation) })} – ${t('frame.bench')} – Sett`,
})
function putBeside(id: RepresentationId): void {
  besides.value = false
  bench.setBeside(id)
}
/** Another material beside: chosen from the shelf, or put away. */
function toggleBeside(): void {
  if (bench.second) bench.setBeside(null)
  else besides.value = true
}

useKeys({
  ArrowRight: () => (stepping.value ? forward() : bench.bench.undone.length > 0 && bench.redo()),
  ArrowLeft: back,
  ' ': () => stepping.value && play(),
  p: () => (predicts.value = !predicts.value),
  h: () => handsOn.value && offer(),
  z: () => bench.bench.past.length > 0 && bench.undo(),
  Z: () => bench.bench.undone.length > 0 && bench.redo(),
  a: () => ask.value?.focus(),
  r: () => document.getElementById('read')?.focus(),
  '/': () => foot.value?.focusMoveLine(),
  n: next,
  s: save,
  l: () => ask.value?.chooseLearner(),
  m: () => ask.value?.openShelf('material'),
  w: () => ask.value?.openShelf('way'),
  '!': () => bench.again({ mode: 'show' }),
  '@': () => bench.again({ mode: 'together' }),
  '#': () => bench.again({ mode: 'alone' }),
  '.': sayAgain,
  f: () => (presenting.value = !presenting.value),
  Escape: () => (presenting.value = false),
  '?': () => (keys.value = true),
  b: toggleBeside,
  e: toggleEasy,
  d: () => void whispered(describe()),
  '+': () => foot.value?.advise(),
})
onBeforeUnmount(() => (presenting.value = false))
</script>

<template>
  <div class="bench" :class="{ presenting, stepping, single: access.single }">
    <h1 class="sr-only">{{ t('frame.bench') }}</h1>
    <AskBar ref="ask" @started="started" />
    <BenchNotices v-model:trouble="trouble" @save="saveOf" />
    <div class="work" :class="{ paired: bench.second }">
      <div id="mat" class="mat-side" tabindex="-1">
        <MatSide
          :lit-places="litPlaces"
          :newest="newest"
          :places="places"
          @refuse="(why) => (notice = why)"
          @say="whispered"
          @beside="besides = true"
        />
        <p
          v-if="(bench.bench.mode !== 'alone' || bench.replaying) && !bench.second && !wide && worth !== 'none'"
          class="worth learner"
          :class="worth"
          role="img"
          :aria-label="t('bench.there', { number: there })"
        >
          <MathLine :line="figures(there)" />
        </p>
      </div>
      <div class="page-side">
        <FirstCard v-if="card && !presenting" :id="card" @close="putCardAway" />
        <PagePanel :lit-places="litPlaces" />
      </div>
    </div>
    <SayStrip :strip="strip" :asked="asked" :places="places" @see="seePrediction" />
    <p class="sr-only" aria-live="polite" :lang="foreign(!strip.inEnglish.value)">{{ spoken }}</p>
    <p class="sr-only" aria-live="polite">{{ whisper }}</p>
    <BenchFoot
      ref="foot"
      :stepping="stepping"
      :on-beads="onBeads"
      :leaves="leaves"
      :showing="showing"
      @offer="offer"
      @save="save"
      @next="next"
      @beside="besides = true"
      @keys="keys = true"
    />
    <button v-if="access.single" type="button" class="stone-button all-again" @click="toggleEasy">
      {{ t('bench.everything') }}
    </button>
    <SaveDialog v-if="saving" v-model:open="saving" :draft="savingAside" @saved="saved" />
    <KeysDialog v-if="keys" v-model:open="keys" />
    <MaterialShelf
      v-if="besides"
      :problem="setup.problem"
      :chosen="bench.second"
      :beside="setup.representation"
      @choose="putBeside"
      @close="besides = false"
    />
  </div>
</template>

<style scoped>
.bench {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  grid-template-rows: auto auto minmax(0, 1fr) auto auto;
  height: 100%;
  position: relative;
}
.bench > .work {
  grid-row: 3;
}
.bench > .say {
  grid-row: 4;
}
.bench > .foot {
  grid-row: 5;
}
.bench > .notices {
  grid-row: 2;
}
.work {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 360px;
  min-height: 0;
}
.work.paired {
  grid-template-columns: minmax(0, 1fr) 300px;
}
.mat-side {
  position: relative;
  min-height: 0;
  min-width: 0;
}
.page-side {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  grid-template-rows: auto minmax(0, 1fr);
  min-height: 0;
  background: var(--sheet);
}
.page-side > .page {
  grid-row: 2;
}
.page-side > .first {
  overflow: auto;
  max-height: 62vh;
}
/* One thing at a time: what is asked, the mat, the newest line. */
.single :deep(:is(.ask .choice, .ask .modes, .course, .foot .controls > :not(.main, [data-undo]))),
.single :deep(:is(.page .lines li:not(:last-child), .page :is(h2, .switch))) {
  display: none;
}
.all-again {
  position: absolute;
  right: 12px;
  bottom: 8px;
}
.worth {
  position: absolute;
  right: 14px;
  top: 8px;
  background: var(--sheet);
  color: var(--ink);
  border-radius: 4px;
  padding: 0 0.7rem;
  font-size: 2rem;
  font-weight: 700;
  pointer-events: none;
}
.worth.low {
  top: auto;
  bottom: 8px;
}
.presenting .worth {
  font-size: clamp(2rem, 3.6vw, 5rem);
}
.presenting :deep(.lines) {
  font-size: clamp(1.8rem, 3.4vw, 5rem);
}
.presenting :deep(.sheet) {
  --s: clamp(56px, 4.8vw, 110px);
  font-size: clamp(2.1rem, 3.5vw, 5rem);
}
.presenting :deep(.stone) {
  font-size: clamp(1.1rem, 1.7vw, 2rem);
  min-height: 56px;
}
@media (min-width: 1700px) {
  .work {
    grid-template-columns: minmax(0, 1fr) 520px;
  }
  .presenting .work {
    grid-template-columns: minmax(0, 1fr) 36vw;
  }
}
@media (max-width: 1150px) {
  .work,
  .work.paired {
    grid-template-columns: minmax(0, 1fr) 224px;
  }
}
/* In a small window, as at 200 % zoom, the whole bench scrolls: pieces stay as large as they were, and nothing lies over anything. */
@media (max-width: 700px), (max-height: 560px) {
  .bench {
    height: auto;
    min-height: 100%;
    grid-template-rows: auto;
  }
  .work,
  .work.paired {
    grid-template-columns: minmax(0, 1fr);
    grid-template-rows: max(54dvh, 480px);
  }
  .work.paired {
    grid-template-rows: max(108dvh, 860px);
  }
  .page-side {
    grid-row: 2;
  }
  .bench > .work {
    display: contents;
  }
  .bench > .work > .mat-side {
    grid-row: 3;
    height: max(54dvh, 480px);
  }
  .bench > .work.paired > .mat-side {
    height: max(108dvh, 860px);
  }
  .bench > .work > .page-side {
    grid-row: 6;
  }
}
</style>
