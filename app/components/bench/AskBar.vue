<script setup lang="ts">
import { focusHome } from '../../composables/useReturnFocus'
import {
  attempt,
  type Mode,
  parseProblem,
  pretty,
  numberText,
  printProblem,
  Refusal,
  type RepresentationId,
  wayById,
  type WayId,
} from '../../../core/door'

const MaterialShelf = defineAsyncComponent(withAll(() => import('./shelf/MaterialShelf.vue')))
const WayShelf = defineAsyncComponent(withAll(() => import('./shelf/WayShelf.vue')))

/** `same`: the problem was there already, and nothing lay on the mat. */
const emit = defineEmits<{ started: [same: boolean] }>()
const bench = useBench()
const { t } = useI18n()
const { title, called, way: wayName, reason } = useNames()
const presenting = usePresenting()
const { access } = useAccess()
const { used } = useShelf()
const shown = (problem: string): string => pretty(problem, bench.bench.setup.choices.signed.ownSign)
const text = ref(shown(bench.problem))
const refused = shallowRef<Refusal | null>(null)
const box = ref<HTMLInputElement | null>(null)
const read = ref('')
const shelf = ref<'material' | 'way' | null>(null)
const picker = ref<{ open: () => void } | null>(null)
watch(
  () => [bench.problem, bench.id],
  () => {
    text.value = shown(bench.problem)
    read.value = ''
    refused.value = null
  },
)
watch(
  () => bench.material,
  (id) => used(id),
  { immediate: true },
)

/** What is typed, once it can be read; until then what is on the mat. */
const typed = computed(() => attempt(() => parseProblem(text.value)))
const onMat = computed(() => bench.bench.setup.problem)
const wanted = computed(() => ('ok' in typed.value ? typed.value.ok : onMat.value))
/** Whether the box says another problem than the mat. */
const differs = computed(() =>
  'ok' in typed.value ? printProblem(typed.value.ok) !== bench.problem : text.value.trim() !== shown(bench.problem),
)
const { nearest, instead } = useAskOffers(
  () => ('ok' in typed.value ? typed.value.ok : null),
  () => differs.value,
  () => refused.value !== null,
)

/** What is typed may want any material. Where they cannot be fetched, that is told; what lies on the mat stays. */
async function all(): Promise<boolean> {
  try {
    await fetchAll()
    return true
  } catch (error) {
    refused.value = new Refusal((error as Error).message)
    return false
  }
}
async function ask(): Promise<void> {
  if (!(await all())) return
  const before = bench.bench.log.length === 0 ? bench.problem : null
  refused.value = bench.ask(text.value)
  if (refused.value) select(refused.value)
  else {
    done()
    emit('started', bench.problem === before)
  }
}
/** Puts the cursor on the trouble. */
function select(refusal: Refusal): void {
  const input = box.value
  if (!input) return
  input.focus()
  if (refusal.span) input.setSelectionRange(refusal.span.at, refusal.span.at + refusal.span.length)
}
/** What was asked lies on the mat, and so does the focus. */
function done(): void {
  text.value = shown(bench.problem)
  shelf.value = null
  void nextTick(() => focusHome()?.focus())
}
/** Asks for one of the things that could have been meant. */
function mean(plainly: string): void {
  text.value = plainly
  void ask()
}
/** Works what is typed with this material; where that is on the mat already, the work goes on there. */
function workWith(material: RepresentationId): void {
  refused.value = differs.value ? bench.ask(text.value, { material }) : bench.moveTo(material)
  if (!refused.value) done()
}
async function openShelf(which: 'material' | 'way'): Promise<void> {
  if (!(await all())) return
  if (which === 'material' && 'refused' in typed.value) {
    refused.value = typed.value.refused
    return select(refused.value)
  }
  shelf.value = which
}
function workBy(way: WayId): void {
  refused.value = differs.value ? bench.ask(text.value, { way }) : bench.again({ way })
  if (!refused.value) done()
}
async function workIn(mode: Mode): Promise<void> {
  if (differs.value && !(await all())) return
  refused.value = differs.value ? bench.ask(text.value, { mode }) : bench.again({ mode })
  if (refused.value) select(refused.value)
}
function readIt(): void {
  if (!read.value.trim() || !bench.make(bench.bench.setup.representation, `read ${read.value.trim()}`)) return
  read.value = ''
  focusHome()?.focus()
}
function leave(): void {
  text.value = shown(bench.problem)
  read.value = ''
  refused.value = null
  focusHome()?.focus()
}

