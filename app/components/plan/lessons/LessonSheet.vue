<script setup lang="ts">
import { setProblems, wayFor, type Turn } from '../../../../core/course/index'
import {
  attempt,
  parseProblem,
  pretty,
  REPRESENTATIONS,
  representationsFor,
  type RepresentationId,
} from '../../../../core/door'
import type { Lesson } from '../../../../shared/lessons'
import type { RecordSummary } from '../../../../shared/listing'

/** A lesson on one page: whose turn, which problem, with what; what to say, to ask and to watch for; what comes after. All of it can be changed. */
const { worked } = defineProps<{ worked: readonly (RecordSummary | null)[] }>()
const lesson = defineModel<Lesson>({ required: true })
const classroom = useClassroom()
const courses = useCourses()
const names = useMistakeNames()
const set = (change: Partial<Lesson>): void => void (lesson.value = { ...lesson.value, ...change })
const setTurn = (at: number, change: Partial<Turn>): void =>
  set({ turns: lesson.value.turns.map((t, i) => (i === at ? { ...t, ...change } : t)) })

const { partsOf, afterOf, titles, whose, goesWell } = useLessonParts()
const parts = computed(() => partsOf(lesson.value))
const after = computed(() => afterOf(lesson.value))

/** Why a problem that was typed is not taken, by its place. */
const refused = ref<Readonly<Record<number, string>>>({})
function setProblem(at: number, text: string): void {
  const turn = lesson.value.turns[at]!
  const read = attempt(() => parseProblem(text))
  const { [at]: _, ...rest } = refused.value
  if ('refused' in read) {
    refused.value = { ...rest, [at]: read.refused.message }
    return
  }
  const offers = representationsFor(read.ok)
  const fits = offers.find((o) => o.representation === turn.material)
  const instead = offers.find((o) => o.fits)
  if (fits && !fits.fits && !instead) {
    refused.value = { ...rest, [at]: 'Nothing that Sett has can hold it.' }
    return
  }
  const material = fits?.fits ? turn.material : instead!.representation
  refused.value = fits?.fits
    ? rest
    : {
        ...rest,
        [at]: `${REPRESENTATIONS[turn.material].title} cannot hold it; it is with ${REPRESENTATIONS[material].title} now.`,
      }
  const step = courses.stepOf(turn.step)
  setTurn(at, { problem: text.trim(), material, way: step ? wayFor(step, text, material) : null })
}
const materialsFor = (turn: Turn): readonly RepresentationId[] => {
  const fits = attempt(() => representationsFor(turn.problem))
  const all = 'ok' in fits ? fits.ok.filter((o) => o.fits).map((o) => o.representation) : []
  return all.includes(turn.material) ? all : [turn.material, ...all]
}
function setMaterial(at: number, material: RepresentationId): void {
  const turn = lesson.value.turns[at]!
  const step = courses.stepOf(turn.step)
  setTurn(at, { material, way: step ? wayFor(step, turn.problem, material) : null })
}
/** What was taken out last, and where it stood. */
const taken = shallowRef<{ readonly turn: Turn; readonly at: number } | null>(null)
function takeOut(at: number): void {
  taken.value = { turn: lesson.value.turns[at]!, at }
  refused.value = {}
  set({ turns: lesson.value.turns.filter((_, i) => i !== at) })
}
function bringBack(): void {
  const { turn, at } = taken.value!
  taken.value = null
  set({ turns: lesson.value.turns.toSpliced(at, 0, turn) })
}
const MOVES = [
  [-1, 'up', '↑'],
  [1, 'down', '↓'],
] as const
const { move, besideOf, dragged, drop } = useTurnOrder(
  () => lesson.value.turns,
  (turns) => {
    refused.value = {}
    set({ turns })
  },
)
/** One more problem of a part: of the step and for the learner of the one before it, or of the lesson's first. */
function add(mode: Turn['mode']): void {
  const { turns, learners } = lesson.value
  const own = turns.filter((t) => t.mode === mode)
  const learner =
    mode === 'show' ? null : learners[(learners.indexOf(own.at(-1)?.learner ?? '') + 1) % learners.length]!
  const model = turns.findLast((t) => t.learner === learner) ?? turns.at(-1)!
  const step = courses.stepOf(model.step)
  if (!step) return
  const set1 = attempt(() => setProblems({ step, count: 1, seed: turns.length, without: turns.map((t) => t.problem) }))
  const problem = ('ok' in set1 ? set1.ok[0] : undefined) ?? model.problem
  const at =
    turns.findLastIndex(
      (t) => LESSON_PARTS.findIndex(([m]) => m === t.mode) <= LESSON_PARTS.findIndex(([m]) => m === mode),
    ) + 1
  set({ turns: [...turns.slice(0, at), { ...model, problem, learner, mode }, ...turns.slice(at)] })
}

