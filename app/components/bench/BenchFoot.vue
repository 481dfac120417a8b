<script setup lang="ts">
/** The stones laid so far, and everything that steps, undoes, saves and goes on. */
const props = defineProps<{
  stepping: boolean
  onBeads: boolean
  leaves: boolean
  showing: ReturnType<typeof useShowing>
}>()
const emit = defineEmits<{ offer: []; save: []; next: []; beside: []; keys: [] }>()
const bench = useBench()
const { t } = useI18n()
const presenting = usePresenting()
const { predicts, forward, back, play, playing } = props.showing
const more = ref<{ advise: () => void } | null>(null)
const moveLine = ref<{ focus: () => void } | null>(null)
const undoable = computed(() => bench.bench.past.length > 0)
const classroom = useClassroom()
/** Whose turn is next, where that is somebody else's. */
const then = computed(() => {
  const next = bench.queue[0]?.learner
  return next && next !== classroom.learnerId ? classroom.nameOf(next) : ''
})
const waiting = computed(() => {
  const n = bench.queue.length
  return then.value ? t('foot.then', { name: then.value, n }, n) : t('foot.waiting', { n }, n)
})
defineExpose({ advise: () => more.value?.advise(), focusMoveLine: () => moveLine.value?.focus() })
</script>

<template>
  <section class="foot" :class="{ presenting }" :aria-label="t('foot.label')">
    <StoneCourse :predicting="stepping && predicts && !bench.replaying" />
    <div class="controls">
      <template v-if="stepping">
        <button type="button" class="stone-button" data-undo :aria-label="t('foot.back')" @click="back">
          <svg class="glyph" viewBox="0 0 24 24" aria-hidden="true"><path d="M17 4L7 12L17 20ZM4 4h2v16H4Z" /></svg>
        </button>
        <button type="button" class="stone-button main" :aria-label="t('foot.nextStep')" @click="forward">
          <svg class="glyph" viewBox="0 0 24 24" aria-hidden="true"><path d="M7 4L17 12L7 20ZM18 4h2v16h-2Z" /></svg>
          {{ t('foot.step') }}
        </button>
        <button
          type="button"
          class="stone-button"
          :aria-label="playing ? t('foot.stop') : t('foot.play')"
          @click="play"
        >
          <svg class="glyph" viewBox="0 0 24 24" aria-hidden="true">
            <path :d="playing ? 'M6 5h4v14H6ZM14 5h4v14h-4Z' : 'M4 5L11 12L4 19ZM12 5L19 12L12 19Z'" />
          </svg>
        </button>
        <template v-if="!bench.replaying && !presenting">
          <button type="button" class="stone-button" :aria-pressed="predicts" @click="predicts = !predicts">
            {{ t('foot.predict') }}
          </button>
          <button
            v-if="onBeads"
            type="button"
            class="stone-button"
            :aria-pressed="bench.byMove"
            @click="bench.byMove = !bench.byMove"
          >
            {{ t('foot.moveByMove') }}
          </button>
        </template>
      </template>
      <template v-else>
        <button
          type="button"
          class="stone-button"
          data-undo
          :aria-label="t('foot.undo')"
          :disabled="!undoable"
          @click="bench.undo()"
        >
          <IconUndo2 />
        </button>
        <button
          type="button"
          class="stone-button"
          :aria-label="t('foot.redo')"
          :disabled="bench.bench.undone.length === 0"
          @click="bench.redo()"
        >
          <IconRedo2 />
        </button>
        <button type="button" class="stone-button" :disabled="!bench.next" @click="emit('offer')">
          {{ t('foot.offer') }}
        </button>
        <button v-if="onBeads && leaves" type="button" class="stone-button" @click="bench.make('bench', 'go on')">
          {{ t('foot.leave') }}
        </button>
      </template>
      <template v-if="!presenting">
        <MoveLine ref="moveLine" />
        <button v-if="!bench.second" type="button" class="stone-button" @click="emit('beside')">
          {{ t('foot.beside') }}
        </button>
        <MoreMenu ref="more" />
        <button type="button" class="stone-button" :disabled="bench.bench.log.length === 0" @click="emit('save')">
          {{ t('foot.save') }}
        </button>
      </template>
      <button type="button" class="stone-button" @click="emit('next')">
        {{ bench.turn?.lesson && bench.queue.length === 0 ? t('foot.endLesson') : t('foot.next') }}
      </button>
      <span v-if="bench.queue.length > 0" class="quiet">{{ waiting }}</span>
      <button
        v-if="!presenting && (bench.lesson || bench.queue.length > 0)"
        type="button"
        class="stone-button bare"
        @click="bench.leaveQueue()"
      >
        {{ bench.lesson ? t('foot.leaveLesson') : t('foot.clearQueue') }}
      </button>
      <NuxtLink
        v-if="bench.lesson && !presenting"
        class="stone-button"
        :to="`/plan/lessons/${bench.lesson}`"
        :aria-label="t('foot.toLesson')"
      >
        {{ t('foot.lesson') }}
      </NuxtLink>
      <template v-if="!presenting">
        <button type="button" class="stone-button" :aria-label="t('foot.present')" @click="presenting = true">
          <IconMaximize />
        </button>
        <button type="button" class="stone-button" :aria-label="t('foot.help')" @click="emit('keys')">?</button>
      </template>
      <button v-else type="button" class="stone-button leave" @click="presenting = false">
        {{ t('foot.leavePresenting') }}
      </button>
    </div>
  </section>
</template>

<style scoped>
.foot {
  padding: 4px 12px 6px;
  display: grid;
  gap: 2px;
  min-width: 0;
  border-top: 1.5px solid var(--edge);
}
.controls {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
  align-items: center;
}
.glyph {
  width: 1.3em;
  height: 1.3em;
  fill: currentcolor;
}
.presenting .stone-button {
  min-height: 60px;
  font-size: clamp(1.1rem, 1.5vw, 1.7rem);
  padding-inline: 1.2rem;
}
.leave {
  margin-left: auto;
}
@media (max-width: 1150px) {
  .controls {
    gap: 4px;
  }
  .controls :deep(.stone-button) {
    padding-inline: 0.55rem;
  }
}
/* In little height the stones give way to the mat when presenting. */
@media (max-height: 620px) {
  .presenting :deep(.course) {
    display: none;
  }
}
</style>
