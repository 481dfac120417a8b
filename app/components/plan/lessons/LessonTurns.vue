<script setup lang="ts">
import { setProblems, wayFor, type LessonTime, type Turn } from '../../../../core/course/index'
import { attempt, parseProblem, pretty, representationsFor, type RepresentationId } from '../../../../core/door'
import type { Lesson } from '../../../../shared/lessons'
import type { RecordSummary } from '../../../../shared/listing'

/** The turns of a lesson, part by part: whose, which problem, with what, how long. All of it can be changed, and dragged into order. */
const { worked, time, mayChange } = defineProps<{
  worked: readonly (RecordSummary | null)[]
  time: LessonTime
  mayChange: boolean
}>()
const lesson = defineModel<Lesson>({ required: true })
const courses = useCourses()
const { t } = useI18n()
const { title: titleOfMaterial } = useNames()
const set = (change: Partial<Lesson>): void => void (lesson.value = { ...lesson.value, ...change })
const setTurn = (at: number, change: Partial<Turn>): void =>
  set({ turns: lesson.value.turns.map((turn, i) => (i === at ? { ...turn, ...change } : turn)) })

const { partsOf, whose } = useLessonParts()
const parts = computed(() => partsOf(lesson.value))
const minutesOf = (turns: readonly { readonly at: number }[]): number =>
  Math.max(1, Math.round(turns.reduce((sum, { at }) => sum + time.each[at]!, 0) / 60_000))

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
    refused.value = { ...rest, [at]: t('lesson.nothingHolds') }
    return
  }
  const material = fits?.fits ? turn.material : instead!.representation
  refused.value = fits?.fits
    ? rest
    : {
        ...rest,
        [at]: t('lesson.heldBy', { was: titleOfMaterial(turn.material), now: titleOfMaterial(material) }),
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
  [-1, 'lesson.up'],
  [1, 'lesson.down'],
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
  const at = turns.findLastIndex((turn) => LESSON_PARTS.indexOf(turn.mode) <= LESSON_PARTS.indexOf(mode)) + 1
  set({ turns: [...turns.slice(0, at), { ...model, problem, learner, mode }, ...turns.slice(at)] })
}

const told = (record: RecordSummary): string =>
  `${t(record.right ? 'lesson.right' : 'lesson.notYet')}, ${HELP_USED[record.help]}`
/** The turn whose menu is open, and what it holds. */
const menuAt = ref(0)
const menu = ref<{ toggle: (event: Event) => void } | null>(null)
const more = computed(() => [
  ...MOVES.map(([by, key]) => ({
    label: t(key),
    disabled: besideOf(menuAt.value, by) === menuAt.value,
    command: () => move(menuAt.value, besideOf(menuAt.value, by)),
  })),
  {
    label: t('lesson.takeOut'),
    disabled: lesson.value.turns.length === 1,
    command: () => takeOut(menuAt.value),
  },
])
function openMenu(at: number, event: Event): void {
  menuAt.value = at
  menu.value?.toggle(event)
}
</script>

