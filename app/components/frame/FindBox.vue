<script setup lang="ts">
import { findIn, indexOf, type Findable } from '../../utils/findable'

/** Finds learners, pages, steps, materials, lessons and sheets by name, with slips of the typing hand; and does a few things at once. */
const open = defineModel<boolean>('open', { required: true })
useReturnFocus()
const { t } = useI18n()
const { items } = useFindable()
const index = computed(() => indexOf(items.value))
const query = ref('')
const found = computed(() => {
  const all = findIn(index.value, items.value, query.value)
  // Those of one kind stand together, the kind of the best one first.
  const kinds = [...new Set(all.map((f) => f.kind))]
  return kinds.flatMap((kind) => all.filter((f) => f.kind === kind))
})
/** Which of them Enter takes. */
const at = ref(0)
watch(query, () => (at.value = 0))
const startsKind = (i: number): boolean => found.value[i]!.kind !== found.value[i - 1]?.kind
const optionId = (i: number): string => `found-${i}`
function move(by: number): void {
  const count = found.value.length
  if (count === 0) return
  at.value = (at.value + by + count) % count
  void nextTick(() => document.getElementById(optionId(at.value))?.scrollIntoView({ block: 'nearest' }))
}
async function take(one: Findable | undefined): Promise<void> {
  if (!one) return
  one.run?.()
  // What was changed is taken up before this box, and its watchers with it, goes away.
  await nextTick()
  open.value = false
  if (one.to) await navigateTo(one.to)
}
</script>

<template>
  <Dialog
    v-model:visible="open"
    modal
    dismissable-mask
    position="top"
    :header="t('frame.find')"
    :style="{ width: '38rem', maxWidth: '94vw', marginTop: '8vh' }"
  >
    <InputText
      v-model="query"
      fluid
      autofocus
      autocomplete="off"
      role="combobox"
      aria-expanded="true"
      aria-autocomplete="list"
      aria-controls="found"
      :aria-activedescendant="found.length ? optionId(at) : undefined"
      :aria-label="t('find.what')"
      :placeholder="t('find.what')"
      @keydown.down.prevent="move(1)"
      @keydown.up.prevent="move(-1)"
      @keydown.enter.prevent="take(found[at])"
    />
    <ul id="found" role="listbox" :aria-label="t('frame.find')">
      <template v-for="(f, i) in found" :key="f.id">
        <li v-if="startsKind(i)" class="kind" role="presentation">{{ t(`find.${f.kind}`) }}</li>
        <li :id="optionId(i)" role="option" :aria-selected="i === at" @pointermove="at = i" @click="take(f)">
          <b>{{ f.label }}</b> <span v-if="f.more" class="quiet">{{ f.more }}</span>
        </li>
      </template>
    </ul>
    <p v-if="found.length === 0" class="quiet" role="status">{{ t('find.nothing') }}</p>
  </Dialog>
</template>

<style scoped>
ul {
  display: grid;
  gap: 2px;
  max-height: min(52vh, 28rem);
  margin: 10px 0 0;
  padding: 0;
  overflow: auto;
  list-style: none;
}
.kind {
  padding: 8px 12px 2px;
  color: var(--ink-soft);
  font-size: 0.9rem;
}
[role='option'] {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 0 10px;
  min-height: 44px;
  padding: 4px 12px;
  border-radius: 8px;
  cursor: pointer;
}
[role='option'][aria-selected='true'] {
  background: var(--paper-2);
  box-shadow: inset 3px 0 var(--clay);
}
</style>
