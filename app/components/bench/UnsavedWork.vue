<script setup lang="ts">
import { pretty } from '../../../core/door'
import type { Draft } from '../../utils/kept'

/** All work that is not saved yet, with whose it is: each piece is saved, opened or deleted by itself. */
const open = defineModel<boolean>('open', { required: true })
const emit = defineEmits<{ save: [draft: Draft] }>()
useReturnFocus()
const bench = useBench()
const { t } = useI18n()
const classroom = useClassroom()
const all = computed(() => [...bench.asides].reverse())
const whose = ({ learner }: Draft): string => (learner && classroom.nameOf(learner)) || t('unsaved.nobody')
const when = (at: string): string =>
  new Date(at).toLocaleString(undefined, { weekday: 'short', hour: '2-digit', minute: '2-digit' })
const problem = (d: Draft): string => pretty(d.work.problem)
function openIt(d: Draft): void {
  bench.openAside(d.id)
  open.value = false
}
watch(
  () => bench.asides.length,
  (left) => left === 0 && !bench.deleted && (open.value = false),
)
</script>

<template>
  <Dialog v-model:visible="open" modal :header="t('unsaved.header')" :style="{ width: '40rem', maxWidth: '94vw' }">
    <ul class="unsaved">
      <li v-for="d in all" :key="d.id">
        <b>{{ whose(d) }}</b>
        <MathLine :line="problem(d)" named />
        <span class="quiet">{{ when(d.startedAt) }}</span>
        <span class="row">
          <button
            type="button"
            class="stone-button"
            :aria-label="t('unsaved.saveIt', { problem: problem(d), name: whose(d) })"
            @click="emit('save', d)"
          >
            {{ t('save.save') }}
          </button>
          <button
            type="button"
            class="stone-button"
            :aria-label="t('unsaved.openIt', { problem: problem(d), name: whose(d) })"
            @click="openIt(d)"
          >
            {{ t('unsaved.open') }}
          </button>
          <button
            type="button"
            class="stone-button bare"
            :aria-label="t('unsaved.deleteIt', { problem: problem(d), name: whose(d) })"
            @click="bench.deleteAside(d.id)"
          >
            {{ t('unsaved.delete') }}
          </button>
        </span>
      </li>
    </ul>
    <p v-if="bench.deleted" class="row" role="status">
      {{ t('unsaved.deleted', { problem: problem(bench.deleted) }) }}
      <button type="button" class="stone-button" @click="bench.undelete()">{{ t('bench.undo') }}</button>
    </p>
  </Dialog>
</template>

<style scoped>
.unsaved {
  list-style: none;
  margin: 0;
  padding: 0;
}
.unsaved li {
  display: grid;
  grid-template-columns: 6rem minmax(0, 1fr) auto auto;
  gap: 0.3rem 1rem;
  align-items: center;
  padding: 0.4rem 0;
  border-bottom: 1px solid var(--edge);
}
.row {
  display: flex;
  flex-wrap: wrap;
  gap: 0.5rem;
  align-items: center;
}
@media (max-width: 600px) {
  .unsaved li {
    grid-template-columns: 1fr auto;
  }
  .unsaved .row {
    grid-column: 1 / -1;
  }
}
</style>
