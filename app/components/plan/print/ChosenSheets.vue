<script setup lang="ts">
import { MOST_SHEETS, type ChosenSheet, type SheetChoice } from '../../../../shared/prints'
import { fieldsOf, SHEET_GROUPS, sheetTitle } from '../../../utils/sheets'

/** The sheets of a print, in their order: how many of each, what of it can be set, and more to be added. */
defineProps<{ troubles: Readonly<Record<number, string>> }>()
const sheets = defineModel<readonly ChosenSheet[]>({ required: true })
const put = (at: number, change: Partial<ChosenSheet>): void =>
  void (sheets.value = sheets.value.map((s, i) => (i === at ? { ...s, ...change } : s)))
const copies = (text: string): number => Math.min(60, Math.max(1, Math.trunc(Number(text) || 1)))
/** What was taken out last, and where it stood. */
const taken = shallowRef<{ readonly sheet: ChosenSheet; readonly at: number } | null>(null)
function takeOut(at: number): void {
  taken.value = { sheet: sheets.value[at]!, at }
  sheets.value = sheets.value.filter((_, i) => i !== at)
}
function bringBack(): void {
  sheets.value = sheets.value.toSpliced(taken.value!.at, 0, taken.value!.sheet)
  taken.value = null
}
const earlier = (at: number): void =>
  void (sheets.value = sheets.value.map((s, i) =>
    i === at - 1 ? sheets.value[at]! : i === at ? sheets.value[at - 1]! : s,
  ))
/** What is to be added next; a list that acted by itself would act at every letter that is typed into it. */
const next = ref('problems')
function add(): void {
  const first = SHEET_GROUPS.flatMap((g) => g.sheets).find((s) => s.id === next.value)?.first
  if (first) sheets.value = [...sheets.value, { sheet: first, copies: 1 }]
}
const setSheet = (at: number, sheet: SheetChoice): void => put(at, { sheet })
</script>

<template>
  <section aria-label="Sheets">
    <ol>
      <li v-for="({ sheet, copies: many }, i) in sheets" :key="i">
        <div class="head">
          <b>{{ sheetTitle(sheet) }}</b>
          <span class="times" aria-hidden="true">×</span>
          <input
            type="number"
            min="1"
            max="60"
            :value="many"
            :aria-label="`${sheetTitle(sheet)}: copies`"
            @change="put(i, { copies: copies(($event.target as HTMLInputElement).value) })"
          />
          <button
            v-if="i > 0"
            type="button"
            class="stone-button bare"
            :aria-label="`${sheetTitle(sheet)}: earlier`"
            @click="earlier(i)"
          >
            ↑
          </button>
          <button
            type="button"
            class="stone-button bare"
            :aria-label="`${sheetTitle(sheet)}: take out`"
            @click="takeOut(i)"
          >
            ×
          </button>
        </div>
        <SheetFields v-if="fieldsOf(sheet).length" :model-value="sheet" @update:model-value="(s) => setSheet(i, s)" />
        <p v-if="troubles[i]" class="trouble" role="status">{{ troubles[i] }}</p>
      </li>
    </ol>
    <p v-if="sheets.length === 0" class="quiet">No sheet is chosen yet.</p>
    <div class="in-row">
      <template v-if="sheets.length < MOST_SHEETS">
        <select v-model="next" aria-label="A further sheet">
          <optgroup v-for="g in SHEET_GROUPS" :key="g.title" :label="g.title">
            <option v-for="s in g.sheets" :key="s.id" :value="s.id">{{ s.title }}</option>
          </optgroup>
        </select>
        <button type="button" class="stone-button" @click="add">Add it</button>
      </template>
      <button v-if="taken" type="button" class="stone-button bare" @click="bringBack">
        Bring back {{ sheetTitle(taken.sheet.sheet).toLowerCase() }}
      </button>
    </div>
  </section>
</template>

<style scoped>
ol {
  list-style: none;
  margin: 0 0 0.5rem;
  padding: 0;
}
li {
  padding: 0.3rem 0 0.5rem 0.7rem;
  border-left: 6px solid var(--rule);
  margin-bottom: 0.4rem;
}
.head {
  display: flex;
  align-items: center;
  gap: 0.2rem;
}
.head b {
  flex: 1;
}
.head input {
  width: 4.2rem;
}
p {
  margin: 0.2rem 0;
}
</style>
