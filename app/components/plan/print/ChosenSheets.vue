<script setup lang="ts">
import { MOST_SHEETS, type ChosenSheet } from '../../../../shared/prints'
import { sheetFields } from '../../../utils/sheets'

/** The sheets of a print in their order: how many of each, and the settings of the one that is open. */
defineProps<{ troubles: Readonly<Record<number, string>> }>()
const sheets = defineModel<readonly ChosenSheet[]>({ required: true })
const emit = defineEmits<{ add: [] }>()
const { t } = useI18n()
const { sheetTitle } = useSheetNames()
const put = (at: number, change: Partial<ChosenSheet>): void =>
  void (sheets.value = sheets.value.map((s, i) => (i === at ? { ...s, ...change } : s)))
/** The sheet whose settings are open. */
const open = ref<number | null>(null)
watch(
  () => sheets.value.length,
  (now, before) => (open.value = now > before ? now - 1 : null),
)
/** What was removed last, and where it stood. */
const removed = shallowRef<{ readonly sheet: ChosenSheet; readonly at: number } | null>(null)
function remove(at: number): void {
  removed.value = { sheet: sheets.value[at]!, at }
  sheets.value = sheets.value.filter((_, i) => i !== at)
}
function bringBack(): void {
  sheets.value = sheets.value.toSpliced(removed.value!.at, 0, removed.value!.sheet)
  removed.value = null
}
function moveUp(at: number): void {
  sheets.value = sheets.value.map((s, i) => (i === at - 1 ? sheets.value[at]! : i === at ? sheets.value[at - 1]! : s))
  open.value = null
}
</script>

<template>
  <section class="card sheets" :aria-label="t('print.sheets')">
    <h2>{{ t('print.sheets') }}</h2>
    <ol class="plain">
      <li v-for="({ sheet, copies }, i) in sheets" :key="i" :class="{ open: open === i }">
        <div class="head">
          <b>{{ sheetTitle(sheet) }}</b>
          <InputNumber
            :model-value="copies"
            class="copies"
            prefix="× "
            :min="1"
            :max="60"
            :aria-label="t('print.copies', { sheet: sheetTitle(sheet) })"
            @update:model-value="(to: number | null) => to && put(i, { copies: to })"
          />
          <Button
            v-if="sheetFields(sheet).length"
            severity="secondary"
            text
            :aria-expanded="open === i"
            :aria-label="t('print.change', { sheet: sheetTitle(sheet) })"
            @click="open = open === i ? null : i"
            ><IconPencil
          /></Button>
          <Button
            v-if="i > 0"
            severity="secondary"
            text
            :aria-label="t('print.up', { sheet: sheetTitle(sheet) })"
            @click="moveUp(i)"
            ><IconArrowUp
          /></Button>
          <Button
            severity="secondary"
            text
            :aria-label="t('print.remove', { sheet: sheetTitle(sheet) })"
            @click="remove(i)"
            ><IconTrash2
          /></Button>
        </div>
        <SheetFields
          v-if="open === i && sheetFields(sheet).length"
          :model-value="sheet"
          @update:model-value="(to) => put(i, { sheet: to })"
        />
        <p v-if="troubles[i]" class="trouble" role="status">{{ troubles[i] }}</p>
      </li>
    </ol>
    <p v-if="sheets.length === 0" class="quiet">{{ t('print.noSheet') }}</p>
    <div class="in-row">
      <Button v-if="sheets.length < MOST_SHEETS" severity="secondary" @click="emit('add')"
        ><IconPlus /> {{ t('print.add') }}</Button
      >
      <Button
        v-if="removed"
        severity="secondary"
        text
        :label="t('print.bringBack', { sheet: sheetTitle(removed.sheet.sheet) })"
        @click="bringBack"
      />
    </div>
  </section>
</template>

<style scoped>
.sheets {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 10px;
}
li {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 10px;
  padding: 6px 0;
}
li + li {
  border-top: 1px solid var(--line);
}
li.open {
  padding-bottom: 14px;
}
.head {
  display: flex;
  align-items: center;
  gap: 2px;
}
.head b {
  flex: 1;
}
.head :deep(.p-button) {
  padding-inline: 11px;
}
.copies :deep(input) {
  width: 4.2rem;
  text-align: center;
}
</style>
