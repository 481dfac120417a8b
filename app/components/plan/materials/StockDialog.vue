<script setup lang="ts">
import { isRepresentation, REPRESENTATIONS } from '../../../../core/door'
import type { Cupboard, Stock } from '../../../../shared/cupboard'
import { readStock, stockFile, type StockRead } from '../../../utils/stockFile'

/** All that the school has, in a table; as a file, and from one, with what would change shown first. */
const { cupboard, mayChange } = defineProps<{ cupboard: Cupboard; mayChange: boolean }>()
const open = defineModel<boolean>('open', { required: true })
const emit = defineEmits<{ set: [changes: Readonly<Record<string, Partial<Stock>>>] }>()
const { t } = useI18n()
const MOST_BYTES = 200_000
const nameOf = (key: string): { readonly material: string; readonly kind: string } => {
  const [material, kind] = key.split('/') as [string, string]
  return { material: isRepresentation(material) ? REPRESENTATIONS[material].title : material, kind }
}
const rows = computed(() =>
  Object.entries(cupboard.stock).map(([key, { have, pack, madeOf, shelf }]) => ({
    key,
    ...nameOf(key),
    have,
    pack,
    madeOf,
    shelf: shelf ?? '',
  })),
)
const asFile = (): void => download('stock.csv', stockFile(cupboard), 'text/csv')

/** What a file would change, until it is applied. */
const read = shallowRef<StockRead | null>(null)
const trouble = ref('')
async function take(file: File): Promise<void> {
  read.value = null
  trouble.value = file.size > MOST_BYTES ? t('mat.fileLarge') : ''
  if (trouble.value) return
  const found = readStock(await file.text(), cupboard)
  if (Object.keys(found.changes).length + found.troubles.length === 0) trouble.value = t('mat.fileSame')
  else read.value = found
}
const changes = computed(() =>
  Object.entries(read.value?.changes ?? {}).map(([key, by]) => ({
    key,
    ...nameOf(key),
    was: cupboard.stock[key]?.have ?? 0,
    have: by.have ?? 0,
  })),
)
function apply(): void {
  emit('set', read.value!.changes)
  open.value = false
}
</script>

<template>
  <Dialog v-model:visible="open" modal :header="t('mat.stock')" class="stock">
    <div class="in-row">
      <FilePick v-if="mayChange" accept=".csv,.txt,text/csv" :label="t('mat.fromFile')" @pick="take" />
      <Button severity="secondary" @click="asFile"><IconDownload /> {{ t('mat.toFile') }}</Button>
    </div>
    <p v-if="trouble" class="trouble" role="alert">{{ trouble }}</p>
    <section v-if="read" class="preview" :aria-label="t('mat.preview')">
      <h3>{{ t('mat.changes', changes.length) }}</h3>
      <ul class="plain">
        <li v-for="c in changes" :key="c.key">
          {{ c.material }}, {{ c.kind }}: {{ c.was }} → <b>{{ c.have }}</b>
        </li>
        <li v-for="x in read.troubles" :key="x.row" class="trouble">
          {{ t('mat.rowTrouble', { row: x.row, why: t(`mat.why.${x.why}`) }) }}
        </li>
      </ul>
      <div class="in-row">
        <Button :disabled="changes.length === 0" :label="t('mat.apply')" @click="apply" />
        <Button severity="secondary" :label="t('mat.cancel')" @click="read = null" />
      </div>
    </section>
    <DataTable v-else-if="rows.length" :value="rows" data-key="key" sort-field="material" :sort-order="1" scrollable>
      <Column field="material" sortable :header="t('mat.material')" />
      <Column field="kind" sortable :header="t('mat.piece')" />
      <Column field="have" sortable :header="t('mat.have')" />
      <Column field="madeOf" sortable :header="t('mat.madeOf')" />
      <Column field="shelf" sortable :header="t('mat.kept')" />
    </DataTable>
    <EmptyState v-else :title="t('mat.noStock')" :facts="t('mat.noStockFacts')" />
  </Dialog>
</template>

<style scoped>
.preview {
  display: grid;
  gap: 10px;
  margin-top: 14px;
}
.p-datatable {
  margin-top: 14px;
}
</style>
