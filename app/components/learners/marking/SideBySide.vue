<script setup lang="ts">
import {
  piecesAt,
  printAnswer,
  procedureById,
  problemsOf,
  sideBySide,
  suspectOf,
  type Ranked,
  type SideBySide,
} from '../../../../core/diagnose/index'
import {
  attempt,
  parseProblem,
  pretty,
  printProblem,
  type Problem,
  type RepresentationId,
  withDefaults as withChoices,
} from '../../../../core/door'
import { capitalised } from '../../../utils/saidOf'

/** A procedure's way and the right one, worked side by side, a step at a time, stopping where they part. */
const { ranked, problems } = defineProps<{ ranked: Ranked; problems: readonly string[] }>()
const emit = defineEmits<{ close: []; bench: [problem: string, material: RepresentationId] }>()

const classroom = useClassroom()
const suspect = computed(() => suspectOf(ranked.bug, ranked.form, withChoices(classroom.hands ?? undefined)))
/** Problems of the page in which the two part; where there are none, some of the same kind. */
const choices = computed(() => {
  const parts = (p: Problem): boolean => {
    const s = sideBySide(p, suspect.value)
    return s.theirs.value !== s.right.value || s.theirs.remainder !== s.right.remainder
  }
  const own = problems.flatMap((text) => {
    const read = attempt(() => parseProblem(text))
    return 'ok' in read && parts(read.ok) ? [read.ok] : []
  })
  const known = procedureById(ranked.bug[0]!)
  const more = own.length > 0 || !known ? [] : problemsOf({ family: known.family, most: 999 }, 200, 3).filter(parts)
  return [...own, ...more].slice(0, 12).map(printProblem)
})
const chosen = ref('')
watchEffect(() => {
  if (!choices.value.includes(chosen.value)) chosen.value = choices.value[0] ?? ''
})
const shown = computed<SideBySide | null>(() => {
  const read = attempt(() => parseProblem(chosen.value))
  return 'ok' in read ? sideBySide(read.ok, suspect.value) : null
})
const columns = computed(() => shown.value?.columns ?? null)
const most = computed(() => Math.max(columns.value?.theirs.steps.length ?? 0, columns.value?.right.steps.length ?? 0))
const step = ref(0)
watch(chosen, () => (step.value = 0))
/** Up to where the two part, and beyond only when asked. */
const toParting = (): void => {
  step.value = (columns.value?.partsAt ?? 0) + 1
}
const says = computed(() => {
  const c = columns.value
  if (!c || !shown.value) return shown.value?.says ?? ''
  if (step.value === 0) return 'Step on: both begin alike.'
  if (step.value - 1 < c.partsAt) return `Alike so far: ${c.right.steps[step.value - 1]?.says ?? ''}.`
  if (step.value - 1 === c.partsAt) return shown.value.says
  return `Theirs: ${c.theirs.steps[step.value - 1]?.says ?? 'done'}. As it should be: ${c.right.steps[step.value - 1]?.says ?? 'done'}.`
})

interface Square {
  readonly mark: string
  readonly digit: string
  readonly struck: boolean
}
/** A column sheet as it stands after so many steps, the highest place first. */
function sheetAt(which: 'theirs' | 'right') {
  const c = columns.value!
  const { sheet } = c
  const { steps } = c[which]
  const now = steps[Math.min(step.value, steps.length) - 1]
  const wide = Math.max(sheet.width, ...c.theirs.wrote.map((_, i) => i + 1), c.right.wrote.length)
  const at = Array.from({ length: wide }, (_, i) => wide - 1 - i)
  const above = at.map((i): string => {
    const stands = now?.stands[i] ?? 0
    if (sheet.operation === '+') return stands > 0 ? String(stands) : ''
    return now && stands !== (sheet.rows[0]![i] ?? 0) ? String(stands) : ''
  })
  const rows = sheet.rows.map((row, r) =>
    at.map((i): Square => ({
      mark: r === 0 ? above[wide - 1 - i]! : '',
      digit: i < sheet.lengths[r]! ? String(row[i]) : '',
      struck: r === 0 && sheet.operation === '-' && above[wide - 1 - i] !== '',
    })),
  )
  const wrote = at.map((i) => now?.wrote[i] ?? '')
  const active = steps[Math.min(step.value, steps.length) - 1]?.at ?? -1
  return { above, rows, wrote, at, active, point: sheet.decimals, pieces: piecesAt(sheet, c[which], step.value) }
}
const sides = computed(() =>
  columns.value
    ? (
        [
          { title: 'Answers like these', which: 'theirs' },
          { title: 'As it should be', which: 'right' },
        ] as const
      ).map(({ title, which }) => ({ title, which, ...sheetAt(which) }))
    : [],
)
const materials = computed(() => ranked.bug.flatMap((id) => procedureById(id)?.show.materials ?? []))
const heading = useTemplateRef('heading')
onMounted(() => heading.value?.focus())
</script>

