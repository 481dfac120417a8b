<script setup lang="ts">
import { walkNear } from '../../../utils/walkNear'

/** A shelf of choices by picture: searched by typing, walked by arrow keys, in groups. */
export interface ShelfItem {
  readonly id: string
  readonly title: string
  /** One line about it; where it does not fit, why not. */
  readonly line: string
  readonly fits: boolean
  readonly pinned?: boolean
}
const props = defineProps<{
  header: string
  search: string
  chosen: string | null
  /** Whether every card has room for a sentence. */
  wide?: boolean
  groups: readonly { readonly title: string; readonly items: readonly ShelfItem[] }[]
}>()
const emit = defineEmits<{ choose: [id: string]; pin: [id: string]; close: [] }>()
defineSlots<{ picture(props: { id: string }): unknown }>()

const { t } = useI18n()
useReturnFocus()
const wanted = ref('')
const matches = (item: ShelfItem): boolean => item.title.toLowerCase().includes(wanted.value.trim().toLowerCase())
const found = computed(() =>
  props.groups.map((g) => ({ ...g, items: g.items.filter(matches) })).filter((g) => g.items.length > 0),
)
const count = computed(() => found.value.reduce((n, g) => n + g.items.length, 0))
/** The card one comes to by Tab: the last one that had the focus, else the chosen one, else the first. */
const here = ref<string | null>(null)
const stop = computed(() => {
  const keys = found.value.flatMap((g) => g.items.map((item) => `${g.title}/${item.id}`))
  const chosen = keys.find((k) => k.endsWith(`/${props.chosen}`))
  return here.value && keys.includes(here.value) ? here.value : (chosen ?? keys[0] ?? null)
})
const root = ref<HTMLElement | null>(null)
function key(event: KeyboardEvent): void {
  const faces = [...(root.value?.querySelectorAll<HTMLElement>('.face') ?? [])]
  if (walkNear(event, faces)) event.preventDefault()
}
function down(event: KeyboardEvent): void {
  if (event.key === 'ArrowDown') root.value?.querySelector<HTMLElement>('.face')?.focus()
  else if (event.key === 'Enter') {
    const only = found.value.flatMap((g) => g.items).filter((i) => i.fits)
    if (wanted.value.trim() && only[0]) emit('choose', only[0].id)
  } else return
  event.preventDefault()
}
</script>

<template>
  <Dialog
    visible
    modal
    dismissable-mask
    :header="header"
    :style="{ width: '66rem', maxWidth: '96vw', maxHeight: '92vh' }"
    @update:visible="emit('close')"
  >
    <label class="find"
      ><span>{{ search }}</span>
      <input v-model="wanted" type="text" autofocus autocomplete="off" spellcheck="false" @keydown="down"
    /></label>
    <p class="sr-only" role="status">{{ t('shelf.choices', { n: count }, count) }}</p>
    <div ref="root" class="groups" :class="{ wide }">
      <section v-for="g in found" :key="g.title" :aria-label="g.title">
        <h2>{{ g.title }}</h2>
        <ul>
          <ShelfCard
            v-for="item in g.items"
            :id="`${g.title}-${item.id}`.replace(/\W+/g, '-')"
            :key="item.id"
            :title="item.title"
            :line="item.line"
            :fits="item.fits"
            :chosen="item.id === chosen"
            :pinned="item.pinned"
            :tab="stop === `${g.title}/${item.id}`"
            @focus="here = `${g.title}/${item.id}`"
            @keydown="key"
            @choose="item.fits && emit('choose', item.id)"
            @pin="emit('pin', item.id)"
          >
            <slot :id="item.id" name="picture" />
          </ShelfCard>
        </ul>
      </section>
      <p v-if="count === 0" class="none">{{ t('shelf.none', { name: wanted.trim() }) }}</p>
    </div>
  </Dialog>
</template>

<style scoped>
.find {
  display: flex;
  flex-wrap: wrap;
  gap: 0.3rem 0.8rem;
  align-items: center;
  position: sticky;
  top: 0;
  z-index: 2;
  background: var(--sheet);
  padding: 5px 5px 9px;
  margin-inline: -5px;
}
.find input {
  flex: 1;
  min-width: 10rem;
  min-height: 44px;
  padding: 0 0.7rem;
  border: 1.5px solid var(--edge);
  border-radius: 4px;
  background: var(--sheet);
}
.groups {
  display: flex;
  flex-wrap: wrap;
  gap: 0.8rem 1.8rem;
}
h2 {
  font-size: 1rem;
  margin-bottom: 4px;
}
ul {
  list-style: none;
  margin: 0;
  padding: 0;
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}
ul > :deep(.card) {
  width: 8.4rem;
}
.wide ul > :deep(.card) {
  width: 14.6rem;
}
.none {
  padding: 1rem 0;
}
</style>
