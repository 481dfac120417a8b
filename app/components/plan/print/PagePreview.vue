<script setup lang="ts">
/** Pages as they will be printed: the very drawings, made smaller. */
const { pages, laid } = defineProps<{
  pages: readonly string[]
  laid: readonly { readonly w: number; readonly h: number; readonly title: string }[]
}>()
const emit = defineEmits<{ more: []; drawing: [page: number] }>()
const large = ref<number | null>(null)
const shown = computed(() => (large.value === null || large.value >= pages.length ? null : large.value))
const dialog = useTemplateRef('dialog')
function open(i: number): void {
  large.value = i
  void nextTick(() => dialog.value?.showModal())
}
const close = (): void => dialog.value?.close()
const turn = (by: number): void => void (large.value = Math.min(pages.length - 1, Math.max(0, (large.value ?? 0) + by)))
function key(event: KeyboardEvent): void {
  if (event.key === 'ArrowRight') turn(1)
  if (event.key === 'ArrowLeft') turn(-1)
}
</script>

<template>
  <div>
    <ol class="pages">
      <li v-for="(svg, i) in pages" :key="i">
        <button
          type="button"
          class="page"
          :aria-label="`Page ${i + 1}: ${laid[i]?.title}. Look at it larger`"
          @click="open(i)"
        >
          <!-- eslint-disable-next-line vue/no-v-html -- drawn by Sett itself, every text in it escaped -->
          <span aria-hidden="true" v-html="svg" />
        </button>
        <span class="under">
          <span>{{ i + 1 }}. {{ laid[i]?.title }}</span>
          <button
            type="button"
            class="stone-button bare"
            :aria-label="`Page ${i + 1} as a drawing, SVG`"
            @click="emit('drawing', i)"
          >
            SVG
          </button>
        </span>
      </li>
    </ol>
    <button v-if="pages.length < laid.length" type="button" class="stone-button" @click="emit('more')">
      Show more pages ({{ laid.length - pages.length }})
    </button>
    <dialog
      ref="dialog"
      class="large"
      :aria-label="`Page ${(shown ?? 0) + 1} of ${laid.length}`"
      @keydown="key"
      @close="large = null"
    >
      <template v-if="shown !== null">
        <div class="bar">
          <button type="button" class="stone-button" :disabled="shown === 0" @click="turn(-1)">Back</button>
          <span role="status">Page {{ shown + 1 }} of {{ laid.length }}: {{ laid[shown]?.title }}</span>
          <button type="button" class="stone-button" :disabled="shown === pages.length - 1" @click="turn(1)">
            Next
          </button>
          <button type="button" class="stone-button main" @click="close">Close</button>
        </div>
        <!-- eslint-disable-next-line vue/no-v-html -- drawn by Sett itself, every text in it escaped -->
        <div class="sheet" tabindex="0" role="img" :aria-label="laid[shown]?.title" v-html="pages[shown]" />
      </template>
    </dialog>
  </div>
</template>

<style scoped>
.pages {
  list-style: none;
  margin: 0 0 0.8rem;
  padding: 0;
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(15rem, 25rem));
  gap: 1rem;
  align-items: start;
}
.page {
  display: block;
  width: 100%;
  padding: 0;
  border: 1.5px solid var(--edge);
  background: #fff;
  cursor: zoom-in;
}
.page :deep(svg),
.sheet :deep(svg) {
  display: block;
  width: 100%;
  height: auto;
}
.under {
  display: flex;
  justify-content: space-between;
  align-items: center;
  gap: 0.5rem;
}
.large {
  width: min(96vw, 60rem);
  height: 96vh;
  max-height: 96vh;
  padding: 0.6rem;
  border: 1.5px solid var(--edge);
  background: var(--paper);
  color: inherit;
}
.large[open] {
  display: grid;
  grid-template-rows: auto minmax(0, 1fr);
  gap: 0.6rem;
}
.bar {
  display: flex;
  flex-wrap: wrap;
  gap: 0.6rem;
  align-items: center;
}
.bar span {
  flex: 1;
}
.sheet {
  overflow: auto;
  background: #fff;
}
</style>