const told = (record: RecordSummary): string => `${record.right ? 'right' : 'not yet'}, ${HELP_USED[record.help]}`
</script>

<template>
  <div class="sheet">
    <div class="turns">
      <button v-if="taken" type="button" class="stone-button no-print back" @click="bringBack">
        Bring back {{ pretty(taken.turn.problem) }}
      </button>
      <section v-for="p in parts" :key="p.mode" :aria-label="p.title">
        <h2>{{ p.title }}</h2>
        <table v-if="p.turns.length">
          <tbody>
            <tr
              v-for="{ turn, at } in p.turns"
              :key="at"
              draggable="true"
              :class="{ dragged: dragged === at }"
              @dragstart="dragged = at"
              @dragend="dragged = null"
              @dragover.prevent
              @drop.prevent="drop(at)"
            >
              <th scope="row">{{ whose(turn) }}</th>
              <td>
                <input
                  class="learner"
                  type="text"
                  maxlength="200"
                  :value="pretty(turn.problem)"
                  :aria-label="`Problem for ${whose(turn)}`"
                  @change="setProblem(at, ($event.target as HTMLInputElement).value)"
                />
                <p v-if="refused[at]" class="trouble" role="alert">{{ refused[at] }}</p>
              </td>
              <td>
                <select
                  :value="turn.material"
                  :aria-label="`With what: ${pretty(turn.problem)}`"
                  @change="setMaterial(at, ($event.target as HTMLSelectElement).value as RepresentationId)"
                >
                  <option v-for="m in materialsFor(turn)" :key="m" :value="m">{{ REPRESENTATIONS[m].title }}</option>
                </select>
              </td>
              <td class="done">
                <NuxtLink v-if="worked[at]" :to="`/bench?record=${worked[at]!.id}`">{{ told(worked[at]!) }}</NuxtLink>
              </td>
              <td class="no-print">
                <button
                  v-for="[by, name, sign] in MOVES"
                  :key="name"
                  type="button"
                  class="stone-button bare"
                  :aria-label="`Move ${pretty(turn.problem)} ${name}`"
                  :disabled="besideOf(at, by) === at"
                  @click="move(at, besideOf(at, by))"
                >
                  {{ sign }}
                </button>
                <button
                  type="button"
                  class="stone-button bare"
                  :aria-label="`${pretty(turn.problem)}: take out`"
                  :disabled="lesson.turns.length === 1"
                  @click="takeOut(at)"
                >
                  ×
                </button>
              </td>
            </tr>
          </tbody>
        </table>
        <p v-else class="quiet">Nothing.</p>
        <button type="button" class="stone-button bare no-print" @click="add(p.mode)">Add a problem</button>
      </section>
    </div>
    <div class="beside">
      <section aria-label="What to say and to ask">
        <h2>Say and ask</h2>
        <textarea
          class="no-print"
          :value="lesson.words"
          rows="8"
          maxlength="4000"
          aria-label="What to say and to ask"
          @input="set({ words: ($event.target as HTMLTextAreaElement).value })"
        />
        <p class="on-paper words">{{ lesson.words }}</p>
      </section>
      <section v-for="{ step, well, badly, material } in after" :key="step.id" :aria-label="step.title">
        <h2>{{ step.title }}</h2>
        <dl>
          <template v-if="step.usual.length">
            <dt>Watch for</dt>
            <dd>{{ step.usual.map(names).join('; ') }}</dd>
          </template>
          <dt>Goes well</dt>
          <dd>{{ goesWell(well) }}</dd>
          <dt>Goes badly</dt>
          <dd>
            {{
              badly.material
                ? `back to ${REPRESENTATIONS[badly.material].title}`
                : `fewer at a time with ${REPRESENTATIONS[material].title}`
            }}{{ badly.steps.length ? `, or to: ${titles(badly.steps)}` : '' }}
          </dd>
        </dl>
      </section>
      <section aria-label="Afterwards">
        <h2>Afterwards</h2>
        <label v-for="id in lesson.learners" :key="id" class="note">
          {{ classroom.nameOf(id) }}
          <textarea
            rows="2"
            maxlength="1000"
            :value="lesson.notes[id] ?? ''"
            @input="set({ notes: { ...lesson.notes, [id]: ($event.target as HTMLTextAreaElement).value } })"
          />
        </label>
      </section>
    </div>
  </div>
