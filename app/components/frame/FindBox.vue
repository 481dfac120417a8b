<script setup lang="ts">
import type { AutoCompleteCompleteEvent } from 'primevue/autocomplete'
import { findIn, indexOf, type Findable } from '../../utils/findable'

/** Finds learners, pages, steps, materials, lessons and sheets by name, with slips of the typing hand; and does a few things at once. */
const open = defineModel<boolean>('open', { required: true })
useReturnFocus()
const { t } = useI18n()
const { items } = useFindable()
const index = computed(() => indexOf(items.value))
const query = ref<string | Findable>('')
const groups = shallowRef<readonly { readonly kind: string; readonly items: readonly Findable[] }[]>([])
function search({ query: typed }: Pick<AutoCompleteCompleteEvent, 'query'>): void {
  const found = findIn(index.value, items.value, typed)
  const kinds = [...new Set(found.map((f) => f.kind))]
  groups.value = kinds.map((kind) => ({ kind: t(`find.${kind}`), items: found.filter((f) => f.kind === kind) }))
}
async function take({ value }: { readonly value: Findable }): Promise<void> {
  open.value = false
  if (value.run) value.run()
  if (value.to) await navigateTo(value.to)
}
const box = ref<{ $el: HTMLElement; show: () => void } | null>(null)
async function begin(): Promise<void> {
  search({ query: '' })
  await nextTick()
  box.value?.$el.querySelector('input')?.focus()
  box.value?.show()
}
// What is known late (lessons, steps) is found as soon as it is there.
watch(items, () => search({ query: typeof query.value === 'string' ? query.value : '' }))
</script>

<template>
  <Dialog
    v-model:visible="open"
    modal
    dismissable-mask
    position="top"
    :header="t('frame.find')"
    :style="{ width: '38rem', maxWidth: '94vw', marginTop: '8vh' }"
    @show="begin"
  >
    <AutoComplete
      ref="box"
      v-model="query"
      class="find"
      append-to="self"
      :suggestions="[...groups]"
      option-group-label="kind"
      option-group-children="items"
      option-label="label"
      :placeholder="t('find.what')"
      :aria-label="t('find.what')"
      :input-props="{ autofocus: true }"
      :empty-search-message="t('find.nothing')"
      :delay="0"
      :min-length="0"
      scroll-height="min(52vh, 26rem)"
      complete-on-focus
      auto-option-focus
      fluid
      @complete="search"
      @option-select="take"
    >
      <template #option="{ option }">
        <span class="found"
          ><b>{{ option.label }}</b> <span v-if="option.more" class="quiet">{{ option.more }}</span></span
        >
      </template>
    </AutoComplete>
  </Dialog>
</template>

<style scoped>
.find {
  display: flex;
  flex-direction: column;
  width: 100%;
}
/* What is found stands below the box in the dialog itself, which grows with it. */
.find :deep(.p-autocomplete-overlay) {
  position: static !important;
  box-shadow: none;
  border: 0;
  margin-top: 8px;
  min-width: 0 !important;
}
.find :deep(.p-autocomplete-option) {
  min-height: 44px;
}
.found {
  display: flex;
  flex-wrap: wrap;
  gap: 0 10px;
  align-items: baseline;
}
</style>