const answerShown = computed(() => {
  const { read: said, remainder } = bench.result
  const { as } = bench.bench.now.standing
  return said === null
    ? ''
    : pretty(`${as ?? numberText(said, bench.bench.setup.units)}${remainder === undefined ? '' : ` r ${remainder}`}`)
})
/** Amounts that are compared are answered on the mat, by a sign between them. */
const compares = computed(() => bench.bench.setup.problem.others !== undefined)
/** A sharing is answered with what each has, and what is left over. */
const shares = computed(() => ['sharing', 'division'].includes(wayById(bench.bench.setup.way).sort))
defineExpose({
  focus: () => {
    box.value?.focus()
    box.value?.select()
  },
  chooseLearner: () => picker.value?.open(),
  openShelf,
})
</script>

<template>
  <section class="ask" :class="{ presenting }" :aria-label="t('ask.label')">
    <LearnerPicker v-if="!presenting && !access.single" ref="picker" />
    <form class="problem" novalidate @submit.prevent="ask">
      <label class="sr-only" for="problem">{{ t('ask.problem') }}</label>
      <input
        id="problem"
        ref="box"
        v-model="text"
        type="text"
        class="learner"
        :class="{ long: text.length > 13 }"
        autocomplete="off"
        spellcheck="false"
        inputmode="text"
        :aria-invalid="refused !== null"
        :aria-describedby="refused ? 'problem-trouble' : undefined"
        @input="refused = null"
        @keydown.esc.stop="leave"
      />
      <button type="submit" class="stone-button main">{{ t('ask.layOut') }}</button>
    </form>
    <form
      v-if="(bench.bench.mode !== 'show' || access.single) && !compares"
      class="answer"
      novalidate
      @submit.prevent="readIt"
    >
      <label for="read" class="learner"
        ><span class="sr-only">{{ t('ask.answer') }}</span
        ><span aria-hidden="true">=</span></label
      >
      <input
        id="read"
        v-model="read"
        type="text"
        class="learner"
        :inputmode="bench.bench.setup.units.fractions ? 'text' : 'numeric'"
        autocomplete="off"
        :aria-label="shares ? t('ask.answerShared') : t('ask.answer')"
        :placeholder="answerShown || (shares ? '… r …' : '')"
        @keydown.esc.stop="leave"
      />
      <button type="submit" class="stone-button" :disabled="read.trim() === ''">{{ t('ask.answer') }}</button>
    </form>
    <span class="gap" />
    <template v-if="!presenting">
      <button
        type="button"
        class="stone-button choice"
        aria-haspopup="dialog"
        :aria-label="t('ask.material', { title: title(bench.material) })"
        @click="openShelf('material')"
      >
        <span class="label"
          >{{ t('ask.with') }} <strong>{{ title(bench.material) }}</strong></span
        ><span class="wedge" aria-hidden="true" />
      </button>
      <button
        type="button"
        class="stone-button choice"
        aria-haspopup="dialog"
        :aria-label="t('ask.way', { title: wayName(bench.way) })"
        @click="openShelf('way')"
      >
        <span class="label">{{ wayName(bench.way) }}</span><span class="wedge" aria-hidden="true" />
      </button>
      <ModeChoice class="modes" @choose="workIn" />
    </template>
    <p v-if="refused" id="problem-trouble" class="under trouble" role="alert">
      <span :lang="reason(refused.message).lang">{{ reason(refused.message).text }}</span>
      <button v-for="m in refused.meant" :key="m.text" type="button" class="stone-button" @click="mean(m.text)">
        {{ m.label }}
      </button>
      <button v-for="id in instead" :key="id" type="button" class="stone-button" @click="workWith(id)">
        {{ t('ask.workIt', { material: called(id) }) }}
      </button>
      <span v-if="differs" class="still">{{ t('ask.stillThere') }} <MathLine :line="shown(bench.problem)" />.</span>
    </p>
    <p v-else-if="differs && nearest.length > 0 && !presenting" class="under" role="status">
      <span>{{ t('ask.work') }} <MathLine :line="shown(printProblem(wanted))" /> {{ t('ask.workWith') }}</span>
      <button v-for="id in nearest" :key="id" type="button" class="stone-button" @click="workWith(id)">
        {{ called(id) }}
      </button>
      <button type="button" class="stone-button bare" aria-haspopup="dialog" @click="openShelf('material')">
        {{ t('ask.another') }}
      </button>
      <span class="still">{{ t('ask.stillThere') }} <MathLine :line="shown(bench.problem)" />.</span>
    </p>
    <MaterialShelf
      v-if="shelf === 'material'"
      :problem="wanted"
      :chosen="bench.material"
      @choose="workWith"
      @close="shelf = null"
    />
    <WayShelf v-if="shelf === 'way'" :problem="wanted" :chosen="bench.way" @choose="workBy" @close="shelf = null" />
  </section>