</template>

<style scoped>
.dragged {
  opacity: 0.5;
}
.sheet {
  display: grid;
  grid-template-columns: minmax(0, 1.25fr) minmax(0, 1fr);
  gap: 1.6rem;
  align-items: start;
}
h2 {
  margin: 0 0 0.3rem;
  font-size: 1.1rem;
}
.turns,
.beside {
  display: grid;
  gap: 1rem;
}
table {
  border-collapse: collapse;
  width: 100%;
  background: var(--sheet);
}
tr {
  border-bottom: 1px solid var(--rule);
}
th {
  width: 5.5rem;
  padding: 0.2rem 0.6rem;
  text-align: left;
}
td:nth-child(2) {
  width: 40%;
}
td input {
  width: 100%;
  font-size: 1.2rem;
  border-color: transparent;
  background: transparent;
}
td select {
  max-width: 11rem;
}
td:last-child {
  white-space: nowrap;
  text-align: right;
}
.back {
  justify-self: start;
}
.beside section {
  padding-left: 0.9rem;
  border-left: 6px solid var(--rule);
}
textarea {
  width: 100%;
}
.on-paper {
  display: none;
}
dl {
  display: grid;
  grid-template-columns: 6rem minmax(0, 1fr);
  gap: 0.3rem 0.8rem;
  margin: 0;
}
dt {
  font-weight: 700;
}
dd {
  margin: 0;
}
.note {
  display: grid;
  gap: 0.2rem;
  margin-bottom: 0.5rem;
}
@media (max-width: 900px) {
  .sheet {
    grid-template-columns: minmax(0, 1fr);
  }
}
@media (max-width: 600px) {
  tr {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
  }
  td:nth-child(2) {
    flex: 1;
    width: auto;
    min-width: 8rem;
  }
}
@media print {
  /* One page: what is said and watched for stands close, each part after its word. */
  .sheet {
    grid-template-columns: 1fr 1.3fr;
    gap: 5mm;
    font-size: 8.5pt;
    line-height: 1.25;
  }
  .turns,
  .beside {
    gap: 3mm;
  }
  h2 {
    font-size: 10.5pt;
  }
  table {
    background: none;
  }
  th {
    width: 4rem;
    padding: 0.1rem 0.4rem;
  }
  .on-paper {
    display: block;
    white-space: pre-line;
    margin: 0;
  }
  td input {
    font-size: 11pt;
    line-height: 1.15;
    padding: 0;
    min-height: 0;
  }
  td select {
    appearance: none;
    border: 0;
    padding: 0;
    min-height: 0;
    background: none;
  }
  dl {
    display: block;
  }
  dt,
  dd {
    display: inline;
  }
  dt::after {
    content: ': ';
  }
  dd::after {
    content: '\A';
    white-space: pre;
  }
  .note textarea {
    height: 8mm;
    min-height: 0;
    border: 0;
    border-bottom: 1px solid #000;
    border-radius: 0;
    background: none;
    resize: none;
  }
}
</style>