<template>
  <section class="side" aria-label="Side by side">
    <header>
      <h2 ref="heading" tabindex="-1">{{ capitalised(ranked.bug) }}</h2>
      <label
        >On
        <select v-model="chosen" class="learner">
          <option v-for="p in choices" :key="p" :value="p">{{ pretty(p) }}</option>
        </select>
      </label>
      <button type="button" class="stone-button" @click="emit('close')">Close</button>
    </header>
    <p v-if="choices.length === 0" class="quiet">No problem was found in which the two part.</p>
    <div v-if="columns" class="sheets">
      <figure v-for="s in sides" :key="s.which" :class="s.which">
        <figcaption>{{ s.title }}</figcaption>
        <table class="learner" :aria-label="s.title">
          <tbody>
            <tr class="marks">
              <td class="sign" />
              <td v-for="(m, i) in s.above" :key="i" :class="{ now: s.at[i] === s.active }">{{ m }}</td>
            </tr>
            <tr v-for="(row, r) in s.rows" :key="r">
              <td class="sign">{{ r === s.rows.length - 1 ? (columns.sheet.operation === '+' ? '+' : '−') : '' }}</td>
              <td
                v-for="(q, i) in row"
                :key="i"
                :class="{ struck: q.struck, now: s.at[i] === s.active, point: s.point > 0 && s.at[i] === s.point }"
              >
                {{ q.digit }}
              </td>
            </tr>
            <tr class="result">
              <td class="sign" />
              <td
                v-for="(w, i) in s.wrote"
                :key="i"
                :class="{ now: s.at[i] === s.active, point: s.point > 0 && s.at[i] === s.point && w !== '' }"
              >
                {{ w }}
              </td>
            </tr>
          </tbody>
        </table>
        <DrawnPieces v-if="s.point === 0" :counts="s.pieces" />
      </figure>
    </div>
    <div v-else-if="shown" class="sheets">
      <figure>
        <figcaption>Answers like these</figcaption>
        <p class="learner big">{{ pretty(`${chosen} = ${printAnswer(shown.theirs)}`) }}</p>
      </figure>
      <figure>
        <figcaption>As it should be</figcaption>
        <p class="learner big">{{ pretty(`${chosen} = ${printAnswer(shown.right)}`) }}</p>
      </figure>
    </div>
    <p class="parting" :class="{ here: columns && step - 1 === columns.partsAt }" role="status">{{ says }}</p>
    <div v-if="columns" class="in-row">
      <button type="button" class="stone-button" :disabled="step === 0" @click="step--">Back</button>
      <button type="button" class="stone-button" :disabled="step >= most" @click="step++">Step</button>
      <button type="button" class="stone-button main" @click="toParting">To where they part</button>
    </div>
    <div v-if="chosen" class="in-row">
      <span>Work {{ pretty(chosen) }} at the Bench:</span>
      <button
        v-for="m in [...new Set(materials)]"
        :key="m"
        type="button"
        class="stone-button"
        @click="emit('bench', chosen, m)"
      >
        {{ nameOfMaterial(m) }}
      </button>
    </div>
  </section>
</template>

<style scoped>
.side {
  display: grid;
  gap: 0.9rem;
  align-content: start;
}
header {
  display: flex;
  flex-wrap: wrap;
  gap: 0.8rem;
  align-items: center;
}
h2 {
  flex: 1;
  margin: 0;
  font-size: 1.25rem;
  min-width: 14rem;
}
header label {
  display: inline-flex;
  gap: 0.5rem;
  align-items: center;
}
.sheets {
  display: flex;
  flex-wrap: wrap;
  gap: 1.2rem;
}
figure {
  flex: 1 1 14rem;
  margin: 0;
  padding: 0.8rem;
  background: var(--sheet);
  border: 1.5px solid var(--edge);
}
figure.right {
  border-left: 6px solid var(--moss);
}
figure.theirs {
  border-left: 6px double var(--clay);
}
figcaption {
  font-weight: 700;
  margin-bottom: 0.4rem;
}
table {
  border-collapse: collapse;
  margin: 0 auto;
  font-size: 1.9rem;
  font-variant-numeric: tabular-nums;
}
td {
  width: 2.6rem;
  height: 2.6rem;
  text-align: center;
  border: 1px solid var(--rule);
  position: relative;
}
.marks td {
  font-size: 1.15rem;
  height: 1.9rem;
  color: var(--ink-2);
  font-weight: 700;
}
.result td {
  border-top: 3px solid var(--ink);
  font-weight: 700;
}
.struck {
  text-decoration: line-through;
  text-decoration-thickness: 3px;
}
.now {
  background: var(--clay-wash);
}
.point::after {
  content: '.';
  position: absolute;
  right: -0.2rem;
  bottom: 0;
}
.big {
  font-size: 1.7rem;
  margin: 0.4rem 0;
}
.parting {
  margin: 0;
  padding: 0.6rem 0.9rem;
  border-left: 6px solid var(--edge);
  background: var(--paper-2);
  min-height: 3.2rem;
  font-size: 1.1rem;
}
.parting.here {
  border-left-color: var(--plum);
  background: var(--plum-wash);
  font-weight: 700;
}
</style>
