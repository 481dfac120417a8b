<script setup lang="ts">
import { pretty, type RepresentationId } from '../../../core/door'
import type { Draft } from '../../utils/kept'

/** Work at the Bench that is not saved yet: what lies there, and what was put aside. Each is gone on with or discarded by itself. */
const { t } = useI18n()
const bench = useBench()
const classroom = useClassroom()
/** So many are shown before somebody asks for all. */
const MOST = 3
const every = ref(false)
/** What lies on the Bench now, where it is somebody's work: steps that Sett showed are nobody's. */
const lying = computed(() =>
  bench.draft && (bench.draft.work.mode !== 'show' || bench.draft.byHand) ? bench.draft : null,
)
const all = computed(() => [...(lying.value ? [lying.value] : []), ...[...bench.asides].reverse()])
const drafts = computed(() => (every.value ? all.value : all.value.slice(0, MOST)))
const problem = (d: Draft): string => pretty(d.work.problem)
function whatOf(d: Draft): string {
  const name = d.learner ? classroom.nameOf(d.learner) : ''
  return name ? t('today.withName', { problem: problem(d), name }) : t('today.withNobody', { problem: problem(d) })
}
const materialOf = (d: Draft): RepresentationId => d.work.representation
function whenOf(d: Draft): string {
  const day = dayOf(d.startedAt)
  return t('today.notSaved', { when: `${dayInWords(day)}, ${timeOf(Date.parse(d.startedAt))}` })
}
/** What was discarded last, until it is brought back. */
const discarded = ref('')
function discard(d: Draft, what: string): void {
  bench.deleteAside(d.id)
  discarded.value = what
}
function undo(): void {
  bench.undelete()
  discarded.value = ''
}
async function goOn(d: Draft): Promise<void> {
  if (d !== lying.value) bench.openAside(d.id)
  await navigateTo('/bench')
}
</script>

<template>
  <section v-if="drafts.length || discarded" class="card">
    <h2>{{ t('today.leftOff') }}</h2>
    <ul class="plain">
      <li v-for="d in drafts" :key="d.id">
        <MaterialPicture :id="materialOf(d)" class="picture" />
        <span class="said">
          <b class="learner">{{ whatOf(d) }}</b>
          <span class="quiet">{{ whenOf(d) }}</span>
        </span>
        <Button
          severity="secondary"
          :label="t('today.goOnShort')"
          :aria-label="t('today.goOnWith', { what: whatOf(d) })"
          @click="goOn(d)"
        />
        <Button
          v-if="d !== lying"
          severity="secondary"
          text
          :label="t('today.discard')"
          :aria-label="t('today.discardOf', { what: whatOf(d) })"
          @click="discard(d, whatOf(d))"
        />
      </li>
    </ul>
    <Button
      v-if="all.length > drafts.length"
      severity="secondary"
      text
      :label="t('today.leftMore', { n: all.length })"
      @click="every = true"
    />
    <p v-if="discarded" class="in-row" role="status">
      {{ t('today.discarded', { what: discarded }) }}
      <Button severity="secondary" :label="t('today.undo')" @click="undo" />
    </p>
  </section>
</template>

<style scoped>
li {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px 14px;
  padding: 12px 0 0;
}
.picture {
  width: 62px;
  border-radius: 10px;
}
.said {
  display: grid;
  flex: 1 1 12rem;
}
</style>
