<script setup lang="ts">
import { printExact } from '../../core/number/numeral'
import { decimalsIn } from '../../core/problem/problem'
import { askInWords } from '../../core/speech/say'
import { pretty, packOf } from '../../core/speech/words'
import { offersFor, REPRESENTATIONS } from '../../core/representation/index'
import type { AbacusState } from '../../core/representation/abacus/frame'
import type { RepresentationId } from '../../core/representation/representation'
import type { SavedRecord } from '../../shared/schemas'
import { placesOf } from '../utils/lit'
import { placesFor } from '../utils/placesFor'
import { request } from '../utils/request'

const SaveDialog = defineAsyncComponent(() => import('../components/bench/SaveDialog.vue'))
const KeysDialog = defineAsyncComponent(() => import('../components/bench/KeysDialog.vue'))

const bench = useBench()
const { figures } = useFigures()
const classroom = useClassroom()
const route = useRoute()
const { tell } = useNotice()
const presenting = usePresenting()
const { predicts, asked, forward, back, play, playing } = useShowing()

const saving = ref(false)
const keys = ref(false)
const ask = ref<{ focus: () => void } | null>(null)
const more = ref<{ advise: () => void } | null>(null)
const moveLine = ref<{ focus: () => void } | null>(null)
const whisper = ref('')
const trouble = ref('')

await open()
async function open(): Promise<void> {
  const wanted = route.query.record
  if (typeof wanted === 'string') {
    try {
      const refused = bench.open(await request<SavedRecord>(`/api/records/${encodeURIComponent(wanted)}`))
      if (refused) trouble.value = refused.message
    } catch (error) {
      trouble.value = (error as Error).message
    }
  } else if (bench.bench.log.length === 0 && !bench.restore()) bench.ask(bench.problem)
}
watch(
  () => classroom.words,
  () => bench.bench.log.length === 0 && bench.again(),
)

const setup = computed(() => bench.bench.setup)
const now = computed(() => bench.bench.now)
const pack = computed(() => packOf(setup.value.choices.words))
const places = computed(() => placesFor(setup.value.problem))

const litPlaces = computed(() => bench.stones[bench.lit]?.acts.flatMap(placesOf) ?? [])
const newest = computed(() => bench.lit === bench.stones.length - 1)

const { said, detail, tone, notice, spoken, aloud, canSpeak, speak, sayAgain } = useSayStrip()

