<script setup lang="ts">
import { MADE_OF, type MadeOf, type Size } from '../../../../core/kit/index'
import type { Stock } from '../../../../shared/cupboard'
import { sizeIn, sizeText } from '../../../utils/pieceSize'

/** What else is known of one kind of piece: where it is kept, in what packs it comes, what it is made of, its size, what stands in for it. */
const { name, stock, usual, standIns, mayChange } = defineProps<{
  name: string
  stock: Stock
  usual: Size | null
  standIns: readonly { readonly name: string; readonly how: string }[]
  mayChange: boolean
}>()
const emit = defineEmits<{ set: [by: Partial<Stock>] }>()
const { t } = useI18n()
const unread = ref(false)
function setSize(text: string): void {
  if (text.trim() === '') {
    unread.value = false
    return emit('set', { size: undefined })
  }
  const size = sizeIn(text)
  unread.value = size === null
  if (size) emit('set', { size })
}
const texts = computed(() => [
  {
    label: t('mat.kept'),
    value: stock.shelf ?? '',
    hint: t('mat.keptHint'),
    most: 60,
    take: (text: string) => emit('set', { shelf: text.trim() || undefined }),
  },
  {
    label: t('mat.size'),
    value: stock.size ? sizeText(stock.size) : '',
    hint: usual ? sizeText(usual) : t('mat.sizeHint'),
    most: 40,
    take: setSize,
  },
  {
    label: t('mat.pack'),
    value: stock.pack ? String(stock.pack) : '',
    hint: '0',
    most: 6,
    take: (text: string) => emit('set', { pack: Math.min(100_000, Math.max(0, Math.trunc(Number(text) || 0))) }),
  },
])
const how = computed(() => standIns.find((s) => s.name === stock.standIn)?.how)
</script>

<template>
  <div class="details">
    <label v-for="f in texts" :key="f.label" class="field">
      <span>{{ f.label }}</span>
      <InputText
        :model-value="f.value"
        :maxlength="f.most"
        :placeholder="f.hint"
        :disabled="!mayChange"
        :aria-label="t('mat.of', { label: f.label, what: name })"
        @change="f.take(($event.target as HTMLInputElement).value)"
      />
    </label>
    <label class="field">
      <span>{{ t('mat.madeOf') }}</span>
      <Select
        :model-value="stock.madeOf"
        :options="[...MADE_OF]"
        :disabled="!mayChange"
        :aria-label="t('mat.of', { label: t('mat.madeOf'), what: name })"
        @update:model-value="(madeOf) => emit('set', { madeOf: madeOf as MadeOf })"
      />
    </label>
    <label v-if="standIns.length" class="field">
      <span>{{ t('mat.standIn') }}</span>
      <Select
        :model-value="stock.standIn ?? null"
        :placeholder="t('mat.nothing')"
        :options="[
          { label: t('mat.nothing'), value: null },
          ...standIns.map((s) => ({ label: s.name, value: s.name })),
        ]"
        option-label="label"
        option-value="value"
        :disabled="!mayChange"
        :aria-label="t('mat.of', { label: t('mat.standIn'), what: name })"
        @update:model-value="(standIn) => emit('set', { standIn: (standIn as string | null) ?? undefined })"
      />
    </label>
    <p v-if="how" class="quiet">{{ how }}</p>
    <ul v-else-if="standIns.length" class="plain quiet">
      <li v-for="s in standIns" :key="s.name">
        <b>{{ s.name }}</b> – {{ s.how }}
      </li>
    </ul>
    <p v-if="unread" class="trouble" role="alert">{{ t('mat.sizeUnread') }}</p>
  </div>
</template>

<style scoped>
.details {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(10.5rem, 1fr));
  gap: 10px 14px;
  padding: 14px 16px;
  border-radius: 10px;
  background: var(--paper);
}
.field > :is(.p-inputtext, .p-select) {
  width: 100%;
}
p,
ul {
  grid-column: 1 / -1;
}
</style>