</template>

<style scoped>
.ask {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 0.5rem;
  padding: 8px 14px;
  min-height: 60px;
  border-bottom: 1.5px solid var(--edge);
  position: relative;
}
.problem,
.answer {
  display: flex;
  gap: 6px;
  align-items: center;
}
.problem :deep(#problem) {
  width: 12rem;
  font-size: 1.5rem;
  font-weight: 700;
  padding-top: 0;
  padding-bottom: 0;
}
.problem :deep(#problem.long) {
  width: 16rem;
  font-size: 1.1rem;
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
.choice {
  min-width: 0;
  max-width: 17rem;
  flex: 0 1 auto;
}
.choice .label {
  overflow: hidden;
  text-overflow: ellipsis;
}
.wedge {
  flex: none;
  border: 6px solid transparent;
  border-top-color: currentcolor;
  translate: 0 3px;
}
.under {
  flex-basis: 100%;
  background: var(--paper-2);
  border-left: 5px solid var(--edge);
  padding: 0.3rem 0.8rem;
  display: flex;
  flex-wrap: wrap;
  gap: 0.3rem 0.7rem;
  align-items: center;
}
.trouble {
  background: var(--plum-wash);
  border-left-color: var(--plum);
}
.still {
  margin-left: auto;
  font-weight: 700;
}
.presenting .problem :deep(#problem),
.presenting .answer label,
.presenting .answer :deep(#read) {
  font-size: clamp(1.6rem, 3.4vw, 5rem);
  width: auto;
  height: auto;
}
.presenting .problem :deep(#problem) {
  width: min(11em, 60vw);
}
.presenting .answer :deep(#read) {
  width: 4em;
}
@media (max-width: 1150px) {
  .ask {
    padding: 6px 10px;
    gap: 0.4rem;
  }
  .problem :deep(#problem) {
    width: 8.5rem;
  }
  .answer :deep(#read) {
    width: 4rem;
  }
  .ask .stone-button {
    padding-inline: 0.6rem;
  }
  .gap {
    display: none;
  }
  .modes {
    margin-left: auto;
  }
}
@media (min-width: 1000px) and (max-width: 1150px) {
  .ask:not(:has(.under)) {
    flex-wrap: nowrap;
  }
}
@media (max-width: 600px) {
  .problem {
    flex: 1 1 12rem;
  }
  .problem :deep(#problem) {
    flex: 1;
    width: 100%;
    min-width: 0;
  }
  .answer {
    flex: 1 1 100%;
  }
  .answer :deep(#read) {
    flex: 1;
  }
  .choice {
    flex: 1 1 40%;
    max-width: none;
    justify-content: space-between;
  }
  .modes {
    flex: 1 1 100%;
  }
}
</style>
