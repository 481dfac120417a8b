<script setup lang="ts">
/** Pages as they will be printed: one large, the others as a strip below it. */
const { pages, laid } = defineProps<{
  pages: readonly string[]
  laid: readonly { readonly w: number; readonly h: number; readonly title: string }[]
}>()
const emit = defineEmits<{ more: []; drawing: [page: number] }>()
const { t } = useI18n()
const at = ref(0)
const shown = computed(() => Math.max(0, Math.min(at.value, laid.length - 1)))
/** The page that is shown; while the pages are laid out anew, the one that was there stays. */
const drawn = ref('')
watchEffect(() => (drawn.value = pages[shown.value] ?? drawn.value))
const large = ref(false)
const title = computed(() =>
  t('print.page', { n: shown.value + 1, of: laid.length, title: laid[shown.value]?.title ?? '' }),
)
function turn(by: number): void {
  at.value = Math.max(0, Math.min(laid.length - 1, shown.value + by))
  if (at.value >= pages.length) emit('more')
}
function key(event: KeyboardEvent): void {
  if (event.key === 'ArrowRight') turn(1)
  else if (event.key === 'ArrowLeft') turn(-1)
}
</script>

<template>
  <section class="card preview" :aria-label="t('print.preview')" @keydown="key">
    <div class="in-row">
      <Button severity="secondary" text :disabled="shown === 0" :aria-label="t('print.previous')" @click="turn(-1)"
        ><IconArrowLeft
      /></Button>
      <span role="status" class="grow title">{{ title }}</span>
      <Button severity="secondary" text :aria-label="t('print.larger')" @click="large = true"><IconMaximize /></Button>
      <Button severity="secondary" text :aria-label="t('print.svg')" @click="emit('drawing', shown)"
        ><IconDownload
      /></Button>
      <Button
        severity="secondary"
        text
        :disabled="shown >= laid.length - 1"
        :aria-label="t('print.next')"
        @click="turn(1)"
        ><IconArrowRight
      /></Button>
    </div>
    <!-- eslint-disable-next-line vue/no-v-html -- drawn by Sett itself, every text in it escaped -->
    <div class="page" role="img" :aria-label="laid[shown]?.title" v-html="drawn" />
    <ol v-if="laid.length > 1" class="plain strip">
      <li v-for="(svg, i) in pages" :key="i">
        <Button
          severity="secondary"
          text
          class="thumb"
          :class="{ here: i === shown }"
          :aria-label="t('print.thumb', { n: i + 1, title: laid[i]?.title ?? '' })"
          :aria-current="i === shown ? 'page' : undefined"
          @click="at = i"
        >
          <!-- eslint-disable-next-line vue/no-v-html -- drawn by Sett itself, every text in it escaped -->
          <span aria-hidden="true" v-html="svg" />
        </Button>
      </li>
    </ol>
    <Button
      v-if="pages.length < laid.length"
      severity="secondary"
      :label="t('print.more', laid.length - pages.length)"
      @click="emit('more')"
    />
    <Dialog
      v-model:visible="large"
      modal
      :header="title"
      :style="{ width: 'min(96vw, 60rem)', height: '96vh', maxHeight: '96vh' }"
      @keydown="key"
    >
      <!-- eslint-disable-next-line vue/no-v-html -- drawn by Sett itself, every text in it escaped -->
      <div class="sheet" tabindex="0" role="img" :aria-label="laid[shown]?.title" v-html="drawn" />
    </Dialog>
  </section>
</template>

<style scoped>
.preview {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 12px;
}
.title {
  min-width: 0;
  font-weight: 700;
}
.page {
  display: grid;
  place-items: center;
  padding: 14px;
  border-radius: 10px;
  background: var(--paper-2);
}
.page :deep(svg) {
  display: block;
  max-width: 100%;
  width: auto;
  height: clamp(24rem, 100vh - 270px, 60rem);
  background: #fff;
  box-shadow: var(--shadow);
}
.sheet :deep(svg) {
  display: block;
  width: 100%;
  height: auto;
  background: #fff;
}
.strip {
  display: flex;
  gap: 6px;
  overflow-x: auto;
  min-height: 128px;
  padding: 4px;
}
.thumb {
  padding: 4px;
  border-radius: 8px;
}
.thumb.here {
  outline: 3px solid var(--clay);
}
.thumb :deep(svg) {
  display: block;
  width: 74px;
  height: auto;
  background: #fff;
  border: 1px solid var(--line-2);
}
@media (max-width: 700px) {
  .page :deep(svg) {
    width: 100%;
    height: auto;
  }
}
</style>
