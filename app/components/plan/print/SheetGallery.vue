<script setup lang="ts">
import type { PrintSetting } from '../../../../core/paper/index'
import type { SheetChoice } from '../../../../shared/prints'
import type { PrintSource } from '../../../composables/useSheetItems'
import { SHEET_GROUPS } from '../../../utils/sheets'

/** All kinds of sheet as small pictures of their first pages, made from what is printed here. */
const { setting, source } = defineProps<{ setting: PrintSetting; source: PrintSource }>()
const open = defineModel<boolean>('open', { required: true })
const emit = defineEmits<{ add: [sheet: SheetChoice] }>()
const { t } = useI18n()
const { sheetTitle } = useSheetNames()
const { itemsFor } = useSheetItems()
const MOST_PAGES = 200
const { laid, pages, lay } = usePaper(MOST_PAGES)
const all = SHEET_GROUPS.flatMap(({ sheets }): readonly SheetChoice[] => sheets)
const items = computed(
  () =>
    itemsFor(
      all.map((sheet) => ({ sheet, copies: 1 })),
      source,
    ).items,
)
watch(open, (is) => is && lay(setting, items.value), { immediate: true })
/** The first page of each kind, by its place among all; nothing where it cannot be made yet. */
const pictures = computed(() => {
  const first = new Map<number, string>()
  for (const [i, { from }] of items.value.entries()) {
    const page = laid.value?.firsts[i]
    if (!first.has(from) && typeof page === 'number') first.set(from, pages.value[page] ?? '')
  }
  return first
})
const groups = SHEET_GROUPS.map(({ id, sheets }) => ({
  id,
  sheets: (sheets as readonly SheetChoice[]).map((sheet) => ({ sheet, at: all.indexOf(sheet) })),
}))
function add(sheet: SheetChoice): void {
  emit('add', sheet)
  open.value = false
}
</script>

<template>
  <Dialog v-model:visible="open" modal :header="t('print.add')" class="gallery" :style="{ width: 'min(96vw, 66rem)' }">
    <section v-for="g in groups" :key="g.id" :aria-label="t(`frame.group.${g.id}`)">
      <h2>{{ t(`frame.group.${g.id}`) }}</h2>
      <ul class="plain kinds">
        <li v-for="{ sheet, at } in g.sheets" :key="at">
          <Button severity="secondary" text class="kind" @click="add(sheet)">
            <!-- eslint-disable-next-line vue/no-v-html -- drawn by Sett itself, every text in it escaped -->
            <span v-if="pictures.get(at)" class="picture" aria-hidden="true" v-html="pictures.get(at)" />
            <span v-else class="picture none" aria-hidden="true"><IconPrinter /></span>
            {{ sheetTitle(sheet) }}
          </Button>
        </li>
      </ul>
    </section>
  </Dialog>
</template>

<style scoped>
h2 {
  margin: 14px 0 8px;
  font-size: 1.05rem;
}
.kinds {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(8.4rem, 1fr));
  gap: 10px;
}
.kind {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 8px;
  justify-items: center;
  align-content: start;
  white-space: normal;
  width: 100%;
  height: 100%;
  padding: 10px 6px;
}
.picture {
  display: grid;
  place-items: center;
  width: 100%;
  height: 9.2rem;
  overflow: hidden;
  background: #fff;
  border: 1px solid var(--line-2);
  border-radius: 4px;
  color: var(--ink-soft);
}
.picture.none {
  background: var(--paper-2);
}
.picture :deep(svg:not(.lucide)) {
  display: block;
  width: 100%;
  height: 100%;
}
</style>