<template>
  <div class="turns">
    <p v-if="taken" class="in-row no-print" role="status">
      {{ t('lesson.taken', { what: pretty(taken.turn.problem) }) }}
      <Button
        severity="secondary"
        :label="t('lesson.bringBack', { what: pretty(taken.turn.problem) })"
        @click="bringBack"
      />
    </p>
    <section v-for="p in parts" :key="p.mode" class="card" :aria-label="t(`lesson.part.${p.mode}`)">
      <header>
        <h2>{{ t(`lesson.part.${p.mode}`) }}</h2>
        <span v-if="p.turns.length" class="quiet">{{ t('today.minutes', minutesOf(p.turns)) }}</span>
        <span class="grow" />
        <Button
          v-if="mayChange"
          severity="secondary"
          text
          class="no-print"
          :aria-label="t('lesson.addTo', { part: t(`lesson.part.${p.mode}`) })"
          @click="add(p.mode)"
          ><IconPlus /> {{ t('lesson.problem') }}</Button
        >
      </header>
      <ul v-if="p.turns.length" class="plain">
        <li
          v-for="{ turn, at } in p.turns"
          :key="at"
          :draggable="mayChange"
          :class="{ dragged: dragged === at }"
          @dragstart="dragged = at"
          @dragend="dragged = null"
          @dragover.prevent
          @drop.prevent="drop(at)"
        >
          <IconGripVertical v-if="mayChange" class="grip no-print" />
          <span class="who">
            <LearnerMark v-if="turn.learner" :name="whose(turn)" />
            <b>{{ whose(turn) }}</b>
          </span>
          <InputText
            class="learner problem"
            maxlength="200"
            :model-value="pretty(turn.problem)"
            :disabled="!mayChange"
            :invalid="refused[at] !== undefined"
            :aria-label="t('lesson.problemFor', { name: whose(turn) })"
            @change="setProblem(at, ($event.target as HTMLInputElement).value)"
          />
          <span class="with">
            <MaterialPicture :id="turn.material" />
            <Select
              :model-value="turn.material"
              :options="materialsFor(turn).map((value) => ({ value, label: titleOfMaterial(value) }))"
              option-label="label"
              option-value="value"
              :disabled="!mayChange"
              :aria-label="t('lesson.with', { problem: pretty(turn.problem) })"
              @update:model-value="(id) => setMaterial(at, id as RepresentationId)"
            />
          </span>
          <NuxtLink v-if="worked[at]" class="reach done" :to="`/bench?record=${worked[at]!.id}`"
            ><span class="tag" :class="{ moss: worked[at]!.right }">{{ told(worked[at]!) }}</span></NuxtLink
          >
          <span v-else class="quiet minutes">{{ minutesText(time.each[at]!) }}</span>
          <Button
            v-if="mayChange"
            severity="secondary"
            text
            class="no-print"
            aria-haspopup="menu"
            :aria-label="t('lesson.moreFor', { problem: pretty(turn.problem) })"
            @click="openMenu(at, $event)"
            ><IconEllipsis
          /></Button>
          <p v-if="refused[at]" class="trouble" role="alert">{{ refused[at] }}</p>
        </li>
      </ul>
      <p v-else class="quiet">{{ t('lesson.noTurns') }}</p>
    </section>
    <LazyPopMenu ref="menu" :model="more" />
  </div>
</template>

<style scoped>
.turns {
  display: grid;
  gap: 16px;
}
header {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 10px;
  min-height: 44px;
}
li {
  display: grid;
  grid-template-columns: 18px 7.6rem minmax(7rem, 1fr) minmax(0, 15rem) minmax(4.2rem, auto) 44px;
  gap: 4px 12px;
  align-items: center;
  padding: 8px 0;
  border-top: 1px solid var(--line);
}
.dragged {
  opacity: 0.5;
}
.grip {
  color: var(--edge);
  cursor: grab;
}
.who {
  display: flex;
  align-items: center;
  gap: 8px;
  min-width: 0;
}
.who .mark {
  width: 28px;
  height: 28px;
  border-radius: 7px;
}
.problem {
  width: 100%;
  padding-inline: 6px;
  border-color: transparent;
  background: transparent;
  font-size: 1.3rem;
  font-weight: 700;
}
.problem:hover:enabled {
  border-color: var(--line-2);
}
.with {
  display: flex;
  align-items: center;
  gap: 8px;
  min-width: 0;
}
.with :deep(svg:first-child) {
  flex: none;
  width: 46px;
  border-radius: 7px;
}
.with .p-select {
  flex: 1;
  min-width: 0;
  border-color: transparent;
  background: transparent;
}
.with .p-select:hover {
  border-color: var(--line-2);
}
.minutes,
.done {
  justify-self: end;
  white-space: nowrap;
}
.done .tag {
  white-space: normal;
}
li .trouble {
  grid-column: 3 / -1;
}
@media (max-width: 1150px) {
  li {
    grid-template-columns: 18px minmax(0, 1fr) auto 44px;
  }
  .who {
    grid-column: 2;
  }
  .problem {
    grid-column: 2 / -1;
    grid-row: 2;
  }
  .with {
    grid-column: 2 / -1;
    grid-row: 3;
  }
  li .trouble {
    grid-column: 2 / -1;
  }
}
@media print {
  .turns {
    gap: 3mm;
  }
  .card {
    padding: 0;
    box-shadow: none;
  }
  header {
    min-height: 0;
  }
  li {
    grid-template-columns: 6rem 1fr 9rem auto;
    padding: 0.6mm 0;
  }
  .who,
  .problem,
  .with {
    grid-column: auto;
    grid-row: auto;
  }
  .with :deep(svg) {
    display: none;
  }
  .problem {
    padding: 0;
    font-size: 12pt;
  }
}
</style>
