<script setup lang="ts">
import { pretty } from '../../../core/door'
import type { Draft } from '../../utils/kept'

/** What is to be known above the mat: a record that is looked at, a lesson that was left, a turn that was saved, work that is not. */
const trouble = defineModel<string>('trouble', { required: true })
const emit = defineEmits<{ save: [draft: Draft | null] }>()
const UnsavedWork = defineAsyncComponent(() => import('./UnsavedWork.vue'))
const bench = useBench()
const { t } = useI18n()
const { locale } = useI18n({ useScope: 'global' })
const classroom = useClassroom()
const presenting = usePresenting()
const unsaved = ref(false)

const HELP = {
  independent: 'save.independent',
  pointed: 'save.pointed',
  spoken: 'save.spoken',
  shown: 'save.shown',
  'hand-over-hand': 'save.handOverHand',
} as const
/** What is told of the turn that was saved last. To a learner who works alone, and sees it, not how it came out. */
const toldTurn = computed(() => {
  const turn = bench.savedTurn
  if (!turn) return ''
  const { work, id } = turn.draft
  const said = { name: classroom.nameOf(turn.learner), problem: pretty(work.problem) }
  if (work.mode === 'alone' && id === bench.id) return t('bench.turnSavedQuietly', said)
  const help = t(HELP[turn.outcome.help]).toLocaleLowerCase(locale.value)
  return t('bench.turnSaved', {
    ...said,
    help,
    outcome: t(turn.outcome.right ? 'bench.cameRight' : 'bench.cameNotRight'),
  })
})
/** Whose work is not saved yet, by name. */
const unsavedOf = computed(() =>
  [...new Set(bench.asides.map((d) => (d.learner && classroom.nameOf(d.learner)) || t('unsaved.nobody')))].join(', '),
)
async function undoSave(): Promise<void> {
  trouble.value = ''
  await bench.undoSave().catch((error: Error) => (trouble.value = error.message))
}
</script>

<template>
  <!-- Names and outcomes are not for the class that looks at the screen. -->
  <div class="notices">
    <p v-if="trouble" role="alert">{{ trouble }}</p>
    <p v-else-if="bench.replaying" role="status">
      <span>{{ t('bench.replaying', { at: bench.replaying.at, of: bench.replaying.benches.length - 1 }) }}</span>
      <button type="button" class="stone-button" @click="bench.look(0)">{{ t('bench.backToStart') }}</button>
    </p>
    <template v-else-if="!presenting">
      <p v-if="bench.abandoned" role="status">
        <span>{{ t(bench.abandoned.now?.lesson ? 'bench.lessonLeft' : 'bench.queueLeft') }}</span>
        <button type="button" class="stone-button" @click="bench.backToQueue()">{{ t('bench.undo') }}</button>
        <button type="button" class="stone-button bare" @click="bench.abandoned = null">{{ t('bench.close') }}</button>
      </p>
      <p v-else-if="bench.turnTrouble" role="alert">{{ t('bench.turnUnsaved', { why: bench.turnTrouble }) }}</p>
      <p v-else-if="bench.savedTurn" role="status">
        <span>{{ toldTurn }}</span>
        <button type="button" class="stone-button" @click="undoSave">{{ t('bench.undo') }}</button>
        <button
          v-if="bench.savedTurn.draft.id === bench.id"
          type="button"
          class="stone-button bare"
          @click="emit('save', null)"
        >
          {{ t('bench.changeSave') }}
        </button>
      </p>
      <p v-if="bench.asides.length > 0" role="status">
        <span>{{ t('bench.unsaved', { n: bench.asides.length, whose: unsavedOf }, bench.asides.length) }}</span>
        <button type="button" class="stone-button" @click="unsaved = true">{{ t('bench.showUnsaved') }}</button>
      </p>
    </template>
    <UnsavedWork v-if="unsaved" v-model:open="unsaved" @save="(draft) => emit('save', draft)" />
  </div>
</template>

<style scoped>
p {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 0.3rem 0.8rem;
  margin: 0;
  padding: 4px 14px;
  background: var(--paper-2);
  border-bottom: 1.5px solid var(--edge);
}
</style>
