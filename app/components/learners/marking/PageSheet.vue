<script setup lang="ts">
import { pretty } from '../../../../core/door'
import { emptyRow, filledRows, MOST_ROWS, rowOf, rowsOf, type AnswerRow } from '../../../utils/answerRows'
import type { RowMark } from '../../../utils/rowMarks'

/** A page of answers, typed line by line: Enter goes to the next field, and what is pasted fills as many lines as it has. */
const { marks, trouble = -1 } = defineProps<{ marks: readonly RowMark[] | null; trouble?: number }>()
const rows = defineModel<AnswerRow[]>({ required: true })
const withMarks = defineModel<boolean>('above', { required: true })
const emit = defineEmits<{ changed: [] }>()

type ColumnId = keyof AnswerRow
const COLUMNS: readonly {
  readonly id: ColumnId
  readonly head: string
  readonly label: string
  readonly most: number
}[] = [
  { id: 'problem', head: 'Problem', label: 'Problem', most: 200 },
  { id: 'above', head: 'Above', label: 'Written above', most: 60 },
  { id: 'answer', head: 'Answer', label: 'Answer', most: 40 },
]
const columns = computed(() => COLUMNS.filter((c) => c.id !== 'above' || withMarks.value))

const table = useTemplateRef('table')
/** There is always a line to go on with. */
watch(
  () => {
    const last = rows.value.at(-1)
    return !last || (last.problem + last.answer !== '' && rows.value.length < MOST_ROWS)
  },
  (wanted) => {
    if (wanted) rows.value.push(emptyRow())
  },
  { immediate: true },
)

const field = (row: number, column: ColumnId): HTMLInputElement | null =>
  table.value?.querySelector(`[data-row="${row}"][data-column="${column}"]`) ?? null
async function go(row: number, column: ColumnId): Promise<void> {
  await nextTick()
  const to = field(row, column)
  to?.focus()
  to?.select()
}
/** Enter: to the next field of the line; from its last one to the next line, past its problem where that is there already. */
function onward(row: number, column: ColumnId): void {
  if (column === 'problem') split(row)
  const ids = columns.value.map((c) => c.id)
  const next = ids[ids.indexOf(column) + 1]
  if (next) return void go(row, next)
  void go(row + 1, (rows.value[row + 1]?.problem ?? '') === '' ? 'problem' : ids[1]!)
}
/** A line typed whole, `52 - 37 = 25`, is parted where its equals sign is. */
function split(row: number): void {
  const now = rows.value[row]!
  const read = rowOf(now.problem)
  if (read.answer === '' || now.answer !== '') return
  Object.assign(now, { problem: read.problem, answer: read.answer })
}
function leave(row: number, column: ColumnId): void {
  if (column === 'problem') split(row)
  emit('changed')
}
function paste(row: number, event: ClipboardEvent): void {
  const text = event.clipboardData?.getData('text/plain') ?? ''
  if (!/[\n\t]/.test(text.trim())) return
  event.preventDefault()
  const pasted = rowsOf(text)
  rows.value = filledRows([...rows.value.slice(0, row), ...pasted, ...rows.value.slice(row + 1)]).slice(0, MOST_ROWS)
  emit('changed')
}
function away(row: number): void {
  rows.value = rows.value.filter((_, i) => i !== row)
  emit('changed')
  void go(Math.max(0, row - 1), 'problem')
}
const SIGN: Readonly<Record<RowMark['stands'], string>> = {
  right: '✓',
  explained: '◆',
  slip: '~',
  wrong: '○',
  blank: '',
  unread: '?',
}
defineExpose({ go })
</script>

<template>
  <div ref="table" class="page-sheet">
    <div class="scroll">
      <table aria-label="The page">
        <thead>
          <tr>
            <th scope="col"><span class="sr-only">Line</span></th>
            <th v-for="c in columns" :key="c.id" scope="col">{{ c.head }}</th>
            <th scope="col"><span :class="{ 'sr-only': !marks }">Stands</span></th>
            <th scope="col"><span class="sr-only">Take away</span></th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="(row, i) in rows" :key="i" :class="[marks?.[i]?.stands, { trouble: trouble === i }]">
            <td class="line">{{ i + 1 }}</td>
            <td v-for="c in columns" :key="c.id">
              <input
                v-model="row[c.id]"
                class="learner"
                :class="{ short: c.id !== 'problem' }"
                type="text"
                :maxlength="c.most"
                autocomplete="off"
                :data-row="i"
                :data-column="c.id"
                :aria-label="`${c.label} ${i + 1}`"
                @keydown.enter.prevent="onward(i, c.id)"
                @change="leave(i, c.id)"
                @paste="paste(i, $event)"
              />
            </td>
            <td class="stands">
              <template v-if="marks?.[i]">
                <span class="sign" aria-hidden="true">{{ SIGN[marks[i]!.stands] }}</span> {{ pretty(marks[i]!.says) }}
              </template>
            </td>
            <td>
              <button
                v-if="row.problem !== '' || row.answer !== ''"
                type="button"
                class="stone-button bare"
                :aria-label="`Take line ${i + 1} away`"
                @click="away(i)"
              >
                <IconX />
              </button>
            </td>
          </tr>
        </tbody>
      </table>
    </div>
    <label class="above"
      ><input v-model="withMarks" type="checkbox" /> What was written above the columns too (4 12 above 52; - where
      nothing was)</label
    >
  </div>
</template>

<style scoped>
.page-sheet {
  display: grid;
  gap: 0.6rem;
  min-height: 0;
}
.scroll {
  overflow: auto;
  background: var(--sheet);
  border: 1.5px solid var(--edge);
  background-image:
    linear-gradient(var(--rule) 1px, transparent 1px), linear-gradient(90deg, var(--rule) 1px, transparent 1px);
  background-size: 24px 24px;
}
table {
  border-collapse: collapse;
  width: 100%;
}
th {
  text-align: left;
  font-weight: 700;
  padding: 0.4rem 0.4rem 0.2rem;
  background: var(--sheet);
  position: sticky;
  top: 0;
  z-index: 1;
}
td {
  padding: 2px 0.2rem;
}
.line {
  text-align: right;
  color: var(--ink-soft);
  width: 2rem;
  font-variant-numeric: tabular-nums;
}
input[type='text'] {
  width: 100%;
  min-width: 7.2rem;
  min-height: 44px;
  padding: 0.2rem 0.5rem;
  border: 1.5px solid transparent;
  border-bottom-color: var(--edge);
  background: color-mix(in srgb, var(--sheet) 85%, transparent);
  color: var(--ink);
  font-size: 1.15rem;
}
input.short {
  min-width: 4.4rem;
}
input:focus-visible {
  outline: 3px solid var(--focus);
  outline-offset: 1px;
}
.stands {
  min-width: 11.5rem;
  font-weight: 700;
}
.sign {
  display: inline-block;
  min-width: 1.1em;
}
.right .stands {
  color: var(--moss);
}
.explained td {
  background: var(--clay-wash);
}
.explained .stands {
  color: var(--ink);
}
.slip .stands,
.wrong .stands {
  color: var(--plum);
}
.unread td,
.trouble td {
  background: var(--plum-wash);
}
@media (max-width: 600px) {
  .line {
    width: 1.2rem;
  }
  .stands {
    min-width: 9rem;
  }
}
.above {
  display: flex;
  gap: 0.6rem;
  align-items: center;
  min-height: 44px;
  color: var(--ink-2);
}
</style>