/** What a mat tells by itself: what is in the hand, what a rod shows. */
function whispered(text: string): void {
  whisper.value = text
  speak(text)
}
function save(): void {
  if (bench.bench.log.length > 0) saving.value = true
}
function saved(): void {
  void tell('Saved', `${pretty(bench.problem)} is in the Daybook. N sets the next one.`)
}
function next(): void {
  bench.another()
  whisper.value = `Next problem: ${askInWords(setup.value.problem, pack.value)}`
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
/** What is put beside first: the sheet, or chips beside the sheet; else whatever fits. */
const nearest = computed(() => {
  const fits = offersFor(setup.value.problem, setup.value.choices)
    .filter((o) => o.fits)
    .map((o) => o.representation)
  const wanted = ['columns', 'chips', 'openline', 'counters'] as const
  const other = (id: RepresentationId): boolean => id !== setup.value.representation && fits.includes(id)
  return wanted.find(other) ?? fits.find((id) => id !== 'equations' && other(id)) ?? null
})
const openSelect = (label: string): void =>
  document.querySelector<HTMLElement>(`[role="combobox"][aria-label="${label}"]`)?.click()
const onBeads = computed(() => REPRESENTATIONS[setup.value.representation].works.includes('beads'))
/** A wide frame needs the whole mat; its digits stand under its rods. */
const wide = computed(
  () => onBeads.value && (now.value.states[setup.value.representation] as AbacusState).rods.length > 6,
)
/** While the first number is being laid there is nothing to leave. */
const leaves = computed(() => bench.left !== null && !(now.value.open && now.value.standing.begun === 1))
const stepping = computed(() => bench.bench.mode === 'show' || bench.replaying !== null)
const working = computed(() => bench.bench.mode !== 'show' && !bench.replaying)

useKeys({
  ArrowRight: () => (stepping.value ? forward() : bench.bench.undone.length > 0 && bench.redo()),
  ArrowLeft: back,
  ' ': () => stepping.value && play(),
  p: () => (predicts.value = !predicts.value),
  h: () => working.value && offer(),
  z: () => bench.bench.past.length > 0 && bench.undo(),
  Z: () => bench.bench.undone.length > 0 && bench.redo(),
  a: () => ask.value?.focus(),
  r: () => document.getElementById('read')?.focus(),
  '/': () => moveLine.value?.focus(),
  n: next,
  s: save,
  m: () => openSelect('Material'),
  w: () => openSelect('Way of working'),
  '!': () => bench.again({ mode: 'show' }),
  '@': () => bench.again({ mode: 'together' }),
  '#': () => bench.again({ mode: 'alone' }),
  '.': sayAgain,
  f: () => (presenting.value = !presenting.value),
  Escape: () => (presenting.value = false),
  '?': () => (keys.value = true),
  b: () => bench.setBeside(bench.second ? null : nearest.value),
  '+': () => more.value?.advise(),
})
onBeforeUnmount(() => (presenting.value = false))
</script>

<template>
  <div class="bench" :class="{ presenting }">
    <h1 class="sr-only">Bench</h1>
    <AskBar ref="ask" />
    <p v-if="trouble" class="aside" role="alert">{{ trouble }}</p>
    <p v-else-if="bench.replaying" class="aside" role="status">
      <span
        >From the Daybook: move {{ bench.replaying.at }} of {{ bench.replaying.benches.length - 1 }}. Look through it
        with ◂ and ▸, or go on from here.</span
      >
      <button type="button" class="stone-button" @click="bench.look(0)">To its start</button>
    </p>
    <p v-else-if="bench.aside" class="aside" role="status">
      <span
        >{{ pretty(bench.aside.work.problem) }} was left unsaved<template v-if="bench.asides.length > 1"
          >, and {{ bench.asides.length - 1 }} before it</template
        >.</span
      >
      <button type="button" class="stone-button" @click="bench.bringBack">Bring it back</button>
      <button type="button" class="stone-button bare" @click="bench.letGo">Let it go</button>
    </p>
    <div class="work" :class="{ paired: bench.second }">
      <div class="mat-side">
        <MatSide
          :lit-places="litPlaces"
          :newest="newest"
          :places="places"
          @refuse="(why) => (notice = why)"
          @say="whispered"
        />
        <p
          v-if="(bench.bench.mode !== 'alone' || bench.replaying) && !bench.second && !wide"
          class="worth learner"
          :class="{ low: setup.representation === 'blocks' || setup.representation === 'chips' }"
          aria-label="What is there now"
        >
          {{ figures(printExact(now.standing.value)) }}
        </p>
      </div>
      <PagePanel :lit-places="litPlaces" />
    </div>
    <section class="say" :class="tone" aria-label="What to say">
      <PredictCard
        v-if="asked"
        :prediction="asked"
        :places="Array.from({ length: places + decimalsIn(setup.problem) }, (_, i) => places - 1 - i)"
        @see="seePrediction"
      />
      <div v-else class="learner words">
        <span
          ><span v-if="tone === 'again'" class="sign" aria-hidden="true">↻ </span
          ><span v-else-if="tone === 'agrees'" class="sign" aria-hidden="true">✓ </span>{{ said }}</span
        >
        <button v-if="bench.hint && bench.next" type="button" class="stone-button" @click="bench.advance()">
          Do it
        </button>
        <span v-if="!said" class="quiet">Sett is quiet. It writes what is moved.</span>
        <BeadNotes v-if="detail" :detail="detail" />
      </div>
      <button
        v-if="canSpeak && !presenting"
        type="button"
        class="stone-button aloud"
        aria-label="Say it aloud"
        :aria-pressed="aloud"
        @click="aloud = !aloud"
      >
        <i class="pi pi-volume-up" aria-hidden="true" />
      </button>
    </section>
    <p class="sr-only" aria-live="polite">{{ spoken }}</p>
    <p class="sr-only" aria-live="polite">{{ whisper }}</p>
    <section v-if="!presenting" class="foot" aria-label="Steps">
      <StoneCourse />
      <div class="controls">
        <template v-if="stepping">
          <button type="button" class="stone-button" aria-label="Back" @click="back">
            <i class="pi pi-caret-left" aria-hidden="true" />
          </button>
          <button type="button" class="stone-button main" aria-label="Next step" @click="forward">
            <i class="pi pi-caret-right" aria-hidden="true" /> Step
          </button>
          <button type="button" class="stone-button" :aria-label="playing ? 'Stop' : 'Play'" @click="play">
            <i :class="playing ? 'pi pi-pause' : 'pi pi-play'" aria-hidden="true" />
          </button>
          <button
            v-if="!bench.replaying"
            type="button"
            class="stone-button"
            :aria-pressed="predicts"
            @click="predicts = !predicts"
          >
            Predict
          </button>
          <button
            v-if="onBeads && !bench.replaying"
            type="button"
            class="stone-button"
            :aria-pressed="bench.byMove"
            @click="bench.byMove = !bench.byMove"
          >
            Move by move
          </button>
        </template>
        <template v-else>
          <button
            type="button"
            class="stone-button"
            aria-label="Undo"
            :disabled="bench.bench.past.length === 0"
            @click="bench.undo()"
          >
            <i class="pi pi-undo" aria-hidden="true" />
          </button>
          <button
            type="button"
            class="stone-button"
            aria-label="Redo"
            :disabled="bench.bench.undone.length === 0"
            @click="bench.redo()"
          >
            <i class="pi pi-refresh" aria-hidden="true" />
          </button>
          <button type="button" class="stone-button" :disabled="!bench.next" @click="offer">Offer a move</button>
          <button v-if="onBeads && leaves" type="button" class="stone-button" @click="bench.make('bench', 'go on')">
            Leave it, next number
          </button>
        </template>
        <MoveLine ref="moveLine" />
        <span class="gap" />
        <button v-if="!bench.second" type="button" class="stone-button" @click="bench.setBeside(nearest)">
          Beside
        </button>
        <MoreMenu ref="more" />
        <button type="button" class="stone-button" :disabled="bench.bench.log.length === 0" @click="save">Save</button>
        <button type="button" class="stone-button" @click="next">Next problem</button>
        <button
          v-if="bench.queue.length > 0"
          type="button"
          class="stone-button bare"
          :aria-label="`${bench.queue.length} chains are set to come. Let them go`"
          @click="bench.queue = []"
        >
          {{ bench.queue.length }} to come <i class="pi pi-times" aria-hidden="true" />
        </button>
        <button type="button" class="stone-button" aria-label="Present" @click="presenting = true">
          <i class="pi pi-expand" aria-hidden="true" />
        </button>
        <button type="button" class="stone-button" aria-label="Keys" @click="keys = true">?</button>
      </div>
    </section>
    <button v-else type="button" class="stone-button leave" @click="presenting = false">Leave presenting</button>
    <SaveDialog v-if="saving" v-model:open="saving" @saved="saved" />
    <KeysDialog v-if="keys" v-model:open="keys" />
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
.aside {
  grid-row: 2;
  display: flex;
  align-items: center;
  gap: 0.8rem;
  padding: 4px 14px;
  background: var(--paper-2);
  border-bottom: 1.5px solid var(--edge);
}
.work {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 384px;
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
.say {
  background: var(--paper-2);
  border-top: 1.5px solid var(--edge);
  padding: 8px 16px;
  min-height: 62px;
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
}
.words {
  font-size: 1.45rem;
  line-height: 1.25;
  display: flex;
  gap: 0.8rem;
  align-items: center;
  flex-wrap: wrap;
}
.sign {
  font-weight: 700;
}
.foot {
  padding: 6px 12px 8px;
  display: grid;
  gap: 4px;
  min-width: 0;
  border-top: 1.5px solid var(--edge);
}
.controls {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
  align-items: center;
}
.gap {
  flex: 1;
}
.leave {
  position: absolute;
  right: 12px;
  bottom: 9px;
}
.presenting :deep(.lines) {
  font-size: 2rem;
}
.presenting :deep(.sheet) {
  --s: 60px;
  font-size: 2.3rem;
}
.presenting .words {
  font-size: 2rem;
}
/* The way out of presenting lies over the strip's end. */
.presenting .say {
  padding-right: 190px;
}
@media (max-width: 900px) {
  .work,
  .work.paired {
    grid-template-columns: minmax(0, 1fr) 260px;
  }
}
@media (max-width: 700px) {
  .bench {
    height: auto;
    min-height: 100%;
  }
  .work,
  .work.paired {
    grid-template-columns: minmax(0, 1fr);
    grid-template-rows: 42vh auto;
  }
  .work.paired {
    grid-template-rows: 84vh auto;
  }
  /* What is said and the next step stay in reach of the thumb. */
  .say {
    position: sticky;
    bottom: 114px;
    z-index: 6;
  }
  .foot {
    position: sticky;
    bottom: 0;
    z-index: 6;
    background: var(--paper);
  }
  .controls {
    flex-wrap: nowrap;
    overflow-x: auto;
  }
  .controls > * {
    flex: none;
  }
  .words {
    font-size: 1.15rem;
  }
}
@media (min-width: 1700px) {
  .work {
    grid-template-columns: minmax(0, 1fr) 520px;
  }
}
</style>
